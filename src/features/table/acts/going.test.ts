/** Finding one's way on the table: from thing to thing, into groups and out, close up and back; what one press does to what is chosen. */
import fc from 'fast-check';
import { apply } from '@/core/geometry/matrix';
import { finishOf } from '@/core/piece/finish';
import type { Piece } from '@/core/piece/piece';
import { startHistory, undoLabel } from '@/core/project/history';
import { newSurface, type Project } from '@/core/project/model';
import * as act from '@/features/table/acts';
import { enter, leave, selectAll, selectOthers, step } from '@/features/table/acts/choosing';
import {
  bringBack,
  lockOthers,
  match,
  matchAll,
  mirror,
  NUDGE,
  nudge,
  refuseLocked,
  remove,
  toggleHidden,
  toggleLock,
} from '@/features/table/acts/changing';
import { keepAside, peek, zoomBy, zoomFit, zoomToChosen, zoomTrue } from '@/features/table/acts/looking';
import { goInto } from '@/features/table/acts/opening';
import { createSession, shownSurface, type SessionStore } from '@/features/table/session';
import { fitted, viewMatrix } from '@/features/table/stage/hand/view';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { drawnPiece } from '../../../../scripts/testing/lines';
import { assetOf, inkPiece, laid, photoOf, quarters, wordsOf } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const asset = assetOf(quarters(62, 42), 62, 42);
const STAGE = { width: 900, height: 600 };
const table = (project: Project, readOnly = false): SessionStore => {
  const store = createSession(startHistory(project), typesetter, readOnly);
  store.getState().measured(STAGE, fitted(shownSurface(store.getState()), STAGE));
  return store;
};
const now = (store: SessionStore) => store.getState();
const pile = (store: SessionStore) => shownSurface(now(store)).pile;
const of = (store: SessionStore, id: string) => pile(store).find((piece) => piece.id === id)!;
const select = (store: SessionStore, ...ids: string[]) => now(store).select(ids);
const placed = (piece: Piece, change: Partial<Piece['placement']>): Piece => ({
  ...piece,
  placement: { ...piece.placement, ...change },
});
const within = (piece: Piece, ...groups: string[]): Piece => ({ ...piece, groups });

/** a; a group g of b and of a group h of c and d; e hidden, f locked. */
const nested = (): Project => {
  const base = laid([
    inkPiece('a', 10),
    within(inkPiece('b', 60), 'g'),
    within(inkPiece('c', 110), 'g', 'h'),
    within(inkPiece('d', 160), 'g', 'h'),
    placed(inkPiece('e', 210), { hidden: true }),
    placed(inkPiece('f', 260), { locked: true }),
  ]);
  return {
    ...base,
    surfaces: [
      {
        ...base.surfaces[0]!,
        groups: [
          { id: 'g', name: 'Kites' },
          { id: 'h', name: 'Two' },
        ],
      },
    ],
  };
};

describe('from thing to thing', () => {
  test('the pile is walked from the bottom up, a group as one, past what is hidden, round and round, both ways', () => {
    const store = table(nested());
    const walk = (by: 1 | -1) => (step(store, by), now(store).selection.join(' '));
    expect([walk(1), walk(1), walk(1), walk(1)]).toEqual(['a', 'b c d', 'f', 'a']);
    expect([walk(-1), walk(-1), walk(-1)]).toEqual(['f', 'b c d', 'a']);
    const backwards = table(nested());
    step(backwards, -1);
    expect(now(backwards).selection).toEqual(['f']);
  });

  test('within an open group only what is in it', () => {
    const store = table(nested());
    select(store, 'b', 'c', 'd');
    expect(enter(store)).toBe(true);
    const walk = () => (step(store, 1), now(store).selection.join(' '));
    expect([walk(), walk(), walk()]).toEqual(['b', 'c d', 'b']);
  });

  test('on a bare page there is nothing to walk to', () => {
    const store = table(laid([]));
    step(store, 1);
    expect(now(store).selection).toEqual([]);
  });
});

