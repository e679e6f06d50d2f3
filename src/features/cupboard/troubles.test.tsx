/** What cannot be had, read or kept is told, and nothing stays shut for it; what is set of a single supply. */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import sharp from 'sharp';
import { newKit, type Supply } from '@/core/supplies/model';
import { Cupboard } from '@/features/cupboard/Cupboard';
import { openedAnew } from '@/features/shared/once';
import { storeAsset } from '@/storage/assets';
import { database } from '@/storage/database';
import { addProject } from '@/storage/shelved';
import { addKit } from '@/storage/supplies';
import { around } from '../../../scripts/testing/room';
import { assetOf, laid, photoOf } from '../../../scripts/testing/samples';
import { emptyStore, fullStore, stocked } from '../../../scripts/testing/store';

const serve = globalThis.fetch;
let makeRoom = () => {};
beforeEach(async () => {
  openedAnew();
  await emptyStore();
  await stocked('windward');
});
afterEach(() => {
  makeRoom();
  globalThis.fetch = serve;
});
const cutOff = () => {
  globalThis.fetch = (async () => Promise.reject(new TypeError('Failed to fetch'))) as typeof fetch;
};

const opened = async () => {
  const shown = render(around(<Cupboard unit="in" usedOf={() => 0} />));
  await screen.findByRole('searchbox');
  return shown;
};
const choose = async (name: string) => {
  fireEvent.change(screen.getByRole('searchbox'), { target: { value: name } });
  const option = await screen.findAllByRole('option', { name: new RegExp(`^${name}`) });
  fireEvent.click(option[0]!);
};
const press = async (name: string | RegExp) => fireEvent.click(await screen.findByRole('button', { name }));
const write = (name: string, text: string) => {
  const field = screen.getByRole('textbox', { name });
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: text } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};

/** A kit of one's own with this of its pictures; two blots on a clear ground. */
async function ownKit(more: Partial<Supply> = {}): Promise<Supply> {
  const blot = await sharp({ create: { width: 60, height: 60, channels: 4, background: '#24506b' } })
    .png()
    .toBuffer();
  const bytes = await sharp({
    create: { width: 240, height: 100, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } },
  })
    .composite([
      { input: blot, left: 20, top: 20 },
      { input: blot, left: 150, top: 20 },
    ])
    .png()
    .toBuffer();
  const asset = assetOf(bytes, 240, 100, { name: 'Two blots' });
  await storeAsset({ asset, blob: new Blob([new Uint8Array(bytes)], { type: 'image/png' }), proxies: {} });
  const supply: Supply = {
    ...{ id: 'blots', kind: 'embellishment', name: 'Two blots', tags: [], kit: 'finds', order: 0, added: 1 },
    ...{ favourite: false, colours: ['#24506b'], asset, ...more },
  };
  await addKit(newKit('finds', 'Finds', 1), [supply]);
  return supply;
}

test('without a network a shipped picture is neither cut open nor apart, nor dyed: each dialog says so and can be left', async () => {
  await opened();
  cutOff();
  await choose('Coral button');
  for (const [button, name] of [
    ['Cut an opening', /^Cut an opening in Coral button/],
    ['Cut apart', /^Cut Coral button apart/],
  ] as const) {
    await press(button);
    const dialog = await screen.findByRole('dialog', { name });
    await within(dialog).findByText(/was never fetched, and there is no network just now/);
    fireEvent.click(within(dialog).getByRole('button', { name: 'Leave it' }));
    await waitFor(() => expect(screen.queryByRole('dialog', { name })).toBeNull());
  }
  await press('In other colours');
  const inks = within(await screen.findByRole('group', { name: 'Inks for the versions' }));
  fireEvent.click((await inks.findAllByRole('button'))[4]!);
  await press('Make 1 supply');
  await screen.findByText(/Coral button was never fetched/);
  expect(await database.kits.toArray()).toHaveLength(1);
});

