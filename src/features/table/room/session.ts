/** One open project on the table: its history, what is selected, how it is looked at. */
import { createStore, type StoreApi } from 'zustand/vanilla';
import { amend, goTo, lookAhead, perform, redo, undo, type History } from '@/core/project/history';
import type { Area } from '@/core/dye/area';
import type { Match } from '@/core/project/edits/match';
import { NOTHING_DRAWN, type Drawing } from '@/features/table/room/drawing';
import { screenZoom } from '@/features/table/room/screen';
import type { Edit } from '@/core/project/edits/edit';
import { Refused } from '@/core/project/refused';
import type { Point } from '@/core/geometry/matrix';
import type { Box } from '@/core/geometry/box';
import type { Spot } from '@/core/geometry/knots';
import type { Path } from '@/core/geometry/path';
import type { SnapReason } from '@/core/page/snap';
import { surfaceOf, type Group, type Guide, type Project, type Surface } from '@/core/project/model';
import type { Piece } from '@/core/piece/piece';
import type { Typesetter } from '@/core/text/typesetter';
import type { Asset } from '@/core/picture/asset';

/** How the table is looked at: CSS pixels a point, and where the trim's top left corner lies on the stage. */
export interface View {
  zoom: number;
  x: number;
  y: number;
}

export interface Show {
  zones: boolean;
  grid: boolean;
  side: boolean;
  workbox: boolean;
  guides: boolean;
  /** The page light as a lamp on the page. */
  lamp: boolean;
}

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

/** Photos and places with which the one that is dragged may change places, and the one it is held over. */
export interface Swaps {
  with: readonly Piece[];
  onto: string | null;
}

/** What may be opened over the table. */
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
  /** What a stroke, as far as it was drawn, would come to; undefined where that is not shown. */
  stroke(points: readonly number[]): Area | null | undefined;
  done(points: readonly number[]): void;
  leave(): void;
}

export interface Session {
  history: History;
  surfaceId: string;
  typesetter: Typesetter;
  /** The project as it would be while a drag lasts; null otherwise. */
  tryout: Project | null;
  /** Why what is being dragged snapped, for the pins. */
  snapped: readonly SnapReason[];
  /** Where a photo may go while it is dragged. */
  swaps: Swaps | null;
  /** What a hand is drawing a frame round, page points. */
  marquee: Box | null;
  /** An outline that is shown on the page while it is looked for, page points. */
  sought: Path | null;
  /** What is drawn by hand while its sheet is open. */
  drawing: Drawing;
  /** A guide that is being drawn or moved. */
  drawnGuide: Guide | null;
  selection: readonly string[];
  /** The group that is open: pieces in it are taken hold of one by one. */
  entered: string | null;
  /** The piece whose slab is rested on in the pile. */
  hovered: string | null;
  mode: Mode;
  view: View;
  stage: { width: number; height: number };
  show: Show;
  /** Another tab holds the project: nothing can be changed here. */
  readOnly: boolean;
  /** When the last edit reached the store, milliseconds since 1970; null while one is on its way. */
  kept: number | null;
  /** Why keeping failed, if it did. */
  trouble: string | null;
  /** Whether it was deleted elsewhere while it lies here: lately, or with all that was kept of it. */
  deleted: 'lately' | 'gone' | null;
  /** What could not be read as it was written when it was opened, a sentence each. */
  mended: readonly string[];
  /** Whether things snap while they are moved. */
  snapping: boolean;
  /** Whether letters, strokes and corners grow with what they are on when it is scaled with others. */
  growContents: boolean;
  /** The project as it was some steps ago, for as long as it is compared. */
  compared: Project | null;
  sheet: SheetName | null;
  /** Photos, by SHA-256, that the sheet which opens next shall begin with. */
  wanted: readonly string[];
  loupe: boolean;
  /** A colour is being taken from the page; `done` hears which, or null if it was left. */
  dropper: { done(colour: string | null): void } | null;
  marking: Marking | null;
  /** CSS pixels a point takes at true size on this screen. */
  trueZoom: number;
  /** The spot of the stage under which everything is listed. */
  peeking: Point | null;
  /** Where the pointer was last on the stage. */
  pointer: Point | null;
  matching: Matching | null;
  /** Why the last thing that was asked for was not done; another object each time. */
  refused: { why: string } | null;
  /** When a locked page was last touched, milliseconds since 1970. */
  touchedLocked: number;
  copied: { groups: readonly Group[]; pieces: readonly Piece[]; assets: readonly Asset[] } | null;

  /** Does an edit for good. */
  perform(edit: Edit): void;
  /** Adds to the last step what could not be known when it was done. */
  amend(edit: Edit): void;
  /** Shows what an edit would do; null goes back. */
  tryOut(edit: Edit | null, snapped?: readonly SnapReason[]): void;
  undo(): void;
  redo(): void;
  /** Goes to the state after so many of the steps. */
  goTo(done: number): void;
  select(ids: readonly string[]): void;
  set(change: Partial<Session>): void;
}

export type SessionStore = StoreApi<Session>;

