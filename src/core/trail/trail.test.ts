/** Lengths, spacing and coverage of what runs along lines, against formulas and other libraries. */
import fc from 'fast-check';
import type { Point } from '@/core/geometry/matrix';
import { middleLines } from '@/core/geometry/middle';
import { areaOf, pathOfRings } from '@/core/geometry/offset';
import { ellipsePath, pathBounds, rectanglePath, type Path } from '@/core/geometry/path';
import { TRAILS, trailKind, type Trail } from '@/core/trail';
import { closedCourse, coursesOf, lengthOf, openCourse } from '@/core/trail/course';
import { courseOf, kept, MOST_LINE_POINTS } from '@/core/trail/line';
import { newPaint } from '@/core/trail/paint/paint';
import { paintSoft } from '@/core/trail/paint/soft';
import { ellipseNib, swept, sweptRound } from '@/core/trail/paint/swept';
import { spaced } from '@/core/trail/places';
import { crossingsOf, type Pass } from '@/core/trail/crossing';
import { openRun, onRun } from '@/core/geometry/runs';
import { NEW_RIBBON } from '@/core/trail/ribbon/ribbon';
import { newStamps } from '@/core/trail/stamps';
import { NEW_THREAD } from '@/core/trail/thread/thread';
import { trailsOf } from '../../../scripts/testing/lines';

/** Simpson's rule over so many steps: far finer than what is compared with it. */
function quadrature(f: (t: number) => number, from: number, to: number, steps = 20_000): number {
  const h = (to - from) / steps;
  let sum = f(from) + f(to);
  for (let i = 1; i < steps; i++) sum += (i % 2 ? 4 : 2) * f(from + i * h);
  return (sum * h) / 3;
}

describe('lengths', () => {
  const ringLength = (path: Path) => lengthOf(coursesOf(path, 0)[0]!);

  test('of circle, ellipse (complete elliptic integral of the second kind) and cubic curve to 0.1 %', () => {
    expect(
      ringLength(ellipsePath({ x: -50, y: -50, width: 100, height: 100 })) / (100 * Math.PI),
    ).toBeCloseTo(1, 3);
    // Perimeter 4aE(e): E by the arithmetic-geometric mean (Abramowitz & Stegun 17.6.3 and 17.6.4).
    const [a, b] = [120, 40];
    let [m, g, c, sum, power] = [a, b, Math.sqrt(a * a - b * b), 0, 0.5];
    sum = power * c * c;
    for (let i = 0; i < 8; i++) {
      [m, g, c] = [(m + g) / 2, Math.sqrt(m * g), (m - g) / 2];
      power *= 2;
      sum += power * c * c;
    }
    const perimeter = (2 * Math.PI * (a * a - sum)) / m;
    expect(ringLength(ellipsePath({ x: -a, y: -b, width: 2 * a, height: 2 * b })) / perimeter).toBeCloseTo(
      1,
      3,
    );
    // A leaf between two mirrored cubic curves.
    const speed = (t: number) => {
      const d = (p: number, q: number, r: number, s: number) =>
        3 * ((1 - t) ** 2 * (q - p) + 2 * (1 - t) * t * (r - q) + t * t * (s - r));
      return Math.hypot(d(0, 30, 90, 120), d(0, 70, 40, 0));
    };
    const leaf: Path = [['M', 0, 0], ['C', 30, 70, 90, 40, 120, 0], ['C', 90, -40, 30, -70, 0, 0], ['Z']];
    expect(ringLength(leaf) / (2 * quadrature(speed, 0, 1))).toBeCloseTo(1, 3);
  });

  test('of a clothoid drawn by hand: it is as long as its parameter (Fresnel integrals)', () => {
    const at = (s: number): Point => ({
      x: quadrature((t) => Math.cos((t * t) / 2), 0, s, 400) * 60,
      y: quadrature((t) => Math.sin((t * t) / 2), 0, s, 400) * 60,
    });
    const spots = Array.from({ length: 400 }, (_, i) => at((3 * i) / 399));
    const line = { id: 'a', ...kept(spots), smoothing: 0, trail: newPaint('round', '#000000') };
    expect(lengthOf(courseOf(line, 1, 1)) / 180).toBeCloseTo(1, 3);
    // It is stretched with its frame.
    expect(lengthOf(courseOf(line, 2, 2)) / 360).toBeCloseTo(1, 3);
  });
});

