/** Edges, mats and shadows against numbers done by hand. */
import fc from 'fast-check';
import { areaOf } from '@/core/geometry/offset';
import { contains, ellipsePath, flatten, pathBounds, rectanglePath } from '@/core/geometry/path';
import { scaledFinish, finishOf } from '@/core/piece/finish';
import { countAlong, edged, NEW_EDGE, type Edge } from '@/core/piece/finish/edge';
import type { EdgeSide } from '@/core/geometry/runs';
import { castShadow, curlMarks, liftMarks, NEW_CURL } from '@/core/piece/finish/lift';
import { DAYLIGHT } from '@/core/piece/finish/light';
import { matPaths, NEW_MAT } from '@/core/piece/finish/mats';
import { PROFILES, type EdgeKind } from '@/core/piece/finish/profiles';
import { countBroken, NEW_DASHES, strokeMarks, type Broken, type Stroke } from '@/core/piece/finish/stroke';
import type { FillMark, ShadowMark, TreatmentMark } from '@/core/picture/picture';
import type { Curl } from '@/core/treatment/curl';
import { paintTreatment } from '@/core/treatment/paint';

const box = (width: number, height: number) =>
  rectanglePath({ x: -width / 2, y: -height / 2, width, height });
const edge = (more: Partial<Edge>): Edge => ({ ...NEW_EDGE, ...more });
const KINDS = Object.keys(PROFILES) as EdgeKind[];

describe('edges', () => {
  test('a 100 px round at 100 % spacing makes 36 scallops along 3600 px (common practice, no source)', () => {
    const strip = box(3600, 400);
    expect(countAlong(edge({ size: 100, sides: ['bottom'] }), strip)).toBe(36);
    const { path } = edged(edge({ size: 100, sides: ['bottom'] }), strip);
    // Each valley is cut out of a band of half a scallop: 36 times a square less its half circle.
    expect(areaOf(path)).toBeCloseTo(3600 * 400 - 36 * (100 * 50 - (Math.PI * 50 * 50) / 2), -4);
    const valleys = path.filter(([kind, , y]) => kind === 'L' && Math.abs((y ?? 0) - 150) < 1e-6).length;
    expect(valleys).toBeGreaterThanOrEqual(36);
  });

  test('the torn and worked edges stay within the cut, take something off it, and are the same for the same seed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...KINDS),
        fc.double({ min: 6, max: 60, noNaN: true }),
        fc.integer({ min: 60, max: 400 }),
        fc.integer({ min: 60, max: 400 }),
        fc.subarray<EdgeSide>(['top', 'right', 'bottom', 'left'], { minLength: 1 }),
        fc.boolean(),
        (kind, size, width, height, sides, round) => {
          const cut = round
            ? ellipsePath({ x: -width / 2, y: -height / 2, width, height })
            : box(width, height);
          const made = edge({ kind, size, sides });
          const { path } = edged(made, cut);
          const { x, y, width: w, height: h } = pathBounds(path);
          expect(x).toBeGreaterThan(-width / 2 - 0.01);
          expect(y).toBeGreaterThan(-height / 2 - 0.01);
          expect(w).toBeLessThan(width + 0.02);
          expect(h).toBeLessThan(height + 0.02);
          expect(areaOf(path)).toBeLessThan(areaOf(cut));
          expect(edged(made, cut).path).toEqual(path);
        },
      ),
      { numRuns: 25 },
    );
  });

  test('sides that are not chosen stay plainly cut', () => {
    const { path } = edged(edge({ kind: 'zigzag', size: 20, sides: ['right'] }), box(200, 100));
    const inside = path.filter((s) => s[0] !== 'Z' && s[1]! < 79.9 && Math.abs(s[2]!) < 49.9);
    expect(inside).toEqual([]);
  });

  test('bare paper shows along a torn edge alone, about as wide as asked for', () => {
    const torn = edge({ kind: 'torn', size: 24, sides: ['bottom'], core: 6 });
    const { path, face } = edged(torn, box(400, 100));
    const bare = (areaOf(path) - areaOf(face!)) / 400;
    expect(bare).toBeGreaterThan(3);
    expect(bare).toBeLessThan(9);
    expect(edged({ ...torn, seed: 2 }, box(400, 100)).path).not.toEqual(path);
  });
});

