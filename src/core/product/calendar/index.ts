/** A calendar: leaves with a month each, or a year on one. What lies on them as it begins is in core/calendar/furnish.ts. */
import type { Size } from '@/core/geometry/box';
import { LAST_YEAR, monthAfter, type Month, type Weekday } from '@/core/dates/days';
import { weekStartOf } from '@/core/dates/names';
import {
  BINDINGS,
  boundAlong,
  boundSafe,
  type BindingKind,
  type BoundEdge,
} from '@/core/product/calendar/binding';
import { FORM_KINDS, paperOf } from '@/core/product/calendar/form';
import { CALENDAR_FORMS, calendarStart, type CalendarForm } from '@/core/product/calendar/start';
import type { Panel, Part, PartMonth, ProductKind } from '@/core/product/product';
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
  /** How its leaves hang together; `at` is the edge, where there is a choice. */
  binding?: { by: BindingKind; at: 'top' | 'left' };
  /** Inks dealt to its months, January first: dark, main, second, soft. */
  inks?: string[][];
  /** Those born on 29 February: on which day they are told of in other years. */
  leapDay: 'february' | 'march';
}

export const MOST_MONTHS = 24;
const LANGUAGE = 'en-GB';

const COVER = 'cover';
const NOTES = 'notes';

/** The month a part is of, or its first; null for one that is of none. */
function monthOf(calendar: CalendarProduct, part: string): PartMonth | null {
  const { year, month } = calendar;
  if (part === COVER) return { year, month };
  const [, number] = /^[a-z]+-(\d+)$/.exec(part) ?? [];
  return number ? FORM_KINDS[calendar.form].of(calendar, Number(number) - 1) : null;
}

/** The last month a calendar may reach is the last there is. */
export const lastOf = (calendar: Pick<CalendarProduct, 'year' | 'month' | 'months'>): Month =>
  monthAfter(calendar, calendar.months - 1);

function parts(calendar: CalendarProduct): Part[] {
  const { width, height, form, cover, notes, language, binding } = calendar;
  const kind = FORM_KINDS[form];
  const side = (part: string, name: string, size: Size): Part => {
    const edge = boundAt(calendar, part);
    return {
      part,
      name,
      ...size,
      ...(binding && edge !== null ? { safe: boundSafe(binding.by, edge) } : {}),
    };
  };
  const leaf = { width, height };
  return [
    ...(cover ? [side(COVER, 'Cover', leaf)] : []),
    ...Array.from({ length: kind.count(calendar) }, (_, i) =>
      side(`${kind.part}-${i + 1}`, kind.called(kind.of(calendar, i), language), paperOf(form, leaf)),
    ),
    ...(notes ? [side(NOTES, 'Notes', leaf)] : []),
  ];
}

/** Where a paper is bound: at one of its edges, or along its fold; null for one that is not. */
function boundAt({ binding, form, height }: CalendarProduct, part: string): BoundEdge | number | null {
  const { bound, panels } = FORM_KINDS[form];
  if (!binding || !bound) return null;
  if (!panels) return binding.by === 'hook' ? 'top' : binding.at;
  const whole = part !== COVER && part !== NOTES;
  // A cover is lifted up and over: it hangs at its foot, and so shut the fold is above.
  if (binding.by === 'hook') return part === COVER ? 'bottom' : 'top';
  return whole ? height : 'top';
}

/** One leaf, where the others are two that hang together. */
const isLeaf = (part: string): boolean => part === COVER || part === NOTES;

const panels = (calendar: CalendarProduct, part: string): Panel[] | null =>
  isLeaf(part) ? null : (FORM_KINDS[calendar.form].panels?.(calendar) ?? null);

/** The years it is of, in words: `2027`, `2027 to 2028`, or nothing for one of any year. */
export function spanSays(calendar: CalendarProduct): string {
  if (FORM_KINDS[calendar.form].anyYear) return '';
  const { year } = lastOf(calendar);
  return year === calendar.year ? String(year) : `${calendar.year} to ${year}`;
}

const isForm = (way: string | undefined): way is CalendarForm => Object.hasOwn(CALENDAR_FORMS, way ?? '');

export const calendar: ProductKind<CalendarProduct> = {
  ...calendarStart,
  waysOut: ({ form }) =>
    FORM_KINDS[form].panels
      ? [
          { as: ['flat', 'spreads'], name: 'papers' },
          { as: ['pages'], name: 'leaves', panels: true },
        ]
      : [{ as: ['pages', 'flat', 'spreads'], name: 'pages' }],
  ordered: ({ form, binding }) => ({
    ...{ is: 'calendar', ...(binding ? { made: BINDINGS[binding.by].name.toLowerCase() } : {}) },
    files: FORM_KINDS[form].panels
      ? [
          { part: 'pages', way: 'papers', parts: (part) => !isLeaf(part) },
          { part: 'pages', way: 'papers', name: 'single-leaves', parts: isLeaf },
        ]
      : [{ part: 'pages', way: 'pages' }],
  }),
  checks: ['folds', 'binding'],
  folds: (product, part) => (panels(product, part) ? [{ axis: 'y', at: product.height }] : []),
  panels,
  bound: (product, part) => {
    const { binding, form, ...leaf } = product;
    const edge = boundAt(product, part);
    const paper = part === COVER || part === NOTES ? leaf : paperOf(form, leaf);
    return binding && edge !== null ? boundAlong(binding.by, paper, edge) : [];
  },
  // What stands is folded to stand.
  hangs: ({ form }) => form !== 'tent',
  begin({ width, height }, way, today) {
    const form = isForm(way) ? way : 'picture';
    const product: CalendarProduct = {
      ...{ kind: 'calendar', width, height, form },
      ...(FORM_KINDS[form].anyYear ? { year: 2000, month: 1 } : nextJanuary(today)),
      ...{ months: 12, language: LANGUAGE, weekStart: weekStartOf(LANGUAGE), leapDay: 'february' },
      ...(FORM_KINDS[form].cover ? { cover: true } : {}),
    };
    return { product, parts: parts(product) };
  },
  asNew(product, today) {
    const next = nextJanuary(today);
    const same =
      FORM_KINDS[product.form].anyYear || (product.year === next.year && product.month === next.month);
    return same ? product : { ...product, ...next };
  },
  sides: parts,
  says: (product, unit) => {
    const { form } = product;
    const what = `${formatSize(product, unit)} calendar, ${CALENDAR_FORMS[form].says}`;
    return [what, spanSays(product)].filter(Boolean).join(', ');
  },
  month: monthOf,
  language: ({ language }) => language,
  dated: spanSays,
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
