/** What is said of a flow before it is done: of all that may be odd about the photos. */
import { beforeAll, expect, test } from '@jest/globals';
import { designFor } from '@/core/book/design';
import { roomFor } from '@/core/book/flow';
import { plainDesign } from '@/core/book/plain';
import { planBook } from '@/core/book/plan';
import type { Asset } from '@/core/picture/asset';
import { absentOf, storeAsset } from '@/storage/assets';
import { absentInWords, inWords } from '@/features/table/tasks/book/flowing';
import { book, photos, WISH } from '../../../../../scripts/testing/books';
import { emptyStore } from '../../../../../scripts/testing/store';

beforeAll(emptyStore);

const says = (of: readonly Asset[], wish: Partial<typeof WISH> = {}) => {
  const begun = book();
  const plan = planBook(of, roomFor(designFor(plainDesign(), begun), begun), { ...WISH, ...wish });
  return inWords(plan, of.length, 0, { ...WISH, ...wish }, 2);
};
const same = (count: number, more: Partial<Asset>): Asset[] =>
  photos(count, 4, { likeness: undefined, ...more });

test.each<[string, Asset[], Partial<typeof WISH>, RegExp]>([
  ['one photo', photos(1), {}, /^1 photo on \d+ pages/],
  ['photos of one second', same(90, { taken: '2026-05-02T10:00:00' }), {}, /^90 photos on \d+ pages\./],
  ['photos without dates', same(12, { taken: undefined }), {}, /^12 photos on \d+ pages/],
  ['panoramas', same(5, { width: 6000, height: 1000 }), {}, /^5 photos on \d+ pages/],
  [
    'far too few for so many pages',
    photos(3),
    { pages: 100 },
    /There are too few photos for 100 pages\.|pages at the end stay empty/,
  ],
  [
    'photos of 200 pixels',
    same(4, { width: 200, height: 150 }),
    {},
    /4 photos print below 150 ppi where they lie: a little soft\./,
  ],
])('%s: a sentence and a sensible book', (_, of, wish, told) => {
  expect(says(of, wish)).toMatch(told);
});

test('a photo whose file is gone is named, and left out', async () => {
  const [here, gone, also] = photos(3, 8) as [Asset, Asset, Asset];
  await storeAsset({ asset: here, blob: new Blob(['x']), proxies: {} });
  const shas = [here, gone, also].map(({ sha }) => sha);
  const absent = new Set(await absentOf(shas));
  expect(absent).toEqual(new Set([gone.sha, also.sha]));
  const assets = Object.fromEntries([here, gone, also].map((asset) => [asset.sha, asset]));
  expect(absentInWords(absent, assets)).toMatch(
    /^2 photos are no longer in this browser, “0\.jpg|1\.jpg” among them/,
  );
  expect(absentInWords(new Set([gone.sha]), assets)).toBe(
    `“${gone.name}” is no longer in this browser, and is left out. Bring it in again, and it finds its place.`,
  );
  expect(absentInWords(new Set(), assets)).toBe('');
});
