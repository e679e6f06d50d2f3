'use client';
/** A colour taken from the page as it is seen: a glass over the spot, its mean, and the ink nearest to it. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Point } from '@/core/geometry/matrix';
import { apartInWords, nearestInks } from '@/core/inks/near';
import { spotColour } from '@/core/inks/spot';
import { inksIn, useInkSets } from '@/features/table/parts/inks/useInks';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownSurface } from '@/features/table/session';
import { drawSeen } from '@/features/table/stage/paint/layers';

/** Pixels across the spot whose mean is taken. */
const SPOTS = [1, 5, 15] as const;
/** Pixels across that are seen in the glass, and how wide it is. */
const SEEN = 17;
const GLASS = 136;
const SHIFT = 10;

/** What is seen of the page round a spot, `across` screen pixels wide. */
function pixelsAt(stage: HTMLElement, ground: string, { x, y }: Point, across: number): OffscreenCanvas {
  const canvas = new OffscreenCanvas(across, across);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  const scale = window.devicePixelRatio || 1;
  context.fillStyle = ground;
  context.fillRect(0, 0, across, across);
  const from = { x: Math.round(x * scale) - (across - 1) / 2, y: Math.round(y * scale) - (across - 1) / 2 };
  drawSeen(context, stage, { ...from, width: across, height: across }, canvas);
  return canvas;
}

const meanOf = (canvas: OffscreenCanvas): string => {
  const { width, height } = canvas;
  return spotColour(
    canvas.getContext('2d', { willReadFrequently: true })!.getImageData(0, 0, width, height).data,
  );
};

export function Dropper() {
  const { store } = useRoom();
  const taking = useSession((session) => session.dropper);
  const stage = useSession((session) => session.stage);
  const ground = useSession((session) => shownSurface(session).ground);
  const frame = useRef<HTMLDivElement>(null);
  const glass = useRef<HTMLCanvasElement>(null);
  const [spot, setSpot] = useState<Point>({ x: stage.width / 2, y: stage.height / 2 });
  const [across, setAcross] = useState<(typeof SPOTS)[number]>(5);
  const [colour, setColour] = useState(ground);
  const sets = useInkSets();
  const [near] = useMemo(() => nearestInks(colour, inksIn(sets), 1), [colour, sets]);
  // After a dialog that closed for it has given its focus back.
  useEffect(() => frame.current?.focus(), []);
  useEffect(() => {
    const element = frame.current!.parentElement!;
    const context = glass.current!.getContext('2d')!;
    context.imageSmoothingEnabled = false;
    context.drawImage(pixelsAt(element, ground, spot, SEEN), 0, 0, GLASS, GLASS);
    const side = (GLASS * across) / SEEN;
    for (const [style, width] of [
      ['#fffdf6', 4],
      ['#25232a', 1.5],
    ] as const) {
      context.strokeStyle = style;
      context.lineWidth = width;
      context.strokeRect((GLASS - side) / 2, (GLASS - side) / 2, side, side);
    }
    setColour(meanOf(pixelsAt(element, ground, spot, across)));
  }, [spot, across, ground]);
  if (!taking) return null;
  const leave = () => {
    store.getState().takeColour(null);
    taking.done(null);
  };
  const take = () => {
    store.getState().takeColour(null);
    taking.done(colour);
  };
  const at = (event: PointerEvent<HTMLElement>): Point => {
    const box = frame.current!.getBoundingClientRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top };
  };
  const press = (event: KeyboardEvent) => {
    const by = event.shiftKey ? SHIFT : 1;
    const [dx, dy] = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[
      event.key
    ] ?? [0, 0];
    if (event.key === 'Escape') leave();
    else if (event.key === 'Enter' && event.target === frame.current) take();
    else if ((dx || dy) && event.target === frame.current)
      setSpot({
        x: Math.min(stage.width, Math.max(0, spot.x + dx!)),
        y: Math.min(stage.height, Math.max(0, spot.y + dy!)),
      });
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const left = spot.x + 24 + GLASS > stage.width ? spot.x - 24 - GLASS : spot.x + 24;
  const top = Math.min(stage.height - GLASS - 70, Math.max(60, spot.y - GLASS / 2));
  return (
    <Box
      ref={frame}
      role="application"
      aria-label="Take a colour from the page: the arrows move the spot, Enter takes it, Escape leaves it"
      tabIndex={0}
      data-own-keys
      data-own-arrows
      data-testid="dropper"
      onKeyDown={press}
      onPointerMove={(event) => setSpot(at(event))}
      onPointerDown={(event) => event.stopPropagation()}
      onPointerUp={(event) => {
        event.stopPropagation();
        if (event.target === frame.current) take();
      }}
      sx={{
        position: 'absolute',
        inset: 0,
        cursor: 'crosshair',
        zIndex: 5,
        touchAction: 'none',
        outline: 'none !important',
      }}
    >
      <SpotSize across={across} onAcross={setAcross} onLeave={leave} />
      <Box
        sx={{
          position: 'absolute',
          left: 0,
          top: 0,
          transform: `translate(${left}px, ${top}px)`,
          width: GLASS,
          pointerEvents: 'none',
        }}
      >
        <canvas
          ref={glass}
          width={GLASS}
          height={GLASS}
          aria-hidden
          style={{
            width: GLASS,
            height: GLASS,
            borderRadius: '50%',
            border: `9px solid ${colour}`,
            boxShadow: '0 0 0 1.5px rgba(37,35,42,0.7), 0 6px 18px rgba(20,14,8,0.4)',
            boxSizing: 'border-box',
          }}
        />
        <Box
          role="status"
          sx={{
            mt: 0.75,
            mx: -1,
            px: 1,
            py: 0.5,
            borderRadius: 1.5,
            bgcolor: 'background.paper',
            boxShadow: '0 1px 4px rgba(20,14,8,0.3)',
            textAlign: 'center',
          }}
        >
          <Typography variant="body2" sx={{ fontWeight: 600 }}>
            {colour}
          </Typography>
          {near && (
            <Typography variant="body2" sx={{ lineHeight: 1.2 }}>
              {near.ink.name}, {apartInWords(near.by)}
            </Typography>
          )}
        </Box>
      </Box>
    </Box>
  );
}

interface SpotSizeProps {
  across: (typeof SPOTS)[number];
  onAcross: (across: (typeof SPOTS)[number]) => void;
  onLeave: () => void;
}

/** How large the spot is whose mean is taken. */
function SpotSize({ across, onAcross, onLeave }: SpotSizeProps) {
  return (
    <Box
      sx={{
        position: 'absolute',
        left: '50%',
        top: 34,
        transform: 'translateX(-50%)',
        display: 'flex',
        gap: 1,
        alignItems: 'center',
        p: 0.75,
        pl: 1.5,
        borderRadius: 3,
        bgcolor: 'background.paper',
        boxShadow: '0 2px 10px rgba(20,14,8,0.3)',
        whiteSpace: 'nowrap',
      }}
    >
      <Typography variant="body2">Mean of</Typography>
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label="Pixels across the spot"
        value={across}
        onChange={(_, next: (typeof SPOTS)[number] | null) => next && onAcross(next)}
      >
        {SPOTS.map((each) => (
          <ToggleButton
            key={each}
            value={each}
            aria-label={`${each} ${each === 1 ? 'pixel' : 'pixels'} across`}
            sx={{ px: 1.5, py: 0.5 }}
          >
            {each}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Button size="small" color="inherit" onClick={onLeave}>
        Leave it
      </Button>
    </Box>
  );
}
