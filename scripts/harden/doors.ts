/** Every door that reads what people bring, given files with something wrong in them: none throws, hangs, or lets in what is no number. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { strToU8, zipSync } from 'fflate';
import load from 'libheif-js/libheif-wasm/libheif-bundle.mjs';
import { readDaysFile } from '@/core/calendar/files';
import { readOutlines } from '@/core/cutter/read/read';
import { readDrawing } from '@/core/drawing/read';
import { readHeader } from '@/core/pixels/header';
import { pressProfile } from '@/core/press/profile';
import { isWide } from '@/core/press/wide';
import type { Result } from '@/core/result';
import { readKit, writeKit } from '@/core/supplies/kit-file';
import { plainFont } from '@/core/text/woff';
import { lookAtFont } from '@/core/text/own';
import { jpegFacts } from '@/output/pdf/jpeg';
import { fileNotes } from '@/workers/fileNotes';
import { heicPixels } from '@/workers/heic';
import { KitZip } from '@/workers/zip';
import { PROFILES, readNodeFont, ROOT } from '../node/platform';
import { Chance } from '../testing/chance';
import { quarters } from '../testing/samples';
import type { Row } from './report';

type Read = (bytes: Uint8Array) => Result<unknown> | Promise<Result<unknown>>;

interface Door {
  name: string;
  /** Files that are whole. */
  whole(): Uint8Array[] | Promise<Uint8Array[]>;
  /** Written in words, of which numbers and names can be put elsewhere. */
  text?: true;
  read: Read;
}

/** No door takes longer over a small file, milliseconds; in a short run, beside which others go on, only what hangs is told. */
const LONGEST = process.argv.includes('--long') ? 5000 : 60_000;

const said = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);
const shipped = (ending: string, most: number): Uint8Array[] => {
  const folder = join(ROOT, 'public', 'house', 'kits');
  const names = (readdirSync(folder, { recursive: true }) as string[]).filter((name) =>
    name.endsWith(ending),
  );
  return names
    .filter((_, i) => i % Math.ceil(names.length / most) === 0)
    .map((name) => new Uint8Array(readFileSync(join(folder, name))));
};
const kit = strToU8(
  writeKit({
    kit: { name: 'Kites', description: '', author: 'Ines', licence: 'As you wish', tags: ['sea'] },
    supplies: [{ kind: 'embellishment', name: 'Kite', file: 'kite.png', tags: ['sea'] }],
  }),
);
const outlines = [
  '0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n8\n0\n90\n3\n70\n1\n10\n0\n20\n0\n10\n9\n20\n0\n10\n9\n20\n9\n0\nENDSEC\n0\nEOF\n',
  'IN;SP1;PU0,0;PD400,0,400,400,0,400,0,0;PU;SP0;',
].map((text) => strToU8(text));
const calendar = strToU8(
  'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:1\r\nSUMMARY:Fly-in\r\nDTSTART;VALUE=DATE:20270612\r\nRRULE:FREQ=YEARLY;INTERVAL=1\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n',
);

const heif = load();

export const DOORS: readonly Door[] = [
  {
    ...{ name: 'drawings', text: true as const, whole: () => shipped('.svg', 24) },
    read(bytes) {
      const answer = readDrawing(said(bytes));
      return answer.ok && !finite(answer.value.drawing)
        ? { ok: false, message: 'lets in what is no number' }
        : answer;
    },
  },
  { name: 'kit.json', text: true, whole: () => [kit], read: (bytes) => readKit(said(bytes)) },
  {
    name: 'zips',
    whole: () => [zipSync({ 'kit.json': kit, 'kite.png': quarters(9, 9, 'image/png') })],
    read: (bytes) => KitZip.open(new Blob([bytes as Uint8Array<ArrayBuffer>])),
  },
  {
    name: 'fonts',
    async whole() {
      const packed = await readNodeFont('caveat-latin-400-normal');
      return [packed, await plainFont(packed)];
    },
    read: (bytes) => lookAtFont('own', 'a.woff', bytes, 40e6),
  },
  {
    name: 'colour profiles',
    whole: () => [new Uint8Array(readFileSync(join(PROFILES, 'coated-offset.icc')))],
    read: (bytes) => (isWide(bytes), pressProfile(bytes)),
  },
  {
    name: 'headers and notes of photos',
    whole: () => [quarters(40, 30), quarters(40, 30, 'image/png')],
    async read(bytes) {
      await fileNotes(bytes);
      try {
        jpegFacts(bytes);
      } catch (error) {
        if (!(error instanceof RangeError)) throw error;
      }
      return readHeader(bytes);
    },
  },
  {
    name: 'HEIC',
    whole: () => [kite()],
    read: (bytes) => heicPixels(bytes, heif),
  },
  {
    name: 'days of other calendars',
    text: true,
    whole: () => [calendar],
    read: (bytes) => readDaysFile(said(bytes), 2026, 2028),
  },
  {
    name: 'outlines of cutters',
    text: true,
    whole: () => outlines,
    read: (bytes) => readOutlines(bytes[0] === 48 ? 'a.dxf' : 'a.plt', bytes),
  },
];

