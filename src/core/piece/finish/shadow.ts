/** Shadows of one's own beside the page light's: laid by hand, as far and as soft as wanted. */
import { array, number, object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { apply, invert, type Matrix } from '@/core/geometry/matrix';
import type { FinishKind } from '@/core/piece/finish/kind';
import { SHADOW_INK } from '@/core/piece/finish/light';
import type { Path } from '@/core/geometry/path';
import type { ShadowMark } from '@/core/picture/picture';

export interface OwnShadow {
  /** How far it lies from the piece on the page, points. */
  x: number;
  y: number;
  /** Standard deviation of the blur, points. */
  blur: number;
  /** How much light it takes away, 0 to 1. */
  strength: number;
  colour: string;
}

export const MOST_SHADOWS = 4;
export const FARTHEST_SHADOW = 288;
export const SOFTEST_SHADOW = 72;
export const NEW_SHADOW: OwnShadow = { x: 7, y: 10, blur: 5, strength: 0.4, colour: SHADOW_INK };

const away = number().min(-FARTHEST_SHADOW).max(FARTHEST_SHADOW).required();
const ownShadowSchema = object({
  x: away,
  y: away,
  blur: number().min(0).max(SOFTEST_SHADOW).required(),
  strength: number().min(0).max(1).required(),
  colour: string().matches(HEX_COLOUR).required(),
}).noUnknown();

const ownShadowMark = (shadow: OwnShadow, path: Path, grow: number, toPage: Matrix): ShadowMark => {
  const [a, b, c, d] = toPage;
  return {
    mark: 'shadow',
    path,
    grow,
    offset: apply(invert([a, b, c, d, 0, 0]), { x: shadow.x, y: shadow.y }),
    blur: Math.max(0.05, shadow.blur),
    colour: shadow.colour,
    opacity: shadow.strength,
  };
};

const within = (value: number, most: number): number => Math.max(-most, Math.min(most, value));

export const shadows: FinishKind<OwnShadow[]> = {
  schema: array(ownShadowSchema.required()).min(1).max(MOST_SHADOWS),
  // What was laid by hand is thrown by the whole stack.
  under: (list, { path, mats, reach, toPage }) => {
    const lowest = mats.at(-1);
    return list.map((shadow) => ownShadowMark(shadow, lowest ?? path, lowest ? 0 : reach, toPage));
  },
  scaled: (list, scale) =>
    list.map((shadow) => ({
      ...shadow,
      x: within(shadow.x * scale, FARTHEST_SHADOW),
      y: within(shadow.y * scale, FARTHEST_SHADOW),
      blur: Math.min(SOFTEST_SHADOW, shadow.blur * scale),
    })),
};
