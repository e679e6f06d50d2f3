/** Snapping, by property: what a hand near something gets is the nearest there is, by trying every one, and the reasons told are true. */
import fc from 'fast-check';
import { evenly } from '@/core/geometry/sides';
import type { Box } from '@/core/geometry/box';
import { equalSize, equalTurn, snapEdge, snapField, snapMove, type SnapReason } from '@/core/page/snap';

const AXES = ['x', 'y'] as const;
const SIDE = { x: 'width', y: 'height' } as const;
const SHARES = [0, 0.5, 1];

const PAGE = { width: 864, height: 612, safe: evenly(18) };
const place = fc.integer({ min: -40, max: 900 });
const length = fc.integer({ min: 1, max: 300 });
const boxes = fc.array(fc.record({ x: place, y: place, width: length, height: length }), { maxLength: 7 });
const guides = fc.array(fc.record({ axis: fc.constantFrom(...AXES), at: place }), { maxLength: 4 });
const reach = fc.double({ min: 0, max: 12, noNaN: true });
const moving = fc.record({
  x: fc.double({ min: -40, max: 900, noNaN: true }),
  y: fc.double({ min: -40, max: 900, noNaN: true }),
  width: fc.double({ min: 1, max: 300, noNaN: true }),
  height: fc.double({ min: 1, max: 300, noNaN: true }),
});

/** Every place a line lies at, said in another way than the field does. */
const placesOf = (axis: 'x' | 'y', all: readonly Box[], own: readonly { axis: 'x' | 'y'; at: number }[]) => {
  const side = PAGE[SIDE[axis]];
  return [
    ...[0, side / 2, side, 18, side - 18],
    ...own.flatMap((guide) => (guide.axis === axis ? [guide.at] : [])),
    ...all.flatMap((box) => SHARES.map((share) => box[axis] + share * box[SIDE[axis]])),
  ];
};

const end = (box: Box, axis: 'x' | 'y'): number => box[axis] + box[SIDE[axis]];
const meet = (a: Box, b: Box, axis: 'x' | 'y'): boolean => a[axis] < end(b, axis) && b[axis] < end(a, axis);

/** What is told of an axis, and what the page really looks like there. */
function holds(reason: SnapReason, moved: Box, all: readonly Box[]): void {
  const { axis, gaps } = reason;
  const across = axis === 'x' ? 'y' : 'x';
  if (!gaps) {
    expect(SHARES.some((share) => Math.abs(moved[axis] + share * moved[SIDE[axis]] - reason.at) < 1e-6)).toBe(
      true,
    );
    // It is drawn as far as what moves, too.
    expect(reason.from).toBeLessThanOrEqual(moved[across] + 1e-9);
    expect(reason.to).toBeGreaterThanOrEqual(end(moved, across) - 1e-9);
    return;
  }
  expect(gaps).toHaveLength(2);
  const [one, two] = gaps.map(({ from, to }) => to - from) as [number, number];
  expect(one).toBeGreaterThan(0);
  expect(two).toBeCloseTo(one, 6);
  // One of them at least is beside it; in none lies anything of its row.
  expect(
    gaps.some(
      ({ from, to }) => Math.abs(to - moved[axis]) < 1e-6 || Math.abs(from - end(moved, axis)) < 1e-6,
    ),
  ).toBe(true);
  for (const gap of gaps)
    for (const box of all)
      if (box[axis] < gap.to - 1e-6 && end(box, axis) > gap.from + 1e-6) expect({ gap, box }).toBe('free');
}

test('what moves comes to the nearest line there is, and lies along all that is told', () => {
  fc.assert(
    fc.property(moving, boxes, guides, reach, (box, all, own, far) => {
      const field = snapField(PAGE, own, all);
      const { dx, dy, reasons } = snapMove(box, field, far);
      const moved = { ...box, x: box.x + dx, y: box.y + dy };
      for (const axis of AXES) {
        const by = axis === 'x' ? dx : dy;
        expect(Math.abs(by)).toBeLessThanOrEqual(far + 1e-9);
        const away = Math.min(
          ...placesOf(axis, all, own).flatMap((at) =>
            SHARES.map((share) => Math.abs(at - box[axis] - share * box[SIDE[axis]])),
          ),
        );
        const told = reasons.filter((reason) => reason.axis === axis);
        if (away <= far) {
          expect(Math.abs(by)).toBeCloseTo(away, 6);
          expect(told.length).toBeGreaterThan(0);
          expect(told.every(({ gaps }) => gaps === undefined)).toBe(true);
        } else if (by !== 0) expect(told).toMatchObject([{ what: 'equal gaps' }]);
      }
      // The row of what moves is what stood beside it when it was taken.
      for (const reason of reasons) {
        const across = reason.axis === 'x' ? 'y' : 'x';
        holds(
          reason,
          moved,
          all.filter((one) => meet(one, box, across)),
        );
      }
    }),
    { numRuns: 350 },
  );
});

