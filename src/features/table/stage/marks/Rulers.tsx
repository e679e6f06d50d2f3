'use client';
/** Rulers along the stage's upper and left edge, their zero at the trim's corner; and the grid that goes on from them. */
import { memo } from 'react';
import { RULER, rulerStep } from '@/features/table/stage/hand/view';
import type { Session } from '@/features/table/session';

interface Props {
  view: Session['view'];
  stage: Session['stage'];
  unit: 'in' | 'mm';
  width: number;
  height: number;
}

/** Positions of marks between two stage pixels; `value` in the unit. */
function marks(from: number, to: number, origin: number, zoom: number, step: number, base: number) {
  const first = Math.ceil((from - origin) / (zoom * step));
  const last = Math.floor((to - origin) / (zoom * step));
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i) => ({
    at: Math.round(origin + (first + i) * step * zoom) + 0.5,
    value: ((first + i) * step) / base,
  }));
}

export const Rulers = memo(function Rulers({ view, stage, unit, width, height }: Props) {
  const base = unit === 'in' ? 72 : 72 / 25.4;
  const { step: labelled, decimals } = rulerStep(view.zoom, unit, 46);
  const { step: fine } = rulerStep(view.zoom, unit, 7);
  const label = (value: number) =>
    unit === 'mm' ? String(Math.round(value)) : String(Number(value.toFixed(decimals)));
  const across = (step: number) => marks(RULER, stage.width, view.x, view.zoom, step, base);
  const down = (step: number) => marks(RULER, stage.height, view.y, view.zoom, step, base);
  // One path: while the table is pushed it is drawn anew with every frame.
  const ticks = (step: number, long: number) =>
    [
      ...across(step).map(({ at }) => `M${at} ${RULER}v-${long}`),
      ...down(step).map(({ at }) => `M${RULER} ${at}h-${long}`),
    ].join('');
  const ink = 'var(--mui-palette-text-primary)';
  return (
    <g style={{ pointerEvents: 'none' }} fontFamily="inherit" aria-hidden="true">
      <rect width={stage.width} height={RULER} fill="var(--mui-palette-table-ruler)" />
      <rect width={RULER} height={stage.height} fill="var(--mui-palette-table-ruler)" />
      <rect
        x={view.x}
        y={RULER - 3}
        width={width * view.zoom}
        height={3}
        fill="var(--mui-palette-primary-main)"
        opacity={0.55}
      />
      <rect
        x={RULER - 3}
        y={view.y}
        width={3}
        height={height * view.zoom}
        fill="var(--mui-palette-primary-main)"
        opacity={0.55}
      />
      <path d={ticks(fine, 4)} stroke={ink} strokeWidth={1} opacity={0.5} />
      <path d={ticks(labelled, 8)} stroke={ink} strokeWidth={1} opacity={0.8} />
      <g fill={ink} fontSize={12}>
        {across(labelled).map(({ at, value }) => (
          <text key={value} x={at + 3} y={12}>
            {label(value)}
          </text>
        ))}
        {down(labelled).map(({ at, value }) => (
          <text key={value} transform={`translate(12 ${at - 3}) rotate(-90)`}>
            {label(value)}
          </text>
        ))}
      </g>
      <rect width={RULER} height={RULER} fill="var(--mui-palette-table-ruler)" />
      <text x={RULER / 2} y={15} fontSize={11} textAnchor="middle" fill={ink}>
        {unit}
      </text>
    </g>
  );
});

/** The table's own grid, around the page only. */
export const Grid = memo(function Grid({ view, stage, unit }: Omit<Props, 'width' | 'height'>) {
  const base = unit === 'in' ? 72 : 72 / 25.4;
  const { step } = rulerStep(view.zoom, unit, 40);
  return (
    <path
      d={[
        ...marks(0, stage.width, view.x, view.zoom, step, base).map(({ at }) => `M${at} 0V${stage.height}`),
        ...marks(0, stage.height, view.y, view.zoom, step, base).map(({ at }) => `M0 ${at}H${stage.width}`),
      ].join('')}
      stroke="var(--mui-palette-table-line)"
      strokeWidth={1}
      style={{ pointerEvents: 'none' }}
    />
  );
});
