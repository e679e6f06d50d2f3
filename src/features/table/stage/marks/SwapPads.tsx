'use client';
/** While a photo is dragged: a pad in the middle of each other photo and place. Dropped on one, the two change places. */
import { useSession } from '@/features/table/room/context';
import { PAD } from '@/features/table/stage/hand/drags';
import { Said } from '@/features/table/stage/marks/Snaps';

const THREAD = '#2f6f68';

export function SwapPads() {
  const swaps = useSession((session) => session.swaps);
  const view = useSession((session) => session.view);
  if (!swaps) return null;
  return (
    <g pointerEvents="none" data-testid="swap-pads">
      {swaps.with.map(({ id, placement, material }) => {
        const x = view.x + placement.x * view.zoom;
        const y = view.y + placement.y * view.zoom;
        const onto = id === swaps.onto;
        return (
          <g key={id} transform={`translate(${x} ${y})`}>
            <circle
              r={PAD}
              fill={onto ? THREAD : '#fbfaf7'}
              fillOpacity={onto ? 1 : 0.86}
              stroke={onto ? '#fbfaf7' : THREAD}
              strokeWidth={1.6}
            />
            <path
              d="M-8 -4H6M2 -8L6 -4L2 0M8 4H-6M-2 0L-6 4L-2 8"
              fill="none"
              stroke={onto ? '#fbfaf7' : THREAD}
              strokeWidth={1.8}
              strokeLinecap="round"
              strokeLinejoin="round"
            />
            {onto && (
              <Said x={0} y={-PAD} words={material.kind === 'photo' ? 'change places' : 'put it here'} />
            )}
          </g>
        );
      })}
    </g>
  );
}
