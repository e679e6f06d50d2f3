/** Days to remember: birthdays, anniversaries, days of one year. What is said of each in a year follows from that year alone. */
import { isDate, isLeap, nthWeekday, type Day, type Month, type Weekday } from '@/core/dates/days';
import type { DayNote } from '@/core/piece/material/month/model';

export const EVENT_KINDS = {
  birthday: {
    name: 'Birthday',
    counts: true,
    says: (name: string, years: number | null) => (years === null ? name : `${name}, ${years}`),
  },
  anniversary: {
    ...{ name: 'Anniversary', counts: true },
    says: (name: string, years: number | null) =>
      years === null ? name : `${name}, ${years} ${years === 1 ? 'year' : 'years'}`,
  },
  yearly: { name: 'Every year', counts: false, says: (name: string) => name },
  once: { name: 'Once', counts: false, says: (name: string) => name },
} as const;
export type EventKind = keyof typeof EVENT_KINDS;

export interface DayEvent {
  id: string;
  kind: EventKind;
  name: string;
  month: number;
  /** Of the month; absent where it is the nth weekday. */
  day?: number;
  /** The second Sunday: 2 and 7; -1 counts from the end. */
  nth?: number;
  weekday?: Weekday;
  /** In which it began, or is; unknown without. */
  year?: number;
  /** A day off. */
  free?: true;
}

export const MOST_EVENTS = 2000;
export const LONGEST_EVENT = 100;

/** On which day those born on 29 February are told of in years that have none. */
export type LeapDay = 'february' | 'march';

/** The day an event falls on in a year; null where it does not. */
export function fallsOn(event: DayEvent, year: number, leapDay: LeapDay): Day | null {
  const { kind, month, day, nth, weekday } = event;
  if (kind === 'once' ? event.year !== year : event.year !== undefined && year < event.year) return null;
  if (nth !== undefined && weekday !== undefined) return nthWeekday({ year, month }, nth, weekday);
  if (day === undefined) return null;
  if (month === 2 && day === 29 && !isLeap(year))
    return kind === 'once'
      ? null
      : leapDay === 'february'
        ? { year, month: 2, day: 28 }
        : { year, month: 3, day: 1 };
  return isDate({ year, month, day }) ? { year, month, day } : null;
}

/** What is said of an event in a year: ages and years where it is known when it began. */
export function eventSays({ kind, name, year: begun }: DayEvent, year: number): string {
  const { counts, says } = EVENT_KINDS[kind];
  // On the day itself nobody is nought years old.
  return says(name, counts && begun !== undefined && year > begun ? year - begun : null);
}

const made = new WeakMap<readonly DayEvent[], Map<string, DayNote[]>>();
const NONE: readonly DayEvent[] = [];

/** What the days of a month are, in their order. A month of any year holds all that come every year, without ages. */
export function notesOf(
  events: readonly DayEvent[] = NONE,
  { year, month }: Month,
  leapDay: LeapDay,
  perpetual = false,
): DayNote[] {
  const key = `${perpetual ? 'any' : year} ${month} ${leapDay}`;
  const known = made.get(events) ?? new Map<string, DayNote[]>();
  made.set(events, known);
  let found = known.get(key);
  if (!found) {
    found = events
      .flatMap((event): DayNote[] => {
        const on = perpetual
          ? event.kind !== 'once' && event.day !== undefined
            ? { month: event.month, day: event.day }
            : null
          : fallsOn(event, year, leapDay);
        if (on?.month !== month) return [];
        const says = perpetual ? event.name : eventSays(event, year);
        return [{ day: on.day, says, ...(event.free ? { free: true as const } : {}) }];
      })
      .sort((a, b) => a.day - b.day);
    known.set(key, found);
  }
  return found;
}
