'use client';
/** Drawing by hand over the page: freehand, point by point, a box, or the line scissors follow. */
import { useRef, useState, type PointerEvent as ReactPointerEvent } from 'react';
import { sharpKnot, type Knot } from '@/core/geometry/knots';
import { apply, type Point } from '@/core/geometry/matrix';
import { pathBounds, pathData, transformPath } from '@/core/geometry/path';
import { formatLength } from '@/core/units/lengths';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import type { Session } from '@/features/table/session';
import { useDragLost } from '@/features/table/stage/hand/useDragLost';
import { drawnPath } from '@/features/table/session/drawn';
import { toPage, viewMatrix } from '@/features/table/stage/hand/view';

/** How near the first point a press closes the outline, pixels. */
const CLOSING = 12;
/** A press that goes further pulls the handles out, pixels. */
const PULL = 5;
/** With Shift lines go in these steps, degrees. */
const STEP = 45;

const MADDER = '#9e2b45';
const LIGHT = '#fffdf6';

/** `to` on the nearest of eight ways from `from`. */
function stepped(from: Point, to: Point): Point {
  const step = (STEP * Math.PI) / 180;
  const angle = Math.round(Math.atan2(to.y - from.y, to.x - from.x) / step) * step;
  const along = (to.x - from.x) * Math.cos(angle) + (to.y - from.y) * Math.sin(angle);
  return { x: from.x + along * Math.cos(angle), y: from.y + along * Math.sin(angle) };
}

export function Draw() {
  const { store } = useRoom();
  const drawing = useSession((session) => session.drawing);
  const view = useSession((session) => session.view);
  const stage = useSession((session) => session.stage);
  const [pointer, setPointer] = useState<Point | null>(null);
  const hand = useRef<Point[] | null>(null);
  /** As it was before the press that lasts. */
  const before = useRef(drawing);
  const { way, knots, closed } = drawing;
  const points = way === 'points';

  const at = (event: ReactPointerEvent): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    return toPage(view, { x: event.clientX - box.left, y: event.clientY - box.top });
  };
  const pixels = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y) * view.zoom;

  function press(event: ReactPointerEvent<SVGRectElement>): void {
    // The middle button and a second finger look around: that is the stage's own business.
    if (event.button !== 0 || !event.isPrimary) return;
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    const here = at(event);
    before.current = drawing;
    if (!points) {
      hand.current = [here];
      return act.setDrawing(store, { line: [here], zoom: view.zoom });
    }
    if (closed) return;
    const [first] = knots;
    if (first && knots.length > 2 && pixels(first, here) < CLOSING) {
      hand.current = null;
      return act.setDrawing(store, { closed: true });
    }
    const last = knots[knots.length - 1];
    hand.current = [last && event.shiftKey ? stepped(last, here) : here];
    act.setDrawing(store, { knots: [...knots, sharpKnot(hand.current[0]!)] });
  }

  function move(event: ReactPointerEvent<SVGRectElement>): void {
    const here = at(event);
    const drawn = hand.current;
    if (points) setPointer(here);
    if (!drawn) return;
    event.stopPropagation();
    const from = drawn[0]!;
    if (points) {
      const after = pixels(from, here) > PULL ? here : from;
      const knot: Knot = { ...from, after, before: { x: 2 * from.x - after.x, y: 2 * from.y - after.y } };
      return act.setDrawing(store, { knots: [...knots.slice(0, -1), knot] });
    }
    if (way === 'box' || way === 'round') {
      const side = Math.max(Math.abs(here.x - from.x), Math.abs(here.y - from.y));
      const to = event.shiftKey
        ? { x: from.x + Math.sign(here.x - from.x) * side, y: from.y + Math.sign(here.y - from.y) * side }
        : here;
      return act.setDrawing(store, { line: [from, to] });
    }
    const straight = way === 'scissors' && drawing.straight;
    // What came between two frames is drawn too.
    const native = event.nativeEvent;
    const all = straight ? [] : (native.getCoalescedEvents?.() ?? []);
    const box = event.currentTarget.getBoundingClientRect();
    const more = all.map(({ clientX, clientY }) =>
      toPage(view, { x: clientX - box.left, y: clientY - box.top }),
    );
    hand.current = straight
      ? [from, event.shiftKey ? stepped(from, here) : here]
      : [...drawn, ...(more.length ? more : [here])];
    act.setDrawing(store, { line: hand.current });
  }

  const release = () => {
    hand.current = null;
  };
  const back = () => {
    if (!hand.current) return;
    hand.current = null;
    act.setDrawing(store, before.current);
  };
  useDragLost(() => hand.current !== null, back);

  return (
    <g data-testid="drawing">
      <rect
        width={stage.width}
        height={stage.height}
        fill="transparent"
        style={{ pointerEvents: 'all', cursor: 'crosshair' }}
        onPointerDown={press}
        onPointerMove={move}
        onPointerUp={release}
        onPointerCancel={back}
        onLostPointerCapture={back}
        onPointerLeave={() => setPointer(null)}
      />
      <Drawn drawing={drawing} pointer={pointer} />
    </g>
  );
}

