/** Words as a material: small words in rows, over and over, seen through the outline. */
import { array, number, object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import { boxOfPoints, corners, overlaps, type Size } from '@/core/geometry/box';
import { apply, compose, invert, rotation, scaling, translation, type Matrix } from '@/core/geometry/matrix';
import { pathBounds, transformPath, type Path } from '@/core/geometry/path';
import type { Mark } from '@/core/picture/picture';
import { inkSlot, inkSlots } from '@/core/piece/answers';
import type { Cut, MaterialKind } from '@/core/piece/material/kind';
import {
  letteringFields,
  LARGEST_LETTERS,
  letteringOf,
  scaledLetters,
  SMALLEST_LETTERS,
  type Lettering,
} from '@/core/text/style';
import { random } from '@/core/random';
import { fail, ok, type Result } from '@/core/result';

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
  /** Just so many side by side and under each other, in level rows: the letters are as large as lets them, the gaps as they are set. */
  across?: number;
  down?: number;
}

export const LONGEST_WORDS = 2000;
export const MOST_WORD_INKS = 12;
export const LEAST_WORD_GAP = -36;
export const MOST_WORD_GAP = 144;
export const MOST_VARIED = 0.8;
export const MOST_ACROSS = 60;
/** Words one piece is filled with; letters become larger where there would be more. */
export const MOST_COPIES = 4000;

const gap = number().min(LEAST_WORD_GAP).max(MOST_WORD_GAP).required();

export const words: MaterialKind<WordsMaterial> = {
  kind: 'words',
  name: 'Words over and over',
  printed: true,
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
    across: number().integer().min(1).max(MOST_ACROSS),
    down: number().integer().min(1).max(MOST_ACROSS),
  }).noUnknown(),
  inks: (material) => [...inkSlots('words', material.inks), ...inkSlot('words', material, 'ground')],
  written: (material) => [
    {
      ...{ text: material.text, letters: material, most: LONGEST_WORDS },
      set: (text) => void (material.text = text),
    },
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
export function wordGrid(material: WordsMaterial, cut: Cut): { across: number; down: number; size: number } {
  const known = wordsOf(material, cut);
  const { across, down, size } = material;
  if (!known.length) return { across: 0, down: 0, size };
  if (across && down)
    return { across, down, size: size * countedScale(material, known, pathBounds(cut.path)) };
  const word = known.reduce((sum, { width }) => sum + width, 0) / known.length;
  const row = rowHeight(known);
  const { width, height } = pathBounds(cut.path);
  return {
    size,
    across: Math.floor((width + material.gapX + 0.01) / (word + material.gapX)),
    down: Math.floor((height + material.gapY + 0.01) / (row + material.gapY)),
  };
}

/** How wide so many words are together, their gaps not counted: of several entries so many of the mean. */
const wide = (known: readonly Word[], across: number): number =>
  (across * known.reduce((sum, { width }) => sum + width, 0)) / known.length;

/** How much larger the letters are where the count is set: as large as lets a row and all rows fit the box; 0 or less if nothing does. */
function countedScale(material: WordsMaterial, known: readonly Word[], box: Size): number {
  const { across = 1, down = 1, gapX, gapY } = material;
  return Math.min(
    (box.width - gapX * (across - 1)) / wide(known, across),
    (box.height - gapY * (down - 1)) / (down * rowHeight(known)),
  );
}

/** How many rows fill the box where so many words stand side by side from edge to edge. */
export function rowsThatFill(material: WordsMaterial, cut: Cut, across: number): number {
  const known = wordsOf(material, cut);
  if (!known.length) return 1;
  const { width, height } = pathBounds(cut.path);
  const row = (rowHeight(known) * (width - material.gapX * (across - 1))) / wide(known, across);
  const fit = Math.floor((height + material.gapY + 0.01) / (row + material.gapY));
  return Math.max(1, Math.min(MOST_ACROSS, fit || 1));
}

/** So many words side by side and under each other, or why there cannot be: the gaps stay as they are. */
export function counted(
  material: WordsMaterial,
  cut: Cut,
  across: number,
  down: number,
): Result<WordsMaterial> {
  const next: WordsMaterial = { ...material, across, down, shift: 0, turn: 0, vary: 0 };
  const { size } = wordGrid(next, cut);
  if (size < SMALLEST_LETTERS)
    return fail(
      `${across} across and ${down} down with these gaps would leave letters under ${SMALLEST_LETTERS} pt. Fewer words, or smaller gaps.`,
    );
  return ok({ ...next, size: Math.min(LARGEST_LETTERS, size) });
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
  if (material.across && material.down) return countedMarks(material, known, cut);
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

/**
 * Words of which the count is set, all rows in the middle. Of one word so many stand in the middle of each row; of several,
 * which differ in length, a row goes on from edge to edge.
 */
function countedMarks(material: WordsMaterial, known: readonly Word[], cut: Cut): Mark[] {
  const { across = 1, down = 1, gapX, gapY, inks } = material;
  const box = pathBounds(cut.path);
  const scale = countedScale(material, known, box);
  if (!(scale > 0)) return [];
  const row = rowHeight(known) * scale;
  const top = Math.min(...known.map(({ path }) => pathBounds(path).y)) * scale;
  const high = down * row + (down - 1) * gapY;
  const alike = known.length === 1;
  const from = alike ? box.x + (box.width - wide(known, across) * scale - gapX * (across - 1)) / 2 : box.x;
  const within = [{ area: cut.path }];
  let count = 0;
  return Array.from({ length: down }, (_, line) => {
    const paths = new Map<string, Path[number][]>();
    const y = box.y + (box.height - high) / 2 + line * (row + gapY) - top;
    for (let i = 0, x = from; alike ? i < across : x < box.x + box.width; i++, count++) {
      const word = known[count % known.length]!;
      const colour = inks[count % inks.length]!;
      const path = paths.get(colour) ?? [];
      path.push(...transformPath(compose(translation(x, y), scaling(scale)), word.path));
      paths.set(colour, path);
      // A gap below zero never eats a whole word up: each begins further on.
      x += Math.max(word.width * scale + gapX, 0.1 * word.width * scale);
    }
    return [...paths].map(([colour, path]): Mark => ({ mark: 'fill', colour, path, within }));
  }).flat();
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
