/** When a project was last saved as a file: the only copy outside this browser. */
import { database } from '@/storage/database';

const KEY = 'last backup';

/** Notes that a project, as it is after `done` steps (counted from its first), lies in a file. */
export const noteBackup = (id: string, done: number, now: number): Promise<unknown> =>
  database.transaction('rw', database.settings, database.projects, async () => {
    await database.settings.put({ key: KEY, value: now });
    await database.projects.update(id, { backedUp: done });
  });

/** Milliseconds since 1970; undefined if never. */
export const lastBackup = async (): Promise<number | undefined> =>
  (await database.settings.get(KEY))?.value as number | undefined;
