/** Days to remember from lines a person types or pastes: a name and a date in any usual order and writing. */
import { escaped } from '@/core/text/escaped';
import type { DayEvent, EventKind } from '@/core/calendar/events';
import { LONGEST_EVENT } from '@/core/calendar/events';
import { FIRST_YEAR, isDate, LAST_YEAR, monthLength, type Weekday } from '@/core/dates/days';
import { monthNames, monthsOfIntl, weekdayNames } from '@/core/dates/names';
import { shortened } from '@/core/text/named';

export type TypedEvent = Omit<DayEvent, 'id'>;

export interface ReadDays {
  events: TypedEvent[];
  /** Lines that could not be read, each with why. */
  refused: { line: string; why: string }[];
}

interface Found {
  month: number;
  day?: number;
  year?: number;
  nth?: number;
  weekday?: Weekday;
  /** What of the line it was. */
  from: number;
  to: number;
}

const COUNTED: Record<string, number> = {
  ...{ first: 1, second: 2, third: 3, fourth: 4, fifth: 5, last: -1 },
  ...{ '1st': 1, '2nd': 2, '3rd': 3, '4th': 4, '5th': 5 },
};

/** `kind` is what they are where a line does not say; `monthFirst` reads 3/8 as the 8th of March. */
export function readDays(
  text: string,
  { kind, language, monthFirst = false }: { kind: EventKind; language: string; monthFirst?: boolean },
): ReadDays {
  const read: ReadDays = { events: [], refused: [] };
  const find = finder(language, monthFirst);
  for (const line of text
    .normalize('NFC')
    .split(/\r?\n/)
    .map((each) => each.trim())) {
    if (!line) continue;
    const found = find(line);
    if (!found) {
      read.refused.push({ line, why: 'no date in it' });
      continue;
    }
    const { from, to, ...when } = found;
    const why = wrong(when);
    const says = `${line.slice(0, from)} ${line.slice(to)}`;
    const meant = kindIn(says) ?? kind;
    const name = shortened(
      says
        .replace(/\b(birthday|born|wedding anniversary|anniversary|wedding day)\b( of)?:?/gi, ' ')
        .replace(/\s+/g, ' ')
        .replace(/^[\s,;:|*•\-–—]+|[\s,;:|*\-–—]+$/g, '')
        .replace(/[’']s$/, ''),
      LONGEST_EVENT,
    );
    if (why || !name) read.refused.push({ line, why: why ?? 'no name beside the date' });
    else if (meant === 'once' && when.year === undefined)
      read.refused.push({ line, why: 'what is but once needs a year' });
    else read.events.push({ kind: meant, name, ...when });
  }
  return read;
}

const kindIn = (says: string): EventKind | null =>
  /anniversary|wedding/i.test(says) ? 'anniversary' : /birthday|\bborn\b/i.test(says) ? 'birthday' : null;

function wrong({ month, day, year }: Omit<Found, 'from' | 'to'>): string | null {
  if (month < 1 || month > 12) return `there is no month ${month}`;
  if (year !== undefined && (year < FIRST_YEAR || year > LAST_YEAR)) return `there is no year ${year}`;
  if (day === undefined) return null;
  const known = year ?? 2000;
  return isDate({ year: known, month, day })
    ? null
    : `${monthNames('en')[month - 1]} has ${monthLength(known, month)} days${year ? ` in ${year}` : ''}`;
}

/** As it is sought: small, without marks, and as long as it is, so that places hold. */
const folded = (text: string): string =>
  [...text]
    .map((c) => c.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase().slice(0, c.length).padEnd(c.length))
    .join('');

/** A day that stands for any in a date as a language writes it, and a year. */
const [ANY_DAY, ANY_YEAR] = [23, 2018];

interface Spelt {
  month: number;
  date: RegExp;
}

/** Whole dates as a language writes them, `23 de febrero de 2018` and `23. února`, a pattern for each month. */
function speltIn(language: string, year: boolean): Spelt[] {
  return (['long', 'short'] as const).flatMap((month) => {
    const format = new Intl.DateTimeFormat(language, {
      ...{ day: 'numeric', month, timeZone: 'UTC', calendar: 'gregory', numberingSystem: 'latn' },
      ...(year ? { year: 'numeric' as const } : {}),
    });
    return Array.from({ length: 12 }, (_, i) => i).flatMap((i): Spelt[] => {
      const text = folded(format.format(Date.UTC(ANY_YEAR, i, ANY_DAY)).normalize('NFC')).trim();
      if (!/\p{L}/u.test(text)) return [];
      const date = escaped(text.replace(/\.$/, ''))
        .replace(String(ANY_YEAR), '(?<year>\\d{3,4})')
        .replace(String(ANY_DAY), '(?<day>\\d{1,2})')
        .replace(/\s+/g, '\\s*');
      return [{ month: i + 1, date: new RegExp(`(?<![\\p{L}\\d])${date}\\.?(?![\\p{L}\\d])`, 'u') }];
    });
  });
}

type Finder = (line: string) => Found | null;
/** They are a hundred patterns each, and asked for with every letter that is typed. */
const finders = new Map<string, Finder>();

function finder(language: string, monthFirst: boolean): Finder {
  const key = `${language} ${monthFirst}`;
  let known = finders.get(key);
  if (!known) finders.set(key, (known = finderIn(language, monthFirst)));
  return known;
}

/** Finds the date of a line. Months are known by their names in English and in one more language, long or short. */
function finderIn(language: string, monthFirst: boolean): Finder {
  const months = new Map<string, number>();
  for (const tag of ['en', language])
    for (const length of ['long', 'short'] as const)
      for (const namesOf of [monthNames, monthsOfIntl])
        namesOf(tag, length).forEach((name, i) => {
          const sought = folded(name.normalize('NFC')).trim().replace(/\.$/, '');
          // Months that are counted are read as the language writes them whole.
          if (!/^\d/.test(sought)) months.set(sought, i + 1);
        });
  const weekdays = new Map(weekdayNames('en').map((name, i) => [folded(name), (i + 1) as Weekday]));
  const [whole, bare] = [speltIn(language, true), speltIn(language, false)];
  const month = [...months.keys()]
    .sort((a, b) => b.length - a.length)
    .map(escaped)
    .join('|');
  const year = '(?:,?\\s*(\\d{3,4}))?';
  const nth = new RegExp(
    `\\b(${Object.keys(COUNTED).join('|')})\\s+(${[...weekdays.keys()].join('|')})\\s+(?:of|in)\\s+(${month})(?![\\p{L}])`,
    'u',
  );
  const iso = /(?<!\d)(\d{4})-(\d{1,2})-(\d{1,2})(?!\d)/;
  const figures = /(?<!\d)(\d{1,2})\s*[./]\s*(\d{1,2})(?:\s*[./]\s*(\d{4}))?\.?(?!\d)/;
  const dayMonth = new RegExp(
    `(?<!\\d)(\\d{1,2})(?:st|nd|rd|th|\\.)?\\s*(?:of\\s+)?(${month})\\.?(?![\\p{L}])${year}`,
    'u',
  );
  const monthDay = new RegExp(
    `(?<![\\p{L}])(${month})\\.?\\s*(\\d{1,2})(?:st|nd|rd|th|\\.)?(?!\\d)${year}`,
    'u',
  );
  return (line) => {
    const known = folded(line);
    const spelt = (all: readonly Spelt[]): Found | null => {
      for (const { month, date } of all) {
        const found = date.exec(known);
        if (found)
          return { ...at(found), month, day: Number(found.groups!.day), ...told(found.groups!.year) };
      }
      return null;
    };
    const at = (match: RegExpExecArray) => ({ from: match.index, to: match.index + match[0].length });
    const told = (text: string | undefined) => (text ? { year: Number(text) } : {});
    let match = nth.exec(known);
    if (match)
      return {
        ...at(match),
        ...{ nth: COUNTED[match[1]!]!, weekday: weekdays.get(match[2]!)!, month: months.get(match[3]!)! },
      };
    match = iso.exec(known);
    if (match)
      return { ...at(match), year: Number(match[1]), month: Number(match[2]), day: Number(match[3]) };
    const written = spelt(whole);
    if (written) return written;
    match = dayMonth.exec(known);
    if (match)
      return { ...at(match), day: Number(match[1]), month: months.get(match[2]!)!, ...told(match[3]) };
    match = monthDay.exec(known);
    if (match)
      return { ...at(match), month: months.get(match[1]!)!, day: Number(match[2]), ...told(match[3]) };
    const begun = spelt(bare);
    if (begun) return begun;
    match = figures.exec(known);
    if (!match) return null;
    const [a, b] = [Number(match[1]), Number(match[2])];
    // Where only one of them can be the month it is.
    const [day, of] = (monthFirst && b <= 31 && a <= 12) || b > 12 ? [b, a] : [a, b];
    return { ...at(match), day, month: of, ...told(match[3]) };
  };
}
