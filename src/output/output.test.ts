/** Every output against tools that are not ours: poppler, qpdf, sharp. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createCanvas } from '@napi-rs/canvas';
import sharp from 'sharp';
import type { Dye } from '@/core/dye/dye';
import { invert } from '@/core/geometry/matrix';
import { uprightMatrix, type Asset } from '@/core/picture/asset';
import type { Piece } from '@/core/piece/piece';
import { finishOf } from '@/core/piece/finish';
import { NEW_THREAD } from '@/core/trail/thread/thread';
import { NEW_MAT } from '@/core/piece/finish/mats';
import { WHOLE } from '@/core/piece/material/window';
import type { Project } from '@/core/project/model';
import { sharpnessOf } from '@/core/proof/sharpness';
import { withExif } from '../../scripts/demo/photos/exif';
import { making } from '../../scripts/testing/making';
import * as samples from '../../scripts/testing/samples';
import { difference } from '../../scripts/testing/difference';

const { CUTS, inkPiece, laid, photoOf, project, quarters, wordsOf } = samples;

const { folder, files, tool, register, made } = making();

/** Tiles, groups, a curve, an even-odd hole and a half-clear part, at one inch. */
const DRAWN =
  '<svg xmlns="http://www.w3.org/2000/svg" width="1in" height="1in" viewBox="0 0 96 96">' +
  '<defs><pattern id="t" width="16" height="16" patternUnits="userSpaceOnUse"><circle cx="8" cy="8" r="4" fill="#24506b" data-fill-ink="Deep water"/></pattern></defs>' +
  '<rect width="96" height="96" fill="#f2d98a"/><rect width="96" height="48" fill="url(#t)"/>' +
  '<g transform="translate(48 60) rotate(20)" opacity="0.6"><path d="M-30-20h60v40h-60ZM-10-8h20v16h-20Z" fill-rule="evenodd" fill="#1c1410"/></g>' +
  '<path d="M8 88C30 60 60 100 88 84" fill="none" stroke="#c5503f" stroke-width="5" stroke-linecap="round"/></svg>';

const dye = (ink: string): Dye => ({
  id: ink,
  name: ink,
  change: { how: 'ink', ink },
  strength: 1,
});

