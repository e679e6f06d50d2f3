/**
 * A picture of a few flat tones told apart: where each tone lies, as smooth outlines. Edges may be soft: a pixel between two
 * tones counts in part for each, so that outlines run between pixels.
 */
import { toOklab } from '@/core/color/spaces';
import { fitRing } from '@/core/geometry/fit';
import { signedArea } from '@/core/geometry/offset';
import type { Point } from '@/core/geometry/matrix';
import type { Path } from '@/core/geometry/path';
import { addCell, ringsOf, type Ways } from '@/core/pixels/squares';

export interface Tone {
  /** `#rrggbb` */
  colour: string;
  /** How much of the picture it covers, 0 to 1. */
  share: number;
  /** Separate areas. */
  areas: number;
  /** All areas with their holes, in the picture's pixels. */
  path: Path;
}

export interface Tones {
  tones: Tone[];
  /** How many tones were there before they were reduced; more than asked for means a photograph or a painting. */
  found: number;
}

export const MOST_TONES = 24;
/** Areas of fewer pixels are dust. */
const DUST = 12;
/** Tones nearer to each other than this in OKLab (Ottosson 2020) are one. */
const ALIKE = 0.045;
/** A tone that covers less of the flat pixels than this is none. */
const LEAST_SHARE = 0.0004;
/** How far a fitted outline may lie from the traced one, pixels; tracing itself stays within 0.2. */
const FIT = 0.25;
/** How far a soft edge's pixel may be from the flat tones it lies between. */
const REACH = 3;
/** Channel values between neighbours that still count as flat. */
const EVEN = 6;
/** Clear pixels are their own tone: nothing is cut from it. */
const CLEAR = 40;

/** Tells apart the tones of RGBA pixels (8 bits), at most `most` of them, the largest first. */
export function tonesOf(pixels: Uint8ClampedArray, width: number, height: number, most: number): Tones {
  const { labels, centres, found } = flat(pixels, width, height, most);
  const soft = between(pixels, width, height, labels, centres);
  const rings = contours(width, height, labels, soft, centres.length);
  const count = new Float64Array(centres.length);
  for (let i = 0; i < labels.length;) {
    const label = labels[i]!;
    const from = i;
    while (i < labels.length && labels[i] === label) i++;
    if (label >= 0) count[label]! += i - from;
  }
  const all = width * height;
  const tones = centres.map(({ r, g, b, clear }, i): Tone & { clear: boolean } => {
    const kept = rings[i]!.filter((ring) => Math.abs(signedArea(ring)) >= DUST);
    return {
      clear,
      colour: `#${[r, g, b].map((v) => Math.round(v).toString(16).padStart(2, '0')).join('')}`,
      share: count[i]! / all,
      areas: kept.filter((ring) => signedArea(ring) > 0).length,
      path: kept.flatMap((ring) => fitRing(ring, FIT)),
    };
  });
  return {
    tones: tones
      .filter(({ clear, areas }) => !clear && areas > 0)
      .sort((a, b) => b.share - a.share)
      .map(({ clear: _, ...tone }) => tone),
    found,
  };
}

interface Centre {
  r: number;
  g: number;
  b: number;
  clear: boolean;
}

/** Labels of flat pixels (-1: soft edge), and the tones' colours. */
function flat(pixels: Uint8ClampedArray, width: number, height: number, most: number) {
  const all = width * height;
  const words = new Uint32Array(pixels.buffer, pixels.byteOffset, all);
  const even = evenPixels(pixels, words, width, height);
  const counts = new Uint32Array(BINS);
  const sums = [0, 1, 2].map(() => new Float64Array(BINS));
  let clear = 0;
  let flats = 0;
  // Flat tones come in long runs of one value: each run is counted at once.
  for (let i = 0; i < all;) {
    const from = i;
    const word = words[i]!;
    let run = 0;
    for (; i < all && words[i] === word; i++) run += even[i]!;
    if (run === 0) continue;
    flats += run;
    if (pixels[4 * from + 3]! < CLEAR) {
      clear += run;
      continue;
    }
    const bin = binOf(pixels, from);
    counts[bin]! += run;
    for (let k = 0; k < 3; k++) sums[k]![bin]! += run * pixels[4 * from + k]!;
  }
  const { centres, found, toneOf } = merge(counts, sums, flats, most);
  if (clear > 0) centres.push({ r: 255, g: 255, b: 255, clear: true });
  const labels = new Int8Array(all).fill(-1);
  for (let i = 0; i < all;) {
    const word = words[i]!;
    const label = pixels[4 * i + 3]! < CLEAR ? centres.length - 1 : toneOf[binOf(pixels, i)]!;
    for (; i < all && words[i] === word; i++) if (even[i]) labels[i] = label;
  }
  return { labels, centres, found };
}

