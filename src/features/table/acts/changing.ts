/** Changing what is selected: nudged, mirrored, locked, matched, brought back, deleted. */
import { naming, together, type Edit } from '@/core/project/edits/edit';
import { alikeOnAll, MATCHES, matchPieces } from '@/core/project/edits/match';
import { removePieces } from '@/core/project/edits/pile';
import { writingOf } from '@/core/project/edits/styles';
import { hidePieces, lockPieces, mirrorPieces, movePieces } from '@/core/project/edits/place';
import { rewritten, writeWords } from '@/core/project/edits/make';
import { wantedSize } from '@/core/piece/outline/glyphs';
import type { Piece } from '@/core/piece/piece';
import { toPoints } from '@/core/units/lengths';
import { settledPieces, type Matching, type Session, type SessionStore } from '@/features/table/session';
import { page, chosen, unlocked } from '@/features/table/acts/choosing';
import { moveUnits, unitsChosen } from '@/features/table/acts/arranging';

/** A hundredth of an inch, or with Shift ten. */
export const NUDGE = toPoints(0.01, 'in');

export function nudge(store: SessionStore, dx: number, dy: number): void {
  const session = store.getState();
  const pieces = unlocked(session);
  if (pieces.length) session.perform(movePieces(session.surfaceId, pieces, dx, dy));
}

export function remove(store: SessionStore): void {
  const session = store.getState();
  const pieces = unlocked(session);
  if (pieces.length) session.perform(removePieces(session.surfaceId, pieces), { selection: [] });
}

export function mirror(store: SessionStore, axis: 'x' | 'y' = 'x'): void {
  const session = store.getState();
  const pieces = unlocked(session);
  if (pieces.length) session.perform(mirrorPieces(session.surfaceId, pieces, axis));
}

export function toggleLock(store: SessionStore, pieces = chosen(store.getState())): void {
  const session = store.getState();
  if (pieces.length)
    session.perform(lockPieces(session.surfaceId, pieces, !pieces.every((piece) => piece.placement.locked)));
}

/** A locked piece is left as it is; a press unlocks it. */
export const refuseLocked = (store: SessionStore, piece: Piece): void =>
  store
    .getState()
    .refuse('It is locked: unlock it first.', { label: 'Unlock it', run: () => toggleLock(store, [piece]) });

export function toggleHidden(store: SessionStore, pieces = chosen(store.getState())): void {
  const session = store.getState();
  if (pieces.length)
    session.perform(hidePieces(session.surfaceId, pieces, !pieces.every((piece) => piece.placement.hidden)));
}

/** Locks everything but what is selected. */
export function lockOthers(store: SessionStore): void {
  const session = store.getState();
  const now = new Set(session.selection);
  const others = page(session).pile.filter(({ id, placement }) => !now.has(id) && !placement.locked);
  if (others.length) session.perform(lockPieces(session.surfaceId, others, true));
}

/** Gives pieces properties of another, all as one step; false if they can take none of them. */
export function match(store: SessionStore, { from, what }: Matching, ids: readonly string[]): boolean {
  const session = store.getState();
  const pieces = settledPieces(session, ids).filter(
    ({ id, placement }) => id !== from.id && !placement.locked,
  );
  if (!pieces.length) return false;
  const edits = matchEdits(session, session.surfaceId, { from, what }, pieces);
  session.perform(together(`match ${inWords(what)} of ${naming(pieces)}`, edits));
  return true;
}

/** The same at once for all that are what the selected piece is, on all pages that are not locked. */
export function matchAll(store: SessionStore, matching: Matching): void {
  const session = store.getState();
  const all = alikeOnAll(session.history.project.surfaces, matching.from);
  const count = all.reduce((sum, { pieces }) => sum + pieces.length, 0);
  const edits = all.flatMap(({ surfaceId, pieces }) => matchEdits(session, surfaceId, matching, pieces));
  session.perform(together(`match ${inWords(matching.what)} of ${count} on all pages`, edits));
}

const inWords = (what: Matching['what']): string => what.map((one) => MATCHES[one]).join(', ');

const matchEdits = (
  session: Session,
  surfaceId: string,
  { from, what }: Matching,
  pieces: readonly Piece[],
): Edit[] =>
  what.flatMap((one) =>
    one === 'words'
      ? styleEdits(session, surfaceId, from, pieces)
      : matchPieces(surfaceId, from, pieces, one),
  );

function styleEdits(session: Session, surfaceId: string, from: Piece, pieces: readonly Piece[]): Edit[] {
  if (from.outline.kind !== 'glyphs') return [];
  const style = { ...writingOf(from.outline), style: from.outline.style };
  return pieces.flatMap((piece) =>
    piece.outline.kind === 'glyphs'
      ? writeWords(
          surfaceId,
          piece,
          style,
          wantedSize(rewritten(piece.outline, style), piece.placement, session.typesetter),
        )
      : [],
  );
}

/** What has gone out of sight comes back: the middle of each moves onto the page. */
export function bringBack(store: SessionStore): void {
  const session = store.getState();
  const { width, height } = page(session);
  const { units, boxes } = unitsChosen(session);
  if (!units.length) return;
  const moves = boxes.map((box) => {
    const x = box.x + box.width / 2;
    const y = box.y + box.height / 2;
    return { x: Math.min(width, Math.max(0, x)) - x, y: Math.min(height, Math.max(0, y)) - y };
  });
  moveUnits(session, 'bring back', units, moves);
}
