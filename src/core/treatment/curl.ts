/** A sheet that does not lie flat: how high above its own level each spot of it stands. */
import type { Size } from '@/core/geometry/box';

export const CORNER_NAMES = ['top left', 'top right', 'bottom right', 'bottom left'] as const;
export const CURL_KINDS = ['corners', 'ends', 'middle'] as const;

export interface Curl {
  /** Corners that stand up, both ends of the longer side, or the middle between them. */
  kind: (typeof CURL_KINDS)[number];
  /** For corners: which of them, clockwise from the top left. */
  corners: [boolean, boolean, boolean, boolean];
  /** Millimetres that the highest spot stands above the rest. */
  rise: number;
  /** For corners and ends: how far in it bends, as a share of the shorter side or of half the longer one. */
  reach: number;
}

/** Where each corner lies from the middle. */
const WAYS = [
  [-1, -1],
  [1, -1],
  [1, 1],
  [-1, 1],
] as const;

/**
 * The share of `rise`, 0 to 1, at a spot of a box about its own centre. Corners and ends bend along a parabola, the curve of
 * a sheet bent by an even moment, for small slopes; the middle is a cosine, flat where it meets the page.
 */
export function bentAt(
  { kind, corners, reach }: Curl,
  { width, height }: Size,
): (x: number, y: number) => number {
  const long = width >= height;
  const half = Math.max(width, height) / 2 || 1;
  if (kind === 'middle')
    return (x, y) => 0.5 + 0.5 * Math.cos(Math.PI * Math.max(-1, Math.min(1, (long ? x : y) / half)));
  if (kind === 'ends')
    return (x, y) => Math.max(0, (Math.abs(long ? x : y) / half - (1 - reach)) / reach) ** 2;
  const fold = reach * Math.min(width, height) || 1;
  const up = WAYS.filter((_, i) => corners[i]);
  return (x, y) => {
    let most = 0;
    for (const [sx, sy] of up) {
      const in_ = width / 2 - sx * x + (height / 2 - sy * y);
      const t = 1 - in_ / fold;
      if (t > most) most = t;
    }
    return most * most;
  };
}