/** A page with every material, outline and finish there is. */
function sampler(): Project {
  const photo = register(quarters(900, 600), 900, 600);
  const png = register(quarters(300, 300, 'image/png'), 300, 300);
  const turned = {
    ...photoOf('turned', photo, { x: 250, y: 30, width: 120, height: 90 }, CUTS[4]),
    finish: {
      lift: { height: 1.5, shadow: true },
      stroke: { colour: '#fdfbf6', width: 5, side: 'outside' as const },
      opacity: 1,
    },
  };
  turned.placement = { ...turned.placement, turn: 23, mirror: true };
  const drawn = register(Buffer.from(DRAWN), 300, 300, { type: 'image/svg+xml' });
  const art = (id: string, asset: Asset, x: number, ink?: string): Piece => ({
    ...inkPiece(id, x, 4, 44, 44),
    material: { kind: 'art', asset: asset.sha, ...(ink ? { ink } : {}) },
    finish: { lift: { height: 0, shadow: false }, stroke: null, opacity: id === 'faded' ? 0.5 : 1 },
  });
  return laid(
    [
      {
        ...photoOf('ground', png, { x: -9, y: -9, width: 450, height: 306 }),
        material: { kind: 'paper', asset: png.sha, window: { x: 0.5, y: 0.5, zoom: 1, turn: 0 } },
        finish: { lift: { height: 0, shadow: false }, stroke: null, opacity: 1 },
      },
      photoOf('photo', photo, { x: 24, y: 24, width: 180, height: 120 }),
      {
        ...photoOf('toned', photo, { x: 300, y: 200, width: 90, height: 60 }),
        material: {
          kind: 'photo',
          asset: photo.sha,
          window: { x: 0.5, y: 0.5, zoom: 1.4, turn: 6 },
          tone: {
            values: { exposure: 0.5, warmth: 30, mono: 60, sepia: 40, sharpen: 50, vignette: 60 },
            strength: 0.9,
          },
        },
      },
      turned,
      art('stamped', png, 210, '#2f5b4a'),
      art('drawn', drawn, 260),
      art('inked', drawn, 310, '#a92f3f'),
      art('faded', drawn, 360),
      {
        ...photoOf('dyed', photo, { x: 300, y: 130, width: 90, height: 60 }),
        material: {
          kind: 'photo',
          asset: photo.sha,
          window: WHOLE,
          dyes: [dye('#2f6f8f'), { ...dye('#f2e2b8'), where: { strokes: [], area: '4 2 1 2 2 2' } }],
        },
      },
      {
        ...art('coloured', drawn, 60, '#25232a'),
        material: {
          kind: 'art',
          asset: drawn.sha,
          ink: '#25232a',
          dyes: [{ ...dye('#c5503f'), where: { parts: [1] } }],
          fills: [{ ink: '#e8c66a', texture: 'watercolour', shade: 0.4, light: 315, area: '4 4 4 9' }],
        },
      },
      inkPiece('disc', 60, 120, 110, 70, {
        outline: { kind: 'ellipse' },
        finish: {
          lift: { height: 3, shadow: true },
          stroke: { colour: '#25232a', width: 3, side: 'inside' },
          opacity: 0.6,
        },
      }),
      inkPiece('running', 130, 160, 60, 40, {
        material: { kind: 'gradient', colours: ['#24506b', '#f2e2b8', '#b3262e'], turn: 30 },
      }),
      inkPiece('round', 196, 200, 40, 40, {
        outline: { kind: 'ellipse' },
        material: { kind: 'gradient', colours: ['#fdfbf6', '#24506b'], turn: 0, round: true },
      }),
      inkPiece('torn', 20, 160, 90, 40, {
        finish: {
          ...finishOf(0.3),
          edge: { kind: 'torn', size: 14, sides: ['bottom', 'right'], seed: 4, core: 4 },
          shadows: [{ x: 6, y: 8, blur: 3, strength: 0.5, colour: '#1c1410' }],
        },
      }),
      inkPiece('matted', 130, 215, 50, 40, {
        outline: { kind: 'punch', punch: 'scalloped-round', settings: { count: 14 } },
        finish: {
          ...finishOf(0.3),
          mats: [
            { ...NEW_MAT, width: 5, corners: 'round' },
            {
              ...NEW_MAT,
              material: { kind: 'paper', asset: png.sha, window: WHOLE },
              straight: true,
              turn: 6,
            },
          ],
        },
      }),
      inkPiece('multiplied', 200, 130, 80, 60, {
        finish: { ...finishOf(0), blend: 'multiply', opacity: 0.8 },
      }),
      inkPiece('treated', 16, 250, 40, 24, {
        placement: { ...inkPiece('', 16, 250, 40, 24).placement, turn: 20, mirror: true },
        finish: {
          ...finishOf(0.3),
          opacity: 0.9,
          treatments: [
            { kind: 'grain', values: { strength: 0.5 } },
            { kind: 'enamel', values: {} },
          ],
        },
      }),
      inkPiece('sewn', 90, 300, 90, 40, {
        finish: {
          ...finishOf(0.1),
          stroke: null,
          trails: [{ trail: { ...NEW_THREAD, colours: ['#f3e3c0'], width: 2.5 }, side: 'inside', from: 6 }],
        },
      }),
      inkPiece('round', 300, 170, 90, 60, {
        outline: { kind: 'rectangle', radius: 14 },
        finish: {
          lift: { height: 0.3, shadow: true },
          stroke: { colour: '#2f6f68', width: 4, side: 'on' },
          opacity: 1,
        },
      }),
      wordsOf('journaling', 'Ines & Olu, off to the affinity of the fly-in, Łódź 2026', 20, 250),
      {
        ...wordsOf('title', 'Wind', 60, 160),
        material: { kind: 'photo', asset: photo.sha, window: { x: 0.5, y: 0.5, zoom: 1, turn: 0 } },
        placement: { ...wordsOf('title', '').placement, x: 330, y: 250, width: 160, height: 72 },
      },
    ],
    [photo, png, drawn],
    { ...project(), title: 'Fly-in (sampler)' },
  );
}

/** Made once, whatever is looked for in it. */
const once = (...how: Parameters<typeof made>) => {
  let path: ReturnType<typeof made> | undefined;
  return () => (path ??= made(...how));
};
const plainPdf = once(sampler(), { format: 'pdf' }, 'plain.pdf');
const bledPng = once(sampler(), { format: 'png', withBleed: true }, 'bled.png');

