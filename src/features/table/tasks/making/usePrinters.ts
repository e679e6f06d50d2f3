/** The printers at home and the paper that is in them, kept in this browser: they belong to the desk, not to a project. */
import { number, object, string } from 'yup';
import { readPrinters, USUAL, type Printer, type Printers } from '@/core/packing/printer';
import { SEVERAL } from '@/core/packing/several';
import type { Tiling } from '@/core/packing/tiles';
import { SHEET_PAPERS } from '@/core/product/sheet/start';
import { useKept } from '@/ui/useKept';

const FIRST: Printers = { used: USUAL.id, all: [USUAL] };

export const usePrinters = () => useKept('bellagraph printers', FIRST, readPrinters);

export const OWN_SIZE = 'own';
/** Points. */
export const MOST_OVERLAP = 144;

/** True to size on as many sheets as it takes, smaller on one, a strip to try, several pages on a sheet. */
export const PAPER_USES = ['tiles', 'fit', 'strip', 'several'] as const;
export type PaperUse = (typeof PAPER_USES)[number];

export interface TileWishes {
  /** One of those that go through printers, or `own`: the page's size. */
  paper: string;
  overlap: number;
  how: PaperUse;
  /** Pages on a sheet, where there are several. */
  count: number;
}

const FIRST_TILES: TileWishes = { paper: OWN_SIZE, overlap: 18, how: 'tiles', count: 2 };

const schema = object({
  paper: string()
    .oneOf([OWN_SIZE, ...SHEET_PAPERS.map(({ id }) => id)])
    .required(),
  overlap: number().min(0).max(MOST_OVERLAP).required(),
  how: string().oneOf(PAPER_USES).required(),
  count: number().oneOf(SEVERAL).required(),
}).noUnknown();

export const useTiles = () =>
  useKept('bellagraph paper', FIRST_TILES, (kept): TileWishes => schema.validateSync(kept, { strict: true }));

/** Undefined for the page's own size. */
export function tilingOf({ paper, overlap, how }: TileWishes, { lost }: Printer): Tiling | undefined {
  const found = SHEET_PAPERS.find(({ id }) => id === paper);
  return (
    found && {
      ...{ paper: { width: found.width, height: found.height }, lost, overlap },
      ...(how === 'fit' || how === 'strip' ? { how } : {}),
    }
  );
}
