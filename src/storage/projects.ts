/** Projects opened with their whole history, and kept after every edit. */
import { Dexie } from 'dexie';
import { applyPatches } from 'immer';
import { number, object } from 'yup';
import { firstDifference, goTo, startHistory, type History, type Step } from '@/core/project/history';
import { checkProject, migrated, newerThanThis } from '@/core/project/file';
import type { Project } from '@/core/project/model';
import { FILE_VERSION } from '@/core/project/version';
import { fail, ok, type Result } from '@/core/result';
import { asName } from '@/core/text/named';
import { database, shasIn, type JournalRow, type ProjectRow } from '@/storage/database';
import { continued } from '@/storage/line';
import { journalOf } from '@/storage/shelf';
import { addProject, filesOf, rowOf } from '@/storage/shelved';
import { Displaced, Gone, Newer } from '@/storage/trouble';

/** A snapshot is written anew after this many steps, so that opening never replays more. */
const SNAPSHOT_EVERY = 40;

export type Opened = Result<History> & {
  /** What of it was not readable and was set aside, or brought within limits: a sentence each. */
  mended?: string[];
  /** Its steps belong to another version, or lead somewhere else: it begins anew and must be kept whole. */
  fresh?: boolean;
  /** It lies among what was deleted. */
  deleted?: boolean;
};

/** Opens a project as it was left, with everything that can be undone. Nothing is written. */
export async function openProject(id: string): Promise<Opened> {
  const [row, snapshot, rows, line] = await database.transaction(
    'r',
    database.projects,
    database.snapshots,
    database.journal,
    database.lines,
    () =>
      Promise.all([
        database.projects.get(id),
        database.snapshots.get(id),
        journalOf(id).toArray(),
        database.lines.get(id),
      ]),
  );
  if (!row) return fail('This project is not here: it may have been deleted, or made in another browser.');
  if (row.deleted) return { ...fail(`“${row.title}” was deleted. It can be put back.`), deleted: true };
  const newest = Math.max(
    ...[row, ...rows].map(({ version }) => (typeof version === 'number' ? version : 1)),
  );
  if (newest > FILE_VERSION) return fail(newerThanThis(newest));
  if (!snapshot) return fail('This project is damaged: its pages are not in this browser’s store any more.');
  const counted = rowSchema.isValidSync(row, { strict: true });
  const current = row.version === FILE_VERSION && rows.every(({ version }) => version === FILE_VERSION);
  const written = !counted
    ? {
        project: snapshot.project,
        told: ['What was noted of its steps could not be read. It is shown as it was before them.'],
      }
    : current
      ? asLeft(row, snapshot.project, rows)
      : replayed(row, snapshot.project, rows);
  const more = written.history && continued(written.history, row, line);
  if (more) Object.assign(written, { history: more, project: more.project });
  const read = checkProject(written.project, FILE_VERSION);
  if (!read.ok) return read;
  const mended = [...(written.told ?? []), ...(read.mended ?? [])];
  if (read.value.id !== row.id) {
    read.value.id = row.id;
    mended.push('What it is kept by was damaged. It is right again.');
  }
  if (written.history && same(read.value, written.history.project))
    return { ...ok(written.history), ...(more ? { fresh: true } : {}) };
  return {
    ...ok({ ...startHistory(read.value), forgotten: counted ? row.done : 0 }),
    fresh: true,
    ...(mended.length ? { mended } : {}),
  };
}

const count = number().integer().min(0).required();
/** What opening counts on: the rest of the row is only for the list. */
const rowSchema = object({ version: number().integer().min(1), snapshotAt: count, done: count });

interface Written {
  project: unknown;
  history?: History;
  told?: string[];
}

/** Whether the door changed nothing, so that the steps still lead through it. */
const same = (a: Project, b: Project): boolean =>
  Object.keys(a).every(
    (key) => key === 'surfaces' || shallow(a[key as keyof Project], b[key as keyof Project]),
  ) &&
  a.surfaces.length === b.surfaces.length &&
  a.surfaces.every((page, i) =>
    Object.entries(page).every(([key, value]) => shallow(value, b.surfaces[i]![key as keyof typeof page])),
  );

const shallow = (a: unknown, b: unknown): boolean =>
  a === b ||
  (Array.isArray(a) && Array.isArray(b) && a.length === b.length && a.every((one, i) => one === b[i]));

/** The state its steps lead to, with the steps. A step that leads nowhere ends them: the snapshot is what is left. */
function asLeft(row: ProjectRow, snapshot: Project, rows: readonly JournalRow[]): Written {
  const forgotten = rows[0]?.index ?? row.done;
  const steps = rows.map(({ step }) => step);
  const atSnapshot: History = {
    ...startHistory(snapshot),
    steps,
    done: row.snapshotAt - forgotten,
    forgotten,
  };
  try {
    const history = goTo(atSnapshot, row.done - forgotten);
    return { project: history.project, history };
  } catch {
    return brokenOff(snapshot, Math.abs(row.done - row.snapshotAt));
  }
}

/** The last file version whose journals did not say which they were of. */
const LAST_UNNOTED = 8;

/**
 * The state that steps of older versions lead to. They were written for the snapshot as it was then, or as a later program
 * had migrated it: so it is migrated to their version before them.
 */
