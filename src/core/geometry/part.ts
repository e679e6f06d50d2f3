/** Scissors: an outline in two along a line. */
import { combine } from '@/core/geometry/combine';
import type { Point } from '@/core/geometry/matrix';
import { areaOf } from '@/core/geometry/offset';
import { pathBounds, type Path } from '@/core/geometry/path';
import { polygon } from '@/core/geometry/pen';

/**
 * The two sides of an outline cut along a line, same unit. A line that ends inside goes on straight until it is out. Null
 * if it leaves the outline in one: nothing lies on one of its sides.
 */
export function part(path: Path, line: readonly Point[]): [Path, Path] | null {
  const distinct = line.filter(
    (p, i) => i === 0 || Math.hypot(p.x - line[i - 1]!.x, p.y - line[i - 1]!.y) > 1e-6,
  );
  if (distinct.length < 2) return null;
  const whole = areaOf(path);
  let best: { halves: [Path, Path] | null; off: number } | undefined;
  for (const aside of ASIDE) {
    const side = polygon(oneSide(distinct, path, aside));
    const [[inside], [outside]] = [combine('overlap', [path, side]), combine('cut out', [path, side])];
    const both = [inside, outside].reduce((area, half) => area + (half ? areaOf(half.path) : 0), 0);
    const off = Math.abs(both - whole);
    if (!best || off < best.off)
      best = { halves: inside && outside ? [inside.path, outside.path] : null, off };
    if (off <= MOST_OFF * whole) break;
  }
  return best!.halves;
}

/** Share of its area an outline may be off once its curves are divided elsewhere. */
const MOST_OFF = 3e-3;

/** Where the line meets a corner, an edge can be followed the wrong way and a part be lost: it is cut again so far beside, points. */
const ASIDE = [0, 0.01, -0.01, 0.03, -0.03, 0.1, -0.1];

/** Everything on one side of the line: the line, so far beside where it was drawn and made longer, and half of a wide ring around all. */
function oneSide(cut: readonly Point[], path: Path, aside: number): Point[] {
  const [first, last] = [cut[0]!, cut.at(-1)!];
  const along = Math.atan2(last.y - first.y, last.x - first.x);
  const line = cut.map(({ x, y }) => ({ x: x - aside * Math.sin(along), y: y + aside * Math.cos(along) }));
  const box = pathBounds(path);
  const centre = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  const far =
    2 * Math.max(box.width, box.height, ...line.map((p) => Math.hypot(p.x - centre.x, p.y - centre.y)));
  const [start, end] = [
    beyond(line[0]!, line[1]!, centre, far),
    beyond(line[line.length - 1]!, line[line.length - 2]!, centre, far),
  ];
  const angle = ({ x, y }: Point) => Math.atan2(y - centre.y, x - centre.x);
  const [from, to] = [angle(end), angle(start)];
  const turn = (((to - from) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
  const steps = Math.max(1, Math.ceil(turn / (Math.PI / 8)));
  // Its corners lie wide enough out that its sides pass outside of everything.
  const ring = Array.from({ length: steps - 1 }, (_, i) => {
    const a = from + (turn * (i + 1)) / steps;
    return { x: centre.x + far * 1.1 * Math.cos(a), y: centre.y + far * 1.1 * Math.sin(a) };
  });
  return [start, ...line, end, ...ring];
}

/** Where a line through `b` and `a`, beyond `a`, leaves a ring. */
function beyond(a: Point, b: Point, centre: Point, radius: number): Point {
  const long = Math.hypot(a.x - b.x, a.y - b.y);
  const [ux, uy] = [(a.x - b.x) / long, (a.y - b.y) / long];
  const [dx, dy] = [a.x - centre.x, a.y - centre.y];
  const along = dx * ux + dy * uy;
  const reach = -along + Math.sqrt(along * along - (dx * dx + dy * dy) + radius * radius);
  return { x: a.x + reach * ux, y: a.y + reach * uy };
}
