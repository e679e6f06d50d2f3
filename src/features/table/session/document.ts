/** What lies on the table: the project with its history, and what is tried on it. */
import { amend, goTo, lookAhead, perform, redo, undo, type History } from '@/core/project/history';
import type { Edit } from '@/core/project/edits/edit';
import { withFollows } from '@/core/calendar/follows';
import { keepInStep } from '@/core/project/edits/round';
import { keepShared } from '@/core/project/edits/shared';
import { Refused } from '@/core/project/refused';
import type { SnapReason } from '@/core/page/snap';
import type { Group, Project, Surface } from '@/core/project/model';
import { isWritten } from '@/core/piece/outline';
import type { Piece } from '@/core/piece/piece';
import { changedIn } from '@/core/text/spans';
import type { Typesetter } from '@/core/text/typesetter';
import type { Asset } from '@/core/picture/asset';
import { surfaceAt, type Slice } from '@/features/table/session/slice';
import type { NoticeSlice } from '@/features/table/session/notice';
import {
  chosenAs,
  PICK,
  type Chosen,
  type Mode,
  type SelectionSlice,
} from '@/features/table/session/selection';

export interface Copied {
  groups: readonly Group[];
  pieces: readonly Piece[];
  assets: readonly Asset[];
}

export interface DocumentSlice {
  history: History;
  typesetter: Typesetter;
  /** The project as it would be while a drag lasts; null otherwise. */
  tryout: Project | null;
  /** Why what is being dragged snapped, for the pins. */
  snapped: readonly SnapReason[];
  /** The project as it was some steps ago, for as long as it is compared. */
  compared: Project | null;
  /** Another tab holds the project: nothing can be changed here. */
  readOnly: boolean;
  /** When the last edit reached the store, milliseconds since 1970; null while one is on its way. */
  kept: number | null;
  /** Whether it was deleted elsewhere while it lies here: lately, or with all that was kept of it. */
  deleted: 'lately' | 'gone' | null;
  copied: Copied | null;

  /** Does an edit for good, and chooses what is named with it; neither, and false, if it is refused. */
  perform(edit: Edit, then?: Chosen): boolean;
  /** Adds to the last step what could not be known when it was done. */
  amend(edit: Edit): void;
  /** Shows what an edit would do; null goes back. */
  tryOut(edit: Edit | null, snapped?: readonly SnapReason[]): void;
  undo(): void;
  redo(): void;
  /** Goes to the state after so many of the steps. */
  goTo(done: number): void;
  /** Shows the project as it was so many steps ago, for as long as it is more than none. */
  compare(back: number): void;
  copy(copied: Copied): void;
  /** Sets words with more fonts and languages from now on. */
  equip(typesetter: Typesetter): void;
  /** Notes that the project as it was in `history` reached the store. */
  wasKept(history: History, at: number): void;
  wasDeleted(deleted: DocumentSlice['deleted']): void;
}

