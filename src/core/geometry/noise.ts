/** Seeded noise along a line: value noise (Perlin 1985, in one dimension), by an integer hash (Wang 2007). */

/** 0 to 1, the same for the same two whole numbers. */
export function hash(n: number, seed: number): number {
  let h = (Math.imul(n | 0, 0x9e3779b1) ^ Math.imul(seed | 0, 0x85ebca6b)) >>> 0;
  h = Math.imul(h ^ (h >>> 16), 0x45d9f3b) >>> 0;
  h = Math.imul(h ^ (h >>> 16), 0x45d9f3b) >>> 0;
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

/** Smooth noise from 0 to 1 at `x`, the same again every `period` whole steps. */
export function noise(x: number, period: number, seed: number): number {
  const at = Math.floor(x);
  const t = x - at;
  const wrap = (n: number) => ((n % period) + period) % period;
  const [a, b] = [hash(wrap(at), seed), hash(wrap(at + 1), seed)];
  return a + (b - a) * t * t * (3 - 2 * t);
}
