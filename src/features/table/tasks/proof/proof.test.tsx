/** The proof: what is found is shown where it lies, pages are looked at in other ways, papers and ink are chosen, leafed through by keys. */
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { begun } from '@/core/project/sides';
import { beginProduct } from '@/core/product';
import { newProject } from '@/core/project/model';
import { Sheets } from '@/features/table/tasks/Sheets';
import { seated, seatedAt, type Seated } from '../../../../../scripts/testing/room';
import { calendar } from '../../../../../scripts/testing/calendars';
import { inkPiece, wordsOf } from '../../../../../scripts/testing/samples';
import { emptyStore } from '../../../../../scripts/testing/store';

// What is chosen here is known the next time.
beforeEach(() => localStorage.clear());

const { ResizeObserver: none } = globalThis;
/** Here all has its size as soon as it is there. */
class Measured {
  constructor(private readonly heard: () => void) {}
  observe() {
    queueMicrotask(this.heard);
  }
  unobserve() {}
  disconnect() {}
}
beforeAll(() => void Object.assign(globalThis, { ResizeObserver: Measured }));
afterAll(() => void Object.assign(globalThis, { ResizeObserver: none }));

async function proof(room: Seated) {
  room.does(() => room.store.getState().openSheet('proof'));
  const sheet = within(await screen.findByRole('dialog', { name: 'Proof' }));
  const page = () => sheet.getByTestId('proof-page');
  return {
    sheet,
    page,
    printed: () => waitFor(() => expect(page().hasAttribute('data-printed')).toBe(true)),
    found: () =>
      within(sheet.getByRole('complementary'))
        .queryAllByRole('listitem')
        .map((item) => [item.textContent!, item] as const),
    choose: async (name: string, option: RegExp) => {
      fireEvent.mouseDown(sheet.getByRole('combobox', { name }));
      fireEvent.click(await screen.findByRole('option', { name: option }));
    },
  };
}

/** Dark all over, all but straight, and over the edge. */
const DARK = inkPiece('dark', -40, 60, 300, 200, { material: { kind: 'ink', colour: '#0a0a0c' } });

test('what the checks found is shown where it lies, and on the table; a shop that takes less ink finds more', async () => {
  const askew = { ...DARK, placement: { ...DARK.placement, turn: 0.3 } };
  const room = await seated(<Sheets />, [askew]);
  const { sheet, printed, found, choose, page } = await proof(room);
  await printed();
  const about = async (words: RegExp) =>
    (await waitFor(() => {
      const [, item] = found().find(([text]) => words.test(text)) ?? [];
      if (!item) throw new Error(`${words} is not among ${found().map(([text]) => text)}`);
      return item;
    }))!;
  await about(/Turned by 0\.3 degrees/);
  const cut = await about(/Cut off by the page’s edge/);
  expect(sheet.queryByTestId('proof-place')).toBeNull();
  fireEvent.click(within(cut).getByRole('button', { name: /^Warning/ }));
  sheet.getByTestId('proof-place');
  // Ways to look at it as if for the first time.
  for (const [name, style] of [
    [/^In greys/, 'filter'],
    [/^Mirrored/, 'transform'],
    [/^Upside down/, 'transform'],
  ] as const) {
    await choose('Looked at', name);
    expect([name, getComputedStyle(page())[style] !== undefined]).toEqual([name, true]);
    expect(sheet.getByRole('combobox', { name: 'Looked at' }).textContent).toMatch(name);
  }
  const thick = /Up to \d+ % of ink, and the paper bears 220 %/;
  expect(found().some(([text]) => thick.test(text))).toBe(false);
  fireEvent.click(sheet.getByRole('button', { name: 'How colours are brought there' }));
  await choose('Ink the shop takes on one spot', /^Up to 220 %/);
  expect((await about(thick)).textContent).toContain('dark');
  fireEvent.click(within(cut).getByRole('button', { name: 'Show' }));
  await waitFor(() => expect(screen.queryByRole('dialog', { name: 'Proof' })).toBeNull());
  expect(room.store.getState().selection).toEqual(['dark']);
});

