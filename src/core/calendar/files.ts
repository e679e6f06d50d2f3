/**
 * Days to remember from files of other programs: iCalendar (RFC 5545) and vCard (RFC 6350), by ical.js, its rules by rrule.
 * Each entry is read by itself, so that a damaged one costs no other. Times are those of the place an entry was written for.
 */
import ICAL from 'ical.js';
import { KIND, UNKNOWN, YEAR } from '@/core/calendar/write';
import * as rrule from 'rrule';
import { EVENT_KINDS, LONGEST_EVENT, MOST_EVENTS, type EventKind } from '@/core/calendar/events';
import type { TypedEvent } from '@/core/calendar/typed';
import { dayOf, FIRST_YEAR, isDate, LAST_YEAR, numberOf, type Day, type Weekday } from '@/core/dates/days';
import { fail, ok, type Result } from '@/core/result';
import { asName } from '@/core/text/named';
import { decodedText } from '@/core/text/decoded';

/** Node finds it within `default`, bundlers beside it. */
const { RRule } = 'RRule' in rrule ? rrule : (rrule as { default: typeof rrule }).default;

export interface FileDays {
  events: TypedEvent[];
  /** A sentence for each thing that did not arrive as it was written. */
  told: string[];
}

export const LARGEST_DAYS_FILE = 20_000_000;
/** Longest line of an entry that is looked at, characters. */
const LONGEST_LINE = 100_000;
const MOST_ENTRIES = 20_000;
/** Days an entry of several may last. */
const LONGEST_STAY = 60;

/** All there is in a file, from the first day of a year to the last of another for what comes again by a rule. */
export function readDaysFile(text: string, from: number, to: number): Result<FileDays> {
  if (text.length > LARGEST_DAYS_FILE)
    return fail('This file is larger than 20 MB: nothing of it was taken.');
  const lines = text.replace(/\r\n?/g, '\n').replace(/\n[ \t]/g, '');
  const cards = entries(lines, 'VCARD');
  const events = entries(lines, 'VEVENT');
  if (!cards.length && !events.length)
    return fail('There is nothing to be read in this file: no entry of a calendar, and no address.');
  const found: FileDays = { events: [], told: [] };
  // What begins and does not end was cut off.
  const opened = lines.match(/^BEGIN:(VEVENT|VCARD)$/gim)?.length ?? 0;
  let broken = opened - events.length - cards.length;
  const all = [
    ...events.map((entry) => () => eventDays(entry, from, to)),
    ...cards.map((entry) => () => cardDays(entry)),
  ];
  for (const read of all.slice(0, MOST_ENTRIES)) {
    try {
      found.events.push(...read());
    } catch {
      broken++;
    }
  }
  if (broken) found.told.push(`${counted(broken, 'entry', 'entries')} could not be read.`);
  if (all.length > MOST_ENTRIES)
    found.told.push(`Only the first ${counted(MOST_ENTRIES, 'entry', 'entries')} were looked at.`);
  if (found.events.length > MOST_EVENTS) {
    found.told.push(
      `A project holds ${counted(MOST_EVENTS, 'day', 'days')}: ${counted(found.events.length - MOST_EVENTS, 'more was', 'more were')} left out.`,
    );
    found.events.length = MOST_EVENTS;
  }
  return ok(found);
}

const counted = (count: number, one: string, many: string): string =>
  `${count.toLocaleString('en')} ${count === 1 ? one : many}`;

/** A rule is followed so often: every day of a hundred years. */
const MOST_TURNS = 40_000;
const MANY_A_DAY = new Set(['SECONDLY', 'MINUTELY', 'HOURLY']);

const entries = (lines: string, name: string): string[] =>
  (lines.match(new RegExp(`BEGIN:${name}\\n[\\s\\S]*?\\nEND:${name}`, 'gi')) ?? []).map((entry) =>
    entry
      .split('\n')
      .filter((line) => line.length <= LONGEST_LINE)
      .join('\r\n'),
  );

const named = (text: unknown): string => asName(String(text ?? ''), LONGEST_EVENT);

