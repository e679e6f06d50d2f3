/** What the page's edge cuts off, unless it is a paper that is meant to go on beyond it. */
import { pathBounds, transformPath } from '@/core/geometry/path';
import { type Sides } from '@/core/geometry/sides';
import { outlineOf } from '@/core/page/outlines';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import { coversPage } from '@/core/project/edits/pile';
import { on, type Check, type Looked } from '@/core/proof/check';
import { formatLength, type Unit } from '@/core/units/lengths';

/** Less than a trimmer's own wander is no fault, points: 1/32 in (common practice, no source). */
const LEAST = 2.25;

/** A photo that runs off the page loses no more than this share of itself there. */
const HARDLY = 0.08;

const SIDES: readonly (keyof Sides)[] = ['left', 'right', 'top', 'bottom'];

type Where = Pick<Looked, 'surface' | 'tools'>;

/** How far a piece goes beyond each side of the page, points; below zero where it ends before it. */
function beyond(piece: Piece, { surface: { width, height }, tools }: Where): Sides {
  const { path, reach } = outlineOf(piece, tools);
  const box = pathBounds(transformPath(placementMatrix(piece.placement), path));
  return {
    left: reach - box.x,
    right: box.x + box.width + reach - width,
    top: reach - box.y,
    bottom: box.y + box.height + reach - height,
  };
}

/** What of a piece the page’s edge cuts off, and where, in words; null for nothing, or what is meant to be trimmed. */
export function cutOff(piece: Piece, where: Where, unit: Unit): string | null {
  const { surface } = where;
  if (coversPage(piece, surface)) return null;
  const over = beyond(piece, where);
  // A strip of paper that reaches the bleed is trimmed with the page, as it should be; so is a photo, or a place for one, that hardly loses by it.
  const { width, height } = piece.placement;
  const meant = (side: keyof Sides) =>
    over[side] >= surface.bleed[side] - 0.5 &&
    (piece.material.kind === 'paper' ||
      (piece.role === 'photo' &&
        over[side] < HARDLY * (side === 'left' || side === 'right' ? width : height)));
  const cut = SIDES.filter((side) => over[side] > LEAST && !meant(side));
  if (!cut.length) return null;
  const says = cut.map((side) => `${formatLength(over[side], unit, true)} at the ${side}`);
  return `Cut off by the page’s edge: ${says.join(', ')}.`;
}

export const CUT_OFF: Check = {
  id: 'cut off',
  look: (page) =>
    page.seen.flatMap((piece) => {
      const says = cutOff(piece, page, page.project.unit);
      return says ? [on(piece, says)] : [];
    }),
};
