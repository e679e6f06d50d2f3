'use client';
/** What will be printed: the veil over what hangs off, the bleed, the trim, the safe area. */
import { memo } from 'react';
import type { Box } from '@/core/geometry/box';
import { safeArea, withBleed } from '@/core/geometry/sides';
import type { Surface } from '@/core/project/model';
import { extentOf } from '@/core/piece/placement/placement';
import { useSession } from '@/features/table/room/context';
import { selectedPieces, shownSurface, type Session } from '@/features/table/session';

interface Props {
  width: Surface['width'];
  height: Surface['height'];
  bleed: Surface['bleed'];
  safe: Surface['safe'];
  view: Session['view'];
  stage: Session['stage'];
  always: boolean;
}

/** Points a piece comes near the trim, or what is safe, within which both show. */
const NEAR = 9;

/** Whether what is held comes near an edge of the paper, or lies over one without covering all of it. */
function nearTheEdge(session: Session): boolean {
  const surface = shownSurface(session);
  const [all, safe] = [withBleed(surface), safeArea(surface)];
  return selectedPieces(session).some(({ placement }) => {
    const { x, y, width, height } = extentOf(placement);
    if (x <= all.x && y <= all.y && x + width >= all.x + all.width && y + height >= all.y + all.height)
      return false;
    return (
      x < safe.x + NEAR ||
      y < safe.y + NEAR ||
      x + width > safe.x + safe.width - NEAR ||
      y + height > safe.y + safe.height - NEAR
    );
  });
}

export const Zones = memo(function Zones({
  width,
  height,
  bleed: around,
  safe: within,
  view,
  stage,
  always,
}: Props) {
  const near = useSession(nearTheEdge);
  const zones = always || near;
  const seen = (box: Box): Box => ({
    x: view.x + box.x * view.zoom,
    y: view.y + box.y * view.zoom,
    width: Math.max(0, box.width * view.zoom),
    height: Math.max(0, box.height * view.zoom),
  });
  const ring = (outer: Box, inner: Box) =>
    `M${outer.x} ${outer.y}h${outer.width}v${outer.height}h${-outer.width}ZM${inner.x} ${inner.y}v${inner.height}h${inner.width}v${-inner.height}Z`;
  const trim = seen({ x: 0, y: 0, width, height });
  const bleed = seen(withBleed({ width, height, bleed: around }));
  const safe = seen(safeArea({ width, height, safe: within }));
  const everywhere = { x: 0, y: 0, width: stage.width, height: stage.height };
  return (
    <g style={{ pointerEvents: 'none' }} aria-hidden="true">
      <path
        d={ring(everywhere, zones ? bleed : trim)}
        fillRule="evenodd"
        fill="var(--mui-palette-table-main)"
        fillOpacity={0.74}
      />
      {zones && (
        <>
          <path
            d={ring(bleed, trim)}
            fillRule="evenodd"
            fill="var(--mui-palette-table-main)"
            fillOpacity={0.4}
          />
          <rect {...trim} fill="none" stroke="#fffdf6" strokeWidth={1} strokeOpacity={0.8} />
          <rect {...trim} fill="none" stroke="#9e2b45" strokeWidth={1} strokeDasharray="2 3" />
          <rect {...safe} fill="none" stroke="#fffdf6" strokeWidth={1} strokeOpacity={0.55} />
          <rect
            {...safe}
            fill="none"
            stroke="#2f6f68"
            strokeWidth={1}
            strokeDasharray="6 5"
            strokeOpacity={0.9}
          />
        </>
      )}
    </g>
  );
});
