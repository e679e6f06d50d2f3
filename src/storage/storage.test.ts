import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, unzipSync, zipSync } from 'fflate';
import fc from 'fast-check';
import { goTo, perform, startHistory, type History } from '@/core/project/history';
import { retitle } from '@/core/project/edits/gather';
import { layPieces, removePieces } from '@/core/project/edits/pile';
import { movePieces } from '@/core/project/edits/place';
import { writeProject } from '@/core/project/file';
import { FILE_VERSION } from '@/core/project/version';
import { database } from '@/storage/database';
import { storeAsset } from '@/storage/assets';
import { sha256 } from '@/core/sha';
import { LIMITS } from '@/storage/file-limits';
import { assetPath, packProject, unpackProject, withPictures } from '@/storage/project-file';
import { noteLine } from '@/storage/line';
import { claimProject, duplicateProject, keep, openProject } from '@/storage/projects';
import { deleteProject, purge, undeleteProject } from '@/storage/deleted';
import { listProjects } from '@/storage/shelf';
import { addProject } from '@/storage/shelved';
import { assetOf, inkPiece, laid, photoOf, project, quarters, wordsOf } from '../../scripts/testing/samples';
import { emptyStore } from '../../scripts/testing/store';

beforeEach(emptyStore);

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
        .beforeEach(async () => void (await emptyStore())),
      { numRuns: 20 },
    );
  });

  test('what was noted in the moment it was done comes back, though it was never kept; what is older than what was kept does not', async () => {
    await fc.assert(
      fc
        .asyncProperty(
          fc.array(fc.record({ title: fc.boolean(), note: fc.boolean(), keep: fc.boolean() }), {
            minLength: 1,
            maxLength: 60,
          }),
          async (does) => {
            await addProject(project(), 0);
            const first = await openProject('sample');
            if (!first.ok) throw new Error(first.message);
            await claimProject({ ...first, ok: true }, 'me', 1);
            let [kept, history, sure] = [first.value, first.value, first.value];
            for (const [i, { title, note, keep: keeps }] of does.entries()) {
              history = title || !history.done ? later(history, `t${i}`) : goTo(history, history.done - 1);
              if (note) {
                noteLine(kept, history, 'me', i + 1);
                sure = history;
              }
              if (keeps) {
                await keep(kept, history, i, 'me', i + 1);
                sure = kept = history;
              }
            }
            const again = await openProject('sample');
            if (!again.ok) throw new Error(again.message);
            expect(again.value).toEqual(sure);
            // Whoever opens it next has it whole, whatever lies in the line.
            await claimProject({ ...again, ok: true }, 'another', 2);
            expect(await opened()).toEqual(sure);
          },
        )
        .beforeEach(async () => void (await emptyStore())),
      { numRuns: 30 },
    );
  });

  test('a line of another room, or one that cannot be read, costs nothing', async () => {
    const start = startHistory(project());
    await addProject(start.project, 0);
    await claimProject({ ok: true, value: start }, 'me', 1);
    await keep(start, later(start, 'Kept'), 2, 'me', 1);
    for (const wrong of [
      { holder: 'another' },
      { steps: 'x' },
      { from: 7 },
      { done: -1 },
      { version: 3 },
      { steps: [{ patches: [{ op: 'replace', path: ['surfaces', 9, 'pile'], value: 1 }], inverse: [] }] },
    ]) {
      noteLine(start, later(start, 'Noted'), 'me', 5);
      await database.lines.update('sample', wrong as object);
      expect((await opened()).project.title).toBe('Kept');
    }
  });

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

  const later = (history: History, title: string) => perform(history, retitle(title), 1e9);

  test('nothing is written by who no longer holds the project, nor into one that is gone, nor over newer work', async () => {
    const start = startHistory(project());
    await addProject(start.project, 0);
    const first = await openProject('sample');
    if (!first.ok) throw new Error(first.message);
    await claimProject({ ...first, ok: true }, 'first', 1);
    await keep(start, later(start, 'By the first'), 2, 'first');
    const second = await openProject('sample');
    if (!second.ok) throw new Error(second.message);
    await claimProject({ ...second, ok: true }, 'second', 3);
    await expect(keep(start, later(start, 'Late'), 4, 'first')).rejects.toMatchObject({
      name: 'DisplacedError',
    });
    await keep(second.value, later(second.value, 'By the second'), 5, 'second');
    expect((await opened()).project.title).toBe('By the second');

    await database.projects.update('sample', { version: FILE_VERSION + 1 });
    const writes = [
      keep(second.value, later(second.value, 'x'), 6, 'second'),
      deleteProject('sample', 7),
      duplicateProject('sample', 'copy', 8).then(
        (copy) => copy.ok || Promise.reject(new Error(copy.message)),
      ),
    ];
    for (const write of writes) await expect(write).rejects.toThrow(/newer|^$/);
    const newer = await openProject('sample');
    expect(!newer.ok && newer.message).toBe(
      `This project was made by a newer Bellagraph (file version ${FILE_VERSION + 1}; this one reads up to ${FILE_VERSION}). Nothing was changed.`,
    );
    expect(await database.projects.get('sample')).toMatchObject({ title: 'By the second', holder: 'second' });

    await database.projects.delete('sample');
    await expect(keep(start, later(start, 'x'), 9, 'second')).rejects.toMatchObject({ name: 'GoneError' });
    expect(await database.projects.count()).toBe(0);
    // Put back: the whole of it, with what can be undone.
    const back = later(later(start, 'One'), 'Two');
    await keep(null, back, 10, 'second');
    expect(await opened()).toEqual(back);
  });

  test('a piece that cannot be read is set aside; the rest opens, and what was there before is laid by', async () => {
    const good = laid([inkPiece('a'), inkPiece('b'), wordsOf('c', 'Kites')]);
    await addProject(good, 0);
    const kept = perform(startHistory(good), retitle('Later'), 0);
    await keep(startHistory(good), kept, 1);
    const spoilt = structuredClone(good);
    (spoilt.surfaces[0]!.pile[0]!.material as { kind: string }).kind = 'glitter';
    (spoilt.surfaces[0]!.pile[2]!.outline as { size: number }).size = 3.2;
    await database.snapshots.put({ id: 'sample', project: spoilt });
    const answer = await openProject('sample');
    if (!answer.ok) throw new Error(answer.message);
    expect(answer.value.project.surfaces[0]!.pile).toEqual([
      inkPiece('b'),
      { ...wordsOf('c', 'Kites'), outline: { ...wordsOf('c', 'Kites').outline, size: 4 } },
    ]);
    expect(answer.value.project.title).toBe('Later');
    expect(answer.mended).toEqual([
      expect.stringMatching(/“a” on “Page 1”: what it is made of is a material .* set aside/),
      '“c” on “Page 1”: the size of its letters would be 3.2: 4 is the least. It was brought within the limit.',
    ]);
    await claimProject({ ...answer, ok: true }, 'me', 2);
    expect(await opened()).toEqual({ ...answer.value, forgotten: 1 });
    expect(await database.originals.toArray()).toMatchObject([{ project: 'sample', snapshot: spoilt }]);
  });

  test('a step that leads nowhere ends the steps: the project opens as it was before them', async () => {
    await addProject(project(), 0);
    const start = startHistory(project());
    const kept = later(start, 'Later');
    await keep(start, kept, 1);
    const step = {
      ...kept.steps[0]!,
      patches: [{ op: 'replace' as const, path: ['surfaces', 9, 'pile', 4], value: 1 }],
    };
    await database.journal.put({ project: 'sample', index: 0, step, version: FILE_VERSION });
    const answer = await openProject('sample');
    expect(answer).toMatchObject({ ok: true, fresh: true, value: { project: { title: 'A sample' } } });
    expect(answer.mended).toEqual(['The last step could not be read. It is shown as it was before.']);
  });

  test('a project whose own id was damaged is opened and kept under the one it lies by', async () => {
    await addProject(project(), 0);
    await database.snapshots.put({ id: 'sample', project: { ...project(), id: 'elsewhere' } });
    const answer = await openProject('sample');
    expect(answer).toMatchObject({ ok: true, value: { project: { id: 'sample' } } });
    expect(answer.mended).toEqual(['What it is kept by was damaged. It is right again.']);
    if (answer.ok) await claimProject(answer, 'me', 1);
    expect((await openProject('sample')).mended).toBeUndefined();
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
  const pack = async (of = full, limits?: typeof LIMITS) => {
    const made = await packProject(of, async () => bytes, quarters(20, 20), [], limits);
    if (!made.ok) throw new Error(made.message);
    return Buffer.from(await made.value.blob.arrayBuffer());
  };
  const opening = async (file: Uint8Array) => {
    const answer = await unpackProject(file);
    if (!answer.ok) throw new Error(answer.message);
    return answer.value;
  };
  const refusal = async (file: Uint8Array) => {
    const answer = await unpackProject(file);
    return answer.ok ? 'opened' : answer.message;
  };

  test('a design that ships without its pictures opens whole once they are put in', async () => {
    const bare = await packProject(full, async () => undefined, quarters(20, 20));
    if (!bare.ok) throw new Error(bare.message);
    expect(bare.value.missing).toHaveLength(1);
    const whole = await withPictures(bare.value.blob, [{ asset, blob: new Blob([new Uint8Array(bytes)]) }]);
    const { project: read, assets, mended } = await opening(new Uint8Array(await whole.arrayBuffer()));
    expect(read).toEqual(full);
    expect(Buffer.from(await assets.get(asset.sha)!.arrayBuffer()).equals(bytes)).toBe(true);
    expect(mended).toEqual([]);
  });

  test('round trip: project, pictures and preview to the last byte', async () => {
    const { project: read, assets, preview, mended } = await opening(await pack());
    expect(read).toEqual(full);
    expect(Buffer.from(await assets.get(asset.sha)!.arrayBuffer()).equals(bytes)).toBe(true);
    expect(preview).toBeDefined();
    expect(mended).toEqual([]);
    expect(await sha256(bytes)).toBe(asset.sha);
  });

  test('equal projects make equal files, a missing picture is named, and what is not opened again is not made', async () => {
    expect((await pack()).equals(await pack())).toBe(true);
    const without = await packProject(full, async () => undefined);
    expect(without.ok && without.value.missing).toEqual([asset]);
    await expect(pack(full, { ...LIMITS, unpacked: 2000 })).rejects.toThrow(/so no file was made/);
  });

  test('another reader of zips finds every part whole', async () => {
    const path = join(mkdtempSync(join(tmpdir(), 'bellagraph-')), 'page.zip');
    writeFileSync(path, await pack());
    // Python's own zipfile: names the first part whose checksum does not hold.
    const told = execFileSync('python3', ['-m', 'zipfile', '-t', path], { encoding: 'utf8' });
    expect(told.trim()).toBe('Done testing');
    expect(Object.keys(unzipSync(readFileSync(path)))).toEqual([
      'project.json',
      'preview.jpg',
      assetPath(asset),
    ]);
  });

  test('opens what other writers make of it: 64-bit fields, as in files over 4 GB', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'bellagraph-'));
    writeFileSync(join(folder, 'page.zip'), await pack());
    // APPNOTE 4.5.3; Python's own zipfile writes the fields when it is told to, whatever the size.
    const python = `
import zipfile
old = zipfile.ZipFile('page.zip')
with zipfile.ZipFile('large.zip', 'w') as new:
    for name in old.namelist():
        with new.open(name, 'w', force_zip64=True) as part: part.write(old.read(name))`;
    execFileSync('python3', ['-c', python], { cwd: folder });
    const { project: read, assets, mended } = await opening(readFileSync(join(folder, 'large.zip')));
    expect([read, [...assets.keys()], mended]).toEqual([full, [asset.sha], []]);
  });

  test('refuses what is damaged or harmful, each in its own words', async () => {
    const json = strToU8(writeProject(full));
    const good = await pack();
    expect(await refusal(new Uint8Array())).toMatch(/empty/);
    expect(await refusal(strToU8('no zip at all'))).toMatch(/not a readable zip/);
    expect(await refusal(good.subarray(0, good.length / 2))).toMatch(/damaged/);
    expect(await refusal(zipSync({ 'notes.txt': strToU8('hello') }))).toMatch(/holds no project/);
    expect(await refusal(zipSync({ 'project.json': json, '../../startup.sh': strToU8('x') }))).toMatch(
      /points outside/,
    );
    expect(await refusal(zipSync({ 'project.json': json, 'assets\\..\\x': strToU8('x') }))).toMatch(
      /points outside/,
    );
  });

  test('a picture that is missing, another one, or of another size than the project says costs nothing else', async () => {
    const json = strToU8(writeProject(full));
    const told = async (files: Record<string, Uint8Array>) => (await opening(zipSync(files))).mended;
    expect(await told({ 'project.json': json })).toEqual([
      'The picture “quarters” is missing from this file. The rest was opened without it.',
    ]);
    expect(await told({ 'project.json': json, [assetPath(asset)]: quarters(61, 40) })).toEqual([
      'The picture “quarters” is damaged in this file. The rest was opened without it.',
    ]);
    const wrong = { ...full, assets: { [asset.sha]: { ...asset, width: 600 } } };
    const { project: read, mended } = await opening(await pack(wrong));
    expect(read.assets[asset.sha]).toEqual(asset);
    expect(mended).toEqual([expect.stringMatching(/is 60 x 40 pixels, not 600 x 40/)]);
  });

  test('one bit that flipped anywhere opens nothing that is not what was written', async () => {
    const good = await pack();
    await fc.assert(
      fc.asyncProperty(fc.nat(good.length - 1), fc.nat(7), async (at, bit) => {
        const spoilt = Uint8Array.from(good);
        spoilt[at]! ^= 1 << bit;
        const answer = await unpackProject(spoilt);
        if (!answer.ok) return expect(answer.message).toMatch(/damaged|refused|not a/i);
        expect(answer.value.project).toEqual(full);
        const picture = answer.value.assets.get(asset.sha);
        if (picture) expect(Buffer.from(await picture.arrayBuffer()).equals(bytes)).toBe(true);
        else expect(answer.value.mended).toHaveLength(1);
      }),
      { numRuns: 100 },
    );
  });

  test('a zip that claims far more than it holds is refused before anything is unpacked', async () => {
    const zip = zipSync({
      'assets/big.bin': new Uint8Array(10),
      'project.json': strToU8(writeProject(full)),
    });
    // The size an entry claims stands at byte 24 of its place in the central directory (PKWARE APPNOTE 4.3.12).
    const view = new DataView(zip.buffer);
    const claim = (size: number, nth: number) => {
      const places = Array.from({ length: zip.length - 4 }, (_, at) => at).filter(
        (at) => view.getUint32(at, true) === 0x02014b50,
      );
      view.setUint32(places[nth]! + 24, size, true);
    };
    claim(0x20000000, 1);
    expect(await refusal(zip)).toMatch(/project in it is larger than 256 MB/);
    claim(0xf0000000, 0);
    expect(await refusal(zip)).toMatch(/cannot be true/);
  });
});
