/** Squares by which a cutter finds its place on what was printed. */
import type { Box, Size } from '@/core/geometry/box';
import { toPoints } from '@/core/units/lengths';

/** How large they are, and how far from the paper's edges (common practice, no source). */
const [SQUARE, INSET] = [toPoints(5, 'mm'), toPoints(8, 'mm')];

/** At three corners, so that a sheet laid in upside down is not mistaken. */
export const registerMarks = ({ width, height }: Size): Box[] =>
  [
    [INSET, INSET],
    [width - INSET - SQUARE, INSET],
    [INSET, height - INSET - SQUARE],
  ].map(([x, y]) => ({ x: x!, y: y!, width: SQUARE, height: SQUARE }));
