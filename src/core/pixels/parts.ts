/** A sheet of letters or bits told apart: what lies on it separately, in the order one reads. */
import { toOklab } from '@/core/color/spaces';
import { unite, type Box } from '@/core/geometry/box';
import { patches, SEE_THROUGH } from '@/core/pixels/regions';

export interface Parts {
  /** For each cell of the sheet the number of its part, -1 for the ground. */
  labels: Int32Array;
  width: number;
  height: number;
  /** One for each part, in reading order, cells. */
  boxes: Box[];
  /** How many rows they stand in. */
  rows: number;
  /** The ground is see-through, so that each part brings its own soft edge. */
  clear: boolean;
  /** How unlike the ground a cell is: its alpha, or its distance in OKLab from the ground's colour, 0 to 1. */
  unlike: (index: number) => number;
}

/** More patches than this are a texture; they are not told apart. */
const MOST_PATCHES = 3000;
/** Smallest part, as a share of the sheet; less is dust. */
const DUST = 0.00004;
/** Distance in OKLab (Ottosson 2020) from the sheet's ground at which something begins to be there. */
const UNLIKE_GROUND = 0.09;

/**
 * Tells apart what lies on a sheet (RGBA, 8 bits). What belongs to one character stays together: a dot over its stroke, the
 * two strokes of an equals sign, an accent. The ground is what one sees through, or the colour most of the border has.
 * No parts are told of a texture.
 */
export function partsOf(pixels: Uint8ClampedArray, width: number, height: number): Parts {
  const clear = clearBorder(pixels, width, height);
  const unlike = clear ? (i: number) => pixels[4 * i + 3]! / 255 : fromGround(pixels, width, height);
  const least = clear ? SEE_THROUGH / 255 : UNLIKE_GROUND;
  const { labels, boxes, areas } = patches(width, height, (i) => unlike(i) >= least);
  const kept =
    boxes.length > MOST_PATCHES
      ? []
      : boxes.flatMap((_, i) => (areas[i]! >= Math.max(4, DUST * width * height) ? [i] : []));
  const joined = joinAccents(kept.map((i) => boxes[i]!)).map((members) => members.map((i) => kept[i]!));
  const around = joined.map((members) => members.map((i) => boxes[i]!).reduce(unite));
  const rows = rowsOf(around);
  const order = rows.flat();
  const renamed = new Int32Array(boxes.length).fill(-1);
  order.forEach((group, place) => joined[group]!.forEach((i) => (renamed[i] = place)));
  for (let i = 0; i < labels.length; i++) labels[i] = labels[i]! < 0 ? -1 : renamed[labels[i]!]!;
  return {
    labels,
    width,
    height,
    boxes: order.map((group) => around[group]!),
    rows: rows.length,
    clear,
    unlike,
  };
}

function* border(width: number, height: number): Generator<number> {
  for (let x = 0; x < width; x++) yield* [x, (height - 1) * width + x];
  for (let y = 1; y < height - 1; y++) yield* [y * width, y * width + width - 1];
}

function clearBorder(pixels: Uint8ClampedArray, width: number, height: number): boolean {
  let seen = 0;
  let through = 0;
  for (const i of border(width, height)) {
    seen += 1;
    if (pixels[4 * i + 3]! < SEE_THROUGH) through += 1;
  }
  return through > seen / 2;
}

/** How far a cell's colour lies from the ground's, which is the middle value of the border in each channel. */
function fromGround(pixels: Uint8ClampedArray, width: number, height: number): (index: number) => number {
  const edge = [...border(width, height)];
  const [red, green, blue] = [0, 1, 2].map((channel) => {
    const values = edge.map((i) => pixels[4 * i + channel]!).sort((a, b) => a - b);
    return values[values.length >> 1]!;
  }) as [number, number, number];
  const lab = (r: number, g: number, b: number) =>
    toOklab({ mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 });
  const ground = lab(red, green, blue);
  const known = new Map<number, number>();
  return (i) => {
    const key = (pixels[4 * i]! << 16) | (pixels[4 * i + 1]! << 8) | pixels[4 * i + 2]!;
    let distance = known.get(key);
    if (distance === undefined) {
      const { l, a, b } = lab(pixels[4 * i]!, pixels[4 * i + 1]!, pixels[4 * i + 2]!);
      distance = Math.min(1, Math.hypot(l - ground.l, a - ground.a, b - ground.b));
      known.set(key, distance);
    }
    return distance;
  };
}

