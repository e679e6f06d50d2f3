/** `.bellagraph` files: a zip of project.json, the pictures under assets/, and a preview. See docs/file-format.md. */
import { strFromU8, strToU8, unzipSync, Zip, ZipDeflate, ZipPassThrough, type UnzipFileInfo } from 'fflate';
import { EXTENSIONS, type Asset } from '@/core/picture/asset';
import { readProject, writeProject } from '@/core/project/file';
import { uses, type FontFile, type Project } from '@/core/project/model';
import { fail, ok, type Result } from '@/core/result';

export const FILE_ENDING = '.bellagraph';
export const FILE_MIME = 'application/vnd.bellagraph+zip';

const MEGABYTE = 2 ** 20;
/** What the unpacked file may take up at most. */
export const MOST_UNPACKED = 4096 * MEGABYTE;
const MOST_PROJECT = 64 * MEGABYTE;
const MOST_ENTRIES = 20_100;

export interface OpenedFile {
  project: Project;
  /** By SHA-256; checked against their names. */
  assets: Map<string, Uint8Array>;
  fonts: Map<string, Uint8Array>;
  preview?: Uint8Array;
}

const fontPath = ({ sha }: FontFile): string => `fonts/${sha}.ttf`;

export const assetPath = (asset: Asset): string => `assets/${asset.sha}.${EXTENSIONS[asset.type]}`;

export async function sha256(bytes: Uint8Array): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>);
  return Array.from(new Uint8Array(digest), (byte) => byte.toString(16).padStart(2, '0')).join('');
}

/** Packs a project; `bytesOf` fetches a picture's bytes, and one that is missing is left out and named in the answer. */
export async function packProject(
  project: Project,
  bytesOf: (sha: string) => Promise<Uint8Array | undefined>,
  preview?: Uint8Array,
): Promise<{ parts: Uint8Array[]; missing: { name: string }[] }> {
  const parts: Uint8Array[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    parts.push(chunk);
  });
  const add = (entry: ZipPassThrough, bytes: Uint8Array) => {
    // Zip dates begin in 1980; a fixed one makes equal projects equal files.
    entry.mtime = '2020-01-01T00:00:00';
    zip.add(entry);
    entry.push(bytes, true);
  };
  add(
    new ZipDeflate('project.json', { level: 6 }) as unknown as ZipPassThrough,
    strToU8(writeProject(project)),
  );
  if (preview) add(new ZipPassThrough('preview.jpg'), preview);
  const missing: { name: string }[] = [];
  for (const asset of Object.values(project.assets)) {
    const bytes = await bytesOf(asset.sha);
    if (bytes) add(new ZipPassThrough(assetPath(asset)), bytes);
    else missing.push(asset);
  }
  for (const font of project.fonts ?? []) {
    const bytes = await bytesOf(font.sha);
    if (bytes) add(new ZipPassThrough(fontPath(font)), bytes);
    else missing.push(font);
  }
  zip.end();
  return { parts, missing };
}

/** Opens a file's bytes, or says why it is refused. Nothing outside the answer is touched. */
export async function unpackProject(file: Uint8Array): Promise<Result<OpenedFile>> {
  if (file.length === 0) return fail('This file is empty.');
  const entries = listEntries(file);
  if (!entries.ok) return entries;
  const refused = refuseEntries(entries.value);
  if (refused) return fail(refused);
  let content: Record<string, Uint8Array>;
  try {
    content = unzipSync(file, { filter: ({ name }) => isOurs(name) });
  } catch {
    return fail('This file is damaged: it cannot be unpacked. Nothing was changed.');
  }
  const json = content['project.json'];
  if (!json) return fail('This is not a Bellagraph file: it holds no project.');
  const read = readProject(strFromU8(json));
  if (!read.ok) return read;
  const assets = new Map<string, Uint8Array>();
  for (const asset of Object.values(read.value.assets)) {
    const bytes = content[assetPath(asset)];
    if (!bytes && !uses(read.value).has(asset.sha)) continue;
    if (!bytes)
      return fail(
        `This file is damaged: the picture “${asset.name}” is missing from it. Nothing was changed.`,
      );
    if ((await sha256(bytes)) !== asset.sha)
      return fail(
        `This file is damaged: the picture “${asset.name}” does not match its name. Nothing was changed.`,
      );
    assets.set(asset.sha, bytes);
  }
  const fonts = new Map<string, Uint8Array>();
  for (const font of read.value.fonts ?? []) {
    const bytes = content[fontPath(font)];
    // Words of a font that is not there are written in the plain family: the project can be opened without it.
    if (!bytes) continue;
    if ((await sha256(bytes)) !== font.sha)
      return fail(
        `This file is damaged: the font “${font.name}” does not match its name. Nothing was changed.`,
      );
    fonts.set(font.sha, bytes);
  }
  return ok({ project: read.value, assets, fonts, preview: content['preview.jpg'] });
}

const isOurs = (name: string): boolean =>
  /^(project\.json|preview\.jpg|fonts\/[0-9a-f]{64}\.ttf|assets\/[0-9a-f]{64}\.[a-z]{3,4})$/.test(name);

/** The zip's table of contents, nothing unpacked. */
function listEntries(file: Uint8Array): Result<UnzipFileInfo[]> {
  const entries: UnzipFileInfo[] = [];
  try {
    unzipSync(file, {
      filter: (entry) => {
        entries.push(entry);
        return false;
      },
    });
  } catch {
    return fail('This is not a Bellagraph file, or it is damaged: it is not a readable zip.');
  }
  return ok(entries);
}

function refuseEntries(entries: readonly UnzipFileInfo[]): string | null {
  const unsafe = entries.find(
    ({ name }) => name.split(/[\\/]/).includes('..') || /^([\\/]|[a-z]:)/i.test(name),
  );
  if (unsafe)
    return `This file was refused: it holds a name that points outside of it (“${unsafe.name.slice(0, 80)}”).`;
  if (entries.length > MOST_ENTRIES)
    return `This file was refused: it holds ${entries.length} parts; ${MOST_ENTRIES} is the most.`;
  const total = entries.reduce((sum, entry) => sum + entry.originalSize, 0);
  const limit = `${MOST_UNPACKED / MEGABYTE / 1024} GB`;
  if (total > MOST_UNPACKED)
    return `This file was refused: it says it unpacks to ${(total / 1024 / MEGABYTE).toFixed(1)} GB; ${limit} is the most.`;
  const project = entries.find((entry) => entry.name === 'project.json');
  if (project && project.originalSize > MOST_PROJECT)
    return 'This file was refused: the project in it is larger than 64 MB.';
  // Deflate packs at most 1032 to 1 (RFC 1951): what claims more is not honest about its size.
  if (entries.some((entry) => entry.originalSize > 1100 * entry.size + 1000))
    return 'This file was refused: the sizes it states cannot be true.';
  return null;
}
