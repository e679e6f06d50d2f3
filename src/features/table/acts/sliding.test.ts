/** A picture behind its cut: pushed, brought closer, levelled, one of several after the other; and sizes by number. */
import fc from 'fast-check';
import { apply, type Point } from '@/core/geometry/matrix';
import { windowMatrix } from '@/core/piece/material/window';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix, SMALLEST_PIECE } from '@/core/piece/placement/placement';
import { uprightSize } from '@/core/picture/asset';
import { startHistory } from '@/core/project/history';
import { keepsProportions, sizeEach, sizeTo } from '@/features/table/acts/sizing';
import {
  canSlide,
  levelledAlong,
  nearer,
  partAt,
  pushed,
  slideNow,
  slidPicture,
  slidPiece,
  startSliding,
  stepPart,
} from '@/features/table/acts/slide';
import { createSession, shownSurface, type SessionStore } from '@/features/table/session';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { assetOf, inkPiece, laid, photoOf, quarters, wordsOf } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const asset = assetOf(quarters(90, 60), 900, 600);
const table = (...pieces: Piece[]): SessionStore =>
  createSession(startHistory(laid(pieces, [asset])), typesetter, false);
const now = (store: SessionStore) => store.getState();
const pieceOf = (store: SessionStore, id = 'p') =>
  shownSurface(now(store)).pile.find((piece) => piece.id === id)!;
/** A square cut of a wide photo: there is room to slide it across. */
const square = (more: Partial<Piece['placement']> = {}): Piece => {
  const piece = photoOf('p', asset, { x: 100, y: 80, width: 90, height: 90 });
  return { ...piece, placement: { ...piece.placement, ...more } };
};
/** Where a spot of the picture (shares of it) is seen on the page. */
function seenAt(store: SessionStore, spot: Point): Point {
  const piece = pieceOf(store);
  const shown = slidPicture(now(store), piece)!;
  const whole = uprightSize(shown.asset);
  const own = windowMatrix(shown.window, whole, shown.box, shown.scale);
  const at = apply(own, { x: spot.x * whole.width, y: spot.y * whole.height });
  const middle = { x: shown.box.x + shown.box.width / 2, y: shown.box.y + shown.box.height / 2 };
  return apply(placementMatrix(piece.placement), { x: at.x + middle.x, y: at.y + middle.y });
}
const MIDDLE = { x: 0.5, y: 0.5 };
const off = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y);

describe('pushed', () => {
  test('it goes by as much on the page as the hand did, however the piece is turned or mirrored, until its edge is met', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -180, max: 180 }),
        fc.boolean(),
        fc.integer({ min: -20, max: 20 }),
        (turn, mirror, by) => {
          const store = table(square({ turn, mirror }));
          startSliding(store, pieceOf(store));
          const before = seenAt(store, MIDDLE);
          // Along the way in which there is room: across the picture as it lies.
          const angle = (turn * Math.PI) / 180;
          const push = { x: by * Math.cos(angle), y: by * Math.sin(angle) };
          const edit = pushed(now(store), pieceOf(store), push)!;
          now(store).perform(edit);
          const after = seenAt(store, MIDDLE);
          expect(off(after, { x: before.x + push.x, y: before.y + push.y })).toBeLessThan(0.01);
        },
      ),
      { numRuns: 20 },
    );
  });

  test('its cut is never left bare: pushed far it stops where the picture ends', () => {
    const store = table(square());
    startSliding(store, pieceOf(store));
    now(store).perform(pushed(now(store), pieceOf(store), { x: 5000, y: 5000 })!);
    expect(seenAt(store, { x: 0, y: 0 }).x).toBeCloseTo(100, 6);
    expect(seenAt(store, { x: 0, y: 0 }).y).toBeCloseTo(80, 6);
    now(store).perform(pushed(now(store), pieceOf(store), { x: -5000, y: -5000 })!);
    expect(seenAt(store, { x: 1, y: 1 }).x).toBeCloseTo(190, 6);
  });
});

describe('closer', () => {
  test('what lies under the hand stays under it, and all about it grows', () => {
    const store = table(square());
    startSliding(store, pieceOf(store));
    const hand = { x: 130, y: 110 };
    const [a, b] = [seenAt(store, { x: 0.4, y: 0.4 }), seenAt(store, { x: 0.6, y: 0.6 })];
    now(store).perform(nearer(now(store), pieceOf(store), 2, hand)!);
    const [after, other] = [seenAt(store, { x: 0.4, y: 0.4 }), seenAt(store, { x: 0.6, y: 0.6 })];
    expect(off(after, other)).toBeCloseTo(2 * off(a, b), 6);
    expect(off(after, { x: 2 * a.x - hand.x, y: 2 * a.y - hand.y })).toBeLessThan(0.01);
  });

  test('about the middle of the cut where no spot is named; never farther than it takes to fill it', () => {
    const store = table(square());
    startSliding(store, pieceOf(store));
    now(store).perform(nearer(now(store), pieceOf(store), 0.01)!);
    const [left, right] = [seenAt(store, { x: 0, y: 0 }), seenAt(store, { x: 1, y: 1 })];
    expect(left.y).toBeCloseTo(80, 4);
    expect(right.y).toBeCloseTo(170, 4);
  });
});