/** 1 for each pixel that is like its four neighbours. */
function evenPixels(
  pixels: Uint8ClampedArray,
  words: Uint32Array,
  width: number,
  height: number,
): Uint8Array {
  const even = new Uint8Array(words.length);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      const word = words[i]!;
      const left = x > 0 ? i - 1 : i;
      const right = x < width - 1 ? i + 1 : i;
      const up = y > 0 ? i - width : i;
      const down = y < height - 1 ? i + width : i;
      const same =
        word === words[left] && word === words[right] && word === words[up] && word === words[down];
      if (
        same ||
        (like(pixels, i, left) && like(pixels, i, right) && like(pixels, i, up) && like(pixels, i, down))
      )
        even[i] = 1;
    }
  return even;
}

const like = (pixels: Uint8ClampedArray, i: number, j: number): boolean =>
  Math.abs(pixels[4 * i]! - pixels[4 * j]!) <= EVEN &&
  Math.abs(pixels[4 * i + 1]! - pixels[4 * j + 1]!) <= EVEN &&
  Math.abs(pixels[4 * i + 2]! - pixels[4 * j + 2]!) <= EVEN &&
  Math.abs(pixels[4 * i + 3]! - pixels[4 * j + 3]!) <= EVEN;

/** Colours are counted by the upper five bits of each channel. */
const BINS = 1 << 15;
const binOf = (pixels: Uint8ClampedArray, i: number): number =>
  ((pixels[4 * i]! >> 3) << 10) | ((pixels[4 * i + 1]! >> 3) << 5) | (pixels[4 * i + 2]! >> 3);

/** Bins of like colours become tones, the fullest first; what is left over goes to the nearest. */
function merge(counts: Uint32Array, sums: readonly Float64Array[], flats: number, most: number) {
  const bins = [...counts.keys()].filter((bin) => counts[bin]! > 0).sort((a, b) => counts[b]! - counts[a]!);
  const middle = (bin: number) => {
    const [r, g, b] = sums.map((sum) => sum[bin]! / counts[bin]!) as [number, number, number];
    return { r, g, b };
  };
  const lab = (c: { r: number; g: number; b: number }) =>
    toOklab({ mode: 'rgb', r: c.r / 255, g: c.g / 255, b: c.b / 255 });
  type Lab = ReturnType<typeof lab>;
  const apart = (p: Lab, q: Lab) => Math.hypot(p.l - q.l, p.a - q.a, p.b - q.b);
  const tones: { lab: Lab; sum: [number, number, number]; count: number; bins: number[] }[] = [];
  const nearest = (at: Lab) =>
    tones.reduce(
      (best, tone, i) => {
        const off = apart(tone.lab, at);
        return off < best.off ? { i, off } : best;
      },
      { i: -1, off: Infinity },
    );
  const stray: number[] = [];
  for (const bin of bins) {
    const at = lab(middle(bin));
    const { i, off } = nearest(at);
    if (off > ALIKE && counts[bin]! >= LEAST_SHARE * flats)
      tones.push({ lab: at, sum: [0, 0, 0], count: 0, bins: [] });
    else if (off > ALIKE) {
      stray.push(bin);
      continue;
    }
    const tone = off > ALIKE ? tones[tones.length - 1]! : tones[i]!;
    const { r, g, b } = middle(bin);
    tone.sum = [
      tone.sum[0] + r * counts[bin]!,
      tone.sum[1] + g * counts[bin]!,
      tone.sum[2] + b * counts[bin]!,
    ];
    tone.count += counts[bin]!;
    tone.bins.push(bin);
  }
  const found = tones.length;
  tones.sort((a, b) => b.count - a.count);
  const left = tones.splice(most);
  const toneOf = new Int8Array(BINS).fill(-1);
  tones.forEach(({ bins: own }, i) => own.forEach((bin) => (toneOf[bin] = i)));
  for (const bin of [...left.flatMap(({ bins: own }) => own), ...stray])
    toneOf[bin] = nearest(lab(middle(bin))).i;
  const centres = tones.map(({ sum, count }): Centre => ({
    r: sum[0] / count,
    g: sum[1] / count,
    b: sum[2] / count,
    clear: false,
  }));
  return { centres, found, toneOf };
}

/** For each pixel of a soft edge the two tones it lies between, and how much of the second it is, 0 to 255. */
interface Soft {
  first: Int8Array;
  second: Int8Array;
  share: Uint8Array;
}

