/** Pieces moved, copied, chosen, grouped, lined up. */
import { ROLES } from '@/core/piece/piece';
import * as act from '@/features/table/acts';
import type { Mode, SessionStore } from '@/features/table/session';
import { pushed, slideNow } from '@/features/table/acts/slide';
import { NEEDS, opens, type Command } from '@/features/table/tasks/command';

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
  month: 'months',
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
    name: 'Nudge',
    more: 'By 1/100 in, with Shift by 1/10 in; so are a photo being slid and a held point',
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
    name: 'Delete',
    more: 'What is selected; the held point of an outline, or the last one drawn',
    group: 'Pieces',
    run: (store) =>
      act.dropPoint(store) || act.dropLine(store) || act.removePoint(store) || act.remove(store),
  },
  // The browser tells of these three: see useClipboard.
  { keys: 'Ctrl C', presses: [], name: 'Copy', group: 'Pieces', needs: NEEDS.piece, run: act.copy },
  { keys: 'Ctrl X', presses: [], name: 'Cut out', group: 'Pieces', needs: NEEDS.piece, run: act.cut },
  { keys: 'Ctrl V', presses: [], name: 'Paste', group: 'Pieces', run: act.paste },
  {
    keys: 'Ctrl D',
    name: 'Duplicate',
    more: 'A copy a quarter inch beside it',
    group: 'Pieces',
    needs: NEEDS.piece,
    run: (store) => act.duplicate(store),
  },
  {
    keys: 'Ctrl Shift D',
    name: 'Duplicate in place',
    group: 'Pieces',
    needs: NEEDS.piece,
    run: (store) => act.duplicate(store, { x: 0, y: 0 }),
  },
  {
    keys: 'Ctrl Enter',
    name: 'Copy to the next page',
    more: 'In the same place; after the last page a page is added',
    group: 'Pieces',
    needs: NEEDS.piece,
    run: act.copyToNextPage,
  },
  { keys: 'Ctrl A', name: 'Select everything', group: 'Pieces', run: (store) => act.selectAll(store) },
  opens('Pieces', 'R', 'Rows and columns', 'rows', { more: 'Copies of it in a grid', needs: NEEDS.piece }),
  {
    keys: 'K',
    name: 'Match',
    more: 'Give others its size, angle, ink …',
    group: 'Pieces',
    needs: NEEDS.piece,
    run: (store) => store.getState().openSheet('match'),
  },
  { keys: 'Ctrl G', name: 'Group', group: 'Pieces', needs: NEEDS.two, run: act.group },
  {
    keys: 'Ctrl Shift G',
    name: 'Ungroup',
    group: 'Pieces',
    needs: NEEDS.group,
    run: act.ungroupChosen,
  },
  {
    keys: 'M',
    name: 'Mirror left to right',
    group: 'Pieces',
    needs: NEEDS.piece,
    run: (store) => act.mirror(store),
  },
  {
    keys: 'V',
    name: 'Flip top to bottom',
    group: 'Pieces',
    needs: NEEDS.piece,
    run: (store) => act.mirror(store, 'y'),
  },
  {
    name: 'Turn the paper over',
    more: 'Papers of kits are printed on both sides',
    group: 'Pieces',
    needs: act.NO_PAPER,
    run: act.turnOver,
  },
  {
    keys: 'L',
    name: 'Lock or unlock',
    group: 'Pieces',
    needs: NEEDS.piece,
    run: (store) => act.toggleLock(store),
  },
  { keys: 'H', name: 'Hide', group: 'Pieces', needs: NEEDS.piece, run: (store) => act.toggleHidden(store) },
  {
    keys: 'Enter',
    name: 'Go into it',
    more: 'Open the group, slide the photo in its place, write on, or move points; again when done',
    group: 'Pieces',
    run: (store) => MODES[store.getState().mode.kind].enter(store),
  },
  {
    keys: 'Esc',
    name: 'Let go',
    more: 'Shut the open sheet, let go, or close the open group',
    group: 'Pieces',
    listed: false,
    run: letGo,
  },
  ...(
    [
      ['Material', 'What it is made of', 'paper, ink, and how the picture lies in it'],
      ['Cut', 'How it is cut', 'outline, corners, edge'],
      ['Finish', 'How it is finished', 'opacity, shadow, stroke, mats, surface'],
      ['Place', 'Where it lies', 'size, place, turn'],
    ] as const
  ).map(([row, name, what]): Command => ({
    group: 'Pieces',
    name,
    more: `${row} in the side panel: ${what}`,
    needs: NEEDS.piece,
    run: (store) => store.getState().lookAtRow(row),
  })),
  ...ROLES.map((role): Command => ({
    group: 'Pieces',
    name: `Select all ${MANY[role]}`,
    run: (store) => act.selectAll(store, role),
  })),
  { group: 'Pieces', name: 'Select everything else', run: act.selectOthers },
  { group: 'Pieces', name: 'Lock everything else', needs: NEEDS.piece, run: act.lockOthers },
  { group: 'Pieces', name: 'Bring back to the page', needs: NEEDS.piece, run: act.bringBack },
  opens('Pieces', undefined, 'Copy to other pages', 'pages', { needs: NEEDS.piece }),
  {
    group: 'Pieces',
    keys: 'Shift E',
    name: 'Lay it on every page',
    more: 'Alike everywhere from then on; of a spread on the same side',
    needs: act.NOT_EVERYWHERE,
    run: act.layEverywhere,
  },
  {
    group: 'Pieces',
    name: 'Let it go on this page',
    more: 'Of what lies on every page',
    needs: act.NOT_SHARED,
    run: act.letSharedGo,
  },
  { group: 'Pieces', name: 'Take it from every page', needs: act.NOT_SHARED, run: act.takeFromAll },
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
    name: `Line up ${what}`,
    needs: NEEDS.piece,
    run: (store) => act.alignChosen(store, to, 'each other'),
  })),
  {
    group: 'Pieces',
    name: 'Space out across',
    needs: NEEDS.two,
    run: (store) => act.distributeChosen(store, 'x', 'each other'),
  },
  {
    group: 'Pieces',
    name: 'Space out down',
    needs: NEEDS.two,
    run: (store) => act.distributeChosen(store, 'y', 'each other'),
  },
];
