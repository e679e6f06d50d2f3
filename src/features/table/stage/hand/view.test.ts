/** Ways to look at the table: what lies under a hand stays there, what is asked for is seen, rulers can be read. */
import fc from 'fast-check';
import { apply, type Point } from '@/core/geometry/matrix';
import { evenly, withBleed } from '@/core/geometry/sides';
import {
  clampZoom,
  fitted,
  nextZoom,
  panned,
  rulerStep,
  RULER,
  toPage,
  viewMatrix,
  zoomed,
} from '@/features/table/stage/hand/view';
import { TRUE_SIZE } from '@/features/table/session/screen';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const view = fc.record({
  zoom: number(0.07, 21),
  x: fc.integer({ min: -4000, max: 4000 }),
  y: fc.integer({ min: -4000, max: 4000 }),
});
const spot = fc.record({ x: number(0, 2000), y: number(0, 1200) });
const away = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y);

test('from the page to the stage and back is where it was', () => {
  fc.assert(
    fc.property(view, spot, (of, at) => {
      expect(away(toPage(of, apply(viewMatrix(of), at)), at)).toBeLessThan(1e-6);
    }),
  );
});

test('zoomed, what lay under the hand lies there still, to the pixel it is rounded to', () => {
  fc.assert(
    fc.property(view, number(0.01, 60), spot, (of, zoom, hand) => {
      const to = zoomed(of, zoom, hand);
      expect(to.zoom).toBe(clampZoom(zoom));
      expect(away(apply(viewMatrix(to), toPage(of, hand)), hand)).toBeLessThan(0.71);
      expect([to.x, to.y].every(Number.isInteger)).toBe(true);
    }),
  );
});

test('panned it is moved by as many pixels, and back again it is as it was', () => {
  fc.assert(
    fc.property(
      view,
      fc.integer({ min: -900, max: 900 }),
      fc.integer({ min: -900, max: 900 }),
      (of, dx, dy) => {
        expect(panned(of, dx, dy)).toEqual({ zoom: of.zoom, x: of.x + dx, y: of.y + dy });
        expect(panned(panned(of, dx, dy), -dx, -dy)).toEqual(of);
      },
    ),
  );
});

describe('all of a page', () => {
  const pages = fc.record({ width: number(72, 2160), height: number(72, 2160) });
  const stages = fc.record({
    width: fc.integer({ min: 500, max: 2600 }),
    height: fc.integer({ min: 400, max: 1500 }),
  });
  const seen = (page: { width: number; height: number }, of: ReturnType<typeof fitted>) => {
    const all = withBleed({ ...page, bleed: evenly(9) });
    const [a, b] = [
      apply(viewMatrix(of), { x: all.x, y: all.y }),
      apply(viewMatrix(of), { x: all.x + all.width, y: all.y + all.height }),
    ];
    return { left: a.x, top: a.y, right: b.x, bottom: b.y };
  };

  test('is seen with its bleed, below the rulers and clear of the edges, as large as there is room', () => {
    fc.assert(
      fc.property(pages, stages, (page, stage) => {
        const of = fitted({ ...page, bleed: evenly(9) }, stage);
        const box = seen(page, of);
        expect(box.left).toBeGreaterThan(69);
        expect(box.top).toBeGreaterThan(RULER + 9);
        expect(box.right).toBeLessThan(stage.width - 23);
        expect(box.bottom).toBeLessThan(stage.height - 9);
        const [slackX, slackY] = [
          stage.width - 94 - (box.right - box.left),
          stage.height - RULER - 20 - (box.bottom - box.top),
        ];
        expect(Math.min(slackX, slackY)).toBeLessThan(2);
      }),
    );
  });

  test('beside a sheet it lies as much in the middle of what is left as there is room, and never off the stage', () => {
    fc.assert(
      fc.property(pages, stages, number(0, 400), (page, stage, aside) => {
        const of = fitted({ ...page, bleed: evenly(9) }, stage, aside);
        const plain = fitted({ ...page, bleed: evenly(9) }, stage);
        expect(of.zoom).toBe(plain.zoom);
        expect(of.x).toBeGreaterThanOrEqual(plain.x);
        expect(seen(page, of).right).toBeLessThan(stage.width - 22);
      }),
    );
  });

  test('where there is hardly a stage it is small, and not turned inside out', () => {
    const of = fitted({ width: 864, height: 864, bleed: evenly(9) }, { width: 20, height: 10 });
    expect(of.zoom).toBeGreaterThan(0);
    expect(Number.isFinite(of.x + of.y)).toBe(true);
  });
});