describe('into groups and out', () => {
  test('group by group, at the piece that is meant, and out again the same way', () => {
    const store = table(nested());
    select(store, 'b', 'c', 'd');
    enter(store, 'c');
    expect([now(store).entered, now(store).selection]).toEqual(['g', ['c', 'd']]);
    enter(store, 'd');
    expect([now(store).entered, now(store).selection]).toEqual(['h', ['d']]);
    expect(enter(store)).toBe(false);
    leave(store);
    expect([now(store).entered, now(store).selection]).toEqual(['g', ['c', 'd']]);
    leave(store);
    expect([now(store).entered, now(store).selection]).toEqual([null, ['b', 'c', 'd']]);
    expect(leave(store)).toBe(false);
  });

  test('everything is all that may be changed: of the page, of one sort, of the open group; and all else', () => {
    const store = table(nested());
    selectAll(store);
    expect(now(store).selection).toEqual(['a', 'b', 'c', 'd']);
    selectAll(store, 'title');
    expect(now(store).selection).toEqual([]);
    select(store, 'b', 'c', 'd');
    enter(store);
    selectAll(store);
    expect(now(store).selection).toEqual(['b', 'c', 'd']);
    leave(store);
    select(store, 'a', 'c');
    selectOthers(store);
    expect(now(store).selection).toEqual(['b', 'd']);
  });
});

describe('gone into', () => {
  const photo = photoOf('p', asset, { x: 60, y: 60, width: 90, height: 60 });
  const things = () =>
    table(
      laid(
        [
          inkPiece('i'),
          photo,
          wordsOf('w', 'Ebb'),
          drawnPiece('l', asset.sha),
          placed(inkPiece('k', 90), { locked: true }),
        ],
        [asset],
      ),
    );
  const mode = (store: SessionStore) => now(store).mode.kind;

  test.each([
    ['words are written', 'w', 'write'],
    ['a photo is slid', 'p', 'slide'],
    ['the points of a cut are moved', 'i', 'reshape'],
  ])('%s', (_, id, kind) => {
    const store = things();
    select(store, id);
    goInto(store);
    expect(mode(store)).toBe(kind);
  });

  test('for what is drawn its sheet opens; a group is opened before anything in it; what is locked stays shut', () => {
    const store = things();
    select(store, 'l');
    goInto(store);
    expect([mode(store), now(store).sheet]).toEqual(['pick', 'lines']);
    select(store, 'k');
    goInto(store);
    expect(mode(store)).toBe('pick');
    const group = table(nested());
    select(group, 'b', 'c', 'd');
    goInto(group, 'b');
    expect([now(group).entered, mode(group)]).toEqual(['g', 'pick']);
  });

  test('where one only looks on nothing is gone into', () => {
    const store = table(laid([inkPiece('i')]), true);
    select(store, 'i');
    goInto(store);
    expect(mode(store)).toBe('pick');
  });
});

