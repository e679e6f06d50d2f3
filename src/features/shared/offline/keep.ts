/** What ships with the app, kept in this browser for a time without a network: the house at once, kits where that is wished. */
import { drawn } from '@/features/shared/drawn';
import { remember, remembered } from '@/ui/remembered';
import { HOUSE_CACHE } from '@/workers/offline';

export interface HouseFiles {
  /** Another one when any of them changed. */
  version: string;
  /** By their names under /house/, with their size. */
  files: { name: string; bytes: number }[];
}

const WISH = 'keep all kits';
const KEPT = 'house kept';
/** Files that are asked for together, and how many such groups at a time: what somebody waits for goes first. */
const TOGETHER = 16;
const AT_ONCE = 2;

/** What a kit is made of; by its small pictures it is looked through, and these are of the house. */
const isKit = ({ name }: { name: string }): boolean =>
  name.startsWith('kits/') && !/\.small\.\w+$/.test(name);
const at = (name: string): string => `/house/${name}`;

/** Whether all kits are to be kept. */
export const keepsKits = (): boolean => remembered(WISH) === 'yes';
const wishKits = (kept: boolean): void => remember(WISH, kept ? 'yes' : null);

/** What there is, once it is all drawn; null without a network. */
const listed = (): Promise<HouseFiles | null> =>
  drawn('/house/list', (list: HouseFiles): HouseFiles | null => list).catch(() => null);

/** Empty if what it holds is of an older house. */
async function cacheFor({ version }: HouseFiles): Promise<Cache> {
  const cache = await caches.open(HOUSE_CACHE);
  const kept = await cache.match(at(KEPT)).then((answer) => answer?.text());
  if (kept === version) return cache;
  await caches.delete(HOUSE_CACHE);
  const anew = await caches.open(HOUSE_CACHE);
  await anew.put(at(KEPT), new Response(version));
  return anew;
}

export type KeepReport = (bytes: number, all: number) => void;

/** Fetches what is not kept yet. Rejects where one cannot be had, or there is no room; what was fetched stays. */
async function keep(
  files: HouseFiles['files'],
  cache: Cache,
  report?: KeepReport,
  signal?: AbortSignal,
): Promise<void> {
  const kept = new Set((await cache.keys()).map(({ url }) => new URL(url).pathname));
  const all = files.reduce((sum, { bytes }) => sum + bytes, 0);
  const missing = files.filter(({ name }) => !kept.has(at(name)));
  let done = all - missing.reduce((sum, { bytes }) => sum + bytes, 0);
  report?.(done, all);
  const groups = Array.from({ length: Math.ceil(missing.length / TOGETHER) }, (_, i) =>
    missing.slice(i * TOGETHER, (i + 1) * TOGETHER),
  ).values();
  const fetching = async (): Promise<void> => {
    for (const group of groups) {
      signal?.throwIfAborted();
      await keepGroup(group, cache, signal);
      done += group.reduce((sum, { bytes }) => sum + bytes, 0);
      report?.(done, all);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, fetching));
}

/** Several at once: to a browser's cache each by itself is a day's work. If one cannot be had, the others stay, and it is named. */
async function keepGroup(group: HouseFiles['files'], cache: Cache, signal?: AbortSignal): Promise<void> {
  const how: RequestInit = { priority: 'low', ...(signal ? { signal } : {}) };
  try {
    await cache.addAll(group.map(({ name }) => new Request(at(name), how)));
  } catch {
    for (const { name } of group) {
      signal?.throwIfAborted();
      const answer = await fetch(at(name), how);
      if (!answer.ok) throw new Error(`${name} could not be fetched (${answer.status})`);
      await cache.put(at(name), answer);
    }
  }
}

/** The house, and kits if they are to be kept; true once all of that is here. */
export async function keepHouse(): Promise<boolean> {
  const list = await listed();
  if (!list) return false;
  const cache = await cacheFor(list);
  await keep(keepsKits() ? list.files : list.files.filter((file) => !isKit(file)), cache);
  return true;
}

/** How large all kits are, in bytes, and how much of them is here; null where that cannot be found out. */
export async function kitsSize(): Promise<{ all: number; kept: number } | null> {
  const list = await listed();
  if (!list) return null;
  const kept = new Set(
    (await (await cacheFor(list)).keys()).map(({ url }) => new URL(url).pathname.slice(at('').length)),
  );
  const kits = list.files.filter(isKit);
  const size = (files: HouseFiles['files']) => files.reduce((sum, { bytes }) => sum + bytes, 0);
  return { all: size(kits), kept: size(kits.filter(({ name }) => kept.has(name))) };
}

/** All kits are fetched, and kept from then on. Rejects where one cannot be had, or there is no room. */
export async function keepKits(report: KeepReport, signal: AbortSignal): Promise<void> {
  const list = await listed();
  if (!list) throw new Error('there is no network');
  await keep(list.files.filter(isKit), await cacheFor(list), report, signal);
  wishKits(true);
}

/** The room they take is given back; what is used is fetched again. */
export async function letKitsGo(): Promise<void> {
  wishKits(false);
  const cache = await caches.open(HOUSE_CACHE);
  for (const request of await cache.keys())
    if (isKit({ name: new URL(request.url).pathname.slice(at('').length) })) await cache.delete(request);
}
