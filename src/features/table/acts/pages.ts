/** Pages: turned, added, copied, deleted, locked. */
import { goTo } from '@/core/project/history';
import { wholeCopy } from '@/core/project/copies';
import { together } from '@/core/project/edits/edit';
import { addPage, copyPage, lockPage, removePage } from '@/core/project/edits/page';
import { newSurface, type Surface } from '@/core/project/model';
import { comesAndGoes, extrasOf, hasPages, leafOf, rowsOf, sidesOf, withExtra } from '@/core/product';
import { makeExtra } from '@/core/project/edits/product';
import { newId } from '@/features/shared/ids';
import type { Session, SessionStore } from '@/features/table/session';
import { page } from '@/features/table/acts/choosing';
import { zoomFit } from '@/features/table/acts/looking';

/** The page that is shown and those chosen along with it, in their order. */
export const pagesMeant = ({ history, surfaceId, alongPages }: Session): Surface[] =>
  history.project.surfaces.filter(({ id }) => id === surfaceId || alongPages.includes(id));

/** One page more is chosen along with the one that is shown, or no longer; with `run` all between them. */
export function choosePage(store: SessionStore, id: string, run: boolean): void {
  const { history, surfaceId, alongPages, choosePages } = store.getState();
  const ids = history.project.surfaces.map((surface) => surface.id);
  if (id === surfaceId) return;
  if (!run)
    return choosePages(
      alongPages.includes(id) ? alongPages.filter((one) => one !== id) : [...alongPages, id],
    );
  const [a, b] = [ids.indexOf(surfaceId), ids.indexOf(id)];
  choosePages(ids.slice(Math.min(a, b), Math.max(a, b) + 1).filter((one) => one !== surfaceId));
}

/** Locks all pages that are meant, or unlocks them if the one that is shown is locked. */
export function togglePageLock(store: SessionStore): void {
  const session = store.getState();
  const meant = pagesMeant(session);
  const locked = !page(session).locked;
  const label = meant.length > 1 ? `${locked ? 'lock' : 'unlock'} ${meant.length} pages` : undefined;
  const edits = meant.map(({ id }) => lockPage(id, locked));
  session.perform(together(label ?? edits[0]!.label, edits), { selection: [], entered: null });
}

/** Turns to a page, if the project has it; one of another size is shown whole. */
export function toPageAt(store: SessionStore, surfaceId: string): void {
  const session = store.getState();
  if (!session.history.project.surfaces.some(({ id }) => id === surfaceId)) return;
  const before = page(session);
  session.turnTo(surfaceId);
  const now = page(store.getState());
  if (now.width !== before.width || now.height !== before.height) zoomFit(store);
}

/** Makes something with the product, or no longer; the first side that came with it is shown. */
export function toggleExtra(store: SessionStore, extra: string): void {
  const session = store.getState();
  const { project } = session.history;
  const on = extrasOf(project.product).some((one) => one.id === extra && one.on);
  const before = new Set(project.surfaces.map(({ id }) => id));
  const after = sidesOf(withExtra(project.product, extra, !on));
  const going = project.surfaces.filter(({ part }) => !after?.some((side) => side.part === part));
  if (going.some(({ locked }) => locked)) return session.touchLocked();
  if (session.readOnly) return;
  if (going.some(({ id }) => id === session.surfaceId)) toPageAt(store, project.surfaces[0]!.id);
  session.perform(makeExtra(project, extra, !on));
  const came = store.getState().history.project.surfaces.find(({ id }) => !before.has(id));
  if (came) toPageAt(store, came.id);
}

/** Whether pages may come and go in this product; if not, that is said. */
export function mayHavePages(store: SessionStore): boolean {
  const why = NO_PAGES(store.getState());
  if (why) store.getState().refuse(why);
  return !why;
}

/** Why no page comes or goes; null where pages may. */
export const NO_PAGES = ({ history: { project } }: Session): string | null =>
  hasPages(project) ? null : 'This has just the sides it has: no page comes or goes.';

/** Why none can be added or copied; null where a page can, or another side of a row of them. */
export const NONE_MORE: (session: Session) => string | null = (session) => {
  const { product, surfaces } = session.history.project;
  const rows = rowsOf(product);
  if (!rows) return NO_PAGES(session);
  return surfaces.filter(({ part = '' }) => rows.is(part)).length < rows.most
    ? null
    : `There are ${rows.most} ${rows.one}s: that is the most there can be.`;
};

/** Why a page cannot be taken away; null where it can. */
export const STAYS = (session: Session): string | null => {
  const { project } = session.history;
  const now = page(session);
  if (!rowsOf(project.product)) return NO_PAGES(session);
  return comesAndGoes(project, now) ? null : `${now.name} stays: every one of these has it.`;
};
/** Why it cannot be copied. */
export const NO_COPY = (session: Session): string | null => STAYS(session) ?? NONE_MORE(session);

