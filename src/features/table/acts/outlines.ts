/** Outlines from files for cutters, laid on the page at their true size. */
import { shapesOf } from '@/core/cutter/laid';
import type { ReadOutlines } from '@/core/cutter/read/outlines';
import { boxOfPoints, corners, type Size } from '@/core/geometry/box';
import { translation } from '@/core/geometry/matrix';
import { pathBounds, pathData, transformPath, type Path } from '@/core/geometry/path';
import { shapeName } from '@/core/piece/outline/path';
import type { Piece } from '@/core/piece/piece';
import { SMALLEST_PIECE } from '@/core/piece/placement/placement';
import { shapedPiece } from '@/core/project/create';
import { layPieces } from '@/core/project/edits/pile';
import { MOST_PIECES } from '@/core/project/schema';
import { fail, ok, type Result } from '@/core/result';
import { shortened } from '@/core/text/named';
import { newId } from '@/features/shared/ids';
import type { SessionStore } from '@/features/table/session';
import { page } from '@/features/table/acts/choosing';
import { tooLong } from '@/features/table/acts/cutting';
import { freeSpot } from '@/features/table/acts/laying';

/** Madder cardstock, until another material is chosen. */
const CARDSTOCK = '#9e2b45';
const PENCIL = '#25232a';

/** Lays what was read; as one piece for each tool, or each shape by itself, in a group. */
export function layOutlines(
  store: SessionStore,
  read: ReadOutlines,
  name: string,
  asOne: boolean,
): Result<number> {
  const session = store.getState();
  const shapes = shapesOf(read, asOne);
  if (!shapes.length) return fail('There is nothing in it that could be laid.');
  const full = page(session).pile.length + shapes.length;
  if (full > MOST_PIECES)
    return fail(`That would be ${full} pieces; a page holds ${MOST_PIECES}. Lay them as one.`);
  const box = boxOfPoints(shapes.flatMap(({ path }) => corners(pathBounds(path))));
  const spot = freeSpot(session);
  const to = translation(spot.x - box.width / 2, spot.y - box.height / 2);
  const group = shapes.length > 1 ? { id: newId(), name: shortened(name, 80) } : null;
  const pieces = shapes.map(({ path, doing, ink }, i): Piece => {
    const called = shapes.length > 1 ? `${name} ${i + 1}` : name;
    const piece = shapedPiece(
      newId(),
      shapeName(called),
      transformPath(to, path),
      ink ?? (doing === 'cut' ? CARDSTOCK : PENCIL),
    );
    return {
      ...(isThin(piece.placement) ? asThin(piece, path) : piece),
      ...(doing === 'cut' ? {} : { cutter: { as: doing } }),
      ...(group ? { groups: [group.id] } : {}),
    };
  });
  if (tooLong(pieces))
    return fail('These outlines have too many points to be one piece. Lay each by itself.');
  session.perform(layPieces(session.surfaceId, pieces, [], undefined, 'lay outlines', group ? [group] : []), {
    selection: pieces.map(({ id }) => id),
  });
  return ok(pieces.length);
}

const isThin = ({ width, height }: Size): boolean => Math.min(width, height) < SMALLEST_PIECE;

/** A straight line, in a box as thin as a file takes and not stretched to it; bent by less than any cutter shows. */
function asThin(piece: Piece, path: Path): Piece {
  const { x, y, width, height } = pathBounds(path);
  const size = { width: Math.max(SMALLEST_PIECE, width), height: Math.max(SMALLEST_PIECE, height) };
  const frame = { x: x - (size.width - width) / 2, y: y - (size.height - height) / 2, ...size };
  const bent = path.flatMap((segment, i): Path => {
    const before = path[i - 1];
    if (segment[0] !== 'L' || !before || before[0] === 'Z') return [segment];
    const [ax, ay] = before.slice(-2) as [number, number];
    return [['L', (ax + segment[1]) / 2 + BENT, (ay + segment[2]) / 2 + BENT], segment];
  });
  return {
    ...piece,
    outline: { kind: 'path', name: piece.name, data: pathData(bent, 3), frame },
    placement: { ...piece.placement, ...size },
  };
}
/** Points. */
const BENT = 0.02;
