/** Words as a material: small words in rows, over and over, seen through the outline. */
import { array, number, object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { boxOfPoints, corners, overlaps } from '@/core/geometry/box';
import { apply, compose, invert, rotation, scaling, translation, type Matrix } from '@/core/geometry/matrix';
import { pathBounds, transformPath, type Path } from '@/core/geometry/path';
import type { Mark } from '@/core/picture/picture';
import { inkSlot, inkSlots } from '@/core/piece/answers';
import type { Cut, MaterialKind } from '@/core/piece/material/kind';
import {
  letteringFields,
  letteringOf,
  scaledLetters,
  SMALLEST_LETTERS,
  type Lettering,
} from '@/core/text/style';
import { random } from '@/core/random';

export interface WordsMaterial extends Lettering {
  kind: 'words';
  /** What stands there, one after the other: one entry a line. */
  text: string;
  /** `#rrggbb` each: the first word takes the first ink, and so on round. */
  inks: string[];
  /** What lies behind the words; nothing if absent. */
  ground?: string;
  /** Between words of a row, and between rows, points. */
  gapX: number;
  gapY: number;
  /** How far every second row stands to the right, as a share of a word and its gap. */
  shift: number;
  /** Degrees clockwise the rows are turned. */
  turn: number;
  /** How much smaller words may be than the letter size: 0 none, 0.8 as little as a fifth of it. */
  vary: number;
  /** Another arrangement of what varies. */
  seed: number;
}

export const LONGEST_WORDS = 2000;
export const MOST_WORD_INKS = 12;
export const LEAST_WORD_GAP = -36;
export const MOST_WORD_GAP = 144;
export const MOST_VARIED = 0.8;
/** Words one piece is filled with; letters become larger where there would be more. */
export const MOST_COPIES = 4000;

const gap = number().min(LEAST_WORD_GAP).max(MOST_WORD_GAP).required();

export const words: MaterialKind<WordsMaterial> = {
  kind: 'words',
  name: 'Words over and over',
  schema: object({
    kind: string().oneOf(['words']).required(),
    text: string().max(LONGEST_WORDS).defined(),
    ...letteringFields,
    inks: array(string().matches(HEX_COLOUR).required()).min(1).max(MOST_WORD_INKS).required(),
    ground: string().matches(HEX_COLOUR),
    gapX: gap,
    gapY: gap,
    shift: number().min(0).max(1).required(),
    turn: number().min(-180).max(180).required(),
    vary: number().min(0).max(MOST_VARIED).required(),
    seed: number().integer().min(0).max(1e9).required(),
  }).noUnknown(),
  inks: (material) => [...inkSlots('words', material.inks), ...inkSlot('words', material, 'ground')],
  written: (material) => [
    { text: material.text, letters: material, set: (text) => void (material.text = text) },
  ],
  scaled: (material, scale) => ({
    ...material,
    size: scaledLetters(material.size, scale),
    gapX: Math.max(LEAST_WORD_GAP, Math.min(MOST_WORD_GAP, material.gapX * scale)),
    gapY: Math.max(LEAST_WORD_GAP, Math.min(MOST_WORD_GAP, material.gapY * scale)),
  }),
  fill: (material, cut) => {
    const ground: Mark[] = material.ground ? [{ mark: 'fill', path: cut.path, colour: material.ground }] : [];
    return [...ground, ...wordMarks(material, cut)];
  },
};

interface Word {
  path: Path;
  width: number;
}

/** The words of an entry, their baseline's start at the origin. */
function wordsOf(material: WordsMaterial, { typesetter }: Cut): Word[] {
  const { text, size } = material;
  const entries = text.split('\n').map((entry) => entry.trim());
  return [...entries.filter(Boolean)].map((entry) => {
    const { runs, lines } = typesetter.set(
      entry,
      { ...letteringOf(material), align: 'left', leading: 1 },
      null,
    );
    const path = typesetter.outline(runs);
    const carets = lines[0]!.carets;
    return { path, width: Math.max(pathBounds(path).width, carets.at(-1)! - carets[0]!, size / 10) };
  });
}

/** How large the words stand, and how many fit across and down the box, in whole words and rows. */
export function wordGrid(
  material: WordsMaterial,
  cut: Cut,
): { across: number; down: number; word: number; row: number } {
  const known = wordsOf(material, cut);
  if (!known.length) return { across: 0, down: 0, word: 0, row: 0 };
  const word = known.reduce((sum, { width }) => sum + width, 0) / known.length;
  const row = rowHeight(known);
  const { width, height } = pathBounds(cut.path);
  return {
    word,
    row,
    across: Math.floor((width + material.gapX + 0.01) / (word + material.gapX)),
    down: Math.floor((height + material.gapY + 0.01) / (row + material.gapY)),
  };
}

/** Letter size and gaps with which `columns` words stand side by side and `rows` under each other, from edge to edge. */
export function fittedGrid(material: WordsMaterial, cut: Cut, columns: number, rows: number): WordsMaterial {
  const { width, height } = pathBounds(cut.path);
  const { word, row } = wordGrid(material, cut);
  const across = (width - material.gapX * (columns - 1)) / (columns * word);
  const down = (height - material.gapY * (rows - 1)) / (rows * row);
  const scale = Math.max(0.01, Math.min(across, down));
  const even = (length: number, each: number, count: number, plain: number) =>
    count > 1 ? Math.min(MOST_WORD_GAP, (length - count * each * scale) / (count - 1)) : plain;
  return {
    ...material,
    size: Math.max(SMALLEST_LETTERS, material.size * scale),
    gapX: even(width, word, columns, material.gapX),
    gapY: even(height, row, rows, material.gapY),
    shift: 0,
    turn: 0,
    vary: 0,
  };
}

const rowHeight = (known: readonly Word[]): number => {
  const boxes = known.map(({ path }) => pathBounds(path));
  const top = Math.min(...boxes.map(({ y }) => y));
  const bottom = Math.max(...boxes.map(({ y, height }) => y + height));
  return Math.max(0.5, bottom - top);
};

function wordMarks(material: WordsMaterial, cut: Cut): Mark[] {
  const known = wordsOf(material, cut);
  if (!known.length) return [];
  const { inks, shift, turn, vary, seed } = material;
  const seen = pathBounds(cut.path);
  const middle = { x: seen.x + seen.width / 2, y: seen.y + seen.height / 2 };
  const place = compose(translation(middle.x, middle.y), rotation(turn));
  // What of the rows' own plane is seen.
  const plane = boxOfPoints(corners(seen).map((corner) => apply(invert(place), corner)));
  const row = rowHeight(known);
  const mean = known.reduce((sum, { width }) => sum + width, 0) / known.length;
  const copies = ((plane.width + mean) / (mean + material.gapX)) * (plane.height / (row + material.gapY));
  const scale = Math.max(1, Math.sqrt(copies / MOST_COPIES));
  const [gapX, gapY] = [Math.max(material.gapX, -mean * 0.9), Math.max(material.gapY, -row * 0.9)];
  const top = Math.min(...known.map(({ path }) => pathBounds(path).y));
  const chance = random(seed);
  const marks: Mark[] = [];
  const within = [{ area: cut.path }];
  const pitch = (row + gapY) * scale;
  let count = 0;
  for (let line = 0, y = plane.y; y < plane.y + plane.height; line++, y += pitch) {
    // A mark for each row and ink: what cuts long paths to an outline is slow by the square of their length.
    const paths = new Map<string, Path[number][]>();
    let x = plane.x - (line % 2 ? (1 - shift) * (mean + gapX) * scale * (shift > 0 ? 1 : 0) : 0);
    while (x < plane.x + plane.width) {
      const word = known[count % known.length]!;
      const smaller = vary ? 1 - vary * chance() : 1;
      const size = scale * smaller;
      // Smaller words stand in the middle of their row.
      const down = y + (row * scale - row * size) / 2 - top * size;
      const map: Matrix = compose(place, translation(x, down), scaling(size));
      const box = boxOfPoints(
        corners({ x: 0, y: top, width: word.width, height: row }).map((corner) => apply(map, corner)),
      );
      const colour = inks[count % inks.length]!;
      if (overlaps(box, seen)) {
        const path = paths.get(colour) ?? [];
        path.push(...transformPath(map, word.path));
        paths.set(colour, path);
      }
      x += word.width * size + gapX * scale;
      count++;
    }
    for (const [colour, path] of paths) marks.push({ mark: 'fill', colour, path, within });
  }
  return marks;
}

export const FIRST_WORDS: Omit<WordsMaterial, 'text' | 'family' | 'size'> = {
  kind: 'words',
  inks: ['#25232a'],
  gapX: 3.6,
  gapY: 3.6,
  shift: 0,
  turn: 0,
  vary: 0,
  seed: 1,
};
