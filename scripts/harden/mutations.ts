/** Files and stored rows with something wrong in them: none throws, none opens as something else without a word. */
import { strToU8, zipSync } from 'fflate';
import { isDeepStrictEqual } from 'node:util';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { checkProject, readProject, writeProject } from '@/core/project/file';
import { perform, startHistory } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { packProject, unpackProject } from '@/storage/project-file';
import { database } from '@/storage/database';
import { claimProject, keep, openProject } from '@/storage/projects';
import { addProject } from '@/storage/shelved';
import { ROOT } from '../node/platform';
import { openedFile, packed } from '../node/files';
import { Chance } from '../testing/chance';
import { byChance, first } from '../testing/edits';
import type { Row } from './report';

const WRONG = [
  null,
  -1,
  0,
  1e308,
  -0.5,
  '',
  'x',
  '\u0000',
  'y'.repeat(70_000),
  [],
  {},
  true,
  '#12',
  [[]],
  { kind: 'x' },
];

/** A copy with one to three things in it changed, gone, doubled or put elsewhere. */
export function mutated(value: unknown, chance: Chance): unknown {
  const copy = structuredClone(value);
  for (let i = 0; i <= chance.below(3); i++) {
    const places = placesIn(copy);
    const { holder, key } = chance.of(places);
    const list = Array.isArray(holder);
    switch (chance.below(5)) {
      case 0:
        if (list) holder.splice(Number(key), 1);
        else delete (holder as Record<string, unknown>)[key];
        break;
      case 1:
        if (list) holder.splice(Number(key), 0, structuredClone(holder[Number(key)]));
        else
          (holder as Record<string, unknown>)[`${key}2`] = structuredClone(
            (holder as Record<string, unknown>)[key],
          );
        break;
      case 2: {
        const from = chance.of(places);
        (holder as Record<string, unknown>)[key] = structuredClone(
          (from.holder as Record<string, unknown>)[from.key],
        );
        break;
      }
      default:
        (holder as Record<string, unknown>)[key] = structuredClone(chance.of(WRONG));
    }
  }
  return copy;
}

interface Place {
  holder: unknown[] | Record<string, unknown>;
  key: string;
}

/** Every place in a value, each level as likely as the next: half of what is deep would else be one outline's numbers. */
function placesIn(value: unknown): Place[] {
  const places: Place[] = [];
  const walk = (holder: unknown, depth: number): void => {
    if (holder === null || typeof holder !== 'object') return;
    const keys = Object.keys(holder);
    for (const key of depth > 3 && keys.length > 12 ? keys.slice(0, 12) : keys) {
      places.push({ holder: holder as Place['holder'], key });
      walk((holder as Record<string, unknown>)[key], depth + 1);
    }
  };
  walk(value, 0);
  return places;
}

