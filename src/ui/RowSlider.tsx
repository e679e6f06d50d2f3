'use client';
/** A slider in a row: what it sets to the left, to how much to the right. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { LabelledSlider } from '@/ui/LabelledSlider';

interface Props {
  label: string;
  least: number;
  most: number;
  step?: number;
  value: number;
  disabled?: boolean;
  /** What it says at the right; the value without. */
  says?: string;
  /** What it says to those who cannot see. */
  spoken?: (value: number) => string;
  onChange: (value: number) => void;
}

export const RowSlider = ({
  label,
  least,
  most,
  step = 1,
  value,
  disabled,
  says,
  spoken,
  onChange,
}: Props) => (
  <Box sx={{ display: 'grid', gridTemplateColumns: '116px 1fr 40px', columnGap: 1, alignItems: 'center' }}>
    <LabelledSlider
      label={label}
      getAriaValueText={spoken}
      min={least}
      max={most}
      step={step}
      track={least < 0 ? false : 'normal'}
      value={value}
      disabled={disabled}
      onChange={onChange}
    />
    <Typography variant="body2" sx={{ textAlign: 'right', fontVariantNumeric: 'tabular-nums' }}>
      {says ?? String(Math.round(value * 10) / 10)}
    </Typography>
  </Box>
);
