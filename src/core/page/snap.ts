/** What a moving thing snaps to: lines of the page, guides, other things' edges and middles, and equal gaps between them. */
import type { Box, Size } from '@/core/geometry/box';
import { type Sides } from '@/core/geometry/sides';
import type { Guide } from '@/core/project/model';

export interface SnapLine {
  axis: 'x' | 'y';
  at: number;
  /** In words: what it is. */
  what: string;
  /** How far the thing it comes from reaches along the line. */
  from: number;
  to: number;
}

/** Everything that lies still while something moves, made once when a hand takes hold. */
export interface SnapField {
  lines: readonly SnapLine[];
  boxes: readonly Box[];
}

/** Why something snapped: a line from `from` to `to`, or gaps that are equal. */
export interface SnapReason {
  axis: 'x' | 'y';
  at: number;
  from: number;
  to: number;
  what: string;
  /** Places where the equal gaps lie, as stretches along the axis at a height across it. */
  gaps?: readonly { from: number; to: number; across: number }[];
}

export interface Snapped {
  /** To be added to the move, points. */
  dx: number;
  dy: number;
  reasons: readonly SnapReason[];
}

interface Page extends Size {
  safe: Sides;
}

/** A line over the whole page that a product has: a fold, a panel's middle, an opening's edge. */
export interface SnapMark {
  axis: 'x' | 'y';
  at: number;
  what: string;
}

/** The lines of a page, its guides and the boxes of what lies on it. */
export function snapField(
  page: Page,
  guides: readonly Guide[],
  boxes: readonly Box[],
  marks: readonly SnapMark[] = [],
): SnapField {
  const { width, height, safe } = page;
  const upright = (at: number, what: string): SnapLine => ({ axis: 'x', at, what, from: 0, to: height });
  const level = (at: number, what: string): SnapLine => ({ axis: 'y', at, what, from: 0, to: width });
  const lines: SnapLine[] = [
    upright(0, 'page edge'),
    upright(width, 'page edge'),
    upright(width / 2, 'page middle'),
    level(0, 'page edge'),
    level(height, 'page edge'),
    level(height / 2, 'page middle'),
  ];
  // Where nothing need be kept free the page's edge says it.
  if (safe.left > 0) lines.push(upright(safe.left, 'safe area'));
  if (safe.right > 0) lines.push(upright(width - safe.right, 'safe area'));
  if (safe.top > 0) lines.push(level(safe.top, 'safe area'));
  if (safe.bottom > 0) lines.push(level(height - safe.bottom, 'safe area'));
  for (const { axis, at, what } of marks) lines.push(axis === 'x' ? upright(at, what) : level(at, what));
  for (const { axis, at } of guides) lines.push(axis === 'x' ? upright(at, 'guide') : level(at, 'guide'));
  for (const box of boxes) {
    const { x, y, width: w, height: h } = box;
    for (const share of [0, 0.5, 1]) {
      const what = share === 0.5 ? 'middle' : 'edge';
      lines.push({ axis: 'x', at: x + share * w, what, from: y, to: y + h });
      lines.push({ axis: 'y', at: y + share * h, what, from: x, to: x + w });
    }
  }
  return { lines, boxes };
}

const SHARES = [0, 0.5, 1] as const;

/**
 * The nearest lines, and equal gaps, within `reach` of a box that is being moved (points), for each axis by itself. A line
 * of the page or a guide wins over one of a thing as far away; gaps only count where no line does.
 */
export function snapMove(box: Box, field: SnapField, reach: number): Snapped {
  const x = nearest(box, 'x', field, reach) ?? equalGap(box, 'x', field.boxes, reach);
  const y = nearest(box, 'y', field, reach) ?? equalGap(box, 'y', field.boxes, reach);
  const dx = x?.by ?? 0;
  const dy = y?.by ?? 0;
  const moved = { ...box, x: box.x + dx, y: box.y + dy };
  return {
    dx,
    dy,
    reasons: [...(x ? reasons(moved, 'x', x, field) : []), ...(y ? reasons(moved, 'y', y, field) : [])],
  };
}

/** The nearest line within `reach` of an edge that is being drawn out, or undefined. */
export function snapEdge(
  at: number,
  axis: 'x' | 'y',
  field: SnapField,
  reach: number,
): { by: number; reason: SnapReason } | undefined {
  let best: { by: number; line: SnapLine } | undefined;
  for (const line of field.lines) {
    if (line.axis !== axis) continue;
    const by = line.at - at;
    if (Math.abs(by) <= reach && (!best || Math.abs(by) < Math.abs(best.by) - 1e-9)) best = { by, line };
  }
  return best && { by: best.by, reason: { ...best.line } };
}

