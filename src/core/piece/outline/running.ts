/** Words that run along an outline. */
import { boolean, number, object, string } from 'yup';
import { HEX_COLOUR } from '@/core/color/hex';
import type { Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import { pathBounds, type Path } from '@/core/geometry/path';
import { onRun, openRun, type Run } from '@/core/geometry/runs';
import { inkSlot } from '@/core/piece/answers';
import { along, type Letter, type Start } from '@/core/piece/outline/along';
import { ellipse, type EllipseOutline } from '@/core/piece/outline/ellipse';
import type { OutlineKind } from '@/core/piece/outline/kind';
import { path, type PathOutline } from '@/core/piece/outline/path';
import { punch, type PunchOutline } from '@/core/piece/outline/punch';
import { rectangle, type RectangleOutline } from '@/core/piece/outline/rectangle';
import { CORNERS, largestRing, SIDES, wayAlong, type Way } from '@/core/piece/outline/way';
import { byKind } from '@/core/schema/choice';
import {
  letteringFields,
  letteringOf,
  livingSpans,
  scaledLetters,
  SMALLEST_LETTERS,
  type Lettering,
  type LivingSpan,
} from '@/core/text/style';
import type { GlyphRun, Typesetter } from '@/core/text/typesetter';

/** Outlines words can run along. */
export type Base = RectangleOutline | EllipseOutline | PunchOutline | PathOutline;
const BASES = { rectangle, ellipse, punch, path };
export const isBase = (outline: { kind: string }): outline is Base => outline.kind in BASES;

export interface RunningOutline extends Lettering, Way {
  kind: 'running';
  text: string;
  /** Stretches that live. */
  spans?: LivingSpan[];
  base: Base;
  /** The words come again and again until the outline is full, and meet themselves exactly. */
  repeat: boolean;
  /** What stands between one time and the next. */
  between: string;
  /** The outline itself, drawn; unseen if absent. */
  line?: { width: number; colour: string };
}

export const MOST_RUNNING_LETTERS = 2000;
export const LONGEST_BETWEEN = 20;
export const WIDEST_RUNNING_GAP = 144;
/** Letters round one outline; more become one round of what there is. */
const MOST_GLYPHS = 6000;

export const running: OutlineKind<RunningOutline> = {
  kind: 'running',
  name: 'Words along an outline',
  keeps: true,
  schema: object({
    kind: string().oneOf(['running']).required(),
    text: string().max(MOST_RUNNING_LETTERS).defined(),
    spans: livingSpans,
    ...letteringFields,
    base: byKind(
      Object.fromEntries(Object.entries(BASES).map(([kind, { schema }]) => [kind, schema])),
      'cut',
    ),
    side: string()
      .oneOf([...SIDES])
      .required(),
    clockwise: boolean().required(),
    start: number().min(0).max(1).required(),
    repeat: boolean().required(),
    between: string().max(LONGEST_BETWEEN).defined(),
    corners: string()
      .oneOf([...CORNERS])
      .required(),
    gap: number().min(0).max(WIDEST_RUNNING_GAP).required(),
    line: object({
      width: number().moreThan(0).max(72).required(),
      colour: string().matches(HEX_COLOUR).required(),
    })
      .noUnknown()
      .default(undefined)
      .optional(),
  }).noUnknown(),
  over: (outline, size, typesetter) => ({
    count: outline.repeat ? 0 : setRunning(outline, size, typesetter).over,
    of: 'letter',
  }),
  // By the band they stand in: what lies within their ring stays in reach.
  band: ({ size }) => size / 3,
  inks: ({ line }) => (line ? inkSlot('line', line, 'colour') : []),
  written: (outline) => [
    // Where it lives goes along with what is written: writeAnew (edits/make.ts) changes both.
    { text: outline.text, letters: outline, most: MOST_RUNNING_LETTERS },
    {
      text: outline.between,
      letters: letteringOf(outline),
      most: LONGEST_BETWEEN,
      set: (text) => void (outline.between = text),
    },
  ],
  scaled: (outline, scale) => ({
    ...outline,
    base: baseKind(outline.base).scaled?.(outline.base, scale) ?? outline.base,
    size: scaledLetters(outline.size, scale),
    gap: outline.gap * scale,
    ...(outline.line && { line: { ...outline.line, width: Math.min(72, outline.line.width * scale) } }),
  }),
  cut: (outline, size, typesetter) => {
    const { runs } = setRunning(outline, size, typesetter);
    const { line } = outline;
    return {
      path: typesetter.outline(runs),
      words: runs,
      ...(line && {
        more: [{ mark: 'stroke', path: basePath(outline.base, size, typesetter), side: 'on', ...line }],
      }),
    };
  },
};

const baseKind = (base: Base) => BASES[base.kind] as unknown as OutlineKind<Base>;
const basePath = (base: Base, size: Size, typesetter: Typesetter): Path =>
  baseKind(base).cut(base, size, typesetter).path;

/** What came of it. */
export interface SetRunning {
  runs: GlyphRun[];
  /** Where each letter begins, in reading order. */
  starts: Start[];
  /** How often the words stand there; 1 if they are not to be repeated. */
  repeats: number;
  /** Letter size they were set in: smaller than wished where one round would not fit. */
  size: number;
  /** What is added after each letter so that they meet, points; the mean where sides differ. */
  spread: number;
  /** The length they run along, points. */
  length: number;
  /** Characters that found no room, where nothing is repeated. */
  over: number;
}

/** Words as they run: what was written in lines goes on. */
const onOneLine = (text: string): string => text.replace(/\s*\n\s*/g, ' ').trim();

const NOTHING: SetRunning = { runs: [], starts: [], repeats: 0, size: 0, spread: 0, length: 0, over: 0 };

/** The words along the outline of a box of this size, in the piece's own frame. */
export function setRunning(outline: RunningOutline, box: Size, typesetter: Typesetter): SetRunning {
  const { text, repeat, between } = outline;
  const words = onOneLine(text);
  if (!words) return NOTHING;
  const unit = repeat ? `${words}${between || ' '}` : words;
  const ring = largestRing(basePath(outline.base, box, typesetter));
  if (!ring) return NOTHING;
  let size = outline.size;
  let found = lay(size);
  // Letters that are too large for one round become smaller until they fit.
  for (let tries = 0; repeat && tries < 12 && found && found.natural > found.length; tries++) {
    size *= Math.max(0.5, Math.min(0.98, found.length / found.natural));
    found = lay(Math.max(0.5, size));
  }
  return found?.set ?? NOTHING;

  function lay(letterSize: number): { set: SetRunning; natural: number; length: number } | null {
    const letters = lettersOf(unit, { ...outline, size: letterSize }, typesetter);
    if (!letters.length) return null;
    const height = capHeight({ ...outline, size: letterSize }, typesetter);
    const way = wayAlong(ring!, outline, height, letterSize);
    const length = way.reduce((sum, run) => sum + run.length, 0);
    const natural = letters.reduce((sum, { width }) => sum + width, 0);
    if (length <= 0) return null;
    const most = Math.max(1, Math.floor(MOST_GLYPHS / letters.length));
    const repeats = repeat ? Math.min(most, Math.max(1, Math.round(length / natural))) : 1;
    const all = Array.from({ length: repeats }, () => letters).flat();
    const { runs, starts, over } = along(all, way, outline, repeat, letterSize);
    const spread = repeat ? (length - natural * repeats) / all.length : 0;
    return { set: { runs, starts, repeats, size: letterSize, spread, length, over }, natural, length };
  }
}

/**
 * Where the caret stands before each character of the words and after the last, the first time they stand there: on the
 * baseline, points in the piece's own frame. Empty where nothing is laid.
 */
export function caretsAlong({ text }: RunningOutline, { starts }: SetRunning): Omit<Start, 'text'>[] {
  const carets: Omit<Start, 'text'>[] = [];
  const lead = text.length - text.trimStart().length;
  for (const { x, y, turn, width, text: own } of starts) {
    if (carets.length >= text.length - lead) break;
    const [dx, dy] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
    for (let i = 0; i < own.length; i++) {
      const share = (i * width) / own.length;
      carets.push({ x: x + dx * share, y: y + dy * share, turn, width: width / own.length });
    }
  }
  const last = carets[Math.min(carets.length, text.trim().length) - 1];
  const [first] = carets;
  if (!first || !last) return [];
  const angle = (last.turn * Math.PI) / 180;
  const end = {
    ...last,
    x: last.x + Math.cos(angle) * last.width,
    y: last.y + Math.sin(angle) * last.width,
    width: 0,
  };
  return Array.from({ length: text.length + 1 }, (_, i) =>
    i < lead ? first : i - lead < text.trim().length ? (carets[i - lead] ?? end) : end,
  );
}

/** The letter size at which the words fit `repeats` times with nothing added between letters. */
export function sizeFor(outline: RunningOutline, repeats: number, box: Size, typesetter: Typesetter): number {
  // Nothing but the height of the letters, which moves their line, keeps this from being one division.
  let size = outline.size;
  for (let tries = 0; tries < 30; tries++) {
    const { length } = setRunning({ ...outline, size, repeat: true }, box, typesetter);
    const unit = `${onOneLine(outline.text)}${outline.between || ' '}`;
    const natural = lettersOf(unit, { ...outline, size }, typesetter).reduce(
      (sum, { width }) => sum + width,
      0,
    );
    if (!natural || !length) return outline.size;
    const next = (size * length) / (natural * repeats);
    if (Math.abs(next - size) < 1e-4) return next;
    size = Math.max(SMALLEST_LETTERS / 4, next);
  }
  return size;
}

/** Where the words begin, on the outline itself, in the piece's own frame; null for an outline without an area. */
export function startOf(outline: RunningOutline, box: Size, typesetter: Typesetter): Point | null {
  const edge = edgeOf(outline, box, typesetter);
  return edge && onRun(edge, outline.start * edge.length, 0);
}

/** The share of the way round at which the outline is nearest to a point of the piece's own frame. */
export function startNear(outline: RunningOutline, box: Size, typesetter: Typesetter, point: Point): number {
  const edge = edgeOf(outline, box, typesetter);
  if (!edge) return 0;
  let best = { away: Infinity, at: 0 };
  edge.points.slice(0, -1).forEach((a, i) => {
    const b = edge.points[i + 1]!;
    const long = edge.at[i + 1]! - edge.at[i]! || 1;
    const t = Math.max(
      0,
      Math.min(1, ((point.x - a.x) * (b.x - a.x) + (point.y - a.y) * (b.y - a.y)) / long ** 2),
    );
    const away = Math.hypot(a.x + t * (b.x - a.x) - point.x, a.y + t * (b.y - a.y) - point.y);
    if (away < best.away) best = { away, at: edge.at[i]! + t * long };
  });
  return Math.min(1, best.at / edge.length);
}

function edgeOf({ base }: RunningOutline, box: Size, typesetter: Typesetter): Run | null {
  const ring = largestRing(basePath(base, box, typesetter));
  return ring && openRun([...ring, ring[0]!]);
}

/** Height of capitals as drawn. */
function capHeight(letters: Lettering, typesetter: Typesetter): number {
  const { size } = letters;
  const { runs } = typesetter.set('H', { ...letteringOf(letters), align: 'left', leading: 1 }, null);
  return pathBounds(typesetter.outline(runs)).height || size * 0.7;
}

function lettersOf(text: string, outline: Lettering, typesetter: Typesetter): Letter[] {
  const { tracking } = outline;
  const { runs } = typesetter.set(text, { ...letteringOf(outline), align: 'left', leading: 1 }, null);
  const letters: Letter[] = [];
  for (const run of runs) {
    const font = typesetter.font(run.font);
    const unit = run.size / font.unitsPerEm;
    run.glyphs.forEach((glyph, i) => {
      const next = run.glyphs[i + 1];
      const wide = next ? next.x - glyph.x : font.advanceOf(glyph.id) * unit + (tracking ?? 0) * run.size;
      if (glyph.text || !letters.length)
        letters.push({
          font: run.font,
          width: 0,
          glyphs: [],
          text: glyph.text,
          space: glyph.text.trim() === '',
        });
      const letter = letters.at(-1)!;
      letter.glyphs.push({ ...glyph, x: letter.width, y: 0 });
      letter.width += wide;
    });
  }
  return letters;
}
