/** What changes the page where one may, and is refused where one may not, leaves everything as it was: what is selected, too. */
import { expect, test } from '@jest/globals';
import { startHistory } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { MOST_PIECES } from '@/core/project/schema';
import { MOST_LETTERS } from '@/core/text/style';
import * as act from '@/features/table/acts';
import { createSession, shownSurface, type SessionStore } from '@/features/table/session';
import { fitted } from '@/features/table/stage/hand/view';
import { COMMANDS } from '@/features/table/tasks';
import { obey } from '@/features/table/tasks/command';
import { nodeTypesetter } from '../../../scripts/node/platform';
import { first } from '../../../scripts/testing/first';
import { inkPiece, laid, wordsOf } from '../../../scripts/testing/samples';
import { shipped } from '../../../scripts/testing/shipped';

const typesetter = await nodeTypesetter();
beforeAll(() =>
  Object.defineProperty(globalThis, 'navigator', { value: { language: 'en' }, configurable: true }),
);
afterAll(() => void Reflect.deleteProperty(globalThis, 'navigator'));

const STAGE = { width: 800, height: 600 };
const PRESSED = { key: 'ArrowLeft', shiftKey: false, preventDefault() {} } as KeyboardEvent;

const locked = (project: Project): Project => ({
  ...project,
  surfaces: project.surfaces.map((surface) => ({ ...surface, locked: true })),
});

/** One piece of each role, two of them, words being written, all there is. */
function situations({ surfaces: [page] }: Project): ((store: SessionStore) => void)[] {
  const { pile, groups } = page!;
  const ids = pile.map(({ id }) => id);
  const one = new Map(
    pile.map((piece) => [`${piece.role} ${piece.material.kind} ${piece.outline.kind}`, piece.id]),
  );
  const words = pile.find(({ outline }) => outline.kind === 'glyphs');
  const selecting = (some: readonly string[]) => (store: SessionStore) => store.getState().select([...some]);
  return [
    ...[...one.values()].slice(0, 12).map((id) => selecting([id])),
    selecting(ids.slice(0, 2)),
    selecting(ids),
    ...groups
      .slice(0, 2)
      .map(({ id }) =>
        selecting(pile.filter((piece) => piece.groups?.includes(id)).map((piece) => piece.id)),
      ),
    ...(words ? [(store: SessionStore) => store.getState().setMode({ kind: 'write', id: words.id })] : []),
  ];
}

async function after(project: Project, readOnly: boolean, ready: (store: SessionStore) => void, id: string) {
  const store = createSession(startHistory(project), typesetter, readOnly);
  store.getState().measured(STAGE, fitted(shownSurface(store.getState()), STAGE));
  ready(store);
  const { selection, entered, mode } = store.getState();
  await obey(
    COMMANDS.find((command) => command.name === id)!,
    store,
    PRESSED,
  );
  const now = store.getState();
  return {
    done: now.history.done > 0,
    before: { selection, entered, mode },
    now: { selection: now.selection, entered: now.entered, mode: now.mode },
  };
}

const ASKED = COMMANDS.filter(({ everywhere }) => !everywhere).map(({ name }) => name);

test.each([
  ['all there is', first],
  ['a page', shipped('page')],
  ['a calendar', shipped('calendar')],
])('on %s', async (_, project) => {
  const left: string[] = [];
  for (const [i, ready] of situations(project).entries())
    for (const id of ASKED) {
      if (!(await after(project, false, ready, id)).done) continue;
      for (const [where, of, readOnly] of [
        ['locked', locked(project), false],
        ['another tab’s', project, true],
      ] as const) {
        const { done, before, now } = await after(of, readOnly, ready, id);
        // What unlocks is done.
        if (!done && JSON.stringify(now) !== JSON.stringify(before))
          left.push(`${id} on ${where} page, ${i}`);
      }
    }
  expect([...new Set(left)]).toEqual([]);
});

const ROWS = { columns: 2, rows: 1, gapX: 6, gapY: 6, shift: 0 };

test('rows on a locked page, a paste for which there is no room, a field at the end of a full text', () => {
  const at = (project: Project, selection: string[] = []) => {
    const store = createSession(startHistory(project), typesetter, false);
    store.getState().measured(STAGE, fitted(shownSurface(store.getState()), STAGE));
    store.getState().select(selection);
    return store;
  };
  const rows = at(locked(laid([inkPiece('a')])), ['a']);
  act.repeatChosen(rows, ROWS);
  expect([rows.getState().history.done, rows.getState().selection]).toEqual([0, ['a']]);
  const full = at(laid(Array.from({ length: MOST_PIECES }, (_, i) => inkPiece(`p${i}`))), ['p7']);
  act.copy(full);
  const { copied } = full.getState();
  act.paste(full);
  expect(full.getState()).toMatchObject({ history: { done: 0 }, selection: ['p7'] });
  expect(full.getState().copied).toBe(copied);
  expect(full.getState().refused?.why).toContain('A page holds up to 5000 pieces');
  const words = wordsOf('w', 'x'.repeat(MOST_LETTERS - 1));
  const writing = at({ ...laid([words]), title: 'Kites over the bay' }, ['w']);
  writing.getState().setMode({ kind: 'write', id: 'w', range: [MOST_LETTERS - 1, MOST_LETTERS - 1] });
  act.putField(writing, { kind: 'title' });
  expect(writing.getState().mode).toMatchObject({ range: [MOST_LETTERS, MOST_LETTERS] });
});
