/** Files put into a folder of one's own, where the browser can (File System Access, W3C community draft). */
import { BlobReader, BlobWriter, ZipReader } from '@zip.js/zip.js';
import { ok, type Result } from '@/core/result';

/** What of a directory handle is used. */
export interface Folder {
  name: string;
  getFileHandle(
    name: string,
    options: { create: true },
  ): Promise<{
    createWritable(): Promise<{
      write(data: Blob): Promise<void>;
      close(): Promise<void>;
      abort(): Promise<void>;
    }>;
  }>;
}

const picker = (): ((options: { mode: 'readwrite' }) => Promise<Folder>) | undefined =>
  (globalThis as { showDirectoryPicker?: (options: { mode: 'readwrite' }) => Promise<Folder> })
    .showDirectoryPicker;

export const canPutInto = (): boolean => Boolean(picker());

/** The folder a person chooses; null where none was. */
export const folderChosen = (): Promise<Folder | null> =>
  picker()!({ mode: 'readwrite' }).catch((error: Error) => {
    if (error.name === 'AbortError') return null;
    throw error;
  });

/** One file, or all that a zip holds; says where they lie. */
export async function putInto(folder: Folder, made: Blob, name: string): Promise<Result<string>> {
  if (!name.endsWith('.zip')) {
    await write(folder, name, made);
    return ok(`${name} is in ${folder.name}`);
  }
  const zip = new ZipReader(new BlobReader(made));
  const entries = await zip.getEntries();
  for (const entry of entries)
    if (!entry.directory) await write(folder, entry.filename, await entry.getData!(new BlobWriter()));
  await zip.close();
  return ok(`${entries.length} files are in ${folder.name}`);
}

async function write(folder: Folder, name: string, data: Blob): Promise<void> {
  const handle = await folder.getFileHandle(name, { create: true });
  const file = await handle.createWritable();
  try {
    await file.write(data);
    await file.close();
  } catch (error) {
    // What is half written is not kept.
    await file.abort().catch(() => {});
    throw error;
  }
}
