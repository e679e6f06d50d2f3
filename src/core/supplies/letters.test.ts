/** Which character a file is of, by every way such files are called; what an alphabet lacks. */
import fc from 'fast-check';
import { characterOf, missingLetters, USUAL_LETTERS } from '@/core/supplies/letters';

const ALL = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789ÄéñßЖ'.split('');
const letter = fc.constantFrom(...ALL);

/** As sets of letters are called, and their folders. */
const WAYS: readonly ((c: string) => string)[] = [
  (c) => `${c}.png`,
  (c) => `alpha_${c}.png`,
  (c) => `Red alphabet/alpha-${c}.PNG`,
  (c) => `button ${c} 2.png`,
  (c) => `letters/${c}-12.webp`,
  (c) => `cork.(${c}).svg`,
  (c) => `kit [${c}].jpeg`,
];

test('the one character that stands by itself, wherever it stands; a number behind it only counts', () => {
  fc.assert(
    fc.property(letter, fc.constantFrom(...WAYS), (c, way) => {
      // Some systems store an accent apart from its letter.
      for (const form of ['NFC', 'NFD']) expect(characterOf(way(c).normalize(form))).toBe(c);
    }),
    { numRuns: 200 },
  );
});

test('small or large where the name or its folder says so, in any of the usual words', () => {
  const small = fc.constantFrom('lower', 'LOWERCASE', 'lc', 'small', 'sm');
  const large = fc.constantFrom('upper', 'Uppercase', 'uc', 'capital', 'cap', 'caps', 'big');
  fc.assert(
    fc.property(letter, small, large, fc.boolean(), (c, low, high, folder) => {
      const called = (word: string) => (folder ? `${word}/alpha ${c}.png` : `alpha_${c}_${word}.png`);
      expect(characterOf(called(low))).toBe(c.toLowerCase());
      // ß in capitals is two letters.
      expect(characterOf(called(high))).toBe(c === 'ß' ? c : c.toUpperCase());
    }),
    { numRuns: 100 },
  );
  // L and U by themselves are letters.
  expect([characterOf('alpha L.png'), characterOf('alpha u.png')]).toEqual(['L', 'u']);
});

test.each([
  ['comma.png', ','],
  ['letters/comma.png', ','],
  ['alpha/A.png', 'A'],
  ['alpha_b_lower.png', 'b'],
  ['LC k.png', 'k'],
  ['uc-q.png', 'Q'],
  ['number 7.png', '7'],
  ['A 2.png', 'A'],
  ['ampersand.svg', '&'],
  ['alpha_questionmark.png', '?'],
  ['Set/ampersand 2.png', '&'],
  ['button-seven.png', '7'],
  ['alpha_&.png', '&'],
  ['alpha_€.png', '€'],
  ['apostrophe.svg', '’'],
  ['constructor.png', undefined],
  ['IMG_0042.jpg', undefined],
  ['kite.png', undefined],
  ['', undefined],
])('%s is %s', (path, character) => expect(characterOf(path)).toBe(character));

test('of a set of capitals all but one the one is told', () => {
  expect(missingLetters(new Set('ABCDEFGHIJKLMNOPQRSTUVWXY0123456789.,!?&'))).toEqual(['Z']);
});

test('what is lacking is what is usual and not there; small letters of a set of capitals are not missed, nor the other way round', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...USUAL_LETTERS)), (some) => {
      const has = new Set(some);
      const lacking = missingLetters(has);
      expect(lacking.filter((c) => has.has(c))).toEqual([]);
      const [capitals, small] = [some.some((c) => /[A-Z]/.test(c)), some.some((c) => /[a-z]/.test(c))];
      for (const c of USUAL_LETTERS) {
        const wanted = /[a-z]/.test(c) ? small : /[A-Z]/.test(c) ? capitals : true;
        expect(lacking.includes(c)).toBe(wanted && !has.has(c));
      }
    }),
  );
});
