/** What can run along a line. Adding a kind is adding a file and a line in each list here. */
import type { Path } from '@/core/geometry/path';
import type { Mark } from '@/core/picture/picture';
import type { Course } from '@/core/trail/course';
import type { Find, Ground, TrailKind } from '@/core/trail/kind';
import { cut, type CutTrail } from '@/core/trail/cut';
import { cord, type CordTrail } from '@/core/trail/cord';
import { garland, type GarlandTrail } from '@/core/trail/garland';
import { paint, type PaintTrail } from '@/core/trail/paint/paint';
import { ribbon, type RibbonTrail } from '@/core/trail/ribbon/ribbon';
import { stamps, type StampsTrail } from '@/core/trail/stamps';
import { strung, type StrungTrail } from '@/core/trail/strung';
import { thread, type ThreadTrail } from '@/core/trail/thread/thread';
import { byKind } from '@/core/schema/choice';
import type { Unit } from '@/core/units/lengths';

export type Trail =
  | PaintTrail
  | StampsTrail
  | ThreadTrail
  | RibbonTrail
  | CordTrail
  | StrungTrail
  | GarlandTrail
  | CutTrail;

export const TRAILS: { [K in Trail['kind']]: TrailKind<Extract<Trail, { kind: K }>> } = {
  paint,
  stamps,
  thread,
  ribbon,
  cord,
  strung,
  garland,
  cut,
};

export const trailKind = (trail: Trail): TrailKind<Trail> =>
  TRAILS[trail.kind] as unknown as TrailKind<Trail>;

export const trailSchema = byKind(
  Object.fromEntries(Object.entries(TRAILS).map(([kind, { schema }]) => [kind, schema])),
  'trail',
);

export const layTrail = (trail: Trail, courses: readonly Course[], ground: Ground): Mark[] =>
  trailKind(trail).lay(trail, courses, ground);

export const shapeOfTrail = (trail: Trail, courses: readonly Course[], asset: Find): Path =>
  trailKind(trail).shape(trail, courses, asset);

/** What of what was drawn before it on its piece it takes away. */
export const erasing = (trail: Trail): false | 'within' | 'beyond' =>
  trailKind(trail).erases?.(trail) ?? false;

/** What it is, in a few words for a person. */
export const trailSays = (trail: Trail, unit: Unit): string => {
  const { says, name } = trailKind(trail);
  return says?.(trail, unit) ?? name;
};

/** Up to three inks that are most of it. */
export const coloursOf = (trail: Trail): string[] => [
  ...new Set((trailKind(trail).inks?.(trail) ?? []).slice(0, 3).map(({ colour }) => colour)),
];

/** For a piece that became larger or smaller with all that is on it. */
export const scaledTrail = (trail: Trail, scale: number): Trail =>
  trailKind(trail).scaled?.(trail, scale) ?? trail;
