/** Pictures that are drawings, read once, and pictures stamped, dyed or in another light: what every output asks for before it draws. */
import type { Drawing } from '@/core/drawing/drawing';
import { applyDyes } from '@/core/dye/apply';
import { wornDrawing } from '@/core/dye/drawing';
import type { Size } from '@/core/geometry/box';
import { scaling, type Matrix } from '@/core/geometry/matrix';
import { uprightSize, type Asset } from '@/core/picture/asset';
import type { Worn } from '@/core/picture/picture';
import { applyTone } from '@/core/tone/apply';
import { applyFitted } from '@/core/tone/fitted';
import { coverage } from '@/core/pixels/coverage';
import { decodedText } from '@/core/text/decoded';
import type { Drawable, Platform } from '@/output/platform';

/** A drawing with the size its file counts as, in pixels. */
export interface PlacedDrawing {
  drawing: Drawing;
  whole: Size;
}

/** The drawing's points to the pixels its file counts as. */
export const toWhole = (drawing: Drawing, whole: Size): Matrix =>
  scaling(whole.width / drawing.width, whole.height / drawing.height);

/** Reads a drawing's file; undefined if it is none, or damaged. What reads them weighs much: fetched with the first one. */
export async function openDrawing(asset: Asset, bytes: Uint8Array): Promise<PlacedDrawing | undefined> {
  const { readDrawing } = await import('@/core/drawing/read');
  const read = readDrawing(decodedText(bytes));
  return read.ok ? { drawing: read.value.drawing, whole: uprightSize(asset) } : undefined;
}

export const placedWorn = ({ drawing, whole }: PlacedDrawing, worn: Worn): PlacedDrawing => ({
  drawing: wornDrawing(drawing, worn),
  whole,
});

/** A decoded picture in its light and tone, stamped in an ink, dyed; smaller by `scale` where that is enough. */
export function wornPixels(
  { source, width, height }: Drawable,
  { ink, tone, fit, dyes }: Worn,
  platform: Platform,
  scale = 1,
): Drawable {
  const [w, h] = [Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale))];
  const { canvas, context } = platform.canvas(w, h);
  context.imageSmoothingQuality = 'high';
  context.drawImage(source, 0, 0, w, h);
  const pixels = context.getImageData(0, 0, w, h);
  if (tone) applyTone(pixels.data, tone);
  if (ink) coverage(pixels.data, ink);
  if (dyes) applyDyes(pixels, dyes);
  if (tone && fit) applyFitted(pixels, tone, fit);
  context.putImageData(pixels, 0, 0);
  return { source: canvas, width: w, height: h };
}
