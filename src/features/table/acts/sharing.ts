/** What lies on every page: laid there, let go on one, taken away from all. */
import { layOnEvery, letGoHere, pagesFor, takeFromEvery } from '@/core/project/edits/shared';
import { newId } from '@/features/shared/ids';
import { chosen, page } from '@/features/table/acts/choosing';
import type { Session, SessionStore } from '@/features/table/session';

/** Why nothing is laid on every page; null where it can be. */
export function NOT_EVERYWHERE(session: Session): string | null {
  const pieces = chosen(session);
  if (!pieces.length) return 'Select what shall lie on every page.';
  const { project } = session.history;
  return pieces.some((piece) => pagesFor(project, piece, page(session)).length)
    ? null
    : 'There is no other page it could lie on.';
}

/** Why nothing can be let go. */
export const NOT_SHARED = (session: Session): string | null =>
  chosen(session).some(({ shared }) => shared) ? null : 'Select something that lies on every page.';

export function layEverywhere(store: SessionStore): void {
  const session = store.getState();
  const why = NOT_EVERYWHERE(session);
  if (why) return session.refuse(why);
  session.perform(layOnEvery(page(session), chosen(session), session.history.project, newId));
}

export function letSharedGo(store: SessionStore): void {
  const session = store.getState();
  const why = NOT_SHARED(session);
  if (why) return session.refuse(why);
  session.perform(
    letGoHere(
      session.surfaceId,
      chosen(session).filter(({ shared }) => shared),
    ),
  );
}

export function takeFromAll(store: SessionStore): void {
  const session = store.getState();
  const why = NOT_SHARED(session);
  if (why) return session.refuse(why);
  if (page(session).locked) return session.touchLocked();
  session.perform(takeFromEvery(chosen(session).filter(({ shared }) => shared)), { selection: [] });
}
