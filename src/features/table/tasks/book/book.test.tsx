/** A book's sheets: all its pages beside each other, a series, its binding. */
import { beforeAll, expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { assetsIn } from '@/core/piece/assets';
import { bookIn, pagesOf } from '@/core/product/book';
import { gather } from '@/core/project/edits/gather';
import { movePieces } from '@/core/project/edits/place';
import { perform, startHistory } from '@/core/project/history';
import { Sheets } from '@/features/table/tasks/Sheets';
import type { SheetName } from '@/features/table/session';
import { storeAsset } from '@/storage/assets';
import { book, flowed, photos } from '../../../../../scripts/testing/books';
import { seatedAt } from '../../../../../scripts/testing/room';
import { stocked } from '../../../../../scripts/testing/store';

beforeAll(() => stocked('quiet-hours'));

const laid = () => flowed(photos(24), { pages: 16 }).history.project;
async function open(name: SheetName, project = laid()) {
  const room = await seatedAt(<Sheets />, project);
  room.does(() => room.store.getState().openSheet(name));
  await screen.findByRole('dialog');
  const tiles = () =>
    within(screen.getByRole('list', { name: 'Pages of the book' }))
      .getAllByRole('button')
      .filter((one) => one.dataset.tile);
  const tile = (name: string) => tiles().find((one) => one.getAttribute('aria-label')!.startsWith(name))!;
  const about = () => screen.getByRole('region', { name: 'About the chosen pages' });
  return { ...room, tiles, tile, about, pages: () => pagesOf(bookIn(room.project().product)!) };
}

test('spreads change places, are given a photo more, laid otherwise and locked; what was worked on by hand says so', async () => {
  const room = await open('spreads');
  const { tile, about, press } = room;
  expect(room.tiles()).toHaveLength(10);
  fireEvent.click(tile('Pages 4–5'));
  fireEvent.click(tile('Pages 8–9'), { ctrlKey: true });
  const carried = tile('Pages 4–5').dataset.tile;
  await press('Swap these two');
  expect(room.undo()).toBe('swap 2 spreads');
  expect(tile('Pages 8–9').dataset.tile).toBe(carried);
  fireEvent.click(tile('Pages 12–13'));
  const before = Number.parseInt(within(about()).getByText(/^\d+ photos?$/).textContent!);
  await room.when(() => !screen.getByRole<HTMLButtonElement>('button', { name: 'One photo more' }).disabled);
  await press('One photo more');
  within(about()).getByText(`${before + 1} photos`);
  fireEvent.click((await within(about()).findAllByRole('button', { name: 'Lay it in way 1' }))[0]!);
  expect(room.undo()).toBe('lay a spread otherwise');
  await press('Lock: finished');
  expect(tile('Pages 12–13').getAttribute('aria-label')).toBe('Pages 12–13, finished');
  await press('Take it away');
  expect(room.tiles()).toHaveLength(10);
});

test('arrows go from page to page, with Shift more are chosen; Enter opens one on the table', async () => {
  const room = await open('spreads');
  const key = (name: string, more = {}) => fireEvent.keyDown(document.activeElement!, { key: name, ...more });
  room.does(() => room.tiles()[1]!.focus());
  key('ArrowRight');
  expect(room.tile('Pages 2–3').getAttribute('aria-pressed')).toBe('true');
  key('ArrowRight', { shiftKey: true });
  await screen.findByRole('button', { name: 'Swap these two' });
  key('ArrowLeft');
  key('Enter');
  const { surfaceId } = room.store.getState();
  expect(room.project().surfaces.find(({ id }) => id === surfaceId)!.name).toBe('Pages 2–3');
});

test('a series: a thought a line, counted down in words, each on a page of its own, its photos or places for them', async () => {
  const room = await open('series');
  const before = room.project().surfaces.length;
  fireEvent.change(screen.getByLabelText('A thought a line'), {
    target: { value: 'It smells of tar\nThe wind knows you\nLow water at four' },
  });
  await room.choose('Counted', 'Down');
  await room.choose('Numbers', 'In words');
  await room.choose('Photos', 'Places kept free');
  await screen.findByText(/^3 pages, on 2 spreads, after this one\./);
  await room.press('Lay 3 pages');
  expect(room.undo()).toBe('lay a series of 3');
  expect(room.project().surfaces).toHaveLength(before + 2);
  const words = room
    .project()
    .surfaces.flatMap(({ pile }) => pile.flatMap(({ outline }) => ('text' in outline ? outline.text : [])));
  expect(words).toEqual(expect.arrayContaining(['three', 'two', 'one', 'Low water at four']));
});

test('how it is bound tells how wide its spine is, and what a page loses there', async () => {
  const room = await open('book', book());
  screen.getByText(/^0\.\d+ wide/);
  await room.choose('Bound', 'Booklet');
  await screen.findByText('none: stitched through the fold');
  expect(room.undo()).toBe('bind it: Booklet');
  await room.fill('Pages', '3');
  await screen.findByText(/^(A whole number )?[Ff]rom \d+ to \d+/);
});

test('photos flow in, on as many pages as are wished; a page worked on by hand stays; more go where their time is', async () => {
  const all = photos(18, 3, { faces: [] });
  for (const asset of all) await storeAsset({ asset, blob: new Blob(), proxies: {} });
  const start = startHistory(book());
  const gathered = perform(start, gather('photos', all.slice(0, 16)), 0).project;
  const room = await open('flow', gathered);
  const pages = async (words: RegExp) => {
    await screen.findByText(words);
    await room.when(() => !screen.queryByLabelText('Planning the pages'));
  };
  await room.press('Plain');
  await pages(/^16 photos on \d+ pages/);
  await room.choose('Pages', 'So many');
  await room.fill('How many', '12');
  await pages(/^16 photos on 12 pages/);
  await room.press('Lay the book');
  expect(room.undo()).toBe('lay 16 photos as a book');
  const laid = () => new Set(room.project().surfaces.flatMap(({ pile }) => pile.flatMap(assetsIn)));
  expect(all.slice(0, 16).every(({ sha }) => laid().has(sha))).toBe(true);
  const { surfaces } = room.project();
  const worked = surfaces.find(({ pile }) => pile.some(({ role }) => role === 'photo'))!;
  const [first] = worked.pile;
  room.does(() => {
    room.store.getState().perform(movePieces(worked.id, [first!], 9, 0));
    room.store.getState().perform(gather('photos', all.slice(16)));
  });
  room.does(() => room.store.getState().openSheet('flow'));
  await room.when(() => !screen.getByRole<HTMLButtonElement>('button', { name: 'Lay 2 more' }).disabled);
  await room.press('Lay 2 more');
  expect(room.undo()).toBe('lay 2 photos more');
  expect(all.every(({ sha }) => laid().has(sha))).toBe(true);
  const moved = () =>
    room
      .project()
      .surfaces.find(({ id }) => id === worked.id)!
      .pile.find(({ id }) => id === first!.id)!.placement.x - first!.placement.x;
  expect(moved()).toBeCloseTo(9);
  // In another design all else is laid anew.
  room.does(() => room.store.getState().openSheet('spreads'));
  await room.when(() => !screen.getByRole<HTMLButtonElement>('button', { name: 'Another design' }).disabled);
  await room.press('Another design');
  await room.press('Few words');
  await room.when(() => room.undo() === 'lay the book in “Few words”');
  screen.getByText(/^1 worked on by hand/);
  expect(moved()).toBeCloseTo(9);
});
