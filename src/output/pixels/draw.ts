/** Draws a Picture on a canvas: the screen, the PNG and the JPEG all come from here. */
import type { Drawing } from '@/core/drawing/drawing';
import { outset, overlaps, type Box, type Size } from '@/core/geometry/box';
import { compose, growth, scaling, translation, type Matrix } from '@/core/geometry/matrix';
import { pathBounds, type Path } from '@/core/geometry/path';
import {
  seenWithin,
  type Blended,
  type DrawnPiece,
  type ImageMark,
  type Mark,
  type Picture,
  type ShadowMark,
  type StrokeMark,
} from '@/core/picture/picture';
import type { OpenFont } from '@/core/text/shaper';
import type { GlyphRun } from '@/core/text/typesetter';
import { toWhole, type PlacedDrawing } from '@/output/drawings';
import { outline, workedBitmap } from '@/output/pixels/worked';
import type { Canvas, Context, Drawable, Platform } from '@/output/platform';

export interface DrawingSource {
  platform: Platform;
  /** The picture file decoded and upright, and how many pixels the whole file has; undefined while it is not at hand. */
  image(asset: string, mark: ImageMark): (Drawable & { whole: Size }) | undefined;
  /** The drawing behind a picture that is one. */
  drawing(asset: string, mark: ImageMark): PlacedDrawing | undefined;
  /** Letters are drawn one by one from their font where it is at hand; that is many times faster than one long outline. */
  font?(name: string): OpenFont;
  /** Most pixels a treatment is worked out at, where it must be quick. */
  treatmentPixels?: number;
}

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
  if (!piece.blend && (piece.opacity >= 1 || piece.marks.length === 1)) {
    context.globalAlpha = piece.opacity;
    for (const mark of piece.marks)
      drawMark(context, mark, compose(view, piece.matrix), source, piece.opacity);
    context.globalAlpha = 1;
    return;
  }
  // A piece fades and blends as a whole (W3C Compositing and Blending Level 1, group compositing).
  const bounds = clipped(pixelBounds(piece, view), context.canvas);
  if (bounds.width <= 0 || bounds.height <= 0) return;
  const group = source.platform.canvas(bounds.width, bounds.height);
  const moved = compose(translation(-bounds.x, -bounds.y), view, piece.matrix);
  for (const mark of piece.marks) drawMark(group.context, mark, moved, source, 1);
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.globalAlpha = piece.opacity;
  context.globalCompositeOperation = piece.blend ?? 'source-over';
  context.drawImage(group.canvas, bounds.x, bounds.y);
  context.globalCompositeOperation = 'source-over';
  context.globalAlpha = 1;
}

function clipped(box: Box, { width, height }: Size): Box {
  const x = Math.max(0, box.x);
  const y = Math.max(0, box.y);
  return {
    x,
    y,
    width: Math.min(width, box.x + box.width) - x,
    height: Math.min(height, box.y + box.height) - y,
  };
}

function drawMark(context: Context, mark: Mark, map: Matrix, source: DrawingSource, alpha: number): void {
  const { platform } = source;
  context.setTransform(...map);
  const seen = seenWithin(mark);
  if (seen) {
    context.save();
    context.clip(outline(platform, seen.area));
    drawMark(context, seen.mark, map, source, alpha);
    return context.restore();
  }
  switch (mark.mark) {
    case 'shadow':
      return drawShadow(context, mark, map, platform, alpha);
    case 'fill':
      context.fillStyle = mark.blended ? blendedStyle(context, mark.blended) : mark.colour;
      if (mark.bounds && mark.words && source.font && alpha === 1 && !mark.blended)
        return drawLetters(context, mark.words, map, source.font, platform);
      return context.fill(outline(platform, mark.path));
    case 'stroke':
      return drawStroke(context, mark, platform);
    case 'treatment':
    case 'colouring': {
      const { canvas, x, y, width, height } = workedBitmap(
        mark,
        growth(map),
        platform,
        source.treatmentPixels,
      );
      context.imageSmoothingEnabled = true;
      context.imageSmoothingQuality = 'high';
      return context.drawImage(canvas, x, y, width, height);
    }
    case 'image': {
      const drawing = source.drawing(mark.asset, mark);
      if (drawing) return drawDrawing(context, mark, drawing, map, platform, alpha);
      const image = source.image(mark.asset, mark);
      if (!image) {
        context.fillStyle = '#c9c5bf';
        return context.fill(outline(platform, mark.clip));
      }
      context.save();
      context.clip(outline(platform, mark.clip));
      const toFile = scaling(image.whole.width / image.width, image.whole.height / image.height);
      context.transform(...compose(mark.matrix, toFile));
      context.imageSmoothingEnabled = true;
      context.imageSmoothingQuality = 'medium';
      context.drawImage(image.source, 0, 0);
      return context.restore();
    }
  }
}

