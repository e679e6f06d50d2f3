/** May: the fly-in. */
import { develop, layer } from '../photos/light';
import { BLUE, COATS, GREEN, PLUM, RED_GOLD, TEAL } from '../photos/looks';
import { coast, dune, GRASS, MAY_NOON } from '../photos/nature';
import { deltaKite, diamondKite, groundShadow, person } from '../photos/things';
import { INES, OLU, PIP, TAM, WREN } from './people';
import { dog } from './animals';
import { handWithWinder } from './near';
import { cake, far, mug } from './places';
import {
  BEACH,
  crowd,
  DUSK,
  JULY,
  kitesOver,
  land,
  meal,
  people,
  photo,
  sit,
  view,
  type YearPhoto,
} from './scenes';

export const MAY_PHOTOS: readonly YearPhoto[] = [
  photo(
    'may-01-morning',
    '2026-05-16T08:20:05',
    () => view({ weather: JULY, seed: 34, line: 0.46, shore: 0.6 }, 21, () => {}, { warmth: 0.02 }),
    { place: BEACH },
  ),
  photo(
    'may-02-winder',
    '2026-05-16T09:30:15',
    () => {
      const canvas = far(land({ weather: MAY_NOON, seed: 35, line: 0.6, shore: 0.4 }), 12);
      layer(canvas, 1, (c) => handWithWinder(c, 1040, 880, 440, INES.skin, INES.coat));
      return develop(canvas, 22);
    },
    { place: BEACH, caption: 'The wind is where we left it.' },
  ),
  photo(
    'may-03-ines-and-olu',
    '2026-05-16T09:52:00',
    () =>
      people({ weather: MAY_NOON, seed: 36 }, 23, [
        sit(INES, 0.36, 0.5, 0.42, 6),
        sit(OLU, 0.64, 0.46, 0.44, -5),
      ]),
    { place: BEACH, people: ['Ines', 'Olu'], stars: 5, caption: 'Ines and Olu, before the first launch.' },
  ),
  photo(
    'may-04-first-launch',
    '2026-05-16T10:05:41',
    () =>
      view({ weather: MAY_NOON, seed: 37, line: 0.6, shore: 0.3 }, 24, (c, w, h) => {
        groundShadow(c, w * 0.24, h * 0.9, h * 0.26, -0.8);
        const hand = person(c, w * 0.24, h * 0.9, h * 0.26, COATS[0]);
        diamondKite(c, w * 0.66, h * 0.34, h * 0.38, RED_GOLD, hand);
      }),
    { place: BEACH, stars: 5, people: ['Ines'], caption: 'The red one goes up at the first try.' },
  ),
  photo(
    'may-05-all-up',
    '2026-05-16T10:38:02',
    () =>
      view({ weather: MAY_NOON, seed: 38, line: 0.8, shore: 0.42 }, 25, (c, w, h) => {
        kitesOver(c, w, h, 5, 13);
        crowd(c, w, h, 3, 9);
      }),
    { place: BEACH, stars: 4 },
  ),
  photo(
    'may-06-all-up-again',
    '2026-05-16T10:38:05',
    () =>
      view({ weather: MAY_NOON, seed: 38, line: 0.8, shore: 0.42 }, 26, (c, w, h) => {
        c.translate(14, 9);
        kitesOver(c, w, h, 5, 13);
        crowd(c, w, h, 3, 9);
      }),
    { place: BEACH },
  ),
  photo(
    'may-07-pip',
    '2026-05-16T11:02:11',
    () => people({ weather: MAY_NOON, seed: 39, tall: true }, 27, [sit(PIP, 0.5, 0.44, 0.34, -5, 1)]),
    { place: BEACH, people: ['Pip'], stars: 5, caption: 'Higher!' },
  ),
  photo(
    'may-08-high',
    '2026-05-16T11:24:30',
    () =>
      view({ weather: MAY_NOON, seed: 66, line: 1.12, shore: 1, tall: true }, 28, (c, w, h) => {
        diamondKite(c, w * 0.54, h * 0.34, w * 0.5, BLUE, { x: w * 0.1, y: h * 1.05 });
        deltaKite(c, w * 0.24, h * 0.82, w * 0.1, GREEN);
      }),
    { place: BEACH },
  ),
  photo(
    'may-09-panorama',
    '2026-05-16T11:40:50',
    () => {
      const wide = coast(3000, 860, { ...MAY_NOON, seed: 70 }, 0.62, 0.4);
      layer(wide, 0.8, (c) => {
        kitesOver(c, 3000, 860, 8, 16, 0.4);
        crowd(c, 3000, 860, 2, 14);
      });
      return develop(wide, 29);
    },
    { place: BEACH, stars: 4, caption: 'Sixteen at once: a record for the bay.' },
  ),
  photo(
    'may-10-plum',
    '2026-05-16T12:02:11',
    () =>
      view({ weather: MAY_NOON, seed: 25, line: 1.3, shore: 1 }, 30, (c, w, h) =>
        diamondKite(c, w * 0.5, h * 0.42, h * 0.8, PLUM),
      ),
    { place: BEACH },
  ),
  photo(
    'may-11-picnic',
    '2026-05-16T12:30:00',
    () =>
      meal(
        31,
        (c, w, h) => {
          cake(c, w * 0.4, h * 0.5, h * 0.28, '#e8b0a0', 3);
          mug(c, w * 0.76, h * 0.34, h * 0.12, '#e0a93b', '#c2572a');
          mug(c, w * 0.78, h * 0.72, h * 0.12, '#f3ead6', '#c2572a');
        },
        ['#7d8f86', '#cdd6cc'],
      ),
    { place: BEACH, caption: 'Cherry cake, sand included.' },
  ),
  photo(
    'may-12-wren',
    '2026-05-16T12:44:21',
    () => people({ weather: MAY_NOON, seed: 41 }, 33, [sit(WREN, 0.6, 0.48, 0.48, 4, 0.9)]),
    { place: BEACH, people: ['Wren'], stars: 3 },
  ),
  photo(
    'may-13-biscuit',
    '2026-05-16T13:15:47',
    () => {
      const canvas = far(land({ weather: MAY_NOON, seed: 42, line: 0.4, shore: 0.2 }), 7);
      layer(canvas, 1, (c) => {
        groundShadow(c, 1100, 1240, 700, 0.8);
        dog(c, 1100, 1240, 900, '#a97a48', -1);
      });
      return develop(canvas, 34);
    },
    { place: BEACH, stars: 4, caption: 'Biscuit has caught one.' },
  ),
  photo(
    'may-14-grass',
    '2026-05-16T13:40:55',
    () => {
      const canvas = land({ weather: JULY, seed: 58, line: 0.56, shore: 0.5 });
      layer(canvas, 8, (c) => diamondKite(c, 1400, 340, 360, TEAL));
      layer(canvas, 1, (c) =>
        dune(c, 22, (u) => 0.82 - 0.12 * u + 0.03 * Math.sin(u * 7), {
          sand: '#e3cfa4',
          shade: '#a98e60',
          blades: 7000,
          length: 0.2,
          greens: GRASS,
        }),
      );
      return develop(canvas, 35, { warmth: 0.03, bloom: 0.22 });
    },
    { place: BEACH },
  ),
  photo(
    'may-15-tam-and-kite',
    '2026-05-16T14:10:10',
    () =>
      people({ weather: MAY_NOON, seed: 44 }, 36, [sit(TAM, 0.33, 0.52, 0.44, 3)], (c, w, h) =>
        diamondKite(c, w * 0.74, h * 0.4, h * 0.6, GREEN),
      ),
    { place: BEACH, people: ['Tam'], stars: 4 },
  ),
  photo(
    'may-16-everyone',
    '2026-05-16T15:05:00',
    () =>
      people({ weather: MAY_NOON, seed: 45 }, 37, [
        sit(WREN, 0.24, 0.5, 0.3, 4),
        sit(OLU, 0.43, 0.46, 0.32),
        sit(INES, 0.61, 0.48, 0.31, -3),
        sit(TAM, 0.79, 0.48, 0.31, -5),
        sit(PIP, 0.52, 0.72, 0.26, 3, 1),
      ]),
    {
      place: BEACH,
      people: ['Ines', 'Olu', 'Pip', 'Tam', 'Wren'],
      stars: 5,
      caption: 'All of us, and nobody blinked.',
    },
  ),
  photo(
    'may-17-last-light',
    '2026-05-16T20:51:33',
    () =>
      view(
        { weather: DUSK, seed: 46, line: 0.62, shore: 0.46 },
        38,
        (c, w, h) => {
          const dark = { top: '#241d2a', legs: '#1d1822', hair: '#1a1418', arm: 1 } as const;
          const hand = person(c, w * 0.66, h * 0.92, h * 0.24, dark);
          person(c, w * 0.74, h * 0.92, h * 0.15, { ...dark, arm: 0 });
          diamondKite(c, w * 0.42, h * 0.26, h * 0.18, RED_GOLD, hand);
        },
        { bloom: 0.34, warmth: 0.05 },
      ),
    { place: BEACH, stars: 4, caption: 'One more, and then home.' },
  ),
];
