/** Parts so small that they are lost or torn. */
import type { CutCheck } from '@/core/cutter/checks/check';
import { everywhere, middle } from '@/core/cutter/checks/where';
import { apply } from '@/core/geometry/matrix';
import { fromPoints, toPoints } from '@/core/units/lengths';

/** Common practice, no source. */
const LEAST = toPoints(3, 'mm');

export const SMALL: CutCheck = {
  id: 'small',
  look: ({ mats }) =>
    everywhere(mats).flatMap(({ mat, laid: { part, map } }) => {
      const long = Math.max(part.box.width, part.box.height);
      if (!part.rings.length || long >= LEAST) return [];
      return [
        {
          mat,
          at: apply(map, middle(part)),
          name: part.name,
          says: `A part of it is ${fromPoints(long, 'mm').toFixed(1)} mm long: under 3 mm it is lost or torn.`,
          ...(part.pieces.length
            ? { cure: { says: 'Do not cut it', pieces: part.pieces, change: { as: 'print' as const } } }
            : {}),
        },
      ];
    }),
  clear: 'No part is under 3 mm.',
};
