/** Outlines out of a grid of values, as straight lines: for edges and openings that are only felt for. */
import { pathData, type Segment } from '@/core/geometry/path';
import type { Point } from '@/core/geometry/matrix';
import { signedArea } from '@/core/geometry/offset';
import { simplifyRing } from '@/core/geometry/simplify';
import { ringsAround } from '@/core/pixels/squares';

export interface Grid {
  /** Row by row from the top, 0 to 255. */
  values: ArrayLike<number>;
  width: number;
  height: number;
}

/** How far a traced outline may lie from the true one, in cells of the grid. */
const TOLERANCE = 0.4;
/** Rings of less area than this, in cells, are dust. */
const DUST = 9;

/**
 * Path data around everything at or above `threshold`, holes included (they turn the other way), stretched by `scale` from
 * cells to the unit wanted. Empty if nothing is.
 */
export function trace({ values, width, height }: Grid, threshold: number, scale: number): string {
  const field = Float32Array.from(values, (value) => 0.5 + (value - threshold) / 510);
  return pathData(
    ringsAround(field, width, height).flatMap((ring) => ringPath(ring, scale)),
    1,
  );
}

function ringPath(ring: readonly Point[], scale: number): Segment[] {
  if (Math.abs(signedArea(ring)) < DUST) return [];
  const thin = simplifyRing(ring, TOLERANCE);
  if (thin.length < 3) return [];
  return [...thin.map(({ x, y }, i): Segment => [i === 0 ? 'M' : 'L', x * scale, y * scale]), ['Z']];
}