describe('places', () => {
  /** A smooth outline, whichever way it bulges. */
  const outlines = fc
    .record({
      size: fc.integer({ min: 60, max: 200 }),
      waves: fc.array(
        fc.tuple(fc.integer({ min: 2, max: 5 }), fc.double({ min: -0.1, max: 0.1, noNaN: true })),
        { maxLength: 3 },
      ),
      flip: fc.boolean(),
    })
    .map(({ size, waves, flip }) => {
      const ring = Array.from({ length: 720 }, (_, i): Point => {
        const angle = (2 * Math.PI * i) / 720;
        const r = size * (1 + waves.reduce((sum, [k, by]) => sum + by * Math.cos(k * angle), 0));
        return { x: r * Math.cos(angle), y: r * Math.sin(angle) };
      });
      return flip ? ring.reverse() : ring;
    });

  test('on closed lines a whole number, all equally far from the next: the seam cannot be told', () => {
    fc.assert(
      fc.property(outlines, fc.double({ min: 4, max: 40, noNaN: true }), (ring, wish) => {
        const course = closedCourse(ring);
        const total = lengthOf(course);
        const { places, pitch } = spaced(course, wish, 'turned', 0);
        expect(places).toHaveLength(Math.max(1, Math.round(total / wish)));
        const gaps = places.map(
          ({ share }, i) => ((places[i + 1]?.share ?? 1 + places[0]!.share) - share) * total,
        );
        for (const gap of gaps) expect(Math.abs(gap / pitch - 1)).toBeLessThan(0.001);
        // And so they lie on the page: measured along the ring by itself, from place to place.
        const along = places.map(({ x, y }) => nearestOn(course.runs[0]!.points, x, y));
        along.forEach((s, i) => {
          const next = along[(i + 1) % along.length]!;
          const gap = (next - s + total) % total || total;
          expect(Math.abs(gap / pitch - 1)).toBeLessThan(0.001);
        });
      }),
      { numRuns: 30 },
    );
  });

  test('a hundred pixels apart there are 36 scallops along 3600 pixels (common practice, no source), on every side', () => {
    const square = coursesOf(rectanglePath({ x: 0, y: 0, width: 864, height: 864 }), 0)[0]!;
    expect(spaced(square, 24, 'turned', 0).places).toHaveLength(4 * 36);
    // With corners of their own there is one at each, and one fewer between.
    const own = spaced(square, 24, 'own', 0).places;
    expect(own.filter(({ at }) => at === 'corner')).toHaveLength(4);
    expect(own).toHaveLength(4 * 36);
    // An open line has one at either end.
    const open = spaced(
      openCourse([
        { x: 0, y: 0 },
        { x: 864, y: 0 },
      ]),
      24,
      'turned',
      0,
    ).places;
    expect([open[0]!.at, open.at(-1)!.at, open.length]).toEqual(['first', 'last', 37]);
  });

  test('things turn with the way: against the tangent of an ellipse', () => {
    const [a, b] = [120, 60];
    const [course] = coursesOf(ellipsePath({ x: -a, y: -b, width: 2 * a, height: 2 * b }), 0);
    for (const { x, y, way } of spaced(course!, 17, 'turned', 0).places) {
      const t = Math.atan2(y / b, x / a);
      const tangent = Math.atan2(b * Math.cos(t), -a * Math.sin(t));
      const off = Math.atan2(Math.sin(way - tangent), Math.cos(way - tangent));
      expect(Math.abs((off * 180) / Math.PI)).toBeLessThan(1.5);
    }
  });
});

