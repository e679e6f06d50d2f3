/** The little that differs between a browser, a worker and Node: where canvases and outlines come from. */
export type Context = OffscreenCanvasRenderingContext2D | CanvasRenderingContext2D;

export interface Canvas {
  width: number;
  height: number;
}

/** A decoded picture, upright: anything a canvas can draw. */
export interface Drawable {
  source: CanvasImageSource;
  /** Its own pixels, which may be fewer than the file's. */
  width: number;
  height: number;
  /** It stands for a file that could not be decoded: one clear pixel. */
  missing?: true;
}

export interface Platform {
  /** A transparent canvas, in sRGB but where a platform is wide. */
  canvas(width: number, height: number): { canvas: Canvas & CanvasImageSource; context: Context };
  path(data: string): Path2D;
}

/** Canvases of a browser window or worker. */
const browserIn = (colorSpace: PredefinedColorSpace): Platform => ({
  canvas(width, height) {
    const canvas = new OffscreenCanvas(Math.max(1, width), Math.max(1, height));
    return { canvas, context: canvas.getContext('2d', { colorSpace })! };
  },
  path: (data) => new Path2D(data),
});
export const browser = browserIn('srgb');
/** In Display P3, for what reaches beyond sRGB. */
export const browserWide = browserIn('display-p3');

/**
 * A picture file decoded, upright in its own pixels. A bitmap made straight from a photo is turned by its EXIF only where it is
 * drawn as a whole; as a pattern it shows as its file has it (Chromium 150). `orientation` is the file's, if it is known. Its
 * profile is passed over where colours are wanted `asStored`.
 */
export async function uprightBitmap(
  file: Blob,
  orientation?: number,
  asStored = false,
): Promise<ImageBitmap> {
  const bitmap = await createImageBitmap(file, { colorSpaceConversion: asStored ? 'none' : 'default' });
  if (orientation === 1) return bitmap;
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  canvas.getContext('2d', { colorSpace: 'srgb' })!.drawImage(bitmap, 0, 0);
  bitmap.close();
  return canvas.transferToImageBitmap();
}
