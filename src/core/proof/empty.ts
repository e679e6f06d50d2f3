/** Places kept for photos that nobody filled: they would be printed as pale cards. */
import { isEmptyPlace } from '@/core/project/frames';
import { on, type Check } from '@/core/proof/check';

export const EMPTY: Check = {
  id: 'empty',
  look: ({ seen }) =>
    seen
      .filter(isEmptyPlace)
      .map((piece) =>
        on(piece, 'A place for a photo, and nothing in it: it would be printed as a pale card.'),
      ),
};
