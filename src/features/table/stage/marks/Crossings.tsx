'use client';
/** The places where the selected piece meets others, numbered, while tucks are chosen: a press turns one. */
import { pathData, transformPath } from '@/core/geometry/path';
import type { PointerEvent as ReactPointerEvent } from 'react';
import { apply, type Point } from '@/core/geometry/matrix';
import type { Grip } from '@/features/table/stage/hand/drags';
import { apart } from '@/features/table/stage/hand/apart';
import * as act from '@/features/table/acts';
import { useRoom, useSession } from '@/features/table/room/context';
import { useCrossings } from '@/features/table/parts/useCrossings';
import { viewMatrix } from '@/features/table/stage/hand/view';

const RADIUS = 11;

interface Props {
  onGrip: (event: ReactPointerEvent, grip: Grip) => void;
}

export function Crossings({ onGrip }: Props) {
  const { store } = useRoom();
  const view = viewMatrix(useSession((session) => session.view));
  const [id] = useSession((session) => session.selection);
  const found = useCrossings();
  // What lies beneath one piece is met at much the same place: each number is to be seen and pressed all the same.
  const places = apart(
    found.map(({ middle }) => apply(view, middle)),
    2 * RADIUS + 4,
  );
  const marks = found.map((crossing, i) => {
    const over = act.passesOver(crossing, id!);
    const spot = apply(view, crossing.middle);
    return { crossing, over, colour: over ? '#2f6f68' : '#9e2b45', at: places[i]!, spot };
  });
  return (
    <g>
      {marks.map(({ crossing, over, colour }, i) => (
        <path
          key={i}
          d={pathData(transformPath(view, crossing.area), 1)}
          fill={colour}
          fillOpacity={0.1}
          stroke={colour}
          strokeWidth={1.4}
          strokeDasharray={over ? undefined : '4 3'}
        />
      ))}
      {marks.map(({ colour, at, spot }, i) =>
        // A number that stands aside says where it belongs.
        Math.hypot(at.x - spot.x, at.y - spot.y) > 1 ? (
          <g key={`line ${i}`} stroke={colour} fill={colour}>
            <path d={`M${spot.x} ${spot.y}L${at.x} ${at.y}`} strokeWidth={1.6} />
            <circle cx={spot.x} cy={spot.y} r={3} stroke="#fffdf6" strokeWidth={1} />
          </g>
        ) : null,
      )}
      {marks.map(({ crossing, over, colour, at: { x, y } }, i) => (
        <g
          key={i}
          style={{ cursor: 'pointer', pointerEvents: 'auto' }}
          data-crossing={i + 1}
          onPointerDown={(event) => {
            event.stopPropagation();
            act.turnCrossing(store, crossing);
          }}
        >
          <title>{`${i + 1}: passes ${over ? 'over' : 'under'}`}</title>
          <circle cx={x} cy={y} r={RADIUS} fill={colour} stroke="#fffdf6" strokeWidth={1.6} />
          <text x={x} y={y + 4.5} textAnchor="middle" fontSize={13} fontWeight={600} fill="#fffdf6">
            {i + 1}
          </text>
        </g>
      ))}
      {found.map((crossing, i) => {
        const slit = crossing.upper.id === id && act.slitLies(crossing);
        if (!slit) return null;
        const [a, b] = slit.ends.map((end) => apply(view, end)) as [Point, Point];
        const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
        const beyond = (slit.apart ?? 0) * Math.hypot(view[0], view[1]);
        const [dx, dy] = [(-(b.y - a.y) / long) * beyond, ((b.x - a.x) / long) * beyond];
        const line =
          `M${a.x} ${a.y}L${b.x} ${b.y}` +
          (slit.apart === null ? '' : `M${a.x + dx} ${a.y + dy}L${b.x + dx} ${b.y + dy}`);
        return (
          <g key={`slit ${i}`}>
            <path d={line} stroke="#fffdf6" strokeWidth={3.5} />
            <path d={line} stroke="#25232a" strokeWidth={1.6} strokeDasharray="5 3" />
            {(['a', 'b'] as const).map((end) => {
              const { x, y } = end === 'a' ? a : b;
              return (
                <g
                  key={end}
                  style={{ cursor: 'move', pointerEvents: 'auto' }}
                  data-slit={end}
                  onPointerDown={(event) => onGrip(event, { kind: 'slit', crossing, end })}
                >
                  <title>End of the slit: drag it</title>
                  <circle cx={x} cy={y} r={13} fill="transparent" />
                  <circle cx={x} cy={y} r={5.5} fill="#e3b34a" stroke="#25232a" strokeWidth={1.6} />
                </g>
              );
            })}
          </g>
        );
      })}
    </g>
  );
}