function nearestOn(points: readonly Point[], x: number, y: number): number {
  let [best, least, s] = [0, Infinity, 0];
  for (let i = 0; i + 1 < points.length; i++) {
    const [p, q] = [points[i]!, points[i + 1]!];
    const long = Math.hypot(q.x - p.x, q.y - p.y);
    const t = Math.max(
      0,
      Math.min(1, ((x - p.x) * (q.x - p.x) + (y - p.y) * (q.y - p.y)) / (long * long || 1)),
    );
    const away = Math.hypot(p.x + t * (q.x - p.x) - x, p.y + t * (q.y - p.y) - y);
    if (away < least) [best, least] = [s + t * long, away];
    s += long;
  }
  return best;
}

describe('paint', () => {
  const dabs = Array.from({ length: 40 }, (_, i) => ({
    ...{ x: 4 * i, y: 20 * Math.sin(i / 6), r: 5, press: 0.5, s: 4 * i },
  }));

  test('what a tip sweeps, hull by hull, is what Clipper2 makes of the line with round ends', () => {
    const hulls = swept(dabs, () => ellipseNib(1, 0, 72));
    const clipper = sweptRound(dabs);
    expect(areaOf(hulls) / areaOf(clipper)).toBeCloseTo(1, 2);
    const [a, b] = [pathBounds(hulls), pathBounds(clipper)];
    for (const side of ['x', 'y', 'width', 'height'] as const) expect(a[side]).toBeCloseTo(b[side], 1);
  });

  test('a flat nib is as wide as its angle makes it: along itself a hair, across itself all of it', () => {
    const line = (angle: number) =>
      [0, 60].map((s) => ({ x: s * Math.cos(angle), y: s * Math.sin(angle), r: 5, press: 0.5, s }));
    const nib = () => ellipseNib(0.1, 0, 64);
    // The area beyond the tip itself is the length times the tip's width across the way.
    const across = (angle: number) =>
      (areaOf(swept(line(angle), nib)) - areaOf(swept(line(0).slice(0, 1), nib))) / 60;
    expect(across(0)).toBeCloseTo(1, 1);
    expect(across(Math.PI / 2)).toBeCloseTo(10, 1);
  });

  test('a soft tip covers by its formula, one pixel as another; nothing is worked out where nothing was asked', () => {
    const line = [
      { x: 0, y: 0, r: 20, press: 0.5, s: 0 },
      { x: 60, y: 0, r: 20, press: 0.5, s: 60 },
    ];
    const raster = { width: 200, height: 100, scale: 2, x: -20, y: -25 };
    const stroke = { tip: 'soft' as const, lines: [line], hardness: 0.25, seed: 1 };
    const out = new Uint8ClampedArray(200 * 100);
    paintSoft(stroke, raster, out);
    for (let y = 0; y < 100; y += 7)
      for (let x = 0; x < 200; x += 9) {
        const [px, py] = [-20 + (x + 0.5) / 2, -25 + (y + 0.5) / 2];
        const q = Math.hypot(px - Math.max(0, Math.min(60, px)), py) / 20;
        const t = (q - 0.25) / 0.75;
        const wanted = q <= 0.25 ? 1 : t >= 1 ? 0 : (1 - t * t) ** 2;
        expect(Math.abs(out[y * 200 + x]! / 255 - wanted)).toBeLessThan(0.004);
      }
    const part = new Uint8ClampedArray(200 * 100);
    paintSoft(stroke, raster, part, [60, 20, 90, 50]);
    const other = part.findIndex((value, i) => {
      const [x, y] = [i % 200, Math.floor(i / 200)];
      const within = x >= 60 && x < 90 && y >= 20 && y < 50;
      return value !== (within ? out[i] : 0);
    });
    expect(other).toBe(-1);
  });
});

