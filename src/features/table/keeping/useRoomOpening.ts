/** Opens a project for the table: fonts, history, the lock that keeps two tabs apart, and the keeper. */
import { useEffect, useState } from 'react';
import { onlySeen } from '@/core/product';
import { fitToFonts } from '@/core/project/edits/fonts';
import { needsOf } from '@/core/project/needs';
import { restOfFonts, typesetterFor, warmFonts } from '@/features/shared/fonts';
import type { Typesetter } from '@/core/text/typesetter';
import { newId } from '@/features/shared/ids';
import { startKeeping, type Keeper } from '@/features/table/keeping/keeper';
import { PictureShelf } from '@/features/table/keeping/pictures';
import { createSession, type SessionStore } from '@/features/table/session';
import { claimProject, openProject } from '@/storage/projects';
import { undeleteProject } from '@/storage/deleted';
import { inWords } from '@/storage/trouble';

export type Opening =
  | { state: 'opening' }
  | { state: 'failed'; message: string; putBack?: () => Promise<void> }
  | { state: 'open'; store: SessionStore; shelf: PictureShelf; keeper: Keeper | null };

export function useRoomOpening(id: string): Opening {
  const [opening, setOpening] = useState<Opening>({ state: 'opening' });
  const [round, setRound] = useState(0);
  useEffect(() => {
    let closed = false;
    const closers: (() => void)[] = [];
    const lock = `bellagraph project ${id}`;
    /** Resolves when this room is left. */
    const left = new Promise<void>((leave) => closers.push(leave));

    /** Opens the room; the answer ends what it began, once the room is left. */
    async function start(readOnly: boolean): Promise<Keeper | null> {
      warmFonts();
      const opened = await openProject(id);
      if (closed) return null;
      if (!opened.ok) {
        const putBack = async () => {
          await undeleteProject(id);
          setOpening({ state: 'opening' });
          setRound((before) => before + 1);
        };
        setOpening({
          state: 'failed',
          message: opened.message,
          ...(opened.deleted && !readOnly ? { putBack } : {}),
        });
        return null;
      }
      const holder = newId();
      const seen = readOnly || onlySeen(opened.value.project) !== null;
      if (!seen) await claimProject({ ...opened, ok: true }, holder, Date.now());
      const typesetter = await typesetterFor(opened.value.project);
      if (closed) return null;
      const shelf = new PictureShelf();
      const store = createSession(opened.value, typesetter, seen, opened.mended);
      closers.push(keepEquipped(store));
      const keeper = seen ? null : startKeeping(store, shelf, holder);
      setOpening({ state: 'open', store, shelf, keeper });
      return keeper;
    }
    /** With the lock held until the last step has reached the store. */
    const hold = async () => {
      const keeper = await start(false);
      await left;
      await keeper?.stop();
    };

    void (async () => {
      try {
        const mine = await navigator.locks.request(lock, { ifAvailable: true }, async (got) => {
          if (got && !closed) await hold();
          return got !== null;
        });
        if (mine || closed) return;
        // Another tab has it: show it, and take over when that tab lets go.
        await start(true);
        await navigator.locks.request(lock, async () => {
          if (!closed) await hold();
        });
      } catch (error) {
        if (!closed)
          setOpening({ state: 'failed', message: inWords(error, 'This project could not be opened') });
      }
    })();
    return () => {
      closed = true;
      closers.forEach((close) => close());
    };
  }, [id, round]);
  return opening;
}

const ASK_AGAIN = 3000;
/** Milliseconds after which the table stands, and fonts that nothing needs yet are opened. */
const SETTLED = 600;

/** Opens fonts and languages when words first need them; answers with what ends it. */
function keepEquipped(store: SessionStore): () => void {
  let last: unknown = store.getState().history.project.surfaces;
  let busy = false;
  let retry: ReturnType<typeof setTimeout> | undefined;
  let left = false;
  const equip = (next: Typesetter) => {
    const { typesetter: before, history, equip: take, amend } = store.getState();
    take(next);
    const { fonts, languages } = needsOf(history.project);
    if (
      fonts.some((name) => !before.has(name) && next.has(name)) ||
      languages.some((language) => !before.divides(language))
    )
      amend(fitToFonts(history.project, before, next));
  };
  /** All that can be written in is there before it is asked for. */
  const fetchRest = async () => {
    const fonts = await restOfFonts((name) => store.getState().typesetter.has(name));
    const { typesetter } = store.getState();
    const more = fonts.filter(({ name }) => !typesetter.has(name));
    if (!left && more.length) equip(typesetter.with(more));
  };
  const look = async () => {
    const { history, typesetter } = store.getState();
    if (busy || history.project.surfaces === last) return;
    busy = true;
    last = history.project.surfaces;
    try {
      const next = await typesetterFor(history.project, typesetter);
      // What else arrived meanwhile has more: it is looked at anew.
      if (store.getState().typesetter !== typesetter) last = null;
      else if (next !== typesetter) equip(next);
    } catch {
      // A language that could not be fetched: asked for again soon, and with the next edit.
      retry = setTimeout(() => {
        last = null;
        void look();
      }, ASK_AGAIN);
      return;
    } finally {
      busy = false;
    }
    void look();
  };
  const stop = store.subscribe(() => void look());
  const begin = setTimeout(() => void fetchRest(), SETTLED);
  return () => {
    left = true;
    clearTimeout(begin);
    clearTimeout(retry);
    stop();
  };
}
