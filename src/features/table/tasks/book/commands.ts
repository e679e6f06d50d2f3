/** Books: bound, filled with photos, looked over. */
import * as act from '@/features/table/acts';
import { bookIn } from '@/core/product/book';
import { opens, type Command } from '@/features/table/tasks/command';

const NO_BOOK: Command['needs'] = ({ history }) =>
  bookIn(history.project.product) ? null : 'This is no book: it has no spreads.';

export const BOOK: readonly Command[] = [
  opens('Pages', 'Shift J', 'The book', 'book', {
    more: 'Its binding, paper, spine and number of pages',
    needs: NO_BOOK,
  }),
  opens('Pages', 'Shift P', 'Let photos flow into the book', 'flow', {
    more: 'All of it laid by itself, in a design',
    needs: NO_BOOK,
  }),
  opens('Pages', 'Shift G', 'All pages of the book', 'spreads', {
    more: 'Beside each other: moved, locked, laid otherwise',
    needs: NO_BOOK,
  }),
  opens('Pages', undefined, 'A numbered series of pages', 'series', {
    more: 'One thought and one photo a page, counted',
    needs: act.NONE_MORE,
  }),
];
