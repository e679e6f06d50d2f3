/** Words: letters set in lines from the box's top left corner. */
import { boolean, number, object, string } from 'yup';
import type { Size } from '@/core/geometry/box';
import type { Path } from '@/core/geometry/path';
import { joinedPath, joinedSchema, type Joined } from '@/core/piece/outline/joined';
import { inkSlot } from '@/core/piece/answers';
import type { MadeCut, OutlineKind } from '@/core/piece/outline/kind';
import {
  LARGEST_LETTERS,
  letteringOf,
  lives,
  MOST_LETTERS,
  scaledLetters,
  SMALLEST_LETTERS,
  styleFields,
  type TextStyle,
} from '@/core/text/style';
import type { GlyphRun, SetText, Typesetter } from '@/core/text/typesetter';

export interface GlyphsOutline extends TextStyle {
  kind: 'glyphs';
  text: string;
  /** Whether lines break at the box's width; if not, the box grows with the words. */
  wrap: boolean;
  /** Letter size where there is room for it; `size` is less while living words keep to their one line. */
  wished?: number;
  /** The box keeps its height whatever is written in it; it is as tall as its lines without. */
  fixed?: boolean;
  /** All letters joined to one shape. */
  joined?: Joined;
  /** Id of the text style of the project it is written in. */
  style?: string;
}

export const glyphs: OutlineKind<GlyphsOutline> = {
  kind: 'glyphs',
  name: 'Words',
  keeps: true,
  schema: object({
    kind: string().oneOf(['glyphs']).required(),
    text: string().max(MOST_LETTERS).defined(),
    ...styleFields,
    wrap: boolean().required(),
    wished: number().min(SMALLEST_LETTERS).max(LARGEST_LETTERS),
    fixed: boolean(),
    joined: joinedSchema.default(undefined).optional(),
    style: string().min(1).max(80),
  }).noUnknown(),
  byBox: true,
  over: (outline, size, typesetter) => ({ count: wordsOver(outline, size, typesetter), of: 'word' }),
  inks: ({ spans = [] }) => spans.flatMap((span) => inkSlot('letters', span, 'ink')),
  // Its box follows what is written in it: writeWords (edits/make.ts) changes both.
  written: (outline) => [
    { text: outline.text, letters: outline, language: outline.hyphens, most: MOST_LETTERS },
  ],
  scaled: (outline, scale) => ({
    ...outline,
    size: scaledLetters(outline.size, scale),
    ...(outline.wished && { wished: scaledLetters(outline.wished, scale) }),
    ...(outline.columns && { columns: { ...outline.columns, gap: outline.columns.gap * scale } }),
  }),
  cut: (outline, size, typesetter) => {
    const { runs } = setGlyphs(outline, size, typesetter);
    const [x, y] = [-size.width / 2, -size.height / 2];
    const placed = runs.map((run) => ({
      ...run,
      glyphs: run.glyphs.map((glyph) => ({ ...glyph, x: glyph.x + x, y: glyph.y + y })),
    }));
    return outline.joined
      ? { path: joinedPath(placed, outline.joined, typesetter) }
      : cutOfRuns(placed, typesetter);
  },
};

/** Glyphs in the piece's own frame as a cut; those with an ink of their own lie apart. */
function cutOfRuns(runs: readonly GlyphRun[], typesetter: Typesetter): MadeCut {
  if (!runs.some(({ ink }) => ink)) {
    let path: Path | undefined;
    return {
      words: runs,
      bounds: typesetter.bounds(runs),
      get path() {
        return (path ??= typesetter.outline(runs));
      },
    };
  }
  const groups: GlyphRun[][] = [];
  for (const run of runs) {
    const last = groups.at(-1);
    if (last && last[0]!.ink === run.ink) last.push(run);
    else groups.push([run]);
  }
  const inked = groups.map((words) => ({ ink: words[0]!.ink, words, path: typesetter.outline(words) }));
  const plain = inked.filter(({ ink }) => !ink);
  return {
    path: inked.flatMap(({ path }) => path),
    plain: plain.flatMap(({ path }) => path),
    words: plain.flatMap(({ words }) => words),
    inked,
  };
}