/** project.json with wrong things in it, in a zip whose checksums hold. */
export async function spoiltProjects(tries: number, seed: number): Promise<Row> {
  const demo = await openedFile(join(ROOT, 'public/demo/saltmarsh-fly-in.bellagraph'));
  const faults: string[] = [];
  const count = { whole: 0, told: 0, refused: 0 };
  for (let i = 0; i < tries; i++) {
    const chance = new Chance(seed + i);
    const from: Project = i % 3 ? first : demo.project;
    const file = mutated({ format: 'bellagraph', version: 8, project: from }, chance);
    try {
      const json = JSON.stringify(file);
      const read = i % 5 ? readProject(json) : await asFile(json);
      if (!read.ok) {
        count.refused++;
        if (!/^[A-Z].*\.$/s.test(read.message) || /\.\w+\[|\/\^/.test(read.message))
          faults.push(`seed ${seed + i} says: ${read.message}`);
        continue;
      }
      count[read.mended?.length ? 'told' : 'whole']++;
      const again = checkProject(structuredClone(read.value));
      if (!again.ok || again.mended || !isDeepStrictEqual(plain(again.value), plain(read.value)))
        faults.push(`seed ${seed + i}: what was opened does not open again`);
    } catch (error) {
      faults.push(`seed ${seed + i} threw ${(error as Error).message}`);
    }
  }
  return {
    attack: 'project.json with wrong things in it',
    tries,
    faults,
    seen: `${count.whole} passed as they were, ${count.told} opened and told what was mended, ${count.refused} refused in words`,
  };
}

const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

async function asFile(json: string): Promise<ReturnType<typeof readProject>> {
  const opened = await unpackProject(zipSync({ 'project.json': strToU8(json) }));
  return opened.ok ? { ok: true, value: opened.value.project, mended: opened.value.mended } : opened;
}

/** A file of which one to three bits flipped, or a stretch is gone. */
export async function flippedFiles(tries: number, seed: number): Promise<Row> {
  const demo = await openedFile(join(ROOT, 'public/demo/saltmarsh-fly-in.bellagraph'));
  // Without the large photos: what is told apart is the project.
  const small: Project = { ...first, title: demo.project.title };
  const file = await packed(small, async () => undefined, await readFile(join(ROOT, 'src/app/icon.svg')));
  const wanted = JSON.stringify(small);
  const faults: string[] = [];
  const count = { whole: 0, refused: 0 };
  for (let i = 0; i < tries; i++) {
    const chance = new Chance(seed + i);
    let bytes = Uint8Array.from(file);
    if (i % 10 === 9) bytes = bytes.slice(0, chance.below(bytes.length));
    else
      for (let flips = 0; flips <= chance.below(3); flips++)
        bytes[chance.below(bytes.length)]! ^= 1 << chance.below(8);
    try {
      const opened = await unpackProject(bytes);
      if (!opened.ok) count.refused++;
      else if (JSON.stringify(opened.value.project) === wanted) count.whole++;
      else faults.push(`seed ${seed + i} opened as something else`);
    } catch (error) {
      faults.push(`seed ${seed + i} threw ${(error as Error).message}`);
    }
  }
  return {
    attack: 'files of which bits flipped',
    tries,
    faults,
    seen: `${count.whole} opened unchanged, ${count.refused} refused`,
  };
}

/** Rows of the store with wrong things in them: snapshot, journal, or what the list says of them. */
export async function spoiltRows(tries: number, seed: number): Promise<Row> {
  const faults: string[] = [];
  const count = { whole: 0, told: 0, refused: 0 };
  for (let i = 0; i < tries; i++) {
    const chance = new Chance(seed + i);
    const id = 'sample';
    await Promise.all(database.tables.map((one) => one.clear()));
    let history = startHistory({ ...first, id });
    await addProject(history.project, 0);
    for (let step = 0; step < 6; step++) {
      const before = history;
      try {
        history = perform(history, byChance(null, history.project, chance).edit, step * 5000);
      } catch {
        continue;
      }
      await keep(before, history, step);
    }
    try {
      const where = chance.below(3);
      const [snapshot, row] = [await database.snapshots.get(id), await database.projects.get(id)];
      const steps = await database.journal.toArray();
      if (where === 0)
        await database.snapshots.put({ id, project: mutated(snapshot!.project, chance) as Project });
      else if (where === 1 && steps.length) {
        const spoilt = chance.of(steps);
        await database.journal.put({ ...spoilt, step: mutated(spoilt.step, chance) as typeof spoilt.step });
      } else await database.projects.put({ ...(mutated(row, chance) as object as typeof row & object), id });
      const opened = await openProject(id);
      if (!opened.ok) {
        count.refused++;
        if (!/\.$/.test(opened.message)) faults.push(`seed ${seed + i} says: ${opened.message}`);
        continue;
      }
      count[opened.mended ? 'told' : 'whole']++;
      await claimProject({ ...opened, ok: true }, 'me', 1);
      const again = await openProject(id);
      if (!again.ok || again.mended) faults.push(`seed ${seed + i}: what was opened does not open again`);
    } catch (error) {
      faults.push(`seed ${seed + i} threw ${(error as Error).stack?.split('\n').slice(0, 3).join(' ')}`);
    }
  }
  return {
    attack: 'rows of the store with wrong things in them',
    tries,
    faults,
    seen: `${count.whole} opened, ${count.told} opened and told what was mended, ${count.refused} refused in words`,
  };
}

/** Any edits, thousands of them: what comes of them passes the door, is packed, and comes back the same. */
export async function anyEdits(runs: number, seed: number): Promise<Row> {
  const faults: string[] = [];
  let done = 0;
  for (let run = 0; run < runs; run++) {
    const chance = new Chance(seed + run);
    let history = startHistory(first);
    for (let i = 0; i < 40; i++) {
      try {
        history = perform(history, byChance(null, history.project, chance).edit, i * 5000);
        done++;
      } catch {
        // Refused: nothing was changed.
      }
    }
    const file = await packProject(history.project, async () => undefined);
    const opened = file.ok ? await unpackProject(file.value.blob) : file;
    if (!opened.ok) faults.push(`seed ${seed + run}: ${opened.message}`);
    else if (writeProject(opened.value.project) !== writeProject(history.project))
      faults.push(`seed ${seed + run} came back changed`);
  }
  return { attack: 'any edits, then the file is read again', tries: done, faults, seen: `${runs} projects` };
}
