/** What colour a picture is in its parts, for matching. */
import { toLinear } from '@/core/color/srgb';
import type { Size } from '@/core/geometry/box';

/** L, a, b in OKLab (Ottosson 2020), L from 0 to 1. */
export type Lab = readonly [number, number, number];

const linear = Float64Array.from({ length: 256 }, (_, byte) => toLinear(byte / 255));

/** Linear-light sRGB to OKLab; the matrices are Ottosson’s, “A perceptual color space for image processing”, 2020. */
function labOf(r: number, g: number, b: number): Lab {
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ];
}

/**
 * The mean colour, taken of light and not of numbers, of each of `columns` x `rows` parts of a picture, row by row. `data` is
 * RGBA; what is transparent counts as white paper.
 */
export function meanColours(
  { data, width, height }: Size & { data: Uint8ClampedArray },
  columns = 1,
  rows = 1,
): Lab[] {
  const sums = new Float64Array(4 * columns * rows);
  for (let y = 0; y < height; y++) {
    const row = Math.min(rows - 1, Math.floor(((y + 0.5) * rows) / height));
    for (let x = 0; x < width; x++) {
      const i = 4 * (y * width + x);
      const at = 4 * (row * columns + Math.min(columns - 1, Math.floor(((x + 0.5) * columns) / width)));
      const alpha = data[i + 3]! / 255;
      for (let c = 0; c < 3; c++) sums[at + c]! += linear[data[i + c]!]! * alpha + 1 - alpha;
      sums[at + 3]! += 1;
    }
  }
  return Array.from({ length: columns * rows }, (_, cell) => {
    const count = sums[4 * cell + 3]! || 1;
    return labOf(sums[4 * cell]! / count, sums[4 * cell + 1]! / count, sums[4 * cell + 2]! / count);
  });
}

/** Lightness below which a part is dark, and above which it is light; our own choice. */
const DARK = 0.42;
const LIGHT = 0.78;

/** The shares of a picture’s parts that are dark and light: one with both is still seen over many photos. */
export const darksAndLights = (parts: readonly Lab[]): { dark: number; light: number } => ({
  dark: parts.filter(([l]) => l < DARK).length / parts.length,
  light: parts.filter(([l]) => l > LIGHT).length / parts.length,
});