describe('looked at', () => {
  const seen = (store: SessionStore, id: string) => {
    const { x, y, width, height } = of(store, id).placement;
    const map = viewMatrix(now(store).view);
    return [
      apply(map, { x: x - width / 2, y: y - height / 2 }),
      apply(map, { x: x + width / 2, y: y + height / 2 }),
    ] as const;
  };

  test('what is chosen is brought as close as it fits, wherever it lies; without, the page', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -400, max: 800 }),
        fc.integer({ min: -400, max: 800 }),
        fc.integer({ min: 4, max: 600 }),
        fc.integer({ min: 4, max: 600 }),
        (x, y, width, height) => {
          const store = table(laid([{ ...inkPiece('a', x, y, width, height), finish: finishOf(0) }]));
          select(store, 'a');
          zoomToChosen(store);
          const [from, to] = seen(store, 'a');
          expect(from.x).toBeGreaterThan(0);
          expect(from.y).toBeGreaterThan(0);
          expect(to.x).toBeLessThan(STAGE.width);
          expect(to.y).toBeLessThan(STAGE.height);
          select(store);
          zoomToChosen(store);
          expect(now(store).view).toEqual(fitted(shownSurface(now(store)), STAGE));
        },
      ),
      { numRuns: 20 },
    );
  });

  test('closer and farther about the middle of what is in sight; true size is what this screen was told', () => {
    const store = table(laid([inkPiece('a')]));
    const middle = () => apply(viewMatrix(now(store).view), { x: 216, y: 144 });
    zoomFit(store);
    const before = middle();
    zoomBy(store, 1);
    const { zoom } = now(store).view;
    expect(zoom).toBeGreaterThan(fitted(shownSurface(now(store)), STAGE).zoom);
    expect(Math.abs(middle().x - before.x)).toBeLessThan(60);
    zoomBy(store, -1);
    expect(now(store).view.zoom).toBeLessThan(zoom);
    now(store).setTrueZoom(1.7);
    zoomTrue(store);
    expect(now(store).view.zoom).toBe(1.7);
  });

  test('a page that is seen whole stands beside a sheet; one that is looked at closely stays where it is', () => {
    const store = table(laid([inkPiece('a')]));
    keepAside(store, 300);
    expect(now(store).view).toEqual(fitted(shownSurface(now(store)), STAGE, 300));
    zoomBy(store, 1);
    const { view } = now(store);
    keepAside(store, 0);
    expect(now(store).view).toEqual(view);
  });

  test('what lies beneath is listed under the pointer, or the chosen piece, or the middle; asked again it goes', () => {
    const store = table(laid([inkPiece('a')]));
    peek(store);
    expect(now(store).peeking).toEqual({ x: 450, y: 300 });
    peek(store);
    expect(now(store).peeking).toBeNull();
    select(store, 'a');
    peek(store);
    expect(now(store).peeking).toEqual(apply(viewMatrix(now(store).view), of(store, 'a').placement));
    peek(store);
    now(store).point({ x: 12, y: 34 });
    peek(store);
    expect(now(store).peeking).toEqual({ x: 12, y: 34 });
  });
});

describe('one press', () => {
  test('nudges by a hundredth of an inch what is not locked', () => {
    const store = table(nested());
    select(store, 'a', 'f');
    nudge(store, NUDGE, -NUDGE);
    expect(of(store, 'a').placement.x - inkPiece('a', 10).placement.x).toBeCloseTo(0.72, 9);
    expect(of(store, 'a').placement.y - inkPiece('a', 10).placement.y).toBeCloseTo(-0.72, 9);
    expect(of(store, 'f').placement).toEqual(placed(inkPiece('f', 260), { locked: true }).placement);
  });

  test('mirrored twice it is what it was, both ways', () => {
    for (const axis of ['x', 'y'] as const) {
      const store = table(
        laid([placed(inkPiece('a'), { turn: 20 }), placed(inkPiece('b', 200), { turn: -70 })]),
      );
      const before = pile(store);
      select(store, 'a', 'b');
      mirror(store, axis);
      expect(pile(store)).not.toEqual(before);
      mirror(store, axis);
      pile(store).forEach(({ placement }, i) => {
        expect(placement.x).toBeCloseTo(before[i]!.placement.x, 6);
        expect(placement.turn).toBeCloseTo(before[i]!.placement.turn, 6);
        expect(Boolean(placement.mirror)).toBe(Boolean(before[i]!.placement.mirror));
      });
    }
  });

  test('locks and unlocks all of them alike; all but them; hides and shows', () => {
    const store = table(nested());
    const locked = () =>
      pile(store)
        .filter(({ placement }) => placement.locked)
        .map(({ id }) => id)
        .join('');
    select(store, 'a', 'f');
    toggleLock(store);
    expect(locked()).toBe('af');
    toggleLock(store);
    expect(locked()).toBe('');
    select(store, 'a');
    lockOthers(store);
    expect(locked()).toBe('bcdef');
    toggleHidden(store);
    expect(of(store, 'a').placement.hidden).toBe(true);
    toggleHidden(store);
    expect(of(store, 'a').placement.hidden).toBe(false);
  });

  test('what is locked is not taken away, and says with what press it would be', () => {
    const store = table(nested());
    select(store, 'a', 'f');
    remove(store);
    expect(pile(store).map(({ id }) => id)).toEqual(['b', 'c', 'd', 'e', 'f']);
    refuseLocked(store, of(store, 'f'));
    expect(now(store).refused).toMatchObject({
      why: 'It is locked: unlock it first.',
      next: { label: 'Unlock it' },
    });
    now(store).refused!.next!.run();
    expect(of(store, 'f').placement.locked).toBe(false);
  });

  test('what has gone out of sight comes back: its middle to the edge it went over, and no farther; a group as one', () => {
    fc.assert(
      fc.property(fc.integer({ min: -3000, max: 3000 }), fc.integer({ min: -3000, max: 3000 }), (x, y) => {
        const store = table(laid([inkPiece('a', x, y, 60, 40)]));
        select(store, 'a');
        bringBack(store);
        const { placement } = of(store, 'a');
        expect(placement.x).toBeCloseTo(Math.min(432, Math.max(0, x + 30)), 6);
        expect(placement.y).toBeCloseTo(Math.min(288, Math.max(0, y + 20)), 6);
      }),
      { numRuns: 30 },
    );
  });
});

