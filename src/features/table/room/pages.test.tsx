/** Pages at the table's edge: turned to, added, copied, put in order, locked and deleted; each is one step. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { begun } from '@/core/project/sides';
import { beginProduct } from '@/core/product';
import { newProject } from '@/core/project/model';
import { PageTabs } from '@/features/table/room/PageTabs';
import { seated, seatedAt, type Seated } from '../../../../scripts/testing/room';
import { inkPiece } from '../../../../scripts/testing/samples';

const tabs = () =>
  within(screen.getByRole('navigation', { name: 'Pages' }))
    .getAllByRole('button')
    .filter((one) => !/^(What to do|Add a|Hold it)/.test(one.getAttribute('aria-label')!));
const names = () => tabs().map((tab) => tab.getAttribute('aria-label'));
const here = () => tabs().findIndex((tab) => tab.getAttribute('aria-current') === 'page');
const ids = (room: Seated) => room.project().surfaces.map(({ id }) => id);
const menu = async (room: Seated, item: string | RegExp) => {
  await room.press('What to do with this page');
  fireEvent.click(await screen.findByRole('menuitem', { name: item }));
};

test('a page comes after the one that is shown, empty or as a copy, and is shown; deleted, its neighbour is', async () => {
  const room = await seated(<PageTabs />, [inkPiece('a')]);
  expect(names()).toEqual(['Page 1']);
  await room.press('Add a page');
  expect([names(), here(), room.pile().length]).toEqual([['Page 1', 'Page 2'], 1, 0]);
  expect(room.undo()).toBe('add page');
  fireEvent.click(tabs()[0]!);
  await menu(room, 'Copy Page 1');
  expect([names(), here(), room.pile().length]).toEqual([['Page 1', 'Page 2', 'Page 3'], 1, 1]);
  // A copy is not the same piece.
  expect(room.pile()[0]!.id).not.toBe('a');
  await menu(room, 'Delete Page 2');
  expect(names()).toEqual(['Page 1', 'Page 2']);
  room.does(() => room.store.getState().undo());
  expect(names()).toHaveLength(3);
});

test('pages change places by the menu; the first goes before none, and the last one there is stays', async () => {
  const room = await seated(<PageTabs />, []);
  const [first] = ids(room);
  await room.press('Add a page');
  const [, second] = ids(room);
  await menu(room, 'Move it before Page 1');
  expect(ids(room)).toEqual([second, first]);
  expect([here(), names()]).toEqual([0, ['Page 1', 'Page 2']]);
  await room.press('What to do with this page');
  await screen.findByRole('menuitem', { name: 'Move it after Page 2' });
  expect(screen.queryByRole('menuitem', { name: /^Move it before/ })).toBeNull();
  fireEvent.click(screen.getByRole('menuitem', { name: 'Delete Page 1' }));
  await room.press('What to do with this page');
  const last = await screen.findByRole('menuitem', { name: 'Delete Page 1' });
  expect(last.getAttribute('aria-disabled')).toBe('true');
});

test('several are chosen one by one or in a run, and locked or copied together', async () => {
  const room = await seated(<PageTabs />, [inkPiece('a')]);
  for (let i = 0; i < 3; i++) await room.press('Add a page');
  fireEvent.click(tabs()[0]!);
  fireEvent.click(tabs()[2]!, { ctrlKey: true });
  expect(names().map((name) => /chosen too/.test(name!))).toEqual([false, false, true, false]);
  await menu(room, 'Lock these 2 pages');
  expect(room.project().surfaces.map(({ locked }) => Boolean(locked))).toEqual([true, false, true, false]);
  room.does(() => room.store.getState().undo());
  fireEvent.click(tabs()[1]!);
  fireEvent.click(tabs()[3]!, { shiftKey: true });
  await menu(room, 'Delete these 3 pages');
  expect(names()).toEqual(['Page 1']);
  room.does(() => room.store.getState().undo());
  expect(names()).toHaveLength(4);
});

test('a locked page says so in its name, and is unlocked from there', async () => {
  const room = await seated(<PageTabs />, [inkPiece('a')]);
  await menu(room, 'Lock Page 1');
  expect(room.project().surfaces[0]!.locked).toBe(true);
  expect(names()[0]).toMatch(/locked/);
  await menu(room, 'Unlock Page 1');
  expect(room.project().surfaces[0]!.locked).toBeFalsy();
});

test('a card has the sides it has: none is added or moved, an envelope comes and goes, it is held in the hand', async () => {
  const product = beginProduct('card', { width: 360, height: 504 });
  const room = await seatedAt(
    <PageTabs />,
    begun(newProject({ id: 'c', title: 'Thanks', unit: 'in' }, product)),
  );
  expect(names()).toEqual(['Outside', 'Inside']);
  expect(screen.queryByRole('button', { name: /^Add a/ })).toBeNull();
  await menu(room, 'An envelope that fits');
  expect(names().slice(0, 2)).toEqual(['Outside', 'Inside']);
  expect(names().length).toBeGreaterThan(2);
  await menu(room, 'Take away: an envelope that fits');
  expect(names()).toEqual(['Outside', 'Inside']);
  await room.press(/^Hold it in the hand/);
  expect(room.store.getState().sheet).toBe('held');
});
