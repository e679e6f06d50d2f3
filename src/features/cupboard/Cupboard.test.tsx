import { expect, jest, test } from '@jest/globals';
import { act, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import type { Supply } from '@/core/supplies/model';
import { Cupboard, type CupboardProps } from '@/features/cupboard/Cupboard';
import { database } from '@/storage/database';
import { addProject } from '@/storage/shelved';
import { around } from '../../../scripts/testing/room';
import { laid, photoOf } from '../../../scripts/testing/samples';

/** The cupboard as the table opens it, over what ships. */
const opened = async (more: Partial<CupboardProps> = {}) => {
  const on = { onGather: jest.fn(), onLay: jest.fn(), onReplace: jest.fn(), onOpenPage: jest.fn() };
  const shown = render(around(<Cupboard unit="in" usedOf={() => 0} {...on} {...more} />));
  await screen.findByRole('searchbox');
  return { ...on, ...shown };
};
const found = () => within(screen.getByRole('listbox', { name: 'Supplies' })).getAllByRole('option');
const names = () => found().map((one) => one.getAttribute('aria-label'));
const search = async (words: string) => {
  fireEvent.change(screen.getByRole('searchbox'), { target: { value: words } });
  await act(async () => {});
};
const count = () =>
  within(screen.getByRole('region', { name: 'Found supplies' })).getByRole('status').textContent;
const press = async (name: string | RegExp) => fireEvent.click(await screen.findByRole('button', { name }));

const choose = (...which: (string | RegExp)[]) => {
  for (const [i, name] of which.entries())
    fireEvent.click(screen.getByRole('option', { name }), { ctrlKey: i > 0 });
};
/** What the focus is on. */
const at = () => document.activeElement!.getAttribute('aria-label');
const key = (name: string) =>
  act(async () => {
    fireEvent.keyDown(document.activeElement!, { key: name });
    // What is out of sight is drawn before it can have the focus.
    for (let frame = 0; frame < 2; frame++) await new Promise(requestAnimationFrame);
  });
const kept = async (name: string): Promise<Supply> =>
  (await database.supplies.filter((supply) => supply.name === name).first())!;

test('one that cannot be opened says so, and is opened at the next try', async () => {
  const serve = globalThis.fetch;
  globalThis.fetch = (async () => Promise.reject(new TypeError('Failed to fetch'))) as typeof fetch;
  render(<Cupboard unit="in" usedOf={() => 0} />);
  expect((await screen.findByText(/^The cupboard could not be opened/)).textContent).toContain(
    'Everything in it is kept.',
  );
  globalThis.fetch = serve;
  await press('Try again');
  await screen.findByRole('searchbox');
  await press('Windward');
  expect(count()).toMatch(/^\d+ supplies in Windward$/);
});

test('the right thing is found before its word is done, narrowed, walked to, gathered and laid by keys', async () => {
  const { onGather, onLay } = await opened({ usedOf: (sha) => (sha?.startsWith('0') ? 2 : 0) });
  expect(document.activeElement).toBe(screen.getByRole('searchbox'));
  await search('kit');
  expect(names()[0]).toMatch(/kit/i);
  await search('kite');
  expect(names()[0]).toMatch(/^Kite, stamp/);
  expect(count()).toBe('11 supplies for “kite”');
  await press('Any kind');
  fireEvent.click(screen.getByRole('menuitem', { name: 'embellishments' }));
  await key('Escape');
  expect(names().map((name) => name!.split(',')[1])).toEqual(Array(4).fill(' embellishment'));
  fireEvent.keyDown(screen.getByRole('searchbox'), { key: 'ArrowDown' });
  expect(at()).toBe(names()[0]);
  await key('End');
  await key('ArrowLeft');
  expect(at()).toBe(names()[2]);
  await key('Home');
  await key('ArrowRight');
  expect(at()).toBe(names()[1]);
  const meant = at()!.split(',')[0];
  await key('g');
  expect(onGather.mock.lastCall).toEqual([[expect.objectContaining({ name: meant })]]);
  await key('Enter');
  expect(onLay.mock.lastCall).toEqual([[expect.objectContaining({ name: meant })]]);
  await key('f');
  await waitFor(() => expect(names()[0]).toBe(`${meant}, embellishment, favourite`));
  expect((await kept(meant!)).favourite).toBe(true);
  await search('');
  await press('Clear');
  expect(names().filter((name) => name!.includes('used 2 times')).length).toBeGreaterThan(0);
  await search('zzqy');
  screen.getByText('Nothing is called that here');
  await press('Clear the search');
  await press('Favourites');
  expect(count()).toBe('1 supply');
});

test('several are chosen in a run and one by one; what is changed is changed for all of them', async () => {
  const { onLay } = await opened();
  await search('kite');
  const [first, second, third, fourth] = found();
  fireEvent.click(first!);
  fireEvent.click(third!, { shiftKey: true });
  fireEvent.click(fourth!, { ctrlKey: true });
  fireEvent.click(second!, { ctrlKey: true });
  const chosen = [first, third, fourth].map((one) => one!.textContent);
  screen.getByText('3 supplies chosen');
  const tags = screen.getByRole('combobox', { name: 'Tags of all chosen' });
  fireEvent.change(tags, { target: { value: ' Sky High ' } });
  fireEvent.keyDown(tags, { key: 'Enter' });
  await waitFor(async () => {
    for (const name of chosen) expect((await kept(name)).tags).toContain('sky high');
  });
  screen.getByText('From Windward, by Bellagraph');
  await search('button');
  fireEvent.click(found()[0]!);
  await act(async () => void fireEvent.keyDown(found()[0]!, { key: 'End', shiftKey: true }));
  screen.getByText(/^From [2-8] kits$/);
  await search('kite');
  fireEvent.click(found()[0]!);
  fireEvent.click(found()[2]!, { ctrlKey: true });
  fireEvent.click(found()[3]!, { ctrlKey: true });
  await press('Lay them all');
  expect((onLay.mock.lastCall![0] as Supply[]).map(({ name }) => name)).toEqual(chosen);
  await search('sky high');
  await waitFor(() => expect(count()).toBe('3 supplies for “sky high”'));
  fireEvent.click(found()[0]!);
  fireEvent.change(screen.getByRole('textbox', { name: 'Name' }), { target: { value: 'First up' } });
  fireEvent.blur(screen.getByRole('textbox', { name: 'Name' }));
  await search('first up');
  await waitFor(() => expect(names()[0]).toMatch(/^First up, /));
});

test('a paper leads to what is on its back; a ready-made page is opened', async () => {
  const { onOpenPage } = await opened({ onLay: undefined });
  const paper = (await database.supplies
    .filter(({ back, kind }) => kind === 'paper' && Boolean(back))
    .first())!;
  const back = (await database.supplies.get(paper.back!))!;
  await search(paper.name);
  choose(`${paper.name}, paper`);
  await press(`On its back: ${back.name}`);
  expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Name' }).value).toBe(back.name);
  await press('Everything');
  await search('high wind');
  fireEvent.doubleClick(screen.getByRole('option', { name: 'High wind, ready-made page' }));
  expect(onOpenPage.mock.lastCall).toEqual([expect.objectContaining({ name: 'High wind' })]);
});

test('before things leave, all pages they lie on are named, however many are taken out at once', async () => {
  const kit = { id: 'own', name: 'Finds', description: '', author: '', licence: '', tags: [], house: false };
  const model = (await database.supplies.filter(({ asset }) => Boolean(asset)).first())!;
  const finds = Array.from({ length: 60 }, (_, i) => ({
    ...model,
    id: `find-${i}`,
    kit: 'own',
    name: `Find ${i}`,
    tags: i === 59 ? [model.name] : [],
    favourite: i === 59,
    asset: { ...model.asset!, sha: i.toString(16).padStart(64, '0') },
  }));
  await database.kits.put({ ...kit, added: 0 } as never);
  await database.supplies.bulkPut(finds as never);
  for (const i of [50, 51, 52, 53, 54, 55, 56]) {
    const asset = finds[i]!.asset;
    await addProject(
      {
        ...laid([photoOf('p', asset, { x: 0, y: 0, width: 72, height: 72 })], [asset]),
        id: `page-${i}`,
        title: `Page ${i}`,
      },
      0,
    );
  }
  const { unmount } = await opened();
  // What ships stays in its kit, though it is chosen with something of one's own.
  await search(model.name);
  choose(/^Find 59.*favourite/, new RegExp(`^${model.name},`));
  screen.getByText('From 2 kits');
  expect(screen.queryByLabelText('In the kit')).toBeNull();
  await search('');
  await press('Finds');
  const all = within(screen.getByRole('listbox', { name: 'Supplies' }));
  fireEvent.click(await all.findByRole('option', { name: /^Find 1,/ }));
  await press('Take out of the cupboard');
  const dialog = await screen.findByRole('dialog');
  await within(dialog).findByText(/^It lies on no page\./);
  await press('Take it out');
  await waitFor(() => expect(count()).toBe('59 supplies in Finds'));
  fireEvent.click(found()[0]!);
  await act(async () => void fireEvent.keyDown(found()[0]!, { key: 'End', shiftKey: true }));
  screen.getByText('59 supplies chosen');
  await press('Take out of the cupboard');
  await screen.findByText('Find 50 lies on Page 50.');
  screen.getByText('One more of them lies on a page, too.');
  screen.getByText(/^Those pages keep their copy/);
  await press('Leave them');
  expect(count()).toBe('59 supplies in Finds');
  unmount();
});

test('supplies get a blue and a red version in one step, each a kit of its own', async () => {
  await opened();
  await press('Everything');
  await search('ribbon');
  choose('Kite ribbon, embellishment', /^Signal ribbon, /);
  await press('In other colours');
  const dialog = within(await screen.findByRole('dialog', { name: '2 supplies in other colours' }));
  const group = await dialog.findByRole('group', { name: 'Inks for the versions' });
  const inks = await within(group).findAllByRole('button');
  for (const i of [5, 9]) fireEvent.click(inks[i]!);
  await waitFor(() => expect(dialog.getAllByRole('img', { name: /^How they look in/ })).toHaveLength(2));
  const ink = inks[5]!.getAttribute('aria-label')!;
  await press('Make 4 supplies');
  await screen.findByText('4 supplies lie in 2 new kits.');
  await search(ink);
  await waitFor(() => expect(names().filter((name) => name!.includes(`, ${ink},`))).toHaveLength(2));
});

test('a kit of one’s own is named, described and tagged, gets a cover, and is put in order; what ships is not', async () => {
  const model = (await database.supplies.filter(({ asset, back }) => Boolean(asset) && !back).first())!;
  const own = { description: '', author: '', licence: '', tags: [], house: false, added: 0 };
  await database.kits.bulkPut([
    { ...own, id: 'shore', name: 'Shore' },
    { ...own, id: 'other', name: 'Other finds' },
  ] as never);
  const finds = ['Feather', 'Shell', 'Twig'].map((name, i) => ({
    ...{ ...model, id: `shore-${i}`, kit: 'shore', name, tags: [], order: i },
    asset: { ...model.asset!, sha: (9000 + i).toString(16).padStart(64, '0') },
  }));
  await database.supplies.bulkPut(finds as never);
  const { unmount } = await opened();
  const inOrder = async () =>
    (await database.supplies.where('kit').equals('shore').sortBy('order')).map(({ name }) => name);
  await press('Windward');
  expect(screen.queryByRole('button', { name: /^Describe / })).toBeNull();
  await press('Shore');
  await press('Describe Shore');
  const sheet = within(await screen.findByRole('dialog', { name: 'About this kit' }));
  const write = (label: string, value: string) =>
    fireEvent.change(sheet.getByRole('textbox', { name: label }), { target: { value } });
  const keep = () => sheet.getByRole<HTMLButtonElement>('button', { name: 'Keep' });
  write('Name', '   ');
  sheet.getByText('A kit needs a name.');
  expect(keep().disabled).toBe(true);
  write('Name', '  Shore finds ');
  write('What is in it', 'Picked up between the tides.');
  const tags = sheet.getByRole('combobox', { name: /^Tags/ });
  fireEvent.change(tags, { target: { value: ' Between Tides ' } });
  fireEvent.keyDown(tags, { key: 'Enter' });
  fireEvent.mouseDown(sheet.getByRole('combobox', { name: 'On the cover' }));
  fireEvent.click(await screen.findByRole('option', { name: 'Twig' }));
  fireEvent.click(keep());
  await waitFor(async () =>
    expect(await database.kits.get('shore')).toMatchObject({
      ...{ name: 'Shore finds', description: 'Picked up between the tides.' },
      ...{ tags: ['between tides'], cover: 'shore-2' },
    }),
  );
  // By the kit's tag all of it is found.
  await press('Everything');
  await search('between tides');
  await waitFor(() => expect(count()).toBe('3 supplies for “between tides”'));
  await search('');
  await press('Shore finds');
  choose(/^Shell/);
  await press('Earlier in the kit');
  await waitFor(async () => expect(await inOrder()).toEqual(['Shell', 'Feather', 'Twig']));
  choose(/^Twig/);
  // Pressed twice at once it goes two places.
  for (const [step, order] of [
    ['Earlier in the kit', ['Twig', 'Shell', 'Feather']],
    ['Later in the kit', ['Shell', 'Feather', 'Twig']],
  ] as const) {
    const button = () => screen.getByRole<HTMLButtonElement>('button', { name: step });
    await waitFor(() => expect(button().disabled).toBe(false));
    for (let i = 0; i < 2; i++) fireEvent.click(button());
    await waitFor(async () => expect(await inOrder()).toEqual(order));
  }
  await waitFor(() =>
    expect(screen.getByRole('button', { name: 'Later in the kit' })).toHaveProperty('disabled', true),
  );
  fireEvent.mouseDown(screen.getByRole('combobox', { name: 'In the kit' }));
  fireEvent.click(await screen.findByRole('option', { name: 'Other finds' }));
  await waitFor(async () => expect(await inOrder()).toEqual(['Shell', 'Feather']));
  expect((await kept('Twig')).kit).toBe('other');
  // Another that came from elsewhere has the number of one that is here.
  choose(/^Feather/);
  fireEvent.mouseDown(screen.getByRole('combobox', { name: 'In the kit' }));
  fireEvent.click(await screen.findByRole('option', { name: 'Other finds' }));
  await waitFor(async () => expect((await kept('Feather')).kit).toBe('other'));
  expect((await kept('Feather')).order).toBe((await kept('Twig')).order + 1);
  const others = async () =>
    (await database.supplies.where('kit').equals('other').toArray())
      .sort((a, b) => a.order - b.order)
      .map(({ name }) => name);
  const { order } = await kept('Twig');
  await database.supplies.update('shore-0', { order });
  unmount();
  const again = await opened();
  await press('Other finds');
  const first = names()[0]!.split(',')[0]!;
  fireEvent.click(found()[0]!);
  await press('Later in the kit');
  await waitFor(async () => expect((await others())[1]).toBe(first));
  again.unmount();
});

test('what is changed at once after another change keeps that: name, then liked, then tagged; inks of a set moved twice, named, put by', async () => {
  await opened();
  await search('kite');
  fireEvent.click(found()[0]!);
  const name = await screen.findByRole('textbox', { name: 'Name' });
  fireEvent.focus(name);
  fireEvent.change(name, { target: { value: 'Our kite' } });
  fireEvent.blur(name);
  fireEvent.click(screen.getByRole('button', { name: 'Favourite' }));
  await waitFor(async () => expect(await kept('Our kite')).toMatchObject({ favourite: true }));

  await search('Garden Year inks');
  fireEvent.click(found()[0]!);
  await press('Arrange the inks');
  const dialog = within(await screen.findByRole('dialog', { name: 'Garden Year inks' }));
  const dots = () =>
    within(dialog.getByRole('group', { name: 'Inks in their order' })).getAllByRole('button');
  const order = () => dots().map((dot) => dot.getAttribute('aria-label'));
  const own = order();
  fireEvent.click(dots()[0]!);
  for (let i = 0; i < 2; i++) fireEvent.click(dialog.getByRole('button', { name: 'Later in the set' }));
  await waitFor(() => expect(order()).toEqual([own[1], own[2], own[0], ...own.slice(3)]));
  fireEvent.click(dialog.getByRole('button', { name: 'By hue' }));
  await waitFor(() => expect(order()[0]).not.toBe(own[1]));
  expect([...order()].sort()).toEqual([...own].sort());
  fireEvent.click(dialog.getByRole('button', { name: 'As the set came' }));
  await waitFor(() => expect(order()).toEqual(own));
  fireEvent.click(dots()[2]!);
  const write = (label: string, value: string) => {
    const field = dialog.getByRole('textbox', { name: label });
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value } });
    fireEvent.blur(field);
  };
  write('Name of the ink', 'First bloom');
  write('Family', 'Blossom');
  fireEvent.click(dialog.getByRole('switch'));
  await waitFor(() => expect(order()[2]).toBe('First bloom, put by'));
  const { inks } = await kept('Garden Year inks');
  expect(inks!.find((ink) => ink.name === 'First bloom')).toMatchObject({ family: 'Blossom', retired: true });
  fireEvent.click(dialog.getByRole('button', { name: 'Done' }));
});
