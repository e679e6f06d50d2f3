/** `kit.json` of a kit's zip: what is written, and the door it passes when read. See docs/kit-format.md. */
import { writableAll } from '@/core/text/writable';
import { array, boolean, lazy, mixed, number, object, string, ValidationError } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { HIGHEST_LIFT } from '@/core/piece/finish/lift';
import { fail, ok, type Result } from '@/core/result';
import { trailSchema, type Trail } from '@/core/trail';
import { asName, shortened } from '@/core/text/named';
import { leadsOut } from '@/core/zip-names';
import {
  KINDS,
  SUPPLY_KINDS,
  type Kit,
  type NamedInk,
  type Supply,
  type SupplyKind,
} from '@/core/supplies/model';

export const KIT_VERSION = 3;
export const MOST_SUPPLIES = 5000;

/** What kit.json says of one supply. */
export interface KitEntry {
  /** Path in the zip; ink sets have none. */
  file?: string;
  kind: SupplyKind;
  name: string;
  tags: string[];
  /** Pixels per inch, where the file's own statement is not to be believed. */
  ppi?: number;
  /** How high it stands when laid, mm. */
  lift?: number;
  letters?: string;
  /** Which of the kit's alphabets a letter is of; since version 2. */
  alphabet?: string;
  /** Path of the paper that is printed on its other side; since version 3. */
  back?: string;
  inks?: NamedInk[];
  /** Of a ready line; its pictures are named by their SHA-256, among those of the kit. */
  trail?: Trail;
  favourite?: boolean;
}

export interface KitFile {
  kit: Pick<Kit, 'name' | 'description' | 'author' | 'licence' | 'tags'>;
  /** Path of the supply shown on the cover. */
  cover?: string;
  supplies: KitEntry[];
}

export const LONGEST_TAG = 40;
export const MOST_TAGS = 40;
const tagsSchema = array(string().trim().min(1).max(LONGEST_TAG).required()).max(MOST_TAGS).required();

/** A tag as it is kept, however it is typed; empty where nothing is left. */
export const tagOf = (text: string): string =>
  shortened(text.normalize('NFC').trim().toLowerCase(), LONGEST_TAG);

/** Tags as a person lists them: commas between, lower case, each once. */
export const tagsFrom = (text: string): string[] =>
  [...new Set(text.split(',').map(tagOf).filter(Boolean))].slice(0, MOST_TAGS);

const insidePath = string()
  .max(300)
  .test('inside', '${path} points outside of the kit', (path) => path === undefined || !leadsOut(path))
  .meta({ named: 'path' });

/** Letters the name of an alphabet may have. */
export const LONGEST_ALPHABET = 60;

/** Inks a set may have. */
export const MOST_INKS = 5000;

const entrySchema = object({
  file: insidePath,
  kind: string()
    .oneOf([...SUPPLY_KINDS])
    .required(),
  name: string().min(1).max(200).required(),
  tags: tagsSchema,
  ppi: number().min(1).max(10_000),
  lift: number().min(0).max(HIGHEST_LIFT),
  letters: string().min(1).max(8),
  alphabet: string().min(1).max(LONGEST_ALPHABET),
  back: insidePath,
  favourite: boolean(),
  trail: lazy((value: unknown) => (value === undefined ? mixed().notRequired() : trailSchema)).meta({
    options: [trailSchema],
    absent: true,
  }),
  inks: array(
    object({
      name: string().min(1).max(60).required(),
      colour: string().matches(HEX_COLOUR).required(),
      family: string().min(1).max(60),
      retired: boolean().oneOf([true]),
    }).noUnknown(),
  ).max(MOST_INKS),
}).noUnknown();

/** Fields of kit.json beside its format and version. */
export const kitFields = {
  kit: object({
    name: string().min(1).max(120).required(),
    description: string().max(2000).defined(),
    author: string().max(200).defined(),
    licence: string().max(500).defined(),
    tags: tagsSchema,
  })
    .noUnknown()
    .required(),
  cover: insidePath,
  supplies: array(entrySchema.required()).max(MOST_SUPPLIES).required(),
};

const kitSchema = object(kitFields).noUnknown();

export const writeKit = (file: KitFile): string =>
  JSON.stringify({ format: 'bellagraph-kit', version: KIT_VERSION, ...file }, null, 1);

