/** Seeded randomness and smooth noise for the drawn papers and photos. */

import { random } from '@/core/random';

const GRID = 256;
const lattices = new Map<number, Float32Array>();

function lattice(seed: number): Float32Array {
  let found = lattices.get(seed);
  if (!found) {
    const next = random(seed);
    found = Float32Array.from({ length: GRID * GRID }, next);
    lattices.set(seed, found);
  }
  return found;
}

/** Smooth value noise, 0 to 1, one bump a unit; repeats after 256 units. */
export function noise(seed: number): (x: number, y: number) => number {
  const values = lattice(seed);
  return (x, y) => {
    const xi = Math.floor(x);
    const yi = Math.floor(y);
    let fx = x - xi;
    let fy = y - yi;
    fx = fx * fx * (3 - 2 * fx);
    fy = fy * fy * (3 - 2 * fy);
    const x0 = xi & 255;
    const x1 = (xi + 1) & 255;
    const y0 = (yi & 255) << 8;
    const y1 = ((yi + 1) & 255) << 8;
    const top = values[y0 | x0]! + (values[y0 | x1]! - values[y0 | x0]!) * fx;
    const low = values[y1 | x0]! + (values[y1 | x1]! - values[y1 | x0]!) * fx;
    return top + (low - top) * fy;
  };
}

/** Noise of several sizes on top of each other (fractional Brownian motion), 0 to 1. */
export function fbm(seed: number, octaves: number, gain = 0.5): (x: number, y: number) => number {
  const at = noise(seed);
  const total = Array.from({ length: octaves }, (_, i) => gain ** i).reduce((a, b) => a + b, 0);
  return (x, y) => {
    let sum = 0;
    let weight = 1;
    for (let i = 0; i < octaves; i++) {
      sum += weight * at(x, y);
      // An odd factor and a shift, so that the grids of the octaves never line up.
      x = x * 2.03 + 17.1;
      y = y * 2.03 + 9.7;
      weight *= gain;
    }
    return sum / total;
  };
}

export const smooth = (from: number, to: number, x: number): number => {
  const t = Math.min(1, Math.max(0, (x - from) / (to - from)));
  return t * t * (3 - 2 * t);
};

export const mix = (a: number, b: number, t: number): number => a + (b - a) * t;
