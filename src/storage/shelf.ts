/** The projects in the store as a shelf: listed, put there. */
import { Dexie } from 'dexie';
import { FILE_VERSION } from '@/core/project/model';
import type { Project } from '@/core/project/model';
import { coverOf, nameOfProduct } from '@/core/product';
import { database, type ProjectRow } from '@/storage/database';

/** Every step of one project, or those from `from` on. */
export const journalOf = (id: string, from: number | typeof Dexie.minKey = Dexie.minKey) =>
  database.journal.where('[project+index]').between([id, from], [id, Dexie.maxKey]);

export type ProjectCard = ProjectRow;

/** The projects that are not deleted, last worked on first. */
export async function listProjects(): Promise<ProjectCard[]> {
  const rows = await database.projects.orderBy('edited').reverse().toArray();
  return rows.filter((row) => !row.deleted);
}

/** A project's row when its journal is empty or wholly told by the snapshot. */
export const rowOf = (project: Project, done: number, edited: number): ProjectRow => ({
  id: project.id,
  title: project.title,
  width: coverOf(project).box.width,
  height: coverOf(project).box.height,
  unit: project.unit,
  product: nameOfProduct(project.product),
  edited,
  version: FILE_VERSION,
  snapshotAt: done,
  done,
  files: filesOf(project),
});

/** Puts a project on the shelf, all or nothing. Rejects if there is one with its id. */
export const addProject = (project: Project, now: number): Promise<unknown> =>
  database.transaction('rw', database.projects, database.snapshots, async () => {
    await database.projects.add(rowOf(project, 0, now));
    await database.snapshots.put({ id: project.id, project });
  });

export const hasProject = async (id: string): Promise<boolean> =>
  (await database.projects.where('id').equals(id).count()) > 0;

/** Pictures and fonts a project holds, by SHA-256. */
export const filesOf = ({ assets, fonts = [] }: Project): string[] => [
  ...Object.keys(assets),
  ...fonts.map(({ sha }) => sha),
];
