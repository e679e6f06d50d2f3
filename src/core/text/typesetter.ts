/** Sets text in lines and columns. Every output draws what this returns: screen and print can never differ. */
import { compose, rotation, scaling, translation } from '@/core/geometry/matrix';
import { transformPath, type Path } from '@/core/geometry/path';
import type { Box, Size } from '@/core/geometry/box';
import type { Divide } from '@/core/text/breaks';
import { FALLBACK_FILES } from '@/core/text/families';
import type { TypeCase } from '@/core/text/items';
import { setParagraph, type GlyphRun, type ParagraphLine, type SetLine } from '@/core/text/setting';
import type { OpenFont } from '@/core/text/shaper';
import type { Language, Span, TextStyle } from '@/core/text/style';

export type { GlyphRun, PlacedGlyph, SetLine } from '@/core/text/setting';
export type { TextStyle } from '@/core/text/style';

/** Origin at the box's top left corner. */
export interface SetText {
  runs: readonly GlyphRun[];
  lines: readonly SetLine[];
  /** What the lines really take up, points. */
  size: Size;
  /** Where the first line begins that does not fit the box's height; null if all do. It is set below the box all the same. */
  over: number | null;
}

export interface Typesetter {
  /**
   * Sets `text`; lines break at `width` (points) or, when null, only where the text itself breaks. Columns are as long as
   * `height`, or without one as even as they can be.
   */
  set(text: string, style: TextStyle, width: number | null, height?: number): SetText;
  /** The outline of glyphs. */
  outline(runs: readonly GlyphRun[]): Path;
  /** How far glyphs that are not turned reach. */
  bounds(runs: readonly GlyphRun[]): Box;
  font(name: string): OpenFont;
  has(name: string): boolean;
  divides(language: Language): boolean;
  /** The same with more fonts and languages; what is open stays open. */
  with(fonts: readonly OpenFont[], divide?: Partial<Record<Language, Divide>>): Typesetter;
}

/** Paragraphs kept as they were last set: of a long text only the one that is written in is set anew. */
const MOST_KEPT = 400;

export function createTypesetter(
  fonts: readonly OpenFont[],
  languages: Partial<Record<Language, Divide>> = {},
): Typesetter {
  const byName = new Map(fonts.map((font) => [font.name, font]));
  const font = (name: string): OpenFont => {
    const found = byName.get(name);
    if (!found) throw new RangeError(`The font ${name} has not been opened.`);
    return found;
  };
  const type: TypeCase = {
    font: (name) => byName.get(name),
    fallbacks: FALLBACK_FILES.flatMap((name) => byName.get(name) ?? []),
    divide: (language) => languages[language as Language],
  };
  const recent = new Map<string, SetText>();
  const paragraphs = new Map<string, ParagraphLine[]>();
  return {
    font,
    has: (name) => byName.has(name),
    divides: (language) => languages[language] !== undefined,
    with: (more, divide = {}) => createTypesetter([...byName.values(), ...more], { ...languages, ...divide }),
    set(text, style, width, height) {
      return kept(recent, JSON.stringify([text, style, width, height]), () =>
        setText(text, style, width, height, (paragraph, spans, column) =>
          kept(paragraphs, JSON.stringify([paragraph, { ...style, spans }, column]), () =>
            setParagraph(paragraph, style, spans, column, type),
          ),
        ),
      );
    },
    bounds: (runs) => {
      const reach = { left: Infinity, top: Infinity, right: -Infinity, bottom: -Infinity };
      for (const { font: name, size, glyphs } of runs) {
        const { unitsPerEm, reachOf } = font(name);
        const unit = size / unitsPerEm;
        for (const { id, x, y } of glyphs) {
          const box = reachOf(id);
          if (!box) continue;
          reach.left = Math.min(reach.left, x + box.x * unit);
          reach.top = Math.min(reach.top, y + box.y * unit);
          reach.right = Math.max(reach.right, x + (box.x + box.width) * unit);
          reach.bottom = Math.max(reach.bottom, y + (box.y + box.height) * unit);
        }
      }
      const { left, top, right, bottom } = reach;
      return left > right
        ? { x: 0, y: 0, width: 0, height: 0 }
        : { x: left, y: top, width: right - left, height: bottom - top };
    },
    outline: (runs) =>
      runs.flatMap((run) => {
        const { unitsPerEm, outline } = font(run.font);
        const scale = scaling(run.size / unitsPerEm);
        return run.glyphs.flatMap(({ id, x, y, turn }) =>
          transformPath(compose(translation(x, y), ...(turn ? [rotation(turn)] : []), scale), outline(id)),
        );
      }),
  };
}

