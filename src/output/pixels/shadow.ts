/** What a piece throws on what lies beneath it, as pixels. */
import { outset, transformBox, type Box } from '@/core/geometry/box';
import { compose, growth, scaling, translation, type Matrix } from '@/core/geometry/matrix';
import { MITRE_LIMIT } from '@/core/geometry/offset';
import { pathBounds } from '@/core/geometry/path';
import type { ShadowMark } from '@/core/picture/picture';
import { outline } from '@/output/pixels/worked';
import type { Canvas, Context, Platform } from '@/output/platform';

/** Fewest pixels a blur may have as its standard deviation: with fewer the soft edge would show steps. */
const SMOOTH_ENOUGH = 2.5;

/** Shadow and path are blurred at the coarsest size that shows no steps, then laid at full size. */
export function drawShadow(
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

interface ShadowBitmap extends Box {
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
  const solid = transformBox(moved, outset(pathBounds(mark.path), mark.grow));
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
