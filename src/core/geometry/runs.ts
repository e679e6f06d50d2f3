/** Outlines as runs from corner to corner, to lay something along them: scallops, dashes, stitches. */
import type { Point } from '@/core/geometry/matrix';

export const EDGE_SIDES = ['top', 'right', 'bottom', 'left'] as const;
export type EdgeSide = (typeof EDGE_SIDES)[number];

/** A stretch of a ring between two corners, with the way out of the paper at each of its points. */
export interface Run {
  points: Point[];
  normals: Point[];
  /** Length up to each point. */
  at: number[];
  length: number;
  side: EdgeSide;
  /** It ends where it begins. */
  closed: boolean;
  /** The angle inside the paper where it begins and ends, radians; null where there is no corner. */
  before: number | null;
  after: number | null;
}

/** A turn sharper than this, degrees, is a corner. */
const CORNER = 35;

const facing = ({ x, y }: Point): EdgeSide =>
  Math.abs(y) >= Math.abs(x) ? (y < 0 ? 'top' : 'bottom') : x > 0 ? 'right' : 'left';

/** A ring in stretches between its corners; with some sides only, also where it begins to face one of them. */
export function runsOf(ring: readonly Point[], sides: readonly EdgeSide[]): Run[] {
  const count = ring.length;
  const at = (i: number) => ring[(i + count) % count]!;
  const way = (i: number): Point => {
    const [a, b] = [at(i), at(i + 1)];
    const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    return { x: (b.x - a.x) / long, y: (b.y - a.y) / long };
  };
  const out = (i: number): Point => ({ x: way(i).y, y: -way(i).x });
  const turn = (i: number): number => {
    const [a, b] = [way(i - 1), way(i)];
    return Math.atan2(a.x * b.y - a.y * b.x, a.x * b.x + a.y * b.y);
  };
  const corner = (i: number) => Math.abs(turn(i)) > (CORNER * Math.PI) / 180;
  const all = sides.length === EDGE_SIDES.length;
  // With some sides only, a rounded edge ends where it begins to face another way.
  const breaks = (i: number) =>
    corner(i) || (!all && sides.includes(facing(out(i - 1))) !== sides.includes(facing(out(i))));
  const starts = Array.from({ length: count }, (_, i) => i).filter(breaks);
  if (!starts.length) return [runBetween(0, count, true)];
  return starts.map((from, k) => {
    const next = starts[(k + 1) % starts.length]!;
    return runBetween(from, next > from ? next : next + count, false);
  });

  function runBetween(from: number, to: number, closed: boolean): Run {
    const points: Point[] = [];
    const normals: Point[] = [];
    const lengths: number[] = [];
    let length = 0;
    for (let i = from; i <= to; i++) {
      const p = at(i);
      if (i > from) length += Math.hypot(p.x - at(i - 1).x, p.y - at(i - 1).y);
      const [a, b] = [!closed && i === from ? out(i) : out(i - 1), !closed && i === to ? out(i - 1) : out(i)];
      const long = Math.hypot(a.x + b.x, a.y + b.y) || 1;
      points.push(p);
      normals.push({ x: (a.x + b.x) / long, y: (a.y + b.y) / long });
      lengths.push(length);
    }
    const inside = (i: number) => (corner(i) ? Math.PI - turn(i) : null);
    return {
      points,
      normals,
      at: lengths,
      length,
      closed,
      side: facing(out(Math.floor((from + to - 1) / 2))),
      before: closed ? null : inside(from % count),
      after: closed ? null : inside(to % count),
    };
  }
}

/** An open line as a run; out is to its left, as it is of a ring that goes clockwise. */
export function openRun(points: readonly Point[]): Run {
  const at: number[] = [0];
  for (let i = 1; i < points.length; i++)
    at.push(at[i - 1]! + Math.hypot(points[i]!.x - points[i - 1]!.x, points[i]!.y - points[i - 1]!.y));
  const normals = points.map((_, i) => {
    const [a, b] = [points[Math.max(0, i - 1)]!, points[Math.min(points.length - 1, i + 1)]!];
    const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    return { x: (b.y - a.y) / long, y: -(b.x - a.x) / long };
  });
  return {
    points: [...points],
    normals,
    at,
    length: at[at.length - 1]!,
    closed: false,
    side: 'top',
    before: null,
    after: null,
  };
}

/** The point `s` along a run, `v` out of the paper: to the left of its way. */
export function onRun(run: Run, s: number, v: number): Point {
  let low = 0;
  let high = run.at.length - 1;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (run.at[middle]! <= s) low = middle;
    else high = middle;
  }
  const t = (s - run.at[low]!) / (run.at[high]! - run.at[low]! || 1);
  const [p, q, m, n] = [run.points[low]!, run.points[high]!, run.normals[low]!, run.normals[high]!];
  const nx = m.x + t * (n.x - m.x);
  const ny = m.y + t * (n.y - m.y);
  const long = Math.hypot(nx, ny) || 1;
  return { x: p.x + t * (q.x - p.x) + (v * nx) / long, y: p.y + t * (q.y - p.y) + (v * ny) / long };
}

/** The way along a run at `s`: radians clockwise from the right. */
export function wayOn(run: Run, s: number): number {
  const [a, b] = [onRun(run, s, 0), onRun(run, s, 1)];
  return Math.atan2(b.x - a.x, a.y - b.y);
}
