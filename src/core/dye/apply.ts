/** Dyes on pixels: the same areas at every size, their edges found anew in the pixels at hand. */
import { labOfBytes } from '@/core/color/oklab';
import { cellAt, worn, type Area } from '@/core/dye/area';
import { dyedColour, dyeRun, dyeTable, type DyeTable } from '@/core/dye/colour';
import { isMarked, isSeen, protects, type Dye } from '@/core/dye/dye';
import type { Pixels } from '@/core/pixels/focus';

// Taken out once, as these run for every pixel.
const { floor, max, min, round } = Math;

/** Spots a side from which the mean lightness of a picture is taken. */
const LOOKED = 240;
/** How far apart (squared, of 8-bit coded values) two sides of an edge must be for it to be sought in the pixels. */
const TOLD_APART = 3 * 12 ** 2;
/** Cells each way from which the colours of the two sides of an edge are taken. */
const AROUND = 3;

/**
 * Applies dyes to RGBA in place, in their order; alpha stays, and so does what is protected. Dyes of a drawing's parts are
 * passed over.
 */
export function applyDyes(pixels: Pixels, dyes: readonly Dye[]): void {
  const kept = protectedBy(dyes);
  for (const dye of dyes) {
    if (!isSeen(dye) || (dye.where && !isMarked(dye.where))) continue;
    const marked = dye.where ? placeOf(dye) : null;
    if (dye.where && !marked) continue;
    const area = kept ? without(marked ?? everywhere(kept), kept) : marked;
    const table = dyeTable(dye.change, meanLightness(pixels, area), dye.strength);
    if (!area) dyeRun(wholePixels(pixels), 0, pixels.width * pixels.height, table);
    else dyeArea(pixels, area, table);
  }
}

type WornArea = Area & { hard: boolean };

/** Where a dye lies, as it is worn. */
function placeOf({ where, outside }: Dye): WornArea | null {
  const area = isMarked(where) ? worn(where) : null;
  return area && outside ? { ...area, cells: area.cells.map((cell) => 255 - cell) } : area;
}

/** What no dye may touch: all that is protected, joined. */
export function protectedBy(dyes: readonly Dye[]): WornArea | null {
  return dyes
    .filter(protects)
    .flatMap((dye) => placeOf(dye) ?? [])
    .reduce<WornArea | null>(
      (all, area) =>
        all
          ? {
              ...all,
              hard: all.hard && area.hard,
              cells: all.cells.map((cell, i) => max(cell, cellAt(area, all, i))),
            }
          : area,
      null,
    );
}

const everywhere = (like: WornArea): WornArea => ({
  ...like,
  cells: new Uint8Array(like.cells.length).fill(255),
});

const without = (area: WornArea, kept: WornArea): WornArea => ({
  ...area,
  hard: area.hard && kept.hard,
  cells: area.cells.map((cell, i) => min(cell, 255 - cellAt(kept, area, i))),
});

/** OKLab lightness, in the mean, of what an area (or all) of a picture shows; in steps of 1/512, so that copies agree. */
export function meanLightness({ data, width, height }: Pixels, area: Area | null): number {
  const [across, down] = area ? [area.width, area.height] : [min(LOOKED, width), min(LOOKED, height)];
  let sum = 0;
  let count = 0;
  for (let v = 0; v < down; v++) {
    const row = floor(((v + 0.5) * height) / down) * width;
    for (let u = 0; u < across; u++) {
      const share = area ? area.cells[v * across + u]! : 255;
      if (!share) continue;
      const i = 4 * (row + floor(((u + 0.5) * width) / across));
      const weight = share * data[i + 3]!;
      if (!weight) continue;
      sum += weight * labOfBytes(data[i]!, data[i + 1]!, data[i + 2]!)[0];
      count += weight;
    }
  }
  return count ? round((512 * sum) / count) / 512 : 0.5;
}

/** Cells all outside, all inside, or at the edge. */
const [OUT, IN, EDGE] = [0, 1, 2];

/** The same memory, a pixel a number. */
const wholePixels = ({ data }: Pixels): Int32Array =>
  new Int32Array(data.buffer, data.byteOffset, data.length / 4);

