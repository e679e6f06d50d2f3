/** Pages turned, added, copied, locked. */
import { extrasOf } from '@/core/product';
import * as act from '@/features/table/acts';
import { NEEDS, type Command } from '@/features/table/tasks/command';

export const PAGES: readonly Command[] = [
  { keys: 'Alt Page Down', name: 'The next page', group: 'Pages', run: (store) => act.turnPage(store, 1) },
  { keys: 'Alt Page Up', name: 'The page before', group: 'Pages', run: (store) => act.turnPage(store, -1) },
  {
    keys: 'Ctrl P',
    name: 'Make a file',
    more: 'For a print shop, for sharing, for a cutter',
    group: 'Pages',
    run: (store) => store.getState().askMake('page'),
  },
  {
    keys: 'Ctrl Shift P',
    name: 'Make a picture of what is selected',
    more: 'By itself, trimmed, clear around it',
    group: 'Pages',
    needs: NEEDS.piece,
    run: (store) => store.getState().askMake('chosen'),
  },
  {
    group: 'Pages',
    name: 'Add a page',
    needs: act.NONE_MORE,
    run: (store) => act.addPageAfter(store, false),
  },
  {
    group: 'Pages',
    name: 'Copy this page',
    needs: act.NO_COPY,
    run: (store) => act.addPageAfter(store, true),
  },
  { group: 'Pages', name: 'Delete this page', needs: act.STAYS, run: act.deletePage },
  {
    group: 'Pages',
    name: 'An envelope that fits',
    more: 'Of a card: both its faces, or away again',
    needs: ({ history }) =>
      extrasOf(history.project.product).some(({ id }) => id === 'envelope')
        ? null
        : 'Only a card has an envelope.',
    run: (store) => act.toggleExtra(store, 'envelope'),
  },
  { group: 'Pages', name: 'Lock or unlock this page', run: act.togglePageLock },
];
