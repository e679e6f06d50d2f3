/** What a drag on the stage comes to: for where the pointer is now, an edit, and why it snapped. */
import { boxOfPoints, type Box } from '@/core/geometry/box';
import type { Spot } from '@/core/geometry/knots';
import { apply, type Point } from '@/core/geometry/matrix';
import { marksOn } from '@/core/page/marks';
import { guidesOn } from '@/core/page/guides';
import { toolsFor } from '@/core/page/outlines';
import { extentOfAll, trueExtent } from '@/core/page/extent';
import { framed, silhouettes } from '@/core/page/framed';
import type { Crossing } from '@/core/page/tuck';
import {
  equalSize,
  equalTurn,
  snapEdge,
  snapField,
  snapMove,
  type SnapField,
  type SnapReason,
} from '@/core/page/snap';
import type { SettingId } from '@/core/piece/outline/punches/punch';
import type { Piece } from '@/core/piece/piece';
import {
  placementMatrix,
  resized,
  SMALLEST_PIECE,
  type Placement,
  type Side,
} from '@/core/piece/placement/placement';
import type { Edit } from '@/core/project/edits/edit';
import { isBackground } from '@/core/project/edits/pile';
import { carryPieces, movePieces, placePiece, reflowWords, scaleWords } from '@/core/project/edits/place';
import { swapPhotos } from '@/core/project/edits/photos';
import { surfaceOf } from '@/core/project/model';
import { swapsFor } from '@/core/project/photos';
import { wholeUnits } from '@/core/project/tree';
import type { Session, SessionStore, Swaps } from '@/features/table/session';
import { toPage } from '@/features/table/stage/hand/view';

/** Keys that change what a drag does. */
export interface Held {
  shiftKey: boolean;
  ctrlKey: boolean;
  metaKey: boolean;
  altKey: boolean;
}

export interface Dragged {
  edit: Edit | null;
  snapped?: readonly SnapReason[];
  /** Where a photo that is being moved may change places with another, and which one it would. */
  swaps?: Swaps;
}
export type Drag = (now: Point, held: Held) => Dragged;

/** What a hand took hold of. */
export type Grip =
  | { kind: 'resize'; sx: Side; sy: Side }
  | { kind: 'turn' }
  | { kind: 'setting'; id: SettingId }
  | { kind: 'shadow'; index: number }
  | { kind: 'start' }
  | { kind: 'slit'; crossing: Crossing; end: 'a' | 'b' }
  | { kind: 'knot' | 'side'; spot: Spot }
  | { kind: 'handle'; spot: Spot; which: 'before' | 'after' };

/** Pixels within which something snaps. */
const REACH = 6;
/** Degrees within which a turn snaps. */
const TURN_REACH = 2;
/** Turning holds at these degrees with Shift. */
const TURN_STEP = 15;

/** Snapping is off while Ctrl is held, and off altogether if a person says so. */
const snaps = ({ snapping }: Session, held: Held): boolean => snapping && !held.ctrlKey && !held.metaKey;

/** Everything that lies still. */
function fieldAround(session: Session, moving: readonly Piece[]): SnapField {
  const page = surfaceOf(session.history.project, session.surfaceId);
  const tools = toolsFor(session.history.project, session.typesetter);
  const held = new Set(moving.map(({ id }) => id));
  const still = page.pile.filter(
    (piece) => !held.has(piece.id) && !piece.placement.hidden && !isBackground(piece, page),
  );
  const guides = session.show.guides ? guidesOn(session.history.project, page) : [];
  return snapField(
    page,
    guides,
    still.map((piece) => trueExtent(piece, tools)),
    marksOn(session.history.project, page, tools),
  );
}

/** Pixels about the middle of a photo on which another is dropped to change places with it. */
export const PAD = 17;

const onPad = ({ placement }: Piece, at: Point, zoom: number): boolean =>
  Math.hypot(placement.x - at.x, placement.y - at.y) * zoom <= PAD;

