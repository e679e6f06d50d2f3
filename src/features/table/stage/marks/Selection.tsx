'use client';
/** The running stitch round what is selected, its brads and its turning loop. */
import { memo, type PointerEvent as ReactPointerEvent } from 'react';
import { centredBox, corners, type Box, type Size } from '@/core/geometry/box';
import { apply, compose, translation, type Matrix, type Point } from '@/core/geometry/matrix';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix, type Side } from '@/core/piece/placement/placement';
import type { Grip } from '@/features/table/stage/hand/drags';
import { SettingGrips } from '@/features/table/stage/marks/SettingGrips';

/** A closed run of thread: a light strand under a dark one, so that it reads on any colour. */
function Stitch({ rings, quiet }: { rings: readonly (readonly Point[])[]; quiet?: boolean }) {
  const run = rings
    .map((ring) => `M${ring.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`)
    .join('');
  return (
    <g fill="none" strokeLinejoin="round" strokeLinecap="round">
      <path d={run} stroke="#fffdf6" strokeWidth={quiet ? 2.5 : 3.5} opacity={0.95} />
      <path
        d={run}
        stroke={quiet ? '#2f6f68' : '#9e2b45'}
        strokeWidth={quiet ? 1.5 : 2}
        strokeDasharray="8 5"
      />
    </g>
  );
}

/** Pixels a handle needs between two corners, and how long a strip must be to have its ends outside. */
const ROOM = 40;
const LONG = 72;
const OUTSIDE = 18;

/** Pixels a hand hits about a handle, and about the middle of a piece, which always moves it. */
const HIT = 15;
const MIDDLE = 11;

/** A point further from the middle: at least so far, and at least `by` more than it is. */
function beyond(point: Point, centre: Point, by: number): Point {
  const long = Math.hypot(point.x - centre.x, point.y - centre.y) || 1;
  const share = Math.max(long + by, HIT + MIDDLE) / long;
  return { x: centre.x + (point.x - centre.x) * share, y: centre.y + (point.y - centre.y) * share };
}

const HANDLES: readonly [Side, Side][] = [
  [-1, -1],
  [1, -1],
  [1, 1],
  [-1, 1],
  [0, -1],
  [1, 0],
  [0, 1],
  [-1, 0],
];

const CURSORS = ['ew-resize', 'nwse-resize', 'ns-resize', 'nesw-resize'];

export interface SelectionProps {
  pieces: readonly Piece[];
  hovered: Piece | undefined;
  view: Matrix;
  /** The true box round several pieces, page points. */
  around: Box | null;
  /** A hand is moving them: of many only the frame is shown. */
  moving: boolean;
  /** Whether brads and loop are shown. */
  handles: boolean;
  onGrip: (event: ReactPointerEvent, grip: Grip) => void;
}

export function Selection({ pieces, hovered, view, around, moving, handles, onGrip }: SelectionProps) {
  const outline = (piece: Piece) =>
    corners(centredBox(piece.placement)).map((corner) =>
      apply(compose(view, placementMatrix(piece.placement)), corner),
    );
  const [only] = pieces;
  return (
    <g data-testid="selection">
      {hovered && !pieces.includes(hovered) && <Stitch rings={[outline(hovered)]} quiet />}
      {pieces.length > 0 && !(moving && around) && (
        <Stitch rings={pieces.map(outline)} quiet={pieces.length > 1} />
      )}
      {around && <Stitch rings={[corners(around).map((corner) => apply(view, corner))]} />}
      {handles && pieces.length === 1 && only && !only.placement.locked && (
        <Handles
          map={compose(view, placementMatrix(only.placement))}
          size={only.placement}
          turn={only.placement.turn}
          away={moving}
          onGrip={onGrip}
        />
      )}
      {handles && pieces.length === 1 && only && !only.placement.locked && (
        <SettingGrips piece={only} view={view} onGrip={onGrip} />
      )}
      {handles && around && (
        <Handles
          map={compose(view, translation(around.x + around.width / 2, around.y + around.height / 2))}
          size={around}
          turn={0}
          cornersOnly
          away={moving}
          onGrip={onGrip}
        />
      )}
    </g>
  );
}

