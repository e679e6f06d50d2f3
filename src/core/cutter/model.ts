/** What a cutter is given: lines on cutting mats. All lengths in points; a mat's origin is its upper left corner, y goes down. */
import type { Box, Size } from '@/core/geometry/box';
import type { Matrix, Point } from '@/core/geometry/matrix';
import type { Path } from '@/core/geometry/path';
import type { Asked, Cutting, Doing } from '@/core/piece/cutting';

export { ASKED, DOINGS, type Asked, type Doing } from '@/core/piece/cutting';

/** A paper things are cut out of: all that is cut of one goes onto mats of its own. */
export interface Paper {
  key: string;
  name: string;
  /** `#rrggbb`: its colour, or what stands for its picture. */
  colour: string;
  /** SHA-256 of its picture, if it has one. */
  asset?: string;
}

/** A piece, or one of its mats, or a page's own paper, as it lies on its page. */
export interface Item {
  id: string;
  name: string;
  /** Id of the piece; null for a page's paper. */
  piece: string | null;
  as: Asked;
  paper: Paper;
  path: Path;
  /** Lines without an area: folds. Each is open. */
  folds?: readonly Path[];
  /** It is cut out of its page's paper. */
  opening?: true;
  wishes: Cutting;
  /** It lies under all of its page, as a whole sheet of paper does. */
  whole?: true;
}

/** Something laid out as a whole: a page, or a sheet of paper that things are printed on. */
export interface Place {
  name: string;
  size: Size;
  /** Bottom first. */
  items: readonly Item[];
  /** The pages that are printed on it, by id, each with where it lies. */
  printed: readonly { surface: string; map: Matrix }[];
}

/** A line a tool follows. */
export interface Line {
  doing: Doing;
  /** The ink a pen draws in, `#rrggbb`. */
  ink?: string;
  points: readonly Point[];
  closed: boolean;
}

/** What comes loose in one: an outline with the holes in it and all that is worked within; on its page. */
export interface Part {
  id: string;
  name: string;
  /** Ids of the pieces it is of. */
  pieces: readonly string[];
  paper: Paper;
  /** Which of the places it lies in. */
  place: number;
  /** The outer ring, then its holes; empty for lines that are drawn on a paper nobody cuts. */
  rings: readonly (readonly Point[])[];
  lines: readonly Line[];
  box: Box;
}

/** A part where it lies on a mat. */
export interface Laid {
  part: Part;
  /** From its page to the mat. */
  map: Matrix;
}

/** One load of the cutter. */
export interface Mat {
  paper: Paper;
  size: Size;
  laid: readonly Laid[];
  /** The place it is, where that is printed first. */
  place?: number;
  /** In the order in which they are worked, outlines as they are to become. */
  lines: readonly Line[];
  /** Squares that are printed for the cutter to find its place by. */
  marks: readonly Box[];
  /** Share of the mat that the parts take, as far down as they reach: 0 to 1. */
  used: number;
  /** How far down they reach. */
  deep: number;
}
