/** A page larger than the paper at hand, on several sheets of it at true size, to be put together again. */
import type { Box, Size } from '@/core/geometry/box';
import { fail, ok, type Result } from '@/core/result';

/** Points. */
export interface Tiling {
  paper: Size;
  /** What the printer leaves white along every edge of the paper. */
  margin: number;
  /** How much of a sheet is printed again on the next one. */
  overlap: number;
}

export interface Tile {
  /** The paper as it lies, upright or across. */
  paper: Size;
  /** What of the page is printed on it. */
  part: Box;
  column: number;
  row: number;
}

export const MOST_TILES = 400;
/** Less than this of the paper is no use, points. */
const LEAST = 36;

/** Row by row from the top left; the paper lies so that fewest sheets are needed. */
export function tilesOf(page: Size, { paper, margin, overlap }: Tiling): Result<Tile[]> {
  const ways = [paper, { width: paper.height, height: paper.width }].flatMap((way) => {
    const room = { width: way.width - 2 * margin, height: way.height - 2 * margin };
    if (Math.min(room.width, room.height) - overlap < LEAST) return [];
    const count = (long: number, each: number) =>
      Math.max(1, Math.ceil((long - overlap) / (each - overlap) - 1e-9));
    return [{ way, room, columns: count(page.width, room.width), rows: count(page.height, room.height) }];
  });
  const [best] = ways.sort((a, b) => a.columns * a.rows - b.columns * b.rows);
  if (!best)
    return fail('The printer leaves more white than there is paper: nothing of it could be printed on.');
  const { way, room, columns, rows } = best;
  if (columns * rows > MOST_TILES)
    return fail(
      `That would be ${columns * rows} sheets; up to ${MOST_TILES} are made. Choose a larger paper.`,
    );
  return ok(
    Array.from({ length: columns * rows }, (_, i) => {
      const [column, row] = [i % columns, Math.floor(i / columns)];
      const x = column * (room.width - overlap);
      const y = row * (room.height - overlap);
      const part = {
        x,
        y,
        width: Math.min(room.width, page.width - x),
        height: Math.min(room.height, page.height - y),
      };
      return { paper: way, part, column, row };
    }),
  );
}
