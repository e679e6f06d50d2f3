/** Places so narrow that they tear. */
import type { CutCheck } from '@/core/cutter/checks/check';
import { byPieces, everywhere } from '@/core/cutter/checks/where';
import { bridgesIn } from '@/core/cutter/repair';
import { apply } from '@/core/geometry/matrix';
import { fromPoints, toPoints } from '@/core/units/lengths';

/** Common practice, no source. */
export const LEAST_BRIDGE = toPoints(0.5, 'mm');
/** What they are widened to. */
const WIDER = toPoints(0.8, 'mm');

export const BRIDGES: CutCheck = {
  id: 'bridges',
  look: ({ mats }) => {
    const narrow = everywhere(mats).flatMap((lies) =>
      bridgesIn(lies.laid.part.rings, LEAST_BRIDGE).map((bridge) => ({ ...lies, ...bridge })),
    );
    return byPieces(narrow).map((all) => {
      const [{ mat, laid, width, at }] = all.sort((a, b) => a.width - b.width) as [(typeof all)[number]];
      const { part, map } = laid;
      const wide = `${fromPoints(width, 'mm').toFixed(2)} mm`;
      return {
        mat,
        at: apply(map, at),
        name: part.name,
        says: `It is ${all.length > 1 ? `narrow in ${all.length} places, here ${wide}` : `${wide} wide here`}: under 0.5 mm it tears.`,
        ...(part.pieces.length
          ? { cure: { says: 'Widen it', pieces: part.pieces, change: { widen: WIDER } } }
          : {}),
      };
    });
  },
  clear: 'Nothing is narrower than 0.5 mm.',
};
