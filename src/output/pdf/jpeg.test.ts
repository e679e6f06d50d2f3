/** The headers of pictures: what libjpeg and libpng (by sharp) wrote is read, what we write is read by them; damaged ones end in a sentence. */
import fc from 'fast-check';
import sharp, { type Sharp } from 'sharp';
import { srgbProfile } from '@/core/press/rgb-profile';
import { factsOf, jpegFacts } from '@/output/pdf/jpeg';
import { jpegWithDensity, jpegWithProfile, pngWithDensity } from '@/output/pixels/density';

const plain = (width: number, height: number, background: object | string = '#9e2b45') =>
  sharp({ create: { width, height, channels: 3, background: background as string } });
const jpeg = async (width = 60, height = 40, change: (of: Sharp) => Sharp = (same) => same) =>
  new Uint8Array(await change(plain(width, height)).jpeg().toBuffer());
const whole = (parts: readonly Uint8Array[]) => Buffer.concat(parts);
/** A marker with what it holds. */
const segment = (marker: number, ...data: number[]) => [
  0xff,
  marker,
  (data.length + 2) >> 8,
  (data.length + 2) & 255,
  ...data,
];
const text = (words: string) => [...words].map((c) => c.charCodeAt(0));
const frame = (width: number, height: number, components: number, marker = 0xc0) =>
  segment(marker, 8, height >> 8, height & 255, width >> 8, width & 255, components);
const file = (...segments: number[][]) => new Uint8Array([0xff, 0xd8, ...segments.flat()]);
const icc = (number: number, of: number, ...data: number[]) =>
  segment(0xe2, ...text('ICC_PROFILE\0'), number, of, ...data);

describe('what a JPEG says of itself', () => {
  test('of any size, in grey and in colour, baseline and progressive, as libjpeg wrote it', async () => {
    for (const [width, height] of [
      [1, 1],
      [300, 7],
      [65, 129],
    ] as const)
      for (const progressive of [false, true]) {
        const colour = new Uint8Array(await plain(width, height).jpeg({ progressive }).toBuffer());
        expect(jpegFacts(colour)).toMatchObject({ width, height, components: 3, inverted: false });
        const grey = new Uint8Array(
          await plain(width, height).greyscale().toColourspace('b-w').jpeg({ progressive }).toBuffer(),
        );
        expect(jpegFacts(grey)).toMatchObject({ width, height, components: 1 });
      }
  });

  test('the largest there may be; four colours are inverted where an Adobe marker says so, and only then', () => {
    expect(jpegFacts(file(frame(65535, 65535, 3)))).toMatchObject({ width: 65535, height: 65535 });
    const adobe = segment(0xee, ...text('Adobe'), 0, 100, 0, 0, 0, 0, 2);
    expect(jpegFacts(file(adobe, frame(9, 9, 4))).inverted).toBe(true);
    expect(jpegFacts(file(frame(9, 9, 4))).inverted).toBe(false);
    expect(jpegFacts(file(adobe, frame(9, 9, 3))).inverted).toBe(false);
    expect(jpegFacts(file(segment(0xee, ...text('Other')), frame(9, 9, 4))).inverted).toBe(false);
  });

  test('frames of every process are frames, tables and others are not (ITU-T T.81, table B.1)', () => {
    for (let marker = 0xc0; marker <= 0xcf; marker++) {
      const of = file(frame(7, 5, 3, marker), frame(9, 9, 1));
      const table = [0xc4, 0xc8, 0xcc].includes(marker);
      expect([marker, jpegFacts(of).width]).toEqual([marker, table ? 9 : 7]);
    }
  });

  test('filled up between its markers it is read all the same', () => {
    const filled = new Uint8Array([0xff, 0xd8, 0xff, 0xff, 0xff, ...frame(7, 5, 3)]);
    expect(jpegFacts(filled)).toMatchObject({ width: 7, height: 5 });
  });
});

const srgb = srgbProfile();

