'use client';
/** Where the paper is bound: what is kept free, and what is punched there. */
import { pathData, transformPath } from '@/core/geometry/path';
import { boundOn } from '@/core/product';
import { useSession } from '@/features/table/room/context';
import { shownProject, shownSurface } from '@/features/table/session';
import { viewMatrix } from '@/features/table/stage/hand/view';

const INK = '#24506b';

export function BoundEdge() {
  const project = useSession(shownProject);
  const surface = useSession(shownSurface);
  const view = useSession((session) => session.view);
  const bound = boundOn(project, surface);
  if (!bound.length) return null;
  const map = viewMatrix(view);
  return (
    <g style={{ pointerEvents: 'none' }} data-testid="bound">
      {bound.map(({ box, holes }, i) => (
        <g key={i}>
          <rect
            x={view.x + box.x * view.zoom}
            y={view.y + box.y * view.zoom}
            width={box.width * view.zoom}
            height={box.height * view.zoom}
            fill={INK}
            fillOpacity={0.09}
          />
          <path
            d={pathData(transformPath(map, holes.flat()), 1)}
            fill="#fffdf6"
            fillOpacity={0.75}
            stroke={INK}
            strokeWidth={1.2}
          />
        </g>
      ))}
    </g>
  );
}
