/** What would tear or fall out, found on an outline and mended: thin bridges, and middles that hang on nothing. */
import type { Point } from '@/core/geometry/matrix';
import { common, pathOfRings, without } from '@/core/geometry/offset';
import { distanceToSide, type Path } from '@/core/geometry/path';
import { inRing, nested, type Ring } from '@/core/cutter/rings';
import { boxOfPoints } from '@/core/geometry/box';
import { differenceD, FillRule, inflatePathsD, EndType, JoinType, unionD, type PathsD } from 'clipper2-ts';

const DECIMALS = 4;
/** Rings larger all round, round at their corners; smaller below zero. */
export const grownRings = (rings: PathsD, by: number): PathsD =>
  inflatePathsD(rings, by, JoinType.Round, EndType.Polygon, 2, DECIMALS, Math.min(0.04, Math.abs(by) / 60));

/** A place that is narrow: how wide it is, where, and the area that is. */
export interface Bridge {
  width: number;
  at: Point;
  /** Its outer ring, then its holes. */
  area: readonly Ring[];
}

/** This near to the outline a point of what is thin lies on it. */
const ON = 0.02;

/**
 * Where an outline is narrower than `limit`. What is lost when it is shrunk by half of that and grown again is thin; of that,
 * tips touch what is left in one stretch, bridges in two or more: then their own edges are in two runs at least, and the
 * shortest way from one run to another is how wide the bridge is.
 */
export function bridgesOf(path: Path, limit: number): Bridge[] {
  return bridgesIn(pathRings(path), limit);
}

const pathRings = (path: Path): PathsD => common(path, path) as PathsD;

export function bridgesIn(rings: readonly Ring[], limit: number): Bridge[] {
  const all = rings.map((ring) => [...ring]) as PathsD;
  const thick = grownRings(grownRings(all, -limit / 2), limit / 2);
  const thin = nested(differenceD(all, grownRings(thick, ON / 2), FillRule.NonZero, DECIMALS));
  if (!thin.length) return [];
  const edge = nearAny(all, ON);
  return thin.flatMap((area): Bridge[] => {
    const { width, height } = boxOfPoints(area[0]!);
    if (Math.max(width, height) < limit / 4) return [];
    const found = narrowest(area, edge);
    return found && found.width < limit - ON ? [{ ...found, area }] : [];
  });
}

/** Between the runs of an area's edges that are the outline's own; of what is outline all round, across it. */
function narrowest(area: readonly Ring[], edge: (p: Point) => boolean): Pick<Bridge, 'width' | 'at'> | null {
  const runs = area.flatMap((ring) => ownRuns(divided(ring, STEP), edge));
  if (runs.length < 2) return runs[0]?.whole ? acrossAll(area) : null;
  let best: Pick<Bridge, 'width' | 'at'> | null = null;
  runs.forEach(({ points: run }, r) => {
    for (const { points: other } of runs.slice(r + 1))
      for (const p of run)
        for (let i = 0; i + 1 < other.length; i++) {
          const width = distanceToSide(p, other[i]!, other[i + 1]!);
          if (best && width >= best.width) continue;
          const q = other[i]!;
          best = { width, at: { x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 } };
        }
  });
  return best;
}

/** The stretches of a ring that lie on an edge; the whole ring is one. */
function ownRuns(ring: readonly Point[], edge: (p: Point) => boolean): { points: Point[]; whole: boolean }[] {
  const own = ring.map(edge);
  if (own.every(Boolean)) return [{ points: [...ring, ring[0]!], whole: true }];
  const runs: { points: Point[]; whole: boolean }[] = [];
  const first = own.findIndex((is, i) => is && !own[(i + own.length - 1) % own.length]);
  for (let k = 0; first >= 0 && k < ring.length; k++) {
    const i = (first + k) % ring.length;
    if (!own[i]) continue;
    if (!own[(i + ring.length - 1) % ring.length]) runs.push({ points: [], whole: false });
    runs.at(-1)!.points.push(ring[i]!);
  }
  return runs;
}

/** Edges are looked at so often, points. */
const STEP = 0.5;
/** How large a square of the index of sides is. */
const SQUARE = 6;

/** Whether a point lies so near to any side of some rings. */
function nearAny(rings: readonly Ring[], reach: number): (p: Point) => boolean {
  const squares = new Map<string, [Point, Point][]>();
  const key = (x: number, y: number) => `${Math.floor(x / SQUARE)} ${Math.floor(y / SQUARE)}`;
  for (const ring of rings)
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      const [x1, x2] = [Math.min(a.x, b.x) - reach, Math.max(a.x, b.x) + reach];
      const [y1, y2] = [Math.min(a.y, b.y) - reach, Math.max(a.y, b.y) + reach];
      for (let x = Math.floor(x1 / SQUARE); x <= Math.floor(x2 / SQUARE); x++)
        for (let y = Math.floor(y1 / SQUARE); y <= Math.floor(y2 / SQUARE); y++) {
          const there = squares.get(`${x} ${y}`);
          if (there) there.push([a, b]);
          else squares.set(`${x} ${y}`, [[a, b]]);
        }
    });
  return (p) => (squares.get(key(p.x, p.y)) ?? []).some(([a, b]) => distanceToSide(p, a, b) < reach);
}

