/** The inks of a page and of several pieces: one changed everywhere, two swapped, all from a photo, run across, made to differ. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { toOklch } from '@/core/color/spaces';
import { changePieces } from '@/core/project/edits/edit';
import { Sheets } from '@/features/table/tasks/Sheets';
import { seated } from '../../../../../scripts/testing/room';
import { assetOf, inkPiece, photoOf, quarters } from '../../../../../scripts/testing/samples';

const asset = assetOf(quarters(90, 60), 900, 600, { name: 'launch.jpg' });
const inked = (id: string, x: number, colour: string, width = 60) =>
  inkPiece(id, x, 30, width, 40, { material: { kind: 'ink', colour } });
const PIECES = [
  inked('heart', 20, '#24506b', 90),
  inked('tag', 150, '#24506b', 70),
  inked('sun', 300, '#e3b34a', 50),
  photoOf('photo', asset, { x: 20, y: 120, width: 150, height: 100 }),
];

async function open(name: 'inks' | 'across', chosen: readonly string[] = []) {
  const room = await seated(<Sheets />, PIECES, chosen, [asset]);
  room.does(() => room.store.getState().openSheet(name));
  await screen.findByRole('dialog');
  const colours = () =>
    Object.fromEntries(
      room.pile().flatMap(({ id, material }) => (material.kind === 'ink' ? [[id, material.colour]] : [])),
    );
  return { ...room, colours };
}
const rows = () => within(screen.getByRole('list', { name: 'Inks, most first' })).getAllByRole('listitem');
const row = (words: string) => rows().find(({ textContent }) => textContent!.includes(words))!;

test('the inks of a page, most first: one press selects what wears one; two change places in one step', async () => {
  const room = await open('inks');
  expect(rows().map(({ textContent }) => textContent!.replace(/, .*? %/, ':'))).toEqual([
    expect.stringContaining('Bare page'),
    expect.stringContaining('#24506b:On heart, on tag'),
    expect.stringContaining('#e3b34a:On sun'),
  ]);
  fireEvent.click(within(row('#24506b')).getByTitle('Select the pieces that wear it'));
  expect(room.store.getState().selection).toEqual(['heart', 'tag']);
  const swap = screen.getByRole<HTMLButtonElement>('button', { name: 'Swap the two' });
  expect(swap.disabled).toBe(true);
  for (const ink of ['#24506b', '#e3b34a'])
    fireEvent.click(screen.getByRole('checkbox', { name: `Mark ${ink}` }));
  await room.press('Swap the two');
  expect(room.colours()).toEqual({ heart: '#e3b34a', tag: '#e3b34a', sun: '#24506b' });
  room.does(() => room.store.getState().undo());
  expect(room.colours()).toEqual({ heart: '#24506b', tag: '#24506b', sun: '#e3b34a' });
});

test('an ink that is mixed changes all that wore it, and not what it becomes like on the way', async () => {
  const room = await open('inks');
  fireEvent.click(within(row('#24506b')).getAllByRole('button')[0]!);
  const mix = async (value: string) => {
    fireEvent.click(await screen.findByRole('tab', { name: 'Mix' }));
    await room.fill('Any CSS colour', value);
  };
  await mix('expression(1)');
  expect(room.colours().heart).toBe('#24506b');
  await mix('#E3B34A');
  expect(room.colours()).toEqual({ heart: '#e3b34a', tag: '#e3b34a', sun: '#e3b34a' });
  await mix('oklch(0.9 0.05 90)');
  expect(room.colours().heart).toBe(room.colours().tag);
  expect(room.colours().heart).not.toBe('#e3b34a');
  expect(room.colours().sun).toBe('#e3b34a');
});

test('a page goes over to the colours of a photo in one step, and back', async () => {
  const room = await open('inks');
  const before = room.colours();
  await room.press('From a photo');
  await screen.findByRole('img', { name: /^Its colours: .*#/ });
  await room.press('Light stays light');
  expect(room.undo()).toBe('recolour the page from launch');
  const after = room.colours();
  expect(after.heart).toBe(after.tag);
  for (const id of ['heart', 'sun']) expect(after[id]).not.toBe(before[id]);
  room.does(() => room.store.getState().undo());
  expect(room.colours()).toEqual(before);
});

test('inks run over several pieces from left to right or back; then each is a little different, by chance anew', async () => {
  const room = await open('across', ['heart', 'tag', 'sun']);
  screen.getByText('3 pieces.');
  await room.press('Ink them');
  expect(room.undo()).toBe('run inks over 3 pieces');
  const run = Object.values(room.colours());
  expect(new Set(run).size).toBe(3);
  expect(run[0]).toBe('#24506b');
  await room.choose('In which order', 'from the lowest up');
  await room.press('A little different');
  await room.press('Make them differ');
  expect(room.undo()).toBe('make 3 pieces differ');
  const first = Object.values(room.colours());
  expect(first).not.toEqual(run);
  await room.press('By another chance');
  expect(Object.values(room.colours())).not.toEqual(first);
  // An ink that is given meanwhile is where chance begins.
  const [surface] = room.project().surfaces;
  room.does(() =>
    room.store
      .getState()
      .perform(
        changePieces(
          'ink',
          surface!.id,
          ['heart'],
          (piece) => (piece.material = { kind: 'ink', colour: '#f0f0f0' }),
        ),
      ),
  );
  await room.press('Make them differ');
  expect(toOklch(room.colours().heart!)!.l).toBeGreaterThan(0.75);
  room.chosen('heart');
  await screen.findByText('Select two or more pieces.');
});
