/** The cupboard in the store: supplies and their kits. */
import { MOST_INKS } from '@/core/supplies/kit-file';
import {
  LOOSE_KIT,
  looseKit,
  type Kit,
  type NamedInk,
  type Supply,
  type SupplyKind,
} from '@/core/supplies/model';
import { uses } from '@/core/project/model';
import { database } from '@/storage/database';
import { openProject } from '@/storage/projects';
import { throwOutUnused } from '@/storage/deleted';
import { listProjects } from '@/storage/shelf';

export interface Shelves {
  supplies: Supply[];
  kits: Kit[];
}

/** What ships with the app, as `public/house/kits.json` lists it. */
export interface HouseList extends Shelves {
  /** Changes whenever anything in the list does. */
  version: string;
}

const HOUSE_KEY = 'house kits';
/** What each shipped supply was called when it was put in: by that one's own names are known. */
const NAMES_KEY = 'house names';

/** Everything in the cupboard. */
export const openCupboard = async (): Promise<Shelves> => ({
  supplies: await database.supplies.toArray(),
  kits: await database.kits.toArray(),
});

/** What kits are called, by their ids. */
export const kitNames = async (): Promise<ReadonlyMap<string, string>> =>
  new Map((await database.kits.toArray()).map(({ id, name }) => [id, name]));

/** All are read at once and then chosen from: one after another they take a browser twice as long. */
const allOf = async (kind: SupplyKind): Promise<Supply[]> =>
  (await database.supplies.toArray()).filter((supply) => supply.kind === kind);

/** All supplies of a kind, one's own before those that came with the app. */
export async function suppliesOfKind(kind: SupplyKind): Promise<Supply[]> {
  const found = await allOf(kind);
  return found.sort((a, b) => b.added - a.added || a.kit.localeCompare(b.kit) || a.order - b.order);
}

/** Letters of all alphabets, with the kits they are of and, where a kit has several, their names. */
export async function alphabets(): Promise<{ kit: Kit; alphabet?: string; letters: Supply[] }[]> {
  const letters = await allOf('alphabet');
  const kits = await database.kits.bulkGet([...new Set(letters.map(({ kit }) => kit))]);
  return kits.flatMap((kit) => {
    const own = letters.filter((one) => one.kit === kit?.id);
    const named = [...new Set(own.map(({ alphabet }) => alphabet))];
    return kit
      ? named.map((alphabet) => ({ kit, alphabet, letters: own.filter((one) => one.alphabet === alphabet) }))
      : [];
  });
}

/** The pictures of a shipped kit at these places in it. */
export async function suppliesAt(kit: string, places: readonly number[]): Promise<Supply[]> {
  const wanted = new Set(places);
  return database.supplies
    .where('kit')
    .equals(kit)
    .filter(({ order, at, asset }) => wanted.has(order) && !!at && !!asset)
    .toArray();
}

/** Whether shipped kits, of any version, were put in. */
export const hasHouse = async (): Promise<boolean> => (await database.settings.get(HOUSE_KEY)) !== undefined;

/** What each shipped supply is called, by its id, whatever a person called it since. */
export const shippedNames = async (): Promise<Record<string, string>> =>
  ((await database.settings.get(NAMES_KEY))?.value ?? {}) as Record<string, string>;

/**
 * Puts the shipped kits in, once for each version of them; what a person made of them (names, favourites, tags) stays. Answers
 * whether they are others than before.
 */
export async function stockHouse(list: HouseList): Promise<boolean> {
  const names = {
    key: NAMES_KEY,
    value: Object.fromEntries(list.supplies.map(({ id, name }) => [id, name])),
  };
  if ((await database.settings.get(HOUSE_KEY))?.value === list.version) {
    // Put in by a program that did not note them.
    if (!(await database.settings.get(NAMES_KEY))) await database.settings.put(names);
    return false;
  }
  await database.transaction('rw', database.supplies, database.kits, database.settings, async () => {
    const shipped = new Set(list.supplies.map(({ id }) => id));
    const there = await database.supplies
      .where('kit')
      .anyOf(list.kits.map(({ id }) => id))
      .toArray();
    const before = new Map(there.map((supply) => [supply.id, supply]));
    const known = await shippedNames();
    /** What it was called when it was shipped; what is in the cupboard where that was never noted. */
    const shippedAs = ({ id, name }: Supply) => known[id] ?? name;
    // What ships no more goes; what ships under another id is known again by its name.
    const gone = there.filter(({ id }) => !shipped.has(id));
    const byName = new Map(gone.map((supply) => [named({ ...supply, name: shippedAs(supply) }), supply]));
    await database.supplies.bulkDelete(gone.map(({ id }) => id));
    await database.supplies.bulkPut(
      list.supplies.map((supply) => {
        const own = before.get(supply.id) ?? byName.get(named(supply));
        return own
          ? {
              ...supply,
              ...(own.name === shippedAs(own) ? {} : { name: own.name }),
              favourite: own.favourite,
              used: own.used,
              tags: [...new Set([...supply.tags, ...own.tags])],
              ...ownArrangement(supply, own),
            }
          : supply;
      }),
    );
    await database.kits.bulkPut(list.kits);
    await database.settings.bulkPut([{ key: HOUSE_KEY, value: list.version }, names]);
  });
  return true;
}

