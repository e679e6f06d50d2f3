/** What a calendar begins with: its sizes, and what its leaves show. */
import type { ProductStart } from '@/core/product/product';
import { LARGEST_SIDE, size, type PageSize } from '@/core/units/sizes';

/** What its leaves show. */
export const CALENDAR_FORMS = {
  picture: { name: 'Picture', says: 'a picture and its month' },
  month: { name: 'Month', says: 'a month a page' },
  folded: { name: 'Folded', says: 'a picture above the fold, its month below' },
  tent: { name: 'Tent', says: 'folded to stand, a month on either face' },
  week: { name: 'Week', says: 'a week a page, to plan in' },
  year: { name: 'Year', says: 'a year at a glance' },
  birthdays: { name: 'Birthdays', says: 'days of any year' },
} as const;
export type CalendarForm = keyof typeof CALENDAR_FORMS;

/** What hangs on walls and stands on desks (common practice, no source); A5 and A4 are ISO 216. */
const SIZES: readonly PageSize[] = [
  size('12x12', '12 x 12 in', 'for the wall', 12, 12, 'in'),
  size('8.5x11', '8.5 x 11 in', 'letter paper, standing', 8.5, 11, 'in'),
  size('7x5', '7 x 5 in', 'for the desk', 7, 5, 'in'),
  size('a4', 'A4', '210 x 297 mm', 210, 297, 'mm'),
  size('a4l', 'A4, lying', '297 x 210 mm', 297, 210, 'mm'),
  size('a5l', 'A5, lying', '210 x 148 mm, for the desk', 210, 148, 'mm'),
];

/** Their paper is twice as high as what is seen of it at once. */
const FOLDED: readonly string[] = ['folded', 'tent'] satisfies CalendarForm[];

export const calendarStart: ProductStart<'calendar'> = {
  kind: 'calendar',
  name: 'Calendar',
  untitled: 'Untitled calendar',
  sizes: SIZES,
  mostSide: LARGEST_SIDE,
  ways: {
    label: 'With',
    all: Object.entries(CALENDAR_FORMS).map(([id, { name }]) => ({
      ...{ id, name },
      ...(FOLDED.includes(id) ? { mostSide: LARGEST_SIDE / 2 } : {}),
    })),
  },
  opens: (way) => (way === 'year' ? null : 'top'),
};
