/** A line as a hand drew it: its points are kept as they came, whatever is made of them. */
import { array, boolean, number, object, string } from 'yup';
import { evenly, steadied } from '@/core/geometry/freehand';
import type { Point } from '@/core/geometry/matrix';
import { simplifyLine } from '@/core/geometry/simplify';
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
  let thin: Pressing[] = distinct.length > 2 ? (simplifyLine(distinct, tolerance) as Pressing[]) : distinct;
  while (thin.length > MOST_LINE_POINTS) thin = simplifyLine(distinct, (tolerance *= 3)) as Pressing[];
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
