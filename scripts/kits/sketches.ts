/** Sketches: plans of where photos go, without a supply. */
import type { Project } from '@/core/project/model';
import type { Typesetter } from '@/core/text/typesetter';
import { box, Composer, Material } from './compose';
import { projectOf, SIDE } from './pages';

/** A place in inches on a page of 12 x 12: from the left, from the top, width, height, degrees clockwise. */
type Place = readonly [number, number, number, number, number?];

/** Rows and columns of places of one size. */
const grid = (
  [x, y]: readonly [number, number],
  [w, h]: readonly [number, number],
  columns: number,
  rows: number,
  gap = 0.2,
): Place[] =>
  Array.from({ length: columns * rows }, (_, i) => [
    x + (i % columns) * (w + gap),
    y + Math.floor(i / columns) * (h + gap),
    w,
    h,
  ]);

/** A rectangle of 1 to the golden section, cut into squares so many times; the rest is the last place. */
function golden(x: number, y: number, width: number, times: number): Place[] {
  const section = (1 + Math.sqrt(5)) / 2;
  const places: Place[] = [];
  let [left, top, w, h] = [x, y, width, width / section];
  const gap = 0.12;
  for (let i = 0; i < times; i++) {
    const side = Math.min(w, h);
    const [a, b] = [
      [left, top],
      [left, top],
      [left + w - side, top],
      [left, top + h - side],
    ][i % 4] as [number, number];
    places.push([a, b, side - gap, side - gap]);
    if (w > h) [left, w] = [i % 4 === 0 ? left + side : left, w - side];
    else [top, h] = [i % 4 === 1 ? top + side : top, h - side];
  }
  return [...places, [left, top, w - gap, h - gap]];
}

const COUNTED = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];

const PLANS: readonly (readonly [name: string, places: readonly Place[]])[] = [
  ['One and three', [[0.75, 0.75, 7, 7], ...grid([8.25, 0.75], [3, 3], 1, 3, 0.25)]],
  ['Band of five', grid([0.6, 4], [2, 4], 5, 1)],
  [
    'Wide and pair',
    [
      [1, 1, 10, 5.5],
      [1, 6.9, 4.85, 3.4],
      [6.15, 6.9, 4.85, 3.4],
    ],
  ],
  ['Nine squares', grid([1, 1], [3.2, 3.2], 3, 3)],
  [
    'Corner cluster',
    [
      [5, 0.8, 6.2, 4.6],
      [2.6, 3.8, 3.4, 4.4],
      [6.4, 5.8, 4.2, 3.2],
    ],
  ],
  [
    'Tall page',
    [
      [0.9, 0.9, 5, 10.2],
      [6.4, 5.4, 4.7, 5.7],
    ],
  ],
  ['Two standing', grid([0.9, 1.4], [4.9, 6.9], 2, 1, 0.4)],
  ['One to the left', [[0.75, 1.6, 6.8, 8.8]]],
  ['Six in two rows', grid([0.8, 1], [3.3, 3.6], 3, 2)],
  ['Four and a margin', grid([0.7, 0.7], [4.1, 4.1], 2, 2)],
  [
    'Staircase',
    [
      [0.7, 0.7, 3.6, 3.6],
      [3.1, 3.1, 3.6, 3.6],
      [5.5, 5.5, 3.6, 3.6],
      [7.9, 7.9, 3.4, 3.4],
    ],
  ],
  [
    'Pinwheel',
    [
      [1, 1, 6, 3.8],
      [7.2, 1, 3.8, 6],
      [5, 7.2, 6, 3.8],
      [1, 5, 3.8, 6],
    ],
  ],
  ['One and six', [[2.9, 0.8, 6.2, 6.2], ...grid([0.75, 7.4], [1.6, 2.1], 6, 1, 0.18)]],
  ['Eight about a title', grid([0.9, 0.9], [3.2, 3.2], 3, 3, 0.3).filter((_, i) => i !== 4)],
  ['Three over one', [...grid([0.8, 0.8], [3.3, 3.3], 3, 1, 0.25), [0.8, 4.4, 10.4, 5.4]]],
  ['Column and tall', [[5.2, 0.8, 6, 10.4], ...grid([0.8, 0.8], [4.1, 3.3], 1, 3, 0.25)]],
  ['Three across the middle', grid([-0.125, 3.6], [3.97, 4.8], 3, 1, 0.17)],
  ['Two and a row', [...grid([0.8, 0.8], [5.1, 5.4], 2, 1), ...grid([0.8, 6.5], [2.45, 2.45], 4, 1)]],
  [
    'Laid askew',
    [
      [1.2, 1.4, 5.2, 4, -5],
      [5.6, 4.4, 5.2, 4, 4],
      [1.6, 6.6, 4.2, 3.4, -2],
    ],
  ],
  [
    'Scattered five',
    [
      [0.9, 0.9, 3.4, 4, -6],
      [4.5, 0.7, 3.4, 4, 3],
      [7.9, 1.5, 3.4, 4, 8],
      [2.3, 5.6, 3.4, 4, 5],
      [6.3, 5.9, 3.4, 4, -4],
    ],
  ],
  ['Golden section', golden(0.8, 2.4, 10.5, 4)],
  [
    'Story on the right',
    [
      [0.8, 0.8, 5.6, 7.2],
      [0.8, 8.2, 2.7, 2.9],
      [3.7, 8.2, 2.7, 2.9],
    ],
  ],
  ['Seven days', [...grid([0.8, 1], [2.45, 3.2], 4, 1), ...grid([0.8, 4.5], [2.45, 3.2], 3, 1)]],
  [
    'Whole page and inset',
    [
      [-0.125, -0.125, 12.25, 12.25],
      [7.2, 7.2, 3.8, 3.8],
    ],
  ],
];

/** The sketches that lie in one of so many kits: each is in one of them. */
export const sketchesOf = (kit: number, kits: number): { project: Project; tags: string }[] =>
  PLANS.flatMap(([title, places], i) => {
    if (i % kits !== kit) return [];
    const nothing = new Material(
      () => {
        throw new Error('A sketch has no supplies.');
      },
      undefined as unknown as Typesetter,
    );
    const on = new Composer(nothing, { width: SIDE, height: SIDE });
    places.forEach(([x, y, w, h, turn = 0]) => on.place(box(x, y, w, h), turn));
    const count = `${COUNTED[places.length]} ${places.length === 1 ? 'photo' : 'photos'}`;
    return [{ project: projectOf(`sketch-${i + 1}`, title, on), tags: `sketch plan ${count}` }];
  });
