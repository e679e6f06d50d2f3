/** The area a tip sweeps over along a line: the union of it at every point and everything between (a Minkowski sum in pieces). */
import { EndType, FillRule, inflatePathsD, JoinType, unionD, type PathsD } from 'clipper2-ts';
import type { Point } from '@/core/geometry/matrix';
import { pathOfRings } from '@/core/geometry/offset';
import type { Path } from '@/core/geometry/path';
import type { Dab } from '@/core/trail/paint/dabs';

/** A convex tip of radius 1 about the origin, clockwise. */
export type Nib = readonly Point[];

/** Decimals Clipper2 keeps, and how far an arc may be from the true round, points. */
const DECIMALS = 4;
const ROUND = 0.02;
/** Parts that are joined at a time: many small unions are faster than one large. */
const TOGETHER = 24;

/** An ellipse, `flat` as high as it is wide, turned by degrees clockwise. */
export function ellipseNib(flat: number, degrees: number, sides = 32): Nib {
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  return Array.from({ length: sides }, (_, i) => {
    const angle = (2 * Math.PI * i) / sides;
    const [x, y] = [Math.cos(angle), flat * Math.sin(angle)];
    return { x: cos * x - sin * y, y: sin * x + cos * y };
  });
}

/** The line as wide as its dabs, with round ends. */
export function sweptRound(dabs: readonly Dab[]): Path {
  const [first] = dabs;
  if (!first) return [];
  if (dabs.every(({ r }) => r === first.r) && dabs.length > 1)
    return pathOfRings(
      inflatePathsD(
        [dabs.map(({ x, y }) => ({ x, y }))],
        first.r,
        JoinType.Round,
        EndType.Round,
        2,
        DECIMALS,
        Math.min(ROUND, first.r / 20),
      ),
    );
  return swept(dabs, (r) => {
    const sides = Math.max(10, Math.min(72, Math.ceil(Math.PI / Math.acos(Math.max(0, 1 - ROUND / r)))));
    return ellipseNib(1, 0, Number.isFinite(sides) ? sides : 10);
  });
}

/** Points a dab that is left out may lie off, and how many are left out at a time. */
const OFF = 0.02;
const AHEAD = 48;

/** The dabs between which nothing but a straight stretch lies: what is swept between is the same. */
function telling(dabs: readonly Dab[]): Dab[] {
  const kept: Dab[] = [dabs[0]!];
  for (let from = 0; from < dabs.length - 1;) {
    let to = from + 1;
    for (let next = to + 1; next < dabs.length && next <= from + AHEAD && straight(dabs, from, next); next++)
      to = next;
    kept.push(dabs[to]!);
    from = to;
  }
  return kept;
}

function straight(dabs: readonly Dab[], from: number, to: number): boolean {
  const [a, b] = [dabs[from]!, dabs[to]!];
  for (let i = from + 1; i < to; i++) {
    const p = dabs[i]!;
    const t = (p.s - a.s) / (b.s - a.s || 1);
    const away = Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y));
    if (away > OFF || Math.abs(p.r - a.r - t * (b.r - a.r)) > OFF) return false;
  }
  return true;
}

/** The area a convex tip sweeps that keeps its direction, as a pen's nib does. */
export function swept(all: readonly Dab[], nib: (r: number) => Nib): Path {
  const dabs = all.length > 2 ? telling(all) : all;
  const at = (dab: Dab): Point[] =>
    nib(dab.r).map(({ x, y }) => ({ x: dab.x + dab.r * x, y: dab.y + dab.r * y }));
  if (dabs.length < 2) return dabs[0] ? pathOfRings([at(dabs[0])]) : [];
  let parts: PathsD[] = [];
  let before = at(dabs[0]!);
  for (const dab of dabs.slice(1)) {
    const here = at(dab);
    parts.push([hullOf([...before, ...here])]);
    before = here;
  }
  while (parts.length > 1) {
    const joined: PathsD[] = [];
    for (let i = 0; i < parts.length; i += TOGETHER)
      joined.push(unionD(parts.slice(i, i + TOGETHER).flat(), [], FillRule.NonZero, DECIMALS));
    parts = joined;
  }
  return pathOfRings(parts[0]!);
}

/** The convex hull, clockwise on a page whose y goes down (Andrew's monotone chain, 1979). */
export function hullOf(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  const chain = (list: readonly Point[]): Point[] => {
    const out: Point[] = [];
    for (const p of list) {
      while (out.length > 1 && turn(out[out.length - 2]!, out[out.length - 1]!, p) <= 0) out.pop();
      out.push(p);
    }
    return out.slice(0, -1);
  };
  return [...chain(sorted), ...chain([...sorted].reverse())];
}

const turn = (a: Point, b: Point, c: Point) => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
