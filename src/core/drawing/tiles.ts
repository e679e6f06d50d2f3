/** Tiles of a pattern. */
import { outset, type Box } from '@/core/geometry/box';
import { MITRE_LIMIT } from '@/core/geometry/offset';
import { pathBounds } from '@/core/geometry/path';
import type { DrawingPart } from '@/core/drawing/drawing';

/** A part repeated only where some of it can be seen in a box. There may be millions: numbers are compared, and nothing else made. */
export function seenIn(box: Box, part: DrawingPart): DrawingPart {
  const reach = outset(pathBounds(part.path), part.line ? (part.line.width / 2) * MITRE_LIMIT : 0);
  const [left, right] = [box.x - reach.x - reach.width, box.x + box.width - reach.x];
  const [top, bottom] = [box.y - reach.y - reach.height, box.y + box.height - reach.y];
  const at = part.at.filter(({ x, y }) => x > left && x < right && y > top && y < bottom);
  return { ...part, at };
}
