/** Coloured areas as pixels. */
import { rgbOf } from '@/core/color/hex';
import type { Fill } from '@/core/colouring/fills';
import { readArea, type Area } from '@/core/dye/area';
import { clouds, noise2 } from '@/core/geometry/noise';

/** Grain of pencil strokes across and along, and the size of a wash's pools, points; our own choice. */
const [GRAIN, ALONG, POOL] = [0.5, 6, 44];
/** How dark the darkest side is. */
const DARKEST = 0.45;
/** How much of the paper pencil leaves bare, and how far a wash is from even. */
const [TOOTH, UNEVEN] = [0.55, 0.34];
/** A wash dries darker along its edge: so wide, as a share of the picture's longer side, and so much. */
const [RIM, RIM_DARK] = [0.012, 0.22];

export interface FillPixels {
  width: number;
  height: number;
  /** Points a pixel takes. */
  pitch: number;
}

/** RGBA, not premultiplied, of all fills over the whole picture; the later ones over the earlier. */
export function paintFills(fills: readonly Fill[], size: FillPixels): Uint8ClampedArray<ArrayBuffer> {
  const data = new Uint8ClampedArray(4 * size.width * size.height);
  for (const fill of fills) {
    const area = readArea(fill.area);
    if (area) paintFill(data, fill, area, size);
  }
  return data;
}

function paintFill(
  data: Uint8ClampedArray,
  { ink, texture, shade, light }: Fill,
  area: Area,
  { width, height, pitch }: FillPixels,
): void {
  const box = boxOf(area);
  const [r, g, b] = rgbOf(ink).map((value) => 255 * value) as [number, number, number];
  const radians = (light * Math.PI) / 180;
  const [toX, toY] = [-Math.sin(radians), Math.cos(radians)];
  // The way from the light side to the far one, over the box of the area.
  const reach = (Math.abs(toX) * (box.right - box.left) + Math.abs(toY) * (box.bottom - box.top)) / 2 || 1;
  const [midX, midY] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
  const [cellsX, cellsY] = [area.width / width, area.height / height];
  const rim = texture === 'watercolour' ? RIM * Math.max(area.width, area.height) : 0;
  const seed = 7 + Math.round(midX * 31 + midY * 17);
  const [fromX, toX2] = [
    Math.max(0, Math.floor(box.left / cellsX) - 1),
    Math.min(width, Math.ceil(box.right / cellsX) + 1),
  ];
  const [fromY, toY2] = [
    Math.max(0, Math.floor(box.top / cellsY) - 1),
    Math.min(height, Math.ceil(box.bottom / cellsY) + 1),
  ];
  for (let y = fromY; y < toY2; y++)
    for (let x = fromX; x < toX2; x++) {
      const [u, v] = [(x + 0.5) * cellsX - 0.5, (y + 0.5) * cellsY - 0.5];
      const cover = coverAt(area, u, v);
      if (cover === 0) continue;
      const along = 0.5 + ((u - midX) * toX + (v - midY) * toY) / (2 * reach);
      let dark = shade * DARKEST * Math.min(1, Math.max(0, along)) ** 1.4;
      let thick = cover;
      const [px, py] = [x * pitch, y * pitch];
      if (texture === 'pencil') {
        // Strokes slant from the lower left to the upper right, as a right hand draws them.
        const [s, t] = [(px + py) / GRAIN / 1.414, (px - py) / ALONG / 1.414];
        thick *= 1 - TOOTH * Math.max(0, 1.6 * noise2(s, t, seed) - 0.45);
      } else if (texture === 'watercolour') {
        const pool = clouds(px / POOL, py / POOL, 3, seed) - 0.5;
        thick *= Math.min(1, 0.82 + 2 * UNEVEN * pool);
        const edge = rim ? 1 - coverAround(area, u, v, rim) : 0;
        dark += RIM_DARK * edge;
      }
      const i = 4 * (y * width + x);
      const before = data[i + 3]! / 255;
      const alpha = thick + before * (1 - thick);
      for (let c = 0; c < 3; c++) {
        const own = (c === 0 ? r : c === 1 ? g : b) * (1 - dark);
        data[i + c] = (own * thick + data[i + c]! * before * (1 - thick)) / alpha;
      }
      data[i + 3] = 255 * alpha;
    }
}

/** Cells from left to right and top to bottom, the last not counted. */
function boxOf({ width, cells }: Area): { left: number; right: number; top: number; bottom: number } {
  let [left, right, top, bottom] = [width, 0, Infinity, 0];
  for (let i = 0; i < cells.length; i++) {
    if (!cells[i]) continue;
    const x = i % width;
    const y = (i - x) / width;
    if (x < left) left = x;
    if (x >= right) right = x + 1;
    if (y < top) top = y;
    bottom = y + 1;
  }
  return { left, right, top, bottom };
}

/** 0 to 1 between the middles of cells. */
function coverAt({ width, height, cells }: Area, x: number, y: number): number {
  const u = Math.min(width - 1, Math.max(0, x));
  const v = Math.min(height - 1, Math.max(0, y));
  const [left, top] = [Math.floor(u), Math.floor(v)];
  const [right, below] = [Math.min(width - 1, left + 1), Math.min(height - 1, top + 1)];
  const upper =
    cells[top * width + left]! + (u - left) * (cells[top * width + right]! - cells[top * width + left]!);
  const lower =
    cells[below * width + left]! +
    (u - left) * (cells[below * width + right]! - cells[below * width + left]!);
  return (upper + (v - top) * (lower - upper)) / 255;
}

/** How much of what lies `reach` cells around is inside, of eight spots. */
function coverAround(area: Area, x: number, y: number, reach: number): number {
  let sum = 0;
  for (let k = 0; k < 8; k++) sum += coverAt(area, x + reach * COS[k]!, y + reach * SIN[k]!);
  return sum / 8;
}
const COS = Array.from({ length: 8 }, (_, k) => Math.cos((k * Math.PI) / 4));
const SIN = Array.from({ length: 8 }, (_, k) => Math.sin((k * Math.PI) / 4));
