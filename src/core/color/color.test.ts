/** Colours against another library (Color.js), the figures of the OKLab article (Ottosson 2020), and by property. */
import Color from 'colorjs.io';
import fc from 'fast-check';
import { HEX_COLOUR, hexOf, mixed, rgbOf } from '@/core/color/hex';
import { isShown, labOfBytes, labOfRgb, rgbOfLab, type Lab } from '@/core/color/oklab';
import { alongRun, stepsOfRun } from '@/core/color/runs';
import { apartSquared, formatHex, parseColour, toOklab, toOklch } from '@/core/color/spaces';
import { LUMA, toEncoded, toLinear } from '@/core/color/srgb';

const byte = fc.integer({ min: 0, max: 255 });
const colour = fc.tuple(byte, byte, byte).map((rgb) => hexOf(rgb.map((value) => value / 255)));
const theirs = (hex: string) => new Color(hex).to('oklab').coords as [number, number, number];
const away = (a: readonly number[], b: readonly number[]) =>
  Math.hypot(...a.map((value, i) => value - b[i]!));

test('a colour is read and written as it was, whatever it is', () => {
  fc.assert(
    fc.property(colour, (hex) => {
      expect(hex).toMatch(HEX_COLOUR);
      expect(hexOf(rgbOf(hex))).toBe(hex);
    }),
  );
  expect(rgbOf('#ff8000')).toEqual([1, 128 / 255, 0]);
  for (const no of ['#FFF', '#ff80', 'ff8000', '#ff80001', '#gg8000', '#FF8000'])
    expect([no, HEX_COLOUR.test(no)]).toEqual([no, false]);
});

test('mixed: each channel so far on its way; at its ends the colours themselves', () => {
  expect(mixed('#000000', '#ff8000', 0.5)).toBe('#804000');
  fc.assert(
    fc.property(colour, colour, fc.double({ min: 0, max: 1, noNaN: true }), (a, b, share) => {
      expect([mixed(a, b, 0), mixed(a, b, 1)]).toEqual([a, b]);
      const [from, to, at] = [rgbOf(a), rgbOf(b), rgbOf(mixed(a, b, share))];
      at.forEach((value, i) =>
        expect(Math.abs(value - from[i]! - share * (to[i]! - from[i]!))).toBeLessThanOrEqual(
          0.5 / 255 + 1e-9,
        ),
      );
    }),
  );
});

test('light as IEC 61966-2-1 has it: there and back, without a step where the line meets the curve', () => {
  for (const [coded, linear] of [
    [0, 0],
    [0.04045, 0.0031308],
    [0.5, 0.214041],
    [1, 1],
  ] as const)
    expect(toLinear(coded)).toBeCloseTo(linear, 6);
  fc.assert(
    fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (value) => {
      expect(toEncoded(toLinear(value))).toBeCloseTo(value, 6);
    }),
  );
  expect(toLinear(0.04045 + 1e-9) - toLinear(0.04045)).toBeLessThan(1e-6);
  expect(LUMA.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 12);
});

