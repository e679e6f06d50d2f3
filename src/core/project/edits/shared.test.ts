/** What lies on every page: alike everywhere, let go on one, on pages that come later, too. */
import { isByHand } from '@/core/book/print';
import { isSpread } from '@/core/product/book';
import type { Edit } from '@/core/project/edits/edit';
import { addPage, lockPage } from '@/core/project/edits/page';
import { changePieces } from '@/core/project/edits/edit';
import { keepShared, layOnEvery, letGoHere, takeFromEvery } from '@/core/project/edits/shared';
import { readProject, writeProject } from '@/core/project/file';
import { amend, perform, type History } from '@/core/project/history';
import { newSurface, type Project } from '@/core/project/model';
import { flowed, newId, photos } from '../../../../scripts/testing/books';
import { inkPiece } from '../../../../scripts/testing/samples';

let now = 1e7;
/** A step with what must follow it, as the session does it. */
const done = (history: History, edit: Edit): History => {
  const next = perform(history, edit, (now += 1e5));
  const kept = keepShared(history.project, next.project);
  return kept ? amend(next, kept) : next;
};
const on = ({ surfaces }: Project) =>
  surfaces.flatMap(({ part, pile }) => pile.flatMap((piece) => (piece.shared ? [{ part, piece }] : [])));

test('on a spread’s right page it lies on every right page, is changed once for all, and comes to new spreads', () => {
  const start = flowed(photos(30, 4), { pages: 12 }).history;
  const spread = start.project.surfaces[2]!;
  const rose = inkPiece('rose', 1000, 40, 40, 40);
  const laid = done(start, { label: 'lay', apply: (draft) => void draft.surfaces[2]!.pile.push(rose) });
  // A thing of one's own makes a page one's own; what lies on every page does not.
  expect(isByHand(laid.project.surfaces[2]!)).toBe(true);
  const everywhere = done(laid, layOnEvery(laid.project.surfaces[2]!, [rose], laid.project, newId));
  expect(on(everywhere.project).map(({ part }) => part)).toEqual([
    'first',
    ...start.project.surfaces.flatMap(({ part }) => (isSpread(part!) ? [part] : [])),
  ]);
  // The first page is a right one: it lies as far from the fold there.
  expect(on(everywhere.project)[0]!.piece.placement.x).toBeCloseTo(rose.placement.x - 576, 9);
  expect(everywhere.project.surfaces.some(isByHand)).toBe(false);

  const moved = done(
    everywhere,
    changePieces('move', spread.id, ['rose'], ({ placement }) => void (placement.x += 20)),
  );
  const at = on(moved.project).map(({ part, piece }) => piece.placement.x - (part === 'first' ? -576 : 0));
  expect(new Set(at.map((x) => Math.round(100 * x)))).toEqual(
    new Set([Math.round(100 * (rose.placement.x + 20))]),
  );

  const third = moved.project.surfaces[3]!;
  const own = on(moved.project).find(({ part }) => part === third.part)!.piece;
  const free = done(moved, letGoHere(third.id, [own]));
  const turned = done(
    free,
    changePieces('turn', spread.id, ['rose'], ({ placement }) => void (placement.turn = 9)),
  );
  expect(turned.project.surfaces[3]!.pile.find(({ id }) => id === own.id)!.placement.turn).toBe(0);
  expect(on(turned.project).every(({ piece }) => piece.placement.turn === 9)).toBe(true);

  const fresh = { ...newSurface(newId(), '', spread, 'in'), part: 'spread-99' };
  const more = done(turned, addPage(fresh, spread.id));
  expect(on(more.project).map(({ part }) => part)).toContain('spread-99');
  expect(readProject(writeProject(more.project))).toEqual({ ok: true, value: more.project });

  const locked = done(more, lockPage(fresh.id, true));
  const gone = done(locked, takeFromEvery([more.project.surfaces[2]!.pile.find(({ id }) => id === 'rose')!]));
  expect(on(gone.project).map(({ part }) => part)).toEqual(['spread-99']);
});
