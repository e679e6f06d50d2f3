/** Lines beside a sheet: outside of the bleed on every side, in line with the cut, on paper that holds them. */
import fc from 'fast-check';
import { withBleed } from '@/core/geometry/sides';
import { linesBeside, paperAround } from '@/output/crop-lines';

const length = fc.double({ min: 0, max: 40, noNaN: true });
const sides = fc.record({ top: length, right: length, bottom: length, left: length });
const size = fc.record({
  width: fc.double({ min: 36, max: 2000, noNaN: true }),
  height: fc.double({ min: 36, max: 2000, noNaN: true }),
});
const along = (whole: number, shares: readonly number[]) => shares.map((share) => share * whole);
const shares = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 4 });

test('two for every cut, each in line with it and wholly outside of what is printed', () => {
  fc.assert(
    fc.property(size, sides, shares, shares, (trim, bleed, xs, ys) => {
      const cuts = { x: along(trim.width, xs), y: along(trim.height, ys) };
      const lines = linesBeside(trim, bleed, cuts);
      expect(lines).toHaveLength(2 * (xs.length + ys.length));
      const printed = withBleed({ ...trim, bleed });
      lines.forEach(([x1, y1, x2, y2], i) => {
        const upright = i < 2 * xs.length;
        expect(upright ? x1 === x2 && cuts.x.includes(x1) : y1 === y2 && cuts.y.includes(y1)).toBe(true);
        const [a, b] = upright ? [y1, y2] : [x1, x2];
        const [from, to] = upright
          ? [printed.y, printed.y + printed.height]
          : [printed.x, printed.x + printed.width];
        // Both ends on one side, a little off what is printed so that no line is cut into it.
        expect(Math.max(a, b) < from - 1.9 || Math.min(a, b) > to + 1.9).toBe(true);
        expect(Math.abs(a - b)).toBeCloseTo(18, 9);
      });
    }),
  );
});

test('the paper holds all of them, and is no larger where there are none', () => {
  fc.assert(
    fc.property(size, sides, (trim, bleed) => {
      const marked = paperAround(trim, bleed, true);
      const corners = { x: [0, trim.width], y: [0, trim.height] };
      for (const [x1, y1, x2, y2] of linesBeside(trim, bleed, corners))
        for (const [x, y] of [
          [x1, y1],
          [x2, y2],
        ] as const) {
          expect(x).toBeGreaterThanOrEqual(marked.x - 1e-9);
          expect(y).toBeGreaterThanOrEqual(marked.y - 1e-9);
          expect(x).toBeLessThanOrEqual(marked.x + marked.width + 1e-9);
          expect(y).toBeLessThanOrEqual(marked.y + marked.height + 1e-9);
        }
      expect(paperAround(trim, bleed, false)).toEqual(withBleed({ ...trim, bleed }));
    }),
  );
});

test('without bleed they begin 5 points beside the sheet, with one 2 points beyond it', () => {
  const none = { top: 0, right: 0, bottom: 0, left: 0 };
  expect(linesBeside({ width: 100, height: 50 }, none, { x: [0], y: [] })).toEqual([
    [0, -5, 0, -23],
    [0, 55, 0, 73],
  ]);
  expect(linesBeside({ width: 100, height: 50 }, { ...none, left: 9 }, { x: [], y: [50] })).toEqual([
    [-11, 50, -29, 50],
    [105, 50, 123, 50],
  ]);
});
