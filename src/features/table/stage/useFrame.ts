/** The stage's frame on the screen: how large it is, and the wheel over it. */
import { useEffect, useLayoutEffect, type RefObject } from 'react';
import { nearer, slideNow, slidPiece } from '@/features/table/acts/slide';
import { shownSurface, type SessionStore } from '@/features/table/session';
import { inBox } from '@/features/table/stage/hand/hand';
import { fitted, panned, toPage, zoomed } from '@/features/table/stage/hand/view';

type Frame = RefObject<HTMLDivElement | null>;

/** Tells the session how large the stage is. */
export function useMeasured(store: SessionStore, frame: Frame): void {
  useLayoutEffect(() => {
    const element = frame.current!;
    const measure = () => {
      const size = { width: element.clientWidth, height: element.clientHeight };
      const { view: now, stage: before } = store.getState();
      if (size.width === before.width && size.height === before.height) return;
      const page = shownSurface(store.getState());
      // A page that was seen whole stays whole when panels come and go.
      const first = now.zoom === 0;
      const wasFitted = !first && Math.abs(fitted(page, before).zoom - now.zoom) < 1e-6;
      const { aside } = store.getState();
      store.getState().measured(size, first || wasFitted ? fitted(page, size, aside) : now);
    };
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(element);
    return () => watch.disconnect();
  }, [store, frame]);
}

/** The wheel pans, with Ctrl zooms, and over a photo that is slid brings it closer. */
export function useWheel(store: SessionStore, frame: Frame): void {
  useEffect(() => {
    const element = frame.current!;
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      const now = store.getState().view;
      const sliding = slidPiece(store.getState());
      const under = toPage(now, { x: event.clientX - box.left, y: event.clientY - box.top });
      if (sliding && inBox(sliding, under)) {
        const factor = Math.exp(-event.deltaY * (event.deltaMode === 1 ? 0.05 : 0.002));
        slideNow(store, (session, piece) => nearer(session, piece, factor, under));
      } else if (event.ctrlKey || event.metaKey) {
        const about = { x: event.clientX - box.left, y: event.clientY - box.top };
        const speed = event.deltaMode === 1 ? 0.05 : 0.002;
        store.getState().look(zoomed(now, now.zoom * Math.exp(-event.deltaY * speed), about));
      } else {
        const unitPixels = event.deltaMode === 1 ? 24 : 1;
        const [dx, dy] = event.shiftKey && !event.deltaX ? [event.deltaY, 0] : [event.deltaX, event.deltaY];
        store.getState().look(panned(now, -dx * unitPixels, -dy * unitPixels));
      }
    };
    element.addEventListener('wheel', wheel, { passive: false });
    return () => element.removeEventListener('wheel', wheel);
  }, [store, frame]);
}
