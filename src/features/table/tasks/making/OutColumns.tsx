'use client';
/** What is chosen beside what comes of it, each scrolled by itself, over what can be done. */
import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

interface Props {
  choices: ReactNode;
  outcome: ReactNode;
  actions: ReactNode;
}

const column = { overflowY: 'auto', minWidth: 0, px: 3, py: 2 } as const;

export const OutColumns = ({ choices, outcome, actions }: Props) => (
  <Box sx={{ display: 'flex', flexDirection: 'column', minWidth: 0, minHeight: 0 }}>
    <Box
      sx={{
        ...{ flex: 1, minHeight: 0, display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' } },
        overflowY: { xs: 'auto', md: 'hidden' },
      }}
    >
      <Box sx={column}>{choices}</Box>
      <Box sx={{ ...column, display: 'flex', flexDirection: 'column', gap: 1.5 }}>{outcome}</Box>
    </Box>
    <Box
      sx={{
        ...{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, px: 3, py: 1.75 },
        ...{ borderTop: 1, borderColor: 'divider' },
      }}
    >
      {actions}
    </Box>
  </Box>
);
