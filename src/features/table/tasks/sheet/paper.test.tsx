/** Cards on sheets of paper: how many, of which size, what does not fit, packed in the worker whenever that changes. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { beginProduct } from '@/core/product';
import { newProject } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import { Sheets } from '@/features/table/tasks/Sheets';
import { seatedAt } from '../../../../../scripts/testing/room';

async function paper(size = { width: 288, height: 216 }) {
  const project = begun(newProject({ id: 's', title: 'Cards', unit: 'in' }, beginProduct('sheet', size)));
  const room = await seatedAt(<Sheets />, project);
  room.does(() => room.store.getState().openSheet('paper'));
  await screen.findByRole('dialog', { name: 'Sheet and paper' });
  const cards = () =>
    within(screen.getByRole('list', { name: 'Cards' }))
      .getAllByRole('listitem')
      .map((card) => within(card));
  const write = (card: number, name: string, text: string) => {
    const field = cards()[card]!.getByLabelText(name);
    fireEvent.change(field, { target: { value: text } });
    fireEvent.keyDown(field, { key: 'Enter' });
  };
  const says = (words: RegExp) =>
    room.when(() => screen.getAllByRole('status').some(({ textContent }) => words.test(textContent!)));
  return { ...room, cards, write, says };
}

test('more of a card are packed onto as many sheets as they need, printed on both sides if they have a back', async () => {
  const { write, says, cards, project } = await paper();
  await says(/^1 card on 1 sheet of paper, in \d cuts\.$/);
  write(0, 'Count', '6');
  await says(/^6 cards on 1 sheet of paper, in 11 cuts\.$/);
  fireEvent.click(cards()[0]!.getByRole('switch', { name: 'Has a back' }));
  await screen.findByText('Sheet 1: 6 cards, 11 cuts');
  expect(project().surfaces).toHaveLength(2);
  write(0, 'Count', '7');
  await says(/^7 cards on 2 sheets of paper/);
});

test('another card has a size of its own; what fits on no paper is told; each is taken back in one step', async () => {
  const { press, write, says, fill, undo, store, does, cards } = await paper({ width: 144, height: 432 });
  await press('Add a card');
  write(1, 'Across', '9 in');
  write(1, 'Down', '12 in');
  await says(/^1 card on 1 sheet of paper, in \d cuts\. Card 2 does not fit: it measures 9 x 12 in\.$/);
  await fill('Left', '8');
  await screen.findByText('Less than an inch of paper would be left to print on.');
  for (let i = 0; i < 3; i++) does(() => store.getState().undo());
  expect([undo(), cards().length]).toEqual([null, 1]);
  await says(/^1 card on 1 sheet of paper, in \d cuts\.$/);
});
