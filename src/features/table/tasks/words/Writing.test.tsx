/** Writing on the page: where the caret stands and what is marked, by hand and keys; lists, living words, undo, and how it ends. */
import { beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { apply, compose } from '@/core/geometry/matrix';
import { isWritten } from '@/core/piece/outline';
import type { GlyphsOutline } from '@/core/piece/outline/glyphs';
import { writtenOn } from '@/core/piece/outline/written';
import type { Piece } from '@/core/piece/piece';
import { placementMatrix } from '@/core/piece/placement/placement';
import { MOST_LETTERS } from '@/core/text/style';
import { setFact } from '@/core/project/edits/facts';
import { runAlong } from '@/features/table/acts';
import { Writing } from '@/features/table/tasks/words/Writing';
import { seated } from '../../../../../scripts/testing/room';
import { inkPiece, wordsOf } from '../../../../../scripts/testing/samples';

beforeEach(() => {
  Element.prototype.setPointerCapture ??= () => {};
});

/** Words in a family that has bold and italic letters. */
const inFamily = (words: Piece, family: string): Piece => ({
  ...words,
  outline: { ...(words.outline as GlyphsOutline), family },
});

async function writing(piece: Piece) {
  const room = await seated(
    <>
      <div data-testid="stage" tabIndex={-1} />
      <button type="button">Elsewhere</button>
      <div data-about>
        <button type="button">In the panel</button>
      </div>
      <Writing />
    </>,
    [inkPiece('ground', 0, 0, 432, 288), piece],
    [piece.id],
  );
  const { store } = room;
  const begin = () => room.does(() => store.getState().setMode({ kind: 'write', id: piece.id }));
  begin();
  const field = () => screen.getByRole<HTMLTextAreaElement>('textbox');
  const outline = () => room.piece(piece.id).outline as GlyphsOutline;
  const mode = () => store.getState().mode;
  const range = () => {
    const now = mode();
    return now.kind === 'write' ? now.range : null;
  };
  /** Where on the stage the caret stands before this letter. */
  const at = (letter: number) => {
    const { outline: now, placement } = room.piece(piece.id);
    if (!isWritten(now)) throw new Error('These are no words.');
    const { frame, box } = writtenOn(now, placement, store.getState().typesetter).caretAt(letter);
    const { x, y } = apply(compose(placementMatrix(placement), frame), {
      x: box.x,
      y: box.y + box.height / 2,
    });
    const { view } = store.getState();
    return { clientX: view.x + x * view.zoom, clientY: view.y + y * view.zoom, pointerId: 1 };
  };
  const words = () => room.container.querySelector('svg rect[style*="cursor"]')!;
  return {
    ...room,
    field,
    mode,
    range,
    begin,
    text: () => outline().text,
    outline,
    press: (letter: number, more = {}) => fireEvent.pointerDown(words(), { ...at(letter), ...more }),
    drag: (letter: number) => fireEvent.pointerMove(words(), at(letter)),
    release: () => fireEvent.pointerUp(words()),
    double: (letter: number) => fireEvent.doubleClick(words(), at(letter)),
    key: (key: string, more = {}) => fireEvent.keyDown(field(), { key, ...more }),
    /** As somebody moves the caret by the browser's own keys. */
    select(from: number, to = from) {
      field().setSelectionRange(from, to);
      fireEvent.mouseUp(field());
    },
    write: (value: string) => fireEvent.change(field(), { target: { value } }),
  };
}

test('the caret begins after the last letter; a press puts it elsewhere, a stroke marks, Shift marks on, two presses take a word', async () => {
  const { field, range, press, drag, release, double } = await writing(wordsOf('w', 'Wind’s up, says Iñés.'));
  expect([document.activeElement, range()]).toEqual([field(), [21, 21]]);
  press(5);
  expect(range()).toEqual([5, 5]);
  drag(9);
  expect(range()).toEqual([5, 9]);
  drag(2);
  expect([range(), field().selectionDirection]).toEqual([[2, 5], 'backward']);
  release();
  drag(15);
  expect(range()).toEqual([2, 5]);
  press(11);
  press(15, { shiftKey: true });
  expect(range()).toEqual([11, 15]);
  release();
  // An apostrophe and accents are of the word.
  double(2);
  expect(range()).toEqual([0, 6]);
  double(18);
  expect(range()).toEqual([16, 20]);
  expect([field().selectionStart, field().selectionEnd]).toEqual([16, 20]);
});

test('a list goes on with its next mark and number; an item left empty ends it', async () => {
  const { field, key, write, text, select } = await writing(wordsOf('w', '• kites\n7. bread'));
  key('Enter');
  expect(text()).toBe('• kites\n7. bread\n8. ');
  write(`${field().value}salt`);
  select(field().value.length);
  key('Enter');
  key('Enter');
  expect(text()).toBe('• kites\n7. bread\n8. salt\n');
  select(7);
  key('Enter');
  expect(text()).toBe('• kites\n• \n7. bread\n8. salt\n');
  // In the middle of a line that is no item the browser does what it does.
  write('plain words');
  select(5);
  expect(key('Enter')).toBe(true);
  expect(text()).toBe('plain words');
});

test('what lives is stood before or after, and marked whole before it is taken away', async () => {
  const field = { kind: 'fact' as const, fact: 'name' };
  const living: Piece = wordsOf('w', 'For Ada, with love');
  const outline = { ...(living.outline as GlyphsOutline), spans: [{ start: 4, end: 7, field }] };
  const room = await writing({ ...living, outline } as Piece);
  const { select, range, key, text, write, container } = room;
  room.does(() =>
    room.store.getState().perform(setFact({ id: 'name', name: 'Name', kind: 'words', value: 'Ada' })),
  );
  expect(container.querySelectorAll('[data-living]')).toHaveLength(1);
  select(2);
  select(5);
  expect(range()).toEqual([7, 7]);
  select(6);
  expect(range()).toEqual([4, 4]);
  select(2, 5);
  expect(range()).toEqual([2, 7]);
  select(7);
  expect(key('Backspace')).toBe(false);
  expect([range(), text()]).toEqual([[4, 7], 'For Ada, with love']);
  select(4);
  expect(key('Delete')).toBe(false);
  expect(range()).toEqual([4, 7]);
  // Marked, it goes by one key.
  expect(key('Backspace')).toBe(true);
  write('For , with love');
  expect(text()).toBe('For , with love');
  expect(room.outline().spans ?? []).toEqual([]);
});

test('undo and redo step through what was written; bold and italic are what is marked; letters no font has are marked', async () => {
  const { key, write, text, select, outline, container, range, field } = await writing(
    inFamily(wordsOf('w', 'sea', 18, 300), 'lora'),
  );
  write('sea and 漢');
  expect(container.querySelectorAll('path[stroke="#b26a00"]').length).toBeGreaterThan(0);
  select(1);
  // One goes on writing where the words changed.
  key('z', { ctrlKey: true });
  expect([text(), range(), field().selectionStart]).toEqual(['sea', [3, 3], 3]);
  expect(container.querySelectorAll('path[stroke="#b26a00"]')).toHaveLength(0);
  key('Z', { ctrlKey: true, shiftKey: true });
  expect([text(), range()]).toEqual(['sea and 漢', [9, 9]]);
  select(4, 7);
  key('b', { metaKey: true });
  expect(outline().spans).toMatchObject([{ start: 4, end: 7, bold: true }]);
  key('i', { ctrlKey: true });
  expect(outline().spans).toMatchObject([{ start: 4, end: 7, bold: true, italic: true }]);
  key('b', { ctrlKey: true });
  expect(outline().spans).toMatchObject([{ start: 4, end: 7, italic: true }]);
  expect(range()).toEqual([4, 7]);
});

test('more than a piece holds is told when it is pasted', async () => {
  const { field, store } = await writing(wordsOf('w', 'A'));
  const paste = (letters: number) =>
    fireEvent.paste(field(), { clipboardData: { getData: () => 'x'.repeat(letters) } });
  paste(MOST_LETTERS - 1);
  expect(store.getState().refused).toBeNull();
  paste(MOST_LETTERS + 6);
  expect(store.getState().refused?.why).toMatch(/holds up to [\d,]+ letters; the last 7 of what was pasted/);
});

test('Escape ends it, with the page in hand; leaving for the panel does not; words left empty go, and come back by undo', async () => {
  const room = await writing(wordsOf('w', 'Bay'));
  const { mode, key, begin, field, write, pile, does, store } = room;
  does(() => screen.getByRole('button', { name: 'In the panel' }).focus());
  fireEvent.blur(field(), { relatedTarget: screen.getByRole('button', { name: 'In the panel' }) });
  expect(mode().kind).toBe('write');
  key('Escape');
  expect(mode().kind).toBe('pick');
  expect(document.activeElement).toBe(screen.getByTestId('stage'));
  expect(screen.queryByRole('textbox')).toBeNull();
  begin();
  fireEvent.blur(field(), { relatedTarget: screen.getByRole('button', { name: 'Elsewhere' }) });
  expect(mode().kind).toBe('pick');
  begin();
  write('  ');
  key('Escape');
  expect(pile().map(({ id }) => id)).toEqual(['ground']);
  does(() => store.getState().undo());
  expect(pile().map(({ id }) => id)).toContain('w');
});

test('words along an outline end by Enter; they stay one line whatever is pasted into them', async () => {
  const room = await seated(<Writing />, [inkPiece('a', 100, 80, 200, 120)], ['a']);
  room.does(() => void runAlong(room.store));
  const field = await screen.findByRole('textbox', { name: 'Words along the outline' });
  fireEvent.change(field, { target: { value: 'round\nand  \n round' } });
  const written = () => room.pile().map(({ outline }) => ('text' in outline ? outline.text : ''));
  expect(written()).toContain('round and round');
  fireEvent.keyDown(field, { key: 'Enter' });
  expect([room.store.getState().mode.kind, written()]).toEqual([
    'pick',
    expect.arrayContaining(['round and round']),
  ]);
});
