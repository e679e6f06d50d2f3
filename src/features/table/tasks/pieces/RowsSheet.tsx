'use client';
/** Rows and columns of what is selected: the numbers lay them at once, and can be changed for as long as they are one piece. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { sizeOfCells } from '@/core/page/arrange';
import { normalTurn } from '@/core/piece/placement/placement';
import { LEAST_STEP, MOST_REPEATED, MOST_STEP } from '@/core/project/schema';
import type { Repeat } from '@/core/project/model';
import { formatLength, formatSize, toPoints } from '@/core/units/lengths';
import {
  FARTHEST,
  measureWithin,
  percentWithin,
  readDegrees,
  wholeWithin,
} from '@/features/table/parts/measures';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { SideSheet } from '@/features/table/parts/SideSheet';
import { LengthField } from '@/ui/LengthField';

const FIRST: Repeat = {
  columns: 3,
  rows: 2,
  gapX: toPoints(0.25, 'in'),
  gapY: toPoints(0.25, 'in'),
  shift: 0,
};

const inPercent = (share: number): string => String(Math.round(share * 1000) / 10);

export function RowsSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const unit = useSession((session) => session.history.project.unit);
  const readOnly = useSession((session) => session.readOnly);
  const chosen = useSession((session) => session.selection.length);
  const [asked, setAsked] = useState<Repeat>(FIRST);
  const [problem, setProblem] = useState<string | null>(null);
  const now = useSession(act.repeatedGroup);
  const repeat = now?.repeat ?? asked;
  const cell = useSession(useShallow(act.cellSize));
  const lay = (change: Partial<Repeat>) => {
    const next = Object.fromEntries(
      Object.entries({ ...repeat, ...change }).filter(([, value]) => value !== undefined),
    ) as unknown as Repeat;
    const laid = act.repeatChosen(store, next);
    setProblem(laid.ok ? null : laid.message);
    if (laid.ok) setAsked(next);
  };
  const set = (change: Partial<Repeat>) => (now ? lay(change) : setAsked({ ...repeat, ...change }));
  const shut = readOnly && now !== null;
  const whole = wholeWithin(1, MOST_REPEATED);
  const length = measureWithin(unit, -FARTHEST, FARTHEST);
  const total = cell && sizeOfCells(repeat, cell);
  return (
    <SideSheet title="Rows and columns" onClose={onClose}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '14px 8px' }}>
        <LengthField
          label="Columns"
          disabled={shut}
          shown={String(repeat.columns)}
          read={whole}
          onCommit={(columns) => set({ columns })}
        />
        <LengthField
          label="Rows"
          disabled={shut}
          shown={String(repeat.rows)}
          read={whole}
          onCommit={(rows) => set({ rows })}
        />
        <LengthField
          label="Gap across"
          disabled={shut}
          unit={unit}
          shown={formatLength(repeat.gapX, unit)}
          read={length}
          onCommit={(gapX) => set({ gapX })}
        />
        <LengthField
          label="Gap down"
          disabled={shut}
          unit={unit}
          shown={formatLength(repeat.gapY, unit)}
          read={length}
          onCommit={(gapY) => set({ gapY })}
        />
        <LengthField
          label="Shift every second row"
          disabled={shut}
          unit={unit}
          shown={formatLength(repeat.shift, unit)}
          read={length}
          onCommit={(shift) => set({ shift })}
        />
        <Button
          size="small"
          color="inherit"
          disabled={shut || !cell}
          onClick={() => cell && set({ shift: (cell.width + repeat.gapX) / 2 })}
        >
          Half a step
        </Button>
        <LengthField
          label="Each larger by"
          disabled={shut}
          unit="%"
          shown={inPercent((repeat.scale ?? 1) - 1)}
          read={percentWithin(LEAST_STEP.scale - 1, MOST_STEP.scale - 1)}
          onCommit={(by) => set({ scale: by ? 1 + by : undefined })}
        />
        <LengthField
          label="Each turned by"
          disabled={shut}
          unit="°"
          shown={String(repeat.turn ?? 0)}
          read={readDegrees}
          onCommit={(turn) => set({ turn: normalTurn(turn) || undefined })}
        />
        <LengthField
          label="Each fainter by"
          disabled={shut}
          unit="%"
          shown={inPercent(1 - (repeat.fade ?? 1))}
          read={percentWithin(0, 1 - LEAST_STEP.fade)}
          onCommit={(by) => set({ fade: by ? 1 - by : undefined })}
        />
      </Box>
      <Typography role="status" sx={{ my: 1.25 }} color={problem ? 'error' : undefined}>
        {problem ??
          (total
            ? `${repeat.columns * repeat.rows} in all, ${formatSize(total, unit)}. A gap below zero lets them overlap.`
            : 'Select what is to be repeated.')}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1 }}>
        {now ? (
          <>
            <Button variant="contained" onClick={onClose}>
              Done
            </Button>
            <Button color="inherit" disabled={readOnly} onClick={() => act.ungroupChosen(store)}>
              Take apart
            </Button>
          </>
        ) : (
          <Button variant="contained" disabled={readOnly || !chosen} onClick={() => lay({})}>
            Lay them
          </Button>
        )}
      </Box>
    </SideSheet>
  );
}
