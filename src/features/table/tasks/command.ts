/** What a command is, and how its keys are read. */
import { groupsAmong } from '@/core/project/edits/group';
import { unitsOf } from '@/core/project/tree';
import { chosen, page, selectAll, step } from '@/features/table/acts/choosing';
import type { Session, SessionStore, SheetName, Show } from '@/features/table/session';

export const GROUPS = ['Pieces', 'Pile', 'Looking', 'Steps', 'Pages'] as const;

/** Something a person can ask for on the table. */
export interface Command {
  /** Short, as it is found by. */
  name: string;
  /** The rest of it: what for, what else the key does. */
  more?: string;
  group: (typeof GROUPS)[number];
  /** As written for a person: `Ctrl Z`. Absent for what is reached by buttons and the list of all actions alone. */
  keys?: string;
  /** The key presses that mean it, if they are others than `keys`; none where the browser itself tells of it. */
  presses?: readonly string[];
  /** False for what only makes sense as a key. */
  listed?: boolean;
  /** It holds in fields too. */
  everywhere?: boolean;
  /** Says why it cannot be done now; null where it can. */
  needs?(session: Session): string | null;
  run(store: SessionStore, event: KeyboardEvent): unknown;
}

type More = Pick<Command, 'more' | 'needs'>;

export const opens = (
  group: Command['group'],
  keys: string | undefined,
  name: string,
  sheet: SheetName,
  more: More = {},
): Command => ({
  group,
  name,
  ...more,
  ...(keys ? { keys } : {}),
  run: (store) => store.getState().openSheet(sheet),
});

export const toggles = (keys: string, name: string, what: keyof Show, more?: string): Command => ({
  group: 'Looking',
  keys,
  name,
  ...(more ? { more } : {}),
  run: (store) => store.getState().toggle(what),
});

const NO_PIECE = 'Select a piece first.';
const NO_TWO = 'Select two pieces first, or more.';

/** What a command needs to have been selected. */
export const NEEDS = {
  piece: (session) => (session.selection.length ? null : NO_PIECE),
  two: (session) => (unitsOf(chosen(session), session.entered).length > 1 ? null : NO_TWO),
  group: (session) =>
    groupsAmong(page(session), session.selection, session.entered).length ? null : 'Select a group first.',
} satisfies Record<string, Command['needs']>;

/** What leads on from a refusal: by why it was refused. */
const NEXT: Readonly<Record<string, { label: string; run: (store: SessionStore) => unknown }>> = {
  [NO_PIECE]: { label: 'Take the topmost', run: (store) => step(store, -1) },
  [NO_TWO]: { label: 'Select everything', run: (store) => selectAll(store) },
  'Select a piece of paper first.': { label: 'Select the papers', run: (store) => selectAll(store, 'paper') },
};

/** Does a command, or says why it cannot be done, and what may be done instead. */
export function obey(command: Command, store: SessionStore, event: KeyboardEvent): unknown {
  const why = command.needs?.(store.getState());
  if (!why) return command.run(store, event);
  const next = NEXT[why];
  return store.getState().refuse(why, next && { label: next.label, run: () => void next.run(store) });
}

const NAMED: Record<string, string> = { escape: 'esc', backspace: 'delete' };
/** Signs that are reached with Shift on some keyboards and without on others. */
const SIGNS: Record<string, string> = { '=': '+', '+': '+', '-': '-', '?': '?' };

/** A key press in the words of `keys`, in one spelling: `ctrl shift z`. */
export function pressOf({ key, ctrlKey, metaKey, altKey, shiftKey }: KeyboardEvent): string {
  const sign = SIGNS[key];
  const name = sign ?? NAMED[key.toLowerCase()] ?? key.toLowerCase();
  return [
    ...(!sign && (ctrlKey || metaKey) ? ['ctrl'] : []),
    ...(altKey ? ['alt'] : []),
    ...(!sign && shiftKey ? ['shift'] : []),
    name,
  ].join(' ');
}

/** `Alt Page Down` in the spelling of `pressOf`. */
export const spelt = (keys: string): string =>
  keys.toLowerCase().replace('page ', 'page').replace('arrow ', 'arrow');

/** Which command a key press means. Throws if two lay claim to the same. */
export function byPress(commands: readonly Command[]): ReadonlyMap<string, Command> {
  const found = new Map<string, Command>();
  for (const command of commands)
    for (const press of command.presses ?? (command.keys ? [command.keys] : [])) {
      const taken = found.get(spelt(press));
      if (taken) throw new Error(`${press} is “${taken.name}” and “${command.name}”.`);
      found.set(spelt(press), command);
    }
  return found;
}
