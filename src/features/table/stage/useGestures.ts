/** Pointer work on the stage: select, peek, move, resize, turn, slide, pan, zoom. */
import { useRef, type PointerEvent as ReactPointerEvent } from 'react';
import { apply, invert, type Point } from '@/core/geometry/matrix';
import { toolsFor } from '@/core/page/draw';
import { piecesAt } from '@/core/page/pick';
import type { Piece } from '@/core/piece/piece';
import { wantedSize, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Typesetter } from '@/core/text/typesetter';
import { placementMatrix, resized, type Side } from '@/core/piece/placement/placement';
import { changePieces, type Edit } from '@/core/project/edits/edit';
import { movePieces, placePiece, scaleWords } from '@/core/project/edits/place';
import { stopWriting } from '@/features/table/room/actions';
import {
  selectedPieces,
  settledPieces,
  shownSurface,
  type SessionStore,
} from '@/features/table/room/session';
import { pushed } from '@/features/table/room/slide';
import { panned, toPage } from '@/features/table/stage/view';

/** What a hand took hold of. */
export type Grip = { kind: 'resize'; sx: Side; sy: Side } | { kind: 'turn' };

/** Pixels a pointer may tremble before a press becomes a drag. */
const TREMBLE = 4;
/** How near an edge still counts as on the piece, pixels. */
const REACH = 6;
/** Milliseconds within which a second press makes a double click. */
const DOUBLE_CLICK = 260;
/** Turning holds at these degrees with Shift. */
const TURN_STEP = 15;

interface Drag {
  pointer: number;
  from: Point;
  moved: boolean;
  /** The edit for where the pointer is now; null pans. */
  edit: ((now: Point, event: PointerEvent) => Edit | null) | null;
  /** Done on release if the pointer never moved. */
  tap: () => void;
}

export function useGestures(store: SessionStore, onMoving: (ids: readonly string[]) => void) {
  const drag = useRef<Drag | null>(null);
  const lastPan = useRef<Point>({ x: 0, y: 0 });
  const frame = useRef(0);
  const peek = useRef<ReturnType<typeof setTimeout>>(undefined);

  const at = (event: { clientX: number; clientY: number }, stage: Element): Point => {
    const box = stage.getBoundingClientRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top };
  };

  const begin = (event: ReactPointerEvent, start: Omit<Drag, 'pointer' | 'moved'>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { pointer: event.pointerId, moved: false, ...start };
    lastPan.current = start.from;
  };

  /** A press on the page or the table around it. */
  function press(event: ReactPointerEvent<HTMLElement>): void {
    if (event.button === 2) return;
    clearTimeout(peek.current);
    const session = store.getState();
    const from = at(event, event.currentTarget);
    const point = toPage(session.view, from);
    if (session.mode.kind === 'write') stopWriting(store);
    if (event.button === 1) return begin(event, { from, edit: null, tap: () => {} });
    const surface = shownSurface(session);
    if (session.mode.kind === 'slide') {
      const [piece] = settledPieces(session, [session.mode.id]);
      if (piece && inBox(piece, point))
        return begin(event, {
          from,
          edit: (now) => {
            const to = toPage(session.view, now);
            return pushed(session, piece, { x: to.x - point.x, y: to.y - point.y });
          },
          tap: () => {},
        });
      store.setState({ mode: { kind: 'pick' } });
    }
    const under = piecesAt(
      surface.pile,
      point,
      REACH / session.view.zoom,
      toolsFor(session.history.project, session.typesetter),
    );
    const held = under.find((piece) => session.selection.includes(piece.id));
    if (event.shiftKey || event.ctrlKey || event.metaKey) {
      const [top] = under;
      if (!top) return;
      const without = session.selection.filter((id) => id !== top.id);
      return session.select(
        without.length < session.selection.length ? without : [...session.selection, top.id],
      );
    }
    if (!under.length) return begin(event, { from, edit: null, tap: () => session.select([]) });
    // A press on something selected may begin a drag of it; only a tap goes one deeper.
    const target = held ?? under.find((piece) => !piece.placement.locked) ?? under[0]!;
    if (!held) session.select([target.id]);
    const moving = settledPieces(store.getState(), held ? session.selection : [target.id]).filter(
      (piece) => !piece.placement.locked,
    );
    const deeper = held && under[(under.indexOf(held) + 1) % under.length]!;
    begin(event, {
      from,
      edit: moving.length
        ? (now) => {
            const to = toPage(session.view, now);
            return movePieces(session.surfaceId, moving, to.x - point.x, to.y - point.y);
          }
        : null,
      // A second press soon after makes it a double click, which is meant for this piece.
      tap: () => {
        peek.current = setTimeout(
          () => deeper && store.getState().mode.kind === 'pick' && store.getState().select([deeper.id]),
          DOUBLE_CLICK,
        );
      },
    });
  }

  /** A press on a brad or the turning loop. */
  function grip(event: ReactPointerEvent<Element>, hold: Grip, stage: Element): void {
    event.stopPropagation();
    const session = store.getState();
    const [piece] = selectedPieces(session);
    if (!piece || session.readOnly) return;
    const from = at(event, stage);
    const edit = hold.kind === 'turn' ? turnEdit(store, piece, from) : resizeEdit(store, piece, hold, from);
    begin(event as ReactPointerEvent, { from, edit, tap: () => {} });
  }

  function move(event: ReactPointerEvent, stage: Element): void {
    const held = drag.current;
    if (!held || held.pointer !== event.pointerId) return;
    const now = at(event, stage);
    if (!held.moved) {
      if (Math.hypot(now.x - held.from.x, now.y - held.from.y) < TREMBLE) return;
      held.moved = true;
      if (held.edit) onMoving(store.getState().selection);
    }
    if (!held.edit) {
      const { view } = store.getState();
      store.setState({ view: panned(view, now.x - lastPan.current.x, now.y - lastPan.current.y) });
      lastPan.current = now;
      return;
    }
    const native = event.nativeEvent;
    cancelAnimationFrame(frame.current);
    frame.current = requestAnimationFrame(
      () => drag.current === held && store.getState().tryOut(held.edit!(now, native)),
    );
  }

  function release(event: ReactPointerEvent, stage: Element): void {
    const held = drag.current;
    if (!held || held.pointer !== event.pointerId) return;
    drag.current = null;
    cancelAnimationFrame(frame.current);
    const edit = held.moved && held.edit?.(at(event, stage), event.nativeEvent);
    if (edit) store.getState().perform({ ...edit, merge: undefined });
    else store.getState().tryOut(null);
    onMoving([]);
    if (!held.moved && event.type === 'pointerup') held.tap();
  }

  return { press, grip, move, release };
}

