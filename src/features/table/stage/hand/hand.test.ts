/** The whole hand on the stage, without a screen: presses, drags, Escape, second fingers, guides, pinches. */
import { jest } from '@jest/globals';
import fc from 'fast-check';
import { undoLabel } from '@/core/project/history';
import type { Piece } from '@/core/piece/piece';
import * as act from '@/features/table/acts';
import { shownSurface } from '@/features/table/session';
import { DOUBLE_CLICK, LONG_PRESS, type Pointer } from '@/features/table/stage/hand/hand';
import { toPage } from '@/features/table/stage/hand/view';
import { click, onStage, over, placeOf, table, VIEW, type Stage } from '../../../../../scripts/testing/stage';
import { inkPiece, photoOf, wordsOf, assetOf, quarters } from '../../../../../scripts/testing/samples';

// Squares of 90 points: two over each other, one aside.
const low = inkPiece('low', 100, 100, 90, 90);
const high = inkPiece('high', 130, 130, 90, 90);
const aside = inkPiece('aside', 300, 300, 90, 90);
const middleOf = ({ placement: { x, y } }: Piece) => [x, y] as const;

describe('taking hold', () => {
  test('a press takes the topmost; another goes one deeper once it is no double click; the bare table lets go', () => {
    jest.useFakeTimers();
    const here = table([low, high, aside]);
    const [x, y] = [low.placement.x + 20, low.placement.y + 20];
    click(here, x, y);
    expect(here.store.getState().selection).toEqual(['high']);
    click(here, x, y);
    expect(here.store.getState().selection).toEqual(['high']);
    jest.advanceTimersByTime(DOUBLE_CLICK);
    expect(here.store.getState().selection).toEqual(['low']);
    // A second press soon after is a double click, which is meant for what is held.
    click(here, x, y);
    here.hand.press(over(x, y));
    jest.advanceTimersByTime(DOUBLE_CLICK);
    expect(here.store.getState().selection).toEqual(['low']);
    here.hand.release(over(x, y));
    click(here, 600, 100);
    expect(here.store.getState().selection).toEqual([]);
    jest.useRealTimers();
  });

  test('with Shift or Ctrl one more is taken, or let go', () => {
    const here = table([low, high, aside]);
    click(here, ...middleOf(aside));
    click(here, ...middleOf(high), { shiftKey: true });
    expect(here.store.getState().selection).toEqual(['aside', 'high']);
    click(here, ...middleOf(aside), { ctrlKey: true });
    expect(here.store.getState().selection).toEqual(['high']);
  });

  test('a frame on the bare table takes what it touches, with Alt what lies wholly inside, with Shift what was held too', () => {
    const here = table([low, high, aside]);
    const frame = (more: Partial<Pointer>) => {
      here.hand.press(over(500, 500, more));
      here.hand.move(over(310, 310, more));
      expect(here.store.getState().marquee).not.toBeNull();
      here.hand.release(over(310, 310, more));
      expect(here.store.getState().marquee).toBeNull();
      return here.store.getState().selection;
    };
    expect(frame({})).toEqual(['aside']);
    expect(frame({ altKey: true })).toEqual([]);
    here.store.getState().select(['low']);
    expect(frame({ shiftKey: true })).toEqual(['low', 'aside']);
  });
});

test('a press on the page as it was shows it as it is: what lay there then is not taken hold of', () => {
  const here = table([low, aside]);
  const session = () => here.store.getState();
  session().select(['aside']);
  act.remove(here.store);
  session().compare(1);
  expect(shownSurface(session()).pile.map(({ id }) => id)).toEqual(['low', 'aside']);
  click(here, ...middleOf(aside));
  expect([session().compared, session().selection, here.hand.busy()]).toEqual([null, [], false]);
  click(here, ...middleOf(low));
  expect(session().selection).toEqual(['low']);
});

