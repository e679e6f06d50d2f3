'use client';
/** One page as it will be printed, with a curtain before it: to its left it is as on the screen. */
import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { apply } from '@/core/geometry/matrix';
import { centredBox, corners } from '@/core/geometry/box';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import type { Bound } from '@/core/product/product';
import { OnWall, wallShadow } from '@/features/table/tasks/proof/OnWall';
import type { Surface } from '@/core/project/model';
import type { Shows } from '@/core/proof/look-over/measure';
import { ShownOver } from '@/features/table/tasks/proof/ShownOver';
import type { Printed } from '@/features/table/tasks/proof/usePress';

interface Props {
  surface: Surface;
  /** CSS pixels a point. */
  zoom: number;
  pixels: ImageData | null;
  printed: Printed | null;
  /** Where the curtain hangs, percent from the left. */
  curtain: number;
  onCurtain: (at: number) => void;
  seen: Seen;
  /** The piece whose place is shown. */
  placed: Piece | null;
  /** What it hangs by, where it is seen on a wall; and leaves that hang beneath it. */
  hung: { bound: readonly Bound[]; leaves: number } | null;
  /** A measure that is shown. */
  shows: Shows | null;
}

/** Ways to look at a page as if for the first time: what is wrong with it is seen sooner (common practice, no source). How much smaller for being `away`. */
export const SEEN = {
  plain: { name: 'As it is', style: {}, away: 1 },
  grey: { name: 'In greys: light and dark alone', style: { filter: 'grayscale(1)' }, away: 1 },
  mirrored: { name: 'Mirrored', style: { transform: 'scaleX(-1)' }, away: 1 },
  over: { name: 'Upside down', style: { transform: 'rotate(180deg)' }, away: 1 },
  far: { name: 'From across the room', style: {}, away: 4 },
  wall: { name: 'On its wall', style: {}, away: 1.3 },
} as const;
export type Seen = keyof typeof SEEN;

export function ProofPage({
  surface,
  zoom,
  pixels,
  printed,
  curtain,
  onCurtain,
  placed,
  seen,
  hung,
  shows,
}: Props) {
  const size = { width: surface.width * zoom, height: surface.height * zoom };
  const shown = printed && printed.of === pixels ? printed.image : null;
  const lies = placed && placementMatrix(placed.placement);
  return (
    <Box sx={{ m: 'auto', width: size.width, flexShrink: 0 }}>
      <Box
        role="img"
        aria-label={`${surface.name}, trimmed${shown ? ', as it will be printed' : ''}`}
        aria-busy={!pixels}
        data-testid="proof-page"
        data-printed={shown ? '' : undefined}
        sx={{
          position: 'relative',
          ...size,
          bgcolor: surface.ground,
          boxShadow: hung ? wallShadow(hung.leaves) : '0 1px 5px rgba(0,0,0,0.35)',
          ...SEEN[seen].style,
        }}
      >
        <Pixels of={pixels} size={size} />
        <Box sx={{ position: 'absolute', inset: 0, clipPath: `inset(0 0 0 ${curtain}%)` }}>
          <Pixels of={shown} size={size} />
        </Box>
        {shown && curtain > 0 && (
          <Box
            aria-hidden
            sx={{
              ...{ position: 'absolute', top: 0, bottom: 0, left: `${curtain}%`, width: 2, ml: '-1px' },
              ...{ bgcolor: '#25232a', boxShadow: '0 0 0 1px #fffdf6', pointerEvents: 'none' },
            }}
          />
        )}
        {hung && <OnWall page={surface} bound={hung.bound} />}
        {shows && <ShownOver {...{ shows, zoom }} page={surface} />}
        {placed && lies && (
          <svg
            aria-hidden
            data-testid="proof-place"
            viewBox={`0 0 ${surface.width} ${surface.height}`}
            style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', overflow: 'visible' }}
          >
            {['#fffdf6', '#9e2b45'].map((stroke, i) => (
              <polygon
                key={stroke}
                points={corners(centredBox(placed.placement))
                  .map((corner) => apply(lies, corner))
                  .map(({ x, y }) => `${x},${y}`)
                  .join(' ')}
                fill="none"
                stroke={stroke}
                strokeWidth={i ? 2.5 : 5}
                strokeDasharray={i ? '7 4' : undefined}
                vectorEffect="non-scaling-stroke"
              />
            ))}
          </svg>
        )}
      </Box>
      <Box
        sx={{ height: 52, mt: hung ? 1.5 : 0, visibility: shown && seen !== 'far' ? undefined : 'hidden' }}
      >
        <Slider
          aria-label="Curtain: to its left the page is as on the screen"
          size="small"
          track={false}
          value={curtain}
          onChange={(_, value) => onCurtain(value as number)}
          getAriaValueText={(value) => `${value} % of the page as on the screen`}
          sx={{ py: 1.25, color: 'text.primary', display: 'block' }}
        />
        <Box aria-hidden sx={{ display: 'flex', justifyContent: 'space-between', fontSize: '0.875rem' }}>
          <span>{curtain > 0 ? 'As on the screen' : 'Pull to compare'}</span>
          <span>As printed</span>
        </Box>
      </Box>
    </Box>
  );
}

function Pixels({ of, size }: { of: ImageData | null; size: { width: number; height: number } }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useLayoutEffect(() => {
    const element = canvas.current!;
    if (!of) return;
    element.width = of.width;
    element.height = of.height;
    element.getContext('2d')!.putImageData(of, 0, 0);
  }, [of]);
  return (
    <canvas
      ref={canvas}
      aria-hidden
      style={{ position: 'absolute', left: 0, top: 0, ...size, visibility: of ? undefined : 'hidden' }}
    />
  );
}

/** How much room an element gives, CSS pixels; none before it is there. */
export function useRoomIn(element: HTMLElement | null): { width: number; height: number } {
  const [room, setRoom] = useState({ width: 0, height: 0 });
  useEffect(() => {
    if (!element) return;
    const watch = new ResizeObserver(() =>
      setRoom({ width: element.clientWidth, height: element.clientHeight }),
    );
    watch.observe(element);
    return () => watch.disconnect();
  }, [element]);
  return room;
}
