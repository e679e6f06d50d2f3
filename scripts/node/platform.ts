/** Canvases, fonts and picture files for the core and outputs when they run in Node. */
import type { Lcms, OpenLcms } from '@/core/press/lcms';
import { createCanvas, loadImage, Path2D, type Canvas as NodeCanvas } from '@napi-rs/canvas';
import { readdirSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import sharp from 'sharp';
import { openTypesetter, type ReadFont } from '@/core/project/needs';
import type { Typesetter } from '@/core/text/typesetter';
import { uprightSize, type Asset } from '@/core/picture/asset';
import type { Size } from '@/core/geometry/box';
import { greyEncoder, type TurboJpeg } from '@/output/pdf/grey-jpeg';
import type { Workshop } from '@/output/stock';
import type { Canvas, Context, Drawable, Platform } from '@/output/platform';

const require = createRequire(import.meta.url);
export const ROOT = join(import.meta.dirname, '..', '..');

export const node: Platform = {
  canvas(width, height) {
    const canvas = createCanvas(Math.max(1, width), Math.max(1, height));
    return {
      canvas: canvas as unknown as Canvas & CanvasImageSource,
      context: canvas.getContext('2d') as unknown as Context,
    };
  },
  path: (data) => new Path2D(data) as unknown as globalThis.Path2D,
};

/** Cuts fonts down, as WebAssembly. */
export const SUBSETTER = join(ROOT, 'node_modules', 'harfbuzzjs', 'dist', 'harfbuzz-subset.wasm');

export const readNodeFont: ReadFont = async (name) => new Uint8Array(await readFile(fontFile(name)));

let typesetter: Promise<Typesetter> | undefined;

/** The shipped fonts, read from the packages they come in and opened once. */
export const nodeTypesetter = (): Promise<Typesetter> => (typesetter ??= openTypesetter(readNodeFont));

/** Of the names that a file's begins with, the longest comes last. */
const PACKAGES = readdirSync(join(ROOT, 'node_modules', '@fontsource')).sort();

export const fontFile = (name: string): string =>
  join(
    ROOT,
    'node_modules',
    '@fontsource',
    PACKAGES.findLast((known) => name.startsWith(`${known}-`))!,
    'files',
    `${name}.woff`,
  );

/** Decodes a picture file upright. */
export async function decode(bytes: Uint8Array, asset: Asset): Promise<Drawable & { whole: Size }> {
  const upright = uprightSize(asset);
  const image = await loadImage(Buffer.from(bytes));
  return {
    source: image as unknown as CanvasImageSource,
    width: image.width,
    height: image.height,
    whole: upright,
  };
}

/** Where the profiles of print conditions lie. */
export const PROFILES = join(ROOT, 'scripts', 'house', 'press');

/** A JPEG whose profile is passed over, as it is not called one any more (ICC.1:2022, annex B.4). */
function withoutProfile(jpeg: Uint8Array): Uint8Array {
  const copy = Buffer.from(jpeg);
  for (let at = 0; (at = copy.indexOf('ICC_PROFILE\0', at)) >= 0;) copy[at] = 0;
  return copy;
}

/** What the outputs need, in Node. */
export const nodeWorkshop = (
  asset: (sha: string) => Asset,
  bytes: (sha: string) => Uint8Array,
  typesetter: Typesetter,
): Workshop => ({
  platform: node,
  font: typesetter.font,
  subsetter: async () => new Uint8Array(await readFile(SUBSETTER)),
  asset,
  bytes: async (sha) => bytes(sha),
  decode: (sha, asStored) => decode(asStored ? withoutProfile(bytes(sha)) : bytes(sha), asset(sha)),
  profile: async ({ id, file }) => (file ? new Uint8Array(await readFile(join(PROFILES, file))) : bytes(id)),
  lcms: openLcms,
  greyJpeg,
  encode: async (canvas, type, quality) => {
    const made = canvas as unknown as NodeCanvas;
    if (type === 'image/png') return png(made);
    return made.encode(type === 'image/webp' ? 'webp' : 'jpeg', Math.round(quality * 100));
  },
  now: new Date(),
});

/** A canvas as PNG: in a third of the time that the canvas's own takes, a twentieth larger. */
async function png(canvas: NodeCanvas): Promise<Uint8Array> {
  const { width, height } = canvas;
  const { data } = canvas.getContext('2d').getImageData(0, 0, width, height);
  return sharp(data, { raw: { width, height, channels: 4 } })
    .png({ compressionLevel: 4, adaptiveFiltering: true })
    .toBuffer();
}

/** libjpeg-turbo as it runs in Node. */
async function greyJpeg() {
  const wasmBinary = await readFile(require.resolve('@cornerstonejs/codec-libjpeg-turbo-8bit/wasm'));
  const begin = require('@cornerstonejs/codec-libjpeg-turbo-8bit/wasmjs') as (options: {
    wasmBinary: Uint8Array;
  }) => Promise<TurboJpeg>;
  return greyEncoder(await begin({ wasmBinary }));
}

/** Little CMS as it runs in Node. */
export const openLcms = async (): Promise<Lcms> => {
  const { instantiate } = (await import('lcms-wasm')) as { instantiate: OpenLcms };
  return instantiate();
};