export function createSession(history: History, typesetter: Typesetter, readOnly: boolean): SessionStore {
  return createStore<Session>((set, get) => {
    const travel = (to: History) => {
      const present = new Set(surfaceAt(to.project, get().surfaceId).pile.map((piece) => piece.id));
      set({
        history: to,
        tryout: null,
        snapped: [],
        selection: get().selection.filter((id) => present.has(id)),
        entered: surfaceAt(to.project, get().surfaceId).groups.some(({ id }) => id === get().entered)
          ? get().entered
          : null,
        surfaceId: surfaceAt(to.project, get().surfaceId).id,
        mode: stillReshaping(get().mode, present),
        kept: null,
      });
    };
    return {
      history,
      surfaceId: history.project.surfaces[0]!.id,
      typesetter,
      tryout: null,
      snapped: [],
      swaps: null,
      marquee: null,
      sought: null,
      drawing: NOTHING_DRAWN,
      drawnGuide: null,
      selection: [],
      entered: null,
      hovered: null,
      mode: { kind: 'pick' },
      view: { zoom: 0, x: 0, y: 0 },
      stage: { width: 0, height: 0 },
      show: { zones: true, grid: true, side: true, workbox: true, guides: true, lamp: false },
      readOnly,
      kept: Date.now(),
      trouble: null,
      deleted: null,
      mended: [],
      snapping: true,
      growContents: true,
      compared: null,
      sheet: null,
      wanted: [],
      loupe: false,
      dropper: null,
      marking: null,
      trueZoom: screenZoom(),
      peeking: null,
      pointer: null,
      matching: null,
      refused: null,
      touchedLocked: 0,
      copied: null,
      perform(edit) {
        const { history: before, readOnly: locked } = get();
        if (locked) return set({ tryout: null, snapped: [] });
        const after = orRefused(() => perform(before, edit, Date.now()));
        if (after instanceof Refused)
          return set({ tryout: null, snapped: [], refused: { why: after.message } });
        if (touchesLocked(before.project, after.project))
          return set({ tryout: null, snapped: [], touchedLocked: Date.now() });
        set({ history: after, tryout: null, snapped: [], ...(after === before ? {} : { kept: null }) });
      },
      amend(edit) {
        const { history: before, readOnly: locked } = get();
        const after = locked ? before : orRefused(() => amend(before, edit));
        if (after instanceof Refused) return;
        if (after !== before && !touchesLocked(before.project, after.project))
          set({ history: after, kept: null });
      },
      tryOut(edit, snapped = []) {
        const { history: now, readOnly: locked } = get();
        const tryout = edit && !locked ? lookAhead(now.project, edit) : null;
        // What cannot be done is not shown either: what was shown last stays.
        if (edit && !tryout && !locked) return;
        if (tryout && touchesLocked(now.project, tryout)) return;
        set({ tryout, snapped: tryout ? snapped : [] });
      },
      undo: () => !get().readOnly && travel(undo(get().history)),
      redo: () => !get().readOnly && travel(redo(get().history)),
      goTo: (done) => !get().readOnly && travel(goTo(get().history, done)),
      select: (ids) => set({ selection: ids, mode: { kind: 'pick' } }),
      set: (change) => set(change),
    };
  });
}

/** What was done, or why it was not. */
function orRefused(act: () => History): History | Refused {
  try {
    return act();
  } catch (error) {
    if (error instanceof Refused) return error;
    throw error;
  }
}

/** Points are moved on through undo, as long as there is something to move. */
const stillReshaping = (mode: Mode, present: ReadonlySet<string>): Mode =>
  mode.kind === 'reshape' && present.has(mode.id) ? { ...mode, at: null } : { kind: 'pick' };

/** The page with this id, or the first if undo took it away. */
const surfaceAt = (project: Project, id: string): Surface =>
  project.surfaces.find((surface) => surface.id === id) ?? project.surfaces[0]!;

/** Whether a page that is and stays locked was changed, or went. */
const touchesLocked = (before: Project, after: Project): boolean =>
  before.surfaces.some((page) => {
    const now = after.surfaces.find(({ id }) => id === page.id);
    if (!page.locked || now?.locked === false) return false;
    // Its number may change when others come and go.
    return (
      !now || (Object.keys(page) as (keyof Surface)[]).some((key) => key !== 'name' && now[key] !== page[key])
    );
  });

/** The project as it is shown now. */
export const shownProject = (session: Session): Project =>
  session.compared ?? session.tryout ?? session.history.project;

export const shownSurface = (session: Session): Surface =>
  surfaceAt(shownProject(session), session.surfaceId);

/** The selected pieces, bottom first, as they are shown. */
export const selectedPieces = (session: Session): Piece[] => {
  const chosen = new Set(session.selection);
  return shownSurface(session).pile.filter((piece) => chosen.has(piece.id));
};

/** As they are without the drag that lasts: what an edit must start from. */
export const settledPieces = (session: Session, ids: readonly string[]): Piece[] => {
  const chosen = new Set(ids);
  return surfaceOf(session.history.project, session.surfaceId).pile.filter((piece) => chosen.has(piece.id));
};
