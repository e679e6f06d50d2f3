import { strToU8, zipSync } from 'fflate';
import fc from 'fast-check';
import { goTo, perform, startHistory, type History } from '@/core/project/history';
import { retitle } from '@/core/project/edits/gather';
import { layPieces, removePieces } from '@/core/project/edits/pile';
import { movePieces } from '@/core/project/edits/place';
import { writeProject } from '@/core/project/file';
import { database } from '@/storage/database';
import { storeAsset } from '@/storage/assets';
import { assetPath, packProject, sha256, unpackProject } from '@/storage/project-file';
import { duplicateProject, keep, openProject } from '@/storage/projects';
import { addProject, deleteProject, listProjects, purge, undeleteProject } from '@/storage/shelf';
import { assetOf, inkPiece, laid, photoOf, project, quarters } from '../../scripts/testing/samples';

beforeEach(async () => {
  await Promise.all(database.tables.map((table) => table.clear()));
});

const opened = async (id = 'sample'): Promise<History> => {
  const answer = await openProject(id);
  if (!answer.ok) throw new Error(answer.message);
  return answer.value;
};

/** Edits, undos and redos by chance; each is kept as it happens, or several together. */
async function work(dice: readonly number[]): Promise<History> {
  let kept = startHistory(project());
  await addProject(kept.project, 0);
  let history = kept;
  for (const [i, die] of dice.entries()) {
    const surface = history.project.surfaces[0]!;
    const pick = surface.pile[die % Math.max(1, surface.pile.length)];
    if (die % 5 === 0) history = goTo(history, history.done - 1 - (die % 3));
    else if (die % 5 === 1) history = goTo(history, history.done + 1);
    else if (die % 5 === 2 || !pick)
      history = perform(history, layPieces(surface.id, [inkPiece(`p${i}`)]), i * 400);
    else if (die % 5 === 3) history = perform(history, movePieces(surface.id, [pick], 1, 2), i * 400);
    else history = perform(history, removePieces(surface.id, [pick]), i * 400);
    if (die % 4 !== 0) {
      await keep(kept, history, i);
      kept = history;
    }
  }
  await keep(kept, history, 1e6);
  return history;
}

describe('keeping', () => {
  test('whatever was done comes back after a restart, with everything that can be undone and redone', async () => {
    await fc.assert(
      fc
        .asyncProperty(fc.array(fc.nat(10_000), { minLength: 1, maxLength: 70 }), async (dice) => {
          const left = await work(dice);
          expect(await opened()).toEqual(left);
        })
        .beforeEach(async () => {
          await Promise.all(database.tables.map((table) => table.clear()));
        }),
      { numRuns: 40 },
    );
  }, 60_000);

  test('a long evening is not replayed from its first step', async () => {
    await work(Array.from({ length: 130 }, () => 2));
    const row = await database.projects.get('sample');
    expect(row!.done - row!.snapshotAt).toBeLessThanOrEqual(41);
    expect((await opened()).steps).toHaveLength(130);
  });

  test('steps forgotten by the history are forgotten by the store', async () => {
    let history = startHistory(project());
    await addProject(history.project, 0);
    let kept = history;
    for (let i = 0; i < 530; i++) {
      history = perform(history, retitle(`t${i}`), i * 10_000);
      if (i % 60 === 59 || i === 529) {
        await keep(kept, history, i);
        kept = history;
      }
    }
    expect(await opened()).toEqual(history);
    expect(await database.journal.count()).toBe(500);
  });

  test('deleted projects can be brought back; after a week they go, with pictures nobody else uses', async () => {
    const bytes = quarters(40, 30);
    const [mine, shared] = [assetOf(bytes, 40, 30), assetOf(quarters(30, 40), 30, 40)];
    for (const asset of [mine, shared])
      await storeAsset({ asset, blob: new Blob([asset.sha]), proxies: { thumb: new Blob(['t']) } });
    await addProject({ ...laid([], [mine, shared]), id: 'a' }, 1);
    await addProject({ ...laid([], [shared]), id: 'b' }, 2);
    await deleteProject('a', 1000);
    expect((await listProjects()).map(({ id }) => id)).toEqual(['b']);
    await undeleteProject('a');
    expect(await listProjects()).toHaveLength(2);
    await deleteProject('a', 1000);
    await purge(1000 + 6 * 24 * 3600 * 1000);
    expect(await database.assets.count()).toBe(2);
    await purge(1000 + 8 * 24 * 3600 * 1000);
    expect(await database.assets.toCollection().primaryKeys()).toEqual([shared.sha]);
    expect(await database.proxies.count()).toBe(1);
    expect((await openProject('a')).ok).toBe(false);
  });

  test('a copy is a project of its own', async () => {
    await work([2, 2, 3]);
    const copy = await duplicateProject('sample', 'copy', 5);
    expect(copy.ok && copy.value.title).toBe('A sample (copy)');
    expect((await opened('copy')).project.surfaces).toEqual((await opened()).project.surfaces);
  });
});

