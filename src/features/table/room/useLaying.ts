/** Laying what is carried: by drop, by Enter, from the workbox or the cupboard; papers ask how first. */
import { useCallback, useMemo, useState } from 'react';
import type { Asset } from '@/core/picture/asset';
import { gather } from '@/core/project/edits/gather';
import type { Spot } from '@/core/project/create';
import type { Compartment, Project } from '@/core/project/model';
import { fail, ok, type Result } from '@/core/result';
import { KINDS, type Supply } from '@/core/supplies/model';
import { newId } from '@/features/shared/ids';
import { houseStocked } from '@/features/shared/stock';
import { useGoing } from '@/features/shared/useGoing';
import { fileOfSupply, openPageSupply, pictureOf } from '@/features/shared/supplyFiles';
import { namedIn } from '@/core/piece/assets';
import type { Trail } from '@/core/trail';
import { coverWithPaper, layStrip, page, startWords, takeUpLine } from '@/features/table/acts';
import { aimed } from '@/features/table/acts/aimed';
import { useRoom } from '@/features/table/room/context';
import type { SessionStore } from '@/features/table/session';
import {
  bringPhoto,
  couldFill,
  exchange,
  fillPage,
  layArt,
  layKept,
  layPage,
  laySketch,
  layTogether,
  type Together,
} from '@/features/table/acts/laid';
import type { Carried } from '@/features/table/parts/carry';
import { noteUse, supplyById, supplyWith } from '@/storage/supplies';
import { inWords } from '@/storage/trouble';
import { useNotify } from '@/ui/notices';

export interface At {
  left: number;
  top: number;
}

/** Milliseconds after which one is told that something is on its way. */
const SOON = 400;

/** Several ways in which something may come to the page: which one is asked first. */
export interface Ways {
  at: At;
  ways: readonly { says: string; lay: () => Promise<void> }[];
}

/** The pictures a ready line lays, from the project, or fetched with the supplies they are. */
async function picturesOfLine(trail: Trail, there: SessionStore): Promise<Result<Together[]>> {
  const found: Together[] = [];
  for (const sha of new Set(namedIn(trail))) {
    const known = there.getState().history.project.assets[sha];
    const supply = known ? undefined : await supplyWith(sha);
    const asset = known
      ? ok(known)
      : supply
        ? await pictureOf(supply)
        : fail('A picture it is drawn with is not in this browser.');
    if (!asset.ok) return asset;
    found.push({ asset: asset.value, compartment: (supply && KINDS[supply.kind].compartment) ?? 'stamps' });
  }
  return ok(found.filter(({ asset }) => !there.getState().history.project.assets[asset.sha]));
}

type Notify = ReturnType<typeof useNotify>;

/** Supplies that are more than a picture: pages, parts of one, ready lines. */
function useOpened(notify: Notify) {
  const { open, once } = useGoing();
  const openPage = useCallback(
    (supply: Supply): Promise<void> =>
      once(async () => {
        const opened = await openPageSupply(supply, newId(), Date.now());
        if (opened.ok) open(opened.value.id);
        else notify({ text: opened.message, tone: 'error' });
      }),
    [notify, open, once],
  );

  /** What is in the project file behind a supply, onto the page. */
  const layParts = useCallback(
    async (supply: Supply, lay: (made: Project) => void): Promise<void> => {
      const late = setTimeout(
        () => notify({ text: `Bringing “${supply.name}” to the table …`, tone: 'info' }),
        SOON,
      );
      const blob = await fileOfSupply(supply);
      const { openParts } = await import('@/features/shared/files');
      const opened = blob.ok ? await openParts(blob.value, supply.name) : blob;
      clearTimeout(late);
      if (opened.ok) lay(opened.value);
      else notify({ text: opened.message, tone: 'error' });
    },
    [notify],
  );

  /** A ready line with the pictures it lays. */
  const takeLine = useCallback(
    async (supply: Supply, trail: Trail, there: SessionStore): Promise<void> => {
      const pictures = await picturesOfLine(trail, there);
      if (!pictures.ok) return notify({ text: pictures.message, tone: 'error' });
      takeUpLine(there, trail, pictures.value);
      if (there.getState().sheet === 'lines')
        notify({ text: `“${supply.name}” is in your hand: draw on the page.`, tone: 'info' });
    },
    [notify],
  );
  return { openPage, layParts, takeLine };
}

/** Supplies that go into the workbox, or in another's place. */
function useGathered(store: SessionStore, notify: Notify) {
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
  return { gatherSupplies, exchangeWith };
}

