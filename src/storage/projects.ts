/** Projects in the store: listed, opened with their whole history, kept after every edit, thrown away. */
import { Dexie } from 'dexie';
import { goTo, startHistory, type History, type Step } from '@/core/project/history';
import { checkProject } from '@/core/project/file';
import type { Project } from '@/core/project/model';
import { fail, ok, type Result } from '@/core/result';
import { database, type ProjectRow } from '@/storage/database';

/** Every step of one project, or those from `from` on. */
const journalOf = (id: string, from: number | typeof Dexie.minKey = Dexie.minKey) =>
  database.journal.where('[project+index]').between([id, from], [id, Dexie.maxKey]);

/** A snapshot is written anew after this many steps, so that opening never replays more. */
const SNAPSHOT_EVERY = 40;
/** A deleted project can be brought back for this long, milliseconds. */
const KEEP_DELETED = 7 * 24 * 3600 * 1000;

export type ProjectCard = Omit<ProjectRow, 'snapshot'>;

export async function listProjects(): Promise<ProjectCard[]> {
  const rows = await database.projects.orderBy('edited').reverse().toArray();
  return rows.filter((row) => !row.deleted).map(({ snapshot: _, ...card }) => card);
}

const rowOf = (project: Project, done: number, edited: number): ProjectRow => ({
  id: project.id,
  title: project.title,
  width: project.surfaces[0]!.width,
  height: project.surfaces[0]!.height,
  unit: project.unit,
  edited,
  snapshot: project,
  snapshotAt: done,
  done,
});

export const addProject = (project: Project, now: number): Promise<unknown> =>
  database.projects.add(rowOf(project, 0, now));

/** Opens a project as it was left, with everything that can be undone. */
export async function openProject(id: string): Promise<Result<History>> {
  const row = await database.projects.get(id);
  if (!row || row.deleted)
    return fail('This project is not here: it may have been deleted, or made in another browser.');
  const checked = checkProject(row.snapshot);
  if (!checked.ok) return fail(checked.message);
  const rows = await journalOf(id).toArray();
  const forgotten = rows[0]?.index ?? row.done;
  const steps = rows.map(({ step }) => step);
  const atSnapshot: History = {
    ...startHistory(checked.value),
    steps,
    done: row.snapshotAt - forgotten,
    forgotten,
  };
  return ok(goTo(atSnapshot, row.done - forgotten));
}

/** Writes down what changed between two moments of one history, in one transaction. */
export async function keep(before: History | null, after: History, now: number): Promise<void> {
  const { project } = after;
  const firstNew = firstDifference(before, after);
  const done = after.forgotten + after.done;
  await database.transaction('rw', database.projects, database.journal, async () => {
    const row = await database.projects.get(project.id);
    await journalOf(project.id, firstNew).delete();
    await database.journal
      .where('[project+index]')
      .between([project.id, Dexie.minKey], [project.id, after.forgotten])
      .delete();
    await database.journal.bulkPut(
      after.steps.slice(Math.max(0, firstNew - after.forgotten)).map((step, i) => ({
        project: project.id,
        index: Math.max(firstNew, after.forgotten) + i,
        step,
      })),
    );
    const stale =
      !row ||
      firstNew < row.snapshotAt ||
      row.snapshotAt < after.forgotten ||
      Math.abs(done - row.snapshotAt) > SNAPSHOT_EVERY;
    if (stale) await database.projects.put({ ...rowOf(project, done, now), deleted: row?.deleted });
    else {
      const { title, unit } = project;
      const { width, height } = project.surfaces[0]!;
      await database.projects.update(project.id, { done, edited: now, title, unit, width, height });
    }
  });
}

/** The first step (counted from the project's first) that the two histories do not share. */
function firstDifference(before: History | null, after: History): number {
  if (!before) return after.forgotten;
  const stepAt = (history: History, index: number): Step | undefined =>
    history.steps[index - history.forgotten];
  let index = Math.max(before.forgotten, after.forgotten);
  while (stepAt(before, index) && stepAt(before, index) === stepAt(after, index)) index++;
  return index;
}

export const deleteProject = (id: string, now: number): Promise<unknown> =>
  database.projects.update(id, { deleted: now });
export const undeleteProject = (id: string): Promise<unknown> =>
  database.projects.update(id, { deleted: undefined });

/** Throws away what was deleted long ago, and pictures that no project holds any more. */
export async function purge(now: number): Promise<void> {
  const expired = await database.projects
    .filter((row) => row.deleted !== undefined && now - row.deleted > KEEP_DELETED)
    .toArray();
  if (expired.length === 0) return;
  for (const { id } of expired)
    await database.transaction('rw', database.projects, database.journal, database.previews, async () => {
      await database.projects.delete(id);
      await database.previews.delete(id);
      await journalOf(id).delete();
    });
  const used = new Set<string>();
  await database.projects.each((row) => Object.keys(row.snapshot.assets).forEach((sha) => used.add(sha)));
  await database.journal.each((row) => {
    for (const sha of JSON.stringify(row.step).match(/[0-9a-f]{64}/g) ?? []) used.add(sha);
  });
  const unused = (await database.assets.toCollection().primaryKeys()).filter((sha) => !used.has(sha));
  await database.assets.bulkDelete(unused);
  const gone = new Set(unused);
  await database.proxies.filter(({ sha }) => gone.has(sha)).delete();
}

/** A copy of a project under a new id and title, without its history. */
export async function duplicateProject(id: string, newId: string, now: number): Promise<Result<Project>> {
  const opened = await openProject(id);
  if (!opened.ok) return opened;
  const copy: Project = {
    ...structuredClone(opened.value.project),
    id: newId,
    title: `${opened.value.project.title} (copy)`,
  };
  await addProject(copy, now);
  const preview = await database.previews.get(id);
  if (preview) await database.previews.put({ ...preview, project: newId });
  return ok(copy);
}
