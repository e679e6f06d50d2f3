/** Inks beside a colour: how far apart they are to the eye. */
import { differenceCiede2000, modeLab65, useMode as register } from 'culori/fn';
import { rgbOf } from '@/core/color/hex';
import { parseColour } from '@/core/color/spaces';
import { LUMA, toLinear } from '@/core/color/srgb';
import type { NamedInk } from '@/core/supplies/model';

register(modeLab65);

/** CIEDE2000 (CIE 142-2001; ISO/CIE 11664-6) under D65, kL = kC = kH = 1. */
const ciede = differenceCiede2000();

export interface NearInk {
  ink: NamedInk;
  /** CIEDE2000. */
  by: number;
}

/** The inks nearest to a colour, nearest first, at most `most`; each colour once. */
export function nearestInks(colour: string, inks: readonly NamedInk[], most: number): NearInk[] {
  const to = parseColour(colour);
  if (!to) return [];
  const seen = new Set<string>();
  const all = inks.flatMap((ink): NearInk[] => {
    if (seen.has(ink.colour)) return [];
    seen.add(ink.colour);
    return [{ ink, by: ciede(to, parseColour(ink.colour)!) }];
  });
  return all.sort((a, b) => a.by - b.by).slice(0, most);
}

/** How far apart, in words; the steps are common practice in print (a difference of 1 is just seen), no source. */
export function apartInWords(by: number): string {
  if (by < 0.5) return 'the same';
  if (by < 2) return 'hardly told apart';
  if (by < 5) return 'close';
  return by < 12 ? 'of its kind' : 'far off';
}

/** Contrast of two colours (`#rrggbb`), 1 to 21 (WCAG 2.2, relative luminance and contrast ratio). */
export function contrast(a: string, b: string): number {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

function luminance(colour: string): number {
  const [r, g, b] = rgbOf(colour);
  return LUMA[0] * toLinear(r) + LUMA[1] * toLinear(g) + LUMA[2] * toLinear(b);
}