export const inBox = (piece: Piece, point: Point): boolean => {
  const own = apply(invert(placementMatrix(piece.placement)), point);
  return Math.abs(own.x) <= piece.placement.width / 2 && Math.abs(own.y) <= piece.placement.height / 2;
};

function turnEdit(store: SessionStore, piece: Piece, from: Point): Drag['edit'] {
  const { surfaceId, view } = store.getState();
  const { x, y, turn } = piece.placement;
  const angle = (point: Point) => (Math.atan2(point.y - y, point.x - x) * 180) / Math.PI;
  const start = angle(toPage(view, from));
  return (now, event) => {
    const to = turn + angle(toPage(view, now)) - start;
    return placePiece(surfaceId, piece, 'turn', {
      turn: event.shiftKey ? Math.round(to / TURN_STEP) * TURN_STEP : to,
    });
  };
}

function resizeEdit(
  store: SessionStore,
  piece: Piece,
  { sx, sy }: Grip & { kind: 'resize' },
  from: Point,
): Drag['edit'] {
  const { surfaceId, view, typesetter } = store.getState();
  const { placement } = piece;
  // The hand may have taken the brad a little off its middle: that difference stays.
  const corner = apply(placementMatrix(placement), {
    x: (sx * placement.width) / 2,
    y: (sy * placement.height) / 2,
  });
  const press = toPage(view, from);
  const off = { x: corner.x - press.x, y: corner.y - press.y };
  return (now) => {
    const to = toPage(view, now);
    const next = resized(placement, sx, sy, { x: to.x + off.x, y: to.y + off.y });
    if (piece.outline.kind !== 'glyphs') return placePiece(surfaceId, piece, 'resize', next);
    if (sx !== 0 && sy !== 0) return scaleWords(surfaceId, piece, next);
    return reflow(surfaceId, piece, next, typesetter);
  };
}

/** A side drawn wider or narrower sets the words in a new column; the letters keep their size. */
function reflow(
  surfaceId: string,
  piece: Piece,
  to: Piece['placement'],
  typesetter: Typesetter,
): Edit | null {
  if (piece.outline.kind !== 'glyphs') return null;
  const outline: GlyphsOutline = { ...piece.outline, wrap: true };
  const { height } = wantedSize(outline, to, typesetter);
  const drop = apply(placementMatrix({ ...to, x: 0, y: 0 }), { x: 0, y: (height - to.height) / 2 });
  const place = placePiece(surfaceId, piece, 'resize', { ...to, x: to.x + drop.x, y: to.y + drop.y, height });
  return {
    ...place,
    apply(project) {
      place.apply(project);
      changePieces('', surfaceId, [piece.id], (draft) => {
        draft.outline = outline;
      }).apply(project);
    },
  };
}
