/** Marks that are worked out pixel by pixel, treated faces and colour beneath lines, as bitmaps that every output lays. */
import { paintFills } from '@/core/colouring/paint';
import type { Box } from '@/core/geometry/box';
import { pathBounds, pathData, straightened, type Path } from '@/core/geometry/path';
import {
  contentOf,
  type ColouringMark,
  type PaintMark,
  type TreatmentMark,
  type WorkedMark,
} from '@/core/picture/picture';
import { rgbOf } from '@/core/color/hex';
import { paintSoft } from '@/core/trail/paint/soft';
import { paintTreatment } from '@/core/treatment/paint';
import type { Canvas, Context, Platform } from '@/output/platform';

const outlines = new WeakMap<Path, Path2D>();

/** Straight parts a curve is drawn in at most, by how many points they leave it, and how many curves a path may have for that. */
const STRAIGHTS = 48;
const OFF = 0.002;
const MOST_CURVES = 250;

/**
 * A path for a canvas, made once. Skia breaks curves up itself, and is off by up to 0.27 of a pixel's area along them; in
 * fine straight parts by 0.12 (measured under Node; drawn four times as large and made smaller, by 0.10).
 */
export function outline(platform: Platform, path: Path): Path2D {
  let made = outlines.get(path);
  if (!made) {
    const curves = path.filter(([kind]) => kind === 'C').length;
    const fine = curves > 0 && curves <= MOST_CURVES;
    outlines.set(path, (made = platform.path(pathData(fine ? straightened(path, OFF, STRAIGHTS) : path))));
  }
  return made;
}

/** Pixels an inch of what is worked out as pixels, in files that hold no pixels otherwise. */
export const WORKED_PPI = 300;

/** Most pixels a mark is worked out at: 13 inches square at 300 ppi. Larger ones are coarser. */
const MOST_WORKED = 16e6;

export interface WorkedBitmap extends Box {
  canvas: Canvas & CanvasImageSource;
  context: Context;
}
const workedBitmaps = new WeakMap<object, { key: string; path: Path; bitmap: WorkedBitmap }>();

/** A mark as a bitmap at so many pixels a point, and where it lies in the piece's own frame. Kept while nothing changes. */
export function workedBitmap(
  mark: WorkedMark,
  wanted: number,
  platform: Platform,
  most = MOST_WORKED,
): WorkedBitmap {
  if (mark.mark === 'paint') return paintedBitmap(mark, wanted, platform, most * PAINT_SHARE);
  const { path } = mark;
  const box = pathBounds(path);
  const scale = scaleFor(box, wanted, most);
  const treated = mark.mark === 'treatment';
  const of = contentOf(mark);
  const key = [
    scale,
    ...(treated ? [mark.light.x, mark.light.y, mark.light.z] : [box.width, box.height]),
  ].join();
  const last = workedBitmaps.get(of);
  // A picture's box is made anew each time; a cut is another only when it changed.
  if (last?.key === key && (!treated || last.path === path)) return last.bitmap;
  const bitmap = treated ? treatedBitmap(mark, scale, platform) : colouredBitmap(mark, scale, platform);
  workedBitmaps.set(of, { key, path, bitmap });
  return bitmap;
}

/** Grain is worked out finely and made smaller, so that it does not flicker from zoom to zoom; it need not be anew for each. */
const fineEnough = (wanted: number): number => (wanted <= 2 ? 2 : wanted <= 4 ? 4 : wanted);

/** Most of the box of a drawn line holds no paint: it may be as much larger. */
const PAINT_SHARE = 3;

const scaleFor = ({ width, height }: Box, wanted: number, most: number): number =>
  Math.min(wanted, Math.sqrt(most / Math.max(1e-6, width * height)));

/** A line of soft paint. It is worked out in a frame of its own, so that it need not be anew when only that is moved. */
function paintedBitmap(mark: PaintMark, wanted: number, platform: Platform, most: number): WorkedBitmap {
  const { path, stroke, colour, opacity, at } = mark;
  const box = pathBounds(path);
  const scale = scaleFor(box, fineEnough(wanted), Math.min(most, MOST_WORKED));
  const key = [scale, colour, opacity].join();
  const own = { x: box.x - at.x, y: box.y - at.y };
  const last = workedBitmaps.get(stroke);
  if (last?.key === key) return { ...last.bitmap, x: last.bitmap.x + at.x, y: last.bitmap.y + at.y };
  const [width, height] = [Math.ceil(box.width * scale) + 2, Math.ceil(box.height * scale) + 2];
  const [x, y] = [own.x - 1 / scale, own.y - 1 / scale];
  const covered = new Uint8ClampedArray(width * height);
  paintSoft(stroke, { width, height, scale, x, y }, covered);
  const { canvas, context } = platform.canvas(width, height);
  const pixels = context.getImageData(0, 0, width, height);
  const [r, g, b] = rgbOf(colour).map((v) => Math.round(255 * v)) as [number, number, number];
  const { data } = pixels;
  for (let i = 0, to = 0; i < covered.length; i++, to += 4) {
    data[to] = r;
    data[to + 1] = g;
    data[to + 2] = b;
    data[to + 3] = opacity * covered[i]!;
  }
  context.putImageData(pixels, 0, 0);
  const bitmap = { canvas, context, x, y, width: width / scale, height: height / scale };
  workedBitmaps.set(stroke, { key, path, bitmap });
  return { ...bitmap, x: x + at.x, y: y + at.y };
}

function treatedBitmap(
  { path, treatment, light }: TreatmentMark,
  scale: number,
  platform: Platform,
): WorkedBitmap {
  const box = pathBounds(path);
  const [width, height] = [Math.ceil(box.width * scale) + 2, Math.ceil(box.height * scale) + 2];
  const [x, y] = [box.x - 1 / scale, box.y - 1 / scale];
  const { canvas, context } = platform.canvas(width, height);
  context.setTransform(scale, 0, 0, scale, -x * scale, -y * scale);
  context.fill(outline(platform, path));
  const pixels = context.getImageData(0, 0, width, height);
  pixels.data.set(paintTreatment(treatment, light, pixels.data, { width, height, scale, x, y }));
  context.putImageData(pixels, 0, 0);
  return { canvas, context, x, y, width: width / scale, height: height / scale };
}

function colouredBitmap({ path, fills }: ColouringMark, scale: number, platform: Platform): WorkedBitmap {
  const box = pathBounds(path);
  const width = Math.max(1, Math.round(box.width * scale));
  const height = Math.max(1, Math.round(box.height * scale));
  const { canvas, context } = platform.canvas(width, height);
  const pixels = context.getImageData(0, 0, width, height);
  pixels.data.set(paintFills(fills, { width, height, pitch: box.width / width }));
  context.putImageData(pixels, 0, 0);
  return { canvas, context, ...box };
}
