/** The forms of a calendar: how many months a paper shows, where it is folded, what can be made with it. */
import { monthAfter, type Month } from '@/core/dates/days';
import { monthName } from '@/core/dates/names';
import type { Size } from '@/core/geometry/box';
import type { CalendarForm } from '@/core/product/calendar/start';
import type { Panel } from '@/core/product/product';

interface FormKind {
  /** What its papers are called in a file: `month-3`. */
  part: string;
  /** How many months a paper is of. */
  months: number;
  /** What a paper is called, by its first month. */
  called(of: Month, language: string): string;
  /** Of any year: without weekdays, years and holidays. */
  anyYear?: true;
  /** It may have a cover; it begins with one. */
  cover?: true;
  /** Its papers can hang together at an edge. */
  bound?: true;
  /** Two leaves to a paper, one above the other. */
  panels?(leaf: Size): Panel[];
}

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
  picture: { part: 'month', months: 1, called: monthAndYear, cover: true, bound: true },
  month: { part: 'month', months: 1, called: monthAndYear, cover: true, bound: true },
  folded: {
    ...{ part: 'month', months: 1, called: monthAndYear, cover: true, bound: true },
    panels: twoLeaves({ name: 'Above' }, 'Below'),
  },
  tent: {
    ...{ part: 'tent', months: 2 },
    called: (of, language) =>
      `${monthName(language, of.month)} and ${monthAndYear(monthAfter(of, 1), language)}`,
    panels: (leaf) => twoLeaves({ name: 'Back', turn: 180 }, 'Front')(leaf).reverse(),
  },
  year: { part: 'year', months: 12, called: years },
  birthdays: {
    ...{ part: 'month', months: 1, cover: true, anyYear: true, bound: true },
    called: ({ month }, language) => monthName(language, month),
  },
};

/** The whole paper of one leaf, unfolded. */
export function paperOf(form: CalendarForm, { width, height }: Size): Size {
  const count = FORM_KINDS[form].panels ? 2 : 1;
  return { width, height: count * height };
}
