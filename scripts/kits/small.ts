/** Supplies in small: as they are shown in lists, and as their colours are counted. */
import { createCanvas, type Canvas } from '@napi-rs/canvas';

export const THUMB = 240;

export function pixelsOf(canvas: Canvas, longest: number): ImageData {
  const scale = Math.min(1, longest / Math.max(canvas.width, canvas.height));
  const small = createCanvas(
    Math.max(1, Math.round(canvas.width * scale)),
    Math.max(1, Math.round(canvas.height * scale)),
  );
  const context = small.getContext('2d');
  context.drawImage(canvas, 0, 0, small.width, small.height);
  return context.getImageData(0, 0, small.width, small.height) as unknown as ImageData;
}

export function thumbOf(canvas: Canvas): Canvas {
  const scale = Math.min(1, THUMB / Math.max(canvas.width, canvas.height));
  const small = createCanvas(
    Math.max(1, Math.round(canvas.width * scale)),
    Math.max(1, Math.round(canvas.height * scale)),
  );
  const context = small.getContext('2d');
  context.imageSmoothingQuality = 'high';
  context.drawImage(canvas, 0, 0, small.width, small.height);
  return small;
}
