/** Light and tone of a photo: what can be set. Nothing is ever baked: a photo carries its settings, its file stays as it is. */
import type { Matrix } from '@/core/geometry/matrix';

/** What a person asks of a photo, a page of the sheet each. */
export const TONE_PAGES = ['Light', 'Colours', 'Old print', 'For print'] as const;

export interface ToneSetting {
  id: string;
  /** What of the photo it changes. */
  name: string;
  page: (typeof TONE_PAGES)[number];
  least: number;
  most: number;
  step: number;
  /** What one press of a trial does. */
  stride: number;
  /** What its two ways do, in short. */
  ends: readonly [string, string];
}

type About = Pick<ToneSetting, 'id' | 'name' | 'page' | 'ends'>;
const both = <T extends About>(of: T) => ({ ...of, least: -100, most: 100, step: 1, stride: 20 });
const one = <T extends About>(of: T) => ({ ...both(of), least: 0, stride: 40 });

/** In the order they are shown. All count in per cent but the light as a whole, which counts in stops; each begins at 0. */
export const TONE_SETTINGS = [
  {
    id: 'exposure',
    name: 'All of it',
    page: 'Light',
    least: -2,
    most: 2,
    step: 0.05,
    stride: 0.35,
    ends: ['darker', 'lighter'],
  },
  both({ id: 'shadows', name: 'Shade and dark cloth', page: 'Light', ends: ['deeper', 'opened'] }),
  both({ id: 'highlights', name: 'Sky, snow and white', page: 'Light', ends: ['calmer', 'brighter'] }),
  both({ id: 'contrast', name: 'Dark beside pale', page: 'Light', ends: ['softer', 'harder'] }),
  both({ id: 'warmth', name: 'The hour of the day', page: 'Colours', ends: ['noon', 'evening'] }),
  both({ id: 'tint', name: 'Green or rosy', page: 'Colours', ends: ['greener', 'rosier'] }),
  both({ id: 'vibrance', name: 'Pale colours', page: 'Colours', ends: ['paler', 'fresher'] }),
  both({ id: 'saturation', name: 'Every colour', page: 'Colours', ends: ['quieter', 'louder'] }),
  {
    ...one({ id: 'mono', name: 'Without colour', page: 'Old print', ends: ['in colour', 'black and white'] }),
    stride: 100,
  },
  both({ id: 'filter', name: 'Its sky and lips', page: 'Old print', ends: ['pale sky', 'dark sky'] }),
  one({ id: 'sepia', name: 'Browned', page: 'Old print', ends: ['less', 'more'] }),
  one({ id: 'fade', name: 'Faded by the sun', page: 'Old print', ends: ['less', 'more'] }),
  both({ id: 'vignette', name: 'Its corners', page: 'For print', ends: ['lighter', 'darker'] }),
  one({ id: 'sharpen', name: 'Crisp on paper', page: 'For print', ends: ['less', 'more'] }),
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
