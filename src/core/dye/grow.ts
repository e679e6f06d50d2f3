/** Strokes that take in what is alike around them: seeded region growing (Adams and Bischof 1994, with fixed seeds), in OKLab. */
import { labOfBytes } from '@/core/color/oklab';
import { AREA_SIDE, cellAt, emptyArea, type Area } from '@/core/dye/area';
import type { Stroke } from '@/core/dye/dye';
import type { Pixels } from '@/core/pixels/focus';
import { shrunk } from '@/core/pixels/shrink';

/** A picture made ready for growing on. */
export interface Ground {
  width: number;
  height: number;
  /** OKLab of each cell, three values each; lightness counts `LIGHT`. */
  labs: Float32Array;
  /** 1 where one sees through: nothing is there to be dyed. */
  clear: Uint8Array;
}

/** What a difference of lightness counts against one of colour: light and shade on one thing are wide apart. */
export const LIGHT = 0.5;
/** Alpha up to which one sees through. */
const CLEAR = 8;
/** Colours under a stroke are told apart in steps of this much, and those with less than this share of it do not count. */
const STEP = 0.04;
const LEAST_SHARE = 0.04;
const MOST_SEEDS = 8;

/** RGBA of any size; areas are worked out on `AREA_SIDE` cells a side at most. */
export function groundOf(pixels: Pixels): Ground {
  const { data, width, height } = shrunk(pixels, AREA_SIDE);
  const labs = new Float32Array(3 * width * height);
  const clear = new Uint8Array(width * height);
  for (let i = 0; i < clear.length; i++) {
    const lab = labOfBytes(data[4 * i]!, data[4 * i + 1]!, data[4 * i + 2]!);
    labs[3 * i] = LIGHT * lab[0];
    labs[3 * i + 1] = lab[1];
    labs[3 * i + 2] = lab[2];
    clear[i] = data[4 * i + 3]! <= CLEAR ? 1 : 0;
  }
  return { width, height, labs, clear };
}

/** The cells a stroke passes over. */
export function painted(
  { points, width: wide }: Stroke,
  { width, height }: Pick<Ground, 'width' | 'height'>,
): number[] {
  const reach = Math.max(0.5, (wide * Math.max(width, height)) / 2);
  const found = new Set<number>();
  const dab = (x: number, y: number) => {
    for (let v = Math.max(0, Math.ceil(y - reach - 0.5)); v <= Math.min(height - 1, y + reach - 0.5); v++)
      for (let u = Math.max(0, Math.ceil(x - reach - 0.5)); u <= Math.min(width - 1, x + reach - 0.5); u++)
        if ((u + 0.5 - x) ** 2 + (v + 0.5 - y) ** 2 <= reach * reach) found.add(v * width + u);
    const [u, v] = [Math.floor(x), Math.floor(y)];
    if (u >= 0 && v >= 0 && u < width && v < height) found.add(v * width + u);
  };
  let [fromX, fromY] = [points[0]! * width, points[1]! * height];
  dab(fromX, fromY);
  for (let i = 2; i < points.length; i += 2) {
    const [x, y] = [points[i]! * width, points[i + 1]! * height];
    const steps = Math.ceil(Math.hypot(x - fromX, y - fromY) / Math.max(0.5, reach / 2));
    for (let k = 1; k <= steps; k++)
      dab(fromX + ((x - fromX) * k) / steps, fromY + ((y - fromY) * k) / steps);
    [fromX, fromY] = [x, y];
  }
  return [...found];
}

/** The colours that make up most of some cells. */
function seedsOf(cells: readonly number[], { labs }: Ground): number[] {
  const bins = new Map<string, { count: number; sum: [number, number, number] }>();
  for (const cell of cells) {
    const at = 3 * cell;
    const key = [0, 1, 2].map((c) => Math.round(labs[at + c]! / STEP)).join();
    const bin = bins.get(key) ?? { count: 0, sum: [0, 0, 0] };
    bins.set(key, bin);
    bin.count += 1;
    for (let c = 0; c < 3; c++) bin.sum[c]! += labs[at + c]!;
  }
  return [...bins.values()]
    .sort((a, b) => b.count - a.count)
    .filter(({ count }, i) => i === 0 || (i < MOST_SEEDS && count >= LEAST_SHARE * cells.length))
    .flatMap(({ count, sum }) => sum.map((value) => value / count));
}

/**
 * What one stroke takes in: the cells it passes over, and all that hang together with them by their sides and lie within its
 * closeness of a colour that makes up a good part of it. Distance in OKLab, lightness counted half. With `only` it stays
 * within those cells.
 */
export function grow(ground: Ground, stroke: Stroke, only?: Uint8Array): Area {
  const { width, height, labs, clear } = ground;
  const area = emptyArea(width, height);
  const { cells } = area;
  const begun = painted(stroke, ground).filter((cell) => !clear[cell] && (!only || only[cell]));
  const queue = new Int32Array(cells.length);
  let end = 0;
  for (const cell of begun) {
    cells[cell] = 255;
    queue[end++] = cell;
  }
  if (!stroke.closeness) return area;
  const seeds = Float64Array.from(seedsOf(begun, ground));
  const most = stroke.closeness ** 2;
  /** 1: not to be asked about, or asked already. */
  const asked = new Uint8Array(cells.length);
  for (let i = 0; i < asked.length; i++) asked[i] = cells[i] || clear[i] || (only && !only[i]) ? 1 : 0;
  const look = (cell: number): void => {
    asked[cell] = 1;
    const at = 3 * cell;
    for (let s = 0; s < seeds.length; s += 3) {
      const l = labs[at]! - seeds[s]!;
      const a = labs[at + 1]! - seeds[s + 1]!;
      const b = labs[at + 2]! - seeds[s + 2]!;
      if (l * l + a * a + b * b > most) continue;
      cells[cell] = 255;
      queue[end++] = cell;
      return;
    }
  };
  for (let i = 0; i < end; i++) {
    const cell = queue[i]!;
    const x = cell % width;
    if (x > 0 && !asked[cell - 1]) look(cell - 1);
    if (x < width - 1 && !asked[cell + 1]) look(cell + 1);
    if (cell >= width && !asked[cell - width]) look(cell - width);
    if (cell + width < cells.length && !asked[cell + width]) look(cell + width);
  }
  return area;
}

/** The area with one more stroke: what it takes in, of the cells that are `free`, is joined to it, or taken away. */
export function withStroke(ground: Ground, area: Area | null, stroke: Stroke, free?: Uint8Array): Area {
  const before = area ?? emptyArea(ground.width, ground.height);
  const after = grow(ground, stroke, stroke.away ? before.cells : free);
  const { cells } = after;
  for (let i = 0; i < cells.length; i++)
    cells[i] = stroke.away ? before.cells[i]! & ~cells[i]! : before.cells[i]! | cells[i]!;
  return after;
}

/** What strokes come to, one after the other. */
export const areaOfStrokes = (ground: Ground, strokes: readonly Stroke[], free?: Uint8Array): Area =>
  strokes.reduce(
    (area, stroke) => withStroke(ground, area, stroke, free),
    emptyArea(ground.width, ground.height),
  );

/** The cells of a ground that a stroke may take in where some of the picture is protected. */
export const freeOf = (ground: Ground, kept: Area): Uint8Array =>
  emptyArea(ground.width, ground.height).cells.map((_, i) => (cellAt(kept, ground, i) > 127 ? 0 : 1));
