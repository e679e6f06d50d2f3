'use client';
/** The places where the selected piece meets others, numbered, while tucks are chosen: a press turns one. */
import { pathData, transformPath } from '@/core/geometry/path';
import { apply } from '@/core/geometry/matrix';
import * as act from '@/features/table/room/actions';
import { useRoom, useSession } from '@/features/table/room/context';
import { useCrossings } from '@/features/table/room/useCrossings';
import { viewMatrix } from '@/features/table/stage/view';

export function Crossings() {
  const { store } = useRoom();
  const view = viewMatrix(useSession((session) => session.view));
  const [id] = useSession((session) => session.selection);
  const found = useCrossings();
  return (
    <g>
      {found.map((crossing, i) => {
        const over = act.passesOver(crossing, id!);
        const { x, y } = apply(view, crossing.middle);
        const colour = over ? '#2f6f68' : '#9e2b45';
        return (
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
            <path
              d={pathData(transformPath(view, crossing.area), 1)}
              fill={colour}
              fillOpacity={0.14}
              stroke={colour}
              strokeWidth={1.4}
              strokeDasharray={over ? undefined : '4 3'}
            />
            <circle cx={x} cy={y} r={16} fill="transparent" />
            <circle cx={x} cy={y} r={11} fill={colour} stroke="#fffdf6" strokeWidth={1.6} />
            <text x={x} y={y + 4.5} textAnchor="middle" fontSize={13} fontWeight={600} fill="#fffdf6">
              {i + 1}
            </text>
          </g>
        );
      })}
    </g>
  );
}
