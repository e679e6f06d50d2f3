/** Copies of projects, and names that are made out of others: as long as they may be, and whole to the last letter. */
import { newKit } from '@/core/supplies/model';
import { readProject, writeProject } from '@/core/project/file';
import { duplicateProject, openProject } from '@/storage/projects';
import { listProjects } from '@/storage/shelf';
import { addProject } from '@/storage/shelved';
import { database } from '@/storage/database';
import { inkPiece, laid } from '../../scripts/testing/samples';
import { emptyStore } from '../../scripts/testing/store';

beforeEach(emptyStore);

const copied = async (title: string) => {
  await addProject({ ...laid([inkPiece('a')]), title }, 0);
  const copy = await duplicateProject('sample', 'copy', 5);
  if (!copy.ok) throw new Error(copy.message);
  return copy.value;
};

test('a copy is the same project under another id, called so, without its history, its preview with it', async () => {
  await database.previews.put({ project: 'sample', blob: new Blob(['picture']) });
  const copy = await copied('Kites');
  expect(copy).toEqual({ ...laid([inkPiece('a')]), id: 'copy', title: 'Kites (copy)' });
  const opened = await openProject('copy');
  expect(opened.ok && opened.value).toMatchObject({ steps: [], done: 0, project: copy });
  expect((await database.previews.get('copy'))?.blob.size).toBe(7);
  expect((await listProjects()).map(({ id }) => id)).toEqual(['copy', 'sample']);
});

test.each([
  ['as long as a title may be', 'k'.repeat(200), `${'k'.repeat(190)} (copy)`],
  // An emoji is two of the units a title is counted in.
  ['with an emoji where it is cut', `${'k'.repeat(189)}🪁🪁`, `${'k'.repeat(189)} (copy)`],
  ['that ends with it', `${'k'.repeat(188)}🪁`, `${'k'.repeat(188)}🪁 (copy)`],
])('a title %s', async (_, title, name) => {
  const copy = await copied(title);
  expect(copy.title).toBe(name);
  expect(copy.title.isWellFormed()).toBe(true);
  // What was copied is opened as it is, with nothing to be mended.
  const opened = await openProject('copy');
  expect([opened.ok, opened.mended]).toEqual([true, undefined]);
  expect(readProject(writeProject(copy))).toEqual({ ok: true, value: copy });
});

test('of what is not there no copy is made', async () => {
  const none = await duplicateProject('gone', 'copy', 5);
  expect(none.ok ? '' : none.message).toMatch(/^This project is not here/);
  expect(await listProjects()).toEqual([]);
});

test('a kit’s name is whole to its last letter, too', () => {
  const { name } = newKit('k', `${'k'.repeat(119)}🪁`, 0);
  expect([name.length, name.isWellFormed()]).toEqual([119, true]);
});