describe('zoom', () => {
  test('is held between a twentieth and sixteen times true size', () => {
    expect([clampZoom(0), clampZoom(1), clampZoom(1e6)].map((zoom) => zoom / TRUE_SIZE)).toEqual([
      0.05, 0.75, 16,
    ]);
  });

  test('a step up is more, a step down is less, up and down again is the same usual step; at the ends it stays', () => {
    fc.assert(
      fc.property(number(0.05, 16), (share) => {
        const zoom = share * TRUE_SIZE;
        const [up, down] = [nextZoom(zoom, 1), nextZoom(zoom, -1)];
        if (share < 15.6) expect(up).toBeGreaterThan(zoom);
        if (share > 0.052) expect(down).toBeLessThan(zoom);
        expect(nextZoom(nextZoom(up, 1), -1)).toBeCloseTo(
          Math.min(up, 12 * TRUE_SIZE) === up ? up : 12 * TRUE_SIZE,
          6,
        );
      }),
    );
    expect(nextZoom(16 * TRUE_SIZE, 1)).toBe(16 * TRUE_SIZE);
    expect(nextZoom(0.05 * TRUE_SIZE, -1)).toBe(0.05 * TRUE_SIZE);
  });

  test('marks lie half an inch and two centimetres apart at true size, where they are to be 40 pixels apart', () => {
    expect(rulerStep(TRUE_SIZE, 'in', 40).step).toBe(36);
    expect(rulerStep(TRUE_SIZE, 'mm', 40).step).toBeCloseTo((20 * 72) / 25.4, 9);
  });

  test('true size is one of the steps, from either side', () => {
    expect(nextZoom(0.9 * TRUE_SIZE, 1)).toBe(TRUE_SIZE);
    expect(nextZoom(1.3 * TRUE_SIZE, -1)).toBe(TRUE_SIZE);
    // Hardly off it, the next one is taken: a press that changes nothing to be seen is none.
    expect(nextZoom(0.99 * TRUE_SIZE, 1)).toBe(1.5 * TRUE_SIZE);
  });
});

describe('rulers', () => {
  test('their marks lie as far apart as can be read, in steps of the unit, and no coarser than needed', () => {
    fc.assert(
      fc.property(
        number(0.07, 21),
        fc.constantFrom('in' as const, 'mm' as const),
        number(4, 90),
        (zoom, unit, apart) => {
          const { step, decimals } = rulerStep(zoom, unit, apart);
          const base = unit === 'in' ? 72 : 72 / 25.4;
          const units = step / base;
          const coarsest = unit === 'in' ? 12 : 500;
          if (units < coarsest) expect(step * zoom).toBeGreaterThanOrEqual(apart - 1e-9);
          // What it is called has no more decimals than it needs to be exact.
          expect(Number(units.toFixed(decimals))).toBeCloseTo(units, 9);
          if (decimals) expect(Number(units.toFixed(decimals - 1))).not.toBeCloseTo(units, 9);
        },
      ),
    );
  });

  test('inches are parted in halves down to sixteenths, millimetres in ones, twos and fives', () => {
    const steps = (unit: 'in' | 'mm') =>
      [...new Set(Array.from({ length: 400 }, (_, i) => rulerStep(0.02 * 1.02 ** i, unit, 40).step))].map(
        (step) => Number((step / (unit === 'in' ? 72 : 72 / 25.4)).toFixed(6)),
      );
    expect(steps('in')).toEqual([12, 6, 4, 2, 1, 0.5, 0.25, 0.125, 0.0625]);
    expect(steps('mm').at(-1)).toBe(1);
    expect(steps('mm').slice(-6)).toEqual([50, 20, 10, 5, 2, 1]);
  });
});
