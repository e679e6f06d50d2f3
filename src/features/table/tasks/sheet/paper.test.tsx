/** Cards on sheets of paper: how many, of which size, what does not fit, packed in the worker whenever that changes. */
import { expect, jest, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { beginProduct } from '@/core/product';
import { newProject } from '@/core/project/model';
import { begun } from '@/core/project/sides';
import { Sheets } from '@/features/table/tasks/Sheets';
import { MOST_THINGS, sheetIn } from '@/core/product/sheet';
import { changeProduct } from '@/core/project/edits/product';
import { gather } from '@/core/project/edits/gather';
import { perform, startHistory } from '@/core/project/history';
import { database } from '@/storage/database';
import { addProject } from '@/storage/shelved';
import { seatedAt } from '../../../../../scripts/testing/room';
import { assetOf, inkPiece, laid } from '../../../../../scripts/testing/samples';
import { emptyStore } from '../../../../../scripts/testing/store';

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

test('a card is carried, snaps along an edge, is pinned and let go; off the paper or onto a pinned one it stays where it was', async () => {
  Element.prototype.setPointerCapture ??= () => {};
  const { write, says, store, project } = await paper();
  await says(/^1 card/);
  write(0, 'Count', '4');
  await says(/^4 cards on 1 sheet/);
  const pinned = () => sheetIn(project().product)!.pinned ?? [];
  // Packed anew in the worker whenever one is laid.
  const card = async (name: string) => (await screen.findAllByRole('button', { name }))[0]!;
  const carry = (one: HTMLElement, x: number, y: number) => {
    fireEvent.pointerDown(one, { clientX: 100, clientY: 100, button: 0, pointerId: 1 });
    fireEvent.pointerMove(one, { clientX: 100 + x / 2, clientY: 100 + y / 2, pointerId: 1 });
    fireEvent.pointerMove(one, { clientX: 100 + x, clientY: 100 + y, pointerId: 1 });
    fireEvent.pointerUp(one, { pointerId: 1 });
    fireEvent.click(one);
  };
  // A tremble is a press: it pins it where it lies.
  carry(await card('Card 1'), 1, 1);
  expect(pinned()).toHaveLength(1);
  const [at] = pinned();
  carry(await card('Card 1, pinned'), 5000, 0);
  expect(store.getState().refused?.why).toMatch(/^There it would lie over the edge/);
  expect(pinned()).toEqual([at]);
  // Onto the one that is pinned.
  const other = await card('Card 1');
  const box = ({ style }: HTMLElement) => [parseFloat(style.left), parseFloat(style.top)] as const;
  const [[fromX, fromY], [toX, toY]] = [box(other), box(await card('Card 1, pinned'))];
  carry(other, toX - fromX + 30, toY - fromY + 30);
  expect(pinned()).toEqual([at]);
  fireEvent.keyDown(await card('Card 1, pinned'), { key: 'ArrowDown', shiftKey: true });
  expect(pinned()[0]!.y - at!.y).toBeCloseTo(18, 6);
  // A carry that is lost lays nothing.
  fireEvent.pointerDown(await card('Card 1, pinned'), {
    clientX: 100,
    clientY: 100,
    button: 0,
    pointerId: 1,
  });
  fireEvent.pointerMove(await card('Card 1, pinned'), { clientX: 140, clientY: 100, pointerId: 1 });
  fireEvent.pointerCancel(await card('Card 1, pinned'));
  expect(pinned()[0]!.y - at!.y).toBeCloseTo(18, 6);
  fireEvent.click(await card('Card 1, pinned'));
  expect(pinned()).toEqual([]);
  await says(/^4 cards on 1 sheet/);
});

test('pages of another project come as cards: as they are sized, with what is on them; what has no room says why', async () => {
  await emptyStore();
  const other = laid([inkPiece('heart', 20, 20, 60, 40)]);
  await addProject(
    {
      ...other,
      id: 'kites',
      title: 'Kites',
      surfaces: [
        { ...other.surfaces[0]!, name: 'Launch' },
        { ...other.surfaces[0]!, id: 'wall', name: 'Wall', width: 5000 },
      ],
    },
    0,
  );
  const { press, cards, project, undo, choose } = await paper();
  await press('Pages of another project …');
  await choose('Project', 'Kites');
  const page = await screen.findByRole('checkbox', { name: /^Launch, 6 x 4 in/ });
  const bring = screen.getByRole<HTMLButtonElement>('button', { name: 'Bring it in as a card' });
  expect(bring.disabled).toBe(true);
  fireEvent.click(page);
  fireEvent.click(page);
  expect(bring.disabled).toBe(true);
  fireEvent.click(page);
  fireEvent.click(bring);
  // The card one began with has nothing on it: it becomes that page.
  expect(undo()).toBe('bring in a page as a card');
  const brought = () => project().surfaces.map(({ width, height, pile }) => [width, height, pile.length]);
  expect(brought()).toEqual([[432, 288, 1]]);
  expect(cards()).toHaveLength(1);
  await press('Pages of another project …');
  await choose('Project', 'Kites');
  expect(
    await screen.findByRole('checkbox', { name: /^Wall, .*: larger than a card may be$/ }),
  ).toMatchObject({
    disabled: true,
  });
  fireEvent.click(screen.getByRole('checkbox', { name: /^Launch/ }));
  await press('Bring it in as a card');
  expect(brought()).toEqual([
    [432, 288, 1],
    [432, 288, 1],
  ]);
});

test('of two projects that are looked at quickly the last is shown, though the first is read later; none reads is told', async () => {
  await emptyStore();
  const other = laid([inkPiece('heart', 20, 20, 60, 40)]);
  for (const name of ['Kites', 'Boats'])
    await addProject(
      { ...other, id: name, title: name, surfaces: [{ ...other.surfaces[0]!, name: `${name} alone` }] },
      0,
    );
  const { press, choose } = await paper();
  await press('Pages of another project …');
  const read = database.transaction.bind(database) as (...what: unknown[]) => unknown;
  let go = () => {};
  const gate = new Promise<void>((open) => (go = open));
  const slow = jest.spyOn(database, 'transaction');
  slow.mockImplementationOnce((async (...what: unknown[]) => {
    await gate;
    return read(...what);
  }) as never);
  await choose('Project', 'Kites');
  await choose('Project', 'Boats');
  await screen.findByRole('checkbox', { name: /^Boats alone/ });
  go();
  await new Promise((later) => setTimeout(later, 100));
  screen.getByRole('checkbox', { name: /^Boats alone/ });
  slow.mockImplementationOnce((async () => {
    throw new Error('blocked');
  }) as never);
  await choose('Project', 'Kites');
  await screen.findByText('This project could not be read.');
  slow.mockRestore();
  await choose('Project', 'Boats');
  await screen.findByRole('checkbox', { name: /^Boats alone/ });
  expect(screen.queryByRole('alert')).toBeNull();
});

test('of what waits only so much is offered as there is room for; a full sheet says so', async () => {
  const begins = begun(
    newProject({ id: 's', title: 'Cards', unit: 'in' }, beginProduct('sheet', { width: 144, height: 108 })),
  );
  const product = sheetIn(begins.product)!;
  const things = Array.from({ length: MOST_THINGS - 2 }, (_, i) => ({
    ...product.things[0]!,
    part: `thing-${i + 1}`,
    count: 0,
  }));
  const full = perform(startHistory(begins), changeProduct({ ...product, things }, 'fill'), 0).project;
  const waiting = [1, 2, 3, 4].map((n) => assetOf(new Uint8Array(n), 300, 200, { name: `${n}.jpg` }));
  const { press, project, undo, does, store } = await seatedAt(
    <Sheets />,
    perform(startHistory(full), gather('photos', waiting), 0).project,
  );
  does(() => store.getState().openSheet('paper'));
  await press('The first 2 photos that wait, as cards');
  expect(undo()).toBe('add 2 photos as cards');
  expect(sheetIn(project().product)!.things).toHaveLength(MOST_THINGS);
  screen.getByText(`${MOST_THINGS} cards: a sheet holds no more.`);
  expect(screen.queryByRole('button', { name: /photos? that wait/ })).toBeNull();
  does(() => store.getState().undo());
  screen.getByRole('button', { name: 'The first 2 photos that wait, as cards' });
});
