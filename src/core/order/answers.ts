/** What a print shop answers: what it prints, what it found, how far an order is (docs/job-ticket.md). Lengths in mm. */
import { array, boolean, number, object, string, ValidationError, type AnySchema } from 'yup';
import { ORDERED, type OrderedAs } from '@/core/order/ticket';
import { fail, ok, type Result } from '@/core/result';

/** What a shop prints, and what it asks for. */
export interface Catalogue {
  name: string;
  says: string;
  /** Beyond every edge. */
  bleed: number;
  /** Of photographs at the size they are printed. */
  leastPpi: number;
  /** Printing conditions by their characterisation data. */
  conditions: string[];
  products: { is: OrderedAs; says: string }[];
}

/** What becomes of an order, in its order. */
export const STAGES = ['received', 'checked', 'printed', 'sent'] as const;
export type Stage = (typeof STAGES)[number];

/** Something a shop found in what it got. */
export interface Found {
  /** What kind of fault it is: who sent it may know its cure by that. */
  code: string;
  says: string;
  file?: string;
  /** Counted from 1. */
  page?: number;
  /** Where on the trimmed page, from its top left corner. */
  at?: { x: number; y: number; width: number; height: number };
}

export interface Answer {
  accepted: boolean;
  /** Why it cannot be printed. */
  reasons: Found[];
  /** What is worth knowing, and stops nothing. */
  notes: Found[];
}

export interface OrderState {
  order: string;
  stage: Stage;
  /** Null while nothing was checked. */
  answer: Answer | null;
}

const text = string().min(1).max(2000).required();
/** Found in a whole order, at most. */
export const MOST_FOUND = 400;
const found = array()
  .of(
    object({
      code: text,
      says: text,
      file: string().max(200),
      page: number().integer().min(1),
      at: object({
        x: number().required(),
        y: number().required(),
        width: number().required(),
        height: number().required(),
      })
        .noUnknown()
        .default(undefined),
    }).noUnknown(),
  )
  .max(MOST_FOUND)
  .required();

export const answerSchema = object({ accepted: boolean().required(), reasons: found, notes: found })
  .noUnknown()
  .nullable()
  .defined();

export const stateSchema = object({
  order: string().min(1).max(80).required(),
  stage: string().oneOf(STAGES).required(),
  answer: answerSchema,
}).noUnknown();

export const catalogueSchema = object({
  name: text,
  says: text,
  bleed: number().min(0).max(50).required(),
  leastPpi: number().min(0).max(2400).required(),
  conditions: array().of(text).max(100).required(),
  products: array()
    .of(object({ is: string().oneOf(ORDERED).required(), says: text }).noUnknown())
    .max(20)
    .required(),
}).noUnknown();

/** An answer as it came; what is none is told as the shop's fault. */
export function readAnswer<T>(value: unknown, schema: AnySchema): Result<T> {
  try {
    return ok(schema.validateSync(value, { strict: true }) as T);
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return fail('The print shop answered with something that cannot be read.');
  }
}
