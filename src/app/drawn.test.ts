import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const home = process.cwd();
const folder = mkdtempSync(join(tmpdir(), 'drawn-'));
beforeAll(() => {
  mkdirSync(join(folder, 'public', 'house'), { recursive: true });
  writeFileSync(join(folder, 'secret.json'), '{}');
  process.chdir(folder);
});
afterAll(() => process.chdir(home));

test('what is drawn after the start is served; what is still to come is told apart from what never comes', async () => {
  const { drawnIn } = await import('@/app/drawn');
  const ask = (...path: string[]) =>
    drawnIn('house')(new Request('http://localhost/'), { params: Promise.resolve({ path }) });
  writeFileSync(join(folder, 'public', '.drawing'), '');
  expect((await ask('kits.json')).status).toBe(503);
  writeFileSync(join(folder, 'public', 'house', 'kits.json'), '{"kits":[]}');
  const late = await ask('kits.json');
  expect(late.headers.get('content-type')).toBe('application/json');
  expect(await late.json()).toEqual({ kits: [] });
  rmSync(join(folder, 'public', '.drawing'));
  expect((await ask('papers.json')).status).toBe(404);
  for (const path of [['..', '..', 'secret.json'], ['../../secret.json'], ['', 'etc', 'passwd']])
    expect((await ask(...path)).status).toBe(404);
});
