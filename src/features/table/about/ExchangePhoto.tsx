'use client';
/** Another photo of the workbox in the place of this one: it keeps its place, size, cut and finish. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Popover from '@mui/material/Popover';
import { IconReplace } from '@tabler/icons-react';
import { useState } from 'react';
import { plainName } from '@/core/project/create';
import type { Piece } from '@/core/piece/piece';
import { exchange } from '@/features/table/acts/laid';
import { useThumbs } from '@/features/table/parts/useThumbs';
import { useRoom, useSession } from '@/features/table/room/context';

export function ExchangePhoto({ piece, shown }: { piece: Piece; shown: string }) {
  const { store } = useRoom();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const photos = useSession((session) => session.history.project.photos);
  const assets = useSession((session) => session.history.project.assets);
  const thumbs = useThumbs(photos);
  const others = photos.flatMap((sha) => (sha !== shown && assets[sha] ? [assets[sha]] : []));
  return (
    <>
      <Button
        size="small"
        color="inherit"
        disabled={!others.length}
        startIcon={<IconReplace size={17} />}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {others.length ? 'Exchange it …' : 'Exchange it: no other photo in the workbox'}
      </Button>
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
