import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { imposed, MOST_FOLDS, pagesOfSheet, type SheetSide } from '@/core/product/imposition';

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
    { numRuns: 40 },
  );
});