function kept<T>(known: Map<string, T>, key: string, make: () => T): T {
  let value = known.get(key);
  if (value === undefined) {
    value = make();
    if (known.size > MOST_KEPT) known.delete(known.keys().next().value!);
    known.set(key, value);
  }
  return value;
}

type SetOne = (paragraph: string, spans: readonly Span[], column: number | null) => ParagraphLine[];

function setText(
  text: string,
  { spans = [], columns, align }: TextStyle,
  width: number | null,
  height: number | undefined,
  setOne: SetOne,
): SetText {
  const { count = 1, gap = 0 } = (width !== null && columns) || {};
  const column = width === null ? null : Math.max(1, (width - gap * (count - 1)) / count);
  let from = 0;
  const all = text.split('\n').flatMap((paragraph) => {
    const first = from;
    from += paragraph.length + 1;
    return setOne(paragraph, spansWithin(spans, first, first + paragraph.length), column).map((line) => ({
      line,
      first,
    }));
  });
  const heights = all.map(({ line }) => line.height);
  const long = count === 1 ? (height ?? Infinity) : (height ?? evenLength(heights, count));
  const widest = Math.max(0, ...all.map(({ line }) => line.width));
  // Lines without a column are set about x = 0, or before it.
  const aside = width === null ? (align === 'right' ? widest : align === 'centre' ? widest / 2 : 0) : 0;
  const runs: GlyphRun[] = [];
  const lines: SetLine[] = [];
  let at = 0;
  let top = 0;
  let over: number | null = null;
  let deepest = 0;
  for (const { line, first } of all) {
    if (top > 0 && top + line.height > long + 1e-6 && at < count - 1) {
      at++;
      top = 0;
    }
    if (over === null && height !== undefined && top + line.height > height + 0.01) over = first + line.start;
    const left = at * ((column ?? 0) + gap) + aside;
    for (const run of line.runs)
      runs.push({
        ...run,
        glyphs: run.glyphs.map((glyph) => ({ ...glyph, x: glyph.x + left, y: glyph.y + top })),
      });
    lines.push({
      start: first + line.start,
      end: first + line.end,
      top,
      height: line.height,
      column: at,
      carets: line.carets.map((x) => x + left),
    });
    top += line.height;
    deepest = Math.max(deepest, top);
  }
  return { runs, lines, size: { width: count > 1 ? width! : widest, height: deepest }, over };
}

/** Parts of spans that lie in a stretch, in its own indexes. */
const spansWithin = (spans: readonly Span[], from: number, to: number): Span[] =>
  spans
    .filter(({ start, end }) => end > from && start < to)
    .map((span) => ({
      ...span,
      start: Math.max(span.start, from) - from,
      end: Math.min(span.end, to) - from,
    }));

/** The least length with which lines of these heights fill no more than `count` columns. */
function evenLength(heights: readonly number[], count: number): number {
  const columnsAt = (long: number): number => {
    let columns = 1;
    let top = 0;
    for (const height of heights) {
      if (top > 0 && top + height > long + 1e-6) {
        columns++;
        top = 0;
      }
      top += height;
    }
    return columns;
  };
  let high = heights.reduce((sum, height) => sum + height, 0);
  let low = Math.max(high / count, ...heights, 0);
  if (columnsAt(low) <= count) return low;
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (columnsAt(middle) <= count) high = middle;
    else low = middle;
  }
  return high;
}
