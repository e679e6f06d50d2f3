/** Which kind a supply is, told from its pixels, its size and its name. */
import type { Asset } from '@/core/picture/asset';
import { uprightSize } from '@/core/picture/asset';
import { characterOf } from '@/core/supplies/letters';
import type { Look } from '@/core/supplies/look';
import type { SupplyKind } from '@/core/supplies/model';
import { lettersIn } from '@/core/text/letters';

export interface Guess {
  kind: SupplyKind;
  /** 0 to 1; below `DOUBTFUL` a person should look. */
  sure: number;
  /** In words: what told it. */
  why: string;
  letters?: string;
}

export const DOUBTFUL = 0.7;

export interface Seen {
  /** Folder and file name, as brought in. */
  path: string;
  asset: Asset;
  look: Look;
  /** The file holds notes a camera wrote. */
  camera: boolean;
}

/** Words that name a kind itself; the first list that holds one decides. Ordinary words of the craft. */
const KIND_WORDS: readonly [SupplyKind, RegExp][] = [
  ['alphabet', /^(alpha|alphas|alphabet|letters?|monogram)$/],
  ['frame', /^(frames?|mats?|window|passepartout)$/],
  ['cardstock', /^(cardstocks?|solids?|plain)$/],
  ['paper', /^(papers?|pp|patterns?|patterned|backgrounds?|bg|texture)$/],
  ['wordart', /^(word|words|wordart|wordarts|sentiments?|quotes?|greetings?|sayings?|phrase)$/],
  ['brush', /^(brush|brushes|tips?)$/],
  ['edge', /^(edges?|borders?|edging)$/],
  ['stamp', /^(stamps?|stamped|doodles?|lineart|outline|icon|icons)$/],
  ['sketch', /^(sketch|sketches)$/],
  ['photo', /^(photos?|pictures|img|dsc|dscn|dscf|dcim|pxl|camera|p\d{7})$/],
  ['embellishment', /^(embellishments?|elements?|bits)$/],
];

/** Words that name a thing most often of one kind; a folder named for a kind knows better. */
const THING_WORDS: readonly [SupplyKind, RegExp][] = [
  [
    'embellishment',
    /^(buttons?|brads?|eyelets?|ribbons?|bows?|flowers?|leaf|leaves|tags?|clips?|paperclip|staples?|thread|string|twine|stitch(es|ing)?|washi|tapes?|stickers?|badges?|charms?|pins?|feathers?|sequins?|pearls?|splatters?|splats?|wood|wooden|chipboard|labels?|tickets?|stars?|hearts?|pebbles?|shells?|buckles?|lace|doily|banner|bunting)$/,
  ],
  ['edge', /^(scallops?|trims?)$/],
];

