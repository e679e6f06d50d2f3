/** A numbered series: one thought and one photo a page, counted by itself. */
import { placeIn, wordsIn, type SlotWords } from '@/core/book/plain';
import { photoIn, written } from '@/core/book/lay';
import type { Box } from '@/core/geometry/box';
import { inWords } from '@/core/living/numbers';
import type { Field } from '@/core/living/field';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import { isWritten } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { uprightSize, type Asset } from '@/core/picture/asset';
import type { Surface } from '@/core/project/model';
import { shortened } from '@/core/text/named';
import type { Typesetter } from '@/core/text/typesetter';

export interface SeriesWish {
  /** A thought a page. */
  lines: readonly string[];
  /** Counted from the last down to one. */
  down: boolean;
  /** In words instead of figures. */
  words: boolean;
}

/** Pages of a series, at the most. */
export const MOST_IN_SERIES = 100;
const LONGEST_THOUGHT = 600;

/** Lines as they were typed, one a thought; those that say nothing are left out. How many there is no room for, and how many are cut. */
export function thoughtsIn(text: string): { lines: string[]; over: number; cut: number } {
  const all = text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
  const taken = all.slice(0, MOST_IN_SERIES);
  return {
    lines: taken.map((line) => shortened(line, LONGEST_THOUGHT)),
    over: all.length - taken.length,
    cut: taken.filter(({ length }) => length > LONGEST_THOUGHT).length,
  };
}

/** How numbers and thoughts are lettered: as titles and words of the book are. */
export type Letters = Pick<SlotWords, 'family' | 'ink'>;
export interface SeriesLook {
  number: Letters;
  thought: Letters;
}
const PLAIN: Letters = { family: 'crimson-pro', ink: '#25232a' };

/** The lettering of the first title and the first other words there are. */
export function lookOf(surfaces: readonly Pick<Surface, 'pile'>[]): SeriesLook {
  const written = surfaces.flatMap(({ pile }) => pile.filter(({ outline }) => isWritten(outline)));
  const of = (title: boolean): Letters => {
    const found = written.find(({ role }) => (role === 'title') === title);
    return found?.outline.kind === 'glyphs' && found.material.kind === 'ink'
      ? { family: found.outline.family, ink: found.material.colour }
      : PLAIN;
  };
  return { number: of(true), thought: of(false) };
}

interface Page {
  /** Where the page lies on its surface. */
  box: Box;
  /** What the binding takes at its left, or its right. */
  gutter: { side: 'left' | 'right'; width: number };
}

/**
 * One page of it, the `i`th: a photo above, the number and the thought beneath; beside each other where the photo stands. All
 * lies within a twelfth of the page's sides, and out of the gutter.
 */
export function seriesPage(
  { lines, down, words }: SeriesWish,
  i: number,
  photo: Asset | null,
  { box, gutter }: Page,
  look: SeriesLook,
  series: string,
  typesetter: Typesetter,
  newId: () => string,
): Piece[] {
  const edge = Math.min(box.width, box.height) / 12;
  const inset = { left: edge, right: edge, [gutter.side]: Math.max(edge, gutter.width + edge / 2) };
  const inside: Box = {
    x: box.x + inset.left,
    y: box.y + edge,
    width: box.width - inset.left - inset.right,
    height: box.height - 2 * edge,
  };
  const own = photo && uprightSize(photo);
  const standing = own ? own.height > own.width : false;
  const gap = edge / 2;
  const picture: Box = standing
    ? { ...inside, width: inside.width * 0.54 }
    : { ...inside, height: inside.height * 0.64 };
  const rest: Box = standing
    ? { ...inside, x: picture.x + picture.width + gap, width: inside.width - picture.width - gap }
    : { ...inside, y: picture.y + picture.height + gap, height: inside.height - picture.height - gap };
  const number: Box = standing
    ? { ...rest, y: inside.y + inside.height * 0.16, height: inside.height * 0.26 }
    : { ...rest, width: Math.min(rest.width * 0.4, rest.height * (words ? 1.7 : 1.15)) };
  const thought: Box = standing
    ? {
        ...rest,
        y: number.y + number.height + gap,
        height: inside.y + inside.height - number.y - number.height - gap,
      }
    : { ...rest, x: number.x + number.width + gap, width: rest.width - number.width - gap };
  const field: Field = { kind: 'count', of: series, ...(down ? { down } : {}), ...(words ? { words } : {}) };
  const count = down ? lines.length - i : i + 1;
  const says = words ? inWords(count) : String(count);
  const big = wordsIn(newId(), number, {
    ...look.number,
    role: 'title',
    text: says,
    size: number.height * 0.74,
    field,
  });
  const span = { start: 0, end: says.length, field };
  const place = placeIn(newId(), picture);
  return [
    photo ? photoIn(place, photo, { ...picture, gutter: null }) : place,
    written(big as Piece & { outline: GlyphsOutline }, says, typesetter, [span]),
    written(
      wordsIn(newId(), thought, {
        ...look.thought,
        role: 'journaling',
        text: '.',
        size: edge * 0.62,
      }) as Piece & {
        outline: GlyphsOutline;
      },
      lines[i]!,
      typesetter,
    ),
  ];
}
