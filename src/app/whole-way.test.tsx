/** From Home to a file that is read back by other programs, step by step as a person goes: each product once. */
import { beforeEach, expect, jest, test } from '@jest/globals';
import { fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { execFileSync } from 'node:child_process';
import { createHash, randomUUID } from 'node:crypto';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { unzipSync } from 'fflate';
import { Home } from '@/features/home/Home';
import { Orders } from '@/standins/shop/orders';
import { serve } from '@/standins/shop/serve';
import { making } from '../../scripts/testing/maker';
import { around } from '../../scripts/testing/room';
import { emptyStore, stocked } from '../../scripts/testing/store';
import { photoFile, reopened } from '../../scripts/testing/tab';

beforeEach(emptyStore);

/** Counts what a person does. */
function counting() {
  let actions = 0;
  return {
    act: async <T,>(done: T): Promise<Awaited<T>> => {
      actions += 1;
      return await done;
    },
    actions: () => actions,
  };
}

const press = async (name: string | RegExp) => fireEvent.click(await screen.findByRole('button', { name }));
const dialog = async (name: string | RegExp) => within(await screen.findByRole('dialog', { name }));
const write = (field: HTMLElement, value: string) => {
  fireEvent.change(field, { target: { value } });
  fireEvent.keyDown(field, { key: 'Enter' });
};

/** Home, until what is done there leads to the table; answers with that. */
async function fromHome(begin: () => Promise<unknown>) {
  const push = jest.fn<(to: string) => void>();
  const home = render(around(<Home demo={false} />, push));
  await begin();
  // A ready-made one reads all its pictures first, each worker from cold.
  await waitFor(() => expect(push).toHaveBeenCalled(), { timeout: 90_000 });
  home.unmount();
  const { searchParams } = new URL(push.mock.lastCall![0], 'http://localhost');
  const table = await reopened(searchParams.get('project')!);
  return {
    ...table,
    /** A key with the stage in focus. */
    onStage: (key: string, held = {}) => fireEvent.keyDown(table.here.getByTestId('stage'), { key, ...held }),
    undone: (what: string) => table.here.findByRole('button', { name: `Undo ${what}` }),
    make: async () => {
      await table.press('Make');
      return making();
    },
  };
}

/** A tool of Debian's, in a folder that holds this file. */
function told(bytes: Uint8Array, tool: string, ...args: string[]): string {
  const cwd = mkdtempSync(join(tmpdir(), 'bellagraph-way-'));
  writeFileSync(join(cwd, 'made'), bytes);
  return execFileSync(tool, args, { cwd, encoding: 'utf8' });
}

test('a desk calendar of a house design, 12 photos and 9 birthdays in fewer than 25 actions, dated to the year after in one', async () => {
  await stocked('kitchen-table');
  const { act, actions } = counting();
  const { here, bring, photos, onStage, undone, make, kept } = await fromHome(async () => {
    await act(press('Calendar'));
    await act(press('Ready-made'));
    await act(press(/Twelve from the kitchen/));
  });
  const twelve = Array.from({ length: 12 }, (_, i) =>
    photoFile(`${i}.jpg`, { r: 20 * i, g: 90, b: 255 - 20 * i }),
  );
  await act(bring(await Promise.all(twelve)));
  await waitFor(() => expect(photos()).toHaveLength(12));
  // Where they could go is offered as soon as they are there.
  await act(press('Fill the months'));
  await undone('fill 12 places');
  await act(onStage('Y', { shiftKey: true }));
  const sheet = await dialog('The calendar');
  await sheet.findByText(/^With it go 12 months and 13 titles/);
  await act(press('Days to remember'));
  const days = await dialog('Days to remember');
  const lines = days.getByLabelText<HTMLTextAreaElement>('A name and a date, each on a line');
  const value =
    'Ada 3 Aug 2018\nOlu 29 Feb 1988\nBo 31 June\nFly-in, last Saturday of May\nWren 6 July\nInes 9 Jan 1991\nMarit 17 June 1956\nTeo 11 Oct 2012\nSuki 24 Nov 2001\nNil 24 Dec 2020';
  await act(fireEvent.change(lines, { target: { value } }));
  await act(press('Put in'));
  await undone('put in 9 days');
  days.getByText('“Bo 31 June”: June has 30 days.');
  expect(lines.value).toBe('Bo 31 June');
  // The year after, in one field.
  const year = new Date().getFullYear() + 2;
  onStage('Y', { shiftKey: true });
  await act(write((await dialog('The calendar')).getByRole('textbox', { name: 'Year' }), String(year)));
  await undone(`date the calendar ${year}`);
  await here.findByRole('button', { name: `August ${year}, begun` });
  expect(actions()).toBeLessThan(25);
  await press(/^Shut The calendar/);
  await press(`August ${year}, begun`);
  const { of, saved } = await make();
  await of(`August ${year}`);
  const words = told(await saved('Make the PDF'), 'pdftotext', 'made', '-');
  expect(words).toContain(`August ${year}`);
  expect(words).toMatch(new RegExp(`Ada,\\s+${year - 2018}\\b`));
  await press('Back to the table');
  // One step took it there, one takes it back.
  onStage('z', { ctrlKey: true });
  await here.findByRole('button', { name: `August ${year - 1}, begun` });
  await kept();
});

test('six pocket cards of 4 x 3 in on a letter sheet, front and back, with their cuts, in under 15 actions', async () => {
  const { act, actions } = counting();
  const { here, bring, photos, onStage } = await fromHome(async () => {
    await act(press('Sheet'));
    await act(press(/^New sheet 4 x 3 in,/));
  });
  await act(bring([await photoFile('tide-pools.jpg')]));
  await waitFor(() => expect(photos()).toHaveLength(1));
  await act(fireEvent.keyDown(photos()[0]!, { key: 'Enter' }));
  await act(press('Write title'));
  const words = await here.findByRole('textbox', { name: 'Title words' });
  await act(fireEvent.change(words, { target: { value: 'Low water' } }));
  // The first ends the words, the second lets go of them.
  fireEvent.keyDown(words, { key: 'Escape' });
  onStage('Escape');
  await act(onStage('Z', { shiftKey: true }));
  const sheet = await dialog('Sheet and paper');
  const [card] = within(sheet.getByRole('list', { name: 'Cards' })).getAllByRole('listitem');
  await act(write(within(card!).getByLabelText('Count'), '6'));
  await sheet.findByText('6 cards on 1 sheet of paper, in 11 cuts.');
  await act(fireEvent.click(within(card!).getByRole('switch', { name: 'Has a back' })));
  await sheet.findByText('Sheet 1: 6 cards, 11 cuts');
  await act(press('Make the sheets …'));
  const { make, saved } = await making();
  await make.findByText(
    /^6 cards on 1 sheet of paper, printed on both sides\. One file of 2 pages, each 8\.5 x 11 in/,
  );
  await act(fireEvent.click(make.getByRole('switch', { name: 'With a plan of the cuts' })));
  const file = await act(saved('Make the PDF'));
  expect(actions()).toBeLessThan(15);
  const said = told(file, 'pdfinfo', 'made');
  expect(said).toMatch(/^Pages: +3$/m);
  expect(said).toMatch(/^Page size: +612 x 792 pts/m);
  const plan = told(file, 'pdftotext', '-f', '3', '-l', '3', 'made', '-');
  expect(plan).toContain('Sheet 1: cut along the lines in the order of their numbers.');
  const numbers = plan.match(/^\d+$/gm)!.map(Number);
  expect(numbers.sort((a, b) => a - b)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11]);
  const front = told(file, 'pdftotext', '-f', '1', '-l', '1', 'made', '-');
  expect(front.match(/Low water/g)).toHaveLength(6);
  expect(told(file, 'qpdf', '--check', 'made')).toContain('No syntax or stream encoding errors');
});

