/**
 * Makes public/house: fonts that ship with the app, unpacked (24 families are open in a twentieth of the time), what finds faces
 * and what a press needs; done again only when what makes them changed. The papers lie drawn in the repository, and are drawn
 * anew if what draws them changed.
 */
import { createHash } from 'node:crypto';
import { copyFile, mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { createCanvas, type Canvas } from '@napi-rs/canvas';
import { FACE_FILES, FALLBACK_FILES, FONT_FILES } from '@/core/text/families';
import { CONDITIONS } from '@/core/press/conditions';
import { plainFont } from '@/core/text/woff';
import { jpegWithDensity } from '@/output/pixels/density';
import { readNodeFont, ROOT, SUBSETTER } from '../node/platform';
import { folderOf, standing } from '../ready.mjs';
import { icons } from './icons';
import { HOUSE_PAPERS, SIDE } from './papers';

const FOLDER = folderOf('supplies');
const PAPERS = folderOf('papers');

const MODEL = '@vladmandic/face-api/model/tiny_face_detector_model';
const WASM = '@tensorflow/tfjs-backend-wasm/dist/tfjs-backend-wasm';
/** What finds faces: from where in the packages, and what it is called here. */
const FACES: readonly (readonly [string, string])[] = [
  [`${MODEL}.bin`, 'weights.bin'],
  [`${MODEL}-weights_manifest.json`, 'weights.json'],
  [`${WASM}.wasm`, 'tfjs-backend-wasm.wasm'],
  [`${WASM}-simd.wasm`, 'tfjs-backend-wasm-simd.wasm'],
];

/** A smaller copy as JPEG. */
export function small(canvas: Canvas, longest: number, quality = 84): Buffer {
  const scale = longest / Math.max(canvas.width, canvas.height);
  const copy = createCanvas(Math.round(canvas.width * scale), Math.round(canvas.height * scale));
  const context = copy.getContext('2d');
  context.imageSmoothingQuality = 'high';
  context.drawImage(canvas, 0, 0, copy.width, copy.height);
  return copy.toBuffer('image/jpeg', quality);
}

/** What is unpacked and copied. */
async function lay(): Promise<void> {
  await mkdir(join(FOLDER, 'fonts'), { recursive: true });
  for (const name of [...FONT_FILES, ...FACE_FILES, ...FALLBACK_FILES])
    await writeFile(join(FOLDER, 'fonts', `${name}.ttf`), await plainFont(await readNodeFont(name)));
  await copyFile(SUBSETTER, join(FOLDER, 'fonts', 'subset.wasm'));
  // The detector of faces, with what it runs on.
  await mkdir(join(FOLDER, 'faces'), { recursive: true });
  const modules = join(ROOT, 'node_modules');
  for (const [from, to] of FACES) await copyFile(join(modules, from), join(FOLDER, 'faces', to));
  // Print conditions, and the library that works with them.
  await mkdir(join(FOLDER, 'press'), { recursive: true });
  const lcms = join(modules, 'lcms-wasm', 'dist');
  await copyFile(join(lcms, 'lcms.min.js'), join(FOLDER, 'press', 'lcms.js'));
  await copyFile(join(lcms, 'lcms.wasm'), join(FOLDER, 'press', 'lcms.wasm'));
  const jpeg = join(modules, '@cornerstonejs', 'codec-libjpeg-turbo-8bit', 'dist', 'libjpegturbowasm');
  const begun = await readFile(`${jpeg}.js`, 'utf8');
  await writeFile(join(FOLDER, 'press', 'jpeg.js'), `${begun}\nexport default libjpegturbowasm;\n`);
  await copyFile(`${jpeg}.wasm`, join(FOLDER, 'press', 'jpeg.wasm'));
  for (const { file } of CONDITIONS)
    await copyFile(join(ROOT, 'scripts', 'house', 'press', file), join(FOLDER, 'press', file));
  await mkdir(join(FOLDER, 'icons'), { recursive: true });
  for (const { name, png } of await icons()) await writeFile(join(FOLDER, 'icons', name), png);
}

async function drawPapers(): Promise<void> {
  await rm(PAPERS, { recursive: true, force: true });
  await mkdir(PAPERS, { recursive: true });
  const list = [];
  for (const [i, paper] of HOUSE_PAPERS.entries()) {
    const canvas = paper.draw();
    const jpeg = Buffer.concat(jpegWithDensity(canvas.toBuffer('image/jpeg', 88), 300));
    const sha = createHash('sha256').update(jpeg).digest('hex');
    await writeFile(join(PAPERS, `${paper.id}.jpg`), jpeg);
    await writeFile(join(PAPERS, `${paper.id}.small.jpg`), small(canvas, 240));
    list.push({
      id: paper.id,
      asset: {
        sha,
        type: 'image/jpeg',
        name: paper.name,
        bytes: jpeg.length,
        width: SIDE,
        height: SIDE,
        orientation: 1,
        ppi: 300,
      },
    });
    console.log(`Paper ${i + 1} of ${HOUSE_PAPERS.length}: ${paper.name}`);
  }
  await writeFile(join(FOLDER, 'papers.json'), JSON.stringify(list, null, 1));
}

async function build(): Promise<void> {
  const parts = { supplies: lay, papers: drawPapers };
  for (const name of ['supplies', 'papers'] as const) {
    const { drawn, mark } = await standing(name);
    if (drawn) continue;
    await parts[name]();
    await mark();
  }
  console.log('House supplies are ready.');
}

if (process.argv[1]?.endsWith('house/build.ts')) await build();
