/** Characters no document may hold, against XML 1.0 production 2 as a parser holds to it. */
import fc from 'fast-check';
import { XMLValidator } from 'fast-xml-parser';
import { asXml, isWritable, writable, writableAll } from '@/core/text/writable';

/** Production 2 of XML 1.0, code point by code point. */
const allowed = (code: number): boolean =>
  [0x9, 0xa, 0xd].includes(code) ||
  (code >= 0x20 && code <= 0xd7ff) ||
  (code >= 0xe000 && code <= 0xfffd) ||
  (code >= 0x10000 && code <= 0x10ffff);
const text = fc
  .array(
    fc.oneof(
      fc.integer({ min: 0, max: 0x2f }),
      fc.integer({ min: 0xd7f0, max: 0xe010 }),
      fc.integer({ min: 0xfff0, max: 0xffff }),
      fc.constantFrom(0x26, 0x3c, 0x3e, 0x22, 0x41, 0xe9, 0xd83d, 0xde00, 0x1f600),
    ),
    { maxLength: 12 },
  )
  .map((codes) =>
    codes.map((code) => (code > 0xffff ? String.fromCodePoint(code) : String.fromCharCode(code))).join(''),
  );

test('what may be written is what the production says, letter by letter; pairs of surrogates are one', () => {
  for (let code = 0; code <= 0xffff; code++)
    if (isWritable(String.fromCharCode(code)) !== allowed(code)) throw new Error(`U+${code.toString(16)}`);
  for (const code of [0x10000, 0x1f600, 0x10ffff]) expect(isWritable(String.fromCodePoint(code))).toBe(true);
  expect(isWritable('\ud83d\ud83d\ude00')).toBe(false);
  expect(isWritable('\ude00\ud83d')).toBe(false);
});

test('any text is writable afterwards, as long as before, and only changed where it had to be', () => {
  fc.assert(
    fc.property(text, (given) => {
      const made = writable(given);
      expect(isWritable(made)).toBe(true);
      expect(made).toHaveLength(given.length);
      expect(writable(made)).toBe(made);
      expect(made === given).toBe(isWritable(given));
      for (let at = 0; at < given.length; at++) if (made[at] !== given[at]) expect(made[at]).toBe(' ');
    }),
    { numRuns: 200 },
  );
});

test('as XML says it, in an element and between quotes, a parser takes it', () => {
  fc.assert(
    fc.property(text, (given) => {
      const said = asXml(given);
      expect(XMLValidator.validate(`<a b="${said}">${said}</a>`)).toBe(true);
      const back = said.replace(
        /&(amp|lt|gt|quot);/g,
        (_, name: string) => ({ amp: '&', lt: '<', gt: '>', quot: '"' })[name]!,
      );
      expect(back).toBe(writable(given));
    }),
    { numRuns: 150 },
  );
});

test('a value of any shape: all its texts, nothing else; the same one where nothing was wrong', () => {
  const bad = { name: 'Ebb\u0000', list: [1, 'x\ud800', { deep: '\u0007' }], none: null, on: true };
  expect(writableAll(bad)).toEqual({ name: 'Ebb ', list: [1, 'x ', { deep: ' ' }], none: null, on: true });
  expect(bad.name).toBe('Ebb\u0000');
  const kept = { good: { text: 'Ebb' }, bad: ['\u0000'] };
  expect(writableAll(kept).good).toBe(kept.good);
  fc.assert(
    fc.property(fc.jsonValue({ maxDepth: 3 }), (value) => {
      const made = writableAll(value);
      if (
        isWritable(
          JSON.stringify(value).replace(/\\u[0-9a-f]{4}/gi, (m) =>
            String.fromCharCode(parseInt(m.slice(2), 16)),
          ),
        )
      )
        expect(made).toBe(value);
      expect(JSON.stringify(writableAll(made))).toBe(JSON.stringify(made));
    }),
  );
});
