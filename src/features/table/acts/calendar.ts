/** What is done to a calendar and its months: dated anew, made alike, laid on any page. */
import { fillYear, freePlaces } from '@/core/calendar/fill';
import type { Asset } from '@/core/picture/asset';
import { dayAt, nthOf } from '@/core/calendar/held';
import type { Held } from '@/core/piece/held';
import type { Holidays } from '@/core/calendar/holidays';
import { monthAfter, type Month } from '@/core/dates/days';
import { monthNames, weekStartOf } from '@/core/dates/names';
import { livingIn } from '@/core/living/living';
import { finishOf } from '@/core/piece/finish';
import type { MonthLetters, MonthMaterial } from '@/core/piece/material/month/model';
import { newMonth } from '@/core/piece/material/month/begin';
import type { Piece, Role } from '@/core/piece/piece';
import { placedAt } from '@/core/piece/placement/placement';
import { monthOn } from '@/core/product';
import { calendarIn, lastOf, type CalendarProduct } from '@/core/product/calendar';
import { withSettings } from '@/core/product/calendar/settings';
import { changePieces, together, type Edit } from '@/core/project/edits/edit';
import { holdPieces, setHolidays } from '@/core/project/edits/events';
import { gather } from '@/core/project/edits/gather';
import { layPieces } from '@/core/project/edits/pile';
import { changeProduct } from '@/core/project/edits/product';
import { uses, type Project, type Surface, type WrittenStyle } from '@/core/project/model';
import { newId } from '@/features/shared/ids';
import { chosen, page } from '@/features/table/acts/choosing';
import { middle } from '@/features/table/acts/laying';
import { selectedPieces, type Session, type SessionStore } from '@/features/table/session';

const isMonth = (piece: Piece): piece is Piece & { material: MonthMaterial } =>
  piece.material.kind === 'month';

/** What goes along when a calendar is dated anew: how many months, living words, and days to remember. */
export function whatFollows(project: Project): { months: number; words: number; days: number } {
  const months = project.surfaces.reduce(
    (sum, { pile }) =>
      sum + pile.filter((piece) => isMonth(piece) && piece.material.follows !== undefined).length,
    0,
  );
  const dated = livingIn(project).filter(({ field }) => field.kind === 'month' || field.kind === 'year');
  const words = new Set(dated.map(({ surfaceId, pieceId }) => `${surfaceId} ${pieceId}`)).size;
  return { months, words, days: project.events?.length ?? 0 };
}

/** The years there are months of, and next year where there is no calendar. */
export function yearsOf(calendar: CalendarProduct | null): [from: number, to: number] {
  const now = new Date().getFullYear();
  return calendar ? [calendar.year, lastOf(calendar).year] : [now, now + 1];
}

/** Changes what a calendar is of; its months, titles, holidays and days follow in the same step. */
export async function changeCalendar(
  store: SessionStore,
  to: Partial<CalendarProduct>,
  label: string,
): Promise<void> {
  // What is changed while this is fetched stays: all else is as it is by then.
  const days = store.getState().history.project.holidays && (await import('@/core/calendar/holiday-data'));
  const { holidays, product } = store.getState().history.project;
  const calendar = calendarIn(product);
  if (!calendar) return;
  const next = withSettings(calendar, to);
  const years = yearsOf(next);
  const edits = [changeProduct(next, label)];
  if (days && holidays && String(years) !== String(yearsOf(calendar)))
    edits.push(
      setHolidays({ ...holidays, days: days.holidaysOf(holidays.country, holidays.state, ...years) }, label),
    );
  store.getState().perform(together(label, edits));
  // A page that is gone is not looked at.
  const { history, surfaceId, turnTo } = store.getState();
  const { surfaces } = history.project;
  if (!surfaces.some(({ id }) => id === surfaceId)) turnTo(surfaces.at(-1)!.id);
}

/** Keeps the holidays of a country, or of a part of it; null keeps none. */
export async function keepHolidays(
  store: SessionStore,
  of: Pick<Holidays, 'country' | 'state'> | null,
): Promise<void> {
  if (!of) return void store.getState().perform(setHolidays(null, 'take out holidays'));
  const { holidaysOf } = await import('@/core/calendar/holiday-data');
  const years = yearsOf(calendarIn(store.getState().history.project.product));
  const days = holidaysOf(of.country, of.state, ...years);
  store.getState().perform(setHolidays({ ...of, days, out: [], names: {} }, 'put in holidays'));
}

export const changeHolidays = (store: SessionStore, to: Holidays, label: string): void =>
  void store.getState().perform(setHolidays(to, label));

