/** The same cut from several papers at once, and its parts dealt among them: nothing is wasted, and each mix is another. */
import type { Box } from '@/core/geometry/box';
import { random } from '@/core/random';

export const DEALS = ['turn', 'rows', 'columns', 'chance'] as const;
export type Deal = (typeof DEALS)[number];

/** Papers that are cut at once. */
export const MOST_MIXED = 6;

/** In which row each box lies, the uppermost first: two are in one if their middles are nearer than half of their height. */
function rowsOf(boxes: readonly Box[], along: 'x' | 'y'): number[] {
  const [at, size] = along === 'y' ? (['y', 'height'] as const) : (['x', 'width'] as const);
  const order = boxes
    .map((box, i) => ({ i, middle: box[at] + box[size] / 2, half: box[size] / 2 }))
    .sort((a, b) => a.middle - b.middle);
  const rows = new Array<number>(boxes.length).fill(0);
  let row = 0;
  order.forEach(({ i, middle, half }, k) => {
    const before = order[k - 1];
    if (before && middle - before.middle > Math.min(half, before.half)) row++;
    rows[i] = row;
  });
  return rows;
}

/**
 * Which of `papers` each part is of in one of the mixes, 0 to papers - 1; in all of them together each part is once of each
 * paper.
 *
 * @param mix which of the mixes, 0 to papers - 1
 */
export function dealt(boxes: readonly Box[], papers: number, how: Deal, mix: number): number[] {
  if (!boxes.length) return [];
  const rows = rowsOf(boxes, 'y');
  const base =
    how === 'rows'
      ? rows
      : how === 'columns'
        ? rowsOf(boxes, 'x')
        : how === 'turn'
          ? inReadingOrder(boxes, rows)
          : byChance(boxes.length, papers);
  return base.map((place) => (place + mix) % papers);
}

/** The place of each, read row by row. */
function inReadingOrder(boxes: readonly Box[], rows: readonly number[]): number[] {
  const order = [...boxes.keys()].sort((a, b) => rows[a]! - rows[b]! || boxes[a]!.x - boxes[b]!.x);
  const places = new Array<number>(boxes.length);
  order.forEach((i, place) => (places[i] = place));
  return places;
}

/** Each paper as often as the others, in an order of chance that is always the same. */
function byChance(count: number, papers: number): number[] {
  const chance = random(count * 31 + papers);
  const all = Array.from({ length: count }, (_, i) => i % papers);
  for (let i = count - 1; i > 0; i--) {
    const j = Math.floor(chance() * (i + 1));
    [all[i], all[j]] = [all[j]!, all[i]!];
  }
  return all;
}
