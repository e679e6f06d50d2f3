/** The sheets of a book, control by control: its binding, its spreads, photos that flow in, a series. */
import { beforeAll, expect, test } from '@jest/globals';
import { fireEvent, screen, within } from '@testing-library/react';
import { MOST_IN_SERIES } from '@/core/book/series';
import { bookIn, pagesOf, spineWidth } from '@/core/product/book';
import { BINDS } from '@/core/product/book/binding';
import { MOST_PAGES } from '@/core/product/book/settings';
import { BOOK_BINDINGS, type BookBinding } from '@/core/product/book/start';
import { gather } from '@/core/project/edits/gather';
import { lockPage } from '@/core/project/edits/page';
import { movePieces } from '@/core/project/edits/place';
import { perform, startHistory } from '@/core/project/history';
import type { Project } from '@/core/project/model';
import { formatLength } from '@/core/units/lengths';
import { shownSurface, type SheetName } from '@/features/table/session';
import { Sheets } from '@/features/table/tasks/Sheets';
import { storeAsset } from '@/storage/assets';
import { book, flowed, photos, spreadsOf } from '../../../../../scripts/testing/books';
import { seatedAt, sheetAt, type Seated, type SeatedHow } from '../../../../../scripts/testing/room';
import { stocked } from '../../../../../scripts/testing/store';

beforeAll(() => stocked('quiet-hours'));

const laid = (pages = 16): Project => flowed(photos(24), { pages }).history.project;
const opened = (sheet: SheetName, project: Project = laid(), options?: SeatedHow): Promise<Seated> =>
  sheetAt(<Sheets />, sheet, project, options);
const bookOf = ({ project }: Seated) => bookIn(project().product)!;
const button = (name: string | RegExp) => screen.getByRole<HTMLButtonElement>('button', { name });
/** What is told of a book, by its name. */
const fact = (name: string) => screen.getByText(name, { selector: 'dt' }).nextElementSibling!.textContent;
const why = ({ store }: Seated) => store.getState().refused?.why;

test.each(Object.keys(BOOK_BINDINGS) as BookBinding[])(
  '%s: what binding asks is told as it is: its spine, its gutter, its cover, pages in twos or fours',
  async (binding) => {
    const room = await opened('book', book());
    await room.choose('Bound', BOOK_BINDINGS[binding].name);
    const { board, stitched, gutter, step } = BINDS[binding];
    const spine = formatLength(spineWidth(bookOf(room)), 'in');
    expect(fact('Spine')).toMatch(
      stitched ? /^none: stitched/ : new RegExp(`^${spine.replace('.', '\\.')} wide`),
    );
    expect(fact('Gutter')).toBe(
      gutter ? `loses ${formatLength(gutter, 'in')} of each page` : 'loses nothing: pages lie flat',
    );
    expect(fact('Cover')).toMatch(board ? /^boards/ : stitched ? /^one paper about/ : /glued at the spine$/);
    screen.getByText(step === 4 ? /^Pages come in fours/ : /^Pages come in twos/);
    expect(screen.queryByRole('switch', { name: 'Flaps at the cover' }) !== null).toBe(!board && !stitched);
    // The next that this binding can have, of whatever number is typed.
    await room.fill('Pages', '21');
    expect([pagesOf(bookOf(room)), room.field('Pages').value]).toEqual(step === 4 ? [24, '24'] : [22, '22']);
    await room.fill('Pages', String(MOST_PAGES + 2));
    screen.getByText(`A whole number from 4 to ${MOST_PAGES}.`);
  },
);

test('thicker paper makes a wider spine; flaps come and go; few pages have a spine too narrow for words', async () => {
  const room = await opened('book', book('soft'));
  const widths: number[] = [];
  for (const paper of [/^Uncoated/, /^Lay-flat|^Card|^Heavy|^Coated/]) {
    fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Paper' }));
    fireEvent.click(screen.getAllByRole('option', { name: paper }).at(-1)!);
    widths.push(spineWidth(bookOf(room)));
  }
  expect(new Set(widths).size).toBe(2);
  expect(room.undo()).toMatch(/^print it on /);
  await room.fill('Pages', '8');
  expect(fact('Spine')).toMatch(/: too narrow for words$/);
  const flaps = () => fireEvent.click(screen.getByRole('switch', { name: 'Flaps at the cover' }));
  const before = room.project().surfaces[0]!.width;
  flaps();
  expect([room.undo(), bookOf(room).flaps]).toEqual(['add flaps', true]);
  expect(room.project().surfaces[0]!.width).toBeGreaterThan(before);
  flaps();
  expect([room.undo(), 'flaps' in bookOf(room)]).toEqual(['take flaps away', false]);
  expect(room.project().surfaces[0]!.width).toBe(before);
});