/** What of a month is its look: all but which one it is, and what its days are. */
function lookOf(material: MonthMaterial) {
  const { year: _, month: __, week: ___, follows: ____, notes: _____, marked: ______, ...look } = material;
  return look;
}

export const changeMonth = (store: SessionStore, id: string, to: Partial<MonthMaterial>): void => {
  const { surfaceId, perform } = store.getState();
  perform(
    changePieces(
      'change month',
      surfaceId,
      [id],
      (draft) => {
        if (draft.material.kind !== 'month') return;
        const next = { ...draft.material, ...to };
        draft.material = Object.fromEntries(
          Object.entries(next).filter(([, value]) => value !== undefined),
        ) as unknown as MonthMaterial;
      },
      `month ${Object.keys(to).join()}`,
    ),
  );
};

/** Lays a paper under the boxes of a weekday. */
export function shadeWithPaper(
  store: SessionStore,
  surfaceId: string,
  id: string,
  weekday: number,
  paper: Asset,
): void {
  const label = 'lay paper under days';
  store.getState().perform(
    together(label, [
      gather('papers', [paper]),
      changePieces(label, surfaceId, [id], ({ material }) => {
        const shade = material.kind === 'month' && material.shaded.find((each) => each.weekday === weekday);
        if (shade) shade.asset = paper.sha;
      }),
    ]),
  );
}

/** The other months that could look as this one: weeks as weeks, whole months as such, on pages that are not locked. */
export const alikeMonths = ({ surfaces }: Project, piece: Piece): { surfaceId: string; id: string }[] =>
  surfaces.flatMap(({ id: surfaceId, pile, locked }) =>
    locked
      ? []
      : pile.flatMap((other) =>
          isMonth(other) &&
          other.id !== piece.id &&
          !other.placement.locked &&
          isWeek(other) === isWeek(piece)
            ? [{ surfaceId, id: other.id }]
            : [],
        ),
  );

const isWeek = (piece: Piece): boolean => isMonth(piece) && piece.material.week !== undefined;

/** Gives all months the look of one; where they lie and what they show stays. */
export function lookAlike(store: SessionStore, piece: Piece): void {
  if (!isMonth(piece)) return;
  const { history, perform } = store.getState();
  const look = lookOf(piece.material);
  const edits = alikeMonths(history.project, piece).map(({ surfaceId, id }): Edit =>
    changePieces('', surfaceId, [id], (draft) => {
      if (draft.material.kind !== 'month') return;
      const { year, month, week, follows, notes, marked } = draft.material;
      draft.material = {
        ...structuredClone(look),
        ...{ year, month, notes, marked },
        ...(week === undefined ? {} : { week }),
        ...(follows === undefined ? {} : { follows }),
      } as MonthMaterial;
    }),
  );
  perform(together(`make ${edits.length} months alike`, edits));
}

/** The month a page is of; this one where it is of none. */
export function monthHere({ history, surfaceId }: Session): {
  of: Month;
  language: string;
  follows?: number;
} {
  const { project } = history;
  const found = monthOn(
    project,
    project.surfaces.find(({ id }) => id === surfaceId)!,
  );
  if (found) return { of: found, language: found.language, follows: 0 };
  const today = new Date();
  return {
    of: { year: today.getFullYear(), month: today.getMonth() + 1 },
    language: navigator.language,
  };
}

/** Lays a month: that of the page, or, small, one so many before or after it, or after a month that is selected. */
export function layMonth(store: SessionStore, after = 0): void {
  const session = store.getState();
  const beside = after ? selectedPieces(session).find(isMonth)?.material : undefined;
  const { of, language, follows } = beside ? { of: beside, ...beside } : monthHere(session);
  const { width, height } = page(session);
  const side = Math.min(width, height) * (after ? 0.2 : 0.6);
  const { x, y } = middle(session);
  const material = newMonth(
    monthAfter(of, after),
    language,
    follows === undefined ? undefined : follows + after,
  );
  const piece: Piece = {
    id: newId(),
    name: monthNames(language)[material.month - 1]!,
    role: 'month',
    material: {
      ...material,
      ...{ title: 'both', weekStart: weekStartOf(language) },
      ...(after ? { layout: 'open', headLength: 'narrow', sixth: 'six' } : {}),
    },
    outline: { kind: 'rectangle', radius: 0 },
    finish: finishOf(0),
    placement: placedAt({ x: x - side / 2, y: y - side * 0.4, width: side, height: side * 0.8 }),
  };
  session.perform(
    { ...layPieces(session.surfaceId, [piece], []), label: 'lay month' },
    { selection: [piece.id] },
  );
}

