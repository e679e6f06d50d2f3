/** What is see-through and ends between the cut and the edge of the bleed: a press may show where it ends. */
import { pathBounds, transformPath } from '@/core/geometry/path';
import { outlineOf } from '@/core/page/outlines';
import { placementMatrix } from '@/core/piece/placement/placement';
import { on, type Check } from '@/core/proof/check';

/** What is more solid than this hides what is beneath. */
const SOLID = 0.98;
/** What is nearer than this to an edge ends there, points. */
const NEAR = 0.25;

export const SEE_THROUGH: Check = {
  id: 'see-through',
  look: ({ surface: { width, height, bleed }, seen, tools }) =>
    seen.flatMap((piece) => {
      const { opacity, blend } = piece.finish;
      if (opacity > SOLID && !blend) return [];
      const box = pathBounds(transformPath(placementMatrix(piece.placement), outlineOf(piece, tools).path));
      const beyond = {
        left: -box.x,
        right: box.x + box.width - width,
        top: -box.y,
        bottom: box.y + box.height - height,
      };
      const ends = (['left', 'right', 'top', 'bottom'] as const).filter(
        (side) => beyond[side] > NEAR && beyond[side] < bleed[side] - NEAR,
      );
      return ends.length
        ? [
            on(
              piece,
              `See-through, and ends in the bleed (${ends.join(', ')}): where the cut is a little off, its end may show. Let it go on to the edge of the bleed.`,
              false,
            ),
          ]
        : [];
    }),
};
