/** Photos that are nearly the same: the same picture in another file, or the same moment twice. */
import { LUMA } from '@/core/color/srgb';
import type { Size } from '@/core/geometry/box';

/** Fields a side whose light is compared with their neighbours'. */
const SIDE = 8;
/** Bits of 128 that may differ: between copies of one picture, and between photos of one moment. */
const SAME = 8;
const NEAR = 28;
/** How much longer, for its width, one may be than the other: a crop is no copy. */
const SHAPE = 1.03;

/** Mean luma of each of `columns` x `rows` fields of RGBA pixels, row by row; every pixel counts in one field. */
function fields({ data, width, height }: Size & { data: Uint8ClampedArray }, columns: number, rows: number) {
  const sums = new Float64Array(columns * rows);
  const counts = new Float64Array(columns * rows);
  for (let y = 0; y < height; y++) {
    const row = Math.floor((y * rows) / height);
    for (let x = 0; x < width; x++) {
      const i = 4 * (y * width + x);
      const at = row * columns + Math.floor((x * columns) / width);
      sums[at]! += LUMA[0] * data[i]! + LUMA[1] * data[i + 1]! + LUMA[2] * data[i + 2]!;
      counts[at]! += 1;
    }
  }
  return sums.map((sum, at) => sum / (counts[at] || 1));
}

/**
 * 128 bits as 32 hexadecimal digits: whether each field of a grid is lighter than the next one to the right (9 x 8 fields),
 * then than the next one below (8 x 9). The “difference hash” in both directions; size, compression, and light as a whole
 * change few bits of it. Work on a small upright copy of at least 9 x 9 pixels.
 */
export function likenessOf(pixels: Size & { data: Uint8ClampedArray }): string {
  const across = fields(pixels, SIDE + 1, SIDE);
  const down = fields(pixels, SIDE, SIDE + 1);
  const bits: number[] = [];
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++)
      bits.push(Number(across[y * (SIDE + 1) + x]! > across[y * (SIDE + 1) + x + 1]!));
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) bits.push(Number(down[y * SIDE + x]! > down[(y + 1) * SIDE + x]!));
  let text = '';
  for (let at = 0; at < bits.length; at += 4)
    text += ((bits[at]! << 3) | (bits[at + 1]! << 2) | (bits[at + 2]! << 1) | bits[at + 3]!).toString(16);
  return text;
}

export const LIKENESS = /^[0-9a-f]{32}$/;

const words = (likeness: string): number[] =>
  [0, 8, 16, 24].map((at) => Number.parseInt(likeness.slice(at, at + 8), 16));

function ones(word: number): number {
  let count = 0;
  for (let rest = word >>> 0; rest; rest &= rest - 1) count++;
  return count;
}

export interface Likened {
  likeness: string;
  /** Upright width by height. */
  shape: number;
  /** Seconds, if it is known when it was taken. */
  time: number | null;
}

/** Seconds within which two photos can be of one moment. */
const MOMENT = 120;

/**
 * Groups of two or more that are alike, each as indices in their order: copies of one picture whenever they were taken, and
 * pictures that nearly agree and were taken within two minutes, or say nothing of their time. One is alike to the group if it
 * is alike to any of it.
 */
export function alikeGroups(photos: readonly Likened[]): number[][] {
  const prints = photos.map(({ likeness }) => words(likeness));
  const of = photos.map((_, i) => i);
  const root = (i: number): number => {
    let at = i;
    while (of[at] !== at) at = of[at] = of[of[at]!]!;
    return at;
  };
  for (let i = 0; i < photos.length; i++)
    for (let j = 0; j < i; j++) {
      const [a, b] = [photos[i]!, photos[j]!];
      if (a.shape > SHAPE * b.shape || b.shape > SHAPE * a.shape) continue;
      const [p, q] = [prints[i]!, prints[j]!];
      let differ = 0;
      for (let k = 0; k < 4 && differ <= NEAR; k++) differ += ones(p[k]! ^ q[k]!);
      const near = a.time === null || b.time === null || Math.abs(a.time - b.time) <= MOMENT;
      if (differ <= (near ? NEAR : SAME)) of[root(i)] = root(j);
    }
  const groups = new Map<number, number[]>();
  photos.forEach((_, i) => groups.set(root(i), [...(groups.get(root(i)) ?? []), i]));
  return [...groups.values()].filter((group) => group.length > 1).sort((a, b) => a[0]! - b[0]!);
}
