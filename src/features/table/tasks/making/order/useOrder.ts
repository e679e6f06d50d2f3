/** An order on its way: its files made, sent and checked, and kept with the project from then on. */
import { useCallback, useEffect, useRef, useState } from 'react';
import { conditionOf, type ConditionId } from '@/core/press/conditions';
import type { Ticket, TicketFile } from '@/core/order/ticket';
import { jobOf } from '@/core/product/job';
import { fail, type Result } from '@/core/result';
import { sha256 } from '@/core/sha';
import { shortened } from '@/core/text/named';
import { useRoom, useSession } from '@/features/table/room/context';
import { send, stateOf } from '@/features/table/tasks/making/order/shop';
import { PURPOSES } from '@/features/table/tasks/making/purposes';
import type { MakerRoom } from '@/features/table/tasks/making/useMaker';
import type { OrderRow } from '@/storage/database';
import { forgetOrder, keepSent, noteState, ordersOf } from '@/storage/orders';
import { inWords } from '@/storage/trouble';

export interface OrderWish {
  customer: string;
  note: string;
  copies: number;
  condition: ConditionId;
}

export type Ordering =
  | { state: 'idle' }
  | { state: 'busy'; share: number; doing: string }
  | { state: 'failed'; message: string };

/** How often a shop is asked how far its orders are, ms. */
const ASKED_EVERY = 10_000;

/** As a ticket takes it. */
const titled = (title: string): string => shortened(title.trim(), 200) || 'Untitled';

export function useOrder({ make, stop }: MakerRoom) {
  const { store } = useRoom();
  const project = useSession((session) => session.history.project.id);
  const [ordering, setOrdering] = useState<Ordering>({ state: 'idle' });
  const [orders, setOrders] = useState<readonly OrderRow[] | null>(null);
  const going = useRef<AbortController | null>(null);

  const read = useCallback(
    () =>
      ordersOf(project).then(setOrders, (error) =>
        setOrdering({ state: 'failed', message: inWords(error, 'What was ordered could not be read') }),
      ),
    [project],
  );
  useEffect(() => {
    void read();
    return () => going.current?.abort();
  }, [read]);

  useEffect(() => {
    const open = (orders ?? []).filter(({ state }) => state.answer?.accepted && state.stage !== 'sent');
    if (!open.length) return;
    const timer = setTimeout(async () => {
      for (const row of open) {
        const state = await stateOf(row.state.order);
        if (state.ok) await noteState(row, { ...row.state, stage: state.value.stage }).catch(() => {});
      }
      void read();
    }, ASKED_EVERY);
    return () => clearTimeout(timer);
  }, [orders, read]);

  const cancel = useCallback(() => {
    going.current?.abort();
    going.current = null;
    stop();
    setOrdering({ state: 'idle' });
  }, [stop]);

  /** The files of the project as it is now, and their ticket. */
  const packed = useCallback(
    async (
      wish: OrderWish,
      id: string,
      signal: AbortSignal,
      told: (share: number, doing: string) => void,
    ): Promise<Result<{ ticket: Ticket; blobs: Blob[] }> | null> => {
      const { project } = store.getState().history;
      const job = jobOf(project);
      if (!job) return fail('No print shop makes this.');
      const blobs: Blob[] = [];
      const files: TicketFile[] = [];
      for (const [i, { taken, ...file }] of job.files.entries()) {
        const options = { ...PURPOSES.order.first, press: conditionOf(wish.condition) };
        const made = await make(project, taken, options, (share, doing) =>
          told((i + share) / job.files.length, `${doing}: ${file.name}`),
        );
        if (!made || signal.aborted) return null;
        if (!made.ok) return made;
        const { blob, told: happened } = made.value;
        const lost = happened.find(({ missing }) => missing);
        if (lost) return fail(`${lost.says} Nothing was sent. Replace that photo, then order again.`);
        const bytes = new Uint8Array(await blob.arrayBuffer());
        blobs.push(blob);
        files.push({ ...file, bytes: bytes.length, sha256: await sha256(bytes) });
      }
      const { customer, note, copies, condition } = wish;
      return {
        ok: true,
        value: {
          blobs,
          ticket: {
            ...{ ticket: 1, job: id, title: titled(project.title), customer, copies },
            ...(note ? { note } : {}),
            ...{ product: job.product, condition: conditionOf(condition).data, files },
          },
        },
      };
    },
    [store, make],
  );

  const order = useCallback(
    async (wish: OrderWish, shop: string) => {
      const controller = new AbortController();
      going.current = controller;
      const { signal } = controller;
      const told = (from: number) => (share: number, doing: string) => {
        if (!signal.aborted) setOrdering({ state: 'busy', share: from + share / 2, doing });
      };
      const failed = (message: string) => setOrdering({ state: 'failed', message });
      told(0)(0, 'Gathering the pictures');
      try {
        // One that was refused is sent again as itself.
        const refused = (await ordersOf(project)).find(({ state }) => !state.answer?.accepted);
        const ready = await packed(wish, refused?.id ?? crypto.randomUUID(), signal, told(0));
        if (!ready || signal.aborted) return;
        if (!ready.ok) return failed(ready.message);
        const { ticket, blobs } = ready.value;
        const sent = await send(ticket, blobs, told(0.5), signal);
        if (signal.aborted) return;
        if (!sent.ok) return failed(sent.message);
        const files = sent.value.answer?.accepted
          ? ticket.files.map(({ name }, i) => ({ name, blob: blobs[i]! }))
          : [];
        const row = { project, id: ticket.job, shop, sent: Date.now(), ticket, state: sent.value, files };
        const kept = await keepSent(row);
        if (kept === 'not at all')
          return failed(
            `${shop} has it as ${sent.value.order}, but this browser could not keep that: note the number.`,
          );
        await read();
        if (kept === 'without files')
          return failed(
            `${shop} has it as ${sent.value.order}, and that is kept. The files that were sent are not: this browser has no room for them.`,
          );
        setOrdering({ state: 'idle' });
      } catch (error) {
        if (!signal.aborted) failed(inWords(error, 'The order was not sent'));
      } finally {
        if (going.current === controller) going.current = null;
      }
    },
    [packed, project, read],
  );

  /** One that was refused and is not wanted any more. */
  const forget = useCallback((row: OrderRow) => void forgetOrder(row).then(read), [read]);

  return { ordering, busy: ordering.state === 'busy', orders, order, forget, cancel };
}
