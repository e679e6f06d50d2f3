/** What can be measured of a picture to tell which kind of supply it is. */
import { partsOf } from '@/core/pixels/parts';
import { alikeAround, openings, SEE_THROUGH } from '@/core/pixels/regions';

export interface Look {
  /** Share of the picture one sees through. */
  clear: number;
  /** Share of its outermost cells that are solid. */
  solidBorder: number;
  /** Openings a photo could lie behind, and the share of the picture the largest takes. */
  openings: number;
  opening: number;
  /** Share of the picture that all of them take; share of its box that the thing takes with its openings filled. */
  open: number;
  filled: number;
  /** Share of a full picture that is alike around its middle and closed all round; 0 where that reaches the edge. */
  middle: number;
  /** Of what can be seen: share of one colour (or its tints by coverage), and shares of white, dark, and colourless. */
  oneColour: number;
  white: number;
  dark: number;
  grey: number;
  /** Mean difference of neighbours, 0 to 1: paper and line art are calm between their edges, photographs never. */
  busy: number;
  /** Separate things of nearly one height standing in rows, as letters on a sheet do; 0 if it is no such sheet. */
  set: number;
}

/** Measures pixels (RGBA, 8 bits); a picture made small (about 200 px) is enough, and best. */
export function lookOf(pixels: Uint8ClampedArray, width: number, height: number): Look {
  const count = width * height;
  let clear = 0;
  let border = 0;
  let borderSolid = 0;
  let seen = 0;
  let white = 0;
  let dark = 0;
  let grey = 0;
  let steps = 0;
  let change = 0;
  let red = 0;
  let green = 0;
  let blue = 0;
  let solid = 0;
  let [left, right, top, bottom] = [width, -1, height, -1];
  for (let i = 0; i < count; i++) {
    const x = i % width;
    const y = (i - x) / width;
    const r = pixels[4 * i]!;
    const g = pixels[4 * i + 1]!;
    const b = pixels[4 * i + 2]!;
    const a = pixels[4 * i + 3]!;
    if (x === 0 || y === 0 || x === width - 1 || y === height - 1) {
      border += 1;
      if (a > 200) borderSolid += 1;
    }
    if (a < SEE_THROUGH) {
      clear += 1;
      continue;
    }
    seen += 1;
    left = Math.min(left, x);
    right = Math.max(right, x);
    top = Math.min(top, y);
    bottom = y;
    const luma = lumaOf(r, g, b);
    const spread = Math.max(r, g, b) - Math.min(r, g, b);
    if (spread < 28) grey += 1;
    if (luma > 232 && spread < 28) white += 1;
    if (luma < 100) dark += 1;
    // Solid cells alone say what colour it is: soft edges are mixed with what lies behind.
    if (a > 230) {
      red += r;
      green += g;
      blue += b;
      solid += 1;
    }
    if (x + 1 < width && pixels[4 * i + 7]! >= SEE_THROUGH) {
      steps += 1;
      change += Math.abs(luma - lumaOf(pixels[4 * i + 4]!, pixels[4 * i + 5]!, pixels[4 * i + 6]!)) / 255;
    }
  }
  const mean = [red, green, blue].map((sum) => sum / Math.max(1, solid)) as [number, number, number];
  let alike = 0;
  for (let i = 0; i < count; i++)
    if (
      pixels[4 * i + 3]! > 230 &&
      (pixels[4 * i]! - mean[0]) ** 2 +
        (pixels[4 * i + 1]! - mean[1]) ** 2 +
        (pixels[4 * i + 2]! - mean[2]) ** 2 <
        44 ** 2
    )
      alike += 1;
  const holes = clear > 0 ? openings(pixels, width, height) : [];
  const open = holes.reduce((sum, { area }) => sum + area, 0);
  const share = (value: number, of: number) => (of ? value / of : 0);
  const bare = clear > 0.2 * count || white > 0.45 * seen;
  return {
    clear: share(clear, count),
    solidBorder: share(borderSolid, border),
    openings: holes.length,
    opening: share(holes[0]?.area ?? 0, count),
    open: share(open, count),
    filled: share(seen + open, (right - left + 1) * (bottom - top + 1)),
    middle: clear ? 0 : middleOf(pixels, width, height),
    oneColour: share(alike, solid),
    white: share(white, seen),
    dark: share(dark, seen),
    grey: share(grey, seen),
    busy: share(change, steps),
    set: bare ? setOn(pixels, width, height) : 0,
  };
}

/** How unlike, in OKLab, what counts as one flat middle may be. */
const FLAT = 0.03;

function middleOf(pixels: Uint8ClampedArray, width: number, height: number): number {
  const around = alikeAround(pixels, width, height, (width - 1) / 2, (height - 1) / 2, FLAT);
  return around.touchesBorder ? 0 : around.area / (width * height);
}

/** Fewest things a sheet of letters has, and fewest in a row on the average. */
const LEAST_SET = 16;
const LEAST_ROW = 4;

function setOn(pixels: Uint8ClampedArray, width: number, height: number): number {
  const { boxes, rows } = partsOf(pixels, width, height);
  if (boxes.length < LEAST_SET || boxes.length < LEAST_ROW * rows) return 0;
  const heights = boxes.map((box) => box.height).sort((a, b) => a - b);
  const middle = heights[heights.length >> 1]!;
  const alike = heights.filter((one) => one > 0.6 * middle && one < 1.7 * middle).length;
  return alike >= 0.75 * boxes.length ? boxes.length : 0;
}

const lumaOf = (r: number, g: number, b: number): number => 0.2126 * r + 0.7152 * g + 0.0722 * b;
