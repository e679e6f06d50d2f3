/** What lines are drawn with, on which piece they go, and which of them is held. */
import type { Trail } from '@/core/trail';
import { newPaint } from '@/core/trail/paint/paint';

/** Free by hand, from where it begins straight to where it ends, round about where it begins, or along an edge on the page. */
export const GUIDES = ['free', 'straight', 'round', 'edge'] as const;
export type Guide = (typeof GUIDES)[number];

export interface Lining {
  /** What is in the hand. */
  hand: Trail;
  smoothing: number;
  guide: Guide;
  /** The piece that lines go on; the next one begins another where there is none. */
  piece: string | null;
  /** The line that is held. */
  held: string | null;
  /** A press takes hold of a line in place of drawing one. */
  choosing: boolean;
}

export const FIRST_LINING: Lining = {
  hand: newPaint('round', '#25232a'),
  smoothing: 0.3,
  guide: 'free',
  piece: null,
  held: null,
  choosing: false,
};
