/** Faces in photos, as shares of the upright width and height. */
import type { Box } from '@/core/geometry/box';
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
