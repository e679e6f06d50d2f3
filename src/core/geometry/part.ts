/** Scissors: an outline in two along a line. */
import { combine } from '@/core/geometry/combine';
import type { Point } from '@/core/geometry/matrix';
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
  const side = polygon(oneSide(distinct, path));
  const [[inside], [outside]] = [combine('overlap', [path, side]), combine('cut out', [path, side])];
  return inside && outside ? [inside.path, outside.path] : null;
}

/** Everything on one side of the line: the line, made longer, and half of a wide ring around all. */
function oneSide(line: readonly Point[], path: Path): Point[] {
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