test('fewer pages take the last spreads away, not where one of them is locked; what is shown then is the last there is', async () => {
  const room = await opened('book');
  const { store } = room;
  const last = spreadsOf(room.project()).at(-1)!;
  room.does(() => store.getState().turnTo(last.id));
  room.does(() => store.getState().perform(lockPage(last.id, true)));
  await room.fill('Pages', '8');
  expect(pagesOf(bookOf(room))).toBe(16);
  await screen.findByText(/ locked/);
  room.does(() => store.getState().perform(lockPage(last.id, false)));
  await room.fill('Pages', '8');
  expect([room.undo(), pagesOf(bookOf(room))]).toEqual(['make it 8 pages', 8]);
  expect(room.project().surfaces.some(({ id }) => id === shownSurface(store.getState()).id)).toBe(true);
  room.does(() => store.getState().undo());
  expect(room.project().surfaces.find(({ id }) => id === last.id)!.pile).toEqual(last.pile);
});

async function allPages(project?: Project, options?: Parameters<typeof seatedAt>[3]) {
  const room = await opened('spreads', project, options);
  const tiles = () =>
    within(screen.getByRole('list', { name: 'Pages of the book' }))
      .getAllByRole('button')
      .filter((one) => one.dataset.tile);
  const tile = (name: string) => tiles().find((one) => one.getAttribute('aria-label')!.startsWith(name))!;
  const pick = (...names: string[]) =>
    names.forEach((name, i) => fireEvent.click(tile(name), i ? { ctrlKey: true } : {}));
  const about = () => within(screen.getByRole('region', { name: 'About the chosen pages' }));
  return { ...room, tiles, tile, pick, about };
}

test('what is said of a page is what it is: laid by itself, worked on by hand, finished, empty', async () => {
  const room = await allPages();
  const { about, pick } = room;
  pick('Pages 2–3');
  about().getByText(/^Laid by itself\. As soon as you change it/);
  const spread = spreadsOf(room.project())[0]!;
  room.does(() => room.store.getState().perform(movePieces(spread.id, [spread.pile[0]!], 20, 0)));
  about().getByText(/^Worked on by hand: whatever flows in/);
  expect(room.tile('Pages 2–3').getAttribute('aria-label')).toBe('Pages 2–3, worked on by hand');
  expect(screen.queryByRole('button', { name: 'One photo more' })).toBeNull();
  await room.press('Lock: finished');
  about().getByText('Locked: finished, it stays as it is.');
  await room.press('Unlock');
  expect(room.undo()).toBe('unlock pages');
  await room.press('Add a spread');
  about().getByText('Empty. Let photos flow in, or open it and begin.');
  expect(room.tiles()).toHaveLength(11);
  // Of several, how many are what.
  pick('Pages 2–3', 'Pages 4–5');
  about().getByText('2 chosen');
  about().getByText(/^1 worked on by hand/);
});

test('several spreads are taken away at once, one stays; what is locked stays with all that was chosen', async () => {
  const room = await allPages();
  const { pick, tiles } = room;
  pick('Pages 4–5', 'Pages 6–7', 'Pages 8–9');
  const gone = ['Pages 4–5', 'Pages 6–7', 'Pages 8–9'].map((name) => room.tile(name).dataset.tile);
  await room.press('Take these 3 away');
  expect(room.undo()).toBe('take 3 spreads away');
  expect(tiles().some(({ dataset }) => gone.includes(dataset.tile))).toBe(false);
  expect(pagesOf(bookOf(room))).toBe(10);
  room.does(() => room.store.getState().undo());
  const [first] = spreadsOf(room.project());
  room.does(() => room.store.getState().perform(lockPage(first!.id, true)));
  pick('Pages 2–3', 'Pages 4–5');
  await room.press('Take these 2 away');
  expect(pagesOf(bookOf(room))).toBe(16);
  room.does(() => room.store.getState().perform(lockPage(first!.id, false)));
  pick(...spreadsOf(room.project()).map(({ name }) => name));
  await room.press(/^Take these 7 away$/);
  expect([why(room), pagesOf(bookOf(room))]).toEqual(['One spread stays: these are all there are.', 16]);
});

