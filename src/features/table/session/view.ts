/** How the table is looked at, and what is shown and felt on it. */
import type { Slice } from '@/features/table/session/slice';
import type { SupplyKind } from '@/core/supplies/model';
import { keepRows, knownRows, screenZoom } from '@/features/table/session/screen';

/** CSS pixels a point, and where the trim's top left corner lies on the stage. */
export interface View {
  zoom: number;
  x: number;
  y: number;
}

export interface Show {
  /** Bleed and safe area always, not only when a piece comes near. */
  zones: boolean;
  /** What can be done with the selection, beside it. */
  verbs: boolean;
  grid: boolean;
  side: boolean;
  workbox: boolean;
  guides: boolean;
  /** The page light as a lamp on the page. */
  lamp: boolean;
  loupe: boolean;
  cupboard: boolean;
  /** Keys and how-to. */
  keys: boolean;
}

/** The rows of About this piece. */
export type AboutRow = 'Words' | 'Material' | 'Cut' | 'Finish' | 'Place';

export interface ViewSlice {
  /** Those that a person opened; null until one was. */
  rows: ReadonlySet<AboutRow> | null;
  view: View;
  stage: { width: number; height: number };
  show: Show;
  /** How much of the stage's left side a sheet covers, CSS pixels. */
  aside: number;
  /** The panel that is worked on close up, by its page and name; none while all of the page is. */
  panel: { surfaceId: string; name: string } | null;
  /** CSS pixels a point takes at true size on this screen. */
  trueZoom: number;
  /** Whether things snap while they are moved. */
  snapping: boolean;
  /** How many rows of what was gathered the workbox shows. */
  boxRows: number;
  /** The kinds of supplies the cupboard was opened for; all of them for null. */
  supplyKinds: readonly SupplyKind[] | null;
  /** Whether letters, strokes and corners grow with what they are on when it is scaled with others. */
  growContents: boolean;

  look(view: View): void;
  /** Brings a panel close up, or all of the page for null. */
  lookAt(panel: ViewSlice['panel'], view: View): void;
  /** The stage has another size; the view is changed with it. */
  measured(stage: ViewSlice['stage'], view: View): void;
  /** Shows what was not shown, or puts it away. */
  toggle(what: keyof Show): void;
  /** Opens the cupboard where these kinds lie. */
  lookInCupboard(kinds: readonly SupplyKind[]): void;
  setBoxRows(rows: number): void;
  openRows(rows: ReadonlySet<AboutRow> | null): void;
  /** Opens this row alone, and the panel with it. */
  lookAtRow(row: AboutRow): void;
  setAside(width: number): void;
  setTrueZoom(zoom: number): void;
  setSnapping(on: boolean): void;
  setGrowContents(on: boolean): void;
}

export const viewSlice: Slice<ViewSlice> = (set, get) => ({
  view: { zoom: 0, x: 0, y: 0 },
  stage: { width: 0, height: 0 },
  show: {
    zones: false,
    verbs: true,
    grid: true,
    side: true,
    workbox: true,
    guides: true,
    lamp: false,
    loupe: false,
    cupboard: false,
    keys: false,
  },
  aside: 0,
  panel: null,
  trueZoom: screenZoom(),
  snapping: true,
  growContents: true,
  rows: null,
  boxRows: knownRows(),
  supplyKinds: null,
  look: (view) => set({ view }),
  lookAt: (panel, view) => set({ panel, view }),
  measured: (stage, view) => set({ stage, view }),
  toggle(what) {
    const { show } = get();
    set({ show: { ...show, [what]: !show[what] }, supplyKinds: null });
  },
  lookInCupboard: (supplyKinds) => set({ supplyKinds, show: { ...get().show, cupboard: true } }),
  setBoxRows(boxRows) {
    keepRows(boxRows);
    set({ boxRows });
  },
  openRows: (rows) => set({ rows }),
  lookAtRow: (row) => set({ rows: new Set([row]), show: { ...get().show, side: true } }),
  setAside: (aside) => set({ aside }),
  setTrueZoom: (trueZoom) => set({ trueZoom }),
  setSnapping: (snapping) => set({ snapping }),
  setGrowContents: (growContents) => set({ growContents }),
});
