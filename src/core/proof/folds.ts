/** Words that lie across a fold: a score breaks their letters (common practice, no source). */
import { pathBounds, transformPath } from '@/core/geometry/path';
import { cutOf } from '@/core/page/outlines';
import { isWritten } from '@/core/piece/outline';
import { placementMatrix } from '@/core/piece/placement/placement';
import { foldsOn } from '@/core/product';
import { on, type Check } from '@/core/proof/check';

export const FOLDS: Check = {
  id: 'folds',
  look: ({ project, surface, seen, tools }) => {
    const folds = foldsOn(project, surface);
    return seen
      .filter(({ outline }) => isWritten(outline))
      .flatMap((piece) => {
        const box = pathBounds(transformPath(placementMatrix(piece.placement), cutOf(piece, tools).path));
        const crossed = folds.some(({ axis, at, from = -Infinity, to = Infinity }) =>
          axis === 'x'
            ? box.x < at && at < box.x + box.width && box.y < to && from < box.y + box.height
            : box.y < at && at < box.y + box.height && box.x < to && from < box.x + box.width,
        );
        return crossed ? [on(piece, 'These words lie across a fold.', false)] : [];
      });
  },
};
