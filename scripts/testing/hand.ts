/** What an edit by chance is made from. */
import { slitAt, slitWithOut } from '@/core/page/tuck';
import type { Piece } from '@/core/piece/piece';
import type { Project } from '@/core/project/model';
import type { Chance } from './chance';

export interface Hand {
  chance: Chance;
  project: Project;
  s: string;
  /** The pieces of the page, some of them, and one. */
  all: readonly Piece[];
  some: Piece[];
  one: Piece;
}

/** A slit in a piece that comes out again, its lengths by chance. */
export const aSlit = (chance: Chance, lower: Piece) =>
  slitWithOut(
    slitAt(lower, { x: chance.number(), y: 0 }, { x: 90, y: chance.number() }),
    lower,
    chance.number(),
  );
