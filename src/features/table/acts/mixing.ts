/** Parts dealt among several papers, as if the same had been cut from all of them at once. */
import { boxOfPoints, corners, type Box } from '@/core/geometry/box';
import { partsOf } from '@/core/geometry/combine';
import { apply } from '@/core/geometry/matrix';
import { pathBounds } from '@/core/geometry/path';
import { dealt, type Deal } from '@/core/cutter/mix';
import { cutOf, toolsFor } from '@/core/page/outlines';
import type { Asset } from '@/core/picture/asset';
import type { Material } from '@/core/piece/material';
import { WHOLE } from '@/core/piece/material/window';
import { shapeName } from '@/core/piece/outline/path';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import { recut, replaceEach, replacePieces } from '@/core/project/edits/cut';
import { together, type Edit } from '@/core/project/edits/edit';
import { gather } from '@/core/project/edits/gather';
import { fail, ok, type Result } from '@/core/result';
import { shortened } from '@/core/text/named';
import { newId } from '@/features/shared/ids';
import type { Session } from '@/features/table/session';
import { assetFor, TOO_LONG, tooLong, tooMany } from '@/features/table/acts/cutting';
import { unlocked } from '@/features/table/acts/choosing';

export type Mixed = { paper: Asset } | { colour: string };

/** The parts that can be dealt: of one piece those it falls into, of several the pieces themselves. */
export interface Dealable {
  surfaceId: string;
  /** What is replaced. */
  whole: Piece | null;
  pieces: readonly Piece[];
  boxes: readonly Box[];
}

export function dealable(session: Session): Result<Dealable> {
  const chosen = unlocked(session);
  const [first, ...more] = chosen;
  if (!first) return fail('Select a piece that has several parts, or several pieces.');
  const tools = toolsFor(session.history.project, session.typesetter);
  const { surfaceId } = session;
  if (more.length)
    return ok({
      surfaceId,
      whole: null,
      pieces: chosen,
      boxes: chosen.map((piece) => boxOf(piece, cutOf(piece, tools).path)),
    });
  const { path } = cutOf(first, tools);
  const refused = tooMany([path]);
  if (refused) return fail(refused);
  const parts = partsOf(path);
  if (parts.length < 2)
    return fail('It is in one part: break it up, or select several pieces, and their parts are dealt.');
  const name = shapeName(first.name);
  const pieces = parts.map((part, i) =>
    recut(
      {
        ...first,
        id: newId(),
        name: `${shortened(first.name, 390)} ${i + 1}`,
        finish: { ...first.finish, edge: undefined },
      },
      part,
      name,
      assetFor(session, first),
    ),
  );
  if (tooLong(pieces)) return fail(TOO_LONG);
  return ok({ surfaceId, whole: first, pieces, boxes: parts.map((part) => boxOf(first, part)) });
}

const boxOf = ({ placement }: Piece, path: Parameters<typeof pathBounds>[0]): Box => {
  const map = placementMatrix(placement);
  return boxOfPoints(corners(pathBounds(path)).map((corner) => apply(map, corner)));
};

/** One of the mixes as an edit. */
export function mixedEdit(
  { surfaceId, whole, pieces, boxes }: Dealable,
  papers: readonly Mixed[],
  how: Deal,
  mix: number,
): Edit {
  const places = dealt(boxes, papers.length, how, mix);
  const fresh = pieces.map((piece, i): Piece => ({ ...piece, material: materialOf(papers[places[i]!]!) }));
  const taken = papers.flatMap((each) => ('paper' in each ? each.paper : []));
  return together(`deal ${pieces.length} parts among ${papers.length} papers`, [
    ...(taken.length ? [gather('papers', taken)] : []),
    whole
      ? replacePieces('deal', surfaceId, [whole], fresh)
      : replaceEach(
          'deal',
          surfaceId,
          pieces,
          fresh.map((piece) => [piece]),
        ),
  ]);
}

const materialOf = (mixed: Mixed): Material =>
  'paper' in mixed
    ? { kind: 'paper', asset: mixed.paper.sha, window: WHOLE }
    : { kind: 'ink', colour: mixed.colour };
