/** A picture's outline by a threshold: what is dark in it, or what is not clear. */
import { fitRing } from '@/core/geometry/fit';
import { signedArea } from '@/core/geometry/offset';
import type { Path } from '@/core/geometry/path';
import { ringsAround } from '@/core/pixels/squares';

export interface Tracing {
  /** What counts: dark pixels, or those one cannot see through. */
  by: 'darkness' | 'clearness';
  /** 0 to 1: pixels darker than this, or more solid than this, are inside. */
  threshold: number;
  /** Only the outer edge, without the holes. */
  outer: boolean;
  /** How far the smooth outline may lie from the traced one, pixels. */
  smooth: number;
  /** Parts and holes of fewer pixels are left out. */
  smallest: number;
}

export const FIRST_TRACING: Tracing = {
  by: 'darkness',
  threshold: 0.5,
  outer: false,
  smooth: 0.6,
  smallest: 40,
};

/** The outline in the picture's pixels (RGBA, 8 bits), and how many parts and holes it has. */
export function outlineOfPicture(
  pixels: Uint8ClampedArray,
  width: number,
  height: number,
  { by, threshold, outer, smooth, smallest }: Tracing,
): { path: Path; parts: number; holes: number } {
  const level = threshold * 255;
  const field = new Float32Array(width * height);
  for (let i = 0; i < field.length; i++) {
    const alpha = pixels[4 * i + 3]!;
    if (by === 'clearness') field[i] = 0.5 + (alpha - level) / 510;
    else {
      // Rec. 709 luma of the stored values, what is clear counting as white.
      const luma = 0.2126 * pixels[4 * i]! + 0.7152 * pixels[4 * i + 1]! + 0.0722 * pixels[4 * i + 2]!;
      field[i] = 0.5 + (level - (255 + ((luma - 255) * alpha) / 255)) / 510;
    }
  }
  const rings = ringsAround(field, width, height).filter((ring) => {
    const area = signedArea(ring);
    return Math.abs(area) >= Math.max(2, smallest) && (area > 0 || !outer);
  });
  return {
    path: rings.flatMap((ring) => fitRing(ring, smooth)),
    parts: rings.filter((ring) => signedArea(ring) > 0).length,
    holes: rings.filter((ring) => signedArea(ring) < 0).length,
  };
}
