/** A ribbon from fold to fold: where its line turns sharply it is folded over, and its back is seen. */
import type { Point } from '@/core/geometry/matrix';
import { pathOfRings } from '@/core/geometry/offset';
import type { Path } from '@/core/geometry/path';
import { openRun, type Run } from '@/core/geometry/runs';
import { bandOf, strip, type End } from '@/core/trail/band';
import type { Course } from '@/core/trail/course';

/** A turn sharper than this within a width of the ribbon is a fold, radians. */
const SHARP = (62 * Math.PI) / 180;

/** A stretch of ribbon between two folds; its back is seen after every other fold. */
export interface Stretch {
  run: Run;
  /** The area it covers. */
  path: Path;
  /** Along the folds at its ends: from one edge of the ribbon to the other. */
  folds: [Point, Point][];
  back: boolean;
}

/** Where a line turns sharply: which of its points. */
function sharpTurns(run: Run, width: number): number[] {
  const { points, at } = run;
  const found: { i: number; turn: number }[] = [];
  const reach = Math.max(0.5, width * 0.5);
  let [before, after] = [0, 0];
  for (let i = 1; i + 1 < points.length; i++) {
    while (at[i]! - at[before + 1]! >= reach) before++;
    if (after < i + 1) after = i + 1;
    while (after + 1 < points.length && at[after]! - at[i]! < reach) after++;
    const [a, b, c] = [points[before]!, points[i]!, points[after]!];
    const [ax, ay, bx, by] = [b.x - a.x, b.y - a.y, c.x - b.x, c.y - b.y];
    const turn = Math.abs(Math.atan2(ax * by - ay * bx, ax * bx + ay * by));
    if (turn < SHARP) continue;
    const last = found[found.length - 1];
    if (last && at[i]! - at[last.i]! < 1.2 * width) {
      if (turn > last.turn) found[found.length - 1] = { i, turn };
    } else found.push({ i, turn });
  }
  return found.map(({ i }) => i);
}

const wayBetween = (a: Point, b: Point): Point => {
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  return { x: (b.x - a.x) / long, y: (b.y - a.y) / long };
};

/** The half of a polygon on one side of a line through `p`, that to which `n` points (Sutherland and Hodgman 1974). */
function halved(ring: readonly Point[], p: Point, n: Point): Point[] {
  const side = (q: Point) => (q.x - p.x) * n.x + (q.y - p.y) * n.y;
  const out: Point[] = [];
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    const [sa, sb] = [side(a), side(b)];
    if (sa >= 0) out.push(a);
    if (sa >= 0 !== sb >= 0) {
      const t = sa / (sa - sb);
      out.push({ x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) });
    }
  });
  return out;
}

/** A ribbon as stretches from fold to fold, in the order they lie on each other. */
export function stretchesOf(
  { width, ends, seed }: { width: number; ends: End; seed: number },
  course: Course,
): Stretch[] {
  if (course.closed)
    return course.runs.map((run) => ({
      run,
      path: bandOf(run, width, 'straight', seed),
      folds: [],
      back: false,
    }));
  const [run] = course.runs as [Run];
  const turns = sharpTurns(run, width);
  if (!turns.length) return [{ run, path: bandOf(run, width, ends, seed), folds: [], back: false }];
  const cuts = [0, ...turns, run.points.length - 1];
  return cuts.slice(0, -1).map((from, k) => {
    const to = cuts[k + 1]!;
    const part = run.points.slice(from, to + 1);
    const [begins, stops] = [k === 0, k === cuts.length - 2];
    const length = run.at[to]! - run.at[from]!;
    // Straight on beyond a fold, for the fold to cut.
    const first = wayBetween(part[Math.min(part.length - 1, near(run, from, width) - from)]!, part[0]!);
    const last = wayBetween(part[Math.max(0, near(run, to, -width) - from)]!, part[part.length - 1]!);
    const long = [
      ...(begins ? [] : [{ x: part[0]!.x + width * first.x, y: part[0]!.y + width * first.y }]),
      ...part,
      ...(stops
        ? []
        : [{ x: part[part.length - 1]!.x + width * last.x, y: part[part.length - 1]!.y + width * last.y }]),
    ];
    const stretch = openRun(long);
    const folds: [Point, Point][] = [];
    let rings = ringsOf(bandOf(stretch, width, begins && stops ? ends : 'straight', seed));
    if (begins !== stops) rings = ringsOf(oneEnd(stretch, width, ends, seed, begins));
    for (const at of [...(begins ? [] : [from]), ...(stops ? [] : [to])]) {
      const { p, n, u } = foldAt(run, at, width);
      rings = rings.map((ring) => (length > 3 * width ? cutNear(ring, p, n, width) : halved(ring, p, n)));
      const reach = width * 0.72;
      folds.push([
        { x: p.x - u.x * reach, y: p.y - u.y * reach },
        { x: p.x + u.x * reach, y: p.y + u.y * reach },
      ]);
    }
    return { run: stretch, path: pathOfRings(rings), folds, back: k % 2 === 1 };
  });
}

