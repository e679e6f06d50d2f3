/** Every action of the table by name: those with keys, and those that are reached by buttons or this list alone. */
import { ROLES } from '@/core/piece/piece';
import * as act from '@/features/table/room/actions';
import type { SheetName, SessionStore } from '@/features/table/room/session';
import { SHORTCUTS, type Shortcut } from '@/features/table/room/shortcuts';

export type Command = Pick<Shortcut, 'keys' | 'does' | 'group' | 'run'>;

const command = (group: Command['group'], does: string, run: (store: SessionStore) => unknown): Command => ({
  keys: '',
  does,
  group,
  run,
});
const opens = (group: Command['group'], does: string, sheet: SheetName): Command =>
  command(group, does, (store) => store.setState({ sheet }));

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

export const COMMANDS: readonly Command[] = [
  ...SHORTCUTS.filter(({ listed }) => listed !== false),
  ...ROLES.map((role) =>
    command('Pieces', `Select all ${MANY[role]}`, (store) => act.selectAll(store, role)),
  ),
  command('Pieces', 'Select everything else', act.selectOthers),
  command('Pieces', 'Lock everything else', act.lockOthers),
  command('Pieces', 'Bring back to the page', act.bringBack),
  opens('Steps', 'Before and after, side by side', 'versions'),
  command('Pieces', 'Move the points of an outline', act.startReshaping),
  command('Pieces', 'Make places for photos of what is selected', act.makePlaces),
  opens('Pieces', 'Copy to other pages', 'pages'),
  opens('Pieces', 'Cut papers by the tones of a picture', 'template'),
  opens('Pieces', 'Trace a picture to an outline', 'trace'),
  opens('Pieces', 'Colours across pieces: from ink to ink, or each a little different', 'across'),
  ...(
    [
      ['left', 'left edges'],
      ['centre', 'middles across'],
      ['right', 'right edges'],
      ['top', 'upper edges'],
      ['middle', 'middles down'],
      ['bottom', 'lower edges'],
    ] as const
  ).map(([to, what]) =>
    command('Pieces', `Line up ${what}`, (store) => act.alignChosen(store, to, 'each other')),
  ),
  command('Pieces', 'Space out across', (store) => act.distributeChosen(store, 'x', 'each other')),
  command('Pieces', 'Space out down', (store) => act.distributeChosen(store, 'y', 'each other')),
  command('Pages', 'Add a page', (store) => act.addPageAfter(store, false)),
  command('Pages', 'Copy this page', (store) => act.addPageAfter(store, true)),
  opens('Pages', 'Contact sheets of all photos', 'contact'),
  command('Pages', 'Delete this page', act.deletePage),
  command('Pages', 'Lock or unlock this page', act.togglePageLock),
];
