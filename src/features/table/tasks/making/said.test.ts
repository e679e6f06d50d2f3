/** What is told of what comes out: pages of one size, and of several. */
import { expect, test } from '@jest/globals';
import { book } from '../../../../../scripts/testing/books';
import { outInWords } from '@/features/table/tasks/making/said';

test('a size is told of each page only where all have it', () => {
  const { surfaces, unit } = book();
  const [, first, spread, another] = surfaces;
  const told = (...sides: (typeof surfaces)[number][]) =>
    outInWords({
      choice: { id: 'all', says: 'All', taken: sides.map((surface) => ({ surface })) },
      options: { format: 'jpg', ppi: 300, side: 1000, withBleed: false, cropMarks: false },
      ...{ sheets: null, size: sides[0]!, trim: sides[0]!, unit },
    });
  expect(told(spread!, another!)).toBe('2 files in one .zip, each 16 x 8 in; 1000 x 500 pixels, sRGB.');
  expect(told(first!, spread!)).toBe(
    '2 files in one .zip, of several sizes, the first 8 x 8 in; 1000 x 1000 pixels, sRGB.',
  );
});
