/** Picture files into the store, through the import workers: several at once, counted, cancellable. */
import type { Remote } from 'comlink';
import type { ReadOutlines } from '@/core/cutter/read/outlines';
import type { Asset } from '@/core/picture/asset';
import { fail, type Result } from '@/core/result';
import { askAbout } from '@/features/shared/slowReads';
import { Hands, JobEnded, limitFor, type Terms, type Why } from '@/workers/hands';
import type { OpenedFile } from '@/storage/project-file';
import type { ListedZip } from '@/workers/zip';
import { isFull } from '@/storage/trouble';
import { storeAsset } from '@/storage/assets';
import { giveUp } from '@/storage/reserve';
import type { Facts } from '@/workers/facts';
import type { Imported, Importer, SeenFont } from '@/workers/import.worker';
import type { SheetParts } from '@/workers/sheet';
import type { Tracing } from '@/core/pixels/outline';
import { calledFile } from '@/core/text/named';
import type { ToldTones, Traced } from '@/workers/template';

/** A file as it is chosen, or one inside a kit's zip. */
export interface Incoming {
  file: File;
  /** Folder and name, as far as they are known. */
  path: string;
  /** Whether `file` is a zip and `path` lies in it. */
  zipped?: boolean;
  /** What a project's file says of it: that is not looked for once more. */
  known?: Asset;
}

/** A picture that came in, with what it tells of itself. */
export interface Arrived extends Pick<Imported, 'asset' | 'camera' | 'dropped'> {
  path: string;
  facts: Facts;
}

export interface BroughtIn {
  /** Those that can be sorted: all but what a project's file said was known. */
  arrived: Arrived[];
  assets: Asset[];
  /** One sentence for each file that was refused. */
  refused: string[];
  /** Names of files not reached: cancelled, or no room left. */
  left: string[];
  full: boolean;
}

/** Bytes a single picture file may have. */
const LARGEST_FILE = 200e6;

const AT_ONCE = Math.max(
  1,
  Math.min(4, typeof navigator === 'undefined' ? 1 : navigator.hardwareConcurrency),
);

/** Whoever reads files that people bring. */
const readers = new Hands<Importer>(
  () => new Worker(new URL('../../workers/import.worker.ts', import.meta.url), { type: 'module' }),
  AT_ONCE,
);

/** Brings files in; `counted` hears how many are done, and each picture as it arrives in the store. */
export async function bringIn(
  files: readonly (File | Incoming)[],
  cancel: AbortSignal,
  counted: (done: number, arrived?: Arrived) => void = () => {},
): Promise<BroughtIn> {
  const result: BroughtIn = { arrived: [], assets: [], refused: [], left: [], full: false };
  const arrived: (Arrived | undefined)[] = [];
  const stored: (Asset | undefined)[] = [];
  const queue = files.map((given, index) => ({
    ...(given instanceof File ? { file: given, path: given.name } : given),
    index,
  }));
  let done = 0;
  /** Stores what a worker made of a file, all or nothing, and says how it went; null if the file could not be read. */
  const keep = async (
    imported: Result<Imported> | null,
    { file, path, index }: { file: File; path: string; index: number },
  ) => {
    const name = calledFile(path);
    try {
      if (!imported) throw new Error('unreadable');
      if (!imported.ok) result.refused.push(`${name} ${imported.message}.`);
      else {
        const { asset, proxies, facts, camera, dropped, blob } = imported.value;
        await storeAsset({ asset, blob: blob ?? new Blob([file], { type: asset.type }), proxies });
        stored[index] = asset;
        if (facts) arrived[index] = { asset, facts, camera, dropped, path };
      }
    } catch (error) {
      if (isFull(error)) {
        result.full = true;
        await giveUp();
        result.left.push(name);
      } else if (!(await isThere(file)))
        result.refused.push(`${name} could not be read: it may have been moved or deleted meanwhile.`);
      else result.refused.push(`${name} could not be read.`);
    }
    done += 1;
    counted(done, arrived[index]);
  };
  const work = async (_: unknown, turn: number) => {
    // Starting a worker takes the page's own time: one a turn, after the screen has said what begins.
    await new Promise((resolve) => setTimeout(resolve, 60 * turn + 30));
    let storing = Promise.resolve();
    for (let next = queue.shift(); next; next = queue.shift()) {
      const { file, path, zipped, known, index } = next;
      const name = calledFile(path);
      if (cancel.aborted || result.full) {
        result.left.push(name);
        continue;
      }
      if (!zipped && file.size > LARGEST_FILE) {
        result.refused.push(
          `${name} is ${Math.round(file.size / 1e6)} MB: pictures up to ${LARGEST_FILE / 1e6} MB can be brought in.`,
        );
        counted((done += 1));
        continue;
      }
      const imported = await reading(
        async (importer): Promise<Result<Imported>> =>
          zipped ? importer.importFromZip(file, path) : importer.importPicture(file, name, known),
        { file, name, signal: cancel },
      ).catch((error: Error): Why | null => (error instanceof JobEnded ? error.why : null));
      // The worker goes on to the next while this one is stored.
      await storing;
      if (imported === 'cancelled') result.left.push(name);
      else if (typeof imported === 'string') storing = keep(fail(ENDED[imported]), { file, path, index });
      else storing = keep(imported, { file, path, index });
    }
    await storing;
  };
  await Promise.all(Array.from({ length: Math.min(AT_ONCE, files.length) }, work));
  result.arrived = arrived.filter((one): one is Arrived => one !== undefined);
  result.assets = stored.filter((one): one is Asset => one !== undefined);
  return result;
}

