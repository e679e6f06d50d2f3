/** Days to remember as iCalendar (RFC 5545), for other programs. */
import ICAL from 'ical.js';
import { fallsOn, type DayEvent, type LeapDay } from '@/core/calendar/events';
import type { Weekday } from '@/core/dates/days';

/** Ours, as RFC 5545 has no date without a year (3.8.8.2: names of one's own begin with X-). */
export const YEAR = 'x-bellagraph-year';
export const UNKNOWN = 'unknown';

const DAYS: Record<Weekday, string> = { 1: 'MO', 2: 'TU', 3: 'WE', 4: 'TH', 5: 'FR', 6: 'SA', 7: 'SU' };

/** What comes every year has a rule, from the year it began or from `year` on. `now` stamps them, as RFC 5545 wants. */
export function writeDays(events: readonly DayEvent[], year: number, leapDay: LeapDay, now: Date): string {
  const calendar = new ICAL.Component('vcalendar');
  calendar.addPropertyWithValue('version', '2.0');
  calendar.addPropertyWithValue('prodid', '-//Bellagraph//Days to remember//EN');
  const stamp = ICAL.Time.fromJSDate(now, true);
  for (const event of events) {
    const begun = event.year ?? year;
    const on = fallsOn({ ...event, year: begun }, begun, leapDay);
    if (!on) continue;
    const entry = new ICAL.Component('vevent');
    entry.addPropertyWithValue('uid', `${event.id}@bellagraph`);
    entry.addPropertyWithValue('dtstamp', stamp);
    entry.addPropertyWithValue(
      'dtstart',
      new ICAL.Time({ ...on, isDate: true }, ICAL.Timezone.localTimezone),
    );
    entry.addPropertyWithValue('summary', event.name);
    if (event.kind === 'birthday' || event.kind === 'anniversary')
      entry.addPropertyWithValue('categories', event.kind === 'birthday' ? 'Birthday' : 'Anniversary');
    if (event.kind !== 'once' && event.year === undefined) entry.addPropertyWithValue(YEAR, UNKNOWN);
    if (event.kind !== 'once') entry.addPropertyWithValue('rrule', ICAL.Recur.fromString(ruleOf(event)));
    calendar.addSubcomponent(entry);
  }
  return `${calendar.toString()}\r\n`;
}

const ruleOf = ({ month, nth, weekday }: DayEvent): string =>
  nth !== undefined && weekday !== undefined
    ? `FREQ=YEARLY;BYMONTH=${month};BYDAY=${nth}${DAYS[weekday]}`
    : 'FREQ=YEARLY';
