/** July: tide pools. */
import { tidePool } from '../photos/above';
import { develop, layer } from '../photos/light';
import { INES, OLU, PIP } from './people';
import { gull } from './animals';
import { thrifts } from './near';
import { buns, far, mug } from './places';
import { again, crowd, JULY, land, meal, people, photo, ROCKS, sit, view, type YearPhoto } from './scenes';

export const JULY_PHOTOS: readonly YearPhoto[] = [
  photo(
    'july-01-rocks',
    '2026-07-11T08:55:20',
    () =>
      view({ weather: JULY, seed: 51, line: 0.5, shore: 1 }, 41, (c, w, h) =>
        gull(c, w * 0.3, h * 0.62, h * 0.16),
      ),
    { place: ROCKS },
  ),
  photo('july-02-pool', '2026-07-11T09:31:20', () => again(tidePool()), {
    place: ROCKS,
    stars: 4,
    caption: 'Three stars and a crab that would not wait.',
  }),
  photo(
    'july-03-pip',
    '2026-07-11T09:40:02',
    () => people({ weather: JULY, seed: 53, line: 0.4 }, 42, [sit(PIP, 0.52, 0.54, 0.56, 7, 1)]),
    { place: ROCKS, people: ['Pip'], stars: 5, caption: 'Pip found it first.' },
  ),
  photo(
    'july-04-ines-and-pip',
    '2026-07-11T09:58:44',
    () =>
      people({ weather: JULY, seed: 54, tall: true }, 43, [
        sit(INES, 0.42, 0.36, 0.28, 5),
        sit(PIP, 0.62, 0.6, 0.25, -6, 1),
      ]),
    { place: ROCKS, people: ['Ines', 'Pip'], stars: 3 },
  ),
  photo(
    'july-05-thrift',
    '2026-07-11T10:20:00',
    () => {
      const canvas = far(land({ weather: JULY, seed: 55, line: 0.5, shore: 0.4 }), 14);
      layer(canvas, 26, (c) => thrifts(c, canvas.width, canvas.height, 3, 7, 0.06));
      layer(canvas, 0.8, (c) => thrifts(c, canvas.width, canvas.height, 8, 5, 0.13));
      return develop(canvas, 44);
    },
    { place: ROCKS, caption: 'Thrift, all along the cliff.' },
  ),
  photo(
    'july-06-gull',
    '2026-07-11T10:41:15',
    () => {
      const canvas = far(land({ weather: JULY, seed: 56, line: 0.7, shore: 1, tall: true }), 8);
      layer(canvas, 0.8, (c) => gull(c, 620, 1420, 620));
      return develop(canvas, 45);
    },
    { place: ROCKS, caption: 'The owner of the place.' },
  ),
  photo(
    'july-07-lunch',
    '2026-07-11T12:15:00',
    () =>
      meal(
        46,
        (c, w, h) => {
          buns(c, w * 0.5, h * 0.34, w * 0.3, 9);
          mug(c, w * 0.32, h * 0.74, w * 0.13, '#3f7f86', '#e0a04a');
          mug(c, w * 0.68, h * 0.78, w * 0.13, '#7c4466', '#e0a04a');
        },
        ['#8f8577', '#d6cbb6'],
        true,
      ),
    { place: ROCKS },
  ),
  photo(
    'july-08-olu',
    '2026-07-11T12:40:31',
    () => people({ weather: JULY, seed: 57 }, 47, [sit(OLU, 0.4, 0.5, 0.5, -4, 0.9)]),
    { place: ROCKS, people: ['Olu'], caption: 'Olu lost a boot.' },
  ),
  photo(
    'july-09-walking-back',
    '2026-07-11T13:30:00',
    () => view({ weather: JULY, seed: 58, line: 0.5, shore: 0.3 }, 48, (c, w, h) => crowd(c, w, h, 4, 4)),
    { place: ROCKS },
  ),
];
