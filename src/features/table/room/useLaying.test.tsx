/** Supplies come to the page: each kind as its kind says, asked first where there are several ways, on the page it was meant for. */
import { afterEach, beforeAll, beforeEach, expect, jest, test } from '@jest/globals';
import { screen } from '@testing-library/react';
import { useEffect } from 'react';
import { fail, ok } from '@/core/result';
import type { Asset } from '@/core/picture/asset';
import type { Piece } from '@/core/piece/piece';
import type { Supply, SupplyKind } from '@/core/supplies/model';
import { addPageAfter } from '@/features/table/acts/pages';
import { useLaying } from '@/features/table/room/useLaying';
import { database } from '@/storage/database';
import { around, seated, seatedAt, type Seated } from '../../../../scripts/testing/room';
import { assetOf, inkPiece, laid, photoOf, quarters } from '../../../../scripts/testing/samples';
import { stocked } from '../../../../scripts/testing/store';

type Laying = ReturnType<typeof useLaying>;
const AT = { left: 10, top: 10 };
const push = jest.fn<(to: string) => void>();
const HOUSE_PAPER = assetOf(quarters(64, 48), 600, 400, { name: 'Linen.jpg' });
const housePaper = async (sha: string) =>
  sha === HOUSE_PAPER.sha ? ok(HOUSE_PAPER) : fail('Linen could not be read.');
const now: { laying: Laying | null } = { laying: null };
function Hands() {
  const laying = useLaying(housePaper);
  useEffect(() => void (now.laying = laying));
  return null;
}

beforeAll(() => stocked('windward'));
beforeEach(() => void push.mockClear());
const serve = globalThis.fetch;
afterEach(() => void (globalThis.fetch = serve));

const supply = async (kind: SupplyKind, is: (one: Supply) => boolean = () => true): Promise<Supply> =>
  (await database.supplies.filter((one) => one.kind === kind && is(one)).first())!;

const table = async (pieces: readonly Piece[] = [], chosen: readonly string[] = [], assets: Asset[] = []) => {
  const room = await seated(around(<Hands />, push), pieces, chosen, assets);
  const laying = () => now.laying!;
  return {
    ...room,
    laying,
    carry: (one: Supply, spot?: { x: number; y: number }) =>
      laying().lay({ kind: 'supply', id: one.id }, AT, spot),
    /** The ways it is asked of, and one of them gone. */
    async ways() {
      const { ways } = (await room.when(() => laying().choice))!;
      return ways.map(({ says }) => says);
    },
    async goes(says: string) {
      const { ways } = (await room.when(() => laying().choice))!;
      await laying().layAs(ways.find((way) => way.says === says)!);
      await room.when(() => !laying().choice);
    },
  };
};
const kinds = (room: Seated) => room.pile().map(({ material }) => material.kind);

test('a stamp comes as ink at its true size where it is let go, into the workbox too, and is the one used last', async () => {
  const room = await table();
  const stamp = await supply('stamp');
  await room.carry(stamp, { x: 100, y: 80 });
  const [piece] = room.pile();
  const { width, height, ppi } = stamp.asset!;
  expect(piece!.placement).toMatchObject({
    ...{ x: 100, y: 80 },
    ...{ width: (72 * width) / ppi, height: (72 * height) / ppi },
  });
  expect(piece!.name).toBe(stamp.name);
  expect(room.project().stamps).toEqual([stamp.asset!.sha]);
  expect(room.store.getState().selection).toEqual([piece!.id]);
  await room.when(async () => ((await database.supplies.get(stamp.id))!.used ? true : null));
});