/** A ring with points at most so far apart. */
const divided = (ring: Ring, most: number): Point[] =>
  ring.flatMap((a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    const steps = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / most));
    return Array.from({ length: steps }, (_, k) => ({
      x: a.x + ((b.x - a.x) * k) / steps,
      y: a.y + ((b.y - a.y) * k) / steps,
    }));
  });

/** All of it is thin: twice as much as it can be shrunk before nothing is left. */
function acrossAll(area: readonly Ring[]): Pick<Bridge, 'width' | 'at'> {
  const { x, y, width, height } = boxOfPoints(area[0]!);
  let [low, high] = [0, Math.min(width, height)];
  for (let i = 0; i < 12; i++) {
    const by = (low + high) / 2;
    if (grownRings(area as PathsD, -by).length) low = by;
    else high = by;
  }
  return { width: 2 * low, at: { x: x + width / 2, y: y + height / 2 } };
}

/** The outline with every bridge at least `limit` wide. */
export function widened(path: Path, limit: number): Path {
  const thin = bridgesOf(path, limit);
  if (!thin.length) return path;
  const more = thin.flatMap(({ width, area }) => grownRings(area as PathsD, (limit - width) / 2 + 0.03));
  return pathOfRings(unionD([...pathRings(path), ...more], [], FillRule.NonZero, DECIMALS));
}

/** Middles that fall out: parts that lie in a hole of another, and hang on nothing. Rings as a clipper leaves them. */
function middlesIn(rings: readonly Ring[]): Ring[] {
  const all = nested(rings);
  return all.flatMap(([outer]) => {
    const point = outer![0]!;
    return all.some(([other, ...holes]) => other !== outer && holes.some((hole) => inRing(hole, point)))
      ? [outer!]
      : [];
  });
}

/**
 * Bars that hold a middle, `width` wide: straight up and straight down from it, to the next edge there is. `rings` are all
 * edges there are, its own with them. A bar goes a little way into what it holds together.
 */
function barsFrom(middle: Ring, rings: readonly Ring[], width: number): Point[][] {
  const box = boxOfPoints(middle);
  const x = box.x + box.width / 2;
  const crossings = (of: readonly Ring[], at: number): number[] =>
    of
      .flatMap((ring) =>
        ring.flatMap((a, i) => {
          const b = ring[(i + 1) % ring.length]!;
          return a.x > at !== b.x > at ? [a.y + ((at - a.x) / (b.x - a.x)) * (b.y - a.y)] : [];
        }),
      )
      .sort((p, q) => p - q);
  const own = crossings([middle], x);
  if (!own.length) return [];
  const others = crossings(
    rings.filter((ring) => ring !== middle),
    x,
  );
  const up = others.filter((y) => y < own[0]!).at(-1);
  const down = others.find((y) => y > own.at(-1)!);
  const bar = (from: number, to: number) => {
    // Where edges slant, the bar's corners would not reach them.
    const [top, foot] = [from - width, to + width];
    return [
      { x: x - width / 2, y: top },
      { x: x + width / 2, y: top },
      { x: x + width / 2, y: foot },
      { x: x - width / 2, y: foot },
    ];
  };
  return [
    ...(up === undefined ? [] : [bar(up, own[0]!)]),
    ...(down === undefined ? [] : [bar(own.at(-1)!, down)]),
  ];
}

/** An outline whose middles are held by bridges. */
export function bridged(path: Path, width: number): Path {
  const rings = pathRings(path);
  const bars = middlesIn(rings).flatMap((middle) => barsFrom(middle, rings, width));
  return bars.length
    ? pathOfRings(unionD([...rings, ...bars] as PathsD, [], FillRule.NonZero, DECIMALS))
    : path;
}

/** What is cut out of a paper, so that the middles stay in it: they are the holes of what is cut out. */
export function bridgedOpening(path: Path, width: number): Path {
  const rings = pathRings(path);
  const bars = holesIn(rings).flatMap((middle) => barsFrom(middle, rings, width));
  return bars.length ? without(path, pathOfRings(bars)) : path;
}

const holesIn = (rings: readonly Ring[]): Ring[] => nested(rings).flatMap(([, ...holes]) => holes);