/** With names and tags as they can be seen; what else is wrong with it is left for the schema to find. */
function cleaned(file: Record<string, unknown>): Record<string, unknown> {
  const { kit, supplies, ...rest } = writableAll(file);
  return {
    ...rest,
    ...('kit' in file ? { kit: labelled(kit) } : {}),
    ...('supplies' in file ? { supplies: Array.isArray(supplies) ? supplies.map(labelled) : supplies } : {}),
  };
}
const shown = (value: unknown): unknown => (typeof value === 'string' ? asName(value, value.length) : value);
function labelled(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value;
  const { name, tags } = value as { name?: unknown; tags?: unknown };
  return {
    ...value,
    ...(name === undefined ? {} : { name: shown(name) }),
    ...(Array.isArray(tags) ? { tags: tags.map(shown) } : {}),
  };
}

const isKnown = (version: unknown): boolean =>
  Number.isInteger(version) && Number(version) >= 1 && Number(version) <= KIT_VERSION;

/** Reads kit.json, or says in words why it cannot be believed. */
export function readKit(json: string): Result<KitFile> {
  let file: { format?: unknown; version?: unknown } & Record<string, unknown>;
  try {
    // Some systems store accents apart: a name is the same either way.
    file = JSON.parse(json, (_, value: unknown) =>
      typeof value === 'string' ? value.normalize('NFC') : value,
    );
  } catch {
    return fail('its kit.json cannot be read as text');
  }
  if (file?.format !== 'bellagraph-kit') return fail('its kit.json is of some other program');
  const { format: _, version, ...rest } = file;
  // What older versions say means the same today.
  if (!isKnown(version))
    return fail(
      typeof version === 'number' && version > KIT_VERSION
        ? `it was made by a newer Bellagraph (kit version ${version}; this one reads up to ${KIT_VERSION})`
        : 'its kit.json does not say which version it is',
    );
  try {
    return ok(kitSchema.validateSync(cleaned(rest), { strict: true }) as KitFile);
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return fail(`its kit.json is damaged: ${whatIsWrong(rest, error)}`);
  }
}

/** Which supply, and which of what is said of it; or which of what is said of the kit. */
function whatIsWrong(file: Record<string, unknown>, { path = '', type }: ValidationError): string {
  const [list, i, what] = path.match(/[^.[\]]+/g) ?? [];
  if (type === 'inside') return 'a file of it points outside of the kit';
  if (list !== 'supplies') return `what it says of the kit (${i ?? list ?? 'all of it'}) cannot be read`;
  const entry = Array.isArray(file.supplies) ? (file.supplies[Number(i)] as { name?: unknown } | null) : null;
  const name = typeof entry?.name === 'string' ? `“${shortened(entry.name, 60)}”` : `supply ${Number(i) + 1}`;
  return `what it says of ${name}${what ? ` (${what})` : ''} cannot be read`;
}

/** What a person made of a shipped supply: a cupboard's backup keeps it in cupboard.json. */
export interface HouseMark {
  id: string;
  favourite: boolean;
  tags: string[];
  /** What it is called, where that is another name than it was shipped with. */
  name?: string;
}

const marksSchema = object({
  format: string().oneOf(['bellagraph-cupboard']).required(),
  version: number().integer().min(1).max(KIT_VERSION).required(),
  house: array(
    object({
      id: string().max(200).required(),
      favourite: boolean().required(),
      tags: tagsSchema,
      name: string().min(1).max(200),
    }).noUnknown(),
  )
    .max(20_000)
    .required(),
}).noUnknown();

export const writeMarks = (house: readonly HouseMark[]): string =>
  JSON.stringify({ format: 'bellagraph-cupboard', version: KIT_VERSION, house }, null, 1);

/** Reads cupboard.json; nothing if it cannot be believed. */
export function readMarks(json: string): HouseMark[] | undefined {
  try {
    return marksSchema.validateSync(JSON.parse(json), { strict: true }).house as HouseMark[];
  } catch {
    return undefined;
  }
}

/** Letters of a name that its file keeps. */
const LONGEST_PATH_NAME = 100;

/** The path each supply's file takes in the zip: its kind's folder and its name, told apart where names meet. */
export function pathsFor(
  supplies: readonly Supply[],
  extension: (supply: Supply) => string,
): Map<string, string> {
  const taken = new Set<string>();
  const paths = new Map<string, string>();
  for (const supply of supplies) {
    if (supply.kind === 'inks' || supply.kind === 'line') continue;
    const plain =
      shortened(
        supply.name
          .replace(/[^\p{L}\p{N} ,&'’()+-]+/gu, ' ')
          .replace(/\s+/g, ' ')
          .trim(),
        LONGEST_PATH_NAME,
      ) || supply.kind;
    for (let i = 1; ; i++) {
      const path = `${KINDS[supply.kind].folder}/${plain}${i > 1 ? ` ${i}` : ''}.${extension(supply)}`;
      if (taken.has(path.toLowerCase())) continue;
      taken.add(path.toLowerCase());
      paths.set(supply.id, path);
      break;
    }
  }
  return paths;
}
