/** For the year, in the garden: one sheet, a photo and a stamp to every month. */
import { INK_YEARS } from '@/core/calendar/inks';
import { box, ROUND } from '../compose';
import { at, type Design } from './design';
const GARDEN = [
  ...['Robin', 'Oak and acorns', 'Seedling in a pot', 'Tulip', 'Bee', 'Butterfly'],
  ...['Strawberry', 'Poppy', 'Snail', 'Toadstools', 'Pumpkin', 'Pear'],
].map((name) => `${name}, tone`);
const PETALS = [
  'Peony flower',
  'Primrose flower',
  'Bluebell flower',
  'Green leaf',
  'Fern leaf',
  'Autumn leaf',
];

export const garden: Design = {
  title: 'The garden, all year',
  tags: 'year sheet glance garden wall',
  kit: 'garden-year',
  ...{ way: 'year', width: 12, height: 12, inks: 'garden', family: 'great-vibes' },
  cover: () => undefined,
  page({ on, photo, title, month }) {
    on.ground('Trellis')
      .paper('Fern cardstock', box(0.35, 0.35, 11.3, 11.3), 0, 'mat')
      .paper('Linen cardstock', box(0.47, 0.47, 11.06, 11.06), 0, 'mat');
    title(box(3.5, 0.62, 5, 1), 66);
    for (let i = 0; i < 12; i++) {
      const [x, y] = [0.78 + (i % 4) * 2.68, 1.85 + Math.floor(i / 4) * 3.2];
      const set = INK_YEARS.find(({ id }) => id === 'garden')!.sets[i]!;
      on.paper(
        at(['Petal dots', 'Seed rows', 'Bluebell check', 'Butterflies'], i + Math.floor(i / 4)),
        box(x, y, 2.4, 1.22),
        0,
        'mat',
      );
      photo(box(x + 0.09, y + 0.09, 2.22, 1.04));
      month(
        box(x + 0.09, y + 1.3, 2.22, 1.62),
        { headLength: 'narrow', numbers: { family: 'zilla-slab' }, heads: { family: 'zilla-slab' } },
        i,
      );
      on.paper('Linen cardstock', box(x + 1.86, y - 0.22, 0.72, 0.72), 0, 'mat', ROUND).thing(
        GARDEN[i]!,
        ...([x + 2.22, y + 0.14, at([6, -8, 3], i), 0.42, set[1]] as const),
      );
    }
    PETALS.forEach((name, i) => {
      const left = i < 3;
      on.thing(
        name,
        left ? 0.95 + i * 0.85 : 8.95 + (i - 3) * 0.85,
        1.1 + (i % 2 ? 0.12 : -0.05),
        at([-18, 14, -6], i),
        0.62,
      );
    });
  },
};