/** The point of a run about a distance after (or before) another. */
function near(run: Run, i: number, by: number): number {
  const wanted = run.at[i]! + by;
  let j = i;
  while (j > 0 && j < run.points.length - 1 && (by > 0 ? run.at[j]! < wanted : run.at[j]! > wanted))
    j += Math.sign(by);
  if (j === i) j = Math.min(run.points.length - 1, Math.max(0, i + Math.sign(by)));
  return j;
}

/** The line a ribbon is folded along where it turns: its way is mirrored in that line. */
function foldAt(run: Run, i: number, width: number) {
  const p = run.points[i]!;
  const before = wayBetween(run.points[near(run, i, -width)]!, p);
  const after = wayBetween(p, run.points[near(run, i, width)]!);
  let u = { x: before.x + after.x, y: before.y + after.y };
  const long = Math.hypot(u.x, u.y);
  u = long < 0.05 ? { x: -before.y, y: before.x } : { x: u.x / long, y: u.y / long };
  let n = { x: -u.y, y: u.x };
  if (n.x * before.x + n.y * before.y > 0) n = { x: -n.x, y: -n.y };
  return { p, n, u };
}

/** Cuts away beyond a fold, but nothing of the ring that lies far from it. */
function cutNear(ring: readonly Point[], p: Point, n: Point, width: number): Point[] {
  const side = (q: Point) => (q.x - p.x) * n.x + (q.y - p.y) * n.y;
  const far = (q: Point) => Math.hypot(q.x - p.x, q.y - p.y) > 2.2 * width;
  const kept: Point[] = [];
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    const [sa, sb] = [far(a) ? 1 : side(a), far(b) ? 1 : side(b)];
    if (sa >= 0) kept.push(a);
    if (sa >= 0 !== sb >= 0 && !far(a) && !far(b)) {
      const t = sa / (sa - sb);
      kept.push({ x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) });
    }
  });
  return kept;
}

/** A band with only one of its ends cut: its first, or its last. */
function oneEnd(run: Run, width: number, end: End, seed: number, first: boolean): Path {
  const both = bandOf(run, width, end, seed);
  const plain = bandOf(run, width, 'straight', seed);
  if (end === 'straight') return plain;
  // The band with its cut end, joined with the half that has none.
  const half = width / 2;
  const other = first
    ? strip(run, -half, half, run.length / 2, run.length)
    : strip(run, -half, half, 0, run.length / 2);
  return [...both, ...pathOfRings([other])];
}

const ringsOf = (path: Path): Point[][] => {
  const rings: Point[][] = [];
  for (const segment of path) {
    if (segment[0] === 'M') rings.push([]);
    if (segment[0] === 'M' || segment[0] === 'L')
      rings[rings.length - 1]!.push({ x: segment[1], y: segment[2] });
  }
  return rings;
};
