/** Photos among themselves: arranged by proposal, put into places, in rows as a mosaic and on contact sheets. */
import { expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import * as act from '@/features/table/acts';
import { Sheets } from '@/features/table/tasks/Sheets';
import { shownSurface } from '@/features/table/session';
import type { Piece } from '@/core/piece/piece';
import { quickly, seated } from '../../../../../scripts/testing/room';
import { assetOf, inkPiece, photoOf, quarters } from '../../../../../scripts/testing/samples';

/** Photos lying and standing, each a file of its own. */
const PHOTOS = ['beach', 'boat', 'gull', 'high', 'kite', 'tide'].map((name, i) => {
  const [width, height] = i % 2 ? [300, 200] : [200, 300];
  return assetOf(quarters(width! + i, height!), (width! + i) * 6, height! * 6, { name: `${name}.jpg` });
});
const [BEACH, BOAT, GULL] = PHOTOS as [(typeof PHOTOS)[0], (typeof PHOTOS)[0], (typeof PHOTOS)[0]];

const photo = (i: number, x: number, y: number, more: Partial<Piece> = {}): Piece => ({
  ...photoOf(`p${i}`, PHOTOS[i]!, { x, y, width: i % 2 ? 90 : 60, height: i % 2 ? 60 : 90 }),
  name: PHOTOS[i]!.name.replace('.jpg', ''),
  ...more,
});
const sheet = async (name: Parameters<typeof open>[1], pieces: readonly Piece[], photos = PHOTOS) =>
  open(await seated(<Sheets />, pieces, [], photos), name);
async function open(room: Awaited<ReturnType<typeof seated>>, name: 'proposals' | 'mosaic' | 'contact') {
  room.does(() => room.store.getState().openSheet(name));
  await screen.findByRole('dialog');
  return room;
}
const proposals = () => screen.getAllByRole('option');

test('photos are laid as one of the proposals; the starred one is the largest; what is cut to a shape stays where it is', async () => {
  const heart = photo(0, 300, 150, { outline: { kind: 'punch', punch: 'heart', settings: {} } });
  const room = await sheet('proposals', [heart, inkPiece('strip', 0, 0, 432, 40)]);
  screen.getByText(/One stays as it is: cut to a shape/);
  screen.getByRole('img', { name: 'beach' });
  screen.getByText('5 of 5 photos');
  await room.press('kite matters most');
  await room.when(() =>
    / kite is [23]\.\d times as large as the others/.exec(proposals()[0]!.getAttribute('aria-label')!),
  );
  screen.getByText('The starred one 3 times as large');
  await room.fill('Gap', '6');
  await screen.findByText('The gaps leave no room for the photos.');
  await room.fill('Gap', '0.25');
  await room.when(() => proposals().length > 3);
  fireEvent.click(proposals()[2]!);
  await room.press('Lay them so');
  expect(room.undo()).toBe('arrange 5 photos');
  expect(room.pile()).toHaveLength(7);
  expect(room.piece('p0')).toEqual(heart);
  const areas = room
    .pile()
    .filter(({ role, id }) => role === 'photo' && id !== 'p0')
    .map(({ name, placement: { width, height } }) => [name, width * height] as const)
    .sort(([, a], [, b]) => b - a);
  expect(areas[0]![0]).toBe('kite');
  expect(areas[0]![1]).toBeGreaterThan(1.9 * areas[1]![1]);
  expect(room.store.getState().selection).toHaveLength(5);
});

test('photos fill the empty places at once; what finds none is shown; another is left out; two change places, one cannot', async () => {
  const room = await seated(
    <Sheets />,
    [photo(0, 20, 20), photo(1, 200, 20)],
    ['p0', 'p1'],
    PHOTOS.slice(0, 5),
  );
  room.does(() => act.makePlaces(room.store));
  expect(room.undo()).toBe('make 2 places for photos');
  await open(room, 'proposals');
  expect(screen.getByRole('combobox', { name: 'Where' }).textContent).toBe('Into the 2 empty places');
  screen.getByText('3 photos find no place and wait in the workbox:');
  await room.press('high');
  screen.getByText('2 photos find no place and wait in the workbox:');
  fireEvent.click(
    await screen.findByRole('option', {
      name: /^Proposal \d: Where the least is cropped: nothing is cropped/,
    }),
  );
  await room.press('Lay them so');
  expect(room.undo()).toBe('fill 2 places');
  const shas = () => room.pile().map(({ material }) => 'asset' in material && material.asset);
  const before = shas();
  expect(before).not.toContain(PHOTOS[3]!.sha);
  room.does(() => void act.swapChosen(room.store));
  expect(room.undo()).toBe('swap 2 photos');
  expect(shas()).toEqual([...before].reverse());
  room.chosen('p0');
  expect(act.swapChosen(room.store)).toMatchObject({
    message: 'Select two photos to let them change places.',
  });
});

test('what was typed last is laid, though the press comes before it is drawn: a gap, the columns of a mosaic', async () => {
  const typed = (name: string, value: string) => () => {
    const field = screen.getByRole('textbox', { name });
    fireEvent.change(field, { target: { value } });
    fireEvent.keyDown(field, { key: 'Enter' });
  };
  const pressed = (name: string) => () => fireEvent.click(screen.getByRole('button', { name }));
  const room = await sheet('proposals', []);
  fireEvent.click(proposals()[0]!);
  await quickly(typed('Margin', '1'), typed('Gap', '1'), pressed('Lay them so'));
  const boxes = room.pile().map(({ placement: { x, y, width, height } }) => ({
    x: x - width / 2,
    y: y - height / 2,
    width,
    height,
  }));
  const between = boxes.flatMap((a, i) =>
    boxes
      .slice(i + 1)
      .map((b) =>
        Math.max(b.x - a.x - a.width, a.x - b.x - b.width, b.y - a.y - a.height, a.y - b.y - b.height),
      ),
  );
  expect(boxes).toHaveLength(6);
  expect(Math.min(...between)).toBeCloseTo(72, 3);
  room.does(() => room.store.getState().undo());
  await open(room, 'mosaic');
  await screen.findByText(/^100 cells/);
  await quickly(typed('Columns', '2'), typed('Rows', '3'), pressed('Lay the mosaic'));
  expect(room.pile()).toHaveLength(6);
});

test('places that are not what one wants: all photos there are go all over the page instead', async () => {
  const room = await seated(<Sheets />, [photo(0, 20, 20)], ['p0'], [BEACH]);
  room.does(() => act.makePlaces(room.store));
  await open(room, 'proposals');
  await room.choose('Where', 'All over the page');
  await screen.findByText('1 of 1 photos');
});

test('a mosaic: how many photos a page takes, what it comes to over several, one photo seen over all of them', async () => {
  const room = await sheet('mosaic', []);
  await screen.findByText(/^100 cells, 6 photos\. They begin again when all are used\./);
  await room.fill('Columns', '2');
  await room.fill('Rows', '2');
  await screen.findByText(
    /They fill 2 pages, 4 and 2 photos on them: the further ones come after this one\./,
  );
  await room.fill('Rows', '100');
  await screen.findByText('A whole number from 1 to 40.');
  await room.fill('Rows', '4');
  await room.fill('Columns', '6');
  await room.press('kite is seen over all of it');
  await screen.findByText(/24 cells, 5 photos/);
  await room.press('Lay the mosaic');
  expect(room.undo()).toBe('lay mosaic of 5 photos');
  expect(room.pile()).toHaveLength(25);
  expect(room.pile().at(-1)!.name).toMatch(/kite/);
});

test('a mosaic by tone runs from dark to light; matched to a picture the nearest are used, and as often as they must', async () => {
  const room = await sheet('mosaic', []);
  await room.fill('Columns', '2');
  await room.fill('Rows', '2');
  const order = () => screen.getByRole('combobox', { name: 'Order' });
  fireEvent.mouseDown(order());
  // Without a picture over them there is nothing to match.
  expect(screen.getByRole('option', { name: /^Matched/ }).getAttribute('aria-disabled')).toBe('true');
  fireEvent.click(screen.getByRole('option', { name: 'From dark to light' }));
  await room.choose('What is over', 'As many photos on every page');
  await screen.findByText(/They fill 2 pages, 3 and 3 photos on them/);
  await room.press('kite is seen over all of it');
  await room.choose('Order', 'Matched to the picture over them');
  await screen.findByText(/4 cells, 5 photos\. The 4 nearest are used\./);
  expect(screen.queryByRole('combobox', { name: 'What is over' })).toBeNull();
  await room.fill('Columns', '6');
  await screen.findByText(/12 cells, 5 photos\. There are too few: each is used up to 3 times\./);
  await room.fill('Each at most, times', '3');
  await screen.findByText(/12 cells, 5 photos\.(?! There)/);
  screen.getByText(/The picture (suits|will be hard to see): \d+ % of it is dark, \d+ % light/);
  await room.choose('The picture meets them by', 'Covering them');
  fireEvent.change(screen.getByRole('slider', { name: /^Opacity/ }), { target: { value: 30 } });
  await room.press('Lay the mosaic');
  const [top] = room.pile().slice(-1);
  expect(top!.name).toMatch(/kite/);
  expect(top!.finish).toMatchObject({ opacity: 0.3 });
  expect(top!.finish.blend ?? 'normal').toBe('normal');
  // All of it is selected as one.
  expect(room.store.getState().selection).toHaveLength(13);
});

test('a mosaic says what it wants: photos, room, a whole number; taking the picture away ends the matching', async () => {
  const bare = await sheet('mosaic', [], []);
  screen.getByText('No photos yet: bring some into the workbox first.');
  expect(screen.getByRole('button', { name: 'Lay the mosaic' })).toHaveProperty('disabled', true);
  bare.unmount();
  const room = await sheet('mosaic', []);
  await room.fill('Columns', '40');
  await room.fill('Gap', '1');
  await screen.findByText('The gaps leave no room for the photos.');
  await room.fill('Gap', '0');
  await room.fill('Columns', '3');
  await room.fill('Margin', '5');
  await screen.findByText(/^At most/);
  await room.press('kite is seen over all of it');
  await room.choose('Order', 'Matched to the picture over them');
  await room.press('kite is seen over all of it');
  expect(screen.getByRole('combobox', { name: 'Order' }).textContent).toBe('By the time they were taken');
  await room.press('Leave it');
  expect([room.pile(), room.undo()]).toEqual([[], null]);
});

test('contact sheets of all photos, with their names, as pages after this one', async () => {
  const room = await sheet('contact', []);
  screen.getByText('So many leave no room for a photo: choose fewer columns or rows.');
  await room.fill('Rows', '1');
  await screen.findByText('6 photos, whole, by the time they were taken, on 2 pages after this one.');
  await room.fill('Rows', '2');
  await room.fill('Columns', '3');
  await screen.findByText(/on one page after this one/);
  await room.press('Make them');
  expect(room.undo()).toBe('make contact sheets');
  expect(room.project().surfaces).toHaveLength(2);
  const names = shownSurface(room.store.getState()).pile.flatMap(({ outline }) =>
    'text' in outline ? outline.text : [],
  );
  expect(names.join(' ')).toContain(BOAT.name.replace('.jpg', ''));
  expect(names.join(' ')).toContain(GULL.name.replace('.jpg', ''));
  expect(within(document.body).queryByRole('dialog')).toBeNull();
});
