/** What a command is, and how its keys are read. */
import type { SessionStore, SheetName, Show } from '@/features/table/session';

export const GROUPS = ['Pieces', 'Pile', 'Looking', 'Steps', 'Pages'] as const;

/** Something a person can ask for on the table. */
export interface Command {
  does: string;
  group: (typeof GROUPS)[number];
  /** As written for a person: `Ctrl Z`. Absent for what is reached by buttons and the list of all actions alone. */
  keys?: string;
  /** The key presses that mean it, if they are others than `keys`; none where the browser itself tells of it. */
  presses?: readonly string[];
  /** False for what only makes sense as a key. */
  listed?: boolean;
  /** It holds in fields too. */
  everywhere?: boolean;
  run(store: SessionStore, event: KeyboardEvent): unknown;
}

export const opens = (
  group: Command['group'],
  keys: string | undefined,
  does: string,
  sheet: SheetName,
): Command => ({ group, does, ...(keys ? { keys } : {}), run: (store) => store.getState().openSheet(sheet) });

export const toggles = (keys: string, does: string, what: keyof Show): Command => ({
  group: 'Looking',
  keys,
  does,
  run: (store) => store.getState().toggle(what),
});

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
      if (taken) throw new Error(`${press} is “${taken.does}” and “${command.does}”.`);
      found.set(spelt(press), command);
    }
  return found;
}
