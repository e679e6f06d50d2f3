/** Words that do not fit into their box, or along their outline. */
import { outlineKind } from '@/core/piece/outline';
import { on, type Check } from '@/core/proof/check';

const NONE = { count: 0, of: '' };

export const OVER: Check = {
  id: 'over',
  look: ({ seen, typesetter }) =>
    seen.flatMap((piece) => {
      const { count, of } =
        outlineKind(piece.outline).over?.(piece.outline, piece.placement, typesetter) ?? NONE;
      return count ? [on(piece, `${count} ${of}${count === 1 ? ' does' : 's do'} not fit.`)] : [];
    }),
};
