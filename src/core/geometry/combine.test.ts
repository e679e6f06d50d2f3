/**
 * Areas after joining and cutting against polygon-clipping (Martinez, Rueda & Feito 2009); growing against Steiner's formula
 * for convex shapes; pieces of the hobby by hand.
 */
import fc from 'fast-check';
import polygonClipping, { type MultiPolygon } from 'polygon-clipping';
import { combine, partsOf, type Combination } from '@/core/geometry/combine';
import { translation } from '@/core/geometry/matrix';
import { areaOf, closed, edgesOf, grown, nearestBetween } from '@/core/geometry/offset';
import { ellipsePath, flatten, rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import { polygon, points } from '@/core/geometry/pen';
import { PUNCHES } from '@/core/piece/outline/punches';
import { punch } from '@/core/piece/outline/punch';

const square = (x: number, y: number, side: number): Path =>
  rectanglePath({ x, y, width: side, height: side });
const round = (x: number, y: number, size: number): Path => ellipsePath({ x, y, width: size, height: size });
const moved = (path: Path, x: number, y: number): Path => transformPath(translation(x, y), path);
const cutTo = (id: string, width: number, height: number): Path =>
  punch.cut({ kind: 'punch', punch: id, settings: {} }, { width, height }, undefined as never).path;

const clipping: Record<
  Exclude<Combination, 'divide'>,
  (a: MultiPolygon, ...more: MultiPolygon[]) => MultiPolygon
> = {
  join: polygonClipping.union,
  'cut out': polygonClipping.difference,
  overlap: polygonClipping.intersection,
};
const areaOfPolygons = (shapes: MultiPolygon): number =>
  shapes
    .flat()
    .flatMap((ring) => ring.map((from, i) => [from, ring[(i + 1) % ring.length]!] as const))
    .reduce((sum, [[x, y], [nx, ny]]) => sum + (x * ny - nx * y) / 2, 0);
// polygon-clipping gives holes the other turn, so that signed areas add up.
const asPolygons = (path: Path): MultiPolygon =>
  polygonClipping.union(
    flatten(path, 60).map((ring) => [ring.map(({ x, y }): [number, number] => [x, y])]) as never,
  );

describe('combining', () => {
  const simple = PUNCHES.filter(({ family }) => family === 'Corners' || family === 'Hearts and stars');
  test('areas agree with polygon-clipping to 0.1 % of the shapes', () => {
    fc.assert(
      fc.property(
        fc.nat(simple.length - 1),
        fc.nat(simple.length - 1),
        fc.integer({ min: -60, max: 60 }),
        fc.integer({ min: -60, max: 60 }),
        fc.constantFrom('join' as const, 'cut out' as const, 'overlap' as const),
        (i, j, dx, dy, how) => {
          const a = cutTo(simple[i]!.id, 100, 90);
          const b = moved(cutTo(simple[j]!.id, 80, 110), dx + 0.37, dy + 0.53);
          const ours = combine(how, [a, b]).reduce((sum, { path }) => sum + areaOf(path), 0);
          const theirs = Math.abs(areaOfPolygons(clipping[how](asPolygons(a), asPolygons(b))));
          expect(Math.abs(ours - theirs)).toBeLessThan(0.001 * (areaOf(a) + areaOf(b)));
        },
      ),
      { numRuns: 30 },
    );
  });

  test('35 chevrons that overlap are one part; laid a hair apart they are many, and the gap is known and closed', () => {
    const chevron = cutTo('chevron', 72, 60);
    const rows = (step: number) =>
      Array.from({ length: 35 }, (_, i) => moved(chevron, (i % 5) * 71.95, Math.floor(i / 5) * step));
    const [joined] = combine('join', rows(26));
    expect(joined).toMatchObject({ parts: 1 });
    const [apart] = combine('join', rows(27.3));
    expect(apart!.parts).toBe(7);
    const [first, second] = partsOf(apart!.path).map(edgesOf);
    expect(nearestBetween(first!, second!).gap).toBeGreaterThan(0.1);
    expect(nearestBetween(first!, second!).gap).toBeLessThan(0.4);
    expect(combine('join', [closed(apart!.path, 0.5)])[0]!.parts).toBe(1);
  });

  test('a hole is told; dividing gives every area once; what leaves nothing gives nothing', () => {
    expect(combine('cut out', [square(0, 0, 100), round(30, 30, 40)])).toEqual([
      expect.objectContaining({ parts: 1, holes: 1 }),
    ]);
    const areas = combine('divide', [square(0, 0, 10), square(5, 5, 10)]).map(({ path }) => areaOf(path));
    expect(areas.map(Math.round).sort((a, b) => a - b)).toEqual([25, 75, 75]);
    expect(combine('overlap', [square(0, 0, 10), square(20, 0, 10)])).toEqual([]);
    expect(combine('cut out', [square(2, 2, 3), square(0, 0, 10)])).toEqual([]);
  });

  test('curves stay curves: a circle cut by a line has the segment’s area (r²/2 (θ − sin θ))', () => {
    const [cap] = combine('overlap', [round(0, 0, 100), polygon(points(0, -50, 100, -50, 100, 25, 0, 25))]);
    const theta = 2 * Math.acos(0.5);
    expect(areaOf(cap!.path) / ((2500 / 2) * (theta - Math.sin(theta)))).toBeCloseTo(1, 3);
    expect(cap!.path.filter(([kind]) => kind === 'C').length).toBeLessThan(6);
  });

  test('a crossing line drawn by hand has one winding afterwards', () => {
    const [eight] = combine('join', [polygon(points(0, 0, 10, 10, 10, 0, 0, 10))]);
    expect(eight!.parts).toBeGreaterThanOrEqual(1);
    expect(areaOf(eight!.path)).toBeCloseTo(50, 3);
  });
});

describe('how near two lie', () => {
  test('circles: their middles’ distance without their radii, from edge to edge along the line between; touching is none', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 200, noNaN: true }),
        fc.double({ min: 5, max: 200, noNaN: true }),
        fc.double({ min: -5, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        (r, s, away, angle) => {
          const long = r + s + away;
          const b = moved(round(-s, -s, 2 * s), long * Math.cos(angle), long * Math.sin(angle));
          const { gap, from, to } = nearestBetween(edgesOf(round(-r, -r, 2 * r)), edgesOf(b));
          // Four curves are a circle to 0.03 % of its radius; their sides lie within a thousandth of a point of them.
          const close = 0.0005 * Math.max(r, s) + 0.005;
          expect(Math.abs(gap - Math.max(0, away))).toBeLessThan(close);
          if (away > close) expect(Math.hypot(from.x - to.x, from.y - to.y)).toBeCloseTo(gap, 9);
        },
      ),
      { numRuns: 30 },
    );
  });

  test('the nearest of many parts, whichever it is; one that lies in a hole is as near as the hole’s edge', () => {
    const beads = Array.from({ length: 40 }, (_, i) =>
      round((i % 8) * 30, Math.floor(i / 8) * 30, 20),
    ).flat();
    const below = nearestBetween(edgesOf(beads), edgesOf(square(95, 150, 10)));
    expect(below.gap).toBeCloseTo(10, 2);
    expect(below.from.y + below.to.y).toBeCloseTo(290, 1);
    const ring = combine('cut out', [square(0, 0, 100), round(20, 20, 60)])[0]!.path;
    expect(nearestBetween(edgesOf(ring), edgesOf(round(40, 30, 20))).gap).toBeCloseTo(10, 2);
  });

  test('from what is asked on, nothing is looked for', () => {
    const [a, b] = [square(0, 0, 10), square(13, 0, 10)].map(edgesOf);
    expect(nearestBetween(a!, b!, 3).gap).toBe(3);
    expect(nearestBetween(a!, b!, 3.001).gap).toBeCloseTo(3, 9);
    expect(nearestBetween(edgesOf([]), b!, 7).gap).toBe(7);
  });
});

