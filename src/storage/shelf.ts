/** The projects in the store as a shelf: listed, put there, taken away, thrown out for good. */
import { Dexie } from 'dexie';
import { FILE_VERSION } from '@/core/project/model';
import type { Project } from '@/core/project/model';
import { database, type ProjectRow } from '@/storage/database';

/** Every step of one project, or those from `from` on. */
export const journalOf = (id: string, from: number | typeof Dexie.minKey = Dexie.minKey) =>
  database.journal.where('[project+index]').between([id, from], [id, Dexie.maxKey]);

/** A deleted project can be brought back for this long, milliseconds. */
const KEEP_DELETED = 7 * 24 * 3600 * 1000;

export type ProjectCard = Omit<ProjectRow, 'snapshot'>;

export async function listProjects(): Promise<ProjectCard[]> {
  const rows = await database.projects.orderBy('edited').reverse().toArray();
  return rows.filter((row) => !row.deleted).map(({ snapshot: _, ...card }) => card);
}

/** A project's row when its journal is empty or wholly told by the snapshot. */
export const rowOf = (project: Project, done: number, edited: number): ProjectRow => ({
  id: project.id,
  title: project.title,
  width: project.surfaces[0]!.width,
  height: project.surfaces[0]!.height,
  unit: project.unit,
  edited,
  snapshot: project,
  version: FILE_VERSION,
  snapshotAt: done,
  done,
});

export const addProject = (project: Project, now: number): Promise<unknown> =>
  database.projects.add(rowOf(project, 0, now));

export const deleteProject = (id: string, now: number): Promise<unknown> =>
  database.projects.update(id, { deleted: now });
export const undeleteProject = (id: string): Promise<unknown> =>
  database.projects.update(id, { deleted: undefined });

/** Throws away what was deleted long ago, and the pictures nothing else holds. */
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
  await throwOutUnused(expired.flatMap(({ snapshot }) => filesOf(snapshot)));
}

/** Pictures and fonts a project holds, by SHA-256. */
const filesOf = ({ assets, fonts = [] }: Project): string[] => [
  ...Object.keys(assets),
  ...fonts.map(({ sha }) => sha),
];

/** What came in less than this ago, milliseconds, may be on its way to a page or the cupboard in another tab. */
const NEW_FOR = 3600 * 1000;

/** Throws away pictures that no project and no supply holds any more; new ones only if they are `letGo`, by SHA-256. */
export async function throwOutUnused(letGo: readonly string[] = []): Promise<void> {
  const used = new Set<string>();
  await database.projects.each((row) => filesOf(row.snapshot).forEach((sha) => used.add(sha)));
  await database.journal.each((row) => {
    for (const sha of JSON.stringify(row.step).match(/[0-9a-f]{64}/g) ?? []) used.add(sha);
  });
  await database.supplies.each(({ asset, page }) =>
    [asset?.sha, page].forEach((sha) => sha && used.add(sha)),
  );
  const gone = new Set<string>();
  const since = Date.now() - NEW_FOR;
  for (const sha of await database.assets.toCollection().primaryKeys()) {
    if (used.has(sha)) continue;
    if (letGo.includes(sha) || ((await database.assets.get(sha))?.stored ?? 0) < since) gone.add(sha);
  }
  await database.assets.bulkDelete([...gone]);
  await database.proxies.filter(({ sha }) => gone.has(sha)).delete();
}
