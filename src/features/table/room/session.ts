/** One open project on the table: its history, what is selected, how it is looked at. */
import { createStore, type StoreApi } from 'zustand/vanilla';
import { perform, redo, undo, type History } from '@/core/project/history';
import type { Edit } from '@/core/project/edits/edit';
import { surfaceOf, type Project, type Surface } from '@/core/project/model';
import type { Piece } from '@/core/piece/piece';
import type { Typesetter } from '@/core/text/typesetter';
import type { Asset } from '@/core/picture/asset';

/** How the table is looked at: CSS pixels a point, and where the trim's top left corner lies on the stage. */
export interface View {
  zoom: number;
  x: number;
  y: number;
}

export interface Show {
  zones: boolean;
  grid: boolean;
  side: boolean;
  workbox: boolean;
}

/** Picking pieces up, sliding a picture behind its cut, or writing words. */
export type Mode = { kind: 'pick' } | { kind: 'slide'; id: string } | { kind: 'write'; id: string };

export interface Session {
  history: History;
  surfaceId: string;
  typesetter: Typesetter;
  /** The project as it would be while a drag lasts; null otherwise. */
  tryout: Project | null;
  selection: readonly string[];
  /** The piece whose slab is rested on in the pile. */
  hovered: string | null;
  mode: Mode;
  view: View;
  stage: { width: number; height: number };
  show: Show;
  /** Another tab holds the project: nothing can be changed here. */
  readOnly: boolean;
  /** When the last edit reached the store, milliseconds since 1970; null while one is on its way. */
  kept: number | null;
  /** Why keeping failed, if it did. */
  trouble: string | null;
  copied: { pieces: readonly Piece[]; assets: readonly Asset[] } | null;

  /** Does an edit for good. */
  perform(edit: Edit): void;
  /** Shows what an edit would do; null goes back. */
  tryOut(edit: Edit | null): void;
  undo(): void;
  redo(): void;
  select(ids: readonly string[]): void;
  set(change: Partial<Session>): void;
}

export type SessionStore = StoreApi<Session>;

export function createSession(history: History, typesetter: Typesetter, readOnly: boolean): SessionStore {
  return createStore<Session>((set, get) => {
    const travel = (to: History) => {
      const present = new Set(surfaceOf(to.project, get().surfaceId).pile.map((piece) => piece.id));
      set({
        history: to,
        tryout: null,
        selection: get().selection.filter((id) => present.has(id)),
        mode: { kind: 'pick' },
        kept: null,
      });
    };
    return {
      history,
      surfaceId: history.project.surfaces[0]!.id,
      typesetter,
      tryout: null,
      selection: [],
      hovered: null,
      mode: { kind: 'pick' },
      view: { zoom: 0, x: 0, y: 0 },
      stage: { width: 0, height: 0 },
      show: { zones: true, grid: true, side: true, workbox: true },
      readOnly,
      kept: Date.now(),
      trouble: null,
      copied: null,
      perform(edit) {
        const { history: before, readOnly: locked } = get();
        if (locked) return set({ tryout: null });
        const after = perform(before, edit, Date.now());
        set({ history: after, tryout: null, ...(after === before ? {} : { kept: null }) });
      },
      tryOut(edit) {
        const { history: now, readOnly: locked } = get();
        set({ tryout: edit && !locked ? perform(now, edit, 0).project : null });
      },
      undo: () => !get().readOnly && travel(undo(get().history)),
      redo: () => !get().readOnly && travel(redo(get().history)),
      select: (ids) => set({ selection: ids, mode: { kind: 'pick' } }),
      set: (change) => set(change),
    };
  });
}

/** The project as it is shown now. */
export const shownProject = (session: Session): Project => session.tryout ?? session.history.project;

export const shownSurface = (session: Session): Surface =>
  surfaceOf(shownProject(session), session.surfaceId);

/** The selected pieces, bottom first, as they are shown. */
export const selectedPieces = (session: Session): Piece[] => {
  const chosen = new Set(session.selection);
  return shownSurface(session).pile.filter((piece) => chosen.has(piece.id));
};

/** As they are without the drag that lasts: what an edit must start from. */
export const settledPieces = (session: Session, ids: readonly string[]): Piece[] => {
  const chosen = new Set(ids);
  return surfaceOf(session.history.project, session.surfaceId).pile.filter((piece) => chosen.has(piece.id));
};