describe('PDF', () => {
  test('boxes are right to a hundredth of a point, with bleed and crop marks or without (pdfinfo)', async () => {
    const boxes = (path: string) =>
      Object.fromEntries(
        [...tool('pdfinfo', '-box', path).matchAll(/(Media|Bleed|Trim)Box:\s+([\d. ]+)/g)].map(
          ([, name, numbers]) => [name, numbers!.trim().split(/\s+/).map(Number)],
        ),
      );
    expect(boxes(await plainPdf())).toEqual({
      Media: [0, 0, 432, 288],
      Bleed: [0, 0, 432, 288],
      Trim: [0, 0, 432, 288],
    });
    // What lies on the page makes no difference to them.
    const bare = (): Project => {
      const of = sampler();
      return { ...of, surfaces: [{ ...of.surfaces[0]!, pile: [] }] };
    };
    expect(
      boxes(await made(bare(), { format: 'pdf', withBleed: true, cropMarks: true }, 'marks.pdf')),
    ).toEqual({
      Media: [0, 0, 504, 360],
      Bleed: [27, 27, 477, 333],
      Trim: [36, 36, 468, 324],
    });
    // Each side has its own; PDF counts from the lower left.
    const uneven = bare();
    uneven.surfaces[0]!.bleed = { top: 18, right: 9, bottom: 0, left: 3 };
    expect(
      boxes(await made(uneven, { format: 'pdf', withBleed: true, cropMarks: true }, 'sides.pdf')),
    ).toEqual({
      Media: [0, 0, 498, 360],
      Bleed: [27, 27, 471, 333],
      Trim: [30, 27, 462, 315],
    });
    const { width, height } = await sharp(
      await made(uneven, { format: 'png', ppi: 72, withBleed: true }, 'sides.png'),
    ).metadata();
    expect([width, height]).toEqual([432 + 9 + 3, 288 + 18]);
  });

  test('is sound (qpdf), its fonts embedded (pdffonts), its words come back (pdftotext)', async () => {
    const path = await plainPdf();
    expect(tool('qpdf', '--check', path)).toMatch(/No syntax or stream encoding errors/);
    const fonts = tool('pdffonts', path).trim().split('\n').slice(2);
    expect(fonts.length).toBeGreaterThanOrEqual(1);
    for (const line of fonts) expect(line).toMatch(/Identity-H\s+yes\s+yes\s+yes/);
    const text = tool('pdftotext', path, '-').replace(/\s+/g, ' ');
    expect(text).toContain('Ines & Olu, off to the affinity of the fly-in, Łódź 2026');
    expect(text).toContain('Wind');
  });

  test('a photo passes through byte for byte, and poppler counts the same effective ppi (pdfimages)', async () => {
    const of = sampler();
    const path = await made(of, { format: 'pdf' }, 'images.pdf');
    const photo = of.assets[of.photos[0]!]!;
    expect(readFileSync(path).includes(files.get(photo.sha)!)).toBe(true);
    const jpegs = tool('pdfimages', '-list', path)
      .split('\n')
      .filter((line) => / jpeg /.test(line))
      .map((line) => Number(line.trim().split(/\s+/)[12]));
    const ours = of.surfaces[0]!.pile.filter(
      (piece) => 'asset' in piece.material && piece.material.asset === photo.sha,
    ).map((piece) => sharpnessOf(piece, { typesetter: undefined as never, asset: () => photo })!.ppi);
    expect(jpegs).toHaveLength(ours.length);
    jpegs.forEach((ppi, i) => expect(Math.abs(ppi / ours[i]! - 1)).toBeLessThan(0.01));
  });

  test('poppler at 300 ppi shows what our PNG shows: mean CIEDE2000 below 1', async () => {
    const png = await bledPng();
    const pdf = await made(sampler(), { format: 'pdf', withBleed: true }, 'same.pdf');
    tool('pdftoppm', '-r', '300', '-png', '-singlefile', pdf, join(folder, 'same-poppler'));
    const { mean, share } = await difference(png, join(folder, 'same-poppler.png'));
    expect(mean).toBeLessThan(1);
    expect(share).toBeLessThan(0.02);
  });

  test('all eight Exif turns come out upright in PDF and PNG', async () => {
    const upright = quarters(120, 80);
    const turned = Array.from({ length: 8 }, (_, i) => join(folder, `turn-${i + 1}.jpg`));
    for (let orientation = 1; orientation <= 8; orientation++) {
      const [w, h] = orientation >= 5 ? [80, 120] : [120, 80];
      const canvas = createCanvas(w, h);
      const context = canvas.getContext('2d');
      context.setTransform(...invert(uprightMatrix({ width: w, height: h, orientation })));
      const { loadImage } = await import('@napi-rs/canvas');
      context.drawImage(await loadImage(upright), 0, 0);
      const jpeg = withExif(canvas.toBuffer('image/jpeg', 95), orientation, '2026-05-16T11:05:41');
      writeFileSync(turned[orientation - 1]!, jpeg);
      const asset = register(jpeg, w, h, { orientation });
      const page = laid(
        [
          {
            ...photoOf('p', asset, { x: 0, y: 0, width: 432, height: 288 }),
            finish: { lift: { height: 0, shadow: false }, stroke: null, opacity: 1 },
          },
        ],
        [asset],
      );
      const png = await made(page, { format: 'png', ppi: 36 }, `turn-${orientation}.png`);
      const pdf = await made(page, { format: 'pdf' }, `turn-${orientation}.pdf`);
      tool('pdftoppm', '-r', '36', '-png', '-singlefile', pdf, join(folder, `turn-${orientation}-poppler`));
      for (const path of [png, join(folder, `turn-${orientation}-poppler.png`)]) {
        const { data, info } = await sharp(path).removeAlpha().raw().toBuffer({ resolveWithObject: true });
        const near = (x: number, y: number, hex: string) => {
          const at = (Math.floor(y * info.height) * info.width + Math.floor(x * info.width)) * 3;
          [1, 3, 5].forEach((digit, k) =>
            expect(Math.abs(data[at + k]! - Number.parseInt(hex.slice(digit, digit + 2), 16))).toBeLessThan(
              12,
            ),
          );
        };
        near(0.2, 0.2, '#c0392b');
        near(0.8, 0.2, '#2471a3');
        near(0.2, 0.8, '#d4ac0d');
        near(0.8, 0.8, '#1e8449');
      }
    }
    // That they were turned at all, exiftool says.
    expect(
      tool('exiftool', '-n', '-q', '-p', '$Orientation $DateTimeOriginal', ...turned)
        .trim()
        .split('\n'),
    ).toEqual(turned.map((_, i) => `${i + 1} 2026:05:16 11:05:41`));
  });
});

