'use client';

import Slider, { type SliderProps } from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useId } from 'react';

type Props = Pick<SliderProps, 'min' | 'max' | 'step' | 'disabled' | 'track' | 'getAriaValueText'> & {
  /** What is set, with its value where that helps. */
  label: string;
  value: number;
  onChange: (value: number) => void;
  /** When the hand lets go. */
  onCommit?: (value: number) => void;
};

/** A slider named by the words beside or above it, as the grid it stands in has it. */
export function LabelledSlider({ label, value, onChange, onCommit, ...slider }: Props) {
  const id = useId();
  return (
    <>
      <Typography id={id} variant="body2">
        {label}
      </Typography>
      <Slider
        size="small"
        aria-labelledby={id}
        value={value}
        onChange={(_, next) => onChange(next as number)}
        onChangeCommitted={onCommit && ((_, next) => onCommit(next as number))}
        {...slider}
      />
    </>
  );
}
