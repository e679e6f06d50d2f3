/** Light and tone: a settled nothing, formulas by hand, histograms against ImageMagick. */
import { execFileSync } from 'node:child_process';
import fc from 'fast-check';
import { applyTone } from '@/core/tone/apply';
import { applyFitted, sharpen } from '@/core/tone/fitted';
import { autoTone, histogramOf, percentile } from '@/core/tone/histogram';
import { isPlain, PLAIN, TONE_SETTINGS, toneWith, type Tone, type ToneId } from '@/core/tone/settings';

const tone = (values: Tone['values'], strength = 1): Tone => ({ values, strength });
const toned = (pixel: readonly [number, number, number], values: Tone['values'], strength = 1) => {
  const data = new Uint8ClampedArray([...pixel, 200]);
  applyTone(data, tone(values, strength));
  return [...data];
};
const pixels = fc
  .array(fc.nat(255), { minLength: 4, maxLength: 400 })
  .map((all) => all.slice(0, all.length - (all.length % 4)));
const settings = fc.constantFrom(...TONE_SETTINGS);

test('nothing set changes nothing; no strength neither; alpha never', () => {
  fc.assert(
    fc.property(
      pixels,
      settings,
      fc.double({ min: 0, max: 1, noNaN: true }),
      (all, { id, least, most }, at) => {
        const data = Uint8ClampedArray.from(all);
        applyTone(data, PLAIN);
        expect([...data]).toEqual(all);
        const value = least + at * (most - least);
        applyTone(data, tone({ [id]: value }, 0));
        expect([...data]).toEqual(all);
        applyTone(data, tone({ [id]: value }));
        data.forEach((byte, i) => i % 4 === 3 && expect(byte).toBe(all[i]));
      },
    ),
  );
  expect(isPlain(tone({ filter: 50 }))).toBe(true);
  expect(isPlain(tone({ sepia: 5 }))).toBe(false);
  expect(toneWith(tone({ sepia: 5, fade: 2 }), 'sepia', 0)).toEqual(tone({ fade: 2 }));
});

test('by hand', () => {
  // A stop is twice the light: 0.2140 linear (encoded 128) becomes 0.4320, which sRGB encodes as 176.
  expect(toned([128, 128, 128], { exposure: 1 })).toEqual([176, 176, 176, 200]);
  // Contrast of 100 doubles the exponent below the grey of 117.3: 117.3 * (60 / 117.3)².
  expect(toned([60, 60, 60], { contrast: 100 })[0]).toBe(Math.round(60 ** 2 / (0.46 * 255)));
  // Black and white is the luma of BT.709.
  const luma = Math.round(0.2126 * 200 + 0.7152 * 100 + 0.0722 * 50);
  expect(toned([200, 100, 50], { mono: 100 })).toEqual([luma, luma, luma, 200]);
  expect(toned([200, 100, 50], { saturation: -100 })).toEqual([luma, luma, luma, 200]);
  // Fade lifts black to a fifth and lowers white to nine tenths.
  expect(toned([0, 0, 0], { fade: 100 })[0]).toBe(51);
  expect(toned([255, 255, 255], { fade: 100 })[0]).toBe(Math.round(0.9 * 255));
  // Half the strength is half way.
  expect(toned([200, 100, 50], { mono: 100 }, 0.5)[0]).toBe(Math.round((luma + 200) / 2));
});

test('each does what its name says', () => {
  const [blue, red] = [
    [80, 120, 220],
    [210, 90, 70],
  ] as const;
  const grey = (pixel: readonly [number, number, number], filter: number) =>
    toned(pixel, { mono: 100, filter })[0]!;
  expect(grey(blue, 100)).toBeLessThan(grey(blue, 0));
  expect(grey(blue, -100)).toBeGreaterThan(grey(blue, 0));
  expect(grey(red, 100)).toBeGreaterThan(grey(red, -100));
  const warm = toned([150, 150, 150], { warmth: 60 });
  expect(warm[0]! - warm[2]!).toBeGreaterThan(20);
  const pink = toned([150, 150, 150], { tint: 60 });
  expect(pink[1]!).toBeLessThan(pink[0]!);
  // Vibrance moves the pale colour by more than the strong one.
  const spread = (pixel: number[]) => Math.max(...pixel.slice(0, 3)) - Math.min(...pixel.slice(0, 3));
  const gain = (pixel: readonly [number, number, number]) =>
    spread(toned(pixel, { vibrance: 80 })) / spread([...pixel]);
  expect(gain([150, 140, 130])).toBeGreaterThan(gain([250, 60, 20]));
});

test('light keeps its order: what was lighter is not darker afterwards', () => {
  fc.assert(
    fc.property(
      fc.record({
        exposure: fc.integer({ min: -2, max: 2 }),
        contrast: fc.integer({ min: -100, max: 100 }),
        highlights: fc.integer({ min: -100, max: 100 }),
        shadows: fc.integer({ min: -100, max: 100 }),
        fade: fc.integer({ min: 0, max: 100 }),
      }),
      (values) => {
        const ramp = Uint8ClampedArray.from({ length: 1024 }, (_, i) => (i % 4 === 3 ? 255 : i >> 2));
        applyTone(ramp, tone(values));
        expect(ramp.findIndex((value, i) => i >= 4 && value < ramp[i - 4]!)).toBe(-1);
      },
    ),
  );
});

