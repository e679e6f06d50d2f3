/**
 * The keyboard of the table over its sheets: what is pressed where, and what comes of it.
 * @alone
 */
import { expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { useRoom } from '@/features/table/room/context';
import { useKeys } from '@/features/table/room/useKeys';
import { Sheets } from '@/features/table/tasks/Sheets';
import { seated } from '../../../../scripts/testing/room';
import { inkPiece } from '../../../../scripts/testing/samples';

function Keyed() {
  useKeys(useRoom().store);
  return <Sheets />;
}

test('what is typed before the list of actions is there is for the list, not for the table', async () => {
  const room = await seated(<Keyed />, [inkPiece('a')], ['a']);
  fireEvent.keyDown(document.body, { key: 'k', ctrlKey: true });
  // P would open the punches, M mirror the piece, Delete take it away.
  for (const key of ['p', 'm', 'Backspace', 'a', 'g', 'e', 'Delete'])
    fireEvent.keyDown(document.body, { key });
  const field = await screen.findByRole<HTMLInputElement>('combobox', { name: 'What shall be done?' });
  expect(field.value).toBe('page');
  expect(screen.getAllByRole('option')[0]!.textContent).toMatch(/page/i);
  expect(room.store.getState().sheet).toBe('actions');
  expect(room.piece('a').placement.mirror).toBe(false);
});

/** The table with what keys may belong to instead of it. */
const Around = () => (
  <>
    <div data-testid="stage" tabIndex={-1} />
    <aside>
      <input aria-label="Width" />
      <button type="button">A button</button>
      <div role="group" data-own-arrows>
        <button type="button">A dot</button>
      </div>
      <input type="range" aria-label="How much" />
    </aside>
    <div role="listbox">
      <div role="option" tabIndex={0} aria-selected={false}>
        A supply
      </div>
    </div>
    <Keyed />
  </>
);
const keyed = async () => {
  const room = await seated(<Around />, [inkPiece('a', 100, 100), inkPiece('b', 200, 100)], ['a']);
  return {
    ...room,
    key: (key: string, at: Element = document.body, more = {}) =>
      room.does(() => void fireEvent.keyDown(at, { key, ...more })),
    x: () => room.piece('a').placement.x,
  };
};

test('a key is the table’s but where it means something else: in fields, lists, sliders, on dots and buttons', async () => {
  const { key, x, store } = await keyed();
  const begun = x();
  key('ArrowRight');
  expect(x()).toBeGreaterThan(begun);
  key('ArrowLeft');
  for (const at of [
    screen.getByRole('textbox', { name: 'Width' }),
    screen.getByRole('slider', { name: 'How much' }),
    screen.getByRole('button', { name: 'A dot' }),
    screen.getByRole('option', { name: 'A supply' }),
  ]) {
    key('ArrowRight', at);
    expect(x()).toBe(begun);
  }
  // A letter on a dot is the table's, as its arrows are not; in a field and on a slider it is neither.
  key('m', screen.getByRole('textbox', { name: 'Width' }));
  key('m', screen.getByRole('slider', { name: 'How much' }));
  expect(store.getState().history.done).toBe(1);
  key('m', screen.getByRole('button', { name: 'A dot' }));
  expect(store.getState().history.done).toBe(2);
  // What is held with Ctrl is the table's on a slider, too; a button keeps its own Enter.
  key('z', screen.getByRole('slider', { name: 'How much' }), { ctrlKey: true });
  expect(store.getState().history.done).toBe(1);
  key('Enter', screen.getByRole('button', { name: 'A button' }));
  expect([store.getState().mode.kind, x()]).toEqual(['pick', begun]);
});

test('Escape leads out of a field to the page, where what is selected stays', async () => {
  const { key, store, when } = await keyed();
  const field = screen.getByRole('textbox', { name: 'Width' });
  field.focus();
  key('Escape', field);
  await when(() => document.activeElement === screen.getByTestId('stage'));
  expect(store.getState().selection).toEqual(['a']);
  key('Escape', screen.getByTestId('stage'));
  expect(store.getState().selection).toEqual([]);
});

test('the page is seen as it was for as long as O is held, and no longer when the window is left', async () => {
  const { key, does, store } = await keyed();
  const compared = () => store.getState().compared !== null;
  key('o');
  // Nothing was done yet.
  expect(compared()).toBe(false);
  key('ArrowRight');
  key('o');
  expect(compared()).toBe(true);
  screen.getByText('The page as it was before.');
  does(() => void fireEvent.keyUp(document.body, { key: 'Shift' }));
  expect(compared()).toBe(true);
  does(() => void fireEvent.keyUp(document.body, { key: 'o' }));
  expect(compared()).toBe(false);
  key('o');
  does(() => void window.dispatchEvent(new Event('blur')));
  expect(compared()).toBe(false);
});

test('what is typed while words are begun is written, whatever has the focus; in the panel it is not', async () => {
  const { key, does, store, pile } = await keyed();
  key('j');
  const words = () => pile().flatMap(({ outline }) => ('text' in outline ? outline.text : []));
  expect([store.getState().mode.kind, words()]).toEqual(['write', ['']]);
  for (const one of ['S', 'e', 'a', 'Enter', 'z']) key(one, screen.getByRole('button', { name: 'A button' }));
  expect(words()).toEqual(['Sea\nz']);
  // Marked, it is written over.
  does(() => {
    const { mode, setMode } = store.getState();
    if (mode.kind === 'write') setMode({ ...mode, range: [0, 3] });
  });
  key('T');
  expect(words()).toEqual(['T\nz']);
  expect(store.getState().mode).toMatchObject({ range: [1, 1] });
});