describe('OKLab', () => {
  test('as another library has it, from bytes and from shares', () => {
    fc.assert(
      fc.property(byte, byte, byte, (r, g, b) => {
        const hex = hexOf([r / 255, g / 255, b / 255]);
        expect(away(labOfBytes(r, g, b), theirs(hex))).toBeLessThan(2e-4);
        expect(away(labOfRgb(...rgbOf(hex)), labOfBytes(r, g, b))).toBeLessThan(1e-12);
        const { l, a, b: yellow } = toOklab(hex)!;
        expect(away([l, a, yellow], theirs(hex))).toBeLessThan(2e-4);
      }),
    );
    // White has all the lightness there is, and greys have no colour.
    expect(away(labOfBytes(255, 255, 255), [1, 0, 0])).toBeLessThan(1e-6);
    expect(Math.hypot(labOfBytes(119, 119, 119)[1], labOfBytes(119, 119, 119)[2])).toBeLessThan(1e-6);
  });

  test('what a screen shows comes back to the byte', () => {
    fc.assert(
      fc.property(colour, (hex) => {
        const lab = labOfRgb(...rgbOf(hex));
        expect(isShown(lab)).toBe(true);
        expect(hexOf(rgbOfLab(lab))).toBe(hex);
      }),
    );
  });

  test('what none shows is made paler, at its own lightness and hue, and no paler than it must be', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 0.9, noNaN: true }),
        fc.double({ min: 0.3, max: 0.4, noNaN: true }),
        fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
        (l, chroma, hue) => {
          const wished: Lab = [l, chroma * Math.cos(hue), chroma * Math.sin(hue)];
          if (isShown(wished)) return;
          const shown = labOfRgb(...rgbOfLab(wished));
          expect(Math.abs(shown[0] - l)).toBeLessThan(0.01);
          const found = Math.hypot(shown[1], shown[2]);
          // Of a grey nobody can tell the hue.
          if (found > 0.02)
            expect((shown[1] * wished[1] + shown[2] * wished[2]) / found / chroma).toBeGreaterThan(0.995);
          // A hundredth more colour is more than there is.
          expect(isShown([l, ...[1, 2].map((i) => (wished[i]! * (found + 0.012)) / chroma)] as Lab)).toBe(
            false,
          );
        },
      ),
      { numRuns: 100 },
    );
  });

  test('lighter than white is white, darker than black is black', () => {
    expect([hexOf(rgbOfLab([1.4, 0, 0])), hexOf(rgbOfLab([-0.2, 0, 0]))]).toEqual(['#ffffff', '#000000']);
  });
});

describe('a run of colours', () => {
  test('goes through each of its own, straight in OKLab from one to the next', () => {
    fc.assert(
      fc.property(
        fc.array(colour, { minLength: 2, maxLength: 5 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (run, share) => {
          run.forEach((own, i) => expect(alongRun(run, i / (run.length - 1))).toBe(own));
          const at = share * (run.length - 1);
          const k = Math.min(run.length - 2, Math.floor(at));
          const [a, b] = [labOfRgb(...rgbOf(run[k]!)), labOfRgb(...rgbOf(run[k + 1]!))];
          const between = a.map((value, i) => value + (at - k) * (b[i]! - value)) as Lab;
          if (isShown(between))
            expect(away(labOfRgb(...rgbOf(alongRun(run, share))), between)).toBeLessThan(0.02);
        },
      ),
    );
    expect([
      alongRun(['#123456'], 0.7),
      alongRun(['#000000', '#ffffff'], -3),
      alongRun(['#000000', '#ffffff'], 9),
    ]).toEqual(['#123456', '#000000', '#ffffff']);
  });

  test('in steps: as many from one of its own to the next, its own among them', () => {
    const steps = stepsOfRun(['#a92c40', '#f6f0e0', '#24506b'], 4);
    expect(steps).toHaveLength(9);
    expect([steps[0], steps[4], steps[8]]).toEqual(['#a92c40', '#f6f0e0', '#24506b']);
    const lights = steps.slice(0, 5).map((hex) => theirs(hex)[0]);
    // Evenly lighter to the eye.
    const rises = lights.slice(1).map((light, i) => light - lights[i]!);
    expect(Math.max(...rises) - Math.min(...rises)).toBeLessThan(0.01);
  });
});

test('a colour is told by how the web writes it; what is none is none', () => {
  expect(formatHex(parseColour('rebeccapurple')!)).toBe('#663399');
  expect(formatHex(parseColour('rgb(10 20 30)')!)).toBe('#0a141e');
  expect(formatHex(parseColour('hsl(120 100% 25%)')!)).toBe('#008000');
  expect(parseColour('harbour')).toBeUndefined();
  expect(toOklch('#808080')!.c).toBeLessThan(1e-4);
  expect(apartSquared({ l: 0, a: 3, b: 0 }, { l: 0, a: 0, b: 4 })).toBe(25);
});
