/** Places so narrow that they tear. */
import type { CutCheck } from '@/core/cutter/checks/check';
import { everywhere } from '@/core/cutter/checks/where';
import { bridgesIn } from '@/core/cutter/repair';
import { apply } from '@/core/geometry/matrix';
import { fromPoints, toPoints } from '@/core/units/lengths';

/** Common practice, no source. */
export const LEAST_BRIDGE = toPoints(0.5, 'mm');
/** What they are widened to. */
const WIDER = toPoints(0.8, 'mm');
/** Of so many at one part the narrowest are told. */
const MOST = 3;

export const BRIDGES: CutCheck = {
  id: 'bridges',
  look: ({ mats }) =>
    everywhere(mats).flatMap(({ mat, laid: { part, map } }) =>
      bridgesIn(part.rings, LEAST_BRIDGE)
        .sort((a, b) => a.width - b.width)
        .slice(0, MOST)
        .map(({ width, at }) => ({
          mat,
          at: apply(map, at),
          name: part.name,
          says: `It is ${fromPoints(width, 'mm').toFixed(2)} mm wide here: under 0.5 mm it tears.`,
          ...(part.pieces.length
            ? { cure: { says: 'Widen it', pieces: part.pieces, change: { widen: WIDER } } }
            : {}),
        })),
    ),
  clear: 'Nothing is narrower than 0.5 mm.',
};
