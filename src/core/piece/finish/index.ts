/** What is done to a cut piece. A new finish is a file, a field here, and its marks under or over the material. */
import { number, object, type AnyObject, type ObjectSchema } from 'yup';
import type { Path } from '@/core/geometry/path';
import type { Matrix } from '@/core/geometry/matrix';
import type { Mark } from '@/core/picture/picture';
import { liftMarks, liftSchema, type Lift } from '@/core/piece/finish/lift';
import type { PageLight } from '@/core/piece/finish/light';
import { strokeMarks, strokeReach, strokeSchema, type Stroke } from '@/core/piece/finish/stroke';

export interface Finish {
  lift: Lift;
  stroke: Stroke | null;
  /** 0 to 1, of the whole piece with its stroke and shadow. */
  opacity: number;
}

export const finishSchema: ObjectSchema<AnyObject> = object({
  lift: liftSchema.required(),
  stroke: strokeSchema.nullable().defined(),
  opacity: number().min(0).max(1).required(),
}).noUnknown();

export const finishOf = (height: number): Finish => ({
  lift: { height, shadow: height > 0 },
  stroke: null,
  opacity: 1,
});

/** What is drawn before the material. */
export const marksUnder = (finish: Finish, light: PageLight, path: Path, toPage: Matrix): Mark[] =>
  liftMarks(finish.lift, light, path, strokeReach(finish.stroke), toPage);

/** What is drawn after it. */
export const marksOver = (finish: Finish, path: Path): Mark[] => strokeMarks(finish.stroke, path);
