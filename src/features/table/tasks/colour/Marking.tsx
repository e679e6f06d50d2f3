'use client';
/** A hand marks on a picture: what is marked stays in its colours, all else is veiled; by pointer, or by arrows and Enter. */
import Box from '@mui/material/Box';
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Area } from '@/core/dye/area';
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

/** The veil as a small picture: clear over what is marked, with a line round it. */
function veilOf({ width, height, cells }: Area): OffscreenCanvas {
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d')!;
  const pixels = context.createImageData(width, height);
  for (let y = 0, i = 0; y < height; y++)
    for (let x = 0; x < width; x++, i++) {
      if (cells[i]) continue;
      const near =
        (x > 0 && cells[i - 1]) ||
        (x < width - 1 && cells[i + 1]) ||
        (y > 0 && cells[i - width]) ||
        (y < height - 1 && cells[i + width]);
      pixels.data.set(near ? LINE : VEIL, 4 * i);
    }
  context.putImageData(pixels, 0, 0);
  return canvas;
}

export function Marking({ marking }: { marking: Marks }) {
  const session = useSession((now) => now);
  const { stage } = session;
  const lies = liesOf(session, marking.piece);
  const frame = useRef<HTMLDivElement>(null);
  const veil = useRef<HTMLCanvasElement>(null);
  const points = useRef<number[] | null>(null);
  const waiting = useRef(0);
  /** In shares of the picture. */
  const [spot, setSpot] = useState<Point>({ x: 0.5, y: 0.5 });
  const [drawn, setDrawn] = useState<Area | null | undefined>(undefined);
  // After a dialog that closed for it has given its focus back.
  useEffect(() => frame.current?.focus(), []);
  useEffect(() => () => cancelAnimationFrame(waiting.current), []);
  const shown = drawn === undefined ? marking.shown : drawn;
  useEffect(() => {
    const canvas = veil.current!;
    const scale = window.devicePixelRatio || 1;
    Object.assign(canvas, { width: stage.width * scale, height: stage.height * scale });
    if (!lies || !shown?.cells.some(Boolean)) return;
    const context = canvas.getContext('2d')!;
    context.setTransform(...compose(scaling(scale), lies.map, scaling(1 / shown.width, 1 / shown.height)));
    context.imageSmoothingQuality = 'high';
    context.drawImage(veilOf(shown), 0, 0);
    context.setTransform(...compose(scaling(scale), lies.frame));
    context.globalCompositeOperation = 'destination-in';
    context.fill(lies.clip);
  });
  const back = (): void => {
    cancelAnimationFrame(waiting.current);
    points.current = null;
    setDrawn(undefined);
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
    setDrawn(undefined);
    if (so) marking.done(so);
  };
  const press = (event: KeyboardEvent) => {
    const by = event.shiftKey ? FINE : STEP;
    const [dx, dy] = { ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, -by], ArrowDown: [0, by] }[
      event.key
    ] ?? [0, 0];
    if (event.key === 'Escape') marking.leave();
    else if (event.key === 'Enter') marking.done([spot.x, spot.y]);
    else if (dx || dy)
      setSpot({
        x: Math.min(1, Math.max(0, spot.x + dx!)),
        y: Math.min(1, Math.max(0, spot.y + dy!)),
      });
    else return;
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
        setDrawn(marking.stroke(points.current));
      }}
      onPointerMove={(event) => {
        const now = at(event);
        setSpot(now);
        if (!points.current) return;
        event.stopPropagation();
        for (const each of event.nativeEvent.getCoalescedEvents?.() ?? []) {
          const box = frame.current!.getBoundingClientRect();
          add(apply(invert(lies.map), { x: each.clientX - box.left, y: each.clientY - box.top }));
        }
        add(now);
        // Once a frame, however often a hand is heard.
        cancelAnimationFrame(waiting.current);
        waiting.current = requestAnimationFrame(
          () => points.current && setDrawn(marking.stroke([...points.current])),
        );
      }}
      onPointerUp={(event) => {
        if (!points.current) return;
        event.stopPropagation();
        finish();
      }}
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
