/** The sheets of this task, each fetched when it is first wanted. */
import { fetched } from '@/ui/fetched';

export const BOOK_SHEETS = {
  book: fetched('The book', () => import('@/features/table/tasks/book/BookSheet').then((m) => m.BookSheet)),
  flow: fetched('Photos into the book', () =>
    import('@/features/table/tasks/book/FlowSheet').then((m) => m.FlowSheet),
  ),
  series: fetched('A numbered series', () =>
    import('@/features/table/tasks/book/SeriesSheet').then((m) => m.SeriesSheet),
  ),
  spreads: fetched('All pages of the book', () =>
    import('@/features/table/tasks/book/SpreadsSheet').then((m) => m.SpreadsSheet),
  ),
};
