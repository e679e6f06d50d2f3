/** One paragraph set in lines: shaped, broken, turned to reading order and spaced. Lengths in points. */
import { inVisualOrder, levelsOf, type Levels } from '@/core/text/bidi';
import { opportunities, type Divide } from '@/core/text/breaks';
import { letterEnds } from '@/core/text/letters';
import {
  itemsOf,
  primary,
  unitsOf,
  widthsFrom,
  type Item,
  type TypeCase,
  type Unit,
} from '@/core/text/items';
import { listMark } from '@/core/text/lists';
import type { OpenFont } from '@/core/text/shaper';
import { lettersIn, type Alignment, type Span, type TextStyle } from '@/core/text/style';

export interface PlacedGlyph {
  id: number;
  /** Start on the baseline, points. */
  x: number;
  y: number;
  /** Degrees clockwise it is turned about its start; 0 if absent. */
  turn?: number;
  /** The characters it stands for; empty for the later glyphs of a cluster. */
  text: string;
}

/** Glyphs of one font on one line. */
export interface GlyphRun {
  font: string;
  size: number;
  /** `#rrggbb` where these letters have an ink of their own. */
  ink?: string;
  glyphs: readonly PlacedGlyph[];
}

export interface SetLine {
  /** Indexes into the text: first character and one past the last shown. */
  start: number;
  end: number;
  top: number;
  height: number;
  /** Which column it stands in, from 0. */
  column: number;
  /** x of the caret before each of the characters start..end, both included. */
  carets: readonly number[];
}

/** A line of a paragraph: its top at 0, the column's left side at 0. */
export interface ParagraphLine {
  start: number;
  end: number;
  height: number;
  width: number;
  runs: readonly GlyphRun[];
  carets: readonly number[];
}

