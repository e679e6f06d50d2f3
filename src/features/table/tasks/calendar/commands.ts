/** Calendars, months and the days in them. */
import { calendarIn } from '@/core/product/calendar';
import * as act from '@/features/table/acts';
import { NEEDS, opens, type Command } from '@/features/table/tasks/command';

const NO_CALENDAR: Command['needs'] = ({ history }) =>
  calendarIn(history.project.product) ? null : 'This is no calendar: it has no year of its own.';

export const CALENDAR: readonly Command[] = [
  opens('Pages', 'Shift Y', 'The calendar', 'calendar', {
    more: 'Its year, first month, language, pages',
    needs: NO_CALENDAR,
  }),
  opens('Pages', undefined, 'Days to remember', 'days', {
    more: 'Birthdays and others, for months to tell of',
  }),
  opens('Pages', 'Shift N', 'Carry on to other months', 'carry', {
    more: 'What is selected, or the whole page',
    needs: NO_CALENDAR,
  }),
  {
    name: 'Fill the months with photos',
    more: 'Each in the month it was taken in',
    group: 'Pages',
    needs: NO_CALENDAR,
    run: (store) => act.fillMonths(store),
  },
  {
    name: 'Hold it to its day',
    more: 'The one it lies on, of every year',
    group: 'Pieces',
    needs: NEEDS.piece,
    run: (store) => act.holdChosen(store),
  },
  {
    name: 'Lay a month',
    more: 'Its days in a box, a row, a dial',
    group: 'Pieces',
    run: (store) => act.layMonth(store),
  },
  {
    name: 'Lay a small month before',
    group: 'Pieces',
    run: (store) => act.layMonth(store, -1),
  },
  {
    name: 'Lay a small month after',
    group: 'Pieces',
    run: (store) => act.layMonth(store, 1),
  },
];
