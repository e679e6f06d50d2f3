/** What lies open over the table. */
import { PICK, type SelectionSlice } from '@/features/table/session/selection';
import type { Slice } from '@/features/table/session/slice';

export type SheetName =
  | 'punches'
  | 'desk'
  | 'inks'
  | 'recolour'
  | 'across'
  | 'colourIn'
  | 'proposals'
  | 'mosaic'
  | 'tone'
  | 'contact'
  | 'draw'
  | 'lines'
  | 'combine'
  | 'tuck'
  | 'template'
  | 'trace'
  | 'rows'
  | 'guides'
  | 'match'
  | 'pages'
  | 'steps'
  | 'versions'
  | 'actions'
  | 'screen'
  | 'fonts'
  | 'sentiments'
  | 'letters'
  | 'find'
  | 'living'
  | 'calendar'
  | 'days'
  | 'carry'
  | 'book'
  | 'flow'
  | 'spreads'
  | 'series'
  | 'paper'
  | 'cutter'
  | 'mix'
  | 'outlines'
  | 'held'
  | 'proof';

/** Sheets that have the page to themselves: whatever else was done to one piece ends. */
const ALONE: readonly SheetName[] = ['draw', 'lines'];
/** At the end of what was typed and sent off by Enter before the sheet was there. */
export const SENT = '\n';
/** Sheets that are typed into as soon as they are asked for. */
export const TYPED_INTO: readonly SheetName[] = ['actions'];

export interface SheetSlice {
  sheet: SheetName | null;
  /** Photos, by SHA-256, that the sheet shall begin with. */
  wanted: readonly string[];
  /** What was typed before the sheet that is typed into was there. */
  ahead: string;

  /** What shall be made into a file, while that is asked. */
  make: 'page' | 'chosen' | 'printed' | null;

  askMake(what: SheetSlice['make']): void;
  typeAhead(key: string): void;
  openSheet(sheet: SheetName, wanted?: readonly string[]): void;
  closeSheet(): void;
}

export const sheetSlice: Slice<SheetSlice, SelectionSlice> = (set, get) => ({
  sheet: null,
  wanted: [],
  ahead: '',
  make: null,
  askMake: (make) => set({ make }),
  typeAhead(key) {
    const { ahead } = get();
    // Once it is sent off, it is what it is.
    if (ahead.endsWith(SENT)) return;
    set({ ahead: key === 'Backspace' ? ahead.slice(0, -1) : ahead + (key === 'Enter' ? SENT : key) });
  },
  openSheet: (sheet, wanted = []) =>
    set({ sheet, wanted, ahead: '', ...(ALONE.includes(sheet) ? { mode: PICK } : {}) }),
  closeSheet: () => set({ sheet: null, wanted: [] }),
});
