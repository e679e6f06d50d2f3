/** Commands as a person asks for them: by keys that mean one thing each, on any page, in any mode. */
import { writeProject, readProject } from '@/core/project/file';
import { startHistory } from '@/core/project/history';
import type { Typesetter } from '@/core/text/typesetter';
import { COMMANDS, PRESSES } from '@/features/table/tasks';
import { byPress, obey, pressOf } from '@/features/table/tasks/command';
import { createSession, shownSurface, type SessionStore } from '@/features/table/session';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { assetOf, inkPiece, laid, photoOf, quarters, wordsOf } from '../../../../scripts/testing/samples';

let typesetter: Typesetter;
beforeAll(async () => {
  Object.defineProperty(globalThis, 'navigator', { value: { language: 'en' }, configurable: true });
  typesetter = await nodeTypesetter();
});
afterAll(() => void Reflect.deleteProperty(globalThis, 'navigator'));

const pressing = (key: string, held: Partial<KeyboardEvent> = {}) =>
  ({ key, ctrlKey: false, metaKey: false, altKey: false, shiftKey: false, ...held }) as KeyboardEvent;
const asset = assetOf(quarters(90, 60), 900, 600);
const photo = photoOf('photo', asset, { x: 20, y: 20, width: 90, height: 60 });

/** A page with a photo, words and a shape, some of it selected. */
function table(selection: readonly string[], mode?: 'slide' | 'write' | 'reshape'): SessionStore {
  const project = laid([photo, wordsOf('words', 'Low tide'), inkPiece('ink', 150, 150)], [asset]);
  const store = createSession(startHistory(project), typesetter, false);
  store.getState().measured({ width: 800, height: 600 }, { zoom: 1, x: 0, y: 0 });
  store.getState().select(selection);
  if (mode === 'slide') store.getState().setMode({ kind: 'slide', id: 'photo' });
  if (mode === 'write') store.getState().setMode({ kind: 'write', id: 'words' });
  if (mode === 'reshape') store.getState().setMode({ kind: 'reshape', id: 'ink', at: null, side: false });
  return store;
}

test('a key press means what it is written as, whichever keyboard and letter case it comes from', () => {
  const means = (event: KeyboardEvent) => PRESSES.get(pressOf(event))?.name;
  expect(means(pressing('z', { ctrlKey: true }))).toBe('Undo');
  expect(means(pressing('Z', { metaKey: true, shiftKey: true }))).toMatch(/^Redo/);
  expect(means(pressing('y', { ctrlKey: true }))).toMatch(/^Redo/);
  expect(means(pressing('Backspace'))).toMatch(/^Delete/);
  expect(means(pressing('='))).toMatch(/^Closer/);
  expect(means(pressing('+', { shiftKey: true }))).toMatch(/^Closer/);
  expect(means(pressing('PageDown', { altKey: true }))).toBe('The next page');
  expect(means(pressing('PageDown'))).toBe('Lower one step');
  expect(means(pressing('Escape'))).toBe('Let go');
  expect(means(pressing('ArrowLeft', { shiftKey: true }))).toMatch(/^Nudge/);
  expect(means(pressing('z', { altKey: true }))).toBeUndefined();
});

test('no two commands lay claim to one key, and no two have one name', () => {
  const [first] = COMMANDS.filter(({ keys }) => keys === 'M');
  expect(() => byPress([...COMMANDS, { ...first!, name: 'Something else' }])).toThrow(
    'M is “Mirror left to right” and “Something else”.',
  );
  expect(new Set(COMMANDS.map(({ name }) => name)).size).toBe(COMMANDS.length);
});

test.each([
  ['nothing selected', () => table([])],
  ['a photo selected', () => table(['photo'])],
  ['everything selected', () => table(['photo', 'words', 'ink'])],
  ['a photo being slid', () => table(['photo'], 'slide')],
  ['words being written', () => table(['words'], 'write')],
  ['points being moved', () => table(['ink'], 'reshape')],
])('with %s, every command leaves what can be kept, and undo takes all of it back', async (_, begin) => {
  // The next part of the screen is looked for on a screen.
  for (const command of COMMANDS.filter(({ everywhere }) => !everywhere)) {
    const { name } = command;
    const store = begin();
    const before = store.getState().history.project;
    await obey(command, store, pressing('ArrowLeft'));
    const { history, selection, mode } = store.getState();
    // What is selected or worked on lies on the page.
    const ids = new Set(shownSurface(store.getState()).pile.map(({ id }) => id));
    const held = [...selection, ...(mode.kind === 'pick' ? [] : [mode.id])];
    expect({ name, gone: held.filter((id) => !ids.has(id)) }).toEqual({ name, gone: [] });
    const read = readProject(writeProject(history.project));
    expect({ name, read }).toEqual({ name, read: { ok: true, value: history.project } });
    while (store.getState().history.done) store.getState().undo();
    expect({ name, project: store.getState().history.project }).toEqual({ name, project: before });
  }
});

test('what cannot be done says why; names are short, and say nothing of keys', () => {
  const store = table([]);
  const asked = (keys: string) => {
    obey(PRESSES.get(keys)!, store, pressing('x'));
    return store.getState().refused?.why;
  };
  expect(asked('m')).toBe('Select a piece first.');
  store.getState().select(['ink']);
  // It leads on to what would make it possible.
  const next = () => store.getState().refused!.next!;
  expect(asked('ctrl g')).toBe('Select two pieces first, or more.');
  expect(next().label).toBe('Select everything');
  next().run();
  expect(store.getState().selection.length).toBeGreaterThan(1);
  store.getState().select(['ink']);
  expect(asked('ctrl shift g')).toBe('Select a group first.');
  for (const { name } of COMMANDS) expect(name).toMatch(/^[^:;,]{3,34}$/);
});

test('after the last page, copying to the next adds one, in one step', () => {
  const store = table(['ink']);
  obey(PRESSES.get('ctrl enter')!, store, pressing('Enter'));
  const { surfaces } = store.getState().history.project;
  expect(surfaces.map(({ pile }) => pile.map(({ name }) => name))).toEqual([
    ['photo', 'words', 'ink'],
    ['ink'],
  ]);
  expect(store.getState().history.done).toBe(1);
});

test('undo that takes a lock off says so', () => {
  const store = table([]);
  const name = 'Lock or unlock this page';
  obey(
    COMMANDS.find((one) => one.name === name)!,
    store,
    pressing('x'),
  );
  store.getState().undo();
  expect(store.getState().refused?.why).toMatch(/is not locked any more/);
});
