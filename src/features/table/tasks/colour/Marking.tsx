'use client';
/** A hand marks on a picture: what is marked stays in its colours, all else is veiled; by pointer, or by arrows and Enter. */
import Box from '@mui/material/Box';
import {
  useEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent,
  type PointerEvent,
  type RefObject,
} from 'react';
import { cellAt, type Area } from '@/core/dye/area';
import { apply, compose, growth, invert, scaling, type Matrix, type Point } from '@/core/geometry/matrix';
import { pathData } from '@/core/geometry/path';
import { pictureOn } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { uprightSize } from '@/core/picture/asset';
import type { Size } from '@/core/geometry/box';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import { useSession } from '@/features/table/room/context';
import { useDragLost } from '@/features/table/stage/hand/useDragLost';
import { shownProject, shownSurface, type Marking as Marks, type Session } from '@/features/table/session';
import { viewMatrix } from '@/features/table/stage/hand/view';

/** The veil's colour and how thick it lies; the line round what is marked. */
const VEIL = [246, 241, 230, 178] as const;
const LINE = [37, 35, 42, 255] as const;
/** What a stroke would take in, and away; how many cells a stripe and its gap take. */
const TAKEN_IN = [23, 104, 122, 128] as const;
const TAKEN_AWAY = [156, 42, 34, 190] as const;
const HATCH = 10;
/** How far an arrow moves the spot, as shares of the picture; with Shift. */
const STEP = 0.01;
const FINE = 0.002;

/** How the marked picture lies on the stage. */
interface Lies {
  /** Shares of the upright picture to the stage. */
  map: Matrix;
  clip: Path2D;
  /** The piece's frame to the stage. */
  frame: Matrix;
  whole: Size;
}

function liesOf(session: Session, id: string): Lies | null {
  const project = shownProject(session);
  const piece: Piece | undefined = shownSurface(session).pile.find((each) => each.id === id);
  const tools = toolsFor(project, session.typesetter);
  const mark = piece && pictureOn(piece, tools);
  const asset = mark && project.assets[mark.asset];
  if (!asset) return null;
  const whole = uprightSize(asset);
  const frame = compose(viewMatrix(session.view), placementMatrix(piece.placement));
  return {
    map: compose(frame, mark.matrix, scaling(whole.width, whole.height)),
    clip: new Path2D(pathData(mark.clip)),
    frame,
    whole,
  };
}

type Colour = readonly [number, number, number, number];

/** Cells as a small picture: clear inside, with a line round it. */
function pictureOf(
  { width, height, cells }: Area,
  outside: Colour | null,
  inside: ((x: number, y: number) => Colour | null) | null,
): OffscreenCanvas {
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d')!;
  const pixels = context.createImageData(width, height);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      const near =
        !cells[i] &&
        ((x > 0 && cells[i - 1]) ||
          (x < width - 1 && cells[i + 1]) ||
          (y > 0 && cells[i - width]) ||
          (y < height - 1 && cells[i + width]));
      const colour = cells[i] ? (inside?.(x, y) ?? null) : near ? LINE : outside;
      if (colour) pixels.data.set(colour, 4 * i);
    }
  context.putImageData(pixels, 0, 0);
  return canvas;
}

/** All but what is marked lies under a veil. */
const veilOf = (area: Area): OffscreenCanvas => pictureOf(area, VEIL, null);

/** What a stroke would take in is tinted; what it would take away is hatched. */
const newOf = (area: Area): OffscreenCanvas => pictureOf(area, null, () => TAKEN_IN);
const goneOf = (area: Area): OffscreenCanvas =>
  pictureOf(area, null, (x, y) => ((x + y) % HATCH < HATCH / 2 ? TAKEN_AWAY : null));

/** The cells of one area that another has not. */
function beyond(area: Area | null, other: Area | null): Area | null {
  if (!area) return null;
  const cells = area.cells.map((cell, i) => (cell && !(other && cellAt(other, area, i)) ? 255 : 0));
  return cells.some(Boolean) ? { ...area, cells } : null;
}

/** How much of the picture an area is, in words. */
const share = (area: Area | null, what: string): string => {
  if (!area) return '';
  const part = area.cells.reduce((sum, cell) => sum + Number(cell > 0), 0) / area.cells.length;
  return `${what} ${part < 0.005 ? 'less than 1' : Math.round(100 * part)} % of the picture`;
};

export function Marking() {
  const marking = useSession((session) => session.marking);
  return marking && <MarkingOf marking={marking} />;
}

/** The veil, with what a stroke would take in and away, and the same in words. */
function layersOf(shown: Area | null, would: Area | null | undefined): [OffscreenCanvas[], string] {
  const gained = would ? beyond(would, shown) : null;
  const lost = would === undefined ? null : beyond(shown, would);
  return [
    [
      ...(shown?.cells.some(Boolean) ? [veilOf(shown)] : []),
      ...(gained ? [newOf(gained)] : []),
      ...(lost ? [goneOf(lost)] : []),
    ],
    gained || lost ? [share(gained, 'takes in'), share(lost, 'takes away')].filter(Boolean).join(', ') : '',
  ];
}

/** Draws them over the picture, no further than the piece's cut. */
function useVeil(
  veil: RefObject<HTMLCanvasElement | null>,
  stage: Size,
  lies: Lies | null,
  layers: readonly OffscreenCanvas[],
): void {
  useEffect(() => {
    const canvas = veil.current!;
    const scale = window.devicePixelRatio || 1;
    Object.assign(canvas, { width: stage.width * scale, height: stage.height * scale });
    if (!lies || !layers.length) return;
    const context = canvas.getContext('2d')!;
    context.imageSmoothingQuality = 'high';
    for (const layer of layers) {
      context.setTransform(...compose(scaling(scale), lies.map, scaling(1 / layer.width, 1 / layer.height)));
      context.drawImage(layer, 0, 0);
    }
    context.setTransform(...compose(scaling(scale), lies.frame));
    context.globalCompositeOperation = 'destination-in';
    context.fill(lies.clip);
  });
}

