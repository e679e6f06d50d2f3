/** Paint and thread: what is in the hand, how it is led, and the lines of a piece in their list. */
import { beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { linesPiece } from '@/core/project/lines';
import { newPaint } from '@/core/trail/paint/paint';
import { NEW_STRUNG } from '@/core/trail/strung';
import { NEW_THREAD } from '@/core/trail/thread/thread';
import * as act from '@/features/table/acts';
import { Sheets } from '@/features/table/tasks/Sheets';
import { database } from '@/storage/database';
import { lineOf } from '../../../../../scripts/testing/lines';
import { seated, type Seated } from '../../../../../scripts/testing/room';
import { emptyStore } from '../../../../../scripts/testing/store';

beforeEach(emptyStore);

const THREE = linesPiece('drawn', [
  lineOf('seam', NEW_THREAD),
  lineOf('pearls', NEW_STRUNG, 40, 80),
  lineOf('stroke', newPaint('round', '#2f6f68'), 40, 120),
]);

const opened = async (chosen: string[] = []): Promise<Seated & { sheet: ReturnType<typeof within> }> => {
  const room = await seated(<Sheets />, [THREE], chosen);
  room.does(() => room.store.getState().openSheet('lines'));
  const sheet = within(await screen.findByRole('dialog', { name: 'Paint and thread' }));
  return { ...room, sheet };
};
const lines = (room: Seated) => act.linesPieceOf(room.store.getState())!.outline.lines;
const listed = () =>
  within(screen.getByRole('region', { name: 'Lines of this piece' }))
    .getAllByRole('button')
    .filter((one) => one.hasAttribute('aria-pressed'));

test('each sort is taken into the hand with its own settings, in the ink that was in it; the eraser says what it does', async () => {
  const room = await opened();
  const hand = () => room.store.getState().lining.hand;
  const sort = (name: string) => room.press(name);
  await sort('Paint');
  room.does(() => act.drawWith(room.store, newPaint('round', '#9e2b45')));
  await sort('Thread');
  expect(hand()).toMatchObject({ kind: 'thread', colours: ['#9e2b45'] });
  await room.sheet.findByRole('group', { name: 'Stitch' });
  await sort('Ribbon');
  expect(hand()).toMatchObject({ kind: 'ribbon', colour: '#9e2b45' });
  await sort('Eraser');
  expect(hand()).toMatchObject({ kind: 'paint', erase: true });
  // What rubs out is nothing to be kept.
  expect(room.sheet.queryByRole('button', { name: 'Keep it in the cupboard …' })).toBeNull();
  await sort('Hold');
  room.sheet.getByText('Press a drawn line on the page to take hold of it.');
  expect(room.sheet.queryByRole('combobox', { name: 'The hand is led' })).toBeNull();
  await sort('Beads');
  for (const [led, says] of [
    ['Straight', /^Pull from one end/],
    ['In a circle', /^Pull from the middle/],
    ['Along an edge', /^Begin near the edge/],
    ['By hand', /^Draw on the page/],
  ] as const) {
    await room.choose('The hand is led', led);
    room.sheet.getByText(says);
  }
});

test('a line is held from the list, inked anew, put up and down, taken away; each is a step', async () => {
  const room = await opened(['drawn']);
  await screen.findByText('3 lines on this piece');
  const ids = () => lines(room).map(({ id }) => id);
  expect(listed().map(({ textContent }) => textContent![0])).toEqual(['3', '2', '1']);
  fireEvent.click(listed()[2]!);
  room.sheet.getByText(/^Held: what you change here is changed of this line/);
  await room.fill('Thickness', '0.05');
  expect(lines(room)[0]!.trail).toMatchObject({ kind: 'thread', width: 3.6 });
  expect(room.undo()).toBe('change line');
  // What is changed of a line that is held is not what is drawn next.
  expect(room.store.getState().lining.hand).not.toMatchObject({ width: 3.6 });
  const step = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });
  expect([step('Up').disabled, step('Down').disabled]).toEqual([false, true]);
  await room.press('Up');
  await room.press('Up');
  expect(ids()).toEqual(['pearls', 'stroke', 'seam']);
  expect([step('Up').disabled, step('Down').disabled]).toEqual([true, false]);
  await room.press('Take it away');
  expect(ids()).toEqual(['pearls', 'stroke']);
  await screen.findByText('2 lines on this piece');
  room.does(() => room.store.getState().undo());
  expect(ids()).toEqual(['pearls', 'stroke', 'seam']);
  // Pressed twice it is let go.
  for (const pressed of ['true', 'false']) {
    fireEvent.click(listed()[0]!);
    expect(listed()[0]!.getAttribute('aria-pressed')).toBe(pressed);
  }
  await room.press('Begin another piece');
  expect(act.linesPieceOf(room.store.getState())).toBeNull();
});

test('what is in the hand is kept in the cupboard by a name, to be taken up again', async () => {
  const room = await opened();
  await room.press('Thread');
  await room.press('Keep it in the cupboard …');
  const name = await screen.findByLabelText('Its name');
  fireEvent.change(name, { target: { value: 'Sail seam' } });
  await room.press('Keep it');
  await room.when(() => !screen.queryByLabelText('Its name'));
  const [kept] = await database.supplies.filter((supply) => supply.name === 'Sail seam').toArray();
  expect(kept).toMatchObject({ kind: 'line', trail: { kind: 'thread' } });
});

test('where nothing is gathered to stamp with, that is said and what was in the hand stays', async () => {
  const room = await opened();
  await room.press('Thread');
  await room.press('Stamps');
  expect(room.store.getState().refused?.why).toMatch(/^There is nothing to stamp yet/);
  expect(room.store.getState().lining.hand.kind).toBe('thread');
});