export function moveDrag(session: Session, pieces: readonly Piece[], from: Point): Drag {
  const start = toPage(session.view, from);
  const box = extentOfAll(pieces, toolsFor(session.history.project, session.typesetter));
  let field: SnapField | undefined;
  const [only] = pieces;
  const others =
    pieces.length === 1 ? swapsFor(surfaceOf(session.history.project, session.surfaceId), only!) : [];
  return (now, held) => {
    const to = toPage(session.view, now);
    // With Ctrl, which lets go of snaps too, it is only moved.
    const free = held.ctrlKey || held.metaKey ? [] : others;
    const onto = free.find((piece) => onPad(piece, to, session.view.zoom));
    const swaps = { with: free, onto: onto?.id ?? null };
    if (onto) return { edit: swapPhotos(session.surfaceId, [only!, onto]), swaps };
    let dx = to.x - start.x;
    let dy = to.y - start.y;
    // With Shift straight across or straight down.
    if (held.shiftKey) {
      if (Math.abs(dx) > Math.abs(dy)) dy = 0;
      else dx = 0;
    }
    let snapped: readonly SnapReason[] = [];
    if (snaps(session, held)) {
      field ??= fieldAround(session, pieces);
      const found = snapMove({ ...box, x: box.x + dx, y: box.y + dy }, field, REACH / session.view.zoom);
      const acrossOnly = held.shiftKey && dy === 0;
      const downOnly = held.shiftKey && dx === 0;
      if (!downOnly) dx += found.dx;
      if (!acrossOnly) dy += found.dy;
      snapped = found.reasons.filter(({ axis }) => (axis === 'x' ? !downOnly : !acrossOnly));
    }
    return { edit: movePieces(session.surfaceId, pieces, dx, dy), snapped, swaps };
  };
}

