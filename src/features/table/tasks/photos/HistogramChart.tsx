'use client';
/** How the light of a photo is spread, dark at the left, with what is lost at the ends in words. */
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import {
  CategoryScale,
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
} from 'chart.js';
import { useEffect, useRef } from 'react';
import type { Histogram } from '@/core/tone/histogram';

Chart.register(CategoryScale, Filler, LinearScale, LineController, LineElement, PointElement);

/** Values that are drawn as one. */
const TOGETHER = 4;
/** From this share on what is lost is spoken of. */
const LOST = 0.005;

const summed = (counts: Uint32Array): number[] =>
  Array.from({ length: counts.length / TOGETHER }, (_, i) =>
    // Square roots, so that what is rare is seen beside what is common.
    Math.sqrt(counts.slice(i * TOGETHER, (i + 1) * TOGETHER).reduce((sum, count) => sum + count, 0)),
  );

const LINES = [
  ['luma', 'rgba(37,35,42,0.9)', 'rgba(37,35,42,0.14)'],
  ['red', '#b3384f', undefined],
  ['green', '#3c7a4a', undefined],
  ['blue', '#3e66a8', undefined],
] as const;

export function HistogramChart({ histogram }: { histogram: Histogram }) {
  const holder = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart | null>(null);
  useEffect(() => {
    chart.current = new Chart(holder.current!, {
      type: 'line',
      data: { labels: Array.from({ length: 256 / TOGETHER }, (_, i) => i), datasets: [] },
      options: {
        animation: false,
        events: [],
        responsive: true,
        maintainAspectRatio: false,
        scales: { x: { display: false }, y: { display: false, beginAtZero: true } },
      },
    });
    return () => {
      chart.current?.destroy();
      chart.current = null;
    };
  }, []);
  useEffect(() => {
    if (!chart.current) return;
    chart.current.data.datasets = LINES.map(([channel, borderColor, backgroundColor]) => ({
      data: summed(histogram[channel]),
      borderColor,
      backgroundColor,
      fill: backgroundColor !== undefined,
      borderWidth: channel === 'luma' ? 1.6 : 1.1,
      pointRadius: 0,
      tension: 0.3,
    }));
    chart.current.update();
  }, [histogram]);
  const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
  const lost = [
    ...(histogram.black > LOST ? [`${percent(histogram.black)} is plain black`] : []),
    ...(histogram.white > LOST ? [`${percent(histogram.white)} has run out to white`] : []),
  ];
  const words = lost.length ? `${lost.join(', ')}.` : 'Nothing is lost in black or white.';
  return (
    <Box>
      <Box
        sx={{ height: 84, bgcolor: '#fffdf6', borderRadius: 1, border: 1, borderColor: 'divider', p: 0.5 }}
      >
        <canvas ref={holder} role="img" aria-label={`Histogram. ${words}`} />
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
        {words}
      </Typography>
    </Box>
  );
}
