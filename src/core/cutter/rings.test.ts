/** Outlines as rings: curves followed to the width of a blade, holes in what is about them, areas put together and taken off. */
import fc from 'fast-check';
import { areaOf, signedArea } from '@/core/geometry/offset';
import { ellipsePath, parsePath, rectanglePath, type Path } from '@/core/geometry/path';
import { comesBack, inRing, lengthOf, nested, runsOf, thinned, type Ring } from '@/core/cutter/rings';
import { FINE, inCommon, minus, ringsOf, shapeOf, union } from '@/core/cutter/shapes';
import { itemOf } from '../../../scripts/testing/cuts';

const square = (x: number, y: number, side: number): Path =>
  rectanglePath({ x, y, width: side, height: side });
const ringOf = (path: Path): Ring => runsOf(path, FINE)[0]!.points;
const back = (ring: Ring): Ring => [...ring].reverse();
const number = fc.double({ min: -200, max: 200, noNaN: true });

describe('runs', () => {
  test('no curve is left by more than is allowed, and ever finer there are ever more points', () => {
    fc.assert(
      fc.property(
        number,
        number,
        number,
        number,
        number,
        number,
        fc.constantFrom(0.01, 0.1, 1),
        (ax, ay, bx, by, x, y, off) => {
          const path: Path = [
            ['M', 0, 0],
            ['C', ax, ay, bx, by, x, y],
          ];
          const [run] = runsOf(path, off);
          const points = run?.points ?? [];
          expect(points.length).toBeLessThanOrEqual(runsOf(path, off / 4)[0]!.points.length);
          for (let i = 0; i <= 60; i++) {
            const t = i / 60;
            const [k1, k2, k3] = [3 * t * (1 - t) ** 2, 3 * t * t * (1 - t), t ** 3] as const;
            const p = { x: k1 * ax + k2 * bx + k3 * x, y: k1 * ay + k2 * by + k3 * y };
            const near = points.slice(1).reduce((least, b, k) => {
              const a = points[k]!;
              const long2 = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
              const s = long2
                ? Math.max(0, Math.min(1, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / long2))
                : 0;
              return Math.min(least, Math.hypot(p.x - a.x - s * (b.x - a.x), p.y - a.y - s * (b.y - a.y)));
            }, Infinity);
            expect(near).toBeLessThan(off * 1.001 + 1e-9);
          }
        },
      ),
      { numRuns: 20 },
    );
  });

  test('each beginning is one; what is closed says so, and what comes back to where it began without saying it does, too', () => {
    const runs = runsOf(parsePath('M0 0L9 0L9 9ZM20 0L29 0L29 9L20 0M40 0L49 0L49 9'), FINE);
    expect(runs.map(({ closed }) => closed)).toEqual([true, false, false]);
    expect(runs.map(comesBack)).toEqual([true, true, false]);
    expect(
      comesBack({
        points: [
          { x: 0, y: 0 },
          { x: 5, y: 0 },
          { x: 0, y: 0 },
        ],
        closed: false,
      }),
    ).toBe(false);
    expect(runsOf(parsePath('M0 0M5 5L6 6'), FINE)).toHaveLength(1);
    expect(runsOf([['L', 3, 3]], FINE)).toEqual([]);
  });

  test('the way along is as long as its sides, and closed the one more that closes it', () => {
    const ring = ringOf(square(0, 0, 10));
    expect([lengthOf(ring, false), lengthOf(ring, true)]).toEqual([30, 40]);
    expect([lengthOf([], true), lengthOf([{ x: 1, y: 1 }], true)]).toEqual([0, 0]);
    expect(lengthOf(ringOf(ellipsePath({ x: 0, y: 0, width: 100, height: 100 })), true)).toBeCloseTo(
      100 * Math.PI,
      0,
    );
  });

  test('thinned, a straight side needs no more than its ends', () => {
    const many = Array.from({ length: 50 }, (_, i) => ({ x: i, y: 0 }));
    expect(thinned(many, false, 0.01)).toEqual([many[0], many[49]]);
    const round = ringOf(ellipsePath({ x: 0, y: 0, width: 100, height: 100 }));
    expect(thinned(round, true, 0.5).length).toBeLessThan(round.length / 3);
  });
});

