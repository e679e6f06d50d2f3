/** Lines and rings: simplified, steadied, drawn with a pen, gone along from corner to corner. */
import fc from 'fast-check';
import { drawnLine, drawnOutline, evenly, steadied } from '@/core/geometry/freehand';
import type { Point } from '@/core/geometry/matrix';
import { areaOf } from '@/core/geometry/offset';
import { pathBounds } from '@/core/geometry/path';
import { around, Pen } from '@/core/geometry/pen';
import { EDGE_SIDES, onRun, openRun, runsOf, wayOn } from '@/core/geometry/runs';
import { simplifyLine, simplifyRing } from '@/core/geometry/simplify';

const at = (x: number, y: number): Point => ({ x, y });
const gap = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y);
const lengthOf = (points: readonly Point[]): number =>
  points.slice(1).reduce((sum, point, i) => sum + gap(points[i]!, point), 0);
/** How far a point lies from a stretch, its ends included. */
function offStretch(p: Point, a: Point, b: Point): number {
  const long = gap(a, b) ** 2;
  const t = long
    ? Math.max(0, Math.min(1, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / long))
    : 0;
  return gap(p, at(a.x + t * (b.x - a.x), a.y + t * (b.y - a.y)));
}
const offLine = (p: Point, line: readonly Point[]): number =>
  Math.min(...line.slice(1).map((b, i) => offStretch(p, line[i]!, b)));

const point = fc.record({ x: fc.integer({ min: 0, max: 60 }), y: fc.integer({ min: 0, max: 60 }) });
const line = fc.array(point, { minLength: 2, maxLength: 40 });
const tolerance = fc.constantFrom(0, 0.5, 2, 8);

describe('simplified', () => {
  test('any line: its ends stay, what is left are points of it in their order, and none that is gone lies farther off', () => {
    fc.assert(
      fc.property(line, tolerance, (points, most) => {
        const left = simplifyLine(points, most);
        expect([left[0], left.at(-1)]).toEqual([points[0], points.at(-1)]);
        let from = 0;
        for (const each of left) {
          const found = points.indexOf(each, from);
          expect(found).toBeGreaterThanOrEqual(from);
          from = found + 1;
        }
        for (const each of points) expect(offLine(each, left)).toBeLessThanOrEqual(most + 1e-9);
      }),
      { numRuns: 150 },
    );
  });
  test('any ring: none of its points lies farther off, wherever it begins', () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 3, maxLength: 40 }), tolerance, (ring, most) => {
        const left = simplifyRing(ring, most);
        for (const each of ring) expect(offLine(each, [...left, left[0]!])).toBeLessThanOrEqual(most + 1e-9);
        expect(left.every((each) => ring.includes(each))).toBe(true);
      }),
      { numRuns: 100 },
    );
  });
  test('what goes out and comes back along itself keeps its end', () => {
    expect(simplifyLine([at(0, 0), at(50, 0), at(100, 0), at(10, 0)], 1)).toEqual([
      at(0, 0),
      at(100, 0),
      at(10, 0),
    ]);
    expect(simplifyLine([at(0, 0), at(5, 0.4), at(10, 0)], 0.5)).toEqual([at(0, 0), at(10, 0)]);
    expect(simplifyLine([at(0, 0), at(5, 0.6), at(10, 0)], 0.5)).toHaveLength(3);
    expect(simplifyLine([at(3, 3), at(3, 3)], 1)).toHaveLength(2);
  });
});

