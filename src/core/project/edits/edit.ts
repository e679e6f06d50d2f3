import type { Draft } from 'immer';
import type { Piece } from '@/core/piece/piece';
import { surfaceOf, type Project } from '@/core/project/model';

/** One undoable step. Nothing but an edit changes a project. */
export interface Edit {
  /** What it does, in words that follow “Undo”: `move photo`. */
  label: string;
  /** Edits in a row with the same key within a moment are one step: a drag, a run of nudges, typing. */
  merge?: string;
  /** It joins the step before it however long ago that was, and names both: parts of one act, as they arrive. */
  arrives?: true;
  apply(project: Draft<Project>): void;
}

/** The pieces of a page with these ids, bottom first; ids no longer there are passed over. */
export function piecesOf(project: Draft<Project>, surfaceId: string, ids: readonly string[]): Draft<Piece>[] {
  const wanted = new Set(ids);
  return surfaceOf(project, surfaceId).pile.filter((piece) => wanted.has(piece.id));
}

/** `photo`, or `3 pieces`. */
export const naming = (pieces: readonly Piece[]): string =>
  pieces.length === 1 ? pieces[0]!.role : `${pieces.length} pieces`;

/** Several edits as one step. */
export const together = (label: string, edits: readonly Edit[]): Edit => ({
  label,
  apply: (project) => edits.forEach((edit) => edit.apply(project)),
});

/** An edit of some pieces of a page, each by `change`. */
export const changePieces = (
  label: string,
  surfaceId: string,
  ids: readonly string[],
  change: (piece: Draft<Piece>) => void,
  merge?: string,
): Edit => ({
  label,
  merge: merge && `${merge} ${surfaceId} ${ids.join(' ')}`,
  apply: (project) => piecesOf(project, surfaceId, ids).forEach(change),
});
