/** November: lanterns. */
import { lantern, person } from '../photos/things';
import { INES, OLU, PIP, TAM, WREN } from './people';
import { dog } from './animals';
import { cottages, mug, soup } from './places';
import {
  crowd,
  DUSK,
  inside,
  lanterns,
  meal,
  NIGHT,
  people,
  photo,
  QUAY,
  sit,
  view,
  type YearPhoto,
} from './scenes';

export const NOVEMBER_PHOTOS: readonly YearPhoto[] = [
  photo(
    'november-01-quay',
    '2026-11-07T16:50:00',
    () =>
      view(
        { weather: DUSK, seed: 71, line: 0.5, shore: 1 },
        61,
        (c, w, h) => cottages(c, w * 0.02, h * 0.66, w * 0.94, 7, true),
        { bloom: 0.3 },
      ),
    { place: QUAY },
  ),
  photo(
    'november-02-making',
    '2026-11-07T17:10:20',
    () => inside(62, [sit(PIP, 0.4, 0.54, 0.44, 5), sit(INES, 0.68, 0.46, 0.42, -4)]),
    { place: QUAY, people: ['Pip', 'Ines'], stars: 3 },
  ),
  photo(
    'november-03-paper',
    '2026-11-07T17:22:41',
    () =>
      meal(63, (c, w, h) => {
        for (const [x, y, s, k] of [
          [0.3, 0.44, 0.2, '#e8812f'],
          [0.56, 0.6, 0.24, '#d8433a'],
          [0.78, 0.4, 0.17, '#efa545'],
        ] as const)
          lantern(c, w * x, h * y, h * s, k);
      }),
    { place: QUAY, caption: 'Paper, wire, and one candle each.' },
  ),
  photo(
    'november-04-olu',
    '2026-11-07T17:40:00',
    () =>
      people(
        { weather: NIGHT, seed: 74, tall: true },
        64,
        [sit(OLU, 0.5, 0.44, 0.34, -3, 0.9)],
        (c, w, h) => lanterns(c, w, h, 5, 9, h * 0.06),
        { bloom: 0.3, warmth: 0.05 },
      ),
    { place: QUAY, people: ['Olu'], stars: 4 },
  ),
  photo(
    'november-05-lit',
    '2026-11-07T18:05:33',
    () =>
      view(
        { weather: NIGHT, seed: 75, line: 0.6, shore: 0.4 },
        65,
        (c, w, h) => {
          lanterns(c, w, h, 6, 26, h * 0.05);
          lantern(c, w * 0.35, h * 0.46, h * 0.18, '#e8812f');
          person(c, w * 0.3, h * 0.97, h * 0.36, {
            top: '#4a2a26',
            legs: '#120d12',
            hair: '#0e0a0c',
            arm: 1,
          });
        },
        { bloom: 0.42, grain: 11, vignette: 0.3 },
      ),
    { place: QUAY, stars: 5, caption: 'Forty lanterns, no wind at all.' },
  ),
  photo(
    'november-06-pip',
    '2026-11-07T18:12:00',
    () =>
      people(
        { weather: NIGHT, seed: 76 },
        66,
        [sit(PIP, 0.44, 0.52, 0.52, 4, 1)],
        (c, w, h) => lanterns(c, w, h, 8, 12, h * 0.07),
        { bloom: 0.3, warmth: 0.06 },
      ),
    { place: QUAY, people: ['Pip'], stars: 5 },
  ),
  photo(
    'november-07-parade',
    '2026-11-07T18:30:18',
    () =>
      view(
        { weather: NIGHT, seed: 77, line: 0.55, shore: 0.3 },
        67,
        (c, w, h) => {
          lanterns(c, w, h, 9, 34, h * 0.045);
          crowd(c, w, h, 6, 9);
        },
        { bloom: 0.4, grain: 11, vignette: 0.3 },
      ),
    { place: QUAY, stars: 4 },
  ),
  photo(
    'november-08-parade-again',
    '2026-11-07T18:30:21',
    () =>
      view(
        { weather: NIGHT, seed: 77, line: 0.55, shore: 0.3 },
        68,
        (c, w, h) => {
          c.translate(-12, 6);
          lanterns(c, w, h, 9, 34, h * 0.045);
          crowd(c, w, h, 6, 9);
        },
        { bloom: 0.4, grain: 11, vignette: 0.3 },
      ),
    { place: QUAY },
  ),
  photo(
    'november-09-wren',
    '2026-11-07T18:44:00',
    () =>
      people(
        { weather: NIGHT, seed: 79 },
        69,
        [sit(WREN, 0.58, 0.5, 0.48, -4)],
        (c, w, h) => lanterns(c, w, h, 11, 10, h * 0.08),
        { bloom: 0.3, warmth: 0.05 },
      ),
    { place: QUAY, people: ['Wren'] },
  ),
  photo(
    'november-10-houses',
    '2026-11-07T19:02:10',
    () =>
      view(
        { weather: NIGHT, seed: 80, line: 0.5, shore: 1 },
        70,
        (c, w, h) => cottages(c, w * 0.04, h * 0.74, w * 0.9, 9, true),
        { bloom: 0.42, grain: 11 },
      ),
    { place: QUAY },
  ),
  photo(
    'november-11-soup',
    '2026-11-07T19:20:00',
    () =>
      meal(
        71,
        (c, w, h) => {
          soup(c, w * 0.5, h * 0.3, w * 0.3, '#a8452c', 5);
          mug(c, w * 0.34, h * 0.7, w * 0.14, '#c9503f', '#7a3d1c');
          mug(c, w * 0.68, h * 0.76, w * 0.14, '#24506b', '#7a3d1c');
        },
        ['#3c2a1f', '#7a573a'],
        true,
      ),
    { place: QUAY },
  ),
  photo(
    'november-12-tam-and-ines',
    '2026-11-07T19:31:00',
    () =>
      people(
        { weather: NIGHT, seed: 82 },
        72,
        [sit(TAM, 0.35, 0.48, 0.44, 4), sit(INES, 0.65, 0.5, 0.42, -4)],
        (c, w, h) => lanterns(c, w, h, 13, 12, h * 0.06),
        { bloom: 0.3, warmth: 0.05 },
      ),
    { place: QUAY, people: ['Tam', 'Ines'], stars: 4, caption: 'See you in March.' },
  ),
  photo(
    'november-13-one-left',
    '2026-11-07T19:45:05',
    () =>
      view(
        { weather: NIGHT, seed: 83, line: 0.5, shore: 1, tall: true },
        73,
        (c, w, h) => lantern(c, w * 0.5, h * 0.36, w * 0.34, '#e8812f'),
        { bloom: 0.5, grain: 11, vignette: 0.36 },
      ),
    { place: QUAY, stars: 4, caption: 'The last one over the water.' },
  ),
  photo(
    'november-14-biscuit',
    '2026-11-07T20:00:00',
    () => inside(74, [], false, (c, w, h) => dog(c, w * 0.5, h * 0.96, h * 0.86, '#a97a48', 1)),
    { place: QUAY, caption: 'Asleep before the kettle boiled.' },
  ),
];
