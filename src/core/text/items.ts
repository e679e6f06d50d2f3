/** A paragraph's longest stretches of one font, one style and one direction, and the glyphs they are shaped in. */
import type { Levels } from '@/core/text/bidi';
import type { Divide } from '@/core/text/breaks';
import { faceFonts, fontsOf, nearestFace, PLAIN_FAMILY, type FamilyFace } from '@/core/text/families';
import type { OpenFont } from '@/core/text/shaper';
import { lettersIn, type Span, type TextStyle } from '@/core/text/style';

/** Fonts and ways to divide words that have been opened. */
export interface TypeCase {
  font(name: string): OpenFont | undefined;
  /** Opened for what families lack. */
  fallbacks: readonly OpenFont[];
  divide(language: string): Divide | undefined;
}

/** Letters of a stretch, from x = 0 on the baseline. */
export interface Item {
  font: OpenFont;
  start: number;
  end: number;
  level: number;
  size: number;
  tracking: number;
  ink: string | undefined;
  features: readonly string[];
}

const JOINS = /\s|\u200c|\u200d|\ufe0e|\ufe0f|\p{M}|\p{Emoji_Modifier}/u;

/** The paragraph's longest stretches of one font, one style and one direction, in reading order. */
export function itemsOf(
  text: string,
  style: TextStyle,
  spans: readonly Span[],
  levels: Levels,
  type: TypeCase,
): Item[] {
  const items: Item[] = [];
  let span: Span | undefined;
  let next = 0;
  let candidates: OpenFont[] = [];
  let wanted = '';
  let last: (Item & { span: Span | undefined }) | undefined;
  for (let at = 0; at < text.length;) {
    const code = text.codePointAt(at)!;
    const character = String.fromCodePoint(code);
    while (spans[next] && spans[next]!.end <= at) next++;
    span = spans[next] && spans[next]!.start <= at ? spans[next] : undefined;
    const letters = lettersIn(style, span);
    const key = `${letters.family} ${nearestFace(letters)}`;
    if (key !== wanted) {
      wanted = key;
      candidates = candidatesOf(letters, type);
    }
    const level = levels.of(at);
    // A space or a joining mark stays with the font before it.
    const stays =
      last !== undefined &&
      last.span === span &&
      (JOINS.test(character)
        ? last.font.has(code) || code > 0x2000
        : last.font === candidates[0] && last.font.has(code));
    const font = stays ? last!.font : (candidates.find((each) => each.has(code)) ?? candidates[0]!);
    const end = at + character.length;
    if (last && last.span === span && last.font === font && last.level === level) last.end = end;
    else {
      const tracking = span?.tracking ?? style.tracking ?? 0;
      const features = span?.features ?? style.features ?? [];
      last = {
        font,
        span,
        start: at,
        end,
        level,
        size: style.size * (span?.scale ?? 1),
        tracking: tracking * style.size * (span?.scale ?? 1),
        ink: span?.ink,
        // Letters that are set apart are not joined by ligatures (CSS Text 3, 7.2).
        features: tracking ? [...features, '-liga', '-clig'] : features,
      };
      items.push(last);
    }
    at = end;
  }
  return items;
}

/** Fonts in which a character is sought, one after the other. */
function candidatesOf(wanted: FamilyFace, type: TypeCase): OpenFont[] {
  const own = [...faceFonts(wanted), ...fontsOf(wanted.family), ...fontsOf(PLAIN_FAMILY)].flatMap(
    (name) => type.font(name) ?? [],
  );
  return [...own, ...type.fallbacks];
}

export interface Unit {
  item: Item;
  id: number;
  dx: number;
  dy: number;
  advance: number;
  start: number;
  /** One past the last character it stands for; the same as `start` for the later glyphs of a cluster. */
  end: number;
}

/** The glyphs of an item's part, from left to right. */
export function unitsOf(text: string, item: Item, from: number, to: number): Unit[] {
  const scale = item.size / item.font.unitsPerEm;
  const rightToLeft = item.level % 2 === 1;
  const shaped = item.font.shape(text, { from, to, rightToLeft, features: item.features });
  const units: Unit[] = [];
  // Clusters rise in reading order; the first glyph met in that order stands for the cluster's characters.
  let next = to;
  let closing = to;
  const step = rightToLeft ? 1 : -1;
  for (let i = rightToLeft ? 0 : shaped.length - 1; i >= 0 && i < shaped.length; i += step) {
    const { id, cluster, advance, dx, dy } = shaped[i]!;
    if (cluster !== next) {
      closing = next;
      next = cluster;
    }
    const before = shaped[i + step];
    const stands = before === undefined || before.cluster !== cluster;
    units.push({
      item,
      id,
      dx: dx * scale,
      dy: dy * scale,
      advance: advance * scale + (stands ? item.tracking : 0),
      start: cluster,
      end: stands ? closing : cluster,
    });
  }
  return rightToLeft ? units : units.reverse();
}

/** Widths from a line's beginning to before each character after it, up to `to`, shaped as a line that begins there. */
export function widthsFrom(text: string, items: readonly Item[], start: number, to: number): Float64Array {
  const widths = new Float64Array(to - start + 1);
  for (const item of items) {
    if (item.end <= start || item.start >= to) continue;
    const units = unitsOf(text, item, Math.max(start, item.start), Math.min(to, item.end));
    for (const { start: from, end, advance } of units) {
      // Glyphs that stand for no characters belong to their cluster's first.
      if (end === from) widths[from - start + 1]! += advance;
      else for (let at = from; at < end; at++) widths[at - start + 1]! += advance / (end - from);
    }
  }
  for (let at = 1; at < widths.length; at++) widths[at]! += widths[at - 1]!;
  return widths;
}

/** The font a family's lines are as tall as. */
export const primary = (wanted: FamilyFace, type: TypeCase): OpenFont => {
  const font = candidatesOf(wanted, type)[0];
  if (!font) throw new RangeError('No font has been opened.');
  return font;
};
