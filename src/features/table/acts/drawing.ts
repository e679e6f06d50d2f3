/** Outlines of one's own: drawn by hand, cut by scissors, their points moved. */
import { aimed } from '@/features/table/acts/aimed';
import { unite } from '@/core/geometry/box';
import {
  added,
  curved,
  isSmooth,
  isStraight,
  knotsOf,
  movedKnot,
  nearestSide,
  pathOfKnots,
  removed,
  roundedCorner,
  sharpened,
  smoothed,
  straightened,
  type Rings,
  type Spot,
} from '@/core/geometry/knots';
import { apply, invert, type Point } from '@/core/geometry/matrix';
import { pathBounds, transformPath, type Path } from '@/core/geometry/path';
import { keepsOutline, outlineKind } from '@/core/piece/outline';
import { shapeName } from '@/core/piece/outline/path';
import type { Piece } from '@/core/piece/piece';
import { extentOf, placementMatrix, SMALLEST_PIECE } from '@/core/piece/placement/placement';
import { shapedPiece } from '@/core/project/create';
import { intoFrame, recut, replaceEach, reshape } from '@/core/project/edits/cut';
import { naming } from '@/core/project/edits/edit';
import { layPieces } from '@/core/project/edits/pile';
import { fail, ok, type Result } from '@/core/result';
import { newId } from '@/features/shared/ids';
import { drawnPath, NOTHING_DRAWN, scissorLine, type Drawing } from '@/features/table/session/drawn';
import { settledPieces, type Session, type SessionStore } from '@/features/table/session';
import { refuse, unlocked } from '@/features/table/acts/choosing';
import {
  areaOnPage,
  assetFor,
  cutThrough,
  isLeft,
  tooLong,
  tooMany,
  TOO_LONG,
} from '@/features/table/acts/cutting';

/** Verdigris cardstock: what is drawn is cut out of it until another material is chosen. */
const CARDSTOCK = '#2f6f68';
const LOCKED = 'The page is locked: unlock it first. What was drawn stays.';
const TOO_SMALL = 'That encloses nothing: draw round an area. Nothing was changed.';

const isThin = (path: Path): boolean => {
  const { width, height } = pathBounds(path);
  return width < SMALLEST_PIECE || height < SMALLEST_PIECE;
};

export const setDrawing = (store: SessionStore, change: Partial<Drawing>): void =>
  store.getState().draw(change);

/** Nothing drawn; how one draws stays as it was set. */
export const clearDrawing = (store: SessionStore): void => {
  const { line, knots, closed } = NOTHING_DRAWN;
  setDrawing(store, { line, knots, closed });
};

/** Takes back the last point, if points are being set; says whether it did. */
export function dropPoint(store: SessionStore): boolean {
  const { sheet, drawing } = store.getState();
  if (sheet !== 'draw') return false;
  if (drawing.closed) setDrawing(store, { closed: false });
  else setDrawing(store, { knots: drawing.knots.slice(0, -1) });
  return true;
}

/** Lays a piece of cardstock cut to what was drawn. An outline that crosses itself becomes the area it goes round. */
export async function layDrawing(store: SessionStore): Promise<Result<number>> {
  const there = aimed(store);
  // Taken before anything is waited for: the sheet may be shut meanwhile.
  const drawn = drawnPath(store.getState().drawing);
  const { combine } = await import('@/core/geometry/combine');
  const session = there.getState();
  const [clean] = drawn && !isThin(drawn) ? combine('join', [drawn]) : [];
  if (!clean) return fail(TOO_SMALL);
  const piece = shapedPiece(newId(), 'Drawn shape', clean.path, CARDSTOCK);
  if (tooLong([piece])) return fail(TOO_LONG);
  const lays = layPieces(session.surfaceId, [piece], [], undefined, 'draw');
  if (!session.perform(lays, { selection: [piece.id] })) return fail(LOCKED);
  clearDrawing(store);
  return ok(1);
}

/** Leaves of the selected pieces what lies inside what was drawn; what they are made of stays where it lies. */
export async function cutToDrawing(store: SessionStore): Promise<Result<number>> {
  const there = aimed(store);
  const drawn = drawnPath(store.getState().drawing);
  const { combine } = await import('@/core/geometry/combine');
  const session = there.getState();
  const pieces = cutThrough(session);
  if (!drawn || isThin(drawn)) return fail(TOO_SMALL);
  if (!pieces.length) return fail('Select what is to be cut.');
  const paths = pieces.map((piece) => areaOnPage(session, piece));
  const refused = tooMany([drawn, ...paths]);
  if (refused) return fail(refused);
  const fresh: Piece[] = [];
  for (const [i, piece] of pieces.entries()) {
    const [inside] = combine('overlap', [paths[i]!, drawn]);
    const left = inside && !isThin(inside.path) ? recutOnPage(session, piece, inside.path) : null;
    if (!left || !isLeft(session, left))
      return fail(
        `Nothing would be left of ${piece.name || 'this piece'}: it lies outside. Nothing was changed.`,
      );
    fresh.push(left);
  }
  if (tooLong(fresh)) return fail(TOO_LONG);
  const cuts = replaceEach(
    `cut ${naming(pieces)} to a drawn outline`,
    session.surfaceId,
    pieces,
    fresh.map((piece) => [piece]),
  );
  if (!session.perform(cuts)) return fail(LOCKED);
  clearDrawing(store);
  return ok(fresh.length);
}

