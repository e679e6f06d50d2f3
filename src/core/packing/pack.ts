/**
 * Packing: as many things as will go onto sheets of paper, on as few sheets as possible, and of such plans the one with fewer cuts. Orders and ways of
 * laying are tried one after the other, the same for the same things, and the best is kept; what is placed never overlaps.
 */
import { overlaps, type Box, type Size } from '@/core/geometry/box';
import { cutsOf, NEAR } from '@/core/packing/cuts';
import { random } from '@/core/random';

/** Something to be printed: its finished size, points, and how many of it. */
export interface Wanted extends Size {
  id: string;
  count: number;
  /** It may lie turned by a quarter. */
  turns: boolean;
}

export interface Room {
  /** What can be printed on, points. */
  area: Size;
  /** Kept free between any two, points. */
  gap: number;
  /** Every cut goes right through what it cuts: a trimmer at home can do no other. */
  straight: boolean;
}

/** One copy in its place on a sheet. */
export interface Laid extends Box {
  id: string;
  turned: boolean;
  /** Which of those that were laid by hand it is. */
  pin?: number;
}

export interface Packed {
  /** What lies on each sheet, measured from the corner of what can be printed on. */
  sheets: Laid[][];
  /** What is larger than the paper, however it is turned. */
  tooLarge: string[];
  /** Copies beyond the most that are packed at once. */
  left: number;
}

/** Copies of all things together that are packed at once. */
export const MOST_COPIES = 2000;
/** How often it is tried in other orders; fewer where there is much to lay. */
const TRIES = 150;
/** Plans as good in paper of which the cuts are counted. */
const MOST_WEIGHED = 24;
/** As many cuts as a sheet counts for that no trimmer can cut. */
const MANY = 1e4;

const areaOf = ({ width, height }: Size): number => width * height;

/**
 * Packs things onto as few sheets as it finds; of plans with as many the one that leaves more of the last, then the one with
 * fewer cuts.
 *
 * @param pinned what lies already on each sheet, measured from the corner of what can be printed on; not among `things`
 */
export function pack(
  things: readonly Wanted[],
  { area, gap, straight }: Room,
  pinned: readonly (readonly Laid[])[] = [],
): Packed {
  // Each takes its gap along, the paper too: then nothing needs to know of it.
  const bin = { width: area.width + gap, height: area.height + gap };
  const fits = ({ width, height }: Size) =>
    width + gap <= bin.width + NEAR && height + gap <= bin.height + NEAR;
  const goes = (thing: Wanted) =>
    fits(thing) || (thing.turns && fits({ width: thing.height, height: thing.width }));
  const wanted = things
    .filter((thing) => thing.count > 0 && goes(thing))
    .flatMap(({ id, width, height, count, turns }) =>
      Array.from({ length: count }, () => ({ id, width: width + gap, height: height + gap, turns })),
    );
  const all = wanted.slice(0, MOST_COPIES);
  const left = wanted.length - all.length;
  const tooLarge = things.filter((thing) => thing.count > 0 && !goes(thing)).map(({ id }) => id);
  const fixed = pinned.map((sheet) =>
    sheet.map((each) => ({ ...each, width: each.width + gap, height: each.height + gap })),
  );
  if (!all.length && !fixed.length) return { sheets: [], tooLarge, left };
  const chance = random(all.length);
  const tries = Math.max(12, Math.min(TRIES, Math.round((TRIES * 60) / (all.length || 1))));
  let best: { sheets: Laid[][]; cost: number; cuts: number } | undefined;
  let weighed = 0;
  for (let k = 0; k < tries; k++) {
    const order = ordered(all, k, chance);
    const sheets = filled(order, bin, straight || k % 2 === 0, k, chance, fixed);
    const cost = sheets.length + shareOf(sheets.at(-1)!, bin);
    if (best && cost > best.cost + 1e-9) continue;
    const better = !best || cost < best.cost - 1e-9;
    if (!better && (weighed += 1) > MOST_WEIGHED) continue;
    // Of plans as good in paper the one that is quicker to cut.
    const cuts = sheets.reduce(
      (sum, sheet) => sum + (cutsOf({ x: 0, y: 0, ...bin }, sheet)?.length ?? MANY),
      0,
    );
    if (better || cuts < best!.cuts) best = { sheets, cost, cuts };
  }
  const shown = ({ width, height, ...laid }: Laid): Laid => ({
    ...laid,
    width: width - gap,
    height: height - gap,
  });
  return { sheets: best!.sheets.map((sheet) => sheet.map(shown)), tooLarge, left };
}

type Copy = Pick<Wanted, 'id' | 'width' | 'height' | 'turns'>;

/** How much of a sheet is used, 0 to under 1: of plans with as many sheets the one that leaves more is better. */
const shareOf = (sheet: readonly Laid[], bin: Size): number =>
  Math.min(0.999, sheet.reduce((sum, each) => sum + areaOf(each), 0) / areaOf(bin));

const SORTS: readonly ((a: Copy, b: Copy) => number)[] = [
  (a, b) => areaOf(b) - areaOf(a),
  (a, b) => b.height - a.height || b.width - a.width,
  (a, b) => b.width - a.width || b.height - a.height,
  (a, b) => Math.max(b.width, b.height) - Math.max(a.width, a.height) || areaOf(b) - areaOf(a),
  (a, b) => b.width + b.height - a.width - a.height,
];

