'use client';
/** Lays a piece on every page, or lets it go on this one. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconFiles, IconFileX } from '@tabler/icons-react';
import type { Piece } from '@/core/piece/piece';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';

export function SharedControls({ piece, disabled }: { piece: Piece; disabled: boolean }) {
  const { store } = useRoom();
  const why = useSession(act.NOT_EVERYWHERE);
  if (!piece.shared)
    return why ? null : (
      <Button
        size="small"
        color="inherit"
        disabled={disabled}
        startIcon={<IconFiles size={17} />}
        onClick={() => act.layEverywhere(store)}
        sx={{ gridColumn: '1 / -1', justifySelf: 'start' }}
      >
        Lay it on every page
      </Button>
    );
  return (
    <Box sx={{ gridColumn: '1 / -1', display: 'flex', alignItems: 'center', gap: 1 }}>
      <Typography variant="body2" sx={{ flex: 1 }}>
        Lies on every page, alike
      </Typography>
      <Button
        size="small"
        color="inherit"
        disabled={disabled}
        startIcon={<IconFileX size={17} />}
        onClick={() => act.letSharedGo(store)}
      >
        Let it go here
      </Button>
    </Box>
  );
}
