/** About this page: its size in words, its note, its light by hand and keys, and what its product leads to. */
import { beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen } from '@testing-library/react';
import { beginProduct, type ProductName } from '@/core/product';
import { LONGEST_NOTE, newProject } from '@/core/project/model';
import { lockPage } from '@/core/project/edits/page';
import { AboutPage } from '@/features/table/about/AboutPage';
import { addPageAfter } from '@/features/table/acts/pages';
import { seated, seatedAt, type Seated } from '../../../../scripts/testing/room';
import { inkPiece, laid } from '../../../../scripts/testing/samples';

beforeEach(() => {
  Element.prototype.setPointerCapture ??= () => {};
});
const page = () => screen.getByRole('region', { name: 'About this page' });
const lightOf = (room: Seated) => room.project().surfaces[0]!.light;
const dial = () => screen.getByRole('slider', { name: 'Page light: direction' });

test('how large it is, in inches or millimetres, and in pixels as it prints', async () => {
  const { press, project, undo } = await seated(<AboutPage />, []);
  expect(page().textContent).toMatch(/6 x 4 in, 1800 x 1200 pixels at 300 ppi, bleed 0\.125 in/);
  await press('mm');
  expect([project().unit, undo()]).toEqual(['mm', expect.any(String)]);
  expect(page().textContent).toMatch(/152\.4 x 101\.6 mm, 1800 x 1200 pixels/);
  // Pressed again it stays.
  await press('mm');
  expect(project().unit).toBe('mm');
});

test('a note is begun by a press, taken when it is left, and stays with its page though another is turned to', async () => {
  const { press, project, does, store, undo } = await seated(<AboutPage />, []);
  await press('Write a note');
  const field = () => screen.getByRole<HTMLTextAreaElement>('textbox', { name: 'Note, never printed' });
  expect([document.activeElement, field().maxLength]).toEqual([field(), LONGEST_NOTE]);
  fireEvent.change(field(), { target: { value: ' Ask Olu for\nthe other kite ' } });
  does(() => addPageAfter(store, false));
  expect(project().surfaces.map(({ note }) => note)).toEqual(['Ask Olu for\nthe other kite', undefined]);
  // The other page has none, and a way to begin one.
  screen.getByRole('button', { name: 'Write a note' });
  does(() => store.getState().turnTo(project().surfaces[0]!.id));
  expect(field().value).toBe('Ask Olu for\nthe other kite');
  fireEvent.change(field(), { target: { value: '' } });
  fireEvent.blur(field());
  expect(project().surfaces[0]!.note).toBeUndefined();
  expect(undo()).toMatch(/note/);
});

test('the light goes round by arrows and past the top, by a pointer to where it points, and no farther than it may by its sliders', async () => {
  const room = await seated(<AboutPage />, [inkPiece('a')]);
  const turn = (key: string, times: number) => {
    for (let i = 0; i < times; i++) fireEvent.keyDown(dial(), { key });
  };
  const begun = lightOf(room).direction;
  turn('ArrowRight', 10);
  expect(lightOf(room).direction).toBe((begun + 50) % 360);
  turn('ArrowDown', 10);
  turn('ArrowLeft', Math.ceil(begun / 5) + 1);
  expect(lightOf(room).direction).toBeGreaterThan(350);
  expect(dial().getAttribute('aria-valuetext')).toMatch(/^35\d degrees, clockwise from the top$/);
  // The middle of the dial is 46 pixels in.
  for (const [x, y, degrees] of [
    [46, 6, 0],
    [86, 46, 90],
    [46, 90, 180],
    [6, 46, 270],
  ] as const) {
    fireEvent.pointerDown(dial(), { clientX: x, clientY: y, buttons: 1, pointerId: 1 });
    expect(lightOf(room).direction).toBe(degrees);
  }
  fireEvent.pointerMove(dial(), { clientX: 46, clientY: 6, buttons: 0, pointerId: 1 });
  expect(lightOf(room).direction).toBe(270);
  for (const [name, field, least, most] of [
    ['height', 'height', 20, 80],
    ['softness', 'softness', 2, 35],
    ['strength', 'strength', 0, 1],
  ] as const) {
    const slider = screen.getByRole('slider', { name: `Page light: ${name}` });
    fireEvent.keyDown(slider, { key: 'Home' });
    expect([name, lightOf(room)[field]]).toEqual([name, least]);
    fireEvent.keyDown(slider, { key: 'End' });
    expect([name, lightOf(room)[field]]).toEqual([name, most]);
  }
  await room.press('Lamp on the page');
  expect(room.store.getState().show.lamp).toBe(true);
});

test('on a locked page the light stays and says why; in another tab’s project nothing can be set at all', async () => {
  const room = await seated(<AboutPage />, []);
  const { surfaceId, perform } = room.store.getState();
  room.does(() => perform(lockPage(surfaceId, true)));
  const before = lightOf(room);
  fireEvent.keyDown(dial(), { key: 'ArrowRight' });
  expect(lightOf(room)).toEqual(before);
  expect(room.store.getState().touchedLocked).not.toBeNull();
  room.unmount();
  const held = await seatedAt(<AboutPage />, laid([]), [], { readOnly: true });
  fireEvent.keyDown(dial(), { key: 'ArrowRight' });
  expect([lightOf(held), held.undo()]).toEqual([before, null]);
  for (const name of ['in', 'mm', 'Lamp on the page'])
    expect([name, screen.getByRole('button', { name })]).toEqual([
      name,
      expect.objectContaining({ disabled: true }),
    ]);
  expect(screen.queryByRole('button', { name: /^(Keep|Write a note)/ })).toBeNull();
});

test.each([
  ['layout', null, 'Keep as a ready-made page'],
  ['calendar', 'calendar', 'Keep as a ready-made calendar'],
  ['book', 'book', 'Keep as a book design'],
  ['sheet', 'paper', 'Keep as a ready-made sheet'],
  ['card', null, 'Keep as a ready-made card'],
] as const)(
  'a %s says of itself what it is, leads to its settings, and is kept as what it is',
  async (kind, sheet, keep) => {
    const begun = beginProduct(kind as ProductName, { width: 504, height: 360 }, undefined, {
      year: 2027,
      month: 1,
    });
    const project = newProject({ id: 'p', title: 'Kites', unit: 'in' }, begun);
    const room = await seatedAt(<AboutPage />, project);
    screen.getByRole('button', { name: keep });
    const leads = [...page().querySelectorAll('button')].map(({ textContent }) => textContent!);
    for (const says of leads.filter((one) => !/^(in|mm|Keep|Write|Let|All its|Inks|$)/.test(one))) {
      await room.press(says);
      expect([kind, room.store.getState().sheet]).toEqual([kind, sheet]);
    }
    expect(leads.includes('All its pages')).toBe(kind === 'book');
    if (kind === 'book') {
      await room.press('Let photos flow in');
      expect(room.store.getState().sheet).toBe('flow');
      await room.press('All its pages');
      expect(room.store.getState().sheet).toBe('spreads');
    }
    await room.press('Inks of this page');
    expect(room.store.getState().sheet).toBe('inks');
  },
);
