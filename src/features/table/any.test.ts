/** Whatever is asked for, in whatever order, on whatever kind of page: it is done or refused, kept by a file, and taken back. */
import fc from 'fast-check';
import { readProject, writeProject } from '@/core/project/file';
import { startHistory } from '@/core/project/history';
import { surfaceOf, type Project } from '@/core/project/model';
import { COMMANDS } from '@/features/table/tasks';
import { obey } from '@/features/table/tasks/command';
import { createSession, shownSurface, type SessionStore } from '@/features/table/session';
import { createHand, type Hand, type Pointer } from '@/features/table/stage/hand/hand';
import { fitted } from '@/features/table/stage/hand/view';
import { nodeTypesetter } from '../../../scripts/node/platform';
import { Chance } from '../../../scripts/testing/chance';
import { first } from '../../../scripts/testing/edits';
import { shipped } from '../../../scripts/testing/shipped';

const typesetter = await nodeTypesetter();
beforeAll(() =>
  Object.defineProperty(globalThis, 'navigator', { value: { language: 'en' }, configurable: true }),
);
afterAll(() => void Reflect.deleteProperty(globalThis, 'navigator'));

const begins: readonly [string, Project][] = [
  ['all there is', first],
  ...(['page', 'card', 'calendar', 'book', 'sheet', 'sketch', 'pieces'] as const).map(
    (kind): [string, Project] => [kind, shipped(kind)],
  ),
];

const KEYS = ['ArrowLeft', 'ArrowRight', 'ArrowUp', 'ArrowDown'];
/** What leads out of the page is looked for on a screen. */
const ASKED = COMMANDS.filter(({ everywhere }) => !everywhere);

const pressed = (chance: Chance) =>
  ({ key: chance.of(KEYS), shiftKey: chance.bool(), preventDefault() {} }) as KeyboardEvent;

/** Turns a page, selects, opens a group or writes, as a hand does between two commands. */
function handled(store: SessionStore, chance: Chance): void {
  const { history, turnTo, select, choose, setMode } = store.getState();
  const { surfaces } = history.project;
  if (chance.below(4) === 0) turnTo(surfaces[chance.below(surfaces.length)]!.id);
  const { pile, groups } = surfaceOf(history.project, store.getState().surfaceId);
  if (chance.below(3) > 0)
    select(
      pile
        .filter(() => chance.below(3) === 0)
        .slice(0, 6)
        .map(({ id }) => id),
    );
  const group = groups[chance.below(groups.length || 1)];
  if (group && chance.below(6) === 0) choose({ entered: group.id });
  const [one] = store.getState().selection;
  const piece = pile.find(({ id }) => id === one);
  if (piece?.outline.kind === 'glyphs' && chance.below(4) === 0) setMode({ kind: 'write', id: piece.id });
}

const STAGE = { width: 800, height: 600 };

function begun(project: Project, readOnly = false): { store: SessionStore; hand: Hand } {
  const store = createSession(startHistory(project), typesetter, readOnly);
  store.getState().measured(STAGE, fitted(shownSurface(store.getState()), STAGE));
  const hand = createHand(store, { onMoving() {}, panning: () => false, soon: (draw) => (draw(), () => {}) });
  return { store, hand };
}

/** Presses a piece or the bare table, goes somewhere, and lets go, or loses it. */
function gestured({ store, hand }: { store: SessionStore; hand: Hand }, chance: Chance): void {
  const { view, history, surfaceId } = store.getState();
  const piece = chance.of([undefined, ...surfaceOf(history.project, surfaceId).pile]);
  const somewhere = () => ({
    x: chance.below(STAGE.width + 200) - 100,
    y: chance.below(STAGE.height + 200) - 100,
  });
  const from = piece
    ? { x: view.x + piece.placement.x * view.zoom, y: view.y + piece.placement.y * view.zoom }
    : somewhere();
  const held = {
    shiftKey: chance.below(4) === 0,
    ctrlKey: false,
    metaKey: false,
    altKey: chance.below(6) === 0,
  };
  const at = (spot: Pointer['at']): Pointer => ({
    id: 1,
    type: chance.of(['mouse', 'pen', 'touch']),
    button: 0,
    at: spot,
    ...held,
  });
  hand.press(at(from));
  let last = from;
  for (let i = chance.below(4); i > 0; i--) {
    last = chance.bool()
      ? somewhere()
      : { x: from.x + chance.below(60) - 30, y: from.y + chance.below(60) - 30 };
    hand.move(at(last));
  }
  if (chance.below(5)) hand.release(at(last));
  else hand.lost(1);
}

test.each(begins)('on %s', async (_, project) => {
  await fc.assert(
    fc.asyncProperty(fc.integer({ min: 0, max: 2 ** 31 }), async (seed) => {
      const chance = new Chance(seed);
      const table = begun(project);
      const { store } = table;
      const asked: string[] = [];
      for (let i = 0; i < 12; i++) {
        handled(store, chance);
        const before = store.getState().history;
        const command = chance.below(3) ? chance.of(ASKED) : null;
        asked.push(command?.name ?? 'a gesture');
        if (command) await obey(command, store, pressed(chance));
        else gestured(table, chance);
        const { tryout, marquee, swaps } = store.getState();
        expect({ asked, tryout, marquee, swaps }).toEqual({
          asked,
          tryout: null,
          marquee: null,
          swaps: null,
        });
        const { history, selection, mode, surfaceId } = store.getState();
        // What is compared is another page for as long as it is.
        const ids = new Set(surfaceOf(history.project, surfaceId).pile.map(({ id }) => id));
        const held = [...selection, ...(mode.kind === 'pick' ? [] : [mode.id])];
        expect({ asked, gone: held.filter((id) => !ids.has(id)) }).toEqual({ asked, gone: [] });
        expect({ asked, shown: history.project.surfaces.some(({ id }) => id === surfaceId) }).toEqual({
          asked,
          shown: true,
        });
        if (history.project === before.project) continue;
        const read = readProject(writeProject(history.project));
        expect({ asked, read }).toEqual({ asked, read: { ok: true, value: history.project } });
      }
      while (store.getState().history.done) store.getState().undo();
      expect({ asked, project: store.getState().history.project }).toEqual({ asked, project });
    }),
    { numRuns: 4 },
  );
});

test('where it can only be looked at, nothing is changed by whatever is asked', async () => {
  const [, project] = begins[0]!;
  await fc.assert(
    fc.asyncProperty(fc.integer({ min: 0, max: 2 ** 31 }), async (seed) => {
      const chance = new Chance(seed);
      const table = begun(project, true);
      const { store } = table;
      for (let i = 0; i < 25; i++) {
        handled(store, chance);
        gestured(table, chance);
        const command = chance.of(ASKED);
        await obey(command, store, pressed(chance));
        expect([command.name, store.getState().history.project === project]).toEqual([command.name, true]);
      }
    }),
    { numRuns: 4 },
  );
});
