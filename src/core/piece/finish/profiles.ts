/**
 * The kinds of edge. A repeated one is a line from x = 0 to 1 along the side, y out of the paper, in sizes; y = 0 is the cut
 * itself, so that nothing grows. A new edge is one entry.
 */
import type { Point } from '@/core/geometry/matrix';

export type EdgeKind = 'scallop' | 'postage' | 'pinked' | 'zigzag' | 'wave' | 'ticket' | 'lace' | 'torn';

export type Profile =
  | { kind: 'torn'; name: string }
  | {
      kind: 'repeated';
      name: string;
      /** How deep it goes, in sizes. */
      depth: number;
      /** Whether it begins and ends at the cut or at its depth. */
      foot: 'top' | 'valley';
      unit: readonly Point[];
      holes?: readonly { x: number; y: number; radius: number }[];
    };

/** Points along half an ellipse over the stretch from `a` to `b`, from level `base`, `rise` high (below zero: a bite). */
const bump = (a: number, b: number, base: number, rise: number, steps = 14): Point[] =>
  Array.from({ length: steps + 1 }, (_, i) => {
    const angle = Math.PI * (1 - i / steps);
    return { x: (a + b) / 2 + ((b - a) / 2) * Math.cos(angle), y: base + rise * Math.sin(angle) };
  });

const sampled = (line: (x: number) => number, steps: number): Point[] =>
  Array.from({ length: steps + 1 }, (_, i) => ({ x: i / steps, y: line(i / steps) }));

export const PROFILES: Record<EdgeKind, Profile> = {
  scallop: { kind: 'repeated', name: 'Scallop', depth: 0.5, foot: 'valley', unit: bump(0, 1, -0.5, 0.5) },
  postage: {
    kind: 'repeated',
    name: 'Postage',
    depth: 0.3,
    foot: 'top',
    unit: [{ x: 0, y: 0 }, ...bump(0.2, 0.8, 0, -0.3), { x: 1, y: 0 }],
  },
  pinked: {
    kind: 'repeated',
    name: 'Pinked',
    depth: 0.5,
    foot: 'top',
    unit: [
      { x: 0, y: 0 },
      { x: 0.5, y: -0.5 },
      { x: 1, y: 0 },
    ],
  },
  zigzag: {
    kind: 'repeated',
    name: 'Zigzag',
    depth: 1,
    foot: 'top',
    unit: [
      { x: 0, y: 0 },
      { x: 0.5, y: -1 },
      { x: 1, y: 0 },
    ],
  },
  wave: {
    kind: 'repeated',
    name: 'Wave',
    depth: 0.36,
    foot: 'top',
    unit: sampled((x) => -0.18 * (1 - Math.cos(2 * Math.PI * x)), 20),
  },
  ticket: {
    kind: 'repeated',
    name: 'Ticket',
    depth: 0.2,
    foot: 'top',
    unit: [{ x: 0, y: 0 }, ...bump(0.3, 0.7, 0, -0.2), { x: 1, y: 0 }],
  },
  lace: {
    kind: 'repeated',
    name: 'Lace',
    depth: 0.5,
    foot: 'valley',
    unit: bump(0, 1, -0.5, 0.5),
    holes: [
      { x: 0.5, y: -0.38, radius: 0.15 },
      { x: 0, y: -0.86, radius: 0.09 },
      { x: 0.5, y: -0.98, radius: 0.06 },
    ],
  },
  torn: { kind: 'torn', name: 'Torn' },
};
