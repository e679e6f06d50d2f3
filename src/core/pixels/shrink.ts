/** Pixels made fewer: each of the new ones is the mean of those it stands for. */
import type { Pixels } from '@/core/pixels/focus';

/** RGBA no longer than `longest` at its longer side, every pixel counted once; the same if it is no longer already. */
export function shrunk(from: Pixels, longest: number): Pixels {
  const scale = longest / Math.max(from.width, from.height);
  if (scale >= 1) return from;
  const width = Math.max(1, Math.round(from.width * scale));
  const height = Math.max(1, Math.round(from.height * scale));
  const sums = new Float32Array(4 * width * height);
  const counts = new Uint16Array(width * height);
  const columns = Uint16Array.from({ length: from.width }, (_, x) => Math.floor((x * width) / from.width));
  // Taken out once: where pixels come from a canvas, to ask for their data costs as much as a pixel.
  const { data: pixels, width: across } = from;
  for (let y = 0, i = 0; y < from.height; y++) {
    const row = width * Math.floor((y * height) / from.height);
    for (let x = 0; x < across; x++, i += 4) {
      const cell = row + columns[x]!;
      const at = 4 * cell;
      counts[cell] = counts[cell]! + 1;
      sums[at] = sums[at]! + pixels[i]!;
      sums[at + 1] = sums[at + 1]! + pixels[i + 1]!;
      sums[at + 2] = sums[at + 2]! + pixels[i + 2]!;
      sums[at + 3] = sums[at + 3]! + pixels[i + 3]!;
    }
  }
  const data = new Uint8ClampedArray(sums.length);
  for (let i = 0; i < sums.length; i++) data[i] = sums[i]! / counts[i >> 2]!;
  return { width, height, data };
}
