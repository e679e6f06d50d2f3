'use client';
/** The slat between two compartments: dragged, or moved by the arrow keys, it gives one what it takes from the other. */
import Box from '@mui/material/Box';
import { useRef } from 'react';

/** Shares one arrow press moves. */
const STEP = 0.15;

interface Props {
  label: string;
  /** How much of the two compartments is the left one's, percent. */
  share: number;
  onDrag: (pixels: number) => void;
}

export function Divider({ label, share, onDrag }: Props) {
  const from = useRef<number | null>(null);
  return (
    <Box
      role="separator"
      aria-orientation="vertical"
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={share}
      tabIndex={0}
      data-own-arrows
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = event.clientX;
      }}
      onPointerMove={(event) => {
        if (from.current === null) return;
        onDrag(event.clientX - from.current);
        from.current = event.clientX;
      }}
      onPointerUp={() => {
        from.current = null;
      }}
      onLostPointerCapture={() => {
        from.current = null;
      }}
      onKeyDown={(event) => {
        const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
        if (!way) return;
        event.preventDefault();
        onDrag(way * STEP * 100);
      }}
      sx={{
        width: 8,
        flexShrink: 0,
        cursor: 'col-resize',
        borderRadius: 1,
        touchAction: 'none',
        '&:hover, &:focus-visible': { bgcolor: 'divider' },
      }}
    />
  );
}
