/** Draws the demo's photos once; they are kept as JPEG beside what draws them, so that a build need not. `-- name` draws those called so. */
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createCanvas, type Canvas } from '@napi-rs/canvas';
import { invert } from '@/core/geometry/matrix';
import { uprightMatrix } from '@/core/picture/asset';
import { ROOT } from '../node/platform';
import { withExif } from './photos/exif';
import { DEMO_PHOTOS, type DemoPhoto } from './photos/photos';
import { YEAR_PHOTOS } from './year/photos';

/** Of JPEG, of a hundred. */
const QUALITY = 80;
const only = process.argv[2] ?? '';

/** The picture with its pixels turned the way a camera held on its side stores them. */
function stored(upright: Canvas, orientation: number): Canvas {
  if (orientation === 1) return upright;
  const turned = orientation >= 5;
  const canvas = createCanvas(
    turned ? upright.height : upright.width,
    turned ? upright.width : upright.height,
  );
  const context = canvas.getContext('2d');
  context.setTransform(...invert(uprightMatrix({ width: canvas.width, height: canvas.height, orientation })));
  context.drawImage(upright, 0, 0);
  return canvas;
}

const ALL: Record<string, readonly DemoPhoto[]> = { photos: DEMO_PHOTOS, year: YEAR_PHOTOS };
for (const [of, photos] of Object.entries(ALL)) {
  const folder = join(ROOT, 'scripts', 'demo', of, 'jpeg');
  await mkdir(folder, { recursive: true });
  for (const { file, taken, orientation = 1, draw } of photos) {
    if (!file.includes(only)) continue;
    const jpeg = stored(draw(), orientation).toBuffer('image/jpeg', QUALITY);
    await writeFile(join(folder, file), withExif(jpeg, orientation, taken));
    console.log(file, `${Math.round(jpeg.length / 1000)} kB`);
  }
}
