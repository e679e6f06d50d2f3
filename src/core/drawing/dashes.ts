/** Lines in dashes, as lines of their own (SVG 1.1, 11.4). */
import type { Point } from '@/core/geometry/matrix';
import { straightened, type Path, type Segment } from '@/core/geometry/path';

/** Dashes a shape may have. */
const MOST_DASHES = 20_000;
/** Straight parts a curve becomes at the most. */
const MOST_PARTS = 200;

/** Stretches and gaps by turns, each as long as it is said; two of each where they are odd. Empty for a line that is whole. */
export function patternOf(lengths: readonly number[]): readonly number[] {
  if (lengths.some((length) => !(length >= 0)) || !lengths.some((length) => length > 0)) return [];
  return lengths.length % 2 ? [...lengths, ...lengths] : lengths;
}

/**
 * What of a path is drawn in dashes that begin `offset` into their pattern on each of its lines; curves are left by
 * `tolerance` at the most. Null where that would be more dashes than are drawn.
 */
export function dashed(
  path: Path,
  pattern: readonly number[],
  offset: number,
  tolerance: number,
): Path | null {
  const round = pattern.reduce((sum, length) => sum + length, 0);
  const out: Segment[] = [];
  let dashes = 0;
  for (const line of linesOf(straightened(path, tolerance, MOST_PARTS))) {
    let at = ((offset % round) + round) % round;
    let turn = 0;
    while (at >= pattern[turn]!) at -= pattern[turn++]!;
    let left = pattern[turn]! - at;
    const begin = ({ x, y }: Point) => {
      out.push(['M', x, y]);
      dashes++;
    };
    if (turn % 2 === 0) begin(line[0]!);
    for (let i = 1; i < line.length; i++) {
      const [a, b] = [line[i - 1]!, line[i]!];
      const long = Math.hypot(b.x - a.x, b.y - a.y);
      let gone = 0;
      while (long - gone > left) {
        gone += left;
        const share = gone / long;
        const here = { x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) };
        if (turn % 2 === 0) out.push(['L', here.x, here.y]);
        turn = (turn + 1) % pattern.length;
        left = pattern[turn]!;
        if (turn % 2 === 0) begin(here);
        if (dashes > MOST_DASHES) return null;
      }
      left -= long - gone;
      if (turn % 2 === 0) out.push(['L', b.x, b.y]);
    }
  }
  return out;
}

/** The lines of a path in straight parts; what is closed comes back to where it began. */
export function linesOf(path: Path): Point[][] {
  const lines: Point[][] = [];
  for (const segment of path) {
    const line = lines.at(-1);
    if (segment[0] === 'M') lines.push([{ x: segment[1], y: segment[2] }]);
    else if (segment[0] === 'L') line!.push({ x: segment[1], y: segment[2] });
    else if (segment[0] === 'Z') line!.push(line![0]!);
  }
  return lines.filter(({ length }) => length > 1);
}
