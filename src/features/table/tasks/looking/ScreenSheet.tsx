'use client';
/** The screen's real size, told once with a card held to it, so that true size is true. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Purpose } from '@/features/table/parts/Purpose';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { keepScreen } from '@/features/table/session/screen';
import { toPoints } from '@/core/units/lengths';

/** A bank or library card: ID-1 of ISO/IEC 7810, 85.60 x 53.98 mm. */
const CARD = { width: toPoints(85.6, 'mm'), height: toPoints(53.98, 'mm') };

export function ScreenSheet({ onClose }: { onClose: () => void }) {
  const { store } = useRoom();
  const known = useSession((session) => session.trueZoom);
  const [zoom, setZoom] = useState(known);
  return (
    <Dialog open onClose={onClose} maxWidth="sm" aria-labelledby="screen-title">
      <DialogTitle id="screen-title" variant="h2">
        How large is your screen?
      </DialogTitle>
      <Purpose pad={3} />
      <DialogContent>
        <Typography sx={{ mb: 2 }}>
          Hold a bank card or a library card to the screen and draw the slider until this one is just as
          large. True size is true from then on.
        </Typography>
        <Box sx={{ height: 340, display: 'grid', placeItems: 'center' }}>
          <Box
            role="img"
            aria-label="A card, 85.6 x 54 mm"
            sx={{
              width: CARD.width * zoom,
              height: CARD.height * zoom,
              borderRadius: `${toPoints(3.18, 'mm') * zoom}px`,
              bgcolor: 'secondary.main',
              boxShadow: 2,
              display: 'flex',
              alignItems: 'flex-end',
              p: 2,
              color: 'secondary.contrastText',
            }}
          >
            85.6 x 54 mm
          </Box>
        </Box>
        <Slider
          aria-label="Size of the card on the screen"
          min={0.7}
          max={2.6}
          step={0.005}
          value={zoom}
          onChange={(_, value) => setZoom(value as number)}
        />
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Leave it
        </Button>
        <Button
          variant="contained"
          onClick={() => {
            keepScreen(zoom);
            store.getState().setTrueZoom(zoom);
            act.zoomTrue(store);
            onClose();
          }}
        >
          It is as large
        </Button>
      </DialogActions>
    </Dialog>
  );
}
