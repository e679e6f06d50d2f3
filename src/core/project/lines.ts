/** Pieces of lines drawn by hand: begun, gone on upon, given other lines. */
import type { Draft } from 'immer';
import { apply, compose, invert, scaling, translation, type Point } from '@/core/geometry/matrix';
import { finishOf } from '@/core/piece/finish';
import { frameOf, type LinesOutline } from '@/core/piece/outline/lines';
import type { Piece } from '@/core/piece/piece';
import { placedAt, placementMatrix, SMALLEST_PIECE, type Placement } from '@/core/piece/placement/placement';
import { trailKind, type Trail } from '@/core/trail';
import { onRun } from '@/core/geometry/runs';
import { courseOf, type Line } from '@/core/trail/line';

export type DrawnPiece = Piece & { outline: LinesOutline };
export const isDrawn = (piece: Piece): piece is DrawnPiece => piece.outline.kind === 'lines';

/** A piece of lines whose points are of the page. */
export function linesPiece(id: string, lines: readonly Line[]): DrawnPiece {
  const frame = roomy(frameOf(lines));
  return {
    id,
    name: 'Drawing',
    role: 'embellishment',
    material: { kind: 'drawn' },
    outline: { kind: 'lines', frame, lines: [...lines] },
    finish: finishOf(0),
    placement: placedAt(frame),
  };
}

const roomy = <T extends { width: number; height: number }>(box: T): T => ({
  ...box,
  width: Math.max(SMALLEST_PIECE, box.width),
  height: Math.max(SMALLEST_PIECE, box.height),
});

/** From the plane the lines of a piece are drawn in to the page. */
export function planeToPage({ outline: { frame }, placement }: DrawnPiece) {
  const { width, height } = placement;
  return compose(
    placementMatrix(placement),
    scaling(width / frame.width, height / frame.height),
    translation(-frame.x - frame.width / 2, -frame.y - frame.height / 2),
  );
}

/** The middle of the uppermost ribbon or twine of a piece, on the page, and the way there in degrees, upright; null without. */
export function whereTied(piece: DrawnPiece): (Point & { turn: number }) | null {
  const line = piece.outline.lines.findLast(({ trail }) => trailKind(trail).ties);
  const run = line && courseOf(line, 1, 1).runs[0];
  if (!run) return null;
  const map = planeToPage(piece);
  const [a, b] = [onRun(run, run.length / 2 - 1, 0), onRun(run, run.length / 2 + 1, 0)].map((p) =>
    apply(map, p),
  ) as [Point, Point];
  const turn = (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
  const upright = turn > 90 ? turn - 180 : turn <= -90 ? turn + 180 : turn;
  return { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, turn: upright };
}

/** Where points of the page lie in the plane of a piece's lines, and how many times wider what is drawn there must be. */
export function ontoPlane(piece: DrawnPiece, points: readonly Point[]): { points: Point[]; wider: number } {
  const map = invert(planeToPage(piece));
  const { frame } = piece.outline;
  const { width, height } = piece.placement;
  return {
    points: points.map((point) => apply(map, point)),
    wider: Math.sqrt((frame.width * frame.height) / (width * height)),
  };
}

/** Gives a piece other lines: its frame takes what they need, and everything else stays where it lies. */
export function relined(draft: Draft<Piece>, lines: Line[]): void {
  const { outline, placement } = draft;
  if (outline.kind !== 'lines') return;
  const before = outline.frame;
  const frame = roomy(frameOf(lines));
  const [sx, sy] = [placement.width / before.width, placement.height / before.height];
  const off = {
    x: (frame.x + frame.width / 2 - before.x - before.width / 2) * sx,
    y: (frame.y + frame.height / 2 - before.y - before.height / 2) * sy,
  };
  const { x, y } = apply(placementMatrix(placement as Placement), off);
  Object.assign(placement, {
    ...{ x, y },
    width: Math.max(SMALLEST_PIECE, frame.width * sx),
    height: Math.max(SMALLEST_PIECE, frame.height * sy),
  });
  draft.outline = { kind: 'lines', frame, lines };
}

/** Trails as they would be laid by hand, wider where the plane they are laid in is shrunk on the page. */
export const widenedBy = (trail: Trail, wider: number): Trail =>
  Math.abs(wider - 1) < 1e-6 ? trail : (trailKind(trail).scaled?.(trail, wider) ?? trail);
