import { perform, startHistory } from '@/core/project/history';
import { layPieces } from '@/core/project/edits/pile';
import { LOOSE_KIT, newKit, type Supply } from '@/core/supplies/model';
import { absentOf, storeAsset, storePage } from '@/storage/assets';
import { database } from '@/storage/database';
import { keep } from '@/storage/projects';
import { throwOutUnused } from '@/storage/deleted';
import { addProject } from '@/storage/shelved';
import {
  addKit,
  alphabets,
  changeSupply,
  inkSets,
  noteUse,
  openCupboard,
  putSupplies,
  stockHouse,
  suppliesAt,
  supplyById,
  takeOut,
  usesOf,
} from '@/storage/supplies';
import { assetOf, photoOf, project, quarters, supplyOf } from '../../scripts/testing/samples';
import { emptyStore } from '../../scripts/testing/store';

beforeEach(emptyStore);

const bytes = quarters(90, 60);
const asset = assetOf(bytes, 90, 60);
const file = () => new Blob([bytes as Uint8Array<ArrayBuffer>]);
const supply = (id: string, more: Partial<Supply> = {}): Supply => supplyOf(id, { tags: ['sea'], ...more });
const house = { ...newKit('house', 'House', 0), house: true };

describe('shipped kits', () => {
  test('go in once a version; favourites, tags and use that a person gave stay, for a version more too', async () => {
    await stockHouse({ version: '1', kits: [house], supplies: [supply('a'), supply('b')] });
    await putSupplies([{ ...supply('a'), favourite: true, used: 5, tags: ['sea', 'mine'] }]);
    await stockHouse({ version: '1', kits: [], supplies: [supply('c')] });
    expect((await openCupboard()).supplies.map(({ id }) => id)).toEqual(['a', 'b']);
    await stockHouse({
      version: '2',
      kits: [house],
      supplies: [supply('a', { tags: ['sea', 'new'] }), supply('c')],
    });
    expect(await supplyById('a')).toMatchObject({ favourite: true, used: 5, tags: ['sea', 'new', 'mine'] });
    // What ships no more is not left behind; what has another id is known by its name; one's own stays.
    await addKit(newKit('own', 'Own', 0), [supply('mine', { kit: 'own' })]);
    await stockHouse({ version: '3', kits: [house], supplies: [supply('z', { name: 'a' })] });
    expect((await openCupboard()).supplies.map(({ id }) => id)).toEqual(['mine', 'z']);
    expect(await supplyById('z')).toMatchObject({ favourite: true, tags: ['sea', 'new', 'mine'] });
  });
  test('a name that a person gave stays, under another id, too; one that was never changed is the new one', async () => {
    const version = (number: string, ...supplies: Supply[]) =>
      stockHouse({ version: number, kits: [house], supplies });
    await version('1', supply('a'), supply('b'), supply('c'));
    // As a program left them that noted no names.
    await database.settings.delete('house names');
    await version('1', supply('a'), supply('b'), supply('c'));
    await changeSupply('a', (now) => ({ ...now, name: 'Grandma’s buttons' }));
    await changeSupply('c', (now) => ({ ...now, name: 'Mine', favourite: true }));
    await version('2', supply('a'), supply('b', { name: 'A better name' }), supply('z', { name: 'c' }));
    const names = async () => (await openCupboard()).supplies.map(({ id, name }) => [id, name]);
    const now = [
      ['a', 'Grandma’s buttons'],
      ['b', 'A better name'],
      ['z', 'Mine'],
    ];
    expect(await names()).toEqual(now);
    await version('3', supply('a'), supply('b', { name: 'A better name' }), supply('z', { name: 'c' }));
    expect(await names()).toEqual(now);
    expect(await supplyById('z')).toMatchObject({ favourite: true });
  });
  test('two alphabets of a kit are two; the pictures a shipped design is made of are found by their places', async () => {
    const letter = (id: string, alphabet: string | undefined, order: number) =>
      supply(id, { kind: 'alphabet', letters: 'A', alphabet, order, asset, at: `/${id}.webp` });
    await stockHouse({
      version: '1',
      kits: [house],
      supplies: [letter('p', 'Cork', 0), letter('q', 'Felt', 1), supply('bit', { order: 2 })],
    });
    await addKit(newKit('own', 'Own', 0), [{ ...letter('r', undefined, 0), kit: 'own' }]);
    expect(
      (await alphabets()).map(({ kit, alphabet, letters }) => [kit.id, alphabet, letters.length]),
    ).toEqual([
      ['house', 'Cork', 1],
      ['house', 'Felt', 1],
      ['own', undefined, 1],
    ]);
    expect((await suppliesAt('house', [1, 2])).map(({ id }) => id)).toEqual(['q']);
  });
});

describe('taking out', () => {
  test('what lies on a page stays in the store for the page; what lies nowhere goes, with an empty kit', async () => {
    await storeAsset({ asset, blob: file(), proxies: {} });
    const own = newKit('own', 'Own', 0);
    await addKit(own, [supply('a', { kit: 'own', asset })]);
    const start = startHistory(project());
    await addProject(start.project, 0);
    const laid = perform(
      start,
      layPieces('sample-1', [photoOf('p', asset, { x: 0, y: 0, width: 9, height: 6 })], [asset]),
      0,
    );
    await keep(start, laid, 1);
    expect(await usesOf([asset.sha, 'other'])).toEqual(
      new Map([[asset.sha, [{ project: 'sample', title: 'A sample', count: 1 }]]]),
    );
    await takeOut(['a']);
    expect(await absentOf([asset.sha])).toEqual([]);
    expect(await openCupboard()).toEqual({ supplies: [], kits: [] });
    await database.projects.clear();
    await database.journal.clear();
    // Another tab may be about to lay it.
    await throwOutUnused();
    expect(await absentOf([asset.sha])).toEqual([]);
    await database.assets.update(asset.sha, { stored: Date.now() - 2 * 3600 * 1000 });
    await throwOutUnused();
    expect(await absentOf([asset.sha])).toEqual([asset.sha]);
  });
  test('the kit for loose things stays though it is empty', async () => {
    await addKit(newKit(LOOSE_KIT, 'Loose supplies', 0), [supply('a', { kit: LOOSE_KIT })]);
    await takeOut(['a']);
    expect((await openCupboard()).kits).toHaveLength(1);
  });
});

test('a page’s file is kept as long as a supply holds it; use is noted by picture; ink sets are found', async () => {
  await storePage('f'.repeat(64), new Blob(['page']), undefined);
  await addKit(newKit('own', 'Own', 0), [
    supply('page', { kit: 'own', kind: 'page', page: 'f'.repeat(64) }),
    supply('bit', { kit: 'own', asset }),
    supply('inks', { kit: 'own', kind: 'inks', inks: [{ name: 'Jam', colour: '#b23a48' }] }),
  ]);
  await throwOutUnused();
  expect(await absentOf(['f'.repeat(64)])).toEqual([]);
  await noteUse(asset.sha, 77);
  expect((await supplyById('bit'))!.used).toBe(77);
  expect((await inkSets()).map(({ id }) => id)).toEqual(['inks']);
});
