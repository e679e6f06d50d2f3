/** Projects opened with their whole history, and kept after every edit. */
import { Dexie } from 'dexie';
import { goTo, startHistory, type History, type Step } from '@/core/project/history';
import { checkProject } from '@/core/project/file';
import type { Project } from '@/core/project/model';
import { fail, ok, type Result } from '@/core/result';
import { database } from '@/storage/database';
import { addProject, journalOf, rowOf } from '@/storage/shelf';

/** A snapshot is written anew after this many steps, so that opening never replays more. */
const SNAPSHOT_EVERY = 40;
/** Opens a project as it was left, with everything that can be undone. */
export async function openProject(id: string): Promise<Result<History>> {
  const row = await database.projects.get(id);
  if (!row || row.deleted)
    return fail('This project is not here: it may have been deleted, or made in another browser.');
  const checked = checkProject(row.snapshot, row.version ?? 1);
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
