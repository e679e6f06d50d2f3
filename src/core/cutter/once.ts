/** Lines that lie on lines: a blade that goes along the same way twice tears the paper. */
import type { Point } from '@/core/geometry/matrix';
import type { Line } from '@/core/cutter/model';
import { toPoints } from '@/core/units/lengths';

/** So near, one line lies on another; and for so long at least that it matters. */
const ON_EACH_OTHER = toPoints(0.1, 'mm');
const LONG = toPoints(2, 'mm');
/** How large a square of the index is. */
const SQUARE = 18;

interface Side {
  a: Point;
  b: Point;
}

export interface Doubled {
  /** The line that lies on an earlier one, by its place. */
  line: number;
  long: number;
  at: Point;
}

/** Where what is cut lies on what was cut before it, and the lines without that. */
export function once(lines: readonly Line[]): { doubled: Doubled[]; lines: Line[] } {
  const index = new Map<string, Side[]>();
  const doubled: Doubled[] = [];
  const kept = lines.flatMap((line, number): Line[] => {
    if (line.doing !== 'cut') return [line];
    const sides = sidesOf(line);
    const free = sides.map((side) => freeOf(side, near(index, side)));
    const gone = sides.reduce(
      (sum, { a, b }, i) => sum + far(a, b) * (1 - free[i]!.reduce((all, [from, to]) => all + to - from, 0)),
      0,
    );
    for (const side of sides) note(index, side);
    if (gone < LONG) return [line];
    const worst = free.findIndex((spans) => !spans.length || spans[0]![0] > 0 || spans.at(-1)![1] < 1);
    const { a, b } = sides[Math.max(0, worst)]!;
    doubled.push({ line: number, long: gone, at: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 } });
    return runsOf(sides, free, line);
  });
  return { doubled, lines: kept };
}

const far = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y);

const sidesOf = ({ points, closed }: Line): Side[] =>
  (closed ? points : points.slice(0, -1))
    .map((a, i) => ({ a, b: points[(i + 1) % points.length]! }))
    .filter(({ a, b }) => far(a, b) > 1e-9);

function squares({ a, b }: Side): string[] {
  const found: string[] = [];
  const [x1, x2] = [Math.min(a.x, b.x), Math.max(a.x, b.x)].map((x, i) =>
    Math.floor((x + (i ? ON_EACH_OTHER : -ON_EACH_OTHER)) / SQUARE),
  ) as [number, number];
  const [y1, y2] = [Math.min(a.y, b.y), Math.max(a.y, b.y)].map((y, i) =>
    Math.floor((y + (i ? ON_EACH_OTHER : -ON_EACH_OTHER)) / SQUARE),
  ) as [number, number];
  for (let x = x1; x <= x2; x++) for (let y = y1; y <= y2; y++) found.push(`${x} ${y}`);
  return found;
}

const note = (index: Map<string, Side[]>, side: Side): void => {
  for (const square of squares(side)) {
    const there = index.get(square);
    if (there) there.push(side);
    else index.set(square, [side]);
  }
};
const near = (index: Map<string, Side[]>, side: Side): Set<Side> =>
  new Set(squares(side).flatMap((square) => index.get(square) ?? []));

/** Which spans of a side, as shares of it, lie on none of the others. */
function freeOf({ a, b }: Side, others: Iterable<Side>): [number, number][] {
  const long = far(a, b);
  const [ux, uy] = [(b.x - a.x) / long, (b.y - a.y) / long];
  const off = (p: Point) => Math.abs((p.x - a.x) * uy - (p.y - a.y) * ux);
  const along = (p: Point) => ((p.x - a.x) * ux + (p.y - a.y) * uy) / long;
  let free: [number, number][] = [[0, 1]];
  for (const other of others) {
    if (off(other.a) > ON_EACH_OTHER || off(other.b) > ON_EACH_OTHER) continue;
    const [from, to] = [along(other.a), along(other.b)].sort((p, q) => p - q) as [number, number];
    free = free.flatMap(([f, t]): [number, number][] =>
      to <= f || from >= t
        ? [[f, t]]
        : [
            ...(from - f > 1e-6 ? [[f, from] as [number, number]] : []),
            ...(t - to > 1e-6 ? [[to, t] as [number, number]] : []),
          ],
    );
  }
  return free;
}

/** What is left of a line as open runs. */
function runsOf(sides: readonly Side[], free: readonly (readonly [number, number])[][], line: Line): Line[] {
  const runs: Point[][] = [];
  let going = false;
  sides.forEach(({ a, b }, i) => {
    const at = (t: number): Point => ({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t });
    if (!free[i]!.length) going = false;
    free[i]!.forEach(([from, to]) => {
      if (!going || from > 1e-6) runs.push([at(from)]);
      runs.at(-1)!.push(at(to));
      going = to > 1 - 1e-6;
    });
  });
  const [first, last] = [runs[0], runs.at(-1)];
  // A closed line's beginning is no end.
  if (first && last && first !== last && line.closed && going && far(first[0]!, last.at(-1)!) < 1e-6) {
    runs[0] = [...last, ...first.slice(1)];
    runs.pop();
  }
  return runs
    .filter(
      (points) => points.reduce((sum, p, i) => (i ? sum + far(points[i - 1]!, p) : 0), 0) > ON_EACH_OTHER,
    )
    .map((points) => ({ ...line, points, closed: false }));
}
