/** Copies: beside, in place, on other pages, and through what was copied. */
import { remove } from '@/features/table/acts/changing';
import type { Asset } from '@/core/picture/asset';
import { copiesOf } from '@/core/project/copies';
import { naming, together } from '@/core/project/edits/edit';
import { addPage, layOnPages, type CopiedPieces } from '@/core/project/edits/page';
import { layPieces } from '@/core/project/edits/pile';
import { surfaceOf, type Project } from '@/core/project/model';
import { assetsIn } from '@/core/piece/assets';
import type { Piece } from '@/core/piece/piece';
import { newId } from '@/features/shared/ids';
import { type SessionStore } from '@/features/table/session';
import { page, chosen } from '@/features/table/acts/choosing';
import { COPY_OFFSET } from '@/features/table/acts/laying';
import { mayHavePages, pageAfter } from '@/features/table/acts/pages';

function layCopies(
  store: SessionStore,
  { pieces, groups }: CopiedPieces,
  assets: readonly Asset[],
  verb: string,
): boolean {
  const session = store.getState();
  return session.perform(layPieces(session.surfaceId, pieces, assets, undefined, verb, groups), {
    selection: pieces.map((piece) => piece.id),
  });
}

const beside = { x: COPY_OFFSET, y: COPY_OFFSET };

/** Copies a quarter inch beside, or exactly in place. */
export function duplicate(store: SessionStore, by = beside): void {
  const session = store.getState();
  const pieces = chosen(session);
  if (pieces.length) layCopies(store, copiesOf(pieces, page(session), newId, by), [], 'duplicate');
}

export function copy(store: SessionStore): void {
  const session = store.getState();
  const pieces = chosen(session);
  if (!pieces.length) return;
  const { groups } = page(session);
  session.copy({
    pieces: structuredClone(pieces),
    groups: structuredClone(groups),
    assets: assetsOf(session.history.project, pieces),
  });
}

const assetsOf = (project: Project, pieces: readonly Piece[]): Asset[] =>
  [...new Set(pieces.flatMap(assetsIn))].flatMap((sha) => project.assets[sha] ?? []);

export function cut(store: SessionStore): void {
  copy(store);
  remove(store);
}

export function paste(store: SessionStore): void {
  const { copied, surfaceId, history } = store.getState();
  if (!copied) return;
  const taken = surfaceOf(history.project, surfaceId).pile;
  // Beside the original if it is still there, else where it was.
  const there = copied.pieces.some((piece) => taken.some((other) => other.id === piece.id));
  const whole = { pile: [...copied.pieces], groups: [...copied.groups] };
  const copies = copiesOf(copied.pieces, whole, newId, there ? beside : undefined);
  // The next copy lies beside this one.
  if (layCopies(store, copies, copied.assets, 'paste')) store.getState().copy({ ...copied, ...copies });
}

/** The same pieces in the same place on other pages, one step. */
export function copyToPages(store: SessionStore, pages: readonly string[]): void {
  const session = store.getState();
  const pieces = chosen(session);
  const onto = pages.filter((id) => !surfaceOf(session.history.project, id).locked);
  if (!pieces.length || !onto.length) return;
  const copies = new Map(onto.map((id) => [id, copiesOf(pieces, page(session), newId)]));
  const where =
    onto.length === 1 ? surfaceOf(session.history.project, onto[0]!).name : `${onto.length} pages`;
  session.perform(layOnPages(`copy ${naming(pieces)} to ${where}`, copies));
}

/** The same pieces in the same place on the next page; a new page is added after the last. */
export function copyToNextPage(store: SessionStore): void {
  const session = store.getState();
  if (!chosen(session).length) return;
  const { surfaces } = session.history.project;
  const next = surfaces[surfaces.findIndex(({ id }) => id === session.surfaceId) + 1];
  if (next?.locked) return session.refuse(`${next.name} is locked: nothing was copied to it.`);
  if (next) copyToPages(store, [next.id]);
  else if (mayHavePages(store)) layOnNewPage(store);
}

/** The same pieces on a page that is added for them, one step. */
function layOnNewPage(store: SessionStore): void {
  const session = store.getState();
  const pieces = chosen(session);
  const fresh = pageAfter(session);
  const copies = new Map([[fresh.id, copiesOf(pieces, page(session), newId)]]);
  session.perform(
    together(`copy ${naming(pieces)} to a new page`, [
      addPage(fresh, session.surfaceId),
      layOnPages('', copies),
    ]),
  );
}
