/** What was ordered travels in a project's file, and is kept beside the project. */
import { beforeAll, expect, jest, test } from '@jest/globals';
import Dexie from 'dexie';
import { unzipSync, zipSync } from 'fflate';
import type { Ticket } from '@/core/order/ticket';
import { sha256 } from '@/core/sha';
import { emptyDeleted, deleteProject } from '@/storage/deleted';
import { database, type OrderRow } from '@/storage/database';
import { forgetOrder, keepOrder, keepOrders, keepSent, noteState, ordersOf } from '@/storage/orders';
import { packProject, unpackProject, type PackedOrder } from '@/storage/project-file';
import { addProject } from '@/storage/shelved';
import { project } from '../../scripts/testing/samples';
import { emptyStore } from '../../scripts/testing/store';

beforeAll(emptyStore);

const JOB = '0b8a2d2c-5e0f-4d1f-9a53-6f8f7a2f6d11';
const bytes = new TextEncoder().encode('%PDF-1.6 kites');

async function order(accepted = true): Promise<PackedOrder> {
  const file = { name: 'pages.pdf', part: 'pages', pages: 1, width: 300, height: 300 } as const;
  const ticket: Ticket = {
    ...{ ticket: 1, job: JOB, title: 'Kites', customer: 'Ines Marrow', copies: 1, condition: 'FOGRA39' },
    product: { is: 'sheets', width: 300, height: 300, pages: 1 },
    files: [{ ...file, bytes: bytes.length, sha256: await sha256(bytes) }],
  };
  const state = {
    order: 'PP-23456789',
    stage: 'checked',
    answer: { accepted, reasons: [], notes: [] },
  } as const;
  return {
    kept: {
      shop: 'The Pier Press',
      sent: 1_764_000_000_000,
      ticket,
      state: { ...state, answer: { ...state.answer, reasons: [], notes: [] } },
    },
    files: accepted ? [{ name: 'pages.pdf', blob: new Blob([bytes]) }] : [],
  };
}

async function packed(orders: readonly PackedOrder[]): Promise<Uint8Array> {
  const made = await packProject(project(), async () => undefined, undefined, orders);
  if (!made.ok) throw new Error(made.message);
  return new Uint8Array(await made.value.blob.arrayBuffer());
}

const opened = async (file: Uint8Array) => {
  const answer = await unpackProject(file);
  if (!answer.ok) throw new Error(answer.message);
  return answer.value;
};

test('orders go out and come back with what was sent, byte for byte; what was refused has no files', async () => {
  const back = await opened(await packed([await order()]));
  expect(back.mended).toEqual([]);
  expect(back.orders.map(({ kept }) => kept)).toEqual([(await order()).kept]);
  expect(new Uint8Array(await back.orders[0]!.files[0]!.blob.arrayBuffer())).toEqual(bytes);
  const refused = await opened(await packed([await order(false)]));
  expect([refused.mended, refused.orders[0]!.files]).toEqual([[], []]);
});

test('an order that is damaged, or names another, is told of and costs nothing else', async () => {
  const entries = unzipSync(await packed([await order()]));
  const note = `orders/${JOB}/order.json`;
  const told = async (change: Record<string, Uint8Array>) => {
    const { orders, mended, project: of } = await opened(zipSync({ ...entries, ...change }));
    expect(of.id).toBe(project().id);
    return { count: orders.length, files: orders[0]?.files.length, mended };
  };
  expect(await told({ [note]: new TextEncoder().encode('{"shop":1}') })).toMatchObject({
    count: 0,
    mended: [expect.stringContaining('noted of an order could not be read')],
  });
  const other = { [`orders/${JOB.replace('0b', '1c')}/order.json`]: entries[note]! };
  expect(await told(other)).toMatchObject({
    count: 1,
    mended: [expect.stringContaining('could not be read')],
  });
  expect(await told({ [`orders/${JOB}/pages.pdf`]: new TextEncoder().encode('%PDF-1.6 other') })).toEqual({
    ...{ count: 1, files: 0 },
    mended: ['“pages.pdf”, which was sent with order PP-23456789, is not in this file as it was sent.'],
  });
});

test('in a browser that is full an order is kept without its files, or it is said that it is not', async () => {
  const of = project();
  await addProject(of, 1);
  const { kept, files } = await order();
  const row = { project: of.id, id: JOB, ...kept, files };
  const put = database.orders.put.bind(database.orders);
  let room = 0;
  const full = jest
    .spyOn(database.orders, 'put')
    .mockImplementation(((as: OrderRow) =>
      as.files.length > room
        ? Dexie.Promise.reject(new DOMException('Full', 'QuotaExceededError'))
        : put(as)) as never);
  expect(await keepSent(row)).toBe('without files');
  expect(await ordersOf(of.id)).toMatchObject([{ id: JOB, files: [], state: { order: 'PP-23456789' } }]);
  room = -1;
  expect(await keepSent({ ...row, id: JOB.replace('0b', '1c') })).toBe('not at all');
  full.mockRestore();
  expect(await keepSent(row)).toBe('whole');
  expect((await ordersOf(of.id))[0]!.files).toHaveLength(1);
  await deleteProject(of.id, 1);
  await emptyDeleted();
});

test('orders are the project’s own: kept, noted, forgotten, and gone with it', async () => {
  const of = project();
  await addProject(of, 1);
  await keepOrders(of.id, [await order()]);
  const [row] = await ordersOf(of.id);
  await noteState(row!, { ...row!.state, stage: 'sent' });
  await keepOrder({ ...row!, id: JOB.replace('0b', '1c'), sent: row!.sent + 1 });
  expect((await ordersOf(of.id)).map(({ state }) => state.stage)).toEqual(['checked', 'sent']);
  await forgetOrder((await ordersOf(of.id))[0]!);
  expect(await ordersOf(of.id)).toHaveLength(1);
  await deleteProject(of.id, 1);
  await emptyDeleted();
  expect(await ordersOf(of.id)).toEqual([]);
});
