/** Where words being written can be pointed at, and where what is marked in them lies: in lines, or along an outline. */
import type { Box } from '@/core/geometry/box';
import {
  apply,
  compose,
  invert,
  rotation,
  translation,
  type Matrix,
  type Point,
} from '@/core/geometry/matrix';
import { setGlyphs, type GlyphsOutline } from '@/core/piece/outline/glyphs';
import { caretsAlong, setRunning, type RunningOutline } from '@/core/piece/outline/running';
import type { Placement } from '@/core/piece/placement/placement';
import type { SetLine, Typesetter } from '@/core/text/typesetter';

/** A box in a frame of its own, which lies in the piece's frame. */
export interface Mark {
  frame: Matrix;
  box: Box;
}

export interface Written {
  /** The place between two characters nearest to a point of the piece's frame. */
  indexAt(point: Point): number;
  caretAt(index: number): Mark;
  /** What covers the characters `from` to before `to`. */
  stretch(from: number, to: number): Mark[];
}

/** Words, in lines or along an outline. */
export type WrittenOutline = GlyphsOutline | RunningOutline;

export const writtenOn = (outline: WrittenOutline, placement: Placement, typesetter: Typesetter): Written =>
  outline.kind === 'glyphs'
    ? inLines(outline, placement, typesetter)
    : onOutline(outline, placement, typesetter);

function inLines(outline: GlyphsOutline, placement: Placement, typesetter: Typesetter): Written {
  const { lines } = setGlyphs(outline, placement, typesetter);
  const frame = translation(-placement.width / 2, -placement.height / 2);
  const back = invert(frame);
  const lineAt = (index: number): SetLine => lines.findLast((line) => index >= line.start) ?? lines[0]!;
  const xAt = (line: SetLine, index: number): number =>
    line.carets[Math.min(line.carets.length - 1, Math.max(0, index - line.start))] ?? 0;
  return {
    indexAt: (point) => nearestIndex(lines, apply(back, point)),
    caretAt(index) {
      const line = lineAt(index);
      return { frame, box: { x: xAt(line, index), y: line.top, width: 0, height: line.height } };
    },
    stretch: (from, to) =>
      lines
        .map((line) => ({ line, start: Math.max(from, line.start), end: Math.min(to, line.end) }))
        .filter(({ line, start, end }) => end >= start && from <= line.end && to >= line.start)
        .map(({ line, start, end }) => {
          const [left, right] = [xAt(line, start), xAt(line, end)].sort((a, b) => a - b) as [number, number];
          return {
            frame,
            box: { x: left, y: line.top, width: Math.max(2, right - left), height: line.height },
          };
        }),
  };
}

function nearestIndex(lines: readonly SetLine[], { x, y }: Point): number {
  // Of several columns the one whose lines are nearest.
  const away = (line: SetLine) => {
    const [left, right] = [Math.min(...line.carets), Math.max(...line.carets)];
    return Math.max(0, left - x, x - right);
  };
  const columns = [...new Set(lines.map(({ column }) => column))];
  const column = columns.reduce((best, each) => {
    const least = (of: number) => Math.min(...lines.filter((line) => line.column === of).map(away));
    return least(each) < least(best) ? each : best;
  }, columns[0]!);
  const own = lines.filter((line) => line.column === column);
  const line = own.findLast((candidate) => y >= candidate.top) ?? own[0]!;
  let best = 0;
  line.carets.forEach((caret, i) => {
    if (Math.abs(caret - x) < Math.abs(line.carets[best]! - x)) best = i;
  });
  return line.start + best;
}

/** How far a caret reaches above and below the baseline, as shares of the letter size. */
const ABOVE = 0.85;
const BELOW = 0.25;

function onOutline(outline: RunningOutline, placement: Placement, typesetter: Typesetter): Written {
  const set = setRunning(outline, placement, typesetter);
  const size = set.size || outline.size;
  const carets = caretsAlong(outline, set);
  const middle = { x: 0, y: 0, turn: 0, width: 0 };
  const at = (index: number) => carets[Math.max(0, Math.min(carets.length - 1, index))] ?? middle;
  const mark = (index: number, width: number): Mark => {
    const { x, y, turn } = at(index);
    return {
      frame: compose(translation(x, y), rotation(turn)),
      box: { x: 0, y: -size * ABOVE, width, height: size * (ABOVE + BELOW) },
    };
  };
  return {
    indexAt: (point) =>
      carets.reduce(
        (best, { x, y }, i) => {
          const away = Math.hypot(x - point.x, y - point.y);
          // Places that coincide, as those of spaces at the ends do, count as the last of them.
          return away <= best.away ? { away, i } : best;
        },
        { away: Infinity, i: 0 },
      ).i,
    caretAt: (index) => mark(index, 0),
    stretch: (from, to) =>
      Array.from({ length: to - from }, (_, i) => mark(from + i, at(from + i).width)).filter(
        ({ box }) => box.width > 0,
      ),
  };
}
