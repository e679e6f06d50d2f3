/** The job ticket: what a print shop is told of an order, beside the files it is of (docs/job-ticket.md). Lengths in mm. */
import { array, number, object, string, ValidationError } from 'yup';
import { fail, ok, type Result } from '@/core/result';

export const TICKET_VERSION = 1;

/** What is ordered, in words any shop knows. */
export const ORDERED = ['sheets', 'folded card', 'calendar', 'book'] as const;
export type OrderedAs = (typeof ORDERED)[number];

/** What a file holds: pages one by one, a cover that lies open, the sides of a sheet that is folded. */
export const FILE_PARTS = ['pages', 'cover', 'sides'] as const;
export type FilePart = (typeof FILE_PARTS)[number];

export interface TicketFile {
  name: string;
  part: FilePart;
  bytes: number;
  /** Lower-case hexadecimal. */
  sha256: string;
  pages: number;
  /** Of every page in it, trimmed. */
  width: number;
  height: number;
}

export interface Ticket {
  ticket: typeof TICKET_VERSION;
  /** Made by who orders; the same for an order that is sent again. */
  job: string;
  title: string;
  /** Who it is for. */
  customer: string;
  note?: string;
  copies: number;
  product: {
    is: OrderedAs;
    /** Of one page, trimmed; of the open sheet of what is folded. */
    width: number;
    height: number;
    pages: number;
    /** How it is bound or folded, in a person's words. */
    made?: string;
    /** How thick the spine of its cover is. */
    spine?: number;
  };
  /** The printing condition the files are made for, by its characterisation data. */
  condition: string;
  files: TicketFile[];
}

export const MOST_COPIES_ORDERED = 500;
export const LONGEST_NAME = 80;
export const LONGEST_NOTE = 500;
/** The largest file a ticket may name, bytes: 2 GB. */
export const LARGEST_SENT = 2 ** 31;
const LONGEST_SIDE = 3000;
const length = number().moreThan(0).max(LONGEST_SIDE);

const fileSchema = object({
  name: string()
    .matches(/^[\w-]{1,60}\.pdf$/)
    .required(),
  part: string().oneOf(FILE_PARTS).required(),
  bytes: number().integer().min(1).max(LARGEST_SENT).required(),
  sha256: string()
    .matches(/^[0-9a-f]{64}$/)
    .required(),
  pages: number().integer().min(1).max(1000).required(),
  width: length.required(),
  height: length.required(),
}).noUnknown();

export const ticketSchema = object({
  ticket: number().oneOf([TICKET_VERSION]).required(),
  job: string()
    .matches(/^[0-9a-f-]{36}$/)
    .required(),
  title: string().min(1).max(200).required(),
  customer: string().min(1).max(LONGEST_NAME).required(),
  note: string().max(LONGEST_NOTE),
  copies: number().integer().min(1).max(MOST_COPIES_ORDERED).required(),
  product: object({
    is: string().oneOf(ORDERED).required(),
    width: length.required(),
    height: length.required(),
    pages: number().integer().min(1).max(1000).required(),
    made: string().max(80),
    spine: number().min(0).max(200),
  })
    .noUnknown()
    .required(),
  condition: string().min(1).max(80).required(),
  files: array().of(fileSchema.required()).min(1).max(8).required(),
}).noUnknown();

/** A ticket as it was sent; says what is wrong with one that is none. */
export function readTicket(value: unknown): Result<Ticket> {
  try {
    const ticket = ticketSchema.validateSync(value, { strict: true }) as Ticket;
    const names = ticket.files.map(({ name }) => name);
    return new Set(names).size === names.length ? ok(ticket) : fail('Two files have one name.');
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return fail(error.message);
  }
}
