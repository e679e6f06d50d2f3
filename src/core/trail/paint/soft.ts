/**
 * Paint that is soft or grainy: for every pixel the nearest spot of the line is found, and the tip says how much paint lies
 * so far from it. What a tip says depends on points, never on pixels: screen, picture and print show the same grain.
 */
import { clouds, hash, noise2 } from '@/core/geometry/noise';
import type { Box } from '@/core/geometry/box';
import type { Dab } from '@/core/trail/paint/dabs';

// Taken out once, as these run for every pixel.
const { ceil, exp, floor, max, min, sqrt } = Math;

/** A pixel of a line. Lengths in points. */
export interface Spot {
  x: number;
  y: number;
  /** How far from the line, in radii of the tip there: 1 is its edge. */
  q: number;
  /** How far beside the way, in radii: below zero to its left. */
  v: number;
  /** How far along the line. */
  s: number;
  /** How long the line is. */
  long: number;
  r: number;
  press: number;
  /** One pixel, in radii. */
  pixel: number;
}

export interface SoftTip {
  /** How much paint lies there, 0 to 1. */
  coverage(spot: Spot, hardness: number, seed: number): number;
  /** How far beyond its radius there may be paint, in radii. */
  beyond: number;
}

/** A line of soft paint: its dabs, one list for each part that hangs together. */
export interface SoftStroke {
  tip: SoftTipName;
  lines: readonly (readonly Dab[])[];
  /** 0 to 1: how much of the tip is full paint. */
  hardness: number;
  seed: number;
}

/** 0 up to `a`, 1 from `b` on, smooth between (the Hermite step of shading languages). */
function step(a: number, b: number, x: number): number {
  const t = x <= a ? 0 : x >= b ? 1 : (x - a) / (b - a);
  return t * t * (3 - 2 * t);
}

/** Full paint up to the edge, which is as soft as a pixel. */
const within = (q: number, pixel: number) => min(1, max(0, (1 - q) / pixel + 0.5));

/** The grain of the paper, points: a tooth is a third of a millimetre. */
const TOOTH = 0.95;
const grain = (x: number, y: number, seed: number) => clouds(x / TOOTH, y / TOOTH, 2, seed);

export const SOFT_TIPS = {
  soft: {
    beyond: 1.05,
    // Full up to the hardness, then (1 − t²)², which leaves and arrives without an edge.
    coverage({ q, pixel }, hardness) {
      if (q <= hardness) return 1;
      const width = max(1 - hardness, pixel);
      const t = (q - hardness) / width;
      return t >= 1 ? 0 : (1 - t * t) ** 2;
    },
  },
  chalk: {
    beyond: 1.15,
    coverage({ x, y, q, press, pixel }, hardness, seed) {
      const rough = q + 0.3 * (clouds(x / 1.7, y / 1.7, 2, seed + 5) - 0.5);
      const body = 1 - step(0.78, max(0.98, 0.78 + pixel), rough);
      if (body <= 0) return 0;
      const bare = 0.58 - 0.26 * hardness - 0.18 * (press - 0.5) + 0.2 * rough * rough * rough;
      return body * (0.06 + 0.94 * step(bare - 0.09, bare + 0.09, grain(x, y, seed)));
    },
  },
  bristle: {
    beyond: 1.1,
    coverage({ x, y, q, v, s, long, r, press }, hardness, seed) {
      // Hairs side by side, each with its own load of paint, which runs out along the way.
      const lane = v * (6 + r * 1.4);
      const hair = 0.62 * noise2(lane, s / (14 + 2 * r), seed) + 0.38 * noise2(lane * 2.3, s / 9, seed + 1);
      const ends = q + 0.16 * (noise2(lane, s / 6, seed + 2) - 0.5);
      const edge = 1 - step(0.86, 1.02, ends);
      if (edge <= 0) return 0;
      const run = s / max(long, 6 * r);
      const dry = 0.5 - 0.28 * hardness + 0.22 * run * run - 0.12 * (press - 0.5);
      const tooth = 0.16 * (grain(x, y, seed + 3) - 0.5);
      return edge * step(dry - 0.1, dry + 0.12, hair + tooth);
    },
  },
  pencil: {
    beyond: 1.1,
    coverage({ x, y, q, press, pixel }, hardness, seed) {
      const body =
        1 - step(0.55, max(1.02, 0.55 + pixel), q + 0.22 * (noise2(x / 0.8, y / 0.8, seed + 4) - 0.5));
      if (body <= 0) return 0;
      const bare = 0.55 - 0.24 * hardness - 0.24 * (press - 0.5);
      return body * (0.14 + 0.8 * step(bare - 0.2, bare + 0.2, clouds(x / 0.4, y / 0.4, 2, seed)));
    },
  },
  watercolour: {
    beyond: 1.25,
    coverage({ x, y, q, r, pixel }, hardness, seed) {
      // The edge wanders; pigment gathers along it as it dries, and settles in clouds and in the tooth of the paper.
      const wander = 0.26 * (clouds(x / (1.1 * r + 3), y / (1.1 * r + 3), 3, seed) - 0.5);
      const edge = q + wander;
      const body = within(edge, max(pixel, 0.04));
      if (body <= 0) return 0;
      const rim = exp(-(((0.965 - edge) / (0.05 + 1.1 / (r + 8))) ** 2));
      const cloud = clouds(x / (2.2 * r + 8), y / (2.2 * r + 8), 3, seed + 7) - 0.5;
      const settled = grain(x, y, seed + 9) - 0.5;
      const paint = 0.3 + 0.22 * hardness + 0.55 * cloud + 0.16 * settled + (0.32 + 0.2 * hardness) * rim;
      return body * min(1, max(0.04, paint));
    },
  },
  spray: {
    beyond: 1.3,
    coverage({ x, y, q, r, pixel }, hardness, seed) {
      // Two sorts of drops, a lattice each; how many there are falls off like a bell.
      const many = exp(-2.6 * q * q) * (0.35 + 0.65 * hardness);
      const mist = 0.55 * many * many * (0.6 + 0.8 * (noise2(x / 0.7, y / 0.7, seed + 2) - 0.5));
      const size = min(1.3, max(0.5, r / 7));
      return min(
        1,
        mist +
          drops(x, y, size, many, pixel * r, seed) +
          drops(x, y, 2.1 * size, 0.22 * many, pixel * r, seed + 1),
      );
    },
  },
} satisfies Record<string, SoftTip>;

