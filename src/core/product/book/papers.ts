/** Papers a book is printed on: how heavy, and how thick one leaf of it is. */
import { toPoints } from '@/core/units/lengths';

interface BookPaper {
  name: string;
  /** Grammage, g/m2 (ISO 536). */
  grammage: number;
  /** Thickness of one leaf, mm (ISO 534). */
  caliper: number;
}

/** Usual values of the trade (common practice, no source): coated papers near 0.9 µm for each g/m2, uncoated near 1.25, photo paper by what its makers state. */
const TABLE = {
  'coated-115': { name: 'Coated, light', grammage: 115, caliper: 0.1 },
  'coated-170': { name: 'Coated', grammage: 170, caliper: 0.15 },
  'coated-250': { name: 'Coated, heavy', grammage: 250, caliper: 0.25 },
  'uncoated-120': { name: 'Uncoated', grammage: 120, caliper: 0.15 },
  'uncoated-170': { name: 'Uncoated, heavy', grammage: 170, caliper: 0.21 },
  'photo-260': { name: 'Photo paper', grammage: 260, caliper: 0.26 },
  'card-300': { name: 'Card', grammage: 300, caliper: 0.3 },
} satisfies Record<string, BookPaper>;

export type PaperId = keyof typeof TABLE;
export const BOOK_PAPERS: Record<PaperId, BookPaper> = TABLE;

/** `Coated, 170 g/m², 0.15 mm`. */
export const paperSays = (id: PaperId): string => {
  const { name, grammage, caliper } = BOOK_PAPERS[id];
  return `${name}, ${grammage} g/m², ${caliper} mm`;
};

/** Thickness of so many leaves, points. */
export const thicknessOf = (leaves: number, paper: PaperId): number =>
  leaves * toPoints(BOOK_PAPERS[paper].caliper, 'mm');
