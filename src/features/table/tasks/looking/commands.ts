/** How the table is looked at. */
import { heldOf } from '@/core/product';
import * as act from '@/features/table/acts';
import { nearer, slideNow } from '@/features/table/acts/slide';
import { focusPart } from '@/features/table/stage/focus';
import { NEEDS, opens, toggles, type Command } from '@/features/table/tasks/command';

/** What one press of + brings a photo closer in its place. */
const SLIDE_STEP = 1.1;

export const LOOKING: readonly Command[] = [
  opens('Looking', 'Shift V', 'Hold it in the hand', 'held', {
    more: 'Shut, opening, from behind',
    needs: ({ history }) =>
      heldOf(history.project) ? null : 'Pages lie flat: only what is folded is held in the hand.',
  }),
  opens('Looking', 'I', 'Guides by number', 'guides', { more: 'Or spaced evenly' }),
  {
    keys: 'Ctrl K',
    name: 'All actions',
    more: 'Found by typing',
    group: 'Looking',
    listed: false,
    run: (store) => store.getState().openSheet('actions'),
  },
  {
    keys: 'F6',
    presses: ['F6', 'Shift F6'],
    name: 'Next part of the screen',
    more: 'Page, panel, pile, workbox, top; with Shift the one before',
    group: 'Looking',
    listed: false,
    everywhere: true,
    run: (_, event) => focusPart(event.shiftKey ? -1 : 1),
  },
  {
    keys: '+',
    name: 'Closer',
    more: 'So is a photo that is being slid',
    group: 'Looking',
    run: (store) =>
      slideNow(store, (session, piece) => nearer(session, piece, SLIDE_STEP)) || act.zoomBy(store, 1),
  },
  {
    keys: '-',
    name: 'Further away',
    group: 'Looking',
    run: (store) =>
      slideNow(store, (session, piece) => nearer(session, piece, 1 / SLIDE_STEP)) || act.zoomBy(store, -1),
  },
  {
    keys: '2',
    name: 'As close as it fits',
    more: 'What is selected',
    group: 'Looking',
    needs: NEEDS.piece,
    run: act.zoomToChosen,
  },
  {
    keys: 'S',
    name: 'Snapping on or off',
    more: 'Ctrl held while dragging switches it off for once',
    group: 'Looking',
    run: (store) => store.getState().setSnapping(!store.getState().snapping),
  },
  toggles('E', 'Loupe', 'loupe', 'Three times as large, where the pointer is'),
  toggles('U', 'Show or hide guides', 'guides'),
  {
    keys: '.',
    name: 'The next panel close up',
    more: 'In reading order, from side to side; 0 shows all of the page',
    group: 'Looking',
    run: (store) => act.stepPanel(store, 1),
  },
  {
    keys: ',',
    name: 'The panel before close up',
    group: 'Looking',
    run: (store) => act.stepPanel(store, -1),
  },
  { keys: '0', name: 'The whole page', group: 'Looking', run: act.zoomFit },
  { keys: '1', name: 'True size', group: 'Looking', run: act.zoomTrue },
  toggles(
    'Z',
    'Bleed and safe area always shown',
    'zones',
    'They show by themselves when a piece comes near',
  ),
  toggles('6', 'Verbs beside the selection', 'verbs'),
  toggles('G', 'Show or hide the grid', 'grid'),
  toggles('C', 'Open or shut the cupboard', 'cupboard'),
  toggles('?', 'Keys and how-to', 'keys'),
  toggles('P', 'Put the side panel away', 'side'),
  toggles('W', 'Put the workbox away', 'workbox'),
  {
    keys: '5',
    name: 'One row or three in the workbox',
    group: 'Looking',
    run: (store) => store.getState().setBoxRows(store.getState().boxRows > 1 ? 1 : 3),
  },
];
