/** Keeping by itself: what is edited is in the store soon, once, by whoever holds the project; trouble is told and tried again. */
import { expect, test } from '@jest/globals';
import { act } from '@testing-library/react';
import { startHistory } from '@/core/project/history';
import { retitle } from '@/core/project/edits/gather';
import { layPieces } from '@/core/project/edits/pile';
import { startKeeping, type Keeper } from '@/features/table/keeping/keeper';
import { PictureShelf } from '@/features/table/keeping/pictures';
import { createSession, type SessionStore } from '@/features/table/session';
import { database } from '@/storage/database';
import { deleteProject, purge } from '@/storage/deleted';
import { claimProject, openProject } from '@/storage/projects';
import { addProject } from '@/storage/shelved';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { inkPiece, project } from '../../../../scripts/testing/samples';
import { emptyStore, fullStore } from '../../../../scripts/testing/store';

const typesetter = await nodeTypesetter();
let keepers: Keeper[] = [];
beforeEach(emptyStore);
afterEach(async () => {
  await Promise.all(keepers.map((keeper) => keeper.stop()));
  keepers = [];
});

/** A room over the sample in the store, which it holds. */
async function room(holder = 'room', readOnly = false) {
  if (!(await database.projects.get('sample'))) await addProject(project(), 0);
  const opened = await openProject('sample');
  if (!opened.ok) throw new Error(opened.message);
  await claimProject(opened, holder, 0);
  const store = createSession(opened.value, typesetter, readOnly);
  const keeper = startKeeping(store, new PictureShelf(), holder);
  keepers.push(keeper);
  return { store, keeper };
}
const rename = (store: SessionStore, title: string) =>
  act(() => void store.getState().perform(retitle(title)));
const inStore = async () => {
  const opened = await openProject('sample');
  return opened.ok ? opened.value.project.title : opened.message;
};
const until = async (is: () => unknown) => {
  for (let i = 0; i < 400; i++) {
    if (await is()) return;
    await act(async () => void (await new Promise((done) => setTimeout(done, 10))));
  }
  throw new Error('It never was so.');
};
const told = (store: SessionStore) => store.getState().trouble;

test('an edit is in the store a moment later, and the room says when it was kept', async () => {
  const { store } = await room();
  rename(store, 'Low tide');
  expect(store.getState().kept).toBeNull();
  await until(() => store.getState().kept !== null);
  expect(await inStore()).toBe('Low tide');
  expect(Math.abs(Date.now() - store.getState().kept!)).toBeLessThan(60_000);
});

test('of many in a row few are written, and the last of them always', async () => {
  const { store } = await room();
  const { put } = database.projects;
  let writes = 0;
  database.projects.put = ((...given: Parameters<typeof put>) => {
    writes++;
    return put.apply(database.projects, given);
  }) as typeof put;
  try {
    for (let i = 0; i < 40; i++) {
      rename(store, `Tide ${i}`);
      await act(async () => void (await new Promise((done) => setTimeout(done, 2))));
    }
    await until(async () => (await inStore()) === 'Tide 39' && store.getState().kept !== null);
    expect(writes).toBeLessThan(20);
  } finally {
    database.projects.put = put;
  }
});

test('left in the middle of an edit, what was done by then is kept; nothing is afterwards', async () => {
  const { store, keeper } = await room();
  rename(store, 'Low tide');
  await keeper.stop();
  expect(await inStore()).toBe('Low tide');
  rename(store, 'Too late');
  await act(async () => void (await new Promise((done) => setTimeout(done, 200))));
  expect(await inStore()).toBe('Low tide');
});

test('with the page out of sight it is kept at once', async () => {
  const { store } = await room();
  rename(store, 'Low tide');
  window.dispatchEvent(new Event('pagehide'));
  await until(async () => (await inStore()) === 'Low tide');
});

test('a room that only looks on keeps nothing', async () => {
  const { store } = await room('room', true);
  act(() => store.getState().tryOut(retitle('Low tide')));
  window.dispatchEvent(new Event('pagehide'));
  await act(async () => void (await new Promise((done) => setTimeout(done, 60))));
  expect(await inStore()).toBe('A sample');
});

