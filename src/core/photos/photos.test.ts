/** Occasions by hand, likeness and blur on pictures that were changed by known amounts, notes within their limits. */
import fc from 'fast-check';
import sharp, { type Sharp } from 'sharp';
import { BLURRED, blurIn } from '@/core/photos/blur';
import { alikeGroups, likenessOf } from '@/core/photos/likeness';
import { namesIn, notesFrom, notesSchema, tidyNotes } from '@/core/photos/notes';
import { occasionsOf } from '@/core/photos/occasions';
import { shrunk } from '@/core/pixels/shrink';

describe('occasions', () => {
  const at = (minutes: number) => ({
    taken: new Date(Date.UTC(2026, 4, 16, 10, minutes)).toISOString().slice(0, 19),
  });
  const sizes = (minutes: readonly number[]) =>
    occasionsOf(minutes.map(at)).map(({ photos }) => photos.length);

  test('a lunch between two walks, a night, and one photo by itself', () => {
    const walk = (from: number) => [0, 2, 3, 7, 9, 12].map((minute) => from + minute);
    // 12 to 120: 108 minutes, among gaps of two or three.
    expect(sizes([...walk(0), ...walk(120), ...walk(1440)])).toEqual([6, 6, 6]);
    // A photo every hour is one outing; every second hour still is.
    expect(sizes(Array.from({ length: 12 }, (_, i) => 60 * i))).toEqual([12]);
    expect(sizes([0, 120, 240, 360])).toEqual([4]);
    // Within half an hour nothing ends, however hasty the rest.
    expect(sizes([0, 0, 0, 0, 29, 29, 29])).toEqual([7]);
    expect(sizes([0])).toEqual([1]);
    expect(occasionsOf([])).toEqual([]);
  });

  test('all photos are kept, in their order; those without a time come last', () => {
    fc.assert(
      fc.property(fc.array(fc.option(fc.nat(100_000))), (minutes) => {
        const timed = minutes.filter((m): m is number => m !== null).sort((a, b) => a - b);
        const photos = [
          ...timed.map(at),
          ...minutes.filter((m) => m === null).map(() => ({ taken: undefined })),
        ];
        expect(occasionsOf(photos).flatMap((one) => one.photos)).toEqual(photos);
      }),
    );
  });
});

