/** Files, folders and kits' zips into the store, sorted by guess or as their kit.json says; nothing is in the cupboard yet. */
import { plainName } from '@/core/project/create';
import { asName } from '@/core/text/named';
import { contentOf, HEAD } from '@/core/pixels/header';
import { ok, type Result } from '@/core/result';
import type { HouseMark, KitEntry, KitFile } from '@/core/supplies/kit-file';
import { nameOfProduct } from '@/core/product';
import { coloursOf } from '@/core/trail';
import { KINDS, readyKind, type Supply, type SupplyKind } from '@/core/supplies/model';
import { guessKinds } from '@/core/supplies/sort';
import {
  bringIn,
  bytesFromZip,
  listZip,
  unpackedProject,
  type Arrived,
  type Incoming,
} from '@/features/shared/bringIn';
import { newId } from '@/features/shared/ids';
import { storePage } from '@/storage/assets';
import { sha256 } from '@/core/sha';
import { calledFile } from '@/core/text/named';
import { FILE_ENDING } from '@/storage/file-limits';

/** A supply as it may become, with what was guessed of it. */
export interface Row extends Omit<Supply, 'kit' | 'order' | 'added'> {
  /** 0 to 1. */
  sure: number;
  /** In words: what told its kind. */
  why: string;
}

/** Everything that came in together: a kit's zip, a folder, or loose files, which have no name. */
export interface Batch {
  name?: string;
  /** What kit.json said, if there was one. */
  about?: KitFile;
  rows: Row[];
}

export interface Gathered {
  batches: Batch[];
  marks: HouseMark[];
  /** One line for each reason something was passed over or refused. */
  skipped: string[];
  full: boolean;
}

const PICTURE = /\.(png|jpe?g|webp|heic|heif|svg|gif)$/i;
/** Names that say what is in a file. */
const NAMED = new RegExp(`${PICTURE.source}|\\.zip$|\\${FILE_ENDING}$`, 'i');
const LITTER = /(^|\/)(\.|Thumbs\.db$|desktop\.ini$|__MACOSX\/)/i;

