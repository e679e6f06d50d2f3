/** Tiles of a pattern. */
import { outset, overlaps, type Box } from '@/core/geometry/box';
import { pathBounds } from '@/core/geometry/path';
import type { DrawingPart } from '@/core/drawing/drawing';

/** How far a mitre may reach, in widths of its line (SVG 1.1, 11.4: the limit is 4 by default). */
const MITRE = 4;

/** A part repeated only where some of it can be seen in a box. */
export function seenIn(box: Box, part: DrawingPart): DrawingPart {
  const reach = outset(pathBounds(part.path), part.line ? (part.line.width / 2) * MITRE : 0);
  return {
    ...part,
    at: part.at.filter(({ x, y }) => overlaps({ ...reach, x: reach.x + x, y: reach.y + y }, box)),
  };
}
