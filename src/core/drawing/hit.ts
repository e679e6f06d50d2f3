/** Which part of a drawing lies under a point. */
import type { Drawing, DrawingPart } from '@/core/drawing/drawing';
import type { Point } from '@/core/geometry/matrix';
import { linesOf } from '@/core/drawing/dashes';
import { contains, distanceToSide, flatten, straightened } from '@/core/geometry/path';

/** Number of the topmost part that paints the point (the drawing's points), or -1; `near` is how far off a line may be met. */
export function partAt({ parts }: Drawing, point: Point, near: number): number {
  return parts.findLastIndex(
    (part) =>
      part.opacity > 0 &&
      part.at.some((offset) => paints(part, { x: point.x - offset.x, y: point.y - offset.y }, near)),
  );
}

function paints({ path, line, rule }: DrawingPart, point: Point, near: number): boolean {
  if (line) return onLine(path, point, Math.max(near, line.width / 2));
  if (rule === 'nonzero') return contains(path, point);
  // Even and odd: a ring counts whichever way it turns.
  return flatten(path).filter((ring) => contains(ringPath(ring), point)).length % 2 === 1;
}

const ringPath = (ring: readonly Point[]) =>
  ring.map(({ x, y }, i) => (i ? (['L', x, y] as const) : (['M', x, y] as const)));

/** Curves of a line are left by no more than this, points, in so many straight parts at most. */
const [FINE, MOST_PARTS] = [0.1, 24];

function onLine(path: DrawingPart['path'], point: Point, reach: number): boolean {
  return linesOf(straightened(path, FINE, MOST_PARTS)).some((line) =>
    line.some((to, i) => {
      const from = line[i - 1];
      return from !== undefined && distanceToSide(point, from, to) <= reach;
    }),
  );
}

/** All parts painted in the same colour as one of them. */
export const alikeParts = ({ parts }: Drawing, part: number): number[] =>
  parts.flatMap(({ colour }, i) => (colour === parts[part]?.colour ? [i] : []));
