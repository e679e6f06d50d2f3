'use client';
/** A card where it lies on the paper: carried by hand or by keys it stays there, and what is not pinned is packed about it. */
import Box from '@mui/material/Box';
import { IconPinFilled } from '@tabler/icons-react';
import { useEffect, useRef, useState } from 'react';
import type { Box as Area } from '@/core/geometry/box';
import type { Laid } from '@/core/packing/pack';
import type { Pinned, SheetProduct } from '@/core/product/sheet';
import type { Project } from '@/core/project/model';
import { NearPicture } from '@/features/table/parts/NearPicture';

/** A step by an arrow key, points: a sixteenth of an inch, with Shift a quarter. */
const [STEP, LONG_STEP] = [4.5, 18];
/** So near to an edge, CSS pixels, it is laid along it. */
const SNAP = 6;
/** A press that moves by less is none that carries. */
const SLOP = 4;

/** Edges along which a card may be laid: of what can be printed on, and of the other cards. */
export interface Edges {
  x: readonly number[];
  y: readonly number[];
}
export const edgesOf = ({ width, height, lost, gap }: SheetProduct, others: readonly Area[]): Edges => ({
  x: [
    lost.left,
    width - lost.right,
    ...others.flatMap(({ x, width: w }) => [x - gap, x + w + gap, x, x + w]),
  ],
  y: [
    lost.top,
    height - lost.bottom,
    ...others.flatMap(({ y, height: h }) => [y - gap, y + h + gap, y, y + h]),
  ],
});

interface Props {
  project: Project;
  each: Laid;
  sheet: number;
  edges: Edges;
  /** CSS pixels a point. */
  scale: number;
  disabled: boolean;
  /** It was just laid by keys, and is held on to. */
  held: boolean;
  onPin: (at: Pinned, before: number | undefined) => void;
  onUnpin: (pin: number) => void;
}

export function LaidCard({ project, each, sheet, edges, scale, disabled, held, onPin, onUnpin }: Props) {
  const button = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    if (held) button.current?.focus();
  }, [held]);
  const [moved, setMoved] = useState<{ x: number; y: number } | null>(null);
  const from = useRef<{ x: number; y: number } | null>(null);
  const carried = useRef(false);
  const surface = project.surfaces.find(({ part }) => part === each.id);
  if (!surface) return null;
  const { pin, turned } = each;
  const size = { width: surface.width * scale, height: surface.height * scale };
  const at = { x: each.x + (moved?.x ?? 0), y: each.y + (moved?.y ?? 0) };
  const lay = (x: number, y: number) =>
    onPin(
      { part: each.id, sheet, x: Math.max(0, x), y: Math.max(0, y), ...(turned ? { turned: true } : {}) },
      pin,
    );
  const pinHere = () => (pin === undefined ? lay(each.x, each.y) : onUnpin(pin));
  return (
    <Box
      component="button"
      ref={button}
      type="button"
      disabled={disabled}
      aria-label={`${surface.name}${pin === undefined ? '' : ', pinned'}`}
      aria-pressed={pin !== undefined}
      title="Drag it to lay it by hand; press to pin it where it lies, or to let it go"
      onPointerDown={(event: React.PointerEvent) => {
        if (disabled || event.button !== 0) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { x: event.clientX, y: event.clientY };
      }}
      onPointerMove={(event: React.PointerEvent) => {
        if (!from.current) return;
        const [dx, dy] = [event.clientX - from.current.x, event.clientY - from.current.y];
        if (!moved && Math.hypot(dx, dy) < SLOP) return;
        setMoved({
          x: snapped(each.x, each.width, dx / scale, edges.x, SNAP / scale),
          y: snapped(each.y, each.height, dy / scale, edges.y, SNAP / scale),
        });
      }}
      onPointerUp={() => {
        if (moved) lay(at.x, at.y);
        carried.current = moved !== null;
        from.current = null;
        setMoved(null);
      }}
      onPointerCancel={() => {
        from.current = null;
        setMoved(null);
      }}
      onClick={() => {
        // A press ends what was carried, too.
        if (!carried.current) pinHere();
        carried.current = false;
      }}
      onKeyDown={(event: React.KeyboardEvent) => {
        const step = event.shiftKey ? LONG_STEP : STEP;
        const way = {
          ArrowLeft: [-step, 0],
          ArrowRight: [step, 0],
          ArrowUp: [0, -step],
          ArrowDown: [0, step],
        }[event.key];
        if (!way) return;
        lay(each.x + way[0]!, each.y + way[1]!);
        event.preventDefault();
      }}
      sx={{
        ...{
          position: 'absolute',
          p: 0,
          border: 0,
          bgcolor: 'transparent',
          transformOrigin: '0 0',
          touchAction: 'none',
        },
        ...{ cursor: moved ? 'grabbing' : 'grab', outline: '1px solid rgba(60,56,66,0.25)' },
        ...{ zIndex: moved ? 2 : 'auto', boxShadow: moved ? '0 6px 16px rgba(20,14,8,0.4)' : 'none' },
      }}
      style={{
        ...size,
        left: (at.x + (turned ? each.width : 0)) * scale,
        top: at.y * scale,
        transform: turned ? 'rotate(90deg)' : undefined,
      }}
    >
      <NearPicture project={project} surface={surface} side={Math.max(size.width, size.height)} />
      {pin !== undefined && (
        <Box
          aria-hidden
          sx={{
            ...{ position: 'absolute', top: 4, right: 4, width: 24, height: 24, borderRadius: '50%' },
            ...{ display: 'grid', placeItems: 'center', bgcolor: '#2f6f68', color: '#ffffff' },
            transform: turned ? 'rotate(-90deg)' : 'none',
          }}
        >
          <IconPinFilled size={15} />
        </Box>
      )}
    </Box>
  );
}

/** How far it goes, so that one of its two sides lies along an edge if one is near. */
function snapped(at: number, size: number, by: number, edges: readonly number[], near: number): number {
  let best = { by, off: near };
  for (const edge of edges)
    for (const side of [at + by, at + by + size]) {
      const off = Math.abs(edge - side);
      if (off < best.off) best = { by: by + edge - side, off };
    }
  return best.by;
}
