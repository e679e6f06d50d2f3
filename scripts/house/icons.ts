/** The program's icon as pictures, for where it is installed. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { ROOT } from '../node/platform';

const PAPER = '#fbfaf7';
/** Of a masked icon only a circle of four fifths is sure to be seen (Web Application Manifest, W3C). */
const SAFE = 0.8;
/** What of the drawing's square its mark fills, corner to corner. */
const MARK = 1.08;

export async function icons(): Promise<{ name: string; png: Buffer }[]> {
  const svg = await readFile(join(ROOT, 'src', 'app', 'icon.svg'));
  const drawn = (side: number) =>
    sharp(svg, { density: (72 * side) / 24 })
      .resize(side, side)
      .png()
      .toBuffer();
  const inner = Math.round((512 * SAFE) / MARK);
  return [
    ...(await Promise.all([192, 512].map(async (side) => ({ name: `${side}.png`, png: await drawn(side) })))),
    {
      name: 'masked.png',
      png: await sharp({ create: { width: 512, height: 512, channels: 4, background: PAPER } })
        .composite([{ input: await drawn(inner), gravity: 'centre' }])
        .png()
        .toBuffer(),
    },
  ];
}
