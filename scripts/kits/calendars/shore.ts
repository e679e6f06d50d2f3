/** For the wall, by the sea: folded, a photo above, its month below. */
import { finishOf } from '@/core/piece/finish';
import { box, punched } from '../compose';
import { at, type Design } from './design';
/** A month at the shore: its paper, the card about its photo, a stamp, two things. */
const SHORE: readonly (readonly [
  paper: string,
  card: string,
  stamp: string,
  first: string,
  second: string,
])[] = [
  ['Tide tables', 'Lagoon', 'Lighthouse', 'Luggage tag', 'Brass clip'],
  ['Pebble dots', 'Kite red', 'Sailboat', 'Wooden boat', 'Coral button'],
  ['Gulls', 'Dune', 'Gull', 'Loop of rope', 'Driftwood button'],
  ['Kites aloft', 'Kite red', 'Kite', 'Card kite', 'Enamel drops'],
  ['Deckchair stripe', 'Lagoon', 'Beach umbrella', 'Regatta bow', 'Coral button'],
  ['Swell', 'Dune', 'Scallop shell', 'Wooden starfish', 'Deep water button'],
  ['Shell hunt', 'Kite red', 'Nautilus', 'Wooden boat', 'Brass brad'],
  ['Signal check', 'Dune', 'Bucket and spade', 'Wooden starfish', 'Coral button'],
  ['Windbreak', 'Lagoon', 'Compass rose', 'Card kite', 'Driftwood button'],
  ['Tide tables', 'Kite red', 'Box kite', 'Loop of rope', 'Brass clip'],
  ['Gulls', 'Lagoon', 'Lighthouse', 'Luggage tag', 'Deep water button'],
  ['Deckchair stripe', 'Dune', 'Starfish', 'Regatta bow', 'Enamel drops'],
];

export const shore: Design = {
  title: 'A year of wind',
  tags: 'wall hanging seaside wire',
  kit: 'windward',
  ...{ way: 'folded', width: 11, height: 8.5, inks: 'shore', family: 'abril-fatface', wire: true },
  cover({ on, photo, title }) {
    on.ground('Kites aloft')
      .paper('Deckchair stripe', box(-0.2, 5.6, 11.4, 1.7))
      .paper('Lagoon cardstock', box(1.3, 0.85, 8.4, 5.7), 0, 'mat')
      .paper('Sailcloth cardstock', box(1.42, 0.97, 8.16, 5.46), 0, 'mat');
    photo(box(1.6, 1.15, 7.8, 5.1));
    on.paper('Sailcloth cardstock', box(3.4, 6.35, 4.2, 1.5), 0, 'mat');
    title(box(3.5, 6.5, 4, 1.2), 70);
    on.thing('Card kite', 9.3, 1.7, 14, 1.25)
      .thing('Wooden boat', 1.9, 6.6, -5, 1.3)
      .thing('Brass brad', 3.65, 7.1, 0, 0.8)
      .thing('Brass brad', 7.35, 7.1, 0, 0.8);
  },
  page({ on, i, inks, photo, title, month, small }) {
    const [paper, card, stamp, first, second] = SHORE[i]!;
    on.ground(paper).paper(
      `Sailcloth cardstock`,
      box(-0.2, 8.5, 11.4, 8.7),
      0,
      'paper',
      undefined,
      finishOf(0),
    );
    const turn = at([0, -1.5, 0, 1.2], i);
    const left = i % 2 === 0;
    if (i % 3 === 2) {
      // The photo over all of its width, a strip beneath it.
      on.paper(`${card} cardstock`, box(0.55, 0.95, 9.9, 5.95), turn, 'mat');
      photo(box(0.75, 1.15, 9.5, 5.55), turn);
      on.paper('Dune cardstock', box(-0.2, 6.55, 11.4, 0.62)).thing(
        first,
        left ? 1.7 : 9.3,
        6.5,
        left ? -6 : 8,
        1.2,
      );
      on.thing(second, left ? 3.4 : 7.6, 6.86, 12).thing('Brass brad', left ? 9.9 : 1.1, 6.86, 0, 0.8);
    } else {
      const x = left ? 0.7 : 3.0;
      on.paper(`${card} cardstock`, box(x, 0.75, 7.3, 6.95), turn, 'mat').paper(
        'Sailcloth cardstock',
        box(x + 0.13, 0.88, 7.04, 6.69),
        turn,
        'mat',
      );
      photo(box(x + 0.32, 1.07, 6.66, 6.31), turn);
      const side = left ? 9.35 : 1.65;
      on.paper('Sailcloth cardstock', box(side - 1.05, 1.05, 2.1, 2.1), 0, 'mat', punched('sun'))
        .thing(stamp, side, 2.1, left ? 5 : -5, 1.15, inks[1])
        .thing(first, side + (left ? -0.2 : 0.2), 5.4, left ? 8 : -8, 1.25)
        .thing(second, left ? 8.05 : 2.95, 7.25, 10);
    }
    // Below the fold: the month with its neighbours.
    on.paper(paper, box(-0.2, 8.5, 11.4, 1.05), 0, 'paper', undefined, finishOf(0))
      .paper('Sailcloth cardstock', box(0.55, 9.2, 9.9, 7.35), 0, 'mat')
      .thing(stamp, 1.55, 10.05, -6, 0.95, inks[1]);
    title(box(2.4, 9.6, 5.2, 1.05), 46, { align: 'left' });
    small(box(7.25, 9.5, 1.4, 1.22), -1);
    small(box(8.85, 9.5, 1.4, 1.22), 1);
    month(box(0.95, 10.85, 9.1, 5.45), {
      numbers: { family: 'zilla-slab' },
      heads: { family: 'zilla-slab' },
    });
  },
};
