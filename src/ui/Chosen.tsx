'use client';
/** One of a list, by name. */
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

interface ChosenProps<T extends string | number> {
  label: string;
  value: T;
  all: readonly (readonly [T, string])[];
  disabled: boolean;
  onChoose: (value: T) => void;
}

export const Chosen = <T extends string | number>({
  label,
  value,
  all,
  disabled,
  onChoose,
}: ChosenProps<T>) => (
  <TextField
    select
    label={label}
    value={value}
    disabled={disabled}
    onChange={(event) => onChoose(event.target.value as T)}
    sx={{ minWidth: 0 }}
  >
    {all.map(([id, name]) => (
      <MenuItem key={id} value={id}>
        {name}
      </MenuItem>
    ))}
  </TextField>
);
