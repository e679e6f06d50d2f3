/** The printer that ships, spoken to over HTTP. Whatever goes wrong comes back as a sentence. */
import { number, object, string } from 'yup';
import { fail, ok, type Result } from '@/core/result';

export interface Printed {
  job: string;
  sheets: number;
}

const PRINTER = '/api/printer';
const schema = object({
  job: string().min(1).max(80).required(),
  sheets: number().integer().min(1).required(),
}).noUnknown();

export async function printed(pdf: Blob, signal: AbortSignal): Promise<Result<Printed>> {
  const answer = await fetch(`${PRINTER}/jobs`, { method: 'POST', body: pdf, signal }).catch(() => null);
  if (!answer) return fail('The printer cannot be reached.');
  const body: unknown = await answer.json().catch(() => null);
  if (answer.ok && schema.isValidSync(body, { strict: true })) return ok(body);
  const { says } = (body ?? {}) as { says?: unknown };
  return fail(typeof says === 'string' ? says : 'The printer has a fault of its own; try again later.');
}

/** Where the picture of a sheet's side lies, counted from 1. */
export const sheetAt = ({ job }: Printed, page: number, paper: string, both: boolean): string =>
  `${PRINTER}/jobs/${job}/sheets/${page}?paper=${paper}${both ? '&both' : ''}`;
