/** Photos, panels and pieces as cards of a sheet: how large each is, what lies on it, and where. */
import fc from 'fast-check';
import { placementMatrix } from '@/core/piece/placement/placement';
import { compose, translation, apply, type Matrix } from '@/core/geometry/matrix';
import { withBleed } from '@/core/geometry/sides';
import { photoCards } from '@/core/packing/photo-cards';
import { addThings, notOnSheets, panelThing, pieceThing, roomFor, takable } from '@/core/packing/things';
import type { Asset } from '@/core/picture/asset';
import type { Piece } from '@/core/piece/piece';
import { beginProduct } from '@/core/product';
import { MOST_THINGS, sheetIn } from '@/core/product/sheet';
import { sheetStart } from '@/core/product/sheet/start';
import { changeProduct } from '@/core/project/edits/product';
import { layPieces } from '@/core/project/edits/pile';
import { readProject, writeProject } from '@/core/project/file';
import { perform, startHistory, undo } from '@/core/project/history';
import { newProject, type Project } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import { SMALLEST_SIDE } from '@/core/units/sizes';
import { assetOf, inkPiece } from '../../../scripts/testing/samples';

const made = (kind: 'sheet' | 'card', way?: string, width = 288, height = 216): Project =>
  begun(newProject({ id: 'p', title: 'Cards', unit: 'in' }, beginProduct(kind, { width, height }, way)));
const sizes = ({ surfaces }: Project) => surfaces.map(({ width, height }) => [width / 72, height / 72]);
const photo = (i: number, width: number, height: number, orientation = 1): Asset =>
  assetOf(Buffer.from(`photo ${i}`), width, height, { orientation, name: `IMG_${i}.jpg` });

test('a photo lies on a card of 6 x 4 in or stands on one of 4 x 6, as it is seen; it reaches beyond the edge all round', () => {
  // Upright for the camera that was held so: what is stored lying stands (Exif 2.32, orientation 6).
  const photos = [photo(1, 300, 200), photo(2, 200, 300), photo(3, 300, 200, 6), photo(4, 250, 250)];
  const assets = Object.fromEntries(photos.map((asset) => [asset.sha, asset]));
  const start = startHistory({ ...made('sheet'), assets, photos: Object.keys(assets) });
  const done = perform(start, photoCards(photos, ['a', 'b', 'c', 'd'], 'in'), 0);
  const { project } = done;
  expect(sizes(project)).toEqual([
    [6, 4],
    [4, 6],
    [4, 6],
    [6, 4],
  ]);
  expect(undo(done).project).toEqual(start.project);
  expect(done.steps[0]!.label).toBe('add 4 photos as cards');
  expect(perform(start, photoCards(photos.slice(0, 1), ['a'], 'in'), 0).steps[0]!.label).toBe(
    'add a photo as a card',
  );
  project.surfaces.forEach((surface, i) => {
    const [piece, ...more] = surface.pile;
    const box = withBleed(surface);
    expect(more).toEqual([]);
    expect(piece).toMatchObject({
      ...{ role: 'photo', name: `IMG_${i + 1}`, material: { kind: 'photo', asset: photos[i]!.sha } },
      placement: { width: box.width, height: box.height, turn: 0 },
    });
    expect(piece!.placement.x - box.width / 2).toBeCloseTo(box.x, 9);
    expect(piece!.finish.lift.height).toBe(0);
  });
});

test('the first thing takes the card a sheet began with, if nothing lies on it; no more come than there is room for', () => {
  const fresh = made('sheet');
  const thing = pieceThing(inkPiece('a'));
  expect(roomFor(fresh)).toBe(MOST_THINGS);
  const one = perform(startHistory(fresh), addThings('add', [thing]), 0).project;
  expect([one.surfaces.length, roomFor(one)]).toEqual([1, MOST_THINGS - 1]);
  // With a piece on it, or a back, it is somebody's card.
  const used = perform(startHistory(fresh), layPieces(fresh.surfaces[0]!.id, [inkPiece('own')]), 0).project;
  const product = sheetIn(fresh.product)!;
  const backed = perform(
    startHistory(fresh),
    changeProduct({ ...product, things: [{ ...product.things[0]!, back: true }] }, 'back'),
    0,
  ).project;
  for (const of of [used, backed]) {
    expect(roomFor(of)).toBe(MOST_THINGS - 1);
    const two = perform(startHistory(of), addThings('add', [thing]), 0).project;
    expect(sheetIn(two.product)!.things).toHaveLength(2);
    expect(two.surfaces.at(-1)!.pile.map(({ id }) => id)).toEqual(['a']);
  }
  const many = Array.from({ length: MOST_THINGS + 5 }, (_, i) => pieceThing(inkPiece(`p${i}`)));
  const full = perform(startHistory(used), addThings('add', many), 0).project;
  expect([sheetIn(full.product)!.things.length, roomFor(full)]).toEqual([MOST_THINGS, 0]);
  expect(new Set(sheetIn(full.product)!.things.map(({ part }) => part)).size).toBe(MOST_THINGS);
  expect(readProject(writeProject(full))).toEqual({ ok: true, value: full });
  // On what is no sheet nothing comes.
  const card = startHistory(made('card', 'left'));
  expect([perform(card, addThings('add', [thing]), 0), roomFor(card.project)]).toEqual([card, 0]);
});

