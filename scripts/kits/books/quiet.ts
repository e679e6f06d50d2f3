/** Quietly: white paper, photos alone with a fine line, one leaf. */
import { finishOf } from '@/core/piece/finish';
import { inkFinder } from '../kit';
import { quiet as kit } from '../quiet';
import { box, RECTANGLE } from '../compose';
import { bleeds, flat, pick, type BookDress } from './design';

const ink = inkFinder(kit.inks);
const LINE = ink('Clay').colour;

export const quiet: BookDress = {
  title: 'Few words',
  tags: 'plain white photos calm',
  kit: 'quiet-hours',
  title_: { family: 'caveat', ink: 'Walnut' },
  text: { family: 'crimson-pro', ink: 'Graphite' },
  ground({ on, i, skeleton }) {
    if (!skeleton) {
      on.paper('Oat cardstock', box(-1, -1, 28, 16), 0, 'paper', RECTANGLE, finishOf(0));
      return;
    }
    flat(on, 'Paper cardstock');
    if (skeleton.title && !skeleton.photos.some(([x, y]) => y < 0 && x < 100))
      flat(on, i % 2 ? 'Oat cardstock' : 'Feather fall', 'left');
    if (skeleton.title && i % 2 === 0)
      on.paper(
        'Paper cardstock',
        skeleton.photos.length > 1 ? box(0.9, 0.8, 10.2, 3.2) : box(0.9, 3.6, 10.2, 4.4),
        0,
        'mat',
      );
    if (skeleton.id === 'text') flat(on, 'Oat cardstock', 'right');
    if (skeleton.id === 'uprights' || skeleton.id === 'upright') flat(on, 'Oat cardstock', 'left');
  },
  mat() {},
  place: ({ photos }, k) => ({
    finish: {
      ...finishOf(0),
      ...(bleeds(photos[k]!) ? {} : { stroke: { colour: LINE, width: 0.6, side: 'outside' as const } }),
    },
  }),
  things({ on, i, skeleton, photos }) {
    if (skeleton?.title || photos.length > 4) return;
    const main = photos.find((at) => !bleeds(at));
    if (!main) return;
    const right = main.x > 12;
    on.thing(
      pick(['Sage leaf', 'Wooden feather', 'Sage leaf', 'Shell button'], i),
      right ? main.x + main.width : main.x,
      main.y + main.height,
      right ? -24 : 24,
      0.8,
    );
  },
  cover({ on }) {
    on.thing('Wooden feather', 9.9, 8.4, 18, 1.1);
  },
  alone({ on, i }) {
    flat(on, i ? 'Oat cardstock' : 'Paper cardstock', 'alone');
    on.thing('Sage leaf', 6, 3.4, i ? 170 : -12, 1.1);
  },
  front: { photo: [16, 14, 69, 56], title: [16, 75, 69, 10], under: [16, 86, 69, 5] },
};
