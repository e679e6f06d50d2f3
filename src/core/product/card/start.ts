/** What a card begins with: its sizes, and how it can be folded. */
import type { ProductStart } from '@/core/product/product';
import { LARGEST_SIDE, size, type PageSize } from '@/core/units/sizes';

/** The sheet may be three times as wide as the shut card. */
export const MOST_SHUT = LARGEST_SIDE / 3;

/** A quarter of letter paper folded once, five by seven (common practice, no source); A6 and squares out of A5 (ISO 216). */
const CARD_SIZES: readonly PageSize[] = [
  size('5.5x4.25', '5.5 x 4.25 in', 'a quarter of letter paper, lying', 5.5, 4.25, 'in'),
  size('4.25x5.5', '4.25 x 5.5 in', 'a quarter of letter paper, standing', 4.25, 5.5, 'in'),
  size('5x7', '5 x 7 in', 'a large greeting', 5, 7, 'in'),
  size('a6', 'A6', '105 x 148 mm', 105, 148, 'mm'),
  size('148', '148 x 148 mm', 'a square out of A5', 148, 148, 'mm'),
];

export const cardStart: ProductStart<'card'> = {
  kind: 'card',
  name: 'Card',
  untitled: 'Untitled card',
  sizes: CARD_SIZES,
  mostSide: MOST_SHUT,
  ways: {
    label: 'Folded',
    all: [
      { id: 'left', name: 'Left' },
      { id: 'top', name: 'Top' },
      { id: 'none', name: 'None' },
      { id: 'zigzag', name: 'Zigzag' },
      { id: 'gate', name: 'Gate' },
    ],
  },
  opens: (way) => (way === 'none' ? null : way === 'top' ? 'top' : 'left'),
};
