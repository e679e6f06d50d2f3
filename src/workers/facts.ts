/** What a decoded picture tells of itself: its colours, and how it looks to the sorter. */
import { mainColours } from '@/core/supplies/colours';
import type { Pixels } from '@/core/pixels/focus';
import { shrunk } from '@/core/pixels/shrink';
import { lookOf, type Look } from '@/core/supplies/look';

export interface Facts {
  look: Look;
  colours: string[];
}

/** Longest side, pixels, of the copy that is looked at. */
const LOOK_SIDE = 200;

/** Pixels of a bitmap at a smaller size. Reading them back is slow: do it once, and shrink what was read. */
export function pixelsOf(bitmap: ImageBitmap, longest: number): ImageData {
  const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height));
  const width = Math.max(1, Math.round(bitmap.width * scale));
  const height = Math.max(1, Math.round(bitmap.height * scale));
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0, width, height);
  return context.getImageData(0, 0, width, height);
}

export function factsOf(pixels: Pixels): Facts {
  const { data, width, height } = shrunk(pixels, LOOK_SIDE);
  return { look: lookOf(data, width, height), colours: mainColours(data) };
}
