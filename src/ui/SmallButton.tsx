'use client';
/** A small button of one icon, with what it does as its name and tip. */
import IconButton from '@mui/material/IconButton';
import Tooltip from '@mui/material/Tooltip';
import type { ReactNode } from 'react';

interface Props {
  label: string;
  disabled?: boolean;
  onClick: () => void;
  children: ReactNode;
}

export const SmallButton = ({ label, disabled, onClick, children }: Props) => (
  <Tooltip title={label}>
    <span>
      <IconButton size="small" color="inherit" aria-label={label} disabled={disabled} onClick={onClick}>
        {children}
      </IconButton>
    </span>
  </Tooltip>
);
