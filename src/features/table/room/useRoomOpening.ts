/** Opens a project for the table: fonts, history, the lock that keeps two tabs apart, and the keeper. */
import { useEffect, useState } from 'react';
import { fitToFonts } from '@/core/project/edits/fonts';
import { typesetterFor, warmFonts } from '@/features/shared/fonts';
import { startKeeping } from '@/features/table/room/keeper';
import { PictureShelf } from '@/features/table/room/pictures';
import { createSession, type SessionStore } from '@/features/table/room/session';
import { openProject } from '@/storage/projects';

export type Opening =
  | { state: 'opening' }
  | { state: 'failed'; message: string }
  | { state: 'open'; store: SessionStore; shelf: PictureShelf };

export function useRoomOpening(id: string): Opening {
  const [opening, setOpening] = useState<Opening>({ state: 'opening' });
  useEffect(() => {
    let closed = false;
    const closers: (() => void)[] = [];
    const lock = `bellagraph project ${id}`;
    /** Resolves when this tab has let the project go: a lock lasts as long as its promise. */
    const untilClosed = () => new Promise<void>((release) => (closed ? release() : closers.push(release)));

    async function start(readOnly: boolean): Promise<void> {
      warmFonts();
      const opened = await openProject(id);
      if (closed) return;
      if (!opened.ok) return setOpening({ state: 'failed', message: opened.message });
      const typesetter = await typesetterFor(opened.value.project);
      if (closed) return;
      const shelf = new PictureShelf();
      const store = createSession(opened.value, typesetter, readOnly);
      closers.push(keepEquipped(store));
      if (!readOnly) closers.push(startKeeping(store, shelf));
      setOpening({ state: 'open', store, shelf });
    }

    void (async () => {
      try {
        await navigator.locks.request(lock, { ifAvailable: true }, async (mine) => {
          if (!mine) return;
          await start(false);
          await untilClosed();
        });
        if (closed) return;
        // Another tab has it: show it, and take over when that tab lets go.
        await start(true);
        await navigator.locks.request(lock, async () => {
          if (closed) return;
          await start(false);
          await untilClosed();
        });
      } catch (error) {
        if (!closed)
          setOpening({
            state: 'failed',
            message: `This project could not be opened. ${(error as Error).message}`,
          });
      }
    })();
    return () => {
      closed = true;
      closers.forEach((close) => close());
    };
  }, [id]);
  return opening;
}

/** Opens fonts and languages when words first need them; answers with what ends it. */
function keepEquipped(store: SessionStore): () => void {
  let last = store.getState().history.project.surfaces;
  let busy = false;
  const look = async () => {
    const { history, typesetter } = store.getState();
    if (busy || history.project.surfaces === last) return;
    busy = true;
    last = history.project.surfaces;
    try {
      const next = await typesetterFor(history.project, typesetter);
      if (next !== typesetter) {
        store.setState({ typesetter: next });
        store.getState().amend(fitToFonts(store.getState().history.project, typesetter, next));
      }
    } finally {
      busy = false;
    }
    void look();
  };
  return store.subscribe(() => void look());
}
