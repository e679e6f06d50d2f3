/** Whatever a file may say of a piece is drawn: each punch in each of its settings, each finish on each outline, however it lies. */
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { polygons, signedArea } from '@/core/geometry/offset';
import { apply } from '@/core/geometry/matrix';
import { corners } from '@/core/geometry/box';
import { pathBounds } from '@/core/geometry/path';
import { drawPiece } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { reachOf } from '@/core/picture/picture';
import {
  finishInks,
  finishOf,
  finishSays,
  finishSchema,
  isBare,
  scaledFinish,
  type Finish,
} from '@/core/piece/finish';
import { NEW_CURL } from '@/core/piece/finish/lift';
import { NEW_EDGE } from '@/core/piece/finish/edge';
import { PROFILES } from '@/core/piece/finish/profiles';
import { NEW_MAT } from '@/core/piece/finish/mats';
import { NEW_SHADOW } from '@/core/piece/finish/shadow';
import { NEW_DASHES, STROKE_SIDES } from '@/core/piece/finish/stroke';
import { newTreatment } from '@/core/piece/finish/treatments';
import { scaledOutline, type Outline } from '@/core/piece/outline';
import { PUNCHES, punchOf } from '@/core/piece/outline/punches';
import type { Punch } from '@/core/piece/outline/punches/punch';
import { punch as punched, type PunchOutline } from '@/core/piece/outline/punch';
import type { Piece } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { projectSchema } from '@/core/project/schema';
import { TREATMENT_NAMES } from '@/core/treatment/kinds';
import { CURL_KINDS } from '@/core/treatment/curl';
import { nodeTypesetter } from '../../../scripts/node/platform';
import { trailsOf } from '../../../scripts/testing/lines';
import { assetOf, CUTS, inkPiece, laid, quarters } from '../../../scripts/testing/samples';

const asset = assetOf(quarters(90, 60), 900, 600);
const project = laid([], [asset]);
const tools = toolsFor(project, await nodeTypesetter());
const [{ light }] = project.surfaces as [(typeof project.surfaces)[0]];

const ink = fc.constantFrom('#24506b', '#9e2b45', '#ffffff', '#101820');
const span = (min: number, max: number) =>
  fc.oneof(fc.constantFrom(min, max), fc.double({ min, max, noNaN: true }));
const SIDES = ['top', 'right', 'bottom', 'left'] as const;

/** Anything that can be done to a piece, some of it. */
const finish: fc.Arbitrary<Finish> = fc
  .record(
    {
      lift: fc.record(
        {
          height: span(0, 20),
          shadow: fc.boolean(),
          curl: fc.oneof(
            fc.constant(NEW_CURL),
            fc.record({
              kind: fc.constantFrom(...CURL_KINDS),
              corners: fc.constant(NEW_CURL.corners),
              rise: span(0.5, 20),
              reach: span(0.1, 1),
            }),
          ),
        },
        { requiredKeys: ['height', 'shadow'] },
      ),
      stroke: fc.oneof(
        fc.constant(null),
        fc.record(
          {
            colour: ink,
            width: span(0.1, 40),
            side: fc.constantFrom(...STROKE_SIDES),
            broken: fc.oneof(
              fc.constant(NEW_DASHES),
              fc.record({ length: span(1, 60), gap: span(0, 60), from: span(0, 30) }),
            ),
          },
          { requiredKeys: ['colour', 'width', 'side'] },
        ),
      ),
      edge: fc.record({
        kind: fc.constantFrom(...(Object.keys(PROFILES) as (typeof NEW_EDGE)['kind'][])),
        size: span(8, 90),
        sides: fc.uniqueArray(fc.constantFrom(...SIDES), { minLength: 1 }),
        seed: fc.integer({ min: 0, max: 1e9 }),
        core: span(0, 20),
      }),
      mats: fc.array(fc.record({ width: span(0, 40), turn: span(-20, 20), straight: fc.boolean() }), {
        minLength: 1,
        maxLength: 3,
      }),
      shadows: fc.constant([NEW_SHADOW]),
      echoes: fc.array(
        fc.record({ x: span(-60, 60), y: span(-60, 60), colour: ink, blur: span(0, 20), line: span(0, 9) }),
        { minLength: 1, maxLength: 3 },
      ),
      treatments: fc
        .uniqueArray(fc.constantFrom(...TREATMENT_NAMES), { minLength: 1, maxLength: 3 })
        .map((names) => names.map(newTreatment)),
      trails: fc
        .constantFrom(...trailsOf(asset.sha))
        .map((trail) => [{ trail, side: 'on' as const, from: 0 }]),
      opacity: span(0, 1),
      blend: fc.constantFrom('multiply' as const, 'screen' as const),
    },
    { requiredKeys: ['lift', 'stroke', 'opacity'] },
  )
  // What runs along a worked edge is a matter of its own: it is as long as the edge is fine.
  .map(({ mats, trails, ...done }) => ({
    ...done,
    ...(trails && !done.edge ? { trails } : {}),
    ...(mats ? { mats: mats.map((mat) => ({ ...NEW_MAT, ...mat })) } : {}),
  })) as unknown as fc.Arbitrary<Finish>;

const cut = (punch: Punch): fc.Arbitrary<Outline> =>
  fc
    .record(
      Object.fromEntries(
        punch.settings.map(({ id, unit, least, most }) => [
          id,
          unit === 'count' ? fc.integer({ min: least, max: most }) : span(least, Math.min(most, 400)),
        ]),
      ),
    )
    .map((settings) => ({ kind: 'punch', punch: punch.id, settings }) as Outline);
