/** A line as a hand drew it: its points are kept as they came, whatever is made of them. */
import { array, boolean, number, object, string } from 'yup';
import { evenly, steadied } from '@/core/geometry/freehand';
import type { Point } from '@/core/geometry/matrix';
import { closedCourse, openCourse, type Course } from '@/core/trail/course';
import { trailSchema, type Trail } from '@/core/trail';

export interface Line {
  id: string;
  /** x, y one after the other, points in the frame of its outline. */
  at: number[];
  /** How hard the hand pressed at each point, 0 to 1; absent where it could not be known. */
  pressure?: number[];
  /** How far the pen leaned at each point, degrees from upright; absent where it could not be known. */
  lean?: number[];
  /** It ends where it begins. */
  closed?: true;
  /** How much of the tremble is taken out, 0 to 1. */
  smoothing: number;
  /** What runs along it. */
  trail: Trail;
}

/** Points one line may have; more are thinned out as they come. */
export const MOST_LINE_POINTS = 20_000;
const FAR = 1e5;

export const lineSchema = object({
  id: string().min(1).max(80).required(),
  at: array(number().min(-FAR).max(FAR).required())
    .min(2)
    .max(2 * MOST_LINE_POINTS)
    .test('pairs', '${path} must have an x and a y for each point', (list) => (list?.length ?? 0) % 2 === 0)
    .required(),
  pressure: array(number().min(0).max(1).required()).max(MOST_LINE_POINTS),
  lean: array(number().min(0).max(90).required()).max(MOST_LINE_POINTS),
  closed: boolean().oneOf([true]),
  smoothing: number().min(0).max(1).required(),
  trail: trailSchema,
}).noUnknown();

export const pointsIn = ({ at }: Pick<Line, 'at'>): Point[] =>
  Array.from({ length: at.length >> 1 }, (_, i) => ({ x: at[2 * i]!, y: at[2 * i + 1]! }));

/** One spot as it comes from a pointer. */
export interface Pressing extends Point {
  pressure?: number;
  lean?: number;
}

const round = (value: number, by: number) => Math.round(value * by) / by;

/**
 * What of the spots a pointer told of is kept: those that say nothing new are left out, as far as 0.02 points, more where
 * there are too many of them. A pressure that never changes is none: mice and some pens always say the same.
 */
export function kept(spots: readonly Pressing[]): Pick<Line, 'at' | 'pressure' | 'lean'> {
  const distinct = spots.filter(({ x, y }, i) => {
    const before = spots[i - 1];
    return Number.isFinite(x) && Number.isFinite(y) && !(before && before.x === x && before.y === y);
  });
  let tolerance = 0.02;
  let thin = thinned(distinct, tolerance);
  while (thin.length > MOST_LINE_POINTS) {
    // What is all corners is taken more coarsely in the end.
    thin =
      tolerance < COARSEST
        ? thinned(distinct, (tolerance *= 3))
        : thin.filter((_, i) => i % 2 === 0 || i === thin.length - 1);
  }
  const within = (value: number) => Math.max(-FAR, Math.min(FAR, round(value, 1000)));
  const told = (of: 'pressure' | 'lean') => {
    const [first] = thin;
    return thin.some((spot) => spot[of] !== undefined && spot[of] !== first![of]);
  };
  return {
    at: thin.flatMap(({ x, y }) => [within(x), within(y)]),
    ...(told('pressure')
      ? { pressure: thin.map(({ pressure = 0.5 }) => round(Math.min(1, Math.max(0, pressure)), 1000)) }
      : {}),
    ...(told('lean') ? { lean: thin.map(({ lean = 0 }) => round(Math.min(90, Math.max(0, lean)), 10)) } : {}),
  };
}

/** A third of an inch. */
const COARSEST = 24;
/** So many spots are thinned out together. */
const STRETCH = 256;

/** Points a step of pressure counts as: a twentieth of it is seen in the width of a broad tip. */
const PRESSED = 1;