const HANGS_BEFORE = /[“”‘’"'«»„‚‹›([¿¡]/;
const HANGS_AFTER = /[“”‘’"'«»‹›.,;:!?)\]\-–—…\u00ad]/;

interface Break {
  start: number;
  end: number;
  /** It ends within a word, with a hyphen that is not in the text. */
  divided: boolean;
  /** The first one of its paragraph begins at 0, the last one is not justified. */
  last: boolean;
}

interface Measures {
  /** Widths from a line's beginning to before each character after it, up to `to`. */
  widths(start: number, to: number): Float64Array;
  hyphen: number;
  /** Whether the character at a place hangs at the beginning or the end of a line. */
  hangs(at: number, what: RegExp): boolean;
  /** How large the largest letters are. */
  largest: number;
}

/** A narrow letter is so wide, as a share of its size: how many may stand on a line. */
const NARROW = 0.3;

/** Lines as full as they go: broken between words, within them where that is allowed, between letters where it must be. */
function breakLines(
  text: string,
  width: number,
  indent: number,
  divide: Divide | undefined,
  { widths, hyphen, hangs, largest }: Measures,
): Break[] {
  const lines: Break[] = [];
  const places = opportunities(text);
  const trimmed = (from: number, to: number) => {
    let end = to;
    while (end > from && /\s/.test(text[end - 1]!)) end--;
    return end;
  };
  const soft = (place: number) => text[place - 1] === '\u00ad';
  const usual = Math.ceil(width / (NARROW * largest)) + 8;
  let start = 0;
  let next = 0;
  while (start < text.length) {
    const room = width - (start === 0 ? 0 : indent) + 1e-6;
    // As much of the text as can matter: until it is wider than the line with all that may hang.
    let reach = Math.min(text.length, start + usual);
    let wide = widths(start, reach);
    while (reach < text.length && wide[reach - start]! < room + 4 * largest) {
      reach = Math.min(text.length, start + 2 * (reach - start));
      wide = widths(start, reach);
    }
    const from = start;
    const excess = (to: number, more: number, before: Float64Array) => {
      const letter = (at: number) => before[at - from + 1]! - before[at - from]!;
      const hung =
        (hangs(from, HANGS_BEFORE) ? letter(from) : 0) +
        (to > from && hangs(to - 1, HANGS_AFTER) ? letter(to - 1) : 0);
      return before[to - from]! + more - hung - room;
    };
    const fits = (to: number, more: number) => {
      if (to > reach) return false;
      // A letter's width changes with what follows it: near the edge the line is shaped as it would end there.
      const about = excess(to, more, wide);
      return Math.abs(about) > largest ? about <= 0 : excess(to, more, widths(from, to)) <= 0;
    };
    let best = start;
    while (next < places.length) {
      const place = places[next]!;
      const more = soft(place) && place < text.length ? hyphen : 0;
      if (!fits(trimmed(start, place), more)) break;
      best = place;
      next++;
    }
    if (next === places.length) break;
    const word = divide && wordAt(text, best, places[next]!);
    const within = word && divide(word.text).map((at) => word.start + at);
    const divided = within?.findLast((at) => at > start && fits(at, hyphen));
    if (divided !== undefined && divided > best) {
      lines.push({ start, end: divided, divided: true, last: false });
      start = divided;
    } else if (best > start) {
      lines.push({ start, end: trimmed(start, best), divided: soft(best), last: false });
      start = best;
    } else {
      // A word longer than the line: as many letters as there is room for, one at least.
      const ends = letterEnds(text.slice(start, Math.min(places[next]!, reach + 1))).map(
        (end) => start + end,
      );
      const end = ends.findLast((at) => fits(at, 0)) ?? ends[0]!;
      lines.push({ start, end, divided: false, last: false });
      start = end;
    }
    while (next < places.length && places[next]! <= start) next++;
  }
  lines.push({ start, end: text.length, divided: false, last: true });
  return lines;
}

/** The word that begins at or after a place, without what stands around it. */
function wordAt(text: string, from: number, to: number): { text: string; start: number } | null {
  const found = /[\p{L}\p{M}]+/u.exec(text.slice(from, to));
  return found && { text: found[0], start: from + found.index };
}

const SHARE_LEFT = { left: 0, centre: 0.5, right: 1, justify: 0 } as const;
const TURNED: Record<Alignment, Alignment> = {
  left: 'right',
  right: 'left',
  centre: 'centre',
  justify: 'right',
};

/**
 * Sets one paragraph. `spans` are in the paragraph's own indexes; `width` is the column's, or null where lines only end
 * with the text. Without a width, what is not aligned to the left lies about (or before) x = 0.
 */
export function setParagraph(
  text: string,
  style: TextStyle,
  spans: readonly Span[],
  width: number | null,
  type: TypeCase,
): ParagraphLine[] {
  const levels = levelsOf(text);
  const items = itemsOf(text, style, spans, levels, type);
  const align = levels.base % 2 ? TURNED[style.align] : style.align;
  const mark = width === null ? '' : listMark(text);
  const indent = mark ? widthsFrom(text, items, 0, mark.length)[mark.length]! : 0;
  const hyphen = (item: Item | undefined) => {
    const font = item?.font ?? primary(style, type);
    return (font.shape('-')[0]!.advance * (item?.size ?? style.size)) / font.unitsPerEm;
  };
  const hangs = (at: number, what: RegExp): boolean =>
    Boolean(style.hanging) && width !== null && at >= 0 && at < text.length && what.test(text[at]!);
  const breaks =
    width === null || !text
      ? [{ start: 0, end: text.length, divided: false, last: true }]
      : breakLines(text, width, indent, style.hyphens && type.divide(style.hyphens), {
          widths: (start, to) => widthsFrom(text, items, start, to),
          hyphen: hyphen(items[0]),
          hangs,
          largest: Math.max(...items.map(({ size }) => size)),
        });
  return breaks.map((line) => {
    const units = visualUnits(text, items, line, levels);
    const hung = (at: number, what: RegExp) =>
      hangs(at, what) ? (units.find(({ start, end }) => start <= at && at < end)?.advance ?? 0) : 0;
    const before = hung(line.start, HANGS_BEFORE);
    const after = line.divided && style.hanging ? hyphen(items.at(-1)) : hung(line.end - 1, HANGS_AFTER);
    const [left, right] = levels.base % 2 ? [after, before] : [before, after];
    const own = units.reduce((sum, { advance }) => sum + advance, 0) - (units.at(-1)?.item.tracking ?? 0);
    const inset = line.start > 0 ? indent : 0;
    const room = (width ?? 0) - inset + left + right;
    const spaces = units.filter(({ start, end }) => end > start && text[start] === ' ').length;
    const spread = style.align === 'justify' && !line.last && spaces > 0 && width !== null;
    const extra = spread ? (room - own) / spaces : 0;
    const across = spread ? 0 : (width === null ? -own : room - own) * SHARE_LEFT[align];
    const origin = across - left + (levels.base % 2 ? 0 : inset);
    return { ...lineOf(text, style, spans, units, line, origin, extra, type), width: own };
  });
}

/** A line's glyphs from left to right, its hyphen included. */
function visualUnits(text: string, items: readonly Item[], line: Break, levels: Levels): Unit[] {
  const parts = items
    .filter((item) => item.end > line.start && item.start < line.end)
    .map((item) => ({
      item,
      level: item.level,
      start: Math.max(item.start, line.start),
      end: Math.min(item.end, line.end),
    }));
  // Spaces at the end of a line run as the paragraph does (UAX #9, rule L1).
  const tail = parts.at(-1);
  if (tail && tail.level !== levels.base) {
    let end = tail.end;
    while (end > tail.start && /\s/.test(text[end - 1]!)) end--;
    if (end < tail.end) {
      parts.push({ ...tail, start: end, level: levels.base });
      if (end === tail.start) parts.splice(-2, 1);
      else tail.end = end;
    }
  }
  const units = inVisualOrder(parts).flatMap(({ item, level, start, end }) =>
    unitsOf(text, level === item.level ? item : { ...item, level }, start, end),
  );
  const item = parts.at(-1)?.item;
  if (line.divided && item) {
    const glyph = item.font.shape('-')[0]!;
    const advance = (glyph.advance * item.size) / item.font.unitsPerEm;
    const unit = { item, id: glyph.id, dx: 0, dy: 0, advance, start: line.end, end: line.end };
    if (levels.base % 2) units.unshift(unit);
    else units.push(unit);
  }
  return units;
}

/** Above and below the baseline, half of what the leading adds on either side. */
function heightsOf(font: OpenFont, size: number, leading: number): { above: number; below: number } {
  const height = size * leading;
  const letters = ((font.ascent + font.descent) * size) / font.unitsPerEm;
  const above = (height - letters) / 2 + (font.ascent * size) / font.unitsPerEm;
  return { above, below: height - above };
}

function lineOf(
  text: string,
  style: TextStyle,
  spans: readonly Span[],
  units: readonly Unit[],
  { start, end }: Break,
  origin: number,
  extra: number,
  type: TypeCase,
): Omit<ParagraphLine, 'width'> {
  const on = spans.filter((span) => span.end > start && span.start < Math.max(end, start + 1));
  const covered = on.reduce((sum, span) => sum + Math.min(span.end, end) - Math.max(span.start, start), 0);
  const heights = [
    ...on.map((span) =>
      heightsOf(primary(lettersIn(style, span), type), style.size * (span.scale ?? 1), style.leading),
    ),
    ...(covered < end - start || !on.length
      ? [heightsOf(primary(style, type), style.size, style.leading)]
      : []),
  ];
  const above = Math.max(...heights.map((each) => each.above));
  const below = Math.max(...heights.map((each) => each.below));
  const carets = new Array<number>(end - start + 1).fill(NaN);
  const runs: { font: string; size: number; ink?: string; glyphs: PlacedGlyph[] }[] = [];
  let pen = origin;
  let last: Item | undefined;
  for (const { item, id, dx, dy, advance, start: from, end: to } of units) {
    const wide = advance + (to > from && text[from] === ' ' ? extra : 0);
    if (item.font !== last?.font || item.size !== last.size || item.ink !== last.ink)
      runs.push({
        font: item.font.name,
        size: item.size,
        ...(item.ink ? { ink: item.ink } : {}),
        glyphs: [],
      });
    last = item;
    runs.at(-1)!.glyphs.push({ id, x: pen + dx, y: above + dy, text: text.slice(from, to) });
    // Carets inside a ligature share its width evenly.
    for (let at = from; at < to; at++) {
      const share = (at - from) / (to - from);
      carets[at - start] = item.level % 2 ? pen + wide * (1 - share) : pen + wide * share;
    }
    if (to === end && to > from) carets[end - start] = item.level % 2 ? pen : pen + wide;
    pen += wide;
  }
  // A glyph that others of its cluster stand before may be as wide as they are: its caret is the next one's.
  for (let at = 0; at < carets.length; at++)
    if (Number.isNaN(carets[at])) carets[at] = at === 0 ? origin : carets[at - 1]!;
  return { start, end, height: above + below, runs, carets };
}
