/** The forms of a calendar: how many months a paper shows, where it is folded, what can be made with it. */
import {
  dayOf,
  monthAfter,
  monthLength,
  numberOf,
  weekStartBefore,
  type Month,
  type Weekday,
} from '@/core/dates/days';
import { daysCalled, monthName } from '@/core/dates/names';
import type { Size } from '@/core/geometry/box';
import { CALENDAR_FORMS, leavesOf, type CalendarForm } from '@/core/product/calendar/start';
import type { Panel, PartMonth } from '@/core/product/product';

interface FormKind {
  /** What its papers are called in a file: `month-3`. */
  part: string;
  /** What a paper shows, for people. */
  one: string;
  /** How many papers there are, and the month each is of, its first of several; counted from 0. */
  count(calendar: Span): number;
  of(calendar: Span, i: number): PartMonth;
  /** What a paper is called, by what it is of. */
  called(of: PartMonth, language: string): string;
  /** Of any year: without weekdays, years and holidays. */
  anyYear?: true;
  /** It may have a cover; it begins with one. */
  cover?: true;
  /** Its papers can hang together at an edge. */
  bound?: true;
  /** Two leaves to a paper, one above the other. */
  panels?(leaf: Size): Panel[];
}

/** The months of a calendar, and the day its weeks begin with. */
interface Span extends Month {
  months: number;
  weekStart: Weekday;
}

/** A paper for so many months. */
const monthly = (months: number): Pick<FormKind, 'count' | 'of'> => ({
  count: (calendar) => Math.ceil(calendar.months / months),
  of: (calendar, i) => monthAfter(calendar, i * months),
});

const firstWeek = ({ year, month, weekStart }: Span): number =>
  weekStartBefore(numberOf({ year, month, day: 1 }), weekStart);

/** A paper for each week that touches a month; it is of the month most of its days are in. */
const weekly: Pick<FormKind, 'count' | 'of'> = {
  count(calendar) {
    const { year, month } = monthAfter(calendar, calendar.months - 1);
    const last = numberOf({ year, month, day: monthLength(year, month) });
    return Math.floor((last - firstWeek(calendar)) / 7) + 1;
  },
  of(calendar, i) {
    const first = firstWeek(calendar) + 7 * i;
    const { year, month } = dayOf(first + 3);
    return { year, month, week: first - numberOf({ year, month, day: 1 }) + 1 };
  },
};

const weekCalled = ({ year, month, week = 1 }: PartMonth, language: string): string => {
  const first = numberOf({ year, month, day: 1 }) + week - 1;
  return daysCalled(language, dayOf(first), dayOf(first + 6));
};

const monthAndYear = ({ year, month }: Month, language: string): string =>
  `${monthName(language, month)} ${year}`;

/** `2027`, or `2027–2028` of a year that begins later than in January. */
function years(of: Month): string {
  const to = monthAfter(of, 11).year;
  return of.year === to ? String(to) : `${of.year}–${to}`;
}

const twoLeaves =
  (upper: Omit<Panel, 'box'>, lower: string) =>
  ({ width, height }: Size): Panel[] => [
    { ...upper, box: { x: 0, y: 0, width, height } },
    { name: lower, box: { x: 0, y: height, width, height } },
  ];

export const FORM_KINDS: Record<CalendarForm, FormKind> = {
  picture: { part: 'month', one: 'month', ...monthly(1), called: monthAndYear, cover: true, bound: true },
  month: { part: 'month', one: 'month', ...monthly(1), called: monthAndYear, cover: true, bound: true },
  folded: {
    ...{ part: 'month', one: 'month', ...monthly(1), called: monthAndYear, cover: true, bound: true },
    panels: twoLeaves({ name: 'Above' }, 'Below'),
  },
  tent: {
    ...{ part: 'tent', one: 'paper', ...monthly(2) },
    called: (of, language) =>
      `${monthName(language, of.month)} and ${monthAndYear(monthAfter(of, 1), language)}`,
    panels: (leaf) => twoLeaves({ name: 'Back', turn: 180 }, 'Front')(leaf).reverse(),
  },
  week: { part: 'week', one: 'week', ...weekly, called: weekCalled, cover: true, bound: true },
  year: { part: 'year', one: 'year', ...monthly(12), called: years },
  birthdays: {
    ...{ part: 'month', one: 'month', ...monthly(1), cover: true, anyYear: true, bound: true },
    called: ({ month }, language) => monthName(language, month),
  },
};

/** The whole paper of one leaf, unfolded. */
export function paperOf(form: CalendarForm, { width, height }: Size): Size {
  return { width, height: leavesOf(CALENDAR_FORMS[form]) * height };
}
