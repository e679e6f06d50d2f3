/** Where more ink would lie on a page than its paper bears. */
import type { Press, ProofHow } from '@/core/press/press';

/** A place of a page, as shares of its width and height, and all four inks on it together, percent. */
export interface HeavyPlace {
  x: number;
  y: number;
  ink: number;
}

/** Ink is counted over squares of so many pixels a side: it is the wet patch that comes off, no single dot (common practice, no source). */
const PATCH = 6;

/** Patches that bear more than `most` percent; `rgba` are the page's pixels, sRGB or (`wide`) Display P3. */
export function heavyPlaces(
  press: Press,
  rgba: Uint8ClampedArray,
  width: number,
  how: ProofHow,
  most: number,
  wide = false,
): HeavyPlace[] {
  const { inks } = press.printed(rgba, how, wide);
  const height = inks.length / 4 / width;
  const found: HeavyPlace[] = [];
  for (let top = 0; top < height; top += PATCH)
    for (let left = 0; left < width; left += PATCH) {
      const [right, bottom] = [Math.min(width, left + PATCH), Math.min(height, top + PATCH)];
      let sum = 0;
      for (let y = top; y < bottom; y++)
        for (let at = 4 * (y * width + left); at < 4 * (y * width + right); at++) sum += inks[at]!;
      const ink = ((100 / 255) * sum) / ((right - left) * (bottom - top));
      // Inks are read in bytes: half a one of each is no more ink.
      if (ink > most + 1) found.push({ x: (left + right) / 2 / width, y: (top + bottom) / 2 / height, ink });
    }
  return found;
}