export type SoftTipName = keyof typeof SOFT_TIPS;

/** Round drops in cells of a lattice, so many of them that `many` of the cells hold one. */
function drops(x: number, y: number, cell: number, many: number, pixel: number, seed: number): number {
  const [column, row] = [floor(x / cell), floor(y / cell)];
  let covered = 0;
  for (let j = row - 1; j <= row + 1; j++)
    for (let i = column - 1; i <= column + 1; i++) {
      const id = i + Math.imul(j, 7919);
      if (hash(id, seed) >= many) continue;
      const cx = (i + 0.2 + 0.6 * hash(id, seed + 11)) * cell;
      const cy = (j + 0.2 + 0.6 * hash(id, seed + 12)) * cell;
      const radius = cell * (0.14 + 0.3 * hash(id, seed + 13));
      const away = sqrt((x - cx) ** 2 + (y - cy) ** 2);
      covered = max(covered, min(1, max(0, (radius - away) / pixel + 0.5)));
    }
  return covered;
}

/** Pixels a side of the squares that are worked on at a time: most of a page holds no paint. */
const TILE = 64;

export interface Raster {
  width: number;
  height: number;
  /** Pixels a point, and the point at which the first pixel begins. */
  scale: number;
  x: number;
  y: number;
}

/** How far the paint of a line may reach, points. */
export function softBounds({ tip, lines }: Pick<SoftStroke, 'tip' | 'lines'>): Box {
  const { beyond } = SOFT_TIPS[tip];
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const dabs of lines)
    for (const { x, y, r } of dabs) {
      left = min(left, x - r * beyond);
      top = min(top, y - r * beyond);
      right = max(right, x + r * beyond);
      bottom = max(bottom, y + r * beyond);
    }
  return left > right
    ? { x: 0, y: 0, width: 0, height: 0 }
    : { x: left, y: top, width: right - left, height: bottom - top };
}

/**
 * How much paint lies on each pixel, 0 to 255, row by row. `only` are the pixels that are wanted (left, top, right, bottom,
 * the last ones not among them): what was drawn before need not be worked out again.
 */