describe('project files', () => {
  const bytes = quarters(60, 40);
  const asset = assetOf(bytes, 60, 40);
  const full = laid([photoOf('p', asset, { x: 0, y: 0, width: 60, height: 40 })], [asset]);
  const pack = async (of = full) =>
    Buffer.concat((await packProject(of, async () => bytes, quarters(20, 20))).parts);
  const refusal = async (file: Uint8Array) => {
    const answer = await unpackProject(file);
    return answer.ok ? 'opened' : answer.message;
  };

  test('round trip: project, pictures and preview to the last byte', async () => {
    const answer = await unpackProject(await pack());
    if (!answer.ok) throw new Error(answer.message);
    expect(answer.value.project).toEqual(full);
    expect(Buffer.from(answer.value.assets.get(asset.sha)!).equals(bytes)).toBe(true);
    expect(answer.value.preview).toBeDefined();
    expect(await sha256(bytes)).toBe(asset.sha);
  });

  test('equal projects make equal files, and a missing picture is named', async () => {
    expect((await pack()).equals(await pack())).toBe(true);
    expect((await packProject(full, async () => undefined)).missing).toEqual([asset]);
  });

  test('refuses what is damaged or harmful, each in its own words', async () => {
    const json = strToU8(writeProject(full));
    const good = await pack();
    expect(await refusal(new Uint8Array())).toMatch(/empty/);
    expect(await refusal(strToU8('no zip at all'))).toMatch(/not a readable zip/);
    expect(await refusal(good.subarray(0, good.length / 2))).toMatch(/damaged/);
    expect(await refusal(zipSync({ 'notes.txt': strToU8('hello') }))).toMatch(/holds no project/);
    expect(await refusal(zipSync({ 'project.json': json }))).toMatch(/“quarters” is missing/);
    expect(await refusal(zipSync({ 'project.json': json, [assetPath(asset)]: quarters(61, 40) }))).toMatch(
      /does not match its name/,
    );
    expect(await refusal(zipSync({ 'project.json': json, '../../startup.sh': strToU8('x') }))).toMatch(
      /points outside/,
    );
    expect(await refusal(zipSync({ 'project.json': json, 'assets\\..\\x': strToU8('x') }))).toMatch(
      /points outside/,
    );
  });

  test('a zip that claims 10 GB is refused before anything is unpacked', async () => {
    const zip = zipSync(
      { 'project.json': strToU8(writeProject(full)), 'assets/big.bin': new Uint8Array(10) },
      { level: 9 },
    );
    // The size an entry claims stands at byte 24 of its place in the central directory (PKWARE APPNOTE 4.3.12).
    const view = new DataView(zip.buffer);
    const claim = (size: number) => {
      for (let at = 0; at < zip.length - 4; at++)
        if (view.getUint32(at, true) === 0x02014b50) view.setUint32(at + 24, size, true);
    };
    claim(0xf0000000);
    expect(await refusal(zip)).toMatch(/says it unpacks to 7.5 GB; 4 GB is the most/);
    claim(0x10000000);
    expect(await refusal(zip)).toMatch(/project in it is larger|cannot be true/);
  });
});
