/** What is selected on the table, and selecting by name, step and group. */
import { fail, type Result } from '@/core/result';
import { toolsFor } from '@/core/page/outlines';
import { groupsAmong } from '@/core/project/edits/group';
import { surfaceOf, type Group } from '@/core/project/model';
import { unitsOf, wholeUnits } from '@/core/project/tree';
import type { Piece, Role } from '@/core/piece/piece';
import { settledPieces, type Session, type SessionStore } from '@/features/table/session';
import type { Refusal } from '@/features/table/session/notice';

/** The page that is shown, of a session or as much of it as tells. */
export const page = (session: Pick<Session, 'history' | 'surfaceId'>) =>
  surfaceOf(session.history.project, session.surfaceId);

export const chosen = (session: Session): Piece[] => settledPieces(session, session.selection);

export const unlocked = (session: Session): Piece[] =>
  chosen(session).filter((piece) => !piece.placement.locked);

/** The next piece or group of the pile, or the one before. */
export function step(store: SessionStore, by: 1 | -1): void {
  const session = store.getState();
  const { pile } = page(session);
  const seen = pile.filter(
    ({ placement, groups }) =>
      !placement.hidden && (session.entered === null || groups?.includes(session.entered)),
  );
  const units = unitsOf(seen, session.entered);
  if (!units.length) return;
  const at = units.findIndex((unit) => unit.some(({ id }) => session.selection.includes(id)));
  const next = units[(at + by + units.length + (at < 0 && by < 0 ? 1 : 0)) % units.length]!;
  session.select(next.map(({ id }) => id));
}

/** Opens the group that is selected: its pieces can then be taken one by one. False if there is none. */
export function enter(store: SessionStore, only?: string): boolean {
  const session = store.getState();
  const [id] = groupsAmong(page(session), session.selection, session.entered);
  if (!id) return false;
  const inside = page(session).pile.filter(({ groups }) => groups?.includes(id));
  const first = inside.find((piece) => piece.id === only) ?? inside.at(-1)!;
  session.choose({ entered: id, selection: wholeUnits(inside, [first.id], id) });
  return true;
}

/** Closes the open group and selects it; false if none is open. */
export function leave(store: SessionStore): boolean {
  const session = store.getState();
  if (session.entered === null) return false;
  const inside = page(session).pile.find(({ groups }) => groups?.includes(session.entered!));
  const path = inside?.groups ?? [];
  const entered = path[path.indexOf(session.entered) - 1] ?? null;
  session.choose({
    entered,
    selection: inside ? wholeUnits(page(session).pile, [inside.id], entered) : [],
  });
  return true;
}

/** Everything on the page, or in the open group, that is not locked or hidden. */
export function selectAll(store: SessionStore, role?: Role): void {
  const session = store.getState();
  const ids = page(session)
    .pile.filter(
      ({ placement, groups, role: own }) =>
        !placement.locked &&
        !placement.hidden &&
        (role === undefined || own === role) &&
        (session.entered === null || groups?.includes(session.entered)),
    )
    .map(({ id }) => id);
  session.select(ids);
}

/** Everything but what is selected. */
export function selectOthers(store: SessionStore): void {
  const session = store.getState();
  const now = new Set(session.selection);
  session.select(
    page(session)
      .pile.filter(({ id, placement }) => !now.has(id) && !placement.locked && !placement.hidden)
      .map(({ id }) => id),
  );
}

export const tools = (session: Session) => toolsFor(session.history.project, session.typesetter);

/** Not done, and said: keys and verbs have no place of their own to say it. */
export function refuse(store: SessionStore, why: string, next?: Refusal['next']): Result<number> {
  store.getState().refuse(why, next);
  return fail(why);
}

/** The letters of an alphabet that are selected, if just they are. */
export function lettersChosen(session: Session): Group | undefined {
  const [id, more] = groupsAmong(page(session), session.selection, session.entered);
  return more ? undefined : page(session).groups.find((one) => one.id === id && one.letters);
}

/** Selects all pieces of a group. */
export const selectGroup = (store: SessionStore, id: string): void =>
  store.getState().select(
    page(store.getState())
      .pile.filter(({ groups }) => groups?.includes(id))
      .map((piece) => piece.id),
  );
