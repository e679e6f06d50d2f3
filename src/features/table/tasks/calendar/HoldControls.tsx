'use client';
/** Holds a piece to the day it lies on, or lets it go. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconPinned, IconPinnedOff } from '@tabler/icons-react';
import { heldSays } from '@/core/piece/held';
import type { Piece } from '@/core/piece/piece';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownSurface } from '@/features/table/session';

export function HoldControls({ piece, disabled }: { piece: Piece; disabled: boolean }) {
  const { store } = useRoom();
  const surface = useSession(shownSurface);
  const ways = act.waysToHold(surface, piece);
  if (piece.held)
    return (
      <Box sx={{ gridColumn: '1 / -1', display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography variant="body2" sx={{ flex: 1 }}>
          Held to {heldSays(piece.held)}
        </Typography>
        <Button
          size="small"
          color="inherit"
          disabled={disabled}
          startIcon={<IconPinnedOff size={17} />}
          onClick={() => act.letGo(store, piece)}
        >
          Let go
        </Button>
      </Box>
    );
  if (!ways.length) return null;
  return (
    <Box
      role="group"
      aria-label="Hold to a day"
      sx={{ gridColumn: '1 / -1', display: 'grid', justifyItems: 'start' }}
    >
      {ways.map((held) => (
        <Button
          key={heldSays(held)}
          size="small"
          color="inherit"
          disabled={disabled}
          startIcon={<IconPinned size={17} />}
          onClick={() => act.holdTo(store, piece, held)}
        >
          Hold to {heldSays(held)}
        </Button>
      ))}
    </Box>
  );
}
