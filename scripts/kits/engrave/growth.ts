/** How petals and seeds are dealt. */
import { bead, type Surface } from './surface';

/** The golden angle, degrees: what grows one after the other has most light so (Vogel 1979). */
export const GOLDEN = 137.50776;

export const ROUND = (t: number): number =>
  Math.min(1, 2.2 * t) ** 0.7 * Math.sqrt(Math.max(0, 1 - ((t - 0.45) / 0.56) ** 4));

export const POINTED = (t: number): number => Math.sin(Math.PI * t ** 0.8) ** 0.7;

export const PETAL: Partial<Surface> = {
  tone: (u, v) => 0.6 * (1 - u) ** 3 + 0.05 * Math.sin(44 * v) + 0.06,
  edges: ['u1', 'v0', 'v1'],
  along: 'u',
  steps: [34, 34],
  dense: 1.15,
};

export const disc = (radius: number, count: number, high: number, z: number, tone = 0.2): Surface[] =>
  Array.from({ length: count }, (_, i) => {
    const [a, r] = [(GOLDEN * i * Math.PI) / 180, radius * Math.sqrt((i + 0.5) / count)];
    return bead(
      r * Math.cos(a),
      r * Math.sin(a),
      z + high * (1 - (r / radius) ** 2),
      (0.92 * radius) / Math.sqrt(count),
      { steps: [9, 7], tone: tone + 0.3 * (1 - r / radius) },
    );
  });
