/** Seeded noise along a line: value noise (Perlin 1985, in one dimension), by an integer hash (Wang 2007). */

// Taken out once, as these run for every pixel and a global is looked up anew each time in some engines' sandboxes.
const { floor, imul } = Math;

/** 0 to 1, the same for the same two whole numbers. */
export function hash(n: number, seed: number): number {
  let h = (imul(n | 0, 0x9e3779b1) ^ imul(seed | 0, 0x85ebca6b)) >>> 0;
  h = imul(h ^ (h >>> 16), 0x45d9f3b) >>> 0;
  h = imul(h ^ (h >>> 16), 0x45d9f3b) >>> 0;
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

/** Smooth noise from 0 to 1 at `x`, the same again every `period` whole steps. */
export function noise(x: number, period: number, seed: number): number {
  const at = floor(x);
  const t = x - at;
  const wrap = (n: number) => ((n % period) + period) % period;
  const [a, b] = [hash(wrap(at), seed), hash(wrap(at + 1), seed)];
  return a + (b - a) * t * t * (3 - 2 * t);
}

/** Smooth noise from 0 to 1 over the plane: value noise on a lattice of whole steps. Plain code, as it runs for every pixel. */
export function noise2(x: number, y: number, seed: number): number {
  const left = floor(x);
  const top = floor(y);
  const u = x - left;
  const v = y - top;
  const su = u * u * (3 - 2 * u);
  const row = left + imul(top, 7919);
  const a = hash(row, seed);
  const b = hash(row + 1, seed);
  const c = hash(row + 7919, seed);
  const d = hash(row + 7920, seed);
  const upper = a + su * (b - a);
  const lower = c + su * (d - c);
  return upper + v * v * (3 - 2 * v) * (lower - upper);
}

/** Several octaves of it, each half as strong and twice as fine; 0 to 1, 0.5 in the mean. */
export function clouds(x: number, y: number, octaves: number, seed: number): number {
  let sum = 0;
  let whole = 0;
  let strength = 1;
  let fine = 1;
  for (let k = 0; k < octaves; k++) {
    sum += strength * noise2(x * fine, y * fine, seed + k);
    whole += strength;
    strength /= 2;
    fine *= 2;
  }
  return sum / whole;
}
