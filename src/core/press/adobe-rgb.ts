/** Adobe RGB (1998), as photo labs ask for it: the space by its published definition, and sRGB brought into it. */
import { toLinear } from '@/core/color/srgb';
import { rgbProfile } from '@/core/press/rgb-profile';

/** Adobe RGB (1998) Color Image Encoding, 4.3.4.2: 563/256. */
const GAMMA = 563 / 256;
/** Its primaries (0.64, 0.33), (0.21, 0.71), (0.15, 0.06) under D65, brought to D50 by Bradford (Lindbloom's numbers, from memory). */
const PRIMARIES = {
  rXYZ: [0.6097559, 0.3111242, 0.0194811],
  gXYZ: [0.2052401, 0.625656, 0.0608902],
  bXYZ: [0.149224, 0.0632197, 0.7448387],
} as const;

export const adobeRgb = (): Uint8Array =>
  rgbProfile({ name: 'Adobe RGB (1998)', primaries: PRIMARIES, curve: { type: 0, values: [GAMMA] } });

/** Linear sRGB to linear Adobe RGB: both have the white D65, and the same red and blue, so that only these shares are not 0. */
const [RR, RG, GG, BG, BB] = [0.7151627, 0.2848373, 1, 0.0411734, 0.9588266];

const LINEAR = Float64Array.from({ length: 256 }, (_, byte) => toLinear(byte / 255));
/** Coded values of linear light in 4,096 steps: finer than eight bits can tell. */
const STEPS = 4095;
const CODED = Uint8ClampedArray.from({ length: STEPS + 1 }, (_, i) =>
  Math.round(255 * (i / STEPS) ** (1 / GAMMA)),
);

/** Pixels (RGBA, 8 bits) in sRGB written anew in place. */
export function asAdobeRgb(rgba: Uint8ClampedArray): void {
  for (let i = 0; i < rgba.length; i += 4) {
    const [r, g, b] = [LINEAR[rgba[i]!]!, LINEAR[rgba[i + 1]!]!, LINEAR[rgba[i + 2]!]!];
    rgba[i] = CODED[Math.round(STEPS * (RR * r + RG * g))]!;
    rgba[i + 1] = CODED[Math.round(STEPS * GG * g)]!;
    rgba[i + 2] = CODED[Math.round(STEPS * (BG * g + BB * b))]!;
  }
}
