/** Boxes and their sides: laws that hold whatever they are, and a point for a point. */
import fc from 'fast-check';
import {
  boxOfPoints,
  centredBox,
  corners,
  outset,
  overlaps,
  transformBox,
  unite,
  within,
  type Box,
} from '@/core/geometry/box';
import { rotation, scaling, translation } from '@/core/geometry/matrix';
import { eachSide, evenly, leastOf, mostOf, safeArea, withBleed } from '@/core/geometry/sides';

const far = fc.integer({ min: -300, max: 300 });
const long = fc.integer({ min: 0, max: 200 });
const box = fc.record({ x: far, y: far, width: long, height: long });
const point = fc.record({ x: far, y: far });
const sides = fc.record({ top: long, right: long, bottom: long, left: long });

test('two boxes overlap where there is a place within both; of those that only touch there is none', () => {
  fc.assert(
    fc.property(box, box, (a, b) => {
      const inCommon = (from: 'x' | 'y', size: 'width' | 'height') =>
        Math.min(a[from] + a[size], b[from] + b[size]) - Math.max(a[from], b[from]);
      const seen = a.width && a.height && b.width && b.height;
      if (seen) expect(overlaps(a, b)).toBe(inCommon('x', 'width') > 0 && inCommon('y', 'height') > 0);
      expect(overlaps(a, b)).toBe(overlaps(b, a));
      const beside: Box = { ...b, x: a.x + a.width };
      expect(overlaps(a, beside)).toBe(false);
    }),
  );
});

test('of points, and of two boxes, it is the least that holds them all', () => {
  fc.assert(
    fc.property(fc.array(point, { minLength: 1, maxLength: 9 }), box, box, (points, a, b) => {
      const about = boxOfPoints(points);
      for (const each of points) expect(within(about, each)).toBe(true);
      for (const [side, at] of [
        ['x', about.x],
        ['x', about.x + about.width],
        ['y', about.y],
        ['y', about.y + about.height],
      ] as const)
        expect(points.some((each) => each[side] === at)).toBe(true);
      const both = unite(a, b);
      expect(both).toEqual(unite(b, a));
      expect(unite(both, a)).toEqual(both);
      for (const each of [...corners(a), ...corners(b)]) expect(within(both, each)).toBe(true);
      expect(both.width).toBeLessThanOrEqual(Math.max(a.x + a.width, b.x + b.width) - Math.min(a.x, b.x));
    }),
  );
  expect(boxOfPoints([])).toEqual({ x: Infinity, y: Infinity, width: -Infinity, height: -Infinity });
});

test('turned by a quarter its sides change places; moved and grown it is what it was, moved and grown', () => {
  fc.assert(
    fc.property(box, far, far, fc.integer({ min: 1, max: 9 }), (of, dx, dy, by) => {
      const turned = transformBox(rotation(90), of);
      expect(turned.width).toBeCloseTo(of.height, 6);
      expect(turned.height).toBeCloseTo(of.width, 6);
      expect(transformBox(translation(dx, dy), of)).toEqual({ ...of, x: of.x + dx, y: of.y + dy });
      const grown = transformBox(scaling(by), of);
      expect(grown).toEqual({ x: of.x * by, y: of.y * by, width: of.width * by, height: of.height * by });
      const { x, y, ...size } = centredBox(of);
      expect([x + size.width / 2, y + size.height / 2, size.width, size.height]).toEqual([
        0,
        0,
        of.width,
        of.height,
      ]);
      expect(outset(outset(of, by), -by)).toEqual(of);
    }),
  );
});

test('what is printed beyond a page and what is safe on it lie about and within it, each side by its own', () => {
  fc.assert(
    fc.property(long, long, sides, (width, height, by) => {
      const all = withBleed({ width, height, bleed: by });
      expect([0 - all.x, 0 - all.y, all.x + all.width - width, all.y + all.height - height]).toEqual([
        ...[by.left, by.top, by.right, by.bottom],
      ]);
      const safe = safeArea({ width, height, safe: by });
      expect([safe.x, safe.y, width - safe.x - safe.width, height - safe.y - safe.height]).toEqual([
        ...[by.left, by.top, by.right, by.bottom],
      ]);
      expect(safeArea({ ...safe, safe: evenly(0) })).toMatchObject({
        width: safe.width,
        height: safe.height,
      });
      const values = Object.values(by);
      expect([mostOf(by), leastOf(by)]).toEqual([Math.max(...values), Math.min(...values)]);
      expect(eachSide(by, (one) => 2 * one)).toEqual({
        ...{ top: 2 * by.top, right: 2 * by.right, bottom: 2 * by.bottom, left: 2 * by.left },
      });
    }),
  );
});
