/** Our collection of sentiments, each in every arrangement; blanks, search, and words arranged anew. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { glyphs, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import { OCCASIONS, SENTIMENTS } from '@/core/sentiments/collection';
import {
  arranged,
  ARRANGEMENTS,
  blanksIn,
  filledIn,
  foundSentiments,
  plainWords,
  rearranged,
} from '@/core/sentiments/laid';
import { FAMILIES } from '@/core/text/families';
import { lackingIn } from '@/core/text/lacking';
import { nodeTypesetter } from '../../../scripts/node/platform';

const typesetter = await nodeTypesetter();
const texts = SENTIMENTS.map(({ text }) => text);
const arrangement = fc.constantFrom(...ARRANGEMENTS);
const sentiment = fc.constantFrom(...SENTIMENTS);

test('every occasion has its own, none twice; stars come in pairs and what is to be filled in has a plain name', () => {
  const plain = SENTIMENTS.map(({ text }) => plainWords(text).toLowerCase());
  expect(new Set(plain).size).toBe(plain.length);
  expect(new Set(SENTIMENTS.map(({ id }) => id)).size).toBe(SENTIMENTS.length);
  const counts = Object.keys(OCCASIONS).map(
    (occasion) => SENTIMENTS.filter((one) => one.occasion === occasion).length,
  );
  expect(Math.min(...counts)).toBeGreaterThan(5);
  for (const text of texts) {
    expect([text, text.split('*').length % 2]).toEqual([text, 1]);
    // Nothing of how they are written down is left in what is laid.
    expect(filledIn(text, {}).replaceAll('*', '')).not.toMatch(/[{}|]/);
    for (const name of blanksIn(text)) expect(name).toMatch(/^[a-z]{2,12}$/);
  }
});

test('in every arrangement its letters are all in its two families, what stands between stars larger; a file takes it', () => {
  const families = new Set(FAMILIES.map(({ id }) => id));
  for (const how of ARRANGEMENTS)
    expect([how.id, families.has(how.small), families.has(how.large)]).toEqual([how.id, true, true]);
  fc.assert(
    fc.property(sentiment, arrangement, fc.integer({ min: 6, max: 80 }), ({ text }, how, size) => {
      const words = filledIn(text, { name: 'Ines', age: '7' });
      const { outline, ink } = arranged(words, how, size);
      expect(outline.text).toBe(words.replaceAll('*', ''));
      expect(ink).toMatch(/^#[0-9a-f]{6}$/);
      const larger = [...words.matchAll(/\*([^*]+)\*/g)].map(([, part]) => part);
      expect((outline.spans ?? []).map(({ start, end }) => outline.text.slice(start, end))).toEqual(larger);
      expect(lackingIn(outline.text, outline, typesetter)).toEqual([]);
      expect(() => glyphs.schema.validateSync(outline, { strict: true })).not.toThrow();
    }),
    { numRuns: 125 },
  );
});

test('blanks are filled with what is known, whatever it is; the others stay as a line to write on', () => {
  expect(blanksIn('{name} and {age}, {name}')).toEqual(['name', 'age']);
  expect(filledIn('Dear {name}, {age} today', { name: ' Ada ' })).toBe('Dear Ada, ____ today');
  fc.assert(
    fc.property(fc.string({ minLength: 1 }), (name) => {
      const said = name.trim() || '____';
      expect(filledIn('For {name}: {name}', { name })).toBe(`For ${said}: ${said}`);
    }),
  );
});

test('found by beginnings and middles of words in any order, stars and lines between them or not', () => {
  fc.assert(
    fc.property(sentiment, fc.integer({ min: 0, max: 40 }), fc.boolean(), (one, from, turned) => {
      const words = plainWords(one.text).split(' ');
      const picked = [words[from % words.length]!, words.at(-1)!];
      const sought = (turned ? picked.reverse() : picked).join('  ').toUpperCase();
      expect(foundSentiments(SENTIMENTS, sought, null)).toContain(one);
      expect(foundSentiments(SENTIMENTS, sought, one.occasion)).toContain(one);
      const other = Object.keys(OCCASIONS).find((occasion) => occasion !== one.occasion)!;
      expect(foundSentiments(SENTIMENTS, sought, other)).not.toContain(one);
    }),
  );
  expect(foundSentiments(SENTIMENTS, 'zzqy', null)).toEqual([]);
  // One's own may be written in any language, and with what any keyboard has.
  const own = [{ ...SENTIMENTS[0]!, id: 'own', text: 'C’est la *fête* d’Zoë' }];
  for (const sought of ['fete', 'FÊTE', "c'est", 'c’est', "d'zoe", 'fe\u0302te'])
    expect([sought, foundSentiments(own, sought, null)]).toEqual([sought, own]);
  expect(foundSentiments(SENTIMENTS, '  ', null)).toHaveLength(SENTIMENTS.length);
});

test('arranged anew what was larger stays larger, and what lives goes on living', () => {
  fc.assert(
    fc.property(sentiment, arrangement, arrangement, ({ text }, before, after) => {
      const { outline } = arranged(text, before, 20);
      const { to, ink } = rearranged(outline, after);
      const direct = arranged(text, after, 20);
      expect([to.spans, to.family, to.align, ink]).toEqual([
        direct.outline.spans,
        direct.outline.family,
        direct.outline.align,
        direct.ink,
      ]);
    }),
    { numRuns: 30 },
  );
  const field = { kind: 'fact', fact: 'who' } as const;
  const outline: GlyphsOutline = {
    ...arranged('For Ada, *with love*', ARRANGEMENTS[0]!, 20).outline,
    spans: [
      { start: 4, end: 7, field },
      { start: 9, end: 18, scale: 2, family: 'great-vibes', ink: '#9e2b45' },
    ],
  };
  const [, letterpress] = ARRANGEMENTS as [unknown, (typeof ARRANGEMENTS)[0]];
  expect(rearranged(outline, letterpress).to.spans).toEqual([
    { start: 4, end: 7, field },
    {
      ...{ start: 9, end: 18, family: letterpress.large, scale: letterpress.scale, ink: letterpress.accent },
    },
  ]);
  // A living word that was larger is both.
  const both = { ...outline, spans: [{ start: 4, end: 7, scale: 2, field }] };
  expect(rearranged(both, letterpress).to.spans).toMatchObject([{ field, scale: letterpress.scale }]);
});
