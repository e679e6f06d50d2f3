/** Where pieces lie, edit by edit: moved, turned, carried together, mirrored, locked; words as wide as they are asked to be. */
import fc from 'fast-check';
import { corners, centredBox } from '@/core/geometry/box';
import { apply, type Point } from '@/core/geometry/matrix';
import { finishOf } from '@/core/piece/finish';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import { extentOf, placedAt, placementMatrix, type Placement } from '@/core/piece/placement/placement';
import type { Piece } from '@/core/piece/piece';
import type { Edit } from '@/core/project/edits/edit';
import * as place from '@/core/project/edits/place';
import { goTo, perform, startHistory, undoLabel } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { inkPiece, laid, wordsOf } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const PAGE = laid([]).surfaces[0]!.id;
const done = (project: Project, edit: Edit) => perform(startHistory(project), edit, 0);
const after = (pieces: readonly Piece[], edit: Edit): Record<string, Piece> =>
  Object.fromEntries(done(laid(pieces), edit).project.surfaces[0]!.pile.map((piece) => [piece.id, piece]));
const lying = (id: string, change: Partial<Placement> = {}): Piece => {
  const piece = inkPiece(id, 40, 60, 80, 50);
  return { ...piece, placement: { ...piece.placement, ...change } };
};
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const anywhere = fc.record({
  x: number(-300, 700),
  y: number(-300, 600),
  width: number(5, 300),
  height: number(5, 300),
  turn: fc.integer({ min: -179, max: 180 }),
  mirror: fc.boolean(),
});
const cornersOf = ({ placement }: Piece): Point[] =>
  corners(centredBox(placement)).map((corner) => apply(placementMatrix(placement), corner));
const near = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y) < 1e-6;

describe('moved', () => {
  test('together by the same way, others stay; a run of nudges is one step, of other pieces another', () => {
    const [a, b, c] = [lying('a'), lying('b', { x: 200 }), lying('c', { x: 300 })];
    const piles = after([a, b, c], place.movePieces(PAGE, [a, c], 7, -3));
    expect([piles.a!.placement.x, piles.b!.placement.x, piles.c!.placement.x]).toEqual([87, 200, 307]);
    expect(piles.a!.placement.y).toBe(82);
    let history = startHistory(laid([a, b, c]));
    for (let i = 0; i < 5; i++) history = perform(history, place.movePieces(PAGE, [a], 1, 0), i * 50);
    expect(history.steps).toHaveLength(1);
    history = perform(history, place.movePieces(PAGE, [b], 1, 0), 300);
    expect(history.steps).toHaveLength(2);
    expect(undoLabel(history)).toBe('move embellishment');
  });

  test('each by its own way, turned along where that is said; those of which nothing is said stay', () => {
    const [a, b, c] = [lying('a', { turn: 170 }), lying('b'), lying('c')];
    const moves = new Map([
      ['a', { x: 1, y: 2, turn: 30 }],
      ['b', { x: -5, y: 0 }],
    ]);
    const piles = after([a, b, c], place.moveEach(PAGE, [a, b, c], 'space out', moves));
    expect(piles.a!.placement).toMatchObject({ x: 81, y: 87, turn: -160 });
    expect(piles.b!.placement).toMatchObject({ x: 75, y: 85, turn: 0 });
    expect(piles.c).toEqual(c);
    expect(undoLabel(done(laid([a, b, c]), place.moveEach(PAGE, [a, b, c], 'space out', moves)))).toBe(
      'space out 3 pieces',
    );
  });

  test('pieces that are gone are passed over, and nothing else is touched', () => {
    const [a, b] = [lying('a'), lying('b')];
    const history = done(laid([a]), place.movePieces(PAGE, [b], 5, 5));
    expect(history.steps).toEqual([]);
  });
});

describe('turned', () => {
  test.each([
    [190, -170],
    [-180, 180],
    [540, 180],
    [-720.5, -0.5],
  ])('to %f degrees they lie at %f', (turn, lies) => {
    const [a, b] = [lying('a', { turn: 12 }), lying('b', { turn: -90 })];
    const piles = after([a, b], place.turnEach(PAGE, [a, b], turn));
    expect([piles.a!.placement.turn, piles.b!.placement.turn]).toEqual([lies, lies]);
    expect(after([a], place.placePiece(PAGE, a, 'turn', { turn })).a!.placement.turn).toBe(lies);
  });
});