describe('mats', () => {
  test('each stands out by its own width round the one before; straight ones are rectangles', () => {
    const mats = [
      { ...NEW_MAT, width: 10 },
      { ...NEW_MAT, width: 5 },
    ];
    const [near, far] = matPaths(mats, box(100, 60));
    expect(areaOf(near!)).toBeCloseTo(120 * 80, 1);
    expect(areaOf(far!)).toBeCloseTo(130 * 90, 1);
    const [round] = matPaths(
      [{ ...NEW_MAT, width: 10 }],
      ellipsePath({ x: -50, y: -50, width: 100, height: 100 }),
    );
    expect(areaOf(round!) / (Math.PI * 60 * 60)).toBeCloseTo(1, 2);
    const [straight] = matPaths(
      [{ ...NEW_MAT, width: 10, straight: true, turn: 90 }],
      ellipsePath({ x: -50, y: -30, width: 100, height: 60 }),
    );
    expect(pathBounds(straight!)).toMatchObject({
      width: expect.closeTo(80, 6),
      height: expect.closeTo(120, 6),
    });
  });
});

describe('shadows', () => {
  // h = sqrt(lift) mm, offset = h cot(e); at 45 degrees cot is 1. By hand: 0.25 mm -> 0.5 mm, 1 -> 1, 4 -> 2 mm.
  test.each([
    [0.25, 0.5],
    [1, 1],
    [4, 2],
  ])('%d mm of lift under a light at 45 degrees throws a shadow %d mm away', (lift, away) => {
    expect(castShadow(lift, { ...DAYLIGHT, height: 45 }).offset).toBeCloseTo((away * 72) / 25.4, 9);
  });

  // Light from the left at 45 degrees: what stands h higher throws its shadow h farther to the right.
  const thrown = (curl?: Curl) =>
    liftMarks(
      { height: 1, shadow: true, curl },
      { ...DAYLIGHT, direction: 270, height: 45 },
      box(200, 100),
      0,
      [1, 0, 0, 1, 0, 0],
    ) as ShadowMark[];
  const mm = 72 / 25.4;

  test('a corner that stands 10 mm up throws its shadow 10 mm farther; the others as far as a flat sheet', () => {
    const [soft, tight] = thrown({ ...NEW_CURL, rise: 10 });
    expect(soft!.offset.x).toBeCloseTo(mm, 9);
    const points = flatten(soft!.path).flat();
    const near = (x: number, y: number) => points.some((p) => Math.hypot(p.x - x, p.y - y) < 1e-6);
    expect(near(100 + 10 * mm, 50)).toBe(true);
    expect([near(-100, -50), near(100, -50), near(-100, 50)]).toEqual([true, true, true]);
    expect(soft!.blur).toBeGreaterThan(thrown()[0]!.blur);
    // Beneath the corner nothing touches the page.
    expect(pathBounds(tight!.path).width).toBeLessThan(200.001);
    expect(contains(tight!.path, { x: 99, y: 49 })).toBe(false);
    expect(contains(tight!.path, { x: 99, y: -49 })).toBe(true);
  });

  test('a bowed strip touches the page at its ends, a bent one in its middle', () => {
    const [middle] = thrown({ ...NEW_CURL, kind: 'middle', rise: 10 });
    const { x, width } = pathBounds(middle!.path);
    expect([x, x + width]).toEqual([expect.closeTo(-100, 6), expect.closeTo(100, 6)]);
    const top = flatten(middle!.path)
      .flat()
      .filter((p) => Math.abs(p.y + 50) < 1e-6);
    expect(Math.max(...top.map((p) => p.x))).toBeCloseTo(100, 6);
    const [ends] = thrown({ ...NEW_CURL, kind: 'ends', rise: 10, reach: 0.5 });
    const right = pathBounds(ends!.path);
    expect(right.x + right.width).toBeCloseTo(100 + 10 * mm, 6);
  });

  test('a corner that turns to the light is lighter, one that turns away darker; the rest is untouched', () => {
    const shape = new Uint8ClampedArray(4 * 200 * 100).fill(255);
    const lit = (corners: Curl['corners']) => {
      const [mark] = curlMarks(
        { height: 1, shadow: true, curl: { ...NEW_CURL, corners } },
        toward,
        box(200, 100),
      );
      const pixels = paintTreatment((mark as TreatmentMark).treatment, toward, shape, {
        width: 200,
        height: 100,
        scale: 1,
        x: -100,
        y: -50,
      });
      return (x: number, y: number) => pixels.slice(4 * (y * 200 + x), 4 * (y * 200 + x) + 4);
    };
    const toward = { x: -0.5, y: -0.5, z: Math.SQRT1_2 };
    const right = lit([false, false, true, false])(195, 95);
    expect(right[3]).toBeGreaterThan(20);
    expect(right[0]).toBeGreaterThan(240);
    const left = lit([true, false, false, false])(5, 5);
    expect(left[3]).toBeGreaterThan(20);
    expect(left[0]).toBeLessThan(60);
    expect(lit([true, false, true, false])(100, 50)[3]).toBe(0);
  });
});

