/** The pile from the side, and the list of what lies under a spot: taking hold of one beneath, of a run, of a group; names. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { groupPieces } from '@/core/project/edits/group';
import { PeekList } from '@/features/table/stage/marks/PeekList';
import { Pile } from '@/features/table/tasks/pile/Pile';
import { seated } from '../../../../../scripts/testing/room';
import { inkPiece } from '../../../../../scripts/testing/samples';

const PILE = ['lowest', 'between', 'top'].map((id, i) => inkPiece(id, 100 + 4 * i, 100, 80, 80));
const slabs = () =>
  within(screen.getByRole('list', { name: 'Pieces, top first' }))
    .getAllByRole('button')
    .filter((slab) => slab.hasAttribute('aria-pressed'));
const slab = (name: string) => slabs().find((one) => one.textContent!.includes(name))!;
const pressed = () =>
  slabs().flatMap((one) => (one.getAttribute('aria-pressed') === 'true' ? one.textContent : []));

const pile = (pieces = PILE) => seated(<Pile thumbs={new Map()} />, pieces);

test('the topmost comes first; one is taken, one more with Ctrl, a run with Shift', async () => {
  const { store } = await pile([...PILE, inkPiece('aside', 300)]);
  expect(slabs().map(({ textContent }) => textContent)).toEqual(['aside', 'top', 'between', 'lowest']);
  fireEvent.click(slab('top'));
  fireEvent.click(slab('aside'), { ctrlKey: true });
  expect(store.getState().selection).toEqual(['top', 'aside']);
  fireEvent.click(slab('aside'), { ctrlKey: true });
  expect(pressed()).toEqual(['top']);
  fireEvent.click(slab('lowest'), { shiftKey: true });
  expect(pressed()).toEqual(['top', 'between', 'lowest']);
});

test('taking hold of one draws no slab anew but those it means', async () => {
  const aside = inkPiece('aside', 300);
  let drawn = 0;
  const { height } = aside.finish.lift;
  Object.defineProperty(aside.finish.lift, 'height', { get: () => ((drawn += 1), height), enumerable: true });
  await pile([...PILE, aside]);
  const before = drawn;
  fireEvent.click(slab('top'));
  expect([pressed(), before > 0, drawn]).toEqual([['top'], true, before]);
});

test('a name is changed in place; none is none, and Escape leaves it', async () => {
  const { piece, undo } = await pile();
  const write = (text: string, key: string) => {
    fireEvent.keyDown(slabs()[0]!, { key: 'F2' });
    const field = screen.getByRole('textbox', { name: 'New name of top' });
    fireEvent.change(field, { target: { value: text } });
    fireEvent.keyDown(field, { key });
  };
  write('   ', 'Enter');
  write('Far away', 'Escape');
  expect([piece('top').name, undo()]).toEqual(['top', null]);
  write('Far away', 'Enter');
  expect(piece('top').name).toBe('Far away');
  expect(undo()).toMatch(/^rename/);
});

test('what is hidden and locked says so in its name; the tools of a slab change it', async () => {
  const room = await pile();
  await room.press('Hide top');
  await room.press('Lock between');
  expect(slabs().map((one) => one.getAttribute('aria-label'))).toEqual([
    'top, embellishment, hidden',
    'between, embellishment, locked',
    'lowest, embellishment',
  ]);
  await room.press('Show top');
  expect(room.piece('top').placement.hidden).toBe(false);
});

test('a group is one slab, which unfolds; one within it is taken, and the group is open then', async () => {
  const { store, does, press } = await pile();
  const { surfaceId, perform } = store.getState();
  does(() => perform(groupPieces(surfaceId, PILE.slice(0, 2), { id: 'g', name: 'Two of them' }, null)));
  expect(slabs()).toHaveLength(2);
  fireEvent.click(slab('Two of them'));
  expect(store.getState()).toMatchObject({ selection: ['lowest', 'between'], entered: null });
  await press('Unfold Two of them');
  fireEvent.click(slab('lowest'));
  expect(store.getState()).toMatchObject({ selection: ['lowest'], entered: 'g' });
});

test('all that lies under a spot is listed, the topmost first; arrows and Enter take one beneath', async () => {
  const { store, does } = await seated(<PeekList />, [...PILE, inkPiece('aside', 300)]);
  const { zoom, x, y } = store.getState().view;
  does(() => store.getState().peekAt({ x: x + 140 * zoom, y: y + 140 * zoom }));
  const list = screen.getByRole('dialog', { name: 'What lies here, top first' });
  const rows = within(list).getAllByRole('button');
  expect(rows.map(({ textContent }) => textContent)).toEqual([
    expect.stringMatching(/^top1\.11 x 1\.11 in/),
    expect.stringMatching(/^between/),
    expect.stringMatching(/^lowest/),
  ]);
  fireEvent.keyDown(rows[0]!, { key: 'ArrowDown' });
  expect(document.activeElement).toBe(rows[1]);
  fireEvent.click(document.activeElement!);
  expect(store.getState().selection).toEqual(['between']);
  does(() => store.getState().peekAt({ x: 0, y: 0 }));
  screen.getByText('Nothing lies here');
  fireEvent.keyDown(screen.getByRole('dialog'), { key: 'Escape' });
  expect(screen.queryByRole('dialog')).toBeNull();
});
