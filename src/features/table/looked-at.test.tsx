/**
 * What another tab holds is looked at: whatever of a panel or a sheet changes the project where one may, is shut off where one
 * may not, or is not there; on a page that is locked it says why it is not done. Nothing is pressed in vain.
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
const SOME = Number(process.env.SOME ?? 2);
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

/** Controls that change the project at once, of those that are tried, by their names, and how they were used. */
async function changing(
  part: ReactElement,
  project: Project,
  chosen: readonly string[],
  sheet: SheetName | null,
): Promise<Map<string, string>> {
  const { room, panel } = await opened(part, project, chosen, sheet, false);
  const chance = new Chance(3);
  const all = shownIn(panel()).filter((element) => element.getAttribute('role') !== 'combobox');
  const dealt = all.map((_, i) => ({ i, die: chance.below(1e6) })).sort((a, b) => a.die - b.die);
  const names = new Map<string, string>();
  for (const { i } of dealt.slice(0, SOME)) {
    const element = shownIn(panel()).filter((each) => each.getAttribute('role') !== 'combobox')[i];
    if (!element) continue;
    const name = calledIn(element);
    const way = chance.of(waysOf(element));
    way.go(element);
    await rest();
    const { history, undo, select, openSheet } = room.store.getState();
    if (history.done > 0 && name) names.set(name, way.how);
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
  return names;
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
  expect({ sheet, open: [...names.keys()].filter((name) => open.includes(name)) }).toEqual({
    sheet,
    open: [],
  });
  room.unmount();
  expect({ sheet, silent: await silentOn(part, lockedAll(project), chosen, sheet, names) }).toEqual({
    sheet,
    silent: [],
  });
}

const lockedAll = (project: Project): Project => ({
  ...project,
  surfaces: project.surfaces.map((surface) => ({ ...surface, locked: true })),
});

/** Which of those, on pages that are locked, neither do anything, nor are shut off, nor say why. */
async function silentOn(
  part: ReactElement,
  project: Project,
  chosen: readonly string[],
  sheet: SheetName | null,
  names: ReadonlyMap<string, string>,
): Promise<string[]> {
  const { room, panel } = await opened(part, project, chosen, sheet, false);
  const silent: string[] = [];
  const told = () => {
    const { touchedLocked, refused, history } = room.store.getState();
    return [touchedLocked, refused, history.done, document.body.textContent];
  };
  for (const [name, how] of names) {
    const element = shownIn(panel()).find((each) => calledIn(each) === name);
    const way = element && waysOf(element).find((each) => each.how === how);
    if (!way) continue;
    const before = told();
    way.go(element);
    await rest();
    if (told().every((one, i) => one === before[i])) silent.push(name);
    settle(() => {
      const { history, undo, select, openSheet } = room.store.getState();
      for (let i = history.done; i > 0; i--) undo();
      select([...chosen]);
      if (sheet) openSheet(sheet);
    });
    await rest();
  }
  room.unmount();
  return silent;
}

test.each(first.surfaces[0]!.pile.map(({ id }) => id))('About: %s', (id) =>
  shutOff(<About />, first, [id], null),
);

// Of all actions there are, the one that cannot be done says so when it is asked for.
const SHEETS = (Object.keys(SHEET_SAYS) as SheetName[]).filter((sheet) => sheet !== 'actions');
test.each(SHEETS)('%s', (sheet) => shutOff(<Sheets />, projectFor(sheet), CHOSEN, sheet));
