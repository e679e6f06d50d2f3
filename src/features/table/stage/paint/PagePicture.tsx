'use client';
/** A small picture of a page, painted anew when a photo on it arrives. */
import { useEffect, useRef, type CSSProperties } from 'react';
import type { Box } from '@/core/geometry/box';
import type { Project, Surface } from '@/core/project/model';
import { useRoom } from '@/features/table/room/context';
import { paintPage, shownOn } from '@/features/table/stage/paint/paintPage';

interface Props {
  project: Project;
  surface: Surface;
  /** CSS pixels at its longer side. */
  side: number;
  part?: Box;
  /** As a paper by itself, clear where it has openings. */
  clear?: boolean;
  /** What it shows, for those who cannot see it; none if the words beside it say so. */
  label?: string;
  style?: CSSProperties;
}

/** Milliseconds within which pictures that arrive are painted together. */
const ARRIVALS = 120;

export function PagePicture({ project, surface, side, part, clear, label, style }: Props) {
  const { store, shelf } = useRoom();
  const holder = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    let frame = 0;
    let waiting: ReturnType<typeof setTimeout> | undefined;
    const paint = () => {
      frame = 0;
      const element = holder.current;
      if (!element) return;
      const pixels = side * (window.devicePixelRatio || 1);
      const picture = paintPage(project, surface, store.getState().typesetter, shelf, pixels, part, clear);
      element.width = picture.width;
      element.height = picture.height;
      element.getContext('2d')!.drawImage(picture, 0, 0);
    };
    const soon = () => {
      waiting = undefined;
      frame ||= requestAnimationFrame(paint);
    };
    soon();
    // A hundred photos that arrive one after the other are painted a few times, not a hundred.
    const shown = shownOn(project, surface);
    const stop = shelf.onArrival((sha) => {
      if (shown.has(sha)) waiting ??= setTimeout(soon, ARRIVALS);
    });
    return () => {
      stop();
      clearTimeout(waiting);
      cancelAnimationFrame(frame);
    };
  }, [store, shelf, project, surface, side, part, clear]);
  const seen = part ?? surface;
  const scale = side / Math.max(seen.width, seen.height);
  return (
    <canvas
      ref={holder}
      role={label ? 'img' : undefined}
      aria-label={label}
      aria-hidden={label ? undefined : true}
      style={{
        width: seen.width * scale,
        height: seen.height * scale,
        maxWidth: '100%',
        display: 'block',
        ...style,
      }}
    />
  );
}
