/** What an edit by chance is made from. */
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
