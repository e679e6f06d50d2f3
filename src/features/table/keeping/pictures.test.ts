/** Pictures as the table asks for them: the smallest copy that will do, the best at hand until it is there, tried again where it failed. */
import { createCanvas } from '@napi-rs/canvas';
import type { Asset } from '@/core/picture/asset';
import type { Dye } from '@/core/dye/dye';
import { PictureShelf } from '@/features/table/keeping/pictures';
import { storeAsset } from '@/storage/assets';
import { database } from '@/storage/database';
import { assetOf, quarters } from '../../../../scripts/testing/samples';
import { emptyStore } from '../../../../scripts/testing/store';

const { PICTURES } = (await import('../../../../scripts/testing/pictures.mjs')) as { PICTURES: object };
const before = Object.fromEntries(Object.keys(PICTURES).map((name) => [name, (globalThis as never)[name]]));
beforeAll(() => void Object.assign(globalThis, PICTURES));
afterAll(() => void Object.assign(globalThis, before));
beforeEach(emptyStore);

let made = 0;
/** A picture of its own, in the store with copies as wide as is said. */
async function kept(width = 3000, height = 2000, levels = { thumb: 96, screen: 800 }): Promise<Asset> {
  made += 1;
  const picture = (wide: number) => quarters(wide, Math.round((wide * height) / width) + made);
  const whole = picture(1000);
  const asset = assetOf(whole, width, height);
  const blob = (bytes: Buffer) => new Blob([new Uint8Array(bytes)], { type: 'image/jpeg' });
  await storeAsset({
    asset,
    blob: blob(whole),
    proxies: Object.fromEntries(Object.entries(levels).map(([level, wide]) => [level, blob(picture(wide))])),
  });
  return asset;
}
/** Asks until something is there, as a stage does with each picture that arrives. */
async function shown(shelf: PictureShelf, asset: Asset, pixels: number, wide: number) {
  for (let i = 0; i < 200; i++) {
    const found = shelf.take(asset, pixels);
    if (found?.width === wide) return found;
    await new Promise((done) => setTimeout(done, 5));
  }
  throw new Error(`never ${wide} wide`);
}

test('small it comes from the small copy, larger from that for the screen, and close up from the file itself', async () => {
  const asset = await kept();
  const shelf = new PictureShelf();
  expect(shelf.take(asset, 200)).toBeUndefined();
  expect((await shown(shelf, asset, 200, 96)).whole).toEqual({ width: 3000, height: 2000 });
  await shown(shelf, asset, 900, 800);
  await shown(shelf, asset, 2400, 1000);
});

test('until the better copy is there the best at hand is shown', async () => {
  const asset = await kept();
  const shelf = new PictureShelf();
  await shown(shelf, asset, 200, 96);
  // Asked for in large for the first time, the small one stands in.
  expect(shelf.take(asset, 2400)?.width).toBe(96);
  await shown(shelf, asset, 2400, 1000);
  // And the large one for all that is asked for after that, but for what is there in its own size.
  expect(shelf.take(asset, 900)?.width).toBe(1000);
});

test('of a picture no larger than a screen nothing larger is fetched', async () => {
  const asset = await kept(1200, 800, { thumb: 96, screen: 1200 });
  const shelf = new PictureShelf();
  await shown(shelf, asset, 9000, 1200);
});

test('a drawing is ready once it is read; however large, its copy stands in for it until then', async () => {
  const svg = '<svg xmlns="http://www.w3.org/2000/svg" width="12in" height="8in"><path d="M0 0h9v9z"/></svg>';
  const bytes = new TextEncoder().encode(svg);
  const asset = assetOf(bytes, 3600, 2400, { type: 'image/svg+xml' });
  const blob = new Blob([bytes], { type: 'image/svg+xml' });
  const screen = new Blob([new Uint8Array(quarters(72, 48, 'image/png'))]);
  await storeAsset({ asset, blob, proxies: { screen } });
  const shelf = new PictureShelf();
  await shown(shelf, asset, 9000, 72);
  await shelf.ready([asset]);
  expect(shelf.drawing(asset)?.whole).toEqual({ width: 3600, height: 2400 });
});

test('whoever listens hears of each picture that arrives, until they stop', async () => {
  const [one, other] = [await kept(), await kept()];
  const shelf = new PictureShelf();
  const heard: string[] = [];
  const stop = shelf.onArrival((sha) => heard.push(sha));
  await shelf.ready([one]);
  expect(heard).toEqual([one.sha]);
  stop();
  await shelf.ready([other]);
  expect(heard).toEqual([one.sha]);
});

test('asked for by many at once it is read and decoded once', async () => {
  const asset = await kept();
  const shelf = new PictureShelf();
  const heard: string[] = [];
  shelf.onArrival((sha) => heard.push(sha));
  await Promise.all([shelf.small(asset.sha), shelf.small(asset.sha), shelf.small(asset.sha)]);
  expect(heard).toEqual([asset.sha]);
  expect(await shelf.small(asset.sha)).toBe(await shelf.small(asset.sha));
});