function blendedStyle(context: Context, { colours, from, to, round }: Blended): CanvasGradient {
  const style = round
    ? context.createRadialGradient(
        from.x,
        from.y,
        0,
        from.x,
        from.y,
        Math.hypot(to.x - from.x, to.y - from.y),
      )
    : context.createLinearGradient(from.x, from.y, to.x, to.y);
  colours.forEach((colour, i) => style.addColorStop(i / (colours.length - 1), colour));
  return style;
}

function drawDrawing(
  context: Context,
  mark: ImageMark,
  { drawing, whole }: PlacedDrawing,
  map: Matrix,
  platform: Platform,
  alpha: number,
): void {
  context.save();
  context.clip(outline(platform, mark.clip));
  paintDrawing(context, drawing, compose(map, mark.matrix, toWhole(drawing, whole)), platform, alpha);
  context.restore();
  context.globalAlpha = alpha;
}

/** Paints a drawing through `map` (its points to canvas pixels). */
export function paintDrawing(
  context: Context,
  drawing: Drawing,
  map: Matrix,
  platform: Platform,
  alpha: number,
): void {
  for (const { path, colour, opacity, rule, line, at } of drawing.parts) {
    context.globalAlpha = alpha * opacity;
    context.fillStyle = context.strokeStyle = colour;
    if (line) {
      context.lineWidth = line.width;
      context.lineCap = line.cap;
      context.lineJoin = line.join;
      context.miterLimit = MITRE_LIMIT;
    }
    const shape = outline(platform, path);
    for (const offset of at) {
      context.setTransform(...compose(map, translation(offset.x, offset.y)));
      if (line) context.stroke(shape);
      else context.fill(shape, rule);
    }
  }
}

const MITRE_LIMIT = 4;

function drawStroke(context: Context, { path, colour, width, side }: StrokeMark, platform: Platform): void {
  const edge = outline(platform, path);
  context.save();
  if (side === 'inside') context.clip(edge);
  if (side === 'outside') context.clip(outline(platform, [...around(path, width * 8), ...path]), 'evenodd');
  context.strokeStyle = colour;
  context.lineWidth = side === 'on' ? width : 2 * width;
  context.lineJoin = 'miter';
  context.miterLimit = MITRE_LIMIT;
  context.stroke(edge);
  context.restore();
}

/** A rectangle well outside the path, so that even-odd clipping leaves what lies around it. */
export function around(path: Path, by: number): Path {
  const { x, y, width, height } = outset(pathBounds(path), by);
  return [['M', x, y], ['L', x + width, y], ['L', x + width, y + height], ['L', x, y + height], ['Z']];
}

/** Fewest pixels a blur may have as its standard deviation: with fewer the soft edge would show steps. */
const SMOOTH_ENOUGH = 2.5;

/** Shadow and path are blurred at the coarsest size that shows no steps, then laid at full size. */
function drawShadow(
  context: Context,
  mark: ShadowMark,
  map: Matrix,
  platform: Platform,
  alpha: number,
): void {
  const scale = growth(map);
  const coarse = Math.min(1, SMOOTH_ENOUGH / (mark.blur * scale));
  const bitmap = shadowBitmap(mark, compose(scaling(coarse), map), platform, {
    x: 0,
    y: 0,
    width: context.canvas.width * coarse,
    height: context.canvas.height * coarse,
  });
  if (!bitmap) return;
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.globalAlpha = alpha * mark.opacity;
  // Straight interpolation is enough for what is already soft, and several times faster.
  context.imageSmoothingQuality = 'low';
  context.drawImage(
    bitmap.canvas,
    bitmap.x / coarse,
    bitmap.y / coarse,
    bitmap.width / coarse,
    bitmap.height / coarse,
  );
  context.globalAlpha = alpha;
}

