/** What any kind of thing that runs along a line says of itself: paint, stamps, thread, ribbon. */
import type { AnyObject, ObjectSchema } from 'yup';
import type { Path } from '@/core/geometry/path';
import type { Asset } from '@/core/picture/asset';
import type { Mark, StrokeSide } from '@/core/picture/picture';
import type { Answers } from '@/core/piece/answers';
import type { Course } from '@/core/trail/course';
import type { Toward } from '@/core/treatment/treatment';

/** What is known of a picture file; nothing where none can be asked for. */
export type Find = (sha: string) => Asset | undefined;

/** What is known where a trail is laid. */
export interface Ground {
  /** Where the light comes from, in the frame it is laid in. */
  toward: Toward;
  /** How much a shadow takes away, 0 to 1. */
  strength: number;
  asset: Find;
}

/**
 * A kind of thing that runs along a line. Picture files are named by a field `asset`, as everywhere; lengths are points.
 * Adding one is adding a file and a line in index.ts.
 */
export interface TrailKind<T extends { kind: string }> extends Answers<T> {
  kind: T['kind'];
  name: string;
  schema: ObjectSchema<AnyObject>;
  /** What is drawn along the courses, the lowest first. */
  lay(trail: T, courses: readonly Course[], ground: Ground): Mark[];
  /** The area it covers: what a hand takes hold of, a shadow falls from, a cutter follows. */
  shape(trail: T, courses: readonly Course[], asset: Find): Path;
  /** Half as wide as its band is, points, without what scatters. */
  half(trail: T): number;
  /** What came of it, in words: how many went round and how far they were moved closer. */
  told?(trail: T, courses: readonly Course[]): string | undefined;
  /** What was drawn before it on its piece is taken away: where it lies, or everywhere else. */
  erases?(trail: T): false | 'within' | 'beyond';
  /** Bows and knots are tied to it: what is laid while it is selected sits on it, and goes with it. */
  ties?: true;
  /** On which side of an edge it begins, and how far from it; on the edge without. */
  beside?: { side: StrokeSide; from: number };
}
