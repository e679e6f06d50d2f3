'use client';
/** The product held in the hand: shut, opened by a slider or by a drag, turned over; through its openings one sees what is inside. */
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Slider from '@mui/material/Slider';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useRef, useState, type CSSProperties } from 'react';
import { heldOf, productSays, type FaceNow, type HeldNow } from '@/core/product';
import type { Project, Surface } from '@/core/project/model';
import { Purpose } from '@/features/table/parts/Purpose';
import { useSession } from '@/features/table/room/context';
import { PagePicture } from '@/features/table/stage/paint/PagePicture';

/** CSS pixels of the base's longer side. */
const SIDE = 340;
/** Degrees a leaf is turned when it is opened as far as a hand opens it. */
const OPEN = 172;
/** CSS pixels between papers that lie on each other. */
const THICK = 0.8;
/** CSS pixels of a drag that open it wholly. */
const FAR = 360;

type Face = FaceNow<Surface>;

export function HeldSheet({ onClose }: { onClose: () => void }) {
  const project = useSession((session) => session.history.project);
  const [opened, setOpened] = useState(0);
  const [over, setOver] = useState(false);
  const still = useMediaQuery('(prefers-reduced-motion: reduce)');
  const [held, setHeld] = useState(false);
  const from = useRef<{ x: number; opened: number } | null>(null);
  const now = heldOf(project);
  if (!now) return null;
  const { base, leaves } = now;
  const { width, height } = base.face.panel.box;
  const scale = SIDE / Math.max(width, height);
  const spread = spreadOf(now, scale);
  const part = opened / 100;
  const smooth = still || held ? undefined : 'transform 600ms ease';
  const size: CSSProperties = { width: width * scale, height: height * scale };
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="held-title">
      <DialogTitle id="held-title" variant="h2" sx={{ pb: 0 }}>
        {project.title || 'This'}, in the hand
      </DialogTitle>
      <Purpose pad={3} />
      <DialogContent sx={{ pb: 0 }}>
        <Box
          role="img"
          aria-label={`${productSays(project, project.unit)}, ${over ? 'from behind' : opened < 5 ? 'shut' : `${opened} % open`}`}
          onPointerDown={(event) => {
            from.current = { x: event.clientX, opened };
            setHeld(true);
            event.currentTarget.setPointerCapture(event.pointerId);
          }}
          onPointerMove={(event) => {
            if (!from.current) return;
            const by = ((from.current.x - event.clientX) * 100) / FAR;
            setOpened(Math.round(Math.min(100, Math.max(0, from.current.opened + by))));
          }}
          onPointerUp={() => {
            from.current = null;
            setHeld(false);
          }}
          onPointerCancel={() => {
            from.current = null;
            setHeld(false);
          }}
          sx={{
            height: 480,
            display: 'grid',
            placeItems: 'center',
            bgcolor: 'table.main',
            borderRadius: 2,
            overflow: 'hidden',
            perspective: '1500px',
            cursor: leaves.length ? 'grab' : undefined,
            touchAction: 'none',
          }}
        >
          <div
            style={{
              ...size,
              position: 'relative',
              transformStyle: 'preserve-3d',
              willChange: 'transform',
              transition: smooth,
              transform: `scale(${1 - part * (1 - spread.fits)}) rotateX(10deg) rotateY(${over ? 180 : 0}deg) rotateY(${-14 + 10 * part}deg) translate(${part * spread.x}px, ${part * spread.y}px)`,
            }}
          >
            <Sheet face={base.face} back={base.back} project={project} scale={scale} axis="y" />
            {leaves.map((leaf, i) => (
              <Leaf
                key={i}
                {...leaf}
                project={project}
                scale={scale}
                base={{ width: width * scale, height: height * scale }}
                opened={opened}
                transition={smooth}
                level={i + 1}
              />
            ))}
          </div>
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 3, py: 2, gap: 1.5 }}>
        {leaves.length > 0 && (
          <>
            <Button color="inherit" onClick={() => setOpened(opened > 50 ? 0 : 100)} sx={{ minWidth: 96 }}>
              {opened > 50 ? 'Shut it' : 'Open it'}
            </Button>
            <Slider
              aria-label="How far it is open"
              value={opened}
              valueLabelDisplay="auto"
              valueLabelFormat={(value) => `${value} %`}
              onChange={(_, value) => {
                setHeld(true);
                setOpened(value as number);
              }}
              onChangeCommitted={() => setHeld(false)}
              // It is there at once: nothing else moves while the card opens.
              sx={{ flex: 1, mx: 2, '& .MuiSlider-thumb, & .MuiSlider-track': { transition: 'none' } }}
            />
          </>
        )}
        <Button color="inherit" aria-pressed={over} onClick={() => setOver(!over)}>
          Turn it over
        </Button>
        <Button variant="contained" onClick={onClose}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** Room for the open product, CSS pixels. */
