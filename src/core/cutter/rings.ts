/** Outlines as rings of points: fine enough for a blade, and no finer. */
import type { Point } from '@/core/geometry/matrix';
import { signedArea } from '@/core/geometry/offset';
import type { Path } from '@/core/geometry/path';
import { simplifyLine, simplifyRing } from '@/core/geometry/simplify';

export type Ring = readonly Point[];
/** A run of points along a path, and whether it comes back to its beginning. */
export interface Run {
  points: Point[];
  closed: boolean;
}

/**
 * A path as runs of straight sides, no curve further off than `tolerance`. A cubic in n equal steps is off by at most
 * M / (8 n²), with M its greatest second derivative (Wang's bound, as in Farin: Curves and Surfaces for CAGD, from memory).
 */
export function runsOf(path: Path, tolerance: number): Run[] {
  const runs: Run[] = [];
  let run: Run | undefined;
  for (const segment of path) {
    if (segment[0] === 'M') {
      run = { points: [{ x: segment[1], y: segment[2] }], closed: false };
      runs.push(run);
    } else if (!run) continue;
    else if (segment[0] === 'L') run.points.push({ x: segment[1], y: segment[2] });
    else if (segment[0] === 'Z') run.closed = true;
    else {
      const { x: px, y: py } = run.points.at(-1)!;
      const [, ax, ay, bx, by, x, y] = segment;
      const bend =
        6 *
        Math.max(
          Math.hypot(px - 2 * ax + bx, py - 2 * ay + by),
          Math.hypot(ax - 2 * bx + x, ay - 2 * by + y),
        );
      const steps = Math.max(1, Math.min(2000, Math.ceil(Math.sqrt(bend / (8 * tolerance)))));
      for (let i = 1; i <= steps; i++) {
        const t = i / steps;
        const s = 1 - t;
        const [k0, k1, k2, k3] = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t];
        run.points.push({ x: k0 * px + k1 * ax + k2 * bx + k3 * x, y: k0 * py + k1 * ay + k2 * by + k3 * y });
      }
    }
  }
  return runs.filter(({ points }) => points.length > 1);
}

/** Whether a run ends where it began, said so or not. */
export const comesBack = ({ points, closed }: Run): boolean => {
  const [a, b] = [points[0]!, points.at(-1)!];
  return closed || (points.length > 3 && Math.hypot(a.x - b.x, a.y - b.y) < 0.01);
};

/** Simplified, whether closed or open: no point left out lies further than `tolerance` off. */
export const thinned = (points: Ring, closed: boolean, tolerance: number): Point[] =>
  closed ? simplifyRing(points, tolerance) : simplifyLine(points, tolerance);

/** Whether a point lies within a ring, by how often a level ray crosses it. */
export function inRing(ring: Ring, { x, y }: Point): boolean {
  let inside = false;
  for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
    const [a, b] = [ring[i]!, ring[j]!];
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}

/** Outer rings, each with the holes in it. Rings come as a clipper leaves them: holes run the other way round. */
export function nested(rings: readonly Ring[]): Ring[][] {
  const outer = rings
    .filter((ring) => signedArea(ring) > 0)
    .map((ring) => ({ ring, area: signedArea(ring), all: [ring] as Ring[] }))
    .sort((a, b) => a.area - b.area);
  for (const hole of rings)
    if (signedArea(hole) < 0) {
      const middle = { x: (hole[0]!.x + hole[1]!.x) / 2, y: (hole[0]!.y + hole[1]!.y) / 2 };
      outer.find(({ ring, area }) => area > -signedArea(hole) && inRing(ring, middle))?.all.push(hole);
    }
  return outer.map(({ all }) => all).reverse();
}

/** How long the way along points is. */
export const lengthOf = (points: Ring, closed: boolean): number =>
  points.reduce(
    (sum, p, i) => (i ? sum + Math.hypot(p.x - points[i - 1]!.x, p.y - points[i - 1]!.y) : sum),
    closed && points.length
      ? Math.hypot(points[0]!.x - points.at(-1)!.x, points[0]!.y - points.at(-1)!.y)
      : 0,
  );
