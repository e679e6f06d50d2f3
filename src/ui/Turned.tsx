'use client';
/** Something that is so or not. */
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';

interface TurnedProps {
  label: string;
  on: boolean;
  disabled: boolean;
  onTurn: (on: boolean) => void;
}

export const Turned = ({ label, on, disabled, onTurn }: TurnedProps) => (
  <FormControlLabel
    control={<Switch checked={on} disabled={disabled} onChange={(_, next) => onTurn(next)} />}
    label={label}
  />
);
