/** A calendar: leaves with a month each, or a year on one. What lies on them as it begins is in core/calendar/furnish.ts. */
import type { Size } from '@/core/geometry/box';
import { LAST_YEAR, monthAfter, type Month, type Weekday } from '@/core/dates/days';
import { monthName, weekStartOf } from '@/core/dates/names';
import { CALENDAR_FORMS, calendarStart, type CalendarForm } from '@/core/product/calendar/start';
import type { Part, ProductKind } from '@/core/product/product';
import { formatSize } from '@/core/units/lengths';

export interface CalendarProduct extends Size, Month {
  kind: 'calendar';
  form: CalendarForm;
  /** How many months it has, from its first on. */
  months: number;
  /** BCP 47 tag: what months and weekdays are called. */
  language: string;
  weekStart: Weekday;
  cover?: boolean;
  /** A page for notes at its end. */
  notes?: boolean;
  /** Those born on 29 February: on which day they are told of in other years. */
  leapDay: 'february' | 'march';
}

export const MOST_MONTHS = 24;
const LANGUAGE = 'en-GB';

const COVER = 'cover';
const NOTES = 'notes';

/** Which month is a part's first, counted from that of the calendar; null for one that is of none. */
function firstMonthOf(part: string): number | null {
  if (part === COVER) return 0;
  const [, what, number] = /^(month|year)-(\d+)$/.exec(part) ?? [];
  return what ? (what === 'month' ? 1 : 12) * (Number(number) - 1) : null;
}

/** The last month a calendar may reach is the last there is. */
export const lastOf = (calendar: Pick<CalendarProduct, 'year' | 'month' | 'months'>): Month =>
  monthAfter(calendar, calendar.months - 1);

const called = ({ year, month }: Month, { language, form }: CalendarProduct): string => {
  const name = monthName(language, month);
  return form === 'birthdays' ? name : `${name} ${year}`;
};

function parts(calendar: CalendarProduct): Part[] {
  const { width, height, form, months, cover, notes } = calendar;
  const size = { width, height };
  const leaf = (i: number): Part =>
    form === 'year'
      ? { part: `year-${i + 1}`, name: yearsOf(calendar, i), ...size }
      : { part: `month-${i + 1}`, name: called(monthAfter(calendar, i), calendar), ...size };
  return [
    ...(cover ? [{ part: COVER, name: 'Cover', ...size }] : []),
    ...Array.from({ length: form === 'year' ? Math.ceil(months / 12) : months }, (_, i) => leaf(i)),
    ...(notes ? [{ part: NOTES, name: 'Notes', ...size }] : []),
  ];
}

/** `2027`, or `2027–2028` of a year that begins later than in January. */
function yearsOf(calendar: CalendarProduct, leaf: number): string {
  const from = monthAfter(calendar, 12 * leaf).year;
  const to = monthAfter(calendar, 12 * leaf + 11).year;
  return from === to ? String(from) : `${from}–${to}`;
}

/** The years it is of, in words: `2027`, `2027 to 2028`, or nothing for one of any year. */
export function spanSays(calendar: CalendarProduct): string {
  if (calendar.form === 'birthdays') return '';
  const { year } = lastOf(calendar);
  return year === calendar.year ? String(year) : `${calendar.year} to ${year}`;
}

const isForm = (way: string | undefined): way is CalendarForm => Object.hasOwn(CALENDAR_FORMS, way ?? '');

export const calendar: ProductKind<CalendarProduct> = {
  ...calendarStart,
  waysOut: [{ as: ['pages', 'flat', 'spreads'], name: 'pages' }],
  begin({ width, height }, way, today) {
    const form = isForm(way) ? way : 'picture';
    const product: CalendarProduct = {
      ...{ kind: 'calendar', width, height, form },
      ...(form === 'birthdays' ? { year: 2000, month: 1 } : nextJanuary(today)),
      ...{ months: 12, language: LANGUAGE, weekStart: weekStartOf(LANGUAGE), leapDay: 'february' },
      ...(form === 'year' ? {} : { cover: true }),
    };
    return { product, parts: parts(product) };
  },
  sides: parts,
  says: (product, unit) => {
    const { form } = product;
    const what = `${formatSize(product, unit)} calendar, ${CALENDAR_FORMS[form].says}`;
    return [what, spanSays(product)].filter(Boolean).join(', ');
  },
  month(product, part) {
    const first = firstMonthOf(part);
    return first === null ? null : monthAfter(product, first);
  },
  language: ({ language }) => language,
  settings: (product) => ['Calendar', spanSays(product)].filter(Boolean).join(' of '),
};

/** Calendars are made for the year to come. */
const nextJanuary = (today: Month | undefined): Month => ({
  year: Math.min(LAST_YEAR - 2, (today?.year ?? 2026) + 1),
  month: 1,
});

/** The calendar a product is; null for what is none. */
export const calendarIn = (product: { kind: string }): CalendarProduct | null =>
  product.kind === 'calendar' ? (product as CalendarProduct) : null;