/** Lace in a finish takes seconds: it has its own test, bare. */
const PLAINER = PUNCHES.filter(({ family }) => family !== 'Lace');
const outline: fc.Arbitrary<Outline> = fc.oneof(
  fc.constantFrom(...PLAINER).chain(cut),
  fc.constantFrom<Outline>(...CUTS, { kind: 'ellipse' }, { kind: 'rectangle', radius: 0 }),
  span(0, 300).map((radius) => ({ kind: 'rectangle', radius }) as Outline),
);
const side = fc.oneof(fc.integer({ min: 30, max: 300 }), fc.constant(90));
const piece: fc.Arbitrary<Piece> = fc
  .record({ outline, finish, width: side, height: side, turn: span(-179, 180), mirror: fc.boolean() })
  .map(({ outline: of, finish: done, width, height, turn, mirror }) => ({
    ...inkPiece('p', 0, 0, 10, 10),
    outline: of,
    finish: done,
    placement: { ...placedAt({ x: 20, y: 30, width, height }), turn, mirror },
  }));

test('every punch in all of its settings is a closed outline with ground to it, within its box and a little beyond at the most', () => {
  for (const punch of PUNCHES)
    fc.assert(
      fc.property(cut(punch), side, side, (of, width, height) => {
        const { path } = punched.cut(of as PunchOutline, { width, height }, tools.typesetter);
        const drawn = JSON.stringify(path);
        expect([punch.id, /null/.test(drawn)]).toEqual([punch.id, false]);
        const rings = polygons(path);
        const area = rings.reduce((sum, ring) => sum + Math.abs(signedArea(ring)), 0);
        expect([punch.id, of, area > 0]).toEqual([punch.id, of, true]);
        const box = pathBounds(path);
        expect([punch.id, box.width <= 1.02 * width + 0.01, box.height <= 1.02 * height + 0.01]).toEqual([
          punch.id,
          true,
          true,
        ]);
      }),
      { numRuns: punch.settings.length ? 8 : 2 },
    );
});

test('any finish on any outline: a file takes it, all of it is drawn, the same each time, and none of it beyond its bounds', () => {
  fc.assert(
    fc.property(piece, (of) => {
      expect(() => projectSchema.validateSync(laid([of], [asset]), { strict: true })).not.toThrow();
      const drawn = drawPiece(of, light, tools);
      const told = JSON.stringify(drawn);
      expect(/null/.exec(told)).toBeNull();
      expect(JSON.stringify(drawPiece(structuredClone(of), light, tools)) === told).toBe(true);
      for (const mark of drawn.marks) {
        const { box, offset } = reachOf(mark);
        for (const { x, y } of corners(box)) {
          const at = apply(drawn.matrix, { x: x + offset.x, y: y + offset.y });
          expect(at.x).toBeGreaterThan(drawn.bounds.x - 0.01);
          expect(at.y).toBeGreaterThan(drawn.bounds.y - 0.01);
          expect(at.x).toBeLessThan(drawn.bounds.x + drawn.bounds.width + 0.01);
          expect(at.y).toBeLessThan(drawn.bounds.y + drawn.bounds.height + 0.01);
        }
      }
      for (const { colour } of finishInks(of.finish)) expect(colour).toMatch(/^#[0-9a-f]{6}$/);
      for (const says of finishSays(of.finish, 'mm')) expect(says.length).toBeGreaterThan(2);
    }),
    // The same each time: what is done to one can make it a hundred times as slow as another.
    { numRuns: 16 },
  );
});

test('nothing was done to a bare piece, and all that was done grows with it and comes back', () => {
  expect([isBare(finishOf(0)), finishSays(finishOf(0), 'in')]).toEqual([true, ['flat']]);
  fc.assert(
    fc.property(finish, fc.double({ min: 0.5, max: 2, noNaN: true }), (done, by) => {
      const there = scaledFinish(done, by);
      expect(() => finishSchema.validateSync(scaledFinish(done, 1e4), { strict: true })).not.toThrow();
      expect(() => finishSchema.validateSync(scaledFinish(done, 1e-4), { strict: true })).not.toThrow();
      expect(Object.keys(there).sort()).toEqual(Object.keys(done).sort());
      expect(finishInks(there).map(({ colour }) => colour)).toEqual(
        finishInks(done).map(({ colour }) => colour),
      );
    }),
  );
});

test('an outline that grew by as much as its box is the same outline, larger', () => {
  fc.assert(
    fc.property(fc.constantFrom(...PUNCHES).chain(cut), fc.constantFrom(0.5, 2, 3), (of, by) => {
      const { punch: id, settings } = of as PunchOutline;
      // A length of nothing is drawn as long as it must be, however large the piece is.
      fc.pre(punchOf(id).settings.every((each) => each.unit !== 'length' || settings[each.id]! > 2));
      const shape = (one: Outline, scale: number) =>
        // Small enough for what is never wider than it need be, such as the tail of speech.
        punched.cut(one as PunchOutline, { width: 80 * scale, height: 60 * scale }, tools.typesetter).path;
      const area = (one: Outline, scale: number) =>
        polygons(shape(one, scale)).reduce((sum, ring) => sum + Math.abs(signedArea(ring)), 0);
      const [before, after] = [area(of, 1), area(scaledOutline(of, by), by)];
      expect(Math.abs(after - before * by * by)).toBeLessThan(0.02 * before * by * by + 1);
    }),
    { numRuns: 30 },
  );
});
