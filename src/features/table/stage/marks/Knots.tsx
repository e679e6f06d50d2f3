'use client';
/** The points of an outline while it is worked: pressed, dragged, their handles, and the sides between them. */
import { Fragment, type PointerEvent as ReactPointerEvent } from 'react';
import { useShallow } from 'zustand/react/shallow';
import { isStraight, sideAt, type Knot, type Spot } from '@/core/geometry/knots';
import { apply, type Point } from '@/core/geometry/matrix';
import { pathData, transformPath, type Path } from '@/core/geometry/path';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { selectedPieces } from '@/features/table/session';
import type { Grip } from '@/features/table/stage/hand/drags';
import { toPage, viewMatrix } from '@/features/table/stage/hand/view';

const MADDER = '#9e2b45';
const LIGHT = '#fffdf6';
const GOLD = '#e3b34a';

interface Props {
  onGrip: (event: ReactPointerEvent, grip: Grip) => void;
}

export function Knots({ onGrip }: Props) {
  const { store } = useRoom();
  const map = viewMatrix(useSession((session) => session.view));
  const mode = useSession((session) => session.mode);
  const [piece] = useSession(useShallow(selectedPieces));
  if (!piece || mode.kind !== 'reshape' || piece.id !== mode.id) return null;
  const rings = act.ringsOnPage(store.getState(), piece);
  const { at, side } = mode;
  const held = (spot: Spot) => at?.ring === spot.ring && at.knot === spot.knot;
  const spots = rings.flatMap((ring, r) => ring.map((_, knot): Spot => ({ ring: r, knot })));
  const handles = spots.filter((spot) => {
    const count = rings[spot.ring]!.length;
    // Those of the point that is held, or of both ends of the side.
    return held(spot) || (side && held({ ring: spot.ring, knot: (spot.knot + count - 1) % count }));
  });
  return (
    <g data-testid="knots" strokeLinejoin="round">
      {spots.map((spot) => {
        const data = pathData(transformPath(map, sidePath(sideAt(rings, spot))), 1);
        const mine = side && held(spot);
        return (
          <Fragment key={`${spot.ring}.${spot.knot}`}>
            <path d={data} fill="none" stroke={LIGHT} strokeWidth={mine ? 5 : 3.5} />
            <path d={data} fill="none" stroke={mine ? GOLD : MADDER} strokeWidth={mine ? 3 : 1.6} />
            <path
              d={data}
              fill="none"
              stroke="transparent"
              strokeWidth={14}
              style={{ cursor: 'pointer', pointerEvents: 'stroke' }}
              data-side={`${spot.ring}.${spot.knot}`}
              onPointerDown={(event) => onGrip(event, { kind: 'side', spot })}
              onDoubleClick={(event) => {
                event.stopPropagation();
                const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
                const here = { x: event.clientX - box.left, y: event.clientY - box.top };
                act.addPoint(store, toPage(store.getState().view, here));
              }}
            >
              <title>{`${isStraight(rings, spot) ? 'Straight' : 'Curved'} side: drag it to bend it, double-click for one more point`}</title>
            </path>
          </Fragment>
        );
      })}
      {handles.map((spot) => {
        const knot = rings[spot.ring]![spot.knot]!;
        return (['before', 'after'] as const).map((which) => (
          <Handle
            key={`${spot.ring}.${spot.knot}${which}`}
            root={apply(map, knot)}
            at={apply(map, knot[which])}
            onPointerDown={(event) => onGrip(event, { kind: 'handle', spot, which })}
          />
        ));
      })}
      {spots.map((spot) => {
        const { x, y } = apply(map, rings[spot.ring]![spot.knot]!);
        const mine = !side && held(spot);
        return (
          <g
            key={`${spot.ring}.${spot.knot}`}
            style={{ cursor: 'move', pointerEvents: 'all' }}
            data-knot={`${spot.ring}.${spot.knot}`}
            onPointerDown={(event) => onGrip(event, { kind: 'knot', spot })}
          >
            <title>Point: drag it</title>
            <circle cx={x} cy={y} r={12} fill="transparent" />
            <circle
              cx={x}
              cy={y}
              r={mine ? 6.4 : 4.6}
              fill={mine ? GOLD : LIGHT}
              stroke={MADDER}
              strokeWidth={1.7}
            />
          </g>
        );
      })}
    </g>
  );
}

const sidePath = ([a, b]: [Knot, Knot]): Path => [
  ['M', a.x, a.y],
  ['C', a.after.x, a.after.y, b.before.x, b.before.y, b.x, b.y],
];

interface HandleProps {
  root: Point;
  at: Point;
  onPointerDown: (event: ReactPointerEvent) => void;
}

function Handle({ root, at, onPointerDown }: HandleProps) {
  if (Math.hypot(root.x - at.x, root.y - at.y) < 3) return null;
  const line = `M${root.x} ${root.y}L${at.x} ${at.y}`;
  return (
    <g style={{ cursor: 'crosshair', pointerEvents: 'all' }} data-grip="handle" onPointerDown={onPointerDown}>
      <title>Handle: drag it to bend the side</title>
      <path d={line} stroke={LIGHT} strokeWidth={3} fill="none" />
      <path d={line} stroke="#2f6f68" strokeWidth={1.3} fill="none" />
      <circle cx={at.x} cy={at.y} r={12} fill="transparent" />
      <circle cx={at.x} cy={at.y} r={4.2} fill="#2f6f68" stroke={LIGHT} strokeWidth={1.5} />
    </g>
  );
}
