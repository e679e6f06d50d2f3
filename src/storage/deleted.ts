/** What is taken off the shelf: projects that can be put back for a while, and what nothing holds any more. */
import { FILE_VERSION } from '@/core/project/version';
import { lastCopied } from '@/storage/copied';
import { database } from '@/storage/database';
import { journalOf, type ProjectCard } from '@/storage/shelf';
import { Newer } from '@/storage/trouble';

/** A deleted project can be brought back for this long, milliseconds. */
const KEEP_DELETED = 7 * 24 * 3600 * 1000;

/** The projects that are deleted, the last first, and until when each can be put back, milliseconds since 1970. */
export async function listDeleted(): Promise<(ProjectCard & { until: number })[]> {
  const rows = await database.projects.orderBy('edited').reverse().toArray();
  return rows
    .filter((row) => row.deleted)
    .map((row) => ({ ...row, until: row.deleted! + KEEP_DELETED }))
    .sort((a, b) => b.until - a.until);
}

/** Throws `Newer` for what a newer program wrote: that is never touched. */
const mark = (id: string, deleted: number | undefined): Promise<unknown> =>
  database.transaction('rw', database.projects, async () => {
    const row = await database.projects.get(id);
    if ((row?.version ?? 1) > FILE_VERSION) throw new Newer();
    await database.projects.update(id, { deleted });
  });

export const deleteProject = (id: string, now: number): Promise<unknown> => mark(id, now);
export const undeleteProject = (id: string): Promise<unknown> => mark(id, undefined);

/** Throws away what was deleted long ago, and the pictures nothing holds any more. */
export async function purge(now: number): Promise<void> {
  const expired = (await listDeleted()).filter(
    ({ until, version = 1 }) => until < now && version <= FILE_VERSION,
  );
  await throwOut(expired.map(({ id }) => id));
  await throwOutUnused(expired.flatMap(({ files }) => files));
}

/** Throws projects away for good, each with all that is kept of it. */
const throwOut = (ids: readonly string[]): Promise<void> =>
  database.transaction(
    'rw',
    [
      database.projects,
      database.snapshots,
      database.journal,
      database.lines,
      database.previews,
      database.originals,
      database.orders,
    ],
    async () => {
      for (const id of ids) {
        await database.orders.where('project').equals(id).delete();
        await database.lines.delete(id);
        await database.projects.delete(id);
        await database.snapshots.delete(id);
        await database.previews.delete(id);
        await database.originals.where('project').equals(id).delete();
        await journalOf(id).delete();
      }
    },
  );

/** Throws deleted projects away at once, with the pictures only they held. */
export async function emptyDeleted(): Promise<void> {
  const gone = (await listDeleted()).filter(({ version = 1 }) => version <= FILE_VERSION);
  await throwOut(gone.map(({ id }) => id));
  await throwOutUnused(gone.flatMap(({ files }) => files));
}

/** What came in less than this ago, milliseconds, may be on its way to a page or the cupboard in another tab. */
const NEW_FOR = 3600 * 1000;

/**
 * Throws away files that no project, no supply and no copied piece holds any more; new ones only if they are `letGo`, by
 * SHA-256. All in one transaction: what another tab lays meanwhile is laid before or after it.
 */
export const throwOutUnused = (letGo: readonly string[] = []): Promise<void> =>
  database.transaction(
    'rw',
    [
      database.projects,
      database.originals,
      database.supplies,
      database.settings,
      database.assets,
      database.proxies,
    ],
    async () => {
      const used = new Set((await database.projects.orderBy('files').uniqueKeys()) as string[]);
      await database.originals.each(({ row }) => row.files.forEach((sha) => used.add(sha)));
      for (const { asset, page } of await database.supplies.toArray())
        [asset?.sha, page].forEach((sha) => sha && used.add(sha));
      ((await lastCopied())?.assets ?? []).forEach(({ sha }) => used.add(sha));
      const letGoNow = new Set(letGo);
      const since = Date.now() - NEW_FOR;
      const gone: string[] = [];
      for (const sha of await database.assets.toCollection().primaryKeys()) {
        if (used.has(sha)) continue;
        if (letGoNow.has(sha) || ((await database.assets.get(sha))?.stored ?? 0) < since) gone.push(sha);
      }
      await database.assets.bulkDelete(gone);
      for (const sha of gone)
        await database.proxies.where('[sha+level]').between([sha, ''], [sha, '\uffff']).delete();
    },
  );