function replayed(row: ProjectRow, snapshot: unknown, rows: readonly JournalRow[]): Written {
  const version = row.version ?? 1;
  const noted = rows.every((one) => one.version !== undefined);
  try {
    let project = snapshot;
    let at = version;
    const between = rows.filter(({ index }) => index >= row.snapshotAt && index < row.done);
    for (const { step, version: of } of between) {
      const next = of ?? LAST_UNNOTED;
      if (next > at) [project, at] = [migrated(project, at, next), next];
      project = applyPatches(project as object, step.patches);
    }
    const back = rows.filter(({ index }) => index < row.snapshotAt && index >= row.done).reverse();
    for (const { step } of back) project = applyPatches(project as object, step.inverse);
    // Before it was noted, migrations only filled in what was missing: that is done wherever it still is.
    return { project: migrated(project, noted ? at : version) };
  } catch {
    return brokenOff(migrated(snapshot, version), Math.abs(row.done - row.snapshotAt));
  }
}

const brokenOff = (project: unknown, steps: number): Written => ({
  project,
  told: [
    `The last ${steps === 1 ? 'step' : `${steps} steps`} could not be read. It is shown as it was before.`,
  ],
});

/**
 * Takes a project for one room, called `holder`: from now on no other writes it. What begins anew is kept whole, and what
 * it was before is laid by if something of it was set aside. Throws `Gone` or `Newer`.
 */
export async function claimProject(
  opened: Opened & { ok: true },
  holder: string,
  now: number,
): Promise<void> {
  const { id } = opened.value.project;
  if (opened.mended)
    await database.transaction(
      'rw',
      [database.projects, database.snapshots, database.journal, database.originals],
      async () => {
        const row = await database.projects.get(id);
        const snapshot = (await database.snapshots.get(id))?.project;
        if (row)
          await database.originals.add({
            project: id,
            row,
            snapshot,
            journal: await journalOf(id).toArray(),
          });
      },
    );
  // At once: what the last holder noted counts only while it is the holder.
  await database.transaction('rw', database.projects, database.snapshots, database.journal, async () => {
    if (!(await database.projects.update(id, { holder, nth: 0 })))
      if (!(await database.projects.get(id))) throw new Gone();
    if (opened.fresh) await keep(null, opened.value, now, holder);
  });
}

/**
 * Writes down what changed between two moments of one history, in one transaction; all of it for a `before` of null. It is
 * the `nth` edit of the room that holds the project.
 * Throws `Gone`, `Displaced` or `Newer`, and writes nothing then.
 */
export async function keep(
  before: History | null,
  after: History,
  now: number,
  holder?: string,
  nth = 0,
): Promise<void> {
  const { project } = after;
  const firstNew = firstDifference(before, after);
  const done = after.forgotten + after.done;
  await database.transaction('rw', database.projects, database.snapshots, database.journal, async () => {
    const row = await database.projects.get(project.id);
    if (!row && before) throw new Gone();
    if (row && holder && row.holder !== holder) throw new Displaced();
    if ((row?.version ?? 1) > FILE_VERSION) throw new Newer();
    const stale =
      !row ||
      !before ||
      firstNew < row.snapshotAt ||
      row.snapshotAt < after.forgotten ||
      Math.abs(done - row.snapshotAt) > SNAPSHOT_EVERY;
    const files = filesNamed(project, after.steps);
    const next = { ...row, ...rowOf(project, done, now), ...(holder ? { holder, nth } : {}) };
    // All at once: each answer that is waited for waits for its turn with whatever else the table does. What goes lies apart
    // from what is put.
    await Promise.all([
      journalOf(project.id, after.forgotten + after.steps.length).delete(),
      database.journal
        .where('[project+index]')
        .between([project.id, Dexie.minKey], [project.id, after.forgotten])
        .delete(),
      database.journal.bulkPut(
        after.steps.slice(Math.max(0, firstNew - after.forgotten)).map((step, i) => ({
          project: project.id,
          index: Math.max(firstNew, after.forgotten) + i,
          step,
          version: FILE_VERSION,
        })),
      ),
      stale ? database.snapshots.put({ id: project.id, project }) : null,
      database.projects.put({
        ...next,
        snapshotAt: stale ? done : row.snapshotAt,
        // A list that stays the same object is not indexed anew.
        files: row?.files && sameList(row.files, files) ? row.files : files,
      }),
    ]);
  });
}

const named = new WeakMap<Step, string[]>();

/** Files a project names, or a step that can be undone or done again; each step is looked through once. */
function filesNamed(project: Project, steps: readonly Step[]): string[] {
  const files = new Set(filesOf(project));
  for (const step of steps) {
    let shas = named.get(step);
    if (!shas) named.set(step, (shas = shasIn(step)));
    for (const sha of shas) files.add(sha);
  }
  return [...files];
}

const sameList = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((one, i) => one === b[i]);

/** A copy of a project under a new id and title, without its history. */
export async function duplicateProject(id: string, newId: string, now: number): Promise<Result<Project>> {
  const opened = await openProject(id);
  if (!opened.ok) return opened;
  const copy: Project = {
    ...structuredClone(opened.value.project),
    id: newId,
    title: `${asName(opened.value.project.title, 190)} (copy)`,
  };
  await addProject(copy, now);
  const preview = await database.previews.get(id);
  if (preview) await database.previews.put({ ...preview, project: newId });
  return ok(copy);
}
