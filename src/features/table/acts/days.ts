/** Days to remember: put in, taken out, read from files and saved as one. Fetched with its sheet. */
import { MOST_EVENTS, type DayEvent } from '@/core/calendar/events';
import { readDays, type ReadDays, type TypedEvent } from '@/core/calendar/typed';
import { fileTitle } from '@/core/product';
import { calendarIn } from '@/core/product/calendar';
import { removeEvents, setEvents } from '@/core/project/edits/events';
import { download, fileName } from '@/features/shared/download';
import { newId } from '@/features/shared/ids';
import { yearsOf } from '@/features/table/acts/calendar';
import type { SessionStore } from '@/features/table/session';
import { fail } from '@/core/result';
import { calledFile } from '@/core/text/named';
import { Hands, limitFor } from '@/workers/hands';
import type { DaysReader } from '@/workers/days.worker';

export const remember = (store: SessionStore, events: readonly DayEvent[], label?: string): void =>
  void store.getState().perform(setEvents(events, label));

export const forgetDays = (store: SessionStore, events: readonly DayEvent[]): void =>
  void store.getState().perform(
    removeEvents(
      events.map(({ id }) => id),
      events.length === 1 ? `take out ${events[0]!.name}` : `take out ${events.length} days`,
    ),
  );

const readers = new Hands<DaysReader>(
  () => new Worker(new URL('../../../workers/days.worker.ts', import.meta.url), { type: 'module' }),
  1,
);

/** The days of lines that were typed, as many as there is room for, and the lines that are left, each with why. */
export function daysTyped(
  text: string,
  room: number,
  wish: Parameters<typeof readDays>[1],
): { taken: TypedEvent[]; left: ReadDays['refused'] } {
  const { events, refused } = readDays(text, wish);
  const unread = new Set(refused.map(({ line }) => line));
  // A line is a day, or it could not be read.
  const over = text
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter((line) => line && !unread.has(line))
    .slice(room)
    .map((line) => ({ line, why: `a project holds up to ${MOST_EVENTS.toLocaleString('en')} days` }));
  return { taken: events.slice(0, room), left: [...refused, ...over] };
}

/** Days to remember from a file of another program; what comes by a rule is taken for the years of the calendar. */
export async function daysOfFile(store: SessionStore, file: File): Promise<string[]> {
  const { product } = store.getState().history.project;
  const [from, to] = yearsOf(calendarIn(product));
  const read = await readers
    .do(async (days) => days.read(file, from, to), { limit: limitFor(file) })
    .catch(() => fail('It takes too long to be read, or more memory than there is. Nothing was put in.'));
  if (!read.ok) return [`${calledFile(file.name)}: ${read.message}`];
  const { events = [] } = store.getState().history.project;
  const known = new Set(events.map(sameDay));
  // Files that were put together hold some days twice.
  const fresh = read.value.events.filter((event) => !known.has(sameDay(event)) && known.add(sameDay(event)));
  const room = MOST_EVENTS - events.length;
  const taken = fresh.slice(0, room).map((event): DayEvent => ({ ...event, id: newId() }));
  if (taken.length) remember(store, taken, `put in ${taken.length} ${taken.length === 1 ? 'day' : 'days'}`);
  const twice = read.value.events.length - fresh.length;
  return [
    `${taken.length} ${taken.length === 1 ? 'day' : 'days'} put in from ${calledFile(file.name)}.`,
    ...(twice ? [`${twice} ${twice === 1 ? 'was' : 'were'} known already.`] : []),
    ...(fresh.length > room
      ? [`${fresh.length - room} found no room: a project holds ${MOST_EVENTS.toLocaleString('en')}.`]
      : []),
    ...read.value.told,
  ];
}

const sameDay = ({ kind, name, month, day, nth, weekday, year }: Omit<DayEvent, 'id'>): string =>
  [kind, name.toLowerCase(), month, day, nth, weekday, year].join('|');

/** All days to remember as a file for other programs. */
export async function saveDays(store: SessionStore): Promise<void> {
  const { project } = store.getState().history;
  const calendar = calendarIn(project.product);
  const now = new Date();
  const { writeDays } = await import('@/core/calendar/write');
  const text = writeDays(
    project.events ?? [],
    calendar?.year ?? now.getFullYear(),
    calendar?.leapDay ?? 'february',
    now,
  );
  download(new Blob([text], { type: 'text/calendar' }), `${fileName(fileTitle(project))}.ics`);
}
