/**
 * A shape blown up like a cushion: the height of a skin held at the edge, which solves Poisson’s equation ∇²u = −1 inside.
 * A strip 2R wide then rises as √(2u) = √(R² − x²), a half circle. Solved coarse first, each finer grid beginning with the
 * coarser one’s answer (cascadic multigrid; Bornemann & Deuflhard 1996) and smoothed by Gauss-Seidel sweeps.
 */
const COARSE = 40;
const FIRST_SWEEPS = 160;
const SWEEPS = 16;

/** √(2u) for each pixel, in pixels; 0 outside. */
export function cushion(cover: Uint8ClampedArray, width: number, height: number): Float32Array {
  const u = solved(cover, width, height);
  for (let i = 0; i < u.length; i++) u[i] = Math.sqrt(2 * u[i]!);
  return u;
}

function solved(cover: Uint8ClampedArray, width: number, height: number): Float32Array {
  const u = new Float32Array(width * height);
  if (Math.max(width, height) <= COARSE) {
    sweep(u, cover, width, height, FIRST_SWEEPS);
    return u;
  }
  const [w, h] = [Math.ceil(width / 2), Math.ceil(height / 2)];
  const half = new Uint8ClampedArray(w * h);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      let sum = 0;
      for (let j = 0; j < 2; j++)
        for (let i = 0; i < 2; i++) {
          const [px, py] = [2 * x + i, 2 * y + j];
          if (px < width && py < height) sum += cover[py * width + px]!;
        }
      half[y * w + x] = sum / 4;
    }
  const coarse = solved(half, w, h);
  const at = (x: number, y: number) => (x < 0 || y < 0 || x >= w || y >= h ? 0 : coarse[y * w + x]!);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      if (cover[y * width + x]! < 128) continue;
      const [fx, fy] = [(x - 0.5) / 2, (y - 0.5) / 2];
      const [left, top] = [Math.floor(fx), Math.floor(fy)];
      const [s, t] = [fx - left, fy - top];
      const upper = at(left, top) * (1 - s) + at(left + 1, top) * s;
      const lower = at(left, top + 1) * (1 - s) + at(left + 1, top + 1) * s;
      // A pixel of the coarse grid is two wide: the same bend is four times as high.
      u[y * width + x] = 4 * (upper * (1 - t) + lower * t);
    }
  sweep(u, cover, width, height, SWEEPS);
  return u;
}

function sweep(
  u: Float32Array,
  cover: Uint8ClampedArray,
  width: number,
  height: number,
  times: number,
): void {
  for (let round = 0; round < times; round++)
    for (let y = 1; y < height - 1; y++)
      for (let x = 1; x < width - 1; x++) {
        const i = y * width + x;
        if (cover[i]! >= 128) u[i] = (u[i - 1]! + u[i + 1]! + u[i - width]! + u[i + width]! + 1) / 4;
      }
}
