/** Over, under, and through slits: each piece that is met, all its places at once or one by one. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { Crossings } from '@/features/table/stage/marks/Crossings';
import { Sheets } from '@/features/table/tasks/Sheets';
import { seated } from '../../../../../scripts/testing/room';
import { inkPiece } from '../../../../../scripts/testing/samples';

/** A ribbon over a card it meets in one place, and over a fork it meets in two. */
const PILE = [
  inkPiece('card', 40, 60, 90, 160),
  {
    ...inkPiece('fork', 200, 60, 120, 160),
    outline: { kind: 'path' as const, name: 'Fork', data: 'M0 0H100V160H70V30H30V160H0Z' },
  },
  inkPiece('ribbon', 20, 150, 380, 24),
];

async function opened(chosen = 'ribbon') {
  const room = await seated(
    <>
      <Sheets />
      <svg>
        <Crossings onGrip={() => {}} />
      </svg>
    </>,
    PILE,
    [chosen],
  );
  room.does(() => room.store.getState().openSheet('tuck'));
  await screen.findByRole('dialog', { name: 'Tuck' });
  const met = (name: string) => within(screen.getByRole('group', { name }));
  const way = (name: string) =>
    met(name)
      .queryAllByRole('button', { pressed: true })
      .map(({ textContent }) => textContent);
  return {
    ...room,
    way,
    turn: (name: string, to: string) => fireEvent.click(met(name).getByRole('button', { name: to })),
    tucks: () => room.piece('ribbon').tucks ?? [],
  };
}
const number = (name: string) => screen.getByRole<HTMLInputElement>('textbox', { name }).value;

test('a ribbon passes under one piece everywhere and through another place by place; on the page each place is turned by a press', async () => {
  const room = await opened();
  screen.getByText(/^It meets 2 other pieces\./);
  expect([room.way('card'), room.way('fork')]).toEqual([['Over'], ['Over']]);
  room.turn('card', 'Under');
  expect(room.way('card')).toEqual(['Under']);
  expect(room.undo()).toBe('tuck embellishment');
  await room.press('Place by place (2) …');
  room.turn('Place 2', 'Under');
  // One way and another: neither is said of the whole.
  expect(room.way('fork')).toEqual([]);
  expect(room.tucks()).toHaveLength(2);
  room.turn('fork', 'Under');
  expect([room.way('fork'), room.tucks().length]).toEqual([['Under'], 3]);
  const places = () => room.container.querySelectorAll('[data-crossing]');
  expect(places()).toHaveLength(3);
  fireEvent.pointerDown(places()[2]!);
  expect(room.tucks()).toHaveLength(2);
  room.turn('fork', 'Over');
  room.turn('card', 'Over');
  expect(room.tucks()).toEqual([]);
  // From the card the same place is told the other way round.
  room.chosen('card');
  expect(room.way('ribbon')).toEqual(['Under']);
  room.turn('ribbon', 'Over');
  expect(room.tucks()).toHaveLength(1);
  room.chosen('card', 'ribbon');
  await screen.findByText(/^Select the piece that shall pass/);
});

test('a slit lies where numbers say; the other side goes beneath; out again through a second one', async () => {
  const room = await opened();
  await room.press('Through a slit');
  expect(room.way('Place 1')).toEqual(['Slit']);
  // A ribbon goes through a slit across it.
  expect(Math.abs(Number(number('Angle')))).toBe(90);
  await room.fill('Off its middle', '0.25');
  await room.fill('Angle', '75');
  expect([number('Angle'), number('Off its middle')]).toEqual(['75', '0.25']);
  expect(room.undo()).toBe('move slit');
  await room.press('Other side of slit 1');
  expect([number('Angle'), number('Off its middle')]).toEqual(['-105', '-0.25']);
  fireEvent.click(screen.getByRole('switch', { name: 'Out again' }));
  const apart = Number(number('Slits apart'));
  expect(apart).toBeGreaterThan(0.2);
  await room.fill('Slits apart', '0.5');
  expect(number('Slits apart')).toBe('0.5');
  await room.fill('Slits apart', '-1');
  expect(screen.getByText(/^At least/)).toBeTruthy();
  fireEvent.click(screen.getByRole('switch', { name: 'Out again' }));
  expect(screen.queryByRole('textbox', { name: 'Slits apart' })).toBeNull();
  room.turn('Place 1', 'Over');
  expect(room.tucks()).toEqual([]);
});
