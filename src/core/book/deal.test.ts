/** Dealing by what must always hold, against all ways there are where these can be counted. */
import fc from 'fast-check';
import { costOfAll, deal, type DealWish } from '@/core/book/deal';
import { dealtSpreads, designFor } from '@/core/book/design';
import { bookPhoto, seenIn, type BookPhoto, type BookPlace } from '@/core/book/photo';
import { plainDesign } from '@/core/book/plain';
import { book, photos } from '../../../scripts/testing/books';

const SPREADS = dealtSpreads(designFor(plainDesign(), book()));
const PAGE = { width: 576, height: 576 };
const wishFor = (count: number, seed: number, more: Partial<DealWish> = {}): DealWish => ({
  ...{ photos: photos(count, seed).map(bookPhoto), chapters: [], spreads: SPREADS, page: PAGE, wanted: null },
  ...{ alike: [], seed },
  ...more,
});

test('every photo once, in order from spread to spread; chapters begin spreads; the same seed deals the same', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 70 }),
      fc.nat(500),
      fc.array(fc.nat(69), { maxLength: 5 }),
      (count, seed, at) => {
        const chapters = [...new Set([0, ...at.filter((i) => i < count)])].sort((a, b) => a - b);
        const wish = wishFor(count, seed, { chapters });
        const out = deal(wish)!;
        expect(out.flatMap(({ photos: each }) => [...each].sort((a, b) => a - b))).toEqual(
          Array.from({ length: count }, (_, i) => i),
        );
        for (const { key, photos: each } of out)
          expect(SPREADS.find((spread) => spread.key === key)!.places).toHaveLength(each.length);
        const begins = out.map(({ photos: each }) => Math.min(...each));
        for (const chapter of chapters) expect(begins).toContain(chapter);
        expect(deal(wish)).toEqual(out);
      },
    ),
    { numRuns: 15 },
  );
});

test('a wanted number of spreads is kept to, or said to be impossible', () => {
  for (const [count, wanted] of [
    [40, 11],
    [60, 11],
    [12, 12],
    [120, 19],
  ] as const)
    expect(deal(wishFor(count, 3, { wanted }))).toHaveLength(wanted);
  expect(deal(wishFor(3, 1, { wanted: 4 }))).toBeNull();
  expect(deal(wishFor(30, 1, { wanted: 2 }))).toBeNull();
});

test('of few photos no other way of all there are costs less', () => {
  const few = SPREADS.filter(({ chapter, places }) => !chapter && places.length < 5);
  const ways = (left: number): string[][] =>
    left === 0
      ? [[]]
      : few
          .filter(({ places }) => places.length <= left)
          .flatMap(({ key, places }) => ways(left - places.length).map((rest) => [key, ...rest]));
  for (const seed of [1, 2]) {
    const wish = wishFor(5, seed, { spreads: few });
    const found = deal(wish)!.map(({ key }) => key);
    const all = ways(5).map((keys) => costOfAll(wish, keys));
    expect(all.length).toBeGreaterThan(200);
    expect(costOfAll(wish, found)).toBeCloseTo(Math.min(...all), 9);
  }
});

describe('what is seen of a photo', () => {
  const of = (more: Partial<BookPhoto>): BookPhoto => ({
    ...{
      sha: 'a',
      width: 3000,
      height: 2000,
      time: null,
      stars: 0,
      focus: { x: 0.5, y: 0.5 },
      faces: [],
      blur: 0,
    },
    ...more,
  });
  const at = (width: number, height: number, gutter: BookPlace['gutter'] = null): BookPlace => ({
    width,
    height,
    gutter,
  });

  test('by hand: a square of a 3:2 photo is two thirds of it wide; a face at its right edge is whole there', () => {
    const faces = [{ x: 0.85, y: 0.3, width: 0.12, height: 0.2 }];
    const seen = seenIn(of({ faces }), at(100, 100));
    // It may lie at 1/3 to 2/3; the face's middle wishes for 0.91.
    expect(seen).toMatchObject({ x: expect.closeTo(2 / 3), cut: 0 });
  });

  test('what matters lies beside the gutter: the photo slides until it does, or says that it cannot', () => {
    const gutter = { from: 180, to: 220 };
    expect(seenIn(of({}), at(400, 266.7, gutter)).inGutter).toBe(true);
    const slid = seenIn(of({ width: 6000 }), at(400, 266.7, gutter));
    expect(slid.inGutter).toBe(false);
    expect(Math.abs(slid.x - 0.5)).toBeLessThan(0.2);
  });

  test('a face that can be whole is whole, and never in the gutter if that can be', () => {
    const share = fc.double({ min: 0.02, max: 0.9, noNaN: true });
    fc.assert(
      fc.property(share, share, fc.double({ min: 0.4, max: 3, noNaN: true }), (x, y, ratio) => {
        const faces = [{ x, y, width: 0.09, height: 0.09 }];
        const seen = seenIn(of({ faces }), at(300 * ratio, 300));
        const wide = Math.min(1, (300 * ratio) / 300 / 1.5);
        const high = Math.min(1, 1.5 / ratio);
        expect(seen.cut).toBe(wide < 0.09 || high < 0.09 ? 1 : 0);
      }),
    );
  });
});
