/** How colours are named in a PDF: in RGB as they are chosen, or in the four inks of a press. */
import type { PDFRef } from '@cantoo/pdf-lib';
import { rgbOf } from '@/core/color/hex';
import type { Inks } from '@/core/press/inks';
import { n } from '@/output/pdf/crop-marks';

export interface Colours {
  /** The space in which they are named and blend. */
  space: PDFRef | 'DeviceRGB' | 'DeviceCMYK';
  /** The device's own, for pixels and shadings. */
  device: 'DeviceRGB' | 'DeviceCMYK';
  /** What is named in the device's RGB is this. */
  rgb?: PDFRef;
  /** A colour's values, 0 to 1. */
  values(hex: string): readonly number[];
  /** The operator by which it is filled with; of words where `words` are. */
  fill(hex: string, words?: boolean): string;
  stroke(hex: string): string;
  /** Pixels (RGBA, 8 bits) as those of `device`. */
  pixels(rgba: Uint8ClampedArray): Uint8Array;
  /** How many straight steps one colour takes to another in `device`, to look as if it were straight in sRGB. */
  steps: number;
}

/** As they are: sRGB where `rgb` says so, whatever a reader takes for it without. */
export const inRgb = (rgb?: PDFRef): Colours => {
  const named = (hex: string) => rgbOf(hex).map(n).join(' ');
  return {
    space: rgb ?? 'DeviceRGB',
    device: 'DeviceRGB',
    ...(rgb ? { rgb } : {}),
    values: rgbOf,
    fill: (hex) => `${named(hex)} rg`,
    stroke: (hex) => `${named(hex)} RG`,
    pixels(rgba) {
      const count = rgba.length / 4;
      const colour = new Uint8Array(count * 3);
      for (let i = 0; i < count; i++) {
        colour[3 * i] = rgba[4 * i]!;
        colour[3 * i + 1] = rgba[4 * i + 1]!;
        colour[3 * i + 2] = rgba[4 * i + 2]!;
      }
      return colour;
    },
    steps: 1,
  };
};

/** Words as dark as this, and as near to grey, are printed in black alone, 0 to 1: four inks that do not meet blur them (common practice, no source). */
const DARK = 0.2;
const GREYISH = 0.06;

/** In the inks of the press that prints it. */
export const inInks = (inks: Inks): Colours => {
  const known = new Map<string, readonly number[]>();
  const values = (hex: string): readonly number[] => {
    let found = known.get(hex);
    if (!found) {
      const rgba = Uint8ClampedArray.from([...rgbOf(hex).map((v) => Math.round(255 * v)), 255]);
      known.set(hex, (found = [...inks.of(rgba)].map((v) => v / 255)));
    }
    return found;
  };
  const named = (hex: string) => values(hex).map(n).join(' ');
  const asBlack = (hex: string): boolean => {
    const rgb = rgbOf(hex);
    const [least, most] = [Math.min(...rgb), Math.max(...rgb)];
    return most <= DARK && most - least <= GREYISH;
  };
  return {
    space: 'DeviceCMYK',
    device: 'DeviceCMYK',
    values,
    fill: (hex, words) => (words && asBlack(hex) ? '0 0 0 1 k' : `${named(hex)} k`),
    stroke: (hex) => `${named(hex)} K`,
    pixels: (rgba) => inks.of(rgba),
    steps: 8,
  };
};
