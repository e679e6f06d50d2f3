import type { ObjectSchema, AnyObject } from 'yup';
import type { Size } from '@/core/geometry/box';
import type { Path } from '@/core/geometry/path';
import type { Asset } from '@/core/picture/asset';
import type { Mark } from '@/core/picture/picture';
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
  typesetter: Typesetter;
  asset(sha: string): Asset | undefined;
}

/** All there is to know about a kind of material. */
export interface MaterialKind<M extends { kind: string }> {
  kind: M['kind'];
  /** What a person calls it. */
  name: string;
  schema: ObjectSchema<AnyObject>;
  /** The material, cut; what shows beneath it, where it covers nothing, comes first. */
  fill(material: M, cut: Cut): readonly Mark[];
}
