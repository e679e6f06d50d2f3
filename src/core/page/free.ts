/** Where on a page nothing lies. */
import type { Box, Size } from '@/core/geometry/box';

/** The page is looked at in squares: so many along its longer side. */
const SQUARES = 96;

/**
 * The largest upright rectangle of an area that no box lies on, to a hundredth of its longer side; null if there is none.
 * Row by row, as the largest rectangle under a skyline, with a stack (common knowledge among programmers, no source).
 */
export function largestFree(area: Size, taken: readonly Box[]): Box | null {
  const side = Math.max(area.width, area.height) / SQUARES;
  const columns = Math.floor(area.width / side + 1e-9);
  const rows = Math.floor(area.height / side + 1e-9);
  const free = new Uint8Array(columns * rows).fill(1);
  for (const { x, y, width, height } of taken) {
    const last = { x: Math.ceil((x + width) / side - 1e-9), y: Math.ceil((y + height) / side - 1e-9) };
    for (let row = Math.max(0, Math.floor(y / side + 1e-9)); row < Math.min(rows, last.y); row++)
      for (
        let column = Math.max(0, Math.floor(x / side + 1e-9));
        column < Math.min(columns, last.x);
        column++
      )
        free[row * columns + column] = 0;
  }
  const heights = new Int32Array(columns + 1);
  let best = { size: 0, column: 0, row: 0, width: 0, height: 0 };
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++)
      heights[column] = free[row * columns + column] ? heights[column]! + 1 : 0;
    const open: number[] = [];
    for (let column = 0; column <= columns; column++) {
      while (open.length && heights[open.at(-1)!]! >= heights[column]!) {
        const height = heights[open.pop()!]!;
        const from = open.length ? open.at(-1)! + 1 : 0;
        const width = column - from;
        if (width * height > best.size)
          best = { size: width * height, column: from, row: row - height + 1, width, height };
      }
      open.push(column);
    }
  }
  return best.size
    ? { x: best.column * side, y: best.row * side, width: best.width * side, height: best.height * side }
    : null;
}