function between(
  pixels: Uint8ClampedArray,
  width: number,
  height: number,
  labels: Int8Array,
  centres: readonly Centre[],
): Soft {
  const all = width * height;
  const soft: Soft = {
    first: new Int8Array(all).fill(-1),
    second: new Int8Array(all).fill(-1),
    share: new Uint8Array(all),
  };
  const seen: number[] = [];
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      if (labels[i]! >= 0) continue;
      seen.length = 0;
      for (let reach = 1; reach <= REACH && seen.length < 2; reach++) {
        const right = Math.min(width - 1, x + reach);
        const bottom = Math.min(height - 1, y + reach);
        for (let ny = Math.max(0, y - reach); ny <= bottom; ny++)
          for (let nx = Math.max(0, x - reach); nx <= right; nx++) {
            const label = labels[ny * width + nx]!;
            if (label >= 0 && !seen.includes(label)) seen.push(label);
          }
      }
      const [first, second, share] = mixOf(pixels, i, seen, centres);
      soft.first[i] = first;
      soft.second[i] = second;
      soft.share[i] = share;
    }
  return soft;
}

/** The pair of tones on whose line this colour lies nearest. */
function mixOf(
  pixels: Uint8ClampedArray,
  i: number,
  near: readonly number[],
  centres: readonly Centre[],
): [number, number, number] {
  const alpha = pixels[4 * i + 3]! / 255;
  // What is half clear is mixed with white, as clear tones count for it.
  const [r, g, b] = [0, 1, 2].map((k) => pixels[4 * i + k]! * alpha + 255 * (1 - alpha)) as [
    number,
    number,
    number,
  ];
  if (near.length < 2) return [near[0] ?? nearestCentre(r, g, b, centres), -1, 0];
  let best: [number, number, number] = [near[0]!, -1, 0];
  let least = Infinity;
  for (let a = 0; a < near.length; a++)
    for (let c = a + 1; c < near.length; c++) {
      const [p, q] = [centres[near[a]!]!, centres[near[c]!]!];
      const [dr, dg, db] = [q.r - p.r, q.g - p.g, q.b - p.b];
      const long = dr * dr + dg * dg + db * db || 1;
      const t = Math.max(0, Math.min(1, ((r - p.r) * dr + (g - p.g) * dg + (b - p.b) * db) / long));
      const off = (p.r + t * dr - r) ** 2 + (p.g + t * dg - g) ** 2 + (p.b + t * db - b) ** 2;
      if (off < least) {
        least = off;
        best = [near[a]!, near[c]!, Math.round(t * 255)];
      }
    }
  return best;
}

const nearestCentre = (r: number, g: number, b: number, centres: readonly Centre[]): number =>
  centres.reduce(
    (best, c, i) => {
      const off = (c.r - r) ** 2 + (c.g - g) ** 2 + (c.b - b) ** 2;
      return off < best.off ? { i, off } : best;
    },
    { i: 0, off: Infinity },
  ).i;

/** Rings round each tone by marching squares, only where tones meet; outside the picture nothing is. */
function contours(width: number, height: number, labels: Int8Array, soft: Soft, count: number): Point[][][] {
  const ways = Array.from({ length: count }, () => new Map() as Ways);
  const across = width + 2;
  const cover = (tone: number, x: number, y: number): number => {
    if (x < 0 || y < 0 || x >= width || y >= height) return 0;
    const i = y * width + x;
    const label = labels[i]!;
    if (label >= 0) return label === tone ? 1 : 0;
    if (soft.first[i] === tone) return 1 - soft.share[i]! / 255;
    return soft.second[i] === tone ? soft.share[i]! / 255 : 0;
  };
  const tones: number[] = [];
  const note = (x: number, y: number) => {
    if (x < 0 || y < 0 || x >= width || y >= height) return;
    const i = y * width + x;
    for (const tone of labels[i]! >= 0 ? [labels[i]!] : [soft.first[i]!, soft.second[i]!])
      if (tone >= 0 && !tones.includes(tone)) tones.push(tone);
  };
  const inner = (x: number, y: number): boolean => {
    const i = y * width + x;
    const label = labels[i]!;
    return (
      label >= 0 && label === labels[i + 1] && label === labels[i + width] && label === labels[i + width + 1]
    );
  };
  for (let y = -1; y < height; y++)
    for (let x = -1; x < width; x++) {
      if (x >= 0 && y >= 0 && x < width - 1 && y < height - 1 && inner(x, y)) continue;
      tones.length = 0;
      note(x, y);
      note(x + 1, y);
      note(x, y + 1);
      note(x + 1, y + 1);
      for (const tone of tones) {
        const a = cover(tone, x, y);
        const b = cover(tone, x + 1, y);
        const c = cover(tone, x + 1, y + 1);
        const d = cover(tone, x, y + 1);
        addCell(ways[tone]!, x, y, across, a, b, c, d);
      }
    }
  return ways.map(ringsOf);
}
