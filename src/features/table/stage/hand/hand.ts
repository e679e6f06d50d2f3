/** A hand on the stage: selects, peeks, frames, moves, resizes, turns, slides, pans, draws guides. Knows of no screen. */
import { apply, invert, type Point } from '@/core/geometry/matrix';
import { toolsFor } from '@/core/page/outlines';
import { piecesAt } from '@/core/page/pick';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import { wholeUnits } from '@/core/project/tree';
import { goInto, holdPoint, match, stopWriting } from '@/features/table/acts';
import {
  selectedPieces,
  settledPieces,
  shownSurface,
  type Session,
  type SessionStore,
} from '@/features/table/session';
import { partAt, pushed } from '@/features/table/acts/slide';
import {
  frameDrag,
  moveDrag,
  resizeDrag,
  scaleDrag,
  turnDrag,
  type Drag,
  type Grip,
  type Held,
} from '@/features/table/stage/hand/drags';
import { settingDrag, shadowDrag, slitDrag, startDrag } from '@/features/table/stage/hand/handleDrags';
import { guideDrag, guideMove } from '@/features/table/stage/hand/guideDrags';
import { knotDrag } from '@/features/table/stage/hand/knotDrags';
import { createPinch } from '@/features/table/stage/hand/pinch';
import { panned, RULER, toPage } from '@/features/table/stage/hand/view';

/** Pixels a pointer may tremble before a press becomes a drag. */
const TREMBLE = 4;
/** How near an edge still counts as on the piece, pixels; a finger hides what it points at. */
const REACH = 6;
const FINGER_REACH = 14;
/** Milliseconds within which a second press makes a double click. */
export const DOUBLE_CLICK = 260;
/** Milliseconds a finger rests before what lies beneath it is listed. */
export const LONG_PRESS = 550;

/** Where a pointer is and what is held with it, in pixels of the stage. */
export interface Pointer extends Held {
  id: number;
  type: string;
  button: number;
  at: Point;
}

/** What a pointer began. */
interface Begun {
  pointer: number;
  from: Point;
  moved: boolean;
  /** What it comes to where the pointer is now; null pans. */
  drag: Drag | null;
  /** Whether pieces are being moved, so that they are painted by themselves. */
  lifts: boolean;
  /** Done on release if the pointer never moved. */
  tap: () => void;
}

export interface Surroundings {
  /** Hears which pieces are being moved. */
  onMoving(ids: readonly string[]): void;
  /** Whether the table is dragged, not what lies on it. */
  panning(): boolean;
  /** Does something before the next picture of the screen; answers with what calls it off. */
  soon(act: () => void): () => void;
}

/** What a tap that means nothing does. */
const nothing = (): void => {};

export type Hand = ReturnType<typeof createHand>;

