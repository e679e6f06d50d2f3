/** Picture files to bitmaps, and bitmaps to smaller ones, in a worker. */
import { MOST_PIXELS } from '@/core/picture/asset';
import { LONGEST_PICTURE_SIDE, type PictureHeader } from '@/core/pixels/header';
import { fail, ok, type Result } from '@/core/result';

/** Longest sides of the smaller copies, pixels: for the workbox, and for the page on the screen. */
export const THUMB_SIDE = 320;
export const SCREEN_SIDE = 1600;

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

export async function decodeHeic(bytes: Uint8Array): Promise<Result<ImageBitmap>> {
  const { default: load } = await import('libheif-js/libheif-wasm/libheif-bundle.mjs');
  const [image] = new (load().HeifDecoder)().decode(bytes);
  if (!image) return fail('is damaged: the picture in it cannot be decoded');
  const width = image.get_width();
  const height = image.get_height();
  if (width * height > MOST_PIXELS || Math.max(width, height) > LONGEST_PICTURE_SIDE)
    return fail(`is ${width} x ${height} pixels: more than can be opened safely`);
  const pixels = await new Promise<ImageData | null>((resolve) =>
    image.display(new ImageData(width, height), resolve),
  );
  return pixels
    ? ok(await createImageBitmap(pixels))
    : fail('is damaged: the picture in it cannot be decoded');
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
  const head = new TextDecoder().decode(bytes.subarray(0, 4000)).trimStart();
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

/** A GIF's first picture as PNG: what comes in as a moving picture is kept as a still. */
export async function stillOfGif(bytes: Uint8Array<ArrayBuffer>): Promise<Uint8Array<ArrayBuffer> | null> {
  if (String.fromCharCode(...bytes.subarray(0, 4)) !== 'GIF8') return null;
  const still = await createImageBitmap(new Blob([bytes], { type: 'image/gif' }));
  const png = await encode(still, 'image/png', 1);
  still.close();
  return new Uint8Array(await png.arrayBuffer());
}
