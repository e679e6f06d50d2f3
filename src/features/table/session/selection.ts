/** What is taken hold of, on which page, and what a hand does with it. */
import type { Spot } from '@/core/geometry/knots';
import type { Slice } from '@/features/table/session/slice';

/** Picking pieces up, sliding a picture behind its cut, writing words, or moving the points of an outline. */
export type Mode =
  | { kind: 'pick' }
  /** `level` while a line is drawn along what shall be level. */
  /** `part` is which of several pictures, where each letter has its own. */
  | { kind: 'slide'; id: string; part?: number; level?: boolean }
  /** `range` is what of the text is marked, UTF-16 units; both the same for a caret. */
  | { kind: 'write'; id: string; range?: readonly [number, number] }
  /** `at` is the point that is held, or with `side` the side that begins there. */
  | { kind: 'reshape'; id: string; at: Spot | null; side: boolean };

/** What may be chosen together, in one update. Pieces are picked up unless another mode is named. */
export interface Chosen {
  selection?: readonly string[];
  entered?: string | null;
  mode?: Mode;
}

export interface SelectionSlice {
  surfaceId: string;
  selection: readonly string[];
  /** Other pages that are chosen along with the one that is shown, by id. */
  alongPages: readonly string[];
  /** The group that is open: pieces in it are taken hold of one by one. */
  entered: string | null;
  /** The piece whose slab is rested on in the pile. */
  hovered: string | null;
  mode: Mode;

  /** Takes hold of pieces, to pick them up. */
  select(ids: readonly string[]): void;
  choose(chosen: Chosen): void;
  setMode(mode: Mode): void;
  /** Ends whatever was done to one piece alone: pieces are picked up again. */
  pick(): void;
  /** Turns to a page of the project, with nothing in hand. */
  turnTo(surfaceId: string): void;
  /** Chooses pages along with the one that is shown. */
  choosePages(along: readonly string[]): void;
  hover(id: string | null): void;
}

export const PICK: Mode = { kind: 'pick' };

/** As it is set. */
export const chosenAs = (chosen: Chosen): Chosen => (chosen.selection ? { mode: PICK, ...chosen } : chosen);

export const selectionSlice =
  (surfaceId: string): Slice<SelectionSlice> =>
  (set) => ({
    surfaceId,
    selection: [],
    alongPages: [],
    entered: null,
    hovered: null,
    mode: PICK,
    select: (selection) => set({ selection, mode: PICK }),
    choose: (chosen) => set(chosenAs(chosen)),
    setMode: (mode) => set({ mode }),
    pick: () => set({ mode: PICK }),
    turnTo: (to) => set({ surfaceId: to, alongPages: [], selection: [], entered: null, mode: PICK }),
    choosePages: (alongPages) => set({ alongPages }),
    hover: (hovered) => set({ hovered }),
  });
