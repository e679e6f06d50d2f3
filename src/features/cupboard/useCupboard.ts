/** The cupboard as it stands: everything in it, found as one types, changed and kept. */
import { startTransition, useCallback, useEffect, useMemo, useState } from 'react';
import type { HouseMark } from '@/core/supplies/kit-file';
import type { Kit, Supply } from '@/core/supplies/model';
import { SupplySearch, tagsInUse, type Filter } from '@/core/supplies/search';
import {
  addKit,
  hasHouse,
  openCupboard,
  putKit,
  putSupplies,
  takeOut,
  type Shelves,
} from '@/storage/supplies';
import { useStillDrawn } from '@/features/shared/StillDrawn';
import { houseSeen, houseStocked } from '@/features/shared/stock';

interface Stock {
  search: SupplySearch;
  kits: ReadonlyMap<string, Kit>;
  /** Rises with every change, so that what is shown is looked up again. */
  version: number;
}

export interface Cupboard {
  kits: readonly Kit[];
  version: number;
  find(words: string, filter: Filter, isUsed: (supply: Supply) => boolean): Supply[];
  suggest(beginning: string): string[];
  tags(): string[];
  /** Whether a picture or page, by its SHA-256, lies in the cupboard. */
  idOf(sha: string): string | undefined;
  /** Favourites and tags of shipped supplies, as a backup kept them. */
  restoreMarks(marks: readonly HouseMark[]): Promise<void>;
  /** Changes each as it is by then. */
  change(supplies: readonly Supply[], to: (supply: Supply) => Supply): Promise<void>;
  changeKit(kit: Kit): Promise<void>;
  add(kit: Kit, supplies: readonly Supply[]): Promise<void>;
  remove(ids: readonly string[]): Promise<void>;
}

function stockOf({ supplies, kits }: Shelves): Stock {
  const byId = new Map(kits.map((kit) => [kit.id, kit]));
  return { search: new SupplySearch(supplies, byId, Date.now), kits: byId, version: 0 };
}

/** What lies in the cupboard is shown at once; shipped kits that are new, when they are known, and again when they are in. */
async function open(show: (stock: Stock) => void): Promise<void> {
  if (await hasHouse()) show(stockOf(await openCupboard()));
  else {
    const [own, house] = await Promise.all([openCupboard(), houseSeen()]);
    if (house)
      show(stockOf({ supplies: [...own.supplies, ...house.supplies], kits: [...own.kits, ...house.kits] }));
  }
  if ((await houseStocked()) || !(await hasHouse())) show(stockOf(await openCupboard()));
}

/** Supplies whose words are read in one go while nothing else is to be done. */
const SLICE = 250;

/** House kits first, each by name. */
const inOrder = (a: Kit, b: Kit): number =>
  Number(b.house) - Number(a.house) || a.name.localeCompare(b.name, 'en');

/** The cupboard once it is open; `again` tries once more where it could not be opened. */
export function useCupboard(): { cupboard: Cupboard | null; again: (() => void) | null } {
  const [stock, setStock] = useState<Stock | null>(null);
  const [tries, setTries] = useState(0);
  const [failed, setFailed] = useState(-1);
  // What comes late is looked up again.
  const late = useStillDrawn('/house/kits.json');

  useEffect(() => {
    let gone = false;
    open((next) => !gone && setStock(next)).catch(() => !gone && setFailed(tries));
    return () => {
      gone = true;
    };
  }, [tries, late]);
  useEffect(() => {
    if (!stock) return;
    // So that the first letter typed waits for nothing.
    const soon = (): ReturnType<typeof setTimeout> =>
      setTimeout(() => {
        if (stock.search.prepare(SLICE)) turn = soon();
      }, 30);
    let turn = soon();
    return () => clearTimeout(turn);
  }, [stock]);

  const changed = useCallback(
    (kits?: ReadonlyMap<string, Kit>) =>
      // There is much to draw: in between, the page has its turn.
      startTransition(() =>
        setStock((now) => now && { ...now, kits: kits ?? now.kits, version: now.version + 1 }),
      ),
    [],
  );

  const again = useMemo(() => (failed === tries ? () => setTries(tries + 1) : null), [failed, tries]);
  const cupboard = useMemo<Cupboard | null>(() => {
    if (!stock) return null;
    const { search, kits, version } = stock;
    return {
      kits: [...kits.values()].sort(inOrder),
      version,
      find(words, filter, isUsed) {
        const start = performance.now();
        const found = search.find(words, filter, isUsed);
        // How long it took can be read off the page (User Timing, W3C); the bench does.
        if (words) performance.measure('find supplies', { start });
        return found;
      },
      suggest: (beginning) => search.suggest(beginning),
      tags: () => tagsInUse(search.all),
      idOf: (sha) => search.idOf(sha),
      async restoreMarks(marks) {
        const byId = new Map(marks.map((mark) => [mark.id, mark]));
        const next = [...search.all].flatMap((supply) => {
          const mark = byId.get(supply.id);
          if (!mark) return [];
          const { favourite, tags, name = supply.name } = mark;
          return [{ ...supply, favourite, name, tags: [...new Set([...supply.tags, ...tags])] }];
        });
        await putSupplies(next);
        next.forEach((supply) => search.update(supply, kits.get(supply.kit)));
        changed();
      },
      async change(supplies, to) {
        // Known before it is kept: what is changed at once after builds on it, whatever is shown by then.
        const before = supplies.map((supply) => search.now(supply));
        const next = before.map(to);
        const know = (supply: Supply) => search.update(supply, kits.get(supply.kit));
        next.forEach(know);
        try {
          await putSupplies(next);
        } catch (error) {
          // But for what was changed again meanwhile, which is told by itself if it fails, too.
          before.filter((supply, i) => search.now(supply) === next[i]).forEach(know);
          throw error;
        } finally {
          changed();
        }
      },
      async changeKit(kit) {
        await putKit(kit);
        const after = new Map(kits).set(kit.id, kit);
        for (const supply of search.find('', { kit: kit.id })) search.update(supply, kit);
        changed(after);
      },
      async add(kit, supplies) {
        await addKit(kit, supplies);
        const after = new Map(kits).set(kit.id, kit);
        supplies.forEach((supply) => search.update(supply, kit));
        changed(after);
      },
      async remove(ids) {
        await takeOut(ids);
        ids.forEach((id) => search.remove(id));
        const left = new Set([...search.all].map(({ kit }) => kit));
        changed(new Map([...kits].filter(([id]) => left.has(id))));
      },
    };
  }, [stock, changed]);
  return { cupboard, again };
}