function dyeArea(pixels: Pixels, area: Area & { hard: boolean }, table: DyeTable): void {
  const { data, width, height } = pixels;
  const all = wholePixels(pixels);
  const kinds = kindsOf(area);
  // Looked up before anything is dyed: they are of the picture as it was.
  const sides = new Map<number, Sides>();
  if (area.hard)
    for (let cell = 0; cell < kinds.length; cell++)
      if (kinds[cell] === EDGE) sides.set(cell, sidesOf(pixels, area, cell));
  // Where each cell's pixels begin.
  const starts = Int32Array.from({ length: area.width + 1 }, (_, u) =>
    Math.ceil((u * width) / area.width - 0.5),
  );
  for (let y = 0; y < height; y++) {
    const row = min(area.height - 1, floor(((y + 0.5) * area.height) / height)) * area.width;
    for (let u = 0; u < area.width;) {
      const kind = kinds[row + u]!;
      const from = u;
      do u += 1;
      while (u < area.width && kinds[row + u] === kind && kind !== EDGE);
      if (kind === OUT) continue;
      const [start, end] = [4 * (y * width + starts[from]!), 4 * (y * width + starts[u]!)];
      if (kind === IN) dyeRun(all, start / 4, end / 4, table);
      else if (area.hard) {
        const found = sides.get(row + from)!;
        for (let i = start; i < end; i += 4)
          dyeEdge(data, i, found, table, found.clear ? softAt(area, (i / 4) % width, y, pixels) : 0);
      } else
        for (let i = start; i < end; i += 4)
          dyePart(data, i, all[i / 4]! & 0xffffff, table, softAt(area, (i / 4) % width, y, pixels) / 255);
    }
  }
}

/** Cells within two of a change are at the edge: what was marked may be a cell off what is seen. */
function kindsOf({ width, height, cells }: Area): Uint8Array {
  const first = new Uint8Array(cells.length);
  for (let i = 0; i < first.length; i++) first[i] = cells[i] === 0 ? OUT : cells[i] === 255 ? IN : EDGE;
  return widened(widened(first, width, height), width, height);
}

/** The kinds with cells at the edge wherever another kind lies beside them, or at a corner. */
function widened(kinds: Uint8Array, width: number, height: number): Uint8Array {
  const wider = kinds.slice();
  for (let y = 0, at = 0; y < height; y++)
    for (let x = 0; x < width; x++, at++) {
      if (x + 1 < width) meet(kinds, wider, at, at + 1);
      if (y + 1 === height) continue;
      meet(kinds, wider, at, at + width);
      if (x + 1 < width) meet(kinds, wider, at, at + width + 1);
      if (x > 0) meet(kinds, wider, at, at + width - 1);
    }
  return wider;
}

function meet(kinds: Uint8Array, wider: Uint8Array, a: number, b: number): void {
  if (kinds[a] !== kinds[b]) wider[a] = wider[b] = EDGE;
}

/** The mean colours on both sides of an edge near a cell; `clear` where they can hardly be told apart. */
interface Sides {
  inner: [number, number, number];
  outer: [number, number, number];
  apart: number;
  clear: boolean;
}

function sidesOf({ data, width, height }: Pixels, area: Area, cell: number): Sides {
  const [x, y] = [cell % area.width, floor(cell / area.width)];
  // Red, green, blue and how many, of the outer side's cells at the edge and beyond it, then of the inner side's.
  const sums = new Float64Array(16);
  for (let v = max(0, y - AROUND); v <= min(area.height - 1, y + AROUND); v++)
    for (let u = max(0, x - AROUND); u <= min(area.width - 1, x + AROUND); u++) {
      const i =
        4 * (floor(((v + 0.5) * height) / area.height) * width + floor(((u + 0.5) * width) / area.width));
      if (!data[i + 3]) continue;
      const at = (area.cells[v * area.width + u]! > 127 ? 8 : 0) + (isDeep(area, u, v) ? 4 : 0);
      sums[at] = sums[at]! + data[i]!;
      sums[at + 1] = sums[at + 1]! + data[i + 1]!;
      sums[at + 2] = sums[at + 2]! + data[i + 2]!;
      sums[at + 3] = sums[at + 3]! + 1;
    }
  const [inner, outer] = [meanAt(sums, 8), meanAt(sums, 0)];
  const apart =
    inner && outer ? (inner[0] - outer[0]) ** 2 + (inner[1] - outer[1]) ** 2 + (inner[2] - outer[2]) ** 2 : 0;
  return { inner: inner ?? [0, 0, 0], outer: outer ?? [0, 0, 0], apart, clear: apart < TOLD_APART };
}

