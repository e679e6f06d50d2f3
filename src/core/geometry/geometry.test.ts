import fc from 'fast-check';
import { boxOfPoints, type Box } from '@/core/geometry/box';
import { areaOf, CORNERS, grown, without } from '@/core/geometry/offset';
import {
  apply,
  compose,
  growth,
  invert,
  rotation,
  scaling,
  translation,
  type Matrix,
  type Point,
} from '@/core/geometry/matrix';
import {
  contains,
  ellipsePath,
  parsePath,
  pathBounds,
  pathData,
  flatten,
  rectanglePath,
  straightened,
  transformPath,
  type Path,
} from '@/core/geometry/path';
import { uprightMatrix } from '@/core/picture/asset';

const number = fc.double({ min: -500, max: 500, noNaN: true });
const map = fc
  .tuple(number, number, number, fc.double({ min: 0.05, max: 20, noNaN: true }), fc.boolean())
  .map(([x, y, turn, scale, mirror]): Matrix =>
    compose(translation(x, y), rotation(turn), scaling(mirror ? -scale : scale, scale)),
  );

test('the box of very many points is found', () => {
  const points = Array.from({ length: 400_000 }, (_, i) => ({ x: i % 1000, y: -Math.floor(i / 1000) }));
  expect(boxOfPoints(points)).toEqual({ x: 0, y: -399, width: 999, height: 399 });
});

describe('matrices', () => {
  test('a map and its way back leave every point where it was', () => {
    fc.assert(
      fc.property(map, number, number, (m, x, y) => {
        const back = apply(invert(m), apply(m, { x, y }));
        expect(back.x).toBeCloseTo(x, 6);
        expect(back.y).toBeCloseTo(y, 6);
      }),
    );
  });

  test('composing is doing the last one first, and is associative', () => {
    fc.assert(
      fc.property(map, map, map, number, number, (a, b, c, x, y) => {
        const once = apply(compose(a, b), { x, y });
        const twice = apply(a, apply(b, { x, y }));
        expect(once.x).toBeCloseTo(twice.x, 4);
        expect(once.y).toBeCloseTo(twice.y, 4);
        const [left, right] = [compose(compose(a, b), c), compose(a, compose(b, c))];
        left.forEach((v, i) =>
          expect(Math.abs(v - right[i]!)).toBeLessThanOrEqual(1e-9 * (1 + Math.max(...left.map(Math.abs)))),
        );
      }),
    );
  });

  test('a quarter turn clockwise takes right to down', () => {
    const { x, y } = apply(rotation(90), { x: 1, y: 0 });
    expect(x).toBeCloseTo(0, 12);
    expect(y).toBeCloseTo(1, 12);
    expect(growth(compose(rotation(33), scaling(3)))).toBeCloseTo(3, 12);
  });

  test('each Exif orientation brings the stored top left corner where Exif 2.32 says', () => {
    // Where the stored row 0, column 0 lies on the upright picture (Exif 2.32, tag 0x0112), for 40 x 20 stored pixels.
    const corner = {
      1: [0, 0],
      2: [40, 0],
      3: [40, 20],
      4: [0, 20],
      5: [0, 0],
      6: [20, 0],
      7: [20, 40],
      8: [0, 40],
    };
    for (const [orientation, [x, y]] of Object.entries(corner))
      expect(
        apply(uprightMatrix({ width: 40, height: 20, orientation: Number(orientation) }), { x: 0, y: 0 }),
      ).toEqual({ x, y });
  });
});