describe('its profile', () => {
  test('in one part and in many, in whatever order they come, is what libvips put in', async () => {
    const p3 = await jpeg(20, 20, (of) => of.withIccProfile('p3'));
    const metadata = await sharp(p3).metadata();
    expect(Buffer.from(jpegFacts(p3).profile!)).toEqual(metadata.icc);
    expect(
      jpegFacts(
        file(
          icc(2, 3, ...srgb.subarray(100, 300)),
          icc(3, 3, ...srgb.subarray(300)),
          icc(1, 3, ...srgb.subarray(0, 100)),
          frame(9, 9, 3),
        ),
      ).profile,
    ).toEqual(srgb);
  });

  test('of which a part is missing, or there twice, is none: half of one would be a damaged file', () => {
    expect(jpegFacts(file(icc(1, 2, ...srgb), frame(9, 9, 3))).profile).toBeUndefined();
    expect(jpegFacts(file(icc(1, 2, ...srgb), icc(1, 2, ...srgb), frame(9, 9, 3))).profile).toBeUndefined();
    expect(jpegFacts(file(segment(0xe2, ...text('MPF\0')), frame(9, 9, 3))).profile).toBeUndefined();
  });
});

test('a file in parts is read by its header alone, however long the rest is', async () => {
  const bytes = await jpeg(60, 40);
  expect(factsOf([bytes.subarray(0, 20), bytes.subarray(20), new Uint8Array(70_000)])).toMatchObject({
    width: 60,
    height: 40,
  });
});

test('a profile that is none, or is for other components, is passed over', () => {
  const parts = (profile: Uint8Array, components: number) =>
    jpegFacts(file(icc(1, 1, ...profile), frame(9, 9, components))).profile;
  expect(parts(srgb, 3)).toEqual(srgb);
  expect(parts(srgb, 1)).toBeUndefined();
  expect(parts(srgb.subarray(0, 200), 3)).toBeUndefined();
  expect(parts(new Uint8Array(400).fill(7), 3)).toBeUndefined();
});

test('whatever bytes there are, it ends: in facts, or in words', () => {
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 60 }), fc.boolean(), (bytes, begins) => {
      const of = begins ? new Uint8Array([0xff, 0xd8, ...bytes]) : bytes;
      try {
        expect(jpegFacts(of).width).toBeGreaterThanOrEqual(0);
      } catch (error) {
        expect(error).toBeInstanceOf(RangeError);
      }
    }),
    { numRuns: 200 },
  );
  expect(() => jpegFacts(file(segment(0xe0, 1, 2)))).toThrow('A JPEG without a picture.');
  expect(() => jpegFacts(new Uint8Array([0xff, 0xd8, 1, 2, 3, 4]))).toThrow('A JPEG without a picture.');
});

describe('density', () => {
  test.each([72, 96, 240, 300, 600, 2400])(
    '%d pixels an inch are read by libvips, in PNG and JPEG',
    async (ppi) => {
      const png = await plain(30, 20).png().toBuffer();
      expect((await sharp(whole(pngWithDensity(png, ppi))).metadata()).density).toBe(ppi);
      expect((await sharp(whole(jpegWithDensity(await jpeg(), ppi))).metadata()).density).toBe(ppi);
    },
  );

  test('the picture is the same, bit by bit, and what it said of its colours before is gone', async () => {
    const png = await plain(30, 20).png().toBuffer();
    const dense = whole(pngWithDensity(png, 300));
    expect(await sharp(dense).raw().toBuffer()).toEqual(await sharp(png).raw().toBuffer());
    const p3 = await plain(30, 20).withIccProfile('p3').png().toBuffer();
    expect((await sharp(p3).metadata()).icc).toBeDefined();
    expect((await sharp(whole(pngWithDensity(p3, 300))).metadata()).icc).toBeUndefined();
    const before = await jpeg();
    expect(
      await sharp(whole(jpegWithDensity(before, 300)))
        .raw()
        .toBuffer(),
    ).toEqual(await sharp(before).raw().toBuffer());
  });

  test('a JPEG without a JFIF header gets one', async () => {
    const bare = file(frame(7, 5, 3));
    const dense = whole(jpegWithDensity(bare, 300));
    expect([...dense.subarray(0, 4)]).toEqual([0xff, 0xd8, 0xff, 0xe0]);
    expect(jpegFacts(dense)).toMatchObject({ width: 7, height: 5 });
  });

  test('a profile is put in after the header, and the one that was there is not', async () => {
    const p3 = await jpeg(20, 20, (of) => of.withIccProfile('p3'));
    const made = whole(jpegWithProfile(jpegWithDensity(p3, 300), srgb));
    expect(jpegFacts(made).profile).toEqual(srgb);
    expect((await sharp(made).metadata()).density).toBe(300);
  });

  test('a PNG without a picture is none', async () => {
    const png = await plain(3, 3).png().toBuffer();
    expect(() => pngWithDensity(png.subarray(0, 33), 300)).toThrow('A PNG without picture data.');
  });
});
