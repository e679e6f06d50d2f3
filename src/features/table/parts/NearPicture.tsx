'use client';
/** Pictures of many pages at once, painted one after the other and in turns, so that nothing waits: those near first. */
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Project, Surface } from '@/core/project/model';
import { useRoom } from '@/features/table/room/context';
import { paintPageInTurns, shownOn } from '@/features/table/stage/paint/paintPage';

interface Job {
  isNear: () => boolean;
  paint: () => Promise<unknown>;
}
const waiting: Job[] = [];
let busy = false;

/** One picture is painted after the other: those in sight and near it first, then the rest. */
async function inTurn(job: Job): Promise<void> {
  waiting.push(job);
  if (busy) return;
  busy = true;
  while (waiting.length) {
    const near = waiting.findIndex(({ isNear }) => isNear());
    const [next] = waiting.splice(Math.max(0, near), 1);
    await next!.paint().catch(() => {});
  }
  busy = false;
}

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
  const painted = useRef(false);
  const stale = useRef<() => void>(() => {});
  useEffect(() => {
    isNear.current = near;
    if (near) stale.current();
  }, [near]);
  useEffect(() => {
    let gone = false;
    let asked = false;
    let arriving: ReturnType<typeof setTimeout> | undefined;
    const paint = async () => {
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
      painted.current = true;
    };
    // What is out of sight is painted when there is time; after an edit, when it comes near.
    let old = true;
    const soon = () => {
      arriving = undefined;
      if (!(isNear.current || !painted.current) || !old || asked) return;
      old = false;
      asked = true;
      void inTurn({ isNear: () => isNear.current, paint });
    };
    stale.current = soon;
    soon();
    const stop = shelf.onArrival((sha) => {
      if (!shown.has(sha)) return;
      old = true;
      painted.current = false;
      arriving ??= setTimeout(soon, ARRIVALS);
    });
    return () => {
      gone = true;
      stop();
      clearTimeout(arriving);
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
