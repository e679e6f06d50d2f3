/** How near letters come to each other, from what they look like: for spacing by eye and for joining them. */
import { flatten, pathBounds, type Path } from '@/core/geometry/path';

/** How far a letter reaches to either side at each of many heights, in its own unit; null where it is not. */
export interface Profile {
  left: readonly (number | null)[];
  right: readonly (number | null)[];
}

/** Heights a line is looked at. */
const ROWS = 48;

/** The profile of an outline between two heights. */
export function profileOf(path: Path, top: number, bottom: number): Profile {
  const left = new Array<number | null>(ROWS).fill(null);
  const right = new Array<number | null>(ROWS).fill(null);
  const step = (bottom - top) / ROWS;
  const note = (row: number, x: number) => {
    if (row < 0 || row >= ROWS) return;
    left[row] = Math.min(left[row] ?? Infinity, x);
    right[row] = Math.max(right[row] ?? -Infinity, x);
  };
  for (const ring of flatten(path, 8))
    ring.forEach((a, i) => {
      const b = ring[(i + 1) % ring.length]!;
      const [from, to] = a.y <= b.y ? [a, b] : [b, a];
      note(Math.floor((a.y - top) / step), a.x);
      for (let row = Math.ceil((from.y - top) / step - 0.5); top + (row + 0.5) * step <= to.y; row++) {
        const y = top + (row + 0.5) * step;
        if (y < from.y) continue;
        note(row, to.y === from.y ? from.x : from.x + ((y - from.y) / (to.y - from.y)) * (to.x - from.x));
      }
    });
  return { left, right };
}

/** The least room between two letters if they stood at the same x; below zero by what the left one is wide. */
export function leastGap(a: Profile, b: Profile): number {
  let least = Infinity;
  for (let row = 0; row < ROWS; row++) {
    const [from, to] = [a.right[row], b.left[row]];
    if (from != null && to != null) least = Math.min(least, to - from);
  }
  return least;
}

/**
 * The room between two letters as an eye sees it, if they stood at the same x: the mean over all heights of the gap, none
 * counted wider than the least one by more than `deepest`, so that open sides count but not without end.
 */
function seenGap(a: Profile, b: Profile, deepest: number): number {
  const rows = a.right.flatMap((from, row) => {
    const to = b.left[row];
    return from == null && to == null ? [] : [{ from, to }];
  });
  const reach = Math.max(...a.right.map((x) => x ?? -Infinity));
  const start = Math.min(...b.left.map((x) => x ?? Infinity));
  const gaps = rows.map(({ from, to }) => (to ?? start + deepest) - (from ?? reach - deepest));
  const least = Math.min(...gaps);
  return gaps.reduce((sum, gap) => sum + Math.min(gap, least + deepest), 0) / gaps.length;
}

/** Where letters begin so that the room between neighbours looks the same: `room` between any two, as an eye sees it. */
export function evenly(letters: readonly Path[], room: number): number[] {
  if (!letters.length) return [];
  const boxes = letters.map(pathBounds);
  const top = Math.min(...boxes.map(({ y }) => y));
  const bottom = Math.max(...boxes.map(({ y, height }) => y + height));
  const profiles = letters.map((path) => profileOf(path, top, bottom));
  const starts = [0];
  for (let i = 1; i < letters.length; i++)
    starts.push(starts[i - 1]! + room - seenGap(profiles[i - 1]!, profiles[i]!, (bottom - top) / 6));
  return starts;
}
