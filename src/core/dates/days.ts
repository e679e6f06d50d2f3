/**
 * Days of the Gregorian calendar, before 1582 as if it had always been kept (proleptic, as ISO 8601 counts), by arithmetic
 * alone: nothing here knows a clock, a time zone or a language. Years run from 1 to 9999.
 */
export interface Day {
  year: number;
  /** 1 to 12. */
  month: number;
  /** 1 to 31. */
  day: number;
}

/** 1 is Monday, 7 Sunday (ISO 8601). */
export type Weekday = 1 | 2 | 3 | 4 | 5 | 6 | 7;

export const FIRST_YEAR = 1;
export const LAST_YEAR = 9999;

export const isLeap = (year: number): boolean => year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0);

const LENGTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;

export const monthLength = (year: number, month: number): number =>
  month === 2 && isLeap(year) ? 29 : LENGTHS[month - 1]!;

/** Whether there is such a day. */
export const isDate = ({ year, month, day }: Day): boolean =>
  [year, month, day].every(Number.isInteger) &&
  year >= FIRST_YEAR &&
  year <= LAST_YEAR &&
  month >= 1 &&
  month <= 12 &&
  day >= 1 &&
  day <= monthLength(year, month);

/** Days since 1 January 1970: years begin in March, so that the leap day is their last (after H. Hinnant, days_from_civil). */
export function numberOf({ year, month, day }: Day): number {
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const ofEra = y - era * 400;
  const ofYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
  return era * 146_097 + ofEra * 365 + Math.floor(ofEra / 4) - Math.floor(ofEra / 100) + ofYear - 719_468;
}

/** The day so many days after 1 January 1970 (after H. Hinnant, civil_from_days). */
export function dayOf(number: number): Day {
  const z = number + 719_468;
  const era = Math.floor(z / 146_097);
  const ofEra = z - era * 146_097;
  const y = Math.floor(
    (ofEra - Math.floor(ofEra / 1460) + Math.floor(ofEra / 36_524) - Math.floor(ofEra / 146_096)) / 365,
  );
  const ofYear = ofEra - (365 * y + Math.floor(y / 4) - Math.floor(y / 100));
  const m = Math.floor((5 * ofYear + 2) / 153);
  const month = m < 10 ? m + 3 : m - 9;
  return {
    year: y + era * 400 + (month <= 2 ? 1 : 0),
    month,
    day: ofYear - Math.floor((153 * m + 2) / 5) + 1,
  };
}

/** 1 January 1970 was a Thursday. */
export const weekdayOf = (number: number): Weekday => (((((number + 3) % 7) + 7) % 7) + 1) as Weekday;

export const weekdayOn = (day: Day): Weekday => weekdayOf(numberOf(day));

/** The year and week a day lies in: weeks begin on Monday, the first holds the year's first Thursday (ISO 8601). */
export function isoWeekOf(number: number): { year: number; week: number } {
  const thursday = number + 4 - weekdayOf(number);
  const { year } = dayOf(thursday);
  const first = numberOf({ year, month: 1, day: 1 });
  return { year, week: Math.floor((thursday - first) / 7) + 1 };
}

/** A month of a year; may count on beyond its year. */
export interface Month {
  year: number;
  month: number;
}

/** The month so many months after another. */
export function monthAfter({ year, month }: Month, by: number): Month {
  const count = year * 12 + month - 1 + by;
  return { year: Math.floor(count / 12), month: (((count % 12) + 12) % 12) + 1 };
}

export const monthsBetween = (from: Month, to: Month): number =>
  to.year * 12 + to.month - from.year * 12 - from.month;

/** The `nth` such weekday of a month, -1 the last; null where the month has no fifth. */
export function nthWeekday({ year, month }: Month, nth: number, weekday: Weekday): Day | null {
  const length = monthLength(year, month);
  if (nth < 0) {
    const last = weekdayOn({ year, month, day: length });
    const day = length - ((last - weekday + 7) % 7) + 7 * (nth + 1);
    return day >= 1 ? { year, month, day } : null;
  }
  const first = weekdayOn({ year, month, day: 1 });
  const day = 1 + ((weekday - first + 7) % 7) + 7 * (nth - 1);
  return day <= length ? { year, month, day } : null;
}

/** A day in the grid of a month. */
export interface Cell extends Day {
  number: number;
  /** -1 where it is a day of the month before, 1 of the next. */
  of: -1 | 0 | 1;
}

/** The seven days from one on, by its number, as days of one grid. */
export const weekFrom = (first: number): Cell[] =>
  Array.from({ length: 7 }, (_, i): Cell => ({ ...dayOf(first + i), number: first + i, of: 0 }));

/** The number of the first day of the week a day lies in. */
export const weekStartBefore = (number: number, weekStart: Weekday): number =>
  number - ((weekdayOf(number) - weekStart + 7) % 7);

/** The weeks of a month, each of seven days, those beside it with it. */
export function weeksOf({ year, month }: Month, weekStart: Weekday): Cell[][] {
  const first = numberOf({ year, month, day: 1 });
  const length = monthLength(year, month);
  const lead = (weekdayOf(first) - weekStart + 7) % 7;
  const rows = Math.ceil((lead + length) / 7);
  return Array.from({ length: rows }, (_, row) =>
    Array.from({ length: 7 }, (_, column): Cell => {
      const number = first - lead + row * 7 + column;
      return { ...dayOf(number), number, of: number < first ? -1 : number >= first + length ? 1 : 0 };
    }),
  );
}
