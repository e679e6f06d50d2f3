/** Guides by number, a card in the hand, the screen's true size: what is read in their sheets, and what comes of them. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { begun } from '@/core/project/sides';
import { beginProduct } from '@/core/product';
import { setGuides } from '@/core/project/edits/page';
import { newProject } from '@/core/project/model';
import { MOST_GUIDES } from '@/core/project/schema';
import { toPoints } from '@/core/units/lengths';
import { Sheets } from '@/features/table/tasks/Sheets';
import type { SheetName } from '@/features/table/session';
import { seated, seatedAt, type Seated } from '../../../../../scripts/testing/room';

const opened = async (room: Seated, sheet: SheetName) => {
  room.does(() => room.store.getState().openSheet(sheet));
  return within(await screen.findByRole('dialog'));
};
const inches = (...values: number[]) => values.map((value) => toPoints(value, 'in'));

test('guides are added, moved by number, spaced evenly, taken away; each is one step, none lies there twice', async () => {
  const room = await seated(<Sheets />, []);
  const { width, height } = room.project().surfaces[0]!;
  const guides = () => room.project().guides.map(({ axis, at }) => `${axis} ${Math.round(at)}`);
  await opened(room, 'guides');
  screen.getByText('Pull one out of a ruler, or space some evenly here.');
  await room.press('Add upright');
  expect([guides(), room.undo()]).toEqual([[`x ${width / 2}`], 'add guide']);
  await room.press('Add upright');
  expect(guides()).toHaveLength(1);
  await room.fill('Upright 1, from left', '1 1/2');
  expect(guides()).toEqual([`x ${toPoints(1.5, 'in')}`]);
  expect(room.undo()).toBe('move guide');
  await room.fill('Upright 1, from left', 'left');
  await screen.findByText(/is not a length/);
  await room.press('Take all away');
  await room.press('Thirds');
  expect(guides().sort()).toEqual(
    [1, 2]
      .flatMap((part) => [`x ${Math.round((part * width) / 3)}`, `y ${Math.round((part * height) / 3)}`])
      .sort(),
  );
  expect(room.undo()).toBe('add 4 guides');
  // Columns with air between and about them; as many as there is room for.
  await room.press('Take all away');
  await room.fill('How many', '2');
  await room.fill('Between', '0.5');
  await room.fill('Margin', '0.25');
  await room.press('Space 2');
  const [quarter, half] = inches(0.25, 0.5) as [number, number];
  const wide = (width - 2 * quarter - half) / 2;
  expect(guides()).toEqual(
    [quarter, quarter + wide, quarter + wide + half, width - quarter].map((at) => `x ${Math.round(at)}`),
  );
  await room.fill('Margin', String(width / 72 / 2));
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Space 2' }).disabled).toBe(true);
});

test('guides for which there is no room are refused whole, in words; half of them are not left', async () => {
  const room = await seated(<Sheets />, []);
  const all = Array.from({ length: MOST_GUIDES - 3 }, (_, i) => ({ axis: 'x' as const, at: i / 4 + 0.1 }));
  room.does(() => room.store.getState().perform(setGuides(null, 'lay guides', all)));
  await opened(room, 'guides');
  await room.press('Thirds');
  expect(room.project().guides).toHaveLength(MOST_GUIDES - 3);
  expect(room.store.getState().refused?.why).toContain('the guides would be 401: 400 is the most');
  await room.press('Add level');
  expect(room.project().guides).toHaveLength(MOST_GUIDES - 2);
});

test('guides of this page stay on it; locked ones are neither moved nor taken away', async () => {
  const room = await seated(<Sheets />, []);
  await opened(room, 'guides');
  await room.choose('Shown on', 'this page alone');
  await room.press('Margins');
  const [page] = room.project().surfaces;
  expect([room.project().guides, page!.guides.map(({ axis }) => axis).sort()]).toEqual([
    [],
    ['x', 'x', 'y', 'y'],
  ]);
  fireEvent.click(screen.getByRole('switch', { name: 'Guides are locked' }));
  for (const name of ['Take guide 1 away', 'Add level', 'Take all away', 'Halves'])
    expect([name, screen.getByRole<HTMLButtonElement>('button', { name }).disabled]).toEqual([name, true]);
  room.does(() => room.store.getState().undo());
  await room.press('Take guide 1 away');
  expect(room.project().surfaces[0]!.guides).toHaveLength(3);
});

test('a card is opened by its button and by a drag, shut, and turned over; its picture says so', async () => {
  const product = beginProduct('card', { width: 360, height: 504 });
  const room = await seatedAt(
    <Sheets />,
    begun(newProject({ id: 'c', title: 'Thanks', unit: 'in' }, product)),
  );
  const sheet = await opened(room, 'held');
  const card = () => sheet.getByRole('img', { name: /card/ }).getAttribute('aria-label');
  expect(card()).toMatch(/, shut$/);
  fireEvent.click(sheet.getByRole('button', { name: 'Open it' }));
  expect(card()).toMatch(/, 100 % open$/);
  const held = sheet.getByRole('img', { name: /card/ });
  Object.assign(held, { setPointerCapture() {} });
  fireEvent.pointerDown(held, { clientX: 100, pointerId: 1 });
  fireEvent.pointerMove(held, { clientX: 280, pointerId: 1 });
  fireEvent.pointerUp(held, { clientX: 280, pointerId: 1 });
  // Half of 360 pixels to the right: half shut.
  expect(card()).toMatch(/, 50 % open$/);
  fireEvent.pointerMove(held, { clientX: 900, pointerId: 1 });
  expect(card()).toMatch(/, 50 % open$/);
  fireEvent.click(sheet.getByRole('button', { name: 'Turn it over' }));
  expect(card()).toMatch(/, from behind$/);
});

test('the screen is as large as a card says; left, it is as it was', async () => {
  const room = await seated(<Sheets />, []);
  const zoom = () => room.store.getState().trueZoom;
  const before = zoom();
  for (const [button, after] of [
    ['Leave it', before],
    ['It is as large', 2],
  ] as const) {
    const sheet = await opened(room, 'screen');
    fireEvent.change(sheet.getByRole('slider', { name: 'Size of the card on the screen' }), {
      target: { value: 2 },
    });
    fireEvent.click(sheet.getByRole('button', { name: button }));
    await room.when(() => !screen.queryByRole('dialog'));
    expect(zoom()).toBe(after);
  }
});
