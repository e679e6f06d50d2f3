/** Which of some colours takes the place of which ink of a page. */
import { apartSquared, toOklab, toOklch } from '@/core/color/spaces';
import type { UsedInk } from '@/core/inks/used';

export const MATCHINGS = ['lightness', 'area', 'nearest'] as const;
export type Matching = (typeof MATCHINGS)[number];

/** Chroma below which an ink is a grey, a white or a black. */
const NEUTRAL = 0.03;
const isNeutral = (colour: string): boolean => toOklch(colour)!.c < NEUTRAL;

const lightness = (colour: string): number => toOklab(colour)!.l;
const apart = (a: string, b: string): number => apartSquared(toOklab(a)!, toOklab(b)!);

/** The place in a row of `to` that stands as far along it as `i` does in one of `from`. */
const along = (i: number, from: number, to: number): number =>
  from < 2 ? 0 : Math.round((i * (to - 1)) / (from - 1));

/**
 * For each ink of a page the colour that takes its place: by lightness (what was lighter than another is not darker afterwards),
 * by area (what covers most gets the first colour), or the nearest in OKLab. `colours` begin with what matters most. With
 * `neutralsStay` greys, whites and blacks are left as they are.
 */
export function matchInks(
  used: readonly UsedInk[],
  colours: readonly string[],
  how: Matching,
  neutralsStay: boolean,
): Map<string, string> {
  if (!colours.length) return new Map();
  const inks = used.filter(({ colour }) => !(neutralsStay && isNeutral(colour)));
  if (how === 'nearest')
    return new Map(
      inks.map(({ colour }) => [
        colour,
        [...colours].sort((a, b) => apart(a, colour) - apart(b, colour))[0]!,
      ]),
    );
  if (how === 'area')
    return new Map(inks.map(({ colour }, i) => [colour, colours[Math.min(i, colours.length - 1)]!]));
  const falling = (all: readonly string[]) => [...all].sort((a, b) => lightness(b) - lightness(a));
  const to = falling(colours);
  return new Map(
    falling(inks.map(({ colour }) => colour)).map((colour, i, all) => [
      colour,
      to[along(i, all.length, to.length)]!,
    ]),
  );
}
