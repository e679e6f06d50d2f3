/** The lines on which letters stand that run along an outline. */
import type { Point } from '@/core/geometry/matrix';
import { grown, signedArea } from '@/core/geometry/offset';
import { flatten, type Path } from '@/core/geometry/path';
import { EDGE_SIDES, onRun, runsOf, type Run } from '@/core/geometry/runs';

export const SIDES = ['outside', 'inside', 'on'] as const;
export const CORNERS = ['break', 'squeeze', 'round'] as const;

/** How words run along an outline. */
export interface Way {
  /** Where the letters stand: outside the outline, inside it, or with their middle on it. */
  side: (typeof SIDES)[number];
  /** Clockwise the letters' heads point outwards; the other way round, inwards. */
  clockwise: boolean;
  /** Where the first letter stands, as a share of the way round, clockwise from the topmost corner or point. */
  start: number;
  /** At corners: words stay whole, letters stay whole, or the way is rounded. */
  corners: (typeof CORNERS)[number];
  /** Between the outline and the letters, points. */
  gap: number;
}

/** The outer edge as a polygon that goes clockwise, from its topmost corner or point. */
export function largestRing(outline: Path): Point[] | null {
  const rings = flatten(outline, 48).filter((ring) => ring.length > 2);
  const ring = rings.reduce<Point[] | null>(
    (best, each) => (!best || Math.abs(signedArea(each)) > Math.abs(signedArea(best)) ? each : best),
    null,
  );
  if (!ring || Math.abs(signedArea(ring)) < 1e-6) return null;
  const clockwise = signedArea(ring) > 0 ? ring : [...ring].reverse();
  const distinct = clockwise.filter((point, i) => {
    const before = clockwise[(i + clockwise.length - 1) % clockwise.length]!;
    return Math.hypot(point.x - before.x, point.y - before.y) > 1e-6;
  });
  const top = distinct.reduce(
    (best, { x, y }, i) =>
      y < distinct[best]!.y - 1e-6 || (y < distinct[best]!.y + 1e-6 && x < distinct[best]!.x) ? i : best,
    0,
  );
  return [...distinct.slice(top), ...distinct.slice(0, top)];
}

/** The lines the letters stand on, in the order they are read. */
export function wayAlong(ring: readonly Point[], outline: Way, height: number, size: number): Run[] {
  const { side, clockwise, gap, corners } = outline;
  // How far out of the outline the baseline lies, and how far the letters reach from the outline inwards and outwards.
  const above = clockwise ? height : 0;
  const below = clockwise ? 0 : height;
  const baseline =
    side === 'on'
      ? ((clockwise ? -1 : 1) * height) / 2
      : side === 'outside'
        ? gap + (clockwise ? 0 : height)
        : -gap - (clockwise ? height : 0);
  const outwards = Math.max(0, baseline + above);
  const inwards = Math.max(0, below - baseline);
  const rounded = corners === 'round' ? roundedRing(ring, Math.max(inwards, outwards, size) * 0.75) : ring;
  const runs = runsOf(rounded, EDGE_SIDES).map((run) => {
    const before = run.before === null ? 0 : clear(run.before, inwards, outwards);
    const after = run.after === null ? 0 : clear(run.after, inwards, outwards);
    return shifted(run, baseline, before, after);
  });
  const kept = runs.filter((run) => run.length > size * 0.2);
  const turned = clockwise ? kept : kept.map(reversed).reverse();
  return fromStart(turned, outline.start, clockwise);
}

/** What must stay free beside a corner, so that letters on its two sides do not meet. */
function clear(inside: number, inwards: number, outwards: number): number {
  const [reach, angle] = inside < Math.PI ? [inwards, inside] : [outwards, 2 * Math.PI - inside];
  return reach / Math.tan(Math.max(0.2, angle / 2));
}

function roundedRing(ring: readonly Point[], radius: number): readonly Point[] {
  const asPath: Path = [
    ...ring.map(({ x, y }, i) => [i ? 'L' : 'M', x, y] as ['M' | 'L', number, number]),
    ['Z'],
  ];
  const opened = grown(grown(asPath, -radius, 'mitred'), radius, 'round');
  const both = opened.length ? grown(grown(opened, radius, 'mitred'), -radius, 'round') : asPath;
  return largestRing(both) ?? ring;
}

/** A run `by` further out, cut short at either end. */
function shifted(run: Run, by: number, before: number, after: number): Run {
  const moved = measured(
    run.points.map(({ x, y }, i) => ({ x: x + run.normals[i]!.x * by, y: y + run.normals[i]!.y * by })),
    run,
  );
  if (before + after >= moved.length) return { ...moved, length: 0 };
  if (!before && !after) return moved;
  const from = onRun(moved, before, 0);
  const to = onRun(moved, moved.length - after, 0);
  const inner = moved.points.flatMap((point, i) =>
    moved.at[i]! > before && moved.at[i]! < moved.length - after
      ? [{ point, normal: moved.normals[i]! }]
      : [],
  );
  const normals = [
    inner[0]?.normal ?? moved.normals[0]!,
    ...inner.map(({ normal }) => normal),
    inner.at(-1)?.normal ?? moved.normals.at(-1)!,
  ];
  return measured([from, ...inner.map(({ point }) => point), to], { ...moved, normals });
}

function measured(points: Point[], run: Run): Run {
  const at = [0];
  for (let i = 1; i < points.length; i++)
    at.push(at[i - 1]! + Math.hypot(points[i]!.x - points[i - 1]!.x, points[i]!.y - points[i - 1]!.y));
  return { ...run, points, at, length: at.at(-1)! };
}

/** The same the other way round: heads of letters then point to what was inside. */
const reversed = (run: Run): Run => ({
  ...measured([...run.points].reverse(), run),
  normals: [...run.normals].reverse().map(({ x, y }) => ({ x: -x, y: -y })),
  before: run.after,
  after: run.before,
});

/** The same runs, begun as far round as asked: anywhere on a run without corners, else at the nearest corner. */
function fromStart(runs: readonly Run[], start: number, clockwise: boolean): Run[] {
  const share = clockwise ? start : (1 - start) % 1;
  const [only] = runs;
  if (runs.length === 1 && only && only.before === null) {
    const from = (share % 1) * only.length;
    const split = only.at.findIndex((at) => at > from);
    if (from === 0 || split < 0) return [only];
    const normal = only.normals[split]!;
    const point = onRun(only, from, 0);
    return [
      measured([point, ...only.points.slice(split), ...only.points.slice(1, split), point], {
        ...only,
        normals: [normal, ...only.normals.slice(split), ...only.normals.slice(1, split), normal],
      }),
    ];
  }
  const length = runs.reduce((sum, run) => sum + run.length, 0);
  let at = 0;
  let best = 0;
  let nearest = Infinity;
  runs.forEach((run, i) => {
    const away = Math.abs(at - share * length);
    const round = Math.min(away, length - away);
    if (round < nearest - 1e-6) [nearest, best] = [round, i];
    at += run.length;
  });
  return [...runs.slice(best), ...runs.slice(0, best)];
}
