'use client';
/** Openings cut where a frame or a letter came filled: a spot is pointed at, and the flat area around it goes. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Supply } from '@/core/supplies/model';
import type { Cupboard } from '@/features/cupboard/useCupboard';
import { useOpenings } from '@/features/cupboard/useOpenings';

/** Longest side of what is shown, pixels. */
const SHOWN_SIDE = 460;
/** Pixels an arrow key moves the mark. */
const STEP = 8;

interface Props {
  supply: Supply;
  cupboard: Cupboard;
  onClose: () => void;
}

export function CutOpening({ supply, cupboard, onClose }: Props) {
  const cutting = useOpenings(supply, cupboard, SHOWN_SIDE);
  const { picture, area, spots, closeness, busy, problem } = cutting;
  const canvas = useRef<HTMLCanvasElement>(null);
  const [mark, setMark] = useState({ x: 0.5, y: 0.5 });

  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !picture) return;
    context.clearRect(0, 0, picture.width, picture.height);
    context.drawImage(picture, 0, 0);
    if (area) context.drawImage(area, 0, 0);
  }, [picture, area]);

  const key = (event: KeyboardEvent) => {
    if (!picture) return;
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (way)
      setMark(({ x, y }) => ({
        x: Math.min(1, Math.max(0, x + (way[0]! * STEP) / picture.width)),
        y: Math.min(1, Math.max(0, y + (way[1]! * STEP) / picture.height)),
      }));
    else if (event.key === 'Enter' || event.key === ' ') cutting.point(mark.x, mark.y);
    else return;
    event.preventDefault();
  };

  return (
    <Dialog open onClose={() => !busy && onClose()} maxWidth="md" aria-labelledby="cut-title">
      <DialogTitle id="cut-title" variant="h2">
        Cut an opening in {supply.name}
      </DialogTitle>
      <DialogContent sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
        <Box
          role="application"
          aria-label="Point at what shall be cut out: arrows move the mark, Enter points"
          tabIndex={0}
          onKeyDown={key}
          sx={{
            position: 'relative',
            alignSelf: 'flex-start',
            lineHeight: 0,
            cursor: 'crosshair',
            background: 'repeating-conic-gradient(#cfccc6 0 25%, #e6e3dd 0 50%) 0 0 / 18px 18px',
          }}
        >
          <canvas
            ref={canvas}
            width={picture?.width ?? SHOWN_SIDE}
            height={picture?.height ?? SHOWN_SIDE}
            data-testid="cut-canvas"
            onClick={(event) => {
              const box = event.currentTarget.getBoundingClientRect();
              const spot = {
                x: (event.clientX - box.left) / box.width,
                y: (event.clientY - box.top) / box.height,
              };
              setMark(spot);
              cutting.point(spot.x, spot.y);
            }}
          />
          <Box
            aria-hidden="true"
            sx={{
              position: 'absolute',
              left: `${100 * mark.x}%`,
              top: `${100 * mark.y}%`,
              width: 18,
              height: 18,
              m: '-9px',
              borderRadius: '50%',
              border: '2px dashed #9e2b45',
              boxShadow: '0 0 0 2px rgba(255,253,246,0.9)',
              pointerEvents: 'none',
            }}
          />
        </Box>
        <Box sx={{ width: 240 }}>
          <Typography sx={{ mb: 2 }}>
            Point inside the part that shall be open. All that looks alike around the spot, up to its border,
            is marked; point again for more.
          </Typography>
          <Typography id="closeness" sx={{ fontWeight: 600 }}>
            How alike it must be
          </Typography>
          <Slider
            aria-labelledby="closeness"
            min={0.01}
            max={0.35}
            step={0.01}
            value={closeness}
            onChange={(_, next) => cutting.setCloseness(next as number)}
          />
          <Typography variant="body2" role="status" color="text.secondary">
            {problem ??
              (spots.length === 0
                ? 'Nothing is marked yet.'
                : `${Math.round(100 * cutting.share)} % of the picture will be open.`)}
          </Typography>
          <Button color="inherit" disabled={!spots.length} onClick={cutting.clear} sx={{ mt: 1 }}>
            Begin again
          </Button>
        </Box>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose} disabled={busy}>
          Leave it
        </Button>
        <Button
          variant="contained"
          disabled={!spots.length || busy}
          onClick={() => void cutting.cut().then((done) => done && onClose())}
        >
          {busy ? 'Cutting …' : 'Cut it out'}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
