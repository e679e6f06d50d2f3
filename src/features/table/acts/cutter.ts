/** What goes to an electronic cutter: gathered from pages, changed by hand. */
import { closeAbout, placeOf, placeOnPaper } from '@/core/cutter/gather';
import type { Asked, Place } from '@/core/cutter/model';
import type { Plan } from '@/core/packing/sheets';
import { packedSheets } from '@/core/packing/sheets';
import { toolsFor } from '@/core/page/outlines';
import type { Cutting } from '@/core/piece/cutting';
import { sheetIn } from '@/core/product/sheet';
import { setCutting } from '@/core/project/edits/cutting';
import { lockPage } from '@/core/project/edits/page';
import { leafOf } from '@/core/product';
import { surfaceOf, type Project, type Surface } from '@/core/project/model';
import type { Session, SessionStore } from '@/features/table/session';

/** What of a project goes to the cutter. */
export type CutScope = 'page' | 'chosen' | 'all' | 'paper' | 'stickers';

const isSheet = ({ history }: Pick<Session, 'history'>) => Boolean(sheetIn(history.project.product));

export const CUT_SCOPES: Record<CutScope, { name: string; has(session: Session): boolean }> = {
  page: { name: 'This page', has: () => true },
  chosen: { name: 'What is selected', has: ({ selection }) => selection.length > 0 },
  all: { name: 'All pages', has: ({ history }) => history.project.surfaces.length > 1 },
  paper: { name: 'Cards, as they lie on paper', has: isSheet },
  stickers: { name: 'What is on the cards, on paper', has: isSheet },
};

type From = Pick<Session, 'history' | 'surfaceId' | 'selection' | 'typesetter'>;

/** Pages as they lie; `plans` say what lies where on paper. */
export function placesToCut(
  { history: { project }, surfaceId, selection, typesetter }: From,
  scope: CutScope,
  plans: readonly Plan[] = [],
): Place[] {
  const tools = toolsFor(project, typesetter);
  const here = surfaceOf(project, surfaceId);
  if (scope === 'chosen') return [closeAbout(placeOf(project, here, tools, { only: selection }))];
  if (scope === 'page' || scope === 'all')
    return (scope === 'all' ? project.surfaces : [here]).map((surface) =>
      // Of a paper with two sides all is cut once, from its face.
      placeOf(project, surface, tools, { bare: scope === 'all' && isBack(project, surface) }),
    );
  const product = sheetIn(project.product);
  if (!product) return [];
  const faces = { ...product, things: product.things.map(({ back: _, ...thing }) => thing) };
  const parts = project.surfaces.map(({ part }) => part ?? '');
  const sheets = packedSheets(faces, plans, parts, null, { over: 'sideways' });
  const on = (surface: Surface) => placeOf(project, surface, tools).items;
  return sheets.map((sheet, i) =>
    placeOnPaper(`Sheet ${i + 1}`, sheet, project.surfaces, scope === 'stickers' ? on : undefined),
  );
}

const isBack = (project: Project, surface: Surface): boolean =>
  leafOf(project, surface)?.back.id === surface.id;

/** Has pieces cut otherwise; what stands in the way is told. */
export function cutOtherwise(
  store: SessionStore,
  pieces: readonly string[],
  change: { [K in keyof Cutting]: Cutting[K] | undefined },
  label?: string,
): void {
  const { history, perform, readOnly, refuse } = store.getState();
  if (readOnly) return;
  const wanted = new Set(pieces);
  const locked = history.project.surfaces.find(
    ({ locked, pile }) => locked && pile.some(({ id }) => wanted.has(id)),
  );
  if (locked)
    return refuse(`${locked.name} is locked: nothing on it was changed.`, {
      label: 'Unlock it',
      run: () => perform(lockPage(locked.id, false)),
    });
  perform(setCutting(pieces, change, label));
}

/** What is done with pieces; as their material and outline say, if that is the same. */
export const ASKED_NAMES: Record<Asked, string> = {
  cut: 'Cut',
  score: 'Score',
  draw: 'Draw',
  print: 'Leave',
};
