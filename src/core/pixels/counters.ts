/** Closed counters: the holes of letters (B, o, e) that came filled, found in a letter's pixels and opened. */
import { labOfBytes } from '@/core/color/oklab';

/** Colours this near in OKLab are the same. */
const SAME = 0.06;
/** A counter differs from its letter by at least this. */
const OTHER = 0.18;
/** It is at least this share of the letter's box; smaller spots are texture. */
const LEAST = 0.004;
/** From this opacity on a pixel belongs to the letter. */
const SOLID = 128;

/**
 * Opens what is enclosed by a letter and of one other, even colour: its pixels become clear, and those of its edge as clear as
 * they are mixed of it. `data` is RGBA, changed in place; answers how many counters were opened. A letter that is not cut out
 * (no clear pixel at its sides) is left alone: what lies round it could not be told from what it encloses.
 */
export function openCounters(data: Uint8ClampedArray, width: number, height: number): number {
  const size = width * height;
  const clear = (at: number) => data[4 * at + 3]! < SOLID;
  let outside = false;
  for (let x = 0; x < width && !outside; x++) outside = clear(x) || clear(size - 1 - x);
  for (let y = 0; y < height && !outside; y++) outside = clear(y * width) || clear(y * width + width - 1);
  if (!outside) return 0;
  const seen = new Uint8Array(size);
  const stack = new Int32Array(size);
  const parts: { pixels: Int32Array; lab: readonly number[]; open: boolean }[] = [];
  for (let first = 0; first < size; first++) {
    if (seen[first] || clear(first)) continue;
    const lab = labAt(data, first);
    let count = 0;
    let open = false;
    let top = 0;
    stack[top++] = first;
    seen[first] = 1;
    const pixels: number[] = [];
    while (top > 0) {
      const at = stack[--top]!;
      pixels.push(at);
      count++;
      const x = at % width;
      const y = (at - x) / width;
      if (x === 0 || y === 0 || x === width - 1 || y === height - 1) open = true;
      for (let side = 0; side < 4; side++) {
        if ((side === 0 && x === 0) || (side === 1 && x === width - 1)) continue;
        const next = side === 0 ? at - 1 : side === 1 ? at + 1 : side === 2 ? at - width : at + width;
        if (next < 0 || next >= size) continue;
        if (clear(next)) {
          open = true;
          continue;
        }
        if (seen[next] || apart(lab, labAt(data, next)) > SAME) continue;
        seen[next] = 1;
        stack[top++] = next;
      }
    }
    if (count >= LEAST * size) parts.push({ pixels: Int32Array.from(pixels), lab, open });
  }
  const letter = parts.filter(({ open }) => open).sort((a, b) => b.pixels.length - a.pixels.length)[0];
  if (!letter) return 0;
  const counters = parts.filter(({ open, lab }) => !open && apart(lab, letter.lab) > OTHER);
  for (const { pixels } of counters) open(data, width, height, pixels, letter.pixels[0]!);
  return counters.length;
}

/** Makes pixels clear, and their neighbours as clear as they are mixed of them. */
function open(
  data: Uint8ClampedArray,
  width: number,
  height: number,
  pixels: Int32Array,
  ofLetter: number,
): void {
  const from = [0, 1, 2].map((channel) => data[4 * pixels[0]! + channel]!);
  const to = [0, 1, 2].map((channel) => data[4 * ofLetter + channel]!);
  const long = to.reduce((sum, value, i) => sum + (value - from[i]!) ** 2, 0) || 1;
  const inside = new Set(pixels);
  const edge = new Set<number>();
  for (const at of pixels) {
    const x = at % width;
    for (let dy = -2; dy <= 2; dy++)
      for (let dx = -2; dx <= 2; dx++) {
        const near = at + dy * width + dx;
        if (x + dx >= 0 && x + dx < width && near >= 0 && near < width * height && !inside.has(near))
          edge.add(near);
      }
    data[4 * at + 3] = 0;
  }
  for (const at of edge) {
    const share =
      to.reduce((sum, value, i) => sum + (value - from[i]!) * (data[4 * at + i]! - from[i]!), 0) / long;
    if (share >= 0.98) continue;
    const kept = Math.max(0, share);
    data[4 * at + 3] = Math.round(data[4 * at + 3]! * kept);
    for (let i = 0; i < 3; i++) data[4 * at + i] = to[i]!;
  }
}

const labAt = (data: Uint8ClampedArray, at: number) =>
  labOfBytes(data[4 * at]!, data[4 * at + 1]!, data[4 * at + 2]!);

const apart = (a: readonly number[], b: readonly number[]): number =>
  Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!, a[2]! - b[2]!);
