import { deflateSync } from 'node:zlib';
import sharp from 'sharp';
import { jpegWithDensity } from '@/output/pixels/density';
import { contentOf, HEAD, readHeader } from '@/core/pixels/header';
import { quarters } from '../../../scripts/testing/samples';

const picture = sharp(quarters(64, 48, 'image/png'));
const words = (bytes: Uint8Array) => {
  const header = readHeader(bytes);
  return header.ok ? 'fine' : header.message;
};

describe('what a file says of itself', () => {
  test('JPEG, PNG and WebP are known by their bytes, with size and stated density', async () => {
    const png = await picture.clone().withMetadata({ density: 240 }).png().toBuffer();
    for (const bytes of [Buffer.concat(jpegWithDensity(quarters(64, 48), 240)), png]) {
      const header = readHeader(bytes);
      expect(header).toMatchObject({ ok: true, value: { width: 64, height: 48 } });
      expect(header.ok && Math.round(header.value.ppi)).toBe(240);
    }
    for (const options of [{ quality: 80 }, { lossless: true }])
      expect(readHeader(await picture.clone().webp(options).toBuffer())).toMatchObject({
        value: { type: 'image/webp', width: 64, height: 48, ppi: 300 },
      });
  });

  test('the first bytes tell pictures and zips from all else, as sharp writes them', async () => {
    const told = async (made: Buffer | Promise<Buffer>) => contentOf((await made).subarray(0, HEAD));
    for (const format of ['png', 'jpeg', 'webp', 'gif'] as const)
      expect(await told(picture.clone().toFormat(format).toBuffer())).toBe('picture');
    expect(await told(Buffer.from('<?xml version="1.0"?>\n<!-- ours --><svg width="1"></svg>'))).toBe(
      'picture',
    );
    expect(await told(Buffer.from('PK\x03\x04 and so on'))).toBe('zip');
    for (const other of ['', 'plain words', '%PDF-1.7', 'RIFF1234WAVE'])
      expect(await told(Buffer.from(other))).toBeNull();
  });

  test('72 ppi, which cameras write without meaning it, counts as none stated', async () => {
    expect(readHeader(Buffer.concat(jpegWithDensity(quarters(64, 48), 72)))).toMatchObject({
      value: { ppi: 300 },
    });
  });

  test('a PNG with bytes after its end is whole; one that ends within a chunk, or is damaged between two, is not', async () => {
    const png = await picture.clone().png().toBuffer();
    expect(words(Buffer.concat([png, Buffer.from('what a cropping program left there')]))).toBe('fine');
    // Every place it can be cut off at: as far as the header, it is not known to be a picture at all.
    for (let length = 34; length < png.length; length++)
      expect([length, words(png.subarray(0, length))]).toEqual([length, expect.stringMatching(/cut off/)]);
    const longer = Buffer.from(png);
    longer.writeUInt32BE(0xfffffff0, 33);
    expect(words(longer)).toMatch(/cut off/);
  });

  test('a progressive JPEG and one with notes after its end are whole', async () => {
    const progressive = await picture.clone().jpeg({ progressive: true }).toBuffer();
    expect(words(progressive)).toBe('fine');
    expect(words(Buffer.concat([progressive, Buffer.from('maker notes')]))).toBe('fine');
  });
});

describe('bad input', () => {
  test('each kind is refused in words of its own', async () => {
    const jpeg = await picture.clone().jpeg().toBuffer();
    const png = await picture.clone().png().toBuffer();
    expect(words(new Uint8Array())).toMatch(/empty \(0 bytes\)/);
    expect(words(Buffer.from('Dear diary, today we flew the red one.'))).toMatch(/not a picture/);
    expect(words(jpeg.subarray(0, jpeg.length - 40))).toMatch(/cut off/);
    expect(words(jpeg.subarray(0, 60))).toMatch(/cut off/);
    expect(words(png.subarray(0, png.length - 20))).toMatch(/cut off/);
    expect(
      words(
        Buffer.from(
          '<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>',
        ),
      ),
    ).toMatch(/SVG/);
  });

  test('30,000 x 30,000 pixels are refused by the header alone', () => {
    const header = Buffer.alloc(13);
    header.writeUInt32BE(30_000, 0);
    header.writeUInt32BE(30_000, 4);
    header.set([8, 6, 0, 0, 0], 8);
    const chunk = (type: string, data: Buffer) => {
      const length = Buffer.alloc(4);
      length.writeUInt32BE(data.length);
      return Buffer.concat([length, Buffer.from(type), data, Buffer.alloc(4)]);
    };
    const bomb = Buffer.concat([
      Buffer.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10]),
      chunk('IHDR', header),
      chunk('IDAT', deflateSync(Buffer.alloc(1000))),
      chunk('IEND', Buffer.alloc(0)),
    ]);
    expect(words(bomb)).toMatch(/30000 x 30000 pixels: more than can be opened safely \(200 million/);
  });
});
