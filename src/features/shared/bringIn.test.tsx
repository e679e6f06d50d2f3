import { beforeEach, expect, test } from '@jest/globals';
import sharp from 'sharp';
import { sha256 } from '@/core/sha';
import { bringIn } from '@/features/shared/bringIn';
import { openFile } from '@/features/shared/files';
import { assetBlob, storeAsset } from '@/storage/assets';
import { database } from '@/storage/database';
import { packProject } from '@/storage/project-file';
import { DRAWN_BOMBS } from '../../../scripts/testing/bombs';
import { assetOf, photoOf, laid } from '../../../scripts/testing/samples';
import { emptyStore } from '../../../scripts/testing/store';

/** A photo of its own colour, with enough in it that half of the file is half of the photo. */
const jpeg = (seed: number, side = 240): Promise<Buffer> => {
  const noise = Uint8Array.from({ length: side * side * 3 }, (_, i) => (i * (seed + 7) * 31) % 251);
  return sharp(noise, { raw: { width: side, height: side, channels: 3 } })
    .jpeg()
    .toBuffer();
};
const file = (name: string, content: Uint8Array | string) =>
  new File([typeof content === 'string' ? content : new Uint8Array(content)], name);
const svg = (inside: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="2in" height="1in">${inside}</svg>`;
const inStore = async () => (await database.assets.toArray()).map(({ asset }) => asset!);
const never = new AbortController().signal;

beforeEach(async () => {
  await emptyStore();
});

test('bad files are refused by name and reason; the good ones among them arrive, equal ones once', async () => {
  const good = await jpeg(1);
  const told: number[] = [];
  const { arrived, refused, left, full } = await bringIn(
    [
      file('diary.jpg', 'Dear diary, today we flew the red one.'),
      file('half.jpg', good.subarray(0, good.length / 2)),
      file('nothing.jpg', ''),
      file('drawing.svg', svg('<script>fetch("/")</script><circle r="20"/>')),
      file('entities.svg', `<!DOCTYPE svg [<!ENTITY a "b">]>${svg('&a;')}`),
      file('good.jpg', good),
      file('same bytes.jpg', good),
    ],
    never,
    (done) => told.push(done),
  );
  expect(refused.sort()).toEqual([
    expect.stringMatching(/^diary\.jpg is not a picture this program knows/),
    expect.stringMatching(/^entities\.svg defines entities/),
    expect.stringMatching(/^half\.jpg is cut off/),
    expect.stringMatching(/^nothing\.jpg is empty \(0 bytes\)/),
  ]);
  expect(arrived.map(({ path, dropped }) => [path, dropped])).toEqual([
    ['drawing.svg', ['a script']],
    ['good.jpg', []],
    ['same bytes.jpg', []],
  ]);
  expect([told, left, full]).toEqual([[1, 2, 3, 4, 5, 6, 7], [], false]);
  const kept = await inStore();
  expect(kept).toHaveLength(2);
  // What is kept of a drawing is what is left of it, not what came.
  const drawing = kept.find(({ type }) => type === 'image/svg+xml')!;
  expect(new TextDecoder().decode(await (await assetBlob(drawing.sha))!.arrayBuffer())).not.toContain(
    'script',
  );
});

test('drawings that come to too much are refused each in a sentence, and hold up nothing that came with them', async () => {
  // Of all that drawing.test reads, one for each sentence.
  const bombs = Object.entries(DRAWN_BOMBS).filter(([name]) =>
    ['uses of uses that paint', 'numbers beyond all numbers'].includes(name),
  );
  const { arrived, refused } = await bringIn(
    [...bombs.map(([name, bomb]) => file(`${name}.svg`, bomb.file)), file('kites.jpg', await jpeg(2))],
    never,
  );
  expect(arrived.map(({ path }) => path)).toEqual(['kites.jpg']);
  for (const [name] of bombs)
    expect(refused).toContainEqual(expect.stringMatching(new RegExp(`^${name}\\.svg is a drawing `)));
  expect(refused).toHaveLength(bombs.length);
});

test('pictures are kept as they came, with what is seen in them; an Exif turn is honoured', async () => {
  const turned = await sharp(await jpeg(3, 400))
    .resize(400, 200, { fit: 'fill' })
    .withMetadata({ orientation: 6, density: 240 })
    .jpeg()
    .toBuffer();
  const { arrived } = await bringIn([file('turned.jpg', turned)], never);
  const { asset } = arrived[0]!;
  expect(asset).toMatchObject({
    sha: await sha256(new Uint8Array(turned)),
    width: 400,
    height: 200,
    orientation: 6,
    ppi: 240,
  });
  const bytes = await (await assetBlob(asset.sha))!.arrayBuffer();
  expect(Buffer.from(bytes).equals(turned)).toBe(true);
});

test('no room in the middle: what was stored stays, the rest is named', async () => {
  const photos = await Promise.all(
    [4, 5, 6, 7, 8, 9].map(async (seed) => file(`${seed}.jpg`, await jpeg(seed))),
  );
  let room = 2;
  const noRoom = () => {
    if (room-- <= 0) throw new DOMException('full', 'QuotaExceededError');
  };
  database.assets.hook('creating').subscribe(noRoom);
  const { arrived, left, refused, full } = await bringIn(photos, never);
  database.assets.hook('creating').unsubscribe(noRoom);
  expect(full).toBe(true);
  expect(arrived).toHaveLength(2);
  expect(await database.assets.count()).toBe(2);
  expect([...left, ...arrived.map(({ path }) => path)].sort()).toEqual(photos.map(({ name }) => name));
  expect(refused).toEqual([]);
});

test('opening a project can be stopped in the middle: nothing of it is left, and what was here before stays', async () => {
  const pictures = await Promise.all([10, 11, 12, 13, 14, 15].map((seed) => jpeg(seed)));
  const assets = pictures.map((bytes, i) => assetOf(new Uint8Array(bytes), 240, 240, { name: `${i}.jpg` }));
  await storeAsset({ asset: assets[0]!, blob: new Blob([new Uint8Array(pictures[0]!)]), proxies: {} });
  const packed = await packProject(
    laid(
      assets.map((asset, i) => photoOf(`p${i}`, asset, { x: 40 * i, y: 0, width: 36, height: 36 })),
      assets,
    ),
    async (sha) => new Blob([new Uint8Array(pictures[assets.findIndex((asset) => asset.sha === sha)]!)]),
  );
  if (!packed.ok) throw new Error(packed.message);
  const stop = new AbortController();
  const opened = await openFile(new File([packed.value.blob], 'Kites.bellagraph'), 'new', 0, {
    signal: stop.signal,
    counted: (done) => done === 2 && stop.abort(),
  });
  expect(opened).toMatchObject({
    ok: false,
    message: expect.stringMatching(
      /Kites\.bellagraph.* was not opened\. It was stopped; nothing of it is left\.$/,
    ),
  });
  expect((await inStore()).map(({ sha }) => sha)).toEqual([assets[0]!.sha]);
  expect(await database.projects.count()).toBe(0);
  const again = await openFile(new File([packed.value.blob], 'Kites.bellagraph'), 'new', 0);
  expect(again.ok && Object.keys(again.value.assets)).toHaveLength(6);
  expect(await database.assets.count()).toBe(6);
});
