import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  evenBleed,
  foldedSheets,
  imposed,
  MOST_FOLDS,
  pagesOfSheet,
  type Folding,
  type Placed,
  type SheetSide,
} from '@/core/product/imposition';

/** Row by row from the top, as one looks at a side; what stands on its head with a mark. */
const read = ({ cells, columns, rows }: SheetSide): string[] =>
  Array.from({ length: rows }, (_, row) =>
    Array.from({ length: columns }, (_, column) => {
      const { page, turned } = cells.find((cell) => cell.row === row && cell.column === column)!;
      return `${page ?? '-'}${turned ? '*' : ''}`;
    }).join(' '),
  );

describe('known signatures (common practice of sheetwise right-angle folding, from memory)', () => {
  test('4 pages, folded once', () => {
    expect(imposed(4, { folds: 1 }).map(read)).toEqual([['4 1'], ['2 3']]);
  });
  test('8 pages, folded twice: heads to heads', () => {
    expect(imposed(8, { folds: 2 }).map(read)).toEqual([
      ['5* 4*', '8 1'],
      ['3* 6*', '2 7'],
    ]);
  });
  test('16 pages, folded three times', () => {
    expect(imposed(16, { folds: 3 }).map(read)).toEqual([
      ['5* 12* 9* 8*', '4 13 16 1'],
      ['7* 10* 11* 6*', '2 15 14 3'],
    ]);
  });
  test('8 and 16 pages of sheets folded once, laid into each other', () => {
    expect(imposed(8, { folds: 1 }).map(read).flat()).toEqual(['8 1', '2 7', '6 3', '4 5']);
    expect(imposed(16, { folds: 1 }).map(read).flat()).toEqual([
      ...['16 1', '2 15', '14 3', '4 13'],
      ...['12 5', '6 11', '10 7', '8 9'],
    ]);
  });
  test('32 pages: eight sheets laid into each other, and two signatures of sheets folded three times', () => {
    const nested = imposed(32, { folds: 1 }).map(read).flat();
    expect([...nested.slice(0, 4), ...nested.slice(-2)]).toEqual([
      ...['32 1', '2 31', '30 3', '4 29'],
      ...['18 15', '16 17'],
    ]);
    expect(imposed(32, { folds: 3, nested: 1 }).slice(2).map(read)).toEqual([
      ['21* 28* 25* 24*', '20 29 32 17'],
      ['23* 26* 27* 22*', '18 31 30 19'],
    ]);
  });
  test('20 pages in signatures of 16: the last has one sheet; 6 pages leave two blank at the end', () => {
    expect(imposed(20, { folds: 1, nested: 4 }).slice(-2).map(read).flat()).toEqual(['20 17', '18 19']);
    expect(imposed(6, { folds: 1 }).map(read).flat()).toEqual(['- 1', '2 -', '6 3', '4 5']);
  });
});

test('any book: every page once, its leaf’s other page behind it, bound where its neighbour is', () => {
  const any = fc.record({
    pages: fc.integer({ min: 1, max: 96 }),
    folds: fc.integer({ min: 1, max: MOST_FOLDS }),
    nested: fc.option(fc.integer({ min: 1, max: 8 }), { nil: undefined }),
  });
  fc.assert(
    fc.property(any, ({ pages, folds, nested }) => {
      const sides = imposed(pages, { folds, ...(nested ? { nested } : {}) });
      const all = sides.flatMap(({ cells }) => cells.flatMap(({ page }) => page ?? []));
      expect(all.sort((a, b) => a - b)).toEqual(Array.from({ length: pages }, (_, i) => i + 1));
      for (let i = 0; i < sides.length; i += 2) {
        const [front, back] = [sides[i]!, sides[i + 1]!];
        expect([front.cells.length, front.sheet]).toEqual([pagesOfSheet(folds) / 2, back.sheet]);
        for (const cell of front.cells) {
          const behind = back.cells.find(
            ({ column, row }) => row === cell.row && column === front.columns - 1 - cell.column,
          )!;
          if (cell.page && behind.page) {
            expect(Math.abs(cell.page - behind.page)).toBe(1);
            expect(Math.ceil(cell.page / 2)).toBe(Math.ceil(behind.page / 2));
          }
          expect([behind.turned, behind.within]).toEqual([cell.turned, cell.within]);
          // Two and two share a fold, in every row.
          expect(cell.spine).toBe(cell.column % 2 ? 'left' : 'right');
        }
      }
    }),
    { numRuns: 20 },
  );
});

/** A point of a page on its sheet. */
const onSheet = ([a, b, c, d, e, f]: Placed['map'], x: number, y: number): [number, number] => [
  a * x + c * y + e,
  b * x + d * y + f,
];
const SIZE = { width: 200, height: 300 };
const BLEED = { left: 9, right: 9, top: 6, bottom: 6 };
const sheets = (pages: number, folding: Folding, leaf = 0) =>
  foldedSheets(imposed(pages, folding), SIZE, BLEED, leaf);

