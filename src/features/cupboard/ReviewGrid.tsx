'use client';
/** The rows in their groups: chosen by mouse, arrows and Space; a letter or a drag sorts what is chosen. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

import { useRef, type KeyboardEvent, type MouseEvent } from 'react';
import { uprightSize } from '@/core/picture/asset';
import { KINDS, type SupplyKind } from '@/core/supplies/model';
import { DOUBTFUL } from '@/core/supplies/sort';
import { formatLength, type Unit } from '@/core/units/lengths';
import type { Row } from '@/features/cupboard/gathering';
import { ROWS_TYPE } from '@/features/cupboard/KindTargets';
import { KIND_KEYS, type ReviewGroup } from '@/features/cupboard/review';
import { SupplyPicture } from '@/features/cupboard/SupplyPicture';
import { HIDDEN } from '@/ui/hidden';

interface Props {
  groups: readonly ReviewGroup[];
  chosen: ReadonlySet<string>;
  unit: Unit;
  onChoose: (ids: ReadonlySet<string>) => void;
  onSort: (kind: SupplyKind) => void;
}

export function ReviewGrid({ groups, chosen, unit, onChoose, onSort }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const last = useRef<string | null>(null);
  const order = groups.flatMap(({ rows }) => rows.map(({ id }) => id));

  const choose = (
    id: string,
    { shiftKey, ctrlKey, metaKey }: Pick<MouseEvent, 'shiftKey' | 'ctrlKey' | 'metaKey'>,
  ) => {
    if (shiftKey && last.current) {
      const [a, b] = [order.indexOf(last.current), order.indexOf(id)].sort((x, y) => x - y) as [
        number,
        number,
      ];
      return onChoose(new Set(order.slice(Math.max(0, a), b + 1)));
    }
    last.current = id;
    if (!ctrlKey && !metaKey) return onChoose(new Set([id]));
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    onChoose(next);
  };

  const press = (event: KeyboardEvent) => {
    const cells = [...frame.current!.querySelectorAll<HTMLElement>('[role="option"]')];
    const at = cells.indexOf(document.activeElement as HTMLElement);
    const id = cells[at]?.dataset.id;
    if (event.key === 'a' && (event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      return onChoose(new Set(order));
    }
    const to = targetOf(event.key, cells, at);
    if (to) {
      event.preventDefault();
      to.focus();
      if (event.shiftKey && to.dataset.id)
        choose(to.dataset.id, { shiftKey: true, ctrlKey: false, metaKey: false });
    } else if (event.key === ' ' && id) {
      event.preventDefault();
      choose(id, { shiftKey: event.shiftKey, ctrlKey: true, metaKey: false });
    } else if (!event.ctrlKey && !event.metaKey && !event.altKey && chosen.size) {
      const kind = KIND_KEYS.find(([, letter]) => letter === event.key.toUpperCase())?.[0];
      if (kind) {
        event.preventDefault();
        onSort(kind);
      }
    }
  };

  return (
    <Box
      ref={frame}
      role="listbox"
      aria-label="What came in"
      aria-multiselectable
      onKeyDown={press}
      sx={{ overflowY: 'auto', p: 2, pt: 1 }}
    >
      {groups.map(({ title, rows }, group) => (
        <Box key={title} role="group" aria-label={title}>
          <Typography component="div" aria-hidden="true" sx={{ fontWeight: 600, mt: 1.5, mb: 1 }}>
            {title}{' '}
            <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
              {rows.length}
            </Box>
          </Typography>
          <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(128px, 1fr))', gap: 1 }}>
            {rows.map((row, i) => (
              <Box
                key={row.id}
                role="option"
                aria-selected={chosen.has(row.id)}
                title={`${KINDS[row.kind].one}: ${row.why}`}
                data-id={row.id}
                tabIndex={group === 0 && i === 0 ? 0 : -1}
                draggable
                onClick={(event) => choose(row.id, event)}
                onDragStart={(event) => {
                  const ids = chosen.has(row.id) ? [...chosen] : [row.id];
                  if (!chosen.has(row.id)) onChoose(new Set(ids));
                  event.dataTransfer.setData(ROWS_TYPE, JSON.stringify(ids));
                }}
                sx={{
                  cursor: 'grab',
                  p: 0.5,
                  borderRadius: 1,
                  contentVisibility: 'auto',
                  containIntrinsicSize: '128px 164px',
                }}
              >
                <Box
                  sx={{
                    position: 'relative',
                    height: 104,
                    bgcolor: 'table.main',
                    borderRadius: 1,
                    border: 2,
                    borderStyle: chosen.has(row.id) ? 'dashed' : 'solid',
                    borderColor: chosen.has(row.id) ? 'primary.main' : 'transparent',
                  }}
                >
                  <SupplyPicture supply={row} />
                </Box>
                <Box
                  sx={{
                    fontSize: 14,
                    fontWeight: 600,
                    lineHeight: 1.3,
                    mt: 0.5,
                    overflow: 'hidden',
                    textOverflow: 'ellipsis',
                    whiteSpace: 'nowrap',
                  }}
                >
                  {row.letters ? `${row.letters}  ` : ''}
                  {row.name}
                </Box>
                <Box
                  sx={{
                    fontSize: 14,
                    color: 'text.secondary',
                    lineHeight: 1.3,
                    overflow: 'hidden',
                    textOverflow: 'ellipsis',
                    whiteSpace: 'nowrap',
                  }}
                >
                  <span style={group === 0 && row.sure < DOUBTFUL ? undefined : HIDDEN}>
                    {KINDS[row.kind].one},{' '}
                  </span>
                  {sizeInWords(row, unit)}
                </Box>
              </Box>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

function sizeInWords({ asset }: Row, unit: Unit): string {
  if (!asset) return '';
  const { width, height } = uprightSize(asset);
  const side = (pixels: number) => formatLength((pixels * 72) / asset.ppi, unit);
  return `${side(width)} x ${side(height)} ${unit}`;
}

/** The cell an arrow leads to: beside, or the nearest in the row above or below. */
function targetOf(key: string, cells: readonly HTMLElement[], at: number): HTMLElement | undefined {
  if (key === 'Home') return cells[0];
  if (key === 'End') return cells.at(-1);
  if (key === 'ArrowRight') return cells[Math.min(cells.length - 1, at + 1)];
  if (key === 'ArrowLeft') return cells[Math.max(0, at - 1)];
  if (key !== 'ArrowDown' && key !== 'ArrowUp') return undefined;
  const here = cells[at]?.getBoundingClientRect();
  if (!here) return cells[0];
  const way = key === 'ArrowDown' ? 1 : -1;
  let best: { cell: HTMLElement; far: number } | undefined;
  for (const cell of cells) {
    const there = cell.getBoundingClientRect();
    const down = (there.top - here.top) * way;
    if (down < here.height / 2) continue;
    const far = down * 4 + Math.abs(there.left - here.left);
    if (!best || far < best.far) best = { cell, far };
  }
  return best?.cell;
}
