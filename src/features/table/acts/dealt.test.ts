/** Parts dealt among papers, outlines laid from files, papers cut by the tones of a picture: what lies on the page then, and what is said where it cannot be. */
import type { ReadOutlines } from '@/core/cutter/read/outlines';
import { areaOf } from '@/core/geometry/offset';
import { cutOf, toolsFor } from '@/core/page/outlines';
import type { Piece } from '@/core/piece/piece';
import { readProject, writeProject } from '@/core/project/file';
import { startHistory, undoLabel } from '@/core/project/history';
import { MOST_PIECES } from '@/core/project/schema';
import { dealable, mixedEdit, type Mixed } from '@/features/table/acts/mixing';
import { layOutlines } from '@/features/table/acts/outlines';
import { cutTemplate, layTraced, templateOf } from '@/features/table/acts/templating';
import { aimed } from '@/features/table/acts/aimed';
import { createSession, type SessionStore } from '@/features/table/session';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { assetOf, inkPiece, laid, photoOf, quarters } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const paper = assetOf(quarters(30, 30), 30, 30);
const photo = assetOf(quarters(90, 60), 90, 60);
function table(pieces: readonly Piece[], chosen = pieces.map(({ id }) => id)): SessionStore {
  const store = createSession(startHistory(laid(pieces, [photo, paper])), typesetter, false);
  store.getState().measured({ width: 800, height: 600 }, { zoom: 1, x: 0, y: 0 });
  store.getState().select(chosen);
  return store;
}
const now = (store: SessionStore) => store.getState();
const pile = (store: SessionStore) => now(store).history.project.surfaces[0]!.pile;
const area = (store: SessionStore, piece: Piece) =>
  areaOf(cutOf(piece, toolsFor(now(store).history.project, typesetter)).path);
const sound = (store: SessionStore) => {
  const { project } = now(store).history;
  expect(readProject(writeProject(project))).toEqual({
    ok: true,
    value: JSON.parse(JSON.stringify(project)),
  });
};
const crowd = () => Array.from({ length: MOST_PIECES }, (_, i) => inkPiece(`c${i}`, i % 400, 10, 5, 5));

/** A square of 60 cut into so many bars that hang on nothing. */
const bars = (count: number): Piece => ({
  ...inkPiece('bars', 100, 100, 60, 60),
  name: 'Bars',
  outline: {
    kind: 'path',
    name: 'Bars',
    data: Array.from({ length: count }, (_, i) => `M${i * 12} 0H${i * 12 + 8}V60H${i * 12}Z`).join(''),
  },
});

describe('dealt', () => {
  const inks: Mixed[] = [{ colour: '#111111' }, { colour: '#eeeeee' }];
  const dealtFrom = (store: SessionStore) => {
    const found = dealable(now(store));
    if (!found.ok) throw new Error(found.message);
    return found.value;
  };

  test('the parts of one piece are pieces, each of the other paper by turns; together they are what it was', () => {
    const store = table([bars(4)]);
    const before = area(store, pile(store)[0]!);
    const found = dealtFrom(store);
    expect(found.pieces).toHaveLength(4);
    now(store).perform(mixedEdit(found, inks, 'turn', 0));
    expect(pile(store)).toHaveLength(4);
    expect(pile(store).reduce((sum, piece) => sum + area(store, piece), 0)).toBeCloseTo(before, 1);
    expect(pile(store).map(({ material }) => material.kind === 'ink' && material.colour)).toEqual([
      '#111111',
      '#eeeeee',
      '#111111',
      '#eeeeee',
    ]);
    expect(undoLabel(now(store).history)).toBe('deal 4 parts among 2 papers');
    sound(store);
    now(store).undo();
    expect(pile(store)).toEqual([bars(4)]);
  });

  test('of several pieces each stays where and what it is but for its paper; all mixes together waste nothing', () => {
    const pieces = [0, 1, 2, 3].map((i) => inkPiece(`p${i}`, 100 + 70 * i, 100, 60, 60));
    const each = [0, 1].map((mix) => {
      const store = table(pieces);
      now(store).perform(mixedEdit(dealtFrom(store), [{ paper }, { colour: '#eeeeee' }], 'columns', mix));
      sound(store);
      expect(pile(store).map(({ placement }) => placement)).toEqual(pieces.map(({ placement }) => placement));
      expect(now(store).history.project.papers).toContain(paper.sha);
      return pile(store).map(({ material }) => material.kind);
    });
    each[0]!.forEach((kind, i) => expect(new Set([kind, each[1]![i]])).toEqual(new Set(['paper', 'ink'])));
  });

  test.each([
    ['nothing', () => table([bars(3)], []), /^Select a piece that has several parts, or several pieces/],
    ['what is in one part', () => table([inkPiece('one')]), /^It is in one part: break it up/],
    [
      'what is locked alone',
      () => table([{ ...bars(3), placement: { ...bars(3).placement, locked: true } }]),
      /^Select a piece/,
    ],
  ])('%s is not dealt, and that is said', (_, store, why) => {
    expect(dealable(now(store()))).toMatchObject({ ok: false, message: expect.stringMatching(why) });
  });
});

