/** A session with its stage and the hand over it, without a screen. */
import { startHistory } from '@/core/project/history';
import type { Piece } from '@/core/piece/piece';
import { createSession, shownSurface, type SessionStore } from '@/features/table/session';
import { createHand, type Hand, type Pointer } from '@/features/table/stage/hand/hand';
import { nodeTypesetter } from '../node/platform';
import { assetOf, laid, quarters } from './samples';

const typesetter = await nodeTypesetter();

/** Where the page's corner lies on the stage, and pixels a point: so that stage and page are not mixed up. */
export const VIEW = { zoom: 2, x: 50, y: 40 };
export const onStage = (x: number, y: number) => ({ x: VIEW.x + x * VIEW.zoom, y: VIEW.y + y * VIEW.zoom });

export interface Stage {
  store: SessionStore;
  hand: Hand;
  /** What is painted as moving. */
  moving: () => readonly string[];
  pans: { on: boolean };
}

export function table(pieces: readonly Piece[]): Stage {
  const asset = assetOf(quarters(90, 60), 900, 600);
  const store = createSession(startHistory(laid(pieces, [asset])), typesetter, false);
  store.getState().measured({ width: 1400, height: 1200 }, VIEW);
  store.getState().setSnapping(false);
  let moving: readonly string[] = [];
  const pans = { on: false };
  const hand = createHand(store, {
    onMoving: (ids) => void (moving = ids),
    panning: () => pans.on,
    // At once: what would be painted next is there to be looked at.
    soon: (draw) => (draw(), () => {}),
  });
  return { store, hand, moving: () => moving, pans };
}

/** A pointer over a place of the page, points. */
export const over = (x: number, y: number, more: Partial<Pointer> = {}): Pointer => ({
  id: 1,
  type: 'mouse',
  button: 0,
  at: onStage(x, y),
  shiftKey: false,
  ctrlKey: false,
  metaKey: false,
  altKey: false,
  ...more,
});
export const click = ({ hand }: Stage, x: number, y: number, more: Partial<Pointer> = {}) => {
  hand.press(over(x, y, more));
  hand.release(over(x, y, more));
};
export const placeOf = ({ store }: Stage, id: string, shown = false) => {
  const { history, surfaceId } = store.getState();
  const page = shown
    ? shownSurface(store.getState())
    : history.project.surfaces.find((one) => one.id === surfaceId)!;
  return page.pile.find((piece) => piece.id === id)!.placement;
};
