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
  | 'find';

/** Sheets that have the page to themselves: whatever else was done to one piece ends. */
const ALONE: readonly SheetName[] = ['draw'];

export interface SheetSlice {
  sheet: SheetName | null;
  /** Photos, by SHA-256, that the sheet shall begin with. */
  wanted: readonly string[];

  openSheet(sheet: SheetName, wanted?: readonly string[]): void;
  closeSheet(): void;
}

export const sheetSlice: Slice<SheetSlice, SelectionSlice> = (set) => ({
  sheet: null,
  wanted: [],
  openSheet: (sheet, wanted = []) => set({ sheet, wanted, ...(ALONE.includes(sheet) ? { mode: PICK } : {}) }),
  closeSheet: () => set({ sheet: null, wanted: [] }),
});
