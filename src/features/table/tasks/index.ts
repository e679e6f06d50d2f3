/** Every command of the table, contributed by task. Keys, the list of all actions and the “?” overlay read this one list. */
import { BOOK } from '@/features/table/tasks/book/commands';
import { CUTTER } from '@/features/table/tasks/cutter/commands';
import { SHEET } from '@/features/table/tasks/sheet/commands';
import { CALENDAR } from '@/features/table/tasks/calendar/commands';
import { COLOUR } from '@/features/table/tasks/colour/commands';
import { byPress, GROUPS, spelt, type Command } from '@/features/table/tasks/command';
import { CUTTING } from '@/features/table/tasks/cutting/commands';
import { LOOKING } from '@/features/table/tasks/looking/commands';
import { LINES } from '@/features/table/tasks/lines/commands';
import { PAGES } from '@/features/table/tasks/pages/commands';
import { PHOTOS } from '@/features/table/tasks/photos/commands';
import { PIECES } from '@/features/table/tasks/pieces/commands';
import { PILE } from '@/features/table/tasks/pile/commands';
import { PROOF } from '@/features/table/tasks/proof/commands';
import { SYNONYMS } from '@/features/table/tasks/synonyms';
import { STEPS } from '@/features/table/tasks/steps/commands';
import { WORDS } from '@/features/table/tasks/words/commands';

/** By group, and within one in the order of the tasks. */
export const COMMANDS: readonly Command[] = [
  ...PIECES,
  ...WORDS,
  ...CUTTING,
  ...LINES,
  ...PHOTOS,
  ...COLOUR,
  ...PILE,
  ...LOOKING,
  ...PROOF,
  ...STEPS,
  ...PAGES,
  ...CALENDAR,
  ...BOOK,
  ...SHEET,
  ...CUTTER,
].sort((a, b) => GROUPS.indexOf(a.group) - GROUPS.indexOf(b.group));

/** What is said of a command, and all it may be called: what is searched. */
export const saysOf = ({ name, more = '' }: Command): string =>
  `${name} ${more} ${SYNONYMS[name] ?? ''}`.toLowerCase();

/** Those that all of some words lead to, or their beginnings; whose own name begins so comes first. */
export function commandsFor(words: string, among: readonly Command[] = COMMANDS): Command[] {
  const typed = words.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
  const rank = ({ name }: Command): number => {
    const own = name.toLowerCase();
    return own.startsWith(typed[0] ?? '') ? 0 : typed.every((word) => own.includes(word)) ? 1 : 2;
  };
  return among
    .filter((command) => {
      const said = saysOf(command).match(/[\p{L}\p{N}]+/gu) ?? [];
      return typed.every((word) => said.some((one) => one.startsWith(word)));
    })
    .sort((a, b) => rank(a) - rank(b));
}

export const PRESSES = byPress(COMMANDS);

/** The command of a key, as `Ctrl D`; throws if there is none, so that no button ever names a key that does something else. */
export function commandOf(keys: string): Command {
  const command = PRESSES.get(spelt(keys)) ?? COMMANDS.find((one) => one.keys === keys);
  if (!command) throw new Error(`No command has the key ${keys}.`);
  return command;
}

/** `Duplicate (Ctrl D)`: the tip of a button that does the same as a key. */
export const tip = (name: string, keys: string): string => `${name} (${commandOf(keys).keys})`;
