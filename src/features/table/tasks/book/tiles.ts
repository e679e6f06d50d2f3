/** How large the sides of a book are shown beside each other. */
import { isSpread } from '@/core/product/book';
import type { Surface } from '@/core/project/model';

type Side = Pick<Surface, 'width' | 'height' | 'part'>;

/** CSS pixels of its longer side, where a spread is `wide`; a page by itself is half of it, and no cover is wider. */
export function tileSide(surface: Side, all: readonly Side[], wide: number): number {
  const spread = Math.max(...all.filter(({ part = '' }) => isSpread(part)).map(({ width }) => width));
  const { width, height } = surface;
  return (wide * Math.max(width, height)) / Math.max(spread, width);
}
