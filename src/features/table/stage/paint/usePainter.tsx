'use client';

import { useEffect, useRef, type CSSProperties } from 'react';
import { useRoom } from '@/features/table/room/context';
import type { View } from '@/features/table/session';
import { paintSoon } from '@/features/table/stage/frames';
import { fetchAhead } from '@/features/table/stage/paint/ahead';
import { paintedFrom, Painter } from '@/features/table/stage/paint/painter';

/** After a change of zoom the old drawing is stretched; a sharp one follows when the hand rests this long, milliseconds. */
const REST = 70;
/** When a page is looked at for so long, its neighbours are made ready, milliseconds. */
const LOOKED_AT = 500;

const LAYER: CSSProperties = {
  position: 'absolute',
  left: 0,
  top: 0,
  width: '100%',
  height: '100%',
  pointerEvents: 'none',
};

/** The three canvases of the page, painted whenever the session, the moving pieces or a picture changes. */
export function usePainter(moving: readonly string[]) {
  const { store, shelf } = useRoom();
  const holder = useRef<HTMLDivElement>(null);
  const movingNow = useRef(moving);
  const ask = useRef<() => void>(() => {});

  useEffect(() => {
    const element = holder.current!;
    const [below, middle, above] = [...element.children] as HTMLCanvasElement[];
    const painter = new Painter({ below: below!, moving: middle!, above: above! }, shelf, (piece) =>
      store
        .getState()
        .refuse(
          `“${piece.name || piece.role}” could not be drawn, by a fault of the program. It is still there; undo what was done to it last, or delete it.`,
        ),
    );
    let notNow = () => {};
    let rest: ReturnType<typeof setTimeout> | undefined;
    let painted: View | null = null;
    let ahead: { of: string; waiting: ReturnType<typeof setTimeout> } | undefined;

    const paint = () => {
      const session = store.getState();
      if (session.stage.width === 0 || session.view.zoom === 0) return;
      if (painter.paint(session, movingNow.current)) soon();
      painted = session.view;
      if (ahead?.of !== session.surfaceId) {
        clearTimeout(ahead?.waiting);
        ahead = {
          of: session.surfaceId,
          waiting: setTimeout(() => fetchAhead(store.getState(), shelf), LOOKED_AT),
        };
      }
      element.style.transform = '';
    };
    const soon = () => {
      notNow = paintSoon(paint);
    };
    const stretch = (to: View) => {
      if (!painted) return soon();
      const share = to.zoom / painted.zoom;
      element.style.transformOrigin = '0 0';
      element.style.transform = `translate(${to.x - painted.x * share}px, ${to.y - painted.y * share}px) scale(${share})`;
      clearTimeout(rest);
      rest = setTimeout(() => {
        notNow();
        paint();
      }, REST);
    };
    ask.current = soon;
    const stopStore = store.subscribe((now, before) => {
      if (now.view !== before.view && painted && now.view.zoom !== painted.zoom && now.stage === before.stage)
        return stretch(now.view);
      const old = paintedFrom(before);
      if (now.view !== before.view || paintedFrom(now).some((part, i) => part !== old[i])) soon();
    });
    const stopShelf = shelf.onArrival((sha) => {
      if (painter.forget(sha)) soon();
    });
    soon();
    return () => {
      stopStore();
      stopShelf();
      notNow();
      clearTimeout(rest);
      clearTimeout(ahead?.waiting);
    };
  }, [store, shelf]);

  useEffect(() => {
    movingNow.current = moving;
    ask.current();
  }, [moving]);

  return (
    <div ref={holder} style={LAYER} aria-hidden="true">
      <canvas style={LAYER} data-testid="below" />
      <canvas style={LAYER} data-testid="moving" />
      <canvas style={LAYER} data-testid="above" />
    </div>
  );
}
