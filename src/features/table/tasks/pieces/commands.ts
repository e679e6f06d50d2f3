/** Pieces moved, copied, chosen, grouped, lined up. */
import { ROLES } from '@/core/piece/piece';
import * as act from '@/features/table/acts';
import type { Mode, SessionStore } from '@/features/table/session';
import { pushed, slideNow } from '@/features/table/acts/slide';
import { opens, type Command } from '@/features/table/tasks/command';

const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** What roles are called when there are many. */
const MANY: Record<(typeof ROLES)[number], string> = {
  photo: 'photos',
  paper: 'papers',
  mat: 'mats',
  title: 'titles',
  journaling: 'journaling',
  caption: 'captions',
  embellishment: 'embellishments',
  frame: 'frames',
  stamp: 'stamps',
  letter: 'letters',
};

/** Takes over what is being matched, or goes into what is selected. */
const goOn = (store: SessionStore): unknown => {
  const { matching, selection } = store.getState();
  return matching ? act.match(store, matching, selection) : act.goInto(store);
};

/** What Enter and Escape come to in each mode. */
const MODES: Record<
  Mode['kind'],
  { enter(store: SessionStore): unknown; escape(store: SessionStore): unknown }
> = {
  pick: { enter: goOn, escape: (store) => act.leave(store) || store.getState().select([]) },
  slide: { enter: (store) => store.getState().pick(), escape: (store) => store.getState().pick() },
  reshape: { enter: (store) => store.getState().pick(), escape: (store) => store.getState().pick() },
  write: { enter: goOn, escape: act.stopWriting },
};

function letGo(store: SessionStore): unknown {
  const { mode, matching, compared, peeking, sheet, matchFrom, compare, peekAt, closeSheet } =
    store.getState();
  if (matching || compared || peeking) {
    matchFrom(null);
    compare(0);
    return peekAt(null);
  }
  // What is open over the table goes first; what is selected stays.
  if (sheet) return closeSheet();
  return MODES[mode.kind].escape(store);
}

export const PIECES: readonly Command[] = [
  {
    keys: 'Arrows',
    presses: Object.keys(ARROWS).flatMap((name) => [name, `Shift ${name}`]),
    does: 'Nudge by 1/100 in, with Shift by 1/10 in; a photo being slid, in its place; a held point',
    group: 'Pieces',
    listed: false,
    run: (store, event) => {
      const [x, y] = ARROWS[event.key]!;
      const by = act.NUDGE * (event.shiftKey ? 10 : 1);
      return (
        act.nudgePoint(store, x * by, y * by) ||
        slideNow(store, (session, piece) => pushed(session, piece, { x: x * by, y: y * by })) ||
        act.nudge(store, x * by, y * by)
      );
    },
  },
  {
    keys: 'Delete',
    presses: ['Delete', 'Shift Delete'],
    does: 'Delete what is selected; the held point of an outline, the last one drawn',
    group: 'Pieces',
    run: (store) => act.dropPoint(store) || act.removePoint(store) || act.remove(store),
  },
  // The browser tells of these three: see useClipboard.
  { keys: 'Ctrl C', presses: [], does: 'Copy', group: 'Pieces', run: act.copy },
  { keys: 'Ctrl X', presses: [], does: 'Cut out', group: 'Pieces', run: act.cut },
  { keys: 'Ctrl V', presses: [], does: 'Paste', group: 'Pieces', run: act.paste },
  { keys: 'Ctrl D', does: 'Duplicate', group: 'Pieces', run: (store) => act.duplicate(store) },
  {
    keys: 'Ctrl Shift D',
    does: 'Duplicate in place',
    group: 'Pieces',
    run: (store) => act.duplicate(store, { x: 0, y: 0 }),
  },
  {
    keys: 'Ctrl Enter',
    does: 'Copy to the next page, in the same place',
    group: 'Pieces',
    run: act.copyToNextPage,
  },
  { keys: 'Ctrl A', does: 'Select everything', group: 'Pieces', run: (store) => act.selectAll(store) },
  opens('Pieces', 'R', 'Rows and columns of it', 'rows'),
  {
    keys: 'K',
    does: 'Match: give others its size, angle, ink …',
    group: 'Pieces',
    run: (store) => store.getState().selection.length && store.getState().openSheet('match'),
  },
  { keys: 'Ctrl G', does: 'Group', group: 'Pieces', run: act.group },
  { keys: 'Ctrl Shift G', does: 'Ungroup', group: 'Pieces', run: act.ungroupChosen },
  { keys: 'M', does: 'Mirror left to right', group: 'Pieces', run: (store) => act.mirror(store) },
  { keys: 'V', does: 'Flip top to bottom', group: 'Pieces', run: (store) => act.mirror(store, 'y') },
  { keys: 'L', does: 'Lock or unlock', group: 'Pieces', run: (store) => act.toggleLock(store) },
  { keys: 'H', does: 'Hide', group: 'Pieces', run: (store) => act.toggleHidden(store) },
  {
    keys: 'Enter',
    does: 'Open the group, slide the photo in its place, write on, or move points; again when done',
    group: 'Pieces',
    run: (store) => MODES[store.getState().mode.kind].enter(store),
  },
  {
    keys: 'Esc',
    does: 'Shut the open sheet, let go, or close the open group',
    group: 'Pieces',
    listed: false,
    run: letGo,
  },
  ...ROLES.map((role): Command => ({
    group: 'Pieces',
    does: `Select all ${MANY[role]}`,
    run: (store) => act.selectAll(store, role),
  })),
  { group: 'Pieces', does: 'Select everything else', run: act.selectOthers },
  { group: 'Pieces', does: 'Lock everything else', run: act.lockOthers },
  { group: 'Pieces', does: 'Bring back to the page', run: act.bringBack },
  opens('Pieces', undefined, 'Copy to other pages', 'pages'),
  ...(
    [
      ['left', 'left edges'],
      ['centre', 'middles across'],
      ['right', 'right edges'],
      ['top', 'upper edges'],
      ['middle', 'middles down'],
      ['bottom', 'lower edges'],
    ] as const
  ).map(([to, what]): Command => ({
    group: 'Pieces',
    does: `Line up ${what}`,
    run: (store) => act.alignChosen(store, to, 'each other'),
  })),
  {
    group: 'Pieces',
    does: 'Space out across',
    run: (store) => act.distributeChosen(store, 'x', 'each other'),
  },
  { group: 'Pieces', does: 'Space out down', run: (store) => act.distributeChosen(store, 'y', 'each other') },
];
