/** Small things on sheets of paper. */
import { sheetIn } from '@/core/product/sheet';
import { opens, type Command } from '@/features/table/tasks/command';

export const SHEET: readonly Command[] = [
  opens('Pages', 'Shift Z', 'Sheet and paper', 'paper', {
    more: 'How many of each card, and how they lie on the paper they are cut from',
    needs: ({ history }) => (sheetIn(history.project.product) ? null : 'This is no sheet of small things.'),
  }),
];
