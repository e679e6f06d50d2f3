'use client';
/** The kinds as places to put what is chosen: pressed, by their letter, or dropped upon. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { KINDS, type SupplyKind } from '@/core/supplies/model';
import type { Row } from '@/features/cupboard/gathering';
import { KIND_KEYS } from '@/features/cupboard/review';

export const ROWS_TYPE = 'application/x-bellagraph-rows';

interface Props {
  rows: readonly Row[];
  chosen: number;
  onSort: (kind: SupplyKind, ids?: ReadonlySet<string>) => void;
}

export function KindTargets({ rows, chosen, onSort }: Props) {
  const [over, setOver] = useState<SupplyKind | null>(null);
  return (
    <Box
      component="section"
      aria-label="Sort as"
      sx={{
        p: 1.25,
        borderRight: 1,
        borderColor: 'divider',
        overflowY: 'auto',
        bgcolor: 'background.default',
      }}
    >
      <Typography component="h3" sx={{ fontWeight: 600, px: 1, mb: 0.5 }}>
        Sort as
      </Typography>
      {KIND_KEYS.map(([kind, letter]) => (
        <ButtonBase
          key={kind}
          disabled={chosen === 0}
          onClick={() => onSort(kind)}
          aria-keyshortcuts={letter}
          onDragOver={(event) => {
            if (!event.dataTransfer.types.includes(ROWS_TYPE)) return;
            event.preventDefault();
            setOver(kind);
          }}
          onDragLeave={() => setOver(null)}
          onDrop={(event) => {
            event.preventDefault();
            event.stopPropagation();
            setOver(null);
            const ids = JSON.parse(event.dataTransfer.getData(ROWS_TYPE) || '[]') as string[];
            onSort(kind, new Set(ids));
          }}
          sx={{
            width: '100%',
            minHeight: 38,
            px: 1,
            gap: 1,
            borderRadius: 1,
            justifyContent: 'flex-start',
            fontFamily: 'inherit',
            fontSize: '0.95rem',
            border: '2px dashed',
            borderColor: over === kind ? 'secondary.main' : 'transparent',
            '&:hover': { bgcolor: 'action.hover' },
          }}
        >
          <Box
            component="kbd"
            aria-hidden="true"
            sx={{
              width: 22,
              fontFamily: 'inherit',
              fontSize: 14,
              border: 1,
              borderColor: 'divider',
              borderRadius: 0.75,
              textAlign: 'center',
            }}
          >
            {letter}
          </Box>
          <Box component="span" sx={{ flex: 1, textAlign: 'left' }}>
            {KINDS[kind].many}
          </Box>
          <Box component="span" aria-hidden="true" sx={{ color: 'text.secondary' }}>
            {rows.filter((row) => row.kind === kind).length || ''}
          </Box>
        </ButtonBase>
      ))}
    </Box>
  );
}