describe('lines as they come from a hand', () => {
  test('one point, a hundred thousand, one that lies on itself; a pen that always says the same', () => {
    expect(kept([{ x: 3, y: 4, pressure: 0 }])).toEqual({ at: [3, 4] });
    const many = Array.from({ length: 100_000 }, (_, i) => ({
      ...{ x: 300 * Math.cos(i * 0.37), y: 300 * Math.sin(i * 0.71), pressure: 0 },
    }));
    const thin = kept(many);
    expect(thin.at.length / 2).toBeLessThanOrEqual(MOST_LINE_POINTS);
    expect(thin.pressure).toBeUndefined();
    expect(
      kept([
        { x: 0, y: 0 },
        { x: 9, y: 0 },
        { x: 0, y: 0 },
      ]).at,
    ).toEqual([0, 0, 9, 0, 0, 0]);
    // Where a hand only pressed harder, on a straight line, is kept; where it went back on itself, too.
    const swell = kept([0, 10, 20, 30, 40].map((x) => ({ x, y: 0, pressure: x === 20 ? 0.9 : 0.3 })));
    expect(swell).toEqual({ at: [0, 0, 10, 0, 20, 0, 30, 0, 40, 0], pressure: [0.3, 0.3, 0.9, 0.3, 0.3] });
    expect(kept([0, 30, 10, 40].map((x) => ({ x, y: 0 }))).at).toEqual([0, 0, 30, 0, 10, 0, 40, 0]);
    const pen = kept([
      { x: 0, y: 0, pressure: 0.1, lean: 3 },
      { x: 9, y: 4, pressure: 0.7, lean: 3 },
      { x: 12, y: 0, pressure: 0.2, lean: 3 },
    ]);
    expect(pen).toEqual({ at: [0, 0, 9, 4, 12, 0], pressure: [0.1, 0.7, 0.2] });
    for (const trail of trailsOf('a'.repeat(64)))
      for (const spots of [
        [{ x: 3, y: 4 }],
        [
          { x: 0, y: 0 },
          { x: 90, y: 0 },
          { x: 0, y: 0 },
        ],
      ]) {
        const course = courseOf({ id: 'a', ...kept(spots), smoothing: 0.5, trail }, 1, 1);
        const marks = trailKind(trail).lay(trail, [course], {
          toward: { x: -0.5, y: -0.5, z: 0.7 },
          strength: 0.5,
          asset: () => undefined,
        });
        expect(marks.length).toBeGreaterThan(0);
      }
  });

  test('every kind grows with its piece, and says what it is', () => {
    for (const trail of trailsOf('a'.repeat(64))) {
      const kind = trailKind(trail);
      expect(kind.half(kind.scaled!(trail, 2))).toBeCloseTo(2 * kind.half(trail), 6);
      expect(kind.says!(trail, 'mm')!.length).toBeGreaterThan(3);
    }
    // A cut is drawn with by nobody.
    expect(Object.keys(TRAILS).filter((kind) => kind !== 'cut')).toEqual(
      trailsOf('a'.repeat(64)).map(({ kind }) => kind),
    );
  });
});

describe('thread, stamps and ribbon', () => {
  const square = coursesOf(rectanglePath({ x: -90, y: -60, width: 180, height: 120 }), 0);
  const told = (trail: Trail) => trailKind(trail).told?.(trail, square);

  test('each side takes a whole number of stitches, as near to what was asked as comes out even', () => {
    // 180 / 12 = 15 and 120 / 12 = 10, on each of two sides.
    expect(told({ ...NEW_THREAD, length: 8, gap: 4 })).toBe('50 stitches, whole on each side.');
    expect(told({ ...NEW_THREAD, stitch: 'back', length: 10 })).toBe('60 stitches, whole on each side.');
  });

  test('how far spacing was changed is told', () => {
    const [ring] = coursesOf(ellipsePath({ x: -50, y: -50, width: 100, height: 100 }), 0);
    const stamps = newStamps([{ asset: 'a'.repeat(64), ratio: 1 }], '#000000', 20);
    // 100π / 20 = 15.7: sixteen, 1.8 % closer.
    expect(trailKind(stamps).told!(stamps, [ring!])).toBe(
      '16 stamps, 1.8 % closer so that they come out whole.',
    );
  });

  test('a ribbon that turns sharply is folded over: three stretches, and no wider than it is', () => {
    const zigzag = openCourse([
      { x: 0, y: 0 },
      { x: 120, y: 0 },
      { x: 60, y: 90 },
      { x: 170, y: 110 },
    ]);
    const ribbon = { ...NEW_RIBBON, width: 16, ends: 'straight' as const };
    const marks = trailKind(ribbon).lay(ribbon, [zigzag], {
      toward: { x: -0.6, y: -0.5, z: 0.6 },
      strength: 0.5,
      asset: () => undefined,
    });
    expect(marks.filter(({ mark }) => mark === 'shadow')).toHaveLength(3);
    const { x, width, height } = pathBounds(trailKind(ribbon).shape(ribbon, [zigzag], () => undefined));
    expect(x).toBeGreaterThan(-0.1);
    expect(width).toBeLessThan(170 + 8.1);
    expect(height).toBeLessThan(110 + 16.1);
    const straight = openCourse([
      { x: 0, y: 0 },
      { x: 100, y: 0 },
    ]);
    expect(areaOf(trailKind(ribbon).shape(ribbon, [straight], () => undefined))).toBeCloseTo(1600, 0);
  });
});

