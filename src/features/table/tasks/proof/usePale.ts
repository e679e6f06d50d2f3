/** Words too pale on what lies behind them, on all pages, looked at one page after the other as they are painted small. */
import { useEffect, useState } from 'react';
import type { Project, Surface } from '@/core/project/model';
import { paleWords } from '@/core/proof/pale';
import type { Found } from '@/features/table/parts/Findings';
import { useRoom } from '@/features/table/room/context';
import { paintPageInTurns, shownOn } from '@/features/table/stage/paint/paintPage';

/** Pixels of a page at its longer side: letters of 6 pt are still two high on a page of 12 inches. */
const SIDE = 480;

/** By project, as what is seen through a window lies on another side. */
const known = new WeakMap<Project, Map<Surface, Found[]>>();

/** What was found, in the order of pages, and how many of them were looked at. */
export function usePale(project: Project): { found: readonly Found[]; looked: number } {
  const { store, shelf } = useRoom();
  const [state, setState] = useState<{ of: Project; found: readonly Found[]; looked: number } | null>(null);
  useEffect(() => {
    let gone = false;
    const pages = known.get(project) ?? new Map<Surface, Found[]>();
    known.set(project, pages);
    let round = 0;
    const look = async (): Promise<void> => {
      // A later round takes over from an earlier one.
      const mine = ++round;
      const wanted = () => !gone && mine === round;
      const all: Found[] = [];
      for (const [i, at] of project.surfaces.entries()) {
        let found = pages.get(at);
        if (!found) {
          const { typesetter } = store.getState();
          const canvas = await paintPageInTurns([project, at, typesetter, shelf, SIDE], wanted);
          if (!canvas || !wanted()) return;
          const pixels = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
          found = paleWords(at, pixels).map((finding) => ({ ...finding, check: 'pale', at }));
          pages.set(at, found);
        }
        all.push(...found);
        if (wanted()) setState({ of: project, found: [...all], looked: i + 1 });
      }
    };
    let again: ReturnType<typeof setTimeout> | undefined;
    void look();
    // What was not there yet is grey: pages that show it are looked at once more.
    const stop = shelf.onArrival((sha) => {
      for (const at of project.surfaces) if (shownOn(project, at).has(sha)) pages.delete(at);
      clearTimeout(again);
      again = setTimeout(() => !gone && void look(), 800);
    });
    return () => {
      gone = true;
      stop();
      clearTimeout(again);
    };
  }, [project, store, shelf]);
  return state?.of === project ? state : { found: [], looked: 0 };
}
