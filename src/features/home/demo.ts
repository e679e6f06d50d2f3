/** The demo's projects: their covers are shown at once, and each is fetched when it is first opened. */
import type { Project } from '@/core/project/model';
import { fail, ok, type Result } from '@/core/result';
import { drawn } from '@/features/shared/drawn';
import { database, type ProjectRow } from '@/storage/database';

/** As scripts/demo writes it: a project's row, its file, and its cover, both in /demo/. */
export interface DemoProject extends Pick<
  ProjectRow,
  'id' | 'title' | 'width' | 'height' | 'unit' | 'product'
> {
  file: string;
  cover: string;
  bytes: number;
}

/** Of these the person has a copy, or threw it away: they are not offered again. */
const TAKEN = 'demo projects taken';
/** An earlier version of the program brought all of them in at once. */
const ALL_TAKEN = 'demo brought in';

const taken = async (): Promise<string[]> =>
  ((await database.settings.get(TAKEN))?.value as string[] | undefined) ?? [];

const changeTaken = (change: (ids: string[]) => string[]): Promise<unknown> =>
  database.transaction('rw', database.settings, async () =>
    database.settings.put({ key: TAKEN, value: change(await taken()) }),
  );

/** Takes a project off the list, or puts it back. */
export const setTaken = (id: string, on: boolean): Promise<unknown> =>
  changeTaken((ids) => (on ? [...new Set([...ids, id])] : ids.filter((one) => one !== id)));

/** Those that were not opened yet; none without a network. */
export async function offeredDemo(): Promise<DemoProject[]> {
  if (await database.settings.get(ALL_TAKEN)) return [];
  const listed = await drawn('/demo/projects.json', (list: DemoProject[]) => list).catch((error: unknown) => {
    if (error instanceof TypeError) return [];
    throw error;
  });
  const gone = new Set([
    ...(await taken()),
    ...((await database.projects.toCollection().primaryKeys()) as string[]),
  ]);
  return listed.filter(({ id }) => !gone.has(id));
}

/** Fetches a project and puts it on the shelf. */
export async function bringDemo(
  { id, title, file }: DemoProject,
  how: { signal: AbortSignal; counted: (done: number, of: number) => void },
): Promise<Result<Project>> {
  const answer = await fetch(`/demo/${file}`, { signal: how.signal }).catch(() => null);
  if (how.signal.aborted) return fail(`“${title}” was not opened.`);
  if (!answer?.ok) return fail(`“${title}” couldn’t be fetched. Check the network, then try again.`);
  const { openFile } = await import('@/features/shared/files');
  const opened = await openFile(new File([await answer.blob()], `${title}.bellagraph`), id, Date.now(), how);
  if (!opened.ok) return opened;
  await setTaken(id, true);
  return ok(opened.value);
}