/** A scene of discs and grain that is different for each seed. */
async function scene(seed: number, width = 480, height = 320): Promise<Sharp> {
  let state = seed;
  const next = () => (state = (state * 16807) % 2147483647) / 2147483647;
  const discs = Array.from({ length: 40 }, () => {
    const [x, y, r, l] = [next() * width, next() * height, 10 + next() * 60, Math.round(next() * 255)];
    return `<circle cx="${x}" cy="${y}" r="${r}" fill="rgb(${l},${Math.round(next() * 255)},${l})"/>`;
  });
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${discs.join('')}</svg>`;
  return sharp(await sharp(Buffer.from(svg)).flatten().png().toBuffer());
}
async function pixels(image: Sharp) {
  const { data, info } = await image.clone().ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { data: new Uint8ClampedArray(data), width: info.width, height: info.height };
}

test('copies are found whatever their size, compression and light; other scenes are not', async () => {
  const prints: string[] = [];
  for (const seed of [11, 22, 33]) {
    const one = await scene(seed);
    const small = sharp(await one.clone().resize(300).jpeg({ quality: 45 }).toBuffer());
    const light = sharp(await one.clone().modulate({ brightness: 1.15 }).toBuffer());
    for (const each of [one, small, light]) prints.push(likenessOf(await pixels(each)));
  }
  const at = (likeness: string, time: number | null = null, shape = 1.5) => ({ likeness, time, shape });
  expect(alikeGroups(prints.map((likeness) => at(likeness)))).toEqual([
    [0, 1, 2],
    [3, 4, 5],
    [6, 7, 8],
  ]);
  // Sixteen bits of 128 differ: one moment only if it was one; a copy is a copy whenever it was made.
  const near = [...prints[0]!].map((d, i) => (i < 4 ? (15 - parseInt(d, 16)).toString(16) : d)).join('');
  expect(alikeGroups([at(prints[0]!, 0), at(near, 60)])).toEqual([[0, 1]]);
  expect(alikeGroups([at(prints[0]!, 0), at(near, 600)])).toEqual([]);
  expect(alikeGroups([at(prints[0]!, 0), at(prints[0]!, 9e6)])).toEqual([[0, 1]]);
  expect(alikeGroups([at(prints[0]!), at(prints[0]!, null, 0.7)])).toEqual([]);
});

test('more blur measures as more, and a blurred photo is marked', async () => {
  for (const seed of [5]) {
    const one = await scene(seed, 700, 460);
    const blurs: number[] = [];
    for (const sigma of [0, 1, 2, 4]) {
      const image = sigma ? sharp(await one.clone().blur(sigma).toBuffer()) : one;
      blurs.push(blurIn(await pixels(image))!);
    }
    expect([...blurs].sort((a, b) => a - b)).toEqual(blurs);
    expect(blurs[0]).toBeLessThan(BLURRED);
    expect(blurs[2]).toBeGreaterThan(BLURRED);
  }
  // Nothing to be sharp about, and pictures of a few pixels.
  expect(
    blurIn({ data: new Uint8ClampedArray(4 * 200 * 200).fill(120), width: 200, height: 200 }),
  ).toBeNull();
  expect(blurIn({ data: new Uint8ClampedArray([1, 2, 3, 255]), width: 1, height: 1 })).toBeNull();
  expect(likenessOf({ data: new Uint8ClampedArray([1, 2, 3, 255]), width: 1, height: 1 })).toHaveLength(32);
});

test('half a sharp picture is enough to be sharp', async () => {
  const one = await scene(8, 700, 460);
  const soft = await one.clone().blur(5).extract({ left: 0, top: 0, width: 500, height: 460 }).toBuffer();
  const half = sharp(
    await one
      .clone()
      .composite([{ input: soft, left: 0, top: 0 }])
      .png()
      .toBuffer(),
  );
  expect(blurIn(await pixels(half))).toBeLessThan(BLURRED);
});

test('notes are kept within what a file may hold', () => {
  expect(namesIn(' Ines Marlow , Olu Brandt,,Ines Marlow ')).toEqual(['Ines Marlow', 'Olu Brandt']);
  expect(tidyNotes({ caption: '  ', people: [''], stars: 0 })).toBeUndefined();
  expect(tidyNotes({ position: { north: 91, east: 0 } })).toBeUndefined();
  fc.assert(
    fc.property(
      fc.record({
        caption: fc.string({ unit: 'binary', maxLength: 3000 }),
        people: fc.array(fc.string({ maxLength: 300 }), { maxLength: 100 }),
        place: fc.string({ maxLength: 300 }),
        stars: fc.integer({ min: -3, max: 9 }),
      }),
      (notes) => {
        const tidied = tidyNotes(notes);
        expect(notesSchema.isValidSync(tidied, { strict: true })).toBe(true);
        if (tidied) expect(tidyNotes(tidied)).toEqual(tidied);
      },
    ),
  );
});

test('shrunk pixels are means: by hand, and the mean of all stays', () => {
  const data = Uint8ClampedArray.from([0, 100, 20, 60].flatMap((v) => [v, v, v, 255]));
  expect([...shrunk({ width: 4, height: 1, data }, 2).data]).toEqual([50, 50, 50, 255, 40, 40, 40, 255]);
  expect(shrunk({ width: 4, height: 1, data }, 4).data).toBe(data);
  fc.assert(
    fc.property(fc.uint8Array({ minLength: 4 * 144, maxLength: 4 * 144 }), (bytes) => {
      const mean = (of: ArrayLike<number>) => Array.from(of).reduce((a, b) => a + b, 0) / of.length;
      const all = new Uint8ClampedArray(bytes);
      expect(Math.abs(mean(shrunk({ width: 12, height: 12, data: all }, 4).data) - mean(all))).toBeLessThan(
        0.6,
      );
    }),
  );
});

describe('what a file says of its photo', () => {
  test('who is in it, each once and by the name they are called by, from XMP’s list and its faces', () => {
    const people = (tags: Record<string, unknown>) => notesFrom(tags)?.people;
    expect(people({ PersonInImage: ['Ines Marlow', 'Olu'] })).toEqual(['Ines Marlow', 'Olu']);
    expect(people({ PersonInImage: 'Finch, Ada' })).toEqual(['Ada Finch']);
    expect(people({ PersonInImage: ['Finch, Ada', 'Ada Finch', ' ', 'a; b, c'] })).toEqual([
      'Ada Finch',
      'a b c',
    ]);
    const face = (Name: unknown, Type = 'Face') => ({ Name, Type });
    expect(people({ Regions: { RegionList: [face('Olu'), face('Rex', 'Pet'), face('')] } })).toEqual(['Olu']);
    expect(people({ RegionInfo: { RegionList: face('Olu') }, PersonInImage: ['Olu', 'Ines'] })).toEqual([
      'Olu',
      'Ines',
    ]);
    for (const nothing of [
      {},
      { Regions: null },
      { Regions: { RegionList: null } },
      { PersonInImage: [] },
      { Regions: 'x' },
    ])
      expect(people(nothing)).toBeUndefined();
  });
  test('XMP is believed before IPTC before Exif; what cameras write of themselves is no caption', () => {
    const said = (tags: Record<string, unknown>) => notesFrom(tags)?.caption;
    const all = {
      description: { lang: 'x-default', value: 'Low tide' },
      Caption: 'Ebb',
      ImageDescription: 'Sea',
    };
    expect(said(all)).toBe('Low tide');
    expect(said({ ...all, description: ' ' })).toBe('Ebb');
    expect(said({ ImageDescription: 'Sea' })).toBe('Sea');
    for (const own of ['OLYMPUS DIGITAL CAMERA         ', 'SONY DSC', 'DCIM', '\0\0\0'])
      expect(said({ ImageDescription: own })).toBeUndefined();
    // Bytes of UTF-8 that were read one by one.
    expect(said({ Caption: Buffer.from('Žluté draky').toString('latin1') })).toBe('Žluté draky');
    expect(said({ Caption: 'caf\u00e9' })).toBe('café');
  });
  test('where: from the least to the largest, each once; where on the earth, if it is on it', () => {
    expect(notesFrom({ Location: 'The slip', City: 'Saltmarsh', Country: 'Saltmarsh' })?.place).toBe(
      'The slip, Saltmarsh',
    );
    expect(notesFrom({ Sublocation: 'Pier', CountryName: 'Home' })?.place).toBe('Pier, Home');
    const position = (latitude: unknown, longitude: unknown) => notesFrom({ latitude, longitude })?.position;
    expect(position(51.5, -0.1)).toEqual({ north: 51.5, east: -0.1 });
    for (const [a, b] of [
      [91, 0],
      [0, 181],
      [NaN, 0],
      ['1', 2],
      [undefined, 3],
    ] as const)
      expect(position(a, b)).toBeUndefined();
  });
  test('stars as XMP rates them: none, and what is rejected, is none', () => {
    expect([0, -1, 1, 3, 5, 9, '4', 'x'].map((Rating) => notesFrom({ Rating })?.stars)).toEqual([
      ...[undefined, undefined, 1, 3, 5, 5, 4, undefined],
    ]);
  });
  test('whatever it says, a file of ours takes it', () => {
    const anything = fc.anything({
      maxDepth: 3,
      key: fc.constantFrom('value', 'RegionList', 'Name', 'Type', 'x'),
      values: [fc.string(), fc.double(), fc.constant('Face'), fc.constant(null)],
    });
    const tags = fc.dictionary(
      fc.constantFrom(
        'description',
        'Caption',
        'PersonInImage',
        'Regions',
        'RegionInfo',
        'Location',
        'City',
        'Country',
        'latitude',
        'longitude',
        'Rating',
      ),
      anything,
    );
    fc.assert(
      fc.property(tags, (of) => {
        const notes = notesFrom(of);
        if (notes) expect(notesSchema.validateSync(structuredClone(notes), { strict: true })).toEqual(notes);
      }),
      { numRuns: 200 },
    );
  });
});
