'use client';
/** What goes where: the sides of sheets before they are folded, each page by its number, those on their heads turned. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import type { Size } from '@/core/geometry/box';
import { imposed, type Cell, type Folding, type SheetSide } from '@/core/product/imposition';

interface Props {
  pages: number;
  folding: Folding;
  /** Of one page. */
  page: Size;
}

/** Sheets that are shown; the others go on alike. */
const SHOWN = 6;
/** How large a page is drawn, its longer side. */
const LONG = 30;

export function FoldingPlan({ pages, folding: { folds, nested }, page }: Props) {
  const sides = useMemo(
    () => imposed(pages, nested === undefined ? { folds } : { folds, nested }),
    [pages, folds, nested],
  );
  const scale = LONG / Math.max(page.width, page.height);
  const size = { width: page.width * scale, height: page.height * scale };
  const sheets = sides.length / 2;
  return (
    <Box
      component="figure"
      aria-label="Which page goes where"
      sx={{ m: 0, display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-end' }}
    >
      {sides.slice(0, 2 * SHOWN).map((side) => (
        <Side key={`${side.sheet} ${side.back}`} {...{ side, size }} />
      ))}
      {sheets > SHOWN && (
        <Typography variant="caption" color="text.secondary">
          and {sheets - SHOWN} more
        </Typography>
      )}
    </Box>
  );
}

/** Row by row, as one reads. */
const inReading = (cells: readonly Cell[]): string =>
  [...cells]
    .sort((a, b) => a.row - b.row || a.column - b.column)
    .map(({ page }) => page ?? 'blank')
    .join(', ');

function Side({ side: { sheet, back, columns, rows, cells }, size }: { side: SheetSide; size: Size }) {
  const { width, height } = size;
  const [w, h] = [columns * width, rows * height];
  const inner = (count: number) => Array.from({ length: count - 1 }, (_, i) => i + 1);
  return (
    <Box sx={{ color: 'text.primary' }}>
      <svg
        width={w + 2}
        height={h + 2}
        viewBox={`-1 -1 ${w + 2} ${h + 2}`}
        role="img"
        aria-label={`Sheet ${sheet}, ${back ? 'back' : 'front'}: ${inReading(cells)}`}
      >
        <rect width={w} height={h} fill="none" stroke="currentColor" />
        {inner(columns).map((i) => (
          <line
            key={`x${i}`}
            x1={i * width}
            x2={i * width}
            y2={h}
            stroke="currentColor"
            strokeDasharray="3 2"
          />
        ))}
        {inner(rows).map((i) => (
          <line
            key={`y${i}`}
            y1={i * height}
            y2={i * height}
            x2={w}
            stroke="currentColor"
            strokeDasharray="3 2"
          />
        ))}
        {cells.map(({ page, column, row, turned }) => (
          <text
            key={`${column} ${row}`}
            transform={`translate(${(column + 0.5) * width} ${(row + 0.5) * height}) rotate(${turned ? 180 : 0})`}
            textAnchor="middle"
            dominantBaseline="central"
            fontSize={13}
            fill="currentColor"
          >
            {page ?? ''}
          </text>
        ))}
      </svg>
      <Typography variant="caption" color="text.secondary" sx={{ display: 'block', textAlign: 'center' }}>
        {sheet} {back ? 'back' : 'front'}
      </Typography>
    </Box>
  );
}
