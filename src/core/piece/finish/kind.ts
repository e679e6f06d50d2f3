import type { ISchema } from 'yup';
import type { Matrix } from '@/core/geometry/matrix';
import type { Path } from '@/core/geometry/path';
import type { Mark } from '@/core/picture/picture';
import type { Answers } from '@/core/piece/answers';
import type { PageLight } from '@/core/piece/finish/light';
import type { Cut } from '@/core/piece/material/kind';
import type { Toward } from '@/core/treatment/treatment';

/** What is known of a piece while it is finished, all of it in the piece's own frame. */
export interface Finished {
  /** Its outline, with its edge worked, and where its face ends if bare paper shows beyond it. */
  path: Path;
  face: Path;
  light: PageLight;
  /** Where the light comes from, seen from the piece. */
  toward: Toward;
  toPage: Matrix;
  /** The outlines of its mats, the nearest first. */
  mats: readonly Path[];
  /** How far its stroke makes it larger, points. */
  reach: number;
  /** Whether it throws a shadow of its own thickness. */
  shadow: boolean;
  tools: Pick<Cut, 'asset' | 'typesetter'>;
}

/** All there is to know about something that is done to a cut piece: one field of its finish. */
export interface FinishKind<F> extends Answers<F> {
  /** The field as a file holds it. */
  schema: ISchema<unknown>;
  /** Whether anything of it can be seen; always without. */
  shows?(value: F): boolean;
  /** Another outline: the worked one, and where the material's face ends if bare paper shows beyond it. */
  work?(value: F, path: Path): { path: Path; face?: Path };
  /** What is drawn before the material, and after it; the lowest first. */
  under?(value: F, on: Finished): Mark[];
  over?(value: F, on: Finished): Mark[];
}
