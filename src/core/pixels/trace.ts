/** Outlines out of a grid of values, by marching squares (Lorensen & Cline 1987, in the plane; d3-contour). */
import { contours } from 'd3-contour';
import { pathData, type Path, type Segment } from '@/core/geometry/path';
import { signedArea } from '@/core/geometry/offset';
import { simplifyRing } from '@/core/geometry/simplify';

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
  const [shape] = contours().size([width, height]).thresholds([threshold])(values as number[]);
  const path: Path = (shape?.coordinates ?? []).flatMap((polygon) =>
    polygon.flatMap((ring) => ringPath(ring, scale)),
  );
  return pathData(path, 1);
}

function ringPath(ring: readonly number[][], scale: number): Segment[] {
  const points = ring.slice(0, -1).map(([x, y]) => ({ x: x!, y: y! }));
  if (Math.abs(signedArea(points)) < DUST) return [];
  const thin = simplifyRing(points, TOLERANCE);
  if (thin.length < 3) return [];
  return [...thin.map(({ x, y }, i): Segment => [i === 0 ? 'M' : 'L', x * scale, y * scale]), ['Z']];
}
