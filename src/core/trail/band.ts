/** Bands along lines: their edges, their ends, and the shadow they throw. */
import type { Point } from '@/core/geometry/matrix';
import { pathOfRings } from '@/core/geometry/offset';
import type { Path } from '@/core/geometry/path';
import { onRun, type Run } from '@/core/geometry/runs';
import type { Mark } from '@/core/picture/picture';
import { SHADOW_INK } from '@/core/piece/finish/light';
import type { Toward } from '@/core/treatment/treatment';

export const ENDS = ['straight', 'slanted', 'swallow', 'torn'] as const;
export type End = (typeof ENDS)[number];

/** How finely a band is drawn where it bends, points. */
const STEP = 2;

/** A strip along a run between two distances beside it (below zero to the right of its way). */
export function strip(run: Run, low: number, high: number, from = 0, to = run.length): Point[] {
  const straight = run.points.length === 2;
  const steps = straight ? 1 : Math.max(1, Math.ceil((to - from) / STEP));
  const at = (i: number, v: number) => onRun(run, from + ((to - from) * i) / steps, v);
  return [
    ...Array.from({ length: steps + 1 }, (_, i) => at(i, high)),
    ...Array.from({ length: steps + 1 }, (_, i) => at(steps - i, low)),
  ];
}

/** A band as wide as said, its ends cut; of one that ends where it begins, all of it. */
export function bandOf(run: Run, width: number, end: End, seed: number): Path {
  const half = width / 2;
  if (run.closed) return pathOfRings([strip(run, -half, half)]);
  const room = Math.min(run.length * 0.45, cutDepth(end, width));
  const body = strip(run, -half, half, room, run.length - room);
  const middle = body.length / 2;
  return pathOfRings([
    [
      ...body.slice(0, middle),
      ...endCut(run, run.length - room, room, half, end, 1, seed),
      ...body.slice(middle),
      ...endCut(run, room, room, half, end, -1, seed + 1),
    ],
  ]);
}

/** How much of its length an end takes. */
const cutDepth = (end: End, width: number): number =>
  ({ straight: 0, slanted: 0.7 * width, swallow: 0.55 * width, torn: 0.09 * width })[end];

/** From the left edge to the right where a band ends, in its own way: 1 at its end, -1 at its beginning. */
function endCut(
  run: Run,
  s: number,
  deep: number,
  half: number,
  end: End,
  way: 1 | -1,
  seed: number,
): Point[] {
  const at = (share: number, v: number) => onRun(run, s + way * deep * share, v * way * half);
  switch (end) {
    case 'straight':
      return [];
    case 'slanted':
      return [at(way > 0 ? 1 : 0, 1), at(way > 0 ? 0 : 1, -1)];
    case 'swallow':
      return [at(1, 1), at(0, 0), at(1, -1)];
    case 'torn': {
      const teeth = Math.max(5, Math.round(half / 1.1));
      return Array.from({ length: 2 * teeth + 1 }, (_, i) => {
        const rough = 0.75 + 0.25 * Math.sin(seed * 12.9898 + i * 78.233);
        return at(i % 2 ? rough : 0.15 * rough, 1 - i / teeth);
      });
    }
  }
}

/** The shadow of what lies `high` points above the paper along a line. */
export function laidShadow(path: Path, high: number, toward: Toward, strength: number): Mark[] {
  if (strength <= 0 || !path.length) return [];
  const flat = Math.hypot(toward.x, toward.y) || 1;
  return [
    {
      mark: 'shadow',
      path,
      grow: 0,
      offset: { x: (-toward.x / flat) * high, y: (-toward.y / flat) * high },
      blur: Math.max(0.15, 0.7 * high),
      colour: SHADOW_INK,
      opacity: Math.min(1, strength * 1.05),
    },
  ];
}
