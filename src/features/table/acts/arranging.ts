/** The order of the pile, groups, aligning, spacing, rows and columns. */
import { unite, type Box, type Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import { safeArea } from '@/core/geometry/sides';
import { align, distribute, onArc, type AlignTo, type Arc } from '@/core/page/arrange';
import { extentOfAll } from '@/core/page/extent';
import { groupPieces, groupsAmong, movePile, ungroup, type PileMove } from '@/core/project/edits/group';
import { moveEach } from '@/core/project/edits/place';
import { firstCell, repeatPieces, repeatProblem } from '@/core/project/edits/repeat';
import { type Group, type Repeat } from '@/core/project/model';
import { panelsOn } from '@/core/product';
import { unitsOf } from '@/core/project/tree';
import type { Piece } from '@/core/piece/piece';
import { fail, type Result } from '@/core/result';
import { newId } from '@/features/shared/ids';
import { type Session, type SessionStore } from '@/features/table/session';
import { page, chosen, unlocked, tools } from '@/features/table/acts/choosing';

/** One step up or down in the pile, or all the way. */
export function shiftInPile(store: SessionStore, move: PileMove): void {
  const session = store.getState();
  const pieces = chosen(session);
  if (pieces.length) session.perform(movePile(session.surfaceId, pieces, move, session.entered));
}

export function group(store: SessionStore): void {
  const session = store.getState();
  const pieces = chosen(session);
  if (pieces.length < 2) return;
  const number = page(session).groups.length + 1;
  session.perform(
    groupPieces(session.surfaceId, pieces, { id: newId(), name: `Group ${number}` }, session.entered),
  );
}

export function ungroupChosen(store: SessionStore): void {
  const session = store.getState();
  const groups = groupsAmong(page(session), session.selection, session.entered);
  if (groups.length) session.perform(ungroup(session.surfaceId, groups));
}

/** What things can be lined up with. */
export type Frame = 'each other' | 'page' | 'safe area';

function frameOf(session: Session, frame: Frame, boxes: readonly Box[]): Box {
  const { width, height } = page(session);
  if (frame === 'page') return { x: 0, y: 0, width, height };
  if (frame === 'safe area') return safeArea(page(session));
  return boxes.reduce(unite);
}

/** The selection as units with their boxes; groups are moved as one. */
export function unitsChosen(session: Session): { units: Piece[][]; boxes: Box[] } {
  const units = unitsOf(unlocked(session), session.entered);
  return { units, boxes: units.map((unit) => extentOfAll(unit, tools(session))) };
}

export function moveUnits(
  session: Session,
  label: string,
  units: readonly Piece[][],
  moves: readonly (Point & { turn?: number })[],
): void {
  const each = new Map(units.flatMap((unit, i) => unit.map(({ id }) => [id, moves[i]!] as const)));
  session.perform(moveEach(session.surfaceId, units.flat(), label, each));
}

export function alignChosen(store: SessionStore, to: AlignTo, frame: Frame): void {
  const session = store.getState();
  const { units, boxes } = unitsChosen(session);
  if (units.length) moveUnits(session, 'align', units, align(boxes, to, frameOf(session, frame, boxes)));
}

/** The panel in which the middle of a box lies; null for one that is larger, or lies beside them all. */
function panelAround(session: Session, { x, y, width, height }: Box): Box | null {
  const panels = panelsOn(session.history.project, page(session));
  const [cx, cy] = [x + width / 2, y + height / 2];
  const found = panels.find(
    ({ box }) =>
      width <= box.width &&
      height <= box.height &&
      cx >= box.x &&
      cx <= box.x + box.width &&
      cy >= box.y &&
      cy <= box.y + box.height,
  );
  return found?.box ?? null;
}

/** All that is selected, as one, to the middle of the page, or of the panel in which it lies on a folded one. */
export function centreChosen(store: SessionStore, to: 'centre' | 'middle'): void {
  const session = store.getState();
  const { units, boxes } = unitsChosen(session);
  if (!units.length) return;
  const whole = boxes.reduce(unite);
  const [move] = align([whole], to, panelAround(session, whole) ?? frameOf(session, 'page', boxes));
  moveUnits(
    session,
    'centre',
    units,
    units.map(() => move!),
  );
}

/** Spaces the selection; without `gap` (points) the air there is is shared out, between the ends or over the frame. */
export function distributeChosen(store: SessionStore, axis: 'x' | 'y', frame: Frame, gap?: number): void {
  const session = store.getState();
  const { units, boxes } = unitsChosen(session);
  if (units.length < 2) return;
  let from = boxes;
  if (frame !== 'each other' && gap === undefined) {
    // The outermost are brought to the frame's edges first; the air between is shared out after it.
    const whole = frameOf(session, frame, boxes);
    const side = axis === 'x' ? 'width' : 'height';
    const order = boxes.map((_, i) => i).sort((a, b) => boxes[a]![axis] - boxes[b]![axis]);
    from = boxes.map((box, i) =>
      i === order[0]
        ? { ...box, [axis]: whole[axis] }
        : i === order.at(-1)
          ? { ...box, [axis]: whole[axis] + whole[side] - box[side] }
          : box,
    );
  }
  const moves = distribute(from, axis, gap).map((move, i) => ({
    x: from[i]!.x + move.x - boxes[i]!.x,
    y: from[i]!.y + move.y - boxes[i]!.y,
  }));
  moveUnits(session, 'space', units, moves);
}

/** Sets the selection on an arc, each turned to stand on it if `turned`. */
export function arcChosen(store: SessionStore, arc: Omit<Arc, 'centre'>, turned: boolean): void {
  const session = store.getState();
  const { units, boxes } = unitsChosen(session);
  if (units.length < 2) return;
  const whole = boxes.reduce(unite);
  const centre = { x: whole.x + whole.width / 2, y: whole.y + whole.height / 2 };
  const places = onArc(units.length, { ...arc, centre });
  moveUnits(
    session,
    'set round',
    units,
    places.map(({ x, y, turn }, i) => {
      const box = boxes[i]!;
      const move = { x: x - box.x - box.width / 2, y: y - box.y - box.height / 2 };
      const [only] = units[i]!;
      return turned && units[i]!.length === 1 ? { ...move, turn: turn - only!.placement.turn } : move;
    }),
  );
}

/** Makes rows and columns of the selection, or those it is made of anew; says in words why it cannot. */
export function repeatChosen(store: SessionStore, repeat: Repeat): Result<number> {
  const session = store.getState();
  const { surfaceId, entered } = session;
  const now = repeatedGroup(session);
  const { pile } = page(session);
  const source = now ? firstCell(pile, now) : chosen(session);
  if (!source.length) return fail('Select what is to be repeated.');
  const allowed = repeatProblem(repeat, source.length, pile.length);
  if (!allowed.ok) return allowed;
  const made = { id: now?.id ?? newId(), name: now?.name ?? 'Rows and columns', repeat };
  const depth = now
    ? (source[0]!.groups ?? []).indexOf(now.id)
    : entered === null
      ? 0
      : (source[0]!.groups ?? []).indexOf(entered) + 1;
  const cell = extentOfAll(source, tools(session));
  if (!session.perform(repeatPieces(surfaceId, source, cell, made, depth, newId))) return allowed;
  const after = store.getState();
  after.select(
    page(after)
      .pile.filter(({ groups }) => groups?.includes(made.id))
      .map(({ id }) => id),
  );
  return allowed;
}

/** The rows and columns that are selected, if just they are. */
export function repeatedGroup(session: Session): Group | undefined {
  const [id, more] = groupsAmong(page(session), session.selection, session.entered);
  return more ? undefined : page(session).groups.find((one) => one.id === id && one.repeat);
}

/** The size of what would be repeated. */
export function cellSize(session: Session): Size | null {
  const now = repeatedGroup(session);
  const source = now ? firstCell(page(session).pile, now) : chosen(session);
  return source.length ? extentOfAll(source, tools(session)) : null;
}