/** First by size in one way or the other, then with neighbours exchanged by chance. */
function ordered(all: readonly Copy[], k: number, chance: () => number): Copy[] {
  const sorted = [...all].sort(SORTS[k % SORTS.length]);
  if (k < 4 * SORTS.length) return sorted;
  for (let i = 0; i < sorted.length - 1; i++) {
    const j = Math.min(sorted.length - 1, i + Math.floor(chance() * chance() * 6));
    [sorted[i], sorted[j]] = [sorted[j]!, sorted[i]!];
  }
  return sorted;
}

/** By one cut right through: one of the two pieces is as long as the free place. */
const through = ({ x, y, width, height }: Box, laid: Box, lengthwise: boolean): Box[] => {
  const right = {
    x: x + laid.width,
    y,
    width: width - laid.width,
    height: lengthwise ? laid.height : height,
  };
  const below = {
    x,
    y: y + laid.height,
    width: lengthwise ? width : laid.width,
    height: height - laid.height,
  };
  return [right, below].filter((left) => left.width > NEAR && left.height > NEAR);
};

/** Into the largest places that are free, which overlap each other: nothing need be cut right through. */
const anywhere = (free: Box, laid: Box): Box[] =>
  [
    { ...free, width: laid.x - free.x },
    { ...free, x: laid.x + laid.width, width: free.x + free.width - laid.x - laid.width },
    { ...free, height: laid.y - free.y },
    { ...free, y: laid.y + laid.height, height: free.y + free.height - laid.y - laid.height },
  ].filter((left) => left.width > NEAR && left.height > NEAR);

function filled(
  order: readonly Copy[],
  bin: Size,
  straight: boolean,
  k: number,
  chance: () => number,
  fixed: readonly (readonly Laid[])[],
): Laid[][] {
  const sheets: { laid: Laid[]; free: Box[] }[] = fixed.map((laid) => ({
    laid: [...laid],
    free: laid.reduce<Box[]>((free, each) => around(free, each, straight), [{ x: 0, y: 0, ...bin }]),
  }));
  for (const copy of order) {
    if (sheets.some((sheet) => lay(sheet, copy, bin, straight, k, chance))) continue;
    const sheet = { laid: [], free: [{ x: 0, y: 0, ...bin }] };
    lay(sheet, copy, bin, straight, k, chance);
    sheets.push(sheet);
  }
  return sheets.map(({ laid }) => laid);
}

/** What is left free about something that lies where it lies; by cuts right through no two of the free places overlap. */
function around(free: readonly Box[], laid: Box, straight: boolean): Box[] {
  const left = straight ? apart : anywhere;
  return free.flatMap((each) => (overlaps(each, laid) ? left(each, laid) : [each]));
}

/** Into what is beside it over the whole height, and what is above and below it. */
function apart({ x, y, width, height }: Box, laid: Box): Box[] {
  const [left, top] = [Math.max(x, laid.x), Math.max(y, laid.y)];
  const right = Math.min(x + width, laid.x + laid.width);
  const foot = Math.min(y + height, laid.y + laid.height);
  return [
    { x, y, width: left - x, height },
    { x: right, y, width: x + width - right, height },
    { x: left, y, width: right - left, height: top - y },
    { x: left, y: foot, width: right - left, height: y + height - foot },
  ].filter((each) => each.width > NEAR && each.height > NEAR);
}

const CORNER = [0, 0] as const;
const CORNERS = [CORNER, [1, 0], [0, 1], [1, 1]] as const;
/** So many tries are made without chance. */
const SURE = 60;

/** Lays a copy where it fits most closely; false where it fits nowhere. */
function lay(
  sheet: { laid: Laid[]; free: Box[] },
  { id, width, height, turns }: Copy,
  bin: Size,
  straight: boolean,
  k: number,
  chance: () => number,
): boolean {
  let best: { laid: Laid; of: Box; cost: number } | undefined;
  const ways = turns && Math.abs(width - height) > NEAR ? [false, true] : [false];
  for (const of of sheet.free)
    for (const turned of ways) {
      const [w, h] = turned ? [height, width] : [width, height];
      const [across, down] = [of.width - w, of.height - h];
      if (across < -NEAR || down < -NEAR) continue;
      // Closest along one side, or in area, or nearest to the corner; by turns, and later by chance where it is close.
      const close = [Math.min(across, down), areaOf(of) - w * h, of.y * bin.width + of.x][
        Math.floor(k / 5) % 3
      ]!;
      // Every other time what is turned waits until the rest is tried.
      const later = turned === (Math.floor(k / 15) % 2 === 1) ? 0 : 1e-3;
      for (const [dx, dy] of straight ? [CORNER] : CORNERS) {
        const cost = close * (k < SURE ? 1 : 1 + chance()) + later;
        if (best && cost >= best.cost) continue;
        best = {
          laid: { id, turned, x: of.x + dx * across, y: of.y + dy * down, width: w, height: h },
          of,
          cost,
        };
      }
    }
  if (!best) return false;
  const { laid, of } = best;
  sheet.laid.push(laid);
  const lengthwise = k % 4 < 2 ? of.width - laid.width < of.height - laid.height : k % 4 === 2;
  if (straight) {
    sheet.free.splice(sheet.free.indexOf(of), 1, ...through(of, laid, lengthwise));
    return true;
  }
  const pieces = sheet.free.flatMap((free) => (overlaps(free, laid) ? anywhere(free, laid) : [free]));
  sheet.free = pieces.filter(
    (a, i) => !pieces.some((b, j) => j !== i && holds(b, a) && (j < i || !holds(a, b))),
  );
  return true;
}

const holds = (a: Box, b: Box): boolean =>
  b.x >= a.x - NEAR &&
  b.y >= a.y - NEAR &&
  b.x + b.width <= a.x + a.width + NEAR &&
  b.y + b.height <= a.y + a.height + NEAR;
