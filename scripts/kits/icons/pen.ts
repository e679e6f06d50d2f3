/** Line drawings and silhouettes on a field of 100 x 100: what stamps, sawn shapes and scattered papers are made of. */
import svgpath from 'svgpath';
import { flatten, parsePath, type Path, type Segment } from '@/core/geometry/path';
import { noise } from '../../art/noise';

export interface Icon {
  name: string;
  tags: readonly string[];
  /** Drawn with a pen. */
  line: string;
  /** Filled, with the even-odd rule. */
  solid?: string;
}

const n = (v: number): string => String(Math.round(v * 100) / 100);
export const at = (cx: number, cy: number, r: number, degrees: number): string => {
  const a = ((degrees - 90) * Math.PI) / 180;
  return `${n(cx + r * Math.cos(a))} ${n(cy + r * Math.sin(a))}`;
};
export const ring = (cx: number, cy: number, r: number, ry = r): string =>
  `M${n(cx - r)} ${n(cy)}a${r} ${ry} 0 1 0 ${n(2 * r)} 0a${r} ${ry} 0 1 0 ${n(-2 * r)} 0Z`;
export const spokes = (cx: number, cy: number, from: number, to: number, count: number, turn = 0): string =>
  Array.from({ length: count }, (_, i) => {
    const a = turn + (360 * i) / count;
    return `M${at(cx, cy, from, a)}L${at(cx, cy, to, a)}`;
  }).join('');
export const starPath = (cx: number, cy: number, R: number, r: number, points: number, turn = 0): string =>
  `M${Array.from({ length: 2 * points }, (_, i) => at(cx, cy, i % 2 ? r : R, turn + (180 * i) / points)).join('L')}Z`;
/** Petals round a middle; `fat` is how wide they are. */
export const petals = (
  cx: number,
  cy: number,
  from: number,
  to: number,
  count: number,
  fat: number,
  turn = 0,
): string =>
  Array.from({ length: count }, (_, i) => {
    const a = turn + (360 * i) / count;
    return `M${at(cx, cy, from, a)}C${at(cx, cy, (from + to) / 2, a - fat)} ${at(cx, cy, to, a - fat * 0.8)} ${at(cx, cy, to, a)}C${at(cx, cy, to, a + fat * 0.8)} ${at(cx, cy, (from + to) / 2, a + fat)} ${at(cx, cy, from, a)}Z`;
  }).join('');
/** Leaves in pairs along a stem that leans. */
export const sprig = (pairs: number, leaf: number, lean = 0): string => {
  let d = `M50 97C${50 - lean} 70 ${50 + lean} 40 50 6`;
  for (let i = 0; i < pairs; i++) {
    const y = 82 - (i * 66) / pairs;
    const s = leaf * (1 - (0.55 * i) / pairs);
    for (const side of [-1, 1])
      d += `M50 ${n(y)}C${n(50 + side * s * 0.5)} ${n(y - s * 0.75)} ${n(50 + side * s)} ${n(y - s * 0.8)} ${n(50 + side * s * 1.25)} ${n(y - s * 0.95)}C${n(50 + side * s * 1.1)} ${n(y - s * 0.2)} ${n(50 + side * s * 0.6)} ${n(y - s * 0.02)} 50 ${n(y)}`;
  }
  return d;
};
export const HEART =
  'M50 88C18 62 8 46 8 31C8 17 19 9 30 9C39 9 46 14 50 22C54 14 61 9 70 9C81 9 92 17 92 31C92 46 82 62 50 88Z';
export const icon = (name: string, tags: string, line: string, solid?: string): Icon => ({
  name,
  tags: tags.split(' '),
  line,
  ...(solid ? { solid } : {}),
});

/** The path as a hand would draw it: never quite straight, never quite closed, the same for the same seed. */
export function byHand(data: string, seed: number, tremble = 0.9): string {
  const wander = noise(seed);
  return subpaths(parsePath(svgpath(data).unarc().abs().toString()))
    .map(({ points, closed }, k) => {
      const way = closed && points.length ? [...points, points[0]!] : points;
      const line = spaced(way, 4).map(({ x, y }, j) => ({
        x: x + (wander(j / 3 + k * 17, 1) - 0.5) * 2 * tremble,
        y: y + (wander(j / 3 + k * 17, 9) - 0.5) * 2 * tremble,
      }));
      return line.length < 2 ? '' : curve(line);
    })
    .join('');
}

function subpaths(path: Path): { points: P[]; closed: boolean }[] {
  const runs: Segment[][] = [];
  for (const segment of path) {
    if (segment[0] === 'M' || !runs.length) runs.push([]);
    runs.at(-1)!.push(segment);
  }
  return runs.map((run) => ({ points: flatten(run, 10)[0] ?? [], closed: run.at(-1)![0] === 'Z' }));
}

interface P {
  x: number;
  y: number;
}

/** Corners kept, long runs divided. */
function spaced(points: readonly P[], step: number): P[] {
  const out: P[] = points.length ? [points[0]!] : [];
  for (let k = 1; k < points.length; k++) {
    const a = points[k - 1]!;
    const b = points[k]!;
    const parts = Math.max(1, Math.round(Math.hypot(b.x - a.x, b.y - a.y) / step));
    for (let j = 1; j <= parts; j++)
      out.push({ x: a.x + ((b.x - a.x) * j) / parts, y: a.y + ((b.y - a.y) * j) / parts });
  }
  return out;
}

/** A smooth line through points (Catmull & Rom 1974), as cubic curves. */
function curve(points: readonly P[]): string {
  const p = (k: number) => points[Math.max(0, Math.min(points.length - 1, k))]!;
  let d = `M${n(points[0]!.x)} ${n(points[0]!.y)}`;
  for (let k = 0; k < points.length - 1; k++) {
    const [a, b, c, e] = [p(k - 1), p(k), p(k + 1), p(k + 2)];
    d += `C${n(b.x + (c.x - a.x) / 6)} ${n(b.y + (c.y - a.y) / 6)} ${n(c.x - (e.x - b.x) / 6)} ${n(c.y - (e.y - b.y) / 6)} ${n(c.x)} ${n(c.y)}`;
  }
  return d;
}
