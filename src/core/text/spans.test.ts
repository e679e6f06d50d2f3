import fc from 'fast-check';
import { letterEnds } from '@/core/text/letters';
import { ownOf, placeAfter, respanned, spanned } from '@/core/text/spans';
import type { Span } from '@/core/text/style';

const red = { ink: '#9e2b45' };

describe('stretches of a text', () => {
  const cases: [string, Span[], string, string, [number, number][]][] = [
    ['written before it: it moves', [{ start: 2, end: 4, ...red }], 'abCDe', 'xabCDe', [[3, 5]]],
    ['written at its beginning: it moves', [{ start: 2, end: 4, ...red }], 'abCDe', 'abxCDe', [[3, 5]]],
    ['written within it: it grows', [{ start: 2, end: 4, ...red }], 'abCDe', 'abCxDe', [[2, 5]]],
    ['written at its end: it grows', [{ start: 2, end: 4, ...red }], 'abCDe', 'abCDxe', [[2, 5]]],
    ['its end taken away', [{ start: 2, end: 4, ...red }], 'abCDe', 'abC', [[2, 3]]],
    [
      'all of it written over: the new has its look',
      [{ start: 2, end: 4, ...red }],
      'abCDe',
      'abxyze',
      [[2, 5]],
    ],
    ['all of it taken away', [{ start: 2, end: 4, ...red }], 'abCDe', 'abe', []],
    // The halves of these in UTF-16, and their marks, are alike.
    ['a picture of two alike taken away', [{ start: 0, end: 2, ...red }], '😀😁', '😁', []],
    ['the one beside it taken away', [{ start: 2, end: 4, ...red }], '😀😁', '😁', [[0, 2]]],
    ['a hand beside a darker one taken away', [{ start: 2, end: 6, ...red }], '👍👍🏽', '👍🏽', [[0, 4]]],
    ['a mark put on its last letter', [{ start: 1, end: 2, ...red }], 'be', 'be\u0301', [[1, 3]]],
  ];
  test.each(cases)('%s', (_, spans, before, after, wanted) => {
    expect(respanned(spans, before, after).map(({ start, end }) => [start, end])).toEqual(wanted);
  });

  const edits = fc.array(
    fc.record({
      from: fc.nat(20),
      long: fc.integer({ min: 1, max: 10 }),
      change: fc.constantFrom(
        { ink: '#111111' },
        { ink: undefined },
        { scale: 2 },
        { scale: undefined, ink: '#222222' },
      ),
    }),
    { minLength: 1, maxLength: 8 },
  );

  test('whatever is given to stretches, each letter has what it was given last, and stretches lie in order', () => {
    fc.assert(
      fc.property(edits, (list) => {
        let spans: Span[] = [];
        const letters: { ink?: string; scale?: number }[] = Array.from({ length: 32 }, () => ({}));
        for (const { from, long, change } of list) {
          spans = spanned(spans, from, from + long, change);
          for (let at = from; at < from + long; at++) Object.assign(letters[at]!, change);
        }
        letters.forEach((own, at) => {
          const { ink, scale } = ownOf({ spans }, at, at + 1);
          expect([at, ink, scale]).toEqual([at, own.ink, own.scale]);
        });
        spans.forEach(({ start, end }, i) => {
          expect(start).toBeLessThan(end);
          if (i) expect(start).toBeGreaterThanOrEqual(spans[i - 1]!.end);
        });
      }),
    );
  });

  test('however a text is changed, its stretches stay within it and end between letters', () => {
    const text = fc.string({
      unit: fc.constantFrom('a', ' ', '😀', '😁', '👍', '🏽', '\u0301'),
      maxLength: 12,
    });
    fc.assert(
      fc.property(text, text, fc.nat(11), fc.nat(11), (before, after, a, b) => {
        const ends = [0, ...letterEnds(before)];
        const [start, end] = [a, b].map((at) => ends[Math.min(at, ends.length - 1)]!).sort((p, q) => p - q);
        if (start === end) return;
        const between = [0, ...letterEnds(after)];
        for (const span of respanned([{ start: start!, end: end!, ...red }], before, after)) {
          expect(between).toContain(span.start);
          expect(between).toContain(span.end);
        }
      }),
    );
  });
});

test('a place keeps to what stands beside it, whatever is written or taken away elsewhere', () => {
  fc.assert(
    fc.property(
      ...([fc.string(), fc.string(), fc.string(), fc.string()] as const),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (head, old, now, rest, share) => {
        const [before, after] = [`${head}${old}${rest}`, `${head}${now}${rest}`];
        const at = Math.round(share * before.length);
        const there = placeAfter(at, before, after);
        expect(there >= 0 && there <= after.length).toBe(true);
        if (at <= head.length) expect(after.slice(0, there).startsWith(head.slice(0, at))).toBe(true);
        // What stands behind it stands behind it still; what is put in where it is may stand on either side.
        if (at > head.length + old.length) expect(after.slice(there)).toBe(before.slice(at));
      },
    ),
    { numRuns: 150 },
  );
  expect([
    placeAfter(2, '1. kite', 'kite'),
    placeAfter(7, '1. kite', 'kite'),
    placeAfter(4, 'kite', '1. kite'),
    placeAfter(2, '😀😁', '😁'),
    placeAfter(1, 'e', 'e\u0301'),
  ]).toEqual([0, 4, 7, 0, 2]);
});