describe('PNG, JPEG and SVG', () => {
  test('the density is stated, the size is exact, the colours are said to be sRGB', async () => {
    const png = await bledPng();
    expect(await sharp(png).metadata()).toMatchObject({ width: 1875, height: 1275, density: 300 });
    expect(
      tool('exiftool', '-s3', '-SRGBRendering', '-PixelsPerUnitX', '-PixelUnits', png).trim().split('\n'),
    ).toEqual(['Perceptual', '11811', 'meters']);
    const jpeg = await made(sampler(), { format: 'jpg', ppi: 240 }, 'density.jpg');
    expect(await sharp(jpeg).metadata()).toMatchObject({ width: 1440, height: 960, density: 240 });
  });

  test('SVG drawn by another engine (librsvg) shows the same page', async () => {
    const png = await made(sampler(), { format: 'png', ppi: 96 }, 'svg.png');
    const svg = await made(sampler(), { format: 'svg' }, 'page.svg');
    await sharp(svg, { density: 96, unlimited: true })
      .resize(576, 384, { fit: 'fill' })
      .png()
      .toFile(join(folder, 'svg-rsvg.png'));
    expect((await difference(png, join(folder, 'svg-rsvg.png'))).mean).toBeLessThan(1.5);
    expect(readFileSync(svg, 'utf8')).toContain('<title>Ines &amp; Olu');
  });

  test('words with characters XML may not hold (XML 1.0, production 2) make an SVG that is read', async () => {
    const page = laid([inkPiece('a\u0001b\ud800c\u000b', 9, 9, 90, 90)]);
    const svg = await made({ ...page, title: 'Kites\u0000' }, { format: 'svg' }, 'control.svg');
    const png = await sharp(svg).png().toBuffer();
    expect((await sharp(png).metadata()).width).toBeGreaterThan(9);
    expect(readFileSync(svg, 'utf8')).toContain('<title>a b c </title>');
  });

  test('opacity composites as W3C Compositing Level 1 says: αs·Cs + (1 − αs)·Cb', async () => {
    const flat = { lift: { height: 0, shadow: false }, stroke: null };
    const page = laid([
      inkPiece('below', 0, 0, 432, 288, {
        material: { kind: 'ink', colour: '#204060' },
        finish: { ...flat, opacity: 1 },
      }),
      inkPiece('above', 0, 0, 432, 288, {
        material: { kind: 'ink', colour: '#e0a040' },
        finish: { ...flat, opacity: 0.35 },
      }),
    ]);
    const { data } = await sharp(await made(page, { format: 'png', ppi: 36 }, 'opacity.png'))
      .removeAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    // A canvas keeps colours multiplied by their alpha in 8 bits: two roundings, so up to one and a half steps.
    [0x20, 0x40, 0x60].forEach((back, k) => {
      const expected = 0.35 * [0xe0, 0xa0, 0x40][k]! + 0.65 * back;
      expect(Math.abs(data[k + 3000]! - expected)).toBeLessThanOrEqual(1.5);
    });
  });

  test('a page too large for a picture file is refused with what would do', async () => {
    await expect(made({ ...project(4320, 4320) }, { format: 'png' }, 'huge.png')).rejects.toThrow(
      /18000 x 18000 pixels.*Choose 270 ppi or less/,
    );
  });
});
