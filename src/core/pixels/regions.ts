/** Connected areas of a picture: the openings of a frame, and the flat area around a spot. */
import { toOklab } from '@/core/color/spaces';
import type { Box } from '@/core/geometry/box';
import type { Grid } from '@/core/pixels/trace';

export interface Region extends Grid {
  /** 255 inside, 0 outside, over the whole grid. */
  values: Uint8Array;
  /** Cells inside. */
  area: number;
  touchesBorder: boolean;
}

/** Every connected area (by sides) of cells for which `inside` holds and `wanted` agrees to its size, largest first. */
export function regions(
  width: number,
  height: number,
  inside: (index: number) => boolean,
  wanted: (area: number, touchesBorder: boolean) => boolean = () => true,
): Region[] {
  const seen = new Uint8Array(width * height);
  const queue = new Int32Array(width * height);
  const found: Region[] = [];
  for (let start = 0; start < seen.length; start++) {
    if (seen[start] || !inside(start)) continue;
    const { area, touchesBorder } = flood(width, height, start, inside, seen, queue);
    if (wanted(area, touchesBorder)) found.push(regionOf(width, height, queue, area, touchesBorder));
  }
  return found.sort((a, b) => b.area - a.area);
}

function regionOf(
  width: number,
  height: number,
  queue: Int32Array,
  area: number,
  touchesBorder: boolean,
): Region {
  const values = new Uint8Array(width * height);
  for (let i = 0; i < area; i++) values[queue[i]!] = 255;
  return { values, width, height, area, touchesBorder };
}

/** Walks the area around `start`, which is inside; its cells are left at the beginning of `queue`. */
function flood(
  width: number,
  height: number,
  start: number,
  inside: (index: number) => boolean,
  seen: Uint8Array,
  queue: Int32Array,
): { area: number; touchesBorder: boolean } {
  const end = width * height;
  let area = 1;
  let touchesBorder = false;
  queue[0] = start;
  seen[start] = 1;
  // Each cell is asked about once, whether it is inside or not: the asking is what costs.
  const look = (index: number) => {
    seen[index] = 1;
    if (inside(index)) queue[area++] = index;
  };
  for (let at = 0; at < area; at++) {
    const index = queue[at]!;
    const x = index % width;
    const up = index - width;
    const down = index + width;
    if (x === 0 || x === width - 1 || up < 0 || down >= end) touchesBorder = true;
    if (x > 0 && !seen[index - 1]) look(index - 1);
    if (x < width - 1 && !seen[index + 1]) look(index + 1);
    if (up >= 0 && !seen[up]) look(up);
    if (down < end && !seen[down]) look(down);
  }
  return { area, touchesBorder };
}

export interface Patches {
  /** For each cell the number of its patch, -1 outside. */
  labels: Int32Array;
  /** Cells across and down that each patch takes. */
  boxes: Box[];
  areas: number[];
}

/** Every connected area (by sides) of cells for which `inside` holds, numbered on one map. */
export function patches(width: number, height: number, inside: (index: number) => boolean): Patches {
  const labels = new Int32Array(width * height).fill(-1);
  const seen = new Uint8Array(width * height);
  const queue = new Int32Array(width * height);
  const boxes: Box[] = [];
  const areas: number[] = [];
  for (let start = 0; start < seen.length; start++) {
    if (seen[start] || !inside(start)) continue;
    const { area } = flood(width, height, start, inside, seen, queue);
    let [left, right, top, bottom] = [width, 0, height, 0];
    for (let at = 0; at < area; at++) {
      const index = queue[at]!;
      const x = index % width;
      const y = (index - x) / width;
      labels[index] = areas.length;
      left = Math.min(left, x);
      right = Math.max(right, x);
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
    }
    boxes.push({ x: left, y: top, width: right - left + 1, height: bottom - top + 1 });
    areas.push(area);
  }
  return { labels, boxes, areas };
}

/** Alpha below which one sees through. */
export const SEE_THROUGH = 40;
/** Share of the picture an opening must have to hold a photo; smaller ones are ornament. */
const LEAST_OPENING = 0.015;

/** The transparent areas wholly inside the picture (RGBA), largest first. */
export function openings(pixels: Uint8ClampedArray, width: number, height: number): Region[] {
  return regions(
    width,
    height,
    (i) => pixels[4 * i + 3]! < SEE_THROUGH,
    (area, touchesBorder) => !touchesBorder && area >= LEAST_OPENING * width * height,
  );
}

/**
 * The area around a spot (cell x, y) whose colours lie within `closeness` of the spot's own, as distance in OKLab
 * (Ottosson 2020; 0.02 is hardly seen, 0.5 is black to mid grey). Cells you can see through are alike.
 */
export function alikeAround(
  pixels: Uint8ClampedArray,
  width: number,
  height: number,
  x: number,
  y: number,
  closeness: number,
): Region {
  const labs = new Map<number, { l: number; a: number; b: number }>();
  const lab = (i: number) => {
    const key = (pixels[4 * i]! << 16) | (pixels[4 * i + 1]! << 8) | pixels[4 * i + 2]!;
    let known = labs.get(key);
    if (!known) {
      const { l, a, b } = toOklab({
        mode: 'rgb',
        r: pixels[4 * i]! / 255,
        g: pixels[4 * i + 1]! / 255,
        b: pixels[4 * i + 2]! / 255,
      });
      labs.set(key, (known = { l, a, b }));
    }
    return known;
  };
  const start = Math.round(y) * width + Math.round(x);
  const clear = pixels[4 * start + 3]! < SEE_THROUGH;
  const from = lab(start);
  const alike = (i: number): boolean => {
    if (pixels[4 * i + 3]! < SEE_THROUGH !== clear) return false;
    if (clear) return true;
    const to = lab(i);
    return Math.hypot(to.l - from.l, to.a - from.a, to.b - from.b) <= closeness;
  };
  const queue = new Int32Array(width * height);
  const { area, touchesBorder } = flood(width, height, start, alike, new Uint8Array(width * height), queue);
  return regionOf(width, height, queue, area, touchesBorder);
}
