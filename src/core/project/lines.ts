/** Pieces of lines drawn by hand: begun, gone on upon, given other lines. */
import type { Draft } from 'immer';
import { apply, compose, invert, scaling, translation, type Point } from '@/core/geometry/matrix';
import { boxOfPoints, centredBox, outset, overlaps } from '@/core/geometry/box';
import { polygons } from '@/core/geometry/offset';
import { rectanglePath, transformPath, type Path } from '@/core/geometry/path';
import { finishOf } from '@/core/piece/finish';
import { boxOfLine, frameOf, type LinesOutline } from '@/core/piece/outline/lines';
import { tuckIn, type Piece } from '@/core/piece/piece';
import { placedAt, placementMatrix, SMALLEST_PIECE, type Placement } from '@/core/piece/placement/placement';
import { erasing, trailKind, type Trail } from '@/core/trail';
import { onRun } from '@/core/geometry/runs';
import { courseOf, kept, type Line } from '@/core/trail/line';

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

/** From a piece's own frame to the plane its lines are drawn in. */
const frameToPlane = ({ outline: { frame }, placement: { width, height } }: DrawnPiece) =>
  compose(
    translation(frame.x + frame.width / 2, frame.y + frame.height / 2),
    scaling(frame.width / width, frame.height / height),
  );

/** All that a drawn piece could show, in its own frame: what runs along its lines with all that stands off it. */
export function roomOfLines({ outline: { frame, lines }, placement }: DrawnPiece): Path {
  const grown = Math.sqrt((placement.width * placement.height) / (frame.width * frame.height));
  const most = Math.max(0, ...lines.map(({ trail }) => trailKind(trail).half(trail)));
  return rectanglePath(outset(centredBox(placement), 2 * most * grown + 12));
}

/** A drawn piece of which only an area of its own frame is left: a cut is one more of its lines, so that it can be taken back. */
export function cutDrawn(piece: DrawnPiece, area: Path): DrawnPiece {
  const next = structuredClone(piece);
  const rings = polygons(transformPath(frameToPlane(piece), area));
  const all = outset(boxOfPoints(rings.flat()), 12);
  // What lies wholly elsewhere was cut off.
  const lines = piece.outline.lines.filter((line) => erasing(line.trail) || overlaps(boxOfLine(line), all));
  const ids = new Set(lines.map(({ id }) => id));
  let number = 1;
  while (ids.has(`cut ${number}`)) number++;
  const { at } = kept(chained(rings));
  relined(next, [...lines, { id: `cut ${number}`, at, closed: true, smoothing: 0, trail: { kind: 'cut' } }]);
  return next;
}

/** Rings as one: there and back between the first points of each, so that what they go round stays the same. */
function chained(rings: readonly (readonly Point[])[]): Point[] {
  const firsts = rings.map(([first]) => first!);
  return [...rings.flatMap((ring) => [...ring, ring[0]!]), ...firsts.slice(1, -1).reverse()];
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
  const size = { width: placement.width, height: placement.height };
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
  draft.tucks?.forEach((tuck) => Object.assign(tuck, tuckIn(tuck, size, off, placement)));
}

/** Trails as they would be laid by hand, wider where the plane they are laid in is shrunk on the page. */
export const widenedBy = (trail: Trail, wider: number): Trail =>
  Math.abs(wider - 1) < 1e-6 ? trail : (trailKind(trail).scaled?.(trail, wider) ?? trail);
