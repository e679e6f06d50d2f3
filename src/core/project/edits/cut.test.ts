/** A new outline moves nothing: what a piece is made of, and what it passes under, stay where they lie on the page. */
import fc from 'fast-check';
import { apply, compose, invert } from '@/core/geometry/matrix';
import { pathBounds, rectanglePath } from '@/core/geometry/path';
import { drawSurface } from '@/core/page/draw';
import { toolsFor } from '@/core/page/outlines';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import { intoFrame, recut, replacePieces } from '@/core/project/edits/cut';
import { perform, startHistory, undo } from '@/core/project/history';
import { assetOf, inkPiece, laid, photoOf, quarters } from '../../../../scripts/testing/samples';

const asset = assetOf(quarters(90, 60), 900, 600);

/** Where a pixel of the piece's picture lies on the page. */
function pixelOnPage(piece: Piece, pixel: { x: number; y: number }) {
  const project = laid([piece], [asset]);
  const [drawn] = drawSurface(project.surfaces[0]!, toolsFor(project, undefined as never)).pieces;
  const mark = drawn!.marks.find((each) => each.mark === 'image');
  if (mark?.mark !== 'image') throw new Error('no picture');
  return apply(compose(drawn!.matrix, mark.matrix), pixel);
}

test('a photo cut to any part of itself keeps every pixel in its place', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -170, max: 170 }),
      fc.boolean(),
      fc.integer({ min: -40, max: 40 }),
      fc.double({ min: 1, max: 3, noNaN: true }),
      fc.integer({ min: 20, max: 80 }),
      fc.integer({ min: 20, max: 60 }),
      fc.integer({ min: -30, max: 30 }),
      (turn, mirror, inside, zoom, width, height, off) => {
        const photo = photoOf('photo', asset, { x: 40, y: 50, width: 180, height: 120 });
        const piece: Piece = {
          ...photo,
          material: {
            ...photo.material,
            window: { x: 0.5, y: 0.45, zoom, turn: inside },
          } as Piece['material'],
          placement: { ...photo.placement, turn, mirror },
        };
        const part = rectanglePath({ x: off - width / 2, y: off / 2 - height / 2, width, height });
        const cut = recut(piece, part, 'Part', asset);
        for (const pixel of [
          { x: 100, y: 80 },
          { x: 700, y: 500 },
        ]) {
          const [before, after] = [pixelOnPage(piece, pixel), pixelOnPage(cut, pixel)];
          expect(Math.hypot(before.x - after.x, before.y - after.y)).toBeLessThan(0.05);
        }
        const middle = apply(invert(placementMatrix(piece.placement)), cut.placement);
        expect(middle.x).toBeCloseTo(off, 6);
        expect(cut.placement).toMatchObject({ width, height, turn, mirror });
      },
    ),
    // A small part of what lay close.
    { numRuns: 30, examples: [[0, false, -17, 3, 20, 20, 0]] },
  );
});

test('a tuck keeps its place when its piece gets another box; a thing with its own edge keeps the box', () => {
  const piece = inkPiece('string', 100, 100, 200, 20, { tucks: [{ under: 'cloud', x: 0.25, y: 0 }] });
  const anchor = ({ placement, tucks }: Piece) =>
    apply(placementMatrix(placement), {
      x: tucks![0]!.x * placement.width,
      y: tucks![0]!.y * placement.height,
    });
  const cut = recut(piece, rectanglePath({ x: -20, y: -10, width: 120, height: 20 }), 'Part', undefined);
  expect(anchor(cut)).toEqual(anchor(piece));
  const art: Piece = { ...piece, material: { kind: 'art', asset: asset.sha } };
  const round = recut(art, rectanglePath({ x: -20, y: -10, width: 40, height: 20 }), 'Part', asset);
  expect(round.placement).toEqual(piece.placement);
  expect(round.outline).toMatchObject({ frame: { x: -100, y: -10, width: 200, height: 20 } });
});

test('a path on the page and in a frame are the same place', () => {
  const piece = inkPiece('turned', 10, 20, 60, 40);
  piece.placement = { ...piece.placement, turn: 90 };
  const { width, height } = pathBounds(intoFrame(piece, rectanglePath({ x: 0, y: 0, width: 8, height: 3 })));
  expect([width, height].map(Math.round)).toEqual([3, 8]);
});

test('pieces in the place of others lie at the lowest one’s height, in its groups; undone, all is as before', () => {
  const [a, b, c] = ['a', 'b', 'c'].map((id, i) => inkPiece(id, 60 * i, 0, 40, 40)) as [Piece, Piece, Piece];
  const project = laid([{ ...a, groups: ['g'] }, b, c]);
  const surface = { ...project.surfaces[0]!, groups: [{ id: 'g', name: 'Group' }] };
  const history = startHistory({ ...project, surfaces: [surface] });
  const joined = perform(history, replacePieces('join 2 pieces', surface.id, [a, c], [{ ...c, id: 'd' }]), 0);
  const [now] = joined.project.surfaces;
  expect(now!.pile.map(({ id, groups }) => [id, groups])).toEqual([
    ['d', ['g']],
    ['b', undefined],
  ]);
  expect(undo(joined).project).toEqual(history.project);
});