/** Three rows of two bars and a clasp that is 0.3 mm wide in its middle, in millimetres. */
const BARS = `<svg xmlns="http://www.w3.org/2000/svg" width="120mm" height="120mm" viewBox="0 0 120 120"><g id="cut" fill="none" stroke="#000">
${[0, 40, 80].map((y) => `<rect x="0" y="${y}" width="40" height="25"/>`).join('')}
<rect x="60" y="0" width="40" height="25"/><rect x="60" y="40" width="40" height="25"/>
<path d="M60 80H80V92H90V80H110V105H90V92.3H80V105H60Z"/></g></svg>`;

test('outlines cut from three papers: dealt, checked, cured, tried and saved, in under 15 actions', async () => {
  const { act, actions } = counting();
  const { onStage } = await fromHome(() => press(/^New layout 8 x 8 in,/));
  /** By its name in the list of all actions. */
  const named = async (name: string, step: (done: unknown) => Promise<unknown>) => {
    await step(onStage('k', { ctrlKey: true }));
    const field = await screen.findByRole('combobox', { name: 'What shall be done?' });
    await step(fireEvent.change(field, { target: { value: name } }));
    await screen.findByRole('option', { name: new RegExp(`^${name}`) });
    await step(fireEvent.keyDown(field, { key: 'Enter' }));
  };
  await named('Outlines from a file', async (done) => done);
  const given = await dialog('Outlines from a file');
  const files = [new File([BARS], 'bars.svg', { type: 'image/svg+xml' })];
  fireEvent.change(given.getByLabelText('A file of outlines'), { target: { files } });
  await given.findByText(/^6 outlines, 4\.72 x 4\.72 in\. The file says its unit\./);
  await act(press('Lay them'));
  await named('Deal among papers', act);
  const deal = await dialog('Deal among papers');
  await deal.findByText('6 parts, as if the same had been cut from 3 papers at once.');
  await act(press('Deal them'));
  await act(onStage('H', { shiftKey: true }));
  const cutter = await dialog('Cutter');
  await act(fireEvent.mouseDown(cutter.getByRole('combobox', { name: 'What goes to it' })));
  await act(fireEvent.click(await screen.findByRole('option', { name: 'This page' })));
  await cutter.findByText(/^6 parts of 3 papers on 3 mats/);
  const found = () =>
    within(cutter.getByRole('list', { name: 'What the checks found' })).queryAllByRole('listitem');
  await waitFor(() =>
    expect(found().map(({ textContent }) => textContent)).toEqual([
      expect.stringMatching(/It is 0\.30 mm wide here: under 0\.5 mm it tears\./),
    ]),
  );
  expect(cutter.getAllByRole('tab')).toHaveLength(3);
  await act(press('Widen it'));
  await cutter.findByText('Nothing is narrower than 0.5 mm.');
  await act(press('Try this mat'));
  await act(press('To the end, and lift'));
  await cutter.findByText(/^2 parts come loose\. \d\.\d\d m worked/);
  await act(press('Save …'));
  const made = jest.spyOn(URL, 'createObjectURL');
  const save = await dialog('Save for a cutter');
  await act(fireEvent.click(save.getByRole('button', { name: 'Save' })));
  await waitFor(() => expect(made).toHaveBeenCalled());
  expect(actions()).toBeLessThan(15);
  const zip = unzipSync(new Uint8Array(await (made.mock.lastCall![0] as Blob).arrayBuffer()));
  const [first, ...others] = Object.values(zip).map((bytes) => Buffer.from(bytes).toString());
  expect(others).toHaveLength(2);
  expect(first).toContain('width="12in" height="12in"');
  expect(first!.match(/<path /g)).toHaveLength(2);
});

