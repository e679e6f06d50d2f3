/** Upright boxes: x, y is the top left corner; y points down. */
import { apply, type Matrix, type Point } from '@/core/geometry/matrix';

export interface Size {
  width: number;
  height: number;
}
export interface Box extends Size {
  x: number;
  y: number;
}

/** The least box about some points, however many; of none it is nowhere. */
export function boxOfPoints(points: readonly Point[]): Box {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { x, y } of points) {
    left = Math.min(left, x);
    top = Math.min(top, y);
    right = Math.max(right, x);
    bottom = Math.max(bottom, y);
  }
  return { x: left, y: top, width: right - left, height: bottom - top };
}

/** A box of the given size with its centre at the origin: the frame every piece is described in. */
export const centredBox = ({ width, height }: Size): Box => ({
  x: -width / 2,
  y: -height / 2,
  width,
  height,
});

export const corners = ({ x, y, width, height }: Box): Point[] => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];

export const transformBox = (map: Matrix, box: Box): Box =>
  boxOfPoints(corners(box).map((corner) => apply(map, corner)));

export const outset = (box: Box, by: number): Box => ({
  x: box.x - by,
  y: box.y - by,
  width: box.width + 2 * by,
  height: box.height + 2 * by,
});

export const unite = (a: Box, b: Box): Box => boxOfPoints([...corners(a), ...corners(b)]);

/** Whether a point lies in a box, its edges too. */
export const within = ({ x, y, width, height }: Box, point: Point): boolean =>
  point.x >= x && point.x <= x + width && point.y >= y && point.y <= y + height;

export const overlaps = (a: Box, b: Box): boolean =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;
