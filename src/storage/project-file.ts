/** `.bellagraph` files: a zip of project.json, the pictures under assets/, what was ordered, and a preview. See docs/file-format.md. */
import {
  BlobReader,
  BlobWriter,
  configure,
  TextReader,
  TextWriter,
  Uint8ArrayWriter,
  ZipReader,
  ZipWriter,
  type FileEntry,
} from '@zip.js/zip.js';
import { EXTENSIONS, type Asset } from '@/core/picture/asset';
import type { OwnProfile } from '@/core/press/conditions';
import { readHeader } from '@/core/pixels/header';
import { readProject, writeProject } from '@/core/project/file';
import { readKept, type KeptOrder } from '@/core/order/kept';
import type { FontFile, Project } from '@/core/project/model';
import { fail, ok, type Result } from '@/core/result';
import { sha256 } from '@/core/sha';
import { leadsOut } from '@/core/zip-names';
import { GIGABYTE, LIMITS, MEGABYTE } from '@/storage/file-limits';

configure({ useWebWorkers: false });

const FILE_MIME = 'application/vnd.bellagraph+zip';

export interface OpenedFile {
  project: Project;
  /** By SHA-256; checked against their names. */
  assets: Map<string, Blob>;
  /** Fonts, and colour profiles. */
  fonts: Map<string, Blob>;
  preview?: Blob;
  orders: PackedOrder[];
  /** What of it could not be read as it was written, a sentence each. */
  mended: string[];
}

/** An order, with the files that were sent. */
export interface PackedOrder {
  kept: KeptOrder;
  files: { name: string; blob: Blob }[];
}

const orderPath = ({ ticket }: KeptOrder, name: string): string => `orders/${ticket.job}/${name}`;
const ORDER = 'order.json';

const fontPath = ({ sha }: FontFile): string => `fonts/${sha}.ttf`;
const profilePath = ({ sha }: OwnProfile): string => `profiles/${sha}.icc`;

export const assetPath = (asset: Asset): string => `assets/${asset.sha}.${EXTENSIONS[asset.type]}`;

export interface PackedFile {
  blob: Blob;
  /** What no bytes were found of; the file is without it. */
  missing: { name: string }[];
}

const asBlob = (bytes: Uint8Array | Blob): Blob =>
  bytes instanceof Blob ? bytes : new Blob([bytes as Uint8Array<ArrayBuffer>]);

/**
 * Packs a project; `bytesOf` fetches a file's bytes by SHA-256, and one that is missing is left out and named in the answer.
 * Says in words why no file is made: it would be larger than what is opened again.
 */
export async function packProject(
  project: Project,
  bytesOf: (sha: string) => Promise<Uint8Array | Blob | undefined>,
  preview?: Uint8Array | Blob,
  orders: readonly PackedOrder[] = [],
  limits: typeof LIMITS = LIMITS,
): Promise<Result<PackedFile>> {
  const json = writeProject(project);
  const files: [string, { sha: string; name: string; bytes: number }][] = [
    ...Object.values(project.assets).map((asset) => [assetPath(asset), asset] as [string, Asset]),
    ...(project.fonts ?? []).map((font) => [fontPath(font), font] as [string, FontFile]),
    ...(project.profiles ?? []).map((profile) => [profilePath(profile), profile] as [string, OwnProfile]),
  ];
  const sent = orders.flatMap(({ kept, files }) => [
    [orderPath(kept, ORDER), new Blob([JSON.stringify(kept)])] as const,
    ...files.map(({ name, blob }) => [orderPath(kept, name), blob] as const),
  ]);
  const size =
    json.length +
    files.reduce((sum, [, { bytes }]) => sum + bytes, 0) +
    sent.reduce((sum, [, { size }]) => sum + size, 0);
  const entries = files.length + sent.length + 2;
  if (json.length > limits.project || size > limits.unpacked || entries > limits.entries)
    return fail(
      `“${project.title}” would make a file of ${inGigabytes(size)} with ${files.length} pictures and fonts. Up to ${inGigabytes(limits.unpacked)} and ${limits.entries} can be opened again, so no file was made. Put pictures away that are not used, or save its pages as two projects.`,
    );
  const zip = new ZipWriter(new BlobWriter(FILE_MIME), {
    // Zip dates begin in 1980; a fixed one makes equal projects equal files.
    lastModDate: new Date(2020, 0, 1),
    extendedTimestamp: false,
    // Zip64 only where it is needed: a file over 4 GB.
    keepOrder: true,
  });
  await zip.add('project.json', new TextReader(json), { level: 6 });
  if (preview) await zip.add('preview.jpg', new BlobReader(asBlob(preview)), { level: 0 });
  const missing: { name: string }[] = [];
  for (const [path, file] of files) {
    const bytes = await bytesOf(file.sha);
    if (bytes) await zip.add(path, new BlobReader(asBlob(bytes)), { level: 0 });
    else missing.push(file);
  }
  for (const [path, blob] of sent) await zip.add(path, new BlobReader(blob), { level: 0 });
  return ok({ blob: await zip.close(), missing });
}

