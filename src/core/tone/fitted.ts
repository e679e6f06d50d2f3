/** What of light and tone depends on how a photo lies on the page: sharpening at its printed size, darker corners of what is seen. */
import { LUMA } from '@/core/color/srgb';
import type { Size } from '@/core/geometry/box';
import type { Fit, Tone } from '@/core/tone/settings';

/** Standard deviation of the blur that is taken away, inches of paper: 1.5 pixels at 300 ppi (common practice, no source). */
const FINENESS = 1.5 / 300;
/** Below this, in pixels, nothing is finer than a pixel, and sharpening would only show the grid. */
const FINEST = 0.35;
/** How much of the difference is added at 100. */
const MOST = 1.6;
/** From which share of the way to the corner on it darkens, and by how much at the corner; our own choice. */
const EVEN = 0.35;
const DARKEST = 0.8;

type Pixels = Size & { data: Uint8ClampedArray };

/** Sharpens, then darkens or lightens the corners; RGBA in place, any part of the picture's own resolution. */
export function applyFitted(pixels: Pixels, { values, strength }: Tone, fit: Fit): void {
  const [a, b] = fit.matrix;
  const inches = Math.hypot(a, b) / 72;
  const sigma = (FINENESS * pixels.width) / inches;
  if (values.sharpen && sigma >= FINEST) sharpen(pixels, sigma, (MOST * strength * values.sharpen) / 100);
  if (values.vignette) vignette(pixels, (strength * values.vignette) / 100, fit);
}

/** Unsharp masking of the luma: what a Gaussian of `sigma` pixels takes away is added `amount` times. Colours keep their hue. */
export function sharpen({ data, width, height }: Pixels, sigma: number, amount: number): void {
  const luma = new Float32Array(width * height);
  for (let at = 0, i = 0; at < luma.length; at++, i += 4)
    luma[at] = LUMA[0] * data[i]! + LUMA[1] * data[i + 1]! + LUMA[2] * data[i + 2]!;
  const soft = blurred(luma, width, height, sigma);
  for (let at = 0, i = 0; at < luma.length; at++, i += 4) {
    const more = amount * (luma[at]! - soft[at]!);
    data[i] = data[i]! + more;
    data[i + 1] = data[i + 1]! + more;
    data[i + 2] = data[i + 2]! + more;
  }
}

/** A Gaussian, three deviations wide each way; the edge goes on beyond the edge. */
function blurred(from: Float32Array, width: number, height: number, sigma: number): Float32Array {
  const reach = Math.ceil(3 * sigma);
  const weights = Float32Array.from({ length: reach + 1 }, (_, i) =>
    Math.exp(-(i * i) / (2 * sigma * sigma)),
  );
  const whole = weights.reduce((sum, weight, i) => sum + (i ? 2 : 1) * weight, 0);
  weights.forEach((weight, i) => (weights[i] = weight / whole));
  const across = new Float32Array(from.length);
  const line = new Float32Array(width + 2 * reach);
  for (let y = 0; y < height; y++) {
    const row = y * width;
    line.fill(from[row]!, 0, reach);
    line.set(from.subarray(row, row + width), reach);
    line.fill(from[row + width - 1]!, reach + width);
    for (let x = 0; x < width; x++) {
      let sum = weights[0]! * line[x + reach]!;
      for (let k = 1; k <= reach; k++) sum += weights[k]! * (line[x + reach - k]! + line[x + reach + k]!);
      across[row + x] = sum;
    }
  }
  const down = new Float32Array(from.length);
  for (let y = 0; y < height; y++) {
    const row = y * width;
    for (let k = -reach; k <= reach; k++) {
      const other = Math.min(height - 1, Math.max(0, y + k)) * width;
      const weight = weights[Math.abs(k)]!;
      for (let x = 0; x < width; x++) down[row + x] = down[row + x]! + weight * across[other + x]!;
    }
  }
  return down;
}

/** Corners of what is seen: `amount` 1 darkens them most, -1 lightens. */
function vignette({ data, width, height }: Pixels, amount: number, fit: Fit): void {
  const [a, b, c, d, e, f] = fit.matrix;
  const [halfWidth, halfHeight] = [fit.width / 2, fit.height / 2];
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i += 4) {
      const [u, v] = [(x + 0.5) / width, (y + 0.5) / height];
      const far = Math.hypot((a * u + c * v + e) / halfWidth, (b * u + d * v + f) / halfHeight) / Math.SQRT2;
      if (far <= EVEN) continue;
      const part = Math.min(1, (far - EVEN) / (1 - EVEN)) ** 2 * DARKEST;
      for (let k = i; k < i + 3; k++)
        data[k] = amount > 0 ? data[k]! * (1 - amount * part) : data[k]! + (255 - data[k]!) * -amount * part;
    }
}
