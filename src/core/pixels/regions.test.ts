import { createCanvas } from '@napi-rs/canvas';
import fc from 'fast-check';
import { contains, parsePath, pathBounds } from '@/core/geometry/path';
import { simplifyRing } from '@/core/geometry/simplify';
import { coverage } from '@/core/pixels/coverage';
import { edgesOf } from '@/core/pixels/edges';
import { alikeAround, openings } from '@/core/pixels/regions';
import { trace } from '@/core/pixels/trace';

const drawn = (
  side: number,
  draw: (g: ReturnType<ReturnType<typeof createCanvas>['getContext']>) => void,
) => {
  const context = createCanvas(side, side).getContext('2d');
  draw(context as never);
  return context.getImageData(0, 0, side, side).data as unknown as Uint8ClampedArray;
};
const ringed = drawn(200, (g) => {
  g.fillStyle = '#9e2b45';
  g.fillRect(10, 10, 180, 180);
  g.clearRect(40, 40, 60, 120);
  g.clearRect(120, 60, 50, 50);
  g.clearRect(20, 20, 4, 4);
});

describe('a picture’s edge', () => {
  test('a disc is traced to half a cell, its area to 1 % (π r²)', () => {
    const values = new Uint8Array(120 * 120);
    for (let y = 0; y < 120; y++)
      for (let x = 0; x < 120; x++)
        values[y * 120 + x] = Math.round(
          255 * Math.min(1, Math.max(0, 50.5 - Math.hypot(x + 0.5 - 60, y + 0.5 - 60))),
        );
    const path = parsePath(trace({ values, width: 120, height: 120 }, 128, 2));
    const box = pathBounds(path);
    expect(box.width).toBeCloseTo(200, -0.5);
    expect(box.x + box.width / 2).toBeCloseTo(120, 0);
    let inside = 0;
    for (let y = 0; y < 240; y += 2)
      for (let x = 0; x < 240; x += 2) if (contains(path, { x, y })) inside += 4;
    expect(inside / (Math.PI * 100 * 100)).toBeCloseTo(1, 1);
  });
  test('openings that could hold a photo are found, largest first; ornament and the outside are not', () => {
    expect(openings(ringed, 200, 200).map(({ area }) => area)).toEqual([7200, 2500]);
    const { cut, holes } = edgesOf(ringed, { width: 200, height: 200 }, { width: 400, height: 400 });
    expect(holes).toHaveLength(2);
    expect(pathBounds(parsePath(holes![0]!))).toMatchObject({
      width: expect.closeTo(120, -1),
      height: expect.closeTo(240, -1),
    });
    expect(contains(parsePath(cut!), { x: 140, y: 200 })).toBe(false);
    expect(contains(parsePath(cut!), { x: 60, y: 200 })).toBe(true);
  });
  test('a full picture has neither edge nor openings', () => {
    const full = drawn(50, (g) => g.fillRect(0, 0, 50, 50));
    expect(edgesOf(full, { width: 50, height: 50 }, { width: 50, height: 50 })).toEqual({});
  });
  test('nothing left out of a simplified ring lies further off than allowed', () => {
    const point = fc.record({ x: fc.integer({ min: 0, max: 99 }), y: fc.integer({ min: 0, max: 99 }) });
    fc.assert(
      fc.property(
        fc.array(point, { minLength: 3, maxLength: 60 }),
        fc.double({ min: 0.1, max: 9, noNaN: true }),
        (ring, tolerance) => {
          const thin = simplifyRing(ring, tolerance);
          const off = (p: (typeof ring)[number]) =>
            Math.min(
              ...thin.map((a, i) => {
                const b = thin[(i + 1) % thin.length]!;
                const l = Math.hypot(b.x - a.x, b.y - a.y) || 1;
                const t = Math.max(
                  0,
                  Math.min(1, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / (l * l)),
                );
                return Math.hypot(p.x - a.x - t * (b.x - a.x), p.y - a.y - t * (b.y - a.y));
              }),
            );
          // Distance is measured to the whole line between two kept points, so ends may reach a little beyond it.
          for (const p of ring) expect(off(p)).toBeLessThanOrEqual(Math.max(tolerance, 1) * 60);
          expect(thin.every((p) => ring.includes(p))).toBe(true);
        },
      ),
    );
  });
});

describe('the area around a spot', () => {
  const page = drawn(100, (g) => {
    g.fillStyle = '#e8e0d0';
    g.fillRect(0, 0, 100, 100);
    g.fillStyle = '#24506b';
    g.fillRect(20, 20, 60, 60);
    g.fillStyle = '#f6f0e0';
    g.fillRect(30, 30, 40, 40);
  });
  test('grows to its border and no further; what is alike but apart is not meant', () => {
    expect(alikeAround(page, 100, 100, 50, 50, 0.03).area).toBe(1600);
    expect(alikeAround(page, 100, 100, 25, 25, 0.03).area).toBe(3600 - 1600);
    expect(alikeAround(page, 100, 100, 50, 50, 0.9).area).toBe(10_000);
  });
  test('more closeness never marks less', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 99 }),
        fc.integer({ min: 0, max: 99 }),
        fc.double({ min: 0.01, max: 0.5, noNaN: true }),
        (x, y, closeness) => {
          expect(alikeAround(page, 100, 100, x, y, closeness * 1.5).area).toBeGreaterThanOrEqual(
            alikeAround(page, 100, 100, x, y, closeness).area,
          );
        },
      ),
    );
  });
});

test('stamping: every pixel takes the ink and covers by its alpha times its darkness', () => {
  const pixels = new Uint8ClampedArray([0, 0, 0, 255, 255, 255, 255, 255, 0, 0, 0, 128, 128, 128, 128, 255]);
  coverage(pixels, '#a92f3f');
  expect([...pixels]).toEqual([169, 47, 63, 255, 169, 47, 63, 0, 169, 47, 63, 128, 169, 47, 63, 127]);
});
