import { afterAll, beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { openPageSupply } from '@/features/shared/supplyFiles';
import { database } from '@/storage/database';
import { addProject } from '@/storage/shelved';
import { axe } from '../../../scripts/testing/axe';
import { book } from '../../../scripts/testing/books';
import { making } from '../../../scripts/testing/maker';
import { laid } from '../../../scripts/testing/samples';
import { emptyStore, stocked } from '../../../scripts/testing/store';
import { photoFile, reopened } from '../../../scripts/testing/tab';

beforeEach(emptyStore);

afterAll(() => void Reflect.deleteProperty(globalThis, 'showDirectoryPicker'));

/** A folder as a person would choose it: what comes to lie in it, by name, in bytes. */
function folder(name: string): ReadonlyMap<string, number> {
  const lies = new Map<string, number>();
  const getFileHandle = async (file: string) => ({
    createWritable: async () => ({
      write: async (data: Blob) => void lies.set(file, data.size),
      close: async () => {},
    }),
  });
  Object.assign(globalThis, { showDirectoryPicker: async () => ({ name, getFileHandle }) });
  return lies;
}

test('chosen pages as JPEG files with names of one’s own; as one picture that turns them; in layers', async () => {
  await addProject({ ...laid([]), title: 'Kites' }, 0);
  const { here, press, bring, photos } = await reopened();
  bring([await photoFile('plum kite.jpg')]);
  await waitFor(() => expect(photos()).toHaveLength(1));
  fireEvent.keyDown(photos()[0]!, { key: 'Enter' });
  await here.findByRole('button', { name: 'Undo lay photo' });
  for (let i = 0; i < 2; i++) {
    await press('What to do with this page');
    fireEvent.click(await screen.findByRole('menuitem', { name: /^Copy/ }));
  }
  const prints = folder('Prints');
  await press('Make');
  const { make, of, as, purpose, write, saved } = await making();
  await of('All 3 pages');
  await as('JPEG');
  fireEvent.click(make.getByRole('switch', { name: 'In Adobe RGB (1998), as some labs ask' }));
  write('Pages', '2-4');
  await make.findByText('There are pages 1 to 3.');
  expect(await axe(screen.getByRole('dialog', { name: /^Make/ }))).toEqual([]);
  write('Pages', '1, 3');
  write('Their files are called', '{title} {number}');
  const zip = unzipSync(await saved('Make the JPEG files'));
  expect(Object.keys(zip)).toEqual(['Kites 1.jpg', 'Kites 2.jpg']);
  const { icc } = await sharp(zip['Kites 1.jpg']!).metadata();
  expect(icc?.toString('latin1')).toContain('A\0d\0o\0b\0e\0 \0R\0G\0B');
  fireEvent.click(make.getByRole('button', { name: 'Into a folder …' }));
  await waitFor(() => expect(make.getByTestId('made').textContent).toContain('2 files are in Prints'));
  expect(Object.fromEntries(prints)).toEqual(
    Object.fromEntries(Object.entries(zip).map(([name, bytes]) => [name, bytes.length])),
  );
  await purpose(/^A picture to share/);
  await of('All 3 pages');
  await as('WebP');
  write('Its longer side', '400');
  const flip = await sharp(await saved('Make the WebP'), { animated: true }).metadata();
  expect([flip.pages, flip.width, flip.pageHeight]).toEqual([18, 400, 267]);
  await purpose(/^To work on/);
  await as('OpenRaster');
  const layers = unzipSync(await saved('Make the OpenRaster'));
  expect(Buffer.from(layers['stack.xml']!).toString()).toContain('name="plum kite"');
});

test('a card, ready-made: in step with its inside; an envelope comes and goes; the front, and its panels, as JPEG', async () => {
  await stocked('lantern-night');
  const card = await database.supplies.filter(({ name }) => name === 'Happy birthday').first();
  expect(await openPageSupply(card!, 'begun', 0)).toMatchObject({ ok: true });
  const { here, press, take } = await reopened('begun');
  await here.findByText(/5 x 7 in card, folded at the left/);
  // Its band goes all the way round: moved here, it is moved inside.
  take('Wrapping stripe');
  await here.findByText(/In step with its other end \(Inside\)/);
  await press('What to do with this page');
  fireEvent.click(await screen.findByRole('menuitem', { name: 'An envelope that fits' }));
  const envelope = () => here.queryByRole('button', { name: /^Envelope/ });
  await waitFor(() => expect(envelope()?.getAttribute('aria-current')).toBe('page'));
  expect((await here.findByTestId('folds')).textContent).toContain('Address side');
  await press(/^Undo /);
  await waitFor(() => expect(envelope()).toBeNull());

  await press('Make');
  const { of, as, saved } = await making();
  const sized = async (bytes: Uint8Array) => {
    const { width, height } = await sharp(bytes).metadata();
    return [width, height];
  };
  // 5 x 7 in with an eighth of bleed, but for the fold, where the next begins.
  const bled = [Math.round(5.125 * 300), 7.25 * 300];
  await of('Front alone');
  await as('JPEG');
  expect(await sized(await saved('Make the JPEG'))).toEqual(bled);
  await of('All 4 panels');
  const parts = unzipSync(await saved('Make the JPEG files'));
  expect(Object.keys(parts)).toEqual([
    '1 Front.jpg',
    '2 Back.jpg',
    '3 Inside left.jpg',
    '4 Inside right.jpg',
  ]);
  for (const part of Object.values(parts)) expect(await sized(part)).toEqual(bled);
});

test('a book bound, made longer: pages in their order with their numbers, the cover by itself as wide as its spine asks', async () => {
  await stocked('windward');
  await addProject(book(), 0);
  const { here, press, bring, photos, kept } = await reopened('b');
  bring(
    await Promise.all(
      ['#a63', '#36a', '#3a6', '#663', '#636', '#366'].map((one) => photoFile(`${one}.jpg`, one)),
    ),
  );
  await waitFor(() => expect(photos()).toHaveLength(6));
  fireEvent.keyDown(here.getByTestId('stage'), { key: 'P', shiftKey: true });
  const flow = within(await screen.findByRole('dialog', { name: 'Let photos flow into the book' }));
  fireEvent.click(await flow.findByRole('button', { name: 'Salt and wind' }));
  fireEvent.mouseDown(await flow.findByRole('combobox', { name: 'Pages' }));
  fireEvent.click(await screen.findByRole('option', { name: 'So many' }));
  const many = await flow.findByRole('textbox', { name: 'How many' });
  fireEvent.change(many, { target: { value: '8' } });
  fireEvent.keyDown(many, { key: 'Enter' });
  // These are alike, and nobody is on them.
  for (const name of ['One of those that are alike', 'Keep faces whole'])
    fireEvent.click(flow.getByLabelText(name));
  await flow.findByText(/^6 photos on 8 pages/);
  fireEvent.click(flow.getByRole('button', { name: 'Lay the book' }));
  await kept();
  fireEvent.keyDown(here.getByTestId('stage'), { key: 'J', shiftKey: true });
  await screen.findByText('0.22 wide: too narrow for words');
  await screen.findByText('loses 0.5 of each page');
  fireEvent.click(screen.getByRole('button', { name: 'Shut The book' }));

  const folder = mkdtempSync(join(tmpdir(), 'bellagraph-book-'));
  const tool = (name: string, ...args: string[]) =>
    execFileSync(name, args, { cwd: folder, encoding: 'utf8' });
  await press('Make');
  const { of, saved } = await making();
  await of('All 8 pages');
  writeFileSync(join(folder, 'pages.pdf'), await saved('Make the PDF'));
  const said = tool('pdfinfo', '-box', '-f', '1', '-l', '8', 'pages.pdf');
  expect(said).toMatch(/^Pages: +8$/m);
  const boxes = (text: string) =>
    [...text.matchAll(/TrimBox: +([\d.]+) +([\d.]+) +([\d.]+) +([\d.]+)/g)].map(([, ...box]) => {
      const [left, bottom, right, top] = box.map(Number);
      return [right! - left!, top! - bottom!];
    });
  // Trimmed to 8 x 8 in, whatever lies about it.
  expect(boxes(said)).toEqual(Array(8).fill([576, 576]));
  expect(tool('qpdf', '--check', 'pages.pdf')).toContain('No syntax or stream encoding errors');
  // Each page says its own number, as poppler reads it.
  const numbered = [2, 3, 4, 5, 6, 7].filter((number) => {
    const text = tool('pdftotext', '-f', `${number}`, '-l', `${number}`, 'pages.pdf', '-');
    const numbers = text.split(/\s+/).filter((word) => /^\d$/.test(word));
    if (numbers.length) expect(numbers).toEqual([String(number)]);
    return numbers.length > 0;
  });
  expect(numbered.length).toBeGreaterThan(2);
  // The cover by itself; how sheets are folded is read back in src/output/sheets.test.ts.
  await of('Cover');
  writeFileSync(join(folder, 'cover.pdf'), await saved('Make the PDF'));
  const cover = tool('pdfinfo', '-box', 'cover.pdf');
  expect(cover).toMatch(/^Pages: +1$/m);
  // Two boards of 8 in and 3 mm, 4 leaves of 0.15 mm and two boards of 2.5 mm between them.
  expect(boxes(cover)[0]![0]).toBeCloseTo(2 * (576 + (3 * 72) / 25.4) + ((4 * 0.15 + 5) * 72) / 25.4, 1);
});
