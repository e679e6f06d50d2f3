/** Which photo goes into which cell of a mosaic. */
import { assign } from '@/core/assignment';
import type { Lab } from '@/core/mosaic/colours';

export const ORDERS = ['time', 'tone', 'matched'] as const;
export type Order = (typeof ORDERS)[number];

export interface MosaicWish {
  columns: number;
  rows: number;
  order: Order;
  /** How often a photo may be used at most; more often only where there are too few photos. */
  most: number;
  spread: Spread;
}

/** One sheet: how many cells each row has, from the top, and the photo of each cell by its place in the list. */
export interface Sheet {
  rows: number[];
  cells: number[];
}

/** How photos come onto sheets of which the last would not be full: larger cells on the last, or as many on each. */
export const SPREADS = ['last', 'even'] as const;
export type Spread = (typeof SPREADS)[number];

/** Cells along one side, and photos in one mosaic. */
export const MOST_CELLS_A_SIDE = 40;
export const MOST_MOSAIC_PHOTOS = 2000;

/**
 * The sheets of a mosaic. By time (the photos’ own order) and by tone (from dark to light) all photos are used, on as many
 * sheets as they need, none with a bare cell, and begin again where they are too few. Matched, each cell gets the photo nearest to `under`, the colours of the picture beneath: the assignment has the
 * least sum of squared OKLab distances there is; cells beside or above each other that got the same photo are then exchanged
 * for the least more, so that the whole is near the least.
 */
export function plan(photos: readonly Lab[], under: readonly Lab[], wish: MosaicWish): Sheet[] {
  const { columns, rows, order, spread } = wish;
  const full = new Array<number>(rows).fill(columns);
  const cells = columns * rows;
  if (!photos.length) return [];
  if (order === 'matched') return [{ rows: full, cells: matched(photos, under, wish) }];
  const all = photos.map((_, i) => i);
  if (order === 'tone') all.sort((a, b) => photos[a]![0] - photos[b]![0] || a - b);
  if (all.length < cells) {
    // Begun again, the same photo must not come under itself.
    const shift = columns % all.length === 0 ? 1 : 0;
    const again = (_: unknown, cell: number) =>
      all[(cell + shift * Math.floor(cell / columns)) % all.length]!;
    return [{ rows: full, cells: Array.from({ length: cells }, again) }];
  }
  const sheets = Math.ceil(all.length / cells);
  const upTo = (sheet: number): number =>
    spread === 'even' ? Math.round((sheet * all.length) / sheets) : Math.min(sheet * cells, all.length);
  return Array.from({ length: sheets }, (_, sheet) => {
    const own = all.slice(upTo(sheet), upTo(sheet + 1));
    return { rows: own.length === cells ? full : rowsFor(own.length, columns / rows), cells: own };
  });
}

/**
 * How many of `count` cells each row has, none left bare, for rows of one height over the whole width: so many rows that
 * `shape` (cells across over cells down) is kept as nearly as can be, and where two are as near, rows of equal length.
 */
export function rowsFor(count: number, shape: number): number[] {
  const ideal = Math.sqrt(count / shape);
  const far = (rows: number) => Math.abs(Math.log(rows / ideal)) + (count % rows ? UNEQUAL : 0);
  const tried = [Math.floor(ideal), Math.ceil(ideal), Math.floor(ideal) - 1, Math.ceil(ideal) + 1];
  const within = tried.map((each) => Math.min(count, Math.max(1, each)));
  const [rows] = within.sort((a, b) => far(a) - far(b)) as [number];
  return Array.from(
    { length: rows },
    (_, row) => Math.floor(((row + 1) * count) / rows) - Math.floor((row * count) / rows),
  );
}

/** What rows of unequal length count against rows of another height, as the logarithm of that; our own choice. */
export const UNEQUAL = 0.25;

/** How often a photo has to be used for all cells to be filled. */
export const fewestUses = (photos: number, cells: number): number => Math.ceil(cells / Math.max(1, photos));

function matched(
  photos: readonly Lab[],
  under: readonly Lab[],
  { columns, rows, most }: MosaicWish,
): number[] {
  const cells = columns * rows;
  const uses = Math.max(fewestUses(photos.length, cells), Math.min(most, cells));
  const places = photos.length * uses;
  const distance = (cell: number, photo: number): number => {
    const [a, b] = [under[cell]!, photos[photo]!];
    return (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2;
  };
  const costs = new Float64Array(cells * places);
  for (let cell = 0; cell < cells; cell++)
    for (let photo = 0; photo < photos.length; photo++) {
      const cost = distance(cell, photo);
      for (let use = 0; use < uses; use++) costs[cell * places + photo * uses + use] = cost;
    }
  const chosen = [...assign(costs, cells, places)].map((place) => Math.floor(place / uses));
  if (uses > 1) keepApart(chosen, columns, distance);
  return chosen;
}

/** Exchanges cells until none beside or above another shows the same photo, each time for the least more. */
function keepApart(
  chosen: number[],
  columns: number,
  distance: (cell: number, photo: number) => number,
): void {
  const beside = (cell: number): number[] =>
    [
      cell % columns ? cell - 1 : -1,
      (cell + 1) % columns ? cell + 1 : -1,
      cell - columns,
      cell + columns,
    ].filter((other) => other >= 0 && other < chosen.length);
  const alike = (cell: number): number =>
    beside(cell).filter((other) => chosen[other] === chosen[cell]).length;
  const swap = (a: number, b: number) => {
    [chosen[a], chosen[b]] = [chosen[b]!, chosen[a]!];
  };
  for (let cell = 0; cell < chosen.length; cell++) {
    if (!alike(cell)) continue;
    let best = { other: -1, alike: alike(cell), more: Infinity };
    for (let other = 0; other < chosen.length; other++) {
      if (chosen[other] === chosen[cell]) continue;
      const before = alike(other);
      const more =
        distance(cell, chosen[other]!) +
        distance(other, chosen[cell]!) -
        distance(cell, chosen[cell]!) -
        distance(other, chosen[other]!);
      swap(cell, other);
      const after = alike(cell) + Math.max(0, alike(other) - before);
      swap(cell, other);
      if (after < best.alike || (after === best.alike && best.other >= 0 && more < best.more))
        best = { other, alike: after, more };
    }
    if (best.other >= 0) swap(cell, best.other);
  }
}