/** Whether all numbers in a value are. */
function finite(value: unknown): boolean {
  if (typeof value === 'number') return Number.isFinite(value);
  return typeof value !== 'object' || value === null || Object.values(value).every(finite);
}

/** One to four bytes other, a stretch gone, doubled, or nonsense. */
export function bent(bytes: Uint8Array, chance: Chance): Uint8Array {
  const out = Uint8Array.from(bytes);
  const [from, long] = [chance.below(out.length), 1 + chance.below(Math.min(200, out.length))];
  switch (chance.below(4)) {
    case 0:
      return out.slice(0, from);
    case 1:
      return Uint8Array.from([
        ...out.subarray(0, from),
        ...out.subarray(from, from + long),
        ...out.subarray(from),
      ]);
    case 2:
      return Uint8Array.from([...out.subarray(0, from), ...out.subarray(from + long)]);
    default:
      for (let i = 0; i <= chance.below(4); i++)
        out[chance.below(out.length)] = chance.of([0, 255, 127, chance.below(256)]);
      return out;
  }
}

const WORDS = [
  '',
  '-1',
  '0',
  '1e308',
  '1e999',
  'NaN',
  '99999999999999999999',
  '\u0000',
  '<b>&amp;</b>',
  '\u202Egnp.exe',
  'x'.repeat(4000),
  'url(#a)',
  '%',
];

/** One to three of its numbers or words are others. */
export function reworded(bytes: Uint8Array, chance: Chance): Uint8Array {
  let text = said(bytes);
  for (let i = 0; i <= chance.below(3); i++) {
    const places = [...text.matchAll(/-?\d+(?:\.\d+)?|[A-Za-z]{2,}/g)];
    if (!places.length) break;
    const { 0: word, index } = chance.of(places);
    text = text.slice(0, index) + chance.of(WORDS) + text.slice(index + word.length);
  }
  return strToU8(text);
}

/** What a person is told: a few words, and nothing of the program's own. */
const isSaid = (message: unknown): boolean =>
  typeof message === 'string' &&
  message.length > 3 &&
  message.length < 5000 &&
  !/\bundefined\b|\[object|\bat \w+ \(/.test(message);

async function tried(
  read: Read,
  bytes: Uint8Array,
  what: string,
  faults: string[],
): Promise<[boolean, number]> {
  const start = performance.now();
  let taken = false;
  try {
    const answer = await read(bytes);
    taken = answer.ok;
    if (!answer.ok && !isSaid(answer.message)) faults.push(`${what} says: ${answer.message}`);
    if (!answer.ok && /no number/.test(answer.message)) faults.push(`${what} ${answer.message}`);
  } catch (error) {
    faults.push(`${what} threw ${(error as Error).message.slice(0, 120)}`);
  }
  const took = performance.now() - start;
  if (took > LONGEST) faults.push(`${what} took ${Math.round(took)} ms`);
  return [taken, took];
}

export async function spoiltFiles(tries: number, seed: number): Promise<Row[]> {
  const rows: Row[] = [];
  for (const { name, whole, text, read } of DOORS) {
    const files = await whole();
    const faults: string[] = [];
    let [taken, longest] = [0, 0];
    for (const [i, file] of files.entries())
      if (!(await tried(read, file, `whole file ${i + 1}`, faults))[0])
        faults.push(`whole file ${i + 1} is refused`);
    for (let i = 0; i < tries; i++) {
      const chance = new Chance(seed + i);
      const file = chance.of(files);
      const bytes = text && i % 2 ? reworded(file, chance) : bent(file, chance);
      const [ok, took] = await tried(read, bytes, `seed ${seed + i}`, faults);
      if (ok) taken++;
      longest = Math.max(longest, took);
    }
    rows.push({
      ...{ attack: `doors: ${name}`, tries, faults },
      seen: `${taken} taken, ${tries - taken} refused in words, ${Math.round(longest)} ms at most`,
    });
  }
  return rows;
}

const kite = (): Uint8Array => new Uint8Array(readFileSync(join(ROOT, 'e2e', 'fixtures', 'kite.heic')));

/** A HEIC of a few hundred bytes that says it is larger than any memory (its `ispe` property: ISO/IEC 23008-12, 6.5.3). */
function hugeHeic(): Uint8Array {
  const bytes = kite();
  const view = new DataView(bytes.buffer);
  const name = strToU8('ispe');
  for (let at = 0; at + 16 <= bytes.length; at++)
    if (name.every((byte, i) => bytes[at + i] === byte))
      for (const side of [8, 12]) view.setUint32(at + side, 60_000);
  return bytes;
}

/** A photo that says it comes to a great deal. Small drawings that do: drawing.test. */
export async function bombs(): Promise<Row> {
  const faults: string[] = [];
  const [taken, took] = await tried((bytes) => heicPixels(bytes, heif), hugeHeic(), 'HEIC', faults);
  if (taken) faults.push('a HEIC of 60,000 x 60,000 was taken');
  return {
    ...{ attack: 'a photo that comes to too much', tries: 1, faults },
    seen: `${Math.round(took)} ms`,
  };
}
