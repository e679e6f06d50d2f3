/** Ink sets as they are looked at: in the set's own order or one's own, sorted, retired inks left out. */
import { toOklch } from '@/core/color/spaces';
import { colourWords } from '@/core/supplies/colours';
import type { NamedInk, Supply } from '@/core/supplies/model';

export type InkSet = Pick<Supply, 'inks' | 'arranged'>;
export const SORTINGS = ['own', 'hue', 'light', 'family'] as const;
export type Sorting = (typeof SORTINGS)[number];

/** Chroma below which an ink is a grey; greys come before all hues. */
const GREY = 0.02;
const hueOf = (colour: string): number => {
  const { c, h = 0 } = toOklch(colour)!;
  return c < GREY ? -1 : h;
};
const lightOf = (colour: string): number => toOklch(colour)!.l;
/** What the set says, or the plain word for its colour. */
export const familyOf = ({ family, colour }: NamedInk): string => family ?? colourWords(colour)[0]!;

/** The numbers of a set's inks in the order one arranged them, in its own without; each once, whatever was kept. */
export function orderOf({ inks = [], arranged = [] }: InkSet): number[] {
  const kept = [...new Set(arranged)].filter((i) => i >= 0 && i < inks.length);
  const seen = new Set(kept);
  return [...kept, ...[...inks.keys()].filter((i) => !seen.has(i))];
}

/** An order as a set keeps it: none where it is the set's own. */
export const arrangement = (order: readonly number[]): number[] | undefined =>
  order.every((at, i) => at === i) ? undefined : [...order];

/** A set's inks in that order. */
export const arrangedInks = (set: InkSet): NamedInk[] => orderOf(set).map((i) => set.inks![i]!);

/** The numbers of inks, sorted; what is equal stays in its order. */
export function sortedInks(inks: readonly NamedInk[], by: Sorting): number[] {
  const all = [...inks.keys()];
  const keys = inks.map((ink) => ({
    hue: hueOf(ink.colour),
    light: -lightOf(ink.colour),
    family: familyOf(ink),
  }));
  const rank = (a: number, b: number): number => {
    const [one, other] = [keys[a]!, keys[b]!];
    if (by === 'family') return one.family.localeCompare(other.family) || one.light - other.light;
    return by === 'own' ? 0 : one[by] - other[by];
  };
  return all.sort(rank);
}
