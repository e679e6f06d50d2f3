/** The pile: what lies over what, and stepping through it. */
import * as act from '@/features/table/acts';
import { stepPart } from '@/features/table/acts/slide';
import type { Command } from '@/features/table/tasks/command';

export const PILE: readonly Command[] = [
  { keys: 'Q', does: 'Peek: list all that lies under the pointer', group: 'Pile', run: act.peek },
  {
    keys: 'N',
    does: 'Select the next piece up, the next point, or the next letter of which the photo is slid',
    group: 'Pile',
    run: (store) => act.stepPoint(store, 1) || stepPart(store, 1) || act.step(store, 1),
  },
  {
    keys: 'B',
    does: 'Select the next piece down, the point or the letter before',
    group: 'Pile',
    run: (store) => act.stepPoint(store, -1) || stepPart(store, -1) || act.step(store, -1),
  },
  {
    keys: 'Page Up',
    does: 'Raise one step in the pile',
    group: 'Pile',
    run: (store) => act.shiftInPile(store, 'up'),
  },
  {
    keys: 'Page Down',
    does: 'Lower one step',
    group: 'Pile',
    run: (store) => act.shiftInPile(store, 'down'),
  },
  {
    keys: 'Home',
    does: 'To the top of the pile',
    group: 'Pile',
    run: (store) => act.shiftInPile(store, 'top'),
  },
  {
    keys: 'End',
    does: 'To the bottom of the pile',
    group: 'Pile',
    run: (store) => act.shiftInPile(store, 'bottom'),
  },
];
