/** The way of the tool: its order against exact tours, its blade, its time. */
import fc from 'fast-check';

import { signedArea } from '@/core/geometry/offset';
import { distanceToSide, rectanglePath, type Path } from '@/core/geometry/path';
import { bladed, overcut } from '@/core/cutter/blade';
import { lifted } from '@/core/cutter/machine/lift';
import { ACCELERATION, runOf, SPEEDS, TOOL_TIME, toolAt, trailing } from '@/core/cutter/machine/run';
import { Line } from '@/core/cutter/model';

import { emptyWay, inOrder, outerOf } from '@/core/cutter/order';
import { linesOn, prepare } from '@/core/cutter/prepare';
import { FIRST_SETTINGS } from '@/core/cutter/settings';
import { shortest } from '../../../scripts/testing/tours';
import { random } from '@/core/random';
import { toPoints } from '@/core/units/lengths';
import { itemOf, placeWith } from '../../../scripts/testing/cuts';

const mm = (value: number) => toPoints(value, 'mm');
const square = (x: number, y: number, side: number): Path =>
  rectanglePath({ x, y, width: side, height: side });
const line = (points: readonly (readonly [number, number])[], change: Partial<Line> = {}): Line => ({
  ...{ doing: 'cut', closed: true, points: points.map(([x, y]) => ({ x, y })) },
  ...change,
});

describe('the way of the tool', () => {
  const rings = (seed: number, count: number): Line[] => {
    const chance = random(seed);
    return Array.from({ length: count }, () => {
      const [x, y, r] = [chance() * 800, chance() * 800, 10 + chance() * 120];
      return line([
        [x, y - r],
        [x + r, y],
        [x, y + r],
        [x - r, y],
      ]);
    });
  };

  test('by property: all lines once, what lies within before what is about it; drawn, then scored, then cut', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 1, max: 60 }), (seed, count) => {
        const lines = rings(seed, count);
        const order = inOrder(lines);
        expect(order).toHaveLength(count);
        outerOf(order).forEach((outer, i) => outer >= 0 && expect(outer).toBeGreaterThan(i));
        expect(order.reduce((sum, { points }) => sum + Math.abs(signedArea(points)), 0)).toBeCloseTo(
          lines.reduce((sum, { points }) => sum + Math.abs(signedArea(points)), 0),
          3,
        );
      }),
      { numRuns: 20 },
    );
    const three = inOrder([
      line([
        [0, 0],
        [9, 0],
        [9, 9],
      ]),
      line(
        [
          [0, 0],
          [5, 5],
        ],
        { doing: 'score', closed: false },
      ),
      line(
        [
          [1, 1],
          [2, 2],
        ],
        { doing: 'draw', closed: false, ink: '#000000' },
      ),
    ]);
    expect(three.map(({ doing }) => doing)).toEqual(['draw', 'score', 'cut']);
  });

  test('empty ways are at most a quarter longer than the shortest there is', () => {
    const shares = Array.from({ length: 12 }, (_, i) => {
      const lines = rings(i + 1, 8);
      return emptyWay(inOrder(lines)) / shortest(lines);
    });
    expect(Math.max(...shares)).toBeLessThan(1.25);
  });

  test('a blade led about its corners cuts the outline: its tip, drawn after it, is never 0.06 mm off, and goes on beyond the beginning', () => {
    const [offset, on] = [mm(0.25), mm(1)];
    const outline = line([
      [20, 20],
      [120, 20],
      [150, 90],
      [80, 60],
      [20, 90],
    ]);
    const led = bladed(overcut(outline, on), offset);
    const tips = trailing(led.points, offset);
    const off = tips.map((tip) =>
      Math.min(...outline.points.map((p, i, all) => distanceToSide(tip, p, all[(i + 1) % all.length]!))),
    );
    expect(Math.max(...off)).toBeLessThan(mm(0.06));
    const end = tips.at(-1)!;
    expect(Math.hypot(end.x - 20 - on, end.y - 20)).toBeLessThan(mm(0.06));
    // Not led, it cuts its corners off.
    const raw = trailing(overcut(outline, on).points, offset);
    expect(Math.min(...raw.map(({ x, y }) => Math.hypot(x - 150, y - 90)))).toBeGreaterThan(mm(0.08));
  });

  test('the simulated cutter takes as long as its speeds say, stands where they say, and lifts what is cut loose', () => {
    const size = { width: 864, height: 864 };
    const way = mm(100);
    const run = runOf(
      [
        {
          points: [
            { x: 0, y: 0 },
            { x: way, y: 0 },
          ],
          closed: false,
          doing: 'cut',
        },
      ],
      size,
    );
    // From rest to rest: the way over the speed, and the speed over the acceleration (any book of mechanics).
    const seconds = (long: number, speed: number) => long / speed + speed / ACCELERATION;
    const cut = seconds(100, SPEEDS.cut);
    expect(run.time).toBeCloseTo(2 * TOOL_TIME + cut + seconds(100, SPEEDS.empty), 6);
    expect(toolAt(run, TOOL_TIME + cut / 2).at.x).toBeCloseTo(way / 2, 3);
    expect(toolAt(run, 1e9).at).toEqual({ x: 0, y: 0 });
    const ring = (side: number) =>
      [0, 1, 2, 3, 0].map((i) => ({
        x: 200 + (i === 1 || i === 2 ? side : -side),
        y: 200 + (i > 1 ? side : -side),
      }));
    const { loose, rest } = lifted(
      [
        ring(90),
        ring(40),
        [
          { x: 400, y: 400 },
          { x: 500, y: 400 },
        ],
      ],
      size,
    );
    expect(loose.map(({ rings, fell }) => [rings.length, fell]).sort()).toEqual([
      [1, true],
      [2, false],
    ]);
    expect(rest).toHaveLength(2 + 1);
  });

  test('lines go from parts to mats with their areas', () => {
    const { mats } = prepare([placeWith([itemOf('a', square(0, 0, 100))])], FIRST_SETTINGS);
    expect(linesOn(mats[0]!.laid[0]!).map(({ points }) => Math.abs(signedArea(points)))).toEqual([
      expect.closeTo(1e4, 0),
    ]);
  });
});
