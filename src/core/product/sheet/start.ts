/** What a sheet of small things begins with: the size of its first card, and the paper all are printed on. */
import type { ProductStart } from '@/core/product/product';
import { LARGEST_SIDE, size, type PageSize } from '@/core/units/sizes';

/** Papers that go through printers (A3 and A4: ISO 216; the others: common practice, no source). */
export const SHEET_PAPERS: readonly PageSize[] = [
  size('letter', 'Letter', '8.5 x 11 in', 8.5, 11, 'in'),
  size('legal', 'Legal', '8.5 x 14 in', 8.5, 14, 'in'),
  size('12x12', '12 x 12 in', 'cardstock', 12, 12, 'in'),
  size('13x19', '13 x 19 in', 'a large photo printer', 13, 19, 'in'),
  size('a4', 'A4', '210 x 297 mm', 210, 297, 'mm'),
  size('a3', 'A3', '297 x 420 mm', 297, 420, 'mm'),
];

/** What it is printed on, where that is no paper: nothing is printed on the back of it. */
export const STOCKS = { magnet: 'Magnet sheet', sticker: 'Sticker sheet' } as const;
export type Stock = keyof typeof STOCKS;

/** Pocket cards, photos and tags (common practice, no source). */
const SIZES: readonly PageSize[] = [
  size('4x3', '4 x 3 in', 'a pocket card, lying', 4, 3, 'in'),
  size('3x4', '3 x 4 in', 'a pocket card, standing', 3, 4, 'in'),
  size('4x6', '4 x 6 in', 'a large pocket card, standing', 4, 6, 'in'),
  size('6x4', '6 x 4 in', 'a large pocket card or a photo, lying', 6, 4, 'in'),
  size('2x2', '2 x 2 in', 'a small square, a magnet', 2, 2, 'in'),
  size('2x6', '2 x 6 in', 'a bookmark', 2, 6, 'in'),
  size('2x3.5', '2 x 3.5 in', 'a tag', 2, 3.5, 'in'),
  size('3x1', '3 x 1 in', 'a label', 3, 1, 'in'),
];

export const sheetStart: ProductStart<'sheet'> = {
  kind: 'sheet',
  name: 'Sheet',
  untitled: 'Untitled sheet',
  sizes: SIZES,
  mostSide: LARGEST_SIDE / 3,
  ways: { label: 'Printed on', all: SHEET_PAPERS.map(({ id, name }) => ({ id, name })) },
};
