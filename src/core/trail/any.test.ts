/** Whatever a file may say of a trail, laid along whatever a hand draws: all of it finite, the same each time, where the line goes. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { pathBounds } from '@/core/geometry/path';
import { reachOf, type Mark } from '@/core/picture/picture';
import {
  coloursOf,
  scaledTrail,
  shapeOfTrail,
  trailKind,
  trailSays,
  trailSchema,
  TRAILS,
  type Trail,
} from '@/core/trail';
import {
  closedCourse,
  coursesOf,
  lengthOf,
  openCourse,
  pointsOf,
  rounded,
  type Course,
} from '@/core/trail/course';
import { trailsOf } from '../../../scripts/testing/lines';
import { assetOf, quarters } from '../../../scripts/testing/samples';

const asset = assetOf(quarters(20, 14), 20, 14);
const GROUND = {
  toward: { x: -0.5, y: -0.5, z: 0.7 },
  strength: 0.5,
  asset: (sha: string) => (sha === asset.sha ? asset : undefined),
};
const TRAILS_HERE = trailsOf(asset.sha);

interface Field {
  oneOf: string[];
  type: string;
  tests: { name?: string; params?: { min?: number; max?: number } }[];
}
const fieldsOf = ({ kind }: Trail) =>
  TRAILS[kind].schema.describe().fields as unknown as Record<string, Field>;

/** A value its schema lets a field have; lengths no larger than a page, so that a hundred are laid in a moment. */
function within({ type, tests, oneOf }: Field, now: unknown): fc.Arbitrary<unknown> {
  if (oneOf.length > 1) return fc.constantFrom(...oneOf);
  if (type !== 'number' || typeof now !== 'number') return fc.constant(now);
  const limit = (name: 'min' | 'max') => tests.find((one) => one.name === name)?.params?.[name];
  const [min, max] = [limit('min') ?? 0, Math.min(432, limit('max') ?? 1)];
  if (tests.some(({ name }) => name === 'integer')) return fc.integer({ min, max });
  const held = (value: number) => Math.min(max, Math.max(min, value));
  const [least, most] = [held(Math.min(0.2 * now, 4 * now)), held(Math.max(0.2 * now, 4 * now))];
  return fc.oneof(
    { arbitrary: fc.constant(now), weight: 2 },
    fc.constantFrom(least, max),
    fc.double({ min: least, max: most, noNaN: true }),
  );
}
const trail: fc.Arbitrary<Trail> = fc.constantFrom(...TRAILS_HERE).chain((begun) => {
  const fields = fieldsOf(begun);
  return fc.record(
    Object.fromEntries(
      Object.entries(begun).map(([name, now]) => [
        name,
        fields[name] ? within(fields[name], now) : fc.constant(now),
      ]),
    ),
  ) as unknown as fc.Arbitrary<Trail>;
});
const spot = fc.record({ x: fc.integer({ min: -120, max: 120 }), y: fc.integer({ min: -90, max: 90 }) });
const course: fc.Arbitrary<Course> = fc.oneof(
  fc.array(spot, { minLength: 2, maxLength: 7 }).map((spots) => openCourse(spots)),
  fc.uniqueArray(spot, { minLength: 3, maxLength: 6, selector: ({ x, y }) => `${x} ${y}` }).map(closedCourse),
);
const lay = (of: Trail, along: Course): Mark[] => trailKind(of).lay(of, [along], GROUND);

