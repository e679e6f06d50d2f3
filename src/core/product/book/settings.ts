/** A book with other settings. */
import { BINDS } from '@/core/product/book/binding';
import { freshSpread, MOST_SPREADS, pagesOf, type BookProduct } from '@/core/product/book';

/** Pages a book may have, bound as it is. */
export const FEWEST_PAGES = 4;
export const MOST_PAGES = 2 * MOST_SPREADS + 2;

/** The next number of pages that its binding can have. */
export function boundPages(pages: number, { binding }: Pick<BookProduct, 'binding'>): number {
  const { step } = BINDS[binding];
  return Math.min(MOST_PAGES, Math.max(FEWEST_PAGES, step * Math.ceil(pages / step)));
}

/** The book with so many pages: what is too much goes at its end, what is missing comes there. */
export function withPages(book: BookProduct, pages: number): BookProduct {
  const count = boundPages(pages, book) / 2 - 1;
  const spreads = book.spreads.slice(0, count);
  while (spreads.length < count) spreads.push(freshSpread(spreads.concat(book.spreads)));
  return { ...book, spreads };
}

/** Otherwise bound or on other paper; a booklet has pages in fours, so that some may come at its end. */
export function bound(
  book: BookProduct,
  to: Partial<Pick<BookProduct, 'binding' | 'paper' | 'flaps'>>,
): BookProduct {
  const next = { ...book, ...to };
  if (!next.flaps) delete next.flaps;
  return withPages(next, pagesOf(next));
}