export const documentSlice =
  (
    history: History,
    typesetter: Typesetter,
    readOnly: boolean,
  ): Slice<DocumentSlice, SelectionSlice & NoticeSlice> =>
  (set, get) => {
    const travel = (to: History) => {
      const { surfaceId, selection, entered, mode } = get();
      const page = surfaceAt(to.project, surfaceId);
      const present = new Set(page.pile.map((piece) => piece.id));
      const turned = get().history.project.surfaces.flatMap((before) => {
        const now = to.project.surfaces.find(({ id }) => id === before.id);
        return now && now.locked !== before.locked
          ? [`${now.name} is ${now.locked ? 'locked' : 'not locked any more'}: that was a step, too.`]
          : [];
      });
      const locks = locksTurned(get().history.project, to.project);
      if (locks) turned.push(locks);
      set({
        ...(turned.length ? { refused: { why: turned.join(' ') } } : {}),
        history: to,
        tryout: null,
        snapped: [],
        selection: selection.filter((id) => present.has(id)),
        entered: page.groups.some(({ id }) => id === entered) ? entered : null,
        surfaceId: page.id,
        mode: wentOn(mode, get().history.project, to.project, page),
        kept: null,
      });
    };
    return {
      history,
      typesetter,
      tryout: null,
      snapped: [],
      compared: null,
      readOnly,
      kept: Date.now(),
      deleted: null,
      copied: null,
      perform(edit, then) {
        const { history: before, readOnly: locked } = get();
        const back = { tryout: null, snapped: [] };
        const refused = (why: object = {}) => (set({ ...back, ...why }), false);
        if (locked) return refused();
        const done = orRefused(() => perform(before, edit, Date.now()));
        if (done instanceof Refused) return refused({ refused: { why: done.message } });
        const stepped = inStep(done, before);
        if (touchesLocked(before.project, stepped.project)) return refused({ touchedLocked: Date.now() });
        const after = followed(stepped, before, get().typesetter);
        set({
          history: after,
          ...back,
          ...(after === before ? {} : { kept: null }),
          ...(then && chosenAs(then)),
        });
        return true;
      },
      amend(edit) {
        const { history: before, readOnly: locked } = get();
        const after = locked ? before : orRefused(() => amend(before, edit));
        if (after instanceof Refused) return;
        const stepped = inStep(after, before);
        if (stepped !== before && !touchesLocked(before.project, stepped.project))
          set({ history: followed(stepped, before, get().typesetter), kept: null });
      },
      tryOut(edit, snapped = []) {
        const { history: now, readOnly: locked } = get();
        const tryout = edit && !locked ? lookAhead(now.project, edit) : null;
        // What cannot be done is not shown either: what was shown last stays.
        if (edit && !tryout && !locked) return;
        if (tryout && touchesLocked(now.project, tryout)) return;
        set({ tryout, snapped: tryout ? snapped : [] });
      },
      undo: () => void (!get().readOnly && travel(undo(get().history))),
      redo: () => void (!get().readOnly && travel(redo(get().history))),
      goTo: (done) => void (!get().readOnly && travel(goTo(get().history, done))),
      compare(back) {
        const { history: now, compared } = get();
        if (back > 0 && now.done > 0) set({ compared: goTo(now, now.done - back).project });
        else if (compared) set({ compared: null });
      },
      copy: (copied) => set({ copied }),
      equip: (next) => set({ typesetter: next }),
      wasKept: (of, at) => set({ trouble: null, ...(get().history === of ? { kept: at } : {}) }),
      wasDeleted: (deleted) => set({ deleted }),
    };
  };

/** Points are moved on and words written on through undo, as long as they are there; the caret stands where words changed. */
function wentOn(mode: Mode, before: Project, now: Project, page: Surface): Mode {
  if (mode.kind !== 'reshape' && mode.kind !== 'write') return PICK;
  const piece = page.pile.find(({ id }) => id === mode.id);
  if (!piece) return PICK;
  if (mode.kind === 'reshape') return { ...mode, at: null };
  const was = surfaceAt(before, page.id).pile.find(({ id }) => id === mode.id);
  if (!was || !isWritten(was.outline) || !isWritten(piece.outline)) return PICK;
  if (was.outline.text === piece.outline.text) return mode;
  const at = piece.outline.text.length - changedIn(was.outline.text, piece.outline.text).tail;
  return { ...mode, range: [at, at] };
}

/** What undo and redo did to the locks of pieces, as nothing of it is seen on the page. */
function locksTurned(before: Project, now: Project): string | null {
  const fast = (of: Project) =>
    new Map(
      of.surfaces.flatMap(({ pile }) => pile.map(({ id, placement }) => [id, placement.locked] as const)),
    );
  const was = fast(before);
  const turned = [...fast(now)].filter(([id, locked]) => was.has(id) && was.get(id) !== locked);
  if (!turned.length) return null;
  const what = turned.length === 1 ? 'A piece is' : `${turned.length} pieces are`;
  return `${what} ${turned[0]![1] ? 'locked again' : 'not locked any more'}: that was a step, too.`;
}

/** A step with what it means for the other ends of what goes round the paper, and for what lies on every page. */
function inStep(done: History, before: History): History {
  if (done === before) return done;
  return [keepInStep, keepShared].reduce((now, keep) => {
    const kept = keep(before.project, now.project);
    return kept ? amend(now, kept) : now;
  }, done);
}

/** A step with what follows from it: months, what is held to their days, and living words show what is so, on locked pages too. */
function followed(done: History, before: History, typesetter: Typesetter): History {
  return done === before ? done : withFollows(done, typesetter);
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