test('the middle of a ring is a circle half way between its edges; of a cross two lines that go straight on', () => {
  const hole: Path = pathOfRings([
    Array.from({ length: 90 }, (_, i) => ({
      x: 40 * Math.cos((-i * Math.PI) / 45),
      y: 40 * Math.sin((-i * Math.PI) / 45),
    })),
  ]);
  const [ring, ...others] = middleLines([
    ...ellipsePath({ x: -60, y: -60, width: 120, height: 120 }),
    ...hole,
  ]);
  expect(others).toEqual([]);
  expect(ring!.closed).toBe(true);
  for (const { x, y } of ring!.points) expect(Math.abs(Math.hypot(x, y) - 50)).toBeLessThan(2);
  const cross: Path = [
    ...rectanglePath({ x: -50, y: -5, width: 100, height: 10 }),
    ...rectanglePath({ x: -5, y: -50, width: 10, height: 100 }),
  ];
  const lines = middleLines(cross);
  expect(lines).toHaveLength(2);
  for (const { points } of lines) expect(lengthOf(openCourse(points))).toBeGreaterThan(85);
});

test('a trefoil crosses itself three times; by turns it goes over and under all the way', () => {
  // The trefoil's projection x = sin t + 2 sin 2t, y = cos t - 2 cos 2t has three double points.
  const points = Array.from({ length: 360 }, (_, i) => {
    const t = (i * Math.PI) / 180 + 0.2;
    return { x: 40 * (Math.sin(t) + 2 * Math.sin(2 * t)), y: 40 * (Math.cos(t) - 2 * Math.cos(2 * t)) };
  });
  const { runs } = closedCourse(points);
  const middle = ({ from, to }: Pass) => (from + to) / 2;
  const over = crossingsOf(runs, 12);
  expect(over).toHaveLength(3);
  for (const { above, below } of over) {
    expect(middle(above)).toBeGreaterThan(middle(below));
    const [p, q] = [above, below].map((pass) => onRun(runs[0]!, middle(pass), 0));
    expect(Math.hypot(p!.x - q!.x, p!.y - q!.y)).toBeLessThan(0.01);
  }
  expect(crossingsOf(runs, 12, 'under').map(({ above }) => middle(above))).toEqual(
    over.map(({ below }) => middle(below)),
  );
  const passes = crossingsOf(runs, 12, 'turns').flatMap(({ above, below }) => [
    { at: middle(above), over: true },
    { at: middle(below), over: false },
  ]);
  const turns = passes.sort((a, b) => a.at - b.at).map((pass) => pass.over);
  turns.forEach((each, i) => expect(each).not.toBe(turns[(i + 1) % turns.length]));
  // What only bends, and what lies on itself, crosses nowhere.
  expect(crossingsOf([openRun([...points.slice(0, 40), ...points.slice(0, 40).reverse()])], 12)).toEqual([]);
});
