/** A line as a hand with a tip of changing size draws it. */
import type { Point } from '@/core/geometry/matrix';
import { pointsOf, type Course } from '@/core/trail/course';

/** One spot of a line: where it is, points; the radius of the tip; how hard it is pressed, 0 to 1; how far along, points. */
export interface Dab extends Point {
  r: number;
  press: number;
  s: number;
}

/** How a tip follows the hand. */
export interface Pressed {
  /** How wide the tip is, points. */
  width: number;
  /** How much of it a light hand takes away, 0 to 1. */
  thins: number;
  /** How long either end grows from nothing, as a share of the line. */
  taper: number;
}

/** A tip never becomes finer than this share of itself. */
const FINEST = 0.06;

export function dabsOf(course: Course, { width, thins, taper }: Pressed): Dab[] {
  const points = pointsOf(course);
  const { pressure } = course;
  const way = [0];
  for (let i = 1; i < points.length; i++)
    way.push(way[i - 1]! + Math.hypot(points[i]!.x - points[i - 1]!.x, points[i]!.y - points[i - 1]!.y));
  const long = way[way.length - 1]! || 1;
  const ends = course.closed ? 0 : taper * long;
  return points.map(({ x, y }, i) => {
    const press = pressure?.[i] ?? 0.5;
    const hard = pressure ? 1 - thins * (1 - Math.min(1, press * 1.25)) : 1;
    const end = ends > 0 ? Math.min(1, Math.min(way[i]!, long - way[i]!) / ends) : 1;
    const r = (width / 2) * Math.max(FINEST, hard * Math.sqrt(end));
    return { x, y, r, press, s: way[i]! };
  });
}
