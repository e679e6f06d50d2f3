/** Days to remember as iCalendar (RFC 5545), for other programs. */
import ICAL from 'ical.js';
import { fallsOn, type DayEvent, type LeapDay } from '@/core/calendar/events';
import { LAST_YEAR, type Day, type Weekday } from '@/core/dates/days';

/**
 * Ours, as RFC 5545 has no date without a year and no kinds of days (3.8.8.2: names of one's own begin with X-): what the day
 * is, and the year in which it began where that is another than its date says, or not known.
 */
export const KIND = 'x-bellagraph-kind';
export const YEAR = 'x-bellagraph-year';
export const UNKNOWN = 'unknown';

/** Within so many years there is a 29th of February, and a fifth of any weekday in any month. */
const SOON = 40;

const DAYS: Record<Weekday, string> = { 1: 'MO', 2: 'TU', 3: 'WE', 4: 'TH', 5: 'FR', 6: 'SA', 7: 'SU' };

/** What comes every year has a rule, from the year it began or from `year` on. `now` stamps them, as RFC 5545 wants. */
export function writeDays(events: readonly DayEvent[], year: number, leapDay: LeapDay, now: Date): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Bellagraph//Days to remember//EN');
  const stamp = ICAL.Time.fromJSDate(now, true);
  for (const event of events) {
    const on = firstOf(event, year, leapDay);
    if (!on) continue;
    const entry = new ICAL.Component('vevent');
    entry.addPropertyWithValue('uid', `${event.id}@bellagraph`);
    entry.addPropertyWithValue('dtstamp', stamp);
    // By itself it writes no year before 1000 with four figures.
    entry.addProperty(ICAL.Property.fromString(`DTSTART;VALUE=DATE:${inFigures(on)}`));
    entry.addPropertyWithValue('summary', event.name);
    if (event.kind === 'birthday' || event.kind === 'anniversary')
      entry.addPropertyWithValue('categories', event.kind === 'birthday' ? 'Birthday' : 'Anniversary');
    entry.addPropertyWithValue(KIND, event.kind);
    if (event.kind !== 'once' && event.year !== on.year)
      entry.addPropertyWithValue(YEAR, String(event.year ?? UNKNOWN));
    if (event.kind !== 'once') entry.addPropertyWithValue('rrule', ICAL.Recur.fromString(ruleOf(event)));
    calendar.addSubcomponent(entry);
  }
  return `${calendar.toString()}\r\n`;
}

const inFigures = ({ year, month, day }: Day): string =>
  String(year).padStart(4, '0') + String(month).padStart(2, '0') + String(day).padStart(2, '0');

/** The first day it falls on, from the year it began or from `year` on; a leap day where there is one. */
function firstOf(event: DayEvent, year: number, leapDay: LeapDay): Day | null {
  const { kind, month, day } = event;
  const from = event.year ?? year;
  if (kind === 'once') return fallsOn(event, from, leapDay);
  for (let at = from; at <= Math.min(LAST_YEAR, from + SOON); at++) {
    const on = fallsOn({ ...event, year: at }, at, leapDay);
    if (on && (day === undefined || (on.day === day && on.month === month))) return on;
  }
  return fallsOn({ ...event, year: from }, from, leapDay);
}

const ruleOf = ({ month, nth, weekday }: DayEvent): string =>
  nth !== undefined && weekday !== undefined
    ? `FREQ=YEARLY;BYMONTH=${month};BYDAY=${nth}${DAYS[weekday]}`
    : 'FREQ=YEARLY';
