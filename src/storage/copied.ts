/** What was copied last on any table of this browser, so that it can be pasted into other projects. */
import type { Asset } from '@/core/picture/asset';
import type { Piece } from '@/core/piece/piece';
import type { Group } from '@/core/project/model';
import { database } from '@/storage/database';

const KEY = 'copied';

export interface CopiedRow {
  /** Stands in the system's clipboard beside the picture, so that we know our own again. */
  id: string;
  pieces: Piece[];
  groups: Group[];
  assets: Asset[];
}

export const keepCopied = (copied: CopiedRow): Promise<unknown> =>
  database.settings.put({ key: KEY, value: copied });

export const lastCopied = async (): Promise<CopiedRow | undefined> =>
  (await database.settings.get(KEY))?.value as CopiedRow | undefined;
