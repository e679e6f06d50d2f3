/** What a hand drew, made even: points evenly apart, the tremble taken out, then curves. */
import { fitRing } from '@/core/geometry/fit';
import type { Point } from '@/core/geometry/matrix';
import type { Path } from '@/core/geometry/path';

/** Fewer pixels than this around are a slip of the hand, not an outline. */
const LEAST_WAY = 12;

const gap = (a: Point, b: Point) => Math.hypot(b.x - a.x, b.y - a.y);

/** Points one unit apart along a line through `points`. */
export function evenly(points: readonly Point[], ring: boolean): Point[] {
  const line = ring ? [...points, points[0]!] : points;
  const out: Point[] = [line[0]!];
  let left = 0;
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1]!, line[i]!];
    const length = gap(a, b);
    let at = 1 - left;
    for (; at <= length; at++)
      out.push({ x: a.x + ((b.x - a.x) * at) / length, y: a.y + ((b.y - a.y) * at) / length });
    left = length - (at - 1);
  }
  return ring && gap(out[out.length - 1]!, out[0]!) < 0.5 ? out.slice(0, -1) : out;
}

/** Each point as the mean of those around it, weighed by a Gaussian of `sigma` points; ends of a line stay. */
export function steadied(points: readonly Point[], sigma: number, ring: boolean): Point[] {
  const reach = Math.min(Math.ceil(3 * sigma), (points.length - 1) >> 1);
  if (reach < 1) return [...points];
  const weights = Array.from({ length: reach + 1 }, (_, i) => Math.exp((-i * i) / (2 * sigma * sigma)));
  const last = points.length - 1;
  return points.map((_, i) => {
    // Near the ends of a line it looks as far back as forward, so that they are not drawn in.
    const far = ring ? reach : Math.min(reach, i, last - i);
    let [x, y, whole] = [0, 0, 0];
    for (let k = -far; k <= far; k++) {
      const point = points[(i + k + points.length) % points.length]!;
      const weight = weights[Math.abs(k)]!;
      x += weight * point.x;
      y += weight * point.y;
      whole += weight;
    }
    return { x: x / whole, y: y / whole };
  });
}

/**
 * A closed outline along what was drawn, in pixels of the screen it was drawn on. `smoothing` from 0 (every tremble stays)
 * to 1. Null if too little was drawn to enclose anything.
 */
export function drawnOutline(points: readonly Point[], smoothing: number): Path | null {
  if (points.length < 3) return null;
  const even = evenly(points, true);
  if (even.length < LEAST_WAY) return null;
  const path = fitRing(steadied(even, 14 * smoothing, true), 0.5 + 0.7 * smoothing);
  return path.length ? path : null;
}

/** An open line along what was drawn, its points a few pixels apart. */
export function drawnLine(points: readonly Point[], smoothing: number): Point[] {
  const even = evenly(points, false);
  const steady = steadied(even, 14 * smoothing, false);
  return [...steady.filter((_, i) => i % 3 === 0), ...(steady.length % 3 === 1 ? [] : steady.slice(-1))];
}
