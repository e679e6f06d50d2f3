'use client';
/** The ink picker over the table, beside what it was opened from. */
import Popover from '@mui/material/Popover';
import { useState } from 'react';
import { InkPicker } from '@/features/table/parts/inks/InkPicker';
import { noteRecent } from '@/features/table/parts/inks/useInks';
import { useRoom } from '@/features/table/room/context';

/** Where on the screen a picker opens. */
export interface Spot {
  left: number;
  top: number;
}

interface Props {
  at: Spot;
  colour: string;
  onChoose: (colour: string) => void;
  onClose: () => void;
}

/** Stays open while one tries inks. */
export function InkPopover({ at, colour, onChoose, onClose }: Props) {
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
