/** Openings that would not come out as they are meant: over a fold or the edge, into one another, beside the paper. */
import { openingFaults } from '@/core/page/through';
import { panelsOn } from '@/core/product';
import { on, type Check } from '@/core/proof/check';

export const OPENINGS: Check = {
  id: 'openings',
  look: ({ project, surface, seen, tools }) => {
    const faults = openingFaults(surface, panelsOn(project, surface), tools);
    return seen.flatMap((piece) => {
      const fault = faults.get(piece.id);
      return fault ? [on(piece, fault)] : [];
    });
  },
};
