'use client';
/** What will be printed: the veil over what hangs off, the bleed, the trim, the safe area. */
import { memo } from 'react';
import type { Surface } from '@/core/project/model';
import type { Session } from '@/features/table/session';

interface Props {
  width: Surface['width'];
  height: Surface['height'];
  bleed: Surface['bleed'];
  safe: Surface['safe'];
  view: Session['view'];
  stage: Session['stage'];
  zones: boolean;
}

export const Zones = memo(function Zones({ width, height, bleed: around, safe, view, stage, zones }: Props) {
  const rect = (inset: number) => ({
    x: view.x + inset * view.zoom,
    y: view.y + inset * view.zoom,
    width: Math.max(0, (width - 2 * inset) * view.zoom),
    height: Math.max(0, (height - 2 * inset) * view.zoom),
  });
  const ring = (outer: ReturnType<typeof rect>, inner: ReturnType<typeof rect>) =>
    `M${outer.x} ${outer.y}h${outer.width}v${outer.height}h${-outer.width}ZM${inner.x} ${inner.y}v${inner.height}h${inner.width}v${-inner.height}Z`;
  const trim = rect(0);
  const bleed = rect(-around);
  const everywhere = { x: 0, y: 0, width: stage.width, height: stage.height };
  return (
    <g style={{ pointerEvents: 'none' }} aria-hidden="true">
      <path
        d={ring(everywhere, zones ? bleed : trim)}
        fillRule="evenodd"
        fill="var(--mui-palette-table-main)"
        opacity={0.74}
      />
      {zones && (
        <>
          <path d={ring(bleed, trim)} fillRule="evenodd" fill="#9e2b45" opacity={0.2} />
          <rect {...trim} fill="none" stroke="#fffdf6" strokeWidth={1} opacity={0.8} />
          <rect {...trim} fill="none" stroke="#9e2b45" strokeWidth={1} strokeDasharray="2 3" />
          <rect {...rect(safe)} fill="none" stroke="#fffdf6" strokeWidth={1} opacity={0.55} />
          <rect
            {...rect(safe)}
            fill="none"
            stroke="#2f6f68"
            strokeWidth={1}
            strokeDasharray="6 5"
            opacity={0.9}
          />
        </>
      )}
    </g>
  );
});