/** Where a chosen or dropped file lay, as far as the browser tells. */
const pathOf = (file: File): string =>
  (file.webkitRelativePath || (file as File & { path?: string }).path || file.name)
    .normalize('NFC')
    .replace(/^\.?\//, '');

interface Source {
  name?: string;
  about?: KitFile;
  files: Incoming[];
  /** Project files: ready-made pages and sketches. */
  pages: Incoming[];
  /** What kit.json says, by path. */
  entries: Map<string, KitEntry>;
}

const sourceOf = (name?: string): Source => ({ name, files: [], pages: [], entries: new Map() });

async function sourcesIn(
  files: readonly File[],
): Promise<{ sources: Source[]; marks: HouseMark[]; skipped: string[] }> {
  const skipped: string[] = [];
  const marks: HouseMark[] = [];
  const sources: Source[] = [];
  const loose = sourceOf();
  let other = 0;
  for (const file of files) {
    const path = pathOf(file);
    if (LITTER.test(path)) continue;
    const ending = path.toLowerCase();
    // Files come without an ending, or with a wrong one: what is in them counts.
    const content = NAMED.test(path)
      ? null
      : contentOf(
          new Uint8Array(
            await file
              .slice(0, HEAD)
              .arrayBuffer()
              .catch(() => new ArrayBuffer(0)),
          ),
        );
    if (ending.endsWith('.zip') || content === 'zip') {
      const listed = await listZip(file);
      if (!listed.ok) {
        skipped.push(`${calledFile(file.name)} ${listed.message}.`);
        continue;
      }
      skipped.push(...listed.value.skipped.map((line) => `${calledFile(file.name)}: ${line}`));
      marks.push(...(listed.value.marks ?? []));
      for (const { at, paths, kit } of listed.value.kits) {
        const source = sourceOf(kit?.kit.name ?? plainName(file.name));
        if (kit) source.about = kit;
        for (const zipped of paths)
          (zipped.endsWith(FILE_ENDING) ? source.pages : source.files).push({
            file,
            path: zipped,
            zipped: true,
          });
        for (const entry of kit?.supplies ?? []) if (entry.file) source.entries.set(at + entry.file, entry);
        sources.push(source);
      }
    } else if (ending.endsWith(FILE_ENDING)) loose.pages.push({ file, path });
    else if (PICTURE.test(path) || content === 'picture') loose.files.push({ file, path });
    else other += 1;
  }
  if (other)
    skipped.push(
      `${other} ${other === 1 ? 'file was' : 'files were'} passed over: not pictures, kits or pages.`,
    );
  if (loose.files.length + loose.pages.length) {
    const folders = new Set(loose.files.map(({ path }) => (path.includes('/') ? path.split('/')[0]! : '')));
    const [folder] = folders;
    sources.push({ ...loose, ...(folders.size === 1 && folder ? { name: folder } : {}) });
  }
  return { sources, marks, skipped };
}

/** Brings everything in; `counted` hears how many are done of how many, `knownAs` says which supply has a file already. */
export async function gatherFiles(
  files: readonly File[],
  cancel: AbortSignal,
  counted: (done: number, of: number) => void,
  knownAs: (sha: string) => string | undefined,
): Promise<Gathered> {
  const { sources, marks, skipped } = await sourcesIn(files);
  const of = sources.reduce((sum, source) => sum + source.files.length + source.pages.length, 0);
  const batches: Batch[] = [];
  /** Ids of what came in, by their files. */
  const seen = new Map<string, string>();
  let before = 0;
  let known = 0;
  let full = false;
  for (const source of sources) {
    const brought = await bringIn(source.files, cancel, (done) => counted(before + done, of));
    before += source.files.length;
    full ||= brought.full;
    skipped.push(...brought.refused);
    if (brought.left.length)
      skipped.push(`${brought.left.length} ${brought.full ? 'found no room' : 'were left out: stopped'}.`);
    const rows = rowsOf(brought.arrived, source.entries);
    if (!cancel.aborted)
      for (const page of source.pages) {
        const row = await pageRow(page, source.entries.get(page.path));
        if (row.ok) rows.push(row.value);
        else skipped.push(row.message);
        counted((before += 1), of);
      }
    rows.push(...withoutFiles(source.about));
    const fresh = rows.filter(({ id, asset, page }) => {
      const sha = asset?.sha ?? page;
      if (!sha) return true;
      if (knownAs(sha)) known += 1;
      if (knownAs(sha) || seen.has(sha)) return false;
      seen.set(sha, id);
      return true;
    });
    // What is on the back of several, or here already, is one supply: all of them name it.
    const backOf = ({ back }: Row): string | undefined => {
      const sha = back && rows.find(({ id }) => id === back)?.asset?.sha;
      return sha && (knownAs(sha) ?? seen.get(sha));
    };
    for (const row of fresh) if (row.back) row.back = backOf(row);
    if (fresh.length) batches.push({ name: source.name, about: source.about, rows: fresh });
  }
  if (known) skipped.push(`${known} ${known === 1 ? 'was' : 'were'} in the cupboard already.`);
  return { batches, marks, skipped, full };
}

function rowsOf(arrived: readonly Arrived[], entries: ReadonlyMap<string, KitEntry>): Row[] {
  const guesses = guessKinds(arrived.map((one) => ({ ...one, look: one.facts.look })));
  const ids = new Map(arrived.map(({ path }) => [path, newId()]));
  return arrived.map((one, i): Row => {
    const entry = entries.get(one.path);
    const guess = guesses[i]!;
    const name = entry?.name ?? readable(one.path);
    const letters = entry ? entry.letters : guess.letters;
    // Paths in kit.json begin where that lies.
    const back = entry?.back && ids.get(one.path.slice(0, -entry.file!.length) + entry.back);
    return {
      id: ids.get(one.path)!,
      name,
      kind: entry?.kind ?? guess.kind,
      tags: entry?.tags ?? [],
      favourite: entry?.favourite ?? false,
      colours: one.facts.colours,
      asset: {
        ...one.asset,
        name,
        ...(entry?.ppi ? { ppi: entry.ppi } : {}),
        ...(entry?.lift === undefined ? {} : { lift: entry.lift }),
      },
      ...(letters ? { letters } : {}),
      ...(entry?.alphabet ? { alphabet: entry.alphabet } : {}),
      ...(back ? { back } : {}),
      sure: entry ? 1 : guess.sure,
      why: entry
        ? 'its kit says so'
        : [guess.why, ...one.dropped.map((what) => `${what} was left out`)].join('; '),
    };
  });
}

/** `kites_03-red.png` as `kites 03 red`. */
const readable = (path: string): string =>
  asName(plainName(path.split('/').pop()!).replace(/[_-]+/g, ' '), 200) || 'Untitled';

/** What kit.json holds by itself: ink sets and ready lines. */
const withoutFiles = (about: KitFile | undefined): Row[] =>
  (about?.supplies ?? []).flatMap(({ kind, name, tags, inks, trail, favourite }): Row[] => {
    const common = {
      ...{ id: newId(), kind, name, tags, favourite: favourite ?? false },
      ...{ sure: 1, why: 'its kit says so' },
    };
    if (kind === 'inks' && inks?.length)
      return [{ ...common, inks, colours: inks.slice(0, 3).map(({ colour }) => colour) }];
    if (kind === 'line' && trail) return [{ ...common, trail, colours: coloursOf(trail) }];
    return [];
  });

async function pageRow({ file, path, zipped }: Incoming, entry: KitEntry | undefined): Promise<Result<Row>> {
  const name = entry?.name ?? readable(path);
  const blob = zipped ? await bytesFromZip(file, path) : ok<Blob>(file);
  if (!blob.ok) return { ok: false, message: `${name} ${blob.message}.` };
  const opened = await unpackedProject(blob.value);
  if (!opened.ok) return { ok: false, message: `${name}: ${opened.message}` };
  const sha = await sha256(new Uint8Array(await blob.value.arrayBuffer()));
  const { preview, project } = opened.value;
  await storePage(sha, blob.value, preview);
  const kind: SupplyKind =
    entry && KINDS[entry.kind].opens ? entry.kind : readyKind(nameOfProduct(project.product));
  return ok({
    id: newId(),
    kind,
    name: entry?.name ?? (project.title || name),
    tags: entry?.tags ?? [],
    favourite: entry?.favourite ?? false,
    colours: [],
    page: sha,
    sure: 1,
    why: 'a project file',
  });
}
