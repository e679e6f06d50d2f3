/** Steps: back, forward, compared. */
import { opens, type Command } from '@/features/table/tasks/command';

export const STEPS: readonly Command[] = [
  opens('Steps', 'Y', 'All steps', 'steps', { more: 'By name, to go back to any of them' }),
  {
    keys: 'O',
    presses: ['O', 'Shift O'],
    name: 'See it as it was',
    more: 'While it is held: before the last step, with Shift before the last ten',
    group: 'Steps',
    listed: false,
    run: (store, event) => !event.repeat && store.getState().compare(event.shiftKey ? 10 : 1),
  },
  { keys: 'Ctrl Z', name: 'Undo', group: 'Steps', run: (store) => store.getState().undo() },
  {
    keys: 'Ctrl Shift Z',
    presses: ['Ctrl Shift Z', 'Ctrl Y'],
    name: 'Redo',
    more: 'Also Ctrl Y',
    group: 'Steps',
    run: (store) => store.getState().redo(),
  },
  opens('Steps', undefined, 'Before and after', 'versions', { more: 'Side by side' }),
];
