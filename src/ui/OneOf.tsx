'use client';
/** One of a few, side by side; what is chosen stays chosen if it is pressed again. */
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { SxProps, Theme } from '@mui/material/styles';
import type { ReactNode } from 'react';

interface OneOfProps<T> {
  label: string;
  /** Null if none is. */
  value: T | null;
  all: readonly (readonly [T, ReactNode])[];
  disabled?: boolean;
  /** As wide as there is room, each of one width. */
  wide?: boolean;
  onChoose: (value: T) => void;
  sx?: SxProps<Theme>;
}

export const OneOf = <T extends string | number | boolean>({
  label,
  value,
  all,
  disabled,
  wide,
  onChoose,
  sx,
}: OneOfProps<T>) => (
  <ToggleButtonGroup
    exclusive
    fullWidth={wide}
    size="small"
    aria-label={label}
    value={value}
    disabled={disabled}
    onChange={(_, next: T | null) => next !== null && onChoose(next)}
    sx={sx}
  >
    {all.map(([each, name]) => (
      <ToggleButton key={String(each)} value={each}>
        {name}
      </ToggleButton>
    ))}
  </ToggleButtonGroup>
);
