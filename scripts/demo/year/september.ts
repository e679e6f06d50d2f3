/** September: to the lighthouse. */
import { createCanvas } from '@napi-rs/canvas';
import { develop, layer } from '../photos/light';
import { dune, MAY_NOON } from '../photos/nature';
import { groundShadow, lighthouse } from '../photos/things';
import { INES, OLU, TAM, WREN } from './people';
import { dog } from './animals';
import { door } from './door';
import { cottages, far, soup } from './places';
import { DUSK, HEAD, inside, land, meal, NIGHT, people, photo, sit, view, type YearPhoto } from './scenes';

export const SEPTEMBER_PHOTOS: readonly YearPhoto[] = [
  photo(
    'september-01-cottages',
    '2026-09-19T15:20:00',
    () =>
      view({ weather: MAY_NOON, seed: 61, line: 0.5, shore: 0.2 }, 51, (c, w, h) =>
        cottages(c, w * 0.05, h * 0.76, w * 0.86, 5),
      ),
    { place: HEAD, caption: 'Through the village first.' },
  ),
  photo(
    'september-02-door',
    '2026-09-19T15:52:12',
    () => {
      const canvas = createCanvas(1333, 2000);
      layer(canvas, 0.8, (c) => door(c, canvas.width, canvas.height, '#2f6f78', 5));
      return develop(canvas, 52);
    },
    { place: HEAD, caption: 'Somebody lives here. Lucky somebody.' },
  ),
  photo(
    'september-03-tam',
    '2026-09-19T16:15:40',
    () => people({ weather: DUSK, seed: 63, tall: true }, 53, [sit(TAM, 0.5, 0.42, 0.34, 4)]),
    { place: HEAD, people: ['Tam'], stars: 3 },
  ),
  photo(
    'september-04-biscuit',
    '2026-09-19T16:30:00',
    () => {
      const canvas = far(land({ weather: MAY_NOON, seed: 64, line: 0.45, shore: 0.3, tall: true }), 7);
      layer(canvas, 1, (c) => {
        groundShadow(c, 660, 1830, 900, -0.6);
        dog(c, 660, 1830, 1150, '#a97a48');
      });
      return develop(canvas, 54, { warmth: 0.03 });
    },
    { place: HEAD, stars: 4, caption: 'Biscuit knows the way.' },
  ),
  photo(
    'september-05-lighthouse',
    '2026-09-19T18:40:00',
    () =>
      view(
        { weather: DUSK, seed: 88, line: 0.74, shore: 1, tall: true },
        55,
        (c, w, h) => {
          lighthouse(c, w * 0.56, h * 0.78, h * 0.56, '#ffe7a8');
          dune(c, 31, (u) => 0.775 - 0.035 * Math.sin(u * 3.3 + 0.2), {
            sand: '#8d7a66',
            shade: '#3d3540',
            blades: 5000,
            length: 0.05,
            greens: ['#4a4c33', '#65603c', '#37392b', '#7d7148'],
          });
        },
        { bloom: 0.3, warmth: 0.03 },
      ),
    { place: HEAD, stars: 5, caption: 'Lit as we came over the hill.' },
  ),
  photo(
    'september-06-wren-and-ines',
    '2026-09-19T18:47:09',
    () =>
      people(
        { weather: DUSK, seed: 66 },
        56,
        [sit(WREN, 0.36, 0.48, 0.42, 4), sit(INES, 0.64, 0.48, 0.42, -5)],
        undefined,
        { warmth: 0.04 },
      ),
    { place: HEAD, people: ['Wren', 'Ines'], stars: 4 },
  ),
  photo(
    'september-07-lighthouse-wide',
    '2026-09-19T18:55:00',
    () =>
      view(
        { weather: DUSK, seed: 67, line: 0.7, shore: 1 },
        57,
        (c, w, h) => {
          lighthouse(c, w * 0.72, h * 0.78, h * 0.5, '#ffe7a8');
          dune(c, 33, (u) => 0.78 - 0.04 * Math.sin(u * 2.3), {
            sand: '#8d7a66',
            shade: '#3d3540',
            blades: 5000,
            length: 0.06,
            greens: ['#4a4c33', '#65603c', '#37392b', '#7d7148'],
          });
        },
        { bloom: 0.28, warmth: 0.03 },
      ),
    { place: HEAD },
  ),
  photo(
    'september-08-soup',
    '2026-09-19T19:40:00',
    () =>
      meal(58, (c, w, h) => {
        soup(c, w * 0.32, h * 0.5, h * 0.3, '#c77b36', 3);
        soup(c, w * 0.72, h * 0.48, h * 0.26, '#c77b36', 8);
      }),
    { place: HEAD, caption: 'Pumpkin, at the keeper’s table.' },
  ),
  photo(
    'september-09-olu-and-tam',
    '2026-09-19T20:02:00',
    () => inside(59, [sit(OLU, 0.35, 0.5, 0.42, 4), sit(TAM, 0.66, 0.5, 0.42, -4)]),
    { place: HEAD, people: ['Olu', 'Tam'] },
  ),
  photo(
    'september-10-stars',
    '2026-09-19T21:10:00',
    () =>
      view(
        { weather: NIGHT, seed: 69, line: 0.7, shore: 1 },
        60,
        (c, w, h) => {
          lighthouse(c, w * 0.3, h * 0.78, h * 0.5, '#ffe7a8');
          dune(c, 35, (u) => 0.78 - 0.03 * Math.sin(u * 2), {
            sand: '#2b2a33',
            shade: '#14141c',
            blades: 4000,
            length: 0.05,
            greens: ['#1f2420', '#2a2e22'],
          });
        },
        { bloom: 0.4, grain: 11 },
      ),
    { place: HEAD, stars: 4, caption: 'We stayed for the beam.' },
  ),
];
