import { beforeEach, expect, jest, test } from '@jest/globals';
import { act, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import sharp from 'sharp';
import { writeKit, type KitEntry } from '@/core/supplies/kit-file';
import { newKit } from '@/core/supplies/model';
import { Cupboard } from '@/features/cupboard/Cupboard';
import { database } from '@/storage/database';
import { addKit } from '@/storage/supplies';
import { around } from '../../../scripts/testing/room';
import { emptyStore, stocked } from '../../../scripts/testing/store';

const served = (path: string) => fetch(`/house/kits/${path}`).then((answer) => answer.arrayBuffer());
const file = (name: string, bytes: Buffer) => new File([new Uint8Array(bytes)], name, { type: 'image/png' });
const plain = async (name: string, side: number, background: string) =>
  file(
    name,
    await sharp({ create: { width: side, height: side, channels: 3, background } })
      .png()
      .toBuffer(),
  );

const KIT = { description: '', author: '', licence: '', tags: [] };

/** Another browser: nothing of one's own, and the cupboard as it ships. */
beforeEach(async () => {
  await emptyStore();
  await stocked('windward');
});

const opened = async () => {
  const shown = render(around(<Cupboard unit="in" usedOf={() => 0} />));
  await screen.findByRole('searchbox');
  return shown;
};
const give = (...files: File[]) =>
  fireEvent.change(screen.getByTestId('supply-input'), { target: { files } });
const review = async () => within(await screen.findByRole('dialog', { name: /came in/ }));
const press = async (name: string | RegExp) => fireEvent.click(await screen.findByRole('button', { name }));
const fill = (label: string | RegExp, value: string) => {
  const field = screen.getByLabelText(label);
  fireEvent.change(field, { target: { value } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};
const intoNewKit = async (name: string) => {
  fireEvent.mouseDown((await review()).getByRole('combobox', { name: 'Put into' }));
  fireEvent.click(await screen.findByRole('option', { name: 'A new kit' }));
  fill('The kit’s name', name);
};
const found = () => within(screen.getByRole('listbox', { name: 'Supplies' })).queryAllByRole('option');
const names = () => found().map((one) => one.getAttribute('aria-label'));
const search = (words: string) =>
  fireEvent.change(screen.getByRole('searchbox'), { target: { value: words } });
const told = (text: string | RegExp) =>
  waitFor(() => expect(screen.getByRole('alert').textContent).toMatch(text));

/** What is dragged hands over words, as in any browser. */
const dragged = (from: Element, to: Element) => {
  const held = new Map<string, string>();
  const dataTransfer = {
    get types() {
      return [...held.keys()];
    },
    setData: (type: string, data: string) => held.set(type, data),
    getData: (type: string) => held.get(type) ?? '',
  };
  fireEvent.dragStart(from, { dataTransfer });
  fireEvent.dragOver(to, { dataTransfer });
  fireEvent.drop(to, { dataTransfer });
};

test('what came in is put right: a run dragged to a kind, letters typed along, one left out, sizes set', async () => {
  await opened();
  const scans = await Promise.all(
    ['f-70', 'l-76', 'y-89'].map(async (letter, i) => {
      const webp = await served(`windward/alphabet-deckboard-${letter}.webp`);
      return file(`scan ${i + 1}.png`, await sharp(Buffer.from(webp)).png().toBuffer());
    }),
  );
  give(...scans, await plain('odd.png', 80, '#7a3'));
  const came = await review();
  const option = (name: RegExp) => came.getByRole('option', { name });
  fireEvent.click(option(/^scan 1/));
  fireEvent.click(option(/^scan 3/), { shiftKey: true });
  dragged(option(/^scan 2/), came.getByRole('button', { name: /letters/ }));
  expect(within(came.getByRole('group', { name: 'Letters' })).getAllByRole('option')).toHaveLength(3);
  fill('Type the letters in their order', 'FLY');
  option(/^Y scan 3/);
  fill('Pixels to the inch', '150');
  fireEvent.click(option(/^odd/));
  await press('Leave out');
  await intoNewKit('');
  came.getByText('A kit needs a name.');
  fill('The kit’s name', 'Fly');
  await press('Put 3 away');
  await told('3 supplies put away in Fly.');
  await press('Fly');
  fireEvent.click(screen.getByRole('option', { name: /^scan 2, letter/ }));
  expect(screen.getByLabelText<HTMLInputElement>('Stands for').value).toBe('L');
  screen.getByText(/150 to the inch/);

  // All of it can stay outside, and can then be brought in anew.
  give(await plain('odd.png', 80, '#7a3'));
  await review();
  await press('Leave them all');
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  search('odd');
  await screen.findByText('Nothing is called that here');
  // Nor is it in the store: three pictures were put away.
  await waitFor(async () => expect(await database.assets.count()).toBe(3));
});

test('a backup goes to another browser: kits, pictures, tags, favourites and names among the shipped ones; nothing twice', async () => {
  const link = jest.spyOn(URL, 'createObjectURL');
  const here = await opened();
  give(await plain('cliff.png', 1200, '#b08a5a'), await plain('foam.png', 1200, '#dfe8ea'));
  await review();
  await intoNewKit('Cliff walk');
  fill(/^Tags for all/, 'chalk');
  await press('Put 2 away');
  await told('2 supplies put away in Cliff walk.');
  search('porthole');
  await waitFor(() => expect(names()).toHaveLength(1));
  fireEvent.keyDown(found()[0]!, { key: 'f' });
  await waitFor(() => expect(names()[0]).toMatch(/favourite/));
  fireEvent.click(found()[0]!);
  const name = await screen.findByRole('textbox', { name: 'Name' });
  fireEvent.change(name, { target: { value: 'Ada’s porthole' } });
  fireEvent.blur(name);
  await waitFor(() => expect(names()[0]).toMatch(/^Ada’s porthole/));
  await press('Back up the cupboard');
  await told(/is in your downloads: everything of your own in one file\.$/);
  const saved = new File([link.mock.lastCall![0] as Blob], 'cupboard.zip', { type: 'application/zip' });
  here.unmount();

  await emptyStore();
  await stocked('windward');
  await opened();
  give(saved);
  await told('Cliff walk: 2 supplies put away.');
  search('chalk');
  await waitFor(() =>
    expect(names()).toEqual([expect.stringMatching(/cardstock/), expect.stringMatching(/cardstock/)]),
  );
  search('');
  await press('Favourites');
  await waitFor(() => expect(names()).toEqual([expect.stringMatching(/^Ada’s porthole.*favourite/)]));
  give(saved);
  await told('2 were in the cupboard already.');
});

test('what is dropped on things that are still looked over waits; a kit there is no room for is told of, and nothing is stuck', async () => {
  await opened();
  give(await plain('cliff.png', 1200, '#b08a5a'));
  const first = await review();
  await act(async () => give(await plain('foam.png', 1200, '#dfe8ea')));
  await told('One after the other: what came in before is still to be put away.');
  // The file's name is that of the row.
  expect(first.getAllByRole('option').map((row) => row.textContent)).toEqual([
    expect.stringContaining('cliff'),
  ]);
  await press('Leave them all');
  await waitFor(() => expect(screen.queryByRole('dialog', { name: /came in/ })).toBeNull());
  const about = { format: 'bellagraph-kit', version: 3, kit: { ...KIT, name: 'Cliffs' } };
  const supplies = [{ file: 'cliff.png', kind: 'paper', name: 'Cliff', tags: [] }];
  const zip = zipSync({
    'kit.json': new TextEncoder().encode(JSON.stringify({ ...about, supplies })),
    'cliff.png': new Uint8Array(await (await plain('cliff.png', 600, '#b08a5a')).arrayBuffer()),
  });
  const given = () => give(new File([new Uint8Array(zip)], 'cliffs.zip', { type: 'application/zip' }));
  jest
    .spyOn(database.kits, 'put')
    .mockRejectedValueOnce(new DOMException('full', 'QuotaExceededError') as never);
  given();
  const alert = await screen.findByText(/^Not all of it was put away: there is no room left/);
  // The picture that came with it is gone again.
  await waitFor(async () => expect(await database.assets.count()).toBe(0));
  fireEvent.click(within(alert.closest('[role=alert]')!).getByRole('button', { name: 'Close' }));
  given();
  await told('Cliffs: 1 supply put away.');
});

test('a set of inks goes along in the order a person put it in', async () => {
  const link = jest.spyOn(URL, 'createObjectURL');
  const inks = ['Sand', 'Sea', 'Foam'].map((name, i) => ({ name, colour: `#${i}0${i}0${i}0` }));
  await addKit(newKit('mine', 'Mine', 1), [
    {
      ...{ id: 'set', kind: 'inks', name: 'Shore', tags: [], kit: 'mine', order: 0, added: 1 },
      ...{ favourite: false, colours: [], inks, arranged: [2, 0, 1] },
    },
  ]);
  await opened();
  await press('Back up the cupboard');
  await told(/is in your downloads/);
  const files = unzipSync(new Uint8Array(await (link.mock.lastCall![0] as Blob).arrayBuffer()));
  const kept = JSON.parse(strFromU8(files['1 Mine/kit.json']!)) as { supplies: { inks: typeof inks }[] };
  expect(kept.supplies[0]!.inks.map(({ name }) => name)).toEqual(['Foam', 'Sand', 'Sea']);
});

test('a zip of loose pictures becomes a kit: sorted, put right by keys, tagged, saved, taken out, opened again', async () => {
  const take = async (path: string) => Buffer.from(await served(path));
  const png = async (path: string) =>
    sharp(await take(path))
      .png()
      .toBuffer();
  const loose = {
    'papers/swell.svg': await take('windward/paper-swell.svg'),
    'thing 1.png': await png('windward/embellishment-brass-clip.webp'),
    'thing 2.png': await png('windward/frame-porthole.webp'),
    'stamps/boat.svg': await take('windward/stamp-sailboat.svg'),
    'alpha/A.png': await png('windward/alphabet-deckboard-a-65.webp'),
    'small square.png': Buffer.from(await (await plain('', 90, '#caa')).arrayBuffer()),
    'readme.txt': Buffer.from('hello'),
    'broken.png': Buffer.from('not a picture'),
  };
  const zip = zipSync(
    Object.fromEntries(Object.entries(loose).map(([name, bytes]) => [name, new Uint8Array(bytes)])),
  );
  await opened();
  give(file('Harbour kit.zip', Buffer.from(zip)));
  const came = await review();
  const passed = came.getByRole('list', { name: 'Passed over' }).textContent;
  expect(passed).toContain('readme.txt was passed over: not pictures');
  expect(passed).toContain('broken.png is not a picture');
  // These came with the house kits already: told, not doubled. The PNGs are files of their own.
  expect(passed).toContain('2 were in the cupboard already');
  expect(came.getAllByRole('group')[0]!.getAttribute('aria-label')).toBe('Please look at these first');
  came.getByRole('option', { name: /^thing 2 frame/ });
  came.getByRole('option', { name: /^A A letter/ });
  const square = came.getByRole('option', { name: /^small square/ });
  square.focus();
  for (const key of [' ', 'p']) fireEvent.keyDown(square, { key });
  came.getByRole('option', { name: /^small square paper/ });
  fill('The kit’s name', 'Harbour');
  fill(/^Tags for all/, 'pier, blue');
  await press('Put 4 away');
  await told('4 supplies put away in Harbour.');
  search('pier');
  await waitFor(() => expect(names()).toHaveLength(4));
  search('');

  await press('Harbour');
  await press('Describe Harbour');
  fill('Made by', 'The kite club');
  await press('Keep');
  // One letter is no alphabet yet: what is lacking is told.
  screen.getByText(/^Its letters lack B C D/);
  const before = names();
  fireEvent.click(found()[0]!);
  await press('Later in the kit');
  await waitFor(() => expect(names()).toEqual([before[1], before[0], ...before.slice(2)]));
  const link = jest.spyOn(URL, 'createObjectURL');
  await press('Save Harbour as a zip');
  await told(/is in your downloads: the whole kit\.$/);
  const bytes = new Uint8Array(await (link.mock.lastCall![0] as Blob).arrayBuffer());
  const json = JSON.parse(strFromU8(unzipSync(bytes)['kit.json']!)) as {
    kit: object;
    supplies: { kind: string; tags: string[] }[];
  };
  expect(json.kit).toMatchObject({ name: 'Harbour', author: 'The kite club' });
  expect(json.supplies.map(({ kind }) => kind).sort()).toEqual([
    'alphabet',
    'embellishment',
    'frame',
    'paper',
  ]);
  for (const { tags } of json.supplies) expect(tags).toEqual(expect.arrayContaining(['pier', 'blue']));

  fireEvent.click(found()[0]!);
  fireEvent.keyDown(found()[0]!, { key: 'End', shiftKey: true });
  fireEvent.keyDown(found()[0]!, { key: 'Delete' });
  await screen.findByText(/^None of them lies on a page\./);
  await press('Take them out');
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Harbour' })).toBeNull());
  give(file('Harbour.zip', Buffer.from(bytes)));
  await told('Harbour: 4 supplies put away.');
  await press('Harbour');
  await waitFor(() => expect(names()).toHaveLength(4));
  expect(names()).toContain('A, letter');
});

test('a sheet of letters is known for one and cut apart, each letter with its own edge, as large as on the sheet', async () => {
  const tiles = await Promise.all(
    [...'ABCDEFGHIJKLMNOPQR'].map(async (letter, i) => {
      const webp = await served(`windward/alphabet-deckboard-${letter.toLowerCase()}-${65 + i}.webp`);
      const small = sharp(Buffer.from(webp)).resize({ height: 150, width: 170, fit: 'inside' });
      return {
        input: await small.png().toBuffer(),
        left: 20 + (i % 6) * 200,
        top: 20 + Math.floor(i / 6) * 200,
      };
    }),
  );
  const bare = sharp({ create: { width: 1220, height: 620, channels: 4, background: '#ffffff00' } });
  const sheet = await bare.composite(tiles).withMetadata({ density: 150 }).png().toBuffer();
  await opened();
  give(file('Deck alphabet.png', sheet));
  const came = await review();
  const [only] = within(came.getByRole('group', { name: 'Letters' })).getAllByRole('option');
  expect(only!.title).toMatch(/a sheet of 18 letters/);
  await press('Put 1 away');
  search('deck alphabet');
  // Not what lay first before the search was done.
  await waitFor(() => expect(names()[0]).toMatch(/^Deck alphabet/));
  fireEvent.click(found()[0]!);
  await press('Cut apart');
  const apart = within(await screen.findByRole('dialog', { name: 'Cut Deck alphabet apart' }));
  await apart.findByText('18 parts lie apart.');
  // Two put together, parted again.
  await press(/^Part 2,/);
  await apart.findByText('17 parts lie apart.');
  await press(/^Part 1,/);
  await apart.findByText('18 parts lie apart.');
  fireEvent.click(apart.getByRole('button', { name: 'A to Z' }));
  apart.getByRole('button', { name: 'Part 18, R' });
  fill('Type the characters in their order', 'ABC EFGHIJKLMNOPQR');
  fireEvent.click(apart.getByRole('button', { name: 'Cut 17 letters out' }));
  await told('17 letters lie in Loose supplies now');
  await press('Loose supplies');
  search('deck alphabet q');
  await waitFor(() => expect(names()).toHaveLength(1));
  fireEvent.click(found()[0]!);
  expect((await screen.findByLabelText<HTMLInputElement>('Stands for')).value).toBe('Q');
  // 150 pixels at 150 to the inch.
  expect(Number(screen.getByLabelText<HTMLInputElement>('True height').value)).toBeCloseTo(1, 1);
  screen.getByText(/^Its letters lack D S T U V W X Y Z/);
});

test('what is on the back of several papers is one supply: it came twice, or was here before, and each paper has it', async () => {
  await opened();
  const bytes = async (made: Promise<File>) => new Uint8Array(await (await made).arrayBuffer());
  const zipped = async (name: string, fronts: readonly [string, string][]) => {
    const dots = await bytes(plain('dots.png', 900, '#335577'));
    const files: Record<string, Uint8Array> = {};
    const entries: KitEntry[] = [];
    for (const [front, colour] of fronts) {
      files[`${front}.png`] = await bytes(plain(`${front}.png`, 900, colour));
      files[`${front} back.png`] = dots;
      const common = { kind: 'paper' as const, tags: ['reverse'] };
      entries.push({ ...common, file: `${front}.png`, name: front, back: `${front} back.png` });
      entries.push({ ...common, file: `${front} back.png`, name: `Back of ${front}` });
    }
    const json = writeKit({ kit: { ...KIT, name }, supplies: entries });
    return new File([zipSync({ ...files, 'kit.json': strToU8(json) })], `${name}.zip`, {
      type: 'application/zip',
    });
  };
  give(await zipped('Both sides', [['Oat', '#d9c9a8'], ['Rust', '#a8502c']])); // prettier-ignore
  await told('Both sides: 3 supplies put away.');
  give(await zipped('More of them', [['Moss', '#5c6b3a']])); // prettier-ignore
  await told('More of them: 1 supply put away.');
  const all = await database.supplies.toArray();
  const named = (name: string) => all.find((one) => one.name === name)!;
  const back = named('Back of Oat');
  expect(['Oat', 'Rust', 'Moss'].map((name) => named(name).back)).toEqual([back.id, back.id, back.id]);
  expect(all.filter(({ asset }) => asset?.sha === back.asset!.sha)).toHaveLength(1);
});
