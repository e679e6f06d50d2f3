/** Pictures that are drawings, read once, and pictures stamped in an ink or in another light: what every output asks for before it draws. */
import { inked, type Drawing } from '@/core/drawing/drawing';
import { readDrawing } from '@/core/drawing/read';
import type { Size } from '@/core/geometry/box';
import { scaling, type Matrix } from '@/core/geometry/matrix';
import { uprightSize, type Asset } from '@/core/picture/asset';
import type { Worn } from '@/core/picture/picture';
import { applyTone } from '@/core/tone/apply';
import { applyFitted } from '@/core/tone/fitted';
import { coverage } from '@/core/pixels/coverage';
import type { Drawable, Platform } from '@/output/platform';

/** A drawing with the size its file counts as, in pixels. */
export interface PlacedDrawing {
  drawing: Drawing;
  whole: Size;
}

/** The drawing's points to the pixels its file counts as. */
export const toWhole = (drawing: Drawing, whole: Size): Matrix =>
  scaling(whole.width / drawing.width, whole.height / drawing.height);

/** Reads a drawing's file; undefined if it is none, or damaged. */
export function openDrawing(asset: Asset, bytes: Uint8Array): PlacedDrawing | undefined {
  const read = readDrawing(new TextDecoder().decode(bytes));
  return read.ok ? { drawing: read.value.drawing, whole: uprightSize(asset) } : undefined;
}

export const inkedDrawing = ({ drawing, whole }: PlacedDrawing, ink: string): PlacedDrawing => ({
  drawing: inked(drawing, ink),
  whole,
});

/** A decoded picture in its light and tone, or stamped in one ink; smaller by `scale` where that is enough. */
export function wornPixels(
  { source, width, height }: Drawable,
  { ink, tone, fit }: Worn,
  platform: Platform,
  scale = 1,
): Drawable {
  const [w, h] = [Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale))];
  const { canvas, context } = platform.canvas(w, h);
  context.imageSmoothingQuality = 'high';
  context.drawImage(source, 0, 0, w, h);
  const pixels = context.getImageData(0, 0, w, h);
  if (tone) applyTone(pixels.data, tone);
  if (tone && fit) applyFitted(pixels, tone, fit);
  if (ink) coverage(pixels.data, ink);
  context.putImageData(pixels, 0, 0);
  return { source: canvas, width: w, height: h };
}
