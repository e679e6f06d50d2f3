/** Colours that run into each other, evenly to the eye: straight lines in OKLab. */
import { hexOf, rgbOf } from '@/core/color/hex';
import { labOfRgb, rgbOfLab, type Lab } from '@/core/color/oklab';

/** The colour so far (0 to 1) along a run of two or more `#rrggbb` at even distances. */
export function alongRun(colours: readonly string[], share: number): string {
  const place = Math.min(1, Math.max(0, share)) * (colours.length - 1);
  const at = Math.min(colours.length - 2, Math.floor(place));
  if (at < 0) return colours[0]!;
  const [a, b] = [labOfRgb(...rgbOf(colours[at]!)), labOfRgb(...rgbOf(colours[at + 1]!))];
  const t = place - at;
  if (t === 0) return colours[at]!;
  if (t === 1) return colours[at + 1]!;
  return hexOf(rgbOfLab(a.map((value, c) => value + (b[c]! - value) * t) as Lab));
}

/** The run as colours at even distances, so many from one of its own to the next: outputs go straight from each to each in sRGB. */
export const stepsOfRun = (colours: readonly string[], between: number): string[] =>
  Array.from({ length: (colours.length - 1) * between + 1 }, (_, i) =>
    alongRun(colours, i / ((colours.length - 1) * between)),
  );
