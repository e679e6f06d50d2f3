/** Things laid side by side in rows, as large as they are. */
import type { Size } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';

/**
 * The middles of boxes laid from left to right in rows within an area, `gap` between them, the whole in its middle. A box
 * wider than the area has a row of its own; rows higher together than the area are pushed over each other so that all begin
 * within it. Any length; the same for all.
 */
export function sideBySide(boxes: readonly Size[], area: Size, gap: number): Point[] {
  const rows: { at: number[]; width: number; height: number }[] = [];
  boxes.forEach(({ width, height }, i) => {
    const row = rows.at(-1);
    if (row && row.width + gap + width <= area.width) {
      row.at.push(i);
      row.width += gap + width;
      row.height = Math.max(row.height, height);
    } else rows.push({ at: [i], width, height });
  });
  const heights = rows.reduce((sum, { height }) => sum + height, 0);
  const room = rows.length > 1 ? Math.min(gap, (area.height - heights) / (rows.length - 1)) : 0;
  const middles: Point[] = [];
  let top = (area.height - heights - room * (rows.length - 1)) / 2;
  for (const { at, width, height } of rows) {
    let left = (area.width - width) / 2;
    for (const i of at) {
      middles[i] = { x: left + boxes[i]!.width / 2, y: top + height / 2 };
      left += boxes[i]!.width + gap;
    }
    top += height + room;
  }
  return middles;
}
