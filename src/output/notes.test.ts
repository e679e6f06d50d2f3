/** Where and when photos were taken leaves only if it is asked for: what exiftool finds in what is made, and jpegtran's pixels. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { unnoted } from '@/output/notes';
import { making } from '../../scripts/testing/making';
import { laid, photoOf } from '../../scripts/testing/samples';

const { folder, tool, register, made } = making();

/** A photo as cameras and phones write them: Exif with a place and a small second picture, XMP, IPTC, a comment, more behind its end. */
async function noted(type: 'jpeg' | 'png', progressive = false): Promise<Buffer> {
  const name = join(folder, `noted-${type}-${progressive}.${type}`);
  const picture = sharp({
    create: {
      width: 90,
      height: 60,
      channels: 3,
      background: '#3a6ea5',
      noise: { type: 'gaussian', mean: 128, sigma: 40 },
    },
  }).withIccProfile('p3');
  writeFileSync(name, await (type === 'jpeg' ? picture.jpeg({ progressive }) : picture.png()).toBuffer());
  const small = join(folder, 'small.jpg');
  writeFileSync(small, await sharp(name).resize(16).jpeg().toBuffer());
  tool(
    'exiftool',
    ...[
      '-q',
      '-overwrite_original',
      '-EXIF:GPSLatitude=51.25',
      '-EXIF:GPSLatitudeRef=S',
      '-EXIF:Model=Box 7',
    ],
    ...['-XMP:Creator=Xenia', '-EXIF:DateTimeOriginal=2026:07:04 10:00:00', '-EXIF:Orientation#=6'],
    ...(type === 'jpeg'
      ? ['-IPTC:Keywords=kite', '-Comment=at home', `-ThumbnailImage<=${small}`]
      : ['-PNG:Author=Xenia']),
    name,
  );
  const bytes = readFileSync(name);
  return type === 'jpeg'
    ? Buffer.concat([bytes, Buffer.from('GPS 51.25 S: what some phones write behind the end')])
    : bytes;
}

const TELLING = /GPS|Box 7|Xenia|kite|at home|2026:07:04|Thumbnail/;
const told = (path: string) => tool('exiftool', '-a', '-u', '-G1', path);

test.each([
  ['jpeg', false],
  ['jpeg', true],
  ['png', false],
] as const)(
  'of a %s (progressive: %s) all pixels and its profile stay, and nothing that tells of it',
  async (type, progressive) => {
    const bytes = await noted(type, progressive);
    const clean = unnoted(bytes);
    const path = join(folder, `clean.${type}`);
    writeFileSync(path, clean);
    const all = told(path);
    expect(all).not.toMatch(TELLING);
    expect(all).toMatch(/ICC-header/);
    expect(Buffer.from(clean).includes('51.25')).toBe(false);
    const pixels = (of: Uint8Array) => sharp(of, { failOn: 'warning' }).raw().toBuffer();
    expect(await pixels(clean)).toEqual(await pixels(bytes));
    expect(unnoted(clean)).toEqual(clean);
    // What cannot be followed to its end is not mangled.
    for (let end = 1; end < bytes.length; end += 97)
      expect(() => unnoted(bytes.subarray(0, end))).not.toThrow();
  },
);

test('a PDF and an SVG hold photos without their notes, but with them where it is asked for', async () => {
  const asset = register(await noted('jpeg'), 90, 60, { orientation: 1 });
  const page = laid([photoOf('photo', asset, { x: 0, y: 0, width: 90, height: 60 })], [asset]);
  const photos: string[] = [];
  for (const [notes, format] of [
    [false, 'pdf'],
    [true, 'pdf'],
    [false, 'svg'],
    [true, 'svg'],
  ] as const) {
    const path = await made(page, { format, notes }, `notes-${notes}.${format}`);
    const photo = join(folder, `photo-${notes}-${format}.jpg`);
    if (format === 'pdf') {
      tool('pdfimages', '-all', path, join(folder, `in-${notes}`));
      writeFileSync(photo, readFileSync(join(folder, `in-${notes}-000.jpg`)));
    } else {
      const [, data] = /href="data:image\/jpeg;base64,([^"]+)"/.exec(readFileSync(path, 'utf8'))!;
      writeFileSync(photo, Buffer.from(data!, 'base64'));
    }
    photos.push(photo);
  }
  // A line for each: its latitude, or a dash.
  const placed = tool('exiftool', '-q', '-f', '-p', '$GPSLatitude', ...photos)
    .trim()
    .split('\n');
  expect(placed.map((where) => where !== '-')).toEqual([false, true, false, true]);
});
