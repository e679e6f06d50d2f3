'use client';
/** Another photo of the workbox in the place of this one: it keeps its place, size, cut and finish. */
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Popover from '@mui/material/Popover';
import { useState, type ReactNode } from 'react';
import { plainName } from '@/core/project/create';
import type { Piece } from '@/core/piece/piece';
import { exchange } from '@/features/table/acts/laid';
import { useThumbs } from '@/features/table/parts/useThumbs';
import { useRoom, useSession } from '@/features/table/room/context';

interface Props {
  piece: Piece;
  shown: string;
  /** What opens the choice; there may be none to choose from. */
  button: (open: (anchor: HTMLElement) => void, none: boolean) => ReactNode;
}

export function ExchangePhoto({ piece, shown, button }: Props) {
  const { store } = useRoom();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const photos = useSession((session) => session.history.project.photos);
  const assets = useSession((session) => session.history.project.assets);
  const thumbs = useThumbs(photos);
  const others = photos.flatMap((sha) => (sha !== shown && assets[sha] ? [assets[sha]] : []));
  return (
    <>
      {button(setAnchor, others.length === 0)}
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{ paper: { 'aria-label': 'Photo in its place', role: 'dialog' } }}
      >
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: 'repeat(3, 84px)',
            gap: 1,
            p: 1.5,
            maxHeight: 340,
            overflowY: 'auto',
          }}
        >
          {others.map((asset) => (
            <ButtonBase
              key={asset.sha}
              aria-label={plainName(asset.name)}
              title={plainName(asset.name)}
              onClick={() => {
                setAnchor(null);
                exchange(store, asset, 'photos', piece.id);
              }}
              sx={{
                height: 64,
                borderRadius: 0.75,
                bgcolor: 'divider',
                backgroundImage: thumbs.has(asset.sha) ? `url(${thumbs.get(asset.sha)})` : 'none',
                backgroundSize: 'cover',
                backgroundPosition: 'center',
              }}
            />
          ))}
        </Box>
      </Popover>
    </>
  );
}
