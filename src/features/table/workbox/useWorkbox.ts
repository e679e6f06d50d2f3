/** What was gathered for the project, and bringing more in. */
import { startTransition, useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import type { Asset } from '@/core/picture/asset';
import { gatherArrived, type Gathered } from '@/core/project/edits/gather';
import { COMPARTMENTS, uses, type Compartment, type Project } from '@/core/project/model';
import type { Arrived } from '@/features/shared/bringIn';
import { newId } from '@/features/shared/ids';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import type { Session } from '@/features/table/session';
import { useThumbs } from '@/features/table/parts/useThumbs';
import { housePapers, takeHousePaper, type HousePaper } from '@/features/table/parts/usePapers';
import type { Carried } from '@/features/table/parts/carry';
import { useNotify } from '@/ui/notices';

/** One thing in a compartment. */
export interface BoxItem {
  asset: Asset;
  /** Address of its small picture. */
  thumb?: string;
  used: number;
  /** It lies ready for every project and cannot be taken out. */
  ready?: true;
}

export interface Counting {
  done: number;
  /** Null while a folder that was dropped is still being read. */
  of: number | null;
  /** Without while nothing can be cancelled: the browser itself is reading the folder. */
  cancel?: () => void;
}

/** Milliseconds between looks into the workbox while pictures arrive. */
const SHOW_EVERY = 300;

/** How often each picture is used; the same object until one of the numbers changes. */
function useCounts(): Readonly<Record<string, number>> {
  const [counted] = useState(() => {
    let last: { project: Project; counts: Record<string, number> } | null = null;
    return ({ history: { project } }: Session) => {
      if (last?.project !== project) last = { project, counts: Object.fromEntries(uses(project)) };
      return last.counts;
    };
  });
  return useSession(useShallow(counted));
}

export function useWorkbox() {
  const { store, keeper } = useRoom();
  const notify = useNotify();
  // No more of the project than is shown here: the table must not be drawn again for every edit. And when there is time for it:
  // what was done on the page comes first, and while things arrive no turn is a long one.
  const { photos, papers, stamps, bits, frames, letters, assets } = useDeferredValue(
    useSession(
      useShallow(({ history: { project } }) => ({
        photos: project.photos,
        papers: project.papers,
        stamps: project.stamps,
        bits: project.bits,
        frames: project.frames,
        letters: project.letters,
        assets: project.assets,
      })),
    ),
  );
  const counts = useDeferredValue(useCounts());
  const [house, setHouse] = useState<readonly HousePaper[]>([]);
  const [counting, setCounting] = useState<Counting | null>(null);
  const gathered = useMemo(
    () => [photos, papers, stamps, bits, frames, letters].flat(),
    [photos, papers, stamps, bits, frames, letters],
  );
  const thumbs = useThumbs(gathered);

  useEffect(() => {
    void housePapers().then((papers) =>
      papers.length
        ? setHouse(papers)
        : notify({ text: 'The house papers could not be read.', tone: 'error' }),
    );
  }, [notify]);

  const items = useMemo(() => {
    const kept: Record<Compartment, readonly string[]> = { photos, papers, stamps, bits, frames, letters };
    const made = Object.fromEntries(
      COMPARTMENTS.map((name) => [
        name,
        kept[name].flatMap((sha): BoxItem[] => {
          const asset = assets[sha];
          return asset ? [{ asset, thumb: thumbs.get(sha), used: counts[sha] ?? 0 }] : [];
        }),
      ]),
    ) as Record<Compartment, BoxItem[]>;
    const own = new Set(papers);
    // The plain house papers lie ready in every workbox, after what was gathered.
    made.papers.push(
      ...house
        .filter(({ asset }) => !own.has(asset.sha))
        .map(({ id, asset }) => ({
          asset,
          thumb: `/house/papers/${id}.small.jpg`,
          used: 0,
          ready: true as const,
        })),
    );
    return made;
  }, [photos, papers, stamps, bits, frames, letters, assets, thumbs, counts, house]);

  /** Files into the store and the workbox; what was stored stays, whatever happens to the rest. */
  const bring = useCallback(
    async (files: readonly File[], as?: Compartment): Promise<Carried[]> => {
      if (!files.length || !keeper || store.getState().readOnly) return [];
      const controller = new AbortController();
      const cancel = () => controller.abort();
      const count = (done: number) => startTransition(() => setCounting({ done, of: files.length, cancel }));
      // The answer to a drop is seen at once; how far it is may wait for what else the screen does.
      setCounting({ done: 0, of: files.length, cancel });
      const run = `import ${newId()}`;
      // What arrived goes into the workbox a few times a second, not one by one: the table stays quick.
      let waiting: Gathered[] = [];
      let shown: Compartment[] = [];
      let told = 0;
      const show = () => {
        if (!waiting.length) return;
        const { history, perform } = store.getState();
        // What was done meanwhile stays between: the rest is a step of its own.
        if (history.steps[history.done - 1]?.merge !== run) shown = [];
        shown = [...shown, ...waiting.map(({ into }) => into)];
        perform(gatherArrived(run, waiting, shown));
        waiting = [];
      };
      const ticking = setInterval(() => {
        count(told);
        setTimeout(show);
      }, SHOW_EVERY);
      const { brought, describeTrouble, inWords, placeOf } = await keeper
        .during(async (left) => {
          left.addEventListener('abort', cancel);
          const { bringIn, compartmentOf, ...says } = await import('@/features/table/workbox/arriving');
          const placeOf = (arrived: Arrived) => as ?? compartmentOf(arrived);
          const brought = await bringIn(files, controller.signal, (done, arrived) => {
            told = done;
            if (arrived) waiting.push({ asset: arrived.asset, into: placeOf(arrived) });
          });
          clearInterval(ticking);
          show();
          return { brought, placeOf, ...says };
        })
        .finally(() => {
          clearInterval(ticking);
          startTransition(() => setCounting(null));
        });
      const trouble = describeTrouble(brought);
      if (trouble) notify({ text: trouble, tone: brought.full || brought.refused.length ? 'error' : 'info' });
      else
        notify({
          text: inWords(brought.arrived.map(placeOf)),
          ...(act.canFill(store.getState())
            ? { action: { label: 'Fill the months', run: () => act.fillMonths(store) } }
            : {}),
        });
      return brought.arrived.map((one) => ({
        kind: 'gathered',
        compartment: placeOf(one),
        sha: one.asset.sha,
      }));
    },
    [store, keeper, notify],
  );

  /** A house paper's file comes into the store when it is first used. */
  const housePaper = useCallback(async (sha: string) => takeHousePaper(house, sha), [house]);

  /** Shows that dropped files are being read from their folders; `false` takes that back. */
  const expect = useCallback((files: boolean) => setCounting(files ? { done: 0, of: null } : null), []);

  return { items, counting, bring, expect, housePaper };
}
