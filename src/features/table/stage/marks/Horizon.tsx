'use client';
/** A line drawn along a horizon, or along what should stand upright: the photo is turned by it in its place. */
import { useState, type PointerEvent as ReactPointerEvent } from 'react';
import { apply, type Point } from '@/core/geometry/matrix';
import { useRoom, useSession } from '@/features/table/room/context';
import { levelledAlong, slidPiece } from '@/features/table/acts/slide';
import { useDragLost } from '@/features/table/stage/hand/useDragLost';
import { toPage, viewMatrix } from '@/features/table/stage/hand/view';

/** A shorter line says nothing of an angle, CSS pixels. */
const SHORTEST = 24;

export function Horizon() {
  const { store } = useRoom();
  const view = useSession((session) => session.view);
  const stage = useSession((session) => session.stage);
  const [line, setLine] = useState<[Point, Point] | null>(null);
  const at = (event: ReactPointerEvent): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    return toPage(view, { x: event.clientX - box.left, y: event.clientY - box.top });
  };
  const release = () => {
    setLine(null);
    const session = store.getState();
    const piece = slidPiece(session);
    if (!line || !piece || session.mode.kind !== 'slide') return;
    const [from, to] = line;
    if (Math.hypot(to.x - from.x, to.y - from.y) * view.zoom < SHORTEST) return;
    const edit = levelledAlong(session, piece, from, to);
    if (edit) session.perform({ ...edit, merge: undefined });
    store.getState().setMode({ ...session.mode, level: undefined });
  };
  useDragLost(
    () => line !== null,
    () => setLine(null),
  );
  const [from, to] = line ? line.map((point) => apply(viewMatrix(view), point)) : [];
  return (
    <g data-testid="horizon">
      <rect
        width={stage.width}
        height={stage.height}
        fill="transparent"
        style={{ pointerEvents: 'all', cursor: 'crosshair' }}
        onPointerDown={(event) => {
          if (event.button !== 0 || !event.isPrimary) return;
          event.stopPropagation();
          event.currentTarget.setPointerCapture(event.pointerId);
          setLine([at(event), at(event)]);
        }}
        onPointerMove={(event) => {
          if (!line) return;
          event.stopPropagation();
          setLine([line[0], at(event)]);
        }}
        onPointerUp={release}
        onPointerCancel={() => setLine(null)}
        onLostPointerCapture={() => setLine(null)}
      />
      {from && to && (
        <g strokeLinecap="round" pointerEvents="none">
          <path d={`M${from.x} ${from.y}L${to.x} ${to.y}`} stroke="#fffdf6" strokeWidth={5} />
          <path d={`M${from.x} ${from.y}L${to.x} ${to.y}`} stroke="#9e2b45" strokeWidth={2} />
        </g>
      )}
    </g>
  );
}
