/** Working outlines by hand, against what geometry says of them: areas, arcs, halves. */
import fc from 'fast-check';
import { drawnLine, drawnOutline } from '@/core/geometry/freehand';
import {
  added,
  bent,
  curved,
  isSmooth,
  isStraight,
  knotsOf,
  movedHandle,
  movedKnot,
  nearestSide,
  pathOfKnots,
  removed,
  roundedCorner,
  sharpened,
  sideAt,
  smoothed,
  straightened,
  type Spot,
} from '@/core/geometry/knots';
import type { Point } from '@/core/geometry/matrix';
import { areaOf } from '@/core/geometry/offset';
import { part } from '@/core/geometry/part';
import { ellipsePath, flatten, parsePath, pathBounds, rectanglePath } from '@/core/geometry/path';
import { workedLine } from '@/core/piece/finish/edge';
import { PUNCHES } from '@/core/piece/outline/punches';
import { punch } from '@/core/piece/outline/punch';

const box = rectanglePath({ x: 0, y: 0, width: 60, height: 40 });
const round = ellipsePath({ x: -50, y: -50, width: 100, height: 100 });
const first: Spot = { ring: 0, knot: 0 };
const cutOf = (id: string) =>
  punch.cut({ kind: 'punch', punch: id, settings: {} }, { width: 90, height: 80 }, undefined as never).path;
const anyCut = fc.constantFrom(...PUNCHES.map(({ id }) => cutOf(id)));
/** A kite and its tail, with bows of which every second is wound the other way. */
const woundBothWays = parsePath(
  'M70 0L112 34L72 96L30 36ZM71 95C92 112 40 124 56 140C68 152 22 156 30 172L26 172C18 152 60 152 51 141C34 124 84 112 69 95Z' +
    'M62 120L76 112L76 128L62 121ZM62 120L50 110L48 127L62 121ZM44 150L58 146L56 160L44 151ZM44 150L32 142L30 158L44 151Z',
);
const spotIn = (rings: ReturnType<typeof knotsOf>, n: number): Spot => {
  const all = rings.flatMap((ring, r) => ring.map((_, knot) => ({ ring: r, knot })));
  return all[n % all.length]!;
};

describe('knots', () => {
  test('every punch is the same outline as knots, also with points added anywhere on it', () => {
    fc.assert(
      fc.property(anyCut, fc.nat(), fc.double({ min: 0.05, max: 0.95, noNaN: true }), (path, n, t) => {
        const rings = knotsOf(path);
        const more = added(rings, spotIn(rings, n), t);
        // How many sides stand for a curve hangs on its last digit.
        expect(Math.abs(areaOf(pathOfKnots(rings)) / areaOf(path) - 1)).toBeLessThan(1e-4);
        expect(Math.abs(areaOf(pathOfKnots(more)) / areaOf(path) - 1)).toBeLessThan(2e-3);
        expect(more.flat()).toHaveLength(rings.flat().length + 1);
      }),
      { numRuns: 30 },
    );
  });

  test('a bent side passes through the hand, wherever it was taken hold of away from its ends', () => {
    fc.assert(
      fc.property(
        anyCut,
        fc.nat(),
        fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        fc.record({ x: fc.integer({ min: -80, max: 80 }), y: fc.integer({ min: -80, max: 80 }) }),
        (path, n, t, to) => {
          const rings = knotsOf(path);
          const spot = spotIn(rings, n);
          const [a, b] = sideAt(bent(rings, spot, t, to), spot);
          const s = 1 - t;
          const at = (k: 'x' | 'y') =>
            s ** 3 * a[k] + 3 * s * s * t * a.after[k] + 3 * s * t * t * b.before[k] + t ** 3 * b[k];
          expect(Math.hypot(at('x') - to.x, at('y') - to.y)).toBeLessThan(1e-6);
        },
      ),
      { numRuns: 30 },
    );
  });

  test('a corner of a right angle loses the area between it and its arc: r² (1 − π / 4)', () => {
    const rings = knotsOf(box);
    const r = 12;
    expect(areaOf(box) - areaOf(pathOfKnots(roundedCorner(rings, first, r)))).toBeCloseTo(
      r * r * (1 - Math.PI / 4),
      1,
    );
    // It takes half of the shorter side and no more; where there is no corner it says so by changing nothing.
    expect(areaOf(box) - areaOf(pathOfKnots(roundedCorner(rings, first, 500)))).toBeCloseTo(
      400 * (1 - Math.PI / 4),
      0,
    );
    const circle = knotsOf(round);
    expect(roundedCorner(circle, first, 5)).toBe(circle);
  });

  test('sides and points turn round and straight again; a handle carries the other while smooth', () => {
    const rings = knotsOf(box);
    const bow = curved(rings, first);
    expect(isStraight(bow, first)).toBe(false);
    expect(pathOfKnots(straightened(bow, first))).toEqual(box.slice(0, 4).concat([['L', 0, 0], ['Z']]));
    const smooth = smoothed(rings, { ring: 0, knot: 1 });
    expect(isSmooth(smooth[0]![1]!)).toBe(true);
    const turned = movedHandle(smooth, { ring: 0, knot: 1 }, 'after', { x: 60, y: 30 });
    expect(isSmooth(turned[0]![1]!)).toBe(true);
    expect(turned[0]![1]!.before.x).toBeCloseTo(60);
    expect(isSmooth(sharpened(turned, { ring: 0, knot: 1 })[0]![1]!)).toBe(false);
    const moved = movedKnot(smooth, { ring: 0, knot: 1 }, { x: 80, y: -10 });
    expect(moved[0]![1]!.after.x - smooth[0]![1]!.after.x).toBeCloseTo(20);
  });

  test('points go until nothing would be enclosed', () => {
    const three = removed(knotsOf(box), first)!;
    expect(areaOf(pathOfKnots(three))).toBeCloseTo(1200);
    expect(removed(three, first)).toBeNull();
    // A hole goes as a whole.
    const holed = knotsOf([...box, ...rectanglePath({ x: 10, y: 10, width: 9, height: 9 })]);
    const less = removed(removed(holed, { ring: 1, knot: 0 })!, { ring: 1, knot: 0 });
    expect(less).toHaveLength(1);
  });

  test('the nearest place on a circle lies toward the point', () => {
    const near = nearestSide(knotsOf(round), { x: 30, y: 40 })!;
    expect(near.away).toBeLessThan(0.05);
    expect(nearestSide(knotsOf(round), { x: 60, y: 80 })!.away).toBeCloseTo(50, 1);
  });
});

