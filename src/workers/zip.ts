/** A kit's zip as it is sold: what can be taken out of it, what is passed over, and why. */
import { leadsOut } from '@/core/zip-names';
import {
  BlobReader,
  configure,
  TextWriter,
  Uint8ArrayWriter,
  ZipReader,
  type FileEntry,
} from '@zip.js/zip.js';
import { contentOf, HEAD, MOST_BYTES } from '@/core/pixels/header';
import { fail, ok, type Result } from '@/core/result';
import { MOST_SUPPLIES, readKit, readMarks, type HouseMark, type KitFile } from '@/core/supplies/kit-file';
import { shortened } from '@/core/text/named';

configure({ useWebWorkers: false });

/** One kit of a zip: a folder with a kit.json, or everything that lies in no such folder. */
export interface ListedKit {
  /** What its paths begin with: empty, or a folder's name and a slash. */
  at: string;
  /** Paths in the zip of what may be a supply, in order. */
  paths: string[];
  kit?: KitFile;
}

export interface ListedZip {
  kits: ListedKit[];
  /** What cupboard.json says of the shipped supplies, if the zip is a cupboard's backup. */
  marks?: HouseMark[];
  /** One line for each reason something was passed over. */
  skipped: string[];
}

const MOST_UNPACKED = 4 * 2 ** 30;
const PICTURES = /\.(png|jpe?g|webp|heic|heif|svg|gif|bellagraph)$/i;
/** What systems leave in zips and nobody means. */
const LITTER = /(^|\/)(__MACOSX\/|\.|Thumbs\.db$|desktop\.ini$)/i;

export class KitZip {
  private constructor(
    private readonly entries: ReadonlyMap<string, FileEntry>,
    readonly listed: ListedZip,
  ) {}

  static async open(file: Blob): Promise<Result<KitZip>> {
    const skipped = new Skipped();
    const entries = new Map<string, FileEntry>();
    const jsons = new Map<string, FileEntry>();
    let marksEntry: FileEntry | undefined;
    let unpacked = 0;
    try {
      // Names are judged below, one by one: a bad one is passed over and the rest arrives.
      const reader = new ZipReader(new BlobReader(file), { filenameValidation: 'tolerant' });
      for await (const entry of reader.getEntriesGenerator()) {
        if (entry.directory) continue;
        const filename = nameOf(entry);
        if (leadsOut(filename)) skipped.add('names that point outside of the zip', filename);
        else if (LITTER.test(filename)) continue;
        else if (entry.encrypted) skipped.add('locked with a password', filename);
        else if (/^([^/]+\/)?kit\.json$/.test(filename)) jsons.set(filename, entry);
        else if (filename === 'cupboard.json') marksEntry = entry;
        else if (/\.(zip|rar|7z)$/i.test(filename))
          skipped.add('a zip inside the zip: open it by itself', filename);
        else if (!PICTURES.test(filename) && !(await isUnnamedPicture(filename, entry)))
          skipped.add('not pictures', filename);
        else if (entries.size >= MOST_SUPPLIES)
          skipped.add(`beyond the ${MOST_SUPPLIES} a kit may hold`, filename);
        else if (entry.uncompressedSize > MOST_BYTES || (unpacked += entry.uncompressedSize) > MOST_UNPACKED)
          skipped.add('too large once unpacked', filename);
        else entries.set(filename, entry);
      }
    } catch {
      return fail('is not a readable zip, or it is damaged');
    }
    const kits: ListedKit[] = [];
    for (const [name, json] of [...jsons].slice(0, MOST_KITS)) {
      const read = readKit(await textOf(json));
      const at = name.slice(0, -'kit.json'.length);
      if (read.ok) kits.push({ at, paths: [], kit: read.value });
      else skipped.note(`${name} was not used: ${read.message}. The pictures were sorted anew.`);
    }
    kits.sort((a, b) => b.at.length - a.at.length);
    const rest: ListedKit = { at: '', paths: [] };
    for (const path of entries.keys()) (kits.find(({ at }) => path.startsWith(at)) ?? rest).paths.push(path);
    for (const { at, kit } of kits)
      for (const { file, name } of kit!.supplies)
        if (file && !entries.has(at + file))
          skipped.note(`kit.json names “${name}”, which is not in the zip.`);
    if (rest.paths.length) kits.push(rest);
    const marks = marksEntry && readMarks(await textOf(marksEntry));
    return ok(new KitZip(entries, { kits, skipped: skipped.lines, ...(marks ? { marks } : {}) }));
  }

  async bytes(path: string): Promise<Uint8Array<ArrayBuffer>> {
    const entry = this.entries.get(path);
    if (!entry) throw new Error(`No ${path} in the zip.`);
    return (await entry.getData(new Uint8ArrayWriter(), HELD)) as Uint8Array<ArrayBuffer>;
  }
}

/**
 * What a part is called, its accents with their letters. Many programs write names in UTF-8 without saying so, and by the
 * standard they would be in code page 437 (APPNOTE 6.3.10, appendix D): what can be read as UTF-8 is.
 */
function nameOf({ filename, rawFilename, filenameUTF8, extraFieldUnicodePath }: FileEntry): string {
  let name = filename;
  if (!filenameUTF8 && !extraFieldUnicodePath)
    try {
      name = new TextDecoder('utf-8', { fatal: true }).decode(rawFilename);
    } catch {
      // It is in code page 437.
    }
  return name.normalize('NFC');
}

/** Bytes up to which a part whose name says nothing is looked into. */
const MOST_LOOKED_INTO = 2 ** 26;

/** Whether a part without an ending is a picture by what is in it. */
async function isUnnamedPicture(name: string, entry: FileEntry): Promise<boolean> {
  if (/\.[a-z0-9]{1,5}$/i.test(name) || entry.uncompressedSize > MOST_LOOKED_INTO) return false;
  const bytes = await entry.getData(new Uint8ArrayWriter()).catch(() => new Uint8Array());
  return contentOf(bytes.subarray(0, HEAD)) === 'picture';
}

/** Every part is held to its checksum (CRC-32): one that is not what was packed is refused, the rest arrives. */
const HELD = { checkSignature: true };

const MOST_KITS = 400;

const textOf = (entry: FileEntry): Promise<string> =>
  entry.uncompressedSize < 2 ** 24
    ? entry.getData(new TextWriter(), HELD).catch(() => '')
    : Promise.resolve('');

/** Counts what was passed over, by reason. */
class Skipped {
  private readonly reasons = new Map<string, string[]>();
  private readonly notes: string[] = [];

  add(reason: string, name: string): void {
    this.reasons.set(reason, [...(this.reasons.get(reason) ?? []), name]);
  }

  note(line: string): void {
    this.notes.push(line);
  }

  get lines(): string[] {
    const counted = [...this.reasons].map(([reason, names]) =>
      names.length === 1
        ? `${shortened(names[0]!, 80)} was passed over: ${reason}.`
        : `${names.length} files were passed over: ${reason} (${shortened(names[0]!, 60)} …).`,
    );
    return [...counted, ...this.notes];
  }
}
