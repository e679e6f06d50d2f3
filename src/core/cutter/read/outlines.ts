/** What is read from files of outlines. */
import { boxOfPoints, type Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import type { Doing } from '@/core/cutter/model';

export const MOST_OUTLINE_BYTES = 16 * 2 ** 20;
const MOST_OUTLINES = 20_000;
const MOST_OUTLINE_POINTS = 2_000_000;
/** Longest side, points: 60 in. */
const LONGEST = 60 * 72;

/** Points in each unit a file may be in. */
export const PER_UNIT = {
  mm: 72 / 25.4,
  cm: 720 / 25.4,
  in: 72,
  pt: 1,
  px: 72 / 96,
  plotter: 72 / 25.4 / 40,
};
export type FileUnit = keyof typeof PER_UNIT;

export interface ReadOutline {
  points: Point[];
  closed: boolean;
  doing: Doing;
  /** What it is drawn in, `#rrggbb`. */
  ink?: string;
}

export interface ReadOutlines {
  /** Points (1/72 in), y downwards, from the page's upper left corner. */
  outlines: ReadOutline[];
  size: Size;
  unit: FileUnit;
  /** The file says so; it is taken for that without. */
  said: boolean;
  /** What was left out, in words. */
  dropped: string[];
}

/** Why it is more than is taken in, as the end of a sentence; null if it is not. */
export function tooMuch({ outlines, size }: Pick<ReadOutlines, 'outlines' | 'size'>): string | null {
  if (!outlines.length) return 'holds no outline that could be cut';
  if (outlines.length > MOST_OUTLINES)
    return `holds more than ${MOST_OUTLINES.toLocaleString('en')} outlines`;
  if (outlines.reduce((sum, { points }) => sum + points.length, 0) > MOST_OUTLINE_POINTS)
    return 'holds more than two million points';
  if (Math.max(size.width, size.height) > LONGEST) return 'is larger than 60 inches, as it is read';
  return null;
}

/** Outlines whose y goes upwards, turned over and moved so that all of them begin at the corner. */
export function turnedOver(
  outlines: readonly ReadOutline[],
  size?: Size,
): { outlines: ReadOutline[]; size: Size } {
  const box = boxOfPoints(outlines.flatMap(({ points }) => points));
  // What lies on its sheet keeps its place there.
  const on =
    size &&
    box.x >= -1 &&
    box.y >= -1 &&
    box.x + box.width <= size.width + 1 &&
    box.y + box.height <= size.height + 1;
  const [left, top] = on ? [0, size.height] : [box.x, box.y + box.height];
  return {
    outlines: outlines.map((line) => ({
      ...line,
      points: line.points.map(({ x, y }) => ({ x: x - left, y: top - y })),
    })),
    size: on ? size : { width: box.width, height: box.height },
  };
}

/** So near, two ends are one; points. */
const MEETS = 0.03;

const meets = (a: Point, b: Point): boolean => Math.hypot(a.x - b.x, a.y - b.y) <= MEETS;

/** The squares of a grid about a point in which anything lies that meets it, its own first. */
const about = ({ x, y }: Point): string[] => {
  const [column, row] = [Math.floor(x / MEETS), Math.floor(y / MEETS)];
  const steps = [0, -1, 1];
  return steps.flatMap((right) => steps.map((below) => `${column + right} ${row + below}`));
};

/** Open runs joined where one ends as the other begins; what comes back to its beginning is closed. */
export function chained(outlines: readonly ReadOutline[]): ReadOutline[] {
  const found = outlines.filter(({ closed }) => closed);
  const open = outlines.filter(({ closed }) => !closed);
  const ends = new Map<string, Set<ReadOutline>>();
  const note = (point: Point, line: ReadOutline) => {
    const [own] = about(point) as [string];
    const there = ends.get(own) ?? new Set();
    ends.set(own, there.add(line));
  };
  for (const line of open) {
    note(line.points[0]!, line);
    note(line.points.at(-1)!, line);
  }
  const left = new Set(open);
  for (const first of open) {
    if (!left.delete(first)) continue;
    let points = [...first.points];
    for (const turned of [false, true]) {
      if (turned) points.reverse();
      for (;;) {
        const end = points.at(-1)!;
        const next = about(end)
          .flatMap((square) => [...(ends.get(square) ?? [])])
          .find(
            (line) =>
              left.has(line) &&
              line.doing === first.doing &&
              (meets(line.points[0]!, end) || meets(line.points.at(-1)!, end)),
          );
        if (!next) break;
        left.delete(next);
        const more = meets(next.points[0]!, end) ? next.points : [...next.points].reverse();
        points = [...points, ...more.slice(1)];
      }
    }
    const closed = points.length > 3 && meets(points[0]!, points.at(-1)!);
    found.push({ ...first, points: closed ? points.slice(0, -1) : points, closed });
  }
  return found;
}