/** Answers at these addresses as what ships answers there, asked as the browser asks it. */
function answering(at: RegExp, answer: (asked: Request, path: string) => Promise<Response>): void {
  const other = globalThis.fetch;
  globalThis.fetch = (async (asked: string, { signal: _, ...how }: RequestInit = {}) => {
    const [, path] = at.exec(asked) ?? [];
    return path ? answer(new Request(new URL(asked, 'http://localhost'), how), path) : other(asked, how);
  }) as typeof fetch;
}
const folder = (name: string) => mkdtempSync(join(tmpdir(), `bellagraph-${name}-`));

/** The shop that ships; `loses` says what becomes of the files that are sent. */
function openShop() {
  const orders = new Orders(folder('shop'));
  const shop: { loses?: () => Promise<Response> } = {};
  answering(/^\/api\/shop\/(.+)$/, async (asked, path) =>
    shop.loses && path.includes('/files/') ? shop.loses() : serve(orders, asked, path.split('/')),
  );
  return shop;
}

test('at home: a printer is measured, what it leaves white costs sheets, a page is tried out on it as it comes out', async () => {
  // PDFium, by which the printer reads files, takes this for a browser; what comes out of it: printer.test.ts.
  answering(/^\/api\/printer\/(jobs)$/, async (asked) => {
    const says = told(new Uint8Array(await asked.arrayBuffer()), 'pdfinfo', 'made');
    return Response.json({ job: randomUUID(), sheets: Number(/Pages: +(\d+)/.exec(says)![1]) });
  });
  const { bring, photos, make } = await fromHome(() => press(/^New layout 12 x 12 in,/));
  bring([await photoFile('plum-kite.jpg')]);
  await waitFor(() => expect(photos()).toHaveLength(1));
  fireEvent.keyDown(photos()[0]!, { key: 'Enter' });
  const { make: sheet, purpose, choose, saved } = await make();
  await purpose(/^Your own printer/);
  await choose('Paper', /^Letter/);
  await sheet.findByText(/^4 sheets of 8.5 x 11 in, true to size/);
  await press('Measure it …');
  const printer = await dialog('Your printer');
  // Two pages, each with the steps along its edges.
  expect(told(await saved('Test sheet'), 'pdfinfo', 'made')).toMatch(/Pages: +2\n/);
  fireEvent.click(printer.getByRole('button', { name: 'Another printer' }));
  write(printer.getByRole('textbox', { name: 'Name of the printer' }), 'In the hall');
  const left = () => printer.getByRole('textbox', { name: 'At the left' });
  write(left(), '5 in');
  await printer.findByText('At most 3 in.');
  write(left(), '3 in');
  fireEvent.click(printer.getByRole('button', { name: 'Done' }));
  await waitFor(() =>
    expect(sheet.getByRole('combobox', { name: 'Printer' }).textContent).toBe('In the hall'),
  );
  await sheet.findByText(/^6 sheets of 8.5 x 11 in/);
  await choose('How it lies on the paper', 'Smaller, on one sheet');
  await sheet.findByText(/^One sheet of .* at \d\d % of its size/);
  await press('Try it out');
  const tray = await dialog('Out of the printer');
  const out = await tray.findByTestId('printed-sheet');
  expect(out.getAttribute('src')).toMatch(/^\/api\/printer\/jobs\/[0-9a-f-]{36}\/sheets\/1\?paper=plain$/);
  fireEvent.mouseDown(tray.getByRole('combobox', { name: 'Paper in it' }));
  fireEvent.click(await screen.findByRole('option', { name: 'Photo paper' }));
  expect((await tray.findByTestId('printed-sheet')).getAttribute('src')).toMatch(/paper=photo$/);
  for (const way of ['Before', 'Next'])
    expect(tray.getByRole<HTMLButtonElement>('button', { name: way }).disabled).toBe(true);
});