/** The days a piece could be held to: the one its middle lies on, and which weekday of its month that is. */
export function waysToHold(surface: Surface, piece: Piece): Held[] {
  if (isMonth(piece)) return [];
  const found = dayAt(surface, piece.placement);
  if (!found) return [];
  const { year, ...held } = found;
  const { month, box } = held;
  return [held, { month, box, ...nthOf(year, month, held.day) }];
}

/** Holds a piece to a day; a photo fills its box. What is grouped with it is held with it. */
export function holdTo(store: SessionStore, piece: Piece, held: Held): void {
  const { surfaceId, perform } = store.getState();
  const fills = piece.role === 'photo' && !piece.groups?.length;
  const own = fills ? { fills: true as const } : {};
  const all = groupedWith(store.getState(), piece);
  perform(
    holdPieces(
      surfaceId,
      all.map(({ id }) => ({ id, held: { ...held, ...own } })),
    ),
  );
}

export const letGo = (store: SessionStore, piece: Piece): void => {
  const session = store.getState();
  const all = groupedWith(session, piece).filter(({ held }) => held);
  session.perform(
    holdPieces(
      session.surfaceId,
      all.map(({ id }) => ({ id, held: null })),
    ),
  );
};

/** A piece with all that is grouped with it. */
const groupedWith = (session: Session, piece: Piece): Piece[] =>
  page(session).pile.filter(
    ({ id, groups }) => id === piece.id || (piece.groups && groups?.[0] === piece.groups[0]),
  );

/** Whether a piece was laid on a day it could be held to: over the month, a photo of any size, as it fills the day. */
export function couldHold(surface: Surface, piece: Piece): boolean {
  if (piece.held || !LAID_ON_DAYS.includes(piece.role)) return false;
  const [way] = waysToHold(surface, piece);
  const { pile } = surface;
  const over = pile.findIndex(({ id }) => id === piece.id) > pile.findIndex((each) => isMonth(each));
  const { width, height } = piece.placement;
  const small = width <= MOST_DAYS * (way?.box.width ?? 0) && height <= MOST_DAYS * (way?.box.height ?? 0);
  return way !== undefined && over && (small || piece.role === 'photo');
}
/** How many days' boxes a thing may reach over that is meant for one. */
const MOST_DAYS = 5;
const LAID_ON_DAYS: readonly Role[] = ['photo', 'stamp', 'embellishment', 'letter', 'caption'];

/** Holds what is selected to the day it lies on, or says why not. */
export function holdChosen(store: SessionStore): void {
  const session = store.getState();
  const [piece] = chosen(session);
  const [way] = piece ? waysToHold(page(session), piece) : [];
  if (!piece || !way) return session.refuse('It lies on no day of a month: lay it on one first.');
  holdTo(store, piece, way);
}

/** Photos of the workbox that lie on no page yet, in the order they came. */
const waiting = ({ history: { project } }: Session): Asset[] => {
  const used = uses(project);
  return project.photos.flatMap((sha) => (used.has(sha) ? [] : (project.assets[sha] ?? [])));
};

/** How many photos wait, and how many places they could fill. */
export const toFill = (session: Session): { photos: number; places: number } => ({
  photos: waiting(session).length,
  places: freePlaces(session.history.project).length,
});

/** Whether there is a calendar whose places could take photos that wait. */
export function canFill(session: Session): boolean {
  if (!calendarIn(session.history.project.product) || session.readOnly) return false;
  const { photos, places } = toFill(session);
  return photos > 0 && places > 0;
}

/** How letters of a month are written in a text style. */
export const lettersOf = ({ family, bold, italic, features }: WrittenStyle): MonthLetters => ({
  family,
  ...(bold ? { bold } : {}),
  ...(italic ? { italic } : {}),
  ...(features ? { features } : {}),
});

/** Deals the photos that wait to the months they were taken in; what finds no place waits on. */
export function fillMonths(store: SessionStore): void {
  const session = store.getState();
  const photos = waiting(session);
  const filled = fillYear(session.history.project, photos);
  if (!photos.length)
    return session.refuse('No photo waits in the workbox: bring some in first.', {
      label: 'Bring in photos',
      run: session.bringFiles,
    });
  if (!filled) return session.refuse('There is no empty place on any page.');
  session.perform(filled.edit);
  const over = photos.length - filled.count;
  if (over > 0)
    store
      .getState()
      .refuse(`${over} ${over === 1 ? 'photo waits' : 'photos wait'} on: every place is filled.`);
}
