/** Sets text in lines: breaks, aligns and places glyphs in points. Every output draws what this returns. */
import { compose, scaling, translation } from '@/core/geometry/matrix';
import { transformPath, type Path } from '@/core/geometry/path';
import type { Size } from '@/core/geometry/box';
import { familyById, PLAIN_FAMILY } from '@/core/text/families';
import type { OpenFont } from '@/core/text/shaper';

export interface TextStyle {
  family: string;
  /** Letter size in points. */
  size: number;
  align: 'left' | 'centre' | 'right';
  /** Distance between baselines as a multiple of the letter size. */
  leading: number;
}

export interface PlacedGlyph {
  id: number;
  /** Start on the baseline, points. */
  x: number;
  y: number;
  /** The characters it stands for; empty for the later glyphs of a cluster. */
  text: string;
}

/** Glyphs of one font on one line. */
export interface GlyphRun {
  font: string;
  size: number;
  glyphs: readonly PlacedGlyph[];
}

export interface SetLine {
  /** Indexes into the text: first character and one past the last shown. */
  start: number;
  end: number;
  top: number;
  height: number;
  /** x of the caret before each of the characters start..end, both included. */
  carets: readonly number[];
}

/** Origin at the box's top left corner. */
export interface SetText {
  runs: readonly GlyphRun[];
  lines: readonly SetLine[];
  /** What the lines really take up, points. */
  size: Size;
}

export interface Typesetter {
  /** Sets `text`; lines break at `width` (points) or, when null, only where the text itself breaks. */
  set(text: string, style: TextStyle, width: number | null): SetText;
  /** The outline of set text. */
  outline(set: SetText): Path;
  font(name: string): OpenFont;
}

export function createTypesetter(fonts: readonly OpenFont[]): Typesetter {
  const byName = new Map(fonts.map((font) => [font.name, font]));
  const font = (name: string): OpenFont => {
    const found = byName.get(name);
    if (!found) throw new RangeError(`The font ${name} has not been opened.`);
    return found;
  };
  const recent = new Map<string, SetText>();
  return {
    font,
    set(text, style, width) {
      const key = JSON.stringify([text, style, width]);
      let set = recent.get(key);
      if (!set) {
        set = setLines(text, style, width, font);
        if (recent.size > 300) recent.delete(recent.keys().next().value!);
        recent.set(key, set);
      }
      return set;
    },
    outline: (set) =>
      set.runs.flatMap((run) => {
        const { unitsPerEm, outline } = font(run.font);
        return run.glyphs.flatMap((glyph) =>
          transformPath(
            compose(translation(glyph.x, glyph.y), scaling(run.size / unitsPerEm)),
            outline(glyph.id),
          ),
        );
      }),
  };
}

interface Stretch {
  font: OpenFont;
  start: number;
  end: number;
}

/** The text's longest stretches that one font of the family, or the plain one, can write. */
function stretches(text: string, family: string, font: (name: string) => OpenFont): Stretch[] {
  const candidates = [...familyById(family).fonts, ...familyById(PLAIN_FAMILY).fonts].map(font);
  const found: Stretch[] = [];
  let at = 0;
  for (const character of text) {
    const code = character.codePointAt(0)!;
    const last = found[found.length - 1];
    // A space or a joining mark stays with the font before it.
    const fits = last && last.font.has(code) && (/\s|\p{M}/u.test(character) || last.font === candidates[0]);
    const wanted = fits ? last.font : (candidates.find((candidate) => candidate.has(code)) ?? candidates[0]!);
    if (last && last.font === wanted) last.end = at + character.length;
    else found.push({ font: wanted, start: at, end: at + character.length });
    at += character.length;
  }
  return found;
}

interface Shaped {
  width: number;
  runs: GlyphRun[];
  carets: number[];
}

