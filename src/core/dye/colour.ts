/** What a dye makes of a colour, and the same as a table for millions of pixels. */
import { hexOf, rgbOf } from '@/core/color/hex';
import { labOfRgb, rgbOfLab, type Lab } from '@/core/color/oklab';
import type { ColourChange } from '@/core/dye/dye';

// Taken out once, as these run for every pixel.
const { cos: cosine, hypot, imul, max, min, round, sin: sine } = Math;

/** The darkest and lightest an area may be for its black and white to stay: what is nearly all black or white is dyed from there. */
const [DARKEST, LIGHTEST] = [0.08, 0.97];
/** Chroma up to which a colour is grey, and from which it is none, where greys stay. */
const [GREY, COLOURED] = [0.02, 0.06];

/**
 * The colour (OKLab) that a dye makes of one. Like an ink: every colour goes to the line from black through the ink to white,
 * by its own lightness, such that `from`, the mean lightness of what is dyed, becomes the ink itself; so black stays black,
 * white stays white (but on what is nearly nothing else), and what was lighter than another is lighter still. By numbers: hue turned, chroma times
 * 1 + saturation, lightness so much of the way to white or black, in OKLCH.
 */
export function dyed(lab: Lab, change: ColourChange, from: number): Lab {
  const [l, a, b] = lab;
  if (change.how === 'shift') {
    const turn = (change.hue * Math.PI) / 180;
    const stronger = 1 + change.saturation / 100;
    const lighter = change.lightness / 100;
    const [cos, sin] = [cosine(turn) * stronger, sine(turn) * stronger];
    return [lighter > 0 ? l + lighter * (1 - l) : l * (1 + lighter), a * cos - b * sin, a * sin + b * cos];
  }
  const [inkL, inkA, inkB] = labOfRgb(...rgbOf(change.ink));
  const middle = from < DARKEST ? 0 : from > LIGHTEST ? 1 : from;
  const down = middle > 0 && l <= middle;
  const share = down ? l / middle : (1 - l) / (1 - middle);
  const to: Lab = [down ? inkL * share : 1 - (1 - inkL) * share, inkA * share, inkB * share];
  if (!change.greysStay) return to;
  const part = min(1, max(0, (hypot(a, b) - GREY) / (COLOURED - GREY)));
  const much = part * part * (3 - 2 * part);
  return [l + (to[0] - l) * much, a + (to[1] - a) * much, b + (to[2] - b) * much];
}

/** The same of a `#rrggbb`, so much of the way as `strength` says. */
export function dyedHex(hex: string, change: ColourChange, from: number, strength: number): string {
  const before = rgbOf(hex);
  const after = rgbOfLab(dyed(labOfRgb(...before), change, from));
  return hexOf(before.map((value, c) => value + (after[c]! - value) * strength));
}

/** Steps of the table along each of red, green and blue. */
const STEPS = 32;
const NODES = STEPS + 1;

/** Colours as one number each, red in its lowest 8 bits, as the four bytes of a pixel are read by every machine in use. */
export interface DyeTable {
  /** What colours become, at nodes of coded red, green and blue (blue runs fastest), three values 0 to 255 each. */
  nodes: Float32Array;
  /** Colours asked for last, each at its place by hash, and what became of them: pictures repeat theirs. */
  asked: Int32Array;
  answers: Int32Array;
}

/** Tables already made, newest last: a table takes some milliseconds. */
const tables = new Map<string, DyeTable>();
const MOST_TABLES = 24;
const ANSWERS = 1 << 16;

export function dyeTable(change: ColourChange, from: number, strength: number): DyeTable {
  const key = JSON.stringify([change, change.how === 'ink' ? from : 0, strength]);
  let table = tables.get(key);
  if (!table) {
    const asked = new Int32Array(ANSWERS).fill(-1);
    table = { nodes: nodesOf(change, from, strength), asked, answers: new Int32Array(ANSWERS) };
    tables.set(key, table);
    if (tables.size > MOST_TABLES) tables.delete(tables.keys().next().value!);
  }
  return table;
}

function nodesOf(change: ColourChange, from: number, strength: number): Float32Array {
  const nodes = new Float32Array(3 * NODES ** 3);
  let at = 0;
  for (let r = 0; r < NODES; r++)
    for (let g = 0; g < NODES; g++)
      for (let b = 0; b < NODES; b++) {
        const before = [r / STEPS, g / STEPS, b / STEPS] as const;
        const after = rgbOfLab(dyed(labOfRgb(...before), change, from));
        for (let c = 0; c < 3; c++) nodes[at++] = 255 * (before[c]! + (after[c]! - before[c]!) * strength);
      }
  return nodes;
}

/** For each coded value: its node below, and how far it is on to the next. */
const BELOW = Int32Array.from({ length: 256 }, (_, v) => min(STEPS - 1, Math.floor((v * STEPS) / 255)));
const BEYOND = Float32Array.from({ length: 256 }, (_, v) => (v * STEPS) / 255 - BELOW[v]!);
/** From a node to the next along each axis. */
const [RED, GREEN, BLUE] = [3 * NODES * NODES, 3 * NODES, 3];

/** What becomes of one colour: between nodes by the tetrahedron it lies in (Sakamoto and Itooka 1981). */
function between(nodes: Float32Array, colour: number): number {
  const r = colour & 255;
  const g = (colour >> 8) & 255;
  const b = (colour >> 16) & 255;
  const u = BEYOND[r]!;
  const v = BEYOND[g]!;
  const w = BEYOND[b]!;
  const low = RED * BELOW[r]! + GREEN * BELOW[g]! + BLUE * BELOW[b]!;
  const high = low + RED + GREEN + BLUE;
  // From the near corner to the far one along the axes, the one with the longest way first.
  let [first, second, most, middle, least] = [low, high, u, v, w];
  if (u >= v) {
    if (v >= w) [first, second] = [low + RED, high - BLUE];
    else if (u >= w) [first, second, middle, least] = [low + RED, high - GREEN, w, v];
    else [first, second, most, middle, least] = [low + BLUE, high - GREEN, w, u, v];
  } else if (w >= v) [first, second, most, least] = [low + BLUE, high - RED, w, u];
  else if (w >= u) [first, second, most, middle, least] = [low + GREEN, high - RED, v, w, u];
  else [first, second, most, middle] = [low + GREEN, high - BLUE, v, u];
  let answer = 0;
  for (let c = 0; c < 3; c++) {
    const value =
      (1 - most) * nodes[low + c]! +
      (most - middle) * nodes[first + c]! +
      (middle - least) * nodes[second + c]! +
      least * nodes[high + c]!;
    answer |= round(value) << (8 * c);
  }
  return answer;
}

/** One colour, dyed. */
export function dyedColour({ nodes, asked, answers }: DyeTable, colour: number): number {
  const place = imul(colour, 0x9e3779b1) >>> 16;
  if (asked[place] !== colour) {
    asked[place] = colour;
    answers[place] = between(nodes, colour);
  }
  return answers[place]!;
}

/** Dyes the pixels (RGBA, four bytes as one number) from one index up to another in place; alpha stays. */
export function dyeRun(
  pixels: Int32Array,
  start: number,
  end: number,
  { nodes, asked, answers }: DyeTable,
): void {
  for (let i = start; i < end; i++) {
    const pixel = pixels[i]!;
    const colour = pixel & 0xffffff;
    const place = imul(colour, 0x9e3779b1) >>> 16;
    if (asked[place] !== colour) {
      asked[place] = colour;
      answers[place] = between(nodes, colour);
    }
    pixels[i] = (pixel & 0xff000000) | answers[place]!;
  }
}