/** The width or height of another thing within `reach` of the one being drawn out, or undefined. */
export function equalSize(
  size: number,
  axis: 'x' | 'y',
  boxes: readonly Box[],
  reach: number,
): number | undefined {
  const side = axis === 'x' ? 'width' : 'height';
  let best: number | undefined;
  for (const box of boxes) {
    const by = box[side] - size;
    if (Math.abs(by) <= reach && (best === undefined || Math.abs(by) < Math.abs(best - size)))
      best = box[side];
  }
  return best;
}

/** Other things' turns and the straight ones: the nearest within `reach` degrees of a turn, or undefined. */
export function equalTurn(turn: number, turns: readonly number[], reach: number): number | undefined {
  let best: number | undefined;
  let least = reach;
  for (const other of [0, 90, 180, -90, ...turns]) {
    const away = Math.abs(((turn - other + 540) % 360) - 180);
    if (away <= least) {
      least = away;
      best = other;
    }
  }
  return best;
}

interface Found {
  by: number;
  gaps?: SnapReason['gaps'];
}

function nearest(box: Box, axis: 'x' | 'y', { lines }: SnapField, reach: number): Found | undefined {
  const side = axis === 'x' ? box.width : box.height;
  let best: number | undefined;
  for (const line of lines) {
    if (line.axis !== axis) continue;
    for (const share of SHARES) {
      const by = line.at - (box[axis] + share * side);
      if (Math.abs(by) <= reach && (best === undefined || Math.abs(by) < Math.abs(best) - 1e-9)) best = by;
    }
  }
  return best === undefined ? undefined : { by: best };
}

/** The lines a box lies along after it snapped, one for each place, as long as all that lies on it. */
function reasons(box: Box, axis: 'x' | 'y', found: Found, { lines }: SnapField): SnapReason[] {
  if (found.gaps) return [{ axis, at: 0, from: 0, to: 0, what: 'equal gaps', gaps: found.gaps }];
  const [start, side, across, length] =
    axis === 'x' ? [box.x, box.width, box.y, box.height] : [box.y, box.height, box.x, box.width];
  const met = new Map<number, SnapReason>();
  for (const line of lines) {
    if (line.axis !== axis || !SHARES.some((share) => Math.abs(line.at - start - share * side) < 1e-6))
      continue;
    const key = Math.round(line.at * 1e3);
    const before = met.get(key);
    met.set(key, {
      axis,
      at: line.at,
      what: before?.what ?? line.what,
      from: Math.min(before?.from ?? across, line.from, across),
      to: Math.max(before?.to ?? across + length, line.to, across + length),
    });
  }
  return [...met.values()];
}

/** Moves a box so that it stands as far from its neighbour as other neighbours stand, or midway between two. */
function equalGap(box: Box, axis: 'x' | 'y', boxes: readonly Box[], reach: number): Found | undefined {
  const [other, side, across] =
    axis === 'x' ? (['y', 'width', 'height'] as const) : (['x', 'height', 'width'] as const);
  // Only what stands in the same row, or column, can have a gap to it.
  const row = boxes
    .filter((one) => one[other] < box[other] + box[across] && box[other] < one[other] + one[across])
    .sort((a, b) => a[axis] - b[axis]);
  const end = (one: Box) => one[axis] + one[side];
  const before = row.filter((one) => end(one) <= box[axis] + reach);
  const after = row.filter((one) => one[axis] >= end(box) - reach);
  const left = before.reduce<Box | undefined>(
    (best, one) => (!best || end(one) > end(best) ? one : best),
    undefined,
  );
  const right = after[0];
  const middle = box[other] + box[across] / 2;
  const stretch = (from: number, to: number) => ({ from, to, across: middle });
  const wanted: { by: number; gaps: { from: number; to: number; across: number }[] }[] = [];
  if (left && right) {
    const air = (right[axis] - end(left) - box[side]) / 2;
    const by = end(left) + air - box[axis];
    if (air > 0)
      wanted.push({
        by,
        gaps: [stretch(end(left), end(left) + air), stretch(right[axis] - air, right[axis])],
      });
  }
  let reached = -Infinity;
  for (const one of row) {
    const [from, air] = [reached, one[axis] - reached];
    reached = Math.max(reached, end(one));
    if (air <= 0 || from === -Infinity) continue;
    const known = stretch(from, one[axis]);
    if (left)
      wanted.push({ by: end(left) + air - box[axis], gaps: [known, stretch(end(left), end(left) + air)] });
    if (right)
      wanted.push({
        by: right[axis] - air - end(box),
        gaps: [known, stretch(right[axis] - air, right[axis])],
      });
  }
  // Where something else lies it is no gap.
  const isFree = ({ from, to }: { from: number; to: number }) =>
    !row.some((one) => one[axis] < to - 1e-6 && end(one) > from + 1e-6);
  return wanted
    .filter(({ by, gaps }) => Math.abs(by) <= reach && gaps.every(isFree))
    .sort((a, b) => Math.abs(a.by) - Math.abs(b.by))[0];
}
