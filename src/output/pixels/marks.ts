/** How one mark is painted on a canvas, within its edge or on beyond it. */
import type { Drawing } from '@/core/drawing/drawing';
import { boxOfPoints, corners, outset, transformBox, type Box, type Size } from '@/core/geometry/box';
import {
  apply,
  compose,
  growth,
  IDENTITY,
  invert,
  scaling,
  translation,
  type Matrix,
} from '@/core/geometry/matrix';
import { MITRE_LIMIT } from '@/core/geometry/offset';
import { pathBounds, rectanglePath, type Path } from '@/core/geometry/path';
import type { Blended, FillMark, ImageMark, Mark, StampsMark, StrokeMark, Tip } from '@/core/picture/picture';
import type { OpenFont } from '@/core/text/shaper';
import type { GlyphRun } from '@/core/text/typesetter';
import { toWhole, type PlacedDrawing } from '@/output/drawings';
import { drawShadow } from '@/output/pixels/shadow';
import { outline, workedBitmap } from '@/output/pixels/worked';
import type { Context, Drawable, Platform } from '@/output/platform';

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

/** Where a mark ends that fills an outline; null for what has no edge of its own. */
export function edgeOf(mark: Mark): Path | null {
  switch (mark.mark) {
    case 'fill':
    case 'treatment':
      return mark.path;
    case 'image':
      return mark.clip;
    default:
      return null;
  }
}