/** A file that was packed without its pictures, with them; each is named by its asset. */
export async function withPictures(
  file: Blob,
  pictures: readonly { asset: Asset; blob: Blob }[],
): Promise<Blob> {
  const zip = new ZipWriter(new BlobWriter(FILE_MIME), { keepOrder: true });
  await zip.prependZip(new BlobReader(file));
  for (const { asset, blob } of pictures)
    await zip.add(assetPath(asset), new BlobReader(blob), {
      level: 0,
      lastModDate: new Date(2020, 0, 1),
      extendedTimestamp: false,
    });
  return zip.close();
}

const inGigabytes = (bytes: number): string =>
  bytes < GIGABYTE ? `${Math.ceil(bytes / MEGABYTE)} MB` : `${(bytes / GIGABYTE).toFixed(1)} GB`;

/** Reads one entry and holds it to its checksum (CRC-32); null if it is not what was packed. */
const read = <T>(entry: FileEntry, writer: new () => unknown): Promise<T | null> =>
  entry.getData(new writer() as never, { checkSignature: true }).then(
    (data) => data as T,
    () => null,
  );

/**
 * Opens a file, or says why it is refused. A picture or font in it that is missing or damaged is left out and told of.
 * Nothing outside the answer is touched.
 */
export async function unpackProject(given: Blob | Uint8Array): Promise<Result<OpenedFile>> {
  const file = asBlob(given);
  if (file.size === 0) return fail('This file is empty.');
  const reader = new ZipReader(new BlobReader(file), { filenameValidation: 'tolerant' });
  try {
    const entries = await listEntries(reader);
    if (!entries.ok) return entries;
    return await readEntries(entries.value);
  } catch {
    return fail('This file is damaged: it cannot be unpacked. Nothing was changed.');
  } finally {
    await reader.close().catch(() => {});
  }
}

async function readEntries(entries: ReadonlyMap<string, FileEntry>): Promise<Result<OpenedFile>> {
  const entry = entries.get('project.json');
  if (!entry) return fail('This is not a Bellagraph file: it holds no project.');
  const json = await read<string>(entry, TextWriter);
  if (json === null)
    return fail(
      'This file is damaged: what it says of its pages is not what was written. Nothing was changed. Another copy of it may still be whole.',
    );
  const opened = readProject(json);
  if (!opened.ok) return opened;
  const mended = [...(opened.mended ?? [])];
  const files = async (path: string, { sha, name }: { sha: string; name: string }, what: string) => {
    const packed = entries.get(path);
    const bytes = packed && (await read<Uint8Array<ArrayBuffer>>(packed, Uint8ArrayWriter));
    if (bytes && (await sha256(bytes)) === sha) return bytes;
    mended.push(
      `The ${what} “${name}” is ${packed ? 'damaged in this file' : 'missing from this file'}. The rest was opened without it.`,
    );
    return null;
  };
  const assets = new Map<string, Blob>();
  const facts: Record<string, Asset> = {};
  for (const asset of Object.values(opened.value.assets)) {
    const bytes = await files(assetPath(asset), asset, 'picture');
    facts[asset.sha] = bytes ? asItIs(asset, bytes, mended) : asset;
    if (bytes) assets.set(asset.sha, new Blob([bytes], { type: asset.type }));
  }
  const fonts = new Map<string, Blob>();
  for (const font of opened.value.fonts ?? []) {
    const bytes = await files(fontPath(font), font, 'font');
    if (bytes) fonts.set(font.sha, new Blob([bytes]));
  }
  for (const profile of opened.value.profiles ?? []) {
    const bytes = await files(profilePath(profile), profile, 'colour profile');
    if (bytes) fonts.set(profile.sha, new Blob([bytes]));
  }
  const packed = entries.get('preview.jpg');
  const preview = packed && (await read<Uint8Array<ArrayBuffer>>(packed, Uint8ArrayWriter));
  return ok({
    project: { ...opened.value, assets: facts },
    assets,
    fonts,
    orders: await readOrders(entries, mended),
    ...(preview ? { preview: new Blob([preview], { type: 'image/jpeg' }) } : {}),
    mended,
  });
}

