/** What the handles of a piece do in the hand: its corners and sides, the frame round several, and those of its cut, its words and its shadows. */
import fc from 'fast-check';
import { nearestSide } from '@/core/geometry/knots';
import { apply, invert } from '@/core/geometry/matrix';
import { toolsFor } from '@/core/page/outlines';
import { crossingsOf } from '@/core/page/tuck';
import { undoLabel } from '@/core/project/history';
import { finishOf } from '@/core/piece/finish';
import { FARTHEST_SHADOW } from '@/core/piece/finish/shadow';
import { PUNCHES } from '@/core/piece/outline/punches';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix, SMALLEST_PIECE, type Placement } from '@/core/piece/placement/placement';
import { projectSchema } from '@/core/project/schema';
import * as act from '@/features/table/acts';
import { shownProject } from '@/features/table/session';
import type { Grip } from '@/features/table/stage/hand/drags';
import { shadowRoot } from '@/features/table/stage/hand/handleDrags';
import { over, placeOf, table, type Stage } from '../../../../../scripts/testing/stage';
import { assetOf, inkPiece, photoOf, quarters, wordsOf } from '../../../../../scripts/testing/samples';

const red = inkPiece('red', 100, 100, 60, 40);
const blue = inkPiece('blue', 250, 180, 60, 90);
const corner = ({ width, height, ...rest }: Placement, sx: number, sy: number) =>
  apply(placementMatrix({ width, height, ...rest }), { x: (sx * width) / 2, y: (sy * height) / 2 });

/** Takes a handle of what is selected at a place of the page and draws it along others; let go at the last. */
function drawn(
  here: Stage,
  grip: Grip,
  way: readonly (readonly [number, number])[],
  more: object = {},
): void {
  expect(here.hand.grip(over(...way[0]!), grip)).toBe(true);
  for (const [x, y] of way.slice(1)) here.hand.move(over(x, y, more));
  here.hand.release(over(...way.at(-1)!, more));
}
const chosen = (pieces: readonly Piece[], ...ids: string[]): Stage => {
  const here = table(pieces);
  here.store.getState().select(ids);
  return here;
};
const label = ({ store }: Stage) => undoLabel(store.getState().history);

test('wherever a corner or side is drawn to, the one across stays, with Alt the middle; whatever it snaps to, a file takes it', () => {
  const side = fc.constantFrom(-1 as const, 0 as const, 1 as const);
  const about = fc.integer({ min: -40, max: 470 });
  fc.assert(
    fc.property(
      ...([
        side,
        side,
        about,
        about,
        fc.integer({ min: -40, max: 40 }),
        fc.boolean(),
        fc.boolean(),
        fc.boolean(),
      ] as const),
      (sx, sy, x, y, turn, shiftKey, altKey, snaps) => {
        fc.pre(sx !== 0 || sy !== 0);
        const piece = { ...red, placement: { ...red.placement, turn: snaps ? 0 : turn } };
        const here = chosen([piece, blue, inkPiece('near', 101, 100, 3, 3)], 'red');
        here.store.getState().setSnapping(snaps);
        const from = corner(piece.placement, sx, sy);
        drawn(
          here,
          { kind: 'resize', sx, sy },
          [
            [from.x, from.y],
            [x, y],
          ],
          { shiftKey, altKey },
        );
        const now = placeOf(here, 'red');
        const [was, is] = altKey
          ? [piece.placement, now]
          : [corner(piece.placement, -sx, -sy), corner(now, -sx, -sy)];
        expect([is.x, is.y].map((v) => v.toFixed(4))).toEqual([was.x, was.y].map((v) => v.toFixed(4)));
        expect(Math.min(now.width, now.height)).toBeGreaterThanOrEqual(SMALLEST_PIECE - 1e-9);
        if (sx !== 0 && sy !== 0 && !shiftKey)
          expect(now.width / now.height).toBeCloseTo(red.placement.width / red.placement.height, 4);
        expect(projectSchema.isValidSync(shownProject(here.store.getState()), { strict: true })).toBe(true);
      },
    ),
    { numRuns: 200 },
  );
});

