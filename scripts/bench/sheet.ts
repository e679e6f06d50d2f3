/** What packing costs: many different cards on sheets of paper, as the worker does it. */
import { cutsOf } from '@/core/packing/cuts';
import { plansOf } from '@/core/packing/sheets';
import { beginProduct } from '@/core/product';
import { printable, sheetIn, type SheetProduct } from '@/core/product/sheet';
import { toPoints } from '@/core/units/lengths';
import { quickest, type Note } from './measure';

/** Pocket cards, photos, bookmarks and labels, inches. */
const SIZES = [
  [4, 3],
  [3, 4],
  [2, 2],
  [2, 6],
  [4, 6],
  [1.5, 3],
] as const;

export async function sheet(note: Note): Promise<void> {
  const { product } = beginProduct('sheet', { width: 288, height: 216 }, 'letter');
  const mixed: SheetProduct = {
    ...sheetIn(product)!,
    things: SIZES.map(([width, height], i) => ({
      part: `thing-${i + 1}`,
      width: toPoints(width, 'in'),
      height: toPoints(height, 'in'),
      count: 10,
    })),
  };
  const { plans } = plansOf(mixed);
  const paper = { x: 0, y: 0, width: mixed.width, height: mixed.height };
  const packing = await quickest(3, () => plansOf(mixed));
  const cutting = await quickest(5, () => plans.map(({ laid }) => cutsOf(paper, laid)));
  note(
    '60 mixed cards packed on letter sheets',
    packing,
    cutting,
    'ms',
    'under 300 ms in a worker; floor: the cuts of one plan put in order',
    packing < 300,
  );
  const area = ({ width, height }: { width: number; height: number }) => width * height;
  const least = Math.ceil(
    mixed.things.reduce((sum, thing) => sum + thing.count * area(thing), 0) / area(printable(mixed)),
  );
  note(
    'Sheets they take',
    plans.length,
    least,
    'sheets',
    'as many as their areas ask for, at the least',
    plans.length <= least + 1,
  );
}
