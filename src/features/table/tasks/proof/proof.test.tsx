/** The proof: what is found is shown where it lies, pages are looked at in other ways, papers and ink are chosen, leafed through by keys. */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { begun } from '@/core/project/sides';
import { beginProduct } from '@/core/product';
import { newProject } from '@/core/project/model';
import { Sheets } from '@/features/table/tasks/Sheets';
import { seated, seatedAt, type Seated } from '../../../../../scripts/testing/room';
import { inkPiece } from '../../../../../scripts/testing/samples';

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
