/** In the garden: linen, a petal panel, round corners, flowers at a corner. */
import { finishOf } from '@/core/piece/finish';
import { box, RECTANGLE } from '../compose';
import { bleeds, corner, flat, grown, pick, type BookDress } from './design';

const ROUND = { kind: 'rectangle', radius: 16 } as const;
const PAPERS = ['Petal dots', 'Cottage border', 'Seed rows', 'Bluebell check', 'Trellis', 'Bee line'];
const FLOWERS: readonly (readonly [string, string, string])[] = [
  ['Peony flower', 'Green leaf', 'Primrose flower'],
  ['Bluebell flower', 'Fern leaf', 'Primrose flower'],
  ['Primrose flower', 'Green leaf', 'Felt butterfly'],
  ['Peony flower', 'Fern leaf', 'Bluebell flower'],
];

/** The page that is patterned; the bare one where a photo stands alone. */
const patterned = (i: number, photos: number): 'left' | 'right' => (photos > 1 && i % 2 ? 'right' : 'left');

export const garden: BookDress = {
  title: 'A garden year',
  tags: 'flowers photos soft',
  kit: 'garden-year',
  without: ['across', 'wide'],
  title_: { family: 'great-vibes', ink: 'Beetroot' },
  text: { family: 'crimson-pro', ink: 'Soil' },
  ground({ on, i, skeleton }) {
    if (!skeleton) {
      on.paper('Petal dots', box(-1, -1, 28, 16), 0, 'paper', RECTANGLE, finishOf(0));
      return;
    }
    flat(on, 'Linen cardstock');
    const paper = pick(PAPERS, i);
    if (skeleton.title) {
      flat(on, paper, 'left');
      on.paper(
        'Linen cardstock',
        skeleton.photos.length > 1 ? box(0.8, 0.7, 10.4, 3.4) : box(0.8, 3.5, 10.4, 4.6),
        0,
        'mat',
        ROUND,
      );
      return;
    }
    // One page of pattern, the other one plain; the pattern changes sides.
    const side = patterned(i, skeleton.photos.length);
    const bled = skeleton.photos.some(([x, y]) => y < 0 && (side === 'left' ? x < 100 : x >= 100));
    if (skeleton.id === 'text') {
      on.paper(paper, box(12.5, 0.5, 11, 11), 0, 'mat', ROUND).paper(
        'Linen cardstock',
        box(13.1, 1.6, 9.8, 8.8),
        0,
        'mat',
        ROUND,
      );
      return;
    }
    if (!bled) flat(on, paper, side);
  },
  mat({ on, photos }, at) {
    if (bleeds(at)) return;
    on.paper('Linen cardstock', grown(at, photos.length > 5 ? 0.11 : 0.17), 0, 'mat', ROUND);
  },
  place: ({ photos }, k) => ({ outline: bleeds(photos[k]!) ? RECTANGLE : ROUND, finish: finishOf(0.1) }),
  things(spread) {
    const { on, i, photos } = spread;
    const main = photos.find((at) => !bleeds(at));
    if (!main || photos.length > 7) return;
    const { x, y, side, down } = corner(spread, main);
    const [flower, leaf, small] = pick(FLOWERS, i);
    const size = photos.length > 3 ? 0.75 : 1;
    on.thing(leaf, x - side * 0.95 * size, y + down * 0.28 * size, down * side * 18, size)
      .thing(leaf, x + side * 0.3 * size, y - down * 0.95 * size, side * 80, size)
      .thing(flower, x, y, side * 8, size)
      .thing(small, x - side * 1.35 * size, y - down * 0.1 * size, -12, 0.6 * size);
  },
  cover({ on }) {
    on.paper('Linen cardstock', box(1.39, 8.1, 9.3, 3), 0, 'mat', ROUND)
      .thing('Fern leaf', 1.6, 8.5, 160, 1.3)
      .thing('Green leaf', 2.6, 7.7, 60, 1.2)
      .thing('Peony flower', 1.9, 8, -8, 1.3)
      .thing('Primrose flower', 3, 8.3, 10, 0.8)
      .thing('Felt butterfly', 10.2, 1.5, 16, 1.1);
  },
  alone({ on, i }) {
    flat(on, i ? 'Bluebell check' : 'Petal dots', 'alone');
    on.paper('Linen cardstock', box(1.4, 3.6, 9.2, 4.9), 0, 'mat', ROUND)
      .thing('Green leaf', i ? 9.5 : 2.4, 8.5, i ? 160 : 20)
      .thing(i ? 'Bluebell flower' : 'Peony flower', i ? 10.3 : 1.7, 8.2, 0);
  },
  front: { photo: [13, 10, 75, 54], title: [14, 70, 73, 12], under: [14, 84, 73, 6] },
};
