/** Laying sentiments, and setting words in another arrangement. */
import { wantedSize } from '@/core/piece/outline/glyphs';
import { wordsPiece } from '@/core/project/create';
import { together } from '@/core/project/edits/edit';
import { changeMaterial, rewritten, writeWords } from '@/core/project/edits/make';
import { layPieces } from '@/core/project/edits/pile';
import { arranged, rearranged, type Arrangement } from '@/core/sentiments/laid';
import { newId } from '@/features/shared/ids';
import { freeSpot, page } from '@/features/table/acts';
import { settledPieces, type SessionStore } from '@/features/table/session';

/** Lays a sentiment in the middle of what is seen, in an arrangement. */
export function laySentiment(store: SessionStore, text: string, how: Arrangement): void {
  const session = store.getState();
  if (session.readOnly) return;
  const { width } = page(session);
  const { outline, ink } = arranged(text, how, Math.max(9, Math.round(width * 0.024)));
  const piece = wordsPiece(newId(), 'title', outline, ink, freeSpot(session), session.typesetter);
  session.perform(
    { ...layPieces(session.surfaceId, [piece], []), label: 'lay sentiment' },
    { selection: [piece.id] },
  );
}

/** Sets words that are selected in another arrangement. */
export function rearrange(store: SessionStore, how: Arrangement): void {
  const session = store.getState();
  const edits = settledPieces(session, session.selection).flatMap((piece) => {
    if (piece.outline.kind !== 'glyphs' || piece.placement.locked) return [];
    const { to, ink } = rearranged(piece.outline, how);
    const wanted = wantedSize(rewritten(piece.outline, to), piece.placement, session.typesetter);
    return [
      writeWords(session.surfaceId, piece, to, wanted),
      changeMaterial(session.surfaceId, [piece], { kind: 'ink', colour: ink }),
    ];
  });
  if (edits.length) session.perform(together(`arrange words as “${how.name}”`, edits));
}
