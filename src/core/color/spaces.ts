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