const ROOM = { width: 980, height: 430 };

/** How much smaller it is shown when it lies open, and how far its middle then goes from the base's, CSS pixels. */
function spreadOf({ base, leaves }: HeldNow<Surface>, scale: number): { fits: number; x: number; y: number } {
  const reach = { left: 0, right: 0, top: 0 };
  for (const { edge, face } of leaves) reach[edge] += face.panel.box[edge === 'top' ? 'height' : 'width'];
  const { width, height } = base.face.panel.box;
  return {
    fits: Math.min(
      1,
      ROOM.width / (scale * (width + reach.left + reach.right)),
      ROOM.height / (scale * (height + reach.top)),
    ),
    x: (scale * (reach.left - reach.right)) / 2,
    y: (scale * reach.top) / 2,
  };
}

interface SheetProps {
  face: Face;
  back: Face;
  project: Project;
  scale: number;
  /** About which its back was turned. */
  axis: 'x' | 'y';
}

/** A panel with its two faces. */
function Sheet({ face, back, project, scale, axis }: SheetProps) {
  const { width, height } = face.panel.box;
  const side = Math.max(width, height) * scale;
  const common: CSSProperties = {
    position: 'absolute',
    inset: 0,
    backfaceVisibility: 'hidden',
    maxWidth: 'none',
  };
  return (
    <>
      <PagePicture
        clear
        project={project}
        surface={face.surface}
        part={face.panel.box}
        side={side}
        style={{ ...common, filter: 'drop-shadow(0 1px 2px rgba(20,14,8,0.35))' }}
      />
      <PagePicture
        clear
        project={project}
        surface={back.surface}
        part={back.panel.box}
        side={side}
        style={{
          ...common,
          transform: `${axis === 'y' ? 'rotateY' : 'rotateX'}(180deg) ${back.panel.turn ? 'rotate(180deg)' : ''}`,
        }}
      />
    </>
  );
}

interface LeafProps {
  face: Face;
  reverse: Face;
  edge: 'left' | 'right' | 'top';
  behind?: true;
  project: Project;
  scale: number;
  base: { width: number; height: number };
  opened: number;
  transition: string | undefined;
  level: number;
}

function Leaf({ face, reverse, edge, behind, project, scale, base, opened, transition, level }: LeafProps) {
  const { width, height } = face.panel.box;
  const [w, h] = [width * scale, height * scale];
  const angle = (OPEN * opened) / 100;
  const turn = edge === 'top' ? 'rotateX' : 'rotateY';
  // Over the base it turns away from the eye's side; from behind it comes out beside the base.
  const degrees = behind ? 180 - (180 * opened) / 100 : edge === 'left' ? -angle : angle;
  return (
    <div
      style={{
        position: 'absolute',
        width: w,
        height: h,
        left: behind ? base.width : edge === 'right' ? base.width - w : 0,
        top: 0,
        transformOrigin: behind ? 'left' : edge,
        transformStyle: 'preserve-3d',
        transition,
        transform: `translateZ(${(behind ? -THICK : THICK) * level}px) ${turn}(${degrees}deg)`,
      }}
    >
      <Sheet face={face} back={reverse} project={project} scale={scale} axis={edge === 'top' ? 'x' : 'y'} />
    </div>
  );
}
