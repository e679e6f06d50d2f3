/** What runs along lines and edges, in finished files: looked at by poppler and librsvg. */
import { execFileSync } from 'node:child_process';
import { statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { finishOf } from '@/core/piece/finish';
import { besideEdge } from '@/core/piece/finish/trails';
import type { Piece } from '@/core/piece/piece';
import { linesPiece } from '@/core/project/lines';
import type { Trail } from '@/core/trail';
import { newGarland } from '@/core/trail/garland';
import { newPaint } from '@/core/trail/paint/paint';
import { PAINT_TIP_NAMES } from '@/core/trail/paint/tips';
import { newStamps } from '@/core/trail/stamps';
import { STITCH_NAMES } from '@/core/trail/thread/stitches';
import { NEW_THREAD } from '@/core/trail/thread/thread';
import { difference } from '../../scripts/testing/difference';
import { lineOf, trailsOf } from '../../scripts/testing/lines';
import { making } from '../../scripts/testing/making';
import { inkPiece, laid, project, quarters } from '../../scripts/testing/samples';

const { folder, register, made, tool } = making();
const leaf = register(quarters(60, 90, 'image/png'), 60, 90);

const ground = (): Piece => ({
  ...inkPiece('ground', 0, 0, 432, 288),
  material: { kind: 'ink', colour: '#efe6d6' },
  finish: finishOf(0),
});
const drawn = (id: string, trails: readonly Trail[], x: number, y: number, step: number): Piece =>
  linesPiece(
    id,
    trails.map((trail, i) => lineOf(`${id}${i}`, trail, x, y + step * i)),
  );
const page = (pieces: readonly Piece[]) => laid([ground(), ...pieces], [leaf], project());

const asPng = (path: string, name: string): string => {
  const to = join(folder, name);
  if (path.endsWith('.svg'))
    writeFileSync(
      to,
      execFileSync('rsvg-convert', ['--dpi-x', '150', '--dpi-y', '150', '-w', '900', '-h', '600', path]),
    );
  else tool('pdftoppm', '-r', '150', '-png', '-singlefile', path, to.replace('.png', ''));
  return to;
};

/** Drawings of images in a PDF, soft masks left out: the words of `pdfimages -list`. */
const imagesIn = (path: string): string[][] =>
  tool('pdfimages', '-list', path)
    .split('\n')
    .slice(2)
    .map((row) => row.trim().split(/\s+/))
    .filter(([, , type]) => type === 'image');

test('screen, PDF and SVG agree: every kind of trail, every tip, erasers sharp and soft (CIEDE2000)', async () => {
  const rubber = (tip: 'round' | 'soft'): Trail => ({ ...newPaint(tip, '#000000'), width: 14, erase: true });
  const tips = PAINT_TIP_NAMES.map((tip, i) => ({
    ...newPaint(tip, ['#9e2b45', '#35557a', '#2f6f68'][i % 3]!),
    width: 14,
  }));
  const of = page([
    drawn('kinds', trailsOf(leaf.sha), 10, 18, 36),
    drawn('tips', [...tips.slice(0, 5), rubber('round'), ...tips.slice(5), rubber('soft')], 150, 20, 22),
    {
      ...inkPiece('edge', 290, 30, 120, 90),
      finish: {
        ...finishOf(0.3),
        trails: STITCH_NAMES.slice(0, 5).map((stitch, i) => ({
          trail: { ...NEW_THREAD, stitch, height: 7 },
          side: 'inside' as const,
          from: 3 + 9 * i,
        })),
      },
    },
  ]);
  const png = await made(of, { format: 'png', ppi: 150 }, 'trails.png');
  const pdf = asPng(await made(of, { format: 'pdf' }, 'trails.pdf'), 'trails-pdf.png');
  const svg = asPng(await made(of, { format: 'svg' }, 'trails.svg'), 'trails-svg.png');
  expect((await difference(png, pdf)).mean).toBeLessThan(1);
  expect((await difference(png, svg)).mean).toBeLessThan(1);
});

test('a wreath of four hundred leaves: each picture once, and less than 300 kB', async () => {
  const wreath = { ...newGarland([{ asset: leaf.sha, ratio: 1.5 }], []), width: 9, dense: 1 };
  const round: Piece = {
    ...inkPiece('round', 60, 20, 260, 250),
    outline: { kind: 'ellipse' },
    finish: { ...finishOf(0.3), trails: [besideEdge(wreath)] },
  };
  const path = await made(page([round]), { format: 'pdf' }, 'wreath.pdf');
  expect(statSync(path).size).toBeLessThan(300_000);
  const images = imagesIn(path);
  // Every row is a drawing of it: width and height by which it is known, and the object it is.
  const leaves = images.filter(([, , , width, height]) => width === '60' && height === '90');
  expect(leaves.length).toBeGreaterThan(400);
  expect(new Set(leaves.map((row) => row[10])).size).toBe(1);
});

test('vector tips and thread stay vectors; what is soft is one bitmap each', async () => {
  const imagesOf = async (trails: readonly Trail[], name: string) => {
    const path = await made(
      page([{ ...drawn('lines', trails, 60, 30, 30), finish: finishOf(0) }]),
      { format: 'pdf' },
      name,
    );
    return imagesIn(path).length;
  };
  const sharp = (['round', 'nib', 'marker'] as const).map((tip) => newPaint(tip, '#9e2b45'));
  expect(await imagesOf(sharp, 'vectors.pdf')).toBe(0);
  expect(await imagesOf([newPaint('chalk', '#9e2b45'), newPaint('spray', '#9e2b45')], 'soft.pdf')).toBe(2);
  // Its shadow is the one picture.
  expect(await imagesOf([NEW_THREAD], 'thread.pdf')).toBeLessThanOrEqual(1);
});

test('a tip that is a picture of one pixel, and one whose file is missing', async () => {
  const dot = register(quarters(1, 1, 'image/png'), 1, 1);
  const of = laid(
    [
      ground(),
      drawn(
        'dots',
        [
          newStamps([{ asset: dot.sha, ratio: 1 }], '#9e2b45', 8),
          { ...newStamps([{ asset: dot.sha, ratio: 1 }], '#9e2b45', 8), own: true },
        ],
        60,
        60,
        60,
      ),
    ],
    [dot],
    project(),
  );
  expect(statSync(await made(of, { format: 'png' }, 'dot.png')).size).toBeGreaterThan(2000);
});
