/** How the table is looked at: zoom, and what lies under a spot. */
import { extentOfAll } from '@/core/page/extent';
import type { Point } from '@/core/geometry/matrix';
import { type Session, type SessionStore } from '@/features/table/session';
import { fitted, nextZoom, zoomed } from '@/features/table/stage/hand/view';
import { page, chosen, tools } from '@/features/table/acts/choosing';

/** Brings the selection, or the page if nothing is, as close as it fits. */
export function zoomToChosen(store: SessionStore): void {
  const session = store.getState();
  const pieces = chosen(session);
  if (!pieces.length) return zoomFit(store);
  const { x, y, width, height } = extentOfAll(pieces, tools(session));
  const whole = { width: Math.max(width, 4), height: Math.max(height, 4), bleed: 0 };
  const view = fitted(whole, session.stage, session.aside);
  session.look({
    ...view,
    x: Math.round(view.x - x * view.zoom),
    y: Math.round(view.y - y * view.zoom),
  });
}

/** Lists what lies under the pointer, or under the middle of the selection where there is no pointer. */
export function peek(store: SessionStore): void {
  const session = store.getState();
  if (session.peeking) return store.getState().peekAt(null);
  const [piece] = chosen(session);
  const { view, pointer } = session;
  const middleOf = piece && {
    x: view.x + piece.placement.x * view.zoom,
    y: view.y + piece.placement.y * view.zoom,
  };
  const spot = pointer ?? middleOf ?? middleSeen(session);
  store.getState().peekAt(spot);
}

export function zoomBy(store: SessionStore, direction: 1 | -1): void {
  const { view, look } = store.getState();
  look(zoomed(view, nextZoom(view.zoom, direction), middleSeen(store.getState())));
}

export function zoomFit(store: SessionStore): void {
  const session = store.getState();
  store.getState().look(fitted(page(session), session.stage, session.aside));
}

/** A sheet lies over the stage's left side, or no longer: a page that is seen whole stands beside it. */
export function keepAside(store: SessionStore, aside: number): void {
  const session = store.getState();
  const { view, stage } = session;
  const before = fitted(page(session), stage, session.aside);
  session.setAside(aside);
  if (view.x === before.x && view.y === before.y && Math.abs(view.zoom - before.zoom) < 1e-6) zoomFit(store);
}

export const zoomTrue = (store: SessionStore): void => zoomTo(store, store.getState().trueZoom);

/** So many CSS pixels a point. */
export function zoomTo(store: SessionStore, zoom: number): void {
  const { view, look } = store.getState();
  look(zoomed(view, zoom, middleSeen(store.getState())));
}

/** The middle of what of the stage no sheet lies over. */
const middleSeen = ({ stage, aside }: Pick<Session, 'stage' | 'aside'>): Point => ({
  x: (aside + stage.width) / 2,
  y: stage.height / 2,
});
