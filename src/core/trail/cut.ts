/** A cut through what was drawn: of all before it on its piece, what lies within the closed line is left. */
import { object, string } from 'yup';
import { pathOfRings } from '@/core/geometry/offset';
import type { Path } from '@/core/geometry/path';
import type { Course } from '@/core/trail/course';
import type { TrailKind } from '@/core/trail/kind';

export interface CutTrail {
  kind: 'cut';
}

const areaOf = (courses: readonly Course[]): Path =>
  pathOfRings(courses.map(({ runs }) => runs.flatMap(({ points }) => points.slice(0, -1))));

export const cut: TrailKind<CutTrail> = {
  kind: 'cut',
  name: 'Cut',
  schema: object({ kind: string().oneOf(['cut']).required() }).noUnknown(),
  erases: () => 'beyond',
  half: () => 0,
  shape: (_, courses) => areaOf(courses),
  lay: (_, courses) => [{ mark: 'fill', path: areaOf(courses), colour: '#000000' }],
};