/** One line's characters, from x = 0 on the baseline y = 0. */
function shapeLine(text: string, style: TextStyle, font: (name: string) => OpenFont): Shaped {
  const runs: GlyphRun[] = [];
  const carets: number[] = new Array<number>(text.length + 1).fill(NaN);
  let pen = 0;
  for (const { font: face, start, end } of stretches(text, style.family, font)) {
    const unit = style.size / face.unitsPerEm;
    const part = text.slice(start, end);
    const shaped = face.shape(part);
    const glyphs = shaped.map((glyph, i): PlacedGlyph => {
      const first = i === 0 || shaped[i - 1]!.cluster !== glyph.cluster;
      const next =
        shaped.slice(i + 1).find((other) => other.cluster !== glyph.cluster)?.cluster ?? part.length;
      if (first) carets[start + glyph.cluster] = pen;
      const placed = {
        id: glyph.id,
        x: pen + glyph.dx * unit,
        y: glyph.dy * unit,
        text: first ? part.slice(glyph.cluster, next) : '',
      };
      pen += glyph.advance * unit;
      return placed;
    });
    runs.push({ font: face.name, size: style.size, glyphs });
  }
  carets[text.length] = pen;
  spreadCarets(carets);
  return { width: pen, runs, carets };
}

/** Carets inside a ligature share its width evenly. */
function spreadCarets(carets: number[]): void {
  let known = 0;
  for (let i = 1; i < carets.length; i++) {
    if (Number.isNaN(carets[i])) continue;
    for (let j = known + 1; j < i; j++)
      carets[j] = carets[known]! + ((carets[i]! - carets[known]!) * (j - known)) / (i - known);
    known = i;
  }
}

/** Where lines begin and end (trailing spaces left out); greedy, at spaces and after hyphens. */
function breakLines(
  text: string,
  style: TextStyle,
  width: number | null,
  font: (name: string) => OpenFont,
): { start: number; end: number }[] {
  const lines: { start: number; end: number }[] = [];
  let from = 0;
  for (const paragraph of text.split('\n')) {
    if (width === null) lines.push({ start: from, end: from + paragraph.length });
    else {
      const { carets } = shapeLine(paragraph, style, font);
      let start = 0;
      let fit = 0;
      for (const word of paragraph.matchAll(/[^\s-]*(?:-+|\s+|$)/g)) {
        if (!word[0]) continue;
        const end = word.index + word[0].trimEnd().length;
        if (fit > start && carets[end]! - carets[start]! > width + 1e-6) {
          lines.push({
            start: from + start,
            end: from + start + paragraph.slice(start, fit).trimEnd().length,
          });
          start = fit;
        }
        fit = word.index + word[0].length;
      }
      lines.push({ start: from + start, end: from + paragraph.length });
    }
    from += paragraph.length + 1;
  }
  return lines;
}

const SHARE_LEFT = { left: 0, centre: 0.5, right: 1 } as const;

function setLines(
  text: string,
  style: TextStyle,
  width: number | null,
  font: (name: string) => OpenFont,
): SetText {
  const face = font(familyById(style.family).fonts[0]!);
  const height = style.size * style.leading;
  const letters = ((face.ascent + face.descent) * style.size) / face.unitsPerEm;
  const baseline = (height - letters) / 2 + (face.ascent * style.size) / face.unitsPerEm;
  const shaped = breakLines(text, style, width, font).map((line) => ({
    ...line,
    ...shapeLine(text.slice(line.start, line.end), style, font),
  }));
  const widest = Math.max(...shaped.map((line) => line.width), 0);
  const box = width ?? widest;
  const runs: GlyphRun[] = [];
  const lines = shaped.map((line, i): SetLine => {
    const left = (box - line.width) * SHARE_LEFT[style.align];
    const top = i * height;
    for (const run of line.runs)
      runs.push({
        ...run,
        glyphs: run.glyphs.map((g) => ({ ...g, x: g.x + left, y: g.y + top + baseline })),
      });
    return { start: line.start, end: line.end, top, height, carets: line.carets.map((x) => x + left) };
  });
  return { runs, lines, size: { width: widest, height: lines.length * height } };
}
