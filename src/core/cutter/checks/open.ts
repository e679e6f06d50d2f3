/** Outlines that are open: a blade goes along them, and nothing comes loose. */
import type { CutCheck } from '@/core/cutter/checks/check';
import { middle, placedAt } from '@/core/cutter/checks/where';

export const OPEN: CutCheck = {
  id: 'open',
  look: ({ parts, open, mats }) =>
    [...new Set(open)].map((piece) => {
      const part = parts.find(({ pieces }) => pieces.includes(piece));
      return {
        ...(part ? placedAt(mats, part.id, middle) : { mat: null, at: { x: 0, y: 0 } }),
        name: part?.name ?? '',
        says: 'Its outline is open: it is slit, and nothing comes loose.',
        cure: { says: 'Close it', pieces: [piece], change: { close: true } },
      };
    }),
};
