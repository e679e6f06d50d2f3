/** Pages and cards on the sheets of paper they come out on, folded or packed: the same for the table and for `render`. */
import type { Size } from '@/core/geometry/box';
import { compose, translation, type Point } from '@/core/geometry/matrix';
import { NO_SIDES, type Sides } from '@/core/geometry/sides';
import { bleedOf } from '@/core/page/draw';
import { packedSheets, planSheets, type Backs, type Plan } from '@/core/packing/sheets';
import type { Taken } from '@/core/product';
import { evenBleed, foldedSheets, imposed, type Folding, type PrintSheet } from '@/core/product/imposition';
import type { SheetProduct } from '@/core/product/sheet';
import type { Surface } from '@/core/project/model';

export interface OnPaper {
  sheets: PrintSheet[];
  /** What is printed of each page beyond its trim, where it is seen. */
  bleed: Sides;
  /** Plans by which they are cut apart, as pages more: what each is of. */
  plans?: { paper: Size; plans: readonly Plan[] };
}

/** How cards come onto paper: their backs, and whether a plan of the cuts comes with them. */
export interface PaperWishes extends Backs {
  plan: boolean;
}

/** What is printed beyond all of some pages. */
export const bleedOn = (taken: readonly Taken<Surface>[], withBleed: boolean): Sides =>
  withBleed ? evenBleed(taken.map(bleedOf)) : NO_SIDES;

/**
 * @param leaf how thick a leaf is, points
 * @param off how far backs come out from where they should, points, as seen from the front: it is made good
 */
export function foldedOn(
  taken: readonly Taken<Surface>[],
  folding: Folding,
  leaf: number,
  withBleed: boolean,
  off: Point = { x: 0, y: 0 },
): OnPaper {
  const bleed = bleedOn(taken, withBleed);
  const sheets = foldedSheets(imposed(taken.length, folding), taken[0]!.panel!.box, bleed, leaf);
  // Turned like the page of a book: what comes out to the right of the front lies to the left of the back.
  return { sheets: sheets.map((sheet, i) => (i % 2 ? shifted(sheet, off.x, -off.y) : sheet)), bleed };
}

const shifted = (sheet: PrintSheet, x: number, y: number): PrintSheet =>
  x === 0 && y === 0
    ? sheet
    : {
        ...sheet,
        placed: sheet.placed.map(({ map, seen, ...each }) => ({
          ...{ ...each, map: compose(translation(x, y), map) },
          seen: { ...seen, x: seen.x + x, y: seen.y + y },
        })),
      };

export function packedOn(
  product: SheetProduct,
  plans: readonly Plan[],
  taken: readonly Taken<Surface>[],
  withBleed: boolean,
  { plan, ...backs }: PaperWishes,
): OnPaper {
  const parts = taken.map(({ surface }) => surface.part ?? '');
  const sheets = packedSheets(product, plans, parts, withBleed ? taken.map(bleedOf) : null, backs);
  const bleed = bleedOn(taken, withBleed);
  if (!plan) return { sheets, bleed };
  const { width, height } = product;
  return {
    sheets: [...sheets, ...planSheets(product, plans, taken.length + 1)],
    bleed,
    plans: { paper: { width, height }, plans },
  };
}
