/** Copy, cut and paste through the system's clipboard: our pieces as pieces, for other programs as a picture, and theirs as ours. */
import { aimed } from '@/features/table/acts/aimed';
import { useEffect } from 'react';
import { boxOfPoints, corners } from '@/core/geometry/box';
import { compose, growth, scaling, translation } from '@/core/geometry/matrix';
import { drawPiece } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import { imagesOf } from '@/core/picture/picture';
import { drawPieces } from '@/output/pixels/draw';
import { browser } from '@/output/platform';
import * as act from '@/features/table/acts';
import { useRoom } from '@/features/table/room/context';
import type { PictureShelf } from '@/features/table/keeping/pictures';
import { selectedPieces, shownProject, shownSurface, type Session } from '@/features/table/session';
import { newId } from '@/features/shared/ids';
import { keepCopied, lastCopied, type CopiedRow } from '@/storage/copied';
import { inWords } from '@/storage/trouble';
import { useNotify } from '@/ui/notices';

const OURS = 'web application/vnd.bellagraph+json';
const SAYS = /^Bellagraph pieces ([\w-]{1,80})$/;
/** Longest side of the picture other programs get, pixels. */
const PICTURE_SIDE = 3600;

/** The selected pieces on a clear ground, with their shadows. */
async function pictureOf(session: Session, shelf: PictureShelf): Promise<Blob> {
  const project = shownProject(session);
  const { light } = shownSurface(session);
  const tools = toolsFor(project, session.typesetter);
  const drawn = selectedPieces(session).map((piece) => drawPiece(piece, light, tools));
  const find = (sha: string) => project.assets[sha];
  await shelf.ready(
    drawn
      .flatMap(({ marks }) => marks.flatMap((mark) => imagesOf(mark).map(({ asset }) => find(asset))))
      .filter((asset) => asset !== undefined),
  );
  const box = boxOfPoints(drawn.flatMap(({ bounds }) => corners(bounds)));
  const scale = Math.min(300 / 72, PICTURE_SIDE / Math.max(box.width, box.height));
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.ceil(box.width * scale)),
    Math.max(1, Math.ceil(box.height * scale)),
  );
  const view = compose(scaling(scale), translation(-box.x, -box.y));
  drawPieces(canvas.getContext('2d')!, drawn, view, {
    platform: browser,
    drawing: (sha, mark) => {
      const asset = find(sha);
      return asset && shelf.drawing(asset, mark);
    },
    image: (sha, mark) => {
      const asset = find(sha);
      return (
        asset && shelf.take(asset, growth(mark.matrix) * scale * Math.max(asset.width, asset.height), mark)
      );
    },
  });
  return canvas.convertToBlob({ type: 'image/png' });
}

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest('input, textarea, [contenteditable="true"], [role="dialog"]') !== null;

/** `onPictures` takes pictures copied in other programs. */
export function useClipboard(onPictures: (files: readonly File[]) => void): void {
  const { store, shelf } = useRoom();
  const notify = useNotify();
  useEffect(() => {
    /** The id last put on the clipboard; null if the browser would not let us. */
    let written: string | null = null;

    /** Onto the system's clipboard: for us, and as a picture for other programs. */
    const put = async (row: CopiedRow, session: Session) => {
      written = null;
      const item = new ClipboardItem({
        'image/png': pictureOf(session, shelf),
        'text/plain': new Blob([`Bellagraph pieces ${row.id}`], { type: 'text/plain' }),
        [OURS]: new Blob([JSON.stringify(row)], { type: OURS.slice(4) }),
      });
      await navigator.clipboard.write([item]);
      written = row.id;
    };

    const copy = (event: ClipboardEvent) => {
      const session = store.getState();
      if (isTyping(event.target) || !session.selection.length || session.mode.kind === 'write') return;
      event.preventDefault();
      if (event.type === 'cut') act.cut(store);
      else act.copy(store);
      const { copied } = store.getState();
      if (!copied) return;
      const row = {
        id: newId(),
        pieces: [...copied.pieces],
        groups: [...copied.groups],
        assets: [...copied.assets],
      };
      keepCopied(row).catch((error) =>
        notify({ text: inWords(error, 'It is copied for this table alone'), tone: 'warning' }),
      );
      // Without leave for the clipboard, or without one, it is still copied within the app.
      put(row, session).catch(() => {});
    };

    const paste = async (event: ClipboardEvent) => {
      if (isTyping(event.target) || store.getState().mode.kind === 'write') return;
      event.preventDefault();
      const there = aimed(store);
      const data = event.clipboardData;
      const text = data?.getData('text/plain').trim() ?? '';
      const own = SAYS.exec(text)?.[1];
      const pictures = [...(data?.files ?? [])].filter(({ type }) => type.startsWith('image/'));
      const { copied } = store.getState();
      if (own && own !== written) {
        // Copied on another table, or before this page was opened.
        const last = await lastCopied();
        if (last?.id === own) {
          store.getState().copy(last);
          written = own;
          return act.paste(there);
        }
      }
      // Words from elsewhere, copied after what was copied here.
      if (text && !own && (!copied || written !== null)) return act.layText(store, text);
      if (own ? copied : copied && (written === null || !pictures.length)) return act.paste(store);
      if (pictures.length) return onPictures(pictures);
      const last = await lastCopied();
      if (!last) return notify({ text: 'There is nothing here that can be laid on the page.', tone: 'info' });
      store.getState().copy(last);
      act.paste(there);
    };
    const pasted = (event: ClipboardEvent) => void paste(event);
    document.addEventListener('copy', copy);
    document.addEventListener('cut', copy);
    document.addEventListener('paste', pasted);
    return () => {
      document.removeEventListener('copy', copy);
      document.removeEventListener('cut', copy);
      document.removeEventListener('paste', pasted);
    };
  }, [store, shelf, notify, onPictures]);
}