describe('growing', () => {
  test('large rounds are measured and grown as rounds: measured to a hundredth of a point of their edge, grown to seven', () => {
    const r = 432;
    const about = (radius: number) =>
      [Math.PI * radius ** 2, 0.01 * 2 * Math.PI * radius + 3e-4 * Math.PI * radius ** 2] as const;
    const [area, most] = about(r);
    expect(Math.abs(areaOf(round(0, 0, 2 * r)) - area)).toBeLessThan(most);
    const [wider, off] = about(r + 9);
    expect(Math.abs(areaOf(grown(round(0, 0, 2 * r), 9)) - wider)).toBeLessThan(off + 0.06 * 2 * Math.PI * r);
  });

  test('by Steiner’s formula: area + perimeter · d + π d², round; + 4 d² mitred, for a square', () => {
    const d = 7;
    expect(areaOf(grown(square(0, 0, 100), d, 'round')) / (10000 + 400 * d + Math.PI * d * d)).toBeCloseTo(
      1,
      3,
    );
    expect(areaOf(grown(square(0, 0, 100), d, 'mitred'))).toBeCloseTo((100 + 2 * d) ** 2, 2);
    // A bevel takes the corner off at the distance of the round's middle or nearer.
    const straight = areaOf(grown(square(0, 0, 100), d, 'straight'));
    expect(straight).toBeLessThan(10000 + 400 * d + 4 * d * d);
    expect(straight).toBeGreaterThan(10000 + 400 * d);
  });

  test('grown and shrunk again, a convex shape is as it was; shrunk too far, nothing is left', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 12 }), fc.integer({ min: 1, max: 30 }), (sides, d) => {
        const shape = punch.cut(
          { kind: 'punch', punch: 'even-corners', settings: { count: sides } },
          { width: 100, height: 100 },
          undefined as never,
        ).path;
        expect(areaOf(grown(grown(shape, d), -d)) / areaOf(shape)).toBeCloseTo(1, 2);
      }),
      { numRuns: 10 },
    );
    expect(grown(square(0, 0, 10), -6)).toEqual([]);
  });

  test('a curve has no more sides than can be seen, however many pieces it is written in', () => {
    const [r, d, parts] = [100, 3, 120];
    const on = (i: number, radius = r) => {
      const angle = (2 * Math.PI * i) / parts;
      return [radius * Math.cos(angle), radius * Math.sin(angle)] as const;
    };
    // Handles of an arc reach 4/3 · tan(angle / 4) of its radius along its tangents.
    const k = (4 / 3) * Math.tan(Math.PI / 2 / parts);
    const written = Array.from({ length: parts }, (_, i): Path[number] => {
      const [[x0, y0], [x1, y1]] = [on(i), on(i + 1)];
      return ['C', x0 - k * y0, y0 + k * x0, x1 + k * y1, y1 - k * x1, x1, y1];
    });
    for (const by of [d, -d]) {
      const round = grown([['M', ...on(0)], ...written, ['Z']], by);
      for (const { x, y } of flatten(round)[0]!)
        expect(Math.abs(Math.hypot(x, y) - (r + by))).toBeLessThan(0.06);
      // A chord that is 0.01 off at its middle spans 2 · √(2 · 0.01 / r): 222 of them go round.
      expect(round.length).toBeLessThan(400);
    }
  });
});
