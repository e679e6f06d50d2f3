/** A calendar with other settings. By itself, so that Home need not fetch it. */
import { FIRST_YEAR, LAST_YEAR, monthAfter, monthsBetween } from '@/core/dates/days';
import { MOST_MONTHS, type CalendarProduct } from '@/core/product/calendar';

/** The calendar with other settings, within what there is; those that no year can follow are pulled back. */
export function withSettings(calendar: CalendarProduct, to: Partial<CalendarProduct>): CalendarProduct {
  const next = { ...calendar, ...to };
  const months = Math.max(1, Math.min(MOST_MONTHS, next.months));
  const most = monthsBetween({ year: FIRST_YEAR, month: 1 }, { year: LAST_YEAR, month: 12 }) - months + 1;
  const from = Math.max(0, Math.min(most, monthsBetween({ year: FIRST_YEAR, month: 1 }, next)));
  return { ...next, months, ...monthAfter({ year: FIRST_YEAR, month: 1 }, from) };
}