/** An empty page like the one that is shown. */
export function pageAfter(session: Session, taken: readonly string[] = []): Surface {
  const { project } = session.history;
  const now = page(session);
  const { product, surfaces } = project;
  const rows = rowsOf(product);
  const like = rows ? surfaces.find(({ part = '' }) => rows.is(part))! : now;
  const fresh = newSurface(newId(), `Page ${surfaces.length + 1}`, like, project.unit);
  // Where several come at once, each has a name of its own.
  const part = rows && { part: rows.fresh([...rows.parts(product), ...taken]) };
  return { ...fresh, ...part, bleed: like.bleed, safe: like.safe, light: now.light };
}

/** A page more after this one: empty, or a copy of this one. */
export function addPageAfter(store: SessionStore, copied: boolean): void {
  const session = store.getState();
  const why = copied ? NO_COPY(session) : NONE_MORE(session);
  if (why) return session.refuse(why);
  const meant = pagesMeant(session).filter((each) => !copied || comesAndGoes(session.history.project, each));
  if (!copied || meant.length === 1) {
    const now = page(session);
    const made = copied ? copyOf(now, session) : pageAfter(session);
    session.perform(copied ? copyPage(made, now.id, backOf(now, session)) : addPage(made, now.id));
    if (!session.readOnly) toPageAt(store, made.id);
    return;
  }
  // In their order, after the last of them.
  const after = meant.at(-1)!.id;
  const made: Surface[] = [];
  for (const each of meant)
    made.push(
      copyOf(
        each,
        session,
        made.flatMap(({ part }) => part ?? []),
      ),
    );
  const copies = together(
    `copy ${made.length} pages`,
    made.map((each, i) => copyPage(each, after, backOf(meant[i]!, session))).reverse(),
  );
  if (!session.perform(copies)) return;
  toPageAt(store, made[0]!.id);
  store.getState().choosePages(made.slice(1).map(({ id }) => id));
}

/** What lies on the back of a page, once more; null for what has none. */
function backOf(surface: Surface, { history: { project } }: Session) {
  const leaf = leafOf(project, surface);
  return leaf?.face.id === surface.id ? { ...leaf.back, ...wholeCopy(leaf.back, newId) } : null;
}

const copyOf = (surface: Surface, session: Session, taken: readonly string[] = []): Surface => {
  const { id, name, part } = pageAfter(session, taken);
  return { ...surface, ...wholeCopy(surface, newId), id, name, ...(part ? { part } : {}), locked: false };
};

/** Whole pages more after this one; the first of them is shown. */
export function addPages(store: SessionStore, label: string, pages: readonly Surface[]): void {
  const session = store.getState();
  const [first] = pages;
  if (!first || !mayHavePages(store)) return;
  session.perform({
    label,
    apply(project) {
      [...pages].reverse().forEach((made) => addPage(made, session.surfaceId).apply(project));
    },
  });
  toPageAt(store, first.id);
}

/** The page as it was after so many steps, as a page of its own behind the one it is now. */
export function keepVersion(store: SessionStore, done: number): void {
  const session = store.getState();
  const now = page(session);
  const old = goTo(session.history, done);
  const was = old.project.surfaces.find(({ id }) => id === now.id);
  if (!was || !mayHavePages(store)) return;
  const made: Surface = { ...was, ...wholeCopy(was, newId), id: newId(), locked: false };
  // Pictures that were taken away since are known again.
  const lost = Object.values(old.project.assets).filter(({ sha }) => !session.history.project.assets[sha]);
  session.perform({
    label: 'keep version as page',
    apply(project) {
      for (const asset of lost) project.assets[asset.sha] = structuredClone(asset);
      addPage(made, now.id).apply(project);
    },
  });
  if (!session.readOnly) toPageAt(store, made.id);
}

/** Deletes the pages that are meant; one stays. */
export function deletePage(store: SessionStore): void {
  const session = store.getState();
  const { project } = session.history;
  const { surfaces } = project;
  const rows = rowsOf(project.product);
  const stays = STAYS(session);
  if (session.readOnly) return;
  if (stays) return session.refuse(stays);
  const meant = pagesMeant(session).filter((each) => comesAndGoes(project, each));
  const at = surfaces.indexOf(meant.at(-1)!);
  const left = surfaces.filter((surface) => !meant.includes(surface));
  const next = left.find((surface) => surfaces.indexOf(surface) > at) ?? left.at(-1);
  const one = rows && !left.some((each) => comesAndGoes(project, each));
  if (!next || one) return session.refuse(`One ${rows?.one ?? 'page'} stays: these are all there are.`);
  if (meant.some(({ locked }) => locked)) return store.getState().touchLocked();
  toPageAt(store, next.id);
  const edits = meant.map(({ id }) => removePage(id));
  session.perform(together(meant.length > 1 ? `delete ${meant.length} pages` : edits[0]!.label, edits));
}

/** The page after this one, or before it. */
export function turnPage(store: SessionStore, by: 1 | -1): void {
  const session = store.getState();
  const { surfaces } = session.history.project;
  const next = surfaces[surfaces.findIndex(({ id }) => id === session.surfaceId) + by];
  if (next) toPageAt(store, next.id);
}
