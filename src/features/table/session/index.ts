/** One open project on the table. Each part of it is changed by its own setters alone; readers take what they need. */
import { createStore, type StoreApi } from 'zustand/vanilla';
import type { History } from '@/core/project/history';
import { surfaceOf, type Project, type Surface } from '@/core/project/model';
import type { Piece } from '@/core/piece/piece';
import type { Typesetter } from '@/core/text/typesetter';
import { documentSlice, type DocumentSlice } from '@/features/table/session/document';
import { gestureSlice, type GestureSlice } from '@/features/table/session/gesture';
import { noticeSlice, type NoticeSlice } from '@/features/table/session/notice';
import { selectionSlice, type SelectionSlice } from '@/features/table/session/selection';
import { sheetSlice, type SheetSlice } from '@/features/table/session/sheet';
import { surfaceAt } from '@/features/table/session/slice';
import { viewSlice, type ViewSlice } from '@/features/table/session/view';

export type { Mode } from '@/features/table/session/selection';
export type { SheetName } from '@/features/table/session/sheet';
export type { Marking, Matching, Swaps } from '@/features/table/session/gesture';
export type { AboutRow, Show, View } from '@/features/table/session/view';

export interface Session
  extends DocumentSlice, SelectionSlice, ViewSlice, GestureSlice, SheetSlice, NoticeSlice {}

/** Read by anyone, changed through the setters of what is read. */
export type SessionStore = Omit<StoreApi<Session>, 'setState'>;

export const createSession = (
  history: History,
  typesetter: Typesetter,
  readOnly: boolean,
  mended: readonly string[] = [],
): SessionStore =>
  createStore<Session>((set, get) => ({
    ...documentSlice(history, typesetter, readOnly)(set, get),
    ...selectionSlice(history.project.surfaces[0]!.id)(set, get),
    ...viewSlice(set, get),
    ...gestureSlice(set, get),
    ...sheetSlice(set, get),
    ...noticeSlice(mended)(set, get),
  }));

/** The project as it is shown now. */
export const shownProject = (session: Session): Project =>
  session.compared ?? session.tryout ?? session.history.project;

export const shownSurface = (session: Session): Surface =>
  surfaceAt(shownProject(session), session.surfaceId);

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
