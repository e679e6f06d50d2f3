'use client';
/** How the sheets are folded that pages lie on. */
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { MOST_FOLDS, MOST_NESTED, pagesOfSheet, type Folding } from '@/core/product/imposition';
import { fail, ok } from '@/core/result';
import { LengthField } from '@/ui/LengthField';

const TIMES = ['', 'Once', 'Twice', 'Three times'];

interface Props {
  folding: Required<Folding>;
  /** All of them make one signature. */
  oneSignature: boolean;
  disabled: boolean;
  onChange: (change: Partial<Folding>) => void;
}

export function FoldingControls({ folding: { folds, nested }, oneSignature, disabled, onChange }: Props) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5, mb: 1.5 }}>
      <TextField
        select
        label="Each sheet is folded"
        value={folds}
        disabled={disabled}
        onChange={(event) => onChange({ folds: Number(event.target.value) })}
      >
        {Array.from({ length: MOST_FOLDS }, (_, i) => (
          <MenuItem key={i} value={i + 1}>
            {TIMES[i + 1]}: {pagesOfSheet(i + 1)} pages
          </MenuItem>
        ))}
      </TextField>
      {!oneSignature && (
        <LengthField
          label="Sheets to a signature"
          disabled={disabled}
          shown={String(nested)}
          read={(text) => {
            const value = Number(text);
            return Number.isInteger(value) && value >= 1 && value <= MOST_NESTED
              ? ok(value)
              : fail(`A whole number from 1 to ${MOST_NESTED}.`);
          }}
          onCommit={(value) => onChange({ nested: value })}
        />
      )}
    </Box>
  );
}
