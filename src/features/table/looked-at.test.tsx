/**
 * What another tab holds is looked at: whatever of a panel or a sheet changes the project where one may, is shut off where one
 * may not, or is not there. Nothing is pressed in vain.
 */
import { expect, test } from '@jest/globals';
import { act as settle, fireEvent } from '@testing-library/react';
import type { ReactElement } from 'react';
import { About } from '@/features/table/about/About';
import { SHEET_SAYS, type SheetName } from '@/features/table/session/sheet';
import { Sheets } from '@/features/table/tasks/Sheets';
import type { Project } from '@/core/project/model';
import { Chance } from '../../../scripts/testing/chance';
import { nameOf, rest, shownIn, waysOf } from '../../../scripts/testing/controls';
import { first } from '../../../scripts/testing/first';
import { seatedAt, type Seated } from '../../../scripts/testing/room';
import { CHOSEN, projectFor } from '../../../scripts/testing/sheets';

/** How many controls of each are tried. */
const SOME = Number(process.env.SOME ?? 5);
const ROWS = new Set(['Words', 'Material', 'Cut', 'Finish', 'Place']) as never;

/** Its name, and whether it is one of a choice: that a way is chosen by the name of what then does it, is common. */
const calledIn = (element: HTMLElement): string =>
  nameOf(element) && `${nameOf(element)}${element.hasAttribute('aria-pressed') ? ', a choice' : ''}`;

/** Opens it and waits until what is fetched is there. */
async function opened(
  part: ReactElement,
  project: Project,
  chosen: readonly string[],
  sheet: SheetName | null,
  readOnly: boolean,
): Promise<{ room: Seated; panel: () => HTMLElement | null }> {
  const room = await seatedAt(part, project, chosen, { readOnly });
  const panel = () => (sheet ? document.querySelector<HTMLElement>('[role=dialog]') : room.container);
  settle(() => (sheet ? room.store.getState().openSheet(sheet) : room.store.getState().openRows(ROWS)));
  await room.when(() => panel()?.querySelector('button, input'));
  for (let still = 0, count = 0; still < 8; still++) {
    const now = panel()?.querySelectorAll('button, input').length ?? 0;
    if (now !== count) [still, count] = [0, now];
    await rest();
  }
  return { room, panel };
}

/** Names of controls that change the project at once, of those that are tried. */
async function changing(
  part: ReactElement,
  project: Project,
  chosen: readonly string[],
  sheet: SheetName | null,
): Promise<string[]> {
  const { room, panel } = await opened(part, project, chosen, sheet, false);
  const chance = new Chance(3);
  const all = shownIn(panel()).filter((element) => element.getAttribute('role') !== 'combobox');
  const dealt = all.map((_, i) => ({ i, die: chance.below(1e6) })).sort((a, b) => a.die - b.die);
  const names: string[] = [];
  for (const { i } of dealt.slice(0, SOME)) {
    const element = shownIn(panel()).filter((each) => each.getAttribute('role') !== 'combobox')[i];
    if (!element) continue;
    const name = calledIn(element);
    chance.of(waysOf(element)).go(element);
    await rest();
    const { history, undo, select, openSheet } = room.store.getState();
    if (history.done > 0) names.push(name);
    settle(() => {
      while (room.store.getState().history.done > 0) undo();
      select([...chosen]);
      if (sheet) openSheet(sheet);
    });
    for (let k = 0; k < 3 && document.querySelector('.MuiPopover-root'); k++) {
      fireEvent.keyDown(document.activeElement ?? document.body, { key: 'Escape' });
      await rest();
    }
    await rest();
  }
  room.unmount();
  return [...new Set(names)].filter(Boolean);
}

async function shutOff(
  part: ReactElement,
  project: Project,
  chosen: readonly string[],
  sheet: SheetName | null,
) {
  const names = await changing(part, project, chosen, sheet);
  const { room, panel } = await opened(part, project, chosen, sheet, true);
  const open = shownIn(panel()).map(calledIn);
  expect({ sheet, open: names.filter((name) => open.includes(name)) }).toEqual({ sheet, open: [] });
  room.unmount();
}

test.each(first.surfaces[0]!.pile.map(({ id }) => id))('About: %s', (id) =>
  shutOff(<About />, first, [id], null),
);

// Of all actions there are, the one that cannot be done says so when it is asked for.
const SHEETS = (Object.keys(SHEET_SAYS) as SheetName[]).filter((sheet) => sheet !== 'actions');
test.each(SHEETS)('%s', (sheet) => shutOff(<Sheets />, projectFor(sheet), CHOSEN, sheet));
