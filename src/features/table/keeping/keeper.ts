/** Keeps every edit: as soon as it is seen, edits in a row ten times a second, and at once when the page is left. */
import { liveQuery } from 'dexie';
import type { History } from '@/core/project/history';
import type { Typesetter } from '@/core/text/typesetter';
import { database } from '@/storage/database';
import { noteLine } from '@/storage/line';
import { keep } from '@/storage/projects';
import { giveUp, setAside } from '@/storage/reserve';
import { undeleteProject } from '@/storage/deleted';
import { hasProject } from '@/storage/shelf';
import { Displaced, Gone, inWords, isFull, Newer } from '@/storage/trouble';
import { coverOf } from '@/core/product';
import { paintPageInTurns } from '@/features/table/stage/paint/paintPage';
import type { PictureShelf } from '@/features/table/keeping/pictures';
import type { SessionStore } from '@/features/table/session';

/** An edit after a rest: it is noted at once (storage/line.ts), and the screen comes before it is kept. */
const AT_ONCE = 20;
/** Between writes while one edit follows another. */
const KEEP_EVERY = 100;
const PREVIEW_AFTER = 1500;
/** Work that has not ended so long after the room was left is not waited for, milliseconds. */
const LEAVE_WITHIN = 10_000;
/** After a failure it is tried again this soon: there may be room by then. */
const TRY_AGAIN = 1500;
/** Longest side of the sheet on the home table, device pixels. */
const PREVIEW_SIDE = 640;

export interface Keeper {
  /** Work that goes on for a while and edits as it goes: it hears when the room is left, and what it did by then is kept. */
  during<T>(work: (left: AbortSignal) => Promise<T>): Promise<T>;
  /** Waits for work to end, takes a last look and keeps nothing more; resolves when nothing is on its way to the store. */
  stop(): Promise<void>;
  /** Brings the project back that was deleted elsewhere. */
  putBack(): Promise<void>;
}

/** Starts keeping, as the one room (`holder`) that has claimed the project and holds its lock. */
export function startKeeping(store: SessionStore, shelf: PictureShelf, holder: string): Keeper {
  let keptHistory: History | null = store.getState().history;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let previewTimer: ReturnType<typeof setTimeout> | undefined;
  let writing: Promise<void> = Promise.resolve();
  let stopped = false;
  let written = 0;
  let edits = 0;
  let noted = 0;
  const leaving = new AbortController();
  const underway = new Set<Promise<unknown>>();
  const { id } = store.getState().history.project;

  void setAside();

  const writeOnce = async () => {
    const { history, readOnly, deleted } = store.getState();
    const nth = edits;
    if (readOnly || history === keptHistory || deleted === 'gone') return;
    try {
      await keep(keptHistory, history, Date.now(), holder, nth);
      keptHistory = history;
      store.getState().wasKept(history, Date.now());
      askToPersist();
    } catch (error) {
      if (error instanceof Gone) return store.getState().wasDeleted('gone');
      const full = isFull(error);
      if (full) await giveUp().catch(() => {});
      // Who no longer holds the project, or is done with it, has nothing more to write.
      const over = stopped || error instanceof Displaced || error instanceof Newer;
      if (!over) timer ??= setTimeout(write, TRY_AGAIN);
      store
        .getState()
        .setTrouble(
          full
            ? 'This browser has no room left: your last steps are not kept. Save the project as a file now, then delete a project or free some disk space.'
            : `${inWords(error, 'Your last steps were not kept in this browser')} Save the project as a file now.`,
        );
    }
  };
  const write = (): Promise<void> => {
    clearTimeout(timer);
    timer = undefined;
    written = performance.now();
    return (writing = writing.then(writeOnce));
  };

  const paintPreview = async () => {
    const { history, readOnly, typesetter } = store.getState();
    if (readOnly) return;
    try {
      const blob = await previewOf(history, typesetter, shelf);
      if (await hasProject(id)) await database.previews.put({ project: id, blob });
    } catch {
      // The sheet on the home table stays as it was.
    }
  };

  const stopListening = store.subscribe((now, before) => {
    if (now.history === before.history) return;
    edits++;
    const since = performance.now() - Math.max(written, noted);
    if (since > KEEP_EVERY && !now.readOnly && now.deleted !== 'gone') {
      noted = performance.now();
      noteLine(keptHistory, now.history, holder, edits);
    }
    timer ??= setTimeout(() => void write(), Math.max(AT_ONCE, KEEP_EVERY - (performance.now() - written)));
    clearTimeout(previewTimer);
    previewTimer = setTimeout(() => void paintPreview(), PREVIEW_AFTER);
  });
  // Told by every tab of this browser, this one too.
  const watching = liveQuery(() => database.projects.get(id)).subscribe({
    next: (row) => store.getState().wasDeleted(!row ? 'gone' : row.deleted ? 'lately' : null),
    error: () => {},
  });
  const onHide = () => void (document.visibilityState === 'hidden' && write());
  const onLeave = () => void write();
  document.addEventListener('visibilitychange', onHide);
  window.addEventListener('pagehide', onLeave);

  return {
    during(work) {
      const done = work(leaving.signal).finally(() => underway.delete(done));
      underway.add(done);
      return done;
    },
    async putBack() {
      if (await hasProject(id)) await undeleteProject(id);
      else {
        const { history } = store.getState();
        await keep(null, history, Date.now(), holder, edits);
        keptHistory = history;
        store.getState().wasKept(history, Date.now());
        await paintPreview();
      }
      store.getState().wasDeleted(null);
    },
    async stop() {
      leaving.abort();
      // What hangs does not keep the project from being opened again.
      await Promise.race([
        Promise.allSettled(underway),
        new Promise((late) => setTimeout(late, LEAVE_WITHIN)),
      ]);
      stopped = true;
      stopListening();
      watching.unsubscribe();
      document.removeEventListener('visibilitychange', onHide);
      window.removeEventListener('pagehide', onLeave);
      clearTimeout(previewTimer);
      await write();
      if (previewTimer) await paintPreview();
    },
  };
}

let asked = false;

/** Asked once there is something to lose: browsers may then not clear the store by themselves. The answer is told at Home. */
function askToPersist(): void {
  if (asked) return;
  asked = true;
  void navigator.storage?.persist?.().catch(() => {});
}

async function previewOf(history: History, typesetter: Typesetter, shelf: PictureShelf): Promise<Blob> {
  const { project } = history;
  const { surface, box } = coverOf(project);
  const canvas = (await paintPageInTurns([project, surface, typesetter, shelf, PREVIEW_SIDE, box]))!;
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 });
}
