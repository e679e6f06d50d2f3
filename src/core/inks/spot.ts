/** The colour of a spot. */
import { formatHex } from '@/core/color/spaces';
import { toEncoded, toLinear } from '@/core/color/srgb';

/** The mean of RGBA pixels, taken of light and not of numbers, as `#rrggbb`; clear ones do not count, and all clear is white. */
export function spotColour(data: Uint8ClampedArray): string {
  const sums = [0, 0, 0];
  let count = 0;
  for (let i = 0; i < data.length; i += 4) {
    if (data[i + 3] === 0) continue;
    for (let c = 0; c < 3; c++) sums[c]! += toLinear(data[i + c]! / 255);
    count += 1;
  }
  const [r = 1, g = 1, b = 1] = count ? sums.map((sum) => toEncoded(sum / count)) : [];
  return formatHex({ mode: 'rgb', r, g, b })!;
}
