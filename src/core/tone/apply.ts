/** Light and tone on pixels. */
import { LUMA, toEncoded, toLinear } from '@/core/color/srgb';
import type { Tone, ToneId } from '@/core/tone/settings';

/** The middle grey that contrast turns about, encoded: an 18 % grey card. */
const GREY = 0.46;
/** How far highlights and shadows may be moved without turning the order of light round: at 1 the slope at an end is nothing. */
const STEEPEST = 0.95;
/** What a red and a blue glass before the lens let through of each colour, for black and white; our own choice. */
const RED_GLASS = [0.75, 0.25, 0] as const;
const BLUE_GLASS = [0.05, 0.25, 0.7] as const;
/** The brown that sepia goes to, as shares of a grey; our own choice. */
const BROWN = [1.06, 0.93, 0.74] as const;

/** The encoded value a channel's encoded value becomes, before colours are mixed; 0 to 1. */
function curve(of: (id: ToneId) => number, gain: number): (value: number) => number {
  const exposure = gain * 2 ** of('exposure');
  const contrast = of('contrast') / 100;
  const [highlights, shadows, fade] = [of('highlights') / 100, of('shadows') / 100, of('fade') / 100];
  // Slope at the middle grey: from a half to two.
  const slope = 2 ** contrast;
  return (value) => {
    let v = toEncoded(Math.min(1, toLinear(value) * exposure));
    // A curve through black, grey and white with that slope at the grey: a power on either side of it.
    if (contrast)
      v = v < GREY ? GREY * (v / GREY) ** slope : 1 - (1 - GREY) * ((1 - v) / (1 - GREY)) ** slope;
    // Weights that are nothing at black and at white, so that both stay where they are.
    v += STEEPEST * highlights * v * v * v * (1 - v) + STEEPEST * shadows * (1 - v) ** 3 * v;
    v = v * (1 - 0.3 * fade) + 0.2 * fade;
    return Math.min(1, Math.max(0, v));
  };
}

/**
 * Applies a tone to RGBA in place; alpha stays. In this order: exposure (stops of linear light) with warmth and tint as gains
 * of red, blue and green; contrast about an 18 % grey; highlights and shadows; fade; then saturation and vibrance (which acts
 * the less the stronger a colour is) about the luma; black and white through a filter; sepia; and at last its strength,
 * against what was there before.
 */
export function applyTone(data: Uint8ClampedArray, { values, strength }: Tone): void {
  const of = (id: ToneId): number => values[id] ?? 0;
  const [warmth, tint] = [of('warmth') / 100, of('tint') / 100];
  const gains = [1 + 0.28 * warmth, 1 - 0.22 * tint, 1 - 0.28 * warmth];
  // White stays as light as it was.
  const level = LUMA.reduce((sum, share, c) => sum + share * gains[c]!, 0);
  const [reds, greens, blues] = gains.map((gain) => {
    const map = curve(of, gain / level);
    return Float32Array.from({ length: 256 }, (_, byte) => 255 * map(byte / 255));
  }) as [Float32Array, Float32Array, Float32Array];
  const saturation = of('saturation') / 100;
  const vibrance = of('vibrance') / 100;
  const mono = of('mono') / 100;
  const filter = of('filter') / 100;
  const glass = filter < 0 ? BLUE_GLASS : RED_GLASS;
  const [mr, mg, mb] = LUMA.map((share, c) => share + (glass[c]! - share) * Math.abs(filter)) as [
    number,
    number,
    number,
  ];
  const sepia = of('sepia') / 100;
  const [lr, lg, lb] = LUMA;
  const coloured = saturation !== 0 || vibrance !== 0;
  const stay = 1 - strength;
  for (let i = 0; i < data.length; i += 4) {
    let r = reds[data[i]!]!;
    let g = greens[data[i + 1]!]!;
    let b = blues[data[i + 2]!]!;
    if (coloured) {
      const luma = lr * r + lg * g + lb * b;
      let factor = 1 + saturation;
      if (vibrance !== 0) {
        const most = r > g ? (r > b ? r : b) : g > b ? g : b;
        const least = r < g ? (r < b ? r : b) : g < b ? g : b;
        factor *= 1 + vibrance * (1 - (most - least) / 255);
      }
      r = luma + (r - luma) * factor;
      g = luma + (g - luma) * factor;
      b = luma + (b - luma) * factor;
    }
    if (mono !== 0) {
      const grey = mr * r + mg * g + mb * b;
      r += (grey - r) * mono;
      g += (grey - g) * mono;
      b += (grey - b) * mono;
    }
    if (sepia !== 0) {
      const luma = lr * r + lg * g + lb * b;
      r += (luma * BROWN[0] - r) * sepia;
      g += (luma * BROWN[1] - g) * sepia;
      b += (luma * BROWN[2] - b) * sepia;
    }
    // Rounded and kept within 0 to 255 by the array itself.
    data[i] = r * strength + data[i]! * stay;
    data[i + 1] = g * strength + data[i + 1]! * stay;
    data[i + 2] = b * strength + data[i + 2]! * stay;
  }
}
