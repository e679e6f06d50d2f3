/** sRGB to OKLab and back (Ottosson 2020, with his matrices of 2021-01-25), on plain numbers: for work on every pixel. */
import { toEncoded, toLinear } from '@/core/color/srgb';

// Taken out once, as these run for every pixel and a global is looked up anew each time in some engines' sandboxes.
const { cbrt, max, min } = Math;

/** Linear light of each 8-bit coded value. */
const LINEAR = Float64Array.from({ length: 256 }, (_, byte) => toLinear(byte / 255));

/** Lightness 0 to 1, and the two axes of colour, about -0.4 to 0.4. */
export type Lab = [number, number, number];

function labOfLinear(r: number, g: number, b: number): Lab {
  const l = cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ];
}

/** Of 8-bit coded values. */
export const labOfBytes = (r: number, g: number, b: number): Lab =>
  labOfLinear(LINEAR[r]!, LINEAR[g]!, LINEAR[b]!);

/** Of coded values from 0 to 1. */
export const labOfRgb = (r: number, g: number, b: number): Lab =>
  labOfLinear(toLinear(r), toLinear(g), toLinear(b));

function linearOfLab([lightness, a, b]: Lab): [number, number, number] {
  const l = (lightness + 0.3963377774 * a + 0.2158037573 * b) ** 3;
  const m = (lightness - 0.1055613458 * a - 0.0638541728 * b) ** 3;
  const s = (lightness - 0.0894841775 * a - 1.291485548 * b) ** 3;
  return [
    4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
    -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
    -0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s,
  ];
}

/** How far beyond a screen's colours still counts as within: half a step of 8 bits, near black. */
const SLACK = 1e-4;
const within = ([r, g, b]: [number, number, number]): boolean =>
  r >= -SLACK && r <= 1 + SLACK && g >= -SLACK && g <= 1 + SLACK && b >= -SLACK && b <= 1 + SLACK;
const coded = (linear: number): number => toEncoded(min(1, max(0, linear)));

/** Whether a screen (sRGB) can show it. */
export const isShown = (lab: Lab): boolean => within(linearOfLab(lab));

/** Coded values from 0 to 1; a colour no screen shows is made paler at its own hue and lightness until one does. */
export function rgbOfLab([l, a, b]: Lab): [number, number, number] {
  const lightness = min(1, max(0, l));
  let linear = linearOfLab([lightness, a, b]);
  if (!within(linear)) {
    let [shown, not] = [0, 1];
    for (let k = 0; k < 8; k++) {
      const share = (shown + not) / 2;
      if (within(linearOfLab([lightness, a * share, b * share]))) shown = share;
      else not = share;
    }
    linear = linearOfLab([lightness, a * shown, b * shown]);
  }
  return [coded(linear[0]), coded(linear[1]), coded(linear[2])];
}