interface HandlesProps {
  /** From the box's middle to the screen. */
  map: Matrix;
  size: Size;
  turn: number;
  /** Several pieces only grow together, so their box has no handles at its sides. */
  cornersOnly?: boolean;
  /** While something moves they are not seen, and not followed; the one a hand holds goes on holding. */
  away: boolean;
  onGrip: SelectionProps['onGrip'];
}

const Handles = memo(HandlesAt, (before, now) => before.away && now.away);

function HandlesAt({ map, size, turn, cornersOnly = false, away, onGrip }: HandlesProps) {
  const { width, height } = size;
  const at = (sx: number, sy: number): Point => apply(map, { x: (sx * width) / 2, y: (sy * height) / 2 });
  const [topLeft, topRight, bottomRight] = [at(-1, -1), at(1, -1), at(1, 1)];
  const across = Math.hypot(topRight.x - topLeft.x, topRight.y - topLeft.y);
  const down = Math.hypot(topRight.x - bottomRight.x, topRight.y - bottomRight.y);
  const top = at(0, -1);
  const centre = at(0, 0);
  const length = Math.hypot(top.x - centre.x, top.y - centre.y) || 1;
  const out = { x: (top.x - centre.x) / length, y: (top.y - centre.y) / length };
  const loop = { x: top.x + out.x * 34, y: top.y + out.y * 34 };
  return (
    <g visibility={away ? 'hidden' : undefined}>
      <g
        className="loop"
        style={{ cursor: 'grab' }}
        onPointerDown={(event) => onGrip(event, { kind: 'turn' })}
        data-grip="turn"
      >
        <path
          d={`M${top.x} ${top.y}L${loop.x - out.x * 8} ${loop.y - out.y * 8}`}
          stroke="#fffdf6"
          strokeWidth={4}
        />
        <path
          d={`M${top.x} ${top.y}L${loop.x - out.x * 8} ${loop.y - out.y * 8}`}
          stroke="#9e2b45"
          strokeWidth={2}
        />
        <circle cx={loop.x} cy={loop.y} r={8} fill="none" stroke="#fffdf6" strokeWidth={5} />
        <circle cx={loop.x} cy={loop.y} r={8} fill="none" stroke="#9e2b45" strokeWidth={2.2} />
        <circle cx={loop.x} cy={loop.y} r={17} fill="transparent" />
      </g>
      {HANDLES.map(([sx, sy]) => {
        const side = sx === 0 || sy === 0;
        const [beside, along] = sx === 0 ? [across, down] : [down, across];
        // A long thin strip has no room between its corners: its ends are taken hold of just outside.
        const outside = side && beside < ROOM;
        if (side && (cornersOnly || (outside && along < LONG))) return null;
        const { x, y } = beyond(at(sx, sy), centre, outside ? OUTSIDE : 0);
        const angle = (Math.atan2(sy * height, sx * width) * 180) / Math.PI + turn;
        const cursor =
          CURSORS[
            ((Math.round((side ? Math.atan2(sy, sx) * (180 / Math.PI) + turn : angle) / 45) % 4) + 4) % 4
          ]!;
        return (
          <g
            key={`${sx}${sy}`}
            style={{ cursor }}
            onPointerDown={(event) => onGrip(event, { kind: 'resize', sx, sy })}
            data-grip={`${sx},${sy}`}
          >
            <circle cx={x} cy={y} r={HIT} fill="transparent" />
            <circle
              cx={x}
              cy={y}
              r={side ? 4.2 : 6.4}
              fill={side ? '#fffdf6' : '#e3b34a'}
              stroke={side ? '#9e2b45' : '#7a5413'}
              strokeWidth={1.6}
            />
            {!side && <circle cx={x - 1.7} cy={y - 1.9} r={1.7} fill="#fff6d8" />}
          </g>
        );
      })}
    </g>
  );
}
