/** Outlines grown and shrunk by a distance, and small gaps closed (Clipper2, by way of fine polygons). */
import {
  differenceD,
  EndType,
  FillRule,
  inflatePathsD,
  intersectD,
  JoinType,
  simplifyPathsD,
  unionD,
  type PathsD,
} from 'clipper2-ts';
import { boxOfPoints, type Box } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import { flatten, straightened, type Path, type Segment } from '@/core/geometry/path';

export const CORNERS = ['round', 'mitred', 'straight'] as const;
export type Corners = (typeof CORNERS)[number];

const JOINS: Record<Corners, JoinType> = {
  round: JoinType.Round,
  mitred: JoinType.Miter,
  straight: JoinType.Bevel,
};
/** A mitred corner reaches at most this many times the distance out (the limit of our strokes). */
export const MITRE_LIMIT = 4;
/** Decimals Clipper2 keeps. */
const DECIMALS = 4;

/** No side is further than this from the true curve, points; the most there are of one, however large. */
const FINE = 1e-3;
const MOST_SIDES = 96;
const fine = (path: Path): Point[][] => flatten(straightened(path, FINE, MOST_SIDES));

/** What a path covers, as rings that cross nothing, with sides only where it bends: a line of words has a sixth of what even steps make. */
export const polygons = (path: Path): PathsD => unionD(fine(path), [], FillRule.NonZero, DECIMALS);

export const pathOfRings = (rings: readonly (readonly Point[])[]): Path =>
  rings.flatMap((ring) => [
    ...ring.map(({ x, y }, i): Segment => [i === 0 ? 'M' : 'L', x, y]),
    ['Z'] as const,
  ]);

/** The outline `by` larger all round (smaller if below zero), same unit; empty if nothing is left. */
export function grown(path: Path, by: number, corners: Corners = 'round'): Path {
  if (by === 0) return path;
  // Sides no further than this from the true curve. With all there are, a line of words took a minute to shrink.
  const needed = (rings: PathsD) => simplifyPathsD(rings, Math.min(0.01, Math.abs(by) / 50), true);
  // Arcs no further than this from the true round: what 600 ppi cannot show.
  const round = Math.min(0.05, Math.abs(by) / 20);
  const [join, end] = [JOINS[corners], EndType.Polygon];
  const rings = polygons(path).filter((ring) => !closesUp(ring, by));
  return pathOfRings(needed(inflatePathsD(needed(rings), by, join, end, MITRE_LIMIT, DECIMALS, round)));
}

/** Whether a hole is narrow enough to be gone when what is about it grows: lace is mostly such holes. */
function closesUp(ring: readonly Point[], by: number): boolean {
  if (by <= 0 || signedArea(ring) >= 0) return false;
  const [xs, ys] = [ring.map(({ x }) => x), ring.map(({ y }) => y)];
  const wide = (values: number[]) => Math.max(...values) - Math.min(...values);
  return Math.min(wide(xs), wide(ys)) <= 2 * by;
}

/** Gaps narrower than `width` filled: grown by half of it and shrunk again. Edges elsewhere keep within 0.05. */
export const closed = (path: Path, width: number): Path =>
  grown(grown(path, width / 2 + 0.01), -width / 2 - 0.01);

/** By the shoelace formula; clockwise rings count above zero. */
export const signedArea = (ring: readonly Point[]): number =>
  ring.reduce((sum, a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    return sum + (a.x * b.y - b.x * a.y) / 2;
  }, 0);

const areaWithin = (rings: readonly (readonly Point[])[]): number =>
  rings.reduce((sum, ring) => sum + signedArea(ring), 0);

/** Area the path covers, square units, its curves as fine polygons. */
export const areaOf = (path: Path): number => areaWithin(polygons(path));

/** Area the path covers, if it is what its rings enclose, holes taken off; null if one is wound against what it lies on. */
export function plainArea(path: Path): number | null {
  const [enclosed, area] = [Math.abs(areaWithin(fine(path))), areaOf(path)];
  return Math.abs(enclosed - area) <= 1e-3 * area ? area : null;
}

/** The first outline without the second. */
export const without = (a: Path, b: Path): Path =>
  pathOfRings(differenceD(polygons(a), polygons(b), FillRule.NonZero, DECIMALS));

/** What two outlines have in common, as separate rings. */
export const common = (a: Path, b: Path): Point[][] =>
  intersectD(polygons(a), polygons(b), FillRule.NonZero, DECIMALS);

/** How far two boxes lie apart; none if they meet. */
function apart(a: Box, b: Box): number {
  const gap = (from: number, long: number, at: number, wide: number) =>
    Math.max(0, at - from - long, from - at - wide);
  return Math.hypot(gap(a.x, a.width, b.x, b.width), gap(a.y, a.height, b.y, b.height));
}

export type Edges = readonly { ring: Point[]; box: Box }[];

/** The edges of what a path covers. */
export const edgesOf = (path: Path): Edges =>
  polygons(path).map((ring) => ({ ring, box: boxOfPoints(ring) }));

/** The shortest way between edges; none is 0 long if they touch, wherever. Nothing from `within` on is looked for. */
export function nearestBetween(
  a: Edges,
  b: Edges,
  within = Infinity,
): { gap: number; from: Point; to: Point } {
  const pairs = a
    .flatMap((one) => b.map((other) => ({ one, other, gap: apart(one.box, other.box) })))
    .filter(({ gap }) => gap < within)
    .sort((p, q) => p.gap - q.gap);
  const origin = a[0]?.ring[0] ?? { x: 0, y: 0 };
  const rings = (edges: Edges): PathsD => edges.map(({ ring }) => ring);
  let least = { gap: within, from: origin, to: origin };
  if (pairs[0]?.gap === 0 && intersectD(rings(a), rings(b), FillRule.NonZero, DECIMALS).length)
    return { ...least, gap: 0 };
  const measure = ({ ring: points, box }: { ring: Point[]; box: Box }, ring: Point[]) =>
    ring.forEach((p, i) => {
      const q = ring[(i + 1) % ring.length]!;
      if (apart(boxOfPoints([p, q]), box) >= least.gap) return;
      for (const from of points) {
        const to = onSide(from, p, q);
        const gap = Math.hypot(from.x - to.x, from.y - to.y);
        if (gap < least.gap) least = { gap, from, to };
      }
    });
  for (const { one, other, gap } of pairs) {
    if (gap >= least.gap) break;
    measure(one, other.ring);
    measure(other, one.ring);
  }
  return least;
}

/** The point of a side nearest to another point. */
function onSide(p: Point, a: Point, b: Point): Point {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const long2 = dx * dx + dy * dy;
  const t = long2 ? Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / long2)) : 0;
  return { x: a.x + t * dx, y: a.y + t * dy };
}
