/** Words along an outline as a person sets them: begun, changed, made to fit, laid in lines again. */
import { sizeFor, setRunning, type RunningOutline } from '@/core/piece/outline/running';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Piece } from '@/core/piece/piece';
import { startHistory, undoLabel } from '@/core/project/history';
import { readProject, writeProject } from '@/core/project/file';
import { changeRunning, fitRepeats, runAlong, straightenWords } from '@/features/table/acts/running';
import { createSession, shownSurface, type SessionStore } from '@/features/table/session';
import { fitted } from '@/features/table/stage/hand/view';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { drawnPiece } from '../../../../scripts/testing/lines';
import { assetOf, CUTS, inkPiece, laid, quarters, wordsOf } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
const asset = assetOf(quarters(63, 43), 63, 43);
function table(pieces: readonly Piece[], readOnly = false): SessionStore {
  const store = createSession(startHistory(laid(pieces, [asset])), typesetter, readOnly);
  const stage = { width: 900, height: 600 };
  store.getState().measured(stage, fitted(shownSurface(store.getState()), stage));
  return store;
}
const now = (store: SessionStore) => store.getState();
const pile = (store: SessionStore) => shownSurface(now(store)).pile;
const last = (store: SessionStore) => pile(store).at(-1)!;
const outlineOf = (store: SessionStore) => last(store).outline as RunningOutline;
const sound = (store: SessionStore) => {
  const { project } = now(store).history;
  expect(readProject(writeProject(project))).toEqual({ ok: true, value: project });
};
const styled = (piece: Piece, change: Partial<GlyphsOutline>): Piece => ({
  ...piece,
  outline: { ...piece.outline, ...change } as GlyphsOutline,
});

describe('begun', () => {
  test('with nothing selected they go round a circle in the middle, and what stands there for them is marked', () => {
    const store = table([]);
    runAlong(store);
    const { placement, outline } = last(store);
    expect(outline).toMatchObject({ kind: 'running', base: { kind: 'ellipse' }, text: 'around and around' });
    expect(placement.width).toBe(placement.height);
    expect([placement.x, placement.y]).toEqual([216, 144]);
    expect(now(store).mode).toMatchObject({ kind: 'write', range: [0, 'around and around'.length] });
    sound(store);
  });

  test.each(CUTS.map((cut) => [cut.kind === 'punch' ? cut.punch : cut.kind, cut] as const))(
    'along a %s they lie where it lies, which stays as it is',
    (_, outline) => {
      const shape = {
        ...inkPiece('s', 60, 50, 120, 90),
        outline,
        placement: { ...inkPiece('s', 60, 50, 120, 90).placement, turn: 17, locked: true },
      };
      const store = table([shape]);
      now(store).select(['s']);
      runAlong(store);
      expect(pile(store)[0]).toEqual(shape);
      expect(outlineOf(store).base).toEqual(outline);
      expect(last(store).placement).toEqual({ ...shape.placement, locked: false });
      expect(now(store).selection).toEqual([last(store).id]);
      sound(store);
    },
  );

  test('words that are selected with it are those: in their letters and ink, in one step, and they are gone from where they were', () => {
    const words = styled(wordsOf('w', '  Low tide \n', 22), { family: 'lora', bold: true });
    const store = table([inkPiece('s', 60, 50, 120, 90), words]);
    now(store).select(['s', 'w']);
    runAlong(store);
    expect(pile(store).map(({ id }) => id)).toEqual(['s', last(store).id]);
    expect(outlineOf(store)).toMatchObject({ text: 'Low tide', family: 'lora', bold: true, size: 22 });
    expect(last(store).material).toEqual(words.material);
    expect(now(store).mode.kind).toBe('pick');
    expect(undoLabel(now(store).history)).toBe('run words along an outline');
    now(store).undo();
    expect(pile(store).map(({ id }) => id)).toEqual(['s', 'w']);
  });

  test('what lives in them lives on where it stands now; what is cut off does not', () => {
    const field = { kind: 'title' } as const;
    const words = styled(wordsOf('w', '  by Kites '), {
      spans: [
        { start: 5, end: 10, field },
        { start: 10, end: 11, field },
      ],
    });
    const store = table([words]);
    now(store).select(['w']);
    runAlong(store);
    const { text, spans } = outlineOf(store);
    // It says what is so now.
    expect([text, spans]).toEqual(['by A sample', [{ start: 3, end: 11, field }]]);
    sound(store);
  });

  test('what is drawn or written gives no outline to run along; another tab changes nothing', () => {
    const store = table([drawnPiece('d', asset.sha)]);
    now(store).select(['d']);
    runAlong(store);
    expect(outlineOf(store).base).toEqual({ kind: 'ellipse' });
    const other = table([inkPiece('s')], true);
    now(other).select(['s']);
    runAlong(other);
    expect(pile(other)).toHaveLength(1);
  });
});

