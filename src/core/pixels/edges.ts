/** A picture's edge and the openings in it. */
import { MOST_HOLES } from '@/core/picture/asset';
import type { Size } from '@/core/geometry/box';
import { openings } from '@/core/pixels/regions';
import { trace } from '@/core/pixels/trace';

/** Alpha at which a picture's edge is drawn: half. */
const EDGE = 128;
const SOLID = 250;
/** Path data longer than this is left out: the piece is then taken by its box. */
const LONGEST_OUTLINE = 200_000;

/**
 * The outline of what is solid and the openings in it, as path data in upright pixels of the whole file; nothing if all is
 * solid. `pixels` (RGBA, 8 bits) may be a smaller copy.
 */
export function edgesOf(
  pixels: Uint8ClampedArray,
  { width, height }: Size,
  whole: Size,
): { cut?: string; holes?: string[] } {
  const alpha = new Uint8Array(width * height);
  let solid = true;
  for (let i = 0; i < alpha.length; i++) if ((alpha[i] = pixels[4 * i + 3]!) < SOLID) solid = false;
  if (solid) return {};
  const scale = whole.width / width;
  const cut = trace({ values: alpha, width, height }, EDGE, scale);
  const holes = openings(pixels, width, height)
    .slice(0, MOST_HOLES)
    .map((region) => trace(region, EDGE, scale))
    .filter((hole) => hole.length > 0);
  return { ...(cut && cut.length < LONGEST_OUTLINE ? { cut } : {}), ...(holes.length ? { holes } : {}) };
}
