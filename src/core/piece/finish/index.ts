/** A finish as a whole: its schema, what is drawn of it, how it grows, what it answers. */
import { number, object, string, type AnyObject, type ObjectSchema } from 'yup';
import type { Matrix } from '@/core/geometry/matrix';
import type { Path } from '@/core/geometry/path';
import { BLENDS, type Blend } from '@/core/picture/blend';
import type { Mark } from '@/core/picture/picture';
import type { InkSlot } from '@/core/piece/answers';
import type { Finished, FinishKind } from '@/core/piece/finish/kind';
import { FINISHES, type Done } from '@/core/piece/finish/list';
import type { PageLight } from '@/core/piece/finish/light';
import { matPaths } from '@/core/piece/finish/mats';
import { strokeReach } from '@/core/piece/finish/stroke';
import { lightFrom } from '@/core/piece/finish/treatments';
import type { Unit } from '@/core/units/lengths';

export interface Finish extends Done {
  /** 0 to 1, of the whole piece with its stroke and shadow. */
  opacity: number;
  /** How its colours meet what lies beneath; they cover without. */
  blend?: Blend;
}

type Field = keyof Done;
const FIELDS = Object.keys(FINISHES) as Field[];

/** What was done to a piece, by kind. */
function* doneIn(finish: Finish): Generator<{ field: Field; kind: FinishKind<unknown>; value: unknown }> {
  for (const field of FIELDS) {
    const value = finish[field];
    if (value !== undefined && value !== null)
      yield { field, kind: FINISHES[field] as FinishKind<unknown>, value };
  }
}
const each = <T>(
  finish: Finish,
  answer: (kind: FinishKind<unknown>, value: unknown) => readonly T[] = () => [],
): T[] => [...doneIn(finish)].flatMap(({ kind, value }) => answer(kind, value));

export const finishSchema: ObjectSchema<AnyObject> = object({
  ...Object.fromEntries(FIELDS.map((field) => [field, FINISHES[field].schema])),
  opacity: number().min(0).max(1).required(),
  blend: string().oneOf([...BLENDS]),
})
  .noUnknown()
  .meta({ named: 'finish' });

export const finishOf = (height: number): Finish => ({
  lift: { height, shadow: height > 0 },
  stroke: null,
  opacity: 1,
});

/** Nothing was done to the piece that could be seen. */
export const isBare = (finish: Finish): boolean =>
  [...doneIn(finish)].every(({ kind, value }) => kind.shows?.(value) === false);

const WORKING = FIELDS.filter((field) => FINISHES[field].work);
/** Whether two finishes make the same of an outline. */
export const sameWork = (a: Finish, b: Finish): boolean => WORKING.every((field) => a[field] === b[field]);

/** The outline after it was worked, and where the material's face ends if bare paper shows beyond it; null if nothing was done to it. */
export function worked(finish: Finish, path: Path): { path: Path; face?: Path } | null {
  let now: { path: Path; face?: Path } | null = null;
  for (const { kind, value } of doneIn(finish)) if (kind.work) now = kind.work(value, now?.path ?? path);
  return now;
}

type Shape = Pick<Finished, 'path' | 'toPage' | 'tools' | 'light'> & { face?: Path };

const finished = (finish: Finish, { path, face = path, light, toPage, tools }: Shape): Finished => ({
  path,
  face,
  light,
  toward: lightFrom(light, toPage),
  toPage,
  mats: matPaths(finish.mats ?? [], path),
  reach: strokeReach(finish.stroke),
  shadow: finish.lift.shadow,
  tools,
});

/** What is drawn before the material: shadows, echoes, and the mats with theirs. */
export function marksUnder(
  finish: Finish,
  light: PageLight,
  path: Path,
  toPage: Matrix,
  tools: Finished['tools'],
): Mark[] {
  const on = finished(finish, { path, light, toPage, tools });
  return each(finish, (kind, value) => kind.under?.(value, on) ?? []);
}

/** What is drawn after it: treatments on its face, and the stroke along its edge. */
export function marksOver(finish: Finish, shape: Shape): Mark[] {
  const on = finished(finish, shape);
  return each(finish, (kind, value) => kind.over?.(value, on) ?? []);
}

/** Every place of a finish that holds an ink. */
export const finishInks = (finish: Finish): InkSlot[] =>
  each(finish, (kind, value) => kind.inks?.(value) ?? []);

/** What was done, in a few words each, for a person: what lies over the face first, the uppermost of it before all. */
export const finishSays = (finish: Finish, unit: Unit): string[] => {
  const done = [...doneIn(finish)];
  return [
    ...done.filter(({ kind }) => kind.over).reverse(),
    ...done.filter(({ kind }) => !kind.over),
  ].flatMap(({ kind, value }) => kind.says?.(value, unit) ?? []);
};

/** The finish for a piece that became larger or smaller with all that is on it. */
export const scaledFinish = (finish: Finish, scale: number): Finish => ({
  ...finish,
  ...Object.fromEntries(
    [...doneIn(finish)].map(({ field, kind, value }) => [field, kind.scaled?.(value, scale) ?? value]),
  ),
});
