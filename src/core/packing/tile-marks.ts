/** What is printed on a page's tiles to lay them together: where the next ones begin, and which one each is. */
import { outset, type Box } from '@/core/geometry/box';
import type { Tile, Tiling } from '@/core/packing/tiles';

/** A filled rectangle on the page, points. */
export interface TileMark {
  box: Box;
  ink: 'black' | 'white';
}

/** How long the marks are by which the next sheet is laid, points. */
const MARK = 9;
/** Cells of the small plan of all tiles, points: no larger, and of no use if smaller. */
const [LARGEST_CELL, LEAST_CELL] = [5, 1.5];

/** All of it lies where another sheet is laid over it: the last one has none. */
export function tileMarks(tile: Tile, all: readonly Tile[], tiling: Tiling): TileMark[] {
  const { part, column, row } = tile;
  const { overlap } = tiling;
  const { x, y, width, height } = part;
  const [right, below] = [x + width - overlap, y + height - overlap];
  const next = all.some((one) => one.row === row && one.column === column + 1);
  const under = all.some((one) => one.column === column && one.row === row + 1);
  const upright = (at: number, from: number) => line({ x: at, y: from, width: 0, height: MARK });
  const level = (at: number, from: number) => line({ x: from, y: at, width: MARK, height: 0 });
  return [
    ...(next ? [...upright(right + 1, y), ...upright(right + 1, y + height - MARK)] : []),
    ...(under ? [...level(below + 1, x), ...level(below + 1, x + width - MARK)] : []),
    ...(next
      ? plan(tile, all, { x: right, y: y + 2 * MARK, width: overlap, height: height - 4 * MARK })
      : under
        ? plan(tile, all, { x: x + 2 * MARK, y: below, width: width - 4 * MARK, height: overlap })
        : []),
  ];
}

/** A hairline that is seen on whatever is printed. */
const line = (box: Box): TileMark[] => [
  { box: outset(box, 0.6), ink: 'white' },
  { box: outset(box, 0.2), ink: 'black' },
];

/** All tiles small, this one filled, at the upper left of a room; nothing where that is too small. */
function plan({ column, row }: Tile, all: readonly Tile[], room: Box): TileMark[] {
  const columns = 1 + Math.max(...all.map((one) => one.column));
  const rows = 1 + Math.max(...all.map((one) => one.row));
  const around = 1.5;
  const cell = Math.min(LARGEST_CELL, (room.width - 4 * around) / columns, (room.height - 4 * around) / rows);
  if (cell < LEAST_CELL) return [];
  const at = { x: room.x + 2 * around, y: room.y + 2 * around };
  const cells = all.map((one): { box: Box; own: boolean } => ({
    box: { x: at.x + one.column * cell, y: at.y + one.row * cell, width: cell, height: cell },
    own: one.column === column && one.row === row,
  }));
  return [
    { box: outset({ ...at, width: columns * cell, height: rows * cell }, around), ink: 'white' },
    ...cells.flatMap(({ box, own }): TileMark[] => [
      { box: outset(box, -0.12), ink: 'black' },
      ...(own ? [] : [{ box: outset(box, -0.5), ink: 'white' } as const]),
    ]),
  ];
}