/** The mean of cells wholly on one side; of those at the edge, which hold some of both, where there are no others. */
function meanAt(sums: Float64Array, side: number): [number, number, number] | null {
  const at = sums[side + 7] ? side + 4 : side;
  const count = sums[at + 3]!;
  return count ? [sums[at]! / count, sums[at + 1]! / count, sums[at + 2]! / count] : null;
}

function isDeep({ width, height, cells }: Area, x: number, y: number): boolean {
  const at = y * width + x;
  const own = cells[at];
  return (
    (x === 0 || cells[at - 1] === own) &&
    (x === width - 1 || cells[at + 1] === own) &&
    (y === 0 || cells[at - width] === own) &&
    (y === height - 1 || cells[at + width] === own)
  );
}

/** What an edge pixel has of the inner side beyond which it is all of it, and short of which it is nothing. */
const [BARELY, NEARLY] = [0.08, 0.92];

/** Red, green, blue as one number. */
const packed = (r: number, g: number, b: number): number => byte(r) | (byte(g) << 8) | (byte(b) << 16);
const byte = (value: number): number => round(min(255, max(0, value)));

/**
 * A pixel at an edge is taken for a mixture: its share of the inner side is where it lies between the two colours, and only
 * that share of it is dyed, so that no rim of the old colour stays.
 */
function dyeEdge(data: Uint8ClampedArray, i: number, sides: Sides, table: DyeTable, soft: number): void {
  const [r, g, b] = [data[i]!, data[i + 1]!, data[i + 2]!];
  if (sides.clear) return dyePart(data, i, packed(r, g, b), table, soft / 255);
  const { inner, outer, apart } = sides;
  const along =
    (r - outer[0]) * (inner[0] - outer[0]) +
    (g - outer[1]) * (inner[1] - outer[1]) +
    (b - outer[2]) * (inner[2] - outer[2]);
  const share = min(1, max(0, (along / apart - BARELY) / (NEARLY - BARELY)));
  // The inner side's colour, with as much of what sets this pixel apart as is its own.
  const left = 1 - share;
  const pure = packed(
    inner[0] + share * (r - share * inner[0] - left * outer[0]),
    inner[1] + share * (g - share * inner[1] - left * outer[1]),
    inner[2] + share * (b - share * inner[2] - left * outer[2]),
  );
  dyePart(data, i, pure, table, share);
}

/** Changes a pixel by so much (0 to 1) of what the dye changes in a colour. */
function dyePart(data: Uint8ClampedArray, i: number, colour: number, table: DyeTable, much: number): void {
  if (!much) return;
  const to = dyedColour(table, colour);
  data[i] = data[i]! + much * ((to & 255) - (colour & 255));
  data[i + 1] = data[i + 1]! + much * (((to >> 8) & 255) - ((colour >> 8) & 255));
  data[i + 2] = data[i + 2]! + much * (((to >> 16) & 255) - ((colour >> 16) & 255));
}

/** What an area holds at a pixel's middle, between its cells' middles. */
function softAt({ width, height, cells }: Area, x: number, y: number, picture: Pixels): number {
  const u = min(width - 1, max(0, ((x + 0.5) * width) / picture.width - 0.5));
  const v = min(height - 1, max(0, ((y + 0.5) * height) / picture.height - 0.5));
  const [left, top] = [floor(u), floor(v)];
  const [right, below] = [min(width - 1, left + 1), min(height - 1, top + 1)];
  const upper =
    cells[top * width + left]! + (u - left) * (cells[top * width + right]! - cells[top * width + left]!);
  const lower =
    cells[below * width + left]! +
    (u - left) * (cells[below * width + right]! - cells[below * width + left]!);
  return upper + (v - top) * (lower - upper);
}
