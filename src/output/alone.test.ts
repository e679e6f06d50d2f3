/** Pieces made by themselves, and an SVG that other engines show: against librsvg, by way of sharp. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { finishOf } from '@/core/piece/finish';
import type { Piece } from '@/core/piece/piece';
import { difference } from '../../scripts/testing/difference';
import { making } from '../../scripts/testing/making';
import { inkPiece, laid } from '../../scripts/testing/samples';

const { folder, register, made } = making();

test('a piece by itself is a PNG at 300 ppi, clear around it, trimmed to the pixel; its neighbours are not in it', async () => {
  const strip = { ...inkPiece('strip', 60, 60, 144, 36), finish: finishOf(0) };
  const page = laid([inkPiece('under', 0, 0, 432, 288), strip, inkPiece('over', 100, 50, 40, 40)]);
  const path = await made(page, { format: 'png', only: ['strip'] }, 'strip.png');
  const { data, info } = await sharp(path).raw().toBuffer({ resolveWithObject: true });
  expect([info.width, info.height, info.channels]).toEqual([600, 150, 4]);
  expect((await sharp(path).metadata()).density).toBe(300);
  expect(data.every((value, i) => value === [0x9e, 0x2b, 0x45, 255][i % 4])).toBe(true);
  const round: Piece = { ...strip, outline: { kind: 'ellipse' } };
  const oval = await made(laid([round]), { format: 'png', only: ['strip'] }, 'oval.png');
  const { channels } = await sharp(oval).stats();
  // An ellipse takes pi / 4 of its box.
  expect(channels[3]!.mean / 255).toBeCloseTo(Math.PI / 4, 2);
});

test('SVG holds no picture that other engines do not show: WebP goes as PNG, clear where it was', async () => {
  const disc =
    '<svg xmlns="http://www.w3.org/2000/svg" width="90" height="90"><circle cx="45" cy="45" r="40" fill="#b23"/></svg>';
  const webp = register(await sharp(Buffer.from(disc)).webp().toBuffer(), 90, 90, { type: 'image/webp' });
  const button: Piece = {
    ...inkPiece('button', 60, 60, 90, 90),
    material: { kind: 'art', asset: webp.sha },
    finish: finishOf(0),
  };
  const page = laid([button], [webp]);
  const svg = await made(page, { format: 'svg' }, 'webp.svg');
  expect(readFileSync(svg, 'utf8')).not.toContain('image/webp');
  await sharp(svg, { density: 96, unlimited: true })
    .resize(576, 384, { fit: 'fill' })
    .png()
    .toFile(join(folder, 'webp-rsvg.png'));
  const png = await made(page, { format: 'png', ppi: 96 }, 'webp.png');
  const { mean, share } = await difference(png, join(folder, 'webp-rsvg.png'));
  expect(mean).toBeLessThan(0.3);
  expect(share).toBeLessThan(0.005);
});
