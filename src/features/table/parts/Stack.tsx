'use client';
/** A few things of one kind under each other, such as mats or shadows: one more, or one less. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconPlus, IconX } from '@tabler/icons-react';
import { useRef, type ReactNode } from 'react';

interface StackProps {
  title: string;
  /** What the button that adds one says. */
  more: string;
  full: boolean;
  onMore: () => void;
  children: ReactNode;
}

export function Stack({ title, more, full, onMore, children }: StackProps) {
  const section = useRef<HTMLElement>(null);
  const add = () => {
    onMore();
    // What was added may lie below the edge of the panel.
    requestAnimationFrame(() => {
      const panel = section.current?.closest('[data-about]');
      const last = section.current?.lastElementChild;
      if (!panel || !last) return;
      const below = last.getBoundingClientRect().bottom - panel.getBoundingClientRect().bottom;
      if (below > 0) panel.scrollTop += below;
    });
  };
  return (
    <Box ref={section} component="section" aria-label={title} sx={{ gridColumn: '1 / -1' }}>
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Typography component="h3" sx={{ fontSize: '0.95rem', fontWeight: 600, flex: 1 }}>
          {title}
        </Typography>
        <Button size="small" color="inherit" disabled={full} startIcon={<IconPlus size={16} />} onClick={add}>
          {more}
        </Button>
      </Box>
      {children}
    </Box>
  );
}

/** One of them, called such as “Mat 1”, its fields in two columns. */
export const Layer = ({ name, children }: { name: string; children: ReactNode }) => (
  <Box
    role="group"
    aria-label={name}
    sx={{
      display: 'grid',
      gridTemplateColumns: '1fr 1fr',
      gap: '12px 8px',
      alignItems: 'center',
      borderTop: '1px dotted',
      borderColor: 'divider',
      py: 1.25,
    }}
  >
    {children}
  </Box>
);

interface TakeAwayProps {
  name: string;
  disabled: boolean;
  onTake: () => void;
}

/** Takes one of them away; stands beside its second field. */
export const TakeAway = ({ name, disabled, onTake }: TakeAwayProps) => (
  <Tooltip title={`Take this ${name.split(' ')[0]!.toLowerCase()} away`}>
    <IconButton
      color="inherit"
      disabled={disabled}
      aria-label={`Take ${name.toLowerCase()} away`}
      onClick={onTake}
    >
      <IconX size={17} />
    </IconButton>
  </Tooltip>
);