describe('what a hand draws', () => {
  const trembling: Point[] = Array.from({ length: 120 }, (_, i) => {
    const angle = (2 * Math.PI * i) / 120;
    const r = 100 + 2.5 * Math.sin(23 * angle);
    return { x: r * Math.cos(angle), y: r * Math.sin(angle) };
  });
  test('smoothing takes the tremble out and leaves the area', () => {
    const roughness = (smoothing: number) => {
      const ring = flatten(drawnOutline(trembling, smoothing)!)[0]!;
      const away = ring.map(({ x, y }) => Math.hypot(x, y));
      return Math.max(...away) - Math.min(...away);
    };
    expect(roughness(0)).toBeGreaterThan(4);
    expect(roughness(1)).toBeLessThan(1.5);
    expect(areaOf(drawnOutline(trembling, 0.35)!) / (Math.PI * 1e4)).toBeCloseTo(1, 1);
  });
  test('a slip encloses nothing; a line keeps its ends', () => {
    expect(
      drawnOutline(
        [
          { x: 0, y: 0 },
          { x: 1, y: 1 },
          { x: 2, y: 0 },
        ],
        0.3,
      ),
    ).toBeNull();
    const line = drawnLine(trembling, 1);
    expect(line[0]).toEqual(trembling[0]);
    expect(Math.hypot(line.at(-1)!.x - trembling[119]!.x, line.at(-1)!.y - trembling[119]!.y)).toBeLessThan(
      2,
    );
  });
});

describe('scissors', () => {
  test('both halves are all there was, along any line that meets the piece', () => {
    fc.assert(
      fc.property(
        anyCut,
        fc.integer({ min: 0, max: 359 }),
        fc.integer({ min: -30, max: 30 }),
        fc.constantFrom(null, 'wave' as const, 'zigzag' as const, 'torn' as const),
        (path, degrees, away, blade) => {
          const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
          const at = (s: number): Point => ({ x: s * cos - away * sin, y: s * sin + away * cos });
          const line = [at(-40), at(35)];
          const halves = part(path, blade ? workedLine(line, blade, 7, 2) : line);
          if (!halves) return;
          const [a, b] = halves.map(areaOf);
          expect(Math.abs(a! + b! - areaOf(path))).toBeLessThan(0.003 * areaOf(path));
        },
      ),
      // The line runs through the corners of one; the rings of the other are wound against each other.
      {
        numRuns: 20,
        examples: [
          [woundBothWays, 0, 60, null],
          [cutOf('doily'), 0, 0, null],
        ],
      },
    );
  });
  test('a circle through its middle falls into equal halves; a line beside it cuts nothing', () => {
    const [a, b] = part(round, [
      { x: -5, y: -5 },
      { x: 5, y: 5 },
    ])!;
    expect(areaOf(a)).toBeCloseTo((Math.PI * 2500) / 2, -1);
    expect(areaOf(b)).toBeCloseTo(areaOf(a), 0);
    expect(pathBounds(a).width).toBeGreaterThan(80);
    expect(
      part(round, [
        { x: -60, y: 70 },
        { x: 60, y: 70 },
      ]),
    ).toBeNull();
    expect(
      part(round, [
        { x: 3, y: 3 },
        { x: 3, y: 3 },
      ]),
    ).toBeNull();
  });
});
