/** Two fingers on the stage zoom and pan; the page keeps lying under them. */
import type { Point } from '@/core/geometry/matrix';
import type { SessionStore, View } from '@/features/table/session';
import { panned, zoomed } from '@/features/table/stage/hand/view';

export function createPinch(store: SessionStore) {
  const fingers = new Map<number, Point>();
  let start: { view: View; spread: number; middle: Point } | null = null;
  const hold = () => {
    const [a, b] = [...fingers.values()];
    if (!a || !b) return null;
    const spread = Math.max(1, Math.hypot(b.x - a.x, b.y - a.y));
    return { view: store.getState().view, spread, middle: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 } };
  };
  return {
    /** Whether this finger is one too many for anything else. */
    press(finger: number, at: Point): boolean {
      fingers.set(finger, at);
      start = hold();
      return fingers.size > 1;
    },
    move(finger: number, at: Point): boolean {
      if (fingers.has(finger)) fingers.set(finger, at);
      const now = hold();
      if (!start || !now) return false;
      const shifted = panned(start.view, now.middle.x - start.middle.x, now.middle.y - start.middle.y);
      store.getState().look(zoomed(shifted, (start.view.zoom * now.spread) / start.spread, now.middle));
      return true;
    },
    release(finger: number): void {
      fingers.delete(finger);
      start = hold();
    },
  };
}
