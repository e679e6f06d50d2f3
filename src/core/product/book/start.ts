/** What a book begins with: its sizes, and how it can be bound. */
import type { ProductStart } from '@/core/product/product';
import { LARGEST_SIDE, size, type PageSize } from '@/core/units/sizes';

/** The ways a book is bound, the usual one first. */
export const BOOK_BINDINGS = {
  hard: { name: 'Hardcover', says: 'hardcover' },
  soft: { name: 'Softcover', says: 'softcover' },
  flat: { name: 'Lay-flat', says: 'lay-flat, hardcover' },
  booklet: { name: 'Booklet', says: 'a booklet, saddle-stitched' },
  post: { name: 'Album', says: 'album leaves, post-bound' },
} as const;
export type BookBinding = keyof typeof BOOK_BINDINGS;

/** A cover lies open with its spine and what is turned in: the pages are no wider than leaves room for that. */
export const MOST_PAGE = LARGEST_SIDE / 4;

/** What is offered for photo books (common practice, no source); A5 and A4 are ISO 216. */
const SIZES: readonly PageSize[] = [
  size('8x8', '8 x 8 in', 'a small square book', 8, 8, 'in'),
  size('10x10', '10 x 10 in', 'a square book', 10, 10, 'in'),
  size('12x12', '12 x 12 in', 'a large square book', 12, 12, 'in'),
  size('8x10', '8 x 10 in', 'standing', 8, 10, 'in'),
  size('10x8', '10 x 8 in', 'lying', 10, 8, 'in'),
  size('11x8.5', '11 x 8.5 in', 'letter paper, lying', 11, 8.5, 'in'),
  size('8.5x11', '8.5 x 11 in', 'letter paper, standing', 8.5, 11, 'in'),
  size('a5', 'A5', '148 x 210 mm', 148, 210, 'mm'),
  size('a4', 'A4', '210 x 297 mm', 210, 297, 'mm'),
  size('a4l', 'A4, lying', '297 x 210 mm', 297, 210, 'mm'),
  size('200', '20 x 20 cm', 'a small square book', 200, 200, 'mm'),
  size('300', '30 x 30 cm', 'a large square book', 300, 300, 'mm'),
];

export const bookStart: ProductStart<'book'> = {
  kind: 'book',
  name: 'Book',
  untitled: 'Untitled book',
  sizes: SIZES,
  mostSide: MOST_PAGE,
  ways: { label: 'Bound', all: Object.entries(BOOK_BINDINGS).map(([id, { name }]) => ({ id, name })) },
  opens: () => 'left',
};
