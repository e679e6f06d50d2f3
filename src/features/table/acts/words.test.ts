/** At the room with words: lists, and boxes that keep their height or grow. */
import fc from 'fast-check';
import { listMark } from '@/core/text/lists';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import type { Span } from '@/core/text/style';
import { startHistory, undoLabel } from '@/core/project/history';
import * as act from '@/features/table/acts';
import { createSession, shownSurface, type SessionStore } from '@/features/table/session';
import { nodeTypesetter } from '../../../../scripts/node/platform';
import { laid, wordsOf } from '../../../../scripts/testing/samples';

const typesetter = await nodeTypesetter();
/** Words on a page; `spans` are letters of their own. */
function table(text: string, spans?: readonly Span[], width = 200): SessionStore {
  const words = wordsOf('w', text, 18, width);
  const piece = { ...words, outline: { ...words.outline, ...(spans ? { spans } : {}) } as GlyphsOutline };
  return createSession(startHistory(laid([piece])), typesetter, false);
}
const piece = (store: SessionStore) => shownSurface(store.getState()).pile[0]!;
const outline = (store: SessionStore) => piece(store).outline as GlyphsOutline;
const text = (store: SessionStore) => outline(store).text;

describe('lists', () => {
  test('every paragraph with words gets its mark; pressed again it is bare; the other kind takes its place', () => {
    const store = table('spools\n\nlines\n  \ntails');
    act.toggleList(store, 'w', 'points');
    expect(text(store)).toBe('• spools\n\n• lines\n  \n• tails');
    expect(outline(store).wrap).toBe(true);
    act.toggleList(store, 'w', 'numbers');
    expect(text(store)).toBe('1. spools\n\n2. lines\n  \n3. tails');
    act.toggleList(store, 'w', 'numbers');
    expect(text(store)).toBe('spools\n\nlines\n  \ntails');
  });

  test('only what is marked, from the paragraph it begins in to the one it ends in', () => {
    const store = table('spools\nlines\ntails\nknots');
    store.getState().setMode({ kind: 'write', id: 'w', range: [9, 14] });
    act.toggleList(store, 'w', 'numbers');
    expect(text(store)).toBe('spools\n1. lines\n2. tails\nknots');
    // The end of one and the beginning of the next, in the other direction.
    store.getState().setMode({ kind: 'write', id: 'w', range: [7, 6] });
    act.toggleList(store, 'w', 'points');
    expect(text(store)).toBe('• spools\n• lines\n2. tails\nknots');
  });

  test('a list that is there in part is made whole, and counted anew', () => {
    const store = table('• spools\nlines\n7) tails');
    act.toggleList(store, 'w', 'points');
    expect(text(store)).toBe('• spools\n• lines\n• tails');
    act.toggleList(store, 'w', 'numbers');
    expect(text(store)).toBe('1. spools\n2. lines\n3. tails');
  });

  test('whatever is written and however it is marked, there and back is what it was, letters of their own with it', () => {
    const words = fc.stringMatching(/^([a-z]{1,6}( [a-z]{1,6})?)?$/);
    const paragraphs = fc
      .array(words, { minLength: 1, maxLength: 6 })
      .filter((all) => all.some((one) => one.trim()));
    fc.assert(
      fc.property(paragraphs, fc.constantFrom('points', 'numbers'), fc.nat(), fc.nat(), (all, kind, a, b) => {
        const before = all.join('\n');
        const [start, end] = [a % before.length, 1 + (b % before.length)].sort((x, y) => x - y) as [
          number,
          number,
        ];
        fc.pre(start < end);
        const span = { start, end, ink: '#9e2b45' };
        const store = table(before, [span]);
        const inked = () =>
          outline(store)
            .spans!.map((one) => text(store).slice(one.start, one.end))
            .join('');
        const red = inked();
        act.toggleList(store, 'w', kind);
        const marked = text(store).split('\n');
        expect(marked.map((line) => line.slice(listMark(line).length))).toEqual(all);
        expect(marked.filter((line) => listMark(line))).toHaveLength(all.filter((one) => one.trim()).length);
        // Every letter that was red still is; marks between them may be, too.
        let from = 0;
        for (const letter of red.replace(/\n/g, '')) {
          from = inked().indexOf(letter, from) + 1;
          expect(from).toBeGreaterThan(0);
        }
        act.toggleList(store, 'w', kind);
        expect(text(store)).toBe(before);
        expect(inked()).toBe(red);
      }),
      { numRuns: 30 },
    );
  });
});

describe('the box', () => {
  test('keeps its height however much is written, and grows again to hold all of it', () => {
    const store = table('Tide out');
    const { height } = piece(store).placement;
    act.fixBox(store, 'w', true);
    expect(undoLabel(store.getState().history)).toBe('keep the box as it is');
    expect([outline(store).fixed, outline(store).wrap, piece(store).placement.height]).toEqual([
      true,
      true,
      height,
    ]);
    act.rewrite(store, 'w', {
      text: 'The wind came round to the south and every kite on the beach went up at once. '.repeat(4),
    });
    expect(piece(store).placement.height).toBe(height);
    act.fixBox(store, 'w', false);
    expect(undoLabel(store.getState().history)).toBe('let the box grow');
    expect(outline(store).fixed).toBeUndefined();
    const { lines, over } = typesetter.set(text(store), outline(store), piece(store).placement.width);
    expect(over).toBeNull();
    expect(piece(store).placement.height).toBeCloseTo(
      lines.reduce((sum, line) => sum + line.height, 0),
      3,
    );
  });

  test('what is no words is left alone', () => {
    const store = table('Tide out');
    const { history } = store.getState();
    act.fixBox(store, 'another', true);
    act.toggleList(store, 'another', 'points');
    expect(store.getState().history).toBe(history);
  });
});
