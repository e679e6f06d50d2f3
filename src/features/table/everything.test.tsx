/**
 * Whatever a panel or a sheet offers, used in some of all the ways it can be, over a project that has something of everything:
 * what comes of it passes the door as it is, is one step with a name, and is taken back whole. What changed the project is shut
 * off, or not there, where another tab holds it; on a page that is locked it says why it is not done: nothing is pressed in vain.
 * `EVERYTHING=1` tries all of it.
 */
import { expect, test } from '@jest/globals';
import { act as settle, fireEvent } from '@testing-library/react';
import type { ReactElement } from 'react';
import { checkProject } from '@/core/project/file';
import { undoLabel } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { About } from '@/features/table/about/About';
import { SHEET_SAYS, type SheetName } from '@/features/table/session/sheet';
import { Sheets } from '@/features/table/tasks/Sheets';
import { axe } from '../../../scripts/testing/axe';
import { calledIn, rest, shownIn, tryAll, waysOf } from '../../../scripts/testing/controls';
import { first } from '../../../scripts/testing/first';
import { seatedAt, type Seated } from '../../../scripts/testing/room';
import { CHOSEN, projectFor } from '../../../scripts/testing/sheets';

/** How many controls of each are tried. */
const SOME = process.env.EVERYTHING ? undefined : 2;
const ROWS = new Set(['Words', 'Material', 'Cut', 'Finish', 'Place']) as never;

/** What is tried: a sheet, or the panel about a piece. */
interface Tried {
  part: ReactElement;
  project: Project;
  chosen: readonly string[];
  begin: (room: Seated) => void;
  panel: (room: Seated) => HTMLElement | null;
}

const aboutPiece = (id: string): Tried => ({
  part: <About />,
  project: first,
  chosen: [id],
  begin: ({ store }) => store.getState().openRows(ROWS),
  panel: ({ container }) => container,
});

const aSheet = (sheet: SheetName): Tried => ({
  part: <Sheets />,
  project: projectFor(sheet),
  chosen: CHOSEN,
  begin: ({ store }) => store.getState().openSheet(sheet),
  panel: () => document.querySelector<HTMLElement>('[role=dialog]'),
});

let cold = true;

/** Opens it and waits until what is fetched is there. */
async function opened({ part, project, chosen, begin, panel }: Tried, readOnly = false): Promise<Seated> {
  const room = await seatedAt(part, project, chosen, { readOnly });
  settle(() => begin(room));
  await room.when(() => panel(room)?.querySelector('button, input'));
  // What is fetched when it is first shown comes a little later; of the first panel all of it is read for the first time.
  for (let still = 0, count = 0; still < (cold ? 200 : 8); still++) {
    const now = panel(room)?.querySelectorAll('button, input').length ?? 0;
    if (now !== count) [still, count] = [0, now];
    await rest();
  }
  cold = false;
  return room;
}

/** Everything as before: nothing lies over it, nothing is done. */
async function again(room: Seated, { chosen, begin }: Tried): Promise<void> {
  for (let i = 0; i < 4 && document.querySelector('.MuiPopover-root, .MuiDialog-root'); i++) {
    fireEvent.keyDown(document.activeElement ?? document.body, { key: 'Escape' });
    await rest();
  }
  const { getState } = room.store;
  settle(() => {
    getState().closeSheet();
    while (getState().history.done > 0) getState().undo();
    getState().select([...chosen]);
    begin(room);
  });
  await rest();
}

/** How much of it was done, and how what then changed the project at once was used, by its name. */
async function used(tried: Tried): Promise<{ done: number; changing: Map<string, string> }> {
  const room = await opened(tried);
  const before = room.project();
  const { getState } = room.store;
  const panel = () => tried.panel(room);
  expect(await axe(panel()!)).toEqual([]);
  let steps = 0;
  const changing = new Map<string, string>();
  const done = await tryAll({
    panel,
    some: SOME,
    again: () => again(room, tried),
    look(did, itself) {
      const { history } = getState();
      const door = checkProject(JSON.parse(JSON.stringify(history.project)));
      if (!door.ok) throw new Error(`${did}: ${door.message}`);
      expect({ did, through: door.value, mended: door.mended }).toEqual({ did, through: history.project });
      if (history.done === 0) return;
      steps++;
      expect({ did, undo: undoLabel(history) }).toEqual({ did, undo: expect.stringMatching(/\w/) });
      if (itself?.name) changing.set(itself.name, itself.how);
    },
  });
  await again(room, tried);
  expect(room.project()).toEqual(before);
  if (process.env.EVERYTHING)
    console.log(
      `${panel()?.getAttribute('aria-label') ?? ''}: ${done} things done, ${steps} changed something`,
    );
  room.unmount();
  return { done, changing };
}

/** Of these, what can be used though another tab holds the project. */
async function openToTwo(tried: Tried, changing: ReadonlyMap<string, string>): Promise<string[]> {
  const room = await opened(tried, true);
  const open = shownIn(tried.panel(room))
    // What may only be read says so.
    .filter((element) => !(element as HTMLInputElement).readOnly)
    .map(calledIn);
  room.unmount();
  return [...changing.keys()].filter((name) => open.includes(name));
}

/** Of these, what on pages that are locked neither does anything, nor is shut off, nor says why. */
async function silentOnLocked(tried: Tried, changing: ReadonlyMap<string, string>): Promise<string[]> {
  const surfaces = tried.project.surfaces.map((surface) => ({ ...surface, locked: true }));
  const locked = { ...tried, project: { ...tried.project, surfaces } };
  const room = await opened(locked);
  const silent: string[] = [];
  const told = () => {
    const { touchedLocked, refused, history } = room.store.getState();
    return [touchedLocked, refused, history.done, document.body.textContent];
  };
  for (const [name, how] of changing) {
    const element = shownIn(tried.panel(room)).find((each) => calledIn(each) === name);
    const way = element && waysOf(element).find((each) => each.how === how);
    if (!way) continue;
    const before = told();
    way.go(element);
    await rest();
    if (told().every((one, i) => one === before[i])) silent.push(name);
    await again(room, locked);
  }
  room.unmount();
  return silent;
}

async function through(tried: Tried): Promise<number> {
  const { done, changing } = await used(tried);
  if (changing.size > 0)
    expect({
      openToTwo: await openToTwo(tried, changing),
      silentOnLocked: await silentOnLocked(tried, changing),
    }).toEqual({ openToTwo: [], silentOnLocked: [] });
  return done;
}

test.each(first.surfaces[0]!.pile.map(({ id }) => id))('About: %s', async (id) => {
  expect(await through(aboutPiece(id))).toBeGreaterThan(1);
});

// Of all actions there are, the one that cannot be done says so when it is asked for.
test('actions', () => used(aSheet('actions')));

test.each((Object.keys(SHEET_SAYS) as SheetName[]).filter((sheet) => sheet !== 'actions'))('%s', (sheet) =>
  through(aSheet(sheet)),
);
