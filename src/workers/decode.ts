/** Picture files to bitmaps, and bitmaps to smaller ones, in a worker. */
import { stillType, type PictureHeader } from '@/core/pixels/header';
import { ok, type Result } from '@/core/result';
import { decodedText } from '@/core/text/decoded';
import { Hands, limitFor } from '@/workers/hands';
import type { HeicPixels } from '@/workers/heic';
import type { HeicDecoder } from '@/workers/heic.worker';

/** Longest sides of the smaller copies, pixels: for the workbox, and for the page on the screen. */
export const THUMB_SIDE = 320;
export const SCREEN_SIDE = 1600;
/** The same of a drawing, which is drawn itself wherever more of it is seen: that is soon done, and sharp. */
export const DRAWING_SIDE = 720;

/**
 * A large upright JPEG decoded at no more size than the screen copy needs: the decoder can leave out detail in eighths
 * (ITU-T T.81 blocks are 8 x 8), which takes a third of the time. Null where that is not possible.
 */
export async function decodeReduced(
  bytes: Uint8Array<ArrayBuffer>,
  { type, width, height }: PictureHeader,
): Promise<ImageBitmap | null> {
  const eighths = Math.ceil((8 * SCREEN_SIDE) / Math.max(width, height));
  if (type !== 'image/jpeg' || eighths > 6 || typeof ImageDecoder === 'undefined') return null;
  const decoder = new ImageDecoder({
    data: bytes,
    type,
    desiredWidth: Math.ceil((width * eighths) / 8),
    desiredHeight: Math.ceil((height * eighths) / 8),
  });
  try {
    const { image } = await decoder.decode();
    const scale = SCREEN_SIDE / Math.max(width, height);
    const small = await createImageBitmap(image, {
      resizeWidth: Math.round(width * scale),
      resizeHeight: Math.round(height * scale),
      resizeQuality: 'medium',
    });
    image.close();
    return small;
  } finally {
    decoder.close();
  }
}

const heics = new Hands<HeicDecoder>(
  () => new Worker(new URL('./heic.worker.ts', import.meta.url), { type: 'module' }),
  1,
);

export async function decodeHeic(bytes: Uint8Array): Promise<Result<ImageBitmap>> {
  try {
    const pixels = await heics.do(async (decoder): Promise<Result<HeicPixels>> => decoder.decode(bytes), {
      limit: limitFor({ size: bytes.length }),
    });
    if (!pixels.ok) return pixels;
    const { data, width, height } = pixels.value;
    return ok(await createImageBitmap(new ImageData(data, width, height)));
  } finally {
    // Its memory never shrinks: the next one begins anew.
    heics.letGo();
  }
}

export async function smaller(bitmap: ImageBitmap, longest: number): Promise<ImageBitmap> {
  const scale = longest / Math.max(bitmap.width, bitmap.height);
  if (scale >= 1) return createImageBitmap(bitmap);
  return createImageBitmap(bitmap, {
    resizeWidth: Math.max(1, Math.round(bitmap.width * scale)),
    resizeHeight: Math.max(1, Math.round(bitmap.height * scale)),
    resizeQuality: 'medium',
  });
}

/** A bitmap on a canvas whose pixels can be read at little cost. */
export function drawn(bitmap: ImageBitmap): OffscreenCanvasRenderingContext2D {
  const context = new OffscreenCanvas(bitmap.width, bitmap.height).getContext('2d', {
    willReadFrequently: true,
  })!;
  context.drawImage(bitmap, 0, 0);
  return context;
}

export const encode = (bitmap: ImageBitmap, type: string, quality: number): Promise<Blob> =>
  drawn(bitmap).canvas.convertToBlob({ type, quality });

/** Whether the bytes are a drawing's, by their beginning. */
export function looksDrawn(bytes: Uint8Array): boolean {
  const head = decodedText(bytes.subarray(0, 4000)).trimStart();
  return head.startsWith('<') && /<svg[\s>]|<!DOCTYPE\s+svg/i.test(head);
}

const PRESS_QUALITY = 0.97;

/** A JPEG in the colours of a press (CMYK) as one in those of the screen, upright: every output then shows the same. */
export async function screenColours(bytes: Uint8Array<ArrayBuffer>): Promise<Uint8Array<ArrayBuffer>> {
  const bitmap = await createImageBitmap(new Blob([bytes], { type: 'image/jpeg' }));
  const jpeg = await encode(bitmap, 'image/jpeg', PRESS_QUALITY);
  bitmap.close();
  return new Uint8Array(await jpeg.arrayBuffer());
}

/** The first picture of a GIF, BMP or AVIF as PNG, upright: programs and print shops know that better. Null for other kinds. */
export async function stillOf(bytes: Uint8Array<ArrayBuffer>): Promise<Uint8Array<ArrayBuffer> | null> {
  const type = stillType(bytes);
  if (!type) return null;
  const still = await createImageBitmap(new Blob([bytes], { type }));
  const png = await encode(still, 'image/png', 1);
  still.close();
  return new Uint8Array(await png.arrayBuffer());
}
