/** The pictures that ship, one by one as a person would look at them: whole, clean about their edges, as large as they say. */
import { join } from 'node:path';
import sharp from 'sharp';
import type { Supply } from '@/core/supplies/model';
import { ROOT } from '../node/platform';
import { supplies } from '../testing/shipped';

const told = ({ kit, kind, name }: Supply) => `${kit}, ${kind} ${name}`;

/** Longest side, pixels. */
const LOOKED_AT = 240;

interface Pixels {
  width: number;
  height: number;
  /** How much of each pixel is covered, 0 to 255. */
  cover: Uint8Array;
}

const looked = new Map<string, Promise<Pixels>>();
/** Each is looked at once. */
function pixelsOf({ at }: Supply): Promise<Pixels> {
  const pixels = looked.get(at!) ?? pixelsIn(at!);
  looked.set(at!, pixels);
  return pixels;
}

async function pixelsIn(at: string): Promise<Pixels> {
  const { data, info } = await sharp(join(ROOT, 'public', at))
    // Fine enough for what an eye finds wrong.
    .resize(LOOKED_AT, LOOKED_AT, { fit: 'inside' })
    .ensureAlpha()
    .extractChannel(3)
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, cover: data };
}

/** Sizes of what hangs together, pixels, the largest first: of what is `full`, or of what is not. */
function islands({ width, height, cover }: Pixels, full: boolean): { size: number; border: boolean }[] {
  const seen = new Uint8Array(width * height);
  const is = (i: number) => cover[i]! > 24 === full;
  const found: { size: number; border: boolean }[] = [];
  const stack: number[] = [];
  for (let first = 0; first < seen.length; first++) {
    if (seen[first] || !is(first)) continue;
    let [size, border] = [0, false];
    stack.push(first);
    seen[first] = 1;
    while (stack.length) {
      const i = stack.pop()!;
      const x = i % width;
      size++;
      border ||= x === 0 || x === width - 1 || i < width || i >= width * (height - 1);
      for (const next of [x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, i - width, i + width])
        if (next >= 0 && next < seen.length && !seen[next] && is(next)) {
          seen[next] = 1;
          stack.push(next);
        }
    }
    found.push({ size, border });
  }
  return found.sort((a, b) => b.size - a.size);
}

const ofKind = (...kinds: Supply['kind'][]) =>
  supplies.filter(({ kind, at }) => kinds.includes(kind) && at?.endsWith('.webp'));

test('nothing is cut off: what is cut out keeps clear of its picture’s edge', async () => {
  const all = ofKind('embellishment', 'frame');
  expect(all.length).toBeGreaterThan(300);
  const cut: string[] = [];
  for (const one of all) {
    const { width, height, cover } = await pixelsOf(one);
    const edge = cover.filter(
      (_, i) => i % width === 0 || i % width === width - 1 || i < width || i >= width * (height - 1),
    );
    // What was made smaller may have a little of its neighbour there.
    if (Math.max(...edge) > 60) cut.push(told(one));
  }
  expect(cut).toEqual([]);
});

test('a thing hangs together; only what a brush left may have specks about it', async () => {
  const loose: string[] = [];
  for (const one of ofKind('embellishment')) {
    const pixels = await pixelsOf(one);
    const [largest, ...rest] = islands(pixels, true);
    const covered = largest!.size + rest.reduce((sum, { size }) => sum + size, 0);
    if (covered < 0.03 * pixels.cover.length) loose.push(`${told(one)} is hardly there`);
    if (
      rest.some(({ size }) => size < 3) &&
      !one.tags.includes('brush') &&
      !/brush|drops|confetti|splash/i.test(one.name)
    )
      loose.push(told(one));
  }
  expect(loose).toEqual([]);
});

test('a frame is open where its photo is seen: in one place or a few, large enough for it', async () => {
  for (const one of ofKind('frame')) {
    const pixels = await pixelsOf(one);
    const open = islands(pixels, false).filter(
      ({ border, size }) => !border && size > 0.03 * pixels.cover.length,
    );
    expect([told(one), open.length > 0 && open.length <= 6]).toEqual([told(one), true]);
    const share = open.reduce((sum, { size }) => sum + size, 0) / pixels.cover.length;
    expect([told(one), share > 0.15 && share < 0.9]).toEqual([told(one), true]);
  }
});

test('each is as large as it says, and as such a thing is: from a brad to a sheet', () => {
  for (const one of ofKind('embellishment', 'frame', 'wordart', 'stamp')) {
    const { width, height, ppi } = one.asset!;
    const inches = Math.max(width, height) / ppi;
    expect([told(one), inches > 0.15 && inches <= 12.5, ppi >= 150]).toEqual([told(one), true, true]);
  }
});

test('no two things of a kit are called alike within their kind, and all are found by words', () => {
  const seen = new Set<string>();
  const twice: string[] = [];
  for (const one of supplies) {
    const key = `${one.kit} ${one.kind} ${one.name}`;
    if (seen.has(key)) twice.push(told(one));
    seen.add(key);
    expect([
      told(one),
      one.tags.length > 0 && one.tags.every((tag) => tag === tag.trim().toLowerCase() && tag.length > 1),
    ]).toEqual([told(one), true]);
    expect([told(one), new Set(one.tags).size]).toEqual([told(one), one.tags.length]);
  }
  expect(twice).toEqual([]);
});