export function paintSoft(
  stroke: SoftStroke,
  raster: Raster,
  out: Uint8ClampedArray,
  only?: readonly number[],
): void {
  const tip: SoftTip = SOFT_TIPS[stroke.tip];
  const { width, height, scale, x: left, y: top } = raster;
  const tiles = new Map<number, number[]>();
  const across = ceil(width / TILE);
  const [x0, y0, x1, y1] = only ?? [0, 0, width, height];
  const dabs: Dab[] = [];
  /** Where each side begins: its dab, and the one after it. */
  const ends: number[] = [];
  for (const line of stroke.lines) {
    const from = dabs.length;
    dabs.push(...line);
    for (let i = 0; i < max(1, line.length - 1) && line.length; i++) {
      const [a, b] = [line[i]!, line[min(line.length - 1, i + 1)]!];
      const reach = max(a.r, b.r) * tip.beyond;
      const lowX = floor(((min(a.x, b.x) - reach - left) * scale) / TILE);
      const highX = floor(((max(a.x, b.x) + reach - left) * scale) / TILE);
      const lowY = floor(((min(a.y, b.y) - reach - top) * scale) / TILE);
      const highY = floor(((max(a.y, b.y) + reach - top) * scale) / TILE);
      const side = ends.length / 2;
      ends.push(from + i, from + min(line.length - 1, i + 1));
      for (let row = max(0, lowY, floor(y0! / TILE)); row <= min(highY, floor((y1! - 1) / TILE)); row++)
        for (
          let column = max(0, lowX, floor(x0! / TILE));
          column <= min(highX, across - 1, floor((x1! - 1) / TILE));
          column++
        ) {
          const key = row * across + column;
          const sides = tiles.get(key);
          if (sides) sides.push(side);
          else tiles.set(key, [side]);
        }
    }
  }
  const long = max(...stroke.lines.map((line) => line[line.length - 1]?.s ?? 0), 0);
  const spot: Spot = { x: 0, y: 0, q: 0, v: 0, s: 0, long, r: 1, press: 0.5, pixel: 0 };
  const nearest = new Float64Array(TILE * TILE);
  const where = new Float64Array(TILE * TILE);
  const which = new Int32Array(TILE * TILE);
  for (const [key, sides] of tiles) {
    const tx = (key % across) * TILE;
    const ty = floor(key / across) * TILE;
    nearest.fill(Infinity);
    for (const side of sides) {
      const [a, b] = [dabs[ends[2 * side]!]!, dabs[ends[2 * side + 1]!]!];
      const [dx, dy] = [b.x - a.x, b.y - a.y];
      const long2 = dx * dx + dy * dy;
      const reach = max(a.r, b.r) * tip.beyond;
      const fromX = max(tx, x0!, floor((min(a.x, b.x) - reach - left) * scale));
      const toX = min(tx + TILE, x1!, width, ceil((max(a.x, b.x) + reach - left) * scale) + 1);
      const fromY = max(ty, y0!, floor((min(a.y, b.y) - reach - top) * scale));
      const toY = min(ty + TILE, y1!, height, ceil((max(a.y, b.y) + reach - top) * scale) + 1);
      for (let py = fromY; py < toY; py++) {
        const y = top + (py + 0.5) / scale;
        for (let px = fromX; px < toX; px++) {
          const x = left + (px + 0.5) / scale;
          const [ex, ey] = [x - a.x, y - a.y];
          const t = long2 > 0 ? min(1, max(0, (ex * dx + ey * dy) / long2)) : 0;
          const [ox, oy] = [ex - t * dx, ey - t * dy];
          const r = a.r + t * (b.r - a.r);
          const q = sqrt(ox * ox + oy * oy) / r;
          const i = (py - ty) * TILE + px - tx;
          if (q < nearest[i]!) {
            nearest[i] = q;
            where[i] = t;
            which[i] = side;
          }
        }
      }
    }
    for (let i = 0; i < TILE * TILE; i++) {
      const q = nearest[i]!;
      if (q > tip.beyond) continue;
      const side = which[i]!;
      const t = where[i]!;
      const [a, b] = [dabs[ends[2 * side]!]!, dabs[ends[2 * side + 1]!]!];
      const [px, py] = [tx + (i % TILE), ty + floor(i / TILE)];
      spot.x = left + (px + 0.5) / scale;
      spot.y = top + (py + 0.5) / scale;
      spot.q = q;
      spot.r = a.r + t * (b.r - a.r);
      // Beside the way, and along it, beyond an end too: hairs do not turn round there.
      const [dx, dy] = [b.x - a.x, b.y - a.y];
      const length = sqrt(dx * dx + dy * dy) || 1;
      const [ex, ey] = [spot.x - a.x, spot.y - a.y];
      spot.v = (dx * ey - dy * ex) / length / spot.r;
      spot.s = a.s + (ex * dx + ey * dy) / length;
      spot.press = a.press + t * (b.press - a.press);
      spot.pixel = 1 / (scale * spot.r);
      out[py * width + px] = 255 * tip.coverage(spot, stroke.hardness, stroke.seed);
    }
  }
}
