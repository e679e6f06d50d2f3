/** For the desk, by the kettle: a photo beside its month. */
import { box, punched } from '../compose';
import { at, type Design } from './design';
const KITCHEN: readonly (readonly [
  paper: string,
  card: string,
  stamp: string,
  thing: string,
  button: string,
])[] = [
  ['Tea towel', 'Enamel', 'Teapot', 'Card cup', 'Enamel button'],
  ['Sprinkles', 'Jam', 'Cherries', 'Felt heart', 'Heart brad'],
  ['Recipe card', 'Butter', 'Whisk', 'Jar label', 'Butter button'],
  ['Kitchen tiles', 'Enamel', 'Rolling pin', 'Wooden teapot', 'Copper brad'],
  ['Oilcloth', 'Jam', 'Cupcake', 'Doily', 'Jam button'],
  ['Baking day', 'Butter', 'Lemon', 'Card cup', 'Butter button'],
  ['Tablecloth', 'Enamel', 'Jam jar', 'Felt heart', 'Jam button'],
  ['Tea at four', 'Jam', 'Teacup', 'Wooden teapot', 'Enamel button'],
  ['Air mail', 'Enamel', 'Letter', 'Card envelope', 'Paper clip'],
  ['Recipe card', 'Jam', 'Loaf', 'Jar label', 'Copper brad'],
  ['Kitchen tiles', 'Butter', 'Pretzel', 'Card cup', 'Enamel button'],
  ['Tablecloth', 'Jam', 'Pie', 'Doily', 'Heart brad'],
];

export const kitchen: Design = {
  title: 'Twelve from the kitchen',
  tags: 'desk standing kitchen small',
  kit: 'kitchen-table',
  ...{ way: 'picture', width: 7, height: 5, inks: 'garden', family: 'pacifico' },
  cover({ on, photo, title }) {
    on.ground('Tea at four')
      .paper('Jam cardstock', box(0.8, 0.5, 5.4, 3.55), 0, 'mat')
      .paper('Flour cardstock', box(0.9, 0.6, 5.2, 3.35), 0, 'mat');
    photo(box(1.02, 0.72, 4.96, 3.11));
    on.paper('Flour cardstock', box(2.15, 3.55, 2.7, 1.05), 0, 'mat', punched('banner'));
    title(box(2.3, 3.72, 2.4, 0.7), 38);
    on.thing('Card cup', 6.05, 3.95, 8, 0.8)
      .thing('Jam button', 1.05, 3.95)
      .thing('Butter button', 1.5, 4.2, 0, 0.7);
  },
  page({ on, i, inks, photo, title, month }) {
    const [paper, card, stamp, thing, button] = KITCHEN[i]!;
    on.ground(paper);
    const left = i % 2 === 0;
    const turn = at([-2, 1.5, 0], i);
    const x = left ? 0.4 : 3.7;
    on.paper(`${card} cardstock`, box(x, 0.55, 2.9, 3.9), turn, 'mat').paper(
      'Flour cardstock',
      ...([box(x + 0.08, 0.63, 2.74, 3.74), turn, 'mat'] as const),
    );
    photo(box(x + 0.18, 0.73, 2.54, 3.3), turn);
    const c = left ? 3.55 : 0.4;
    on.paper('Flour cardstock', box(c, 0.4, 3.05, 4.2), 0, 'mat').thing(
      at(['Checked washi', 'Mail washi'], i),
      ...([x + 1.45, 0.62, at([-4, 5, 2], i), 0.62] as const),
    );
    title(box(c + 0.15, 0.55, 2.3, 0.55), 21, { align: 'left' });
    on.thing(stamp, c + 2.66, 0.86, at([6, -8, 0], i), 0.62, inks[1]);
    month(box(c + 0.15, 1.18, 2.75, 3.27), {
      ...{ layout: 'open', noteScale: 1.8 },
      ...{ numbers: { family: 'zilla-slab' }, heads: { family: 'zilla-slab' } },
    });
    on.thing(thing, x + (left ? 0.5 : 2.4), 4.15, left ? -8 : 9, 0.62).thing(
      button,
      ...([x + (left ? 2.55 : 0.35), 4.22, 15, 0.8] as const),
    );
  },
};
