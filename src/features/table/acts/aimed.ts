/** The page and the pieces something was asked for, kept while it is waited for. */
import { Refused } from '@/core/project/refused';
import type { Session, SessionStore } from '@/features/table/session';

/**
 * The table as it is seen by something that waits: whatever page is shown and whatever is selected by then, it acts on those
 * of now, and selects nothing on a page it was not asked on. Reading it throws `Refused` when the page is gone.
 */
export function aimed(store: SessionStore): SessionStore {
  const { surfaceId, selection, entered } = store.getState();
  const here = () => store.getState().surfaceId === surfaceId;
  const getState = (): Session => {
    const now = store.getState();
    if (!now.history.project.surfaces.some(({ id }) => id === surfaceId))
      throw new Refused('The page this was meant for is gone. Nothing was changed.');
    return {
      ...now,
      surfaceId,
      selection,
      entered,
      perform: (edit, then) => now.perform(edit, here() ? then : undefined),
      select: (ids) => here() && now.select(ids),
      choose: (chosen) => here() && now.choose(chosen),
      setMode: (mode) => here() && now.setMode(mode),
    };
  };
  return { ...store, getState };
}

/** Whether the page is gone that a store was aimed at. */
export function pageGone(there: SessionStore): boolean {
  try {
    there.getState();
    return false;
  } catch (error) {
    if (error instanceof Refused) return true;
    throw error;
  }
}