describe('where there is no room left', () => {
  test('that is told with what helps, and once there is room it is kept by itself', async () => {
    const { store } = await room();
    const makeRoom = fullStore();
    rename(store, 'Low tide');
    await until(() => told(store));
    expect(told(store)).toMatch(
      /^This browser has no room left: your last steps are not kept\. Save the project as a file now/,
    );
    makeRoom();
    await until(async () => (await inStore()) === 'Low tide');
    expect(store.getState().kept).not.toBeNull();
  });

  test('room is set aside as soon as a room is open, and given up then', async () => {
    const { store } = await room();
    await until(async () => await database.settings.get('reserve'));
    const makeRoom = fullStore();
    rename(store, 'Low tide');
    await until(() => told(store));
    expect(await database.settings.get('reserve')).toBeUndefined();
    makeRoom();
  });
});

test('a room that was displaced writes nothing more, and says so; the one that holds it goes on', async () => {
  const first = await room('first');
  const second = await room('second');
  rename(first.store, 'Of the first');
  await until(() => told(first.store));
  expect(told(first.store)).toBe(
    'Your last steps were not kept in this browser: it was opened in another tab meanwhile. Save the project as a file now.',
  );
  rename(second.store, 'Of the second');
  await until(async () => (await inStore()) === 'Of the second');
  expect(told(second.store)).toBeNull();
});

describe('a project that is deleted elsewhere', () => {
  test('is told of; edits in the meantime are kept with it, and it is put back as it is now', async () => {
    const { store, keeper } = await room();
    await deleteProject('sample', 5);
    await until(() => store.getState().deleted === 'lately');
    rename(store, 'Low tide');
    await until(() => store.getState().kept !== null);
    await act(() => keeper.putBack());
    expect(store.getState().deleted).toBeNull();
    expect(await inStore()).toBe('Low tide');
  });

  test('thrown out for good it comes back whole from the room that has it', async () => {
    const { store, keeper } = await room();
    act(() => void store.getState().perform(layPieces(store.getState().surfaceId, [inkPiece('a')])));
    await until(() => store.getState().kept !== null);
    await deleteProject('sample', 5);
    await purge(5 + 400 * 86_400_000);
    await until(() => store.getState().deleted === 'gone');
    rename(store, 'Low tide');
    await act(() => keeper.putBack());
    expect(store.getState().deleted).toBeNull();
    const opened = await openProject('sample');
    expect(opened.ok && opened.value.project.surfaces[0]!.pile.map(({ id }) => id)).toEqual(['a']);
    expect(await inStore()).toBe('Low tide');
  });
});

test('work that goes on is asked to end when the room is left, and what it did by then is kept', async () => {
  const { store, keeper } = await room();
  let heard = false;
  const work = keeper.during(async (left) => {
    await new Promise<void>((done) => left.addEventListener('abort', () => done(), { once: true }));
    heard = true;
    store.getState().perform(retitle('Done by then'));
    return 7;
  });
  await act(() => keeper.stop());
  expect(await work).toBe(7);
  expect(heard).toBe(true);
  expect(await inStore()).toBe('Done by then');
});

test('a while after the last edit a small picture of it is made for Home; of what nobody edited there is none', async () => {
  const { store, keeper } = await room();
  await keeper.stop();
  expect(await database.previews.get('sample')).toBeUndefined();
  const again = await room('again');
  act(() => void again.store.getState().perform(layPieces(store.getState().surfaceId, [inkPiece('a')])));
  await again.keeper.stop();
  const preview = await database.previews.get('sample');
  expect(preview?.blob.type).toBe('image/jpeg');
  expect(preview!.blob.size).toBeGreaterThan(300);
});

test('what is kept is the history, too: it is undone after it was opened again', async () => {
  const { store, keeper } = await room();
  rename(store, 'Low tide');
  rename(store, 'High tide');
  await keeper.stop();
  const opened = await openProject('sample');
  if (!opened.ok) throw new Error(opened.message);
  expect(opened.value.done).toBe(opened.value.steps.length);
  const again = createSession(opened.value, typesetter, false);
  again.getState().undo();
  expect(again.getState().history.project.title).not.toBe('High tide');
  expect(startHistory(project()).steps).toEqual([]);
});
