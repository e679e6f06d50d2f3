/** On winter nights: midnight card, snow-white edges, gold. */
import { finishOf } from '@/core/piece/finish';
import { box, RECTANGLE } from '../compose';
import { bleeds, corner, flat, grown, pick, strip, type BookDress } from './design';

const PAPERS = ['Starfield', 'Lantern parade', 'First frost', 'Rooftops', 'Wrapping stripe'];
const THINGS: readonly (readonly [string, number])[] = [
  ['Card lantern', 1],
  ['Wooden star', 0.95],
  ['Gold bow', 0.9],
  ['Felt moon', 1],
  ['Felt tree', 0.9],
];

export const lantern: BookDress = {
  title: 'Lights in the dark',
  tags: 'winter festive night gold photos',
  kit: 'lantern-night',
  title_: { family: 'great-vibes', ink: 'Flame' },
  text: { family: 'lora', ink: 'Snow' },
  ground(side) {
    const { on, i, skeleton } = side;
    if (!skeleton) {
      on.paper('Midnight cardstock', box(-1, -1, 28, 16), 0, 'paper', RECTANGLE, finishOf(0));
      on.paper('Starfield', box(-1, 9.6, 28, 4), 0, 'paper', RECTANGLE, finishOf(0));
      return;
    }
    flat(on, 'Midnight cardstock');
    const paper = pick(PAPERS, i);
    if (skeleton.title || skeleton.id === 'text') {
      if (skeleton.photos.length === 1)
        on.paper(paper, box(-0.2, 8.6, 12.2, 2.2), 0, 'paper', RECTANGLE, finishOf(0.1));
      return;
    }
    strip(side, [
      [paper, 8.9, 2.1],
      [paper, 0.9, 2.2],
      [`${i % 2 ? 'Pine' : 'Berry'} cardstock`, 5, 2],
    ]);
  },
  mat({ on, i, photos }, at, k) {
    if (bleeds(at)) return;
    if (k === 0 && photos.length < 5)
      on.paper(`${i % 2 ? 'Berry' : 'Pine'} cardstock`, grown(at, 0.25), 0, 'mat');
    on.paper('Snow cardstock', grown(at, photos.length > 5 ? 0.08 : 0.14), 0, 'mat');
  },
  place: () => ({ finish: finishOf(0.1) }),
  things(spread) {
    const { on, i, photos, skeleton } = spread;
    const main = photos.find((at) => !bleeds(at));
    if (!main || photos.length > 6) return;
    const { x, y, side, down } = corner(spread, main);
    const [name, size] = pick(THINGS, i);
    on.thing(name, x, y, side * 9, size);
    if (photos.length < 4 || skeleton?.title)
      on.thing('Star brad', x - side * 1.1, y + down * 0.15, 12, 0.9).thing(
        'Gilt brad',
        x - side * 1.6,
        y - down * 0.05,
        0,
        0.8,
      );
  },
  cover({ on }) {
    on.thing('Card lantern', 1.5, 2.1, -8, 1.25)
      .thing('Wooden star', 10.5, 7.6, 12, 1.2)
      .thing('Star brad', 9.6, 8.1, 0)
      .thing('Gilt brad', 9.2, 7.8, 0, 0.8);
  },
  alone({ on, i }) {
    flat(on, 'Midnight cardstock', 'alone');
    on.paper(
      i ? 'First frost' : 'Starfield',
      box(-0.2, 9.7, 12.4, 2.5),
      0,
      'paper',
      RECTANGLE,
      finishOf(0.1),
    ).thing(i ? 'Felt moon' : 'Card lantern', i ? 6 : 6, 9.6, -6, 1.2);
  },
  front: { photo: [13, 12, 75, 56], title: [14, 73, 73, 13], under: [14, 87, 73, 5] },
};
