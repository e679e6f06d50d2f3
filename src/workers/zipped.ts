/** Several files made in a worker, in one. */
import { BlobReader, BlobWriter, configure, ZipWriter } from '@zip.js/zip.js';

// A worker of its own already.
configure({ useWebWorkers: false });

/** Files that are packed already are laid in as they are. */
export function openZip(): { add(name: string, file: Blob): Promise<unknown>; close(): Promise<Blob> } {
  const zip = new ZipWriter(new BlobWriter('application/zip'), { level: 0 });
  return { add: (name, file) => zip.add(name, new BlobReader(file)), close: () => zip.close() };
}
