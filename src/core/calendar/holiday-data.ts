/**
 * Which days are free where, by date-holidays (its data: CC BY 3.0, from Wikipedia's lists). Large: fetched when somebody
 * first wants a country's holidays.
 */
import Data from 'date-holidays';
import { LONGEST_HOLIDAY, LONGEST_RULE, MOST_HOLIDAYS, type Holiday } from '@/core/calendar/holidays';
import { shortened } from '@/core/text/named';

export interface Place {
  id: string;
  name: string;
}

const listed = (of: Record<string, string> | undefined): Place[] =>
  Object.entries(of ?? {})
    .map(([id, name]) => ({ id, name }))
    .sort((a, b) => a.name.localeCompare(b.name, 'en'));

/** Countries there is something known of, and the parts of one that have days of their own. */
export const countries = (): Place[] => listed(new Data().getCountries('en'));
export const statesOf = (country: string): Place[] => listed(new Data().getStates(country, 'en'));

/** The public holidays of a country in some years, in its own language where it has just one; each once a day. */
export function holidaysOf(country: string, state: string | undefined, from: number, to: number): Holiday[] {
  const data = new Data(...((state ? [country, state] : [country]) as [string]));
  const found: Holiday[] = [];
  for (let year = from; year <= to; year++)
    for (const { date, name, type, rule } of data.getHolidays(year) || []) {
      const [, y, month, day] = (/^(\d+)-(\d+)-(\d+)/.exec(date) ?? []).map(Number);
      if (type !== 'public' || y !== year || found.length >= MOST_HOLIDAYS) continue;
      found.push({
        ...{ year, month: month!, day: day! },
        name: shortened(name, LONGEST_HOLIDAY),
        rule: rule.slice(0, LONGEST_RULE),
      });
    }
  return found;
}
