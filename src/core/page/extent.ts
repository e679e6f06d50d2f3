/** How much room pieces take on the page, by their true outlines. */
import { unite, type Box } from '@/core/geometry/box';
import { pathBounds, transformPath } from '@/core/geometry/path';
import { outlineOf, type DrawingTools } from '@/core/page/draw';
import { extentOf, placementMatrix } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';

/**
 * The upright box round a piece's turned outline, points: a turned disc takes no more room than one that lies straight.
 * Words count by their box, which is what a hand takes hold of. Strokes and shadows are not counted.
 */
export function trueExtent(piece: Piece, tools: DrawingTools): Box {
  if (piece.outline.kind === 'glyphs') return extentOf(piece.placement);
  return pathBounds(transformPath(placementMatrix(piece.placement), outlineOf(piece, tools).path));
}

/** The box round several pieces. Throws TypeError for none. */
export const extentOfAll = (pieces: readonly Piece[], tools: DrawingTools): Box =>
  pieces.map((piece) => trueExtent(piece, tools)).reduce(unite);
