'use client';
/** An ink as a field: written, or chosen behind its swatch. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Popover from '@mui/material/Popover';
import { useState } from 'react';
import { CssField } from '@/features/shared/CssField';
import { useRoom } from '@/features/table/room/context';
import { noteRecent } from '@/features/table/inks/useInks';
import { fetched } from '@/ui/fetched';

const InkPicker = fetched('The inks', () =>
  import('@/features/table/inks/InkPicker').then((m) => m.InkPicker),
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

/** Where on the screen a picker opens. */
export interface Spot {
  left: number;
  top: number;
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

interface PopoverProps {
  at: Spot;
  colour: string;
  onChoose: (colour: string) => void;
  onClose: () => void;
}

/** Stays open while one tries inks. */
export function InkPopover({ at, colour, onChoose, onClose }: PopoverProps) {
  const { store } = useRoom();
  const [dropping, setDropping] = useState(false);
  const choose = (next: string) => {
    noteRecent(next);
    onChoose(next);
  };
  const drop = () => {
    setDropping(true);
    store.getState().takeColour({
      done(taken) {
        setDropping(false);
        if (taken) choose(taken);
      },
    });
  };
  return (
    <Popover
      open={!dropping}
      onClose={onClose}
      anchorReference="anchorPosition"
      anchorPosition={at}
      transitionDuration={{ enter: 140, exit: 0 }}
      slotProps={{ paper: { role: 'dialog', 'aria-label': 'Inks', sx: { borderRadius: 2.5 } } }}
    >
      <InkPicker colour={colour} onChoose={choose} onDrop={drop} />
    </Popover>
  );
}