test('a paper asks whether it covers the page or lies in a strip, and nothing is fetched before that is said', async () => {
  const asked: string[] = [];
  globalThis.fetch = (async (from: string) => (asked.push(String(from)), serve(from))) as typeof fetch;
  const room = await table([inkPiece('a')]);
  const paper = await supply('paper');
  await room.carry(paper);
  expect(await room.ways()).toEqual(['Cover the page with it', 'Lay a strip of it']);
  expect(asked).toEqual([]);
  await room.goes('Lay a strip of it');
  expect(room.laying().choice).toBeNull();
  expect(room.pile()).toHaveLength(2);
  expect(room.piece('a')).toBeDefined();
  await room.carry(paper);
  await room.goes('Cover the page with it');
  // It lies beneath all else, over the page and its bleed.
  const [lowest] = room.pile();
  expect(lowest!.material).toMatchObject({ kind: 'paper', asset: paper.asset!.sha });
  expect(lowest!.placement.width).toBeGreaterThanOrEqual(432);
  expect(lowest!.placement.height).toBeGreaterThanOrEqual(288);
  // A house paper is known by its file alone.
  await room.laying().lay({ kind: 'gathered', compartment: 'papers', sha: HOUSE_PAPER.sha }, AT);
  await room.goes('Lay a strip of it');
  expect(room.pile()).toHaveLength(4);
  await room.laying().lay({ kind: 'gathered', compartment: 'papers', sha: 'f'.repeat(64) }, AT);
  await room.goes('Lay a strip of it');
  await screen.findByText('Linen could not be read.');
  expect(room.pile()).toHaveLength(4);
});

test('a picture of the page’s own proportions may fill it; on a photo, or taken by a camera, it is laid at once', async () => {
  const wide = assetOf(quarters(90, 60, 'image/png'), 1800, 1200);
  const room = await table([], [], [wide]);
  await room.laying().lay({ kind: 'gathered', compartment: 'photos', sha: wide.sha }, AT);
  expect(await room.ways()).toEqual(['Fill the page with it', 'Lay it as it is']);
  await room.goes('Fill the page with it');
  expect(room.pile()[0]!.placement).toMatchObject({ x: 216, y: 144, width: 432, height: 288 });
  await room.laying().lay({ kind: 'gathered', compartment: 'photos', sha: wide.sha }, AT);
  await room.goes('Lay it as it is');
  expect(room.pile()).toHaveLength(2);
  room.unmount();
  const taken = { ...wide, taken: '2026-05-16T11:05:00' };
  const camera = await table([], [], [taken]);
  await camera.laying().lay({ kind: 'gathered', compartment: 'photos', sha: taken.sha }, AT);
  expect([camera.laying().choice, camera.pile().length]).toEqual([null, 1]);
});

test('a ready-made page goes on this page, on one more, or is a project of its own; a card is always its own', async () => {
  const room = await table([inkPiece('a')]);
  const page = await supply('page');
  await room.carry(page);
  expect(await room.ways()).toEqual([
    'In place of what lies on this page',
    'On a page more, after this one',
    'As a project of its own',
  ]);
  await room.goes('On a page more, after this one');
  expect(room.project().surfaces).toHaveLength(2);
  expect(room.project().surfaces[0]!.pile.map(({ id }) => id)).toEqual(['a']);
  const laid = room.pile().length;
  expect(laid).toBeGreaterThan(3);
  expect(room.undo()).toBe('lay a ready-made page');
  room.does(() => room.store.getState().undo());
  await room.carry(page);
  await room.goes('In place of what lies on this page');
  expect([room.project().surfaces.length, room.pile().length]).toEqual([1, laid]);
  expect(room.pile().some(({ id }) => id === 'a')).toBe(false);
  expect(Object.keys(room.project().assets).length).toBeGreaterThan(0);
  expect(push).not.toHaveBeenCalled();
  await room.carry(await supply('card'));
  expect(room.laying().choice).toBeNull();
  expect(push.mock.calls).toEqual([[expect.stringMatching(/^\/table\?project=[\w-]+$/)]]);
  const [, id] = /project=(.*)/.exec(push.mock.lastCall![0])!;
  expect(await database.projects.get(id!)).toMatchObject({ id });
});

