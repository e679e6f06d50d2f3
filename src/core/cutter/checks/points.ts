/** Outlines of so many points that a cutter stutters along them. */
import type { CutCheck } from '@/core/cutter/checks/check';
import { everywhere, middle } from '@/core/cutter/checks/where';
import { apply } from '@/core/geometry/matrix';
import { toPoints } from '@/core/units/lengths';

/** Points an outline may have (common practice, no source). */
const MOST = 4000;
/** What is left is off by no more than this. */
const COARSER = toPoints(0.15, 'mm');

export const POINTS: CutCheck = {
  id: 'points',
  look: ({ mats, settings }) =>
    everywhere(mats).flatMap(({ mat, laid: { part, map } }) => {
      const count = part.rings.reduce((sum, ring) => sum + ring.length, 0);
      if (count <= MOST) return [];
      return [
        {
          mat,
          at: apply(map, middle(part)),
          name: part.name,
          says: `Its outline has ${count} points; from about ${MOST} on cutters stutter.`,
          ...(settings.tolerance < COARSER
            ? { cure: { says: 'Simplify to 0.15 mm', set: { tolerance: COARSER } } }
            : {}),
        },
      ];
    }),
};
