/** The bar above the table and what is told beneath it: a title, steps back by name, zooms, what is shown, and where the project is kept. */
import { expect, jest, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { retitle } from '@/core/project/edits/gather';
import { RoomAlerts } from '@/features/table/room/RoomAlerts';
import { TopBar } from '@/features/table/room/TopBar';
import { TRUE_SIZE } from '@/features/table/session/screen';
import { seated, seatedAt } from '../../../../scripts/testing/room';
import { inkPiece, laid } from '../../../../scripts/testing/samples';

const bar = (readOnly = false) =>
  seatedAt(<TopBar onMake={() => {}} onSaveFile={() => {}} />, laid([inkPiece('a')]), [], { readOnly });
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name });
/** Opens a menu of the bar; answers with what is pressed in it. */
const menu = async (name: string | RegExp) => {
  fireEvent.click(button(name));
  const open = await screen.findByRole('menu');
  return (item: string | RegExp) => {
    const [found] = within(open).queryAllByRole('menuitem', { name: item });
    fireEvent.click(found ?? within(open).getByRole('menuitemcheckbox', { name: item }));
  };
};

test('a title is written letter by letter as one step, told by name, and taken back; another cannot write it', async () => {
  const room = await bar();
  expect([button('Undo').disabled, button('Redo').disabled]).toEqual([true, true]);
  const title = room.field('Project title');
  for (const text of ['K', 'Ki', 'Kite', 'Kites ×'.repeat(60)])
    fireEvent.change(title, { target: { value: text } });
  // No longer than a title may be.
  expect(room.project().title).toHaveLength(200);
  fireEvent.click(button(/^Undo ./));
  expect(room.project().title).toBe('A sample');
  fireEvent.click(button(/^Redo ./));
  expect(room.project().title).toHaveLength(200);
  room.unmount();
  const other = await bar(true);
  expect(other.field('Project title').readOnly).toBe(true);
  other.does(() => other.store.getState().perform(retitle('Nobody')));
  expect(other.project().title).toBe('A sample');
  expect(screen.getByTestId('kept').textContent).toMatch(/^Read only, 6 x 4 in$/);
});

test('zooms by name and by number; the first time true size is asked for, the screen is measured', async () => {
  localStorage.clear();
  const room = await bar();
  const zoom = () => room.store.getState().view.zoom;
  for (const share of [1, 2, 3, 4, 0.5]) {
    (await menu(/^Zoom, now/))(`${share * 100} %`);
    expect(zoom()).toBeCloseTo(share * TRUE_SIZE, 6);
    await room.when(() => !screen.queryByRole('menu'));
  }
  expect(button('Zoom, now 50 %')).toBeTruthy();
  (await menu(/^Zoom, now/))(/^The whole page/);
  expect(432 * zoom()).toBeLessThan(800);
  room.chosen('a');
  (await menu(/^Zoom, now/))(/^The selection/);
  expect(zoom()).toBeGreaterThan(4);
  (await menu(/^Zoom, now/))(/^True size/);
  expect(room.store.getState().sheet).toBe('screen');
  expect(button('Zoom, now 100 %')).toBeTruthy();
});

test('what is shown on the table is ticked, and turned by a press', async () => {
  const room = await bar();
  for (const [name, panel] of [
    [/^Grid on the table/, 'grid'],
    [/^Guides U/, 'guides'],
    [/^Side panel/, 'side'],
    [/^Workbox/, 'workbox'],
    [/^Lamp/, 'lamp'],
  ] as const) {
    const before = room.store.getState().show[panel];
    const press = await menu('Show on the table');
    const item = screen.getByRole('menuitemcheckbox', { name });
    expect([panel, item.getAttribute('aria-checked')]).toEqual([panel, String(before)]);
    press(name);
    expect(room.store.getState().show[panel]).toBe(!before);
    await room.when(() => !screen.queryByRole('menu'));
  }
  (await menu('Show on the table'))(/^Things snap/);
  expect(room.store.getState().snapping).toBe(false);
});

test('that it is open elsewhere, deleted, mended or not kept is told, each with what helps', async () => {
  const saved = jest.fn();
  const room = await seated(<RoomAlerts onSaveFile={saved} />, []);
  expect(screen.queryByRole('alert')).toBeNull();
  room.does(() => room.store.getState().setTrouble('This browser has no room left.'));
  fireEvent.click(within(screen.getByRole('alert')).getByRole('button', { name: 'Save as a file' }));
  expect(saved).toHaveBeenCalledTimes(1);
  room.unmount();
  const mended = Array.from({ length: 23 }, (_, i) => `Piece ${i + 1} was left out.`);
  const { unmount } = await seatedAt(<RoomAlerts onSaveFile={saved} />, laid([]), [], { mended });
  const told = screen.getByRole('alert');
  expect(told.textContent).toContain('Piece 20 was left out.');
  expect(told.textContent).not.toContain('Piece 21');
  expect(told.textContent).toContain('… and 3 more.');
  fireEvent.click(within(told).getByRole('button', { name: 'Close' }));
  expect(screen.queryByRole('alert')).toBeNull();
  unmount();
  await seatedAt(<RoomAlerts onSaveFile={saved} />, laid([]), [], { readOnly: true });
  expect(screen.getByRole('alert').textContent).toMatch(/^This project is open in another tab/);
});
