/**
 * Projects that older programs left in the store, and stores and projects of newer ones. The fixtures were written by the
 * program as it was at each file version: a snapshot, the journal that leads on from it, and the project as it was left.
 */
import Dexie from 'dexie';
import { readFileSync } from 'node:fs';
import { checkProject, migrated } from '@/core/project/file';
import { goTo, perform } from '@/core/project/history';
import { retitle } from '@/core/project/edits/gather';
import type { Project } from '@/core/project/model';
import { FILE_VERSION } from '@/core/project/version';
import { database } from '@/storage/database';
import { claimProject, keep, openProject } from '@/storage/projects';
import { listProjects } from '@/storage/shelf';
import { addProject } from '@/storage/shelved';
import { inWords } from '@/storage/trouble';
import { project } from '../../scripts/testing/samples';

interface Fixture {
  version: number;
  row: { snapshotAt: number; done: number };
  snapshot: Project;
  journal: { label: string }[];
  left: Project;
}

const fixture = (version: number): Fixture =>
  JSON.parse(readFileSync(`src/storage/fixtures/version-${version}.json`, 'utf8'));

// What a newer program left would close the store to whoever comes after.
afterAll(async () => {
  database.close();
  await Dexie.delete('bellagraph');
  await database.open();
});

const VERSIONS = Array.from({ length: 8 }, (_, i) => i + 1);

test('there is a fixture of every version whose journals do not say which they are of', () => {
  expect(FILE_VERSION).toBeGreaterThanOrEqual(VERSIONS.length);
});

/** The store as programs before this one left it: snapshots in the list, steps without a version. */
async function oldStore(fixtures: readonly Fixture[]): Promise<void> {
  database.close();
  await Dexie.delete('bellagraph');
  const old = new Dexie('bellagraph');
  old.version(1).stores({
    projects: 'id, edited',
    journal: '[project+index]',
    assets: 'sha',
    proxies: '[sha+level]',
    previews: 'project',
    settings: 'key',
  });
  old.version(2).stores({ supplies: 'id, kit, asset.sha', kits: 'id' });
  for (const { version, row, snapshot, journal } of fixtures) {
    const id = `v${version}`;
    const { width, height } = snapshot.surfaces[0]!;
    const card = { id, title: snapshot.title, width, height, unit: 'in', edited: version, version, ...row };
    await old.table('projects').put({ ...card, snapshot: { ...snapshot, id } });
    await old.table('journal').bulkPut(journal.map((step, index) => ({ project: id, index, step })));
  }
  old.close();
  await database.open();
}

test('projects of every version come back as they were left, with what came later filled in, and can be worked on', async () => {
  await oldStore(VERSIONS.map(fixture));
  expect((await listProjects()).map(({ id }) => id)).toEqual(
    VERSIONS.map((version) => `v${version}`).reverse(),
  );
  for (const version of VERSIONS) {
    const { left } = fixture(version);
    const expected = checkProject(migrated(left, version));
    const opened = await openProject(`v${version}`);
    if (!opened.ok || !expected.ok) throw new Error(`version ${version}`);
    expect(opened.mended).toBeUndefined();
    expect(opened.value.project).toEqual({ ...expected.value, id: `v${version}` });
    await claimProject({ ...opened, ok: true }, 'me', 1);
    const worked = perform(opened.value, retitle('Worked on'), 1);
    await keep(opened.value, worked, 2, 'me');
    const again = await openProject(`v${version}`);
    expect(again).toEqual({ ok: true, value: worked });
    expect(again.ok && goTo(again.value, 0).project.title).toBe(`Version ${version}`);
  }
});

test('the upgrade of the store says which files each project names, undone steps included', async () => {
  await oldStore([fixture(8)]);
  const [sha] = Object.keys(fixture(8).snapshot.assets);
  expect(await database.projects.where('files').equals(sha!).primaryKeys()).toEqual(['v8']);
  expect(await database.projects.get('v8')).not.toHaveProperty('snapshot');
});

test('files of every version open as they were left', () => {
  for (const version of VERSIONS) {
    const { left } = fixture(version);
    expect(checkProject(left, version)).toEqual({ ok: true, value: migrated(left, version) });
  }
});

test('newer steps in an older project, and a store that a newer program has changed, are refused in words and stay as they are', async () => {
  await oldStore([]);
  await addProject(project(), 0);
  const step = { label: 'newer', at: 0, patches: [], inverse: [] };
  await database.journal.put({ project: 'sample', index: 0, step, version: FILE_VERSION + 1 });
  expect(await openProject('sample')).toMatchObject({
    ok: false,
    message: expect.stringMatching(/newer Bellagraph/),
  });
  database.close();
  const newer = new Dexie('bellagraph');
  newer.version(9).stores({ projects: 'id, edited, *files', shelves: 'id' });
  await newer.table('shelves').put({ id: 'x' });
  newer.close();
  await database.open().catch(() => {});
  const tried = await listProjects().catch((error: unknown) => error);
  expect(inWords(tried, 'Your projects could not be listed')).toMatch(
    /written by a newer Bellagraph. Nothing was changed/,
  );
  await expect(addProject({ ...project(), id: 'two' }, 1)).rejects.toThrow();
  const after = await new Dexie('bellagraph').open();
  expect(after.verno).toBe(9);
  expect(await after.table('projects').toCollection().primaryKeys()).toEqual(['sample']);
});