test('the two pages of a spread change places, and one page of each of two', async () => {
  const room = await allPages();
  const sides = (name: string) => {
    const { pile, width } = room.project().surfaces.find((surface) => surface.name === name)!;
    const photo = pile.filter(({ role }) => role === 'photo');
    const assets = (left: boolean) =>
      photo
        .filter(({ placement }) => placement.x < width / 2 === left)
        .map(({ material }) => 'asset' in material && material.asset)
        .sort();
    return [assets(true), assets(false)];
  };
  // Spreads on which nothing lies over the gutter, so that each of their pages is one by itself.
  const whole = ({ surfaces }: Project) =>
    surfaces
      .filter(
        ({ pile, width, part }) =>
          bookOf(room).spreads.includes(part ?? '') &&
          pile.every(({ placement: { x, width: wide } }) => Math.abs(x - width / 2) > wide / 2 - 1),
      )
      .map(({ name }) => name);
  const [one, other] = whole(room.project()) as [string, string];
  const [left, right] = sides(one);
  room.pick(one);
  await room.press('Swap its two pages');
  expect(sides(one)).toEqual([right, left]);
  const [a, b] = [sides(one), sides(other)];
  room.pick(one, other);
  await room.press('Swap these pages');
  expect([sides(one)[0], sides(other)[1]]).toEqual([b[1], a[0]]);
  expect([sides(one)[1], sides(other)[0]]).toEqual([a[1], b[0]]);
});

test('photos fewer and more; one photo has no fewer; where the design knows one way alone it says so', async () => {
  const room = await allPages();
  const count = () => Number.parseInt(room.about().getByText(/^\d+ photos?$/).textContent!);
  room.pick('Pages 6–7');
  await room.when(() => !button('One photo more').disabled);
  const before = count();
  const all = () =>
    spreadsOf(room.project()).flatMap(({ pile }) => pile.filter(({ role }) => role === 'photo')).length;
  const whole = all();
  while (count() > 1) {
    const now = count();
    await room.press('One photo fewer');
    expect(count()).toBe(now - 1);
    // What leaves it goes to the spread beside it: none is lost.
    expect(all()).toBe(whole);
  }
  expect(button('One photo fewer').disabled).toBe(true);
  for (let i = 1; i < before; i++) await room.press('One photo more');
  expect([count(), all()]).toEqual([before, whole]);
});

test('held by another tab, its pages are looked at: nothing can be changed, each can be opened', async () => {
  const room = await allPages(laid(), { readOnly: true });
  room.pick('Pages 4–5', 'Pages 6–7');
  for (const name of [
    'Another design',
    'Add a spread',
    'Lock: finished',
    'Swap these two',
    'Take these 2 away',
  ])
    expect([name, button(name).disabled]).toEqual([name, true]);
  room.pick('Pages 6–7');
  fireEvent.click(button('Open it on the table'));
  expect(shownSurface(room.store.getState()).name).toBe('Pages 6–7');
  expect(screen.queryByRole('dialog')).toBeNull();
});