describe('laid from a file', () => {
  const line = (points: [number, number][], closed: boolean, doing: 'cut' | 'draw' | 'score' = 'cut') => ({
    points: points.map(([x, y]) => ({ x, y })),
    closed,
    doing,
  });
  const square = (x: number, size = 40) =>
    line(
      [
        [x, 0],
        [x + size, 0],
        [x + size, size],
        [x, size],
      ],
      true,
    );
  const read = (...lines: object[]) =>
    ({
      outlines: lines,
      size: { width: 100, height: 60 },
      unit: 'pt',
      said: true,
      dropped: [],
    }) as unknown as ReadOutlines;

  test('as one piece or each by itself in a group, at its true size about a free spot', () => {
    for (const asOne of [true, false]) {
      const store = table([]);
      expect(layOutlines(store, read(square(0), square(60)), 'Two', asOne)).toEqual({
        ok: true,
        value: asOne ? 1 : 2,
      });
      expect(pile(store).reduce((sum, piece) => sum + area(store, piece), 0)).toBeCloseTo(3200, 1);
      expect(now(store).history.project.surfaces[0]!.groups.map(({ name }) => name)).toEqual(
        asOne ? [] : ['Two'],
      );
      expect(now(store).selection).toEqual(pile(store).map(({ id }) => id));
      sound(store);
    }
  });

  test('what is drawn or scored is told the cutter; a level line lies as thin as a file takes, and no longer than it was', () => {
    const store = table([]);
    layOutlines(
      store,
      read(
        square(0),
        line(
          [
            [0, 60],
            [100, 60],
          ],
          false,
          'score',
        ),
      ),
      'Card',
      false,
    );
    const scored = pile(store).find(({ cutter }) => cutter?.as === 'score')!;
    expect(scored.placement.width).toBeCloseTo(100, 1);
    expect(scored.placement.height).toBeLessThan(10);
    expect(pile(store).find(({ cutter }) => !cutter)).toBeDefined();
    sound(store);
  });

  test('a name of any length is cut between its letters; none is a shape', () => {
    const store = table([]);
    layOutlines(store, read(square(0)), `a${'🪁'.repeat(80)}`, true);
    layOutlines(store, read(square(0)), '', true);
    expect(pile(store).map(({ name }) => name.isWellFormed())).toEqual([true, true]);
    expect(pile(store)[1]!.name).toBe('Shape');
    sound(store);
  });

  test('nothing, and what a page has no room for, is said', () => {
    expect(layOutlines(table([]), read(), 'None', true)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^There is nothing in it/),
    });
    const full = table(crowd(), []);
    expect(layOutlines(full, read(square(0), square(60)), 'Two', false)).toEqual({
      ok: false,
      message: `That would be ${MOST_PIECES + 2} pieces; a page holds ${MOST_PIECES}. Lay them as one.`,
    });
  });
});

