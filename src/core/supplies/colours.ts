/** What colours a supply is mostly made of, and the plain words people search them by. */
import { formatHex, toOklab, toOklch } from '@/core/color/spaces';

/** Bits a channel keeps when pixels are gathered into bins. */
const BITS = 4;
/** A colour must be this share of what is seen to count. */
const LEAST_SHARE = 0.08;
/** Colours nearer than this in OKLab count as one. */
const ALIKE = 0.09;

/** Bins beyond these are too small to matter. */
const MOST_BINS = 400;

interface Bin {
  count: number;
  r: number;
  g: number;
  b: number;
}

/** Up to three colours (`#rrggbb`) that are most of what can be seen of the pixels (RGBA), most first. */
export function mainColours(pixels: Uint8ClampedArray): string[] {
  const bins = new Map<number, Bin>();
  let seen = 0;
  for (let i = 0; i < pixels.length; i += 4) {
    if (pixels[i + 3]! < 128) continue;
    seen += 1;
    const [r, g, b] = [pixels[i]!, pixels[i + 1]!, pixels[i + 2]!];
    const shift = 8 - BITS;
    const key = ((r >> shift) << (2 * BITS)) | ((g >> shift) << BITS) | (b >> shift);
    const bin = bins.get(key) ?? { count: 0, r: 0, g: 0, b: 0 };
    bin.count += 1;
    bin.r += r;
    bin.g += g;
    bin.b += b;
    bins.set(key, bin);
  }
  // Each bin joins the first, larger group whose seed is alike.
  const groups: (Bin & { seed: Lab })[] = [];
  for (const bin of [...bins.values()].sort((a, b) => b.count - a.count).slice(0, MOST_BINS)) {
    const lab: Lab = toOklab(meanOf(bin));
    const near = groups.find(
      ({ seed }) => Math.hypot(seed.l - lab.l, seed.a - lab.a, seed.b - lab.b) < ALIKE,
    );
    if (near) {
      near.count += bin.count;
      near.r += bin.r;
      near.g += bin.g;
      near.b += bin.b;
    } else groups.push({ ...bin, seed: lab });
  }
  return groups
    .sort((a, b) => b.count - a.count)
    .filter(({ count }, i) => i === 0 || count >= LEAST_SHARE * seen)
    .slice(0, 3)
    .map((group) => formatHex(meanOf(group)));
}

type Lab = NonNullable<ReturnType<typeof toOklab>>;

const meanOf = ({ count, r, g, b }: Bin) => ({
  mode: 'rgb' as const,
  r: r / count / 255,
  g: g / count / 255,
  b: b / count / 255,
});

/** Families of hue, by OKLCH hue in degrees up to and without `to`; the names are ordinary English. */
const HUES: readonly { to: number; words: string[] }[] = [
  { to: 15, words: ['pink'] },
  { to: 42, words: ['red'] },
  { to: 72, words: ['orange'] },
  { to: 112, words: ['yellow'] },
  { to: 155, words: ['green'] },
  { to: 215, words: ['teal'] },
  { to: 275, words: ['blue'] },
  { to: 318, words: ['purple'] },
  { to: 361, words: ['pink'] },
];

/** The words a person might search a colour by: its family first, then what else it may be called. */
export function colourWords(hex: string): string[] {
  const { l, c, h = 0 } = toOklch(hex)!;
  if (c < 0.025)
    return l > 0.93
      ? ['white']
      : l > 0.82 && c > 0.008
        ? ['cream', 'white']
        : l < 0.28
          ? ['black']
          : ['grey'];
  const { words } = HUES.find(({ to }) => h < to)!;
  const [family] = words as [string];
  if (h >= 42 && h < 105 && c < 0.075 && l > 0.8) return ['cream', family];
  if (h >= 42 && h < 105 && (l < 0.58 || c < 0.085))
    return l < 0.58 ? ['brown', family] : ['tan', 'brown', 'kraft'];
  if ((family === 'red' || family === 'pink') && l > 0.68) return ['pink', family];
  if (family === 'pink' && l < 0.45) return ['plum', 'purple'];
  if (family === 'blue' && l < 0.4) return ['navy', 'blue'];
  if (family === 'teal') return ['teal', 'turquoise', h > 190 ? 'blue' : 'green'];
  return words;
}

/** The colour families a grid can be filtered by. */
export const COLOUR_FAMILIES = [
  'white',
  'cream',
  'tan',
  'brown',
  'yellow',
  'orange',
  'red',
  'pink',
  'purple',
  'navy',
  'blue',
  'teal',
  'green',
  'grey',
  'black',
] as const;
