'use client';
/** Which of all that can be made is made into a file. */
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Choice } from '@/features/table/tasks/making/choices';

interface Props {
  choices: readonly Choice[];
  choice: Choice;
  disabled: boolean;
  onChoose: (id: string) => void;
}

export function WhatIsMade({ choices, choice, disabled, onChoose }: Props) {
  if (choices.length < 2) return null;
  return (
    <TextField
      select
      fullWidth
      label="What is made"
      value={choice.id}
      disabled={disabled}
      onChange={(event) => onChoose(event.target.value)}
      sx={{ mb: 1.5, mt: 0.75 }}
    >
      {choices.map(({ id, says }) => (
        <MenuItem key={id} value={id}>
          {says}
        </MenuItem>
      ))}
    </TextField>
  );
}
