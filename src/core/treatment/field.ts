/** A shape as pixels, and how deep inside it each of them lies: what treatments are worked out from. */

export interface Field {
  /** Pixels across and down, and pixels a point. */
  width: number;
  height: number;
  scale: number;
  /** Where the first pixel's corner lies in the piece's own frame, points: textures hold to the piece, not to the pixels. */
  x: number;
  y: number;
  /** How much of each pixel is covered, 0 to 255. */
  cover: Uint8ClampedArray;
  /** Points from each pixel's middle to the edge; 0 outside. Worked out when first asked for. */
  depth(): Float32Array;
}

export function fieldOf(
  rgba: Uint8ClampedArray,
  { width, height, scale, x, y }: Pick<Field, 'width' | 'height' | 'scale' | 'x' | 'y'>,
): Field {
  const cover = new Uint8ClampedArray(width * height);
  for (let i = 0; i < cover.length; i++) cover[i] = rgba[4 * i + 3]!;
  let depth: Float32Array | null = null;
  return { width, height, scale, x, y, cover, depth: () => (depth ??= depths(cover, width, height, scale)) };
}

/** Every pixel that is covered at all, and where its middle lies in the piece's own frame, points. */
export function eachPixel(
  { width, height, scale, x: left, y: top, cover }: Field,
  visit: (pixel: number, x: number, y: number) => void,
): void {
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      if (cover[i] !== 0) visit(i, left + (x + 0.5) / scale, top + (y + 0.5) / scale);
    }
}

const FAR = 1e12;
/** Pixels covered less than this are where the edge may run; a little less than full, as fills overlap. */
const FULL = 250;

/**
 * Euclidean distances to the edge, by lower envelopes of parabolas, first along columns, then along rows (Felzenszwalb &
 * Huttenlocher, “Distance Transforms of Sampled Functions”, 2012). A pixel that is covered in part says where in it the edge
 * runs, so that slanting edges have no steps. What lies beyond the bitmap is outside.
 */
export function depths(cover: Uint8ClampedArray, width: number, height: number, scale: number): Float32Array {
  // The nearest pixel of each column that is not full: how far up or down.
  const reach = new Int32Array(width * height);
  for (let x = 0; x < width; x++) {
    let near = -1;
    for (let y = 0; y < height; y++) {
      if (cover[y * width + x]! < FULL) near = y;
      reach[y * width + x] = near - y;
    }
    near = height;
    for (let y = height - 1; y >= 0; y--) {
      if (cover[y * width + x]! < FULL) near = y;
      if (near - y < -reach[y * width + x]!) reach[y * width + x] = near - y;
    }
  }
  const out = new Float32Array(width * height);
  // One empty column on either side.
  const row = new Float64Array(width + 2);
  const lowest = new Int32Array(width + 2);
  const starts = new Float64Array(width + 3);
  for (let y = 0; y < height; y++) {
    const at = y * width;
    row[0] = row[width + 1] = 0;
    for (let x = 0; x < width; x++) row[x + 1] = reach[at + x]! * reach[at + x]!;
    let k = 0;
    lowest[0] = 0;
    starts[0] = -FAR;
    starts[1] = FAR;
    for (let q = 1; q < width + 2; q++) {
      let s: number;
      for (;;) {
        const v = lowest[k]!;
        s = (row[q]! + q * q - row[v]! - v * v) / (2 * (q - v));
        if (s > starts[k]!) break;
        k--;
      }
      k++;
      lowest[k] = q;
      starts[k] = s;
      starts[k + 1] = FAR;
    }
    k = 0;
    for (let x = 0; x < width; x++) {
      const q = x + 1;
      while (starts[k + 1]! < q) k++;
      const v = lowest[k]!;
      const line = y + (v >= 1 && v <= width ? reach[at + v - 1]! : 0);
      const inside = v >= 1 && v <= width && line >= 0 && line < height;
      const covered = inside ? cover[line * width + v - 1]! / 255 : 0;
      const away = Math.sqrt((q - v) * (q - v) + row[v]!);
      out[at + x] = Math.max(0, away + covered - 0.5) / scale;
    }
  }
  return out;
}
