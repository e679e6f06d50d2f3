/** What the stand-in printer answers to requests: a PDF goes in, sheets come out. Whatever goes wrong is told as `{ says }`. */
import { randomUUID } from 'node:crypto';
import { mkdir, readdir, readFile, rm, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { OpenLcms } from '@/core/press/lcms';
import { isPaper, sheetOut, sheetsIn } from '@/standins/printer/printer';

export interface PrinterAt {
  /** Where jobs lie until they are looked at. */
  folder: string;
  /** Where the profiles lie. */
  profiles: string;
  openLcms: OpenLcms;
}

const LARGEST = 2 ** 30;
const KEPT = 3_600_000;
const says = (status: number, text: string): Response => Response.json({ says: text }, { status });
const isJob = (name: string): boolean => /^[0-9a-f-]{36}$/.test(name);

export async function serve(
  printer: PrinterAt,
  request: Request,
  path: readonly string[],
): Promise<Response> {
  const [what, job = '', part, number = '', ...more] = path;
  if (request.method === 'POST' && what === 'jobs' && path.length === 1) return print(printer, request);
  if (request.method === 'GET' && what === 'jobs' && part === 'sheets' && !more.length && isJob(job))
    return sheet(printer, request, job, Number(number));
  return says(404, 'There is nothing at this address.');
}

async function print({ folder }: PrinterAt, request: Request): Promise<Response> {
  const pdf = new Uint8Array(await request.arrayBuffer());
  if (pdf.length > LARGEST) return says(413, 'This file is too large for the printer.');
  const sheets = await sheetsIn(pdf).catch(() => 0);
  if (!sheets) return says(422, 'The printer cannot read this file.');
  await mkdir(folder, { recursive: true });
  for (const old of await readdir(folder)) {
    const { mtimeMs } = await stat(join(folder, old)).catch(() => ({ mtimeMs: Date.now() }));
    if (Date.now() - mtimeMs > KEPT) await rm(join(folder, old), { force: true });
  }
  const job = randomUUID();
  await writeFile(join(folder, `${job}.pdf`), pdf);
  return Response.json({ job, sheets }, { status: 201 });
}

async function sheet(
  { folder, profiles, openLcms }: PrinterAt,
  request: Request,
  job: string,
  page: number,
): Promise<Response> {
  const asked = new URL(request.url).searchParams;
  const paper = asked.get('paper') ?? 'plain';
  const pdf = await readFile(join(folder, `${job}.pdf`)).catch(() => null);
  if (!pdf || !isPaper(paper)) return says(404, 'The printer knows nothing of this.');
  const bytes = new Uint8Array(pdf);
  if (!(page >= 1 && page <= (await sheetsIn(bytes)))) return says(404, 'There is no such sheet.');
  const jpeg = await sheetOut({ pdf: bytes, page, paper, both: asked.has('both') }, profiles, openLcms);
  return new Response(new Uint8Array(jpeg), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=3600' },
  });
}
