/** Months, weekdays and the first day of a week, as languages have them (Intl, CLDR). */
import type { Day, Weekday } from '@/core/dates/days';

export type NameLength = 'long' | 'short' | 'narrow';

const known = new Map<string, readonly string[]>();

function names(key: string, make: () => string[]): readonly string[] {
  let found = known.get(key);
  if (!found) known.set(key, (found = make()));
  return found;
}

/** Any day of a year that Intl and we count alike. */
const at = (month: number, day: number): Date => new Date(Date.UTC(2024, month, day));

/** January to December, as Intl has them: by themselves, but of Greek ones as they stand in dates. Throws RangeError for what is no language tag. */
export const monthsOfIntl = (language: string, length: NameLength = 'long'): readonly string[] =>
  names(`month of Intl ${language} ${length}`, () => {
    const format = new Intl.DateTimeFormat(language, { month: length, timeZone: 'UTC', calendar: 'gregory' });
    return Array.from({ length: 12 }, (_, month) => format.format(at(month, 15)));
  });

/** January to December, as they stand by themselves. Throws RangeError for what is no language tag. */
export const monthNames = (language: string, length: NameLength = 'long'): readonly string[] =>
  names(`month ${language} ${length}`, () => {
    if (length !== 'long' || !/^el\b/i.test(language)) return [...monthsOfIntl(language, length)];
    // “Of June” for June; beside a year it has the name itself (ICU 72 to 78).
    const format = new Intl.DateTimeFormat(language, {
      ...{ month: length, year: 'numeric', timeZone: 'UTC', calendar: 'gregory' },
    });
    return Array.from({ length: 12 }, (_, month) =>
      format
        .formatToParts(at(month, 15))
        .filter(({ type }) => type === 'month')
        .map(({ value }) => value)
        .join(''),
    );
  });

/** With a capital, as a name stands by itself. */
export const capital = (name: string, language: string): string =>
  name.charAt(0).toLocaleUpperCase(language) + name.slice(1);

/** What a month is called where it stands by itself, 1 to 12. */
export const monthName = (language: string, month: number): string =>
  capital(monthNames(language)[month - 1]!, language);

const ranges = new Map<string, Intl.DateTimeFormat>();

/** From one day to another: `1–7 March 2027`, or `29 March–4 April 2027`; in other languages as Intl writes it. */
export function daysCalled(language: string, from: Day, to: Day): string {
  if (/^en\b/i.test(language)) {
    const begin = from.month === to.month ? '' : ` ${monthName(language, from.month)}`;
    return `${from.day}${begin}–${to.day} ${monthName(language, to.month)} ${to.year}`;
  }
  let format = ranges.get(language);
  if (!format) {
    const [day, year] = ['numeric', 'numeric'] as const;
    format = new Intl.DateTimeFormat(language, {
      day,
      month: 'long',
      year,
      timeZone: 'UTC',
      calendar: 'gregory',
    });
    ranges.set(language, format);
  }
  const when = ({ year, month, day }: Day) => new Date(Date.UTC(year, month - 1, day));
  return format.formatRange(when(from), when(to));
}

/** Monday to Sunday; 1 January 2024 was a Monday. */
export const weekdayNames = (language: string, length: NameLength = 'long'): readonly string[] =>
  names(`weekday ${language} ${length}`, () => {
    const format = new Intl.DateTimeFormat(language, {
      weekday: length,
      timeZone: 'UTC',
      calendar: 'gregory',
    });
    return Array.from({ length: 7 }, (_, i) => format.format(at(0, 1 + i)));
  });

/** Numbers as the language writes them. */
export const digitsOf = (language: string): ((value: number) => string) => {
  const format = new Intl.NumberFormat(language, { useGrouping: false });
  return (value) => format.format(value);
};

type WeekInfo = { firstDay: number };

/** On which day a week begins where this language is spoken; Monday where nothing is known of it. */
export function weekStartOf(language: string): Weekday {
  const locale = new Intl.Locale(language) as Intl.Locale & {
    weekInfo?: WeekInfo;
    getWeekInfo?(): WeekInfo;
  };
  return ((locale.getWeekInfo?.() ?? locale.weekInfo)?.firstDay ?? 1) as Weekday;
}

/** Whether this is a language dates can be written in. */
export function isLanguage(tag: string): boolean {
  try {
    return Intl.DateTimeFormat.supportedLocalesOf(tag).length === 1;
  } catch {
    return false;
  }
}

/** Whether it is written from right to left. */
export const runsLeft = (language: string): boolean =>
  ['Arab', 'Hebr', 'Thaa', 'Syrc', 'Nkoo', 'Adlm', 'Rohg'].includes(
    new Intl.Locale(language).maximize().script ?? '',
  );
