/** Light on a face that is not flat: from heights to slopes to light and shade (Lambert 1760; gloss by Blinn 1977). */
import type { Field } from '@/core/treatment/field';
import type { Layer, Toward } from '@/core/treatment/treatment';

export interface Gloss {
  /** How much of the light is mirrored, 0 to 1, and how sharply: larger is smaller and harder. */
  amount: number;
  sharpness: number;
}

/**
 * Lights a face whose height, points, is given for each pixel. What a flat face would show stays as it is: only the
 * difference is laid on, light where it turns to the lamp, shade where it turns away.
 */
export function light(
  { width, height, scale, cover }: Field,
  heights: Float32Array,
  toward: Toward,
  strength: number,
  out: Layer,
  gloss?: Gloss,
): void {
  const half = { x: toward.x, y: toward.y, z: toward.z + 1 };
  const long = Math.hypot(half.x, half.y, half.z) || 1;
  const flatGloss = gloss ? (half.z / long) ** gloss.sharpness : 0;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      if (cover[i] === 0) continue;
      const left = heights[x > 0 ? i - 1 : i]!;
      const right = heights[x < width - 1 ? i + 1 : i]!;
      const up = heights[y > 0 ? i - width : i]!;
      const down = heights[y < height - 1 ? i + width : i]!;
      const sx = ((right - left) * scale) / 2;
      const sy = ((down - up) * scale) / 2;
      if (sx === 0 && sy === 0 && !gloss) continue;
      const n = 1 / Math.sqrt(sx * sx + sy * sy + 1);
      const lit = (-sx * toward.x - sy * toward.y + toward.z) * n - toward.z;
      if (lit < 0) out.shade(i, -lit * 1.1 * strength);
      else out.shine(i, lit * 0.9 * strength);
      if (!gloss) continue;
      const mirrored = Math.max(0, (-sx * half.x - sy * half.y + half.z) * n) / long;
      out.shine(i, gloss.amount * Math.max(0, mirrored ** gloss.sharpness - flatGloss));
    }
}

/** A rim `width` points wide that rises to `rise`, points, as `profile` (0 to 1 of the way) says; flat within. */
export function rim(field: Field, width: number, rise: number, profile: (t: number) => number): Float32Array {
  const depth = field.depth();
  const heights = new Float32Array(depth.length);
  for (let i = 0; i < depth.length; i++) {
    const d = depth[i]!;
    if (d > 0) heights[i] = rise * (d >= width ? 1 : profile(d / width));
  }
  // The edge is known to a fraction of a pixel only: what is left of its steps is smoothed away.
  soften(heights, field.width, field.height, Math.max(1, Math.round(0.09 * width * field.scale)));
  return heights;
}

/** A mean over `reach` pixels each way, across and down. */
function soften(values: Float32Array, width: number, height: number, reach: number): void {
  const line = new Float32Array(Math.max(width, height));
  const along = (start: number, step: number, count: number) => {
    const at = (k: number) => values[start + step * Math.min(count - 1, Math.max(0, k))]!;
    let sum = 0;
    for (let k = -reach; k <= reach; k++) sum += at(k);
    for (let k = 0; k < count; k++) {
      line[k] = sum / (2 * reach + 1);
      sum += at(k + reach + 1) - at(k - reach);
    }
    for (let k = 0; k < count; k++) values[start + step * k] = line[k]!;
  };
  for (let y = 0; y < height; y++) along(y * width, 1, width);
  for (let x = 0; x < width; x++) along(x, width, height);
}

/** Smooth at both ends. */
export const bevel = (t: number): number => t * t * (3 - 2 * t);
/** A quarter of an ellipse: what treatment tension makes of a drop. */
export const dome = (t: number): number => Math.sqrt(Math.max(0, 1 - (1 - t) * (1 - t)));
