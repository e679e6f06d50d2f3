/** Picture files into the store, through the import workers: several at once, counted, cancellable. */
import { wrap, type Remote } from 'comlink';
import type { Asset } from '@/core/picture/asset';
import { isFull } from '@/storage/database';
import { hasAsset, storeAsset } from '@/storage/assets';
import { giveUp } from '@/storage/reserve';
import type { Importer } from '@/workers/import.worker';

export interface BroughtIn {
  assets: Asset[];
  /** One sentence for each file that was refused. */
  refused: string[];
  /** Names of files not reached: cancelled, or no room left. */
  left: string[];
  full: boolean;
}

interface Hand {
  worker: Worker;
  importer: Remote<Importer>;
}

const hands: Hand[] = [];

function hire(): Hand {
  const free = hands.pop();
  if (free) return free;
  const worker = new Worker(new URL('../../workers/import.worker.ts', import.meta.url), { type: 'module' });
  return { worker, importer: wrap<Importer>(worker) };
}

const AT_ONCE = Math.max(
  1,
  Math.min(4, typeof navigator === 'undefined' ? 1 : navigator.hardwareConcurrency),
);

/** Brings files in; `counted` hears how many are done, and each picture as it arrives in the store. */
export async function bringIn(
  files: readonly File[],
  cancel: AbortSignal,
  counted: (done: number, asset?: Asset) => void = () => {},
): Promise<BroughtIn> {
  const result: BroughtIn = { assets: [], refused: [], left: [], full: false };
  const arrived: (Asset | undefined)[] = [];
  const queue = files.map((file, index) => ({ file, index }));
  let done = 0;
  const work = async (_: unknown, turn: number) => {
    // Starting a worker takes the page's own time: one a turn, after the screen has said what begins.
    await new Promise((resolve) => setTimeout(resolve, 60 * turn + 30));
    const hand = hire();
    for (let next = queue.shift(); next; next = queue.shift()) {
      const { file, index } = next;
      if (cancel.aborted || result.full) {
        result.left.push(file.name);
        continue;
      }
      try {
        const imported = await hand.importer.importPicture(file, file.name);
        if (!imported.ok) result.refused.push(`${file.name} ${imported.message}.`);
        else {
          const { asset, proxies } = imported.value;
          if (!(await hasAsset(asset.sha)))
            await storeAsset({ asset, blob: new Blob([file], { type: asset.type }), proxies });
          arrived[index] = asset;
        }
      } catch (error) {
        if (isFull(error)) {
          result.full = true;
          await giveUp();
          result.left.push(file.name);
        } else result.refused.push(`${file.name} could not be read.`);
      }
      done += 1;
      counted(done, arrived[index]);
    }
    hands.push(hand);
  };
  await Promise.all(Array.from({ length: Math.min(AT_ONCE, files.length) }, work));
  result.assets = arrived.filter((asset): asset is Asset => asset !== undefined);
  return result;
}

/** What to tell a person afterwards; null when all went well. */
export function describeTrouble({ assets, refused, left, full }: BroughtIn): string | null {
  const lines = [...refused.slice(0, 6)];
  if (refused.length > 6) lines.push(`… and ${refused.length - 6} more.`);
  if (full)
    lines.push(
      `There is no room left in this browser's store. ${assets.length} ${assets.length === 1 ? 'picture was' : 'pictures were'} kept; not brought in: ${left.join(', ')}. Delete a project, or free some disk space, and bring these in again.`,
    );
  else if (left.length) lines.push(`Stopped. ${assets.length} kept; not brought in: ${left.length}.`);
  return lines.length ? lines.join('\n') : null;
}
