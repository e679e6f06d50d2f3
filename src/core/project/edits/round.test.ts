/** What goes round a folded paper: its geometry, and both ends in step whatever is done to one of them. */
import fc from 'fast-check';
import { evenly } from '@/core/geometry/sides';
import { apply, type Point } from '@/core/geometry/matrix';
import { acrossFace, behind } from '@/core/page/round';
import { placedAt, placementMatrix, type Placement } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import { beginProduct, otherFace } from '@/core/product';
import { changeMaterial } from '@/core/project/edits/make';
import { movePieces, placePiece } from '@/core/project/edits/place';
import { layPieces, removePieces } from '@/core/project/edits/pile';
import { goRound, keepInStep, letGo } from '@/core/project/edits/round';
import type { Edit } from '@/core/project/edits/edit';
import { amend, perform, startHistory, undo, type History } from '@/core/project/history';
import { newProject, type Project } from '@/core/project/model';
import { copiesOf } from '@/core/project/copies';
import { inkPiece } from '../../../../scripts/testing/samples';

const card = (fold: 'left' | 'top'): Project =>
  newProject({ id: 'c', title: 'Card', unit: 'in' }, beginProduct('card', { width: 360, height: 504 }, fold));
const degrees = fc.double({ min: -180, max: 180, noNaN: true });
const length = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });

test('across a face it reaches beyond the bleed at both edges, as thick and on the same line as it lay', () => {
  fc.assert(
    fc.property(
      length(0, 720),
      length(0, 504),
      length(20, 300),
      length(2, 18),
      degrees,
      (x, y, w, h, turn) => {
        const face = { width: 720, height: 504, bleed: evenly(9) };
        const before = { ...placedAt({ x: x - w / 2, y: y - h / 2, width: w, height: h }, turn) };
        const after = acrossFace(before, face);
        expect([after.height, after.turn]).toEqual([h, turn]);
        // Its middle line goes through where its middle was.
        const own = placementMatrix({ ...before, x: 0, y: 0 });
        const [ux, uy] = [own[0], own[1]];
        expect(Math.abs((after.x - x) * uy - (after.y - y) * ux)).toBeLessThan(1e-6);
        const level = Math.abs(ux) >= Math.abs(uy);
        const corners = [-1, 1].map((end) =>
          [-1, 1].map((side) => {
            const at = apply(placementMatrix(after), { x: (end * after.width) / 2, y: (side * h) / 2 });
            return level ? at.x : at.y;
          }),
        );
        const [low, high] = corners.sort((a, b) => a[0]! - b[0]!);
        expect(Math.max(...low!)).toBeLessThan(-9 + 1e-6);
        expect(Math.min(...high!)).toBeGreaterThan((level ? 720 : 504) + 9 - 1e-6);
      },
    ),
  );
});

test.each(['left', 'top'] as const)(
  'behind it the other end covers just the same of the paper, and behind that it is itself (folded at the %s)',
  (fold) => {
    const of = card(fold);
    const { through } = otherFace(of, of.surfaces[0]!)!;
    fc.assert(
      fc.property(length(0, 500), length(0, 500), degrees, (x, y, turn) => {
        const here = placedAt({ x, y, width: 80, height: 12 }, turn);
        const there = behind(here, through);
        const ends = (of: Placement) => [-40, 40].map((at) => apply(placementMatrix(of), { x: at, y: 0 }));
        const same = (one: readonly Point[], other: readonly Point[]) =>
          one.every((a) => other.some((b) => Math.hypot(a.x - b.x, a.y - b.y) < 1e-6));
        expect(
          same(
            ends(there),
            ends(here).map((end) => apply(through, end)),
          ),
        ).toBe(true);
        expect(same(ends(behind(there, through)), ends(here))).toBe(true);
      }),
    );
  },
);

describe('both ends', () => {
  const done = (history: History, edit: Edit, now: number): History => {
    const next = perform(history, edit, now);
    const kept = keepInStep(history.project, next.project);
    return kept ? amend(next, kept) : next;
  };
  const ribbon = inkPiece('ribbon', 400, 200, 200, 18, { role: 'embellishment' });
  const of = card('left');
  const [front, inside] = of.surfaces.map(({ id }) => id) as [string, string];
  const laid = done(startHistory(of), layPieces(front, [ribbon]), 0);
  const other = otherFace(laid.project, laid.project.surfaces[0]!)!;
  const round = done(
    laid,
    goRound(laid.project.surfaces[0]!, ribbon, { ...other, id: 'end', round: 'r' }),
    9000,
  );
  const [here, there] = round.project.surfaces.map(({ pile }) => pile[0]!) as [Piece, Piece];
  const piles = ({ project }: History) => project.surfaces.map(({ pile }) => pile);

  test('what is done to one is done to the other, and undone with it', () => {
    expect(there).toMatchObject({ id: 'end', round: 'r', placement: { x: 360, y: 209, width: 738 } });
    const moved = done(round, movePieces(inside, [there], 0, 30), 20_000);
    expect(piles(moved)[0]![0]!.placement.y).toBe(239);
    const turned = done(moved, placePiece(front, here, 'turn', { turn: 5 }), 30_000);
    expect(piles(turned)[1]![0]!.placement.turn).toBe(-5);
    const inked = done(turned, changeMaterial(front, [here], { kind: 'ink', colour: '#2f6f68' }), 40_000);
    expect(piles(inked)[1]![0]!.material).toEqual({ kind: 'ink', colour: '#2f6f68' });
    expect(undo(undo(undo(inked))).project).toEqual(round.project);
    const gone = done(inked, removePieces(inside, [there]), 50_000);
    expect(piles(gone)).toEqual([[], []]);
    expect(undo(gone).project).toEqual(inked.project);
  });

  test('let go, each is a piece of its own; a copy never is an end', () => {
    const free = done(round, letGo(round.project.surfaces, 'r'), 20_000);
    expect(piles(done(free, removePieces(front, [here]), 30_000)).map(({ length }) => length)).toEqual([
      0, 1,
    ]);
    const { pieces } = copiesOf([here], round.project.surfaces[0]!, () => 'copy');
    expect(pieces[0]).not.toHaveProperty('round');
    // However it came about: three that say the same, two of them on one side.
    const again = done(round, layPieces(front, [{ ...here, id: 'third' }]), 20_000);
    expect(
      piles(again)
        .flat()
        .map((piece) => piece.round),
    ).toEqual([undefined, undefined, undefined]);
  });
});
