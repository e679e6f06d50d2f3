/** Talking to a print shop over HTTP (docs/job-ticket.md). Whatever goes wrong comes back as a sentence. */
import {
  answerSchema,
  catalogueSchema,
  readAnswer,
  stateSchema,
  type Answer,
  type Catalogue,
  type OrderState,
} from '@/core/order/answers';
import type { Ticket } from '@/core/order/ticket';
import { fail, ok, type Result } from '@/core/result';
import type { AnySchema } from 'yup';

/** Where the shop that ships with the app is asked. */
const SHOP = '/api/shop';

async function ask(path: string, request: RequestInit): Promise<Result<unknown>> {
  let answer: Response;
  try {
    answer = await fetch(`${SHOP}/${path}`, request);
  } catch (error) {
    if ((error as Error).name === 'AbortError') throw error;
    return fail('The print shop cannot be reached. Nothing was ordered; try again later.');
  }
  if (answer.status === 204) return ok(null);
  const body: unknown = await answer.json().catch(() => null);
  if (answer.ok) return ok(body);
  const { says } = (body ?? {}) as { says?: unknown };
  return fail(
    typeof says === 'string'
      ? says
      : `The print shop has a fault of its own (${answer.status}). Nothing was ordered; try again later.`,
  );
}

async function asked<T>(path: string, schema: AnySchema, request: RequestInit = {}): Promise<Result<T>> {
  const answer = await ask(path, request);
  return answer.ok ? readAnswer<T>(answer.value, schema) : answer;
}

export const catalogue = (): Promise<Result<Catalogue>> => asked('catalogue', catalogueSchema);

export const stateOf = (order: string): Promise<Result<OrderState>> => asked(`orders/${order}`, stateSchema);

export const proofAt = (order: string, page: number): string => `${SHOP}/orders/${order}/proofs/${page}`;

/** Sends a ticket and its files, and has them checked; `told` hears what is being done. Rejects when it is stopped. */
export async function send(
  ticket: Ticket,
  files: readonly Blob[],
  told: (share: number, doing: string) => void,
  signal: AbortSignal,
): Promise<Result<OrderState>> {
  const begun = await ask('orders', { method: 'POST', body: JSON.stringify(ticket), signal });
  if (!begun.ok) return begun;
  const { order } = (begun.value ?? {}) as { order?: unknown };
  if (typeof order !== 'string') return fail('The print shop answered with something that cannot be read.');
  for (const [i, { name }] of ticket.files.entries()) {
    told(i / files.length, `Sending ${name}`);
    const taken = await ask(`orders/${order}/files/${name}`, { method: 'PUT', body: files[i]!, signal });
    if (!taken.ok) return taken;
  }
  told(1, 'The shop looks at the files');
  const answer = await asked<Answer>(`orders/${order}/check`, answerSchema, { method: 'POST', signal });
  if (!answer.ok) return answer;
  return ok({ order, stage: answer.value.accepted ? 'checked' : 'received', answer: answer.value });
}
