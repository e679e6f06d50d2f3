/** What each key on the table does. One list serves the keys, the tooltips and the “?” overlay. */
import { isWritten } from '@/core/piece/outline';
import type { SessionStore, SheetName } from '@/features/table/room/session';
import { canSlide, nearer, pushed, slideNow, startSliding, stepPart } from '@/features/table/room/slide';
import { focusPart } from '@/features/table/stage/focus';
import * as act from '@/features/table/room/actions';

export interface Shortcut {
  /** As written for a person: `Ctrl Z`. */
  keys: string;
  does: string;
  group: 'Pieces' | 'Pile' | 'Pages' | 'Looking' | 'Steps';
  /** False for what only makes sense as a key. */
  listed?: boolean;
  /** It holds in fields too. */
  everywhere?: boolean;
  /** Whether a key press is this one. */
  is(event: KeyboardEvent): boolean;
  run(store: SessionStore, event: KeyboardEvent): unknown;
}

export const plain = (event: KeyboardEvent) => !event.ctrlKey && !event.metaKey && !event.altKey;
export const key = (name: string) => (event: KeyboardEvent) =>
  plain(event) && !event.shiftKey && event.key.toLowerCase() === name;
const shifted = (name: string) => (event: KeyboardEvent) =>
  plain(event) && event.shiftKey && event.key.toLowerCase() === name;
const ctrl =
  (name: string, shift = false) =>
  (event: KeyboardEvent) =>
    (event.ctrlKey || event.metaKey) && event.shiftKey === shift && event.key.toLowerCase() === name;
const opens = (
  group: Shortcut['group'],
  keys: string,
  does: string,
  is: Shortcut['is'],
  sheet: SheetName,
): Shortcut => ({ keys, does, group, is, run: (store) => store.setState({ sheet }) });
const toggle = (panel: 'zones' | 'grid' | 'side' | 'workbox' | 'guides') => (store: SessionStore) => {
  const { show } = store.getState();
  store.setState({ show: { ...show, [panel]: !show[panel] } });
};

/** The browser itself tells of these: see useClipboard. */
const byClipboard = () => false;

/** What one press of + brings a photo closer in its place. */
const SLIDE_STEP = 1.1;

const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

