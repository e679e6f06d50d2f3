/** Checks of how pages look, on all of them: one page after the other is painted small and looked at. */
import { useEffect, useMemo, useState } from 'react';
import { toolsFor } from '@/core/page/outlines';
import type { Condition } from '@/core/press/conditions';
import type { Project, Surface } from '@/core/project/model';
import type { Finding } from '@/core/proof/check';
import { heavyInk } from '@/core/proof/heavy-ink';
import { paleWords } from '@/core/proof/pale';
import type { Found } from '@/features/table/parts/checks';
import { useRoom } from '@/features/table/room/context';
import { paintPageInTurns, shownOn } from '@/features/table/stage/paint/paintPage';
import type { ProofSettings } from '@/features/table/tasks/proof/settings';
import { pixelsOf } from '@/features/table/tasks/proof/usePress';
import type { AskPress } from '@/features/table/tasks/proof/usePressRoom';

/** Pixels of a page at its longer side: letters of 6 pt are still two high on a page of 12 inches. */
const SIDE = 480;

interface PixelCheck {
  id: string;
  /** What it looks for, in full: what was found under the same is known. */
  key: string;
  look(at: Surface, pixels: ImageData): Finding[] | Promise<Finding[]>;
}

const PALE: PixelCheck = { id: 'pale', key: 'pale', look: paleWords };

/** By project, as what is seen through a window lies on another side; then by page and by check. */
const known = new WeakMap<Project, Map<Surface, Map<string, Found[]>>>();

/** What was found, in the order of pages, and how many of them were looked at. */
export function usePixelChecks(
  project: Project,
  askPress: AskPress,
  on: Condition | null,
  { intent, blackPoint, mostInk }: Pick<ProofSettings, 'intent' | 'blackPoint' | 'mostInk'>,
): { found: readonly Found[]; looked: number } {
  const { store, shelf } = useRoom();
  const [id, file] = [on?.id, on?.file];
  const most = mostInk ?? on?.mostInk;
  const checks = useMemo(() => {
    if (!id || !most) return [PALE];
    const paper = { id, ...(file ? { file } : {}) };
    const how = { intent, blackPoint, paper: false };
    const heavy: PixelCheck = {
      id: 'heavy',
      key: `heavy ${id} ${intent} ${blackPoint} ${most}`,
      async look(at, pixels) {
        const places = await askPress(paper, (press, on) => press.heavy(on, pixelsOf(pixels), how, most));
        return heavyInk(at, places, most, toolsFor(project, store.getState().typesetter));
      },
    };
    return [PALE, heavy];
  }, [id, file, intent, blackPoint, most, askPress, project, store]);
  const asked = useMemo(() => ({ project, checks }), [project, checks]);
  const [state, setState] = useState<{ of: typeof asked; found: readonly Found[]; looked: number } | null>(
    null,
  );
  useEffect(() => {
    let gone = false;
    const { project, checks } = asked;
    const pages = known.get(project) ?? new Map<Surface, Map<string, Found[]>>();
    known.set(project, pages);
    let round = 0;
    const look = async (): Promise<void> => {
      // A later round takes over from an earlier one.
      const mine = ++round;
      const wanted = () => !gone && mine === round;
      const all: Found[] = [];
      for (const [i, at] of project.surfaces.entries()) {
        const says = pages.get(at) ?? new Map<string, Found[]>();
        pages.set(at, says);
        const open = checks.filter(({ key }) => !says.has(key));
        if (open.length) {
          const { typesetter } = store.getState();
          const canvas = await paintPageInTurns([project, at, typesetter, shelf, SIDE], wanted);
          if (!canvas || !wanted()) return;
          const pixels = canvas.getContext('2d')!.getImageData(0, 0, canvas.width, canvas.height);
          for (const { id, key, look } of open) {
            // A press that cannot be asked is told beside the page.
            const found = await Promise.resolve(look(at, pixels)).catch(() => null);
            if (found)
              says.set(
                key,
                found.map((one) => ({ ...one, check: id, at })),
              );
          }
        }
        all.push(...checks.flatMap(({ key }) => says.get(key) ?? []));
        if (wanted()) setState({ of: asked, found: [...all], looked: i + 1 });
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
  }, [asked, store, shelf]);
  return state?.of === asked ? state : { found: [], looked: 0 };
}
