/** How the table is looked at. */
import * as act from '@/features/table/acts';
import { nearer, slideNow } from '@/features/table/acts/slide';
import { focusPart } from '@/features/table/stage/focus';
import { opens, toggles, type Command } from '@/features/table/tasks/command';

/** What one press of + brings a photo closer in its place. */
const SLIDE_STEP = 1.1;

export const LOOKING: readonly Command[] = [
  opens('Looking', 'I', 'Guides by number, or spaced evenly', 'guides'),
  {
    keys: 'Ctrl K',
    does: 'All actions, found by typing',
    group: 'Looking',
    listed: false,
    run: (store) => store.getState().openSheet('actions'),
  },
  {
    keys: 'F6',
    presses: ['F6', 'Shift F6'],
    does: 'Next part of the screen: page, panel, pile, workbox, top; with Shift the one before',
    group: 'Looking',
    listed: false,
    everywhere: true,
    run: (_, event) => focusPart(event.shiftKey ? -1 : 1),
  },
  {
    keys: '+',
    does: 'Closer; a photo being slid, in its place',
    group: 'Looking',
    run: (store) =>
      slideNow(store, (session, piece) => nearer(session, piece, SLIDE_STEP)) || act.zoomBy(store, 1),
  },
  {
    keys: '-',
    does: 'Further away',
    group: 'Looking',
    run: (store) =>
      slideNow(store, (session, piece) => nearer(session, piece, 1 / SLIDE_STEP)) || act.zoomBy(store, -1),
  },
  { keys: '2', does: 'As close as the selection fits', group: 'Looking', run: act.zoomToChosen },
  {
    keys: 'S',
    does: 'Snapping on or off; hold Ctrl while dragging to switch it off for once',
    group: 'Looking',
    run: (store) => store.getState().setSnapping(!store.getState().snapping),
  },
  toggles('E', 'Loupe: three times as large, where the pointer is', 'loupe'),
  toggles('U', 'Show or hide guides', 'guides'),
  { keys: '0', does: 'The whole page', group: 'Looking', run: act.zoomFit },
  { keys: '1', does: 'True size', group: 'Looking', run: act.zoomTrue },
  toggles('Z', 'Show or hide bleed and safe area', 'zones'),
  toggles('G', 'Show or hide the grid', 'grid'),
  toggles('C', 'Open or shut the cupboard', 'cupboard'),
  toggles('?', 'Keys and how-to', 'keys'),
  toggles('P', 'Put the side panel away', 'side'),
  toggles('W', 'Put the workbox away', 'workbox'),
];
