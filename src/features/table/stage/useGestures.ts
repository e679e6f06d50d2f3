/** Pointer work on the stage: select, peek, frame, move, resize, turn, slide, pan, guides. */
import { useEffect, useRef, type PointerEvent as ReactPointerEvent } from 'react';
import { apply, invert, type Point } from '@/core/geometry/matrix';
import { toolsFor } from '@/core/page/outlines';
import { piecesAt } from '@/core/page/pick';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import { setGuides } from '@/core/project/edits/page';
import { surfaceOf } from '@/core/project/model';
import { wholeUnits } from '@/core/project/tree';
import { holdPoint, match, stopWriting } from '@/features/table/room/actions';
import {
  selectedPieces,
  settledPieces,
  shownSurface,
  type SessionStore,
  type View,
} from '@/features/table/room/session';
import { partAt, pushed } from '@/features/table/room/slide';
import {
  frameDrag,
  moveDrag,
  resizeDrag,
  scaleDrag,
  settingDrag,
  shadowDrag,
  startDrag,
  slitDrag,
  turnDrag,
  type Drag,
  type Grip,
} from '@/features/table/stage/drags';
import { knotDrag } from '@/features/table/stage/knotDrags';
import { RULER } from '@/features/table/stage/Rulers';
import { useDragLost } from '@/features/table/stage/useDragLost';
import { panned, toPage, zoomed } from '@/features/table/stage/view';

/** Pixels a pointer may tremble before a press becomes a drag. */
const TREMBLE = 4;
/** How near an edge still counts as on the piece, pixels; a finger hides what it points at. */
const REACH = 6;
const FINGER_REACH = 14;
/** Milliseconds within which a second press makes a double click. */
const DOUBLE_CLICK = 260;

interface Hand {
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

export function useGestures(store: SessionStore, onMoving: (ids: readonly string[]) => void) {
  const hand = useRef<Hand | null>(null);
  const lastPan = useRef<Point>({ x: 0, y: 0 });
  const frame = useRef(0);
  const peek = useRef<ReturnType<typeof setTimeout>>(undefined);
  const space = useSpaceHeld();
  const pinch = usePinch(store);

  const at = (event: { clientX: number; clientY: number }, stage: Element): Point => {
    const box = stage.getBoundingClientRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top };
  };

