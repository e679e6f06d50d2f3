/** When a project was last saved as a file: the only copy outside this browser. */
import { database } from '@/storage/database';

const KEY = 'last backup';

export const noteBackup = (now: number): Promise<unknown> => database.settings.put({ key: KEY, value: now });

/** Milliseconds since 1970; undefined if never. */
export const lastBackup = async (): Promise<number | undefined> =>
  (await database.settings.get(KEY))?.value as number | undefined;