test('in no gap that is told lies anything of its row, however things overlap', () => {
  const crowd = fc.array(
    fc.record({
      x: fc.nat(300),
      y: fc.nat(30),
      width: fc.integer({ min: 1, max: 120 }),
      height: fc.integer({ min: 20, max: 60 }),
    }),
    { minLength: 2, maxLength: 6 },
  );
  fc.assert(
    fc.property(moving, crowd, (box, all) => {
      const low = { ...box, x: box.x / 2, y: 25 };
      const { dx, dy, reasons } = snapMove(low, { lines: [], boxes: all }, 12);
      for (const reason of reasons) {
        const across = reason.axis === 'x' ? 'y' : 'x';
        const row = all.filter((one) => meet(one, low, across));
        holds(reason, { ...low, x: low.x + dx, y: low.y + dy }, row);
      }
    }),
    { numRuns: 350 },
  );
});

test('between things in a row: as far from one as others stand apart, or midway, wherever there is room', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 3, max: 60 }), { minLength: 3, maxLength: 5 }),
      fc.array(fc.integer({ min: 5, max: 50 }), { minLength: 5, maxLength: 5 }),
      fc.double({ min: -3, max: 3, noNaN: true }),
      fc.constantFrom(...AXES),
      (airs, wide, off, axis) => {
        // A row, and one more that stands as far beyond its last as the first two stand apart, but for a little.
        let at = 0;
        const row = airs.map((air, i) => {
          const box = { x: at, y: 0, width: wide[i]!, height: 40 };
          at += wide[i]! + air;
          return box;
        });
        const last = row.at(-1)!;
        const start = last.x + last.width + airs[0]!;
        const flip = ({ x, y, width, height }: Box): Box =>
          axis === 'x' ? { x, y, width, height } : { x: y, y: x, width: height, height: width };
        const taken = flip({ x: start + off, y: 7, width: 33, height: 20 });
        const found = snapMove(taken, { lines: [], boxes: row.map(flip) }, 4);
        const by = axis === 'x' ? found.dx : found.dy;
        const reached = start + off + by - (last.x + last.width);
        // It stands as far away as some two of them stand apart: the nearest such place.
        const apart = airs.slice(0, -1);
        expect(apart.some((air) => Math.abs(air - reached) < 1e-6)).toBe(true);
        expect(Math.abs(by)).toBeCloseTo(Math.min(...apart.map((air) => Math.abs(air - airs[0]! - off))), 6);
        expect(axis === 'x' ? found.dy : found.dx).toBe(0);
      },
    ),
  );
});

test('an edge, a size, a turn: the nearest within reach, and none beyond', () => {
  fc.assert(
    fc.property(boxes, guides, place, fc.constantFrom(...AXES), reach, (all, own, at, axis, far) => {
      const found = snapEdge(at + 0.37, axis, snapField(PAGE, own, all), far);
      const least = Math.min(...placesOf(axis, all, own).map((one) => Math.abs(one - at - 0.37)));
      if (least > far) expect(found).toBeUndefined();
      else
        expect([Math.abs(found!.by), found!.reason.at]).toEqual([
          expect.closeTo(least, 6),
          at + 0.37 + found!.by,
        ]);
      const sizes = all.map((box) => box[SIDE[axis]]);
      const near = equalSize(at, axis, all, far);
      const closest = Math.min(...sizes.map((size) => Math.abs(size - at)));
      if (closest > far) expect(near).toBeUndefined();
      else expect(Math.abs(near! - at)).toBe(closest);
    }),
  );
  const turn = fc.integer({ min: -180, max: 180 });
  fc.assert(
    fc.property(
      turn,
      fc.array(turn, { maxLength: 4 }),
      fc.integer({ min: 0, max: 10 }),
      (of, others, far) => {
        const away = (other: number) =>
          Math.min(...[-360, 0, 360].map((round) => Math.abs(of - other + round)));
        const least = Math.min(...[0, 90, 180, -90, ...others].map(away));
        const found = equalTurn(of, others, far);
        if (least > far) expect(found).toBeUndefined();
        else expect(away(found!)).toBe(least);
      },
    ),
  );
});
