'use client';
/** A finished size of one's own, in any unit people write. Fetched when it is first wanted. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControl from '@mui/material/FormControl';
import InputLabel from '@mui/material/InputLabel';
import OutlinedInput from '@mui/material/OutlinedInput';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import { parseLength } from '@/core/units/lengths';
import { checkSize } from '@/core/units/sizes';
import type { Begun } from '@/features/home/begin';

interface CustomProps {
  /** The longest a side may be, points. */
  most: number;
  onCreate: (size: Omit<Begun, 'kind' | 'way'>) => void;
}

export function CustomSize({ most, onCreate }: CustomProps) {
  const [unit, setUnit] = useState<'in' | 'mm'>('in');
  const [text, setText] = useState({ width: '', height: '' });
  const first = useRef<HTMLInputElement>(null);
  useEffect(() => first.current?.focus(), []);
  const [problem, setProblem] = useState<{ side: 'width' | 'height'; message: string } | null>(null);

  const submit = (event: FormEvent) => {
    event.preventDefault();
    const sides = { width: 0, height: 0 };
    for (const side of ['width', 'height'] as const) {
      const read = parseLength(text[side], unit);
      if (!read.ok)
        return setProblem({
          side,
          message: text[side].trim()
            ? read.message
            : `Give a ${side}, such as ${unit === 'in' ? '7 1/2' : '190'}.`,
        });
      sides[side] = read.value;
    }
    const checked = checkSize(sides.width, sides.height, unit, most);
    if (!checked.ok)
      return setProblem({
        side: checked.message.startsWith('Height') ? 'height' : 'width',
        message: checked.message,
      });
    setProblem(null);
    onCreate({ ...checked.value, unit });
  };

  const field = (side: 'width' | 'height', label: string) => (
    <FormControl size="small" error={problem?.side === side} sx={{ flex: 1 }}>
      <InputLabel htmlFor={`custom-${side}`}>{label}</InputLabel>
      <OutlinedInput
        id={`custom-${side}`}
        {...(side === 'width' ? { inputRef: first } : {})}
        label={label}
        value={text[side]}
        onChange={(event) => {
          setText({ ...text, [side]: event.target.value });
          setProblem(null);
        }}
        inputProps={{ 'aria-describedby': 'custom-problem', autoComplete: 'off' }}
      />
    </FormControl>
  );

  return (
    <Box component="form" onSubmit={submit} aria-label="Custom size" sx={{ mt: 2 }} noValidate>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        {field('width', 'Width')}
        <span aria-hidden="true">x</span>
        {field('height', 'Height')}
        <ToggleButtonGroup
          exclusive
          size="small"
          value={unit}
          onChange={(_, next) => next && setUnit(next)}
          aria-label="Unit"
        >
          <ToggleButton value="in">in</ToggleButton>
          <ToggleButton value="mm">mm</ToggleButton>
        </ToggleButtonGroup>
      </Box>
      <Typography
        id="custom-problem"
        role={problem ? 'alert' : undefined}
        variant="caption"
        color={problem ? 'error' : 'text.secondary'}
        sx={{ display: 'block', my: 0.75, minHeight: 20 }}
      >
        {problem?.message ?? `Any size from 1 to ${most / 72} in a side.`}
      </Typography>
      <Button type="submit" variant="outlined" fullWidth>
        Start with this size
      </Button>
    </Box>
  );
}
