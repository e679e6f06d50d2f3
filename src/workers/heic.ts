/** HEIC (ISO/IEC 23008-12) to pixels, by libheif. */
import type { LibHeif } from 'libheif-js/libheif-wasm/libheif-bundle.mjs';
import { MOST_PIXELS } from '@/core/picture/asset';
import { LONGEST_PICTURE_SIDE } from '@/core/pixels/header';
import { fail, ok, type Result } from '@/core/result';

export interface HeicPixels {
  data: Uint8ClampedArray<ArrayBuffer>;
  width: number;
  height: number;
}

const DAMAGED = 'is damaged: the picture in it cannot be decoded';

/** The first picture of a file, sRGB with 8 bits (RGBA), turned upright. Its size is looked at before a pixel is decoded. */
export async function heicPixels(bytes: Uint8Array, { HeifDecoder }: LibHeif): Promise<Result<HeicPixels>> {
  const [image] = new HeifDecoder().decode(bytes) ?? [];
  if (!image) return fail(DAMAGED);
  const [width, height] = [image.get_width(), image.get_height()];
  if (!(width > 0 && height > 0)) return fail(DAMAGED);
  if (width * height > MOST_PIXELS || Math.max(width, height) > LONGEST_PICTURE_SIDE)
    return fail(`is ${width} x ${height} pixels: more than can be opened safely`);
  const empty: HeicPixels = { data: new Uint8ClampedArray(4 * width * height), width, height };
  const filled = await new Promise<HeicPixels | null>((resolve) => image.display(empty, resolve));
  return filled ? ok(filled) : fail(DAMAGED);
}
