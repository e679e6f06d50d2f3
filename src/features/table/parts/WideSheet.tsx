'use client';
/** A sheet that takes the whole window: choices beside what comes of them, each scrolled by itself. */
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Box from '@mui/material/Box';
import { Purpose } from '@/features/table/parts/Purpose';
import { useId, type ReactNode } from 'react';

interface Props {
  title: ReactNode;
  /** Beside the title. */
  tools?: ReactNode;
  /** Between the title and what is shown. */
  head?: ReactNode;
  /** How wide each column is, as in a CSS grid. */
  columns: string;
  children: ReactNode;
  actions: ReactNode;
  onClose: () => void;
}

export function WideSheet({ title, tools, head, columns, children, actions, onClose }: Props) {
  const id = useId();
  return (
    <Dialog
      open
      onClose={onClose}
      maxWidth="xl"
      fullWidth
      aria-labelledby={id}
      slotProps={{ paper: { sx: { height: 'calc(100% - 48px)', m: 3 } } }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, pr: tools ? 3 : 0 }}>
        <DialogTitle id={id} variant="h2" sx={{ pb: 0.5, flex: 1 }}>
          {title}
        </DialogTitle>
        {tools}
      </Box>
      <Purpose pad={3} />
      {head}
      <DialogContent
        dividers
        sx={{ display: 'grid', gridTemplateColumns: columns, overflow: 'hidden', p: 0 }}
      >
        {children}
      </DialogContent>
      <DialogActions sx={{ px: 3, py: 1.5 }}>{actions}</DialogActions>
    </Dialog>
  );
}
