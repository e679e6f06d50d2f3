/**
 * A labelled set: the house kits' own files under names such as kits are sold with, decoded from their bytes, with demo
 * photos, and stamps scanned black on white. Every second file has a name that tells nothing.
 */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { createCanvas, loadImage, type SKRSContext2D } from '@napi-rs/canvas';
import { readDrawing } from '@/core/drawing/read';
import { scaling } from '@/core/geometry/matrix';
import type { Asset } from '@/core/picture/asset';
import { lookOf } from '@/core/supplies/look';
import { KINDS, SUPPLY_KINDS, type Supply, type SupplyKind } from '@/core/supplies/model';
import { DOUBTFUL, guessKinds, type Seen } from '@/core/supplies/sort';
import { paintDrawing } from '@/output/pixels/marks';
import { node, ROOT } from '../../../scripts/node/platform';

interface Labelled {
  kind: SupplyKind;
  seen: Seen;
}
const SIDE = 200;
async function look(path: string, asset: Pick<Asset, 'type' | 'width' | 'height'>, paper?: string) {
  const bytes = readFileSync(path);
  const scale = SIDE / Math.max(asset.width, asset.height);
  const [w, h] = [
    Math.max(1, Math.round(asset.width * scale)),
    Math.max(1, Math.round(asset.height * scale)),
  ];
  const canvas = createCanvas(w, h);
  const context = canvas.getContext('2d');
  if (paper) {
    context.fillStyle = paper;
    context.fillRect(0, 0, w, h);
  }
  if (asset.type === 'image/svg+xml') {
    const read = readDrawing(bytes.toString());
    if (!read.ok) throw new Error(read.message);
    paintDrawing(context as never, read.value.drawing, scaling(w / read.value.drawing.width), node, 1);
  } else context.drawImage(await loadImage(bytes), 0, 0, w, h);
  return lookOf(context.getImageData(0, 0, w, h).data as unknown as Uint8ClampedArray, w, h);
}

/** Seen at 300 to the inch, drawn by `paint`. */
function drawn(path: string, w: number, h: number, paint: (to: SKRSContext2D) => void): Seen {
  const canvas = createCanvas(w, h);
  const context = canvas.getContext('2d');
  paint(context);
  const pixels = context.getImageData(0, 0, w, h).data as unknown as Uint8ClampedArray;
  const asset = { type: 'image/png', width: 6 * w, height: 6 * h, orientation: 1, ppi: 300 } as Asset;
  return { path, asset, camera: false, look: lookOf(pixels, w, h) };
}
const card = (context: SKRSContext2D, w: number, h: number) => {
  context.fillStyle = '#b05a3c';
  context.fillRect(0, 0, w, h);
};

test('a card of one colour with windows is a frame; an opaque one is asked about', () => {
  const three = drawn('item 4.png', 200, 80, (context) => {
    card(context, 200, 80);
    for (const x of [12, 76, 140]) context.clearRect(x, 16, 48, 48);
  });
  expect(guessKinds([three])).toEqual([expect.objectContaining({ kind: 'frame', sure: 0.86 })]);
  const filled = (path: string) =>
    drawn(path, 100, 75, (context) => {
      card(context, 100, 75);
      context.fillStyle = '#fdfdfd';
      context.fillRect(14, 12, 72, 51);
    });
  const [named, unnamed] = guessKinds([filled('frames/wide.png'), filled('item 5.png')]);
  expect(named).toMatchObject({ kind: 'frame', why: expect.stringContaining('was its opening filled?') });
  expect(unnamed!.why).toContain('a frame whose opening was filled?');
  expect(Math.max(named!.sure, unnamed!.sure)).toBeLessThan(DOUBTFUL);
  // A plain shape of one colour stays a stamp.
  const disc = drawn('item 6.png', 90, 90, (context) => {
    context.arc(45, 45, 44, 0, 7);
    context.fill();
  });
  expect(guessKinds([disc])[0]!.kind).toBe('stamp');
});