test('histograms are ImageMagick’s', () => {
  const [width, height] = [64, 48];
  const data = Uint8ClampedArray.from({ length: 4 * width * height }, (_, i) =>
    i % 4 === 3 ? 255 : (i * i * 31 + (i >> 5) * 7) % 256,
  );
  const ppm = Buffer.concat([
    Buffer.from(`P6 ${width} ${height} 255\n`),
    Buffer.from(data.filter((_, i) => i % 4 !== 3)),
  ]);
  const { red, green, blue, pixels: count } = histogramOf(data);
  expect(count).toBe(width * height);
  for (const [channel, counts] of [
    ['R', red],
    ['G', green],
    ['B', blue],
  ] as const) {
    const text = execFileSync(
      '/usr/bin/convert',
      ['ppm:-', '-channel', channel, '-separate', '-format', '%c', 'histogram:info:'],
      { input: ppm },
    ).toString();
    const theirs = new Uint32Array(256);
    for (const [, number, value] of text.matchAll(/^\s*(\d+): \((\d+)/gm))
      theirs[Number(value)]! += Number(number);
    expect([...counts]).toEqual([...theirs]);
  }
});

describe('auto', () => {
  const photo = (from: number, to: number) =>
    Uint8ClampedArray.from({ length: 4000 }, (_, i) =>
      i % 4 === 3 ? 255 : Math.round(from + ((to - from) * (i >> 2)) / 999),
    );

  test('a dark photo is lightened, a flat one gets contrast, a good one is nearly left alone', () => {
    const dark = photo(0, 110);
    const made = autoTone(histogramOf(dark), PLAIN);
    expect(made.values.exposure).toBeGreaterThan(1);
    applyTone(dark, made);
    // Nine tenths of white in linear light is 243 encoded.
    expect(percentile(histogramOf(dark).luma, 0.99)).toBeGreaterThan(180);
    expect(autoTone(histogramOf(photo(100, 190)), PLAIN).values.contrast).toBeGreaterThan(15);
    expect(Math.abs(autoTone(histogramOf(photo(0, 245)), PLAIN).values.exposure ?? 0)).toBeLessThanOrEqual(
      0.1,
    );
  });

  test('what else was set stays, whatever the light', () => {
    fc.assert(
      fc.property(pixels, (all) => {
        const { values, strength } = autoTone(
          histogramOf(Uint8ClampedArray.from(all)),
          tone({ warmth: 20 }, 0.7),
        );
        expect([values.warmth, strength]).toEqual([20, 0.7]);
        for (const [id, value] of Object.entries(values)) {
          const { least, most } = TONE_SETTINGS.find((each) => each.id === (id as ToneId))!;
          expect(value).toBeGreaterThanOrEqual(least);
          expect(value).toBeLessThanOrEqual(most);
        }
      }),
    );
  });
});

describe('as it lies on the page', () => {
  const grey = (width: number, height: number, value: (x: number, y: number) => number) => ({
    width,
    height,
    data: Uint8ClampedArray.from({ length: 4 * width * height }, (_, i) => {
      const at = i >> 2;
      return i % 4 === 3 ? 255 : value(at % width, Math.floor(at / width));
    }),
  });

  test('sharpening is ImageMagick’s unsharp mask of a grey picture', () => {
    const [width, height] = [80, 60];
    const picture = grey(
      width,
      height,
      (x, y) => 128 + 60 * Math.sin(x / 3) * Math.cos(y / 5) + ((x * 7 + y * 3) % 11),
    );
    const pgm = Buffer.concat([
      Buffer.from(`P5 ${width} ${height} 255\n`),
      Buffer.from(picture.data.filter((_, i) => i % 4 === 0)),
    ]);
    const theirs = execFileSync('/usr/bin/convert', ['pgm:-', '-unsharp', '0x1.5+1.2+0', 'gray:-'], {
      input: pgm,
    });
    sharpen(picture, 1.5, 1.2);
    // Their kernel is cut off sooner than ours.
    for (let at = 0; at < width * height; at++)
      expect(Math.abs(picture.data[4 * at]! - theirs[at]!)).toBeLessThanOrEqual(2);
  });

  test('how much is sharpened follows the printed size, whatever the copy', () => {
    const step = () => grey(300, 20, (x) => (x < 150 ? 100 : 160));
    const at = (inches: number) => {
      const picture = step();
      applyFitted(picture, tone({ sharpen: 100 }), {
        matrix: [72 * inches, 0, 0, 5, -36 * inches, -2.5],
        width: 72 * inches,
        height: 5,
      });
      // How far from the step the light is changed.
      return [...Array(150).keys()].filter((x) => picture.data[4 * (10 * 300 + x)] !== 100).length;
    };
    // 300 pixels over one inch, over half an inch, over four: the last cannot show anything that fine.
    expect([at(1), at(0.5), at(4)]).toEqual([4, 7, 2].map((n) => expect.closeTo(n, -1)));
    expect(at(0.5)).toBeGreaterThan(at(1));
    expect(at(10)).toBe(0);
  });

  test('corners of what is seen are darkened, not those of the file', () => {
    const picture = grey(200, 200, () => 200);
    // The piece shows the left upper quarter of the picture.
    applyFitted(picture, tone({ vignette: 100 }), {
      matrix: [200, 0, 0, 200, -50, -50],
      width: 100,
      height: 100,
    });
    const value = (x: number, y: number) => picture.data[4 * (y * 200 + x)]!;
    expect(value(50, 50)).toBe(200);
    expect(value(99, 99)).toBeLessThan(60);
    expect(value(0, 0)).toBeLessThan(60);
    const light = grey(20, 20, () => 100);
    applyFitted(light, tone({ vignette: -100 }, 0.5), {
      matrix: [20, 0, 0, 20, -10, -10],
      width: 20,
      height: 20,
    });
    expect(light.data[0]).toBeGreaterThan(130);
    expect(light.data[4 * (10 * 20 + 10)]).toBe(100);
  });
});