/** What presses answer says whether the pointer is to be followed wherever it goes. */
export function createHand(store: SessionStore, { onMoving, panning, soon }: Surroundings) {
  let begun: Begun | null = null;
  let lastPan: Point = { x: 0, y: 0 };
  let callOff = () => {};
  let peek: ReturnType<typeof setTimeout> | undefined;
  const pinch = createPinch(store);

  const begin = (
    { id, type }: Pointer,
    { from, drag, tap }: Omit<Begun, 'pointer' | 'moved' | 'lifts'>,
    lifts = false,
  ): boolean => {
    const held: Begun = { pointer: id, moved: false, lifts, from, drag, tap };
    begun = held;
    lastPan = from;
    // A finger that rests asks what lies beneath it.
    if (type === 'touch' && tap !== nothing)
      setTimeout(() => {
        if (begun !== held || held.moved || store.getState().mode.kind !== 'pick') return;
        letGo();
        store.getState().peekAt(from);
      }, LONG_PRESS);
    return true;
  };

  /** Back to how it was before the press. */
  const letGo = (): void => {
    begun = null;
    callOff();
    store.getState().tryOut(null);
    store.getState().letGo();
    onMoving([]);
  };

  /** Whether another pointer is at work already: then what it began was not meant, and neither is this. */
  const second = ({ id }: Pointer): boolean => {
    if (!begun || begun.pointer === id) return false;
    letGo();
    return true;
  };

  /** A second finger, wherever it comes down: what the first began was not meant. */
  function pinches({ type, id, at }: Pointer): boolean {
    if (type !== 'touch' || !pinch.press(id, at)) return false;
    letGo();
    return true;
  }

  /** A press on the page or the table around it. */
  function press(pointer: Pointer): boolean {
    const { at } = pointer;
    if (pointer.button === 2) return false;
    clearTimeout(peek);
    const session = store.getState();
    if (pinches(pointer)) return true;
    if (second(pointer)) return false;
    const point = toPage(session.view, at);
    if (session.mode.kind === 'write') stopWriting(store);
    if (pointer.button === 1 || panning()) return begin(pointer, { from: at, drag: null, tap: nothing });
    if (session.compared) return shownAsItIs(session);
    const ruler = at.y < RULER ? 'y' : at.x < RULER ? 'x' : null;
    if (ruler && !session.readOnly && session.show.guides)
      return begin(pointer, { from: at, drag: guideDrag(store, ruler), tap: nothing });
    const surface = shownSurface(session);
    const pushes = slidePress(store, at, point);
    if (pushes) return begin(pointer, pushes, true);
    const found = piecesAt(
      surface.pile,
      point,
      (pointer.type === 'touch' ? FINGER_REACH : REACH) / session.view.zoom,
      toolsFor(session.history.project, session.typesetter),
    );
    if (session.peeking) store.getState().peekAt(null);
    if (session.matching && found.length) {
      const { matching } = session;
      const [top] = found;
      const onto = wholeUnits(surface.pile, [top!.id], session.entered);
      return begin(pointer, { from: at, drag: null, tap: () => match(store, matching, onto) });
    }
    if (surface.locked && found.length)
      return begin(pointer, { from: at, drag: null, tap: () => store.getState().touchLocked() });
    const pressed = piecePress(store, pointer, found, (act) => {
      peek = setTimeout(act, DOUBLE_CLICK);
    });
    return pressed !== null && begin(pointer, pressed, pressed.lifts);
  }

  /** A press on a brad or the turning loop. */
  function grip(pointer: Pointer, hold: Grip): boolean {
    if (pinches(pointer)) return true;
    if (second(pointer)) return false;
    const { at } = pointer;
    const session = store.getState();
    const pieces = selectedPieces(session).filter(({ placement }) => !placement.locked);
    if (!pieces.length || session.readOnly) return false;
    if (hold.kind === 'knot' || hold.kind === 'side') holdPoint(store, hold.spot, hold.kind === 'side');
    return begin(pointer, { from: at, drag: gripDrag(session, pieces, hold, at), tap: nothing }, true);
  }

  /** A press on a guide's tab on the ruler. */
  function holdGuide(pointer: Pointer, of: string | null, index: number): boolean {
    const { readOnly, history } = store.getState();
    if (readOnly || history.project.guidesLocked || second(pointer)) return false;
    return begin(pointer, { from: pointer.at, drag: guideMove(store, of, index), tap: nothing });
  }

  function move(pointer: Pointer): void {
    const { id, type, at } = pointer;
    if (type === 'touch' && pinch.move(id, at)) return;
    const held = begun;
    // For what is asked about the spot the pointer rests on.
    if (!held) return store.getState().point(at);
    if (held.pointer !== id) return;
    if (!held.moved) {
      if (Math.hypot(at.x - held.from.x, at.y - held.from.y) < TREMBLE) return;
      held.moved = true;
      if (held.lifts) onMoving(store.getState().selection);
    }
    if (!held.drag) {
      const { view, look } = store.getState();
      look(panned(view, at.x - lastPan.x, at.y - lastPan.y));
      lastPan = at;
      return;
    }
    callOff();
    callOff = soon(() => {
      if (begun !== held) return;
      const { edit, snapped, swaps } = held.drag!(at, pointer);
      if (edit) store.getState().tryOut(edit, snapped);
      const { swaps: before, selection, hold } = store.getState();
      const onto = swaps?.onto ?? null;
      // What would change places with it is painted anew as well.
      if ((before?.onto ?? null) !== onto) onMoving(onto ? [...selection, onto] : selection);
      if (before || swaps?.with.length) hold({ swaps: swaps?.with.length ? swaps : null });
    });
  }

  function release(pointer: Pointer): void {
    pinch.release(pointer.id);
    const held = begun;
    if (!held || held.pointer !== pointer.id) return;
    begun = null;
    callOff();
    const edit = held.moved ? held.drag?.(pointer.at, pointer).edit : null;
    if (edit) store.getState().perform({ ...edit, merge: undefined });
    else store.getState().tryOut(null);
    store.getState().letGo();
    onMoving([]);
    if (!held.moved) held.tap();
  }

  /** The pointer was taken away in the middle of it: everything goes back. */
  function lost(id: number): void {
    pinch.release(id);
    if (begun?.pointer === id) letGo();
  }

  return {
    press,
    grip,
    holdGuide,
    move,
    release,
    lost,
    again: (at: Point) => enter(store, at),
    letGo,
    busy: () => begun !== null,
  };
}

/** A press on the page as it was: what lay there may not be there any more, so nothing of it is taken hold of. */
function shownAsItIs({ compare }: Session): false {
  compare(0);
  return false;
}