/** Ramer (1972) and Douglas & Peucker (1973) over place and pressure: where a hand only pressed harder says something, too. */
function thinned(spots: readonly Pressing[], tolerance: number): Pressing[] {
  const way = [0];
  for (let i = 1; i < spots.length; i++)
    way.push(way[i - 1]! + Math.hypot(spots[i]!.x - spots[i - 1]!.x, spots[i]!.y - spots[i - 1]!.y));
  const last = spots.length - 1;
  const keep = new Set([last]);
  // Stretch by stretch, as a line that is all corners would else cost the square of its length.
  const spans: [number, number][] = [];
  for (let from = 0; from < last; from += STRETCH) {
    keep.add(from);
    spans.push([from, Math.min(last, from + STRETCH)]);
  }
  for (let span = spans.pop(); span; span = spans.pop()) {
    const [from, to] = span;
    const [a, b] = [spots[from]!, spots[to]!];
    const [pa, pb] = [a.pressure ?? 0.5, b.pressure ?? 0.5];
    const long = way[to]! - way[from]!;
    let [most, at] = [tolerance, -1];
    for (let i = from + 1; i < to; i++) {
      const p = spots[i]!;
      // Where the hand would be had it gone straight: who goes back on himself is elsewhere.
      const t = long ? (way[i]! - way[from]!) / long : 0;
      const away = Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y));
      const pressed = Math.abs((p.pressure ?? 0.5) - pa - t * (pb - pa)) * PRESSED;
      const off = Math.max(away, pressed);
      if (off > most) [most, at] = [off, i];
    }
    if (at < 0) continue;
    keep.add(at);
    spans.push([from, at], [at, to]);
  }
  return spots.filter((_, i) => keep.has(i));
}

/** How far apart points of a smoothed line are, points: a fifth of a millimetre. */
const APART = 0.6;
/** The tremble that a full smoothing takes out, in such steps (standard deviation of a Gaussian). */
const STEADIEST = 18;

/** A line as something to run along, its frame stretched by `x` and `y`. */
export function courseOf(line: Line, x: number, y: number): Course {
  const points = pointsIn(line).map((point) => ({ x: point.x * x, y: point.y * y }));
  if (points.length === 1)
    return openCourse(
      [points[0]!, { x: points[0]!.x + 0.01, y: points[0]!.y }],
      line.pressure && [line.pressure[0]!, line.pressure[0]!],
    );
  const smooth = line.smoothing > 0 && points.length > 2;
  if (line.closed) return closedCourse(smooth ? steady(points, line.smoothing, true) : points);
  if (!smooth) return openCourse(points, line.pressure);
  const even = steady(points, line.smoothing, false);
  return openCourse(even, line.pressure && carried(points, line.pressure, even.length));
}

function steady(points: readonly Point[], smoothing: number, ring: boolean): Point[] {
  const fine = points.map(({ x, y }) => ({ x: x / APART, y: y / APART }));
  return steadied(evenly(fine, ring), STEADIEST * smoothing, ring).map(({ x, y }) => ({
    x: x * APART,
    y: y * APART,
  }));
}

/** What was known at each point, as often as there are even points. */
function carried(points: readonly Point[], values: readonly number[], count: number): number[] {
  const at = [0];
  for (let i = 1; i < points.length; i++)
    at.push(at[i - 1]! + Math.hypot(points[i]!.x - points[i - 1]!.x, points[i]!.y - points[i - 1]!.y));
  const long = at[at.length - 1]!;
  let i = 0;
  return Array.from({ length: count }, (_, k) => {
    const s = (long * k) / Math.max(1, count - 1);
    while (i < at.length - 2 && at[i + 1]! < s) i++;
    const t = (s - at[i]!) / (at[i + 1]! - at[i]! || 1);
    const [a, b] = [values[i] ?? 0.5, values[i + 1] ?? 0.5];
    return a + Math.min(1, Math.max(0, t)) * (b - a);
  });
}
