/** Marks that would lie on each other, laid side by side. */
import type { Point } from '@/core/geometry/matrix';

/** Each point where it is, or as many steps of `room` to the right as leave all before it at least that far away. */
export function apart(points: readonly Point[], room: number): Point[] {
  const laid: Point[] = [];
  for (const point of points) {
    let { x } = point;
    const taken = () => laid.some((other) => Math.hypot(other.x - x, other.y - point.y) < room);
    while (taken()) x += room;
    laid.push({ x, y: point.y });
  }
  return laid;
}