test('several grow together from a corner of the frame round them and keep their shapes; the corner across stays, with Alt the middle', () => {
  const side = fc.constantFrom(-1 as const, 1 as const);
  const about = fc.integer({ min: -40, max: 470 });
  fc.assert(
    fc.property(side, side, about, about, fc.boolean(), fc.boolean(), (sx, sy, x, y, altKey, snaps) => {
      const here = chosen([red, blue, inkPiece('still', 30, 230, 44, 20)], 'red', 'blue');
      here.store.getState().setSnapping(snaps);
      // The frame round both lies on their edges.
      const [left, top, right, bottom] = [100, 100, 310, 270];
      const at = (a: number, b: number) => [a < 0 ? left : right, b < 0 ? top : bottom] as const;
      drawn(here, { kind: 'resize', sx, sy }, [at(sx, sy), [x, y]], { altKey });
      const [one, other] = [placeOf(here, 'red'), placeOf(here, 'blue')];
      const scale = one.width / 60;
      expect(one.height / 40).toBeCloseTo(scale, 4);
      expect(other.width / 60).toBeCloseTo(scale, 4);
      const kept = altKey ? [(left + right) / 2, (top + bottom) / 2] : at(-sx as -1 | 1, -sy as -1 | 1);
      // Every point lies as much further from what stays.
      for (const [now, { placement: was }] of [
        [one, red],
        [other, blue],
      ] as const) {
        expect(now.x - kept[0]!).toBeCloseTo((was.x - kept[0]!) * scale, 3);
        expect(now.y - kept[1]!).toBeCloseTo((was.y - kept[1]!) * scale, 3);
      }
      expect(projectSchema.isValidSync(shownProject(here.store.getState()), { strict: true })).toBe(true);
    }),
    { numRuns: 75 },
  );
});

test('drawn to another’s edge or size it takes that, and says so; a thing shown whole keeps its shape from a side', () => {
  const here = chosen([red, blue], 'red');
  here.store.getState().setSnapping(true);
  // 2 points short of the left edge of the other, at 250.
  const edge = corner(red.placement, 1, 0);
  here.hand.grip(over(edge.x, edge.y), { kind: 'resize', sx: 1, sy: 0 });
  here.hand.move(over(248, edge.y));
  expect(here.store.getState().snapped).toMatchObject([{ axis: 'x', at: 250, what: 'edge' }]);
  here.hand.release(over(248, edge.y));
  expect(placeOf(here, 'red')).toMatchObject({ width: 150, height: 40 });
  // As high as the other, 90, wherever that lies.
  const foot = corner(placeOf(here, 'red'), 0, -1);
  here.hand.grip(over(foot.x, foot.y), { kind: 'resize', sx: 0, sy: -1 });
  here.hand.move(over(foot.x, foot.y - 48.5));
  expect(here.store.getState().snapped).toMatchObject([{ axis: 'y', what: 'equal size' }]);
  here.hand.release(over(foot.x, foot.y - 48.5));
  expect(placeOf(here, 'red').height).toBeCloseTo(90, 6);
  const asset = assetOf(quarters(90, 60), 900, 600);
  const art: Piece = { ...red, material: { kind: 'art', asset: asset.sha } };
  const whole = chosen([art], 'red');
  drawn(whole, { kind: 'resize', sx: 1, sy: 0 }, [
    [160, 120],
    [220, 120],
  ]);
  expect(placeOf(whole, 'red')).toMatchObject({ width: 120, height: 80 });
  whole.store.getState().undo();
  drawn(
    whole,
    { kind: 'resize', sx: 1, sy: 0 },
    [
      [160, 120],
      [220, 120],
    ],
    { shiftKey: true },
  );
  expect(placeOf(whole, 'red')).toMatchObject({ width: 120, height: 40 });
});

test('words grow by a corner and are set anew by a side', () => {
  const words = wordsOf('words', 'The wind turned before noon and we ran for the dunes', 18, 200);
  const size = (here: Stage) => {
    const { outline } = here.store.getState().history.project.surfaces[0]!.pile[0]!;
    return outline.kind === 'glyphs' ? outline.size : NaN;
  };
  const here = chosen([words], 'words');
  const at = corner(words.placement, 1, 1);
  drawn(here, { kind: 'resize', sx: 1, sy: 1 }, [
    [at.x, at.y],
    [at.x + 200, at.y + 60],
  ]);
  expect(size(here)).toBeGreaterThan(30);
  here.store.getState().undo();
  const high = placeOf(here, 'words').height;
  const right = corner(words.placement, 1, 0);
  drawn(here, { kind: 'resize', sx: 1, sy: 0 }, [
    [right.x, right.y],
    [right.x - 110, right.y],
  ]);
  expect(size(here)).toBe(18);
  expect(placeOf(here, 'words').width).toBeCloseTo(90, 3);
  expect(placeOf(here, 'words').height).toBeGreaterThan(high + 20);
});

