/** What lies too near the trim: words a trimmer may cut into, and papers that end where white may show. */
import type { Box } from '@/core/geometry/box';
import { pathBounds, transformPath } from '@/core/geometry/path';
import type { Sides } from '@/core/geometry/sides';
import { isOpening } from '@/core/page/through';
import { outlineOf } from '@/core/page/outlines';
import { isWritten } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import { on, type Check, type Looked } from '@/core/proof/check';
import { formatLength } from '@/core/units/lengths';

const SIDES: readonly (keyof Sides)[] = ['left', 'right', 'top', 'bottom'];

/** What of a piece is inked, on the page. */
const inkOf = (piece: Piece, { tools }: Looked): Box =>
  pathBounds(transformPath(placementMatrix(piece.placement), outlineOf(piece, tools).path));

/** How far each side of a box lies from the trim, inwards. */
const fromTrim = (box: Box, { surface: { width, height } }: Looked): Sides => ({
  left: box.x,
  right: width - box.x - box.width,
  top: box.y,
  bottom: height - box.y - box.height,
});

/** Of a side's length that a paper must take up to be the ground of it. */
const MOST_OF = 0.6;
/** A paper that ends within this of the trim was meant to end there, points. */
const AT_TRIM = 2.25;

export const NEAR_EDGE: Check = {
  id: 'near edge',
  look: (page) =>
    page.seen.flatMap((piece) => {
      if (!isWritten(piece.outline) || !piece.outline.text.trim()) return [];
      const { safe } = page.surface;
      const away = fromTrim(inkOf(piece, page), page);
      const near = SIDES.filter((side) => away[side] > -AT_TRIM && away[side] < safe[side] - 0.05);
      const { unit } = page.project;
      const says = near.map(
        (side) =>
          `${formatLength(Math.max(0, away[side]), unit, true)} from the ${side} edge, inside the ${formatLength(safe[side], unit, true)} a trimmer may be off`,
      );
      return near.length ? [on(piece, `Words lie ${says.join('; ')}.`)] : [];
    }),
};

export const BLEED: Check = {
  id: 'bleed',
  look: (page) =>
    page.seen.flatMap((piece) => {
      if (isWritten(piece.outline) || isOpening(piece)) return [];
      const { bleed, width, height } = page.surface;
      const box = inkOf(piece, page);
      const away = fromTrim(box, page);
      const ends = SIDES.filter((side) => {
        const along = side === 'left' || side === 'right' ? box.height / height : box.width / width;
        return bleed[side] > AT_TRIM && along > MOST_OF && Math.abs(away[side]) <= AT_TRIM;
      });
      return ends.length
        ? [
            on(
              piece,
              `Ends at the trim (${ends.join(', ')}): let it go on ${formatLength(bleed[ends[0]!], page.project.unit, true)} beyond, or a line of white may show.`,
            ),
          ]
        : [];
    }),
};
