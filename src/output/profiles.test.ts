/** Photos with colour profiles of their own, and the screen blend of a mosaic, against culori, poppler and the published formula. */
import { join } from 'node:path';
import { converter } from 'culori';
import sharp from 'sharp';
import { finishOf } from '@/core/piece/finish';
import { making } from '../../scripts/testing/making';
import { laid, photoOf } from '../../scripts/testing/samples';

/** Debian's colord-data. */
const ADOBE_RGB = '/usr/share/color/icc/colord/AdobeRGB1998.icc';

const { folder, tool, register, made } = making();

test('photos in Display P3, in Adobe RGB and with 16 bits look alike in PNG and, by poppler, in PDF', async () => {
  // sharp turns the colour into the profile's numbers, and the profile travels with the file; culori says what they are.
  const colour = { r: 200, g: 60, b: 40 };
  const flat = () => sharp({ create: { width: 300, height: 300, channels: 3, background: colour } });
  const jpeg = { quality: 100, chromaSubsampling: '4:4:4' };
  const photos = await Promise.all([
    flat().jpeg(jpeg).toBuffer(),
    flat().withIccProfile('p3').jpeg(jpeg).toBuffer(),
    flat().withIccProfile('p3').png().toBuffer(),
    flat()
      .withIccProfile(ADOBE_RGB)
      .jpeg({ ...jpeg, progressive: true })
      .toBuffer(),
    flat().toColourspace('rgb16').png().toBuffer(),
  ]);
  // The numbers in the file are others than those of the colour: what is not managed would show them.
  const raw = await sharp(photos[1], { ignoreIcc: true }).raw().toBuffer();
  const p3 = converter('p3')({ mode: 'rgb', r: 200 / 255, g: 60 / 255, b: 40 / 255 })!;
  expect([...raw.subarray(0, 3)].map((v, i) => Math.abs(v - 255 * [p3.r, p3.g, p3.b][i]!) < 2)).toEqual([
    true,
    true,
    true,
  ]);
  const assets = photos.map((bytes) => register(bytes, 300, 300));
  const page = laid(
    assets.map((asset, i) => photoOf(`p${i}`, asset, { x: 72 * i, y: 72, width: 72, height: 72 })),
    assets,
  );
  page.surfaces[0]!.pile.forEach((piece) => (piece.finish = finishOf(0)));
  const png = await made(page, { format: 'png', ppi: 72 }, 'profiles.png');
  const pdf = await made(page, { format: 'pdf' }, 'profiles.pdf');
  tool('pdftoppm', '-r', '72', '-png', '-singlefile', pdf, join(folder, 'profiles-poppler'));
  for (const file of [png, join(folder, 'profiles-poppler.png')]) {
    const { data, info } = await sharp(file).removeAlpha().raw().toBuffer({ resolveWithObject: true });
    assets.forEach((_, i) => {
      const at = 3 * (108 * info.width + 72 * i + 36);
      const seen = [...data.subarray(at, at + 3)];
      [colour.r, colour.g, colour.b].forEach((value, c) =>
        expect({ file, i, off: Math.abs(seen[c]! - value) <= 3, seen }).toMatchObject({ off: true }),
      );
    });
  }
});

test('a picture seen over others by screen at 60 % is what W3C Compositing Level 1 says, in PNG and PDF', async () => {
  const flat = (r: number, g: number, b: number) =>
    sharp({ create: { width: 60, height: 60, channels: 3, background: { r, g, b } } })
      .png()
      .toBuffer();
  const [under, over] = [
    [180, 90, 40],
    [60, 140, 220],
  ] as const;
  const assets = [register(await flat(...under), 60, 60), register(await flat(...over), 60, 60)];
  const box = { x: 0, y: 0, width: 144, height: 144 };
  const page = laid(
    assets.map((asset, i) => ({
      ...photoOf(`p${i}`, asset, box),
      finish: { ...finishOf(0), ...(i ? { opacity: 0.6, blend: 'screen' as const } : {}) },
    })),
    assets,
  );
  // Over an opaque backdrop: (1 − α)·Cb + α·(Cb + Cs − Cb·Cs).
  const wanted = under.map((b, c) => {
    const [cb, cs] = [b / 255, over[c]! / 255];
    return 255 * (0.4 * cb + 0.6 * (cb + cs - cb * cs));
  });
  const png = await made(page, { format: 'png', ppi: 72 }, 'screen.png');
  const pdf = await made(page, { format: 'pdf' }, 'screen.pdf');
  tool('pdftoppm', '-r', '72', '-png', '-singlefile', pdf, join(folder, 'screen-poppler'));
  for (const file of [png, join(folder, 'screen-poppler.png')]) {
    const { data, info } = await sharp(file).removeAlpha().raw().toBuffer({ resolveWithObject: true });
    const at = 3 * (72 * info.width + 72);
    wanted.forEach((value, c) => expect(Math.abs(data[at + c]! - value)).toBeLessThanOrEqual(2));
  }
});
