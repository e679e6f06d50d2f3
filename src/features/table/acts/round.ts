/** Ribbons and strips that go across a folded paper, or all the way round it. */
import { goRound, letGo } from '@/core/project/edits/round';
import { isWritten } from '@/core/piece/outline';
import { foldsOn, otherFace } from '@/core/product';
import { isOpening } from '@/core/page/through';
import { newId } from '@/features/shared/ids';
import type { Session, SessionStore } from '@/features/table/session';
import { refuseLocked } from '@/features/table/acts/changing';
import { chosen, page } from '@/features/table/acts/choosing';

/** Why nothing goes round here; null where it does. */
export function NO_ROUND(session: Session): string | null {
  const { project } = session.history;
  if (!otherFace(project, page(session)) && !foldsOn(project, page(session)).length)
    return 'Only a paper with two sides has a way round.';
  const [piece, ...more] = chosen(session);
  if (!piece || more.length) return 'Select the one ribbon or strip that shall go round.';
  if (isWritten(piece.outline)) return 'Words do not go round: lay them on a ribbon, or once on each side.';
  return isOpening(piece) ? 'An opening does not go round.' : null;
}

/** Lays what is selected across all of this face; with `both`, all the way round. */
export function layRound(store: SessionStore, both: boolean): void {
  const session = store.getState();
  const why = NO_ROUND(session);
  if (why) return session.refuse(why);
  const [piece] = chosen(session);
  if (!piece || session.readOnly) return;
  if (piece.placement.locked) return refuseLocked(store, piece);
  const { project } = session.history;
  const other = both && !piece.round ? otherFace(project, page(session)) : null;
  session.perform(goRound(page(session), piece, other && { ...other, id: newId(), round: newId() }));
}

/** Both ends become pieces of their own. */
export function letRoundGo(store: SessionStore): void {
  const session = store.getState();
  const [piece] = chosen(session);
  if (piece?.round) session.perform(letGo(session.history.project.surfaces, piece.round));
}
