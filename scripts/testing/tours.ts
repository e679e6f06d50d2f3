/** The shortest way through a few lines, found exactly. */
import type { Point } from '@/core/geometry/matrix';
import type { Line } from '@/core/cutter/model';
import { outerOf, startsOf } from '@/core/cutter/order';

/** The shortest empty way there is, by every order and every start (Held and Karp, 1962). */
export function shortest(lines: readonly Line[]): number {
  const outer = outerOf(lines);
  const starts = lines.map(startsOf);
  let states = new Map<string, number>([['0', 0]]);
  const at = (key: string): Point => {
    const [, l, s] = key.split(' ').map(Number);
    return l === undefined ? { x: 0, y: 0 } : starts[l]![s!]!.to;
  };
  for (let step = 0; step < lines.length; step++) {
    const next = new Map<string, number>();
    for (const [key, way] of states) {
      const done = Number(key.split(' ')[0]);
      const from = at(key);
      lines.forEach((_, l) => {
        if (done & (1 << l) || outer.some((o, i) => o === l && !(done & (1 << i)))) return;
        starts[l]!.forEach((start, s) => {
          const to = `${done | (1 << l)} ${l} ${s}`;
          const all = way + Math.hypot(from.x - start.from.x, from.y - start.from.y);
          if (all < (next.get(to) ?? Infinity)) next.set(to, all);
        });
      });
    }
    states = next;
  }
  return Math.min(...states.values());
}