  const begin = (
    event: ReactPointerEvent,
    start: Omit<Hand, 'pointer' | 'moved' | 'lifts'>,
    lifts = false,
  ) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    hand.current = { pointer: event.pointerId, moved: false, lifts, ...start };
    lastPan.current = start.from;
  };

  /** Whether another pointer is at work already: then what it began was not meant, and neither is this. */
  const second = (event: ReactPointerEvent): boolean => {
    if (!hand.current || hand.current.pointer === event.pointerId) return false;
    letGo();
    return true;
  };
  useDragLost(() => hand.current !== null, letGo);

  /** A press on the page or the table around it. */
  function press(event: ReactPointerEvent<HTMLElement>): void {
    if (event.button === 2) return;
    clearTimeout(peek.current);
    const session = store.getState();
    const from = at(event, event.currentTarget);
    if (event.pointerType === 'touch' && pinch.press(event.pointerId, from)) {
      // A second finger: what the first began was not meant.
      event.currentTarget.setPointerCapture(event.pointerId);
      return letGo();
    }
    if (second(event)) return;
    const point = toPage(session.view, from);
    if (session.mode.kind === 'write') stopWriting(store);
    const nothing = () => {};
    if (event.button === 1 || space.current) return begin(event, { from, drag: null, tap: nothing });
    const ruler = from.y < RULER ? 'y' : from.x < RULER ? 'x' : null;
    if (ruler && !session.readOnly && session.show.guides)
      return begin(event, { from, drag: guideDrag(store, ruler), tap: nothing });
    const surface = shownSurface(session);
    if (session.mode.kind === 'slide') {
      const [piece] = settledPieces(session, [session.mode.id]);
      const part = piece ? partAt(session, piece, point) : null;
      if (piece && part !== null) store.getState().setMode({ ...session.mode, part });
      if (piece && (part !== null || inBox(piece, point)))
        return begin(
          event,
          {
            from,
            drag: (now) => {
              const to = toPage(session.view, now);
              const by = { x: to.x - point.x, y: to.y - point.y };
              return { edit: pushed(store.getState(), piece, by) };
            },
            tap: nothing,
          },
          true,
        );
      store.getState().pick();
    }
    const found = piecesAt(
      surface.pile,
      point,
      (event.pointerType === 'touch' ? FINGER_REACH : REACH) / session.view.zoom,
      toolsFor(session.history.project, session.typesetter),
    );
    if (session.peeking) store.getState().peekAt(null);
    if (session.matching && found.length) {
      const { matching } = session;
      const [top] = found;
      const onto = wholeUnits(surface.pile, [top!.id], session.entered);
      return begin(event, { from, drag: null, tap: () => match(store, matching, onto) });
    }
    if (surface.locked && found.length)
      return begin(event, { from, drag: null, tap: () => store.getState().touchLocked() });
    // A press beside what is in the open group closes it.
    const inside = (piece: Piece) => session.entered === null || piece.groups?.includes(session.entered);
    const under = found.some(inside) ? found.filter(inside) : found;
    const entered = under.some(inside) ? session.entered : null;
    const whole = (piece: Piece) => wholeUnits(surface.pile, [piece.id], entered);
    const adding = event.shiftKey || event.ctrlKey || event.metaKey;
    const target = under.find((piece) => !piece.placement.locked) ?? under[0];
    if (adding && target) {
      const unit = whole(under[0]!);
      const without = session.selection.filter((id) => !unit.includes(id));
      return session.select(
        without.length < session.selection.length ? without : [...session.selection, ...unit],
      );
    }
    // A finger pans, a mouse or pen draws a frame round things.
    const pans = event.pointerType === 'touch' || surface.locked;
    if (!target)
      return begin(event, {
        from,
        drag: pans ? null : frameDrag(store, from, adding ? session.selection : []),
        tap: () => !adding && session.choose({ selection: [], entered: null }),
      });
    const held = under.find((piece) => session.selection.includes(piece.id));
    // A press on something selected may begin a drag of it; only a tap goes one deeper.
    if (!held) session.choose({ selection: whole(target), entered, mode: { kind: 'pick' } });
    const moving = settledPieces(store.getState(), held ? session.selection : whole(target)).filter(
      (piece) => !piece.placement.locked,
    );
    const deeper = held && nextUnder(under, held, whole);
    begin(
      event,
      {
        from,
        drag: moving.length ? moveDrag(session, moving, from) : null,
        // A second press soon after makes it a double click, which is meant for this piece.
        tap: () => {
          peek.current = setTimeout(
            () => deeper && store.getState().mode.kind === 'pick' && store.getState().select(whole(deeper)),
            DOUBLE_CLICK,
          );
        },
      },
      moving.length > 0,
    );
  }

  /** A press on a brad or the turning loop. */
  function grip(event: ReactPointerEvent<Element>, hold: Grip, stage: Element): void {
    event.stopPropagation();
    if (second(event)) return;
    const session = store.getState();
    const pieces = selectedPieces(session).filter(({ placement }) => !placement.locked);
    if (!pieces.length || session.readOnly) return;
    const from = at(event, stage);
    if (hold.kind === 'knot' || hold.kind === 'side') holdPoint(store, hold.spot, hold.kind === 'side');
    const drag =
      hold.kind === 'turn'
        ? turnDrag(session, pieces, from)
        : hold.kind === 'setting'
          ? settingDrag(session, pieces[0]!, hold.id)
          : hold.kind === 'shadow'
            ? shadowDrag(session, pieces[0]!, hold.index)
            : hold.kind === 'start'
              ? startDrag(session, pieces[0]!)
              : hold.kind === 'slit'
                ? slitDrag(session, hold.crossing, hold.end)
                : 'spot' in hold
                  ? knotDrag(session, hold, from)
                  : pieces.length === 1
                    ? resizeDrag(session, pieces[0]!, hold, from)
                    : scaleDrag(session, pieces, hold, from);
    begin(event as ReactPointerEvent, { from, drag, tap: () => {} }, true);
  }

  /** A press on a guide's tab on the ruler. */
  function holdGuide(
    event: ReactPointerEvent<Element>,
    of: string | null,
    index: number,
    stage: Element,
  ): void {
    event.stopPropagation();
    const { readOnly, history } = store.getState();
    if (readOnly || history.project.guidesLocked || second(event)) return;
    begin(event as ReactPointerEvent, {
      from: at(event, stage),
      drag: guideMove(store, of, index),
      tap: () => {},
    });
  }

  /** Back to how it was before the press. */
  function letGo(): void {
    hand.current = null;
    cancelAnimationFrame(frame.current);
    store.getState().tryOut(null);
    store.getState().letGo();
    onMoving([]);
  }

  function move(event: ReactPointerEvent, stage: Element): void {
    if (event.pointerType === 'touch' && pinch.move(event.pointerId, at(event, stage))) return;
    const held = hand.current;
    if (!held) {
      // For what is asked about the spot the pointer rests on.
      store.getState().point(at(event, stage));
      return;
    }
    if (held.pointer !== event.pointerId) return;
    const now = at(event, stage);
    if (!held.moved) {
      if (Math.hypot(now.x - held.from.x, now.y - held.from.y) < TREMBLE) return;
      held.moved = true;
      if (held.lifts) onMoving(store.getState().selection);
    }
    if (!held.drag) {
      const { view } = store.getState();
      store.getState().look(panned(view, now.x - lastPan.current.x, now.y - lastPan.current.y));
      lastPan.current = now;
      return;
    }
    const native = event.nativeEvent;
    cancelAnimationFrame(frame.current);
    frame.current = requestAnimationFrame(() => {
      if (hand.current !== held) return;
      const { edit, snapped, swaps } = held.drag!(now, native);
      if (edit) store.getState().tryOut(edit, snapped);
      const { swaps: before, selection } = store.getState();
      const onto = swaps?.onto ?? null;
      // What would change places with it is painted anew as well.
      if ((before?.onto ?? null) !== onto) onMoving(onto ? [...selection, onto] : selection);
      if (before || swaps?.with.length) store.getState().hold({ swaps: swaps?.with.length ? swaps : null });
    });
  }

  function release(event: ReactPointerEvent, stage: Element): void {
    pinch.release(event.pointerId);
    const held = hand.current;
    if (!held || held.pointer !== event.pointerId) return;
    hand.current = null;
    cancelAnimationFrame(frame.current);
    const edit = held.moved ? held.drag?.(at(event, stage), event.nativeEvent).edit : null;
    if (edit) store.getState().perform({ ...edit, merge: undefined });
    else store.getState().tryOut(null);
    store.getState().letGo();
    onMoving([]);
    if (!held.moved) held.tap();
  }

  /** The pointer was taken away in the middle of it: everything goes back. */
  function lost(event: ReactPointerEvent): void {
    pinch.release(event.pointerId);
    if (hand.current?.pointer === event.pointerId) letGo();
  }

  return { press, grip, holdGuide, move, release, lost };
}

