/** Several pages on one sheet of paper, each as large as there is room for, in rows: to look at, to give away, to proof. */
import type { Size } from '@/core/geometry/box';
import { NO_SIDES } from '@/core/geometry/sides';
import type { Tiling } from '@/core/packing/tiles';
import type { PrintSheet } from '@/core/product/imposition';
import { fail, ok, type Result } from '@/core/result';

/** How many can be on a sheet. */
export const SEVERAL = [2, 4, 6, 9] as const;
/** Between pages, points. */
const GAP = 9;

export interface SeveralOn {
  sheets: PrintSheet[];
  /** What the smallest page comes to; 1 for true to size. */
  scale: number;
}

/** @param pages in their order; the paper lies so that they come out largest */
export function severalOn(pages: readonly Size[], count: number, { paper, lost }: Tiling): Result<SeveralOn> {
  const most = {
    width: Math.max(...pages.map(({ width }) => width)),
    height: Math.max(...pages.map(({ height }) => height)),
  };
  const ways = [paper, { width: paper.height, height: paper.width }].flatMap((size) => {
    // Whichever way it goes through the printer, nothing lies where it prints nothing.
    const edge = Math.max(lost.top, lost.right, lost.bottom, lost.left);
    const room = { width: size.width - 2 * edge, height: size.height - 2 * edge };
    return Array.from({ length: count }, (_, i) => i + 1)
      .filter((columns) => count % columns === 0)
      .map((columns) => {
        const rows = count / columns;
        const cell = {
          width: (room.width - (columns - 1) * GAP) / columns,
          height: (room.height - (rows - 1) * GAP) / rows,
        };
        return {
          size,
          edge,
          columns,
          rows,
          cell,
          scale: Math.min(1, cell.width / most.width, cell.height / most.height),
        };
      });
  });
  const best = ways.reduce((a, b) => (b.scale > a.scale ? b : a));
  if (!(best.scale > 0)) return fail(`There is no room for ${count} pages on this paper.`);
  const { size, edge, columns, cell, scale } = best;
  const sheets = Array.from({ length: Math.ceil(pages.length / count) }, (_, sheet): PrintSheet => ({
    ...{ trim: size, bleed: NO_SIDES, cuts: { x: [], y: [] }, folds: { x: [], y: [] } },
    // Nothing is marked, beside it least of all: it is the paper in the printer.
    ticks: [],
    placed: pages.slice(sheet * count, (sheet + 1) * count).map(({ width, height }, i) => {
      const [column, row] = [i % columns, Math.floor(i / columns)];
      const x = edge + column * (cell.width + GAP) + (cell.width - scale * width) / 2;
      const y = edge + row * (cell.height + GAP) + (cell.height - scale * height) / 2;
      return {
        page: 1 + sheet * count + i,
        map: [scale, 0, 0, scale, x, y],
        seen: { x, y, width: scale * width, height: scale * height },
      };
    }),
  }));
  return ok({ sheets, scale });
}
