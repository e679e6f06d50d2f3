/** Pages turned, added, copied, locked. */
import * as act from '@/features/table/acts';
import type { Command } from '@/features/table/tasks/command';

export const PAGES: readonly Command[] = [
  { keys: 'Alt Page Down', name: 'The next page', group: 'Pages', run: (store) => act.turnPage(store, 1) },
  { keys: 'Alt Page Up', name: 'The page before', group: 'Pages', run: (store) => act.turnPage(store, -1) },
  { group: 'Pages', name: 'Add a page', run: (store) => act.addPageAfter(store, false) },
  { group: 'Pages', name: 'Copy this page', run: (store) => act.addPageAfter(store, true) },
  { group: 'Pages', name: 'Delete this page', run: act.deletePage },
  { group: 'Pages', name: 'Lock or unlock this page', run: act.togglePageLock },
];
