/** Dates in words that cannot be: days there are not, weekdays that are others, years that are not those of the page. */
import { isDate, weekdayOn } from '@/core/dates/days';
import { monthNames, monthsOfIntl, weekdayNames } from '@/core/dates/names';
import { shownOn } from '@/core/page/shown';
import { isWritten } from '@/core/piece/outline';
import { datedSays, languageOf, monthOn } from '@/core/product';
import { on, type Check, type Looked } from '@/core/proof/check';

/** Words of no more letters than this that name a year are about that year. */
const TITLE = 24;
const ENGLISH = 'en';

interface Written {
  weekday?: string | undefined;
  day: number;
  /** 1 to 12. */
  month: number;
  year: number;
}

const list = (names: readonly string[]): string =>
  names.map((name) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).join('|');

/** `Saturday, 11 July 2026` and `July 11, 2026`, as a language writes them. */
function datesIn(text: string, language: string): Written[] {
  const months = [...monthNames(language), ...monthsOfIntl(language)];
  const weekdays = weekdayNames(language);
  const before = `(?:(${list(weekdays)})[,.]?\\s+)?(?:(?:the|den)\\s+)?`;
  const day = '(\\d{1,2})(?:st|nd|rd|th|\\.)?';
  const ways = [
    new RegExp(
      `${before}${day}\\s+(?:of\\s+|de\\s+)?(${list(months)})[,.]?\\s+(?:de\\s+)?(\\d{4})(?!\\d)`,
      'giu',
    ),
    new RegExp(`${before}(${list(months)})\\s+${day},?\\s+(\\d{4})(?!\\d)`, 'giu'),
  ];
  const monthOf = (name: string) =>
    1 + (months.findIndex((month) => month.toLowerCase() === name.toLowerCase()) % 12);
  return ways.flatMap((way, i) =>
    [...text.matchAll(way)].map(([, weekday, first, second, year]) => {
      const [of, name] = i === 0 ? [first!, second!] : [second!, first!];
      return { weekday, day: Number(of), month: monthOf(name), year: Number(year) };
    }),
  );
}

/** What is wrong with a date by itself; null where nothing is. */
function impossible({ weekday, day, month, year }: Written, language: string): string | null {
  const called = `${day} ${monthNames(ENGLISH)[month - 1]} ${year}`;
  if (!isDate({ year, month, day })) return `There is no ${called}.`;
  const is = weekdayOn({ year, month, day }) - 1;
  const wrong = weekday && weekday.toLowerCase() !== weekdayNames(language)[is]!.toLowerCase();
  return wrong ? `${called} is a ${weekdayNames(ENGLISH)[is]}, not a ${weekday}.` : null;
}

/** Years from 1900 on, as they are written. */
const yearsIn = (text: string): number[] =>
  [...text.matchAll(/(?<!\d)(19|20)\d\d(?!\d)/g)].map(([year]) => Number(year));

/** The years in which the photos of a page were taken. */
const takenOn = ({ seen, tools }: Looked): Set<number> =>
  new Set(
    seen.flatMap((piece) =>
      shownOn(piece, tools).flatMap((shown) =>
        shown?.asset.taken ? [Number(shown.asset.taken.slice(0, 4))] : [],
      ),
    ),
  );

export const DATES: Check = {
  id: 'dates',
  look(page) {
    const { project, seen, surface } = page;
    const languages = new Set([ENGLISH, languageOf(project.product)]);
    const [from, to = from] = yearsIn(datedSays(project.product));
    // The week a year begins with may begin in the one before.
    const own = monthOn(project, surface)?.year;
    const taken = takenOn(page);
    return seen.flatMap((piece) => {
      if (!isWritten(piece.outline)) return [];
      const { text } = piece.outline;
      const dates = [...languages].flatMap((language) =>
        datesIn(text, language).map((date) => ({ date, fault: impossible(date, language) })),
      );
      const fault = dates.find((each) => each.fault)?.fault;
      if (fault) return [on(piece, fault)];
      const years = dates.length
        ? dates.map(({ date }) => date.year)
        : text.length <= TITLE
          ? yearsIn(text)
          : [];
      if (!years.length) return [];
      if (from && to && years.every((year) => (year < from || year > to) && year !== own))
        return [on(piece, `It says ${years[0]}, and this is of ${datedSays(project.product)}.`)];
      return !from && taken.size && years.every((year) => !taken.has(year))
        ? [
            on(
              piece,
              `It says ${years[0]}; the photos here were taken in ${[...taken].sort().join(' and ')}.`,
              false,
            ),
          ]
        : [];
    });
  },
};
