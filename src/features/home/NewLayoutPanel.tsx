'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControl from '@mui/material/FormControl';
import InputLabel from '@mui/material/InputLabel';
import OutlinedInput from '@mui/material/OutlinedInput';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState, type FormEvent } from 'react';
import { parseLength } from '@/core/units/lengths';
import { checkSize, LAYOUT_SIZES } from '@/core/units/sizes';

interface Props {
  onCreate: (layout: { width: number; height: number; unit: 'in' | 'mm' }) => void;
}

/** Pixels a point takes in the size drawings: the largest, A3, is 76 px tall. */
const SCALE = 76 / (420 * (72 / 25.4));

export function NewLayoutPanel({ onCreate }: Props) {
  return (
    <Box component="section" aria-labelledby="new-heading">
      <Typography id="new-heading" variant="h2">
        Start a layout
      </Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5, mb: 1.5 }}>
        Pick its finished size. Everything is made for print at 300 pixels per inch.
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 1 }}>
        {LAYOUT_SIZES.map((size) => (
          <Button
            key={size.id}
            color="inherit"
            onClick={() =>
              onCreate({ width: size.width, height: size.height, unit: size.unit === 'mm' ? 'mm' : 'in' })
            }
            aria-label={`New layout ${size.name}, ${size.use}`}
            sx={{
              flexDirection: 'column',
              justifyContent: 'flex-end',
              height: 132,
              px: 0.5,
              border: 1,
              borderColor: 'divider',
              bgcolor: 'background.paper',
              '&:hover': { borderColor: 'primary.main', bgcolor: 'background.paper' },
            }}
          >
            <Box
              sx={{
                width: size.width * SCALE,
                height: size.height * SCALE,
                bgcolor: 'common.white',
                border: '1px solid #cfc8b8',
                boxShadow: '1px 2px 3px rgba(40,30,20,0.22)',
                mb: 1,
              }}
            />
            <Box component="span" sx={{ lineHeight: 1.2 }}>
              {size.name}
            </Box>
          </Button>
        ))}
      </Box>
      <CustomSize onCreate={onCreate} />
    </Box>
  );
}

function CustomSize({ onCreate }: Props) {
  const [unit, setUnit] = useState<'in' | 'mm'>('in');
  const [text, setText] = useState({ width: '', height: '' });
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
    const checked = checkSize(sides.width, sides.height, unit);
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
        {problem?.message ?? 'Any size from 1 to 60 in a side.'}
      </Typography>
      <Button type="submit" variant="outlined" fullWidth>
        Start with this size
      </Button>
    </Box>
  );
}
