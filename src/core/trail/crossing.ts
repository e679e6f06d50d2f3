/** Where bands cross themselves: which pass lies above, and what of both is drawn there. */
import { string } from 'yup';
import type { Point } from '@/core/geometry/matrix';
import { wayOn, type Run } from '@/core/geometry/runs';

export const CROSSES = ['over', 'under', 'turns'] as const;
/** What comes later lies above what was there, or passes under it, or over and under by turns. */
export type Crosses = (typeof CROSSES)[number];
export const crossesField = string().oneOf([...CROSSES]);

/** A stretch of one of the runs, points from its beginning. */
export interface Pass {
  run: number;
  from: number;
  to: number;
}
export interface Crossing {
  above: Pass;
  below: Pass;
}

/** The most crossings that are drawn as such, and the most pairs of sides that are looked at to find them. */
const MOST_CROSSINGS = 240;
const MOST_PAIRS = 3_000_000;

/** What goes the same way, or back again, lies on itself rather than crosses: the sine of the least angle. */
const FLATTEST = 0.12;

interface Side {
  run: number;
  i: number;
  a: Point;
  b: Point;
}

/** How far along both of them two sides cross, as shares; null where they do not. */
function meet({ a, b }: Side, { a: c, b: d }: Side): [number, number] | null {
  const [rx, ry, sx, sy] = [b.x - a.x, b.y - a.y, d.x - c.x, d.y - c.y];
  const across = rx * sy - ry * sx;
  if (Math.abs(across) <= FLATTEST * Math.hypot(rx, ry) * Math.hypot(sx, sy)) return null;
  const [qx, qy] = [c.x - a.x, c.y - a.y];
  const [t, u] = [(qx * sy - qy * sx) / across, (qx * ry - qy * rx) / across];
  return t >= 0 && t < 1 && u >= 0 && u < 1 ? [t, u] : null;
}

/** A place where two passes meet: earlier and later, each a run and how far along it. */
type Met = [[number, number], [number, number]];

function meetings(runs: readonly Run[], width: number): Met[] {
  const cell = Math.max(4, width);
  const sides = new Map<string, Side[]>();
  const found: Met[] = [];
  let pairs = 0;
  for (const [run, { points, at, length, closed }] of runs.entries())
    for (let i = 0; i + 1 < points.length; i++) {
      const side: Side = { run, i, a: points[i]!, b: points[i + 1]! };
      const [x0, x1] = [side.a.x, side.b.x].sort((p, q) => p - q) as [number, number];
      const [y0, y1] = [side.a.y, side.b.y].sort((p, q) => p - q) as [number, number];
      const beside = new Set<Side>();
      for (let x = Math.floor(x0 / cell); x <= Math.floor(x1 / cell); x++)
        for (let y = Math.floor(y0 / cell); y <= Math.floor(y1 / cell); y++) {
          const there = sides.get(`${x} ${y}`);
          if (there) for (const other of there) beside.add(other);
          else sides.set(`${x} ${y}`, []);
          sides.get(`${x} ${y}`)!.push(side);
        }
      for (const other of beside) {
        if (++pairs > MOST_PAIRS || found.length >= MOST_CROSSINGS) return found;
        const met = meet(other, side);
        if (!met) continue;
        const before = runs[other.run]!;
        const s = before.at[other.i]! + met[0] * (before.at[other.i + 1]! - before.at[other.i]!);
        const t = at[i]! + met[1] * (at[i + 1]! - at[i]!);
        const apart = other.run === run ? t - s : Infinity;
        // What only bends is no crossing, nor where a ring ends upon its beginning, nor what is folded over.
        if (apart < width || (closed && length - apart < width)) continue;
        if (run - other.run === 1 && before.length - s + t < 2.5 * width) continue;
        found.push([
          [other.run, s],
          [run, t],
        ]);
      }
    }
  return found;
}

/** Where runs that are drawn one after the other, each `width` wide, cross themselves and each other. */
export function crossingsOf(runs: readonly Run[], width: number, crosses: Crosses = 'over'): Crossing[] {
  const met = meetings(runs, width);
  const order = met.flat().sort(([r, s], [q, t]) => r - q || s - t);
  const turn = new Map(order.map((pass, i) => [pass, i]));
  return met.map(([early, late]) => {
    const turned = crosses === 'under' || (crosses === 'turns' && turn.get(early)! % 2 === 1);
    const way = ([run, s]: [number, number]) => wayOn(runs[run]!, s);
    const angle = Math.abs(Math.sin((way(early) - way(late)) / 2));
    const flat = Math.abs(Math.cos((way(early) - way(late)) / 2));
    // Two bands that cross at an angle cover each other so far to either side of where their middles meet.
    const half = Math.min(
      4 * width,
      (width / 2) * (Math.max(angle, flat) / Math.max(0.01, Math.min(angle, flat))) + 0.35 * width,
    );
    const pass = ([run, s]: [number, number]): Pass => ({
      run,
      from: Math.max(0, s - half),
      to: Math.min(runs[run]!.length, s + half),
    });
    const [above, below] = turned ? [early, late] : [late, early];
    return { above: pass(above), below: pass(below) };
  });
}
