/** Draws a Picture on a canvas: the screen, the PNG and the JPEG all come from here. */
import { overlaps, type Box, type Size } from '@/core/geometry/box';
import { compose, scaling, translation, type Matrix } from '@/core/geometry/matrix';
import { isSingle, madeOf, type DrawnPiece, type Picture } from '@/core/picture/picture';
import { drawMarks, onLayer } from '@/output/pixels/cut';
import type { DrawingSource } from '@/output/pixels/marks';
import type { Context } from '@/output/platform';

/** Draws the pieces of a picture through `view` (page points to canvas pixels). */
export function drawPieces(
  context: Context,
  pieces: readonly DrawnPiece[],
  view: Matrix,
  source: DrawingSource,
): void {
  const seen = { x: 0, y: 0, width: context.canvas.width, height: context.canvas.height };
  for (const piece of pieces)
    if (overlaps(pixelBounds(piece, view), seen)) drawPiece(context, piece, view, source);
}

/** Everything a piece may paint, in canvas pixels, on whole pixels. */
export function pixelBounds(piece: DrawnPiece, view: Matrix): Box {
  const { x, y, width, height } = piece.bounds;
  const [a, , , d, e, f] = view;
  const left = Math.floor(a * x + e) - 1;
  const top = Math.floor(d * y + f) - 1;
  return {
    x: left,
    y: top,
    width: Math.ceil(a * (x + width) + e) + 1 - left,
    height: Math.ceil(d * (y + height) + f) + 1 - top,
  };
}

export function drawPiece(context: Context, piece: DrawnPiece, view: Matrix, source: DrawingSource): void {
  if (piece.opacity <= 0) return;
  const map = compose(view, piece.matrix);
  if (!piece.blend && (piece.opacity >= 1 || isSingle(piece.marks)))
    return drawMarks(context, piece.marks, map, source, piece.opacity);
  // A piece fades and blends as a whole (W3C Compositing and Blending Level 1, group compositing).
  const { opacity, blend } = piece;
  onLayer(context, pixelBounds(piece, view), source.platform, { alpha: opacity, blend }, (layer, moved) =>
    drawMarks(layer, piece.marks, compose(moved, map), source, 1),
  );
}

/** How large the drawing comes out, and the map from page points to its pixels. */
export function sheetOf(picture: Picture, ppi: number, bleed: boolean): Size & { view: Matrix } {
  const { x, y, width, height } = madeOf(picture, bleed);
  const scale = ppi / 72;
  return {
    width: Math.round(width * scale),
    height: Math.round(height * scale),
    view: compose(scaling(scale), translation(-x, -y)),
  };
}

/** The most pixels a side that every canvas in use takes. */
export const LONGEST_SIDE = 16_384;
