/** What it costs to make ready what is cut: packed by outline, put in order, written; and how good it is. */
import { FIRST_SETTINGS } from '@/core/cutter/settings';
import { emptyWay, inOrder } from '@/core/cutter/order';
import { partsOf } from '@/core/cutter/parts';
import { prepare } from '@/core/cutter/prepare';
import type { Line } from '@/core/cutter/model';
import { random } from '@/core/random';
import { makeCut } from '@/output/cut/make';
import { itemOf, placeWith, starAt } from '../testing/cuts';
import { shortest } from '../testing/tours';
import { quickest, type Note } from './measure';

const chance = random(24);
const many = (count: number, reach: number) =>
  placeWith(
    Array.from({ length: count }, (_, i) =>
      itemOf(
        `p${i}`,
        starAt({ x: 60 + 740 * chance(), y: 60 + 740 * chance() }, reach * (0.4 + 0.6 * chance()), chance),
      ),
    ),
  );

export async function cutter(note: Note): Promise<void> {
  const irregular = many(200, 50);
  const settings = { ...FIRST_SETTINGS, join: false, mat: '12x24' as const };
  const made = prepare([irregular], settings);
  const packing = await quickest(2, () => prepare([irregular], settings));
  const outlines = await quickest(3, () => partsOf([irregular], settings));
  note(
    '200 irregular outlines laid on mats',
    packing,
    outlines,
    'ms',
    'under 5 s, checks and order with it; floor: the outlines alone',
    packing < 5000,
  );
  const used = made.mats.reduce((sum, mat) => sum + mat.used, 0) / made.mats.length;
  note('Of the mats is used, down to the last part', 100 * used, 100, '%', 'as much as is found', used > 0.4);
  const page = many(300, 40);
  const laid = { ...FIRST_SETTINGS, join: false, packed: false };
  const write = async () => {
    const { mats } = prepare([page], laid);
    for (const [i, { size, paper, lines, marks }] of mats.entries())
      await makeCut({ title: 'Page', unit: 'mm', number: i + 1, size, paper, lines, marks }, 'svg');
  };
  const { mats } = prepare([page], laid);
  const { size, paper, lines, marks } = mats[0]!;
  const writing = await quickest(3, write);
  const alone = await quickest(3, () =>
    makeCut({ title: 'Page', unit: 'mm', number: 1, size, paper, lines, marks }, 'svg'),
  );
  note(
    'Cut file of a page with 300 outlines',
    writing,
    alone,
    'ms',
    'under 1 s; floor: its lines written',
    writing < 1000,
  );
  const rings = (seed: number): Line[] => {
    const any = random(seed);
    return Array.from({ length: 8 }, () => {
      const [x, y, r] = [any() * 800, any() * 800, 10 + any() * 120];
      const points = [
        { x, y: y - r },
        { x: x + r, y },
        { x, y: y + r },
        { x: x - r, y },
      ];
      return { doing: 'cut', closed: true, points };
    });
  };
  const worst = Array.from({ length: 12 }, (_, i) => {
    const some = rings(i + 1);
    return { way: emptyWay(inOrder(some)), least: shortest(some) };
  }).sort((a, b) => b.way / b.least - a.way / a.least)[0]!;
  note(
    'Empty way among 8 outlines, the worst of 12',
    worst.way,
    worst.least,
    'pt',
    'at most 1.25 of the shortest there is',
    worst.way <= 1.25 * worst.least,
  );
}
