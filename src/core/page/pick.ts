/** Which piece lies under a point. */
import { centredBox } from '@/core/geometry/box';
import { apply, invert, type Point } from '@/core/geometry/matrix';
import { contains, rectanglePath } from '@/core/geometry/path';
import { crossingsOf } from '@/core/page/tuck';
import { beyondOf, outlineOf, type DrawingTools } from '@/core/page/outlines';
import { outlineKind } from '@/core/piece/outline';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';

/** The pieces that lie under `point` (page points), topmost first; edges count within `tolerance`. */
export function piecesAt(
  pile: readonly Piece[],
  point: Point,
  tolerance: number,
  tools: DrawingTools,
): Piece[] {
  const found = pile.filter((piece) => !piece.placement.hidden && lies(piece, point, tolerance, tools));
  if (!found.some(({ tucks }) => tucks)) return found.reverse();
  // Where a piece passes beneath another, it is the other that is touched.
  const beneath = (piece: Piece) =>
    piece.tucks &&
    crossingsOf(pile, piece.id, tools).some(
      ({ upper, hidden }) => hidden && upper === piece && contains(hidden, point),
    );
  const [under, over] = [found.filter(beneath), found.filter((piece) => !beneath(piece))];
  return [...over.reverse(), ...under.reverse()];
}

function lies(piece: Piece, point: Point, tolerance: number, tools: DrawingTools): boolean {
  // Most pieces are nowhere near: their outlines need not be cut.
  const { x, y, width, height } = piece.placement;
  const mats = (piece.finish.mats ?? []).reduce((sum, mat) => sum + mat.width, 0);
  const reached = Math.hypot(width, height) / 2 + tolerance + beyondOf(piece.finish) + 2 * mats;
  if (Math.abs(point.x - x) > reached || Math.abs(point.y - y) > reached) return false;
  const own = apply(invert(placementMatrix(piece.placement)), point);
  const { byBox, band } = outlineKind(piece.outline);
  if (byBox) return contains(rectanglePath(centredBox(piece.placement)), own, tolerance);
  const { path, reach } = outlineOf(piece, tools);
  return contains(path, own, tolerance + reach + (band?.(piece.outline) ?? 0));
}
