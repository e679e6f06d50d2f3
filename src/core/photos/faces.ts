/** Faces in photos, as shares of the upright width and height. */
import type { Box, Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';

/** Faces kept of one photo. */
export const MOST_FACES = 60;

/** The middle of all faces; null without any. */
export function middleOfFaces(faces: readonly Box[] | undefined): Point | null {
  if (!faces?.length) return null;
  const left = Math.min(...faces.map(({ x }) => x));
  const top = Math.min(...faces.map(({ y }) => y));
  const right = Math.max(...faces.map(({ x, width }) => x + width));
  const bottom = Math.max(...faces.map(({ y, height }) => y + height));
  return { x: (left + right) / 2, y: (top + bottom) / 2 };
}

/** How many faces of a photo of `shape` (width by height) cannot be whole in a box it covers, wherever it is slid. */
export function facesCut(faces: readonly Box[], shape: number, { width, height }: Size): number {
  const there = width / height;
  // It slides along one side alone; along the other all of it is seen.
  const upright = there > shape;
  const seen = upright ? shape / there : there / shape;
  const spans = faces.map((face) =>
    upright ? [face.y, face.y + face.height] : [face.x, face.x + face.width],
  ) as [number, number][];
  const whole = (from: number) =>
    spans.filter(([a, b]) => a >= from - 1e-9 && b <= from + seen + 1e-9).length;
  return faces.length - Math.max(0, ...spans.map(([a]) => whole(Math.min(a, 1 - seen))));
}