/** What was ordered, each with what was sent as far as it is what its ticket says. */
async function readOrders(entries: ReadonlyMap<string, FileEntry>, mended: string[]): Promise<PackedOrder[]> {
  const orders: PackedOrder[] = [];
  for (const [path, entry] of entries) {
    if (!path.startsWith('orders/') || !path.endsWith(`/${ORDER}`)) continue;
    const json = entry.uncompressedSize <= MEGABYTE ? await read<string>(entry, TextWriter) : null;
    const kept = json === null ? null : readKept(json);
    if (!kept || orderPath(kept, ORDER) !== path) {
      mended.push('What was noted of an order could not be read. The rest was opened without it.');
      continue;
    }
    const files: PackedOrder['files'] = [];
    for (const { name, sha256: sha } of kept.state.answer?.accepted ? kept.ticket.files : []) {
      const packed = entries.get(orderPath(kept, name));
      const bytes = packed && (await read<Uint8Array<ArrayBuffer>>(packed, Uint8ArrayWriter));
      if (bytes && (await sha256(bytes)) === sha)
        files.push({ name, blob: new Blob([bytes], { type: 'application/pdf' }) });
      else
        mended.push(
          `“${name}”, which was sent with order ${kept.state.order}, is not in this file as it was sent.`,
        );
    }
    orders.push({ kept, files });
  }
  return orders;
}

/** What is known of a picture, with the size its own bytes state: a project that says otherwise is wrong. */
function asItIs(asset: Asset, bytes: Uint8Array, mended: string[]): Asset {
  if (asset.type === 'image/svg+xml' || asset.type === 'image/heic') return asset;
  const header = readHeader(bytes);
  if (!header.ok) return asset;
  const { width, height } = header.value;
  if (width === asset.width && height === asset.height) return asset;
  mended.push(
    `The picture “${asset.name}” is ${width} x ${height} pixels, not ${asset.width} x ${asset.height} as the project says. It is shown as it is.`,
  );
  return { ...asset, width, height };
}

const isOurs = (name: string): boolean =>
  /^(project\.json|preview\.jpg|fonts\/[0-9a-f]{64}\.ttf|profiles\/[0-9a-f]{64}\.icc|assets\/[0-9a-f]{64}\.[a-z]{3,4}|orders\/[0-9a-f-]{36}\/(order\.json|[\w-]{1,60}\.pdf))$/.test(
    name,
  );

/** The parts of ours by name, nothing unpacked; or why the file is refused. */
async function listEntries(reader: ZipReader<unknown>): Promise<Result<Map<string, FileEntry>>> {
  const ours = new Map<string, FileEntry>();
  let total = 0;
  let count = 0;
  try {
    for await (const entry of reader.getEntriesGenerator()) {
      const refused = refuse(entry, (total += entry.uncompressedSize), (count += 1), ours);
      if (refused) return fail(`This file was refused: ${refused}.`);
      if (!entry.directory && isOurs(entry.filename)) ours.set(entry.filename, entry);
    }
  } catch {
    return fail('This is not a Bellagraph file, or it is damaged: it is not a readable zip.');
  }
  return ok(ours);
}

function refuse(
  {
    filename,
    uncompressedSize,
    compressedSize,
  }: { filename: string; uncompressedSize: number; compressedSize: number },
  total: number,
  count: number,
  before: ReadonlyMap<string, unknown>,
): string | null {
  if (leadsOut(filename)) return `it holds a name that points outside of it (“${filename.slice(0, 80)}”)`;
  if (before.has(filename)) return `it holds “${filename}” twice`;
  if (count > LIMITS.entries) return `it holds more than ${LIMITS.entries} parts`;
  if (total > LIMITS.unpacked)
    return `it says it unpacks to ${inGigabytes(total)} or more; ${inGigabytes(LIMITS.unpacked)} is the most`;
  if (filename === 'project.json' && uncompressedSize > LIMITS.project)
    return `the project in it is larger than ${inGigabytes(LIMITS.project)}`;
  // Deflate packs at most 1032 to 1 (RFC 1951): what claims more is not honest about its size.
  if (uncompressedSize > 1100 * compressedSize + 1000) return 'the sizes it states cannot be true';
  return null;
}
