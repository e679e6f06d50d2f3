'use client';
/** How a band lies where it crosses itself. */
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { CROSSES, type Crosses } from '@/core/trail/crossing';

const NAMES: Record<Crosses, string> = {
  over: 'Later over earlier',
  under: 'Later under earlier',
  turns: 'Over and under by turns',
};

interface Props<T> {
  trail: T;
  disabled: boolean;
  onChange: (trail: T) => void;
}

export function CrossesField<T extends { crosses?: Crosses }>({ trail, disabled, onChange }: Props<T>) {
  return (
    <TextField
      select
      label="Where it crosses itself"
      value={trail.crosses ?? 'over'}
      disabled={disabled}
      onChange={(event) => {
        const { crosses: _, ...plain } = trail;
        const crosses = event.target.value as Crosses;
        onChange((crosses === 'over' ? plain : { ...plain, crosses }) as T);
      }}
      sx={{ gridColumn: '1 / -1' }}
    >
      {CROSSES.map((each) => (
        <MenuItem key={each} value={each}>
          {NAMES[each]}
        </MenuItem>
      ))}
    </TextField>
  );
}