describe('carried together', () => {
  const by = fc.record({
    about: fc.record({ x: number(-100, 500), y: number(-100, 400) }),
    scale: number(0.2, 4),
    turn: fc.integer({ min: -180, max: 180 }),
    move: fc.record({ x: number(-99, 99), y: number(-99, 99) }),
  });

  test('every corner goes where the change of the whole takes it, mirrored pieces, too', () => {
    fc.assert(
      fc.property(anywhere, by, (lies, change) => {
        const a = lying('a', lies);
        const made = after([a], place.carryPieces(PAGE, [a], 'resize', change, false)).a!;
        const angle = (change.turn * Math.PI) / 180;
        const through = ({ x, y }: Point): Point => {
          const [dx, dy] = [(x - change.about.x) * change.scale, (y - change.about.y) * change.scale];
          return {
            x: change.about.x + change.move.x + dx * Math.cos(angle) - dy * Math.sin(angle),
            y: change.about.y + change.move.y + dx * Math.sin(angle) + dy * Math.cos(angle),
          };
        };
        if (Math.min(lies.width, lies.height) * change.scale < 1) return;
        cornersOf(a).forEach((corner, i) => expect(near(cornersOf(made)[i]!, through(corner))).toBe(true));
      }),
    );
  });

  const twice = { about: { x: 0, y: 0 }, scale: 2, turn: 0, move: { x: 0, y: 0 } };
  test('strokes and letters grow with them where that is wished; otherwise words only go along', () => {
    const words = wordsOf('w', 'Low tide', 18, 120);
    const stroked = {
      ...lying('s'),
      finish: { ...finishOf(0), stroke: { colour: '#000000', width: 2, side: 'on' as const } },
    };
    const grown = after([words, stroked], place.carryPieces(PAGE, [words, stroked], 'resize', twice, true));
    expect((grown.w!.outline as GlyphsOutline).size).toBe(36);
    expect(grown.w!.placement.width).toBe(240);
    expect(grown.s!.finish.stroke!.width).toBe(4);
    const along = after([words, stroked], place.carryPieces(PAGE, [words, stroked], 'resize', twice, false));
    expect((along.w!.outline as GlyphsOutline).size).toBe(18);
    expect(along.w!.placement).toMatchObject({ width: 120, x: 2 * words.placement.x });
    expect(along.s!.finish.stroke!.width).toBe(2);
    expect(along.s!.placement.width).toBe(160);
  });

  test('from where they were when the hand took hold of them, however often it is tried', () => {
    const a = lying('a');
    const moved = done(laid([a]), place.movePieces(PAGE, [a], 100, 0)).project;
    const made = done(moved, place.carryPieces(PAGE, [a], 'resize', twice, false)).project.surfaces[0]!
      .pile[0]!;
    expect(made.placement.x).toBe(2 * a.placement.x);
  });
});

describe('mirrored', () => {
  test('the whole changes its sides about its own middle, whatever is turned how; its box stays where it was', () => {
    fc.assert(
      fc.property(anywhere, anywhere, fc.constantFrom('x' as const, 'y' as const), (one, two, axis) => {
        const [a, b] = [lying('a', one), lying('b', two)];
        const piles = after([a, b], place.mirrorPieces(PAGE, [a, b], axis));
        const boxes = [a, b].map(({ placement }) => extentOf(placement));
        const [from, to] = [
          Math.min(...boxes.map((box) => box[axis])),
          Math.max(...boxes.map((box) => box[axis] + box[axis === 'x' ? 'width' : 'height'])),
        ];
        for (const was of [a, b]) {
          const is = piles[was.id]!;
          const seen = cornersOf(is);
          for (const corner of cornersOf(was)) {
            const there = { ...corner, [axis]: from + to - corner[axis] };
            expect(seen.some((each) => near(each, there))).toBe(true);
          }
          expect(is.placement.mirror).toBe(!was.placement.mirror);
        }
      }),
    );
  });
});

