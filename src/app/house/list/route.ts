/** Everything that ships with the app, so that it can be kept for a time without a network. */
import { createHash } from 'node:crypto';
import { readdir, readFile, stat } from 'node:fs/promises';
import { join, sep } from 'node:path';
import { notYet, PUBLIC } from '@/app/drawn';
import type { HouseFiles } from '@/features/shared/offline/keep';

export const dynamic = 'force-dynamic';

export async function GET(): Promise<Response> {
  const early = await notYet();
  if (early) return early;
  const folder = join(/* turbopackIgnore: true */ PUBLIC, 'house');
  const entries = await readdir(folder, { recursive: true, withFileTypes: true });
  const print = createHash('sha256');
  const files: HouseFiles['files'] = [];
  for (const entry of entries.filter((one) => one.isFile())) {
    const path = join(entry.parentPath, entry.name);
    // What they were made by says when any of them changed.
    if (entry.name === 'made-by') print.update(await readFile(path));
    else
      files.push({
        name: path
          .slice(folder.length + 1)
          .split(sep)
          .join('/'),
        bytes: (await stat(path)).size,
      });
  }
  const list: HouseFiles = { version: print.digest('hex').slice(0, 16), files };
  return Response.json(list, { headers: { 'cache-control': 'no-store' } });
}