test('a photo dropped on the middle of another changes places with it; with Ctrl it only lies there', () => {
  const asset = assetOf(quarters(90, 60), 900, 600);
  const photos = [
    photoOf('one', asset, { x: 20, y: 20, width: 120, height: 80 }),
    photoOf('two', asset, { x: 250, y: 150, width: 90, height: 90 }),
  ];
  const carry = (more: object) => {
    const here = table(photos);
    here.hand.press(over(80, 60));
    here.hand.move(over(200, 120, more));
    expect(here.store.getState().swaps?.with.map(({ id }) => id)).toEqual(
      'ctrlKey' in more ? undefined : ['two'],
    );
    here.hand.move(over(296, 194, more));
    here.hand.release(over(296, 194, more));
    expect(here.store.getState().swaps).toBeNull();
    return here;
  };
  // Each takes the other's place in the frames that stay.
  const swapped = carry({});
  expect(label(swapped)).toMatch(/^swap/);
  expect(['one', 'two'].map((id) => placeOf(swapped, id))).toEqual(photos.map(({ placement }) => placement));
  const moved = carry({ ctrlKey: true });
  expect(placeOf(moved, 'two')).toEqual(photos[1]!.placement);
  expect(placeOf(moved, 'one')).toMatchObject({ x: 296, y: 194, width: 120 });
});

test('every setting of a punch that has a handle is what its handle is drawn to', () => {
  for (const punch of PUNCHES)
    for (const { id, grip, least, most, start } of punch.settings) {
      if (!grip) continue;
      const size = { width: 160, height: 160 / punch.shape };
      const piece: Piece = {
        ...inkPiece('cut', 60, 60, size.width, size.height),
        outline: { kind: 'punch', punch: punch.id, settings: {} },
      };
      const here = chosen([piece], 'cut');
      const place = (value: number) => {
        const { x, y } = grip.at(size, value);
        return [60 + x, 60 + y] as const;
      };
      const now = start(size);
      const to = Math.min(most, Math.max(least, 0.7 * now + 0.01));
      drawn(here, { kind: 'setting', id }, [place(now), place(to)]);
      const { outline } = here.store.getState().history.project.surfaces[0]!.pile[0]!;
      const set = outline.kind === 'punch' ? outline.settings[id] : undefined;
      expect([punch.name, id, Number(set?.toFixed(3))]).toEqual([punch.name, id, Number(to.toFixed(3))]);
    }
});

test('a shadow laid by hand falls where its handle is drawn, no further than shadows fall', () => {
  const shadows = [0, 1].map((i) => ({ x: 4 + i, y: 6, blur: 3, strength: 0.4, colour: '#000000' }));
  const piece: Piece = { ...red, finish: { ...finishOf(0), shadows } };
  const here = chosen([piece], 'red');
  const root = shadowRoot(piece, 1);
  drawn(here, { kind: 'shadow', index: 1 }, [
    [root.x + 5, root.y + 6],
    [root.x + 20, root.y - 9],
  ]);
  const fall = () => here.store.getState().history.project.surfaces[0]!.pile[0]!.finish.shadows!;
  expect(label(here)).toBe('move shadow of embellishment');
  expect(fall()[0]).toEqual(shadows[0]);
  expect(fall()[1]).toMatchObject({ x: 20, y: -9, blur: 3 });
  drawn(here, { kind: 'shadow', index: 1 }, [
    [root.x + 20, root.y - 9],
    [root.x + 4000, root.y],
  ]);
  expect(fall()[1]!.x).toBe(FARTHEST_SHADOW);
});

