/** One photo that fails stops no file: it is re-encoded or left out, and told of. Read back by poppler and librsvg. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import type { Told } from '@/output/fallbacks';
import type { Format } from '@/output/formats';
import { making } from '../../scripts/testing/making';
import type { Piece } from '@/core/piece/piece';
import { finishOf } from '@/core/piece/finish';
import { laid, photoOf } from '../../scripts/testing/samples';

const { folder, tool, register, made } = making();
const plain = (colour: string) =>
  sharp({ create: { width: 60, height: 40, channels: 3, background: colour } });

const flat = (piece: Piece): Piece => ({ ...piece, finish: finishOf(0) });

/** A page with a good photo at the left, and one whose file is no JPEG or nothing at all at its right. */
async function page(second: Buffer) {
  const good = register(await plain('#2f6f68').jpeg().toBuffer(), 60, 40, { name: 'Pier.jpg' });
  const bad = register(second, 60, 40, { name: 'Storm.jpg', type: 'image/jpeg' });
  return laid(
    [
      flat(photoOf('a', good, { x: 0, y: 0, width: 30, height: 20 })),
      flat(photoOf('b', bad, { x: 40, y: 0, width: 30, height: 20 })),
    ],
    [good, bad],
  );
}

/** How far the page's colours 15 and 55 points from its left edge are from these, of 255. */
async function off(path: string, format: Format, wanted: readonly [string, string]): Promise<number> {
  const png = join(folder, 'seen.png');
  if (format === 'pdf') tool('pdftoppm', '-r', '72', '-png', '-singlefile', path, png.slice(0, -4));
  else if (format === 'svg') tool('rsvg-convert', '--dpi-x', '72', '--dpi-y', '72', '-o', png, path);
  else writeFileSync(png, readFileSync(path));
  const { data, info } = await sharp(png).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  const scale = format === 'png' ? 300 / 72 : 1;
  const differences = [15, 55].flatMap((x, i) => {
    const at = 3 * (Math.round(10 * scale) * info.width + Math.round(x * scale));
    return [1, 3, 5].map((hex, c) => Math.abs(data[at + c]! - parseInt(wanted[i]!.slice(hex, hex + 2), 16)));
  });
  return Math.max(...differences);
}

test.each<Format>(['pdf', 'svg', 'png'])(
  '%s: a photo whose file is another kind than it says is still seen',
  async (format) => {
    const told: Told[] = [];
    const path = await made(
      await page(await plain('#9e2b45').png().toBuffer()),
      { format },
      `other.${format}`,
      undefined,
      (one) => told.push(one),
    );
    expect(await off(path, format, ['#2f6f68', '#9e2b45'])).toBeLessThan(4);
    expect(told).toEqual(
      format === 'png'
        ? []
        : [{ says: 'Storm.jpg was re-encoded: its file can’t be copied as it is.', missing: false }],
    );
  },
);

test.each<Format>(['pdf', 'svg', 'png'])(
  '%s: a photo that can’t be read is left out, the rest is made',
  async (format) => {
    const told: Told[] = [];
    const path = await made(
      await page(Buffer.from('no picture at all')),
      { format },
      `none.${format}`,
      undefined,
      (one) => told.push(one),
    );
    expect(await off(path, format, ['#2f6f68', '#ffffff'])).toBeLessThan(4);
    expect(told).toEqual([
      { says: 'Storm.jpg can’t be read, so the file was made without it.', missing: true },
    ]);
  },
);

test('a photo keeps its notes in a PDF whatever its size', async () => {
  const noise = Uint8Array.from({ length: 3 * 300 * 300 }, (_, i) => (i * 7919) % 251);
  const bytes = await sharp(noise, { raw: { width: 300, height: 300, channels: 3 } })
    .jpeg({ quality: 98 })
    .toBuffer();
  expect(bytes.length).toBeGreaterThan(70_000);
  const asset = register(bytes, 300, 300);
  const path = await made(
    laid([photoOf('a', asset, { x: 0, y: 0, width: 72, height: 72 })], [asset]),
    { format: 'pdf', notes: true },
    'noted.pdf',
  );
  tool('pdfimages', '-all', path, join(folder, 'kept'));
  expect(readFileSync(join(folder, 'kept-000.jpg')).equals(bytes)).toBe(true);
});
