/** For birthdays, by lantern light: lines to write on, of any year. */
import { box, punched, ROUND } from '../compose';
import { at, type Design } from './design';
const NIGHT: readonly (readonly [
  paper: string,
  card: string,
  stamp: string,
  thing: string,
  second: string,
])[] = [
  ['First frost', 'Midnight', 'Snow crystal', 'Frost drops', 'Midnight button'],
  ['Party dots', 'Berry', 'Candle lantern', 'Gift bow', 'Berry button'],
  ['Pine wood', 'Pine', 'Bells', 'Wooden star', 'Gilt brad'],
  ['Rooftops', 'Midnight', 'Paper lantern', 'Card lantern', 'Star brad'],
  ['Wrapping stripe', 'Berry', 'Gift', 'Card parcel', 'Berry button'],
  ['Starfield', 'Midnight', 'Star lantern', 'Felt moon', 'Star brad'],
  ['Lantern parade', 'Berry', 'Fireworks', 'Party bunting', 'Gilt brad'],
  ['Party dots', 'Pine', 'Sparkler', 'Wooden star', 'Midnight button'],
  ['Scarf', 'Midnight', 'Ribbed lantern', 'Card lantern', 'Gilt brad'],
  ['Rooftops', 'Berry', 'Bunting', 'Felt moon', 'Berry button'],
  ['Starfield', 'Pine', 'Two glasses', 'Card parcel', 'Star brad'],
  ['Holly check', 'Berry', 'Holly', 'Gold bow', 'Berry button'],
];

export const night: Design = {
  title: 'Days to raise a lantern',
  tags: 'birthday perpetual letter any year',
  kit: 'lantern-night',
  ...{ way: 'birthdays', width: 8.5, height: 11, inks: 'lamplight', family: 'great-vibes' },
  cover({ on, photo, title }) {
    on.ground('Lantern parade')
      .paper('Midnight cardstock', box(1.2, 1.5, 6.1, 6.1), 0, 'mat', ROUND)
      .paper('Snow cardstock', box(1.35, 1.65, 5.8, 5.8), 0, 'mat', ROUND);
    photo(box(1.6, 1.9, 5.3, 5.3), 0, ROUND);
    on.paper('Snow cardstock', box(0.9, 8.05, 6.7, 1.75), 0, 'mat', punched('banner'));
    title(box(1.1, 8.35, 6.3, 1.1), 50);
    on.thing('Party bunting', 4.25, 0.75, 0, 1.05)
      .thing('Card lantern', 1.3, 7.1, -8, 1.1)
      .thing('Gold bow', 7.1, 7.3, 8, 0.8);
  },
  page({ on, i, inks, photo, title, month }) {
    const [paper, card, stamp, thing, second] = NIGHT[i]!;
    const left = i % 2 === 1;
    on.ground(paper)
      .paper(`${card} cardstock`, box(0.5, 0.5, 7.5, 10), 0, 'mat')
      .paper('Snow cardstock', box(0.62, 0.62, 7.26, 9.76), 0, 'mat');
    const p = left ? 0.95 : 5.05;
    on.paper(`${card} cardstock`, box(p, 0.9, 2.5, 2.5), 0, 'mat', ROUND);
    photo(box(p + 0.13, 1.03, 2.24, 2.24), 0, ROUND);
    title(box(left ? 3.6 : 0.95, 1.2, 3.95, 1.3), 56);
    on.thing(stamp, left ? 5.6 : 2.9, 2.75, at([-6, 8, 0], i), 0.85, inks[1]);
    month(box(0.95, 3.9, 6.6, 6.3), {
      ...{ numberScale: 1.6, noteScale: 1.4, numbers: { family: 'zilla-slab' }, heads: { family: 'caveat' } },
    });
    on.thing(thing, left ? 1.15 : 7.25, 3.05, left ? -10 : 10, 0.6).thing(
      second,
      left ? 3.3 : 5.2,
      0.98,
      0,
      0.9,
    );
  },
};