/** The line as it is drawn so far, its knots, and how large what it encloses is. */
function Drawn({ drawing, pointer }: { drawing: Session['drawing']; pointer: Point | null }) {
  const { store } = useRoom();
  const view = useSession((session) => session.view);
  const unit = useSession((session) => session.history.project.unit);
  // The line scissors follow goes through what is selected.
  useSession((session) => session.selection);
  const { way, knots, closed } = drawing;
  const points = way === 'points';
  const map = viewMatrix(view);
  const path = drawnPath(drawing);
  const cut = act.lineToCut(store.getState());
  const shown = (line: readonly Point[]) =>
    line
      .map((p, i) => `${i ? 'L' : 'M'}${apply(map, p).x.toFixed(1)} ${apply(map, p).y.toFixed(1)}`)
      .join('');
  const open = points && !closed && knots.length > 0;
  const last = knots[knots.length - 1];
  const data = path
    ? pathData(transformPath(map, path), 1)
    : cut
      ? shown(cut)
      : open
        ? pathData(transformPath(map, openPath(knots)), 1)
        : drawing.line.length > 1
          ? shown(drawing.line)
          : '';
  const size = path && pathBounds(path);
  const corner = size && apply(map, { x: size.x + size.width / 2, y: size.y + size.height });
  return (
    <>
      <g fill="none" strokeLinejoin="round" strokeLinecap="round">
        {path && <path d={data} fill="#2f6f68" fillOpacity={0.28} fillRule="nonzero" />}
        <path d={data} stroke={LIGHT} strokeWidth={3.5} />
        <path d={data} stroke={MADDER} strokeWidth={1.8} />
        {open && last && pointer && (
          <path
            d={shown([last, pointer])}
            stroke={MADDER}
            strokeWidth={1.4}
            strokeDasharray="2 4"
            opacity={0.8}
          />
        )}
        {points &&
          knots.map((knot, i) => {
            const { x, y } = apply(map, knot);
            return (
              <circle
                key={i}
                cx={x}
                cy={y}
                r={i === 0 && !closed ? 6.5 : 4.5}
                fill={i === 0 && !closed ? '#e3b34a' : LIGHT}
                stroke={MADDER}
                strokeWidth={1.6}
              />
            );
          })}
      </g>
      {size && corner && (
        <text
          x={corner.x}
          y={corner.y + 20}
          textAnchor="middle"
          fontSize={14}
          fontWeight={600}
          fill="#25232a"
          stroke={LIGHT}
          strokeWidth={4}
          paintOrder="stroke"
        >
          {formatLength(size.width, unit)} x {formatLength(size.height, unit, true)}
        </text>
      )}
    </>
  );
}

/** Points on their way to an outline, as a line. */
const openPath = (knots: readonly Knot[]) =>
  knots.map((knot, i) =>
    i === 0
      ? (['M', knot.x, knot.y] as const)
      : ([
          'C',
          knots[i - 1]!.after.x,
          knots[i - 1]!.after.y,
          knot.before.x,
          knot.before.y,
          knot.x,
          knot.y,
        ] as const),
  );