/** Paints a mark through `map` as it is, edge and all; a drawing on beyond its edge. */
export function drawMark(
  context: Context,
  mark: Mark,
  map: Matrix,
  source: DrawingSource,
  alpha: number,
): void {
  const { platform } = source;
  context.setTransform(...map);
  context.globalAlpha = alpha;
  switch (mark.mark) {
    case 'shadow':
      return drawShadow(context, mark, map, platform, alpha);
    case 'fill':
      if (mark.bounds && mark.words && source.font && alpha === 1 && !mark.blended) {
        context.fillStyle = mark.colour;
        return drawLetters(context, mark.words, map, source.font, platform);
      }
      context.globalAlpha = alpha * (mark.opacity ?? 1);
      return fillWith(context, mark, outline(platform, mark.path));
    case 'stamps':
      return drawStamps(context, mark, map, source, alpha);
    case 'stroke':
      return strokeAlong(context, mark, mark.side === 'on' ? mark.width : 2 * mark.width, platform);
    case 'treatment':
    case 'colouring':
    case 'paint': {
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
    case 'image':
      return paintImage(context, mark, mark.clip, map, source, alpha);
  }
}

/** Fewer parts than this are drawn each time; more are drawn once and their pixels laid. */
const MOST_PARTS = 20_000;

/** Every stamp in its place: what is pixels once as small as it is seen, what is drawn anew each time as far as that is quick. */
function drawStamps(
  context: Context,
  { tips, places }: StampsMark,
  map: Matrix,
  source: DrawingSource,
  alpha: number,
): void {
  const scale = growth(map);
  const parts = places.reduce((sum, { tip }) => sum + partsOf(tips[tip]!, source), 0);
  const bitmaps = new Map<number, ReturnType<typeof tipBitmap>>();
  for (const { tip: at, map: lies, opacity = 1 } of places) {
    const tip = tips[at]!;
    const whole = compose(map, lies);
    if (parts <= MOST_PARTS) {
      for (const mark of tip) drawMark(context, mark, whole, source, alpha * opacity);
      continue;
    }
    let bitmap = bitmaps.get(at);
    if (!bitmap) bitmaps.set(at, (bitmap = tipBitmap(tip, scale, source)));
    const { canvas, box } = bitmap;
    context.setTransform(...whole);
    context.globalAlpha = alpha * opacity;
    context.imageSmoothingEnabled = true;
    context.imageSmoothingQuality = 'medium';
    context.drawImage(canvas, box.x, box.y, box.width, box.height);
  }
  context.setTransform(...map);
  context.globalAlpha = alpha;
}

/** How much is drawn of a tip: pictures that are pixels cost as much as hundreds of outlines. */
const partsOf = (tip: Tip, source: DrawingSource): number =>
  tip.reduce(
    (sum, mark) =>
      sum +
      (mark.mark === 'fill' ? 1 : (source.drawing(mark.asset, mark)?.drawing.parts.length ?? MOST_PARTS + 1)),
    0,
  );

function tipBitmap(tip: Tip, scale: number, source: DrawingSource) {
  const boxes = tip.map((mark) => pathBounds(mark.mark === 'fill' ? mark.path : mark.clip));
  const tight = boxOfPoints(boxes.flatMap(corners));
  const box = outset(tight, 1 / scale);
  const [width, height] = [
    Math.max(1, Math.ceil(box.width * scale)),
    Math.max(1, Math.ceil(box.height * scale)),
  ];
  const { canvas, context } = source.platform.canvas(width, height);
  const [x, y] = [width / box.width, height / box.height];
  for (const mark of tip) drawMark(context, mark, [x, 0, 0, y, -box.x * x, -box.y * y], source, 1);
  return { canvas, box };
}

/** Paints a mark that has an edge on beyond it, for what cuts it afterwards. */
export function drawBeyond(context: Context, mark: Mark, map: Matrix, source: DrawingSource): void {
  const edge = edgeOf(mark);
  if (!edge || mark.mark === 'treatment') return drawMark(context, mark, map, source, 1);
  const beyond = rectanglePath(outset(pathBounds(edge), 2 / growth(map)));
  context.setTransform(...map);
  context.globalAlpha = 1;
  if (mark.mark === 'fill') fillWith(context, mark, outline(source.platform, beyond));
  if (mark.mark === 'image') paintImage(context, mark, beyond, map, source, 1);
}

function fillWith(context: Context, { blended, colour }: FillMark, shape: Path2D): void {
  context.fillStyle = blended ? blendedStyle(context, blended) : colour;
  context.fill(shape);
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

function paintImage(
  context: Context,
  mark: ImageMark,
  area: Path,
  map: Matrix,
  source: DrawingSource,
  alpha: number,
): void {
  const { platform } = source;
  const drawing = source.drawing(mark.asset, mark);
  if (drawing) return paintDrawing(context, drawing.drawing, drawingMap(mark, drawing, map), platform, alpha);
  const image = source.image(mark.asset, mark);
  if (!image) {
    context.fillStyle = '#c9c5bf';
    return context.fill(outline(platform, area));
  }
  const toFile = scaling(image.whole.width / image.width, image.whole.height / image.height);
  const lies = reaching(compose(mark.matrix, toFile), image, pathBounds(area), 1 / growth(map));
  const pattern = context.createPattern(image.source, 'no-repeat')!;
  const [a, b, c, d, e, f] = lies;
  pattern.setTransform({ a, b, c, d, e, f });
  context.imageSmoothingEnabled = true;
  context.imageSmoothingQuality = 'medium';
  context.fillStyle = pattern;
  context.fill(outline(platform, area));
}

/**
 * A picture that ends where its outline ends would be half clear there, and the outline cuts that in half once more: it is
 * laid larger by a pixel on each such side. `map` takes its pixels to the piece's frame, `pixel` is one of the canvas, points.
 */
function reaching(map: Matrix, { width, height }: Size, seen: Box, pixel: number): Matrix {
  const [a, b, c, d] = map;
  if (b || c || a <= 0 || d <= 0) return map;
  const back = invert(map);
  const from = apply(back, seen);
  const to = apply(back, { x: seen.x + seen.width, y: seen.y + seen.height });
  /** By how much it is longer before and after. */
  const longer = (first: number, last: number, length: number, unit: number): [number, number] => [
    Math.abs(first) < unit ? unit : 0,
    Math.abs(length - last) < unit ? unit : 0,
  ];
  const [left, right] = longer(from.x, to.x, width, pixel / a);
  const [above, below] = longer(from.y, to.y, height, pixel / d);
  return compose(
    map,
    translation(-left, -above),
    scaling((width + left + right) / width, (height + above + below) / height),
  );
}

const drawingMap = (mark: ImageMark, { drawing, whole }: PlacedDrawing, map: Matrix): Matrix =>
  compose(map, mark.matrix, toWhole(drawing, whole));

/** Whether a picture is a drawing that its edge has something to cut off. */
export function isCutDrawing(mark: Mark, source: DrawingSource): boolean {
  if (mark.mark !== 'image') return false;
  const placed = source.drawing(mark.asset, mark);
  if (!placed) return false;
  const edge = pathBounds(mark.clip);
  const { x, y, width, height } = transformBox(
    drawingMap(mark, placed, IDENTITY),
    reachOfDrawing(placed.drawing),
  );
  const within =
    x > edge.x - HAIR &&
    y > edge.y - HAIR &&
    x + width < edge.x + edge.width + HAIR &&
    y + height < edge.y + edge.height + HAIR;
  return !within || !isRectangle(mark.clip);
}

/** Points that are nothing. */
const HAIR = 1e-3;

const isRectangle = (path: Path): boolean =>
  path.filter(([kind]) => kind !== 'Z').length === 4 && path.every(([kind]) => kind !== 'C');

const reaches = new WeakMap<Drawing, Box>();

/** How far the parts of a drawing reach, in its own points. */
function reachOfDrawing(drawing: Drawing): Box {
  let reach = reaches.get(drawing);
  if (!reach) {
    const all = drawing.parts.flatMap(({ path, line, at }) => {
      const box = outset(pathBounds(path), line ? (line.width / 2) * MITRE_LIMIT : 0);
      return at.flatMap((offset) => corners({ ...box, x: box.x + offset.x, y: box.y + offset.y }));
    });
    reach = boxOfPoints(all);
    reaches.set(drawing, reach);
  }
  return reach;
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

/** A line along an edge, half of it on either side. */
export function strokeAlong(
  context: Context,
  { path, colour }: StrokeMark,
  width: number,
  platform: Platform,
): void {
  context.strokeStyle = colour;
  context.lineWidth = width;
  context.lineCap = 'butt';
  context.lineJoin = 'miter';
  context.miterLimit = MITRE_LIMIT;
  context.stroke(outline(platform, path));
}

/** A rectangle well outside the path, so that even-odd clipping leaves what lies around it. */
export function around(path: Path, by: number): Path {
  const { x, y, width, height } = outset(pathBounds(path), by);
  return [['M', x, y], ['L', x + width, y], ['L', x + width, y + height], ['L', x, y + height], ['Z']];
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
