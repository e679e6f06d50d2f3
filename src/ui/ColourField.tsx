'use client';

import Box from '@mui/material/Box';
import { HEX_COLOUR } from '@/core/color/hex';
import { fail, ok, type Result } from '@/core/result';
import { LengthField } from '@/ui/LengthField';

interface Props {
  label: string;
  colour: string;
  onChange: (colour: string) => void;
  disabled?: boolean;
}

const readHex = (text: string): Result<number> => {
  const hex = text.trim().toLowerCase().replace(/^#?/, '#');
  return HEX_COLOUR.test(hex) ? ok(Number.parseInt(hex.slice(1), 16)) : fail('Six digits, such as #9e2b45.');
};

/** A colour by eye or by number. */
export function ColourField({ label, colour, onChange, disabled }: Props) {
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
      <Box
        component="input"
        type="color"
        aria-label={`${label}, by eye`}
        value={colour}
        disabled={disabled}
        onChange={(event) => onChange((event.target as HTMLInputElement).value)}
        sx={{
          width: 38,
          height: 38,
          p: 0.25,
          border: 1,
          borderColor: 'divider',
          borderRadius: 1,
          bgcolor: 'transparent',
          cursor: 'pointer',
          flexShrink: 0,
        }}
      />
      <LengthField
        label={label}
        shown={colour}
        read={readHex}
        disabled={disabled}
        onCommit={(value) => onChange(`#${value.toString(16).padStart(6, '0')}`)}
      />
    </Box>
  );
}
