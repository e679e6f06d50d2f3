/** March: a workshop. */
import { workshop } from '../photos/above';
import { RED_GOLD } from '../photos/looks';
import { diamondKite } from '../photos/things';
import { INES, OLU, PIP, TAM, WREN } from './people';
import { dog } from './animals';
import { buns, cottages, mug } from './places';
import { again, HOUSE, inside, MARCH, meal, people, photo, sit, view, type YearPhoto } from './scenes';

export const MARCH_PHOTOS: readonly YearPhoto[] = [
  photo(
    'march-01-boathouse',
    '2026-03-14T09:42:10',
    () =>
      view({ weather: MARCH, seed: 3, line: 0.5, shore: 0.3 }, 1, (c, w, h) =>
        cottages(c, w * 0.2, h * 0.72, w * 0.5, 2),
      ),
    { place: HOUSE, caption: 'The boathouse opens at ten.' },
  ),
  photo('march-02-table', '2026-03-14T10:12:30', () => again(workshop()), {
    place: HOUSE,
    stars: 4,
    caption: 'Spars, silk and far too much glue.',
  }),
  photo('march-03-ines', '2026-03-14T10:25:04', () => inside(11, [sit(INES, 0.5, 0.42, 0.34, -4)], true), {
    place: HOUSE,
    people: ['Ines'],
    stars: 5,
  }),
  photo('march-04-olu', '2026-03-14T10:31:40', () => inside(12, [sit(OLU, 0.42, 0.5, 0.5, 5)]), {
    place: HOUSE,
    people: ['Olu'],
    caption: 'Olu measures twice.',
  }),
  photo(
    'march-05-pip-and-wren',
    '2026-03-14T10:58:12',
    () => inside(13, [sit(WREN, 0.36, 0.42, 0.42, 5), sit(PIP, 0.68, 0.6, 0.36, -6)]),
    { place: HOUSE, people: ['Pip', 'Wren'], stars: 3 },
  ),
  photo(
    'march-06-tea',
    '2026-03-14T11:20:33',
    () =>
      meal(14, (c, w, h) => {
        buns(c, w * 0.36, h * 0.52, h * 0.27, 4);
        mug(c, w * 0.7, h * 0.34, h * 0.13, '#3f7f86');
        mug(c, w * 0.8, h * 0.7, h * 0.13, '#c9503f');
      }),
    { place: HOUSE, caption: 'Wren brought buns.' },
  ),
  photo(
    'march-07-dog',
    '2026-03-14T11:44:02',
    () => inside(15, [], true, (c, w, h) => dog(c, w * 0.5, h * 0.92, h * 0.62, '#a97a48', 1)),
    { place: HOUSE, caption: 'Biscuit guards the string.' },
  ),
  photo('march-08-tam', '2026-03-14T12:02:45', () => inside(16, [sit(TAM, 0.55, 0.5, 0.48, -3, 0.4)]), {
    place: HOUSE,
    people: ['Tam'],
  }),
  photo(
    'march-09-first-kite',
    '2026-03-14T12:40:00',
    () =>
      view({ weather: MARCH, seed: 9, line: 0.8, shore: 1, tall: true }, 9, (c, w, h) =>
        diamondKite(c, w * 0.5, h * 0.4, w * 0.72, RED_GOLD),
      ),
    { place: HOUSE, stars: 4, caption: 'Done by lunch.' },
  ),
  photo(
    'march-10-pip',
    '2026-03-14T12:48:30',
    () =>
      people({ weather: MARCH, seed: 10 }, 10, [sit(PIP, 0.34, 0.54, 0.46, -4, 1)], (c, w, h) =>
        diamondKite(c, w * 0.74, h * 0.42, h * 0.66, RED_GOLD),
      ),
    { place: HOUSE, people: ['Pip'], stars: 3, caption: 'Can I fly it now?' },
  ),
];