test('a coarse photo is refused where it lies; made smaller, the page is accepted, proofed, and saved with its order', async () => {
  const shop = openShop();
  const { here, bring, photos, rename, make, unmount } = await fromHome(() =>
    press(/^New layout 12 x 12 in,/),
  );
  rename('Kite day');
  bring([await photoFile('from-olus-old-phone.jpg')]);
  await waitFor(() => expect(photos()).toHaveLength(1));
  fireEvent.keyDown(photos()[0]!, { key: 'Enter' });
  const width = async (value: string) => write(await here.findByRole('textbox', { name: 'Width' }), value);
  await width('9');
  const { make: sheet, purpose, saved } = await make();
  await purpose(/^Prints to order/);
  const customer = await sheet.findByRole('textbox', { name: 'Who it is for' });
  fireEvent.change(customer, { target: { value: 'Ines Marrow' } });
  // What a shop does not do is told, and can be tried again.
  shop.loses = async () => new Response('Bad gateway', { status: 502 });
  await press('Send the order');
  await sheet.findByText(/^The print shop has a fault of its own \(502\)\./);
  // Cancelled on its way: nothing was ordered, and nothing is left of it.
  shop.loses = () => new Promise(() => {});
  await press('Send the order');
  await sheet.findByText('Sending pages.pdf …');
  await press('Cancel');
  await waitFor(() => expect(sheet.queryByRole('progressbar')).toBeNull());
  expect(sheet.queryByTestId('ordered')).toBeNull();
  delete shop.loses;
  await press('Send the order');
  const refused = await sheet.findByTestId('refused');
  expect(refused.textContent).toContain('one thing to mend');
  expect(refused.textContent).toMatch(/Page 1, from-olus-old-phone: A photograph is printed at \d\d pixels/);
  fireEvent.click(within(refused).getByRole('button', { name: 'Show' }));
  await waitFor(() =>
    expect(here.getByRole<HTMLInputElement>('textbox', { name: 'Name of this piece' }).value).toBe(
      'from-olus-old-phone',
    ),
  );
  await width('0.9');
  await make();
  await press('Send it again');
  const ordered = await screen.findByTestId('ordered');
  expect(ordered.textContent).toMatch(/PP-[2-9A-Z]{8}, one copy for Ines Marrow/);
  expect(screen.queryByTestId('refused')).toBeNull();
  const checked = within(ordered)
    .getAllByRole('listitem')
    .find(({ textContent }) => textContent!.startsWith('Checked'));
  expect(checked!.getAttribute('aria-current')).toBe('step');
  // Which the shop paints: src/standins/shop/shop.test.ts.
  const proof = within(ordered).getByRole('img', { name: 'Proof of page 1' });
  expect(proof.getAttribute('src')).toMatch(/^\/api\/shop\/orders\/PP-[2-9A-Z]{8}\/proofs\/1$/);
  const pdf = await saved('pages.pdf');
  expect(told(pdf, 'qpdf', '--check', 'made')).toContain('No syntax or stream encoding errors');

  // It travels in the project's file, and is there where that is opened.
  await press('Back to the table');
  const file = await saved('Save as a file');
  const packed = unzipSync(file);
  const at = Object.keys(packed).find((name) => name.endsWith('order.json'))!;
  const { ticket } = JSON.parse(Buffer.from(packed[at]!).toString());
  const inside = packed[at.replace('order.json', 'pages.pdf')]!;
  expect(createHash('sha256').update(inside).digest('hex')).toBe(ticket.files[0].sha256);
  expect(Buffer.from(inside).equals(Buffer.from(pdf))).toBe(true);
  unmount();
  await emptyStore();
  const again = await fromHome(async () => {
    const files = [new File([file as Uint8Array<ArrayBuffer>], 'kite-day.bellagraph')];
    fireEvent.change(screen.getByLabelText('Project file'), { target: { files } });
    await press('Open Kite day');
  });
  await (await again.make()).purpose(/^Prints to order/);
  expect((await screen.findByTestId('ordered')).textContent).toContain('for Ines Marrow');
});
