/**
 * In which order lines are worked: what is drawn, what is scored, what is cut; what lies within an outline before the outline,
 * as nothing is worked well in what lies loose; and with few empty ways. First always to the nearest, then improved by turning
 * stretches of the tour about and by carrying short ones elsewhere (2-opt: Croes 1958; or-opt: Or 1976), and by choosing anew
 * where each line is begun.
 */
import type { Point } from '@/core/geometry/matrix';
import { boxOfPoints, type Box } from '@/core/geometry/box';
import { signedArea } from '@/core/geometry/offset';
import { DOINGS, type Line } from '@/core/cutter/model';
import { inRing } from '@/core/cutter/rings';

/** Points of a closed line it may be begun at. */
const MOST_STARTS = 16;
/** From so many lines on, only changes among neighbours are looked at. */
const MANY = 250;
const NEIGHBOURS = 60;

/** A way to work a line: where the tool comes down and where it is lifted. */
interface Start {
  from: Point;
  to: Point;
  /** Which point a closed line begins at, or whether an open one is gone backwards. */
  at: number;
}

const far = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
const HOME: Point = { x: 0, y: 0 };

/** Lines in the order in which they are to be worked, each begun where it should be. */
export function inOrder(lines: readonly Line[], home: Point = HOME): Line[] {
  let here = home;
  return DOINGS.flatMap((doing) => {
    const inks = [...new Set(lines.filter((line) => line.doing === doing).map(({ ink }) => ink))];
    return inks.flatMap((ink) => {
      const found = toured(
        lines.filter((line) => line.doing === doing && line.ink === ink),
        here,
      );
      const last = found.at(-1);
      if (last) here = last.closed ? last.points[0]! : last.points.at(-1)!;
      return found;
    });
  });
}

/** How far the tool goes without working, from home on. */
export function emptyWay(lines: readonly Line[], home: Point = HOME): number {
  let here = home;
  let way = 0;
  for (const { points, closed } of lines) {
    way += far(here, points[0]!);
    here = closed ? points[0]! : points.at(-1)!;
  }
  return way;
}

export function startsOf({ points, closed }: Line): Start[] {
  if (!closed)
    return [
      { from: points[0]!, to: points.at(-1)!, at: 0 },
      { from: points.at(-1)!, to: points[0]!, at: 1 },
    ];
  const step = Math.max(1, Math.ceil(points.length / MOST_STARTS));
  return points.flatMap((point, i) => (i % step === 0 ? [{ from: point, to: point, at: i }] : []));
}

/** For each closed line the smallest closed one about it, by its place; -1 for none. */
export function outerOf(lines: readonly Line[]): number[] {
  const known = lines.map(({ points, closed }) => ({
    closed,
    points,
    box: boxOfPoints(points),
    area: closed ? Math.abs(signedArea(points)) : 0,
  }));
  const order = known
    .map((_, i) => i)
    .filter((i) => known[i]!.closed)
    .sort((a, b) => known[a]!.area - known[b]!.area);
  return known.map(({ points, box, area }, i) => {
    return (
      order.find((o) => {
        const other = known[o]!;
        return (
          o !== i &&
          (other.area > area || !known[i]!.closed) &&
          holds(other.box, box) &&
          points.every((point) => inRing(other.points, point))
        );
      }) ?? -1
    );
  });
}

const holds = (a: Box, b: Box): boolean =>
  a.x <= b.x && a.y <= b.y && a.x + a.width >= b.x + b.width && a.y + a.height >= b.y + b.height;

function toured(lines: readonly Line[], home: Point): Line[] {
  if (!lines.length) return [];
  const outer = outerOf(lines);
  const starts = lines.map(startsOf);
  let best = chosen(nearest(starts, outer, home), starts, home);
  for (let round = 0; round < 8; round++) {
    const next = chosen(improved(best, outer, home), starts, home);
    if (lengthOfTour(next, home) > lengthOfTour(best, home) - 1e-6) break;
    best = next;
  }
  return best.map(({ line, start }) => begunAt(lines[line]!, start.at));
}

interface Visit {
  line: number;
  start: Start;
}

const lengthOfTour = (tour: readonly Visit[], home: Point): number =>
  tour.reduce((sum, { start }, i) => sum + far(i ? tour[i - 1]!.start.to : home, start.from), 0);

/** Always the nearest of those that may be worked. */
function nearest(starts: readonly Start[][], outer: readonly number[], home: Point): Visit[] {
  const within = new Array<number>(outer.length).fill(0);
  outer.forEach((o) => o >= 0 && within[o]!++);
  const left = new Set(starts.keys());
  const tour: Visit[] = [];
  let here = home;
  while (left.size) {
    let best: Visit | undefined;
    let least = Infinity;
    for (const line of left) {
      if (within[line]) continue;
      for (const start of starts[line]!) {
        const way = far(here, start.from);
        if (way < least) [best, least] = [{ line, start }, way];
      }
    }
    left.delete(best!.line);
    if (outer[best!.line]! >= 0) within[outer[best!.line]!]!--;
    tour.push(best!);
    here = best!.start.to;
  }
  return tour;
}

