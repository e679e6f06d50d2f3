/** Every command of the table, contributed by task. Keys, the list of all actions and the “?” overlay read this one list. */
import { COLOUR } from '@/features/table/commands/colour';
import { byPress, GROUPS, type Command } from '@/features/table/commands/command';
import { CUTTING } from '@/features/table/commands/cutting';
import { LOOKING } from '@/features/table/commands/looking';
import { PAGES } from '@/features/table/commands/pages';
import { PHOTOS } from '@/features/table/commands/photos';
import { PIECES } from '@/features/table/commands/pieces';
import { PILE } from '@/features/table/commands/pile';
import { STEPS } from '@/features/table/commands/steps';
import { WORDS } from '@/features/table/commands/words';

/** By group, and within one in the order of the tasks. */
export const COMMANDS: readonly Command[] = [
  ...PIECES,
  ...WORDS,
  ...CUTTING,
  ...PHOTOS,
  ...COLOUR,
  ...PILE,
  ...LOOKING,
  ...STEPS,
  ...PAGES,
].sort((a, b) => GROUPS.indexOf(a.group) - GROUPS.indexOf(b.group));

export const PRESSES = byPress(COMMANDS);
