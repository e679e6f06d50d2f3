/** What a blade needs beyond the outline: it trails behind the middle it turns about, and leaves a bridge where it was set down. */
import type { Point } from '@/core/geometry/matrix';
import type { Line } from '@/core/cutter/model';

/** Turned by less than this, radians, the blade follows by itself. */
const SLIGHT = 0.1;
/** An arc is made of sides that turn by at most this, radians. */
const ARC = Math.PI / 18;

/** A closed line that goes on beyond its beginning by some way; an open one as it is. */
export function overcut(line: Line, by: number): Line {
  if (!line.closed || by <= 0) return line;
  const { points } = line;
  const more: Point[] = [points[0]!];
  let left = by;
  for (let i = 0; left > 1e-9 && i < points.length; i++) {
    const [a, b] = [points[i]!, points[(i + 1) % points.length]!];
    const long = Math.hypot(b.x - a.x, b.y - a.y);
    const share = Math.min(1, left / (long || 1));
    if (long) more.push({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share });
    left -= long;
  }
  return { ...line, points: [...points, ...more], closed: false };
}

/**
 * The way of the middle whose blade, `offset` behind it, goes along a line: ahead of it by the offset wherever the line is
 * straight, and about each corner by an arc, so that the blade turns on the spot (drag knives; common practice, no source).
 */
export function bladed(line: Line, offset: number): Line {
  if (offset <= 0 || line.doing !== 'cut') return line;
  const points = line.closed ? [...line.points, line.points[0]!] : line.points;
  const sides = points
    .slice(1)
    .map((to, i) => ({ from: points[i]!, to, turn: Math.atan2(to.y - points[i]!.y, to.x - points[i]!.x) }))
    .filter(({ from, to }) => Math.hypot(to.x - from.x, to.y - from.y) > 1e-9);
  const ahead = ({ x, y }: Point, turn: number): Point => ({
    x: x + offset * Math.cos(turn),
    y: y + offset * Math.sin(turn),
  });
  const way = sides.flatMap(({ from, to, turn }, i): Point[] => {
    const before = sides[i - 1]?.turn ?? turn;
    const by = Math.atan2(Math.sin(turn - before), Math.cos(turn - before));
    const steps = Math.abs(by) < SLIGHT ? 0 : Math.ceil(Math.abs(by) / ARC);
    const arc = Array.from({ length: steps }, (_, k) => ahead(from, before + (by * (k + 1)) / steps));
    return [...(steps ? arc : [ahead(from, turn)]), ahead(to, turn)];
  });
  return { ...line, points: way, closed: false };
}
