/** Pieces made by themselves, cut lines alone, and an SVG that other engines show: against librsvg, by way of sharp. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import type { Asset } from '@/core/picture/asset';
import { finishOf } from '@/core/piece/finish';
import type { Piece } from '@/core/piece/piece';
import { difference } from '../../scripts/testing/difference';
import { making } from '../../scripts/testing/making';
import { CUTS, inkPiece, laid, photoOf, quarters, wordsOf } from '../../scripts/testing/samples';

const { folder, files, register, made } = making();

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

test('cut lines alone: every outline where it lies, no shadows, no pictures, no page; drawn by librsvg they are where the pieces are', async () => {
  const ground = {
    ...photoOf('ground', register(quarters(90, 60), 90, 60), { x: -9, y: -9, width: 450, height: 306 }),
  };
  const turned = inkPiece('turned', 100, 100, 120, 60, { outline: CUTS[4]! });
  turned.placement.turn = 30;
  const page = laid(
    [ground, turned, wordsOf('words', 'Kites', 40)],
    [...files.keys()].map((sha) => ({ sha }) as Asset),
  );
  const svg = await made(page, { format: 'svg', lines: true }, 'lines.svg');
  const written = readFileSync(svg, 'utf8');
  expect(written.match(/<path /g)).toHaveLength(2);
  expect(written).not.toMatch(/<rect|<image|<filter|<use/);
  const filled = join(folder, 'lines-filled.svg');
  writeFileSync(filled, written.replace('fill="none"', 'fill="#9e2b45"'));
  const png = await sharp(filled, { density: 72, unlimited: true })
    .resize(432, 288, { fit: 'fill' })
    .png()
    .toBuffer();
  writeFileSync(join(folder, 'lines.png'), png);
  const flat = { ...turned, finish: finishOf(0) };
  const inked = laid([
    flat,
    { ...wordsOf('words', 'Kites', 40), material: { kind: 'ink', colour: '#9e2b45' } },
  ]);
  const whole = await made(inked, { format: 'png', ppi: 72 }, 'lines-page.png');
  expect((await difference(whole, join(folder, 'lines.png'))).mean).toBeLessThan(0.5);
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
