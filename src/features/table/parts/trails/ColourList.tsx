'use client';
/** Colours that follow each other, one more or one less. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { IconPlus, IconX } from '@tabler/icons-react';
import { InkField } from '@/features/table/parts/inks/InkField';

interface Props {
  /** What one of them is called, such as “Bead”. */
  name: string;
  colours: readonly string[];
  most: number;
  disabled: boolean;
  onChange: (colours: string[]) => void;
}

export const ColourList = ({ name, colours, most, disabled, onChange }: Props) => (
  <Box role="group" aria-label="Colours in turn" sx={{ gridColumn: '1 / -1', display: 'grid', gap: 1 }}>
    {colours.map((colour, i) => (
      <Box key={i} sx={{ display: 'flex', gap: 0.5, alignItems: 'flex-start' }}>
        <Box sx={{ flex: 1 }}>
          <InkField
            label={`${name} ${i + 1}`}
            colour={colour}
            disabled={disabled}
            onChange={(next) => onChange(colours.map((each, at) => (at === i ? next : each)))}
          />
        </Box>
        {colours.length > 1 && (
          <IconButton
            color="inherit"
            disabled={disabled}
            aria-label={`Take ${name.toLowerCase()} ${i + 1} away`}
            onClick={() => onChange(colours.filter((_, at) => at !== i))}
          >
            <IconX size={17} />
          </IconButton>
        )}
      </Box>
    ))}
    {colours.length < most && (
      <Button
        size="small"
        color="inherit"
        startIcon={<IconPlus size={16} />}
        disabled={disabled}
        onClick={() => onChange([...colours, colours[0]!])}
        sx={{ justifySelf: 'start' }}
      >
        One more colour
      </Button>
    )}
  </Box>
);
