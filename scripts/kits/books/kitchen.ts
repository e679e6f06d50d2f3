/** At the kitchen table: a cloth beneath, photos a little askew, tape at their heads. */
import { finishOf } from '@/core/piece/finish';
import { box, RECTANGLE } from '../compose';
import { bleeds, corner, flat, grown, pick, strip, type BookDress } from './design';

const CLOTHS = ['Tablecloth', 'Tea towel', 'Oilcloth', 'Kitchen tiles'];
const TURNS = [-1.1, 0.9, -0.6, 1.2, 0.5, -0.9];
const THINGS = ['Wooden teapot', 'Felt heart', 'Card cup', 'Jam button', 'Card envelope', 'Enamel button'];

export const kitchen: BookDress = {
  title: 'At our table',
  tags: 'family home photos gingham',
  kit: 'kitchen-table',
  without: ['across', 'page-and-one', 'two-and-page', 'chapter-page'],
  title_: { family: 'zilla-slab', ink: 'Jam' },
  text: { family: 'special-elite', ink: 'Ink pot' },
  ground(side) {
    const { on, i, skeleton } = side;
    const cloth = pick(CLOTHS, i);
    if (!skeleton) {
      on.paper('Flour cardstock', box(-1, -1, 28, 16), 0, 'paper', RECTANGLE, finishOf(0));
      on.paper('Tablecloth', box(-1, 6.4, 28, 9), 0, 'paper', RECTANGLE, finishOf(0.1));
      return;
    }
    flat(on, i % 2 ? 'Butter cardstock' : 'Flour cardstock');
    if (skeleton.title) {
      on.paper(
        cloth,
        skeleton.photos.length > 1 ? box(-0.2, 4.2, 24.4, 5.8) : box(-0.2, 2.4, 24.4, 7.2),
        0,
        'paper',
        RECTANGLE,
        finishOf(0.1),
      );
      on.paper(
        'Flour cardstock',
        skeleton.photos.length > 1 ? box(0.9, 0.7, 10.2, 3.2) : box(0.9, 3.5, 10.2, 4.7),
        -0.6,
        'mat',
      );
      return;
    }
    if (skeleton.id === 'text') {
      on.paper(cloth, box(-0.2, -0.2, 6.4, 12.4), 0, 'paper', RECTANGLE, finishOf(0.1)).paper(
        'Flour cardstock',
        box(13, 1.6, 9.8, 8.8),
        0.5,
        'mat',
      );
      return;
    }
    if (i % 3 === 1 && !skeleton.captions)
      on.paper(cloth, box(-0.2, -0.2, 4.4, 11.2), 0, 'paper', RECTANGLE, finishOf(0.1)).paper(
        cloth,
        box(19.8, -0.2, 4.4, 11.2),
        0,
        'paper',
        RECTANGLE,
        finishOf(0.1),
      );
    else
      strip(side, [
        [cloth, 5.05, 5.95],
        [cloth, 1.1, 4.3],
        [cloth, 3.4, 4.6],
      ]);
  },
  mat({ on, i, photos }, at, k) {
    if (bleeds(at)) return;
    const many = photos.length > 5;
    on.paper('Flour cardstock', grown(at, many ? 0.07 : 0.14), many ? 0 : pick(TURNS, i + k), 'mat');
  },
  place: ({ i, photos }, k) => ({
    turn: photos.length > 5 || bleeds(photos[k]!) ? 0 : pick(TURNS, i + k),
    finish: finishOf(0.1),
  }),
  things(spread) {
    const { on, i, photos } = spread;
    const main = photos.find((at) => !bleeds(at));
    if (!main || photos.length > 5) return;
    const tape = pick(['Checked washi', 'Mail washi'], i);
    on.thing(tape, main.x + main.width * 0.5, main.y - 0.08, pick([-4, 3, 5], i), 0.62);
    const { x, y, side, down } = corner(spread, main);
    on.thing(pick(THINGS, i), x, y, side * 8, 0.95);
    if (photos.length < 4) on.thing('Copper brad', x - side * 1.1, y + down * 0.2, 0, 0.9);
  },
  cover({ on }) {
    on.paper('Flour cardstock', box(1.3, 8.3, 9.5, 2.9), -0.8, 'mat')
      .thing('Checked washi', 6, 1.05, -3, 0.9)
      .thing('Wooden teapot', 10.2, 8.2, 8, 1.3)
      .thing('Felt heart', 1.6, 8.5, -12, 1);
  },
  alone({ on, i }) {
    flat(on, 'Flour cardstock', 'alone');
    on.paper(
      i ? 'Tea towel' : 'Tablecloth',
      box(-0.2, -0.2, 12.4, 3.1),
      0,
      'paper',
      RECTANGLE,
      finishOf(0.1),
    ).thing(i ? 'Card cup' : 'Wooden teapot', 6, 2.9, -4, 1.3);
  },
  front: { photo: [12, 10, 77, 56], title: [14, 71, 73, 12], under: [14, 85, 73, 5] },
};
