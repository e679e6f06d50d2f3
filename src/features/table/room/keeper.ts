/** Keeps every edit: a tenth of a second after it happened, and at once when the page is left. */
import type { History } from '@/core/project/history';
import type { Typesetter } from '@/core/text/typesetter';
import { database, isFull } from '@/storage/database';
import { keep } from '@/storage/projects';
import { giveUp, setAside } from '@/storage/reserve';
import { paintPage } from '@/features/table/room/paintPage';
import type { PictureShelf } from '@/features/table/room/pictures';
import type { SessionStore } from '@/features/table/room/session';

const KEEP_AFTER = 100;
const PREVIEW_AFTER = 1500;
/** After a failure it is tried again this soon: there may be room by then. */
const TRY_AGAIN = 1500;
/** Longest side of the sheet on the home table, device pixels. */
const PREVIEW_SIDE = 640;

/** Starts keeping; the answer stops it, after a last look. */
export function startKeeping(store: SessionStore, shelf: PictureShelf): () => void {
  let keptHistory: History | null = store.getState().history;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let previewTimer: ReturnType<typeof setTimeout> | undefined;
  let writing: Promise<void> = Promise.resolve();

  void setAside();

  const write = () => {
    clearTimeout(timer);
    timer = undefined;
    writing = writing.then(async () => {
      const { history, readOnly } = store.getState();
      if (readOnly || history === keptHistory) return;
      try {
        await keep(keptHistory, history, Date.now());
        keptHistory = history;
        if (store.getState().history === history) store.setState({ kept: Date.now(), trouble: null });
      } catch (error) {
        if (isFull(error)) await giveUp();
        timer ??= setTimeout(write, TRY_AGAIN);
        store.setState({
          trouble: isFull(error)
            ? 'This browser has no room left: your last steps are not kept. Save the project as a file now, then delete a project or free some disk space.'
            : 'Your last steps could not be kept in this browser. Save the project as a file now.',
        });
      }
    });
  };

  const paintPreview = () => {
    const { history, readOnly, typesetter } = store.getState();
    if (readOnly) return;
    void previewOf(history, typesetter, shelf)
      .then((blob) => database.previews.put({ project: history.project.id, blob }))
      .catch(() => {});
  };

  const stopListening = store.subscribe((now, before) => {
    if (now.history === before.history) return;
    timer ??= setTimeout(write, KEEP_AFTER);
    clearTimeout(previewTimer);
    previewTimer = setTimeout(paintPreview, PREVIEW_AFTER);
  });
  const onHide = () => document.visibilityState === 'hidden' && write();
  document.addEventListener('visibilitychange', onHide);
  window.addEventListener('pagehide', write);
  return () => {
    stopListening();
    document.removeEventListener('visibilitychange', onHide);
    window.removeEventListener('pagehide', write);
    write();
    if (previewTimer) {
      clearTimeout(previewTimer);
      paintPreview();
    }
  };
}

async function previewOf(history: History, typesetter: Typesetter, shelf: PictureShelf): Promise<Blob> {
  const { project } = history;
  const canvas = paintPage(project, project.surfaces[0]!, typesetter, shelf, PREVIEW_SIDE);
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 });
}
