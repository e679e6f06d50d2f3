/** A page as it is looked at before it is printed: its colours on paper, what no press reaches, how much ink lies where. */
import type { Press, ProofHow } from '@/core/press/press';

export interface LookedFor extends ProofHow {
  /** What cannot be printed as it is is striped. */
  marked: boolean;
  /** The pixels are in Display P3 in place of sRGB. */
  wide?: boolean;
}

export interface Looked {
  pixels: Uint8ClampedArray<ArrayBuffer>;
  /** How much of the page is beyond reach, 0 to 1. */
  beyond: number;
  /** The most ink on one spot, all four together, percent. */
  mostInk: number;
}

/** Farther off than this is another colour to anyone, CIEDE2000 in tenths (common practice, no source; Little CMS warns at 5, too). */
export const PLAIN_TO_SEE = 50;

/** Stripes that are seen on any colour, and by their pattern without any: pixels wide, in two colours. */
const STRIPE = 4;
const STRIPES = [
  [20, 224, 192],
  [8, 84, 76],
] as const;

export function lookedAt(press: Press, rgba: Uint8ClampedArray, width: number, how: LookedFor): Looked {
  const { pixels, inks } = press.printed(rgba, how, how.wide);
  const distances = press.beyond(rgba, how.wide);
  let [beyond, most] = [0, 0];
  for (let i = 0, at = 0; i < distances.length; i++, at += 4) {
    const ink = inks[at]! + inks[at + 1]! + inks[at + 2]! + inks[at + 3]!;
    if (ink > most) most = ink;
    if (distances[i]! < PLAIN_TO_SEE) continue;
    beyond++;
    if (!how.marked) continue;
    const stripe = ((i % width) + Math.floor(i / width)) % (2 * STRIPE) < STRIPE ? 0 : 1;
    pixels.set(STRIPES[stripe], at);
  }
  return { pixels, beyond: beyond / Math.max(1, distances.length), mostInk: (100 * most) / 255 };
}