export interface ShadowBitmap extends Box {
  canvas: Canvas & CanvasImageSource;
  context: Context;
}

/**
 * The shadow in its full darkness as a bitmap at `map` (piece to pixels); null if it lies wholly outside `seen`.
 * By the HTML Standard a canvas shadow is a Gaussian whose deviation is half of `shadowBlur`.
 */
export function shadowBitmap(
  mark: ShadowMark,
  map: Matrix,
  platform: Platform,
  seen: Box,
): ShadowBitmap | null {
  const sigma = mark.blur * growth(map);
  const margin = Math.ceil(3 * sigma) + 2;
  const moved = compose(map, translation(mark.offset.x, mark.offset.y));
  const solid = boundsUnder(outset(pathBounds(mark.path), mark.grow), moved);
  const whole = outset(solid, margin);
  const view = outset(seen, margin);
  const x = Math.floor(Math.max(whole.x, view.x));
  const y = Math.floor(Math.max(whole.y, view.y));
  const width = Math.ceil(Math.min(whole.x + whole.width, view.x + view.width)) - x;
  const height = Math.ceil(Math.min(whole.y + whole.height, view.y + view.height)) - y;
  if (width <= 0 || height <= 0) return null;
  const { canvas, context } = platform.canvas(width, height);
  // What throws the shadow is drawn out of sight to the left; only its shadow falls on the bitmap.
  const away = Math.ceil(whole.width + width + 10);
  context.shadowColor = mark.colour;
  context.shadowBlur = 2 * sigma;
  context.shadowOffsetX = away;
  if (mark.grow > 0) {
    const solidShape = platform.canvas(Math.ceil(whole.width), Math.ceil(whole.height));
    solidShape.context.setTransform(
      ...compose(translation(-Math.floor(whole.x), -Math.floor(whole.y)), moved),
    );
    solidShape.context.lineWidth = 2 * mark.grow;
    solidShape.context.miterLimit = MITRE_LIMIT;
    solidShape.context.fill(outline(platform, mark.path));
    solidShape.context.stroke(outline(platform, mark.path));
    context.drawImage(solidShape.canvas, Math.floor(whole.x) - x - away, Math.floor(whole.y) - y);
  } else {
    context.setTransform(...compose(translation(-x - away, -y), moved));
    context.fill(outline(platform, mark.path));
  }
  return { canvas, context, x, y, width, height };
}

function boundsUnder(box: Box, [a, b, c, d, e, f]: Matrix): Box {
  const cx = box.x + box.width / 2;
  const cy = box.y + box.height / 2;
  const w = (Math.abs(a) * box.width + Math.abs(c) * box.height) / 2;
  const h = (Math.abs(b) * box.width + Math.abs(d) * box.height) / 2;
  return { x: a * cx + c * cy + e - w, y: b * cx + d * cy + f - h, width: 2 * w, height: 2 * h };
}

function drawLetters(
  context: Context,
  words: readonly GlyphRun[],
  map: Matrix,
  font: (name: string) => OpenFont,
  platform: Platform,
): void {
  const [a, b, c, d, e, f] = map;
  for (const { font: name, size, glyphs } of words) {
    const { unitsPerEm, outline: shapeOf } = font(name);
    const unit = size / unitsPerEm;
    for (const { id, x, y } of glyphs) {
      const shape = shapeOf(id);
      if (!shape.length) continue;
      context.setTransform(a * unit, b * unit, c * unit, d * unit, a * x + c * y + e, b * x + d * y + f);
      context.fill(outline(platform, shape));
    }
  }
  context.setTransform(...map);
}

/** How large the drawing comes out, and the map from page points to its pixels. */
export function sheetOf(picture: Picture, ppi: number, withBleed: boolean): Size & { view: Matrix } {
  const bleed = withBleed ? picture.bleed : 0;
  const scale = ppi / 72;
  return {
    width: Math.round((picture.trim.width + 2 * bleed) * scale),
    height: Math.round((picture.trim.height + 2 * bleed) * scale),
    view: compose(scaling(scale), translation(bleed, bleed)),
  };
}

/** The most pixels a side that every canvas in use takes. */
export const LONGEST_SIDE = 16_384;