test('no room for a kit in other colours: it is told, the dialog is not stuck, and with room it is made', async () => {
  await ownKit();
  await opened();
  await choose('Two blots');
  await press('In other colours');
  const inks = within(await screen.findByRole('group', { name: 'Inks for the versions' }));
  fireEvent.click((await inks.findAllByRole('button'))[4]!);
  // The picture finds its room, the kit none.
  jest
    .spyOn(database.kits, 'put')
    .mockRejectedValueOnce(new DOMException('full', 'QuotaExceededError') as never);
  await press('Make 1 supply');
  const told = await screen.findByText(/^Not all of them were kept: there is no room left/);
  fireEvent.click(within(told.closest('[role=alert]')!).getByRole('button', { name: 'Close' }));
  const dialog = screen.getByRole('dialog', { name: 'Two blots in other colours' });
  fireEvent.click(within(dialog).getByRole('button', { name: 'Make 1 supply' }));
  await screen.findByText('1 supply lies in a new kit.');
  await waitFor(() => expect(screen.queryByRole('dialog', { name: /in other colours$/ })).toBeNull());
});

test('a picture of one thing is not cut apart; one of two is, beside the sheet; without room nothing is lost', async () => {
  await ownKit();
  await opened();
  await choose('Two blots');
  await press('Cut apart');
  const dialog = within(await screen.findByRole('dialog', { name: 'Cut Two blots apart' }));
  await dialog.findByText('2 parts lie apart.');
  makeRoom = fullStore();
  const cut = () => fireEvent.click(dialog.getByRole('button', { name: /^Cut/ }));
  cut();
  await screen.findByText(/no room left in this browser/);
  expect(await database.supplies.where('kit').equals('finds').count()).toBe(1);
  makeRoom();
});

test('before things leave: if it cannot be read where they lie, that is said, and they can be taken out all the same', async () => {
  const { asset } = await ownKit();
  await addProject(laid([photoOf('p', asset!, { x: 0, y: 0, width: 72, height: 30 })], [asset!]), 0);
  await opened();
  await choose('Two blots');
  await screen.findByText('In use: A sample');
  const broken = jest.spyOn(database.projects, 'where').mockImplementation(() => {
    throw new Error('no');
  });
  await press('Take out of the cupboard');
  await screen.findByText(/^Which pages it lies on could not be read just now\./);
  broken.mockRestore();
  await press('Take it out');
  await waitFor(async () => expect(await database.supplies.get('blots')).toBeUndefined());
});

test('what is known of one thing: its true size, its kind and how it arrives, the letter it stands for and of which alphabet', async () => {
  await ownKit();
  await opened();
  await choose('Two blots');
  const kept = () => database.supplies.get('blots') as Promise<Supply>;
  // 240 pixels at 300 to the inch; as wide again is half as dense.
  expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'True width' }).value).toBe('0.8');
  write('True width', '1.6');
  await waitFor(async () => expect((await kept()).asset!.ppi).toBe(150));
  screen.getByText('Arrives at its true size.');
  fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Kind' }));
  const kinds = within(await screen.findByRole('listbox', { name: 'Kind' }));
  // A picture is no page and no set of inks, whatever it shows.
  expect(kinds.getAllByRole('option').map(({ textContent }) => textContent)).toEqual([
    ...['photo', 'paper', 'cardstock', 'embellishment', 'frame', 'stamp', 'letter', 'brush tip', 'edge'],
    'sentiment',
  ]);
  fireEvent.click(kinds.getByRole('option', { name: 'letter' }));
  await waitFor(async () => expect((await kept()).kind).toBe('alphabet'));
  await screen.findByRole('textbox', { name: 'Stands for' });
  write('Stands for', 'ß');
  await waitFor(async () => expect((await kept()).letters).toBe('ß'));
  write('Of the alphabet', 'Blots');
  await waitFor(async () => expect((await kept()).alphabet).toBe('Blots'));
  write('Stands for', '');
  await waitFor(async () => expect((await kept()).letters).toBeUndefined());
  // A name there is none of is no name.
  write('Name', '   ');
  expect((await kept()).name).toBe('Two blots');
});