/** A press on the photo that is slid in its cut, or on one of its parts; null anywhere else, and then it is slid no more. */
function slidePress(
  store: SessionStore,
  at: Point,
  point: Point,
): Pick<Begun, 'from' | 'drag' | 'tap'> | null {
  const session = store.getState();
  if (session.mode.kind !== 'slide') return null;
  const [piece] = settledPieces(session, [session.mode.id]);
  const part = piece ? partAt(session, piece, point) : null;
  if (piece && part !== null) session.setMode({ ...session.mode, part });
  if (!piece || (part === null && !inBox(piece, point))) {
    session.pick();
    return null;
  }
  return {
    from: at,
    drag: (now) => {
      const to = toPage(session.view, now);
      return { edit: pushed(store.getState(), piece, { x: to.x - point.x, y: to.y - point.y }) };
    },
    tap: nothing,
  };
}

/**
 * A press on what lies there, or on bare paper: what it begins. Null where it only adds to what is selected. `later` does
 * something once no second press can follow.
 */
function piecePress(
  store: SessionStore,
  { at, type, shiftKey, ctrlKey, metaKey }: Pointer,
  found: readonly Piece[],
  later: (act: () => void) => void,
): Pick<Begun, 'from' | 'drag' | 'tap' | 'lifts'> | null {
  const session = store.getState();
  const surface = shownSurface(session);
  const { under, entered } = withinOpen(found, session);
  const whole = (piece: Piece) => wholeUnits(surface.pile, [piece.id], entered);
  const adding = shiftKey || ctrlKey || metaKey;
  const target = under.find((piece) => !piece.placement.locked) ?? under[0];
  if (adding && target) {
    const unit = whole(under[0]!);
    const without = session.selection.filter((id) => !unit.includes(id));
    session.select(without.length < session.selection.length ? without : [...session.selection, ...unit]);
    return null;
  }
  // A finger pans, a mouse or pen draws a frame round things.
  const pans = type === 'touch' || surface.locked;
  if (!target)
    return {
      from: at,
      drag: pans ? null : frameDrag(store, at, adding ? session.selection : []),
      tap: () => !adding && session.choose({ selection: [], entered: null }),
      lifts: false,
    };
  const held = under.find((piece) => session.selection.includes(piece.id));
  // A press on something selected may begin a drag of it; only a tap goes one deeper.
  if (!held) session.choose({ selection: whole(target), entered, mode: { kind: 'pick' } });
  const moving = settledPieces(store.getState(), held ? session.selection : whole(target)).filter(
    (piece) => !piece.placement.locked,
  );
  const deeper = held && nextUnder(under, held, whole);
  return {
    from: at,
    drag: moving.length ? moveDrag(session, moving, at) : null,
    // A second press soon after makes it a double click, which is meant for this piece.
    tap: () =>
      later(() => deeper && store.getState().mode.kind === 'pick' && store.getState().select(whole(deeper))),
    lifts: moving.length > 0,
  };
}

/** What of it lies in the open group; all of it if nothing does: a press beside what is in the group closes it. */
function withinOpen(found: readonly Piece[], { entered }: Session) {
  const inside = (piece: Piece) => entered === null || piece.groups?.includes(entered);
  const within = found.filter(inside);
  return within.length ? { under: within, entered } : { under: found, entered: null };
}

/** A second press soon after the first: goes into what lies there. */
function enter(store: SessionStore, at: Point): void {
  const session = store.getState();
  if (session.mode.kind !== 'pick') return;
  const { history, typesetter, view } = session;
  const [top] = piecesAt(
    shownSurface(session).pile,
    toPage(view, at),
    REACH / view.zoom,
    toolsFor(history.project, typesetter),
  );
  goInto(store, top?.id);
}

/** What a drag of a grip comes to. */
function gripDrag(session: Session, pieces: readonly Piece[], hold: Grip, at: Point): Drag {
  return hold.kind === 'turn'
    ? turnDrag(session, pieces, at)
    : hold.kind === 'setting'
      ? settingDrag(session, pieces[0]!, hold.id)
      : hold.kind === 'shadow'
        ? shadowDrag(session, pieces[0]!, hold.index)
        : hold.kind === 'start'
          ? startDrag(session, pieces[0]!)
          : hold.kind === 'slit'
            ? slitDrag(session, hold.crossing, hold.end)
            : 'spot' in hold
              ? knotDrag(session, hold, at)
              : pieces.length === 1
                ? resizeDrag(session, pieces[0]!, hold, at)
                : scaleDrag(session, pieces, hold, at);
}

/** What lies under the one that is held and is not of its group; the topmost again after the lowest. */
function nextUnder(
  under: readonly Piece[],
  held: Piece,
  whole: (piece: Piece) => string[],
): Piece | undefined {
  const unit = new Set(whole(held));
  const from = under.indexOf(held);
  const round = [...under.slice(from + 1), ...under.slice(0, from)];
  return round.find(({ id }) => !unit.has(id));
}

export const inBox = (piece: Piece, point: Point): boolean => {
  const own = apply(invert(placementMatrix(piece.placement)), point);
  return Math.abs(own.x) <= piece.placement.width / 2 && Math.abs(own.y) <= piece.placement.height / 2;
};
