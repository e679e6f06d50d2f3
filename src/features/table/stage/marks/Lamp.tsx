'use client';
/** The page light as a lamp over the page: round it for the direction, nearer the middle for a higher light. */
import { useRef, type PointerEvent as ReactPointerEvent } from 'react';
import { apply } from '@/core/geometry/matrix';
import { changeLight } from '@/core/project/edits/make';
import { useRoom, useSession } from '@/features/table/room/context';
import { useDragLost } from '@/features/table/stage/hand/useDragLost';
import { shownSurface } from '@/features/table/session';
import { toPage, viewMatrix } from '@/features/table/stage/hand/view';

/** Heights a lamp can be dragged to, degrees above the page, as the dial beside the page has them. */
const LOWEST = 20;
const HIGHEST = 80;
/** How far from the middle the lowest light stands, in shares of the page's shorter side. */
const FARTHEST = 0.46;

export function Lamp() {
  const { store } = useRoom();
  const view = useSession((session) => session.view);
  const light = useSession((session) => shownSurface(session).light);
  const width = useSession((session) => shownSurface(session).width);
  const height = useSession((session) => shownSurface(session).height);
  const held = useRef(false);
  const reach = FARTHEST * Math.min(width, height);
  const middle = { x: width / 2, y: height / 2 };
  const far = (reach * (90 - light.height)) / (90 - LOWEST);
  const way = (light.direction * Math.PI) / 180;
  const map = viewMatrix(view);
  const at = apply(map, { x: middle.x + far * Math.sin(way), y: middle.y - far * Math.cos(way) });
  const centre = apply(map, middle);

  const back = () => {
    if (!held.current) return;
    held.current = false;
    store.getState().tryOut(null);
  };
  useDragLost(() => held.current, back);
  const edit = (event: ReactPointerEvent<SVGGElement>) => {
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const to = toPage(view, { x: event.clientX - box.left, y: event.clientY - box.top });
    const [dx, dy] = [to.x - middle.x, to.y - middle.y];
    const steep = 90 - (Math.hypot(dx, dy) / reach) * (90 - LOWEST);
    const turned = (Math.atan2(dx, -dy) * 180) / Math.PI;
    return changeLight(store.getState().surfaceId, {
      direction: Math.round((turned + 360) % 360),
      height: Math.round(Math.min(HIGHEST, Math.max(LOWEST, steep))),
    });
  };
  return (
    <g
      data-testid="lamp"
      style={{ cursor: 'grab', pointerEvents: 'auto' }}
      onPointerDown={(event) => {
        if (event.button !== 0) return;
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        held.current = true;
      }}
      onPointerMove={(event) => held.current && store.getState().tryOut(edit(event))}
      onPointerUp={(event) => {
        if (!held.current) return;
        held.current = false;
        store.getState().perform({ ...edit(event), merge: undefined });
      }}
      onPointerCancel={back}
      onLostPointerCapture={back}
    >
      <title>Page light: drag it round the page, nearer the middle for a higher light</title>
      <path
        d={`M${centre.x} ${centre.y}L${at.x} ${at.y}`}
        stroke="#7a5413"
        strokeWidth={1.4}
        strokeDasharray="2 5"
        pointerEvents="none"
      />
      <circle cx={at.x} cy={at.y} r={18} fill="transparent" />
      <path
        d={Array.from({ length: 8 }, (_, i) => {
          const angle = (Math.PI * i) / 4;
          const [c, s] = [Math.cos(angle), Math.sin(angle)];
          return `M${at.x + 12 * c} ${at.y + 12 * s}L${at.x + 16.5 * c} ${at.y + 16.5 * s}`;
        }).join('')}
        stroke="#7a5413"
        strokeWidth={2}
        strokeLinecap="round"
      />
      <circle cx={at.x} cy={at.y} r={8.5} fill="#e3b34a" stroke="#7a5413" strokeWidth={1.8} />
    </g>
  );
}
