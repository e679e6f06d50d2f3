/** The stand-in printer does what printers do to a page, and the test sheet says what that is. */
import { beforeAll, expect, test } from '@jest/globals';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { nodeTypesetter, nodeWorkshop, openLcms, PROFILES } from '../../../scripts/node/platform';
import { testSheet } from '@/core/packing/test-sheet';
import { make } from '@/output/make';
import { LOST, OFF } from '@/standins/printer/printer';
import { serve } from '@/standins/printer/serve';

const printer = { folder: mkdtempSync(join(tmpdir(), 'printer-')), profiles: PROFILES, openLcms };
const ask = (method: string, path: string, body?: BodyInit): Promise<Response> =>
  serve(
    printer,
    new Request(`http://printer/${path}`, { method, ...(body === undefined ? {} : { body }) }),
    path.split('?')[0]!.split('/'),
  );

const LETTER = { width: 612, height: 792 };
/** Pixels to the millimetre. */
const MM = 96 / 25.4;
let job = '';

/** How dark a side of a sheet is about a place in millimetres: 0 for its paper. */
async function seenOn(page: number, more = ''): Promise<(x: number, y: number, reach?: number) => number> {
  const answer = await ask('GET', `jobs/${job}/sheets/${page}?paper=plain${more}`);
  const { data, info } = await sharp(Buffer.from(await answer.arrayBuffer()))
    .greyscale()
    .raw()
    .toBuffer({ resolveWithObject: true });
  expect([info.width, info.height]).toEqual([816, 1056]);
  const paper = data[0]!;
  return (x, y, reach = 0.7) => {
    let most = 0;
    for (let py = Math.round((y - reach) * MM); py <= (y + reach) * MM; py++)
      for (let px = Math.round((x - reach) * MM); px <= (x + reach) * MM; px++)
        most = Math.max(most, paper - data[py * info.width + px]!);
    return most;
  };
}

beforeAll(async () => {
  const typesetter = await nodeTypesetter();
  const shop = nodeWorkshop(
    () => undefined as never,
    () => undefined as never,
    typesetter,
  );
  const options = { format: 'pdf', ppi: 300, withBleed: false, cropMarks: false } as const;
  const made = await make(testSheet(LETTER, typesetter), options, shop);
  if (!made.ok) throw new Error(made.message);
  const answer = await ask('POST', 'jobs', new Blob(made.value as Uint8Array<ArrayBuffer>[]));
  expect(answer.status).toBe(201);
  const told = (await answer.json()) as { job: string; sheets: number };
  expect(told.sheets).toBe(2);
  job = told.job;
});

test('on the test sheet the first step that is seen at an edge is what the printer loses there', async () => {
  const dark = await seenOn(1);
  const [width, height] = [215.9, 279.4];
  const first = (place: (k: number) => readonly [number, number]) =>
    Array.from({ length: 20 }, (_, i) => i + 1).find((k) => dark(...place(k), 0.4) > 40);
  const along = (k: number) => 12 + 4.2 * k;
  expect({
    top: first((k) => [along(k), k]),
    left: first((k) => [k, along(k)]),
    bottom: first((k) => [width - along(k), height - k]),
    right: first((k) => [width - k, height - along(k)]),
  }).toEqual(LOST);
});

test('a back comes out where it should not, as far as its line says', async () => {
  const [straight, off] = [await seenOn(2), await seenOn(2, '&both')];
  const columns = (dark: typeof straight) =>
    Array.from({ length: 81 }, (_, i) => (i - 40) / 10).filter(
      (x) => dark(107.95 + x, 139.7 - 30, 0.05) > 40,
    );
  const middle = (all: number[]) => all.reduce((sum, x) => sum + x, 0) / all.length;
  expect(middle(columns(straight))).toBeCloseTo(0, 0);
  // Seen from the back, right is left.
  expect(Math.abs(middle(columns(off)) + OFF.x)).toBeLessThan(0.3);
});

test('what is no PDF, and what it knows nothing of, is told', async () => {
  expect((await ask('POST', 'jobs', 'Dear printer')).status).toBe(422);
  for (const path of [`jobs/${job}/sheets/3`, `jobs/${job}/sheets/1?paper=gold`, 'jobs/../sheets/1', 'ink'])
    expect((await ask('GET', path)).status).toBe(404);
});
