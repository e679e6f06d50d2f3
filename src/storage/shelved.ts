/** A project put on the shelf. */
import { sizeOf, nameOfProduct } from '@/core/product';
import type { Project } from '@/core/project/model';
import { FILE_VERSION } from '@/core/project/version';
import { database, type ProjectRow } from '@/storage/database';

/** A project's row when its journal is empty or wholly told by the snapshot. */
export const rowOf = (project: Project, done: number, edited: number): ProjectRow => ({
  id: project.id,
  title: project.title,
  ...sizeOf(project),
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

/** Pictures, fonts and profiles a project holds, by SHA-256. */
export const filesOf = ({ assets, fonts = [], profiles = [] }: Project): string[] => [
  ...Object.keys(assets),
  ...fonts.map(({ sha }) => sha),
  ...profiles.map(({ sha }) => sha),
];
