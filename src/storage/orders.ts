/** What was ordered of a project, kept beside it: no undo takes an order back. */
import type { OrderState } from '@/core/order/answers';
import { database, type OrderRow } from '@/storage/database';
import type { PackedOrder } from '@/storage/project-file';

/** The last first. */
export const ordersOf = async (project: string): Promise<OrderRow[]> =>
  (await database.orders.where('project').equals(project).toArray()).sort((a, b) => b.sent - a.sent);

/** An order sent again stands in place of itself. */
export const keepOrder = (row: OrderRow): Promise<unknown> => database.orders.put(row);

/**
 * An order that went out is kept whatever happens here: without what was sent where a browser is full, and where not even that
 * is kept it is said.
 */
export async function keepSent(row: OrderRow): Promise<'whole' | 'without files' | 'not at all'> {
  const kept = (as: OrderRow) =>
    keepOrder(as).then(
      () => true,
      () => false,
    );
  if (await kept(row)) return 'whole';
  return (await kept({ ...row, files: [] })) ? 'without files' : 'not at all';
}

export const noteState = ({ project, id }: OrderRow, state: OrderState): Promise<unknown> =>
  database.orders.update([project, id], { state });

export const forgetOrder = ({ project, id }: OrderRow): Promise<void> =>
  database.orders.delete([project, id]);

/** Those that came with a file. */
export const keepOrders = (project: string, orders: readonly PackedOrder[]): Promise<unknown> =>
  database.orders.bulkPut(
    orders.map(({ kept, files }) => ({ project, id: kept.ticket.job, ...kept, files })),
  );
