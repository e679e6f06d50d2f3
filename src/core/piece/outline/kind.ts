import type { AnyObject, ObjectSchema } from 'yup';
import type { Box, Size } from '@/core/geometry/box';
import type { Path } from '@/core/geometry/path';
import type { Find, Ground } from '@/core/trail/kind';
import type { Mark } from '@/core/picture/picture';
import type { Answers } from '@/core/piece/answers';
import type { GlyphRun, Typesetter } from '@/core/text/typesetter';

/** A cut made: the outline in the piece's own frame, with the glyphs it is made of if it is words. */
export interface MadeCut {
  path: Path;
  /** How far the path reaches, where it is only made when it is asked for. */
  bounds?: Box;
  /** The area a picture with soft edges may show in, where the path only follows what is in it. */
  soft?: Path;
  /** What of the path the material fills, where some letters have an ink of their own. */
  plain?: Path;
  /** The glyphs the material fills. */
  words?: readonly GlyphRun[];
  /** All letters as they are read, where some have an ink of their own. */
  inked?: readonly InkedLetters[];
  /** What runs along its lines, where it is drawn ones, in the inks each line has. */
  lines?(ground: Ground): readonly Mark[];
  /** What lies over the material, such as the line words run along. */
  more?: readonly Mark[];
}

/** Letters that follow each other in one ink; of the piece's material without. */
export interface InkedLetters {
  ink: string | undefined;
  path: Path;
  words: readonly GlyphRun[];
}

/** All there is to know about a kind of outline. */
export interface OutlineKind<O extends { kind: string }> extends Answers<O> {
  kind: O['kind'];
  name: string;
  schema: ObjectSchema<AnyObject>;
  /** The outline for a box of this size (points), its centre at the origin. */
  cut(outline: O, size: Size, typesetter: Typesetter, asset?: Find): MadeCut;
  /** How much of what is written in it does not fit, and what is counted. */
  over?(outline: O, size: Size, typesetter: Typesetter): { count: number; of: 'word' | 'letter' };
  /** What is written or drawn is that alone: another cut would lose it. */
  keeps?: true;
  /** A hand takes hold of its box, and its box is the room it takes: nobody should have to hit a hairline. */
  byBox?: true;
  /** How far beside its outline a hand still takes hold of it, points. */
  band?(outline: O): number;
}
