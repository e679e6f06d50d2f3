/** Holidays a project keeps: those of a country, as they fall in its years. What falls when is found by holiday-data.ts. */
import type { Month } from '@/core/dates/days';
import type { DayNote } from '@/core/piece/material/month/model';

export interface Holiday {
  year: number;
  month: number;
  day: number;
  name: string;
  /** By which it comes again, whatever it is called: `easter -2`. */
  rule: string;
}

export interface Holidays {
  /** ISO 3166-1, and of a part of it ISO 3166-2 without the country. */
  country: string;
  state?: string;
  /** Of every year the calendar reaches into, in their order. */
  days: Holiday[];
  /** Rules of those that were taken out. */
  out: string[];
  /** Other names, by rule. */
  names: Record<string, string>;
}

export const MOST_HOLIDAYS = 600;
export const LONGEST_HOLIDAY = 100;
export const LONGEST_RULE = 200;

/** Those that are kept: not taken out, called as a person calls them. */
export const keptDays = ({ days, out, names }: Holidays): Holiday[] =>
  days
    .filter(({ rule }) => !out.includes(rule))
    .map((day) => ({ ...day, name: Object.hasOwn(names, day.rule) ? names[day.rule]! : day.name }));

const made = new WeakMap<Holidays, Map<string, DayNote[]>>();

/** What holidays say of a month. Each is a day off. */
export function holidayNotes(holidays: Holidays | undefined, { year, month }: Month): DayNote[] {
  if (!holidays) return [];
  const known = made.get(holidays) ?? new Map<string, DayNote[]>();
  made.set(holidays, known);
  const key = `${year} ${month}`;
  let found = known.get(key);
  if (!found) {
    found = keptDays(holidays)
      .filter((day) => day.year === year && day.month === month)
      .map(({ day, name }) => ({ day, says: name, free: true as const }));
    known.set(key, found);
  }
  return found;
}
