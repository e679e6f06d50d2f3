/** A picture's outline by a threshold: what is dark in it, what is not clear, or what is near a colour. */
import { rgbOf } from '@/core/color/hex';
import { fitRing } from '@/core/geometry/fit';
import { signedArea } from '@/core/geometry/offset';
import type { Path } from '@/core/geometry/path';
import { ringsAround } from '@/core/pixels/squares';

export interface Tracing {
  /** What counts: dark pixels, those one cannot see through, or those near a colour. */
  by: 'darkness' | 'clearness' | 'colour';
  /** 0 to 1: pixels darker than this, more solid than this, or nearer to the colour than this are inside. */
  threshold: number;
  /** The colour that is looked for. Near is measured in stored red, green and blue: 1 from black to white. */
  colour: string;
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
  colour: '#9e2b45',
  outer: false,
  smooth: 0.6,
  smallest: 40,
};

/** The outline in the picture's pixels (RGBA, 8 bits), and how many parts and holes it has. */
export function outlineOfPicture(
  pixels: Uint8ClampedArray,
  width: number,
  height: number,
  tracing: Tracing,
): { path: Path; parts: number; holes: number } {
  const { outer, smooth, smallest } = tracing;
  const field = fieldOf(pixels, width * height, tracing);
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

/** For each pixel how far it is inside, 0.5 where the outline runs. */
function fieldOf(pixels: Uint8ClampedArray, count: number, { by, threshold, colour }: Tracing): Float32Array {
  const level = threshold * 255;
  const [red, green, blue] = rgbOf(colour).map((channel) => channel * 255) as [number, number, number];
  const field = new Float32Array(count);
  for (let i = 0; i < count; i++) {
    const [r, g, b, alpha] = [pixels[4 * i]!, pixels[4 * i + 1]!, pixels[4 * i + 2]!, pixels[4 * i + 3]!];
    if (by === 'clearness') field[i] = 0.5 + (alpha - level) / 510;
    else if (by === 'darkness') {
      // Rec. 709 luma of the stored values, what is clear counting as white.
      const luma = 0.2126 * r + 0.7152 * g + 0.0722 * b;
      field[i] = 0.5 + (level - (255 + ((luma - 255) * alpha) / 255)) / 510;
    } else {
      const away = Math.sqrt(((r - red) ** 2 + (g - green) ** 2 + (b - blue) ** 2) / 3);
      // What is clear has no colour.
      field[i] = 0.5 + Math.min(level - away, alpha - 127.5) / 510;
    }
  }
  return field;
}