describe('dragging', () => {
  test('a tremble moves nothing; what moves is painted by itself; release is one step, which undo takes back', () => {
    const here = table([low, aside]);
    const [x, y] = middleOf(aside);
    here.hand.press(over(x, y));
    here.hand.move(over(x + 1, y + 1));
    expect(here.store.getState().tryout).toBeNull();
    for (const by of [10, 20, 30]) here.hand.move(over(x + by, y + 2 * by));
    expect(here.moving()).toEqual(['aside']);
    expect(placeOf(here, 'aside', true)).toMatchObject({ x: x + 30, y: y + 60 });
    expect(placeOf(here, 'aside')).toMatchObject({ x, y });
    here.hand.release(over(x + 30, y + 60));
    expect(placeOf(here, 'aside')).toMatchObject({ x: x + 30, y: y + 60 });
    expect([here.moving(), here.store.getState().tryout, here.store.getState().history.done]).toEqual([
      [],
      null,
      1,
    ]);
    expect(undoLabel(here.store.getState().history)).toBe('move embellishment');
    here.store.getState().undo();
    expect(placeOf(here, 'aside')).toEqual(aside.placement);
  });

  test.each<[string, (here: Stage) => void]>([
    ['Escape or a window that loses the focus', ({ hand }) => hand.letGo()],
    ['a pointer that is taken away', ({ hand }) => hand.lost(1)],
    ['a second pointer', ({ hand }) => void hand.press(over(10, 10, { id: 2 }))],
    ['a second finger', ({ hand }) => void hand.press(over(10, 10, { id: 2, type: 'touch' }))],
  ])('%s takes it back, and what comes after does nothing', (_, ends) => {
    const here = table([low, aside]);
    const [x, y] = middleOf(aside);
    here.hand.press(over(x, y));
    here.hand.move(over(x + 50, y));
    ends(here);
    expect([here.hand.busy(), here.store.getState().tryout, here.moving()]).toEqual([false, null, []]);
    here.hand.move(over(x + 80, y));
    here.hand.release(over(x + 80, y));
    expect(placeOf(here, 'aside')).toEqual(aside.placement);
    expect(here.store.getState().history.done).toBe(0);
  });

  test('what is locked stays, and so does what lies on a locked page, which says so', () => {
    const locked = { ...aside, placement: { ...aside.placement, locked: true } };
    const here = table([low, locked]);
    here.hand.press(over(...middleOf(aside)));
    here.hand.move(over(500, 500));
    here.hand.release(over(500, 500));
    expect(placeOf(here, 'aside')).toEqual(locked.placement);
    const other = table([low]);
    act.togglePageLock(other.store);
    click(other, ...middleOf(low));
    expect(other.store.getState().touchedLocked).toBeGreaterThan(0);
    expect(other.store.getState().selection).toEqual([]);
  });

  test('a brad sizes, the loop turns, both from what is selected alone', () => {
    const here = table([low, aside]);
    const [x, y] = middleOf(aside);
    expect(here.hand.grip(over(x, y), { kind: 'turn' })).toBe(false);
    here.store.getState().select(['aside']);
    const { width, height } = aside.placement;
    const corner = [x + width / 2, y + height / 2] as const;
    here.hand.grip(over(...corner), { kind: 'resize', sx: 1, sy: 1 });
    here.hand.move(over(corner[0] + width, corner[1] + height));
    here.hand.release(over(corner[0] + width, corner[1] + height));
    expect(placeOf(here, 'aside').width).toBeCloseTo(2 * width, 6);
    here.store.getState().undo();
    here.hand.grip(over(x, y - 80), { kind: 'turn' });
    here.hand.move(over(x + 80, y));
    here.hand.release(over(x + 80, y));
    expect(placeOf(here, 'aside').turn).toBeCloseTo(90, 6);
  });

  test('wherever a drag leads and however it ends, what was not released is not done', () => {
    const spot = fc.record({
      x: fc.integer({ min: -200, max: 900 }),
      y: fc.integer({ min: -200, max: 900 }),
    });
    fc.assert(
      fc.property(
        spot,
        fc.array(spot, { minLength: 1, maxLength: 6 }),
        fc.boolean(),
        (from, way, released) => {
          const here = table([low, high, aside]);
          here.hand.press(over(from.x, from.y));
          for (const { x, y } of way) here.hand.move(over(x, y));
          if (released) here.hand.release(over(way.at(-1)!.x, way.at(-1)!.y));
          else here.hand.lost(1);
          const { history, tryout, marquee, drawnGuide, swaps } = here.store.getState();
          expect([tryout, marquee, drawnGuide, swaps, here.hand.busy()]).toEqual([
            null,
            null,
            null,
            null,
            false,
          ]);
          expect(history.done).toBeLessThanOrEqual(released ? 1 : 0);
        },
      ),
      { numRuns: 30 },
    );
  });
});

