/** Readers of JPEG, PNG and WebP files always reach the end, whatever the bytes. The good files are written by sharp. */
import { crc32 } from 'node:zlib';
import fc from 'fast-check';
import sharp from 'sharp';
import { namedSrgb, pngChunks, riffChunks } from '@/core/bytes/chunks';
import { CODED, EOI, isFrame, jpegParts, SOS } from '@/core/bytes/jpeg';
import { partsFrom, type Part } from '@/core/bytes/parts';
import { readHeader } from '@/core/pixels/header';
import { unnoted } from '@/output/notes';
import { jpegFacts } from '@/output/pdf/jpeg';

const noise = (seed: number, side = 24) =>
  sharp(
    Buffer.from(
      Array.from({ length: 3 * side * side }, (_, i) => (Math.imul(i + seed, 2654435761) >>> 13) & 255),
    ),
    { raw: { width: side, height: side, channels: 3 } },
  );
const READERS = { jpeg: jpegParts, png: pngChunks, riff: riffChunks };

/** All parts, which must follow each other within the file. A damaged file may end a reader early. */
function read(reader: (bytes: Uint8Array) => Generator<Part, void>, bytes: Uint8Array): Part[] {
  const parts: Part[] = [];
  try {
    for (const part of reader(bytes)) {
      expect(part.from).toBeGreaterThanOrEqual(parts.at(-1)?.end ?? 0);
      expect(part.end).toBeGreaterThan(part.from);
      parts.push(part);
    }
  } catch (error) {
    expect(error).toBeInstanceOf(RangeError);
  }
  return parts;
}

/** Everything that looks into a JPEG without decoding it. */
function readAll(bytes: Uint8Array): void {
  read(jpegParts, bytes);
  readHeader(bytes);
  unnoted(bytes);
  try {
    jpegFacts(bytes);
  } catch (error) {
    expect(error).toBeInstanceOf(RangeError);
  }
}

test('a part that does not move forward ends the reading', () => {
  expect(() => [...partsFrom(0, 9, (from) => ({ from, end: from }))]).toThrow(RangeError);
  expect([...partsFrom(2, 9, (from) => ({ from, end: from + 3 }))]).toHaveLength(3);
});

test.each(Object.entries(READERS))('%s: any bytes are read to an end', (_, reader) => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.uint8Array({ maxLength: 400 }),
        // Mostly what readers stop at.
        fc
          .array(fc.constantFrom(0xff, 0, 0xd8, 0xd9, 0xda, 0xd0, 0xe1, 2, 1), { maxLength: 200 })
          .map((a) => Uint8Array.from(a)),
      ),
      (bytes) => void read(reader, bytes),
    ),
    { numRuns: 300 },
  );
});

test('whole files are read from end to end, part by part', async () => {
  for (const options of [{}, { progressive: true }, { optimiseScans: true, progressive: true }]) {
    const jpeg = await noise(1).jpeg(options).toBuffer();
    const parts = [...jpegParts(jpeg)];
    expect(parts[0]!.from).toBe(2);
    expect(parts.at(-1)).toMatchObject({ marker: EOI, end: jpeg.length });
    expect(parts.filter(({ marker }) => isFrame(marker))).toHaveLength(1);
    expect(parts.filter(({ marker }) => marker === SOS)).toHaveLength(
      parts.filter(({ marker }) => marker === CODED).length,
    );
  }
  const png = await noise(1).png().toBuffer();
  expect([...pngChunks(png)].map(({ name }) => name)).toEqual(
    expect.arrayContaining(['IHDR', 'IDAT', 'IEND']),
  );
  expect([...pngChunks(png)].at(-1)!.end).toBe(png.length);
  const webp = await noise(1).webp().toBuffer();
  expect([...riffChunks(webp)].at(-1)!.end).toBe(webp.length);
});

test('a JPEG with any byte at any boundary between its parts is read to an end, or refused in words', async () => {
  for (const options of [{}, { progressive: true }]) {
    const jpeg = await noise(7).jpeg(options).toBuffer();
    for (const { from } of [...jpegParts(jpeg)])
      for (const at of [from - 1, from, from + 1, from + 2, from + 3])
        for (let value = 0; value < 256; value += 1) {
          const bent = Uint8Array.from(jpeg);
          bent[at] = value;
          readAll(bent);
        }
  }
});

test.each([false, true])(
  'a scan that begins with a stuffed byte (FF 00) is copied whole (progressive: %s)',
  async (progressive) => {
    const jpeg = new Uint8Array(await noise(5).jpeg({ progressive }).toBuffer());
    const scans = [...jpegParts(jpeg)].filter(({ marker }) => marker === CODED);
    for (const { from, end } of scans) {
      const stuffed = Uint8Array.from(jpeg);
      stuffed.set([0xff, 0], from);
      expect([...jpegParts(stuffed)].find((part) => part.from === from)).toMatchObject({
        marker: CODED,
        end,
      });
      const pixels = (of: Uint8Array) => sharp(of, { failOn: 'none' }).raw().toBuffer();
      expect(await pixels(unnoted(stuffed))).toEqual(await pixels(stuffed));
    }
  },
);

test('a PNG that states sRGB by its gamma alone names it instead; its pixels stay, and libpng takes it', async () => {
  const png = await noise(2).png().toBuffer();
  const chunk = (name: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(name), data]);
    const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    sum.writeUInt32BE(crc32(body));
    return Buffer.concat([length, body, sum]);
  };
  const words = (...values: number[]) =>
    Buffer.concat(values.map((value) => Buffer.from([value >> 24, value >> 16, value >> 8, value])));
  const withChunks = (...chunks: Buffer[]) =>
    Buffer.concat([png.subarray(0, 33), ...chunks, png.subarray(33)]);
  const primaries = chunk('cHRM', words(31270, 32900, 64000, 33000, 30000, 60000, 15000, 6000));
  const named = namedSrgb(withChunks(chunk('gAMA', words(45455)), primaries))!;
  expect([...pngChunks(named)].map(({ name }) => name)).toEqual(['IHDR', 'sRGB', 'pHYs', 'IDAT', 'IEND']);
  expect(await sharp(named, { failOn: 'warning' }).raw().toBuffer()).toEqual(
    await sharp(png).raw().toBuffer(),
  );
  for (const other of [
    png,
    withChunks(chunk('gAMA', words(100000))),
    withChunks(chunk('gAMA', words(45455)), chunk('sRGB', Buffer.of(0))),
  ])
    expect(namedSrgb(other)).toBeNull();
});

test('bytes that belong to no segment are passed over, as libjpeg does', async () => {
  const jpeg = await noise(3).jpeg().toBuffer();
  const { from } = [...jpegParts(jpeg)].find(({ marker }) => isFrame(marker))!;
  const loose = Buffer.concat([
    jpeg.subarray(0, from),
    Buffer.from([0x12, 0x34, 0xff, 0]),
    jpeg.subarray(from),
  ]);
  expect(readHeader(loose)).toMatchObject({ ok: true, value: { width: 24, height: 24 } });
  expect(jpegFacts(loose)).toMatchObject({ width: 24, components: 3 });
  expect(await sharp(unnoted(loose)).raw().toBuffer()).toEqual(await sharp(jpeg).raw().toBuffer());
});
