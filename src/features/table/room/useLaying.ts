/** Laying what is carried: by drop, by Enter, from the workbox or the cupboard; papers ask how first. */
import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useState } from 'react';
import type { Asset } from '@/core/picture/asset';
import { gather } from '@/core/project/edits/gather';
import type { Spot } from '@/core/project/create';
import type { Compartment } from '@/core/project/model';
import { ok, type Result } from '@/core/result';
import { KINDS, type Supply } from '@/core/supplies/model';
import { newId } from '@/features/shared/ids';
import { fileOfSupply, openPageSupply, pictureOf } from '@/features/shared/supplyFiles';
import { coverWithPaper, layStrip, startWords } from '@/features/table/acts';
import { aimed } from '@/features/table/acts/aimed';
import { useRoom } from '@/features/table/room/context';
import type { SessionStore } from '@/features/table/session';
import { bringPhoto, exchange, layArt, layKept, laySketch } from '@/features/table/acts/laid';
import type { Carried } from '@/features/table/parts/carry';
import { noteUse, supplyById } from '@/storage/supplies';
import { inWords } from '@/storage/trouble';
import { useNotify } from '@/ui/notices';

export interface At {
  left: number;
  top: number;
}

/** A paper waits to be told how it comes. */
export interface PaperChoice {
  picture: () => Promise<Result<Asset>>;
  spot?: Spot;
  at: At;
  /** The page it was asked on. */
  there: SessionStore;
}

export function useLaying(housePaper: (sha: string) => Promise<Result<Asset>>) {
  const { store } = useRoom();
  const router = useRouter();
  const notify = useNotify();
  const [choice, setChoice] = useState<PaperChoice | null>(null);

  /** A paper asks how it comes before anything is fetched. */
  const layIn = useCallback(
    async (
      there: SessionStore,
      compartment: Compartment,
      picture: () => Promise<Result<Asset>>,
      at: At,
      spot?: Spot,
    ) => {
      if (compartment === 'papers') return setChoice({ picture, spot, at, there });
      const found = await picture();
      if (!found.ok) return notify({ text: found.message, tone: 'error' });
      const asset = found.value;
      if (compartment === 'photos') bringPhoto(there, asset, spot);
      else layArt(there, asset, compartment, spot);
      void noteUse(asset.sha, Date.now());
    },
    [notify],
  );

  const openPage = useCallback(
    async (supply: Supply): Promise<void> => {
      const opened = await openPageSupply(supply, newId(), Date.now());
      if (opened.ok) router.push(`/table?project=${opened.value.id}`);
      else notify({ text: opened.message, tone: 'error' });
    },
    [notify, router],
  );

  /** The places or the pieces of the project behind a supply, onto the page. */
  const layParts = useCallback(
    async (there: SessionStore, supply: Supply, spot?: Spot): Promise<void> => {
      const blob = await fileOfSupply(supply);
      const { openParts } = await import('@/features/shared/files');
      const opened = blob.ok ? await openParts(blob.value, supply.name) : blob;
      if (!opened.ok) return notify({ text: opened.message, tone: 'error' });
      if (KINDS[supply.kind].opens === 'places') laySketch(there, opened.value.surfaces[0]!);
      else layKept(there, opened.value, spot);
    },
    [notify],
  );

  /** One supply to the page. */
  const laySupply = useCallback(
    async (supply: Supply, at: At, spot?: Spot, there = aimed(store)): Promise<void> => {
      if (store.getState().readOnly) return;
      const { compartment, opens } = KINDS[supply.kind];
      if (opens === 'project') return openPage(supply);
      if (opens) return layParts(there, supply, spot);
      if (!compartment) return;
      return layIn(there, compartment, () => pictureOf(supply), at, spot);
    },
    [layIn, openPage, layParts, store],
  );

  /** Anything that was carried here. */
  const lay = useCallback(
    async (carried: Carried, at: At, spot?: Spot): Promise<void> => {
      if (store.getState().readOnly) return;
      const there = aimed(store);
      if (carried.kind === 'words') return startWords(store, carried.role, spot);
      if (carried.kind === 'supply') {
        const supply = await supplyById(carried.id);
        return supply && laySupply(supply, at, spot, there);
      }
      const known = store.getState().history.project.assets[carried.sha];
      if (known) return layIn(there, carried.compartment, async () => ok(known), at, spot);
      if (carried.compartment === 'papers')
        return layIn(there, 'papers', () => housePaper(carried.sha), at, spot);
    },
    [housePaper, layIn, laySupply, store],
  );

  const layPaper = useCallback(
    async (how: 'cover' | 'strip') => {
      if (!choice) return;
      setChoice(null);
      const found = await choice.picture();
      if (!found.ok) return notify({ text: found.message, tone: 'error' });
      if (how === 'cover') coverWithPaper(choice.there, found.value);
      else layStrip(choice.there, found.value, choice.spot);
      void noteUse(found.value.sha, Date.now());
    },
    [choice, notify],
  );

  /** Supplies into the workbox. */
  const gatherSupplies = useCallback(
    async (supplies: readonly Supply[]): Promise<void> => {
      if (store.getState().readOnly) return;
      const found = new Map<Compartment, Asset[]>();
      const trouble: string[] = [];
      for (const supply of supplies) {
        const { compartment } = KINDS[supply.kind];
        if (!compartment) continue;
        const asset = await pictureOf(supply);
        if (asset.ok) found.set(compartment, [...(found.get(compartment) ?? []), asset.value]);
        else trouble.push(asset.message);
      }
      for (const [compartment, assets] of found) store.getState().perform(gather(compartment, assets));
      const count = [...found.values()].flat().length;
      if (trouble.length) notify({ text: trouble.join('\n'), tone: 'error' });
      else if (count)
        notify({ text: `${count} ${count === 1 ? 'supply lies' : 'supplies lie'} in the workbox.` });
      else notify({ text: 'This is not laid by itself, so the workbox does not hold it.' });
    },
    [notify, store],
  );

  /** A supply in the place of the selected piece. */
  const exchangeWith = useCallback(
    async (supply: Supply): Promise<void> => {
      const { compartment } = KINDS[supply.kind];
      const there = aimed(store);
      const asset = await pictureOf(supply);
      if (!compartment || !asset.ok)
        return notify({ text: asset.ok ? 'This cannot lie in its place.' : asset.message, tone: 'error' });
      exchange(there, asset.value, compartment);
      void noteUse(asset.value.sha, Date.now());
    },
    [notify, store],
  );

  /** What goes wrong on the way is told, whatever it was. */
  const told = useMemo(
    () =>
      <A extends unknown[]>(act: (...given: A) => Promise<void>) =>
      (...given: A): Promise<void> =>
        act(...given).catch((error) =>
          notify({ text: inWords(error, 'It was not brought to the table'), tone: 'error' }),
        ),
    [notify],
  );
  return {
    lay: useMemo(() => told(lay), [told, lay]),
    laySupply: useMemo(() => told(laySupply), [told, laySupply]),
    layPaper: told(layPaper),
    gatherSupplies: told(gatherSupplies),
    exchangeWith: told(exchangeWith),
    openPage: told(openPage),
    choice,
    forgetChoice: () => setChoice(null),
  };
}
