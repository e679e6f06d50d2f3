/**
 * Smooth outlines through traced points: corners are found first, curves are fitted between them by Schneider's algorithm
 * (Graphics Gems, 1990): least squares for the handles' lengths, better parameters by Newton's method, split where it is
 * worst. Our own, as an outline may have 100,000 points and the library at hand takes ten times as long.
 */
import type { Point } from '@/core/geometry/matrix';
import type { Path, Segment } from '@/core/geometry/path';
import { simplifyRing } from '@/core/geometry/simplify';

/** A turn of more than this, degrees, seen over a few points each way, is a corner, if twice as many see hardly more of it. */
const CORNER = 28;
const SPAN = 4;
const SPREAD = 1.5;

/** Points at either end of a straight side that are not looked at: traced pixels round its corners off. */
const ROUNDED = 3;
/** How far a corner may lie beyond the traced one, in points, and the least sine of the angle between its sides. */
const FARTHEST_CORNER = 4;
const PARALLEL = 0.05;

interface Line extends Point {
  dx: number;
  dy: number;
}

/** A closed ring of points as lines and curves that stay within `tolerance` of them; straight sides meet where they cross. */
export function fitRing(ring: readonly Point[], tolerance: number): Path {
  const count = ring.length;
  if (count < 8) return lines(simplifyRing(ring, tolerance));
  const at = (i: number) => ring[((i % count) + count) % count]!;
  const starts = corners(ring);
  // Without corners it is cut open anywhere; the ends meet in one direction as both see the same points.
  const cuts = starts.length > 0 ? starts : [0];
  const runs = cuts.flatMap((from, k) => {
    const to =
      cuts.length === 1 ? from + count : cuts[(k + 1) % cuts.length]! + (k + 1 === cuts.length ? count : 0);
    const run = Array.from({ length: to - from + 1 }, (_, i) => at(from + i));
    return starts.length > 1 ? bentOnce(run, tolerance) : [run];
  });
  const sides = starts.length > 1 ? runs.map((run) => lineThrough(run, tolerance)) : runs.map(() => null);
  const ends = runs.map(([traced], k) => {
    const [before, after] = [sides[(k + sides.length - 1) % sides.length]!, sides[k]!];
    return (before && after && crossing(before, after, traced!)) || traced!;
  });
  const path: Segment[] = [['M', ends[0]!.x, ends[0]!.y]];
  runs.forEach((run, k) => {
    const to = ends[(k + 1) % ends.length]!;
    const side = sides[k];
    if (side && [ends[k]!, to].every((end) => offLine(side, end) <= tolerance)) path.push(['L', to.x, to.y]);
    else path.push(...fitted(thinned([ends[k]!, ...run.slice(1, -1), to]), tolerance));
  });
  return [...path, ['Z']];
}

/** Points a straight side has at least that meets another in a flat corner. */
const LONG_SIDE = 16;

