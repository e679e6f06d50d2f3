/**
 * Marks in their order, each edge cut once. A canvas clip is off by up to half a pixel along an edge that lies at an angle
 * (measured in Chromium 150 and in Skia under Node), a filled outline by an eighth: what an edge limits is painted on a layer
 * of its own, on beyond the edge, and the layer is cut by filling. What shares an edge is cut together, so that nothing shines
 * through between.
 */
import { boxOfPoints, corners, outset, transformBox, type Box, type Size } from '@/core/geometry/box';
import { compose, growth, translation, type Matrix } from '@/core/geometry/matrix';
import { pathData, type Path } from '@/core/geometry/path';
import { reachOf, seenWithin, type Mark, type Seen, type StrokeMark } from '@/core/picture/picture';
import {
  drawBeyond,
  drawMark,
  edgeOf,
  isCutDrawing,
  strokeAlong,
  type DrawingSource,
} from '@/output/pixels/marks';
import { outline } from '@/output/pixels/worked';
import type { Context, Platform } from '@/output/platform';

interface Laying {
  alpha: number;
  blend?: GlobalCompositeOperation;
}

/** Paints on a layer that covers `bounds` (canvas pixels) and lays it; `moved` takes canvas pixels to the layer's. */
export function onLayer(
  context: Context,
  bounds: Box,
  platform: Platform,
  { alpha, blend = 'source-over' }: Laying,
  paint: (layer: Context, moved: Matrix) => void,
): void {
  const { x, y, width, height } = clipped(bounds, context.canvas);
  if (width <= 0 || height <= 0) return;
  const layer = platform.canvas(width, height);
  paint(layer.context, translation(-x, -y));
  context.setTransform(1, 0, 0, 1, 0, 0);
  context.globalAlpha = alpha;
  context.globalCompositeOperation = blend;
  context.drawImage(layer.canvas, x, y);
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

export function drawMarks(
  context: Context,
  marks: readonly Mark[],
  map: Matrix,
  source: DrawingSource,
  alpha: number,
): void {
  for (let at = 0; at < marks.length;) {
    const run = runFrom(marks, at);
    at += run.count;
    run.draw(context, map, source, alpha);
  }
}

type Draw = (context: Context, map: Matrix, source: DrawingSource, alpha: number) => void;

/** Marks that are cut together: how many from one on, and how they are drawn. */
interface Run {
  count: number;
  draw: Draw;
}

function runFrom(marks: readonly Mark[], at: number): Run {
  const first = marks[at]!;
  const part = seenWithin(first);
  if (part) {
    const together = marks.slice(
      at,
      endOf(marks, at, ({ within }) => within?.[0] === part.seen),
    );
    return { count: together.length, draw: seenTogether(together, part.seen) };
  }
  if (first.mark === 'stroke')
    return { count: 1, draw: first.side === 'on' ? alone(first) : strokeAbout([], first) };
  // Only what a stroke follows along the same edge is cut with it: the outline of words alone need not even be made.
  const end = endOf(
    marks,
    at,
    (mark) => !mark.within?.length && mark.mark !== 'stroke' && mark.mark !== 'shadow',
  );
  const stroke = marks[end];
  if (stroke?.mark === 'stroke' && stroke.side !== 'on' && !stroke.within?.length) {
    const faces = marks.slice(at, end);
    if (faces.every((mark) => sameEdge(edgeOf(mark), stroke.path)))
      return { count: faces.length + 1, draw: strokeAbout(faces, stroke) };
  }
  return { count: 1, draw: alone(first) };
}

/** Where the marks from `at` on end that all `belong`. */
function endOf(marks: readonly Mark[], at: number, belong: (mark: Mark) => boolean): number {
  let end = at;
  while (end < marks.length && belong(marks[end]!)) end++;
  return end;
}

const sameEdge = (a: Path | null, b: Path): boolean =>
  a === b || (a !== null && a.length === b.length && pathData(a) === pathData(b));

const alone =
  (mark: Mark): Draw =>
  (context, map, source, alpha) => {
    if (mark.mark !== 'image' || !isCutDrawing(mark, source)) {
      drawMark(context, mark, map, source, alpha);
      context.globalAlpha = 1;
      return;
    }
    onLayer(context, onCanvas(map, mark), source.platform, { alpha }, (layer, moved) => {
      drawBeyond(layer, mark, compose(moved, map), source);
      keep(layer, 'destination-in', mark.clip, compose(moved, map), source.platform);
    });
  };

/** What is seen of marks within one area. */
const seenTogether =
  (marks: readonly Mark[], { area, beneath, less }: Seen): Draw =>
  (context, map, source, alpha) =>
    onLayer(context, onCanvas(map, ...marks), source.platform, { alpha }, (layer, moved) => {
      const lies = compose(moved, map);
      const inner = marks.map((mark) => seenWithin(mark)!.mark);
      drawMarks(layer, inner, lies, source, 1);
      if (less) {
        layer.globalCompositeOperation = 'destination-out';
        drawMark(layer, less, lies, source, 1);
        layer.globalCompositeOperation = 'source-over';
        return;
      }
      if (!beneath) return keep(layer, 'destination-in', area, lies, source.platform);
      const { canvas, context: mask } = source.platform.canvas(layer.canvas.width, layer.canvas.height);
      keep(mask, 'source-over', area, lies, source.platform);
      mask.lineWidth = (2 * LAP) / growth(map);
      mask.stroke(outline(source.platform, area));
      layer.setTransform(1, 0, 0, 1, 0, 0);
      layer.globalCompositeOperation = 'destination-in';
      layer.drawImage(canvas, 0, 0);
    });

/**
 * How far what goes on beneath another reaches under its edge, canvas pixels: enough that of two half-covered pixels no more
 * than a sixty-fourth lets through what lies behind both.
 */
const LAP = 0.75;

/** A stroke inside or outside an edge, and the faces that end at it. */
const strokeAbout =
  (faces: readonly Mark[], stroke: StrokeMark): Draw =>
  (context, map, source, alpha) =>
    onLayer(context, onCanvas(map, ...faces, stroke), source.platform, { alpha }, (layer, moved) => {
      const lies = compose(moved, map);
      const { platform } = source;
      const line = (on: Context) => {
        on.setTransform(...lies);
        strokeAlong(on, stroke, 2 * stroke.width, platform);
      };
      if (stroke.side === 'inside') {
        for (const face of faces) drawBeyond(layer, face, lies, source);
        line(layer);
        return keep(layer, 'destination-in', stroke.path, lies, platform);
      }
      drawMarks(layer, faces, lies, source, 1);
      // The face covers a share of a pixel at the edge, the stroke the rest: together they are the whole of it.
      const whole = { x: 0, y: 0, ...sizeOf(layer) };
      onLayer(layer, whole, platform, { alpha: 1, blend: 'lighter' }, (rim) => {
        line(rim);
        keep(rim, 'destination-out', stroke.path, lies, platform);
      });
    });

function keep(
  layer: Context,
  how: GlobalCompositeOperation,
  area: Path,
  map: Matrix,
  platform: Platform,
): void {
  layer.setTransform(...map);
  layer.globalAlpha = 1;
  layer.globalCompositeOperation = how;
  layer.fillStyle = '#000';
  layer.fill(outline(platform, area));
  layer.globalCompositeOperation = 'source-over';
}

/** Everything marks may paint, on whole canvas pixels. */
function onCanvas(map: Matrix, ...marks: Mark[]): Box {
  const boxes = marks.map((mark) => {
    const { box, by, offset } = reachOf(mark);
    return transformBox(compose(map, translation(offset.x, offset.y)), outset(box, by));
  });
  const { x, y, width, height } = boxOfPoints(boxes.flatMap(corners));
  const [left, top] = [Math.floor(x) - 1, Math.floor(y) - 1];
  return { x: left, y: top, width: Math.ceil(x + width) + 1 - left, height: Math.ceil(y + height) + 1 - top };
}

const sizeOf = ({ canvas }: Context): Size => ({ width: canvas.width, height: canvas.height });
