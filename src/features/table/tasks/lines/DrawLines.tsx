'use client';
/** Drawing lines over the page with whatever is in the hand, or taking hold of one. */
import Box from '@mui/material/Box';
import { useEffect, useRef, useState, type PointerEvent as ReactPointerEvent } from 'react';
import { lineShapes } from '@/core/piece/outline/lines';
import { placementMatrix } from '@/core/piece/placement/placement';
import { compose, growth, type Point } from '@/core/geometry/matrix';
import { pathData, transformPath } from '@/core/geometry/path';
import { toolsFor } from '@/core/page/outlines';
import { lightFrom } from '@/core/piece/finish/treatments';
import { trailKind } from '@/core/trail';
import type { Pressing } from '@/core/trail/line';
import type { DrawingSource } from '@/output/pixels/marks';
import { browser } from '@/output/platform';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { shownSurface } from '@/features/table/session';
import { useDragLost } from '@/features/table/stage/hand/useDragLost';
import { toPage, viewMatrix } from '@/features/table/stage/hand/view';
import { circle, EdgeGuide, straight } from '@/features/table/tasks/lines/guided';
import { canvasView, LiveLine } from '@/features/table/tasks/lines/live';
import { focusStage } from '@/features/table/stage/focus';

/** How near an edge one begins that shall be followed, pixels. */
const NEAR_EDGE = 40;
/** A hand that did not move for so long rests, milliseconds. */
const RESTS = 100;
/** How near a line is pressed to take hold of it, pixels. */
const NEAR_LINE = 6;

/** A stroke that lasts. */
interface Stroke {
  spots: Pressing[];
  live: LiveLine;
  edge: EdgeGuide | null;
  /** Held keys: a straight line, and one that goes in steps of its angle. */
  keys: { line: boolean; stepped: boolean };
  /** As it stands, on its guide. */
  line(): { spots: Pressing[]; closed: boolean; exact: boolean };
}

export function DrawLines() {
  const room = useRoom();
  const { store } = room;
  const view = useSession((session) => session.view);
  const stage = useSession((session) => session.stage);
  const choosing = useSession((session) => session.lining.choosing);
  const settled = useRef<HTMLCanvasElement>(null);
  const tail = useRef<HTMLCanvasElement>(null);
  const stroke = useRef<Stroke | null>(null);
  const frame = useRef(0);
  const rests = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [pointer, setPointer] = useState<Point | null>(null);
  const dense = typeof devicePixelRatio === 'number' ? devicePixelRatio : 1;

  const spotOf = (event: PointerEvent | ReactPointerEvent, box: DOMRect): Pressing => ({
    ...toPage(view, { x: event.clientX - box.left, y: event.clientY - box.top }),
    ...penOf(event),
  });

  function press(event: ReactPointerEvent<HTMLDivElement>): void {
    // The middle button and a second finger look around: that is the stage's own business.
    if (event.button !== 0 || !event.isPrimary) return;
    event.stopPropagation();
    const session = store.getState();
    const box = event.currentTarget.getBoundingClientRect();
    const here = spotOf(event, box);
    focusStage();
    if (choosing) {
      act.holdLineAt(store, here, NEAR_LINE / view.zoom);
      return;
    }
    if (session.readOnly) return session.refuse('Another tab holds this project: it is drawn on there.');
    if (shownSurface(session).locked) return session.touchLocked();
    event.currentTarget.setPointerCapture(event.pointerId);
    act.holdLine(store, null);
    const { smoothing, guide } = session.lining;
    const hand = act.freshHand(store);
    const tools = toolsFor(session.history.project, session.typesetter);
    const surface = shownSurface(session);
    const edge = guide === 'edge' ? new EdgeGuide(surface.pile, here, NEAR_EDGE / view.zoom, tools) : null;
    if (edge && !edge.leads)
      return session.refuse('Begin near the edge of a piece: the line follows it from there.');
    const live = new LiveLine([settled.current!, tail.current!], hand, smoothing, {
      view: canvasView(view.zoom, view.x, view.y, dense),
      source: sourceFor(room, growth(canvasView(view.zoom, 0, 0, dense))),
      toward: lightFrom(surface.light, [1, 0, 0, 1, 0, 0]),
      asset: tools.asset,
    });
    const drawn: Stroke = {
      ...{ spots: [here], live, edge, keys: keysOf(event) },
      line() {
        const { spots, keys } = drawn;
        const last = spots[spots.length - 1]!;
        if (edge) return { ...edge.line(), exact: true };
        if (guide === 'round') return { spots: circle(here, last), closed: spots.length > 1, exact: true };
        if (guide !== 'straight' && !keys.line) return { spots, closed: false, exact: false };
        const led = spots.length > 1 ? straight(here, last, keys.stepped) : spots;
        return { spots: led, closed: false, exact: true };
      },
    };
    stroke.current = drawn;
    paintSoon();
  }

  function paintSoon(): void {
    if (frame.current) return;
    frame.current = requestAnimationFrame(() => {
      frame.current = 0;
      const now = stroke.current;
      if (!now) return;
      const { spots, closed, exact } = now.line();
      clearTimeout(rests.current);
      if (now.live.paint(spots, closed, exact)) return;
      // If the hand rests now its last spots are painted all the same.
      rests.current = setTimeout(() => {
        now.live.rested();
        paintSoon();
      }, RESTS);
    });
  }

  function move(event: ReactPointerEvent<HTMLDivElement>): void {
    const box = event.currentTarget.getBoundingClientRect();
    setPointer({ x: event.clientX - box.left, y: event.clientY - box.top });
    const now = stroke.current;
    if (!now) return;
    event.stopPropagation();
    now.keys = keysOf(event);
    // What came between two frames is drawn too.
    const native = event.nativeEvent;
    const all = native.getCoalescedEvents?.() ?? [];
    const fresh = (all.length ? all : [native]).map((one) => spotOf(one, box));
    now.spots.push(...fresh);
    if (now.edge) for (const spot of fresh) now.edge.follow(spot);
    paintSoon();
  }

  function release(): void {
    const now = stroke.current;
    if (!now) return;
    stroke.current = null;
    const { spots, closed, exact } = now.line();
    const why = act.drawLine(store, spots, { closed: closed && spots.length > 2, exact });
    if (why) store.getState().refuse(why);
    // What was painted meanwhile goes when the page shows the line itself.
    requestAnimationFrame(() => requestAnimationFrame(() => !stroke.current && now.live.clear()));
  }

  const back = () => {
    stroke.current?.live.clear();
    stroke.current = null;
  };
  useDragLost(() => stroke.current !== null, back);
  useEffect(
    () => () => {
      cancelAnimationFrame(frame.current);
      clearTimeout(rests.current);
    },
    [],
  );

  const sheet = {
    width: Math.max(1, Math.round(stage.width * dense)),
    height: Math.max(1, Math.round(stage.height * dense)),
    style: { position: 'absolute', inset: 0, width: stage.width, height: stage.height },
  } as const;
  return (
    <Box sx={{ position: 'absolute', inset: 0 }} data-testid="drawing-lines">
      <canvas ref={settled} {...sheet} />
      <canvas ref={tail} {...sheet} />
      <Held />
      {pointer && !choosing && <TipRing at={pointer} />}
      <div
        style={{
          position: 'absolute',
          inset: 0,
          touchAction: 'none',
          cursor: choosing ? 'pointer' : 'crosshair',
        }}
        onPointerDown={press}
        onPointerMove={move}
        onPointerUp={release}
        onPointerCancel={back}
        onLostPointerCapture={() => stroke.current && release()}
        onPointerLeave={() => setPointer(null)}
      />
    </Box>
  );
}

