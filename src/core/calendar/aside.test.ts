/** Numbers of a month on its page, and places beside them: what is held clear in every year, and how near a piece finds room. */
import fc from 'fast-check';
import { boxOverlaps, numbersOn, placesAside, SIZES } from '@/core/calendar/aside';
import { centredBox, corners, overlaps, type Box } from '@/core/geometry/box';
import { apply } from '@/core/geometry/matrix';
import { areaOf, common, pathOfRings } from '@/core/geometry/offset';
import { rectanglePath } from '@/core/geometry/path';
import { newMonth } from '@/core/piece/material/month/begin';
import { layMonth } from '@/core/piece/material/month/draw';
import type { MonthMaterial } from '@/core/piece/material/month/model';
import type { Piece } from '@/core/piece/piece';
import { extentOf, placedAt, placementMatrix, type Placement } from '@/core/piece/placement/placement';
import { inkPiece } from '../../../scripts/testing/samples';

const month = (change: Partial<MonthMaterial> = {}, placement: Partial<Placement> = {}): Piece => ({
  ...inkPiece('m'),
  role: 'month',
  material: { ...newMonth({ year: 2027, month: 3 }, 'en-GB', 0), ...change } as Piece['material'],
  placement: { ...placedAt({ x: 30, y: 40, width: 300, height: 220 }), ...placement },
});
const materialOf = ({ material }: Piece) => material as MonthMaterial;
const sameBox = (a: Box, b: Box) =>
  [a.x - b.x, a.y - b.y, a.width - b.width, a.height - b.height].every((d) => Math.abs(d) < 1e-6);

describe('numbers', () => {
  test('of its own year and of any other there lies none outside of what is told', () => {
    const here = month();
    const told = numbersOn(here);
    fc.assert(
      fc.property(fc.integer({ min: 1900, max: 2400 }), (year) => {
        const { days } = layMonth({ ...materialOf(here), year }, here.placement);
        for (const { number } of days) {
          const middle = apply(placementMatrix(here.placement), { x: number.x, y: number.y });
          const near = told.some(
            (box) =>
              middle.x > box.x - 0.5 &&
              middle.x < box.x + box.width + 0.5 &&
              middle.y > box.y - 0.5 &&
              middle.y < box.y + box.height + 0.5,
          );
          expect([year, near]).toEqual([year, true]);
        }
      }),
    );
  });

  test('a day on each line, one of any year has those of its own year alone', () => {
    const of = (change: Partial<MonthMaterial>) =>
      numbersOn(month({ month: 2, layout: 'column', ...change })).length;
    expect(of({ perpetual: true, year: 2000 })).toBe(29);
    expect(of({})).toBeGreaterThanOrEqual(29);
  });

  test('moved with their month they move; larger, they grow; asked again they are the same', () => {
    const [plain, moved] = [numbersOn(month()), numbersOn(month({}, { x: 200, y: 160 }))];
    const by = { x: 200 - month().placement.x, y: 160 - month().placement.y };
    plain.forEach((box, i) =>
      expect(sameBox(moved[i]!, { ...box, x: box.x + by.x, y: box.y + by.y })).toBe(true),
    );
    const one = month();
    expect(numbersOn(one)).toEqual(numbersOn(one));
    const wide = { ...one, placement: { ...one.placement, width: 600, height: 440 } };
    expect(Math.max(...numbersOn(wide).map(({ width }) => width))).toBeGreaterThan(
      Math.max(...numbersOn(one).map(({ width }) => width)),
    );
  });

  test('what is no month has none', () => {
    expect(numbersOn(inkPiece('a'))).toEqual([]);
  });
});

describe('a turned box over an upright one', () => {
  test('is what Clipper finds that they have in common', () => {
    const side = fc.double({ min: 2, max: 80, noNaN: true });
    const place = fc.double({ min: -60, max: 60, noNaN: true });
    fc.assert(
      fc.property(
        place,
        place,
        side,
        side,
        fc.integer({ min: -180, max: 180 }),
        side,
        side,
        (x, y, width, height, turn, w, h) => {
          const placement = { ...placedAt({ x: x - width / 2, y: y - height / 2, width, height }), turn };
          const box = { x: -w / 2, y: -h / 2, width: w, height: h };
          const turned = pathOfRings([
            corners(centredBox(placement)).map((corner) => apply(placementMatrix(placement), corner)),
          ]);
          const rings = common(turned, rectanglePath(box));
          const shared = rings.length ? areaOf(pathOfRings(rings)) : 0;
          // Touching is none, and a hair is not told from it.
          if (shared > 0.01) expect(boxOverlaps(placement, box)).toBe(true);
          if (shared === 0)
            expect(boxOverlaps({ ...placement, width: width - 0.01, height: height - 0.01 }, box)).toBe(
              false,
            );
        },
      ),
      { numRuns: 200 },
    );
  });
});

describe('places aside', () => {
  const page = { width: 400, height: 300 };
  const start = placedAt({ x: 180, y: 140, width: 60, height: 40 });
  const all = (sizes: readonly number[] = SIZES, from = start) => [...placesAside(from, page, sizes)];
  const far = (place: Placement) => Math.hypot(place.x - start.x, place.y - start.y);

  test('the nearest come first at each size, and a smaller one before one that is far away is not tried at its own size', () => {
    const own = all([1]);
    own.slice(1).forEach((place, i) => expect(far(place)).toBeGreaterThanOrEqual(far(own[i]!) - 1e-6));
    expect(own.every(({ width, height }) => width === 60 && height === 40)).toBe(true);
    const sizes = [...new Set(all().map(({ width }) => width))];
    expect(sizes).toEqual([60, 45, 30]);
    // Smaller, it may stay where it is.
    expect(all([0.5])[0]).toEqual({ ...start, width: 30, height: 20 });
  });

  test('none hangs farther over the page than it hung before; what lies on it stays on it', () => {
    for (const { x, y, width, height } of all().map(extentOf)) {
      expect(x).toBeGreaterThan(-1e-6);
      expect(y).toBeGreaterThan(-1e-6);
      expect(x + width).toBeLessThan(page.width + 1e-6);
      expect(y + height).toBeLessThan(page.height + 1e-6);
    }
    const hanging = { ...start, x: 395 };
    const over = Math.max(...all([1], hanging).map((place) => extentOf(place).x + 60 - page.width));
    expect(over).toBeLessThan(25 + 1e-6);
  });

  test('all over the page there is one, so that a piece finds whatever room there is', () => {
    const spots = all([1]);
    for (let x = 40; x < 360; x += 40)
      for (let y = 30; y < 270; y += 40)
        expect(spots.some((place) => Math.abs(place.x - x) < 30 && Math.abs(place.y - y) < 30)).toBe(true);
    expect(overlaps(extentOf(spots[0]!), extentOf(start))).toBe(true);
  });
});
