'use client';
/** Pictures of many pages at once: each is painted when it comes near, one after the other, so that scrolling never waits. */
import { useEffect, useRef, useState } from 'react';
import type { Project, Surface } from '@/core/project/model';
import { PagePicture } from '@/features/table/stage/paint/PagePicture';

const waiting: (() => void)[] = [];
let running = false;

/** One in each frame, the one that asked first. */
function inTurn(paint: () => void): () => void {
  waiting.push(paint);
  const next = () => {
    const first = waiting.shift();
    running = first !== undefined;
    if (!first) return;
    first();
    requestAnimationFrame(() => setTimeout(next));
  };
  if (!running) {
    running = true;
    requestAnimationFrame(next);
  }
  return () => {
    const at = waiting.indexOf(paint);
    if (at >= 0) waiting.splice(at, 1);
  };
}

interface Props {
  project: Project;
  surface: Surface;
  /** CSS pixels at its longer side. */
  side: number;
}

export function NearPicture({ project, surface, side }: Props) {
  const holder = useRef<HTMLDivElement>(null);
  const [near, setNear] = useState(typeof IntersectionObserver === 'undefined');
  // What is shown stays until the next picture has its turn.
  const [painted, setPainted] = useState<Props | null>(null);
  useEffect(() => {
    if (typeof IntersectionObserver === 'undefined') return;
    const watch = new IntersectionObserver(([entry]) => setNear(Boolean(entry?.isIntersecting)), {
      rootMargin: '400px',
    });
    watch.observe(holder.current!);
    return () => watch.disconnect();
  }, []);
  useEffect(
    () => (near ? inTurn(() => setPainted({ project, surface, side })) : undefined),
    [near, project, surface, side],
  );
  const scale = side / Math.max(surface.width, surface.height);
  return (
    <div
      ref={holder}
      style={{ width: surface.width * scale, height: surface.height * scale, background: surface.ground }}
    >
      {painted && <PagePicture {...painted} style={{ width: '100%', height: '100%' }} />}
    </div>
  );
}
