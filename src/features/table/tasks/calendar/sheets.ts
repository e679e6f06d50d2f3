/** The sheets of this task, each fetched when it is first wanted. */
import { fetched } from '@/ui/fetched';

export const CALENDAR_SHEETS = {
  calendar: fetched('The calendar', () =>
    import('@/features/table/tasks/calendar/CalendarSheet').then((m) => m.CalendarSheet),
  ),
  carry: fetched('Carry on to other months', () =>
    import('@/features/table/tasks/calendar/CarrySheet').then((m) => m.CarrySheet),
  ),
  days: fetched('Days to remember', () =>
    import('@/features/table/tasks/calendar/DaysSheet').then((m) => m.DaysSheet),
  ),
};
