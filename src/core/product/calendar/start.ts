/** What a calendar begins with: its sizes, and what its leaves show. */
import type { ProductStart } from '@/core/product/product';
import { LARGEST_SIDE, size, type PageSize } from '@/core/units/sizes';

interface FormStart {
  name: string;
  says: string;
  /** How many times as high as what is seen of it at once its paper is; once, without. */
  leaves?: number;
}

/** What its leaves show. */
export const CALENDAR_FORMS = {
  picture: { name: 'Picture', says: 'a picture and its month' },
  month: { name: 'Month', says: 'a month a page' },
  folded: { name: 'Folded', says: 'a picture above the fold, its month below', leaves: 2 },
  tent: { name: 'Tent', says: 'folded to stand, a month on either face', leaves: 2 },
  week: { name: 'Week', says: 'a week a page, to plan in' },
  year: { name: 'Year', says: 'a year at a glance' },
  birthdays: { name: 'Birthdays', says: 'days of any year' },
} satisfies Record<string, FormStart>;
export type CalendarForm = keyof typeof CALENDAR_FORMS;

export const leavesOf = ({ leaves = 1 }: FormStart): number => leaves;

/** What hangs on walls and stands on desks (common practice, no source); A5 and A4 are ISO 216. */
const SIZES: readonly PageSize[] = [
  size('12x12', '12 x 12 in', 'for the wall', 12, 12, 'in'),
  size('8.5x11', '8.5 x 11 in', 'letter paper, standing', 8.5, 11, 'in'),
  size('7x5', '7 x 5 in', 'for the desk', 7, 5, 'in'),
  size('a4', 'A4', '210 x 297 mm', 210, 297, 'mm'),
  size('a4l', 'A4, lying', '297 x 210 mm', 297, 210, 'mm'),
  size('a5l', 'A5, lying', '210 x 148 mm, for the desk', 210, 148, 'mm'),
];

export const calendarStart: ProductStart<'calendar'> = {
  kind: 'calendar',
  name: 'Calendar',
  untitled: 'Untitled calendar',
  sizes: SIZES,
  mostSide: LARGEST_SIDE,
  ways: {
    label: 'With',
    all: Object.entries(CALENDAR_FORMS).map(([id, form]) => ({
      ...{ id, name: form.name, mostSide: LARGEST_SIDE / leavesOf(form) },
    })),
  },
  opens: (way) => (way === 'year' ? null : 'top'),
};
