/** By the sea: sailcloth, a strip of pattern, photos on a white edge. */
import { finishOf } from '@/core/piece/finish';
import { box, RECTANGLE } from '../compose';
import { bleeds, corner, flat, grown, pick, strip, type BookDress } from './design';

const PAPERS = ['Deckchair stripe', 'Swell', 'Tide tables', 'Gulls', 'Windbreak', 'Pebble dots'];
const CARDS = ['Lagoon', 'Kite red', 'Dune'];
const THINGS: readonly (readonly [string, number])[] = [
  ['Wooden boat', 1.1],
  ['Card kite', 1.05],
  ['Wooden starfish', 1.1],
  ['Coral button', 1.1],
  ['Loop of rope', 0.8],
  ['Deep water button', 1.1],
];

export const windward: BookDress = {
  title: 'Salt and wind',
  tags: 'seaside photos blue red',
  kit: 'windward',
  title_: { family: 'abril-fatface', ink: 'Kite red' },
  text: { family: 'zilla-slab', ink: 'Harbour' },
  ground(side) {
    const { on, i, skeleton } = side;
    const paper = pick(PAPERS, i);
    if (!skeleton) {
      on.paper('Sailcloth cardstock', box(-1, -1, 28, 16), 0, 'paper', RECTANGLE, finishOf(0));
      on.paper('Deckchair stripe', box(-1, 9.6, 28, 1.5), 0, 'paper', RECTANGLE, finishOf(0.3));
      return;
    }
    flat(on, 'Sailcloth cardstock');
    if (skeleton.title) {
      if (!skeleton.photos.some(([x, y]) => y < 0 && x < 100)) flat(on, paper, 'left');
      on.paper('Sailcloth cardstock', grownLeft(skeleton.photos.length > 1), 0, 'mat');
      return;
    }
    if (skeleton.id === 'text') {
      on.paper(paper, box(12, -0.2, 12.2, 12.4), 0, 'paper', RECTANGLE, finishOf(0)).paper(
        'Sailcloth cardstock',
        box(12.9, 1.6, 10, 8.8),
        0,
        'mat',
      );
      return;
    }
    strip(side, [
      [paper, 0.8, 2.1],
      [paper, 3.3, 5.4],
      [`${pick(CARDS, i)} cardstock`, 5.2, 1.6],
      [paper, 8.9, 2.2],
    ]);
  },
  mat({ on, i, photos }, at, k) {
    if (bleeds(at)) return;
    const main = k === 0 && photos.length < 6;
    if (main) on.paper(`${pick(CARDS, i)} cardstock`, grown(at, 0.24), 0, 'mat');
    on.paper('Sailcloth cardstock', grown(at, photos.length > 5 ? 0.09 : 0.13), 0, 'mat');
  },
  place: () => ({ finish: finishOf(0.1) }),
  things(spread) {
    const { on, i, photos } = spread;
    const main = photos.find((at) => !bleeds(at));
    if (!main || photos.length > 6) return;
    const { x, y, side, down } = corner(spread, main);
    const [name, size] = pick(THINGS, i);
    const [second] = pick(THINGS, i + 3);
    on.thing(name, x + side * 0.05, y + down * 0.05, side * 10, size);
    if (photos.length < 4)
      on.thing(
        second === 'Loop of rope' ? 'Coral button' : second,
        x - side * 1.15,
        y + down * 0.3,
        -side * 12,
        0.7,
      );
  },
  cover({ on }) {
    on.paper('Sailcloth cardstock', box(1.2, 8.5, 9.7, 2.6), 0, 'mat')
      .thing('Wooden boat', 1.5, 8.2, -8, 1.25)
      .thing('Card kite', 10.6, 1.7, 14, 1.2)
      .thing('Brass brad', 1.6, 10.75, 0, 0.8)
      .thing('Brass brad', 10.5, 10.75, 0, 0.8);
  },
  alone({ on, i }) {
    flat(on, 'Sailcloth cardstock', 'alone');
    on.paper(
      i ? 'Swell' : 'Deckchair stripe',
      box(-0.2, 9.4, 12.4, 2.8),
      0,
      'paper',
      RECTANGLE,
      finishOf(0.1),
    ).thing(i ? 'Wooden starfish' : 'Wooden boat', i ? 9.6 : 2.6, 9.35, i ? 12 : -6, 1.2);
  },
  front: { photo: [14, 12, 73, 55], title: [14, 73, 73, 12], under: [14, 86, 73, 5] },
};

/** The card a chapter's title stands on. */
const grownLeft = (low: boolean) => (low ? box(0.7, 0.65, 10.6, 3.35) : box(0.7, 3.6, 10.6, 4.4));