/** Every number in what is drawn. */
function numbers(value: unknown): number[] {
  if (typeof value === 'number') return [value];
  return typeof value === 'object' && value !== null ? Object.values(value).flatMap(numbers) : [];
}
test('every number that is drawn is one, the same whenever it is laid, and a file takes what it came of', () => {
  fc.assert(
    fc.property(trail, course, (of, along) => {
      expect(() => trailSchema.validateSync(of, { strict: true })).not.toThrow();
      // What is no number is null there.
      const drawn = JSON.stringify([lay(of, along), shapeOfTrail(of, [along], GROUND.asset)]);
      expect(/null/.exec(drawn)).toBeNull();
      const again = [
        lay(structuredClone(of), structuredClone(along)),
        shapeOfTrail(of, [along], GROUND.asset),
      ];
      expect(JSON.stringify(again) === drawn).toBe(true);
      expect(trailSays(of, 'in').length).toBeGreaterThan(2);
      for (const colour of coloursOf(of)) expect(colour).toMatch(/^#[0-9a-f]{6}$/);
    }),
    { numRuns: 60 },
  );
});

test('it lies where the line goes: moved with it, to a hair; and it reaches no farther than it is wide', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...TRAILS_HERE),
      course,
      fc.integer({ min: -300, max: 300 }),
      (of, along, by) => {
        fc.pre(lengthOf(along) > 20);
        const shape = pathBounds(shapeOfTrail(of, [along], GROUND.asset));
        const line = pointsOf(along);
        const [left, right] = [Math.min(...line.map(({ x }) => x)), Math.max(...line.map(({ x }) => x))];
        // A leaf or a stamp reaches as far as its diagonal, a sharp corner of a band as far as it is mitred.
        const beyond = 4 * trailKind(of).half(of) + 2;
        expect(shape.x).toBeGreaterThan(left - beyond);
        expect(shape.x + shape.width).toBeLessThan(right + beyond);
        const moved: Course = {
          ...along,
          runs: along.runs.map((run) => ({
            ...run,
            points: run.points.map(({ x, y }) => ({ x: x + by, y })),
          })),
        };
        const there = pathBounds(shapeOfTrail(of, [moved], GROUND.asset));
        expect(there.x - shape.x).toBeCloseTo(by, 1);
        expect([there.width, there.height]).toEqual([
          expect.closeTo(shape.width, 1),
          expect.closeTo(shape.height, 1),
        ]);
      },
    ),
    { numRuns: 60 },
  );
});

test('what is drawn lies about the shape that a hand takes hold of, no farther than its shadows', () => {
  fc.assert(
    fc.property(fc.constantFrom(...TRAILS_HERE), course, (of, along) => {
      fc.pre(lengthOf(along) > 40);
      const shape = pathBounds(shapeOfTrail(of, [along], GROUND.asset));
      // Beads throw a shadow of their own.
      const slack = 3 * trailKind(of).half(of) + 4;
      for (const mark of lay(of, along)) {
        if (mark.mark === 'shadow') continue;
        const { box } = reachOf(mark);
        expect([of.kind, mark.mark, box.x > shape.x - slack, box.y > shape.y - slack]).toEqual([
          of.kind,
          mark.mark,
          true,
          true,
        ]);
        expect(box.x + box.width).toBeLessThan(shape.x + shape.width + slack);
        expect(box.y + box.height).toBeLessThan(shape.y + shape.height + slack);
      }
    }),
    { numRuns: 50 },
  );
});

test('larger and smaller again it is what it was, and a file takes it at any size', () => {
  fc.assert(
    fc.property(fc.constantFrom(...TRAILS_HERE), fc.double({ min: 0.5, max: 4, noNaN: true }), (of, by) => {
      const there = scaledTrail(of, by);
      const back = scaledTrail(there, 1 / by);
      expect(numbers(back).map((one) => Math.round(1e6 * one))).toEqual(
        numbers(of).map((one) => Math.round(1e6 * one)),
      );
      for (const extreme of [1e-6, 1e6])
        expect(() => trailSchema.validateSync(scaledTrail(of, extreme), { strict: true })).not.toThrow();
    }),
  );
});

test('a course goes round once: its ring is closed whichever way it was drawn, rounded corners take none of its ground away', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 40, max: 200 }),
      fc.integer({ min: 40, max: 200 }),
      fc.integer({ min: 0, max: 19 }),
      fc.boolean(),
      (width, height, radius, turned) => {
        const ring = [
          { x: 0, y: 0 },
          { x: width, y: 0 },
          { x: width, y: height },
          { x: 0, y: height },
        ];
        const along = closedCourse(turned ? [...ring].reverse() : ring);
        expect(lengthOf(along)).toBeCloseTo(2 * (width + height), 6);
        expect(along.runs).toHaveLength(4);
        expect(pointsOf(along).at(-1)).toEqual(pointsOf(along)[0]);
        const round = rounded(along, radius);
        // Each corner gives up two radii and takes a quarter of a circle.
        expect(lengthOf(round)).toBeCloseTo(2 * (width + height) - (8 - 2 * Math.PI) * radius, 0);
      },
    ),
    { numRuns: 20 },
  );
  expect(coursesOf([], 5)).toEqual([]);
});