test('a piece that grows takes along all that has a size of its own', () => {
  const finish = {
    ...finishOf(1),
    edge: edge({ size: 20, core: 2 }),
    mats: [{ ...NEW_MAT, width: 9 }],
    shadows: [{ x: 3, y: -4, blur: 2, strength: 0.5, colour: '#000000' }],
  };
  expect(scaledFinish(finish, 2)).toMatchObject({
    edge: { size: 40, core: 4 },
    mats: [{ width: 18 }],
    shadows: [{ x: 6, y: -8, blur: 4 }],
  });
});

describe('dashes', () => {
  const square = rectanglePath({ x: -90, y: -60, width: 180, height: 120 });
  const sewn = (change: Partial<Stroke> = {}, broken: Partial<Broken> = {}): Stroke => ({
    colour: '#f3e3c0',
    width: 2,
    side: 'on',
    ...change,
    broken: { ...NEW_DASHES, length: 8, gap: 4, ...broken },
  });
  const marks = (stroke: Stroke) => strokeMarks(stroke, square);

  test('each side takes a whole number, as near to what was asked as comes out even', () => {
    // 180 / 12 = 15 and 120 / 12 = 10, on each of two sides.
    expect(countBroken(sewn(), square)).toBe(50);
    // 7 inside all round: 164.. and 104 long.
    expect(countBroken(sewn({ side: 'inside' }, { from: 6 }), square)).toBe(
      2 * (Math.round(166 / 12) + Math.round(106 / 12)),
    );
    expect(countBroken(sewn({ side: 'inside' }, { from: 70 }), square)).toBe(0);
  });

  test('dashes cover length × width each, and stay on their side of the edge', () => {
    const [on] = marks(sewn());
    expect(on!.mark).toBe('fill');
    expect(areaOf((on as FillMark).path)).toBeCloseTo(50 * 8 * 2, 0);
    const [inside] = marks(sewn({ side: 'inside' }, { from: 3 }));
    expect(pathBounds((inside as FillMark).path)).toMatchObject({ x: -87, y: -57 });
    const [outside] = marks(sewn({ side: 'outside' }, { from: 3 }));
    expect(pathBounds((outside as FillMark).path).x).toBeCloseTo(-95);
  });
});