describe('what a hand drew', () => {
  test('in even steps: each a unit from the one before along the way, from its beginning on', () => {
    fc.assert(
      fc.property(line, (points) => {
        const even = evenly(points, false);
        expect(even[0]).toEqual(points[0]);
        expect(even.length).toBe(1 + Math.floor(lengthOf(points) + 1e-9));
        for (const each of even) expect(offLine(each, points)).toBeLessThan(1e-6);
        for (let i = 1; i < even.length; i++) expect(gap(even[i - 1]!, even[i]!)).toBeLessThan(1 + 1e-6);
      }),
    );
  });
  test('steadied it trembles less and keeps its ends; a straight line and a ring about a middle stay what they are', () => {
    const straight = Array.from({ length: 40 }, (_, i) => at(i, 2 * i));
    steadied(straight, 6, false).forEach(({ x, y }, i) => {
      expect([x, y]).toEqual([expect.closeTo(i), expect.closeTo(2 * i)]);
    });
    const ring = Array.from({ length: 90 }, (_, i) => around(4 * i, 50));
    // A round comes a little closer to its middle.
    for (const { x, y } of steadied(ring, 3, true)) expect(50 - Math.hypot(x, y)).toBeLessThan(1.2);
    const trembling = straight.map(({ x, y }, i) => at(x, y + (i % 2 ? 1 : -1)));
    const steady = steadied(trembling, 4, false);
    expect([steady[0], steady.at(-1)]).toEqual([trembling[0], trembling.at(-1)]);
    const off = (points: readonly Point[]) =>
      Math.max(...points.slice(8, -8).map(({ x, y }) => Math.abs(y - 2 * x)));
    expect(off(steady)).toBeLessThan(off(trembling) / 8);
    expect(steadied(trembling, 0, false)).toEqual(trembling);
  });
  test('a slip of the hand encloses nothing; what goes round has the area it went round, at any smoothing', () => {
    expect(drawnOutline([at(0, 0), at(3, 0), at(0, 1)], 0.5)).toBeNull();
    expect(drawnOutline([at(0, 0), at(90, 0)], 0.5)).toBeNull();
    const round = Array.from({ length: 120 }, (_, i) => around(3 * i, 60));
    for (const smoothing of [0, 0.5, 1]) {
      const path = drawnOutline(round, smoothing)!;
      expect(Math.abs(areaOf(path) / (Math.PI * 3600) - 1)).toBeLessThan(0.06);
    }
    const open = drawnLine(round.slice(0, 40), 0.4);
    expect([open[0], open.at(-1)]).toEqual([
      round[0],
      expect.objectContaining({ x: expect.closeTo(round[39]!.x, 0) }),
    ]);
    expect(open.length).toBeLessThan(lengthOf(round.slice(0, 40)) / 2);
  });
});

describe('a pen', () => {
  test('an arc of any ellipse, any way round, lies on it to three in ten thousand', () => {
    fc.assert(
      fc.property(
        fc.record({
          rx: fc.integer({ min: 5, max: 90 }),
          ry: fc.integer({ min: 5, max: 90 }),
          from: fc.integer({ min: -400, max: 400 }),
          turn: fc.integer({ min: -360, max: 360 }),
        }),
        ({ rx, ry, from, turn }) => {
          if (!turn) return;
          const path = new Pen().arc(10, 20, rx, ry, from, from + turn).done();
          let here = at(0, 0);
          for (const [kind, ...n] of path as readonly (readonly [string, ...number[]])[]) {
            if (kind === 'C') {
              const [ax, ay, bx, by, x, y] = n as [number, number, number, number, number, number];
              // The middle of a cubic curve, and its end.
              const middle = at((here.x + 3 * ax + 3 * bx + x) / 8, (here.y + 3 * ay + 3 * by + y) / 8);
              for (const p of [middle, at(x, y)])
                expect(Math.hypot((p.x - 10) / rx, (p.y - 20) / ry)).toBeCloseTo(1, 3);
            }
            if (kind !== 'Z') here = at(n.at(-2)!, n.at(-1)!);
          }
          const end = around(from + turn, rx, ry, at(10, 20));
          expect([here.x, here.y]).toEqual([expect.closeTo(end.x, 6), expect.closeTo(end.y, 6)]);
        },
      ),
    );
  });
  test('a bulge of one is half a circle to the left of the way, below zero to the right; of none it is a line', () => {
    const bulged = (height: number) => pathBounds(new Pen().from(0, 0).bulge(20, 0, height).close().done());
    // From left to right, y down: the left is above.
    expect(bulged(1).y).toBeCloseTo(-10, 2);
    expect(bulged(-1)).toMatchObject({ y: expect.closeTo(0, 6), height: expect.closeTo(10, 2) });
    expect(bulged(0.5).y).toBeCloseTo(-5, 2);
    expect(bulged(2).y).toBeCloseTo(-20, 1);
    expect(new Pen().from(0, 0).bulge(20, 0, 0).done()).toEqual([['M', 0, 0], ['L', 20, 0]]); // prettier-ignore
  });
  test('a quadratic curve passes its middle half way to its control point; a hole goes round the other way', () => {
    const [, [, ...n]] = new Pen().from(0, 0).bend(10, 20, 20, 0).done() as [unknown, [string, ...number[]]];
    const [ax, ay, bx, by, x, y] = n as [number, number, number, number, number, number];
    expect([(3 * ax + 3 * bx + x) / 8, (3 * ay + 3 * by + y) / 8]).toEqual([
      expect.closeTo(10),
      expect.closeTo(10),
    ]);
    const whole = new Pen().from(0, 0).to(60, 0, 60, 60, 0, 60).close();
    expect(areaOf(whole.hole(30, 30, 10).done())).toBeCloseTo(3600 - 100 * Math.PI, 0);
  });
});