describe('where pages lie on a sheet', () => {
  test('once folded: two pages beside each other, cut all round, folded in the middle', () => {
    const [outside] = sheets(4, { folds: 1 });
    expect(outside!.trim).toEqual({ width: 400, height: 300 });
    expect(outside!.cuts).toEqual({ x: [0, 400], y: [0, 300] });
    expect(outside!.folds).toEqual({ x: [200], y: [] });
    expect(outside!.placed.map(({ page, map }) => [page, map])).toEqual([
      [1, [1, 0, 0, 1, 200, 0]],
      [4, [1, 0, 0, 1, 0, 0]],
    ]);
    // What is printed beyond a page ends at the fold it is bound by.
    expect(outside!.placed.map(({ seen }) => seen)).toEqual([
      { x: 200, y: -6, width: 209, height: 312 },
      { x: -9, y: -6, width: 209, height: 312 },
    ]);
  });
  test('twice folded: heads to heads, with a trim between the rows, the fold in its middle', () => {
    const [outside] = sheets(8, { folds: 2 });
    expect(outside!.trim).toEqual({ width: 400, height: 612 });
    expect(outside!.cuts).toEqual({ x: [0, 400], y: [0, 300, 312, 612] });
    expect(outside!.folds).toEqual({ x: [200], y: [306] });
    const five = outside!.placed.find(({ page }) => page === 5)!;
    // On its head: its upper left corner is at the lower right of its place.
    expect([onSheet(five.map, 0, 0), onSheet(five.map, 200, 300)]).toEqual([
      [200, 300],
      [0, 0],
    ]);
  });
  test('three times folded: two pairs beside each other, a trim between them, and a fold in it', () => {
    const [outside] = sheets(16, { folds: 3 });
    expect(outside!.trim).toEqual({ width: 818, height: 612 });
    expect(outside!.cuts.x).toEqual([0, 400, 418, 818]);
    expect(outside!.folds.x).toEqual([200, 409, 618]);
  });

  const any = fc.record({
    pages: fc.integer({ min: 1, max: 64 }),
    folds: fc.integer({ min: 1, max: MOST_FOLDS }),
    nested: fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined }),
  });
  test('any book: pages lie apart, within what is left of the sheet; those of a leaf exactly behind each other', () => {
    fc.assert(
      fc.property(any, ({ pages, folds, nested }) => {
        const all = sheets(pages, { folds, ...(nested ? { nested } : {}) });
        for (let i = 0; i < all.length; i += 2) {
          const [front, back] = [all[i]!, all[i + 1]!];
          const corners = ({ map }: Placed) =>
            [onSheet(map, 0, 0), onSheet(map, SIZE.width, SIZE.height)].sort(([a], [b]) => a - b);
          for (const side of [front, back]) {
            const boxes = side.placed.map(corners);
            for (const [[x1, y1], [x2, y2]] of boxes as [[number, number], [number, number]][]) {
              expect(Math.min(x1, x2, y1, y2)).toBeGreaterThanOrEqual(0);
              expect([x2 <= side.trim.width, Math.max(y1, y2) <= side.trim.height]).toEqual([true, true]);
            }
            expect(new Set(boxes.map(String)).size).toBe(boxes.length);
          }
          for (const page of front.placed) {
            const behind = back.placed.find(
              (other) => Math.ceil(other.page / 2) === Math.ceil(page.page / 2),
            );
            if (!behind) continue;
            // The sheet is turned over about its upright middle line: left of the one is right of the other.
            const here = corners(page).map(([x, y]) => [x, y].join());
            const there = corners(behind).map(([x, y]) => [front.trim.width - x, y].join());
            expect(new Set(there.map((at) => at.split(',')[0]))).toEqual(
              new Set(here.map((at) => at.split(',')[0])),
            );
            expect(new Set(there.map((at) => at.split(',')[1]))).toEqual(
              new Set(here.map((at) => at.split(',')[1])),
            );
          }
        }
      }),
      { numRuns: 20 },
    );
  });

  test('what lies within others is moved to its fold by the leaves about it, on both its faces alike', () => {
    const thick = 0.5;
    const [flat, crept] = [sheets(16, { folds: 1 }), sheets(16, { folds: 1 }, thick)];
    // Sheets laid into each other: the outermost stays, each that lies in it is moved by one leaf more.
    flat.forEach((side, i) =>
      side.placed.forEach((page, k) => {
        const moved = crept[i]!.placed[k]!.map[4] - page.map[4];
        const toFold = page.map[4] < 200 ? 1 : -1;
        expect(moved).toBeCloseTo(toFold * thick * Math.floor(i / 2));
      }),
    );
    // The same leaf goes the same way seen from either side.
    for (let i = 0; i < crept.length; i += 2)
      for (const page of crept[i]!.placed) {
        const behind = crept[i + 1]!.placed.find(
          ({ page: other }) => Math.ceil(other / 2) === Math.ceil(page.page / 2),
        )!;
        expect(400 - behind.map[4] - 200).toBeCloseTo(page.map[4]);
      }
  });

  test('bleeds that differ are as much on opposite sides as the most of them: pages lie either way up', () => {
    expect(
      evenBleed([
        { left: 0, right: 9, top: 3, bottom: 1 },
        { left: 4, right: 0, top: 2, bottom: 5 },
      ]),
    ).toEqual({
      ...{ left: 9, right: 9, top: 5, bottom: 5 },
    });
  });
});