test('the curtain hides the press; another paper is known the next time; pages are leafed through by keys and small pictures', async () => {
  const product = beginProduct('book', { width: 504, height: 504 });
  const room = await seatedAt(
    <Sheets />,
    begun(newProject({ id: 'b', title: 'Kites', unit: 'in' }, product)),
  );
  const { sheet, printed, choose } = await proof(room);
  await printed();
  expect((await sheet.findByTestId('proof-told')).textContent).toMatch(
    /^None of this page is beyond its reach/,
  );
  const curtain = sheet.getByRole('slider', { name: /^Curtain/ });
  fireEvent.change(curtain, { target: { value: 100 } });
  await sheet.findByText('As on the screen');
  await choose('Printed on', /^Uncoated paper/);
  await sheet.findByText(/Measured as FOGRA29/);
  const { surfaces } = room.project();
  const at = (number: number) => sheet.findByText(new RegExp(`${number} of ${surfaces.length}`));
  await at(1);
  const desk = sheet.getByRole('region', { name: /^The page;/ });
  fireEvent.keyDown(desk, { key: 'ArrowRight' });
  await at(2);
  await printed();
  const small = within(sheet.getByRole('list', { name: 'Pages' })).getAllByRole('button');
  expect(small).toHaveLength(surfaces.length);
  fireEvent.click(small[0]!);
  await at(1);
  // Left, and opened anew.
  fireEvent.click(sheet.getByRole('button', { name: /Back to the table|^Shut/ }));
  await waitFor(() => expect(screen.queryByRole('dialog', { name: 'Proof' })).toBeNull());
  const again = await proof(room);
  expect(again.sheet.getByRole('combobox', { name: 'Printed on' }).textContent).toBe('Uncoated paper');
});

test('a press’s own profile is brought in, kept with the project and taken out; what is none is told', async () => {
  await emptyStore();
  const room = await seated(<Sheets />, [DARK]);
  const { sheet, printed } = await proof(room);
  await printed();
  const give = async (name: string, path: string) => {
    const file = new File([new Uint8Array(readFileSync(path))], name);
    fireEvent.change(sheet.getByLabelText('Colour profile'), { target: { files: [file] } });
  };
  await give('AdobeRGB1998.icc', '/usr/share/color/icc/colord/AdobeRGB1998.icc');
  await sheet.findByText(/AdobeRGB1998\.icc: This colour profile is for screens or cameras/);
  await give('ours.icc', join('public', 'house', 'press', 'uncoated-offset.icc'));
  const on = sheet.getByRole('combobox', { name: 'Printed on' });
  await waitFor(() => expect(on.textContent).toBe('Coated/uncoated FOGRA29L, by Bellagraph'));
  expect(sheet.queryByText(/is for screens or cameras/)).toBeNull();
  expect(room.undo()).toMatch(/^bring in the profile/);
  await waitFor(() =>
    expect(sheet.getByTestId('proof-told').textContent).toMatch(
      /Most ink on one spot: \d+ % of 3\d\d %\.$|Most ink on one spot: \d+ %\.$/,
    ),
  );
  fireEvent.click(sheet.getByRole('button', { name: /^Take out / }));
  expect(room.project().profiles ?? []).toEqual([]);
  await waitFor(() => expect(on.textContent).not.toContain('FOGRA29L, by Bellagraph'));
});

test('from a step back each measure is a sentence, and is shown on the page when it is pressed, one at a time', async () => {
  const room = await seated(<Sheets />, [
    inkPiece('heart', 60, 60, 90, 90, { material: { kind: 'ink', colour: '#0a0a0c' } }),
    wordsOf('words', 'Tide out', 24),
  ]);
  const { sheet, printed, page } = await proof(room);
  await printed();
  fireEvent.click(sheet.getByRole('button', { name: 'From a step back' }));
  const eye = await sheet.findByRole('button', { name: /^Where the eye goes/ });
  expect(eye.textContent).toMatch(/It goes first to “(heart|words|Tide out)”/);
  const measures = sheet
    .getAllByRole('button')
    .filter((one) => one.closest('ul, li') && one.hasAttribute('aria-pressed'));
  expect(measures.length).toBeGreaterThan(2);
  for (const one of measures) {
    fireEvent.click(one);
    expect(measures.filter((each) => each.getAttribute('aria-pressed') === 'true')).toEqual([one]);
    within(page().parentElement!).getByTestId('shown-over');
  }
  fireEvent.click(measures.at(-1)!);
  expect(sheet.queryByTestId('shown-over')).toBeNull();
});

test.each(['picture', 'year'])('a calendar of the form %s hangs on a wall by what it has', async (way) => {
  const room = await seatedAt(<Sheets />, calendar(way));
  const { sheet, printed, choose } = await proof(room);
  await printed();
  await choose('Looked at', /^On its wall/);
  const wall = await sheet.findByTestId('on-wall');
  // Each of them has a head that the light falls on.
  expect(wall.querySelectorAll('circle').length).toBeGreaterThan(0);
  const numbers = [...wall.querySelectorAll('circle, rect')].flatMap((one) =>
    ['cx', 'cy', 'x', 'y', 'width', 'height'].map((name) => Number(one.getAttribute(name) ?? 0)),
  );
  expect(numbers.every(Number.isFinite)).toBe(true);
});
