/** What is to be read and lies where the paper is punched or pressed together. */
import { pathBounds, transformPath } from '@/core/geometry/path';
import { overlaps } from '@/core/geometry/box';
import { cutOf } from '@/core/page/outlines';
import { materialKind } from '@/core/piece/material';
import { isWritten } from '@/core/piece/outline';
import { placementMatrix } from '@/core/piece/placement/placement';
import { boundOn } from '@/core/product';
import { on, type Check } from '@/core/proof/check';

export const BINDING: Check = {
  id: 'binding',
  look: ({ project, surface, seen, tools }) => {
    const bound = boundOn(project, surface);
    if (!bound.length) return [];
    return seen
      .filter(({ outline, material }) => isWritten(outline) || materialKind(material).written !== undefined)
      .flatMap((piece) => {
        const box = pathBounds(transformPath(placementMatrix(piece.placement), cutOf(piece, tools).path));
        return bound.some((each) => overlaps(each.box, box))
          ? [on(piece, 'It lies where the paper is bound.')]
          : [];
      });
  },
};
