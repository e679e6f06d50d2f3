/** Where a sheet is cut and folded, as lines beside it. */
import { outset, type Box, type Size } from '@/core/geometry/box';
import { withBleed, type Sides } from '@/core/geometry/sides';
import type { Along, Line } from '@/core/product/imposition';

/** Points. */
const MARK_LENGTH = 18;
/** Room for them beyond the bleed, points. */
const MARK_ROOM = 27;

/** The paper that holds what is so large, its bleed and, if there are any, lines beside it; its origin is that of the trim. */
export const paperAround = (trim: Size, bleed: Sides, marked: boolean): Box =>
  outset(withBleed({ ...trim, bleed }), marked ? MARK_ROOM : 0);

/** At both ends of every cut or fold, beginning outside the bleed (or 3 pt out). */
export function linesBeside({ width, height }: Size, bleed: Sides, { x, y }: Along): Line[] {
  const away = (side: keyof Sides) => Math.max(bleed[side], 3) + 2;
  return [
    ...x.flatMap((at): Line[] => [
      [at, -away('top'), at, -away('top') - MARK_LENGTH],
      [at, height + away('bottom'), at, height + away('bottom') + MARK_LENGTH],
    ]),
    ...y.flatMap((at): Line[] => [
      [-away('left'), at, -away('left') - MARK_LENGTH, at],
      [width + away('right'), at, width + away('right') + MARK_LENGTH, at],
    ]),
  ];
}
