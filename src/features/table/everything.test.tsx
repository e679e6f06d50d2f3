/**
 * Whatever a panel or a sheet offers, used in some of all the ways it can be, over a project that has something of everything:
 * what comes of it passes the door as it is, is one step with a name, and is taken back whole. `EVERYTHING=1` tries all of it.
 */
import { expect, test } from '@jest/globals';
import { act as settle, fireEvent } from '@testing-library/react';
import type { ReactElement } from 'react';
import { checkProject } from '@/core/project/file';
import { undoLabel } from '@/core/project/history';
import { type Project } from '@/core/project/model';
import { About } from '@/features/table/about/About';
import { SHEET_SAYS, type SheetName } from '@/features/table/session/sheet';
import { Sheets } from '@/features/table/tasks/Sheets';
import { axe } from '../../../scripts/testing/axe';
import { rest, tryAll } from '../../../scripts/testing/controls';
import { first } from '../../../scripts/testing/first';
import { seatedAt, type Seated } from '../../../scripts/testing/room';
import { CHOSEN, projectFor } from '../../../scripts/testing/sheets';

const SOME = process.env.EVERYTHING ? undefined : 2;

let cold = true;

async function used(
  project: Project,
  part: ReactElement,
  chosen: readonly string[],
  begin: (room: Seated) => void,
  panel: (room: Seated) => HTMLElement | null,
): Promise<number> {
  const room = await seatedAt(part, project, chosen);
  const before = room.project();
  const { getState } = room.store;
  const start = async () => {
    for (let i = 0; i < 4 && document.querySelector('.MuiPopover-root, .MuiDialog-root'); i++) {
      fireEvent.keyDown(document.activeElement ?? document.body, { key: 'Escape' });
      await rest();
    }
    settle(() => {
      getState().closeSheet();
      while (getState().history.done > 0) getState().undo();
      getState().select([...chosen]);
      begin(room);
    });
    await rest();
  };
  await start();
  await room.when(() => panel(room)?.querySelector('button, input'));
  // What is fetched when it is first shown comes a little later; of the first panel all of it is read for the first time.
  for (let still = 0, count = 0; still < (cold ? 200 : 8); still++) {
    const now = panel(room)?.querySelectorAll('button, input').length ?? 0;
    if (now !== count) [still, count] = [0, now];
    await rest();
  }
  cold = false;
  expect(await axe(panel(room)!)).toEqual([]);
  let steps = 0;
  const count = await tryAll({
    panel: () => panel(room),
    some: SOME,
    again: start,
    look(did) {
      const { history } = getState();
      const door = checkProject(JSON.parse(JSON.stringify(history.project)));
      if (!door.ok) throw new Error(`${did}: ${door.message}`);
      expect({ did, through: door.value, mended: door.mended }).toEqual({ did, through: history.project });
      if (history.done === 0) return;
      steps++;
      expect({ did, undo: undoLabel(history) }).toEqual({ did, undo: expect.stringMatching(/\w/) });
    },
  });
  await start();
  expect(room.project()).toEqual(before);
  if (process.env.EVERYTHING)
    console.log(
      `${panel(room)?.getAttribute('aria-label') ?? ''}: ${count} things done, ${steps} changed something`,
    );
  return count;
}

test.each(first.surfaces[0]!.pile.map(({ id }) => id))('About: %s', async (id) => {
  const rows = new Set(['Words', 'Material', 'Cut', 'Finish', 'Place']) as never;
  const done = await used(
    first,
    <About />,
    [id],
    ({ store }) => store.getState().openRows(rows),
    ({ container }) => container,
  );
  expect(done).toBeGreaterThan(1);
});

test.each(Object.keys(SHEET_SAYS) as SheetName[])('%s', async (sheet) => {
  await used(
    projectFor(sheet),
    <Sheets />,
    CHOSEN,
    ({ store }) => store.getState().openSheet(sheet),
    () => document.querySelector<HTMLElement>('[role=dialog]'),
  );
});
