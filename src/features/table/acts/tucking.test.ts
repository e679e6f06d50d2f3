/** Over, under, and through slits: at each place two pieces meet, from either of them; slits where they are put, and second ones. */
import { crossingsOf, type Crossing } from '@/core/page/tuck';
import { toolsFor } from '@/core/page/outlines';
import { areaOf } from '@/core/geometry/offset';
import { finishOf } from '@/core/piece/finish';
import type { Piece } from '@/core/piece/piece';
import { startHistory, undoLabel } from '@/core/project/history';
import { readProject, writeProject } from '@/core/project/file';
import {
  comeOut,
  cutSecond,
  laySlit,
  passCrossing,
  passesHow,
  passEverywhere,
  slitEdit,
  slitLies,
  turnCrossing,
} from '@/features/table/acts/tucking';
import { createSession, shownSurface, type SessionStore } from '@/features/table/session';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { inkPiece, laid } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const flat = (id: string, x: number, y: number, width: number, height: number): Piece => ({
  ...inkPiece(id, x, y, width, height),
  finish: finishOf(0),
});
/** Two cards, and over them a ribbon that meets the first once and the second once. */
const PILE = [
  flat('card', 60, 60, 100, 120),
  flat('other', 240, 60, 100, 120),
  flat('ribbon', 20, 100, 360, 30),
];
function table(chosen = 'ribbon', pile: readonly Piece[] = PILE): SessionStore {
  const store = createSession(startHistory(laid(pile)), typesetter, false);
  store.getState().select([chosen]);
  return store;
}
const now = (store: SessionStore) => store.getState();
const crossings = (store: SessionStore, id = now(store).selection[0]!): Crossing[] =>
  crossingsOf(shownSurface(now(store)).pile, id, toolsFor(now(store).history.project, typesetter));
const tucks = (store: SessionStore, id = 'ribbon') =>
  shownSurface(now(store)).pile.find((piece) => piece.id === id)!.tucks ?? [];
const ways = (store: SessionStore) =>
  crossings(store).map((crossing) => passesHow(crossing, now(store).selection[0]!));
const sound = (store: SessionStore) => {
  const { project } = now(store).history;
  expect(readProject(writeProject(project))).toEqual({ ok: true, value: project });
};

describe('over and under', () => {
  test('turned at one place it stays as it was at the other; turned again it is as before', () => {
    const store = table();
    expect(ways(store)).toEqual(['over', 'over']);
    turnCrossing(store, crossings(store)[0]!);
    expect(ways(store)).toEqual(['under', 'over']);
    expect(undoLabel(now(store).history)).toBe('tuck embellishment');
    sound(store);
    turnCrossing(store, crossings(store)[0]!);
    expect(ways(store)).toEqual(['over', 'over']);
    expect(tucks(store)).toEqual([]);
    expect(undoLabel(now(store).history)).toBe('untuck embellishment');
  });

  test('from the lower of the two it is the same place told the other way round, and kept on the upper one', () => {
    const store = table('card');
    expect(ways(store)).toEqual(['under']);
    turnCrossing(store, crossings(store)[0]!);
    expect(ways(store)).toEqual(['over']);
    expect([tucks(store, 'card'), tucks(store).length]).toEqual([[], 1]);
    now(store).select(['ribbon']);
    expect(ways(store)).toEqual(['under', 'over']);
  });

  test('everywhere at once, of one that it meets in two places', () => {
    // A fork: two prongs that the ribbon lies over.
    const fork = {
      ...flat('fork', 60, 60, 200, 120),
      outline: { kind: 'path', name: 'Fork', data: 'M0 0H40V80H160V0H200V120H0Z' },
    } as Piece;
    const store = table('ribbon', [fork, flat('ribbon', 20, 70, 360, 30)]);
    expect(ways(store)).toEqual(['over', 'over']);
    passEverywhere(store, crossings(store), 'under');
    expect([ways(store), tucks(store).length]).toEqual([['under', 'under'], 2]);
    passEverywhere(store, crossings(store), 'under');
    expect(tucks(store)).toHaveLength(2);
    passEverywhere(store, crossings(store), 'over');
    expect([ways(store), tucks(store)]).toEqual([['over', 'over'], []]);
    passEverywhere(store, [], 'under');
    expect(tucks(store)).toEqual([]);
    sound(store);
  });

  test('with nothing selected nothing is turned', () => {
    const store = table();
    const [crossing] = crossings(store);
    now(store).select([]);
    turnCrossing(store, crossing!);
    expect(now(store).history.done).toBe(0);
  });
});

