/** The papers at hand: those gathered for the project, and the plain house papers that lie in every workbox. */
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Asset } from '@/core/picture/asset';
import { fail, ok, type Result } from '@/core/result';
import { drawn } from '@/features/shared/drawn';
import { onceATab } from '@/features/shared/once';
import { pictureOf } from '@/features/shared/supplyFiles';
import { useSession } from '@/features/table/room/context';
import { shownProject } from '@/features/table/session';

export interface HousePaper {
  id: string;
  asset: Asset;
}

const shipped = onceATab(() => drawn('/house/papers.json', (papers: readonly HousePaper[]) => papers));
/** None if they cannot be read now. */
export const housePapers = (): Promise<readonly HousePaper[]> => shipped().catch(() => []);

/** A house paper's file comes into the store when it is first used. */
export async function takeHousePaper(house: readonly HousePaper[], sha: string): Promise<Result<Asset>> {
  const paper = house.find(({ asset }) => asset.sha === sha);
  if (!paper) return fail('This paper is no longer there.');
  const { id, asset } = paper;
  return pictureOf({ asset, name: asset.name, at: `/house/papers/${id}.jpg` });
}

export interface Papers {
  papers: readonly Asset[];
  /** What is known of a paper, its file in the store. */
  take: (sha: string) => Promise<Result<Asset>>;
}

export function usePapers(): Papers {
  const own = useSession((session) => shownProject(session).papers);
  const assets = useSession((session) => shownProject(session).assets);
  const [shipped, setShipped] = useState<readonly HousePaper[]>([]);
  useEffect(() => {
    let gone = false;
    void housePapers().then((papers) => !gone && setShipped(papers));
    return () => {
      gone = true;
    };
  }, []);
  const papers = useMemo(
    () => [
      ...own.flatMap((sha) => assets[sha] ?? []),
      ...shipped.flatMap(({ asset }) => (own.includes(asset.sha) ? [] : asset)),
    ],
    [own, assets, shipped],
  );
  const take = useCallback(
    async (sha: string): Promise<Result<Asset>> => {
      const known = own.includes(sha) ? assets[sha] : undefined;
      return known ? ok(known) : takeHousePaper(shipped, sha);
    },
    [own, assets, shipped],
  );
  return { papers, take };
}