describe('changed', () => {
  const running = () => {
    const store = table([inkPiece('s', 60, 50, 160, 120)]);
    now(store).select(['s']);
    runAlong(store);
    return store;
  };
  const set = (store: SessionStore) => setRunning(outlineOf(store), last(store).placement, typesetter);

  test('each setting is a step, and taken back', () => {
    const store = running();
    const before = outlineOf(store);
    for (const change of [
      { side: 'inside' },
      { clockwise: false },
      { start: 0.4 },
      { corners: 'round' },
      { gap: 9 },
    ] as const) {
      changeRunning(store, last(store).id, change);
      expect(outlineOf(store)).toMatchObject(change);
    }
    for (let i = 0; i < 5; i++) now(store).undo();
    expect(outlineOf(store)).toEqual(before);
    changeRunning(store, 's', { gap: 3 });
    expect(now(store).history.done).toBe(1);
  });

  test.each([1, 2, 3, 5])(
    'made to stand there %d times, they do, and nothing is added between their letters',
    (repeats) => {
      const store = running();
      fitRepeats(store, last(store).id, repeats);
      const { repeats: found, spread } = set(store);
      expect(found).toBe(repeats);
      expect(Math.abs(spread)).toBeLessThan(0.02 * outlineOf(store).size);
      sound(store);
    },
  );

  test('so many times that letters would be too small, they are as small as letters may be', () => {
    const store = running();
    fitRepeats(store, last(store).id, 4000);
    expect(outlineOf(store).size).toBe(4);
    fitRepeats(store, 's', 2);
    expect(pile(store)[0]).toEqual(inkPiece('s', 60, 50, 160, 120));
  });

  test('words written in lines go on from line to line, and are measured so', () => {
    const store = running();
    changeRunning(store, last(store).id, { text: 'kites and\n  boats\nand buoys' });
    const plain = { ...outlineOf(store), text: 'kites and boats and buoys' };
    const { placement } = last(store);
    expect(sizeFor(outlineOf(store), 3, placement, typesetter)).toBeCloseTo(
      sizeFor(plain, 3, placement, typesetter),
      6,
    );
    fitRepeats(store, last(store).id, 2);
    expect(set(store).repeats).toBe(2);
    // Where a side ends its space is left out.
    const said = set(store)
      .runs.flatMap(({ glyphs }) => glyphs.map(({ text }) => text))
      .join('')
      .replace(/\s/g, '');
    expect(said).toContain('kitesandboatsandbuoys');
  });
});

test('laid in lines again they are the same words in the same letters, and come back by undo', () => {
  const store = table([styled(wordsOf('w', 'Low tide', 22), { family: 'lora' })]);
  now(store).select(['w']);
  runAlong(store);
  const before = last(store);
  straightenWords(store, before.id);
  expect(last(store).outline).toMatchObject({
    kind: 'glyphs',
    text: 'Low tide',
    family: 'lora',
    size: 22,
    wrap: false,
  });
  expect(last(store).placement.width).toBeGreaterThan(60);
  expect(last(store).placement.height).toBeGreaterThan(20);
  sound(store);
  now(store).undo();
  expect(last(store)).toEqual(before);
  straightenWords(store, 'nobody');
  expect(last(store)).toEqual(before);
});