test('points, handles and sides of an outline go where they are drawn; all others stay', () => {
  const here = chosen([{ ...red, placement: { ...red.placement, turn: 30 } }], 'red');
  expect(act.startReshaping(here.store).ok).toBe(true);
  const at = (knot: number) => {
    const { piece, rings } = act.reshaped(here.store.getState())!;
    return act.pointOnPage(piece, rings, { ring: 0, knot });
  };
  const before = [0, 1, 2, 3].map(at);
  drawn(here, { kind: 'knot', spot: { ring: 0, knot: 1 } }, [
    [before[1]!.x, before[1]!.y],
    [200, 60],
  ]);
  expect(label(here)).toBe('move point');
  expect(at(1).x).toBeCloseTo(200, 3);
  expect(at(1).y).toBeCloseTo(60, 3);
  for (const knot of [0, 2, 3]) {
    expect(at(knot).x).toBeCloseTo(before[knot]!.x, 3);
    expect(at(knot).y).toBeCloseTo(before[knot]!.y, 3);
  }
  // A side is bent through where it is drawn to.
  const [a, b] = [at(2), at(3)];
  const middle = [(a.x + b.x) / 2, (a.y + b.y) / 2] as const;
  drawn(here, { kind: 'side', spot: { ring: 0, knot: 2 } }, [middle, [middle[0] - 10, middle[1] + 30]]);
  expect(label(here)).toBe('bend side');
  expect(act.isRound(act.reshaped(here.store.getState())!.rings, { ring: 0, knot: 2 }, true)).toBe(true);
  const near = nearestSide(
    act.reshaped(here.store.getState())!.rings,
    own(here, middle[0] - 10, middle[1] + 30),
  )!;
  expect(near.away).toBeLessThan(0.05);
  drawn(here, { kind: 'handle', spot: { ring: 0, knot: 2 }, which: 'after' }, [
    [a.x, a.y],
    [a.x - 40, a.y + 5],
  ]);
  const { after } = act.reshaped(here.store.getState())!.rings[0]![2]!;
  const there = own(here, a.x - 40, a.y + 5);
  expect(after.x).toBeCloseTo(there.x, 1);
  expect(after.y).toBeCloseTo(there.y, 1);
  // Drawn so that nothing would be left, it stays as it was.
  const { done } = here.store.getState().history;
  here.hand.grip(over(at(0).x, at(0).y), { kind: 'knot', spot: { ring: 0, knot: 0 } });
  here.hand.lost(1);
  expect(here.store.getState().history.done).toBe(done);
});

/** A place of the page in the frame of the piece whose points are moved. */
const own = (here: Stage, x: number, y: number) =>
  apply(invert(placementMatrix(act.reshaped(here.store.getState())!.piece.placement)), { x, y });

test('an end of a slit goes with the hand, and the second slit with the first', () => {
  const upper = inkPiece('ribbon', 60, 120, 300, 30);
  const lower = inkPiece('card', 150, 60, 120, 160);
  const here = chosen([lower, upper], 'ribbon');
  const crossing = () => {
    const { history, typesetter } = here.store.getState();
    const { project } = history;
    return crossingsOf(project.surfaces[0]!.pile, 'ribbon', toolsFor(project, typesetter))[0]!;
  };
  act.passCrossing(here.store, crossing(), 'slit');
  expect(act.passesHow(crossing(), 'ribbon')).toBe('slit');
  act.cutSecond(here.store, crossing());
  const { apart, ends } = act.slitLies(crossing())!;
  expect(apart).toBeGreaterThan(30);
  drawn(here, { kind: 'slit', crossing: crossing(), end: 'a' }, [
    [ends[0].x, ends[0].y],
    [ends[0].x - 12, ends[0].y + 3],
  ]);
  expect(label(here)).toBe('move slit');
  const now = act.slitLies(crossing())!;
  expect(now.ends[0].x).toBeCloseTo(ends[0].x - 12, 3);
  expect(now.ends[1].x).toBeCloseTo(ends[1].x, 3);
  expect(now.apart).toBeCloseTo(apart!, 3);
  act.laySlit(here.store, crossing(), { angle: 80, away: 10 });
  expect(act.slitLies(crossing())!.angle).toBeCloseTo(80, 3);
  expect(act.slitLies(crossing())!.away).toBeCloseTo(10, 3);
  act.comeOut(here.store, crossing(), null);
  expect(act.slitLies(crossing())!.apart).toBeNull();
  act.turnCrossing(here.store, crossing());
  expect(act.passesHow(crossing(), 'ribbon')).toBe('over');
  act.passEverywhere(here.store, [crossing()], 'under');
  expect(act.passesHow(crossing(), 'ribbon')).toBe('under');
  expect(act.slitLies(crossing())).toBeNull();
});
