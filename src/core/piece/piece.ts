/**
 * The one object of the program: a piece is a material, cut to an outline, finished, and placed.
 * Each of the four has a folder here with one file for each kind; a new kind is one file and one line in its index.
 */
import type { Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import type { Cutting } from '@/core/piece/cutting';
import type { Held } from '@/core/piece/held';
import type { Finish } from '@/core/piece/finish';
import type { Material } from '@/core/piece/material';
import type { Outline } from '@/core/piece/outline';
import type { Placement } from '@/core/piece/placement/placement';

/** What a piece is on the page, so that actions can say “all photos” or “everything but the title”. */
export const ROLES = [
  'photo',
  'paper',
  'mat',
  'title',
  'journaling',
  'caption',
  'embellishment',
  'frame',
  'stamp',
  'letter',
  'month',
] as const;
export type Role = (typeof ROLES)[number];

export interface Piece {
  id: string;
  name: string;
  role: Role;
  material: Material;
  outline: Outline;
  finish: Finish;
  placement: Placement;
  /** Ids of the groups it is in, outermost first; absent if in none. */
  groups?: string[];
  /** Id of the look it wears; its finish is its own copy of it. */
  look?: string;
  /** The day of a month it is held to. */
  held?: Held;
  /** It was carried here from another page: the id of the piece it is a copy of. */
  carried?: string;
  /** It goes round the paper: its other end, on the other side, has the same. */
  round?: string;
  /** It lies on every page: all that have the same are alike. */
  shared?: string;
  /** What an electronic cutter makes of it, where that is not what its material and outline say. */
  cutter?: Cutting;
  /** Where it passes under pieces that lie lower in the pile. */
  tucks?: Tuck[];
}

/** One crossing at which a piece passes under another. */
export interface Tuck {
  /** Id of the piece it passes under. */
  under: string;
  /** Where the crossing lies, from the middle of the box, in shares of its width and height: the nearest one is meant. */
  x: number;
  y: number;
  /** It goes through a slit in the lower piece instead of under all of it. */
  slit?: Slit;
}

/** A tuck keeps its place on the page when its piece gets another box, whose middle lies at `middle` of the one before. */
export const tuckIn = (tuck: Tuck, before: Size, middle: Point, after: Size): Tuck => ({
  ...tuck,
  x: (tuck.x * before.width - middle.x) / after.width,
  y: (tuck.y * before.height - middle.y) / after.height,
});

/**
 * A straight cut in the lower piece, from a to b, in shares of its box from the middle. What lies to the right of the way
 * from a to b (below a cut that goes from left to right) is beneath the paper.
 */
export interface Slit {
  ax: number;
  ay: number;
  bx: number;
  by: number;
  /**
   * How far beyond it lies a second cut, through which what is beneath comes out again, in shares of the side of a square
   * as large as that box.
   */
  out?: number;
}

export const MOST_TUCKS = 200;
export const FARTHEST_OUT = 200;