test('a sketch lays its places, kept pieces come back in their group, a ready line is in the hand', async () => {
  const room = await table();
  await room.carry(await supply('sketch'));
  expect(room.undo()).toBe('lay sketch');
  const places = room.pile().length;
  expect(places).toBeGreaterThan(1);
  const kept = await supply('pieces');
  await room.carry(kept, { x: 216, y: 144 });
  const came = room.pile().slice(places);
  expect(room.store.getState().selection).toEqual(came.map(({ id }) => id));
  expect(Object.keys(room.project().assets).length).toBeGreaterThan(0);
  const line = await supply('line', ({ trail }) => trail?.kind === 'cord');
  room.chosen();
  await room.carry(line);
  expect(room.store.getState().sheet).toBe('lines');
  await screen.findByText(`“${line.name}” is in your hand: draw on the page.`);
  expect(room.pile()).toHaveLength(places + came.length);
});

test('several are laid side by side in one step; what cannot come so is named', async () => {
  const room = await table();
  const all = [await supply('stamp'), await supply('embellishment'), await supply('page')];
  await room.laying().laySupplies(all, AT);
  expect(kinds(room)).toEqual(['art', 'art']);
  const [first, second] = room.pile().map(({ placement }) => placement);
  expect(second!.x - first!.x).toBeGreaterThan((first!.width + second!.width) / 2);
  await screen.findByText(`“${all[2]!.name}” was left: ready-made pages are laid one at a time.`);
  room.does(() => room.store.getState().undo());
  expect([room.pile(), room.undo()]).toEqual([[], null]);
});

test('supplies are gathered in the workbox, each in its compartment; a photo’s place takes another; what is not laid says so', async () => {
  const photo = assetOf(quarters(60, 40), 600, 400);
  const room = await table([photoOf('p', photo, { x: 40, y: 50, width: 60, height: 40 })], ['p'], [photo]);
  const [stamp, paper] = [await supply('stamp'), await supply('paper')];
  await room.laying().gatherSupplies([stamp, paper]);
  await screen.findByText('2 supplies lie in the workbox.');
  expect([room.project().stamps, room.project().papers]).toEqual([[stamp.asset!.sha], [paper.asset!.sha]]);
  await room.laying().gatherSupplies([await supply('inks')]);
  await screen.findByText('This is not laid by itself, so the workbox does not hold it.');
  const bit = await supply('embellishment');
  await room.laying().exchangeWith(bit);
  expect(room.piece('p')).toMatchObject({
    name: bit.name,
    material: { asset: bit.asset!.sha },
    placement: { x: 70, y: 70 },
  });
  await room.laying().exchangeWith(await supply('page'));
  await screen.findByText(/is not laid by itself\.|This cannot lie in its place\./);
});

test('without a network what was never fetched says so, and nothing is changed', async () => {
  globalThis.fetch = (async () => Promise.reject(new TypeError('Failed to fetch'))) as typeof fetch;
  const room = await table();
  const stamp = await supply('stamp', ({ id }) => !id.endsWith('0'));
  await database.assets.clear();
  await room.carry(stamp);
  await screen.findByText(/was never fetched, and there is no network just now\. Nothing was changed\./);
  await room.laying().gatherSupplies([stamp]);
  const page = await supply('page');
  await room.carry(page);
  await room.goes('On this page');
  expect([room.pile(), room.undo(), room.project().stamps]).toEqual([[], null, []]);
});

test('what is waited for is laid on the page it was meant for, and not at all if that is gone', async () => {
  const room = await table();
  const stamp = await supply('stamp');
  await database.assets.clear();
  const laid = room.carry(stamp);
  await room.when(() => true);
  room.does(() => addPageAfter(room.store, false));
  await laid;
  const [first, second] = room.project().surfaces;
  expect([first!.pile.length, second!.pile.length, room.store.getState().selection]).toEqual([1, 0, []]);
});

test('on a table that another tab holds nothing is laid', async () => {
  const room = await seatedAt(around(<Hands />, push), laid([]), [], { readOnly: true });
  const [stamp, paper] = [await supply('stamp'), await supply('paper')];
  await now.laying!.lay({ kind: 'supply', id: stamp.id }, AT);
  await now.laying!.gatherSupplies([stamp]);
  await now.laying!.laySupplies([stamp, paper], AT);
  expect([room.pile(), room.undo(), room.project().stamps]).toEqual([[], null, []]);
});