test('the picture behind a cut is slid in its place; a press beside it ends that', () => {
  const asset = assetOf(quarters(90, 60), 900, 600);
  const photo = photoOf('photo', asset, { x: 100, y: 100, width: 90, height: 90 });
  const here = table([photo]);
  here.store.getState().select(['photo']);
  here.store.getState().setMode({ kind: 'slide', id: 'photo' });
  here.hand.press(over(145, 145));
  here.hand.move(over(125, 145));
  here.hand.release(over(125, 145));
  expect(placeOf(here, 'photo')).toEqual(photo.placement);
  expect(undoLabel(here.store.getState().history)).toMatch(/^slide/);
  here.hand.press(over(500, 500));
  expect(here.store.getState().mode).toEqual({ kind: 'pick' });
});

test('a double click goes into what lies there: a group, words, a picture, the points of an outline; what is locked stays shut', () => {
  const asset = assetOf(quarters(90, 60), 900, 600);
  const words = wordsOf('words', 'Low tide');
  const photo = photoOf('photo', asset, { x: 300, y: 300, width: 90, height: 90 });
  const here = table([low, words, photo]);
  const into = (piece: Piece) => {
    here.store.getState().pick();
    click(here, ...middleOf(piece));
    here.hand.again(onStage(...middleOf(piece)));
    return here.store.getState().mode.kind;
  };
  expect([into(words), into(photo), into(low)]).toEqual(['write', 'slide', 'reshape']);
  here.store.getState().pick();
  here.store.getState().select(['low', 'photo']);
  act.group(here.store);
  expect(into(photo)).toBe('pick');
  expect(here.store.getState().entered).not.toBeNull();
  expect(here.store.getState().selection).toEqual(['photo']);
  act.leave(here.store);
  // What is only nearly met is the one that is gone into, too.
  const beside = (piece: Piece) =>
    onStage(piece.placement.x + piece.placement.width / 2 + 2, piece.placement.y);
  for (const piece of [photo, low]) {
    here.hand.again(beside(piece));
    expect(here.store.getState().selection).toEqual([piece.id]);
    act.leave(here.store);
  }
  act.toggleLock(here.store);
  click(here, ...middleOf(words));
  act.toggleLock(here.store);
  expect(into(words)).toBe('pick');
});

test('guides come out of the rulers, on every page or with Alt on this one, are moved by their tabs, and go off the stage', () => {
  const here = table([]);
  const guides = () => here.store.getState().history.project.guides;
  const pull = (to: number, more: Partial<Pointer> = {}) => {
    here.hand.press(over(100, 0, { at: { x: 300, y: 5 }, ...more }));
    here.hand.move(over(100, to, more));
    here.hand.release(over(100, to, more));
  };
  pull(144);
  expect(guides()).toEqual([{ axis: 'y', at: 144 }]);
  pull(72, { altKey: true });
  expect(guides()).toHaveLength(1);
  expect(shownSurface(here.store.getState()).guides).toEqual([{ axis: 'y', at: 72 }]);
  here.hand.holdGuide(over(0, 144), null, 0);
  here.hand.move(over(0, 200));
  here.hand.release(over(0, 200));
  expect(guides()).toEqual([{ axis: 'y', at: 200 }]);
  here.hand.holdGuide(over(0, 200), null, 0);
  here.hand.move(over(0, 0, { at: { x: 300, y: 2 } }));
  here.hand.release(over(0, 0, { at: { x: 300, y: 2 } }));
  expect(guides()).toEqual([]);
});

