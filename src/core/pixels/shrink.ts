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
  for (let y = 0, i = 0; y < from.height; y++) {
    const row = width * Math.floor((y * height) / from.height);
    for (let x = 0; x < from.width; x++, i += 4) {
      const at = row + columns[x]!;
      counts[at]! += 1;
      for (let c = 0; c < 4; c++) sums[4 * at + c]! += from.data[i + c]!;
    }
  }
  const data = new Uint8ClampedArray(sums.length);
  for (let i = 0; i < sums.length; i++) data[i] = sums[i]! / counts[i >> 2]!;
  return { width, height, data };
}
