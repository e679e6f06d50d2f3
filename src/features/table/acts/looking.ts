/** How the table is looked at: zoom, and what lies under a spot. */
import { extentOfAll } from '@/core/page/extent';
import type { Box } from '@/core/geometry/box';
import { panelsOn } from '@/core/product';
import type { Panel } from '@/core/product/product';
import type { View } from '@/features/table/session/view';
import type { Point } from '@/core/geometry/matrix';
import { NO_SIDES } from '@/core/geometry/sides';
import { type Session, type SessionStore } from '@/features/table/session';
import { fitted, nextZoom, zoomed } from '@/features/table/stage/hand/view';
import { page, chosen, tools } from '@/features/table/acts/choosing';

/** Brings the selection, or the page if nothing is, as close as it fits. */
export function zoomToChosen(store: SessionStore): void {
  const session = store.getState();
  const pieces = chosen(session);
  if (!pieces.length) return zoomFit(store);
  session.look(closeUp(session, extentOfAll(pieces, tools(session))));
}

/** The view in which a part of the page is as close as it fits. */
function closeUp({ stage, aside }: Session, { x, y, width, height }: Box, bleed = NO_SIDES): View {
  const view = fitted({ width: Math.max(width, 4), height: Math.max(height, 4), bleed }, stage, aside);
  return { ...view, x: Math.round(view.x - x * view.zoom), y: Math.round(view.y - y * view.zoom) };
}

/** The panel that is close up on the page that is shown; null while all of the page is. */
export function panelNow(session: Session): Panel | null {
  const { panel, history } = session;
  const surface = page(session);
  if (!panel || panel.surfaceId !== surface.id) return null;
  return panelsOn(history.project, surface).find(({ name }) => name === panel.name) ?? null;
}

/** The next panel close up, or the one before, in reading order and on through all pages. */
export function stepPanel(store: SessionStore, by: 1 | -1): void {
  const session = store.getState();
  const { project } = session.history;
  const all = project.surfaces.flatMap((surface) =>
    panelsOn(project, surface).map((panel) => ({ surface, panel })),
  );
  const now = panelNow(session);
  const here = page(session).id;
  const at = now
    ? all.findIndex(({ surface, panel }) => surface.id === here && panel.name === now.name)
    : all.findIndex(({ surface }) => surface.id === here) - (by > 0 ? 1 : 0);
  const { surface, panel } = all[(at + by + all.length) % all.length]!;
  if (surface.id !== here) session.turnTo(surface.id);
  const bleed = surface.bleed;
  store
    .getState()
    .lookAt({ surfaceId: surface.id, name: panel.name }, closeUp(store.getState(), panel.box, bleed));
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
  store.getState().lookAt(null, fitted(page(session), session.stage, session.aside));
}

/** A sheet lies over the stage's left side, or no longer: a page that is seen whole stands beside it. */
export function keepAside(store: SessionStore, aside: number): void {
  const session = store.getState();
  const { view, stage } = session;
  const panel = panelNow(session);
  const before = panel
    ? closeUp(session, panel.box, page(session).bleed)
    : fitted(page(session), stage, session.aside);
  session.setAside(aside);
  if (view.x === before.x && view.y === before.y && Math.abs(view.zoom - before.zoom) < 1e-6) {
    if (panel) store.getState().look(closeUp(store.getState(), panel.box, page(session).bleed));
    else zoomFit(store);
  }
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
