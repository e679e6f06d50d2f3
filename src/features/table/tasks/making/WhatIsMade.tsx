'use client';
/** What is made into a file: the side that is shown, one panel of it, all sides, or what is selected by itself. */
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';

export type What = 'this' | 'panel' | 'all' | 'chosen';

interface Props {
  what: What;
  /** What the side that is shown is called. */
  side: string;
  sides: number;
  /** How many pieces are selected. */
  chosen: number;
  /** Its panels by name, if it has several; the one that is meant. */
  panels: readonly string[];
  panel: string | undefined;
  disabled: boolean;
  onWhat: (what: What) => void;
  onPanel: (name: string) => void;
}

export function WhatIsMade({ what, side, sides, chosen, panels, panel, disabled, onWhat, onPanel }: Props) {
  if (!chosen && sides < 2 && panels.length < 2) return null;
  return (
    <>
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        disabled={disabled}
        value={what}
        aria-label="What is made"
        onChange={(_, next: What | null) => next && onWhat(next)}
        sx={{ mb: 1.25 }}
      >
        <ToggleButton value="this">{side}</ToggleButton>
        {sides > 1 && <ToggleButton value="all">{`All ${sides}`}</ToggleButton>}
        {panels.length > 1 && <ToggleButton value="panel">One panel</ToggleButton>}
        {chosen > 0 && (
          <ToggleButton value="chosen">
            {chosen === 1 ? 'The selected piece' : `The ${chosen} selected pieces`}
          </ToggleButton>
        )}
      </ToggleButtonGroup>
      {what === 'panel' && (
        <TextField
          select
          fullWidth
          label="Panel"
          value={panel ?? ''}
          disabled={disabled}
          onChange={(event) => onPanel(event.target.value)}
          sx={{ mb: 1.25 }}
        >
          {panels.map((name) => (
            <MenuItem key={name} value={name}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      )}
    </>
  );
}
