/** The shop's counter: what it answers to requests (docs/job-ticket.md). Whatever goes wrong is told as `{ says }`. */
import { readFile, writeFile } from 'node:fs/promises';
import { readTicket } from '@/core/order/ticket';
import { CATALOGUE } from '@/standins/shop/catalogue';
import type { Orders } from '@/standins/shop/orders';
import { asJpeg, paintPage } from '@/standins/paper';

/** A ticket that is larger is none, bytes. */
const LARGEST_TICKET = 100_000;
/** Pixels of a proof's longer side. */
const PROOF_SIDE = 640;

const says = (status: number, text: string): Response => Response.json({ says: text }, { status });
const unknown = (): Response => says(404, 'There is nothing at this address.');

/** Answers a request for what lies at `path` of the shop's address. */
export async function serve(orders: Orders, request: Request, path: readonly string[]): Promise<Response> {
  const [what, order = '', part, name = '', ...more] = path;
  const ask = `${request.method} ${[what, order && '#', part, name && '#'].filter(Boolean).join('/')}`;
  if (more.length) return unknown();
  switch (ask) {
    case 'GET catalogue':
      return Response.json(CATALOGUE);
    case 'POST orders':
      return begin(orders, request);
    case 'GET orders/#': {
      const state = await orders.state(order, Date.now());
      return state
        ? Response.json(state)
        : says(404, 'The shop knows no such order: it forgets them after a while.');
    }
    case 'PUT orders/#/files/#':
      return receive(orders, request, order, name);
    case 'POST orders/#/check': {
      const answer = await orders.check(order, Date.now());
      return answer.ok ? Response.json(answer.value) : says(409, answer.message);
    }
    case 'GET orders/#/proofs/#':
      return proof(orders, order, Number(name));
    default:
      return unknown();
  }
}

async function begin(orders: Orders, request: Request): Promise<Response> {
  const text = await request.text();
  if (text.length > LARGEST_TICKET) return says(413, 'This ticket is too large.');
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return says(422, 'The ticket is no JSON.');
  }
  const ticket = readTicket(value);
  if (!ticket.ok) return says(422, `The ticket cannot be read: ${ticket.message}.`);
  return Response.json({ order: await orders.begin(ticket.value, Date.now()) }, { status: 201 });
}

async function receive(orders: Orders, request: Request, order: string, name: string): Promise<Response> {
  if (!request.body) return says(422, `“${name}” came empty.`);
  const taken = await orders.receive(order, name, request.body as unknown as AsyncIterable<Uint8Array>);
  return taken.ok ? new Response(null, { status: 204 }) : says(422, taken.message);
}

/** A page as it came, small; painted once. */
async function proof(orders: Orders, order: string, page: number): Promise<Response> {
  const at = await orders.pageAt(order, page);
  if (!at) return says(404, 'There is no such page.');
  const kept = `${at.path}-${at.page}.jpg`;
  let jpeg: Uint8Array | null = await readFile(kept).catch(() => null);
  if (!jpeg) {
    jpeg = await asJpeg(
      await paintPage(new Uint8Array(await readFile(at.path)), at.page, { longest: PROOF_SIDE }),
    );
    await writeFile(kept, jpeg);
  }
  return new Response(new Uint8Array(jpeg), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=3600' },
  });
}