function eventDays(entry: string, from: number, to: number): TypedEvent[] {
  const [, , parts] = ICAL.parse(`BEGIN:VCALENDAR\r\n${entry}\r\nEND:VCALENDAR`) as [
    string,
    unknown,
    unknown[],
  ];
  const component = new ICAL.Component(parts[0] as never);
  const start = component.getFirstPropertyValue('dtstart') as ICAL.Time | null;
  const name = named(component.getFirstPropertyValue('summary'));
  if (!start || !name || !isWritten(entry)) throw new RangeError('An entry without a day or a name.');
  const rule = component.getFirstPropertyValue('rrule') as ICAL.Recur | null;
  const said = `${name} ${named(component.getFirstPropertyValue('categories'))}`;
  const kind = /birthday|geburtstag/i.test(said)
    ? 'birthday'
    : /anniversary|wedding/i.test(said)
      ? 'anniversary'
      : null;
  const own = component.getFirstPropertyValue(KIND) as string | null;
  if (own !== null && own in EVENT_KINDS) return [ownDay(component, start, name, own as EventKind)];
  const yearly = rule && !component.getFirstProperty('exdate') ? everyYear(rule, start) : null;
  // What has years to be counted keeps the one it began in.
  const since = component.getFirstPropertyValue(YEAR) !== UNKNOWN;
  const begun = kind && since && yearly?.nth === undefined ? { year: start.year } : {};
  if (yearly) return [{ kind: kind ?? 'yearly', name: bare(name, kind), ...yearly, ...begun }];
  const days = (on: Day): Day[] => lasting(component, start, on);
  if (!rule && !component.getFirstProperty('rdate'))
    return days(start).map((on) => ({ kind: 'once', name, ...on }));
  if (rule && MANY_A_DAY.has(rule.freq))
    throw new RangeError('What comes many times a day is no day to remember.');
  const gone = new Set(times(component, 'exdate').map(key));
  return [...(rule ? followed(rule, start, from, to) : [start]), ...times(component, 'rdate')]
    .filter((on) => !gone.has(key(on)) && on.year >= from && on.year <= to)
    .flatMap((on) => days(on))
    .map((on): TypedEvent => ({ kind: 'once', name, ...on }));
}

/** A day as it was written by us: its kind and its name are what they were. */
function ownDay(component: ICAL.Component, start: ICAL.Time, name: string, kind: EventKind): TypedEvent {
  const { year, month, day } = start;
  if (kind === 'once') return { kind, name, year, month, day };
  const rule = component.getFirstPropertyValue('rrule') as ICAL.Recur | null;
  const written = component.getFirstPropertyValue(YEAR) as string | null;
  const begun = written === null ? year : Number(written);
  return {
    ...{ kind, name, ...((rule && everyYear(rule, start)) ?? { month, day }) },
    ...(Number.isInteger(begun) && begun >= FIRST_YEAR && begun <= LAST_YEAR ? { year: begun } : {}),
  };
}

/** The same day of every year without end, or the second Sunday of every May; null for any other rule. */
function everyYear(
  { freq, interval, count, until, parts }: ICAL.Recur,
  { month, day }: Day,
): Pick<TypedEvent, 'month' | 'day' | 'nth' | 'weekday'> | null {
  if (freq !== 'YEARLY' || interval !== 1 || count || until) return null;
  const { BYMONTH, BYDAY, ...more } = parts as Record<string, unknown[] | undefined>;
  if (!BYMONTH && !BYDAY && !Object.keys(more).length) return { month, day };
  const [, nth, weekday] = /^(-1|[1-5])([A-Z]{2})$/.exec(String(BYDAY?.[0])) ?? [];
  if (!weekday || BYMONTH?.length !== 1 || BYDAY?.length !== 1 || Object.keys(more).length) return null;
  return {
    month: Number(BYMONTH[0]),
    nth: Number(nth),
    weekday: (['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'].indexOf(weekday) + 1) as Weekday,
  };
}

/** The day an entry begins on as it is written: one there is not would be taken for one of the next month. */
function isWritten(entry: string): boolean {
  const [, year, month, day] = /^DTSTART[^:]*:(\d{4})(\d{2})(\d{2})/m.exec(entry) ?? [];
  return isDate({ year: Number(year), month: Number(month), day: Number(day) });
}

const key = ({ year, month, day }: Day): string => `${year} ${month} ${day}`;

const times = (component: ICAL.Component, name: string): Day[] =>
  component
    .getAllProperties(name)
    .flatMap((property) =>
      (property.getValues() as ICAL.Time[]).map(({ year, month, day }) => ({ year, month, day })),
    );

/** The days a rule comes to, by rrule: ical.js knows no weeks of the year. As if all were in one place, as written. */
function followed(rule: ICAL.Recur, start: ICAL.Time, from: number, to: number): Day[] {
  const { year, month, day, hour, minute, second } = start;
  const begun = new Date(Date.UTC(2000, month - 1, day, hour, minute, second));
  begun.setUTCFullYear(year, month - 1, day);
  const all = new RRule({ ...RRule.parseString(rule.toString()), dtstart: begun });
  const found: Day[] = [];
  const last = Date.UTC(to, 11, 31, 23, 59, 59);
  all.between(begun, new Date(last), true, (at, turn) => {
    const on = { year: at.getUTCFullYear(), month: at.getUTCMonth() + 1, day: at.getUTCDate() };
    if (on.year >= from) found.push(on);
    return turn < MOST_TURNS;
  });
  return found;
}

