/** Project files on this machine's disk. */
import { readFile } from 'node:fs/promises';
import type { Project } from '@/core/project/model';
import { equipped, needsOf } from '@/core/project/needs';
import { shaOfFamily } from '@/core/text/families';
import type { Typesetter } from '@/core/text/typesetter';
import { packProject, unpackProject, type OpenedFile } from '@/storage/project-file';
import { nodeTypesetter, readNodeFont } from './platform';

/** A project as the bytes of a file. Throws where none is made. */
export async function packed(...given: Parameters<typeof packProject>): Promise<Buffer> {
  const made = await packProject(...given);
  if (!made.ok) throw new Error(made.message);
  return Buffer.from(await made.value.blob.arrayBuffer());
}

export interface FileOnDisk extends Pick<OpenedFile, 'mended'> {
  project: Project;
  /** Pictures and fonts by SHA-256. */
  bytes: Map<string, Buffer>;
}

/** What a file holds, by its path or its bytes. Throws if it is refused. */
export async function openedFile(file: string | Uint8Array): Promise<FileOnDisk> {
  const opened = await unpackProject(typeof file === 'string' ? new Uint8Array(await readFile(file)) : file);
  if (!opened.ok) throw new Error(opened.message);
  const { project, assets, fonts, mended } = opened.value;
  const bytes = new Map<string, Buffer>();
  for (const [sha, blob] of [...assets, ...fonts]) bytes.set(sha, Buffer.from(await blob.arrayBuffer()));
  return { project, bytes, mended };
}

/** A typesetter with all that the words of a file need, its own fonts among it. */
export const typesetterOf = async ({ project, bytes }: FileOnDisk): Promise<Typesetter> =>
  equipped(await nodeTypesetter(), needsOf(project), async (name) => {
    const sha = shaOfFamily(name);
    const own = sha && bytes.get(sha);
    return own ? new Uint8Array(own) : readNodeFont(name);
  });
