import fc from 'fast-check';
import { centredBox, corners } from '@/core/geometry/box';
import { apply, invert } from '@/core/geometry/matrix';
import { castShadow, liftMarks } from '@/core/piece/finish/lift';
import { DAYLIGHT } from '@/core/piece/finish/light';
import { rectanglePath } from '@/core/geometry/path';
import {
  closer,
  coverScale,
  keepCovered,
  slid,
  windowMatrix,
  type Window,
} from '@/core/piece/material/window';
import { normalTurn, placedAt, placementMatrix, resized, type Side } from '@/core/piece/placement/placement';

const side = fc.double({ min: 5, max: 900, noNaN: true });
const size = fc.record({ width: side, height: side });
const turn = fc.double({ min: -180, max: 180, noNaN: true });
const window = fc.record({
  x: fc.double({ min: 0, max: 1, noNaN: true }),
  y: fc.double({ min: 0, max: 1, noNaN: true }),
  zoom: fc.double({ min: 1, max: 8, noNaN: true }),
  turn,
});

describe('a picture in its place', () => {
  test('never leaves a part of the place bare and is never squashed', () => {
    fc.assert(
      fc.property(size, size, window, (picture, box, wanted) => {
        const scale = coverScale(picture, box, wanted.turn);
        const map = windowMatrix(wanted, picture, box, scale);
        expect(Math.hypot(map[0], map[1])).toBeCloseTo(Math.hypot(map[2], map[3]), 9);
        for (const corner of corners(centredBox(box))) {
          const pixel = apply(invert(map), corner);
          const slack = 1e-6 * (picture.width + picture.height + box.width + box.height);
          expect(pixel.x).toBeGreaterThanOrEqual(-slack);
          expect(pixel.y).toBeGreaterThanOrEqual(-slack);
          expect(pixel.x).toBeLessThanOrEqual(picture.width + slack);
          expect(pixel.y).toBeLessThanOrEqual(picture.height + slack);
        }
      }),
    );
  });

  test('follows the hand that slides it, until its edge is reached', () => {
    const picture = { width: 300, height: 200 };
    const box = { width: 100, height: 100 };
    const scale = coverScale(picture, box, 0);
    const start: Window = { x: 0.5, y: 0.5, zoom: 2, turn: 0 };
    const moved = slid(start, { x: 10, y: -5 }, picture, box, scale);
    const point = { x: 150, y: 100 };
    const before = apply(windowMatrix(start, picture, box, scale), point);
    const after = apply(windowMatrix(moved, picture, box, scale), point);
    expect(after.x - before.x).toBeCloseTo(10, 9);
    expect(after.y - before.y).toBeCloseTo(-5, 9);
    const far = slid(start, { x: 1e5, y: 0 }, picture, box, scale);
    expect(far).toEqual(keepCovered(far, picture, box, scale));
  });

  test('coming closer keeps what lies under the pointer, and ends at the whole picture', () => {
    const picture = { width: 300, height: 200 };
    const box = { width: 100, height: 100 };
    const scale = coverScale(picture, box, 20);
    const start: Window = { x: 0.5, y: 0.5, zoom: 2, turn: 20 };
    const about = { x: 30, y: -20 };
    const under = (window: Window) => apply(invert(windowMatrix(window, picture, box, scale)), about);
    const near = closer(start, 1.5, about, picture, box, scale);
    expect(near.zoom).toBe(3);
    expect(under(near).x).toBeCloseTo(under(start).x, 9);
    expect(under(near).y).toBeCloseTo(under(start).y, 9);
    expect(closer(start, 1e-3, about, picture, box, scale).zoom).toBe(1);
    expect(closer(start, 1e3, about, picture, box, scale).zoom).toBe(20);
    // What was cut out of a picture that lay closer stays as it is.
    expect(closer({ ...start, zoom: 30 }, 2, about, picture, box, scale).zoom).toBe(30);
  });
});

describe('placement', () => {
  const placement = fc
    .tuple(size, turn, fc.boolean())
    .map(([box, degrees, mirror]) => ({ ...placedAt({ x: 40, y: 60, ...box }, degrees), mirror }));

  test('a corner keeps proportion, and the side opposite a handle stays where it is', () => {
    fc.assert(
      fc.property(
        placement,
        fc.constantFrom<Side>(-1, 0, 1),
        fc.constantFrom<Side>(-1, 1),
        side,
        side,
        (from, sx, sy, x, y) => {
          const to = resized(from, sx, sy, { x, y });
          const anchor = { x: (-sx * from.width) / 2, y: (-sy * from.height) / 2 };
          const before = apply(placementMatrix(from), anchor);
          const after = apply(placementMatrix(to), { x: (-sx * to.width) / 2, y: (-sy * to.height) / 2 });
          expect(after.x).toBeCloseTo(before.x, 6);
          expect(after.y).toBeCloseTo(before.y, 6);
          if (sx !== 0) expect(to.width / to.height).toBeCloseTo(from.width / from.height, 6);
          else expect(to.width).toBe(from.width);
        },
      ),
    );
  });

  test('turns stay above -180 and up to 180', () => {
    fc.assert(
      fc.property(fc.double({ min: -5000, max: 5000, noNaN: true }), (degrees) => {
        const within = normalTurn(degrees);
        expect(within).toBeGreaterThan(-180 - 1e-9);
        expect(within).toBeLessThanOrEqual(180);
        expect(Math.cos(((within - degrees) * Math.PI) / 180)).toBeCloseTo(1, 9);
      }),
    );
  });
});

describe('lift and light', () => {
  test('the shadow lies h·cot(e) away from the light, whatever the piece’s turn and mirror', () => {
    fc.assert(
      fc.property(turn, fc.boolean(), fc.integer({ min: 0, max: 359 }), (degrees, mirror, direction) => {
        const placement = { ...placedAt({ x: 0, y: 0, width: 50, height: 30 }, degrees), mirror };
        const map = placementMatrix(placement);
        const path = rectanglePath(centredBox(placement));
        const light = { ...DAYLIGHT, direction };
        const [shadow] = liftMarks({ height: 1, shadow: true }, light, path, 0, map);
        if (shadow?.mark !== 'shadow') throw new Error('no shadow');
        const [a, b, c, d] = map;
        const onPage = apply([a, b, c, d, 0, 0], shadow.offset);
        // A 1 mm lift stands 1 mm = 2.8346 pt high; the light is 36 degrees up.
        const length = 72 / 25.4 / Math.tan((36 * Math.PI) / 180);
        expect(onPage.x).toBeCloseTo(-Math.sin((direction * Math.PI) / 180) * length, 6);
        expect(onPage.y).toBeCloseTo(Math.cos((direction * Math.PI) / 180) * length, 6);
      }),
    );
  });

  test('higher is further and softer; ink has none', () => {
    const heights = [0.1, 0.3, 1.5, 3].map((lift) => castShadow(lift, DAYLIGHT));
    heights.slice(1).forEach((shadow, i) => {
      expect(shadow.offset).toBeGreaterThan(heights[i]!.offset);
      expect(shadow.blur).toBeGreaterThan(heights[i]!.blur);
    });
    expect(liftMarks({ height: 0, shadow: true }, DAYLIGHT, [], 0, [1, 0, 0, 1, 0, 0])).toEqual([]);
  });
});
