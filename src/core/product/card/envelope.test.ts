/** The envelope of any card: what it holds goes in, what is folded meets, and what is cut is one blank. */
import fc from 'fast-check';
import { areaOf, common } from '@/core/geometry/offset';
import { contains, pathBounds, rectanglePath, type Path } from '@/core/geometry/path';
import {
  ENVELOPE,
  envelopeFolds,
  envelopeOutline,
  envelopePanels,
  envelopeParts,
  LINING,
} from '@/core/product/card/envelope';
import { MOST_SHUT } from '@/core/product/card/start';
import { toPoints } from '@/core/units/lengths';

const side = fc.double({ min: 72, max: MOST_SHUT, noNaN: true });
const card = fc.record({ width: side, height: side });
const panel = (shut: { width: number; height: number }, name: string, part = ENVELOPE) =>
  envelopePanels(shut, part).find((each) => each.name === name)!.box;
const flipped = (path: Path, wide: number): Path =>
  path.map((segment) =>
    segment[0] === 'L' || segment[0] === 'M' ? [segment[0], wide - segment[1], segment[2]] : segment,
  );

test('for A6: an address side of 151.2 x 108.2 mm, whichever way the card stands', () => {
  const [width, height] = [toPoints(105, 'mm'), toPoints(148, 'mm')];
  const eighth = toPoints(1 / 8, 'in');
  for (const shut of [
    { width, height },
    { width: height, height: width },
  ]) {
    const address = panel(shut, 'Address side');
    expect(address.width).toBeCloseTo(height + eighth, 9);
    expect(address.height).toBeCloseTo(width + eighth, 9);
  }
});

test('any card goes in with an eighth of an inch to spare; flap and back meet behind it and overlap', () => {
  fc.assert(
    fc.property(card, (shut) => {
      const address = panel(shut, 'Address side');
      expect(address.width - Math.max(shut.width, shut.height)).toBeCloseTo(9, 9);
      expect(address.height - Math.min(shut.width, shut.height)).toBeCloseTo(9, 9);
      const [flap, back] = [panel(shut, 'Flap'), panel(shut, 'Back')];
      expect(flap.height + back.height).toBeGreaterThan(1.1 * address.height);
      // The card is held from beneath: the back is the taller of the two, and neither reaches past the address side.
      expect(back.height).toBeGreaterThan(flap.height);
      expect(back.height).toBeLessThan(address.height);
      // What is glued meets nothing in the middle.
      const [left, right] = [panel(shut, 'Left glue flap'), panel(shut, 'Right glue flap')];
      expect(left.width + right.width).toBeLessThan(address.width);
      expect(left.width).toBeLessThanOrEqual(toPoints(0.875, 'in'));
    }),
  );
});

test('it is folded on the four sides of the address side, and nowhere else', () => {
  fc.assert(
    fc.property(card, (shut) => {
      const { x, y, width, height } = panel(shut, 'Address side');
      const folds = envelopeFolds(shut).map(({ axis, at, from, to }) =>
        [axis, at, from, to].map((v) => (typeof v === 'number' ? Math.round(v * 1e6) / 1e6 : v)).join(' '),
      );
      const round = (v: number) => Math.round(v * 1e6) / 1e6;
      expect(folds.sort()).toEqual(
        [
          ['x', round(x), round(y), round(y + height)].join(' '),
          ['x', round(x + width), round(y), round(y + height)].join(' '),
          ['y', round(y), round(x), round(x + width)].join(' '),
          ['y', round(y + height), round(x), round(x + width)].join(' '),
        ].sort(),
      );
    }),
  );
});

test('the blank is one piece, alike to the left and the right, within its paper to a hair and reaching all its edges', () => {
  fc.assert(
    fc.property(card, (shut) => {
      const outline = envelopeOutline(shut);
      const [face, lining] = envelopeParts(shut);
      expect([face!.part, lining!.part]).toEqual([ENVELOPE, LINING]);
      expect([lining!.width, lining!.height]).toEqual([face!.width, face!.height]);
      const bounds = pathBounds(outline);
      expect(
        [bounds.x, bounds.y, bounds.width - face!.width, bounds.height - face!.height].map(
          (v) => Math.abs(v) < 1e-6,
        ),
      ).toEqual(Array(4).fill(true));
      const whole = areaOf(outline);
      const mirrored = flipped(outline, face!.width);
      const both = common(outline, mirrored).map((ring): Path => [
        ...ring.map(({ x, y }, i) => (i ? (['L', x, y] as const) : (['M', x, y] as const))),
        ['Z'],
      ]);
      expect(areaOf(both.flat()) / whole).toBeGreaterThan(0.9999);
      // All of the address side is of it.
      const address = rectanglePath(panel(shut, 'Address side'));
      const within = common(outline, address);
      expect(within).toHaveLength(1);
    }),
    { numRuns: 20 },
  );
});

test('each flap lies within its panel, so that what is folded over shows nothing of another', () => {
  fc.assert(
    fc.property(card, fc.integer({ min: 0, max: 99 }), (shut, k) => {
      const outline = envelopeOutline(shut);
      const [face] = envelopeParts(shut);
      const point = {
        x: ((k % 10) + 0.5) * (face!.width / 10),
        y: (Math.floor(k / 10) + 0.5) * (face!.height / 10),
      };
      const inPanel = envelopePanels(shut, ENVELOPE).some(
        ({ box }) =>
          point.x >= box.x &&
          point.x <= box.x + box.width &&
          point.y >= box.y &&
          point.y <= box.y + box.height,
      );
      if (contains(outline, point)) expect(inPanel).toBe(true);
    }),
    { numRuns: 150 },
  );
});

test('what is folded over stands on its head, on both of its faces; their panels lie at the same places', () => {
  const shut = { width: 360, height: 504 };
  const [outside, inside] = [envelopePanels(shut, ENVELOPE), envelopePanels(shut, LINING)];
  expect(outside.map(({ box }) => box)).toEqual(inside.map(({ box }) => box));
  expect(outside.map(({ turn }) => turn ?? 0)).toEqual([0, 180, 180, 0, 0]);
  expect(inside.map(({ name }) => name)).toEqual([
    ...['Lining', 'Flap, lined', 'Back, within', 'Left glue flap', 'Right glue flap'],
  ]);
});
