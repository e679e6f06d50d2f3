/** Treated faces: distances by brute force, cushions by the closed answer for strips and circles, light by turning it. */
import fc from 'fast-check';
import { cushion } from '@/core/treatment/cushion';
import { depths } from '@/core/treatment/field';
import { TREATMENT_NAMES, treatmentKind } from '@/core/treatment/kinds';
import { paintTreatment, type Treatment } from '@/core/treatment/paint';

/** A shape as opaque pixels with clear ones around, by where its points lie inside; edges in quarters of a pixel. */
function shape(width: number, height: number, inside: (x: number, y: number) => boolean) {
  const rgba = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let covered = 0;
      for (const dy of [0.125, 0.375, 0.625, 0.875])
        for (const dx of [0.125, 0.375, 0.625, 0.875]) covered += inside(x + dx, y + dy) ? 1 : 0;
      rgba[4 * (y * width + x) + 3] = Math.round((255 * covered) / 16);
    }
  return rgba;
}
const coverOf = (rgba: Uint8ClampedArray) => rgba.filter((_, i) => i % 4 === 3);
const disc = (size: number, r: number) =>
  shape(size, size, (x, y) => Math.hypot(x - size / 2, y - size / 2) < r);
const box = (width: number, height: number, by: number) =>
  shape(width, height, (x, y) => x > by && y > by && x < width - by && y < height - by);

test('depths are the distance to the nearest pixel outside', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 1, max: 12 }),
      fc.array(fc.boolean(), { minLength: 144, maxLength: 144 }),
      (width, height, full) => {
        const cover = new Uint8ClampedArray(width * height).map((_, i) => (full[i] ? 255 : 0));
        const found = depths(cover, width, height, 1);
        for (let y = 0; y < height; y++)
          for (let x = 0; x < width; x++) {
            // What lies to the left and right of the bitmap is outside; above and below too.
            let least = Math.min(x + 1, width - x, y + 1, height - y);
            for (let v = 0; v < height; v++)
              for (let u = 0; u < width; u++)
                if (!cover[v * width + u]) least = Math.min(least, Math.hypot(u - x, v - y));
            expect(found[y * width + x]).toBeCloseTo(Math.max(0, least - 0.5), 5);
          }
      },
    ),
    { seed: 1, numRuns: 30 },
  );
});

test('a slanting edge has no steps: a disc’s depths are those of a circle, to a tenth of a pixel in the mean', () => {
  const found = depths(coverOf(disc(81, 36.3)), 81, 81, 1);
  const off: number[] = [];
  for (let y = 0; y < 81; y++)
    for (let x = 0; x < 81; x++) {
      const exact = 36.3 - Math.hypot(x + 0.5 - 40.5, y + 0.5 - 40.5);
      if (exact > 1) off.push(Math.abs(found[81 * y + x]! - exact));
    }
  expect(off.reduce((sum, each) => sum + each, 0) / off.length).toBeLessThan(0.1);
  expect(Math.max(...off)).toBeLessThan(0.6);
});

test('a cushion is a half circle across a strip and half a ball’s slope over a disc, by the closed answers', () => {
  // Poisson's equation with −1: (R² − x²) / 2 across a strip, (R² − r²) / 4 over a disc.
  const strip = cushion(coverOf(box(200, 42, 1)), 200, 42);
  expect(strip[21 * 200 + 100]! / 20).toBeCloseTo(1, 1);
  expect(strip[6 * 200 + 100]! / Math.sqrt(400 - 14.5 ** 2)).toBeCloseTo(1, 1);
  const round = cushion(coverOf(disc(120, 56)), 120, 120);
  expect(round[60 * 120 + 60]! / (56 / Math.SQRT2)).toBeCloseTo(1, 1);
  expect(round[60 * 120 + 90]! / Math.sqrt((56 ** 2 - 30 ** 2) / 2)).toBeCloseTo(1, 1);
});

const place = { width: 60, height: 60, scale: 2, x: -15, y: -15 };
const light = (degrees: number) => ({
  x: 0.8 * Math.sin((degrees * Math.PI) / 180),
  y: -0.8 * Math.cos((degrees * Math.PI) / 180),
  z: 0.6,
});
const whole = box(60, 60, 3);
const painted = (treatment: Treatment, degrees = 315, rgba = whole) =>
  paintTreatment(treatment, light(degrees), rgba, place);
/** Light above zero, shade below: how far a laid pixel lies from middle grey, by how much it covers. */
const tone = (pixels: Uint8ClampedArray, x: number, y: number) => {
  const i = 4 * (60 * y + x);
  return ((pixels[i]! - 128) * pixels[i + 3]!) / 128 / 255;
};

test.each(TREATMENT_NAMES)(
  '%s stays within the shape, is the same each time, and its limits hold',
  (kind) => {
    const pixels = painted({ kind, values: {} });
    expect(pixels.some((value, i) => i % 4 === 3 && value > 0)).toBe(true);
    expect(pixels.every((value, i) => i % 4 < 3 || value <= whole[i]!)).toBe(true);
    expect(painted({ kind, values: {} })).toEqual(pixels);
    const { settings } = treatmentKind(kind);
    expect(settings.length).toBeGreaterThanOrEqual(2);
    expect(settings.length).toBeLessThanOrEqual(4);
    for (const end of ['least', 'most'] as const) {
      const values = Object.fromEntries(settings.map((setting) => [setting.id, setting[end]]));
      expect(painted({ kind, values }).every((value) => value >= 0)).toBe(true);
    }
  },
);

test('what is embossed is light toward the lamp and dark away from it, debossed the other way, flat in its middle', () => {
  const raised = painted({ kind: 'embossed', values: { width: 4, depth: 0.6 } });
  expect(tone(raised, 30, 6)).toBeGreaterThan(0.1);
  expect(tone(raised, 6, 30)).toBeGreaterThan(0.1);
  expect(tone(raised, 53, 30)).toBeLessThan(-0.1);
  expect(raised[4 * (60 * 30 + 30) + 3]).toBe(0);
  const turned = painted({ kind: 'embossed', values: { width: 4, depth: 0.6 } }, 135);
  expect(tone(turned, 6, 30)).toBeLessThan(-0.1);
  const pressed = painted({ kind: 'debossed', values: { width: 4, depth: 0.6 } });
  expect(tone(pressed, 6, 30)).toBeLessThan(-0.1);
});

test('edges are treated near the edge only; glitter covers as thickly as it is strewn', () => {
  for (const kind of ['inked', 'chalked', 'worn'] as const)
    expect(painted({ kind, values: { reach: 3 } })[4 * (60 * 30 + 30) + 3]).toBe(0);
  const covered = (cover: number) => {
    const pixels = painted({ kind: 'glitter', values: { size: 0.8, cover } });
    const inside = whole.filter((value, i) => i % 4 === 3 && value === 255).length;
    return pixels.filter((value, i) => i % 4 === 3 && value > 200).length / inside;
  };
  expect(covered(1)).toBeCloseTo(1, 1);
  expect(covered(0.5)).toBeGreaterThan(0.42);
  expect(covered(0.5)).toBeLessThan(0.58);
  // The last channel of a pixel inside a hole is clear.
  const holed = shape(60, 60, (x, y) => Math.hypot(x - 30, y - 30) > 12 && Math.hypot(x - 30, y - 30) < 27);
  expect(painted({ kind: 'foil', values: {} }, 315, holed)[4 * (60 * 30 + 30) + 3]).toBe(0);
});
