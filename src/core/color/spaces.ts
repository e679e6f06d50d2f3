/** The colour spaces the program reckons in, registered once (culori): CSS colours, OKLab and OKLCH (Ottosson 2020). */
import {
  converter,
  formatHex,
  modeHsl,
  modeOklab,
  modeOklch,
  modeRgb,
  parse,
  useMode as register,
} from 'culori/fn';

[modeRgb, modeHsl, modeOklab, modeOklch].forEach((mode) => register(mode as typeof modeRgb));

export const toOklab = converter('oklab');
export const toOklch = converter('oklch');
/** Any CSS colour; undefined if it is none. */
export const parseColour = parse;
export { formatHex };

export interface OklabPoint {
  l: number;
  a: number;
  b: number;
}
/** The square of how far two colours lie apart in OKLab. */
export const apartSquared = (p: OklabPoint, q: OklabPoint): number =>
  (p.l - q.l) ** 2 + (p.a - q.a) ** 2 + (p.b - q.b) ** 2;