/** The line scissors will follow through what is selected. */
export function lineToCut(session: Session): Point[] | null {
  const pieces = cutThrough(session);
  const around = pieces.length ? pieces.map(({ placement }) => extentOf(placement)).reduce(unite) : null;
  return scissorLine(session.drawing, around);
}

/** Cuts the selected pieces in two along the drawn line; those it misses stay as they are. */
export async function scissor(store: SessionStore): Promise<Result<number>> {
  const there = aimed(store);
  const line = lineToCut(store.getState());
  const { part } = await import('@/core/geometry/part');
  const session = there.getState();
  const pieces = cutThrough(session);
  if (!pieces.length) return fail('Select what is to be cut.');
  if (!line) return fail('Draw a line across it first.');
  const paths = pieces.map((piece) => areaOnPage(session, piece));
  const refused = tooMany(paths);
  if (refused) return fail(refused);
  const cut = pieces.flatMap((piece, i) => {
    const halves = part(paths[i]!, line)?.map((half) => recutOnPage(session, piece, half));
    return halves?.every((half) => isLeft(session, half)) ? [{ piece, halves }] : [];
  });
  if (!cut.length) return fail('The line cuts nothing off: it passes beside. Nothing was changed.');
  const fresh = cut.map(({ halves }) => halves.map((half, i) => (i === 0 ? half : { ...half, id: newId() })));
  if (tooLong(fresh.flat())) return fail(TOO_LONG);
  const gone = cut.map(({ piece }) => piece);
  const cuts = replaceEach(`cut ${naming(gone)} in two`, session.surfaceId, gone, fresh);
  if (!session.perform(cuts, { selection: fresh.map(([, half]) => half!.id) })) return fail(LOCKED);
  clearDrawing(store);
  return ok(2 * cut.length);
}

/** A line right across the first selected piece: at an angle (degrees clockwise from level), so far from its middle (points). */
export function lineAcross(store: SessionStore, angle: number, away: number): void {
  const session = store.getState();
  const [piece] = cutThrough(session);
  if (!piece) return;
  const { x, y, width, height } = piece.placement;
  const [cos, sin] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)];
  const far = Math.hypot(width, height) / 2 + 6;
  const [mx, my] = [x - away * sin, y + away * cos];
  setDrawing(store, {
    way: 'scissors',
    straight: true,
    zoom: session.view.zoom,
    line: [
      { x: mx - far * cos, y: my - far * sin },
      { x: mx + far * cos, y: my + far * sin },
    ],
  });
}

const recutOnPage = (session: Session, piece: Piece, path: Path): Piece => {
  const { edge: _, ...finish } = piece.finish;
  return recut({ ...piece, finish }, intoFrame(piece, path), shapeName(piece.name), assetFor(session, piece));
};

/** More points than this are not moved one by one. */
const MOST_KNOTS = 1500;

/** The outline of a piece before its edge is worked, as knots in its own frame. */
export function ringsOf({ typesetter }: Session, { outline, placement }: Piece): Rings {
  return knotsOf(outlineKind(outline).cut(outline, placement, typesetter).path);
}

/** Begins to move the points of the one selected piece. */
export function startReshaping(store: SessionStore): Result<number> {
  const session = store.getState();
  const [piece, ...more] = unlocked(session);
  if (session.readOnly) return refuse(store, 'Another tab holds this project.');
  if (!piece || more.length) return refuse(store, 'Select one piece whose outline is to be worked.');
  if (keepsOutline(piece.outline))
    return refuse(store, 'What is written or drawn keeps its own outlines. Select a piece of another kind.');
  const many = ringsOf(session, piece).reduce((sum, ring) => sum + ring.length, 0);
  if (many > MOST_KNOTS)
    return refuse(store, `Its outline has ${many} points; up to ${MOST_KNOTS} can be moved one by one.`);
  session.closeSheet();
  session.setMode({ kind: 'reshape', id: piece.id, at: null, side: false });
  return ok(many);
}

/** The piece whose points are being moved, its rings and what of them is held. */
export function reshaped(session: Session) {
  const { mode } = session;
  if (mode.kind !== 'reshape') return null;
  const [piece] = settledPieces(session, [mode.id]);
  if (!piece) return null;
  const rings = ringsOf(session, piece);
  // Its cut may have been changed meanwhile.
  const at = mode.at && rings[mode.at.ring]?.[mode.at.knot] ? mode.at : null;
  return { piece, rings, at, side: mode.side };
}

/** The edit that gives a piece these rings; null where they would enclose nothing or be too long to keep. */
export function reshapeEdit(session: Session, piece: Piece, label: string, rings: Rings) {
  const path = pathOfKnots(rings);
  return isThin(path) || tooMany([path])
    ? null
    : reshape(label, session.surfaceId, piece, path, assetFor(session, piece));
}

