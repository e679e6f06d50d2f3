/** A picture's darkness as the coverage of an ink. */
import { rgbOf } from '@/core/color/hex';

/**
 * Stamps pixels (RGBA, 8 bits, not premultiplied) in place: every pixel takes the ink's colour and covers by its alpha times
 * its darkness, 1 minus the Rec. 709 luma (ITU-R BT.709-6, 3.2) of its coded values. Tones between stay between.
 */
export function coverage(pixels: Uint8ClampedArray, ink: string): void {
  const [red, green, blue] = rgbOf(ink).map((v) => Math.round(v * 255)) as [number, number, number];
  for (let i = 0; i < pixels.length; i += 4) {
    const luma = 0.2126 * pixels[i]! + 0.7152 * pixels[i + 1]! + 0.0722 * pixels[i + 2]!;
    pixels[i + 3] = (pixels[i + 3]! * (255 - luma)) / 255;
    pixels[i] = red;
    pixels[i + 1] = green;
    pixels[i + 2] = blue;
  }
}
