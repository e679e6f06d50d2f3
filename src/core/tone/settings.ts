/** Light and tone of a photo: what can be set. Nothing is ever baked: a photo carries its settings, its file stays as it is. */
import type { Matrix } from '@/core/geometry/matrix';

export interface ToneSetting {
  id: string;
  name: string;
  least: number;
  most: number;
  step: number;
  /** What the two ends do, for those who cannot see them. */
  ends: readonly [string, string];
}

const both = (id: string, name: string, ends: ToneSetting['ends']): ToneSetting => ({
  id,
  name,
  least: -100,
  most: 100,
  step: 1,
  ends,
});
const one = (id: string, name: string, ends: ToneSetting['ends']): ToneSetting => ({
  ...both(id, name, ends),
  least: 0,
});

/** In the order they are listed. All count in per cent but exposure, which counts in stops; each begins at 0. */
export const TONE_SETTINGS = [
  { id: 'exposure', name: 'Exposure', least: -2, most: 2, step: 0.05, ends: ['darker', 'lighter'] },
  both('contrast', 'Contrast', ['flatter', 'stronger']),
  both('highlights', 'Highlights', ['held back', 'opened']),
  both('shadows', 'Shadows', ['deepened', 'opened']),
  both('warmth', 'Warmth', ['cooler', 'warmer']),
  both('tint', 'Tint', ['greener', 'pinker']),
  both('saturation', 'Saturation', ['greyer', 'stronger']),
  both('vibrance', 'Vibrance', ['greyer', 'pale colours stronger']),
  one('mono', 'Black and white', ['in colour', 'black and white']),
  both('filter', 'Its filter', ['blue: skies light', 'red: skies dark']),
  one('sepia', 'Sepia', ['none', 'brown as an old print']),
  one('fade', 'Fade', ['none', 'blacks faded']),
  one('sharpen', 'Sharpen for print', ['none', 'crisp at its printed size']),
  both('vignette', 'Corners', ['lighter', 'darker']),
] as const satisfies readonly ToneSetting[];

export type ToneId = (typeof TONE_SETTINGS)[number]['id'];

/** By the ids of the settings; what is missing is 0. */
export interface Tone {
  values: Partial<Record<ToneId, number>>;
  /** How much of it is seen, 0 to 1. */
  strength: number;
}

export const PLAIN: Tone = { values: {}, strength: 1 };

/** How a picture lies in its piece: what is set by printed size, or from what is seen of it, needs to know. */
export interface Fit {
  /** Shares of the upright picture's width and height to points of the piece's own frame. */
  matrix: Matrix;
  /** The piece, points. */
  width: number;
  height: number;
}

export const needsFit = ({ values }: Tone): boolean => Boolean(values.sharpen ?? values.vignette);

/** Whether a tone changes anything. */
export const isPlain = ({ values, strength }: Tone): boolean =>
  strength === 0 || Object.entries(values).every(([id, value]) => !value || id === 'filter');

/** A tone with one setting changed; a setting of 0 is not kept. */
export function toneWith({ values, strength }: Tone, id: ToneId, value: number): Tone {
  const { [id]: _, ...rest } = values;
  return { values: value ? { ...rest, [id]: value } : rest, strength };
}
