/** Parts so small that they are lost or torn. */
import type { CutCheck } from '@/core/cutter/checks/check';
import { byPieces, everywhere, middle } from '@/core/cutter/checks/where';
import { apply } from '@/core/geometry/matrix';
import { fromPoints, toPoints } from '@/core/units/lengths';

/** Common practice, no source. */
const LEAST = toPoints(3, 'mm');

export const SMALL: CutCheck = {
  id: 'small',
  look: ({ mats }) => {
    const small = everywhere(mats).flatMap((lies) => {
      const { box, rings } = lies.laid.part;
      const long = Math.max(box.width, box.height);
      return rings.length && long < LEAST ? [{ ...lies, long }] : [];
    });
    return byPieces(small).map((all) => {
      const [{ mat, laid, long }] = all.sort((a, b) => a.long - b.long) as [(typeof all)[number]];
      const { part, map } = laid;
      return {
        mat,
        at: apply(map, middle(part)),
        name: part.name,
        says: `${all.length > 1 ? `${all.length} parts of it are small, the least` : 'A part of it is'} ${fromPoints(long, 'mm').toFixed(1)} mm long: under 3 mm it is lost or torn.`,
        ...(part.pieces.length
          ? { cure: { says: 'Do not cut it', pieces: part.pieces, change: { as: 'print' as const } } }
          : {}),
      };
    });
  },
  clear: 'No part is under 3 mm.',
};
