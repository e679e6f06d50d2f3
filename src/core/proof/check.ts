/** What a check before printing is. */
import type { DrawingTools } from '@/core/page/outlines';
import type { Piece } from '@/core/piece/piece';
import type { Project, Surface } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';

/** A page that is looked at, and what it is drawn with. */
export interface Looked {
  project: Project;
  surface: Surface;
  /** What of its pile is not hidden, bottom first. */
  seen: readonly Piece[];
  tools: DrawingTools;
  typesetter: Typesetter;
}

export interface Finding {
  /** Nothing where it is the page as a whole. */
  piece: Piece | null;
  /** What it is found on, for the list. */
  name: string;
  /** False for what is good to know, and no fault. */
  warns: boolean;
  says: string;
  /** What one press does about it: shows the piece, or lays a caption. */
  cure: 'show' | 'caption';
}

export interface Check {
  id: string;
  look(page: Looked): Finding[];
  /** Said where it finds nothing. */
  clear?: string;
}

/** A finding on one piece, which is shown. */
export const on = (piece: Piece, says: string, warns = true): Finding => ({
  piece,
  name: piece.name,
  warns,
  says,
  cure: 'show',
});