describe('cut by a picture', () => {
  const template = photoOf('t', photo, { x: 60, y: 60, width: 90, height: 60 });
  const half = { data: 'M0 0H45V60H0Z', share: 0.5, colour: '#333333' };
  const apart = { data: 'M0 0H20V60H0ZM70 0H90V60H70Z', share: 0.4, colour: '#999999' };
  const tones = { tones: [half, apart], width: 90 } as never;

  test('only one picture that is selected is a template', () => {
    expect(templateOf(now(table([template])))?.piece.id).toBe('t');
    expect(templateOf(now(table([inkPiece('i')])))).toBeNull();
    expect(templateOf(now(table([template, inkPiece('i')])))).toBeNull();
  });

  test('an area lies over what of the picture it is of, whatever the picture was looked at in', async () => {
    for (const width of [45, 90, 180]) {
      const store = table([template]);
      const scaled = { data: `M0 0H${width / 2}V${(width * 2) / 3}H0Z`, share: 0.5, colour: '#333333' };
      await cutTemplate(
        aimed(store),
        photo.sha,
        { tones: [scaled], width } as never,
        [{ tone: 0, colour: '#123456' }],
        false,
      );
      const [, fresh] = pile(store);
      expect(area(store, fresh!)).toBeCloseTo(45 * 60, 0);
      expect(fresh!.placement.x).toBeCloseTo(template.placement.x - 22.5, 1);
      expect(pile(store)[0]!.placement.hidden).toBe(true);
      sound(store);
    }
  });

  test('begun anew, each area has a piece of the paper of its own, in a group of its tone', async () => {
    const store = table([template]);
    const both = [
      { tone: 0, colour: '#123456' },
      { tone: 1, paper },
    ];
    expect(await cutTemplate(aimed(store), photo.sha, tones, both, true)).toEqual({ ok: true, value: 3 });
    expect(now(store).history.project.surfaces[0]!.groups.map(({ name }) => name)).toEqual(['Tone 2']);
    expect(
      pile(store)
        .slice(1)
        .map(({ name }) => name),
    ).toEqual(['Tone 1', 'Tone 2, 1', 'Tone 2, 2']);
    expect(now(store).history.project.papers).toContain(paper.sha);
    sound(store);
  });

  test('what was carried off meanwhile, what is empty and what finds no room is said', async () => {
    const store = table([template]);
    const there = aimed(store);
    expect(layTraced(there, photo.sha, { data: '', width: 90 } as never, 'cut')).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^Nothing would be left/),
    });
    expect(await cutTemplate(there, photo.sha, tones, [], false)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^Choose a paper or an ink/),
    });
    now(store).select([]);
    const gone = { ok: false, message: expect.stringMatching(/does not lie on its page any more/) };
    expect(layTraced(aimed(table([inkPiece('i')])), photo.sha, half as never, 'lay')).toMatchObject(gone);
    expect(await cutTemplate(aimed(table([inkPiece('i')])), photo.sha, tones, [], false)).toMatchObject(gone);
    const full = table([...crowd().slice(1), template], ['t']);
    expect(await cutTemplate(aimed(full), photo.sha, tones, [{ tone: 1, paper }], true)).toEqual({
      ok: false,
      message: `That would be ${MOST_PIECES + 2} pieces; a page holds ${MOST_PIECES}. Let each tone stay one piece.`,
    });
  });

  test('traced, it is cut to the outline where it lies, or cardstock of it lies over it', () => {
    for (const how of ['cut', 'lay'] as const) {
      const store = table([template]);
      expect(layTraced(aimed(store), photo.sha, { data: 'M0 0H45V60H0Z', width: 90 } as never, how)).toEqual({
        ok: true,
        value: 1,
      });
      const made = pile(store).at(-1)!;
      expect(area(store, made)).toBeCloseTo(2700, 0);
      expect([pile(store).length, made.material.kind]).toEqual(how === 'cut' ? [1, 'photo'] : [2, 'ink']);
      sound(store);
    }
  });
});
