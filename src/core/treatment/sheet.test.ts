/** Sheets that do not lie flat, and the noise of paper: by their closed answers, seamless, the same each time. */
import fc from 'fast-check';
import { clouds, hash, noise, noise2 } from '@/core/geometry/noise';
import { bentAt, CURL_KINDS, type Curl } from '@/core/treatment/curl';
import { bevel, dome } from '@/core/treatment/relief';

const curl = (change: Partial<Curl>): Curl => ({
  kind: 'corners',
  corners: [true, true, true, true],
  rise: 6,
  reach: 0.4,
  ...change,
});
const size = fc.record({
  width: fc.double({ min: 20, max: 600, noNaN: true }),
  height: fc.double({ min: 20, max: 600, noNaN: true }),
});
const share = fc.double({ min: -0.5, max: 0.5, noNaN: true });

describe('a bent sheet', () => {
  test('stands nowhere higher than all of its rise, nowhere below nothing', () => {
    fc.assert(
      fc.property(
        size,
        share,
        share,
        fc.constantFrom(...CURL_KINDS),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        (box, u, v, kind, reach) => {
          const at = bentAt(curl({ kind, reach }), box)(u * box.width, v * box.height);
          expect(at).toBeGreaterThanOrEqual(0);
          expect(at).toBeLessThanOrEqual(1 + 1e-9);
        },
      ),
    );
  });

  test('corners stand up all the way, as a parabola, and only those that are chosen', () => {
    const box = { width: 100, height: 60 };
    const only = bentAt(curl({ corners: [true, false, false, false] }), box);
    expect(only(-50, -30)).toBeCloseTo(1, 9);
    expect([only(50, -30), only(50, 30), only(-50, 30), only(0, 0)]).toEqual([0, 0, 0, 0]);
    // Half way in along the edge: a quarter of the height.
    const fold = 0.4 * 60;
    expect(only(-50 + fold / 2, -30)).toBeCloseTo(0.25, 9);
    expect(only(-50 + fold, -30)).toBeCloseTo(0, 9);
  });

  test('ends bend along the longer side, whichever that is; the middle is flat where it meets the page', () => {
    for (const [box, end] of [
      [{ width: 200, height: 50 }, [100, 0]],
      [{ width: 50, height: 200 }, [0, 100]],
    ] as const) {
      const ends = bentAt(curl({ kind: 'ends', reach: 0.5 }), box);
      expect(ends(...(end as [number, number]))).toBeCloseTo(1, 9);
      expect(ends(0, 0)).toBe(0);
      const middle = bentAt(curl({ kind: 'middle' }), box);
      expect(middle(0, 0)).toBeCloseTo(1, 9);
      expect(middle(...(end as [number, number]))).toBeCloseTo(0, 9);
      const [x, y] = [end[0] * 0.999, end[1] * 0.999];
      expect(middle(x, y)).toBeLessThan(1e-5);
    }
  });
});

describe('profiles of rims', () => {
  test('a bevel is smooth at both ends, a dome stands upright at its foot and flat at its top', () => {
    for (const profile of [bevel, dome]) expect([profile(0), profile(1)]).toEqual([0, 1]);
    expect(bevel(0.5)).toBe(0.5);
    expect([bevel(0.01) / 0.01, (1 - bevel(0.99)) / 0.01].every((slope) => slope < 0.05)).toBe(true);
    expect(dome(1 - Math.SQRT1_2)).toBeCloseTo(Math.SQRT1_2, 9);
    for (let t = 0; t < 1; t += 0.05)
      expect([bevel(t + 0.05) >= bevel(t), dome(t + 0.05) >= dome(t)]).toEqual([true, true]);
    expect(dome(7)).toBe(0);
  });
});

describe('noise', () => {
  test('is the same for the same numbers, evenly spread from 0 to 1, and another for another seed', () => {
    const values = Array.from({ length: 20_000 }, (_, i) => hash(i, 7));
    expect(values).toEqual(Array.from({ length: 20_000 }, (_, i) => hash(i, 7)));
    expect(values.every((value) => value >= 0 && value < 1)).toBe(true);
    const bins = new Array<number>(20).fill(0);
    for (const value of values) bins[Math.floor(value * 20)]! += 1;
    // A thousand each; five deviations of a binomial.
    for (const bin of bins) expect(Math.abs(bin - 1000)).toBeLessThan(5 * Math.sqrt(1000 * 0.95));
    expect(Array.from({ length: 50 }, (_, i) => hash(i, 8))).not.toEqual(values.slice(0, 50));
  });

  test('along a line it is smooth, comes again after its period, and joins itself without a step', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.integer({ min: 2, max: 40 }),
        fc.nat(99),
        (x, period, seed) => {
          const value = noise(x, period, seed);
          expect(value).toBeGreaterThanOrEqual(0);
          expect(value).toBeLessThanOrEqual(1);
          expect(noise(x + period, period, seed)).toBeCloseTo(value, 6);
          expect(Math.abs(noise(x + 1e-3, period, seed) - value)).toBeLessThan(0.0016);
        },
      ),
    );
  });

  test('over the plane it passes through its lattice, and has no seams between its cells', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -50, max: 50 }),
        fc.integer({ min: -50, max: 50 }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.nat(99),
        (x, y, t, seed) => {
          const corner = noise2(x, y, seed);
          expect(noise2(x + 1e-9, y - 1e-9, seed)).toBeCloseTo(corner, 6);
          expect(Math.abs(noise2(x - 1e-6, y + t, seed) - noise2(x + 1e-6, y + t, seed))).toBeLessThan(1e-5);
        },
      ),
    );
  });

  test('clouds are about a half in the mean, and the finer ones weigh less', () => {
    let sum = 0;
    for (let i = 0; i < 4000; i++) sum += clouds((i % 63) * 0.37, Math.floor(i / 63) * 0.41, 4, 3);
    expect(sum / 4000).toBeGreaterThan(0.42);
    expect(sum / 4000).toBeLessThan(0.58);
    expect(clouds(1.3, 2.7, 1, 5)).toBe(noise2(1.3, 2.7, 5));
  });
});
