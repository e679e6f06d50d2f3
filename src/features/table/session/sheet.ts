/** What lies open over the table. */
import { PICK, type SelectionSlice } from '@/features/table/session/selection';
import type { Slice } from '@/features/table/session/slice';

/** Every sheet, and in a sentence what it is for. */
export const SHEET_SAYS = {
  punches: 'Cuts what is selected to a ready outline; with nothing selected it punches a new piece.',
  desk: 'All photos of the project in one place: order them, write what is on them, choose the best.',
  inks: 'The inks this page is made of, and where each is used; change one and all of it follows.',
  recolour: 'Gives pictures other colours: all of one, or parts that you mark.',
  across: 'Lets colours run across several pieces, from the first to the last.',
  colourIn: 'Lays colour beneath the lines of a stamp, area by area.',
  proposals: 'Shows ways to lay your photos on this page; the one you choose stays yours to change.',
  mosaic: 'Makes one large picture, or a word, out of many photos.',
  tone: 'Light, colour and sharpness of what is selected; the photo itself is never changed.',
  contact: 'Prints all photos small, with their names, to choose from on paper.',
  draw: 'Draws an outline by hand: to cut what is selected, or as a piece of its own.',
  lines: 'Draws with paint, ribbon, twine, thread or stamps, freely or along an edge.',
  combine: 'Joins outlines, or cuts one out of the other.',
  tuck: 'Slips a piece under some of what it meets, and over the rest.',
  template: 'Cuts a picture of a few tones into parts that are filled with papers.',
  trace: 'Finds the outline of what is in a picture, to cut along it.',
  rows: 'Lays copies in rows and columns; each may grow, turn or fade a little.',
  guides: 'Lines that things snap to; they are never printed.',
  match: 'Gives other pieces the size, angle, ink or finish of this one.',
  pages: 'Lays copies of what is selected on other pages, in the same place.',
  steps: 'Everything that was done, by name; go back to any of it.',
  versions: 'The page before and after, side by side.',
  actions: 'Finds anything the table can do.',
  screen: 'Tells this screen how large an inch is, so that 100 % is the true size.',
  fonts: 'The letters words are written in; bring in fonts of your own.',
  sentiments: 'Short texts to stamp or to write, by occasion.',
  letters: 'Lays a word in single letters of an alphabet, each a thing of its own.',
  find: 'Finds words on all pages, and writes others in their place.',
  living: 'Words that say the day, the place or a name by themselves, and stay right.',
  calendar: 'What the calendar shows, in which language, and from which day.',
  days: 'Birthdays and days to remember: they come into every month by themselves.',
  carry: 'Lays what is on this month on the others, too.',
  book: 'Size, binding and paper of the book; the spine follows.',
  flow: 'Lays many photos on the pages of the book by their time, and keeps what your hand has done.',
  spreads: 'All pages of the book: turn to one, move it, add another.',
  series: 'One page for each thought: ten things, twelve months, a hundred days.',
  paper: 'How many of each card are printed, on which paper, and how they are cut.',
  cutter: 'Prepares what a cutting machine cuts, and checks that it holds together.',
  mix: 'Deals the parts of a drawing among several papers, as if all had been cut at once.',
  outlines: 'Brings in outlines made for cutting machines.',
  held: 'The finished thing in the hand: shut, opening, and from behind.',
  proof: 'The page as the press will print it, and what to mend before.',
} as const;

export type SheetName = keyof typeof SHEET_SAYS;

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

  /** How often files to bring in were asked for. */
  filesAsked: number;

  bringFiles(): void;
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
  filesAsked: 0,
  bringFiles: () => set({ filesAsked: get().filesAsked + 1 }),
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
