/** Steps: back, forward, compared. */
import { opens, type Command } from '@/features/table/tasks/command';

export const STEPS: readonly Command[] = [
  opens('Steps', 'Y', 'All steps by name', 'steps'),
  {
    keys: 'O',
    presses: ['O', 'Shift O'],
    does: 'Hold to see the page before the last step, with Shift before the last ten',
    group: 'Steps',
    listed: false,
    run: (store, event) => !event.repeat && store.getState().compare(event.shiftKey ? 10 : 1),
  },
  { keys: 'Ctrl Z', does: 'Undo', group: 'Steps', run: (store) => store.getState().undo() },
  {
    keys: 'Ctrl Shift Z',
    presses: ['Ctrl Shift Z', 'Ctrl Y'],
    does: 'Redo (also Ctrl Y)',
    group: 'Steps',
    run: (store) => store.getState().redo(),
  },
  opens('Steps', undefined, 'Before and after, side by side', 'versions'),
];
