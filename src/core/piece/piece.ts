/**
 * The one object of the program: a piece is a material, cut to an outline, finished, and placed.
 * Each of the four has a folder here with one file for each kind; a new kind is one file and one line in its index.
 */
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
  'embellishment',
  'frame',
  'stamp',
  'letter',
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
}

export const MOST_TUCKS = 200;
