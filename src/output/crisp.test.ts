/** Edges at an angle: what each pixel shows, against the area of the outline in it. */
import { join } from 'node:path';
import sharp from 'sharp';
import { finishOf } from '@/core/piece/finish';
import { WHOLE } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { inkPiece, laid, project } from '../../scripts/testing/samples';
import { making } from '../../scripts/testing/making';
import { allowedError, crispPage, edgeErrors, WHITE_PHOTO } from '../../scripts/testing/crisp';

const { folder, register, made, tool } = making();

test('an edge at an angle covers of each pixel what its outline covers, and nothing shines through between', async () => {
  const page = crispPage(register);
  const errors = await edgeErrors(await made(page, { format: 'png', ppi: 96 }, 'crisp.png'), page, 96);
  expect([...errors].filter(([name, error]) => error > allowedError(name))).toEqual([]);
  expect(errors.size).toBe(48);
});

test('pieces laid edge to edge show nothing of what lies behind, bright on dark and dark on bright, in pixels and print', async () => {
  const photo = register(WHITE_PHOTO, 300, 220);
  const cells = (white: boolean): Piece[] =>
    Array.from({ length: 12 }, (_, i) => ({
      // Cells of no whole number of pixels; rows of three, of four and of five.
      ...[3, 4, 5].flatMap((columns, row) =>
        Array.from({ length: columns }, (_, column) =>
          inkPiece(
            `${row} ${column}`,
            10.3 + (column * 127.7) / columns,
            10.6 + row * 29.9,
            127.7 / columns,
            29.9,
          ),
        ),
      )[i]!,
      material: !white
        ? ({ kind: 'ink', colour: '#000000' } as const)
        : ({ kind: 'photo', asset: photo.sha, window: WHOLE } as const),
      finish: finishOf(0),
    }));
  for (const white of [true, false]) {
    const page = laid(cells(white), [photo], project(150, 110));
    page.surfaces[0]!.ground = white ? '#000000' : '#ffffff';
    const pdf = await made(page, { format: 'pdf' }, `meet-${white}.pdf`);
    tool('pdftoppm', '-r', '97', '-png', '-singlefile', pdf, join(folder, `meet-${white}`));
    const svg = await made(page, { format: 'svg' }, `meet-${white}.svg`);
    for (const path of [
      await made(page, { format: 'png', ppi: 41 }, `meet-${white}-41.png`),
      await made(page, { format: 'png', ppi: 97 }, `meet-${white}-97.png`),
      join(folder, `meet-${white}.png`),
      await rendered(svg, 97),
    ]) {
      const size = await sharp(path).metadata();
      const [across, down] = [size.width / 150, size.height / 110];
      const [left, top] = [Math.ceil(10.3 * across) + 1, Math.ceil(10.6 * down) + 1];
      const [right, bottom] = [Math.floor(138 * across) - 1, Math.floor((10.6 + 29.9 * 3) * down) - 1];
      const inside = { left, top, width: right - left, height: bottom - top };
      const seen = await sharp(path).removeAlpha().extract(inside).png().toBuffer();
      const [channel] = (await sharp(seen).stats()).channels;
      // Less than 1/32 of what lies behind.
      expect(white ? 255 - channel!.min : channel!.max).toBeLessThan(8);
    }
  }
  // By itself a cell is as large as it is, whatever it met.
  const alone = await made(
    laid(cells(false), [photo]),
    { format: 'png', ppi: 72, only: ['0 0'] },
    'cell.png',
  );
  expect(await sharp(alone).metadata()).toMatchObject({ width: 43, height: 30 });
});

const rendered = async (svg: string, ppi: number): Promise<string> => {
  const path = `${svg}.png`;
  await sharp(svg, { density: ppi, unlimited: true }).png().toFile(path);
  return path;
};
