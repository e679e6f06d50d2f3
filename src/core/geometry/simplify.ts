/** Rings and lines simplified by Ramer (1972) and Douglas & Peucker (1973): no point left out lies further than `tolerance` off. */
import type { Point } from '@/core/geometry/matrix';

export function simplifyRing(ring: readonly Point[], tolerance: number): Point[] {
  if (ring.length < 5) return [...ring];
  // A ring has no ends: it is cut at its first point and at the one furthest from it.
  const far = furthest(ring, (point) => Math.hypot(point.x - ring[0]!.x, point.y - ring[0]!.y));
  const there = simplifyLine(ring.slice(0, far + 1), tolerance);
  const back = simplifyLine([...ring.slice(far), ring[0]!], tolerance);
  return [...there.slice(0, -1), ...back.slice(0, -1)];
}

/** An open line; its ends stay. */
export function simplifyLine(line: readonly Point[], tolerance: number): Point[] {
  const keep = new Set([0, line.length - 1]);
  const spans: [number, number][] = [[0, line.length - 1]];
  for (let span = spans.pop(); span; span = spans.pop()) {
    const [from, to] = span;
    const [a, b] = [line[from]!, line[to]!];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const squared = dx * dx + dy * dy;
    let most = tolerance;
    let at = -1;
    for (let i = from + 1; i < to; i++) {
      const p = line[i]!;
      // From the stretch between them: what goes out beyond an end and comes back lies off it, too.
      const along = ((p.x - a.x) * dx + (p.y - a.y) * dy) / squared || 0;
      const share = along < 0 ? 0 : along > 1 ? 1 : along;
      const off = Math.hypot(p.x - a.x - share * dx, p.y - a.y - share * dy);
      if (off > most) {
        most = off;
        at = i;
      }
    }
    if (at < 0) continue;
    keep.add(at);
    spans.push([from, at], [at, to]);
  }
  return line.filter((_, i) => keep.has(i));
}

function furthest(points: readonly Point[], distance: (point: Point) => number): number {
  let best = 0;
  points.forEach((point, i) => {
    if (distance(point) > distance(points[best]!)) best = i;
  });
  return best;
}