describe('gone along', () => {
  const square = [at(0, 0), at(100, 0), at(100, 60), at(0, 60)];
  test('a rectangle is four runs of its sides, each facing out, with right angles inside', () => {
    const runs = runsOf(square, EDGE_SIDES);
    expect(runs.map(({ side, length }) => [side, length])).toEqual([
      ['top', 100],
      ['right', 60],
      ['bottom', 100],
      ['left', 60],
    ]);
    for (const { before, after, normals, points, side } of runs) {
      expect([before, after]).toEqual([expect.closeTo(Math.PI / 2), expect.closeTo(Math.PI / 2)]);
      // A step along the way out leaves the paper.
      const [p, n] = [points[0]!, normals[0]!];
      const out = at((points[0]!.x + points[1]!.x) / 2 + n.x, (points[0]!.y + points[1]!.y) / 2 + n.y);
      expect([side, out.x < 0 || out.x > 100 || out.y < 0 || out.y > 60]).toEqual([side, true]);
      expect(Math.hypot(n.x, n.y)).toBeCloseTo(1);
      expect(p).toEqual(square[runs.findIndex((run) => run.points[0] === p)]);
    }
  });
  test('what has no corner is one run that closes; of some sides only it breaks where it begins to face another way', () => {
    const ring = Array.from({ length: 72 }, (_, i) => around(5 * i, 40));
    const [whole, ...none] = runsOf(ring, EDGE_SIDES);
    expect([none, whole!.closed, whole!.before]).toEqual([[], true, null]);
    expect(whole!.length).toBeCloseTo(2 * Math.PI * 40, 0);
    const parts = runsOf(ring, ['top', 'bottom']);
    expect(parts.map(({ side }) => side).sort()).toEqual(['bottom', 'left', 'right', 'top']);
    expect(parts.reduce((sum, { length }) => sum + length, 0)).toBeCloseTo(whole!.length);
  });
  test('any open line: a place along it lies on it at that length, beside it as far as is said', () => {
    const way = fc
      .array(point, { minLength: 2, maxLength: 12 })
      .filter((points) => points.every((p, i) => i === 0 || gap(p, points[i - 1]!) > 1));
    fc.assert(
      fc.property(way, fc.double({ min: 0, max: 1, noNaN: true }), (points, share) => {
        const run = openRun(points);
        expect(run.length).toBeCloseTo(lengthOf(points));
        const s = share * run.length;
        const on = onRun(run, s, 0);
        expect(offLine(on, points)).toBeLessThan(1e-6);
        // As far along as it is said: the way up to there is so long.
        const before = run.at.findLastIndex((length) => length <= s + 1e-9);
        expect(run.at[before]! + gap(points[before]!, on)).toBeCloseTo(s, 5);
        expect(gap(on, onRun(run, s, 7))).toBeCloseTo(7);
        expect([onRun(run, 0, 0), onRun(run, run.length, 0)]).toEqual([
          points[0],
          { x: expect.closeTo(points.at(-1)!.x), y: expect.closeTo(points.at(-1)!.y) },
        ]);
      }),
    );
  });
  test('the way along a line is its angle, clockwise from the right', () => {
    for (const degrees of [0, 30, 90, 135, -60]) {
      const rad = (degrees * Math.PI) / 180;
      const run = openRun([at(5, 5), at(5 + 40 * Math.cos(rad), 5 + 40 * Math.sin(rad))]);
      expect((wayOn(run, 20) * 180) / Math.PI).toBeCloseTo(degrees);
    }
  });
});