test('photos flow in as they are wished: with so many stars, in so many pages, otherwise dealt; what is left out is shown', async () => {
  const all = photos(20, 5, { faces: [] });
  for (const asset of all) await storeAsset({ asset, blob: new Blob(), proxies: {} });
  const gathered = perform(startHistory(book()), gather('photos', all), 0).project;
  const room = await opened('flow', gathered);
  const told = async (words: RegExp) => {
    await screen.findByText(words);
    await room.when(() => !screen.queryByLabelText('Planning the pages'));
    return screen.getByRole('status').textContent;
  };
  await room.press('Plain');
  await told(/^20 photos on \d+ pages/);
  const shown = () =>
    within(screen.getByRole('list', { name: 'The book as it would be' })).getAllByRole('listitem');
  expect(shown()[0]!.textContent).toBe('Cover');
  await room.choose('Photos', 'With 5 stars');
  const starred = all.filter(({ notes }) => notes?.stars === 5).length;
  await told(new RegExp(`^${starred} photos? on \\d+ pages`));
  await room.choose('Photos', 'All there are');
  await told(/^20 photos/);
  await room.choose('Pages', 'So many');
  await room.fill('How many', '3');
  screen.getByText(/from 4 to \d+/);
  await room.fill('How many', '6');
  await told(/on 6 pages/);
  expect(shown().map(({ textContent }) => textContent)).toEqual([
    ...['Cover', 'Page 1', 'Pages 2–3', 'Pages 4–5', 'Page 6'],
  ]);
  for (const name of ['Occasions open with a title', 'One of those that are alike']) {
    const before = screen.getByRole<HTMLInputElement>('switch', { name }).checked;
    fireEvent.click(screen.getByRole('switch', { name }));
    expect(screen.getByRole<HTMLInputElement>('switch', { name }).checked).toBe(!before);
    await told(/on 6 pages/);
  }
  await room.press('Deal them otherwise');
  await told(/on 6 pages/);
  expect(room.undo()).toBeNull();
  await room.press('Lay the book');
  expect([pagesOf(bookOf(room)), screen.queryByRole('dialog')]).toEqual([6, null]);
  room.does(() => room.store.getState().undo());
  expect(room.project().surfaces.every(({ pile }) => !pile.length)).toBe(true);
});

test('without photos it says where to bring them; nothing can be laid', async () => {
  await opened('flow', book());
  screen.getByText(/^No photos yet\. Shut this, drop a folder of them on the workbox/);
  expect(button('Lay the book').disabled).toBe(true);
});

test('a series: as many pages as thoughts, up to what one holds; photos go on them by time or by stars', async () => {
  const all = photos(4, 8, {}).map((asset, i) => ({ ...asset, notes: { stars: i + 1 } }));
  const room = await opened('series', perform(startHistory(book()), gather('photos', all), 0).project);
  screen.getByText(new RegExp(`^Type a thought a line: .* Up to ${MOST_IN_SERIES}\\.$`));
  expect(button('Lay the pages').disabled).toBe(true);
  const write = (lines: readonly string[]) =>
    fireEvent.change(screen.getByLabelText('A thought a line'), { target: { value: lines.join('\n') } });
  write(['Tar', '', '  ', 'Wind', 'Tide', 'Gulls', 'Rope']);
  await screen.findByText(
    /^5 pages, on 3 spreads, after this one\. 1 has a place kept free: no photo waits for it\.$/,
  );
  screen.getByLabelText('The first page of the series');
  await room.choose('Photos', 'The most stars first');
  await room.press('Lay 5 pages');
  expect([room.undo(), screen.queryByRole('dialog')]).toEqual(['lay a series of 5', null]);
  const laid = spreadsOf(room.project()).flatMap(({ pile }) =>
    pile.flatMap(({ material }) => (material.kind === 'photo' ? [material.asset] : [])),
  );
  expect(laid).toEqual([...all].reverse().map(({ sha }) => sha));
  const numbers = spreadsOf(room.project()).flatMap(({ pile }) =>
    pile.flatMap(({ outline }) => ('spans' in outline && outline.spans?.length ? [outline.text] : [])),
  );
  expect(numbers).toEqual(['1', '2', '3', '4', '5']);
  room.does(() => room.store.getState().openSheet('series'));
  await screen.findByRole('dialog');
  write(Array.from({ length: MOST_IN_SERIES + 5 }, (_, i) => `Thought ${i}`));
  await screen.findByRole('button', { name: `Lay ${MOST_IN_SERIES} pages` });
  screen.getByText(`A series has up to ${MOST_IN_SERIES} pages: the last 5 of these lines find none.`);
  write(['It smells of tar '.repeat(60), 'Wind']);
  await screen.findByText('One line is too long, and cut at its end.');
});
