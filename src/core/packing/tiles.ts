/** A page on the paper at hand: at true size on as many sheets as it takes, smaller on one, or a strip of it to try. */
import type { Box, Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import type { Sides } from '@/core/geometry/sides';
import { fail, ok, type Result } from '@/core/result';

/** Points. */
export interface Tiling {
  paper: Size;
  /** What the printer leaves white at each edge of the paper as it lies upright. */
  lost: Sides;
  /** How much of a sheet is printed again on the next one. */
  overlap: number;
  /** On as many sheets as it takes, without. */
  how?: 'fit' | 'strip';
}

export interface Tile {
  /** The paper as it lies, upright or across. */
  paper: Size;
  /** What of the page is printed on it. */
  part: Box;
  /** Where that begins on the paper. */
  at: Point;
  /** 1 for true to size. */
  scale: number;
  column: number;
  row: number;
}

export const MOST_TILES = 400;
/** Less than this of the paper is no use, points. */
const LEAST = 36;

/** Of paper that lies across: it may be turned into the printer either way, so that what is lost at one end may be at the other. */
function across({ top, right, bottom, left }: Sides): Sides {
  const [ends, sides] = [Math.max(top, bottom), Math.max(left, right)];
  return { top: sides, bottom: sides, left: ends, right: ends };
}

interface Way {
  paper: Size;
  lost: Sides;
  /** What can be printed on of it. */
  room: Size;
}

/** Upright and across. */
function waysOf({ paper, lost }: Tiling): Way[] {
  const ways = [
    { paper, lost },
    { paper: { width: paper.height, height: paper.width }, lost: across(lost) },
  ];
  return ways.map((way) => ({
    ...way,
    room: {
      width: way.paper.width - way.lost.left - way.lost.right,
      height: way.paper.height - way.lost.top - way.lost.bottom,
    },
  }));
}

const NO_ROOM = 'The printer leaves more white than there is paper: nothing of it could be printed on.';
/** How high a strip is, points: two inches. */
const STRIP = 144;

/** Row by row from the top left; the paper lies so that fewest sheets are needed. */
export function tilesOf(page: Size, tiling: Tiling): Result<Tile[]> {
  const ways = waysOf(tiling).filter(({ room }) => Math.min(room.width, room.height) >= LEAST);
  if (!ways.length) return fail(NO_ROOM);
  return tiling.how ? ok([onOne(page, ways, tiling.how)]) : onMany(page, ways, tiling.overlap);
}

/** All of it, smaller where it must be; or a strip through its middle, on paper that lies upright. */
function onOne(page: Size, ways: readonly Way[], how: 'fit' | 'strip'): Tile {
  const scaleOn = ({ room }: Way) => Math.min(1, room.width / page.width, room.height / page.height);
  const best = how === 'fit' ? ways.reduce((a, b) => (scaleOn(b) > scaleOn(a) ? b : a)) : ways[0]!;
  const { paper, lost, room } = best;
  const scale = how === 'fit' ? scaleOn(best) : 1;
  const width = Math.min(page.width, room.width / scale);
  const height = how === 'fit' ? page.height : Math.min(page.height, STRIP);
  const part = { x: (page.width - width) / 2, y: (page.height - height) / 2, width, height };
  const at = {
    x: lost.left + (room.width - scale * width) / 2,
    y: how === 'fit' ? lost.top + (room.height - scale * height) / 2 : lost.top,
  };
  return { paper, part, at, scale, column: 0, row: 0 };
}

function onMany(page: Size, all: readonly Way[], overlap: number): Result<Tile[]> {
  const ways = all.flatMap(({ paper, lost, room }) => {
    if (Math.min(room.width, room.height) - overlap < LEAST) return [];
    const count = (long: number, each: number) =>
      Math.max(1, Math.ceil((long - overlap) / (each - overlap) - 1e-9));
    return [
      { paper, lost, room, columns: count(page.width, room.width), rows: count(page.height, room.height) },
    ];
  });
  const [best] = ways.sort((a, b) => a.columns * a.rows - b.columns * b.rows);
  if (!best) return fail(NO_ROOM);
  const { paper, lost, room, columns, rows } = best;
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
      return { paper, part, at: { x: lost.left, y: lost.top }, scale: 1, column, row };
    }),
  );
}
