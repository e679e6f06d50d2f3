/** Which pieces a drawn frame takes. */
import { boxOfPoints, centredBox, corners, type Box } from '@/core/geometry/box';
import { apply, type Point } from '@/core/geometry/matrix';
import { flatten } from '@/core/geometry/path';
import { outlineOf, type DrawingTools } from '@/core/page/outlines';
import { outlineKind } from '@/core/piece/outline';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';

/** A piece's outline as polygons on the page, made once when a frame is begun. */
export interface Silhouette {
  id: string;
  rings: readonly (readonly Point[])[];
  box: Box;
}

export function silhouettes(pile: readonly Piece[], tools: DrawingTools): Silhouette[] {
  return pile
    .filter(({ placement }) => !placement.hidden)
    .map((piece) => {
      const map = placementMatrix(piece.placement);
      // Words are taken by their box, as everywhere.
      const own = outlineKind(piece.outline).byBox
        ? [corners(centredBox(piece.placement))]
        : flatten(outlineOf(piece, tools).path);
      const rings = own.map((ring) => ring.map((point) => apply(map, point)));
      return { id: piece.id, rings, box: boxOfPoints(rings.flat()) };
    });
}

/** Ids of what a frame touches, or of what lies wholly inside it. */
export const framed = (all: readonly Silhouette[], frame: Box, how: 'touching' | 'inside'): string[] =>
  all.filter((one) => (how === 'inside' ? within(one.box, frame) : touches(one, frame))).map(({ id }) => id);

const within = (box: Box, frame: Box): boolean =>
  box.x >= frame.x &&
  box.y >= frame.y &&
  box.x + box.width <= frame.x + frame.width &&
  box.y + box.height <= frame.y + frame.height;

function touches({ box, rings }: Silhouette, frame: Box): boolean {
  const right = frame.x + frame.width;
  const bottom = frame.y + frame.height;
  if (box.x > right || box.x + box.width < frame.x || box.y > bottom || box.y + box.height < frame.y)
    return false;
  if (within(box, frame)) return true;
  let inside = false;
  for (const ring of rings)
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const a = ring[j]!;
      const b = ring[i]!;
      if (crosses(a, b, frame)) return true;
      // The frame may lie wholly within the piece: its corner then lies inside the rings (even-odd).
      if (a.y > frame.y !== b.y > frame.y && frame.x < ((b.x - a.x) * (frame.y - a.y)) / (b.y - a.y) + a.x)
        inside = !inside;
    }
  return inside;
}

/** Whether a line meets a box (Liang and Barsky, 1984). */
function crosses(a: Point, b: Point, { x, y, width, height }: Box): boolean {
  let from = 0;
  let to = 1;
  const dx = b.x - a.x;
  const dy = b.y - a.y;
  for (const [p, q] of [
    [-dx, a.x - x],
    [dx, x + width - a.x],
    [-dy, a.y - y],
    [dy, y + height - a.y],
  ] as const) {
    if (p === 0) {
      if (q < 0) return false;
    } else if (p < 0) from = Math.max(from, q / p);
    else to = Math.min(to, q / p);
    if (from > to) return false;
  }
  return true;
}
