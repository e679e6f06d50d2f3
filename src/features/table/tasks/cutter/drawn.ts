/** How mats and lines are drawn, wherever they are. */
import type { Point } from '@/core/geometry/matrix';

export const COLOURS = {
  mat: '#4d5a5c',
  cut: '#9e2b45',
  score: '#2f6f68',
  draw: '#25232a',
  paper: '#efe6d4',
};

export const pathOf = (points: readonly Point[], closed: boolean): string =>
  `M${points.map(({ x, y }) => `${x.toFixed(2)} ${y.toFixed(2)}`).join('L')}${closed ? 'Z' : ''}`;