/** The words set for a box of this size; origin at the box's top left. */
export const setGlyphs = (outline: GlyphsOutline, box: Size, typesetter: Typesetter): SetText =>
  typesetter.set(
    outline.text,
    textStyleOf(outline),
    outline.wrap ? box.width : null,
    outline.fixed ? box.height : undefined,
  );

const textStyleOf = (outline: GlyphsOutline): TextStyle => {
  const { align, leading, spans, columns, hyphens, hanging } = outline;
  return { ...letteringOf(outline), align, leading, spans, columns, hyphens, hanging };
};

/** The box the words want: as wide as they are (or as the box, if they break in it), as tall as their lines. */
export function wantedSize(outline: GlyphsOutline, box: Size, typesetter: Typesetter): Size {
  if (outline.fixed) return { width: box.width, height: box.height };
  const { width, height } = setGlyphs(outline, box, typesetter).size;
  return { width: outline.wrap ? box.width : Math.max(width, outline.size / 2), height };
}

/** The largest letter size, to a hundredth of a point, at which all words fit the box; null if none does. */
export function fittingLetters(outline: GlyphsOutline, box: Size, typesetter: Typesetter): number | null {
  const fits = (size: number): boolean => {
    const {
      over,
      size: taken,
      lines,
    } = setGlyphs({ ...outline, size, wrap: true, fixed: true }, box, typesetter);
    // A word that had to be parted does not fit either.
    const parted = lines.some(
      ({ end }) =>
        /[\p{L}\p{N}]/u.test(outline.text[end - 1] ?? '') && /[\p{L}\p{N}]/u.test(outline.text[end] ?? ''),
    );
    return over === null && taken.width <= box.width + 1e-6 && (!parted || outline.hyphens !== undefined);
  };
  if (!fits(SMALLEST_LETTERS)) return null;
  let low = SMALLEST_LETTERS;
  let high = Math.min(LARGEST_LETTERS, Math.max(low + 1, box.height * 2));
  while (high - low > 0.01) {
    const middle = (low + high) / 2;
    if (fits(middle)) low = middle;
    else high = middle;
  }
  return Math.floor(low * 100) / 100;
}

/** Letters of a line get no smaller than this by themselves, as a share of what they were. */
const SMALLER = 0.4;

/**
 * What changes of living words that stood on one line, so that they still do: letters as large as is wished, or as lets
 * them. Null if nothing changes.
 */
export function keptOnOneLine(
  before: GlyphsOutline,
  now: GlyphsOutline,
  box: Size,
  [then, typesetter]: readonly [Typesetter, Typesetter],
): Pick<GlyphsOutline, 'size' | 'wished'> | null {
  if (!now.wrap || now.fixed || !now.spans?.some(lives)) return null;
  const onOne = (outline: GlyphsOutline, by = typesetter) => setGlyphs(outline, box, by).lines.length === 1;
  if (!onOne(before, then)) return null;
  const wished = now.wished ?? now.size;
  const whole = now.wished === undefined ? null : { size: wished, wished: undefined };
  if (onOne({ ...now, size: wished })) return whole;
  const { width } = setGlyphs({ ...now, size: wished, wrap: false }, box, typesetter).size;
  const least = Math.max(SMALLEST_LETTERS, SMALLER * wished);
  // Letters that look to their neighbours may be set wider in a line that breaks.
  for (let size = (wished * box.width) / width; size >= least; size *= 0.99) {
    const to = { size: Math.floor(size * 100) / 100, wished };
    if (onOne({ ...now, ...to })) return to;
  }
  return whole;
}

/** How tall the box must be for all its words, points. */
export const fittingHeight = (outline: GlyphsOutline, box: Size, typesetter: Typesetter): number =>
  setGlyphs({ ...outline, fixed: undefined }, box, typesetter).size.height;

/** Words that do not fit a box that keeps its height; 0 if all do. */
export function wordsOver(outline: GlyphsOutline, box: Size, typesetter: Typesetter): number {
  if (!outline.fixed) return 0;
  const { over } = setGlyphs(outline, box, typesetter);
  return over === null ? 0 : outline.text.slice(over).split(/\s+/).filter(Boolean).length;
}
