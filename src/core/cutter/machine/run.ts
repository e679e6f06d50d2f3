/**
 * The simulated cutter: it takes a file as cutters do, and knows nothing of where it came from. Where its tool is at any time
 * follows from stated speeds and one acceleration: it speeds up and slows down evenly, and turns a corner no faster than the
 * corner allows.
 */
import type { Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import type { Doing } from '@/core/cutter/model';
import type { ReadOutline } from '@/core/cutter/read/outlines';
import { toPoints } from '@/core/units/lengths';

/** Millimetres a second, and a second squared; seconds a tool takes down or up (common practice, no source). */
export const SPEEDS: Record<Doing | 'empty', number> = { draw: 100, score: 60, cut: 50, empty: 200 };
export const ACCELERATION = 1500;
export const TOOL_TIME = 0.08;

/** One way of the tool, worked or empty. */
export interface Move {
  doing: Doing | 'empty';
  ink?: string;
  points: readonly Point[];
  /** When it is at each of the points, seconds from the beginning. */
  times: readonly number[];
}

export interface Run {
  size: Size;
  moves: Move[];
  /** Seconds in all. */
  time: number;
  /** Points it goes while it works, and while it does not. */
  worked: number;
  empty: number;
}

const far = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);

/** All that the tool does for a file, from the mat's upper left corner and back to it. */
export function runOf(outlines: readonly ReadOutline[], size: Size): Run {
  const home: Point = { x: 0, y: 0 };
  let [here, time, worked, empty] = [home, 0, 0, 0];
  const moves: Move[] = [];
  const go = (doing: Move['doing'], points: readonly Point[], ink?: string) => {
    const { times, end } = timed(points, SPEEDS[doing], time);
    const way = points.reduce((sum, p, i) => (i ? sum + far(points[i - 1]!, p) : 0), 0);
    if (doing === 'empty') empty += way;
    else worked += way;
    moves.push({ doing, points, times, ...(ink ? { ink } : {}) });
    time = end;
    here = points.at(-1)!;
  };
  for (const { points, closed, doing, ink } of outlines) {
    const way = closed ? [...points, points[0]!] : points;
    if (far(here, way[0]!) > 1e-6) go('empty', [here, way[0]!]);
    time += TOOL_TIME;
    go(doing, way, ink);
    time += TOOL_TIME;
  }
  if (far(here, home) > 1e-6) go('empty', [here, home]);
  return { size, moves, time, worked, empty };
}

/**
 * When the tool is at each point of a way, from rest to rest. At a corner that turns by an angle it is at most cos(angle) as
 * fast as it may be, and stands still where it turns back.
 *
 * @param most mm a second
 */
function timed(points: readonly Point[], most: number, from: number): { times: number[]; end: number } {
  const [speed, acceleration] = [toPoints(most, 'mm'), toPoints(ACCELERATION, 'mm')];
  const long = points.slice(1).map((p, i) => far(points[i]!, p));
  const limits = points.map((p, i) => {
    const [before, after] = [points[i - 1], points[i + 1]];
    if (!before || !after) return 0;
    const [ax, ay, bx, by] = [p.x - before.x, p.y - before.y, after.x - p.x, after.y - p.y];
    const turn = (ax * bx + ay * by) / (Math.hypot(ax, ay) * Math.hypot(bx, by) || 1);
    return speed * Math.max(0, turn);
  });
  const reach = (v: number, way: number) => Math.sqrt(v * v + 2 * acceleration * way);
  const speeds = [...limits];
  for (let i = 1; i < speeds.length; i++)
    speeds[i] = Math.min(speeds[i]!, reach(speeds[i - 1]!, long[i - 1]!));
  for (let i = speeds.length - 2; i >= 0; i--)
    speeds[i] = Math.min(speeds[i]!, reach(speeds[i + 1]!, long[i]!));
  const times = [from];
  let time = from;
  long.forEach((way, i) => {
    const [u, v] = [speeds[i]!, speeds[i + 1]!];
    const top = Math.min(speed, Math.sqrt((u * u + v * v) / 2 + acceleration * way));
    const turning = (2 * top * top - u * u - v * v) / (2 * acceleration);
    time += way === 0 ? 0 : (top - u + top - v) / acceleration + Math.max(0, way - turning) / top;
    times.push(time);
  });
  return { times, end: time };
}

/** Where the tool is at a time, in which of the moves and what it does. */
export function toolAt({ moves, time: end }: Run, time: number): { at: Point; move: number; share: number } {
  const t = Math.min(time, end);
  let [low, high] = [0, moves.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (moves[middle]!.times.at(-1)! < t) low = middle + 1;
    else high = middle;
  }
  const move = moves[low];
  if (!move) return { at: { x: 0, y: 0 }, move: 0, share: 0 };
  const { points, times } = move;
  let i = 1;
  while (i < times.length - 1 && times[i]! < t) i++;
  const [a, b, from, to] = [points[i - 1]!, points[i]!, times[i - 1]!, times[i]!];
  const share = to > from ? Math.max(0, Math.min(1, (t - from) / (to - from))) : 1;
  return {
    at: { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share },
    move: low,
    share: i - 1 + share,
  };
}

/** Where the tip of a blade goes that trails so far behind the middle it turns about: it is drawn after it. */
export function trailing(points: readonly Point[], offset: number): Point[] {
  const [first, second] = points;
  if (offset <= 0 || !first || !second) return [...points];
  const way = far(first, second) || 1;
  let tip = {
    x: first.x - ((second.x - first.x) / way) * offset,
    y: first.y - ((second.y - first.y) / way) * offset,
  };
  const tips = [tip];
  points.slice(1).forEach((to, i) => {
    const from = points[i]!;
    const steps = Math.max(1, Math.ceil((far(from, to) / offset) * 12));
    for (let k = 1; k <= steps; k++) {
      const middle = { x: from.x + ((to.x - from.x) * k) / steps, y: from.y + ((to.y - from.y) * k) / steps };
      const long = far(middle, tip) || 1;
      tip = {
        x: middle.x + ((tip.x - middle.x) / long) * offset,
        y: middle.y + ((tip.y - middle.y) / long) * offset,
      };
      tips.push(tip);
    }
  });
  return tips;
}
