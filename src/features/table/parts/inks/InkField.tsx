'use client';
/** An ink as a field: written, or chosen behind its swatch. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import { useState } from 'react';
import { CssField } from '@/features/shared/CssField';
import type { Spot } from '@/features/table/parts/inks/InkPopover';
import { fetched } from '@/ui/fetched';

/** With its frame: where it opens is reckoned from how large it is. */
export const InkPopover = fetched('The inks', () =>
  import('@/features/table/parts/inks/InkPopover').then((m) => m.InkPopover),
);

interface Props {
  label: string;
  colour: string;
  disabled: boolean;
  onChange: (colour: string) => void;
}

export function InkField({ label, colour, disabled, onChange }: Props) {
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}>
      <InkSwatch label={label} colour={colour} disabled={disabled} onChange={onChange} />
      <CssField label={label} colour={colour} disabled={disabled} onChange={onChange} />
    </Box>
  );
}

/** The swatch alone: it opens the picker. */
export function InkSwatch({ label, colour, disabled, onChange }: Props) {
  const [at, setAt] = useState<Spot | null>(null);
  return (
    <>
      <Swatch label={label} colour={colour} disabled={disabled} onOpen={setAt} />
      {at && <InkPopover at={at} colour={colour} onChoose={onChange} onClose={() => setAt(null)} />}
    </>
  );
}

interface SwatchProps extends Pick<Props, 'label' | 'colour' | 'disabled'> {
  onOpen: (at: Spot) => void;
}

export function Swatch({ label, colour, disabled, onOpen }: SwatchProps) {
  return (
    <ButtonBase
      aria-label={`${label}: choose an ink`}
      aria-haspopup="dialog"
      title="Choose an ink"
      disabled={disabled}
      onClick={(event) => {
        const { left, bottom } = event.currentTarget.getBoundingClientRect();
        onOpen({ left, top: bottom + 4 });
      }}
      sx={{
        width: 44,
        height: 38,
        flexShrink: 0,
        borderRadius: 1.5,
        bgcolor: colour,
        border: '1px solid rgba(0,0,0,0.3)',
        boxShadow: 'inset 0 0 0 2px rgba(255,255,255,0.55)',
      }}
    />
  );
}