test('what was drawn along lies level afterwards', () => {
  fc.assert(
    fc.property(fc.integer({ min: -12, max: 12 }).filter(Boolean), (slope) => {
      const store = table(square());
      startSliding(store, pieceOf(store));
      const angle = (slope * Math.PI) / 180;
      const [from, to] = [
        { x: 120, y: 120 },
        { x: 120 + 50 * Math.cos(angle), y: 120 + 50 * Math.sin(angle) },
      ];
      // Two spots of the picture that lie on the line.
      const shares = (at: Point) => {
        const [o, x, y] = [
          seenAt(store, { x: 0, y: 0 }),
          seenAt(store, { x: 1, y: 0 }),
          seenAt(store, { x: 0, y: 1 }),
        ];
        return { x: (at.x - o.x) / (x.x - o.x), y: (at.y - o.y) / (y.y - o.y) };
      };
      const [a, b] = [shares(from), shares(to)];
      now(store).perform(levelledAlong(now(store), pieceOf(store), from, to)!);
      const [p, q] = [seenAt(store, a), seenAt(store, b)];
      expect(Math.abs(q.y - p.y)).toBeLessThan(0.02);
      expect(q.x).toBeGreaterThan(p.x);
    }),
    { numRuns: 15 },
  );
});

describe('what can be slid', () => {
  test('a photo, not an ink or words in ink; nothing is slid while none is', () => {
    expect([canSlide(square()), canSlide(inkPiece('i')), canSlide(wordsOf('w', 'Ebb'))]).toEqual([
      true,
      false,
      false,
    ]);
    const store = table(square(), inkPiece('i'));
    expect(slidPiece(now(store))).toBeUndefined();
    expect(slideNow(store, (session, piece) => pushed(session, piece, { x: 5, y: 0 }))).toBe(false);
    startSliding(store, pieceOf(store));
    expect(slideNow(store, (session, piece) => pushed(session, piece, { x: 5, y: 0 }))).toBe(true);
    expect(now(store).history.done).toBe(1);
    // Nothing was changed, and still it is being slid.
    expect(slideNow(store, () => null)).toBe(true);
    expect(now(store).history.done).toBe(1);
    expect(stepPart(store, 1)).toBe(false);
  });

  test('of letters that share their photos one is slid alone, the next and the one before, round and round', () => {
    const word = wordsOf('p', 'abc', 60, 300);
    const letters: Piece = {
      ...word,
      outline: { ...word.outline, family: 'bitter' } as Piece['outline'],
      material: {
        kind: 'photos',
        photos: [{ asset: asset.sha, window: { x: 0, y: 0, zoom: 1, turn: 0 } }],
      } as unknown as Piece['material'],
    };
    const store = table(letters);
    startSliding(store, pieceOf(store));
    const part = () => (now(store).mode as { part?: number }).part ?? 0;
    expect(stepPart(store, 1)).toBe(true);
    expect(part()).toBe(1);
    stepPart(store, 1);
    stepPart(store, 1);
    expect(part()).toBe(0);
    stepPart(store, -1);
    expect(part()).toBe(2);
    expect(partAt(now(store), pieceOf(store), { x: -500, y: -500 })).toBeNull();
  });
});

describe('sizes by number', () => {
  const side = fc.double({ min: 0.01, max: 3000, noNaN: true });
  const corner = ({ placement: { x, y, width, height } }: Piece) => ({ x: x - width / 2, y: y - height / 2 });

  test('a side is what was typed, the other follows in proportion or stays, the upper left corner is kept', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('width' as const, 'height' as const),
        side,
        fc.boolean(),
        (which, value, proportion) => {
          const store = table(inkPiece('p', 20, 30, 60, 40));
          const before = pieceOf(store);
          sizeTo(store, before, which, value, proportion);
          const { placement } = pieceOf(store);
          const other = which === 'width' ? 'height' : 'width';
          const least = proportion ? (SMALLEST_PIECE * before.placement[which]) / 40 : SMALLEST_PIECE;
          expect(placement[which]).toBeCloseTo(Math.max(least, value), 6);
          const ratio = placement.width / placement.height;
          if (proportion) expect(ratio).toBeCloseTo(1.5, 6);
          else expect(placement[other]).toBe(before.placement[other]);
          if (value >= least) {
            expect(corner(pieceOf(store)).x).toBeCloseTo(20, 6);
            expect(corner(pieceOf(store)).y).toBeCloseTo(30, 6);
          }
        },
      ),
    );
  });

  test('several are sized each about its own middle, in one step', () => {
    const store = table(inkPiece('p', 20, 30, 60, 40), inkPiece('q', 200, 30, 20, 20));
    const before = shownSurface(now(store)).pile;
    sizeEach(store, before, 'width', 90, false);
    for (const [i, piece] of shownSurface(now(store)).pile.entries()) {
      expect(piece.placement).toMatchObject({ width: 90, height: before[i]!.placement.height });
      expect(piece.placement.x).toBeCloseTo(before[i]!.placement.x, 9);
    }
    now(store).undo();
    expect(shownSurface(now(store)).pile).toEqual(before);
  });

  test('words grow with their letters in proportion; otherwise their column is as wide, and their letters stay', () => {
    const store = table(wordsOf('p', 'Low tide at seven', 18, 120));
    const size = () => (pieceOf(store).outline as { size: number }).size;
    sizeTo(store, pieceOf(store), 'width', 240, true);
    expect(size()).toBeCloseTo(36, 6);
    sizeTo(store, pieceOf(store), 'width', 120, false);
    expect(size()).toBeCloseTo(36, 6);
    expect(pieceOf(store).placement.width).toBeCloseTo(120, 6);
  });

  test('what shows a picture keeps its proportions unless a person says otherwise; cardstock and words do not', () => {
    expect([
      keepsProportions(square()),
      keepsProportions(inkPiece('i')),
      keepsProportions(wordsOf('w', 'Ebb')),
    ]).toEqual([...[true, false, false]]);
  });
});