test('space, the middle button and a finger move the view by what they were drawn', () => {
  const here = table([aside]);
  const drawn = (begin: Partial<Pointer>, from: readonly [number, number]) => {
    const before = here.store.getState().view;
    const at = onStage(...from);
    here.hand.press(over(0, 0, { at, ...begin }));
    here.hand.move(over(0, 0, { at: { x: at.x + 40, y: at.y - 30 }, ...begin }));
    here.hand.release(over(0, 0, { at: { x: at.x + 40, y: at.y - 30 }, ...begin }));
    const { x, y } = here.store.getState().view;
    return [x - before.x, y - before.y];
  };
  expect(drawn({ button: 1 }, middleOf(aside))).toEqual([40, -30]);
  here.pans.on = true;
  expect(drawn({}, middleOf(aside))).toEqual([40, -30]);
  here.pans.on = false;
  expect(drawn({ type: 'touch' }, [600, 500])).toEqual([40, -30]);
  expect(placeOf(here, 'aside')).toEqual(aside.placement);
});

test('two fingers zoom: what lay under their middle lies there still, as much larger as they are apart', () => {
  const spot = fc.record({ x: fc.integer({ min: 60, max: 900 }), y: fc.integer({ min: 60, max: 900 }) });
  fc.assert(
    fc.property(spot, spot, spot, (a, b, to) => {
      fc.pre(Math.hypot(a.x - b.x, a.y - b.y) > 40 && Math.hypot(a.x - to.x, a.y - to.y) > 40);
      const here = table([]);
      const finger = (id: number, at: typeof a) => over(0, 0, { id, type: 'touch', at });
      const middle = (p: typeof a, q: typeof a) => ({ x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 });
      const before = toPage(here.store.getState().view, middle(a, b));
      here.hand.press(finger(1, a));
      here.hand.press(finger(2, b));
      here.hand.move(finger(2, to));
      const { view } = here.store.getState();
      const apart = (p: typeof a, q: typeof a) => Math.hypot(p.x - q.x, p.y - q.y);
      const wanted = (VIEW.zoom * apart(a, to)) / apart(a, b);
      // Far in and far out there are limits.
      fc.pre(view.zoom === wanted);
      // The view lies on whole pixels: half of one before zooming, and half after it.
      const off = 0.5 * (view.zoom / VIEW.zoom) + 0.5 + 1e-6;
      const after = toPage(view, middle(a, to));
      expect(Math.abs(after.x - before.x) * view.zoom).toBeLessThanOrEqual(off);
      expect(Math.abs(after.y - before.y) * view.zoom).toBeLessThanOrEqual(off);
    }),
    { numRuns: 50 },
  );
});

test('a second finger that comes down on a handle zooms, too: what the first took hold of stays as it was', () => {
  const piece = inkPiece('a', 100, 100, 60, 40);
  const here = table([piece]);
  here.store.getState().select(['a']);
  const finger = (id: number, x: number, y: number) => over(x, y, { id, type: 'touch' });
  here.hand.press(finger(1, 130, 120));
  here.hand.grip(finger(2, 160, 120), { kind: 'resize', sx: 1, sy: 0 });
  here.hand.move(finger(2, 190, 120));
  expect(here.store.getState().view.zoom).toBeCloseTo(2 * VIEW.zoom);
  here.hand.release(finger(2, 190, 120));
  here.hand.release(finger(1, 130, 120));
  expect(shownSurface(here.store.getState()).pile[0]!.placement).toEqual(piece.placement);
});

test('a finger that rests lists what lies beneath it and drags nothing; one that moves, or lifts, or a mouse, does not', () => {
  jest.useFakeTimers();
  try {
    const rest = (more: Partial<Pointer>, meanwhile: (at: Stage) => void = () => {}) => {
      const at = table([inkPiece('low'), inkPiece('high')]);
      at.hand.press(over(20, 20, more));
      meanwhile(at);
      jest.advanceTimersByTime(LONG_PRESS + 1);
      at.hand.move(over(60, 60, more));
      at.hand.release(over(60, 60, more));
      return at.store.getState();
    };
    const touch = { type: 'touch' };
    const asked = rest(touch);
    expect(asked.peeking).toEqual(onStage(20, 20));
    expect(undoLabel(asked.history)).toBeNull();
    expect(rest(touch, ({ hand }) => hand.move(over(40, 40, touch))).peeking).toBeNull();
    expect(rest(touch, ({ hand }) => hand.release(over(20, 20, touch))).peeking).toBeNull();
    expect(rest({}).peeking).toBeNull();
  } finally {
    jest.useRealTimers();
  }
});
