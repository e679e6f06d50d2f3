/** What lies on one month carried on to others, and inks dealt to all of them. */
import { carry, type Carrying } from '@/core/calendar/carry';
import { dealInks, type InkYear } from '@/core/calendar/inks';
import { monthOn } from '@/core/product';
import { newId } from '@/features/shared/ids';
import type { Session, SessionStore } from '@/features/table/session';

export type CarryTo = 'next' | 'all';
type Where = Pick<Session, 'history' | 'surfaceId'>;

/** The pages of months that come into question, by id: the one after this, or all others. Locked ones are none. */
export function monthsToCarryTo({ history: { project }, surfaceId }: Where, to: CarryTo): string[] {
  const months = project.surfaces.filter((page) => page.part !== 'cover' && monthOn(project, page));
  const at = months.findIndex(({ id }) => id === surfaceId);
  const there = to === 'next' ? months.slice(at + 1, at + 2) : months.filter((_, i) => i !== at);
  return there.flatMap(({ id, locked }) => (locked ? [] : [id]));
}

/** Why nothing can be carried from here; null where it can. */
export function whyNotCarried(where: Where): string | null {
  const { history, surfaceId } = where;
  const { project } = history;
  const page = project.surfaces.find(({ id }) => id === surfaceId);
  if (!page || !monthOn(project, page) || page.part === 'cover')
    return 'Turn to a month first: this page is of none.';
  return monthsToCarryTo(where, 'all').length ? null : 'There is no other month that could be changed.';
}

/** What is carried from where; all of a page with no pieces named. */
export type CarriedFrom = Pick<Session, 'surfaceId' | 'selection'>;

/** Carries what is selected, or the whole page, on; says what found no place. */
export function carryOn(
  store: SessionStore,
  to: CarryTo,
  how: Carrying,
  from: CarriedFrom = store.getState(),
): void {
  const session = store.getState();
  const { history, perform } = session;
  const { surfaceId, selection } = from;
  const why = whyNotCarried({ history, surfaceId });
  if (why) return session.refuse(why);
  const targets = monthsToCarryTo({ history, surfaceId }, to);
  if (!targets.length) return session.refuse('This is the last month, or the next one is locked.');
  const carried = carry(history.project, surfaceId, selection, targets, how, newId);
  if (!carried) return session.refuse('There is nothing on this page to carry on.');
  perform(carried.edit);
  const { left } = carried;
  if (left)
    store
      .getState()
      .refuse(
        `${left} ${left === 1 ? 'piece was' : 'pieces were'} left out: all places beside the numbers are taken.`,
      );
}

export function dealInksOf(store: SessionStore, year: InkYear | null): void {
  const { history, perform } = store.getState();
  const edit = dealInks(history.project, year);
  if (edit) perform(edit);
}