const named = ({ kit, kind, name, letters }: Supply): string => [kit, kind, name, letters].join('\n');

/** One's own order of a shipped set's inks, and which one retired; a set that came with other inks keeps neither. */
function ownArrangement(supply: Supply, own: Supply): Pick<Supply, 'inks' | 'arranged'> {
  const names = (inks: Supply['inks']) => inks?.map(({ name }) => name).join('\n');
  return supply.inks && names(supply.inks) === names(own.inks)
    ? { arranged: own.arranged, inks: supply.inks.map((ink, i) => ({ ...own.inks![i]!, ...ink })) }
    : {};
}

export const putSupplies = (supplies: readonly Supply[]): Promise<unknown> =>
  database.supplies.bulkPut([...supplies]);

/** Changes a supply as it is by then; nothing where it is not here any more. */
export const changeSupply = (id: string, to: (now: Supply) => Supply): Promise<void> =>
  database.transaction('rw', database.supplies, async () => {
    const now = await database.supplies.get(id);
    if (now) await database.supplies.put(to(now));
  });

export const putKit = (kit: Kit): Promise<unknown> => database.kits.put(kit);

/** A kit with its supplies, all or nothing. */
export const addKit = (kit: Kit, supplies: readonly Supply[]): Promise<void> =>
  database.transaction('rw', database.kits, database.supplies, async () => {
    await database.kits.put(kit);
    await database.supplies.bulkPut([...supplies]);
  });

/** SHA-256 of the files behind supplies. */
export const picturesOf = (supplies: readonly Pick<Supply, 'asset' | 'page'>[]): string[] =>
  supplies.flatMap(({ asset, page }) => asset?.sha ?? page ?? []);

/** Takes supplies out; a kit that is left empty goes with them, unless it is the one for loose things. */
export async function takeOut(ids: readonly string[]): Promise<void> {
  let gone: Supply[] = [];
  await database.transaction('rw', database.kits, database.supplies, async () => {
    gone = (await database.supplies.bulkGet([...ids])).flatMap((supply) => supply ?? []);
    await database.supplies.bulkDelete([...ids]);
    for (const kit of new Set(gone.map((supply) => supply.kit)))
      if (kit !== LOOSE_KIT && (await database.supplies.where('kit').equals(kit).count()) === 0)
        await database.kits.delete(kit);
  });
  await throwOutUnused(picturesOf(gone));
}

/** The ink sets, shipped ones first. */
export const inkSets = async (): Promise<Supply[]> =>
  (await allOf('inks')).sort(
    (a, b) => Number(b.id === FAVOURITE_INKS) - Number(a.id === FAVOURITE_INKS) || a.added - b.added,
  );

/** The set of inks one likes best: a set like any other, so that it is saved and taken along like one. */
export const FAVOURITE_INKS = 'favourite inks';

/** Puts an ink among the favourites, or takes it out again. */
export const toggleFavouriteInk = (ink: NamedInk, now: number): Promise<void> =>
  database.transaction('rw', database.kits, database.supplies, async () => {
    const set = await database.supplies.get(FAVOURITE_INKS);
    const before = set?.inks ?? [];
    const had = before.some(({ colour }) => colour === ink.colour);
    const inks = had
      ? before.filter(({ colour }) => colour !== ink.colour)
      : [...before, { name: ink.name, colour: ink.colour }].slice(-MOST_INKS);
    if (!inks.length) return database.supplies.delete(FAVOURITE_INKS);
    if (!set) await database.kits.put((await database.kits.get(LOOSE_KIT)) ?? looseKit([], now));
    await database.supplies.put({
      ...(set ?? {
        id: FAVOURITE_INKS,
        kind: 'inks',
        name: 'Favourite inks',
        tags: [],
        kit: LOOSE_KIT,
        order: 0,
        added: now,
        favourite: true,
      }),
      inks,
      arranged: undefined,
      colours: inks.slice(0, 3).map(({ colour }) => colour),
    });
  });

/** Marks a picture as laid on a page now, so that it is found first next time. */
export const noteUse = (sha: string, now: number): Promise<unknown> =>
  database.supplies.where('asset.sha').equals(sha).modify({ used: now });

export interface UseOf {
  project: string;
  title: string;
  count: number;
}

/** On the pages of which projects each of these pictures lies, and how often; those that lie on none are not in it. */
export async function usesOf(shas: readonly string[]): Promise<Map<string, UseOf[]>> {
  const found = new Map<string, UseOf[]>();
  const holding = new Set(await database.projects.where('files').anyOf(shas).primaryKeys());
  for (const { id } of await listProjects()) {
    const opened = holding.has(id) && (await openProject(id));
    if (!opened || !opened.ok) continue;
    const { project } = opened.value;
    const counts = uses(project);
    for (const sha of new Set(shas)) {
      const count = counts.get(sha);
      if (count) found.set(sha, [...(found.get(sha) ?? []), { project: id, title: project.title, count }]);
    }
  }
  return found;
}

/** A supply that is a picture, by its file. */
export const supplyWith = (sha: string): Promise<Supply | undefined> =>
  database.supplies.filter(({ asset }) => asset?.sha === sha).first();

export const supplyById = (id: string): Promise<Supply | undefined> => database.supplies.get(id);