export function useLaying(housePaper: (sha: string) => Promise<Result<Asset>>) {
  const { store } = useRoom();
  const notify = useNotify();
  const [choice, setChoice] = useState<Ways | null>(null);
  const { openPage, layParts, takeLine } = useOpened(notify);
  const { gatherSupplies, exchangeWith } = useGathered(store, notify);

  /** A picture to the page; a paper, and what is as wide as the page, asks how it comes. */
  const layIn = useCallback(
    async (
      there: SessionStore,
      compartment: Compartment,
      picture: () => Promise<Result<Asset>>,
      at: At,
      spot?: Spot,
    ) => {
      const got = (lay: (asset: Asset) => void) => async () => {
        const found = await picture();
        if (!found.ok) return notify({ text: found.message, tone: 'error' });
        lay(found.value);
        void noteUse(found.value.sha, Date.now());
      };
      // Before anything is fetched.
      if (compartment === 'papers')
        return setChoice({
          at,
          ways: [
            { says: 'Cover the page with it', lay: got((asset) => coverWithPaper(there, asset)) },
            { says: 'Lay a strip of it', lay: got((asset) => layStrip(there, asset, spot)) },
          ],
        });
      await got((asset) => {
        const lay = () =>
          compartment === 'photos' ? bringPhoto(there, asset, spot) : layArt(there, asset, compartment, spot);
        if (!couldFill(there, asset, spot)) return lay();
        setChoice({
          at,
          ways: [
            { says: 'Fill the page with it', lay: async () => fillPage(there, asset, compartment) },
            { says: 'Lay it as it is', lay: async () => lay() },
          ],
        });
      })();
    },
    [notify],
  );

  /** One supply to the page. */
  const laySupply = useCallback(
    async (supply: Supply, at: At, spot?: Spot, there = aimed(store)): Promise<void> => {
      if (store.getState().readOnly) return;
      const { compartment, opens, begins } = KINDS[supply.kind];
      if (supply.trail) return takeLine(supply, supply.trail, there);
      if (opens === 'places') return layParts(supply, (made) => laySketch(there, made.surfaces[0]!));
      if (opens === 'pieces') return layParts(supply, (made) => layKept(there, made, spot));
      if (opens === 'project') {
        // What has sides of its own is no page of another thing.
        if (begins !== 'layout') return openPage(supply);
        const bare = page(there.getState()).pile.length === 0;
        const onPage = (more: boolean) => () => layParts(supply, (made) => layPage(there, made, more));
        return setChoice({
          at,
          ways: [
            { says: bare ? 'On this page' : 'In place of what lies on this page', lay: onPage(false) },
            { says: 'On a page more, after this one', lay: onPage(true) },
            { says: 'As a project of its own', lay: () => openPage(supply) },
          ],
        });
      }
      if (compartment) return layIn(there, compartment, () => pictureOf(supply), at, spot);
    },
    [layIn, openPage, layParts, takeLine, store],
  );

  /** Several at once, side by side, one step; what is more than a picture comes after them, by itself. */
  const laySupplies = useCallback(
    async (supplies: readonly Supply[], at: At): Promise<void> => {
      const [one] = supplies;
      if (supplies.length === 1) return laySupply(one!, at);
      if (store.getState().readOnly) return;
      const there = aimed(store);
      const found: Together[] = [];
      const trouble: string[] = [];
      for (const supply of supplies) {
        const { compartment, opens, many } = KINDS[supply.kind];
        if (compartment) {
          const asset = await pictureOf(supply);
          if (asset.ok) found.push({ asset: asset.value, compartment });
          else trouble.push(asset.message);
        } else if (opens === 'pieces') await layParts(supply, (made) => layKept(there, made));
        else trouble.push(`“${supply.name}” was left: ${many} are laid one at a time.`);
      }
      if (found.length) layTogether(there, found);
      for (const { asset } of found) void noteUse(asset.sha, Date.now());
      if (trouble.length) notify({ text: trouble.slice(0, 4).join('\n'), tone: 'warning' });
    },
    [laySupply, layParts, notify, store],
  );

  /** Anything that was carried here; `there` is the table as it was when that was meant, if it was waited for. */
  const lay = useCallback(
    async (carried: Carried, at: At, spot?: Spot, there = aimed(store)): Promise<void> => {
      if (store.getState().readOnly) return;
      if (carried.kind === 'words') return startWords(store, carried.role, spot);
      if (carried.kind === 'supply') {
        const known = await supplyById(carried.id);
        // On a first visit the cupboard is seen before all of it lies in the store.
        const supply = known ?? ((await houseStocked()) ? await supplyById(carried.id) : undefined);
        return supply && laySupply(supply, at, spot, there);
      }
      const known = store.getState().history.project.assets[carried.sha];
      if (known) return layIn(there, carried.compartment, async () => ok(known), at, spot);
      if (carried.compartment === 'papers')
        return layIn(there, 'papers', () => housePaper(carried.sha), at, spot);
    },
    [housePaper, layIn, laySupply, store],
  );

  const layAs = useCallback(async (way: Ways['ways'][number]) => {
    setChoice(null);
    await way.lay();
  }, []);

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
    laySupplies: told(laySupplies),
    layAs: told(layAs),
    gatherSupplies: told(gatherSupplies),
    exchangeWith: told(exchangeWith),
    choice,
    forgetChoice: () => setChoice(null),
  };
}