const wordsOf = (path: string): string[] =>
  path
    .replace(/\.[a-z0-9]{2,5}$/i, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()
    .split(/[^a-z0-9]+|(?<=[a-z])(?<!(?:^|[^a-z])p)(?=\d)/)
    .filter(Boolean);

/** What the name says: a kind named by the file before one named by its folders (but one that is a kind's name alone), and those before a thing it names. */
export function cueOf(path: string): SupplyKind | undefined {
  const parts = path.split('/').map(wordsOf).reverse();
  const among = (cues: typeof KIND_WORDS, words: readonly string[]) =>
    cues.find(([, pattern]) => words.some((word) => pattern.test(word)))?.[0];
  // A folder that is called nothing else knows better than a word among others; one of bits may hold anything.
  const shelf = parts[1]?.length === 1 ? among(KIND_WORDS, parts[1]) : undefined;
  if (shelf && shelf !== 'embellishment' && parts[0]!.length > 1) return shelf;
  for (const words of parts) {
    const kind = among(KIND_WORDS, words);
    if (kind) return kind;
  }
  return among(THING_WORDS, parts[0] ?? []);
}

/** Width over height of the sheets paper comes in, either way up: square, letter, A series. */
const SHEETS = [1, 8.5 / 11, Math.SQRT1_2];
const isSheet = (ratio: number): boolean =>
  SHEETS.some((sheet) => Math.abs(Math.min(ratio, 1 / ratio) / sheet - 1) < 0.012);

/** Shortest side of a sheet of paper, inches; what is smaller is a card or a tile. */
const LEAST_SHEET = 3.5;

/** Shares of a full picture that a flat middle takes where an opening may have been filled. */
const [LEAST_MIDDLE, MOST_MIDDLE] = [0.25, 0.85];

export function guessKind(seen: Seen): Guess {
  const cue = cueOf(seen.path);
  const told = fromPixels(seen);
  if (told.sure > 0.95) return told;
  if (cue === 'alphabet') {
    const letters = characterOf(seen.path);
    if (letters) return { kind: 'alphabet', sure: 0.92, why: `its name says letter ${letters}`, letters };
    return seen.look.set
      ? { kind: 'alphabet', sure: 0.85, why: `a sheet of ${seen.look.set} letters, to be cut apart` }
      : { kind: 'alphabet', sure: 0.55, why: 'its name says letters, not which' };
  }
  if (!cue) return told;
  if (cue === told.kind)
    return { ...told, sure: Math.min(0.98, told.sure + 0.2), why: `${told.why}; its name says so too` };
  if (cue === 'frame' && seen.look.clear < 0.01)
    return {
      kind: 'frame',
      sure: 0.55,
      why: 'its name says frame, yet one sees through it nowhere: was its opening filled?',
    };
  return fits(cue, seen)
    ? { kind: cue, sure: 0.85, why: `its name says ${cue === 'wordart' ? 'words' : cue}` }
    : { ...told, sure: Math.min(told.sure, 0.6), why: `${told.why}, though its name says ${cue}` };
}

/** Whether the pixels allow what the name says. */
function fits(kind: SupplyKind, { look }: Seen): boolean {
  const opaque = look.clear < 0.01;
  switch (kind) {
    case 'paper':
    case 'cardstock':
    case 'photo':
      return look.clear < 0.06;
    case 'frame':
      return look.openings > 0 || !opaque;
    case 'stamp':
    case 'brush':
    case 'wordart':
      return !opaque || isLineArt(look);
    default:
      return true;
  }
}

/** Dark lines on white: mostly white, hardly any colour, and something dark in it. */
const isLineArt = ({ clear, white, dark, grey }: Look): boolean =>
  clear < 0.02 && white > 0.45 && grey > 0.96 && dark > 0.008 && white + dark > 0.8;

function fromPixels({ asset, look, camera }: Seen): Guess {
  if (camera) return { kind: 'photo', sure: 0.97, why: 'a camera wrote notes in it' };
  const { width, height } = uprightSize(asset);
  const inches = { width: width / asset.ppi, height: height / asset.ppi };
  const ratio = width / height;
  if (look.clear < 0.01) {
    if (isLineArt(look) && look.set)
      return { kind: 'alphabet', sure: 0.6, why: `${look.set} things in rows, as letters stand` };
    if (isLineArt(look)) return { kind: 'stamp', sure: 0.85, why: 'dark lines on white' };
    const framed = look.middle > LEAST_MIDDLE && look.middle < MOST_MIDDLE && !camera;
    if (framed && !(asset.type === 'image/jpeg' && look.busy > 0.05))
      return {
        kind:
          isSheet(ratio) && Math.min(inches.width, inches.height) >= LEAST_SHEET ? 'paper' : 'embellishment',
        sure: 0.55,
        why: 'its middle is flat and closed all round: a card, or a frame whose opening was filled?',
      };
    if (isSheet(ratio) && Math.min(inches.width, inches.height) >= LEAST_SHEET) {
      const plain = look.oneColour > 0.985 && look.busy < 0.006;
      return plain
        ? { kind: 'cardstock', sure: 0.85, why: 'a sheet of one colour' }
        : { kind: 'paper', sure: look.busy > 0.12 ? 0.72 : 0.88, why: 'it fills a sheet, edge to edge' };
    }
    return asset.type === 'image/jpeg' || asset.type === 'image/heic'
      ? { kind: 'photo', sure: 0.74, why: 'a full picture that is no sheet of paper' }
      : { kind: 'embellishment', sure: 0.6, why: 'a full picture smaller than a sheet' };
  }
  if (look.set) return { kind: 'alphabet', sure: 0.6, why: `${look.set} things in rows, as letters stand` };
  const alone = look.oneColour > 0.96;
  const around = 1 - look.clear;
  if (alone && look.openings > 0 && look.open > 0.2 && look.filled > (look.openings > 1 ? 0.9 : 0.95))
    return {
      kind: 'frame',
      sure: look.openings > 1 ? 0.86 : 0.76,
      why: `${look.openings === 1 ? 'an opening' : `${look.openings} openings`} in a plain card`,
    };
  if (look.openings > 0 && look.opening > 0.12 && !(alone && look.opening < 0.3)) {
    const sure = look.opening > 0.3 ? 0.92 : 0.78;
    const many = look.openings === 1 ? 'an opening' : `${look.openings} openings`;
    return { kind: 'frame', sure: alone ? 0.72 : sure, why: `${many} one sees through` };
  }
  if (look.clear < 0.05 && look.solidBorder > 0.6 && isSheet(ratio) && inches.width >= 8)
    return { kind: 'paper', sure: 0.7, why: 'it nearly fills a sheet' };
  if (alone && look.busy < 0.2)
    return { kind: 'stamp', sure: around < 0.6 ? 0.88 : 0.76, why: 'one colour, cut out' };
  if (Math.max(ratio, 1 / ratio) > 7 && Math.max(inches.width, inches.height) > 7)
    return { kind: 'edge', sure: 0.72, why: 'a long strip' };
  return { kind: 'embellishment', sure: 0.8, why: 'several colours, cut out' };
}

/** Files of one folder that must be there, named by single characters alone, to be an alphabet. */
const LEAST_LETTERS = 8;

/** Files named alike but for one character that must be there to be letters. */
const LEAST_RUN = 4;

/** What a name is without its one character; empty where nothing is left. */
const stemOf = (path: string): string =>
  path
    .normalize('NFC')
    .split('/')
    .pop()!
    .replace(/\.[a-z0-9]{2,5}$/i, '')
    .split(/[\s_\-.()[\]]+/)
    .filter((word) => lettersIn(word).length > 1)
    .join(' ')
    .toLowerCase();

/**
 * Whether the characters that tell files apart are letters of an alphabet, not numbers of one thing after another: several
 * of them, letters among them, and not just the first few of a row such as a, b, c or 1, 2, 3.
 */
function isAlphabetRun(characters: readonly string[]): boolean {
  const unlike = [...new Set(characters)];
  if (unlike.length < LEAST_RUN || !unlike.some((one) => /\p{L}/u.test(one))) return false;
  return !['a', 'A', '1', '0'].some((first) =>
    unlike.every((one) => {
      const at = one.charCodeAt(0) - first.charCodeAt(0);
      return one.length === 1 && at >= 0 && at < unlike.length;
    }),
  );
}

/** A second look at all together: many files of a folder named by single characters are an alphabet. */
export function guessKinds(all: readonly Seen[]): Guess[] {
  const guesses = all.map(guessKind);
  const folders = new Map<string, number[]>();
  const runs = new Map<string, number[]>();
  all.forEach(({ path, look }, i) => {
    const letters = characterOf(path);
    if (!letters || look.clear < 0.02 || guesses[i]!.kind === 'photo') return;
    const folder = path.slice(0, path.lastIndexOf('/') + 1);
    folders.set(folder, [...(folders.get(folder) ?? []), i]);
    const stem = stemOf(path);
    if (stem) runs.set(folder + stem, [...(runs.get(folder + stem) ?? []), i]);
  });
  for (const members of runs.values()) {
    const letters = members.map((i) => characterOf(all[i]!.path)!);
    if (isAlphabetRun(letters))
      members.forEach((at, i) => {
        guesses[at] = {
          kind: 'alphabet',
          sure: 0.8,
          why: `one of ${letters.length} named alike but for the letter: ${letters[i]}`,
          letters: letters[i]!,
        };
      });
  }
  for (const members of folders.values()) {
    const distinct = new Set(members.map((i) => characterOf(all[i]!.path)));
    if (distinct.size < LEAST_LETTERS) continue;
    for (const i of members) {
      const letters = characterOf(all[i]!.path)!;
      guesses[i] = {
        kind: 'alphabet',
        sure: 0.9,
        why: `one of ${distinct.size} letters: ${letters}`,
        letters,
      };
    }
  }
  return guesses;
}
