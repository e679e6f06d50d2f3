/** What covers the squares a cutter finds its place by. */
import type { CutCheck } from '@/core/cutter/checks/check';
import { boxOfPoints, outset, overlaps } from '@/core/geometry/box';
import { apply } from '@/core/geometry/matrix';
import { toPoints } from '@/core/units/lengths';

/** Kept white around each. */
const WHITE = toPoints(2, 'mm');

export const COVERED: CutCheck = {
  id: 'covered',
  look: ({ mats }) =>
    mats.flatMap(({ marks, laid }, mat) =>
      laid.flatMap(({ part, map }) => {
        const box = boxOfPoints((part.rings[0] ?? []).map((p) => apply(map, p)));
        const mark = part.rings.length ? marks.find((each) => overlaps(outset(each, WHITE), box)) : undefined;
        return mark
          ? [
              {
                mat,
                at: { x: mark.x + mark.width / 2, y: mark.y + mark.height / 2 },
                name: part.name,
                says: 'It lies over a square by which the cutter finds its place. Move it away from the corner, or keep more of the paper’s edges free.',
              },
            ]
          : [];
      }),
    ),
};
