/** Project files from and to the user's disk. */
import type { Asset } from '@/core/picture/asset';
import type { History } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { fileTitle } from '@/core/product';
import { fail, ok, type Result } from '@/core/result';
import { withCleanNames } from '@/core/project/names';
import { calledFile } from '@/core/text/named';
import { absentOf, assetBlob, keptAgain, storeFile } from '@/storage/assets';
import { noteBackup } from '@/storage/backup';
import { database } from '@/storage/database';
import { FILE_ENDING, LIMITS } from '@/storage/file-limits';
import type { OpenedFile, PackedFile } from '@/storage/project-file';
import { keepOrders, ordersOf } from '@/storage/orders';
import { throwOutUnused } from '@/storage/deleted';
import { addProject } from '@/storage/shelved';
import { inWords } from '@/storage/trouble';
import { bringIn, unpackedProject, type Incoming } from '@/features/shared/bringIn';
import { download, fileName } from '@/features/shared/download';
import type { Notice } from '@/ui/notice';

/** A project that was opened from a file, and what of it was not as it was written. */
export type OpenedProject = Result<Project> & { mended?: string[] };

/**
 * Opens a .bellagraph file as a project of its own, with a `change` of it; nothing already here is touched, and all of it comes
 * or nothing.
 */
export async function openFile(
  file: File,
  newId: string,
  now: number,
  {
    change = async (project) => project,
    ...how
  }: Opening & { change?: (project: Project) => Promise<Project> } = {},
): Promise<OpenedProject> {
  const refused = (why: string) => fail(`${calledFile(file.name)} was not opened. ${why}`);
  if (file.size > LIMITS.unpacked) return refused(`It is larger than ${LIMITS.unpacked / 2 ** 30} GB.`);
  const brought: string[] = [];
  try {
    const opened = await takeIn(file, brought, how);
    if (!opened.ok) return refused(opened.message);
    const { preview, orders, mended } = opened.value;
    const { project } = opened.value;
    const made = await change({ ...project, id: newId });
    how.signal?.throwIfAborted();
    await addProject(made, now);
    await keepOrders(newId, orders);
    if (preview) await database.previews.put({ project: newId, blob: preview });
    return { ...ok(made), ...(mended.length ? { mended } : {}) };
  } catch (error) {
    // What came in before there was no more room is of no use by itself.
    await throwOutUnused(brought).catch(() => {});
    if (how.signal?.aborted) return refused('It was stopped; nothing of it is left.');
    return fail(inWords(error, `${calledFile(file.name)} was not opened`));
  }
}

/** What a project file holds, to be laid into another project: its pictures and fonts are in the store. */
export async function openParts(file: Blob, name: string): Promise<Result<Project>> {
  const brought: string[] = [];
  try {
    const opened = await takeIn(file, brought);
    return opened.ok ? ok(opened.value.project) : opened;
  } catch (error) {
    await throwOutUnused(brought).catch(() => {});
    return fail(inWords(error, `${name} was not laid`));
  }
}

/** How a file is opened: whoever waits hears how many of its pictures are read, and may have enough of it. */
interface Opening {
  counted?: (done: number, of: number) => void;
  signal?: AbortSignal;
}

/** Unpacks a file and stores its pictures and fonts, all or none; `brought` hears what was not here before. */
async function takeIn(
  file: Blob,
  brought: string[],
  { counted, signal }: Opening = {},
): Promise<Result<OpenedFile>> {
  const opened = await unpackedProject(file, {
    signal,
    ...(file instanceof File ? { name: file.name } : {}),
  });
  if (!opened.ok) return opened;
  const { assets, fonts, mended } = opened.value;
  const project = withCleanNames(opened.value.project);
  brought.push(...(await absentOf([...assets.keys(), ...fonts.keys()])));
  // What lies here already, byte for byte, was read when it came.
  const held = (await Promise.all([...assets.keys()].map(keptAgain))).filter((one) => one !== undefined);
  const here = new Set(held.map(({ sha }) => sha));
  const pictures = [...assets].flatMap(([sha, bytes]): Incoming[] => {
    const known = project.assets[sha]!;
    const { name, type } = known;
    return here.has(sha) ? [] : [{ file: new File([bytes], name, { type }), path: name, known }];
  });
  const arrived = await bringIn(pictures, signal ?? new AbortController().signal, (done) =>
    counted?.(done, pictures.length),
  );
  signal?.throwIfAborted();
  if (arrived.full) throw Object.assign(new Error(), { name: 'QuotaExceededError' });
  if (arrived.refused.length) {
    await throwOutUnused(brought);
    return fail(arrived.refused.join('\n'));
  }
  for (const [sha, bytes] of fonts) await storeFile(sha, bytes);
  return ok({
    ...opened.value,
    project: { ...project, assets: asMeasured(project.assets, [...held, ...arrived.assets], mended) },
  });
}

/** What is known of pictures, with the size and turn that their own bytes have. */
function asMeasured(
  known: Project['assets'],
  measured: readonly Asset[],
  mended: string[],
): Project['assets'] {
  const assets = { ...known };
  for (const { sha, width, height, orientation } of measured) {
    const asset = assets[sha];
    if (!asset || (asset.width === width && asset.height === height && asset.orientation === orientation))
      continue;
    assets[sha] = { ...asset, width, height, orientation };
    mended.push(
      `The picture “${asset.name}” is not of the size, or not turned, as the project says. It is shown as it is.`,
    );
  }
  return assets;
}

/** The project as a file, with the small picture it is known by at Home. */
export async function packed(project: Project): Promise<Result<PackedFile>> {
  const preview = await database.previews.get(project.id).catch(() => undefined);
  // Fetched when it is first needed: what opens files has no use for it.
  const { packProject } = await import('@/storage/project-file');
  const orders = (await ordersOf(project.id)).map(({ files, shop, sent, ticket, state }) => ({
    ...{ kept: { shop, sent, ticket, state }, files },
  }));
  return packProject(project, assetBlob, preview?.blob, orders);
}

/** Puts a project into the downloads as a file to keep elsewhere; answers with what is to be told. */
export async function saveAsFile({ project, forgotten, done }: History): Promise<Notice> {
  let saved: Notice;
  try {
    const made = await packed(project);
    if (!made.ok) return { text: made.message, tone: 'error' };
    const { blob, missing } = made.value;
    const name = `${fileName(fileTitle(project))}${FILE_ENDING}`;
    download(blob, name);
    saved = missing.length
      ? {
          text: `Saved, without ${missing.map((file) => file.name).join(', ')}: not found in this browser.`,
          tone: 'warning',
        }
      : { text: `${name} is in your downloads.` };
  } catch (error) {
    return { text: inWords(error, 'No file was made'), tone: 'error' };
  }
  // The file is made: that its date cannot be noted takes nothing away from it.
  await noteBackup(project.id, forgotten + done, Date.now()).catch(() => {});
  return saved;
}