describe('paths', () => {
  test('an ellipse stays within 0.03 % of the true one', () => {
    const path = ellipsePath({ x: -1, y: -1, width: 2, height: 2 });
    for (const [kind, ...v] of path)
      if (kind === 'C') {
        // The middle of each quarter is where four cubic curves err most.
        expect(Math.hypot(v[4]!, v[5]!)).toBeCloseTo(1, 12);
      }
    const { width, height } = pathBounds(transformPath(rotation(45), path));
    expect(width).toBeCloseTo(2, 3);
    expect(height).toBeCloseTo(2, 3);
  });

  test('bounds hold a curve’s bulge and no more', () => {
    expect(pathBounds(parsePath('M0 0C0 100 100 100 100 0'))).toEqual({ x: 0, y: 0, width: 100, height: 75 });
  });

  test('in straight parts no curve is left by more than was allowed, nor in more parts; what is straight is one', () => {
    const curve = fc.array(number, { minLength: 8, maxLength: 8 });
    fc.assert(
      fc.property(curve, fc.double({ min: 0.01, max: 5, noNaN: true }), ([a, b, ...c], off) => {
        const path: Path = [
          ['M', a!, b!],
          ['C', c[0]!, c[1]!, c[2]!, c[3]!, c[4]!, c[5]!],
        ];
        const parts = flatten(straightened(path, off, 1000))[0]!;
        expect(parts.at(-1)).toEqual({ x: c[4], y: c[5] });
        const away = ({ x, y }: Point) =>
          Math.min(
            ...parts.slice(1).map((to, i) => {
              const [dx, dy] = [to.x - parts[i]!.x, to.y - parts[i]!.y];
              const along = ((x - parts[i]!.x) * dx + (y - parts[i]!.y) * dy) / (dx * dx + dy * dy || 1);
              const t = Math.max(0, Math.min(1, along));
              return Math.hypot(x - parts[i]!.x - t * dx, y - parts[i]!.y - t * dy);
            }),
          );
        expect(Math.max(...flatten(path, 60)[0]!.map(away))).toBeLessThanOrEqual(off * (1 + 1e-9));
        expect(straightened(path, off, 7).length).toBeLessThanOrEqual(8);
      }),
    );
    const straight = parsePath('M0 0C10 10 20 20 30 30');
    expect(pathData(straightened(straight, 0.01, 48))).toBe('M0 0L30 30');
  });

  test('numbers after a closed path are refused, however they are written; so is what ends too soon', () => {
    for (const data of [
      'M0 0L9 9Z1e5',
      'M0 0Z 2.5E-2 c1 1 1 1 1 1',
      'M0 0Z4 4',
      'M0',
      'M0 0L5',
      'M0 0C1 1 2 2 3',
      '4 4',
      'M0 0A1 1 0 0 0 5 5',
      'M0 0LZ',
      'M1e999 0',
    ])
      expect(() => parsePath(data)).toThrow(SyntaxError);
    expect(pathData(parsePath('m10-5.5l.5.5+1e1.25h-3v.5z'))).toBe(
      'M10 -5.5L10.5 -5L20.5 -4.75L17.5 -4.75L17.5 -4.25Z',
    );
  });

  test('path data is read in every command but arcs, absolute and relative', () => {
    const square = 'M10 10H30V30H10Z';
    expect(pathData(parsePath('m10 10h20v20h-20z'))).toBe(pathData(parsePath(square)));
    expect(pathData(parsePath('M0 0Q30 0 30 30T60 60'))).toBe('M0 0C20 0 30 10 30 30C30 50 40 60 60 60');
    expect(pathData(parsePath('M0 0C0 5 5 10 10 10S20 15 20 20'))).toBe(
      'M0 0C0 5 5 10 10 10C15 10 20 15 20 20',
    );
    expect(() => parsePath('M0 0A1 1 0 0 1 2 2')).toThrow(SyntaxError);
    expect(() => parsePath('M0')).toThrow(SyntaxError);
  });

  test('a point is inside a ring but not in its hole, and near an edge within the tolerance', () => {
    const ring = [...rectanglePath({ x: 0, y: 0, width: 10, height: 10 }), ...parsePath('M3 3V7H7V3Z')];
    expect(contains(ring, { x: 1, y: 5 })).toBe(true);
    expect(contains(ring, { x: 5, y: 5 })).toBe(false);
    expect(contains(ring, { x: 11, y: 5 })).toBe(false);
    expect(contains(ring, { x: 11, y: 5 }, 1.5)).toBe(true);
  });
});

describe('outlines that grow', () => {
  const square = rectanglePath({ x: 0, y: 0, width: 100, height: 100 });
  const holed = (...holes: readonly Box[]) =>
    holes.reduce((path, hole) => without(path, rectanglePath(hole)), square);

  test('holes become narrower on every side, and close up where they were no wider than twice as much', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 80 }),
        fc.integer({ min: 1, max: 12 }),
        fc.constantFrom(...CORNERS),
        (width, height, by, corners) => {
          const left = Math.max(0, width - 2 * by) * Math.max(0, height - 2 * by);
          const open =
            areaOf(grown(square, by, corners)) -
            areaOf(grown(holed({ x: 30, y: 9, width, height }), by, corners));
          expect(Math.abs(open - left)).toBeLessThan(0.5);
        },
      ),
    );
  });

  test('what closes up takes nothing else with it: other holes, and what lies in them', () => {
    const wide = { x: 10, y: 10, width: 40, height: 40 };
    const lace = holed(wide, { x: 60, y: 10, width: 4, height: 30 }, { x: 70, y: 60, width: 3, height: 3 });
    const island = [...lace, ...rectanglePath({ x: 25, y: 25, width: 10, height: 10 })];
    expect(areaOf(grown(island, 3, 'mitred'))).toBeCloseTo(106 ** 2 - 34 ** 2 + 16 ** 2, 0);
    // Smaller, they become wider.
    expect(areaOf(grown(lace, -3, 'mitred'))).toBeCloseTo(94 ** 2 - 46 ** 2 - 10 * 36 - 9 ** 2, 0);
  });
});