const keysOf = ({ shiftKey, ctrlKey, metaKey }: ReactPointerEvent) => ({
  line: shiftKey,
  stepped: ctrlKey || metaKey,
});

/** How hard and how upright a pen is held; nothing of it for a mouse or a finger, which cannot tell. */
function penOf({ pointerType, pressure, tiltX = 0, tiltY = 0 }: PointerEvent | ReactPointerEvent) {
  if (pointerType !== 'pen') return {};
  const [x, y] = [Math.tan((tiltX * Math.PI) / 180), Math.tan((tiltY * Math.PI) / 180)];
  return { pressure, lean: (Math.atan(Math.hypot(x, y)) * 180) / Math.PI };
}

/** Pictures and fonts for what is painted over the stage, as large as it is seen. */
function sourceFor({ store, shelf }: ReturnType<typeof useRoom>, scale: number): DrawingSource {
  const { history } = store.getState();
  const { assets } = history.project;
  return {
    platform: browser,
    drawing: (sha, mark) => assets[sha] && shelf.drawing(assets[sha], mark),
    image: (sha, mark) => {
      const asset = assets[sha];
      return (
        asset && shelf.take(asset, growth(mark.matrix) * scale * Math.max(asset.width, asset.height), mark)
      );
    },
  };
}

/** How wide the tip in the hand is, round the pointer. */
function TipRing({ at }: { at: Point }) {
  const wide = useSession(({ lining: { hand }, view }) => trailKind(hand).half(hand) * view.zoom);
  return (
    <svg width="100%" height="100%" style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}>
      <circle cx={at.x} cy={at.y} r={Math.max(2, wide)} fill="none" stroke="#fffdf6" strokeWidth={2.5} />
      <circle cx={at.x} cy={at.y} r={Math.max(2, wide)} fill="none" stroke="#25232a" strokeWidth={1} />
    </svg>
  );
}

/** The line that is held. */
function Held() {
  const held = useSession((session) => session.lining.held);
  const view = useSession((session) => session.view);
  const piece = useSession((session) => act.linesPieceOf(session));
  const assets = useSession((session) => session.history.project.assets);
  const found =
    held &&
    piece &&
    lineShapes(piece.outline, piece.placement, (sha) => assets[sha]).find(({ id }) => id === held);
  if (!found || !piece) return null;
  const data = pathData(
    transformPath(compose(viewMatrix(view), placementMatrix(piece.placement)), found.path),
    1,
  );
  return (
    <svg
      width="100%"
      height="100%"
      style={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}
      data-testid="held-line"
    >
      <path d={data} fill="none" stroke="#fffdf6" strokeWidth={4} strokeLinejoin="round" />
      <path d={data} fill="none" stroke="#9e2b45" strokeWidth={1.8} strokeLinejoin="round" />
    </svg>
  );
}