/** Why a file was not read to its end, after its name. */
const ENDED: Record<Exclude<Why, 'cancelled'>, string> = {
  skipped: 'was skipped',
  'too long': 'takes too much work to read and was skipped. The file may be damaged',
  died: 'needs more memory than there is and was skipped',
};

/** How a file is read: by what name it is asked about, and who may cancel it. */
interface Reading {
  file: Blob;
  name?: string;
  signal?: AbortSignal | undefined;
}

/** Does a job on a file. If it takes too much work or its worker dies, it is tried once more: other work may have been the cause. */
async function reading<T>(
  job: (importer: Remote<Importer>) => Promise<T>,
  { file, name, signal }: Reading,
): Promise<T> {
  const terms: Terms = {
    limit: limitFor(file),
    ...(signal ? { signal } : {}),
    ...(name === undefined ? {} : { slow: (skip: () => void) => askAbout(name, skip) }),
  };
  return readers.do(job, terms).catch((error: Error) => {
    if (!(error instanceof JobEnded) || error.why === 'cancelled' || error.why === 'skipped') throw error;
    return readers.do(job, terms);
  });
}

/** Whether a file on the disk can still be read. */
const isThere = (file: File): Promise<boolean> =>
  file
    .slice(0, 1)
    .arrayBuffer()
    .then(
      () => true,
      () => false,
    );

/** A job on a file. Throws what the job throws, and in words where it was ended. */
const ask = <T>(file: Blob, job: (importer: Remote<Importer>) => Promise<T>): Promise<T> =>
  reading(job, { file });

/** The same of a job that answers in words: also where it was ended, after `called` if the answer begins with that. */
const asked = <T>(
  file: Blob,
  job: (importer: Remote<Importer>) => Promise<Result<T>>,
  { called, ...about }: Omit<Reading, 'file'> & { called?: string } = {},
): Promise<Result<T>> =>
  reading(job, { file, ...about }).catch((error: Error) => {
    if (!(error instanceof JobEnded) || error.why === 'cancelled') throw error;
    return fail(called === undefined ? ENDED[error.why] : `${called} ${ENDED[error.why]}.`);
  });

/** What is in a kit's zip. */
export const listZip = (file: File): Promise<Result<ListedZip>> =>
  asked(file, async (importer) => importer.listZip(file), { name: file.name });

/** A file out of a kit's zip as it is. */
export const bytesFromZip = (file: File, path: string): Promise<Result<Blob>> =>
  asked(file, async (importer) => importer.bytesFromZip(file, path), { name: path });

/** How blurred a picture is and what like. Throws if it cannot be decoded. */
export const lookAgain = (file: Blob): ReturnType<Importer['lookAgain']> =>
  ask(file, (importer) => importer.lookAgain(file));

/** Where the parts of a sheet lie. Throws if the picture cannot be decoded. */
export const sheetParts = (file: Blob): Promise<SheetParts> =>
  ask(file, (importer) => importer.sheetParts(file));

/** Each group of a sheet's parts as a picture of its own. Throws if the picture cannot be decoded. */
export const cutSheet = (file: Blob, groups: readonly (readonly number[])[], ppi: number): Promise<Blob[]> =>
  ask(file, (importer) => importer.cutSheet(file, groups, ppi));

/** The tones of a picture as outlines, at most `most` of them. Throws if the picture cannot be decoded. */
export const templateTones = (file: Blob, most: number): Promise<ToldTones> =>
  ask(file, (importer) => importer.templateTones(file, most));

/** A picture's outline by a threshold, at full size. Throws if the picture cannot be decoded. */
export const tracePicture = (file: Blob, tracing: Tracing, side: number): Promise<Traced> =>
  ask(file, (importer) => importer.tracePicture(file, tracing, side));

/** A project file unpacked and checked, beside the page; nothing is stored. */
export const unpackedProject = (
  file: Blob,
  { name, signal }: { name?: string; signal?: AbortSignal | undefined } = {},
): Promise<Result<OpenedFile>> =>
  asked(file, async (reader) => reader.openProject(file), {
    called: 'It',
    signal,
    ...(name === undefined ? {} : { name }),
  });

/** Outlines of a file for cutters, or of a drawing. */
export const outlinesOf = (file: File): Promise<Result<ReadOutlines>> =>
  asked(file, async (reader) => reader.outlinesOf(file, file.name), {
    name: file.name,
    called: calledFile(file.name),
  });

/** What a font file is, looked at beside the page. Throws JobEnded where that is cancelled. */
export const seenFont = (file: File, sha: string, signal: AbortSignal): Promise<Result<SeenFont>> =>
  asked(file, async (reader) => reader.seeFont(file, file.name, sha), {
    name: file.name,
    called: calledFile(file.name),
    signal,
  });

/** What to tell a person afterwards; null when all went well. */
export function describeTrouble({ arrived, assets, refused, left, full }: BroughtIn): string | null {
  const lines = [...refused];
  for (const { path, dropped } of arrived)
    if (dropped.length) lines.push(`${path.split('/').pop()} arrived without ${dropped.join(', ')}.`);
  if (full)
    lines.push(
      `There is no room left in this browser's store. ${assets.length} ${assets.length === 1 ? 'picture was' : 'pictures were'} kept; not brought in: ${left.join(', ')}. Delete a project, or free some disk space, and bring these in again.`,
    );
  else if (left.length) lines.push(`Stopped. ${assets.length} kept; not brought in: ${left.length}.`);
  return lines.length ? lines.join('\n') : null;
}
