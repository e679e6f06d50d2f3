/** How the light of a photo is spread, and what follows for its exposure. */
import { LUMA, toLinear } from '@/core/color/srgb';
import { toneWith, type Tone } from '@/core/tone/settings';

export interface Histogram {
  /** Pixels of each value from 0 to 255. */
  red: Uint32Array;
  green: Uint32Array;
  blue: Uint32Array;
  luma: Uint32Array;
  pixels: number;
  /** Shares of pixels that are plain black, and of those where a channel has reached its end at white. */
  black: number;
  white: number;
}

/** Of RGBA; transparent pixels do not count. */
export function histogramOf(data: Uint8ClampedArray): Histogram {
  const [red, green, blue, luma] = [0, 1, 2, 3].map(() => new Uint32Array(256)) as [
    Uint32Array,
    Uint32Array,
    Uint32Array,
    Uint32Array,
  ];
  let [pixels, black, white] = [0, 0, 0];
  for (let i = 0; i < data.length; i += 4) {
    if (data[i + 3] === 0) continue;
    const [r, g, b] = [data[i]!, data[i + 1]!, data[i + 2]!];
    red[r]!++;
    green[g]!++;
    blue[b]!++;
    luma[Math.round(LUMA[0] * r + LUMA[1] * g + LUMA[2] * b)]!++;
    pixels++;
    if (r === 0 && g === 0 && b === 0) black++;
    if (r === 255 || g === 255 || b === 255) white++;
  }
  const of = pixels || 1;
  return { red, green, blue, luma, pixels, black: black / of, white: white / of };
}

/** The value below which a share of the pixels lies. */
export function percentile(counts: Uint32Array, share: number): number {
  const total = counts.reduce((sum, count) => sum + count, 0);
  let sum = 0;
  for (let value = 0; value < counts.length; value++) {
    sum += counts[value]!;
    if (sum >= share * total && sum > 0) return value;
  }
  return counts.length - 1;
}

/**
 * What light a photo wants, by its luma: exposure brings the 99th percentile to nine tenths of white in linear light, by one
 * stop and a half at most; shadows are opened by as much as the median then lies below 0.4, contrast is raised where less
 * than six tenths of the range lie between the 2nd and the 98th percentile. Colours are left alone.
 */
export function autoTone({ luma }: Pick<Histogram, 'luma'>, tone: Tone): Tone {
  const bright = Math.max(toLinear(percentile(luma, 0.99) / 255), 0.02);
  const exposure = Math.max(-1.5, Math.min(1.5, Math.log2(0.9 / bright)));
  const encoded = (percentile(luma, 0.5) / 255) * 2 ** (exposure / 2.2);
  const spread = (percentile(luma, 0.98) - percentile(luma, 0.02)) / 255;
  const settings = {
    exposure: Math.round(exposure * 20) / 20,
    shadows: Math.round(100 * Math.max(0, Math.min(0.6, 1.5 * (0.4 - encoded)))),
    contrast: Math.round(100 * Math.max(0, Math.min(0.5, 0.6 - spread))),
  };
  return Object.entries(settings).reduce(
    (made, [id, value]) => toneWith(made, id as keyof typeof settings, value || 0),
    tone,
  );
}