export function turnDrag(session: Session, pieces: readonly Piece[], from: Point): Drag {
  const { surfaceId, view } = session;
  const [only] = pieces;
  const alone = pieces.length === 1;
  const box = extentOfAll(pieces, toolsFor(session.history.project, session.typesetter));
  const about = alone ? only!.placement : { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  const angle = (point: Point) => (Math.atan2(point.y - about.y, point.x - about.x) * 180) / Math.PI;
  const start = angle(toPage(view, from));
  const own = alone ? only!.placement.turn : 0;
  const others = surfaceOf(session.history.project, surfaceId)
    .pile.filter((piece) => !pieces.includes(piece))
    .map(({ placement }) => placement.turn);
  return (now, held) => {
    let turn = own + angle(toPage(view, now)) - start;
    if (held.shiftKey) turn = Math.round(turn / TURN_STEP) * TURN_STEP;
    else if (snaps(session, held)) turn = equalTurn(turn, alone ? others : [], TURN_REACH) ?? turn;
    return {
      edit: alone
        ? placePiece(surfaceId, only!, 'turn', { turn })
        : carryPieces(
            surfaceId,
            pieces,
            'turn',
            { about, scale: 1, turn: turn - own, move: { x: 0, y: 0 } },
            true,
          ),
    };
  };
}

/** A corner or a side of one piece. Shift lets a corner change the shape, Alt keeps the middle. */
export function resizeDrag(
  session: Session,
  piece: Piece,
  { sx, sy }: { sx: Side; sy: Side },
  from: Point,
): Drag {
  const { surfaceId, view, typesetter } = session;
  const { placement, outline, material } = piece;
  // The hand may have taken the brad a little off its middle: that difference stays.
  const corner = apply(placementMatrix(placement), {
    x: (sx * placement.width) / 2,
    y: (sy * placement.height) / 2,
  });
  const press = toPage(view, from);
  const off = { x: corner.x - press.x, y: corner.y - press.y };
  const straight = placement.turn === 0;
  let field: SnapField | undefined;
  return (now, held) => {
    const to = toPage(view, now);
    const how = {
      free: held.shiftKey,
      // A thing that is shown whole keeps its shape from every side, unless Shift is held.
      whole: material.kind === 'art',
      centred: held.altKey,
    };
    let next = resized(placement, sx, sy, { x: to.x + off.x, y: to.y + off.y }, how);
    let snapped: readonly SnapReason[] = [];
    if (straight && snaps(session, held)) {
      field ??= fieldAround(session, [piece]);
      const found = snapSize(next, placement, { sx, sy }, field, REACH / view.zoom, how);
      if (found) {
        next = found.placement;
        snapped = found.reasons;
      }
    }
    if (outline.kind !== 'glyphs') return { edit: placePiece(surfaceId, piece, 'resize', next), snapped };
    if (sx !== 0 && sy !== 0 && !held.shiftKey) return { edit: scaleWords(surfaceId, piece, next), snapped };
    return { edit: reflowWords(surfaceId, piece, next, sy !== 0, typesetter), snapped };
  };
}

/** Draws the nearer of a placement's moving edges to a line, or its size to another's; the anchor stays. */
function snapSize(
  next: Placement,
  start: Placement,
  { sx, sy }: { sx: Side; sy: Side },
  field: SnapField,
  reach: number,
  how: { free: boolean; whole: boolean; centred: boolean },
): { placement: Placement; reasons: SnapReason[] } | null {
  const factor = how.centred ? 2 : 1;
  const tries = (['x', 'y'] as const).flatMap((axis) => {
    const side = axis === 'x' ? sx : sy;
    if (side === 0) return [];
    const length = axis === 'x' ? next.width : next.height;
    const edge = next[axis] + (side * length) / 2;
    const line = snapEdge(edge, axis, field, reach);
    if (line) return [{ axis, length: length + side * line.by * factor, by: line.by, reason: line.reason }];
    const same = equalSize(length, axis, field.boxes, reach);
    if (same === undefined) return [];
    const reason: SnapReason = {
      axis,
      at: 0,
      from: 0,
      to: 0,
      what: 'equal size',
      gaps: [
        {
          from: next[axis] - length / 2,
          to: next[axis] + length / 2,
          across: axis === 'x' ? next.y + next.height / 2 : next.x + next.width / 2,
        },
      ],
    };
    return [{ axis, length: same, by: same - length, reason }];
  });
  if (!tries.length) return null;
  const both = how.free || sx === 0 || sy === 0;
  const used = both ? tries : [tries.reduce((a, b) => (Math.abs(b.by) < Math.abs(a.by) ? b : a))];
  let { width, height } = next;
  for (const { axis, length } of used) {
    const keeps = !how.free && (how.whole || (sx !== 0 && sy !== 0));
    if (axis === 'x') {
      if (keeps) height *= length / width;
      width = length;
    } else {
      if (keeps) width *= length / height;
      height = length;
    }
  }
  // Nothing is drawn smaller than a hand could make it.
  if (Math.min(width, height) < SMALLEST_PIECE) return null;
  const anchor = (axis: 'x' | 'y', side: Side, length: number, was: number) =>
    how.centred ? start[axis] : start[axis] + (side * (length - was)) / 2;
  return {
    placement: {
      ...next,
      width,
      height,
      x: anchor('x', sx, width, start.width),
      y: anchor('y', sy, height, start.height),
    },
    reasons: used.map(({ reason }) => reason),
  };
}

/** A corner of the frame round several pieces: they grow together and keep their shapes. */
export function scaleDrag(
  session: Session,
  pieces: readonly Piece[],
  { sx, sy }: { sx: Side; sy: Side },
  from: Point,
): Drag {
  const { surfaceId, view, growContents } = session;
  const box = extentOfAll(pieces, toolsFor(session.history.project, session.typesetter));
  const at = (x: number, y: number): Point => ({
    x: box.x + ((x + 1) / 2) * box.width,
    y: box.y + ((y + 1) / 2) * box.height,
  });
  const corner = at(sx, sy);
  const press = toPage(view, from);
  // Where one can get no smaller all stop, or their shapes would change.
  const least = Math.max(
    ...pieces.map(({ placement: { width, height } }) => SMALLEST_PIECE / Math.min(width, height)),
  );
  let field: SnapField | undefined;
  return (now, held) => {
    const about = held.altKey ? at(0, 0) : at(-sx, -sy);
    const to = toPage(view, now);
    const hand = { x: to.x + corner.x - press.x - about.x, y: to.y + corner.y - press.y - about.y };
    const arm = { x: corner.x - about.x, y: corner.y - about.y };
    const along = (hand.x * arm.x + hand.y * arm.y) / (arm.x ** 2 + arm.y ** 2 || 1);
    let scale = Math.max(least, along);
    let snapped: readonly SnapReason[] = [];
    if (snaps(session, held)) {
      field ??= fieldAround(session, pieces);
      const lines = field;
      const tries = (['x', 'y'] as const).flatMap((axis) => {
        const found = snapEdge(about[axis] + arm[axis] * scale, axis, lines, REACH / view.zoom);
        const snapped = found && Math.abs(arm[axis]) > 1 ? scale + found.by / arm[axis] : 0;
        return found && snapped >= least ? [{ ...found, scale: snapped }] : [];
      });
      const [best] = tries.sort((a, b) => Math.abs(a.by) - Math.abs(b.by));
      if (best) {
        scale = best.scale;
        snapped = [best.reason];
      }
    }
    const by = { about, scale, turn: 0, move: { x: 0, y: 0 } };
    return { edit: carryPieces(surfaceId, pieces, 'resize', by, growContents), snapped };
  };
}

/** A frame drawn on the bare table; with Alt it takes only what lies wholly inside. What was selected before stays with `kept`. */
export function frameDrag(store: SessionStore, from: Point, kept: readonly string[]): Drag {
  const session = store.getState();
  const page = surfaceOf(session.history.project, session.surfaceId);
  const reachable = page.pile.filter(
    ({ placement, groups }) =>
      !placement.locked && (session.entered === null || groups?.includes(session.entered)),
  );
  const all = silhouettes(reachable, toolsFor(session.history.project, session.typesetter));
  const start = toPage(session.view, from);
  return (now, held) => {
    const frame: Box = boxOfPoints([start, toPage(session.view, now)]);
    const met = framed(all, frame, held.altKey ? 'inside' : 'touching');
    const selection = wholeUnits(page.pile, [...kept, ...met], session.entered);
    const { selection: before, hold, choose } = store.getState();
    hold({ marquee: frame });
    if (selection.join() !== before.join()) choose({ selection });
    return { edit: null };
  };
}
