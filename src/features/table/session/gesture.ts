/** What a hand is in the middle of. */
import type { Area } from '@/core/dye/area';
import type { Box } from '@/core/geometry/box';
import type { Point } from '@/core/geometry/matrix';
import type { Path } from '@/core/geometry/path';
import type { Piece } from '@/core/piece/piece';
import type { Match } from '@/core/project/edits/match';
import type { Guide } from '@/core/project/model';
import { FIRST_LINING, type Lining } from '@/features/table/session/lining';
import { NOTHING_DRAWN, type Drawing } from '@/features/table/session/drawn';
import type { SelectionSlice } from '@/features/table/session/selection';
import type { Slice } from '@/features/table/session/slice';

/** Photos and places with which the one that is dragged may change places, and the one it is held over. */
export interface Swaps {
  with: readonly Piece[];
  onto: string | null;
}

/** A property on its way from one piece to those that are pressed next. */
export interface Matching {
  from: Piece;
  what: readonly Match[];
}

/** What a hand marks on a picture while a sheet asks for it. Points are x, y ... in shares of the upright picture. */
export interface Marking {
  /** Id of the piece that shows it. */
  piece: string;
  /** What it is for, for those who cannot see. */
  says: string;
  /** How wide the brush is, as a share of the picture's longer side; 0 for presses alone. */
  brush: number;
  /** What is marked: all else is veiled. */
  shown: Area | null;
  /** What would be marked after a stroke, as far as it was drawn or as it would begin; null for nothing. */
  stroke(points: readonly number[]): Area | null;
  done(points: readonly number[]): void;
  leave(): void;
}

/** What is only there while a pointer is down. */
interface Held {
  /** What a hand is drawing a frame round, page points. */
  marquee: Box | null;
  /** A guide that is being drawn or moved. */
  drawnGuide: Guide | null;
  /** Where a photo may go while it is dragged. */
  swaps: Swaps | null;
}

export interface GestureSlice extends Held {
  /** Where the pointer was last on the stage. */
  pointer: Point | null;
  /** An outline that is shown on the page while it is looked for, page points. */
  sought: Path | null;
  /** What is drawn by hand while its sheet is open. */
  drawing: Drawing;
  /** What lines are drawn with while their sheet is open, and what of them is held. */
  lining: Lining;
  /** A colour is being taken from the page; `done` hears which, or null if it was left. */
  dropper: { done(colour: string | null): void } | null;
  marking: Marking | null;
  matching: Matching | null;
  /** The spot of the stage under which everything is listed. */
  peeking: Point | null;

  hold(held: Partial<Held>): void;
  /** The pointer is up. */
  letGo(): void;
  point(at: Point | null): void;
  seek(path: Path | null): void;
  draw(change: Partial<Drawing>): void;
  line(change: Partial<Lining>): void;
  takeColour(dropper: GestureSlice['dropper']): void;
  mark(marking: Marking | null): void;
  matchFrom(matching: Matching | null): void;
  peekAt(spot: Point | null): void;
}

const NOTHING_HELD: Held = { marquee: null, drawnGuide: null, swaps: null };

export const gestureSlice: Slice<GestureSlice, SelectionSlice> = (set, get) => ({
  ...NOTHING_HELD,
  pointer: null,
  sought: null,
  drawing: NOTHING_DRAWN,
  lining: FIRST_LINING,
  dropper: null,
  marking: null,
  matching: null,
  peeking: null,
  hold: (held) => set(held),
  letGo() {
    const { marquee, drawnGuide, swaps } = get();
    if (marquee || drawnGuide || swaps) set(NOTHING_HELD);
  },
  point: (pointer) => set({ pointer }),
  seek: (sought) => set({ sought }),
  draw: (change) => set({ drawing: { ...get().drawing, ...change } }),
  line: (change) => set({ lining: { ...get().lining, ...change } }),
  takeColour: (dropper) => set({ dropper }),
  mark: (marking) => set({ marking }),
  matchFrom: (matching) => set({ matching }),
  peekAt: (peeking) => set({ peeking, ...(peeking ? {} : { hovered: null }) }),
});
