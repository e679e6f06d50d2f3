/** What was gathered for the project, and bringing more in. */
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Asset } from '@/core/picture/asset';
import { gather } from '@/core/project/edits/gather';
import { uses } from '@/core/project/model';
import { bringIn, describeTrouble } from '@/features/shared/bringIn';
import { useRoom, useSession } from '@/features/table/room/context';
import { proxyBlob } from '@/storage/assets';
import { useNotify } from '@/ui/notices';

export interface Supply {
  asset: Asset;
  /** Address of its small picture. */
  thumb?: string;
  used: number;
}

export interface Counting {
  done: number;
  of: number;
  cancel: () => void;
}

/** Milliseconds between looks into the workbox while photos arrive. */
const SHOW_EVERY = 300;

interface HousePaper {
  id: string;
  asset: Asset;
}

/** Addresses of small pictures out of the store. */
function useThumbs(shas: readonly string[]): ReadonlyMap<string, string> {
  const [thumbs, setThumbs] = useState<ReadonlyMap<string, string>>(new Map());
  const known = useRef(new Map<string, string>());
  useEffect(() => {
    let gone = false;
    void (async () => {
      let changed = false;
      for (const sha of shas) {
        if (known.current.has(sha)) continue;
        const blob = await proxyBlob(sha, 'thumb');
        if (!blob) continue;
        known.current.set(sha, URL.createObjectURL(blob));
        changed = true;
      }
      if (changed && !gone) setThumbs(new Map(known.current));
    })();
    return () => {
      gone = true;
    };
  }, [shas]);
  useEffect(() => {
    const addresses = known.current;
    return () => {
      addresses.forEach((address) => URL.revokeObjectURL(address));
      addresses.clear();
    };
  }, []);
  return thumbs;
}

export function useWorkbox() {
  const { store } = useRoom();
  const notify = useNotify();
  const project = useSession((session) => session.history.project);
  const [house, setHouse] = useState<readonly HousePaper[]>([]);
  const [counting, setCounting] = useState<Counting | null>(null);
  const counts = useMemo(() => uses(project), [project]);
  const thumbs = useThumbs(project.photos);
  const ownPapers = useMemo(
    () => project.papers.filter((sha) => !house.some((paper) => paper.asset.sha === sha)),
    [project.papers, house],
  );
  const paperThumbs = useThumbs(ownPapers);

  useEffect(() => {
    void fetch('/house/papers.json')
      .then((answer) => answer.json())
      .then(setHouse)
      .catch(() => notify({ text: 'The house papers could not be read.', tone: 'error' }));
  }, [notify]);

  const supply = (sha: string, thumb: string | undefined): Supply[] => {
    const asset = project.assets[sha];
    return asset ? [{ asset, thumb, used: counts.get(sha) ?? 0 }] : [];
  };
  const photos: Supply[] = project.photos.flatMap((sha) => supply(sha, thumbs.get(sha)));
  const papers: Supply[] = [
    ...house.map(({ id, asset }) => ({
      asset,
      thumb: `/house/papers/${id}.small.jpg`,
      used: counts.get(asset.sha) ?? 0,
    })),
    ...ownPapers.flatMap((sha) => supply(sha, paperThumbs.get(sha))),
  ];

  /** Files into the store and the workbox; what was stored stays, whatever happens to the rest. */
  const bring = useCallback(
    async (files: readonly File[]) => {
      if (!files.length || store.getState().readOnly) return;
      const controller = new AbortController();
      const cancel = () => controller.abort();
      setCounting({ done: 0, of: files.length, cancel });
      // What arrived goes into the workbox a few times a second, not one by one: the table stays quick.
      let waiting: Asset[] = [];
      let told = 0;
      const show = () => {
        if (waiting.length) store.getState().perform(gather('photos', waiting));
        waiting = [];
      };
      const ticking = setInterval(() => {
        setCounting({ done: told, of: files.length, cancel });
        show();
      }, SHOW_EVERY);
      const brought = await bringIn(files, controller.signal, (done, asset) => {
        told = done;
        if (asset) waiting.push(asset);
      });
      clearInterval(ticking);
      show();
      setCounting(null);
      const trouble = describeTrouble(brought);
      const count = brought.assets.length;
      if (trouble) notify({ text: trouble, tone: brought.full || brought.refused.length ? 'error' : 'info' });
      else notify({ text: `${count} ${count === 1 ? 'photo' : 'photos'} in the workbox.` });
    },
    [store, notify],
  );

  /** A house paper's file comes into the store when it is first used. */
  const fetchPaper = useCallback(
    async (sha: string): Promise<Asset | null> => {
      const own = store.getState().history.project.assets[sha];
      if (own) return own;
      const paper = house.find(({ asset }) => asset.sha === sha);
      if (!paper) return null;
      try {
        const blob = await (await fetch(`/house/papers/${paper.id}.jpg`)).blob();
        const brought = await bringIn(
          [new File([blob], paper.asset.name, { type: paper.asset.type })],
          new AbortController().signal,
        );
        const [asset] = brought.assets;
        if (asset) return { ...asset, name: paper.asset.name };
        notify({ text: describeTrouble(brought) ?? 'This paper could not be read.', tone: 'error' });
      } catch {
        notify({ text: `${paper.asset.name} could not be read. Nothing was changed.`, tone: 'error' });
      }
      return null;
    },
    [house, notify, store],
  );

  return { photos, papers, counting, bring, fetchPaper };
}
