/** Where the files of a batch lie on a page of 12 x 12 in: in rows of five, each whole, on whole pixels at `PPI`. */
import type { Box, Size } from '@/core/geometry/box';

export const PPI = 100;
export const PAGE = 864;
export const ROW = 5;
export const BATCH = ROW * ROW;
/** Squares across and down in which colours are compared. */
export const SQUARES = 8;
const CELL = 240;
const LARGEST = 224;

/** Pixels. */
export function boxAt(index: number, { width, height }: Size): Box {
  const scale = LARGEST / Math.max(width, height);
  const side = (of: number) => Math.max(SQUARES, Math.round((of * scale) / SQUARES) * SQUARES);
  return {
    x: (index % ROW) * CELL + 8,
    y: Math.floor(index / ROW) * CELL + 8,
    width: side(width),
    height: side(height),
  };
}
