/** What the stand-in shop prints, and what it asks of files. Figures are common practice of print shops, no source. */
import type { Catalogue } from '@/core/order/answers';
import type { OrderedAs } from '@/core/order/ticket';

interface Printed {
  says: string;
  /** Trimmed, the longer side; mm. */
  longest: number;
  pages: { least: number; most: number; step: number };
  /** With a cover in a file of its own. */
  cover: boolean;
}

/** What it can bind and cut. */
export const PRINTED: Record<OrderedAs, Printed> = {
  sheets: {
    ...{ says: 'Single sheets up to 320 x 320 mm, up to 100 of them', longest: 320 },
    ...{ pages: { least: 1, most: 100, step: 1 }, cover: false },
  },
  'folded card': {
    ...{ says: 'Folded cards, both sides, up to 450 mm open', longest: 450 },
    ...{ pages: { least: 2, most: 2, step: 2 }, cover: false },
  },
  calendar: {
    ...{ says: 'Calendars of 2 to 60 leaves', longest: 610 },
    ...{ pages: { least: 2, most: 60, step: 1 }, cover: false },
  },
  book: {
    ...{ says: 'Books of 20 to 200 pages, with their cover', longest: 320 },
    ...{ pages: { least: 20, most: 200, step: 2 }, cover: true },
  },
};

/** Beyond every edge, mm; a cut may be off by half of it. */
export const BLEED = 3;
/** Photographs coarser than this are not printed, and told below the second. */
export const LEAST_PPI = 100;
export const GOOD_PPI = 200;
/** How far sizes may be off, mm. */
export const TOLERANCE = 0.2;

export const CATALOGUE: Catalogue = {
  name: 'The Pier Press',
  says: 'A print shop to try things with: it ships with Bellagraph. It looks at the files as a shop does, and prints nothing.',
  bleed: BLEED,
  leastPpi: LEAST_PPI,
  conditions: ['FOGRA39', 'FOGRA29', 'CGATS TR 006'],
  products: (Object.keys(PRINTED) as OrderedAs[]).map((is) => ({ is, says: PRINTED[is].says })),
};