function MarkingOf({ marking }: { marking: Marks }) {
  const session = useSession((now) => now);
  const { stage } = session;
  const lies = liesOf(session, marking.piece);
  const frame = useRef<HTMLDivElement>(null);
  const veil = useRef<HTMLCanvasElement>(null);
  const points = useRef<number[] | null>(null);
  const waiting = useRef(0);
  /** In shares of the picture. */
  const [spot, setSpot] = useState<Point>({ x: 0.5, y: 0.5 });
  /** What would be marked after the stroke that is drawn, or that would begin at the spot. */
  const [would, setWould] = useState<Area | null | undefined>(undefined);
  // After a dialog that closed for it has given its focus back.
  useEffect(() => frame.current?.focus(), []);
  useEffect(() => () => cancelAnimationFrame(waiting.current), []);
  const { shown } = marking;
  const [layers, said] = useMemo(() => layersOf(shown, would), [shown, would]);
  useVeil(veil, stage, lies, layers);
  const back = (): void => {
    cancelAnimationFrame(waiting.current);
    points.current = null;
    setWould(undefined);
  };
  /** Shows what a stroke would come to: once a frame, however often a hand is heard. */
  const ask = (stroke: () => readonly number[]): void => {
    cancelAnimationFrame(waiting.current);
    waiting.current = requestAnimationFrame(() => setWould(marking.stroke(stroke())));
  };
  useDragLost(() => points.current !== null, back);
  if (!lies) return null;
  const at = (event: PointerEvent<HTMLElement>): Point => {
    const box = frame.current!.getBoundingClientRect();
    return apply(invert(lies.map), { x: event.clientX - box.left, y: event.clientY - box.top });
  };
  const add = ({ x, y }: Point): void => {
    const so = points.current!;
    const [lastX, lastY] = [so.at(-2), so.at(-1)];
    // Closer than a fifth of the brush is no news.
    const least = Math.max(0.001, marking.brush / 5);
    if (lastX === undefined || Math.hypot(x - lastX, y - lastY!) >= least) so.push(x, y);
  };
  const finish = (): void => {
    cancelAnimationFrame(waiting.current);
    const so = points.current;
    points.current = null;
    setWould(undefined);
    if (so) marking.done(so);
  };
  const press = (event: KeyboardEvent) => {
    const by = event.shiftKey ? FINE : STEP;
    const [dx, dy] = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[
      event.key
    ] ?? [0, 0];
    if (event.key === 'Escape') marking.leave();
    else if (event.key === 'Enter') {
      setWould(undefined);
      marking.done([spot.x, spot.y]);
    } else if (dx || dy) {
      const next = {
        x: Math.min(1, Math.max(0, spot.x + dx!)),
        y: Math.min(1, Math.max(0, spot.y + dy!)),
      };
      setSpot(next);
      ask(() => [next.x, next.y]);
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const middle = apply(lies.map, spot);
  const across = Math.max(
    9,
    (marking.brush * growth(lies.map) * Math.max(lies.whole.width, lies.whole.height)) /
      Math.sqrt(lies.whole.width * lies.whole.height),
  );
  return (
    <Box
      ref={frame}
      role="application"
      aria-label={`${marking.says}: the arrows move the spot, with Shift finely; Enter marks, Escape ends`}
      tabIndex={0}
      data-own-keys
      data-own-arrows
      data-testid="marking"
      onKeyDown={press}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.stopPropagation();
        frame.current!.setPointerCapture(event.pointerId);
        frame.current!.focus({ preventScroll: true });
        points.current = [];
        add(at(event));
        setWould(marking.stroke(points.current));
      }}
      onPointerMove={(event) => {
        const now = at(event);
        setSpot(now);
        if (!points.current) return ask(() => [now.x, now.y]);
        event.stopPropagation();
        for (const each of event.nativeEvent.getCoalescedEvents?.() ?? []) {
          const box = frame.current!.getBoundingClientRect();
          add(apply(invert(lies.map), { x: each.clientX - box.left, y: each.clientY - box.top }));
        }
        add(now);
        const so = [...points.current];
        ask(() => so);
      }}
      onPointerUp={(event) => {
        if (!points.current) return;
        event.stopPropagation();
        finish();
      }}
      onPointerLeave={() => !points.current && back()}
      onPointerCancel={back}
      onLostPointerCapture={() => points.current && back()}
      onDoubleClick={(event) => event.stopPropagation()}
      sx={{
        position: 'absolute',
        inset: 0,
        cursor: 'none',
        zIndex: 3,
        touchAction: 'none',
        outline: 'none !important',
      }}
    >
      <Box
        role="status"
        sx={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden', clipPath: 'inset(50%)' }}
      >
        {said}
      </Box>
      <canvas
        ref={veil}
        aria-hidden
        style={{ position: 'absolute', inset: 0, width: stage.width, height: stage.height }}
      />
      <Box
        aria-hidden
        sx={{
          position: 'absolute',
          left: 0,
          top: 0,
          width: across,
          height: across,
          ml: `${-across / 2}px`,
          mt: `${-across / 2}px`,
          transform: `translate(${middle.x}px, ${middle.y}px)`,
          borderRadius: '50%',
          border: '1.5px solid #25232a',
          boxShadow: '0 0 0 1.5px #fffdf6, inset 0 0 0 1.5px #fffdf6',
        }}
      />
    </Box>
  );
}
