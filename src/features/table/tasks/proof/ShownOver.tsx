'use client';
/** What shows a measure on the page: a veil over what it leaves out, places, boxes. */
import { useLayoutEffect, useRef } from 'react';
import type { Size } from '@/core/geometry/box';
import type { Shows } from '@/core/proof/look-over/measure';

/** How dark the veil is where nothing is, 0 to 255. */
const VEIL = 190;
const [LIGHT, DARK] = ['#fffdf6', '#9e2b45'];

interface Props {
  shows: Shows;
  /** The page, points. */
  page: Size;
  /** CSS pixels a point. */
  zoom: number;
}

export function ShownOver({ shows, page, zoom }: Props) {
  const fills = { position: 'absolute', inset: 0, width: '100%', height: '100%' } as const;
  if (shows.kind === 'map') return <Veil shows={shows} />;
  const at = (points: number) => points * zoom;
  return (
    <svg
      aria-hidden
      data-testid="shown-over"
      style={{ ...fills, overflow: 'visible' }}
      width={at(page.width)}
    >
      {shows.kind === 'marks'
        ? shows.marks.map(({ x, y, says }, i) => (
            <g key={i}>
              <circle
                cx={at(x)}
                cy={at(y)}
                r={says ? 9 : 6}
                fill={says ? DARK : 'none'}
                stroke={LIGHT}
                strokeWidth={3}
              />
              <circle cx={at(x)} cy={at(y)} r={says ? 9 : 6} fill="none" stroke={DARK} strokeWidth={1.5} />
            </g>
          ))
        : shows.boxes.map(({ x, y, width, height, says }, i) => (
            <g key={i}>
              {[LIGHT, DARK].map((stroke, k) => (
                <rect
                  key={stroke}
                  x={at(x) - 5}
                  y={at(y) - 5}
                  width={at(width) + 10}
                  height={at(height) + 10}
                  rx={8}
                  fill="none"
                  stroke={stroke}
                  strokeWidth={k ? 2 : 4.5}
                />
              ))}
              <circle cx={at(x) - 5} cy={at(y) - 5} r={11} fill={DARK} stroke={LIGHT} strokeWidth={1.5} />
              <text
                x={at(x) - 5}
                y={at(y) - 0.5}
                fill={LIGHT}
                fontSize={13}
                fontWeight={600}
                textAnchor="middle"
              >
                {says}
              </text>
            </g>
          ))}
    </svg>
  );
}

/** Dark where a map is nothing. */
function Veil({ shows: { width, height, values } }: { shows: Extract<Shows, { kind: 'map' }> }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useLayoutEffect(() => {
    const context = canvas.current!.getContext('2d')!;
    const veil = context.createImageData(width, height);
    values.forEach((value, i) =>
      veil.data.set([24, 20, 30, Math.round(VEIL * (1 - Math.sqrt(value)))], 4 * i),
    );
    context.putImageData(veil, 0, 0);
  }, [width, height, values]);
  return (
    <canvas
      ref={canvas}
      aria-hidden
      data-testid="shown-over"
      {...{ width, height }}
      style={{ position: 'absolute', inset: 0, width: '100%', height: '100%' }}
    />
  );
}