/** A run between two corners that is two straight sides with a flat corner between them, as those two; any other as it is. */
function bentOnce(run: readonly Point[], tolerance: number): (readonly Point[])[] {
  const [a, b] = [run[0]!, run.at(-1)!];
  let [most, at] = [tolerance, -1];
  run.forEach((p, i) => {
    const off =
      Math.abs((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) /
      (Math.hypot(b.x - a.x, b.y - a.y) || 1);
    if (off > most) [most, at] = [off, i];
  });
  if (at < LONG_SIDE || run.length - at <= LONG_SIDE) return [run];
  const halves = [run.slice(0, at + 1), run.slice(at)];
  return halves.every((half) => lineThrough(half, tolerance)) ? halves : [run];
}

/** The straight line a run of points lies on within `tolerance` (least squares), its ends not counted; null if it bends. */
function lineThrough(run: readonly Point[], tolerance: number): Line | null {
  const seen = run.length > 2 * ROUNDED + 3 ? run.slice(ROUNDED, -ROUNDED) : run;
  const [x, y] = [mean(seen, 'x'), mean(seen, 'y')];
  let [xx, xy, yy] = [0, 0, 0];
  for (const p of seen) {
    xx += (p.x - x) ** 2;
    xy += (p.x - x) * (p.y - y);
    yy += (p.y - y) ** 2;
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
  const line = { x, y, dx, dy };
  return seen.every((p) => offLine(line, p) <= tolerance) ? line : null;
}

const offLine = ({ x, y, dx, dy }: Line, p: Point): number => Math.abs((p.x - x) * dy - (p.y - y) * dx);

const mean = (points: readonly Point[], axis: 'x' | 'y'): number =>
  points.reduce((sum, point) => sum + point[axis], 0) / points.length;

/** Where two sides cross, if that is near the corner that was traced. */
function crossing(a: Line, b: Line, near: Point): Point | null {
  const sine = a.dx * b.dy - a.dy * b.dx;
  if (Math.abs(sine) < PARALLEL) return null;
  const t = ((b.x - a.x) * b.dy - (b.y - a.y) * b.dx) / sine;
  const point = { x: a.x + t * a.dx, y: a.y + t * a.dy };
  // The sharper a tip, the more of it pixels leave out.
  const most = FARTHEST_CORNER + 2 / Math.abs(sine);
  return Math.hypot(point.x - near.x, point.y - near.y) <= most ? point : null;
}

const lines = (ring: readonly Point[]): Path =>
  ring.length < 3 ? [] : [...ring.map(({ x, y }, i): Segment => [i === 0 ? 'M' : 'L', x, y]), ['Z']];

/** Points nearer than this to the one before add little to a fit: traced ones lie a pixel apart and are exact. */
const CLOSE = 3;
function thinned(run: readonly Point[]): Point[] {
  const kept: Point[] = [run[0]!];
  for (let i = 1; i < run.length - 1; i++) {
    const [p, q] = [kept[kept.length - 1]!, run[i]!];
    if (Math.hypot(q.x - p.x, q.y - p.y) >= CLOSE) kept.push(q);
  }
  kept.push(run[run.length - 1]!);
  return kept;
}

/** Rounds of better parameters before a stretch is split; with a fit worse than this many tolerances it is split at once. */
const ROUNDS = 4;
const HOPELESS = 4;

/** Cubic curves along the points, each within `tolerance` of those it stands for. */
function fitted(points: readonly Point[], tolerance: number): Segment[] {
  const last = points.length - 1;
  // A ring that was cut open goes on in one direction where its ends meet.
  const ring = last > 2 && points[0]!.x === points[last]!.x && points[0]!.y === points[last]!.y;
  const start = ring ? unit(points[last - 1]!, points[1]!) : unit(points[0]!, points[1]!);
  const end = ring ? { x: -start.x, y: -start.y } : unit(points[last]!, points[last - 1]!);
  const out: Segment[] = [];
  fitSpan(points, 0, last, start, end, tolerance, out);
  return out;
}

const unit = (a: Point, b: Point): Point => {
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  return { x: (b.x - a.x) / long, y: (b.y - a.y) / long };
};

interface Handles {
  ax: number;
  ay: number;
  bx: number;
  by: number;
}

function fitSpan(
  points: readonly Point[],
  from: number,
  to: number,
  start: Point,
  end: Point,
  tolerance: number,
  out: Segment[],
): void {
  const [p, q] = [points[from]!, points[to]!];
  if (to - from < 2) {
    const third = Math.hypot(q.x - p.x, q.y - p.y) / 3;
    out.push([
      'C',
      p.x + start.x * third,
      p.y + start.y * third,
      q.x + end.x * third,
      q.y + end.y * third,
      q.x,
      q.y,
    ]);
    return;
  }
  const at = new Float64Array(to - from + 1);
  for (let i = 1; i < at.length; i++) {
    const [a, b] = [points[from + i - 1]!, points[from + i]!];
    at[i] = at[i - 1]! + Math.hypot(b.x - a.x, b.y - a.y);
  }
  for (let i = 1; i < at.length; i++) at[i]! /= at[at.length - 1]!;
  let worst = { off: Infinity, i: (from + to) >> 1 };
  for (let round = 0; round <= ROUNDS; round++) {
    const handles = handlesFor(points, from, to, at, start, end);
    worst = worstOf(points, from, to, at, handles);
    if (worst.off <= tolerance) {
      out.push(['C', handles.ax, handles.ay, handles.bx, handles.by, q.x, q.y]);
      return;
    }
    if (worst.off > HOPELESS * tolerance) break;
    improve(points, from, to, at, handles);
  }
  const middle = unit(points[worst.i + 1]!, points[worst.i - 1]!);
  fitSpan(points, from, worst.i, start, middle, tolerance, out);
  fitSpan(points, worst.i, to, { x: -middle.x, y: -middle.y }, end, tolerance, out);
}

/** The handles' lengths along the two directions with the least squared distance. */
function handlesFor(
  points: readonly Point[],
  from: number,
  to: number,
  at: Float64Array,
  start: Point,
  end: Point,
): Handles {
  const [p, q] = [points[from]!, points[to]!];
  const dot = start.x * end.x + start.y * end.y;
  let [c00, c01, c11, x0, x1] = [0, 0, 0, 0, 0];
  for (let i = 0; i < at.length; i++) {
    const t = at[i]!;
    const s = 1 - t;
    const [b0, b1, b2, b3] = [s * s * s, 3 * s * s * t, 3 * s * t * t, t * t * t];
    c00 += b1 * b1;
    c01 += b1 * b2 * dot;
    c11 += b2 * b2;
    const point = points[from + i]!;
    const dx = point.x - (p.x * (b0 + b1) + q.x * (b2 + b3));
    const dy = point.y - (p.y * (b0 + b1) + q.y * (b2 + b3));
    x0 += b1 * (start.x * dx + start.y * dy);
    x1 += b2 * (end.x * dx + end.y * dy);
  }
  const whole = c00 * c11 - c01 * c01;
  let a = whole ? (x0 * c11 - x1 * c01) / whole : 0;
  let b = whole ? (c00 * x1 - c01 * x0) / whole : 0;
  const long = Math.hypot(q.x - p.x, q.y - p.y);
  // Handles that turn back or vanish make a loop: a third of the way, as Wu and Barsky do.
  if (a < 1e-6 * long || b < 1e-6 * long) a = b = long / 3;
  return { ax: p.x + start.x * a, ay: p.y + start.y * a, bx: q.x + end.x * b, by: q.y + end.y * b };
}

function worstOf(
  points: readonly Point[],
  from: number,
  to: number,
  at: Float64Array,
  { ax, ay, bx, by }: Handles,
): { off: number; i: number } {
  const [p, q] = [points[from]!, points[to]!];
  let worst = { off: 0, i: (from + to) >> 1 };
  for (let i = 1; i < at.length - 1; i++) {
    const t = at[i]!;
    const s = 1 - t;
    const x = s * s * s * p.x + 3 * s * s * t * ax + 3 * s * t * t * bx + t * t * t * q.x;
    const y = s * s * s * p.y + 3 * s * s * t * ay + 3 * s * t * t * by + t * t * t * q.y;
    const point = points[from + i]!;
    const off = Math.hypot(x - point.x, y - point.y);
    if (off > worst.off) worst = { off, i: from + i };
  }
  return worst;
}

/** One step of Newton's method for the place on the curve nearest to each point. */
function improve(
  points: readonly Point[],
  from: number,
  to: number,
  at: Float64Array,
  { ax, ay, bx, by }: Handles,
): void {
  const [p, q] = [points[from]!, points[to]!];
  for (let i = 1; i < at.length - 1; i++) {
    const t = at[i]!;
    const s = 1 - t;
    const point = points[from + i]!;
    const x = s * s * s * p.x + 3 * s * s * t * ax + 3 * s * t * t * bx + t * t * t * q.x - point.x;
    const y = s * s * s * p.y + 3 * s * s * t * ay + 3 * s * t * t * by + t * t * t * q.y - point.y;
    const dx = 3 * (s * s * (ax - p.x) + 2 * s * t * (bx - ax) + t * t * (q.x - bx));
    const dy = 3 * (s * s * (ay - p.y) + 2 * s * t * (by - ay) + t * t * (q.y - by));
    const ddx = 6 * (s * (bx - 2 * ax + p.x) + t * (q.x - 2 * bx + ax));
    const ddy = 6 * (s * (by - 2 * ay + p.y) + t * (q.y - 2 * by + ay));
    const slope = dx * dx + dy * dy + x * ddx + y * ddy;
    if (Math.abs(slope) > 1e-12) at[i] = Math.min(1, Math.max(0, t - (x * dx + y * dy) / slope));
  }
}

/** Where the way turns sharply, the sharpest of each neighbourhood. */
function corners(ring: readonly Point[]): number[] {
  const count = ring.length;
  const at = (i: number) => ring[((i % count) + count) % count]!;
  const turn = (i: number, span: number): number => {
    const [a, b, c] = [at(i - span), at(i), at(i + span)];
    const [ux, uy, vx, vy] = [b.x - a.x, b.y - a.y, c.x - b.x, c.y - b.y];
    return Math.abs(Math.atan2(ux * vy - uy * vx, ux * vx + uy * vy)) * (180 / Math.PI);
  };
  // What turns on is round, however small.
  const turns = ring.map((_, i) => {
    const here = turn(i, SPAN);
    return here >= CORNER && (here > 75 || turn(i, 2 * SPAN) <= SPREAD * here) ? here : 0;
  });
  const found: number[] = [];
  for (let i = 0; i < count; i++) {
    if (turns[i]! < CORNER) continue;
    let sharpest = true;
    for (let k = -SPAN; k <= SPAN && sharpest; k++) {
      const other = turns[(i + k + count) % count]!;
      sharpest = k === 0 || other < turns[i]! || (other === turns[i]! && k > 0);
    }
    if (sharpest) found.push(i);
  }
  return found;
}
