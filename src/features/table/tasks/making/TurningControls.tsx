'use client';
/** How paper is turned over between its two sides. */
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { TurnedOver } from '@/core/packing/sheets';

interface Props {
  over: TurnedOver;
  disabled: boolean;
  onChange: (over: TurnedOver) => void;
}

export function TurningControls({ over, disabled, onChange }: Props) {
  return (
    <TextField
      select
      fullWidth
      label="For its other side the paper is turned"
      value={over}
      disabled={disabled}
      onChange={(event) => onChange(event.target.value as TurnedOver)}
      sx={{ mb: 1.5 }}
    >
      <MenuItem value="sideways">Like the page of a book</MenuItem>
      <MenuItem value="over">Over its head</MenuItem>
    </TextField>
  );
}