/** Cells from an edge within which its full colour is found: soft edges are three or four cells wide at most. */
const EDGE_REACH = 3;

/**
 * The share of each cell (0 to 255) that a group of parts covers, over a box of whole cells. On a see-through ground all that
 * is of them, with their soft edges; on paper a cell counts as much as it is unlike the ground, against the most unlike
 * cell near it, so that a line at 128 runs where ink and ground have equal parts.
 */
export function coverageOf(
  { labels, width, clear, unlike }: Parts,
  members: ReadonlySet<number>,
  box: Box,
): { values: Uint8Array; width: number; height: number } {
  const values = new Uint8Array(box.width * box.height);
  const at = (x: number, y: number) => (box.y + y) * width + box.x + x;
  for (let y = 0; y < box.height; y++)
    for (let x = 0; x < box.width; x++) {
      const label = labels[at(x, y)]!;
      if (label >= 0 && !members.has(label)) continue;
      let near = false;
      let full = 0;
      for (let v = Math.max(0, y - EDGE_REACH); v <= Math.min(box.height - 1, y + EDGE_REACH); v++)
        for (let u = Math.max(0, x - EDGE_REACH); u <= Math.min(box.width - 1, x + EDGE_REACH); u++)
          if (members.has(labels[at(u, v)]!)) {
            near = true;
            if (!clear) full = Math.max(full, unlike(at(u, v)));
          }
      if (near) values[y * box.width + x] = clear ? 255 : Math.round((255 * unlike(at(x, y))) / full);
    }
  return { values, width: box.width, height: box.height };
}

/**
 * Boxes that make one character, as groups: one is small for this sheet, they stand over one another, and they are near.
 * Ours; the shares were tried on the dots, accents, colons and equals signs of the shipped families.
 */
function joinAccents(boxes: readonly Box[]): number[][] {
  const tall = quantile(
    boxes.map(({ height }) => height),
    0.75,
  );
  const group = boxes.map((_, i) => i);
  const root = (i: number): number => (group[i] === i ? i : (group[i] = root(group[i]!)));
  boxes.forEach((small, i) => {
    if (small.height > 0.45 * tall) return;
    let nearest: { j: number; gap: number } | undefined;
    boxes.forEach((other, j) => {
      if (i === j) return;
      const overlap = Math.min(small.x + small.width, other.x + other.width) - Math.max(small.x, other.x);
      const gap = Math.max(small.y, other.y) - Math.min(small.y + small.height, other.y + other.height);
      const reach = (other.height > 0.45 * tall ? 0.3 : 0.5) * tall;
      if (
        overlap >= 0.5 * Math.min(small.width, other.width) &&
        gap <= reach &&
        (!nearest || gap < nearest.gap)
      )
        nearest = { j, gap };
    });
    if (nearest) group[root(i)] = root(nearest.j);
  });
  const members = new Map<number, number[]>();
  boxes.forEach((_, i) => members.set(root(i), [...(members.get(root(i)) ?? []), i]));
  return [...members.values()];
}

/** Rows from the top, each from the left: what overlaps a row's middle third belongs to it. */
function rowsOf(boxes: readonly Box[]): number[][] {
  const rows: { top: number; bottom: number; members: number[] }[] = [];
  const byHeight = boxes.map((_, i) => i).sort((a, b) => boxes[b]!.height - boxes[a]!.height);
  for (const i of byHeight) {
    const { y, height } = boxes[i]!;
    const middle = y + height / 2;
    const row = rows.find(({ top, bottom }) => middle > top && middle < bottom);
    if (row) row.members.push(i);
    else rows.push({ top: y, bottom: y + height, members: [i] });
  }
  return rows
    .sort((a, b) => a.top - b.top)
    .map(({ members }) => members.sort((a, b) => boxes[a]!.x - boxes[b]!.x));
}

function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
}
