/** Lines and outlines as something to run along. */
import { pathOfRings, polygons, grown, signedArea } from '@/core/geometry/offset';
import type { Point } from '@/core/geometry/matrix';
import type { Path } from '@/core/geometry/path';
import { EDGE_SIDES, openRun, runsOf, type Run } from '@/core/geometry/runs';

/** One line, or one ring of an outline from corner to corner. */
export interface Course {
  runs: readonly Run[];
  /** It ends where it begins. */
  closed: boolean;
  /** How hard the hand pressed at each point of a drawn line, 0 to 1. */
  pressure?: readonly number[];
}

export const CORNER_WAYS = ['turned', 'bent', 'own'] as const;
/** At corners what lies along a line turns at once, is bent round, or leaves room for a thing of its own. */
export type CornerWay = (typeof CORNER_WAYS)[number];

export const lengthOf = ({ runs }: Course): number => runs.reduce((sum, { length }) => sum + length, 0);

/** The points of a course in their order; of a ring, the first once more at its end. */
export const pointsOf = ({ runs }: Course): Point[] =>
  runs.flatMap(({ points }, i) => (i ? points.slice(1) : points));

export const openCourse = (points: readonly Point[], pressure?: readonly number[]): Course => ({
  runs: [openRun(points)],
  closed: false,
  ...(pressure ? { pressure } : {}),
});

/** A closed line through points, whichever way it goes; out is to its left. */
export function closedCourse(ring: readonly Point[]): Course {
  const clockwise = signedArea(ring) >= 0 ? ring : [...ring].reverse();
  return { runs: runsOf(clockwise, EDGE_SIDES), closed: true };
}

/** Every ring of an outline, `away` from its edge: outwards above zero, inwards below. Holes are followed too. */
export function coursesOf(outline: Path, away: number): Course[] {
  const rings = polygons(away ? grown(outline, away, 'mitred') : outline);
  return rings
    .filter((ring) => ring.length > 2)
    .map((ring) => ({ runs: runsOf(ring, EDGE_SIDES), closed: true }));
}

/** A course whose corners are rounded by a radius: one run that goes all the way round. */
export function rounded(course: Course, radius: number): Course {
  if (!course.closed || course.runs.every(({ closed }) => closed)) return course;
  const ring = pathOfRings([pointsOf(course).slice(0, -1)]);
  const opened = grown(grown(ring, -radius, 'mitred'), radius, 'round');
  const both = opened.length ? grown(grown(opened, radius, 'mitred'), -radius, 'round') : ring;
  const [largest] = polygons(both).sort((a, b) => Math.abs(signedArea(b)) - Math.abs(signedArea(a)));
  return largest ? closedCourse(largest) : course;
}
