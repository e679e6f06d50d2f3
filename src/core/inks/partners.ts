/** Inks that go with one ink: harmonies in OKLCH, made of the inks that are at hand. */
import { formatHex, toOklch } from '@/core/color/spaces';
import { nearestInks } from '@/core/inks/near';
import { random } from '@/core/random';
import type { NamedInk } from '@/core/supplies/model';

/** Degrees of hue between an ink and its partners; the names are the classic ones of colour teaching. */
const HARMONIES = [
  { name: 'Opposite', hues: [180] },
  { name: 'Beside it', hues: [-30, 30] },
  { name: 'Three apart', hues: [120, 240] },
  { name: 'Opposite, split', hues: [150, 210] },
  { name: 'Square', hues: [90, 180, 270] },
] as const;

export interface Partners {
  name: string;
  inks: NamedInk[];
  /** Mean CIEDE2000 between what the harmony asks for and the inks that stand for it: the less, the truer. */
  off: number;
}

type Lch = { l: number; c: number; h: number };
const lchOf = (colour: string): Lch => {
  const { l, c, h = 0 } = toOklch(colour)!;
  return { l, c, h };
};
const hexOf = ({ l, c, h }: Lch): string => formatHex({ mode: 'oklch', l, c, h: ((h % 360) + 360) % 360 });

/** Below this an ink is a grey and has no hue to turn. */
const GREY = 0.02;
/** Lightness of a family's steps, and how pale neutrals are. */
const STEPS = [0.93, 0.8, 0.62, 0.42];
const NEUTRAL = 0.018;

/** For each wanted colour the nearest ink that is not taken yet. */
function standIns(
  name: string,
  wanted: readonly string[],
  inks: readonly NamedInk[],
  own: string,
): Partners | null {
  const taken = new Set([own]);
  const found: NamedInk[] = [];
  let off = 0;
  for (const colour of wanted) {
    const [near] = nearestInks(
      colour,
      inks.filter((ink) => !taken.has(ink.colour)),
      1,
    );
    if (!near) return null;
    taken.add(near.ink.colour);
    found.push(near.ink);
    off += near.by / wanted.length;
  }
  return { name, inks: found, off };
}

/**
 * Proposals for one ink (`#rrggbb`) out of others, truest first: the classic harmonies by turning the hue in OKLCH at equal
 * lightness and chroma, its own family in lighter and darker steps, and neutrals with a breath of its hue. A grey has its
 * family and neutrals alone.
 */
export function partnersOf(colour: string, inks: readonly NamedInk[]): Partners[] {
  const own = lchOf(colour);
  const turned = own.c < GREY ? [] : HARMONIES;
  const family = STEPS.filter((l) => Math.abs(l - own.l) > 0.06).map((l) =>
    hexOf({ ...own, l, c: own.c * Math.min(1, 4 * l * (1 - l) + 0.25) }),
  );
  const neutrals = [0.96, 0.75, 0.35].map((l) => hexOf({ l, c: NEUTRAL, h: own.h }));
  return [
    ...turned.map(({ name, hues }) => ({
      name: name as string,
      wanted: hues.map((by) => hexOf({ ...own, h: own.h + by })),
    })),
    { name: 'Its family', wanted: family },
    { name: 'Neutrals', wanted: neutrals },
  ]
    .flatMap(({ name, wanted }) => standIns(name, wanted, inks, colour) ?? [])
    .sort((a, b) => a.off - b.off);
}

/** Three or four inks by chance that are neither too like each other nor too like the one they go with; the same for a seed. */
export function chancePartners(colour: string, inks: readonly NamedInk[], seed: number): Partners | null {
  const next = random(seed);
  const own = lchOf(colour);
  const start = next() * 360;
  const count = 3 + Math.floor(next() * 2);
  const wanted = Array.from({ length: count }, (_, i) =>
    hexOf({
      l: 0.35 + 0.55 * next(),
      c: Math.max(0.03, own.c) * (0.4 + 0.9 * next()),
      h: start + (360 / count) * i * (0.4 + 0.6 * next()),
    }),
  );
  return standIns('By chance', wanted, inks, colour);
}