describe('matched', () => {
  const from = {
    ...inkPiece('a', 10, 10, 80, 50),
    material: { kind: 'ink', colour: '#123456' },
    finish: { ...finishOf(3), opacity: 0.5 },
  } as Piece;
  const others = () => [
    placed(inkPiece('b', 120, 40, 30, 30), { turn: 12 }),
    placed(inkPiece('c', 220), { locked: true }),
  ];
  const two = (): Project => {
    const base = laid([from, ...others()]);
    const page = { ...newSurface('two', 'Page 2', { width: 432, height: 288 }, 'in'), pile: [inkPiece('d')] };
    return { ...base, surfaces: [...base.surfaces, page] };
  };

  test('each takes what it is given, about its own middle, in one step; what is locked, and the one it is of, do not', () => {
    const store = table(two());
    expect(match(store, { from, what: ['size', 'ink', 'finish'] }, ['a', 'b', 'c'])).toBe(true);
    const b = of(store, 'b');
    expect([b.placement.width, b.placement.height, b.placement.turn]).toEqual([80, 50, 12]);
    expect([b.placement.x, b.placement.y]).toEqual([135, 55]);
    expect(b.material).toEqual(from.material);
    expect(b.finish.opacity).toBe(0.5);
    expect(of(store, 'c')).toEqual(others()[1]);
    expect(undoLabel(now(store).history)).toMatch(/^match size, ink, finish of /);
    now(store).undo();
    expect(of(store, 'b')).toEqual(others()[0]);
  });

  test('with nothing that could take it, it is not done', () => {
    const store = table(two());
    expect(match(store, { from, what: ['ink'] }, ['a', 'c'])).toBe(false);
    expect(now(store).history.done).toBe(0);
  });

  test('all alike on all pages at once', () => {
    const store = table(two());
    matchAll(store, { from, what: ['ink'] });
    const inks = now(store).history.project.surfaces.flatMap((page) =>
      page.pile.map(({ material }) => (material as { colour: string }).colour),
    );
    expect(inks).toEqual(['#123456', '#123456', '#9e2b45', '#123456']);
    expect(undoLabel(now(store).history)).toMatch(/on all pages$/);
  });
});

test('all of these are acts that whoever imports them finds', () => {
  for (const name of ['step', 'selectAll', 'nudge', 'duplicate', 'zoomFit', 'layPhoto'] as const)
    expect(typeof act[name]).toBe('function');
});
