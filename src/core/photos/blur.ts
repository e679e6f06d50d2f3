/** How blurred a photo is. */
import { LUMA } from '@/core/color/srgb';
import type { Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import type { Pixels } from '@/core/pixels/focus';

/** Squares a side that are looked at, and their pixels a side. */
const SQUARES = 5;
const SQUARE = 96;
/** Pixels to either side that are averaged when a row is blurred again: nine in all. */
const REACH = 4;
/** How many of the squares are believed: those in which most happens. */
const BELIEVED = 6;
/** Mean step between neighbours, of 255, below which a square shows nothing to be sharp about. */
const PLAIN = 0.4;
/** From here on a photo is marked as blurred; our own choice, by eye, on photographs blurred by known amounts. */
export const BLURRED = 0.5;

/** The squares of a picture that are looked at, each `side` pixels a side, spread evenly. */
export function blurSquares({ width, height }: Size): { side: number; corners: Point[] } {
  const side = Math.min(SQUARE, width, height);
  const corners = Array.from({ length: SQUARES * SQUARES }, (_, i) => ({
    x: Math.floor(((width - side) * (i % SQUARES)) / (SQUARES - 1)),
    y: Math.floor(((height - side) * Math.floor(i / SQUARES)) / (SQUARES - 1)),
  }));
  return { side, corners };
}

/**
 * The blur of the sharpest part of a picture, 0 (none) to 1, as Crété-Roffet, Dolmiere, Ladret and Nicolas measure it (“The blur
 * effect: perception and estimation with a new no-reference perceptual blur metric”, 2007): how little is lost when it is
 * blurred once more. The sharpest of the squares in which most happens, since a portrait's ground may be as soft as it likes.
 * Null if all of it is plain. `strip` is RGBA of the squares of an upright copy of about 1600 pixels, one below the other.
 */
export function blurOf(strip: Uint8ClampedArray, side: number): number | null {
  const luma = new Float32Array(side * side);
  const squares: Change[] = [];
  for (let from = 0; from < strip.length; from += 4 * side * side) {
    for (let at = 0, i = from; at < luma.length; at++, i += 4)
      luma[at] = LUMA[0] * strip[i]! + LUMA[1] * strip[i + 1]! + LUMA[2] * strip[i + 2]!;
    const across = change(luma, side, 1, side);
    const down = change(luma, side, side, 1);
    const steps = Math.min(across.steps, down.steps);
    if (steps >= PLAIN) squares.push({ steps, blur: Math.max(across.blur, down.blur) });
  }
  if (!squares.length) return null;
  squares.sort((a, b) => b.steps - a.steps);
  const sharpest = Math.min(...squares.slice(0, BELIEVED).map(({ blur }) => blur));
  return Math.round(sharpest * 1000) / 1000;
}

interface Change {
  /** Mean step between neighbours, of 255. */
  steps: number;
  blur: number;
}

/** What happens along one direction: `step` leads to the next pixel, `line` to the next line. */
function change(luma: Float32Array, side: number, step: number, line: number): Change {
  const count = 2 * REACH + 1;
  let [steps, lost] = [0, 0];
  for (let k = 0; k < side; k++) {
    const from = k * line;
    let sum = 0;
    for (let i = 0; i < count; i++) sum += luma[from + i * step]!;
    for (let i = REACH + 1; i + REACH < side; i++) {
      const before = sum;
      sum += luma[from + (i + REACH) * step]! - luma[from + (i - REACH - 1) * step]!;
      const own = Math.abs(luma[from + i * step]! - luma[from + (i - 1) * step]!);
      steps += own;
      lost += Math.max(0, own - Math.abs(sum - before) / count);
    }
  }
  return { steps: steps / (side * Math.max(1, side - count)), blur: steps ? 1 - lost / steps : 1 };
}

/** How blurred a picture is, of all its pixels. */
export function blurIn({ data, width, height }: Pixels): number | null {
  const { side, corners } = blurSquares({ width, height });
  const strip = new Uint8ClampedArray(4 * side * side * corners.length);
  corners.forEach(({ x, y }, i) => {
    for (let row = 0; row < side; row++) {
      const from = 4 * ((y + row) * width + x);
      strip.set(data.subarray(from, from + 4 * side), 4 * side * (i * side + row));
    }
  });
  return blurOf(strip, side);
}
