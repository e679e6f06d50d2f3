import type { ObjectSchema, AnyObject } from 'yup';
import type { Box, Size } from '@/core/geometry/box';
import type { Path } from '@/core/geometry/path';
import type { Asset } from '@/core/picture/asset';
import type { Mark } from '@/core/picture/picture';
import type { Answers } from '@/core/piece/answers';
import type { Window } from '@/core/piece/material/window';
import type { GlyphRun, Typesetter } from '@/core/text/typesetter';

/** What a material needs to know to fill an outline. */
export interface Cut {
  /** The piece's box, points. */
  size: Size;
  /** The outline in the piece's own frame. */
  path: Path;
  /** Where a picture with edges of its own may show, its soft edge included. */
  soft?: Path;
  words?: readonly GlyphRun[];
  /** What runs along its lines, where it is drawn ones. */
  drawn?(): readonly Mark[];
  typesetter: Typesetter;
  asset(sha: string): Asset | undefined;
}

/** A picture that lies behind a cut, or a part of it. */
export interface Behind {
  /** SHA-256 of its file. */
  asset: string;
  window: Window;
  /** Where it shows, in the piece's own frame. */
  box: Box;
  /** Points a pixel of the picture takes before its window's zoom. */
  scale(asset: Asset): number;
}

/**
 * All there is to know about a kind of material. Picture files are named by a field `asset`, of the material or of what it
 * lists: that is how they are found, kept and packed (`piece/assets.ts`).
 */
export interface MaterialKind<M extends { kind: string }> extends Answers<M> {
  kind: M['kind'];
  /** What a person calls it. */
  name: string;
  schema: ObjectSchema<AnyObject>;
  /** The material, cut; what shows beneath it, where it covers nothing, comes first. */
  fill(material: M, cut: Cut): readonly Mark[];
  /** The one colour that stands for it, of a material that is nothing but ink. */
  flat?(material: M): string;
  /** It is of that colour all over. */
  even?: true;
  /** It is cut out of the paper: what lies beneath it in the pile goes with it. */
  cutsOut?: true;
  /** Whether it covers all of its outline: nothing is seen through it. Not, without. */
  covers?(material: M, asset: Cut['asset']): boolean;
  /** It comes from a printer, as photos do: a cutter leaves it alone as long as nobody says otherwise. */
  printed?: true;
  /** Its pictures are photos: a caption says who is on them, and when it was. */
  photos?: true;
  /** Pixels per inch from which its pictures print well, where that is less than for a photo. */
  enough?: number;
  /** Where pictures lie behind the cut and are slid: which, and the material with another window in one of `parts` places. */
  behind?(material: M, box: Size, letters: () => readonly Path[]): Behind[];
  showing?(material: M, part: number, window: Window, parts: number): M;
}