describe('through a slit', () => {
  const slit = () => {
    const store = table();
    passCrossing(store, crossings(store)[0]!, 'slit');
    return { store, crossing: () => crossings(store)[0]! };
  };

  test('part of it is beneath; a ribbon goes through one across it', () => {
    const { store, crossing } = slit();
    expect(ways(store)).toEqual(['slit', 'over']);
    const whole = areaOf(crossing().area);
    const hidden = areaOf(crossing().hidden!);
    expect(hidden / whole).toBeGreaterThan(0.2);
    expect(hidden / whole).toBeLessThan(0.4);
    expect(Math.abs(slitLies(crossing())!.angle)).toBeCloseTo(90, 3);
    sound(store);
  });

  test('laid by numbers it lies so: its angle, and how far from the middle toward what is hidden', () => {
    const { store, crossing } = slit();
    for (const [angle, away] of [
      [-90, 0],
      [75, 20],
      [-105, -12],
      [90, 40],
    ] as const) {
      laySlit(store, crossing(), { angle, away });
      const lies = slitLies(crossing())!;
      expect([lies.angle, lies.away].map((value) => Math.round(1000 * value) / 1000)).toEqual([angle, away]);
    }
    expect(undoLabel(now(store).history)).toBe('move slit');
    sound(store);
  });

  test('half way it hides half; turned right round, the other half', () => {
    const { store, crossing } = slit();
    const { angle } = slitLies(crossing())!;
    laySlit(store, crossing(), { angle, away: 0 });
    const whole = areaOf(crossing().area);
    expect(areaOf(crossing().hidden!) / whole).toBeCloseTo(0.5, 2);
    laySlit(store, crossing(), { angle, away: 30 });
    const some = areaOf(crossing().hidden!) / whole;
    laySlit(store, crossing(), { angle: angle > 0 ? angle - 180 : angle + 180, away: -30 });
    expect(areaOf(crossing().hidden!) / whole).toBeCloseTo(1 - some, 2);
  });

  test('put between two places of the page it lies there, and goes along with the card it is cut into', () => {
    const { store, crossing } = slit();
    now(store).perform(slitEdit(now(store).surfaceId, crossing(), { x: 120, y: 90 }, { x: 120, y: 140 }));
    const { ends } = slitLies(crossing())!;
    expect(ends.map(({ x, y }) => [Math.round(x), Math.round(y)])).toEqual([
      [120, 90],
      [120, 140],
    ]);
    now(store).perform({
      label: 'move',
      apply: (project) => void (project.surfaces[0]!.pile[0]!.placement.x += 10),
    });
    expect(slitLies(crossing())!.ends.map(({ x }) => Math.round(x))).toEqual([130, 130]);
    sound(store);
  });

  test('out again through a second one, so far beyond; less is hidden; beneath again, it is taken off', () => {
    const { store, crossing } = slit();
    laySlit(store, crossing(), { angle: slitLies(crossing())!.angle, away: -30 });
    const before = areaOf(crossing().hidden!);
    comeOut(store, crossing(), 20);
    expect(slitLies(crossing())!.apart).toBeCloseTo(20, 6);
    expect(areaOf(crossing().hidden!) / (20 * 30)).toBeCloseTo(1, 1);
    expect(undoLabel(now(store).history)).toBe('second slit');
    comeOut(store, crossing(), null);
    expect([slitLies(crossing())!.apart, undoLabel(now(store).history)]).toEqual([
      null,
      'take off second slit',
    ]);
    expect(areaOf(crossing().hidden!)).toBeCloseTo(before, 3);
    sound(store);
  });

  test('two at once leave the middle third between them', () => {
    const { store, crossing } = slit();
    cutSecond(store, crossing());
    expect(slitLies(crossing())!.apart).toBeCloseTo(100 / 3, 3);
    expect(areaOf(crossing().hidden!) / areaOf(crossing().area)).toBeCloseTo(1 / 3, 2);
  });

  test('what passes over has no slit to be laid, parted or come out of', () => {
    const store = table();
    const [plain] = crossings(store);
    expect(slitLies(plain!)).toBeNull();
    laySlit(store, plain!, { angle: 0, away: 0 });
    comeOut(store, plain!, 10);
    cutSecond(store, plain!);
    expect(now(store).history.done).toBe(0);
  });
});