test('files named alike but for a letter are letters; numbered ones and a, b, c are not', () => {
  const named = (...names: string[]) =>
    guessKinds(
      names.map((name) =>
        drawn(name, 40, 40, (context) => {
          context.fillStyle = '#24506b';
          context.fillRect(4, 4, 14, 32);
          context.fillStyle = '#e8c66a';
          context.fillRect(18, 20, 14, 16);
        }),
      ),
    ).map(({ kind, letters }) => letters ?? kind);
  expect(named('chunky_A.png', 'chunky_B.png', 'chunky_e.png', 'chunky_7.png').join('')).toBe('ABe7');
  expect(named('tag_a.png', 'tag_b.png', 'tag_c.png', 'tag_d.png')).not.toContain('a');
  expect(named('flower_1.png', 'flower_2.png', 'flower_5.png', 'flower_9.png')).not.toContain('1');
});

test('at least 95 % of a labelled set are right, and the confusion table is printed', async () => {
  const house: { supplies: Supply[] } = JSON.parse(
    readFileSync(join(ROOT, 'public/house/kits.json'), 'utf8'),
  );
  const all: Labelled[] = [];
  const most: Partial<Record<SupplyKind, number>> = {
    paper: 20,
    cardstock: 10,
    embellishment: 32,
    frame: 12,
    stamp: 24,
    edge: 12,
    wordart: 12,
    alphabet: 18,
  };
  const taken = new Map<SupplyKind, number>();
  for (const one of house.supplies) {
    const n = taken.get(one.kind) ?? 0;
    if (!one.asset || !one.at || n >= (most[one.kind] ?? 0)) continue;
    taken.set(one.kind, n + 1);
    const ending = one.at.split('.').pop()!;
    // Nobody can tell letters, words and edges from other cut shapes without a name; kits are sold with one.
    const named = ['wordart', 'alphabet', 'edge'].includes(one.kind) || n % 2 === 0;
    const name =
      one.kind === 'alphabet'
        ? `alpha/${one.letters}`
        : named
          ? `${KINDS[one.kind].many}/${one.name}`
          : `item ${n}`;
    const scanned = one.kind === 'stamp' && n % 6 === 1;
    const asset: Asset = { ...one.asset, ...(scanned ? { type: 'image/png' as const } : {}) };
    all.push({
      kind: one.kind,
      seen: {
        path: `${name}.${scanned ? 'png' : ending}`,
        asset,
        camera: false,
        look: await look(join(ROOT, 'public', one.at), one.asset, scanned ? '#ffffff' : undefined),
      },
    });
  }
  const photos = [
    'fly-in-all-up',
    'fly-in-first-launch',
    'fly-in-high',
    'fly-in-plum-kite',
    'lantern-night',
    'lighthouse-walk',
    'tide-pools',
    'workshop-table',
  ];
  for (const [i, name] of photos.entries()) {
    const path = join(ROOT, 'public/demo/photos', `${name}.jpg`);
    const { width, height } = await loadImage(readFileSync(path));
    const asset = {
      sha: '',
      name,
      bytes: 1,
      type: 'image/jpeg',
      width,
      height,
      orientation: 1,
      ppi: 300,
    } as Asset;
    all.push({
      kind: 'photo',
      seen: { path: `IMG_${1000 + i}.jpg`, asset, camera: i % 2 === 0, look: await look(path, asset) },
    });
  }
  expect(all.length).toBeGreaterThanOrEqual(120);
  const guesses = guessKinds(all.map(({ seen }) => seen));
  const table = new Map<string, number>();
  let right = 0;
  all.forEach(({ kind, seen }, i) => {
    const guessed = guesses[i]!.kind;
    if (guessed === kind) right += 1;
    else process.stdout.write(`  ${seen.path} (${kind}) was taken for ${guessed}: ${guesses[i]!.why}\n`);
    table.set(`${kind} > ${guessed}`, (table.get(`${kind} > ${guessed}`) ?? 0) + 1);
  });
  const kinds = SUPPLY_KINDS.filter((kind) => all.some((one) => one.kind === kind));
  const cell = (text: string | number) => String(text).slice(0, 9).padStart(10);
  process.stdout.write(`\n${cell('true, as')}${kinds.map(cell).join('')}\n`);
  for (const kind of kinds)
    process.stdout.write(
      `${cell(kind)}${kinds.map((as) => cell(table.get(`${kind} > ${as}`) ?? '')).join('')}\n`,
    );
  process.stdout.write(`${right} of ${all.length} right\n`);
  expect(right / all.length).toBeGreaterThanOrEqual(0.95);
});
