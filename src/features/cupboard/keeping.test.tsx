/** What is kept for a time without a network: the house at once, kits where that is wished; whatever breaks off is gone on with. */
import { afterAll, beforeEach, expect, test } from '@jest/globals';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { KeepKits } from '@/features/cupboard/KeepKits';
import {
  keepHouse,
  keepKits,
  keepsKits,
  kitsSize,
  letKitsGo,
  type HouseFiles,
} from '@/features/shared/offline/keep';
import { HOUSE_CACHE } from '@/workers/offline';
import { Shelves } from '../../../scripts/testing/caches';
import { around } from '../../../scripts/testing/room';

const MB = 1e6;
const papers = Array.from({ length: 40 }, (_, i) => ({ name: `papers/${i}.webp`, bytes: MB }));
const kits = Array.from({ length: 20 }, (_, i) => ({ name: `kits/tide/${i}.webp`, bytes: 2 * MB }));
const small = kits.map(({ name }) => ({ name: name.replace('.webp', '.small.webp'), bytes: 1 }));
const HOUSE: HouseFiles['files'] = [...papers, ...kits, ...small];

let version = '1';
let network: 'whole' | 'cut' | { lacks: string } = 'whole';
let asked: string[] = [];
const served = async (from: string | { url: string }) => {
  const path = new URL(typeof from === 'string' ? from : from.url, 'http://localhost').pathname;
  if (network === 'cut') throw new TypeError('Failed to fetch');
  if (path === '/house/list') return Response.json({ version, files: HOUSE });
  asked.push(path);
  return typeof network === 'object' && path.endsWith(network.lacks)
    ? new Response(null, { status: 404 })
    : new Response(path);
};
let shelves = new Shelves();
const before = { fetch: globalThis.fetch, caches: globalThis.caches, worker: navigator.serviceWorker };
const here = () => shelves.on(HOUSE_CACHE).filter((path) => path.startsWith('/house/') && path.includes('.'));

beforeEach(() => {
  localStorage.clear();
  shelves = new Shelves();
  [version, network, asked] = ['1', 'whole', []];
  Object.assign(globalThis, { fetch: served, caches: shelves });
  Object.defineProperty(navigator, 'serviceWorker', { configurable: true, value: {} });
});
afterAll(() => {
  Object.assign(globalThis, { fetch: before.fetch, caches: before.caches });
  Reflect.deleteProperty(navigator, 'serviceWorker');
});

test('the house is kept with the small pictures of its kits, once; a newer one takes the place of all of it', async () => {
  expect(await keepHouse()).toBe(true);
  expect(here()).toHaveLength(papers.length + small.length);
  expect(
    here()
      .filter((path) => path.includes('/kits/'))
      .every((path) => path.endsWith('.small.webp')),
  ).toBe(true);
  const first = asked.length;
  expect([await keepHouse(), asked.length]).toEqual([true, first]);
  version = '2';
  expect([await keepHouse(), asked.length]).toEqual([true, 2 * first]);
});

test('without a network nothing is kept, and what is here stays', async () => {
  network = 'cut';
  expect(await keepHouse()).toBe(false);
  expect(await kitsSize()).toBeNull();
  network = 'whole';
  await keepHouse();
  network = 'cut';
  const kept = here();
  expect(await keepHouse()).toBe(false);
  await expect(keepKits(() => {}, new AbortController().signal)).rejects.toThrow('there is no network');
  expect([here(), keepsKits()]).toEqual([kept, false]);
});

test('one file that cannot be had is named; all others of its group stay, and are not fetched again', async () => {
  network = { lacks: 'papers/3.webp' };
  await expect(keepHouse()).rejects.toThrow('papers/3.webp could not be fetched (404)');
  const came = here();
  expect(came).toContain('/house/papers/2.webp');
  network = 'whole';
  asked = [];
  expect(await keepHouse()).toBe(true);
  expect(asked).toContain('/house/papers/3.webp');
  expect(asked.filter((path) => came.includes(path))).toEqual([]);
});

test('kits are told of as they come, stopped in the middle, gone on with, and let go', async () => {
  const told: number[] = [];
  const stop = new AbortController();
  await expect(
    keepKits((bytes, all) => {
      told.push(bytes / all);
      if (bytes > 0) stop.abort();
    }, stop.signal),
  ).rejects.toThrow();
  expect(keepsKits()).toBe(false);
  const { all, kept } = (await kitsSize())!;
  expect(all).toBe(20 * 2 * MB);
  expect(kept).toBeGreaterThan(0);
  asked = [];
  await keepKits((bytes, of) => void told.push(bytes / of), new AbortController().signal);
  expect(told.at(-1)).toBe(1);
  expect(asked).toHaveLength((all - kept) / (2 * MB));
  expect([keepsKits(), await kitsSize()]).toEqual([true, { all, kept: all }]);
  await keepHouse();
  await letKitsGo();
  expect([keepsKits(), await kitsSize()]).toEqual([false, { all, kept: 0 }]);
  // The small pictures are the house's.
  expect(here()).toHaveLength(papers.length + small.length);
});

test('the cupboard says how much room kits take, keeps them at a press and says so, or why not; and gives them back', async () => {
  render(around(<KeepKits />));
  const keep = () => screen.findByRole('button', { name: 'Kits for offline (40 MB)' });
  network = { lacks: 'kits/tide/7.webp' };
  fireEvent.click(await keep());
  await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('Not all kits could be kept'));
  network = 'whole';
  fireEvent.click(await keep());
  await screen.findByText('All kits are kept for offline: 40 MB.');
  fireEvent.click(screen.getByRole('button', { name: 'Let them go' }));
  await keep();
});