function rework(
  store: SessionStore,
  label: string,
  rings: Rings,
  at: Spot | null,
  side = false,
): Result<number> {
  const session = store.getState();
  const now = reshaped(session);
  const edit = now && reshapeEdit(session, now.piece, label, rings);
  if (!now || !edit) return refuse(store, 'Nothing would be left. Nothing was changed.');
  session.perform(edit, { mode: { kind: 'reshape', id: now.piece.id, at, side } });
  return ok(1);
}

/** What of an outline is held, from now on. */
export const holdPoint = (store: SessionStore, at: Spot, side = false): void => {
  const { mode } = store.getState();
  if (mode.kind === 'reshape') store.getState().setMode({ ...mode, at, side });
};

/** Holds the next point, or the one before; says whether points are being moved at all. */
export function stepPoint(store: SessionStore, by: 1 | -1): boolean {
  const now = reshaped(store.getState());
  if (!now) return false;
  const all = now.rings.flatMap((ring, r) => ring.map((_, knot): Spot => ({ ring: r, knot })));
  const from = now.at
    ? all.findIndex(({ ring, knot }) => ring === now.at!.ring && knot === now.at!.knot)
    : -1;
  const to = from < 0 ? (by > 0 ? 0 : all.length - 1) : (from + by + all.length) % all.length;
  holdPoint(store, all[to]!);
  return true;
}

/** Moves the held point by so much on the page; says whether points are being moved at all. */
export function nudgePoint(store: SessionStore, x: number, y: number): boolean {
  const now = reshaped(store.getState());
  if (!now) return false;
  const here = now.at && pointOnPage(now.piece, now.rings, now.at);
  if (here) movePoint(store, { x: here.x + x, y: here.y + y });
  return true;
}

export const pointOnPage = (piece: Piece, rings: Rings, { ring, knot }: Spot): Point =>
  apply(placementMatrix(piece.placement), rings[ring]![knot]!);

/** The held point to a place on the page. */
export function movePoint(store: SessionStore, to: Point): Result<number> {
  const now = reshaped(store.getState());
  if (!now?.at) return refuse(store, 'Choose a point first.');
  const own = apply(invert(placementMatrix(now.piece.placement)), to);
  return rework(store, 'move point', movedKnot(now.rings, now.at, own), now.at);
}

/** A point more: on the held side's middle, or after the held point, or where the page was pressed. */
export function addPoint(store: SessionStore, onto?: Point): Result<number> {
  const now = reshaped(store.getState());
  if (!now) return refuse(store, 'Choose a side first.');
  const own = onto && apply(invert(placementMatrix(now.piece.placement)), onto);
  const near = own && nearestSide(now.rings, own);
  const spot = near?.spot ?? now.at ?? { ring: 0, knot: 0 };
  return rework(store, 'add point', added(now.rings, spot, near?.t ?? 0.5), { ...spot, knot: spot.knot + 1 });
}

/** Takes the held point away; says whether points are being moved at all. */
export function removePoint(store: SessionStore): Result<number> | null {
  const now = reshaped(store.getState());
  if (!now) return null;
  if (!now.at || now.side) return refuse(store, 'Choose the point that shall go.');
  const rings = removed(now.rings, now.at);
  if (!rings) return refuse(store, 'Nothing would be left. Nothing was changed.');
  return rework(store, 'take point away', rings, null);
}

/** What the held side, or the outline at the held point, is now. */
export const isRound = (rings: Rings, at: Spot, side: boolean): boolean =>
  rings[at.ring]?.[at.knot] !== undefined &&
  (side ? !isStraight(rings, at) : isSmooth(rings[at.ring]![at.knot]!));

/** The held side straight or curved, the held point a corner or smooth. */
export function turnRound(store: SessionStore): Result<number> {
  const now = reshaped(store.getState());
  if (!now?.at) return refuse(store, 'Choose a point or a side first.');
  const { rings, at, side } = now;
  const round = isRound(rings, at, side);
  return side
    ? rework(
        store,
        round ? 'straighten side' : 'curve side',
        round ? straightened(rings, at) : curved(rings, at),
        at,
        true,
      )
    : rework(
        store,
        round ? 'make a corner' : 'smooth corner',
        round ? sharpened(rings, at) : smoothed(rings, at),
        at,
      );
}

/** Rounds the held corner with a radius in points. */
export function roundCorner(store: SessionStore, radius: number): Result<number> {
  const now = reshaped(store.getState());
  if (!now?.at || now.side) return refuse(store, 'Choose a corner first.');
  const rings = roundedCorner(now.rings, now.at, radius);
  return rings === now.rings
    ? refuse(store, 'There is no corner to round here.')
    : rework(store, 'round corner', rings, now.at);
}

/** The outline of a piece on the page, for what is drawn over it. */
export const ringsOnPage = (session: Session, piece: Piece): Rings =>
  knotsOf(transformPath(placementMatrix(piece.placement), pathOfKnots(ringsOf(session, piece))));