/** Two fingers on the stage zoom and pan; the page keeps lying under them. */
function usePinch(store: SessionStore) {
  const fingers = useRef(new Map<number, Point>());
  const start = useRef<{ view: View; spread: number; middle: Point } | null>(null);
  const hold = () => {
    const [a, b] = [...fingers.current.values()];
    if (!a || !b) return null;
    const spread = Math.max(1, Math.hypot(b.x - a.x, b.y - a.y));
    return { view: store.getState().view, spread, middle: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 } };
  };
  return {
    /** Whether this finger is one too many for anything else. */
    press(finger: number, at: Point): boolean {
      fingers.current.set(finger, at);
      start.current = hold();
      return fingers.current.size > 1;
    },
    move(finger: number, at: Point): boolean {
      if (fingers.current.has(finger)) fingers.current.set(finger, at);
      const [from, now] = [start.current, hold()];
      if (!from || !now) return false;
      const shifted = panned(from.view, now.middle.x - from.middle.x, now.middle.y - from.middle.y);
      store.getState().look(zoomed(shifted, (from.view.zoom * now.spread) / from.spread, now.middle));
      return true;
    },
    release(finger: number): void {
      fingers.current.delete(finger);
      start.current = hold();
    },
  };
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

/** A guide pulled out of a ruler: the upper one gives level guides, the left one upright ones. */
function guideDrag(store: SessionStore, axis: 'x' | 'y'): Drag {
  return (now, { altKey }) => {
    const { view, stage, surfaceId, history } = store.getState();
    const guide = { axis, at: toPage(view, now)[axis] };
    const gone = now[axis] < RULER || now.x > stage.width || now.y > stage.height;
    store.getState().hold({ drawnGuide: gone ? null : guide });
    // On every page; with Alt on this one alone.
    const of = altKey ? surfaceId : null;
    const { guides } = altKey ? surfaceOf(history.project, surfaceId) : history.project;
    return { edit: gone ? null : setGuides(of, 'add guide', [...guides, guide]) };
  };
}

/** A guide moved by its tab; drawn off the stage it is taken away. */
function guideMove(store: SessionStore, of: string | null, index: number): Drag {
  const { history } = store.getState();
  const { project } = history;
  const { guides } = of === null ? project : surfaceOf(project, of);
  const { axis } = guides[index]!;
  return (now) => {
    const { view, stage } = store.getState();
    const gone = now[axis] < RULER || now[axis] > (axis === 'x' ? stage.width : stage.height);
    const guide = { axis, at: toPage(view, now)[axis] };
    return {
      edit: setGuides(
        of,
        gone ? 'take guide away' : 'move guide',
        gone ? guides.filter((_, i) => i !== index) : guides.map((one, i) => (i === index ? guide : one)),
      ),
    };
  };
}

/** Whether the space bar is down: the table is then dragged, not what lies on it. */
function useSpaceHeld() {
  const held = useRef(false);
  useEffect(() => {
    const change = (event: KeyboardEvent) => {
      if (event.key !== ' ') return;
      const target = event.target as HTMLElement;
      held.current =
        event.type === 'keydown' && !target.closest('input, textarea, button, a, [role="option"]');
    };
    const lost = () => {
      held.current = false;
    };
    window.addEventListener('keydown', change);
    window.addEventListener('keyup', change);
    window.addEventListener('blur', lost);
    return () => {
      window.removeEventListener('keydown', change);
      window.removeEventListener('keyup', change);
      window.removeEventListener('blur', lost);
    };
  }, []);
  return held;
}

export const inBox = (piece: Piece, point: Point): boolean => {
  const own = apply(invert(placementMatrix(piece.placement)), point);
  return Math.abs(own.x) <= piece.placement.width / 2 && Math.abs(own.y) <= piece.placement.height / 2;
};
