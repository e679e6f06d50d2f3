/** At the room with many pages: what lies on every page, is let go on one, and taken from all. */
import { startHistory, undo, undoLabel } from '@/core/project/history';
import { lockPage } from '@/core/project/edits/page';
import { pagesFor } from '@/core/project/edits/shared';
import { movePieces } from '@/core/project/edits/place';
import * as act from '@/features/table/acts';
import {
  layEverywhere,
  letSharedGo,
  NOT_EVERYWHERE,
  NOT_SHARED,
  takeFromAll,
} from '@/features/table/acts/sharing';
import { createSession, selectedPieces, shownSurface, type SessionStore } from '@/features/table/session';
import { book, typesetter } from '../../../../scripts/testing/books';
import { inkPiece, laid } from '../../../../scripts/testing/samples';

/** A book at its second spread, a star on the right of it. */
function table(): SessionStore {
  const store = createSession(startHistory(book('hard')), typesetter, false);
  store.getState().measured({ width: 900, height: 600 }, { zoom: 0.5, x: 50, y: 50 });
  turnTo(store, AT);
  act.punchWith(store, 'star');
  move(store, 200);
  return store;
}
/** Of the pages: the cover, the first one, and spreads. */
const [FIRST, AT, LATER, LAST] = [1, 3, 6, 8];
const pages = (store: SessionStore) => store.getState().history.project.surfaces;
const turnTo = (store: SessionStore, page: number) => store.getState().turnTo(pages(store)[page]!.id);
const said = (store: SessionStore) => store.getState().refused?.why;
const starsOn = (store: SessionStore, page: number) =>
  pages(store)[page]!.pile.filter(({ role }) => role === 'embellishment');
const counts = (store: SessionStore) => pages(store).map((_, i) => starsOn(store, i).length);
/** Selects the star of a page. */
function hold(store: SessionStore, page: number): void {
  turnTo(store, page);
  store.getState().select(starsOn(store, page).map(({ id }) => id));
}
const move = (store: SessionStore, x: number) => {
  const { surfaceId, perform } = store.getState();
  perform(movePieces(surfaceId, selectedPieces(store.getState()), x, 0));
};

/** Those where what is held would lie beside its own. */
function expected(store: SessionStore): number[] {
  const { history } = store.getState();
  const [piece] = selectedPieces(store.getState());
  const beside = pagesFor(history.project, piece!, shownSurface(store.getState())).map(({ id }) => id);
  return pages(store).map(({ id }) => (beside.includes(id) || id === store.getState().surfaceId ? 1 : 0));
}

test('one thing lies on every page that has room for it, moves on all at once, and undo takes all of it back', () => {
  const store = table();
  const wanted = expected(store);
  expect(wanted.filter(Boolean).length).toBeGreaterThan(5);
  expect(wanted[0]).toBe(0);
  layEverywhere(store);
  expect(undoLabel(store.getState().history)).toMatch(/^lay .* on every page$/);
  expect(counts(store)).toEqual(wanted);
  const ids = pages(store).flatMap(({ pile }) => pile.map(({ id }) => id));
  expect(new Set(ids).size).toBe(ids.length);
  const { x } = selectedPieces(store.getState())[0]!.placement;
  // The first page is the right half of a spread.
  expect(starsOn(store, FIRST)[0]!.placement.x).toBeCloseTo(x - pages(store)[FIRST]!.width, 6);
  hold(store, LATER);
  move(store, 40);
  for (const page of [AT, LAST]) expect(starsOn(store, page)[0]!.placement.x).toBeCloseTo(x + 40, 6);
  // What is on every page already is not laid there twice.
  layEverywhere(store);
  expect(counts(store)).toEqual(wanted);
  const before = undo(undo(store.getState().history)).project.surfaces;
  expect(before.flatMap(({ pile }) => pile)).toHaveLength(1);
});

test('let go on a page it is of its own there; taken from all, it stays where it was let go and where a page is locked', () => {
  const store = table();
  layEverywhere(store);
  hold(store, LATER);
  letSharedGo(store);
  expect(NOT_SHARED(store.getState())).toBe('Select something that lies on every page.');
  const own = starsOn(store, LATER)[0]!.placement.x;
  hold(store, AT);
  move(store, -30);
  expect(starsOn(store, LATER)[0]!.placement.x).toBe(own);
  expect(starsOn(store, LAST)[0]!.placement.x).toBeCloseTo(own - 30, 6);
  store.getState().perform(lockPage(pages(store)[LAST]!.id, true));
  hold(store, AT);
  takeFromAll(store);
  expect(store.getState().selection).toEqual([]);
  expect(counts(store)).toEqual(pages(store).map((_, i) => (i === LATER || i === LAST ? 1 : 0)));
});

test('what cannot be says why, and nothing is done', () => {
  const store = table();
  const { history } = store.getState();
  letSharedGo(store);
  expect(said(store)).toBe('Select something that lies on every page.');
  store.getState().select([]);
  takeFromAll(store);
  layEverywhere(store);
  expect(said(store)).toBe('Select what shall lie on every page.');
  expect(store.getState().history).toBe(history);
  const alone = createSession(startHistory(laid([inkPiece('a')])), typesetter, false);
  alone.getState().select(['a']);
  expect(NOT_EVERYWHERE(alone.getState())).toBe('There is no other page it could lie on.');
  layEverywhere(alone);
  expect(selectedPieces(alone.getState())[0]!.shared).toBeUndefined();
  expect(shownSurface(alone.getState()).pile).toHaveLength(1);
});