describe('a picture that is not there', () => {
  const { setTimeout: real } = globalThis;
  afterEach(() => void (globalThis.setTimeout = real));

  test('is nothing to wait for; it is asked for again later, each time after twice as long, and shown once it came', async () => {
    const asset = await kept();
    const row = (await database.assets.get(asset.sha))!;
    const copies = await database.proxies.toArray();
    await emptyStore();
    const later: { run: () => void; after: number }[] = [];
    globalThis.setTimeout = ((run: () => void, after = 0, ...more: never[]) =>
      after >= 1000 ? later.push({ run, after }) : real(run, after, ...more)) as typeof setTimeout;
    const shelf = new PictureShelf();
    const heard: string[] = [];
    shelf.onArrival((sha) => heard.push(sha));
    for (const after of [1500, 3000, 6000]) {
      await shelf.ready([asset]);
      // Asked once more in the meantime, nothing is read again.
      await shelf.ready([asset]);
      expect(later.map((each) => each.after)).toEqual([after]);
      // Told again after a while, so that whoever shows it asks once more.
      later.pop()!.run();
    }
    expect(heard).toEqual([asset.sha, asset.sha, asset.sha]);
    await database.assets.put(row);
    await database.proxies.bulkPut(copies);
    await shelf.ready([asset]);
    expect(shelf.take(asset, 900)?.width).toBe(800);
  });
});

describe('as it is worn', () => {
  const light = { values: { exposure: 1 }, strength: 1 };
  test('it is worked out once for a size, an ink or a tone, and anew for another', async () => {
    const asset = await kept();
    const shelf = new PictureShelf();
    await shown(shelf, asset, 200, 96);
    const inked = shelf.take(asset, 90, { ink: '#123456' })!;
    expect(shelf.take(asset, 90, { ink: '#123456' })!.source).toBe(inked.source);
    expect(shelf.take(asset, 90, { ink: '#654321' })!.source).not.toBe(inked.source);
    expect(shelf.take(asset, 90)!.source).not.toBe(inked.source);
    const pixel = (drawable: { source: unknown; width: number; height: number }) => {
      const canvas = createCanvas(drawable.width, drawable.height);
      canvas.getContext('2d').drawImage(drawable.source as never, 0, 0);
      return [...canvas.getContext('2d').getImageData(2, 2, 1, 1).data].slice(0, 3);
    };
    // As near as its thin cover lets eight bits be told.
    pixel(inked).forEach((value, i) => expect(Math.abs(value - [0x12, 0x34, 0x56][i]!)).toBeLessThan(3));
  });

  test('a tone is worked out no larger than it is shown, so that a slider is followed', async () => {
    const asset = await kept();
    const shelf = new PictureShelf();
    await shown(shelf, asset, 900, 800);
    const small = shelf.take(asset, 100, { tone: light })!;
    expect(small.width).toBeGreaterThanOrEqual(100);
    expect(small.width).toBeLessThan(200);
    expect(shelf.take(asset, 5000, { tone: light })!.width).toBe(800);
    // A little larger it needs no other; an ink is sharp at once.
    expect(shelf.take(asset, 102, { tone: light })!.source).toBe(small.source);
    expect(shelf.take(asset, 100, { ink: '#123456' })!.width).toBe(800);
  });

  test('dyes are told apart by which list they are, alike or not', async () => {
    const asset = await kept();
    const shelf = new PictureShelf();
    await shown(shelf, asset, 200, 96);
    const dyes = (): Dye[] => [
      { id: 'd', name: 'Hull', change: { how: 'ink', ink: '#b3262e' }, strength: 1 },
    ];
    const list = dyes();
    const one = shelf.take(asset, 90, { dyes: list })!;
    expect(shelf.take(asset, 90, { dyes: list })!.source).toBe(one.source);
    expect(shelf.take(asset, 90, { dyes: dyes() })!.source).not.toBe(one.source);
  });
});

describe('drawings', () => {
  const svg =
    '<svg xmlns="http://www.w3.org/2000/svg" width="96" height="48"><rect width="96" height="48" fill="#804020"/></svg>';
  const drawing = async (text: string): Promise<Asset> => {
    const bytes = new TextEncoder().encode(`${text}<!-- ${++made} -->`);
    const asset = { ...assetOf(bytes, 96, 48), type: 'image/svg+xml' as const };
    await storeAsset({ asset, blob: new Blob([bytes], { type: asset.type }), proxies: {} });
    return asset;
  };
  const opened = async (shelf: PictureShelf, asset: Asset) => {
    for (let i = 0; i < 200; i++) {
      const found = shelf.drawing(asset);
      if (found) return found;
      await new Promise((done) => setTimeout(done, 5));
    }
    return undefined;
  };

  test('are read once, worn as often as they are asked for, and told of when they are there', async () => {
    const asset = await drawing(svg);
    const shelf = new PictureShelf();
    const heard: string[] = [];
    shelf.onArrival((sha) => heard.push(sha));
    expect(shelf.drawing(asset)).toBeUndefined();
    const plain = (await opened(shelf, asset))!;
    expect(plain.whole).toEqual({ width: 96, height: 48 });
    expect(heard).toEqual([asset.sha]);
    const worn = shelf.drawing(asset, { ink: '#123456' })!;
    expect(worn.drawing.parts[0]!.colour).not.toBe(plain.drawing.parts[0]!.colour);
    expect(shelf.drawing(asset, { ink: '#123456' })).toBe(worn);
    for (let i = 0; i < 8; i++) shelf.drawing(asset, { ink: `#00000${i}` });
    // So many inks are kept: the one used longest ago is worked out anew, and looks the same.
    expect(shelf.drawing(asset, { ink: '#123456' })).toEqual(worn);
  });

  test('a photo is none, and one that cannot be read stays away without harm', async () => {
    const shelf = new PictureShelf();
    expect(shelf.drawing(await kept())).toBeUndefined();
    const broken = await drawing('<svg');
    expect(shelf.drawing(broken)).toBeUndefined();
    await new Promise((done) => setTimeout(done, 60));
    expect(shelf.drawing(broken)).toBeUndefined();
  });
});
