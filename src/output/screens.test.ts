/** Pictures for screens, labs and other programs, read by tools that are not ours. */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { difference } from '../../scripts/testing/difference';
import { making } from '../../scripts/testing/making';
import { inkPiece, laid, photoOf, quarters, wordsOf } from '../../scripts/testing/samples';
import type { Piece } from '@/core/piece/piece';

const { folder, tool, register, made } = making();

const blended = (piece: Piece): Piece => ({ ...piece, finish: { ...piece.finish, blend: 'multiply' } });

function sampler() {
  const photo = register(quarters(360, 240), 360, 240);
  return laid(
    [
      photoOf('A <photo>', photo, { x: 20, y: 20, width: 180, height: 120 }),
      blended(inkPiece('faded', 150, 60, 90, 60)),
      inkPiece('over the edge', 400, 250, 90, 90),
      wordsOf('words', 'Fly kites', 30),
    ],
    [photo],
  );
}

test('OpenRaster: its type comes first, a layer for each piece, and together they are the merged picture', async () => {
  const path = await made(sampler(), { format: 'ora', ppi: 96 }, 'page.ora');
  const bytes = readFileSync(path);
  // Stored first and unpacked, so that a file's kind is told by its first bytes (OpenRaster baseline, “file layout”).
  expect(bytes.subarray(30, 38).toString()).toBe('mimetype');
  expect(bytes.subarray(38, 54).toString()).toBe('image/openraster');
  const files = unzipSync(bytes);
  const xml = Buffer.from(files['stack.xml']!).toString();
  execFileSync('xmllint', ['--noout', '-'], { input: xml });
  const layers = [
    ...xml.matchAll(/<layer name="([^"]*)" src="([^"]*)" x="(\d+)" y="(\d+)" composite-op="svg:([^"]*)"/g),
  ];
  expect(layers.map(([, name, , , , how]) => [name, how])).toEqual([
    ['words', 'src-over'],
    ['over the edge', 'src-over'],
    ['faded', 'multiply'],
    ['A &lt;photo&gt;', 'src-over'],
    ['The page', 'src-over'],
  ]);
  const [ground, ...others] = layers.toReversed();
  const together = join(folder, 'together.png');
  await sharp(Buffer.from(files[ground![2]!]!))
    .composite(
      others.map(([, , src, x, y, how]) => ({
        input: Buffer.from(files[src!]!),
        left: Number(x),
        top: Number(y),
        blend: how === 'multiply' ? ('multiply' as const) : ('over' as const),
      })),
    )
    .png()
    .toFile(together);
  const merged = join(folder, 'merged.png');
  await sharp(Buffer.from(files['mergedimage.png']!)).toFile(merged);
  const { mean } = await difference(together, merged);
  expect(mean).toBeLessThan(0.3);
  const { width, height } = await sharp(Buffer.from(files['Thumbnails/thumbnail.png']!)).metadata();
  expect(Math.max(width, height)).toBe(256);
});

test('several pages are one WebP that turns them by itself, as libwebp reads it; one is a picture of its size', async () => {
  const of = sampler();
  const [first] = of.surfaces;
  const second = { ...first!, id: 'second', ground: '#d8e4e8', pile: [inkPiece('dot', 100, 60, 90, 60)] };
  const both = { ...of, surfaces: [first!, second] };
  const path = await made(both, { format: 'webp', side: 320 }, 'flip.webp', both.surfaces);
  const { pages, delay, width, pageHeight, loop } = await sharp(path, { animated: true }).metadata();
  expect([pages, width, pageHeight, loop]).toEqual([12, 320, 213, 0]);
  expect(delay!.filter((lasts) => lasts > 1000)).toHaveLength(2);
  // Each is seen whole: the first as it is by itself, the second seven frames later.
  for (const [frame, surface] of [first!, second].entries()) {
    const still = await made(both, { format: 'png', side: 320 }, `still-${frame}.png`, [surface]);
    const seen = join(folder, `frame-${frame}.png`);
    await sharp(path, { page: 6 * frame })
      .png()
      .toFile(seen);
    expect((await difference(seen, still)).mean).toBeLessThan(1.5);
  }
  const one = await made(of, { format: 'webp', side: 320 }, 'one.webp');
  expect(await sharp(one).metadata()).toMatchObject({ width: 320, height: 213, format: 'webp' });
});

test('a JPEG says which RGB it is in; in Adobe RGB it looks as it does in sRGB', async () => {
  const [plain, wide] = [
    await made(sampler(), { format: 'jpg', ppi: 96 }, 'srgb.jpg'),
    await made(sampler(), { format: 'jpg', ppi: 96, wide: true }, 'adobe.jpg'),
  ];
  expect(tool('exiftool', '-q', '-p', '$ICC_Profile:ProfileDescription', plain, wide)).toBe(
    'sRGB\nAdobe RGB (1998)\n',
  );
  const [a, b] = [join(folder, 'a.png'), join(folder, 'b.png')];
  // libvips brings each to sRGB by its own profile.
  for (const [from, to] of [
    [plain, a],
    [wide, b],
  ] as const)
    await sharp(from).pipelineColourspace('srgb').withIccProfile('srgb').png().toFile(to);
  expect((await difference(a, b)).mean).toBeLessThan(0.8);
  // The numbers in it are others.
  const raw = async (path: string) => sharp(path, {}).raw().keepIccProfile().toBuffer();
  expect((await raw(plain)).equals(await raw(wide))).toBe(false);
});

test('lying on a table a page is as large as is asked, its own pixels in the middle, the table all round', async () => {
  const path = await made(sampler(), { format: 'png', side: 500, desk: true }, 'desk.png');
  const plain = await made(sampler(), { format: 'png', side: 440 }, 'plain.png');
  const { width, height } = await sharp(path).metadata();
  expect([width, height]).toEqual([500, 353]);
  const middle = join(folder, 'middle.png');
  const size = await sharp(plain).metadata();
  await sharp(path).extract({ left: 30, top: 30, width: size.width, height: size.height }).toFile(middle);
  expect((await difference(middle, plain)).mean).toBeLessThan(0.1);
  const at = async (left: number, top: number) =>
    [...(await sharp(path).extract({ left, top, width: 1, height: 1 }).removeAlpha().raw().toBuffer())][0]!;
  // Light falls from the upper left: the shadow lies below.
  expect(await at(250, 326)).toBeLessThan((await at(250, 26)) - 20);
});
