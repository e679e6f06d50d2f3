/** Project files from and to the user's disk. */
import type { Project } from '@/core/project/model';
import { fail, ok, type Result } from '@/core/result';
import { assetBlob, storeFile } from '@/storage/assets';
import { database, isFull } from '@/storage/database';
import { FILE_ENDING, FILE_MIME, packProject, unpackProject } from '@/storage/project-file';
import { addProject } from '@/storage/shelf';
import { bringIn } from '@/features/shared/bringIn';
import { fileName } from '@/features/shared/download';

/** Opens a .bellagraph file as a project of its own; nothing already here is touched. */
export async function openFile(file: File, newId: string, now: number): Promise<Result<Project>> {
  if (file.size > 2 ** 32) return fail(`${file.name} is larger than 4 GB and was not opened.`);
  const opened = await unpackProject(new Uint8Array(await file.arrayBuffer()));
  if (!opened.ok) return fail(`${file.name} was not opened. ${opened.message}`);
  const { project, assets, fonts, preview } = opened.value;
  const pictures = [...assets].map(
    ([sha, bytes]) =>
      new File([bytes as Uint8Array<ArrayBuffer>], project.assets[sha]!.name, {
        type: project.assets[sha]!.type,
      }),
  );
  const brought = await bringIn(pictures, new AbortController().signal);
  if (brought.full)
    return fail(
      `${file.name} was not opened: there is no room left in this browser's store. Delete a project, or free some disk space, and try again.`,
    );
  if (brought.refused.length) return fail(`${file.name} was not opened. ${brought.refused[0]}`);
  const fresh: Project = { ...project, id: newId };
  try {
    for (const [sha, bytes] of fonts) await storeFile(sha, new Blob([bytes as Uint8Array<ArrayBuffer>]));
    await addProject(fresh, now);
    if (preview)
      await database.previews.put({
        project: newId,
        blob: new Blob([preview as Uint8Array<ArrayBuffer>], { type: 'image/jpeg' }),
      });
  } catch (error) {
    if (isFull(error))
      return fail(`${file.name} was not opened: there is no room left in this browser's store.`);
    throw error;
  }
  return ok(fresh);
}

/** The project as a file to keep elsewhere; says which pictures could not be found. */
export async function fileOf(project: Project): Promise<{ blob: Blob; name: string; missing: string[] }> {
  const preview = await database.previews.get(project.id);
  const { parts, missing } = await packProject(
    project,
    async (sha) => {
      const blob = await assetBlob(sha);
      return blob && new Uint8Array(await blob.arrayBuffer());
    },
    preview && new Uint8Array(await preview.blob.arrayBuffer()),
  );
  return {
    blob: new Blob(parts as Uint8Array<ArrayBuffer>[], { type: FILE_MIME }),
    name: `${fileName(project.title)}${FILE_ENDING}`,
    missing: missing.map((asset) => asset.name),
  };
}
