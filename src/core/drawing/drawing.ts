/** Line and flat-colour art that is sharp at any size: a list of painted paths. Lengths in points. */
import { rgbOf } from '@/core/color/hex';
import type { Path } from '@/core/geometry/path';
import type { Point } from '@/core/geometry/matrix';

export interface Drawing {
  width: number;
  height: number;
  /** Bottom first. */
  parts: readonly DrawingPart[];
}

export interface DrawingPart {
  path: Path;
  /** `#rrggbb` */
  colour: string;
  /** The id of the nearest group it is in that has one. */
  layer?: string;
  /** The ink it is named for, so that a drawing can be inked anew by name. */
  ink?: string;
  /** 0 to 1. */
  opacity: number;
  rule: 'nonzero' | 'evenodd';
  /** Drawn as a line of this width along the path; else the path is filled. */
  line?: Line;
  /** Painted once at each of these offsets, as the tiles of a pattern are. */
  at: readonly Point[];
}

export interface Line {
  width: number;
  cap: 'butt' | 'round' | 'square';
  join: 'miter' | 'round' | 'bevel';
}

/** How strongly a colour stamps: 1 for black, 0 for white, by its Rec. 709 luma on coded values. */
export const strength = (hex: string): number => {
  const [r, g, b] = rgbOf(hex);
  return 1 - (0.2126 * r + 0.7152 * g + 0.0722 * b);
};
