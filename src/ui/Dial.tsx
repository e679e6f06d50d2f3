'use client';
/** A slider that says what it sets, and to how much. */
import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';

interface Props {
  name: string;
  unit: string;
  least: number;
  most: number;
  step?: number;
  value: number;
  disabled?: boolean;
  onChange: (value: number) => void;
}

export const Dial = ({ name, unit, least, most, step = 1, value, disabled, onChange }: Props) => (
  <Box sx={{ px: 1, mb: 0.5 }}>
    <Typography variant="body2">
      {name} {Math.round(value * 10) / 10} {unit}
    </Typography>
    <Slider
      size="small"
      aria-label={name}
      min={least}
      max={most}
      step={step}
      value={value}
      disabled={disabled}
      onChange={(_, next) => onChange(next as number)}
    />
  </Box>
);
