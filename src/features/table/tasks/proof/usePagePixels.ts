/** A page painted to be proofed: trimmed, as many pixels as it is shown with. */
import { useEffect, useState } from 'react';
import type { Project, Surface } from '@/core/project/model';
import { useRoom } from '@/features/table/room/context';
import { widePicturesOn } from '@/features/table/tasks/proof/wide';
import { paintPageInTurns, shownOn } from '@/features/table/stage/paint/paintPage';

interface Painted {
  project: Project;
  side: number;
  pixels: ImageData;
}

/** Pages as they were last painted: who leafs back sees them at once. */
const painted = new Map<Surface, Painted>();
const MOST_PAINTED = 12;
/** Photos that arrive within this time are painted together, milliseconds. */
const ARRIVALS = 200;

function readyAs(project: Project, of: Surface, side: number): ImageData | null {
  const last = painted.get(of);
  return last?.project === project && last.side === side ? last.pixels : null;
}

/**
 * The pixels of a page and, meanwhile, nothing; pages beside it are painted once it is whole. `sideOf` says how many pixels a
 * page has at its longer side; below 1 it is not painted.
 */
export function usePagePixels(
  project: Project,
  surface: Surface,
  sideOf: (surface: Surface) => number,
  beside: readonly Surface[],
): ImageData | null {
  const { store, shelf } = useRoom();
  const side = sideOf(surface);
  const [last, setLast] = useState<{ of: Surface; side: number; pixels: ImageData } | null>(null);
  // Nothing of it is held once the proof is shut.
  useEffect(() => () => painted.clear(), []);
  useEffect(() => {
    if (side < 1) return;
    let gone = false;
    let arriving: ReturnType<typeof setTimeout> | undefined;
    const wanted = () => !gone;
    const paint = async (of: Surface): Promise<ImageData | null> => {
      const large = sideOf(of);
      const wide = await widePicturesOn(project, of);
      const { typesetter } = store.getState();
      const canvas = await paintPageInTurns(
        [project, of, typesetter, shelf, large, undefined, false, wide],
        wanted,
      );
      if (!canvas) return null;
      const found = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
      painted.delete(of);
      painted.set(of, { project, side: large, pixels: found });
      for (const old of painted.keys()) if (painted.size > MOST_PAINTED) painted.delete(old);
      return found;
    };
    const ready = (of: Surface) => readyAs(project, of, sideOf(of));
    const show = async (fresh: boolean) => {
      const known = fresh ? null : ready(surface);
      const found = known ?? (await paint(surface));
      if (gone || !found) return;
      setLast({ of: surface, side, pixels: found });
      for (const of of beside) if (!gone && !ready(of)) await paint(of);
    };
    void show(false);
    const pages = [surface, ...beside].map((of) => [of, shownOn(project, of)] as const);
    let fresh = false;
    const stop = shelf.onArrival((sha) => {
      const changed = pages.filter(([, files]) => files.has(sha)).map(([of]) => of);
      if (!changed.length) return;
      for (const of of changed) painted.delete(of);
      fresh ||= changed.includes(surface);
      arriving ??= setTimeout(() => {
        arriving = undefined;
        if (!gone) void show(fresh);
        fresh = false;
      }, ARRIVALS);
    });
    return () => {
      gone = true;
      stop();
      clearTimeout(arriving);
    };
  }, [project, surface, side, sideOf, beside, store, shelf]);
  return last?.of === surface && last.side === side ? last.pixels : readyAs(project, surface, side);
}