/** The same order, each begun where the whole way is shortest: a path through the choices, one after the other. */
function chosen(tour: readonly Visit[], starts: readonly Start[][], home: Point): Visit[] {
  let ways = [{ to: home, way: 0 }];
  const back: number[][] = [];
  for (const { line } of tour) {
    const from = ways;
    const came: number[] = [];
    ways = starts[line]!.map((start) => {
      let [least, at] = [Infinity, 0];
      from.forEach(({ to, way }, i) => {
        const whole = way + far(to, start.from);
        if (whole < least) [least, at] = [whole, i];
      });
      came.push(at);
      return { to: start.to, way: least };
    });
    back.push(came);
  }
  let at = ways.reduce((best, { way }, i) => (way < ways[best]!.way ? i : best), 0);
  const found: Visit[] = [];
  for (let i = tour.length - 1; i >= 0; i--) {
    const { line } = tour[i]!;
    found.push({ line, start: starts[line]![at]! });
    at = back[i]![at]!;
  }
  return found.reverse();
}

const flipped = ({ line, start: { from, to, at } }: Visit): Visit => ({
  line,
  start: { from: to, to: from, at: from === to ? at : 1 - at },
});

/** Stretches turned about and short ones carried elsewhere, as long as that is shorter and nothing comes before what lies in it. */
function improved(tour: readonly Visit[], outer: readonly number[], home: Point): Visit[] {
  const now = [...tour];
  const reach = now.length > MANY ? NEIGHBOURS : now.length;
  const end = (i: number): Point => (i < 0 ? home : now[i]!.start.to);
  const begin = (i: number): Point | null => (i < now.length ? now[i]!.start.from : null);
  const gap = (from: Point, to: Point | null) => (to ? far(from, to) : 0);
  for (let better = true, rounds = 0; better && rounds < 30; rounds++) {
    better = false;
    const place = new Array<number>(outer.length);
    const noted = () => now.forEach(({ line }, i) => (place[line] = i));
    noted();
    const sound = (from: number, to: number, first: number, last: number): boolean => {
      // Those from..to would stand among first..last: none may pass the outline about it, nor what lies in it.
      for (let i = from; i <= to; i++) {
        const o = outer[now[i]!.line]!;
        if (o >= 0 && place[o]! >= first && place[o]! <= last && (place[o]! < from || place[o]! > to))
          return false;
      }
      for (let k = first; k <= last; k++) {
        if (k >= from && k <= to) continue;
        const o = outer[now[k]!.line]!;
        if (o >= 0 && place[o]! >= from && place[o]! <= to) return false;
      }
      return true;
    };
    for (let i = 0; i < now.length; i++) {
      for (let j = i + 1; j < Math.min(now.length, i + reach); j++) {
        const before = far(end(i - 1), now[i]!.start.from) + gap(now[j]!.start.to, begin(j + 1));
        const after = far(end(i - 1), now[j]!.start.to) + gap(now[i]!.start.from, begin(j + 1));
        if (after > before - 1e-9) continue;
        let free = true;
        for (let k = i; k <= j && free; k++) {
          const o = outer[now[k]!.line]!;
          free = o < 0 || place[o]! < i || place[o]! > j;
        }
        if (!free) continue;
        now.splice(
          i,
          j - i + 1,
          ...now
            .slice(i, j + 1)
            .reverse()
            .map(flipped),
        );
        noted();
        better = true;
      }
      for (let long = 1; long <= 3 && i + long <= now.length; long++) {
        const [first, last] = [now[i]!, now[i + long - 1]!];
        const out =
          far(end(i - 1), first.start.from) +
          gap(last.start.to, begin(i + long)) -
          gap(end(i - 1), begin(i + long));
        for (let k = Math.max(0, i - reach); k <= Math.min(now.length, i + long + reach); k++) {
          if (k >= i && k <= i + long) continue;
          const into =
            far(end(k - 1), first.start.from) + gap(last.start.to, begin(k)) - gap(end(k - 1), begin(k));
          if (into > out - 1e-9) continue;
          if (!(k < i ? sound(i, i + long - 1, k, i - 1) : sound(i, i + long - 1, i + long, k - 1))) continue;
          const moved = now.splice(i, long);
          now.splice(k < i ? k : k - long, 0, ...moved);
          noted();
          better = true;
          break;
        }
      }
    }
  }
  return now;
}

/** A line begun at another of its points, or gone backwards. */
function begunAt(line: Line, at: number): Line {
  const { points, closed } = line;
  if (!at) return line;
  return { ...line, points: closed ? [...points.slice(at), ...points.slice(0, at)] : [...points].reverse() };
}
