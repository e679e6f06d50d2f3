/** On which paper pages larger than it are printed at home, kept in this browser: it is a thing of the printer. */
import { number, object, string } from 'yup';
import type { Tiling } from '@/core/packing/tiles';
import { SHEET_PAPERS } from '@/core/product/sheet/start';
import { useKept } from '@/ui/useKept';

export const OWN_SIZE = 'own';
/** Points. */
export const MOST_MARGIN = 216;
export const MOST_OVERLAP = 144;

export interface TileWishes {
  /** One of those that go through printers, or `own`: the page's size. */
  paper: string;
  margin: number;
  overlap: number;
}

/** What most printers at home lose, a quarter of an inch (common practice, no source). */
const FIRST: TileWishes = { paper: OWN_SIZE, margin: 18, overlap: 18 };

const schema = object({
  paper: string()
    .oneOf([OWN_SIZE, ...SHEET_PAPERS.map(({ id }) => id)])
    .required(),
  margin: number().min(0).max(MOST_MARGIN).required(),
  overlap: number().min(0).max(MOST_OVERLAP).required(),
}).noUnknown();

export const useTiles = () =>
  useKept('bellagraph tiles', FIRST, (kept): TileWishes => schema.validateSync(kept, { strict: true }));

/** Undefined for the page's own size. */
export function tilingOf({ paper, margin, overlap }: TileWishes): Tiling | undefined {
  const found = SHEET_PAPERS.find(({ id }) => id === paper);
  return found && { paper: { width: found.width, height: found.height }, margin, overlap };
}
