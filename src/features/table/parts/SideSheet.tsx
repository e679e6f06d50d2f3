'use client';
/** A small sheet at the table's edge: the page stays in sight and in reach while it is open. */
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Paper from '@mui/material/Paper';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconX } from '@tabler/icons-react';
import { useEffect, useLayoutEffect, useRef, useState, type ReactNode } from 'react';
import { keepAside } from '@/features/table/acts';
import { Purpose } from '@/features/table/parts/Purpose';
import { useRoom } from '@/features/table/room/context';
import { focusBack } from '@/features/table/stage/focus';
import { tip } from '@/features/table/tasks';

/** Where it lies on the stage, CSS pixels. */
const [LEFT, WIDTH] = [60, 300];

interface Props {
  title: string;
  onClose: () => void;
  children: ReactNode;
}

export function SideSheet({ title, onClose, children }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const [before] = useState(() => document.activeElement as HTMLElement | null);
  useLayoutEffect(() => {
    const element = frame.current!;
    // Its first field, or the sheet itself, so that its keys work at once.
    (element.querySelector<HTMLElement>('input') ?? element).focus();
  }, []);
  useEffect(() => () => focusBack(before), [before]);
  const { store } = useRoom();
  useLayoutEffect(() => {
    keepAside(store, LEFT + WIDTH);
    return () => keepAside(store, 0);
  }, [store]);
  return (
    <Paper
      ref={frame}
      role="dialog"
      tabIndex={-1}
      aria-label={title}
      elevation={6}
      data-own-keys
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onClose();
      }}
      sx={{
        position: 'absolute',
        left: LEFT,
        bottom: 16,
        width: WIDTH,
        maxHeight: 'calc(100% - 60px)',
        overflowY: 'auto',
        p: 2,
        pt: 1,
        zIndex: 4,
        borderRadius: 2.5,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', mb: 0.25 }}>
        <Typography variant="h3" component="h2" sx={{ flex: 1 }}>
          {title}
        </Typography>
        <Tooltip title={tip('Shut', 'Esc')}>
          <IconButton size="small" color="inherit" aria-label={`Shut ${title}`} onClick={onClose}>
            <IconX size={18} />
          </IconButton>
        </Tooltip>
      </Box>
      <Purpose />
      {children}
    </Paper>
  );
}
