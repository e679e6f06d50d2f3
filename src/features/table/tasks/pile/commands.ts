/** The pile: what lies over what, and stepping through it. */
import * as act from '@/features/table/acts';
import { stepPart } from '@/features/table/acts/slide';
import { NEEDS, type Command } from '@/features/table/tasks/command';

export const PILE: readonly Command[] = [
  {
    keys: 'Q',
    name: 'Peek',
    more: 'Everything that lies under the pointer, to choose from',
    group: 'Pile',
    run: act.peek,
  },
  {
    keys: 'N',
    name: 'Next piece up',
    more: 'Selects it; so with points, and with letters that show a photo each',
    group: 'Pile',
    run: (store) => act.stepPoint(store, 1) || stepPart(store, 1) || act.step(store, 1),
  },
  {
    keys: 'B',
    name: 'Next piece down',
    more: 'Selects it; so with points, and with letters that show a photo each',
    group: 'Pile',
    run: (store) => act.stepPoint(store, -1) || stepPart(store, -1) || act.step(store, -1),
  },
  {
    keys: 'Page Up',
    name: 'Raise one step',
    group: 'Pile',
    needs: NEEDS.piece,
    run: (store) => act.shiftInPile(store, 'up'),
  },
  {
    keys: 'Page Down',
    name: 'Lower one step',
    group: 'Pile',
    needs: NEEDS.piece,
    run: (store) => act.shiftInPile(store, 'down'),
  },
  {
    keys: 'Home',
    name: 'To the top of the pile',
    group: 'Pile',
    needs: NEEDS.piece,
    run: (store) => act.shiftInPile(store, 'top'),
  },
  {
    keys: 'End',
    name: 'To the bottom of the pile',
    group: 'Pile',
    needs: NEEDS.piece,
    run: (store) => act.shiftInPile(store, 'bottom'),
  },
];
