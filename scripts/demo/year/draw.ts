/** Draws the photos of the year once; they are kept as JPEG beside this script, so that a build need not. `-- name` draws one. */
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { ROOT } from '../../node/platform';
import { withExif } from '../photos/exif';
import { YEAR_PHOTOS } from './photos';

const FOLDER = join(ROOT, 'scripts', 'demo', 'year', 'jpeg');
const [half, only] = process.argv.slice(2);

await mkdir(FOLDER, { recursive: true });
for (const [i, { file, taken, draw }] of YEAR_PHOTOS.entries()) {
  if (only ? !file.includes(only) : half && i % 2 !== Number(half)) continue;
  const jpeg = draw().toBuffer('image/jpeg', 80);
  await writeFile(join(FOLDER, file), withExif(jpeg, 1, taken));
  console.log(file, `${Math.round(jpeg.length / 1000)} kB`);
}
