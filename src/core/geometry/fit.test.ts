/** Outlines fitted to traced points, which lie about a pixel apart: how near they stay, where they have corners, how few curves they take. */
import fc from 'fast-check';
import { fitRing } from '@/core/geometry/fit';
import type { Point } from '@/core/geometry/matrix';
import { flatten, type Path } from '@/core/geometry/path';

/** How far a point lies from a stretch. */
function away(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const along = dx || dy ? ((p.x - a.x) * dx + (p.y - a.y) * dy) / (dx * dx + dy * dy) : 0;
  const t = Math.min(1, Math.max(0, along));
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
}
/** How far the farthest of the points lies from an outline. */
function farthest(points: readonly Point[], path: Path): number {
  const [ring] = flatten(path, 40);
  return Math.max(
    ...points.map((p) => Math.min(...ring!.map((a, i) => away(p, a, ring![(i + 1) % ring!.length]!)))),
  );
}
/** Points of a closed way, about one apart. */
const traced = (way: (t: number) => Point, long: number): Point[] =>
  Array.from({ length: Math.round(long) }, (_, i) => way(i / Math.round(long)));
/** The area within an outline (the shoelace formula). */
const within = (path: Path): number => {
  const [ring] = flatten(path, 40);
  return Math.abs(
    ring!.reduce((sum, a, i) => {
      const b = ring![(i + 1) % ring!.length]!;
      return sum + (a.x * b.y - b.x * a.y) / 2;
    }, 0),
  );
};
const kinds = (path: Path) => path.map(([kind]) => kind).join('');
/** As pixels give it: each point off by less than half a pixel. */
const jagged = (points: readonly Point[]): Point[] =>
  points.map(({ x, y }) => ({ x: Math.round(2 * x) / 2, y: Math.round(2 * y) / 2 }));

test('a circle is a few curves, as large as it is', () => {
  fc.assert(
    fc.property(fc.double({ min: 12, max: 150, noNaN: true }), (r) => {
      const ring = traced(
        (t) => ({ x: 200 + r * Math.cos(2 * Math.PI * t), y: 200 + r * Math.sin(2 * Math.PI * t) }),
        2 * Math.PI * r,
      );
      const path = fitRing(ring, 0.6);
      expect(farthest(ring, path)).toBeLessThan(0.9);
      expect(Math.abs(within(path) / (Math.PI * r * r) - 1)).toBeLessThan(0.03);
      expect(path.length).toBeLessThan(14);
    }),
    { numRuns: 13 },
  );
});

test('a soft shape, its points as pixels give them, is followed all the way round', () => {
  const wave = fc.record({
    size: fc.double({ min: 30, max: 110, noNaN: true }),
    swell: fc.array(fc.double({ min: -0.12, max: 0.12, noNaN: true }), { minLength: 2, maxLength: 3 }),
    turn: fc.double({ min: 0, max: 6, noNaN: true }),
  });
  fc.assert(
    fc.property(wave, ({ size, swell, turn }) => {
      const way = (t: number) => {
        const a = 2 * Math.PI * t;
        const r = size * (1 + swell.reduce((sum, much, k) => sum + much * Math.cos((k + 2) * a + turn), 0));
        return { x: 200 + r * Math.cos(a), y: 200 + r * Math.sin(a) };
      };
      const smooth = traced(way, 7 * size);
      const path = fitRing(jagged(smooth), 0.8);
      expect(farthest(smooth, path)).toBeLessThan(2);
      expect(kinds(path)).toMatch(/^M[LC]+Z$/);
      // Far fewer than the points it stands for.
      expect(path.length).toBeLessThan(smooth.length / 6);
    }),
    { numRuns: 13 },
  );
});

test('a cut sheet keeps its straight sides and its corners, though pixels round them off', () => {
  const sheet = fc.record({
    turn: fc.double({ min: 0, max: Math.PI, noNaN: true }),
    width: fc.double({ min: 60, max: 200, noNaN: true }),
    height: fc.double({ min: 60, max: 200, noNaN: true }),
  });
  fc.assert(
    fc.property(sheet, ({ turn, width, height }) => {
      const corners = [
        [-1, -1],
        [1, -1],
        [1, 1],
        [-1, 1],
      ].map(([u, v]) => {
        const [x, y] = [(u! * width) / 2, (v! * height) / 2];
        return {
          x: 300 + x * Math.cos(turn) - y * Math.sin(turn),
          y: 300 + x * Math.sin(turn) + y * Math.cos(turn),
        };
      });
      const ring = corners.flatMap((a, i) => {
        const b = corners[(i + 1) % 4]!;
        const count = Math.round(Math.hypot(b.x - a.x, b.y - a.y));
        return Array.from({ length: count }, (_, k) => ({
          x: a.x + ((b.x - a.x) * k) / count,
          y: a.y + ((b.y - a.y) * k) / count,
        }));
      });
      const path = fitRing(ring, 0.6);
      expect(kinds(path)).toBe('MLLLLZ');
      const found = path.flatMap((segment) => (segment[0] === 'L' ? [{ x: segment[1], y: segment[2] }] : []));
      for (const corner of corners)
        expect(Math.min(...found.map((p) => Math.hypot(p.x - corner.x, p.y - corner.y)))).toBeLessThan(0.5);
    }),
    { numRuns: 20 },
  );
});

test('whatever ring it is, what comes of it is finite; too few points are lines, none are nothing', () => {
  const point = fc.record({ x: fc.integer({ min: 0, max: 60 }), y: fc.integer({ min: 0, max: 60 }) });
  fc.assert(
    fc.property(fc.array(point, { minLength: 3, maxLength: 60 }), (ring) => {
      const path = fitRing(ring, 0.6);
      if (!path.length) return;
      expect(path.flat().every((part) => typeof part === 'string' || Number.isFinite(part))).toBe(true);
    }),
    { numRuns: 150 },
  );
  expect(fitRing([], 0.6)).toEqual([]);
  expect(
    fitRing(
      Array.from({ length: 12 }, () => ({ x: 7, y: 7 })),
      0.6,
    )
      .flat()
      .every((part) => typeof part === 'string' || part === 7),
  ).toBe(true);
});
