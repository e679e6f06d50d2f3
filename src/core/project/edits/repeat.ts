/** Rows and columns of copies: a group whose first cell is repeated, adjustable until it is taken apart. */
import type { Box } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import { carried, FAR, SMALLEST_PIECE } from '@/core/piece/placement/placement';
import { scaleContents } from '@/core/project/edits/place';
import { cells } from '@/core/page/arrange';
import type { Piece } from '@/core/piece/piece';
import { naming, type Edit } from '@/core/project/edits/edit';
import { surfaceOf, type Group, type Repeat } from '@/core/project/model';
import { fail, ok, type Result } from '@/core/result';

/** Most pieces that rows and columns may make. */
export const MOST_COPIES = 2000;

/** Says in words why so many cannot be made. */
export function repeatProblem({ columns, rows }: Repeat, pieces: number, onPage: number): Result<number> {
  const count = columns * rows * pieces;
  if (count > MOST_COPIES)
    return fail(
      `That makes ${count.toLocaleString('en')} pieces; up to ${MOST_COPIES.toLocaleString('en')} can be made.`,
    );
  if (count + onPage > 5000) return fail('A page holds up to 5,000 pieces.');
  return ok(count);
}

/** The pieces of the first cell of a repeated group: those it began with. */
export function firstCell(pile: readonly Piece[], { id, repeat }: Group): Piece[] {
  const members = pile.filter((piece) => piece.groups?.includes(id));
  return repeat ? members.slice(0, members.length / (repeat.columns * repeat.rows)) : members;
}

/**
 * Makes rows and columns of pieces, or makes those of the group `group.id` anew with other numbers. `cell` is the box of
 * the pieces of the first cell, which stay; cells follow row by row in the pile. `depth` is how many groups round the
 * pieces stay round the whole; groups within the cell are copied with it. `newId` names what is new.
 */
export const repeatPieces = (
  surfaceId: string,
  source: readonly Piece[],
  cell: Box,
  group: Group & { repeat: Repeat },
  depth: number,
  newId: () => string,
): Edit => {
  const kept = new Set(source.map(({ id }) => id));
  const places = cells(group.repeat, cell).slice(1);
  return {
    label: `lay ${group.repeat.columns} x ${group.repeat.rows} of ${naming(source)}`,
    merge: `repeat ${group.id}`,
    apply(project) {
      const surface = surfaceOf(project, surfaceId);
      const inner = ({ groups = [] }: Piece): string[] =>
        groups.includes(group.id) ? groups.slice(groups.indexOf(group.id) + 1) : groups.slice(depth);
      const within = new Set(source.flatMap(inner));
      const known = surface.groups.filter(({ id }) => within.has(id));
      const around = (source[0]!.groups ?? []).slice(0, depth);
      const first = source.map((piece): Piece => ({
        ...structuredClone(piece),
        groups: [...around, group.id, ...inner(piece)],
      }));
      const copies = places.map((place, i) => {
        const ids = new Map(known.map(({ id }) => [id, newId()]));
        return {
          groups: known.map((one) => ({ ...one, id: ids.get(one.id)! })),
          pieces: source.map((piece): Piece => ({
            ...stepped(piece, group.repeat, i + 1, cell, place),
            id: newId(),
            groups: [...around, group.id, ...inner(piece).flatMap((id) => ids.get(id) ?? [])],
          })),
        };
      });
      const gone = (piece: Piece) => kept.has(piece.id) || piece.groups?.includes(group.id);
      const top = surface.pile.findLastIndex(gone);
      const below = surface.pile.slice(0, top).filter((piece) => !gone(piece));
      const above = surface.pile.slice(top + 1);
      const pile = [...below, ...first, ...copies.flatMap(({ pieces }) => pieces), ...above];
      const used = new Set(pile.flatMap(({ groups = [] }) => groups));
      surface.groups = [
        ...surface.groups.filter(({ id }) => id !== group.id && used.has(id)),
        structuredClone(group),
        ...copies.flatMap(({ groups }) => groups),
      ];
      surface.pile = pile;
    },
  };
};

/** A copy so many steps on, in its cell. */
function stepped(
  piece: Piece,
  { scale = 1, turn = 0, fade = 1 }: Repeat,
  steps: number,
  cell: Box,
  move: Point,
): Piece {
  const copy = structuredClone(piece);
  const { width, height } = copy.placement;
  // No piece is larger than a file takes, or smaller.
  const most = FAR / Math.max(width, height);
  const least = SMALLEST_PIECE / Math.min(width, height);
  const by = Math.min(most, Math.max(least, scale ** steps));
  const about = { x: cell.x + cell.width / 2, y: cell.y + cell.height / 2 };
  copy.placement = carried(copy.placement, { about, scale: by, turn: turn * steps, move });
  if (by !== 1) scaleContents(copy, by);
  copy.finish = { ...copy.finish, opacity: copy.finish.opacity * fade ** steps };
  return copy;
}