/** `Ada’s birthday` is Ada's. */
const bare = (name: string, kind: string | null): string =>
  kind
    ? name
        .replace(/[’']s birthday|birthday( of)?|geburtstag( von)?|(wedding )?anniversary( of)?/gi, '')
        .replace(/^[\s:,–-]+|[\s:,–-]+$/g, '') || name
    : name;

/** Every day an entry that begins on one lasts; its end is the day after its last where it has no time of day. */
function lasting(component: ICAL.Component, start: ICAL.Time, on: Day): Day[] {
  const first = numberOf(on);
  const end = component.getFirstPropertyValue('dtend') as ICAL.Time | null;
  const long = end ? numberOf(end) - numberOf(start) + (end.isDate ? 0 : 1) : 1;
  return Array.from({ length: Math.max(1, Math.min(LONGEST_STAY, long)) }, (_, i) => dayOf(first + i));
}

function cardDays(entry: string): TypedEvent[] {
  const fields = new Map<string, string>();
  for (const line of whole(entry.split('\r\n'))) {
    const match = /^(?:[\w-]+\.)?(FN|BDAY|ANNIVERSARY|N)((?:;[^:]*)?):(.*)$/i.exec(line);
    if (!match) continue;
    const [, key, how, value] = match as unknown as [string, string, string, string];
    fields.set(key.toUpperCase(), `${how}:${QUOTED.test(how) ? unquoted(value, how) : value}`);
  }
  const text = (key: string) =>
    fields
      .get(key)
      ?.replace(/^[^:]*:/, '')
      .replace(/\\([,;\\n])/gi, (_, letter: string) => (/n/i.test(letter) ? ' ' : letter)) ?? '';
  const name = named(text('FN') || text('N').split(';').slice(0, 2).reverse().join(' '));
  if (!name) throw new RangeError('An address without a name.');
  return (['BDAY', 'ANNIVERSARY'] as const).flatMap((key): TypedEvent[] => {
    if (!fields.has(key)) return [];
    const omitted = /OMIT-YEAR=(\d{4})/i.exec(fields.get(key)!)?.[1];
    const on = cardDate(text(key));
    if (!on) throw new RangeError('A day there is not.');
    const { month, day, year } = on;
    const known = year !== undefined && String(year) !== omitted ? { year } : {};
    return [{ kind: key === 'BDAY' ? 'birthday' : 'anniversary', name, month, day, ...known }];
  });
}

/** Phones write every letter that is not plain as numbers (vCard 2.1, 2.1.3; RFC 2045, 6.7). */
const QUOTED = /;(ENCODING=)?QUOTED-PRINTABLE(;|$)/i;

/** Lines of which the first says that the next goes on with it. */
const whole = (lines: readonly string[]): string[] =>
  lines.reduce<string[]>((all, line) => {
    const last = all.at(-1);
    if (last?.endsWith('=') && QUOTED.test(last.split(':')[0]!))
      all[all.length - 1] = last.slice(0, -1) + line;
    else all.push(line);
    return all;
  }, []);

/** In the encoding that is named, if it is known. */
function unquoted(value: string, how: string): string {
  const bytes = Uint8Array.from(
    value.replace(/=([\da-f]{2})/gi, (_, code: string) => String.fromCharCode(parseInt(code, 16))),
    (letter) => letter.charCodeAt(0),
  );
  const [, called] = /;CHARSET=([\w-]+)/i.exec(how) ?? [];
  try {
    if (called) return new TextDecoder(called, { fatal: true }).decode(bytes);
  } catch {
    // It is not known, or not what it is written in.
  }
  return decodedText(bytes);
}

/** A day with or without its year (RFC 6350, 4.3.1): `19850412`, `1985-04-12`, `--0412`. */
function cardDate(text: string): { year?: number; month: number; day: number } | null {
  const match = /^(?:(\d{4})-?|--)(\d{2})-?(\d{2})(?:T.*)?$/.exec(text.trim());
  if (!match) return null;
  const [month, day] = [Number(match[2]), Number(match[3])];
  const year = match[1] ? Number(match[1]) : undefined;
  if (year !== undefined && (year < FIRST_YEAR || year > LAST_YEAR)) return null;
  return isDate({ year: year ?? 2000, month, day })
    ? { month, day, ...(year === undefined ? {} : { year }) }
    : null;
}