describe('words as wide as asked', () => {
  const words = (change: Partial<GlyphsOutline> = {}): Piece => {
    const piece = wordsOf('w', 'Low tide at seven, high tide at one', 18, 160);
    return { ...piece, outline: { ...piece.outline, family: 'lora', ...change } as GlyphsOutline };
  };
  const upper = ({ placement }: Piece) =>
    apply(placementMatrix(placement), { x: -placement.width / 2, y: -placement.height / 2 });

  test('with their letters: twice the box, twice the letters', () => {
    const w = words();
    const to = { ...w.placement, width: 320, height: 120 };
    const made = after([w], place.scaleWords(PAGE, w, to)).w!;
    expect((made.outline as GlyphsOutline).size).toBe(36);
    expect(made.placement).toMatchObject({ width: 320, height: 120 });
  });

  test('letters stop at their largest, the box with them, and the corner across from the hand stays', () => {
    const w = words({ size: 1000 });
    const start = { ...w, placement: { ...w.placement, turn: 30 } };
    const corner = upper(start);
    // As a hand draws it three times as large from its lower right corner.
    const wide = { ...start.placement, width: 480, height: 180 };
    const moved = apply(placementMatrix(start.placement), { x: 160, y: 60 });
    const made = after([start], place.scaleWords(PAGE, start, { ...wide, x: moved.x, y: moved.y })).w!;
    expect((made.outline as GlyphsOutline).size).toBe(2000);
    expect(made.placement.width).toBeCloseTo(320, 6);
    expect(near(upper(made), corner)).toBe(true);
  });

  test('in another column: the letters stay, the box is as high as it takes, and its top stays where it was', () => {
    fc.assert(
      fc.property(number(20, 400), fc.integer({ min: -180, max: 180 }), (width, turn) => {
        const plain = words();
        const w = { ...plain, placement: { ...plain.placement, turn } };
        // As a hand draws its right side: the left one stays.
        const middle = apply(placementMatrix(w.placement), { x: (width - 160) / 2, y: 0 });
        const edit = place.reflowWords(PAGE, w, { ...w.placement, ...middle, width }, false, typesetter)!;
        const made = after([w], edit).w!;
        expect((made.outline as GlyphsOutline).size).toBe(18);
        expect(made.placement.width).toBeCloseTo(width, 6);
        const set = typesetter.set(
          'Low tide at seven, high tide at one',
          made.outline as GlyphsOutline,
          width,
        );
        expect(made.placement.height).toBeCloseTo(set.size.height, 3);
        expect(near(upper(made), upper(w))).toBe(true);
      }),
      { numRuns: 20 },
    );
  });

  test('a height that is given is kept from then on; what is no words is left alone', () => {
    const w = words();
    const tall = after(
      [w],
      place.reflowWords(PAGE, w, { ...w.placement, height: 200 }, true, typesetter)!,
    ).w!;
    expect([tall.placement.height, (tall.outline as GlyphsOutline).fixed]).toEqual([200, true]);
    const a = lying('a');
    expect(place.reflowWords(PAGE, a, a.placement, false, typesetter)).toBeNull();
  });
});

test('locked, unlocked, hidden and shown, each by its name, and back again', () => {
  const all = [lying('a'), lying('b')];
  const start = startHistory(laid(all));
  const steps: [Edit, string][] = [
    [place.lockPieces(PAGE, all, true), 'lock 2 pieces'],
    [place.lockPieces(PAGE, all, false), 'unlock 2 pieces'],
    [place.hidePieces(PAGE, [all[0]!], true), 'hide embellishment'],
    [place.hidePieces(PAGE, [all[0]!], false), 'show embellishment'],
  ];
  let history = start;
  for (const [i, [edit, label]] of steps.entries()) {
    history = perform(history, edit, i * 5000);
    expect(undoLabel(history)).toBe(label);
  }
  expect(history.project).toEqual(start.project);
  expect(goTo(history, 1).project.surfaces[0]!.pile.every(({ placement }) => placement.locked)).toBe(true);
  expect(goTo(history, 3).project.surfaces[0]!.pile.map(({ placement }) => placement.hidden)).toEqual([
    true,
    false,
  ]);
  expect(placedAt({ x: 0, y: 0, width: 4, height: 2 }, 30)).toMatchObject({
    x: 2,
    y: 1,
    turn: 30,
    locked: false,
    hidden: false,
  });
});
