/** Sheets over the table: what is read in them, and what comes of what is pressed. */
import { describe, expect, jest, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { addPage } from '@/core/project/edits/page';
import { movePieces } from '@/core/project/edits/place';
import type { Piece } from '@/core/piece/piece';
import * as act from '@/features/table/acts';
import { Sheets } from '@/features/table/tasks/Sheets';
import { COMMANDS } from '@/features/table/tasks';
import { obey } from '@/features/table/tasks/command';
import { KeysDialog } from '@/features/table/room/KeysDialog';
import { shownSurface, type SheetName } from '@/features/table/session';
import { fitted } from '@/features/table/stage/hand/view';
import { seated, type Seated } from '../../../../scripts/testing/room';
import { inkPiece, wordsOf } from '../../../../scripts/testing/samples';

async function sheet(
  name: SheetName,
  pieces: readonly Piece[],
  chosen: readonly string[] = [],
): Promise<Seated> {
  const room = await seated(<Sheets />, pieces, chosen);
  room.does(() => room.store.getState().openSheet(name));
  await screen.findByRole('dialog');
  return room;
}
test('rows and columns are laid by number, and stay adjustable; what they come to is said, too many are refused with a reason', async () => {
  const room = await sheet('rows', [inkPiece('a')], ['a']);
  await room.fill('Columns', '4');
  await screen.findByText(/^8 in all/);
  await room.fill('Rows', '3');
  await room.press(/^Lay/);
  expect(room.pile()).toHaveLength(12);
  await room.fill('Rows', '2');
  expect(room.pile()).toHaveLength(8);
  await room.fill('Columns', '0');
  await screen.findByText(/from 1 to 500/i);
  await room.fill('Rows', '6');
  await room.fill('Columns', '500');
  await screen.findByText('That makes 3,000 pieces; up to 2,000 can be made.');
  expect(room.pile().length).toBeLessThanOrEqual(24);
});

test('copies go to the next page in the same place; a locked page says so, and is unlocked from there', async () => {
  const room = await seated(<Sheets />, [inkPiece('a'), inkPiece('b')], ['a', 'b']);
  const { store, project, does } = room;
  const [first] = project().surfaces;
  does(() => store.getState().perform(addPage({ ...first!, id: 'p2', pile: [], groups: [] }, first!.id)));
  does(() => act.copyToNextPage(store));
  expect(room.undo()).toMatch(/^copy 2 pieces to /);
  const [here, there] = project().surfaces.map(({ pile }) => pile.map(({ placement }) => placement));
  expect(there).toEqual(here);
  does(() => act.togglePageLock(store));
  does(() => act.deletePage(store));
  await screen.findByText(/ is locked: nothing on it was changed\.$/);
  expect(room.pile()).toHaveLength(2);
  await room.press('Unlock it');
  await room.when(() => !shownSurface(store.getState()).locked);
});

test('every step is listed by name, the newest first; a press goes there and back', async () => {
  const room = await seated(<Sheets />, [inkPiece('a')]);
  const { surfaceId, perform, openSheet } = room.store.getState();
  room.does(() => {
    perform(movePieces(surfaceId, [room.piece('a')], 72, 0));
  });
  room.does(() => openSheet('steps'));
  const steps = await screen.findByRole('list', { name: 'Steps, newest first' });
  expect(
    within(steps)
      .getAllByRole('button')
      .map(({ textContent }) => textContent),
  ).toEqual([expect.stringContaining('move'), expect.stringContaining('The beginning')]);
  await room.press(/The beginning/);
  expect(room.piece('a').placement.x).toBe(50);
  await room.press(/^move/);
  expect(room.piece('a').placement.x).toBe(122);
});

test('a crowded page says that everything takes longer, once for each page that is so', async () => {
  const many = Array.from({ length: 1500 }, (_, i) => inkPiece(`piece ${i}`));
  const room = await seated(<Sheets />, many);
  await screen.findByText(/holds more than 1,500 pieces: everything takes longer from here on/);
  await room.press('Close');
  await room.when(() => !screen.queryByText(/1,500 pieces/));
  const { surfaceId, perform } = room.store.getState();
  room.does(() => perform(movePieces(surfaceId, [room.piece('piece 7')], 72, 0)));
  expect(screen.queryByText(/1,500 pieces/)).toBeNull();
});

test('no photo for the months: it is said, and the button there chooses files', async () => {
  const room = await seated(<Sheets />, []);
  room.does(() => act.fillMonths(room.store));
  await screen.findByText('No photo waits in the workbox: bring some in first.');
  await room.press('Bring in photos');
  expect(room.store.getState().filesAsked).toBe(1);
});

test('any action is found by typing, and done with what was selected', async () => {
  const room = await sheet('actions', [inkPiece('a'), inkPiece('b', 200)], ['a']);
  const field = screen.getByRole('combobox', { name: 'What shall be done?' });
  fireEvent.change(field, { target: { value: 'mirror left' } });
  expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toEqual([
    'Mirror left to rightM',
  ]);
  fireEvent.keyDown(field, { key: 'Enter' });
  await expect(room.when(() => room.piece('a').placement.mirror)).resolves.toBe(true);
  expect(room.piece('b').placement.mirror).toBe(false);
  expect(room.store.getState().sheet).toBeNull();
});

test('Escape shuts the list of actions; what cannot be done now says why', async () => {
  const room = await sheet('actions', [inkPiece('a')], []);
  const field = screen.getByRole('combobox', { name: 'What shall be done?' });
  fireEvent.change(field, { target: { value: 'mirror left' } });
  const [option] = screen.getAllByRole('option');
  expect(option!.textContent).toContain('Select a piece first.');
  expect(option!.getAttribute('aria-disabled')).toBe('true');
  fireEvent.keyDown(field, { key: 'Escape' });
  expect(room.store.getState().sheet).toBeNull();
});

test('a piece goes under another everywhere at one press, or place by place', async () => {
  const wave = inkPiece('wave', 0, 0, 100, 100, {
    outline: { kind: 'path', name: 'Two crests', data: 'M0 0H20V80H80V0H100V100H0Z' },
  });
  const boat = inkPiece('boat', -10, 20, 120, 20);
  const room = await sheet('tuck', [wave, boat], ['boat']);
  const all = screen.getByRole('group', { name: 'wave' });
  fireEvent.click(within(all).getByRole('button', { name: 'Under' }));
  await room.when(() => room.piece('boat').tucks?.length === 2 || null);
  expect(room.piece('boat').tucks).toHaveLength(2);
  await room.press(/^Place by place/);
  fireEvent.click(
    within(screen.getByRole('group', { name: 'Place 1' })).getByRole('button', { name: 'Over' }),
  );
  expect(room.piece('boat').tucks).toHaveLength(1);
  fireEvent.click(within(all).getByRole('button', { name: 'Over' }));
  expect(room.piece('boat').tucks ?? []).toHaveLength(0);
});

test('a page seen whole stands beside the sheet that opens, and comes back when it shuts', async () => {
  const room = await seated(<Sheets />, [inkPiece('a')], ['a']);
  const stage = { width: 1300, height: 600 };
  const whole = fitted(shownSurface(room.store.getState()), stage);
  room.does(() => room.store.getState().measured(stage, whole));
  room.does(() => room.store.getState().openSheet('tuck'));
  await screen.findByRole('dialog', { name: 'Tuck' });
  const { view } = room.store.getState();
  expect(view.x).toBeGreaterThanOrEqual(360);
  expect(view.x + 432 * view.zoom).toBeLessThanOrEqual(stage.width);
  await room.press('Shut Tuck');
  expect(room.store.getState().view).toEqual(whole);
  // One that was moved by hand stays where it is.
  room.does(() => room.store.getState().look({ ...view, x: 7 }));
  room.does(() => room.store.getState().openSheet('tuck'));
  await screen.findByRole('dialog', { name: 'Tuck' });
  expect(room.store.getState().view.x).toBe(7);
});

test('words are found, counted and replaced on every page, but for what is locked', async () => {
  const still = wordsOf('still', 'A kite that stays');
  still.placement.locked = true;
  const room = await sheet('find', [wordsOf('a', 'Kites and a kite'), still]);
  fireEvent.change(screen.getByRole('textbox', { name: 'Find in all pages' }), { target: { value: 'kite' } });
  await screen.findByText(/^3 found, 1 of them locked\. 8 words/);
  fireEvent.click(screen.getByRole('checkbox', { name: 'Whole words' }));
  await screen.findByText(/^2 found, 1 of them locked\./);
  fireEvent.change(screen.getByRole('textbox', { name: 'Put in its place' }), { target: { value: 'boat' } });
  await room.press('Replace 1');
  expect(room.pile().map(({ outline }) => 'text' in outline && outline.text)).toEqual([
    'Kites and a boat',
    'A kite that stays',
  ]);
});

test('a piece gives others what was ticked, and nothing else', async () => {
  const room = await sheet('match', [inkPiece('a', 0, 0, 100, 50), inkPiece('b', 200)], ['a']);
  fireEvent.click(screen.getByRole('checkbox', { name: 'size' }));
  fireEvent.click(screen.getByRole('checkbox', { name: 'angle' }));
  await room.press('Press the others');
  expect(room.store.getState().matching).toMatchObject({ from: { id: 'a' }, what: ['size'] });
  await screen.findByText(/Press the pieces that shall take over: size\./);
});

test('what one caption is, all captions of the book become, but for page numbers and what is locked', async () => {
  const caption = (id: string, turn = 0, more: Partial<Piece> = {}): Piece => {
    const words = wordsOf(id, id);
    return { ...words, role: 'caption', placement: { ...words.placement, turn }, ...more };
  };
  const number = caption('number');
  const title: Piece = { ...wordsOf('title', 'A title'), role: 'title' };
  const room = await seated(<Sheets />, [caption('a', 12), caption('b'), title], ['a']);
  const [first] = room.project().surfaces;
  const pile = [
    caption('c'),
    {
      ...number,
      outline: { ...number.outline, spans: [{ start: 0, end: 6, field: { kind: 'page' } }] },
    } as Piece,
    caption('d', 0, { placement: { ...number.placement, locked: true } }),
  ];
  room.does(() =>
    room.store.getState().perform(addPage({ ...first!, id: 'p2', pile, groups: [] }, first!.id)),
  );
  room.does(() => room.store.getState().openSheet('match'));
  await room.press('To all 2 like it');
  const turns = room
    .project()
    .surfaces.flatMap((surface) => surface.pile.map(({ id, placement }) => [id, placement.turn]));
  expect(Object.fromEntries(turns)).toEqual({ a: 12, b: 12, title: 0, c: 12, number: 0, d: 0 });
  expect(room.undo()).toBe('match angle of 2 on all pages');
});

test('before and after stand side by side; the earlier one is kept as a page', async () => {
  const room = await seated(<Sheets />, [inkPiece('a')]);
  const { surfaceId, perform, openSheet } = room.store.getState();
  for (const dx of [72, 36]) room.does(() => perform(movePieces(surfaceId, [room.piece('a')], dx, 0)));
  room.does(() => openSheet('versions'));
  await screen.findByRole('img', { name: 'This page now' });
  fireEvent.mouseDown(screen.getByRole('combobox', { name: 'On the left' }));
  fireEvent.click((await screen.findAllByRole('option', { name: /^Before “move/ })).at(-1)!);
  await room.press('Keep the left one as a page');
  expect(room.undo()).toBe('keep version as page');
  const [now, kept] = room.project().surfaces.map(({ pile }) => pile[0]!.placement.x);
  expect(now! - kept!).toBe(108);
});

describe('the list of keys', () => {
  test.each([
    ['cut out', 'Punches'],
    ['month', 'Lay a month'],
    ['curved text', 'Words along an outline'],
    ['send to back', 'To the bottom of the pile'],
    ['transparent', 'How it is finished'],
  ])('finds by a person’s own words: %s', async (words, name) => {
    await seated(<KeysDialog open onClose={() => {}} />, []);
    const wish = await screen.findByRole('searchbox', { name: 'What would you like to do?' });
    fireEvent.change(wish, { target: { value: words } });
    const leads = within(screen.getByRole('list', { name: 'What leads there' })).getAllByRole('button');
    expect(leads.map(({ textContent }) => textContent).join()).toContain(name);
  });

  test('does what was found, and says what to try where nothing is called so', async () => {
    const shut = jest.fn();
    const room = await seated(<KeysDialog open onClose={shut} />, []);
    const wish = await screen.findByRole('searchbox', { name: 'What would you like to do?' });
    fireEvent.change(wish, { target: { value: 'wallpaper' } });
    await screen.findByText(/^Nothing is called so here\./);
    fireEvent.change(wish, { target: { value: 'heading' } });
    fireEvent.keyDown(wish, { key: 'Enter' });
    expect(shut).toHaveBeenCalledTimes(1);
    await room.when(() => room.store.getState().mode.kind === 'write');
    expect(room.pile()).toMatchObject([{ role: 'title' }]);
  });

  test('what needs a piece says so, and one press takes the topmost', async () => {
    const room = await seated(<Sheets />, [inkPiece('low'), inkPiece('top', 200)], []);
    const mirror = COMMANDS.find(({ name }) => name === 'Mirror left to right')!;
    room.does(() => obey(mirror, room.store, new KeyboardEvent('keydown')));
    await room.press('Take the topmost');
    expect(room.store.getState().selection).toEqual(['top']);
    expect(room.piece('top').placement.mirror).toBe(false);
  });

  test('names every key there is, with what it does', async () => {
    await seated(<KeysDialog open onClose={() => {}} />, []);
    const dialog = await screen.findByRole('dialog', { name: 'Keys and how-to' });
    for (const { keys, name, more } of COMMANDS)
      if (keys) expect(dialog.textContent).toContain(more ? `${name}: ${more}` : name);
  });
});
