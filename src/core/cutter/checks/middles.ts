/** Middles that fall out: of letters, and of whatever has a hole in a hole. */
import type { CutCheck } from '@/core/cutter/checks/check';
import { middle, placedAt } from '@/core/cutter/checks/where';
import { toPoints } from '@/core/units/lengths';

/** How wide bridges are until a person says otherwise. */
export const USUAL_BRIDGE = toPoints(1.5, 'mm');

export const MIDDLES: CutCheck = {
  id: 'middles',
  look: ({ loose, parts, mats }) =>
    loose.map(({ part, piece }) => ({
      ...placedAt(mats, part, middle),
      name: parts.find(({ id }) => id === part)?.name ?? '',
      says: 'This middle hangs on nothing: it falls out.',
      ...(piece
        ? { cure: { says: 'Hold it with bridges', pieces: [piece], change: { bridge: USUAL_BRIDGE } } }
        : {}),
    })),
  clear: 'No middle falls out.',
};
