/** What is kept of an order beside the files that were sent: whom it went to, when, and what became of it. */
import { number, object, string } from 'yup';
import { stateSchema, type OrderState } from '@/core/order/answers';
import { ticketSchema, type Ticket } from '@/core/order/ticket';

export interface KeptOrder {
  shop: string;
  /** Milliseconds since 1970. */
  sent: number;
  ticket: Ticket;
  state: OrderState;
}

export const keptSchema = object({
  shop: string().min(1).max(200).required(),
  sent: number().integer().min(0).max(1e15).required(),
  ticket: ticketSchema.required(),
  state: stateSchema.required(),
}).noUnknown();

/** Null for what is none. */
export function readKept(json: string): KeptOrder | null {
  try {
    return keptSchema.validateSync(JSON.parse(json), { strict: true }) as KeptOrder;
  } catch {
    return null;
  }
}