test('a piece by itself lies in the middle of a card as large as it is, within what a card may be', () => {
  const side = fc.double({ min: 1, max: 4000, noNaN: true });
  fc.assert(
    fc.property(side, side, (width, height) => {
      const { pile, ...size } = pieceThing(inkPiece('a', 5, 6, width, height));
      const limited = (one: number) => Math.min(sheetStart.mostSide, Math.max(SMALLEST_SIDE, one));
      const { product, surfaces } = perform(
        startHistory(made('sheet')),
        addThings('', [{ pile, ...size }]),
        0,
      ).project;
      expect(sheetIn(product)!.things[0]).toMatchObject({
        width: limited(width),
        height: limited(height),
        count: 1,
      });
      const { placement } = surfaces[0]!.pile[0]!;
      expect([placement.x, placement.y]).toEqual([limited(width) / 2, limited(height) / 2]);
      expect([placement.width, placement.height]).toEqual([width, height]);
    }),
    { numRuns: 20 },
  );
  expect(notOnSheets({ width: sheetStart.mostSide + 1, height: 100 })).toBe('larger than a card may be');
  expect(notOnSheets({ width: SMALLEST_SIDE - 1, height: 100 })).toBe('smaller than a card may be');
  expect(notOnSheets({ width: SMALLEST_SIDE, height: sheetStart.mostSide })).toBeNull();
});

test('every place of a piece on a panel comes to the same place of the card, read the right way up; what is hidden, or on another panel, stays', () => {
  const anyPiece = fc
    .record({
      x: fc.integer({ min: -40, max: 500 }),
      y: fc.integer({ min: -40, max: 480 }),
      width: fc.integer({ min: 4, max: 200 }),
      height: fc.integer({ min: 4, max: 200 }),
      turn: fc.integer({ min: -179, max: 180 }),
      mirror: fc.boolean(),
      hidden: fc.boolean(),
    })
    .map(({ x, y, width, height, ...more }): Piece => {
      const piece = inkPiece('p', x, y, width, height);
      return { ...piece, placement: { ...piece.placement, ...more } };
    });
  const upright = (
    turn: number | undefined,
    { x, y, width, height }: { x: number; y: number; width: number; height: number },
  ): Matrix => (turn ? [-1, 0, 0, -1, x + width, y + height] : translation(-x, -y));
  fc.assert(
    fc.property(
      fc.array(anyPiece, { maxLength: 5 }),
      fc.constantFrom('left', 'top', 'gate', 'zigzag', 'none'),
      (pieces, fold) => {
        const card = made('card', fold);
        const named = pieces.map((piece, i): Piece => ({ ...piece, id: `p${i}`, name: `p${i}` }));
        const of = {
          ...card,
          surfaces: card.surfaces.map((surface, i) =>
            i ? surface : { ...surface, pile: named, ground: '#abcdef' },
          ),
        };
        let ids = 0;
        for (const each of takable(of).filter(({ surface }) => surface.id === of.surfaces[0]!.id)) {
          const { box, turn } = each.panel;
          const thing = panelThing(each, () => `n${(ids += 1)}`);
          expect(thing).toMatchObject({ width: box.width, height: box.height, ground: '#abcdef' });
          for (const piece of named) {
            const came = thing.pile.find(({ name }) => name === piece.name);
            const before = placementMatrix(piece.placement);
            const { width, height } = piece.placement;
            const at = [
              { x: 0, y: 0 },
              { x: width / 2, y: height / 2 },
              { x: -width / 2, y: height / 3 },
            ];
            const lies = at.map((point) => apply(before, point));
            // A piece with its middle on the panel always comes; a hidden one never does.
            const inside = ({ x, y }: { x: number; y: number }) =>
              x > box.x && x < box.x + box.width && y > box.y && y < box.y + box.height;
            if (piece.placement.hidden) expect(came).toBeUndefined();
            else if (inside(lies[0]!)) expect(came).toBeDefined();
            if (!came) continue;
            const wanted = compose(upright(turn, box), before);
            const now = placementMatrix(came.placement);
            for (const point of at) {
              expect(apply(now, point).x).toBeCloseTo(apply(wanted, point).x, 6);
              expect(apply(now, point).y).toBeCloseTo(apply(wanted, point).y, 6);
            }
            expect(came.placement.turn).toBeGreaterThan(-180 - 1e-9);
            expect(came.placement.turn).toBeLessThanOrEqual(180);
          }
        }
      },
    ),
    { numRuns: 30 },
  );
});
