/** A colour as three numbers that can be slid: HSV, RGB, OKLCH. */
import { converter, formatHex, modeHsv, useMode as register } from 'culori/fn';
import { rgbOf } from '@/core/color/hex';
import { toOklch } from '@/core/color/spaces';

register(modeHsv);
const toHsv = converter('hsv');

export interface MixSlider {
  name: string;
  most: number;
  step: number;
}

export const MIXES = {
  HSV: [
    { name: 'Hue', most: 360, step: 1 },
    { name: 'Saturation', most: 100, step: 1 },
    { name: 'Value', most: 100, step: 1 },
  ],
  RGB: [
    { name: 'Red', most: 255, step: 1 },
    { name: 'Green', most: 255, step: 1 },
    { name: 'Blue', most: 255, step: 1 },
  ],
  OKLCH: [
    { name: 'Lightness', most: 100, step: 0.5 },
    { name: 'Chroma', most: 0.37, step: 0.005 },
    { name: 'Hue', most: 360, step: 1 },
  ],
} as const satisfies Record<string, readonly MixSlider[]>;
export type Mix = keyof typeof MIXES;
type Three = [number, number, number];

/** The three numbers of `#rrggbb`; a grey has hue 0. */
export function mixOf(colour: string, mix: Mix): Three {
  if (mix === 'RGB') return rgbOf(colour).map((v) => Math.round(255 * v)) as Three;
  if (mix === 'HSV') {
    const { h = 0, s, v } = toHsv(colour)!;
    return [h, 100 * s, 100 * v];
  }
  const { l, c, h = 0 } = toOklch(colour)!;
  return [100 * l, c, h];
}

/** `#rrggbb` of three numbers; what the screen cannot show is brought to what it can by less chroma (OKLCH). */
export function colourOf([a, b, c]: Three, mix: Mix): string {
  if (mix === 'RGB') return formatHex({ mode: 'rgb', r: a / 255, g: b / 255, b: c / 255 })!;
  if (mix === 'HSV') return formatHex(toRgb({ mode: 'hsv', h: a, s: b / 100, v: c / 100 }))!;
  let [least, most] = [0, b];
  const at = (chroma: number) => toRgb({ mode: 'oklch', l: a / 100, c: chroma, h: c });
  if (shown(at(most))) return formatHex(at(most))!;
  // Halved until it makes no difference to eight bits.
  for (let i = 0; i < 16; i++) {
    const middle = (least + most) / 2;
    if (shown(at(middle))) least = middle;
    else most = middle;
  }
  return formatHex(at(least))!;
}

const toRgb = converter('rgb');
const shown = ({ r, g, b }: { r: number; g: number; b: number }): boolean =>
  [r, g, b].every((v) => v >= -0.001 && v <= 1.001);
