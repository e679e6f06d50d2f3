/** What runs along the edge of a piece: stitches, stamps, paint, ribbon. It is laid anew whenever the edge changes. */
import { array, number, object, string } from 'yup';
import type { Path } from '@/core/geometry/path';
import type { Mark } from '@/core/picture/picture';
import type { InkSlot } from '@/core/piece/answers';
import type { FinishKind } from '@/core/piece/finish/kind';
import { STROKE_SIDES } from '@/core/piece/finish/stroke';
import { layTrail, scaledTrail, trailKind, trailSays, trailSchema, type Trail } from '@/core/trail';
import { middleLines } from '@/core/geometry/middle';
import { closedCourse, coursesOf, openCourse, type Course } from '@/core/trail/course';

/** On which side of the edge its band lies, or along the middle of what is long and narrow, as letters are. */
export const TRAIL_SIDES = [...STROKE_SIDES, 'middle'] as const;

export interface Along {
  trail: Trail;
  side: (typeof TRAIL_SIDES)[number];
  /** How far from the edge, points. */
  from: number;
}

export const MOST_TRAILS = 6;

/** A trail as it first runs along an edge. */
export const besideEdge = (trail: Trail): Along => ({
  trail,
  ...(trailKind(trail).beside ?? { side: 'on', from: 0 }),
});
export const FARTHEST_TRAIL = 288;

/** The lines it runs along, in the frame of the outline. */
export function alongOutline({ trail, side, from }: Along, path: Path): Course[] {
  if (side === 'middle')
    return middleLines(path).map(({ points, closed }) =>
      closed ? closedCourse(points) : openCourse(points),
    );
  const away = side === 'on' ? 0 : (from + trailKind(trail).half(trail)) * (side === 'inside' ? -1 : 1);
  return coursesOf(path, away);
}

/** How far a trail reaches beyond the edge, points. */
const beyond = ({ trail, side, from }: Along): number => {
  const wide = 2 * trailKind(trail).half(trail);
  return side === 'inside' || side === 'middle' ? 0 : side === 'on' ? wide / 2 : from + wide;
};
export const trailsReach = (trails: readonly Along[] | undefined): number =>
  Math.max(0, ...(trails ?? []).map(beyond));

export const trails: FinishKind<Along[]> = {
  schema: array(
    object({
      trail: trailSchema,
      side: string()
        .oneOf([...TRAIL_SIDES])
        .required(),
      from: number().min(0).max(FARTHEST_TRAIL).required(),
    })
      .noUnknown()
      .required(),
  )
    .min(1)
    .max(MOST_TRAILS),
  inks: (list) =>
    list.flatMap(({ trail }) =>
      (trailKind(trail).inks?.(trail) ?? []).map((slot): InkSlot => ({ ...slot, part: 'trail' })),
    ),
  over: (list, { path, toward, light, tools }): Mark[] =>
    list.flatMap((along) =>
      layTrail(along.trail, coursesFor(along, path), {
        toward,
        strength: light.strength,
        asset: tools.asset,
      }),
    ),
  scaled: (list, scale) =>
    list.map((along) => ({
      ...along,
      trail: scaledTrail(along.trail, scale),
      from: Math.min(FARTHEST_TRAIL, along.from * scale),
    })),
  says: (list, unit) => list.map(({ trail }) => trailSays(trail, unit).toLowerCase()).join(', '),
};

/** Courses as they were last found: most drawing finds nothing changed. */
const found = new WeakMap<Along, { path: Path; courses: Course[] }>();
function coursesFor(along: Along, path: Path): Course[] {
  const last = found.get(along);
  if (last?.path === path) return last.courses;
  const courses = alongOutline(along, path);
  found.set(along, { path, courses });
  return courses;
}