test('a point lies within a ring or not, whichever way the ring goes', () => {
  const ring = ringOf(ellipsePath({ x: -50, y: -30, width: 100, height: 60 }));
  fc.assert(
    fc.property(
      fc.double({ min: -60, max: 60, noNaN: true }),
      fc.double({ min: -40, max: 40, noNaN: true }),
      (x, y) => {
        const far = Math.hypot(x / 50, y / 30);
        if (Math.abs(far - 1) < 0.02) return;
        expect(inRing(ring, { x, y })).toBe(far < 1);
        expect(inRing(back(ring), { x, y })).toBe(far < 1);
      },
    ),
  );
});

describe('holes', () => {
  const [outer, hole, island, apart] = [
    square(0, 0, 100),
    square(20, 20, 60),
    square(40, 40, 20),
    square(200, 0, 50),
  ].map(ringOf) as [Ring, Ring, Ring, Ring];

  test('belong to what is next about them: an island in a hole is a thing of its own', () => {
    const all = nested([apart, island, back(hole), outer]);
    expect(all.map((rings) => rings.map((ring) => Math.abs(signedArea(ring))))).toEqual([
      [10000, 3600],
      [2500],
      [400],
    ]);
  });

  test('one that lies in nothing is left out', () => {
    expect(nested([back(hole)])).toEqual([]);
  });
});

describe('areas', () => {
  const area = (rings: readonly Ring[]) => rings.reduce((sum, ring) => sum + signedArea(ring), 0);
  test('together, less and in common are what they come to by hand; crumbs are none', () => {
    const [a, b] = [ringsOf(square(0, 0, 100)), ringsOf(square(50, 0, 100))];
    expect(area(union([...a, ...b]))).toBeCloseTo(15000, 3);
    expect(area(minus(union(a), union(b)))).toBeCloseTo(5000, 3);
    expect(area(inCommon(union(a), b))).toBeCloseTo(5000, 3);
    expect(union(ringsOf(square(0, 0, 0.2)))).toEqual([]);
  });

  test('whatever circles there are: both together and what they share are as much as each by itself', () => {
    const circle = fc.record({ x: number, y: number, r: fc.double({ min: 5, max: 90, noNaN: true }) });
    fc.assert(
      fc.property(circle, circle, (one, other) => {
        const [a, b] = [one, other].map(({ x, y, r }) =>
          union(ringsOf(ellipsePath({ x: x - r, y: y - r, width: 2 * r, height: 2 * r }))),
        ) as [ReturnType<typeof union>, ReturnType<typeof union>];
        const whole = area(a) + area(b);
        expect(Math.abs(area(union([...a, ...b])) + area(inCommon(a, b)) - whole)).toBeLessThan(
          0.001 * whole + 0.2,
        );
        expect(Math.abs(area(minus(a, b)) + area(inCommon(a, b)) - area(a))).toBeLessThan(
          0.001 * whole + 0.2,
        );
      }),
      { numRuns: 30 },
    );
  });
});

describe('an item as an area', () => {
  const open = parsePath('M0 0L90 0L90 90');
  const shape = (change: Parameters<typeof itemOf>[2], path = open) => shapeOf(itemOf('i', path, change), 3);

  test('what is open stays a line, unless it is closed by wish or is only printed', () => {
    expect([shape({}).rings.length, shape({}).open.length]).toEqual([0, 1]);
    expect([
      shape({ wishes: { close: true } }).rings.length,
      shape({ wishes: { close: true } }).open.length,
    ]).toEqual([1, 0]);
    expect(shape({ as: 'print' }).open).toEqual([]);
  });

  test('its box is that of all of it, its height in the pile what it is', () => {
    expect(shape({})).toMatchObject({ at: 3, box: { x: 0, y: 0, width: 90, height: 90 } });
  });

  test('widened by wish it covers more, and no less than before', () => {
    const thin = rectanglePath({ x: 0, y: 0, width: 90, height: 1 });
    const before = areaOf(thin);
    const wide = shape({ wishes: { widen: 4 } }, thin).rings;
    expect(area(wide)).toBeGreaterThan(2 * before);
    function area(rings: readonly Ring[]) {
      return rings.reduce((sum, ring) => sum + signedArea(ring), 0);
    }
  });
});
