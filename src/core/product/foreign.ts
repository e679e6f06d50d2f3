/** A product that a newer program knows and this one does not: it can be looked at and passed on as it is, not changed. */
import type { ProductKind } from '@/core/product/product';
import { LARGEST_SIDE, nameOfSize } from '@/core/units/sizes';

export interface ForeignProduct {
  kind: 'foreign';
  /** What the file says of it, kept as it is. */
  written: { kind: string };
}

export const foreign: ProductKind<ForeignProduct> = {
  kind: 'foreign',
  name: 'Product of a newer Bellagraph',
  untitled: 'Untitled project',
  sizes: [],
  mostSide: LARGEST_SIDE,
  waysOut: () => [{ as: ['flat', 'spreads', 'pages'], name: 'sides' }],
  begin: () => {
    throw new RangeError('Nobody begins what is not known.');
  },
  says: ({ written }, unit, { width, height }) => `${written.kind} of ${nameOfSize(width, height, unit)}`,
  onlySeen: ({ written }) =>
    `A newer Bellagraph made this ${written.kind}: here it can be looked at, saved as a file and made into pictures, all of it as it is, but not changed.`,
};
