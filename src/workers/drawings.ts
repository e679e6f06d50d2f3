/** Drawings read and painted, in a worker; fetched when the first one comes in. */
import { readDrawing, type ReadDrawing } from '@/core/drawing/read';
import { scaling } from '@/core/geometry/matrix';
import type { Result } from '@/core/result';
import { decodedText } from '@/core/text/decoded';
import { paintDrawing } from '@/output/pixels/marks';
import { browser } from '@/output/platform';
import { DRAWING_SIDE } from '@/workers/decode';

export const readBytes = (bytes: Uint8Array): Result<ReadDrawing> => readDrawing(decodedText(bytes));

/** A drawing as a bitmap whose longest side is that of the screen copy. */
export function drawBitmap({ drawing }: ReadDrawing): ImageBitmap {
  const scale = DRAWING_SIDE / Math.max(drawing.width, drawing.height);
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(drawing.width * scale)),
    Math.max(1, Math.round(drawing.height * scale)),
  );
  paintDrawing(canvas.getContext('2d')!, drawing, scaling(scale), browser, 1);
  return canvas.transferToImageBitmap();
}
