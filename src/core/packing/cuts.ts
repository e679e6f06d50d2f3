/** In what order sheets are cut with a trimmer: each cut goes right through the piece it cuts, and as few as can be are made. */
import type { Box } from '@/core/geometry/box';

export interface Cut {
  /** Upright at `x`, level at `y`. */
  axis: 'x' | 'y';
  at: number;
  /** As far as the piece goes along the other way that is cut through. */
  from: number;
  to: number;
}

/** Lengths nearer to each other than this are the same, points. */
export const NEAR = 0.01;

/**
 * The cuts that take all boxes out of a piece of paper, in their order; null where boxes lie so that no cut through all of
 * it spares them. Of the orders that begin upright and those that begin level, piece by piece, the one with fewer cuts.
 */
export function cutsOf(paper: Box, boxes: readonly Box[]): Cut[] | null {
  const known = new Map<string, Cut[] | null>();
  const cut = (piece: Box, inside: readonly Box[]): Cut[] | null => {
    if (!inside.length) return [];
    const key = [piece.x, piece.y, piece.width, piece.height].map((v) => Math.round(100 * v)).join();
    const before = known.get(key);
    if (before !== undefined) return before;
    let best: Cut[] | null = done(piece, inside) ? [] : null;
    if (!best)
      for (const axis of ['x', 'y'] as const) {
        const lines = linesThrough(piece, inside, axis);
        if (!lines.length) continue;
        const cuts = apart(piece, inside, axis, lines, cut);
        if (cuts && (!best || cuts.length < best.length)) best = cuts;
      }
    known.set(key, best);
    return best;
  };
  return cut(paper, boxes);
}

const SIDES = { x: ['x', 'width'], y: ['y', 'height'] } as const;

/** Whether it is cut out on all sides. */
const done = (piece: Box, inside: readonly Box[]): boolean =>
  inside.length === 1 &&
  Math.abs(inside[0]!.width - piece.width) < NEAR &&
  Math.abs(inside[0]!.height - piece.height) < NEAR;

/** Edges of boxes along which the piece can be cut without cutting a box. */
function linesThrough(piece: Box, inside: readonly Box[], axis: 'x' | 'y'): number[] {
  const [from, size] = SIDES[axis];
  const edges = inside.flatMap((box) => [box[from], box[from] + box[size]]);
  return [...new Set(edges.map((edge) => Math.round(100 * edge) / 100))]
    .filter((at) => at > piece[from] + NEAR && at < piece[from] + piece[size] - NEAR)
    .filter((at) => inside.every((box) => box[from] >= at - NEAR || box[from] + box[size] <= at + NEAR))
    .sort((a, b) => a - b);
}

/** Along all these lines, then each strip by itself. */
function apart(
  piece: Box,
  inside: readonly Box[],
  axis: 'x' | 'y',
  lines: readonly number[],
  cut: (piece: Box, inside: readonly Box[]) => Cut[] | null,
): Cut[] | null {
  const [from, size] = SIDES[axis];
  const [along, length] = SIDES[axis === 'x' ? 'y' : 'x'];
  const ends = [piece[from], ...lines, piece[from] + piece[size]];
  const first = lines.map((at) => ({ axis, at, from: piece[along], to: piece[along] + piece[length] }));
  const rest: Cut[] = [];
  for (let i = 0; i < ends.length - 1; i++) {
    const strip = { ...piece, [from]: ends[i]!, [size]: ends[i + 1]! - ends[i]! };
    const own = inside.filter(
      (box) => box[from] >= ends[i]! - NEAR && box[from] + box[size] <= ends[i + 1]! + NEAR,
    );
    const cuts = cut(strip, own);
    if (!cuts) return null;
    rest.push(...cuts);
  }
  return [...first, ...rest];
}
