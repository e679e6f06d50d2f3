/** The projects in the store as a shelf: listed without knowing what a project is made of. */
import { Dexie } from 'dexie';
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

export const hasProject = async (id: string): Promise<boolean> =>
  (await database.projects.where('id').equals(id).count()) > 0;