export const SHORTCUTS: readonly Shortcut[] = [
  {
    keys: 'Arrows',
    does: 'Nudge by 1/100 in, with Shift by 1/10 in; a photo being slid, in its place; a held point',
    group: 'Pieces',
    listed: false,
    is: (event) => plain(event) && event.key in ARROWS,
    run: (store, event) => {
      const [x, y] = ARROWS[event.key]!;
      const by = act.NUDGE * (event.shiftKey ? 10 : 1);
      if (act.nudgePoint(store, x * by, y * by)) return;
      if (!slideNow(store, (session, piece) => pushed(session, piece, { x: x * by, y: y * by })))
        act.nudge(store, x * by, y * by);
    },
  },
  {
    keys: 'Delete',
    does: 'Delete what is selected; the held point of an outline, the last one drawn',
    group: 'Pieces',
    is: (e) => plain(e) && (e.key === 'Delete' || e.key === 'Backspace'),
    run: (store) => act.dropPoint(store) || act.removePoint(store) || act.remove(store),
  },
  { keys: 'Ctrl C', does: 'Copy', group: 'Pieces', is: byClipboard, run: act.copy },
  { keys: 'Ctrl X', does: 'Cut out', group: 'Pieces', is: byClipboard, run: act.cut },
  { keys: 'Ctrl V', does: 'Paste', group: 'Pieces', is: byClipboard, run: act.paste },
  { keys: 'Ctrl D', does: 'Duplicate', group: 'Pieces', is: ctrl('d'), run: (store) => act.duplicate(store) },
  {
    keys: 'Ctrl Shift D',
    does: 'Duplicate in place',
    group: 'Pieces',
    is: ctrl('d', true),
    run: (store) => act.duplicate(store, { x: 0, y: 0 }),
  },
  {
    keys: 'Ctrl Enter',
    does: 'Copy to the next page, in the same place',
    group: 'Pieces',
    is: (e) => (e.ctrlKey || e.metaKey) && e.key === 'Enter',
    run: act.copyToNextPage,
  },
  {
    keys: 'Ctrl A',
    does: 'Select everything',
    group: 'Pieces',
    is: ctrl('a'),
    run: (store) => act.selectAll(store),
  },
  opens('Pieces', 'R', 'Rows and columns of it', key('r'), 'rows'),
  opens('Pieces', 'D', 'Punches: cut it to one, or punch a new piece', key('d'), 'punches'),
  {
    keys: 'A',
    does: 'Draw an outline by hand, or cut with scissors',
    group: 'Pieces',
    is: key('a'),
    run: (store) => store.setState({ sheet: 'draw', mode: { kind: 'pick' } }),
  },
  opens('Pieces', 'X', 'Outlines: join, cut out, overlap, divide, grow', key('x'), 'combine'),
  opens('Pieces', 'F', 'Tuck: where it passes over others and where under', key('f'), 'tuck'),
  {
    keys: 'K',
    does: 'Match: give others its size, angle, ink …',
    group: 'Pieces',
    is: key('k'),
    run: (store) => store.getState().selection.length && store.setState({ sheet: 'match' }),
  },
  {
    keys: 'Q',
    does: 'Peek: list all that lies under the pointer',
    group: 'Pile',
    is: key('q'),
    run: act.peek,
  },
  opens('Looking', 'I', 'Guides by number, or spaced evenly', key('i'), 'guides'),
  opens('Steps', 'Y', 'All steps by name', key('y'), 'steps'),
  {
    keys: 'O',
    does: 'Hold to see the page before the last step, with Shift before the last ten',
    group: 'Steps',
    listed: false,
    is: (event) => plain(event) && event.key.toLowerCase() === 'o',
    run: (store, event) => !event.repeat && act.compare(store, event.shiftKey ? 10 : 1),
  },
  {
    keys: 'Ctrl K',
    does: 'All actions, found by typing',
    group: 'Looking',
    listed: false,
    is: ctrl('k'),
    run: (store) => store.setState({ sheet: 'actions' }),
  },
  { keys: 'Ctrl G', does: 'Group', group: 'Pieces', is: ctrl('g'), run: act.group },
  { keys: 'Ctrl Shift G', does: 'Ungroup', group: 'Pieces', is: ctrl('g', true), run: act.ungroupChosen },
  {
    keys: 'M',
    does: 'Mirror left to right',
    group: 'Pieces',
    is: key('m'),
    run: (store) => act.mirror(store),
  },
  {
    keys: 'V',
    does: 'Flip top to bottom',
    group: 'Pieces',
    is: key('v'),
    run: (store) => act.mirror(store, 'y'),
  },
  { keys: 'L', does: 'Lock or unlock', group: 'Pieces', is: key('l'), run: (store) => act.toggleLock(store) },
  { keys: 'H', does: 'Hide', group: 'Pieces', is: key('h'), run: (store) => act.toggleHidden(store) },
  {
    keys: 'T',
    does: 'Write a title',
    group: 'Pieces',
    is: key('t'),
    run: (store) => act.startWords(store, 'title'),
  },
  {
    keys: 'J',
    does: 'Write journaling',
    group: 'Pieces',
    is: key('j'),
    run: (store) => act.startWords(store, 'journaling'),
  },
  {
    keys: 'Enter',
    does: 'Open the group, slide the photo in its place, write on, or move points; again when done',
    group: 'Pieces',
    is: key('enter'),
    run: (store) => {
      const session = store.getState();
      if (session.mode.kind === 'slide' || session.mode.kind === 'reshape')
        return store.setState({ mode: { kind: 'pick' } });
      if (session.matching) return act.match(store, session.matching, session.selection);
      if (act.enter(store)) return;
      const piece = session.history.project.surfaces
        .flatMap(({ pile }) => pile)
        .find(({ id }) => id === session.selection[0]);
      if (!piece || piece.placement.locked || session.readOnly) return;
      if (isWritten(piece.outline)) act.writeOn(store, piece);
      else if (canSlide(piece)) startSliding(store, piece);
      else act.startReshaping(store);
    },
  },
  {
    keys: 'N',
    does: 'Select the next piece up, the next point, or the next letter of which the photo is slid',
    group: 'Pile',
    is: key('n'),
    run: (store) => act.stepPoint(store, 1) || stepPart(store, 1) || act.step(store, 1),
  },
  {
    keys: 'B',
    does: 'Select the next piece down, the point or the letter before',
    group: 'Pile',
    is: key('b'),
    run: (store) => act.stepPoint(store, -1) || stepPart(store, -1) || act.step(store, -1),
  },
  opens(
    'Pieces',
    'Shift D',
    'Photo desk: every photo by time, with stars, names and what is alike',
    shifted('d'),
    'desk',
  ),
  opens('Pieces', 'Shift A', 'Arrange photos: proposals for as many as there are', shifted('a'), 'proposals'),
  opens(
    'Pages',
    'Shift I',
    'Inks of this page: each with where it is, changed everywhere at once',
    shifted('i'),
    'inks',
  ),
  opens('Pieces', 'Shift M', 'Photo mosaic: photos in cells, a picture over them', shifted('m'), 'mosaic'),
  opens('Pieces', 'Shift R', 'Recolour: all or parts of pictures', shifted('r'), 'recolour'),
  opens('Pieces', 'Shift C', 'Colour a stamp in, beneath its lines', shifted('c'), 'colourIn'),
  opens('Pieces', 'Shift F', 'Letters: all families, in the words being written', shifted('f'), 'fonts'),
  opens(
    'Pieces',
    'Shift L',
    'Letters of an alphabet: type words, each letter a piece',
    shifted('l'),
    'letters',
  ),
  opens('Pieces', 'Shift Q', 'Sentiments and quotes', shifted('q'), 'sentiments'),
  {
    keys: 'Shift W',
    does: 'Who and when: a caption from names and dates of the photos',
    group: 'Pieces',
    is: shifted('w'),
    run: (store) => act.layCaption(store),
  },
  {
    keys: 'Shift U',
    does: 'Words along the outline that is selected',
    group: 'Pieces',
    is: shifted('u'),
    run: (store) => act.runAlong(store),
  },
  {
    keys: 'Ctrl B',
    does: 'Bold letters, of what is marked or of all',
    group: 'Pieces',
    is: ctrl('b'),
    run: (store) => act.toggleFace(store, 'bold'),
  },
  {
    keys: 'Ctrl I',
    does: 'Italic letters',
    group: 'Pieces',
    is: ctrl('i'),
    run: (store) => act.toggleFace(store, 'italic'),
  },
  {
    keys: 'F6',
    does: 'Next part of the screen: page, panel, pile, workbox, top; with Shift the one before',
    group: 'Looking',
    listed: false,
    everywhere: true,
    is: (event) => plain(event) && event.key === 'F6',
    run: (_, event) => focusPart(event.shiftKey ? -1 : 1),
  },
  {
    keys: 'Ctrl F',
    does: 'Find and replace words in all pages',
    group: 'Looking',
    is: ctrl('f'),
    run: (store) => store.setState({ sheet: 'find' }),
  },
  opens('Pieces', 'Shift T', 'Light and tone of photos', shifted('t'), 'tone'),
  {
    keys: 'Shift S',
    does: 'Let two photos change places',
    group: 'Pieces',
    is: shifted('s'),
    run: act.swapChosen,
  },
  {
    keys: 'Page Up',
    does: 'Raise one step in the pile',
    group: 'Pile',
    is: key('pageup'),
    run: (store) => act.shiftInPile(store, 'up'),
  },
  {
    keys: 'Page Down',
    does: 'Lower one step',
    group: 'Pile',
    is: key('pagedown'),
    run: (store) => act.shiftInPile(store, 'down'),
  },
  {
    keys: 'Home',
    does: 'To the top of the pile',
    group: 'Pile',
    is: key('home'),
    run: (store) => act.shiftInPile(store, 'top'),
  },
  {
    keys: 'End',
    does: 'To the bottom of the pile',
    group: 'Pile',
    is: key('end'),
    run: (store) => act.shiftInPile(store, 'bottom'),
  },
  {
    keys: 'Esc',
    does: 'Shut the open sheet, let go, or close the open group',
    group: 'Pieces',
    listed: false,
    is: key('escape'),
    run: (store) => {
      const { mode, select, matching, compared, peeking, sheet } = store.getState();
      if (matching || compared || peeking)
        return store.setState({ matching: null, compared: null, peeking: null });
      // What is open over the table goes first; what is selected stays.
      if (sheet) return store.setState({ sheet: null });
      if (mode.kind === 'write') return act.stopWriting(store);
      if (mode.kind === 'pick' && !act.leave(store)) select([]);
      else if (mode.kind !== 'pick') store.setState({ mode: { kind: 'pick' } });
    },
  },
  {
    keys: '+',
    does: 'Closer; a photo being slid, in its place',
    group: 'Looking',
    is: (e) => !e.altKey && (e.key === '+' || e.key === '='),
    run: (store) =>
      slideNow(store, (session, piece) => nearer(session, piece, SLIDE_STEP)) || act.zoomBy(store, 1),
  },
  {
    keys: '-',
    does: 'Further away',
    group: 'Looking',
    is: (e) => !e.altKey && e.key === '-',
    run: (store) =>
      slideNow(store, (session, piece) => nearer(session, piece, 1 / SLIDE_STEP)) || act.zoomBy(store, -1),
  },
  {
    keys: '2',
    does: 'As close as the selection fits',
    group: 'Looking',
    is: key('2'),
    run: act.zoomToChosen,
  },
  {
    keys: 'Alt Page Down',
    does: 'The next page',
    group: 'Pages',
    is: (e) => e.altKey && e.key === 'PageDown',
    run: (store) => act.turnPage(store, 1),
  },
  {
    keys: 'Alt Page Up',
    does: 'The page before',
    group: 'Pages',
    is: (e) => e.altKey && e.key === 'PageUp',
    run: (store) => act.turnPage(store, -1),
  },
  {
    keys: 'S',
    does: 'Snapping on or off; hold Ctrl while dragging to switch it off for once',
    group: 'Looking',
    is: key('s'),
    run: (store) => store.setState({ snapping: !store.getState().snapping }),
  },
  {
    keys: 'E',
    does: 'Loupe: three times as large, where the pointer is',
    group: 'Looking',
    is: key('e'),
    run: (store) => store.setState({ loupe: !store.getState().loupe }),
  },
  { keys: 'U', does: 'Show or hide guides', group: 'Looking', is: key('u'), run: toggle('guides') },
  { keys: '0', does: 'The whole page', group: 'Looking', is: key('0'), run: act.zoomFit },
  { keys: '1', does: 'True size', group: 'Looking', is: key('1'), run: act.zoomTrue },
  {
    keys: 'Z',
    does: 'Show or hide bleed and safe area',
    group: 'Looking',
    is: key('z'),
    run: toggle('zones'),
  },
  { keys: 'G', does: 'Show or hide the grid', group: 'Looking', is: key('g'), run: toggle('grid') },
  { keys: 'P', does: 'Put the side panel away', group: 'Looking', is: key('p'), run: toggle('side') },
  { keys: 'W', does: 'Put the workbox away', group: 'Looking', is: key('w'), run: toggle('workbox') },
  { keys: 'Ctrl Z', does: 'Undo', group: 'Steps', is: ctrl('z'), run: (store) => store.getState().undo() },
  {
    keys: 'Ctrl Shift Z',
    does: 'Redo (also Ctrl Y)',
    group: 'Steps',
    is: (e) => ctrl('z', true)(e) || ctrl('y')(e),
    run: (store) => store.getState().redo(),
  },
];
