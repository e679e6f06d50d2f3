/** The stand-in shop at its counter: real files made here, asked for by HTTP as the app asks. */
import { beforeAll, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { book } from '../../../scripts/testing/books';
import { making } from '../../../scripts/testing/making';
import { inkPiece, laid, photoOf, quarters } from '../../../scripts/testing/samples';
import { answerSchema, catalogueSchema, readAnswer, stateSchema, type Answer } from '@/core/order/answers';
import type { Ticket } from '@/core/order/ticket';
import { conditionOf } from '@/core/press/conditions';
import { jobOf } from '@/core/product/job';
import type { Project } from '@/core/project/model';
import { sha256 } from '@/core/sha';
import { Orders, stageAt } from '@/standins/shop/orders';
import { serve } from '@/standins/shop/serve';
import type { MakeOptions } from '@/output/formats';

const { made, register, folder } = making();
const orders = new Orders(mkdtempSync(join(tmpdir(), 'shop-')));

const ask = (method: string, path: string, body?: BodyInit): Promise<Response> =>
  serve(
    orders,
    new Request(`http://shop/${path}`, { method, ...(body === undefined ? {} : { body }) }),
    path.split('/'),
  );

/** A page with a photo of so many pixels in 180 x 120 pt, far from its corner. */
function page(pixels: number): Project {
  const photo = register(quarters(pixels, (pixels * 2) / 3), pixels, (pixels * 2) / 3);
  return laid([photoOf('kite', photo, { x: 200, y: 100, width: 180, height: 120 })], [photo]);
}

interface Sent {
  ticket: Ticket;
  bytes: Uint8Array<ArrayBuffer>[];
}

/** A project's files and its ticket, as the app would send them. */
async function packed(project: Project, options: Partial<MakeOptions> = {}): Promise<Sent> {
  const job = jobOf(project)!;
  const bytes: Uint8Array<ArrayBuffer>[] = [];
  const files: Ticket['files'] = [];
  for (const { taken, ...file } of job.files) {
    const path = await made(
      project,
      { format: 'pdf', withBleed: true, press: conditionOf('coated'), ...options },
      file.name,
      taken,
    );
    const made_ = new Uint8Array(readFileSync(path));
    bytes.push(made_);
    files.push({ ...file, bytes: made_.length, sha256: await sha256(made_) });
  }
  const ticket: Ticket = {
    ...{ ticket: 1, job: crypto.randomUUID(), title: project.title, customer: 'Ines Marrow', copies: 2 },
    ...{ product: job.product, condition: 'FOGRA39', files },
  };
  return { ticket, bytes };
}

async function brought({ ticket, bytes }: Sent): Promise<string> {
  const begun = await ask('POST', 'orders', JSON.stringify(ticket));
  expect(begun.status).toBe(201);
  const { order } = (await begun.json()) as { order: string };
  for (const [i, { name }] of ticket.files.entries())
    expect((await ask('PUT', `orders/${order}/files/${name}`, bytes[i]!)).status).toBe(204);
  return order;
}

async function answered(sent: Sent): Promise<Answer> {
  const answer = await ask('POST', `orders/${await brought(sent)}/check`);
  const read = readAnswer<Answer>(await answer.json(), answerSchema);
  if (!read.ok) throw new Error(read.message);
  return read.value;
}

const codes = ({ reasons }: Answer): string[] => [...new Set(reasons.map(({ code }) => code))];

let sharpPage: Sent;
beforeAll(async () => {
  sharpPage = await packed(page(750));
});

test('what is right is accepted, shown as it came, and gets printed and sent', async () => {
  const order = await brought(sharpPage);
  expect(await (await ask('POST', `orders/${order}/check`)).json()).toMatchObject({
    accepted: true,
    reasons: [],
  });
  const state = await (await ask('GET', `orders/${order}`)).json();
  expect(readAnswer(state, stateSchema)).toMatchObject({ ok: true, value: { order, stage: 'checked' } });
  expect([29, 31, 61].map((seconds) => stageAt(0, seconds * 1000))).toEqual(['checked', 'printed', 'sent']);
  const proof = await ask('GET', `orders/${order}/proofs/1`);
  const { width, height } = await sharp(Buffer.from(await proof.arrayBuffer())).metadata();
  // 432 x 288 pt with an eighth of an inch about it.
  expect(Math.abs(width / height - 450 / 306)).toBeLessThan(0.01);
  expect((await ask('GET', `orders/${order}/proofs/2`)).status).toBe(404);
  expect(readAnswer(await (await ask('GET', 'catalogue')).json(), catalogueSchema).ok).toBe(true);
});

test('a coarse photograph is refused where it lies; one that will do is told', async () => {
  // 150 pixels in 2.5 in are 60 to the inch.
  const coarse = await answered(await packed(page(150)));
  expect(coarse).toMatchObject({ accepted: false, reasons: [{ code: 'ppi', file: 'pages.pdf', page: 1 }] });
  expect(coarse.reasons[0]!.says).toContain('60 pixels per inch');
  const { x, y, width, height } = coarse.reasons[0]!.at!;
  [x, y, width, height].forEach((mm, i) => expect((mm * 72) / 25.4).toBeCloseTo([200, 100, 180, 120][i]!, 1));
  expect(await answered(await packed(page(300)))).toMatchObject({ accepted: true, notes: [{ code: 'ppi' }] });
});

test('files made otherwise than the ticket says are refused by their bytes', async () => {
  const project = page(750);
  expect(codes(await answered(await packed(project, { withBleed: false })))).toEqual(['bleed']);
  expect(codes(await answered(await packed(project, { press: conditionOf('uncoated') })))).toEqual(['press']);
  expect(codes(await answered(await packed(project, { press: undefined })))).toEqual(['press']);
  const { ticket, bytes } = sharpPage;
  const [file] = ticket.files as [Ticket['files'][number]];
  const lying = (product: Partial<Ticket['product']>, of: Partial<typeof file>): Sent => ({
    ticket: { ...ticket, product: { ...ticket.product, ...product }, files: [{ ...file, ...of }] },
    bytes,
  });
  expect(codes(await answered(lying({ pages: 3 }, { pages: 3 })))).toEqual(['count']);
  expect(codes(await answered(lying({ width: 160 }, { width: 160 })))).toEqual(['size']);
  const text = new TextEncoder().encode('Dear shop, please print a kite.');
  const letter = { bytes: text.length, sha256: await sha256(text) };
  expect(codes(await answered({ ticket: lying({}, letter).ticket, bytes: [text] }))).toEqual(['file']);
  const locked = join(folder, 'locked.pdf');
  execFileSync('qpdf', ['--encrypt', 'a', 'b', '256', '--', join(folder, 'pages.pdf'), locked]);
  const shut = new Uint8Array(readFileSync(locked));
  const of = { bytes: shut.length, sha256: await sha256(shut) };
  expect(codes(await answered({ ticket: lying({}, of).ticket, bytes: [shut] }))).toEqual(['file']);
});

test('a book needs its cover, and as many pages as can be bound', async () => {
  const base = book();
  const whole = await packed({
    ...base,
    surfaces: base.surfaces.map((side) => ({ ...side, pile: [inkPiece(side.id, 40, 40, 200, 90)] })),
  });
  const answer = await answered(whole);
  expect(answer.accepted).toBe(true);
  // Only the left half of each spread has something.
  expect(answer.notes.map(({ code, page }) => [code, page]).slice(0, 3)).toEqual(
    [3, 5, 7].map((n) => ['blank', n]),
  );
  const [pages] = whole.ticket.files;
  const bare = { ticket: { ...whole.ticket, files: [pages!] }, bytes: whole.bytes };
  expect(codes(await answered(bare))).toEqual(['cover']);
  const thin = { ...whole.ticket, product: { ...whole.ticket.product, pages: 12 } };
  expect(codes(await answered({ ...whole, ticket: thin }))).toEqual(['few pages', 'count']);
}, 60_000);

test('what comes otherwise than the ticket says, or not at all, is told, and kept nowhere', async () => {
  const { ticket, bytes } = sharpPage;
  const { order } = (await (await ask('POST', 'orders', JSON.stringify(ticket))).json()) as { order: string };
  const told = async (answer: Response) => [answer.status, ((await answer.json()) as { says: string }).says];
  const at = `orders/${order}/files/pages.pdf`;
  expect(await told(await ask('PUT', at, bytes[0]!.slice(0, 999)))).toEqual([
    422,
    expect.stringMatching(/cut off on its way: 999 of \d+ bytes/),
  ]);
  const other = bytes[0]!.slice();
  other[500]! ^= 1;
  expect(await told(await ask('PUT', at, other))).toEqual([422, expect.stringContaining('SHA-256 differs')]);
  expect(await told(await ask('PUT', `orders/${order}/files/cover.pdf`, bytes[0]!))).toEqual([
    422,
    expect.stringContaining('names no file'),
  ]);
  expect(await told(await ask('POST', `orders/${order}/check`))).toEqual([
    409,
    expect.stringContaining('not arrived'),
  ]);
  for (const [body, says] of [
    ['{', 'no JSON'],
    ['{}', 'cannot be read'],
    [JSON.stringify({ ...ticket, copies: 0 }), 'copies'],
    [JSON.stringify({ ...ticket, files: [ticket.files[0], ticket.files[0]] }), 'one name'],
    [JSON.stringify({ ...ticket, files: [{ ...ticket.files[0], name: '../../x.pdf' }] }), 'name'],
  ] as const)
    expect(await told(await ask('POST', 'orders', body))).toEqual([422, expect.stringContaining(says)]);
  for (const path of [
    'orders/..',
    'orders/PP-22222222',
    'orders/PP-22222222/proofs/1',
    'prices',
    `${at}/more`,
  ])
    expect((await ask('GET', path)).status).toBe(404);
});

test('what is long past is forgotten, and the oldest where there are more than it holds', async () => {
  const few = new Orders(mkdtempSync(join(tmpdir(), 'shop-')), 2);
  const { ticket } = sharpPage;
  const numbers: string[] = [];
  for (let i = 0; i < 4; i++) {
    numbers.push(await few.begin(ticket, Date.now()));
    await new Promise((done) => setTimeout(done, 15));
  }
  const known = () => Promise.all(numbers.map(async (order) => Boolean(await few.kept(order))));
  // The one that has just come is one more.
  expect(await known()).toEqual([false, true, true, true]);
  await few.begin(ticket, Date.now() + 31 * 86_400_000);
  expect(await known()).toEqual([false, false, false, false]);
});
