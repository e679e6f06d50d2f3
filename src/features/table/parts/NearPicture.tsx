'use client';
/** Pictures of many pages at once: each is painted when it comes near, one after the other and in turns, so that nothing waits. */
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Project, Surface } from '@/core/project/model';
import { useRoom } from '@/features/table/room/context';
import { paintPageInTurns, shownOn } from '@/features/table/stage/paint/paintPage';

/** One picture is painted after the other. */
let before: Promise<unknown> = Promise.resolve();
const inTurn = (paint: () => Promise<unknown>): void => {
  before = before.then(paint).catch(() => {});
};

/** Photos that arrive within this time are painted together, milliseconds. */
const ARRIVALS = 250;

interface Props {
  project: Project;
  surface: Surface;
  /** CSS pixels at its longer side. */
  side: number;
}

export function NearPicture({ project, surface, side }: Props) {
  const { store, shelf } = useRoom();
  const holder = useRef<HTMLCanvasElement>(null);
  const [near, setNear] = useState(typeof IntersectionObserver === 'undefined');
  const shown = useMemo(() => shownOn(project, surface), [project, surface]);
  useEffect(() => {
    if (typeof IntersectionObserver === 'undefined') return;
    const watch = new IntersectionObserver(([entry]) => setNear(Boolean(entry?.isIntersecting)), {
      rootMargin: '300px',
    });
    watch.observe(holder.current!);
    return () => watch.disconnect();
  }, []);
  const isNear = useRef(near);
  const stale = useRef<() => void>(() => {});
  useEffect(() => {
    isNear.current = near;
    if (near) stale.current();
  }, [near]);
  useEffect(() => {
    let gone = false;
    let asked = false;
    let waiting: ReturnType<typeof setTimeout> | undefined;
    const paint = () =>
      inTurn(async () => {
        const element = holder.current;
        asked = false;
        if (gone || !element) return;
        const pixels = side * (window.devicePixelRatio || 1);
        const page = [project, surface, store.getState().typesetter, shelf, pixels] as const;
        const picture = await paintPageInTurns([...page], () => !gone);
        // What is shown stays until the next picture is whole.
        if (!picture || gone) return;
        element.width = picture.width;
        element.height = picture.height;
        element.getContext('2d')!.drawImage(picture, 0, 0);
      });
    // What is out of sight is painted when it comes near.
    let old = true;
    const soon = () => {
      waiting = undefined;
      if (!isNear.current || !old || asked) return;
      old = false;
      asked = true;
      paint();
    };
    stale.current = soon;
    soon();
    const stop = shelf.onArrival((sha) => {
      if (!shown.has(sha)) return;
      old = true;
      waiting ??= setTimeout(soon, ARRIVALS);
    });
    return () => {
      gone = true;
      stop();
      clearTimeout(waiting);
    };
  }, [shown, project, surface, side, store, shelf]);
  const scale = side / Math.max(surface.width, surface.height);
  return (
    <canvas
      ref={holder}
      aria-hidden
      style={{
        ...{ display: 'block', width: surface.width * scale, height: surface.height * scale },
        background: surface.ground,
      }}
    />
  );
}
