/** The sheet a printer is measured with: what it leaves white at each edge, and how far backs come out from where they should. */
import type { Size } from '@/core/geometry/box';
import { along, BLACK, line, pictureOf, RED, words } from '@/core/packing/drawn';
import type { Mark, Picture } from '@/core/picture/picture';
import type { Typesetter } from '@/core/text/typesetter';
import { toPoints } from '@/core/units/lengths';

/** Marks it is measured by: so far apart, and so many to each side of the middle. */
const [EVERY, COUNT] = [toPoints(1, 'mm'), 10];
/** Steps from every edge inwards, a millimetre each. */
const STEPS = 20;

/** Stairs along an edge, each step a millimetre farther in than the one before, with its number. */
function stairs({ width, height }: Size, typesetter: Typesetter): Mark[] {
  const mm = EVERY;
  const from = 12 * mm;
  return Array.from({ length: STEPS }, (_, i) => i + 1).flatMap((k): Mark[] => {
    const at = from + k * 4.2 * mm;
    const [half, deep] = [1.6 * mm, k * mm];
    const beyond = deep + 2.4 * mm;
    return [
      line(along(at - half, deep, at + half, deep), BLACK, 0.5),
      line(along(width - at - half, height - deep, width - at + half, height - deep), BLACK, 0.5),
      line(along(deep, at - half, deep, at + half), BLACK, 0.5),
      line(along(width - deep, height - at - half, width - deep, height - at + half), BLACK, 0.5),
      words(String(k), 6, at, beyond, typesetter),
      words(String(k), 6, width - at, height - beyond, typesetter),
      words(String(k), 6, beyond, at, typesetter),
      words(String(k), 6, width - beyond, height - at, typesetter),
    ];
  });
}

/**
 * Its two sides: stairs along the edges of the front, of which the first step that is seen says what is lost there; rulers of
 * millimetres about the middle, and one line each on the back. Held against the light, the line says the shift.
 */
export function testSheet({ width, height }: Size, typesetter: Typesetter): [front: Picture, back: Picture] {
  const [x, y] = [width / 2, height / 2];
  const ticks = Array.from({ length: 2 * COUNT + 1 }, (_, i) => i - COUNT).flatMap((k): Mark[] => {
    const long = k === 0 ? 30 : k % 5 === 0 ? 20 : 12;
    const off = k * EVERY;
    return [
      line(along(x + off, y - 90 - long, x + off, y - 90), BLACK, k === 0 ? 0.8 : 0.4),
      line(along(x - 90 - long, y + off, x - 90, y + off), BLACK, k === 0 ? 0.8 : 0.4),
      ...(k % 5 === 0
        ? [
            words(String(k), 7, x + off, y - 90 - long - 6, typesetter),
            words(String(k), 7, x - 90 - long - 8, y + off, typesetter),
          ]
        : []),
    ];
  });
  const front = [
    ...stairs({ width, height }, typesetter),
    ...ticks,
    words('Front. Print both sides, hold it against the light.', 11, x, y + 62, typesetter),
    words(
      'Read where the lines of the back stand, in millimetres: across above, down at the left.',
      9,
      x,
      y + 80,
      typesetter,
    ),
  ];
  // On both sides of the middle: whichever way the paper is turned, one of each lies behind a ruler.
  const back = [
    ...[-1, 1].flatMap((to) => [
      line(along(x, y + to * 60, x, y + to * 130), RED, 0.5),
      line(along(x + to * 60, y, x + to * 130, y), RED, 0.5),
    ]),
    words('Back', 11, x, y, typesetter, RED),
  ];
  return [
    pictureOf('Test sheet, front', { width, height }, front),
    pictureOf('Test sheet, back', { width, height }, back),
  ];
}
