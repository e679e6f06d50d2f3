/** The browser tests of what is kept, as rows of the table: a full store, several tabs, older and newer stores. */
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from '../node/platform';
import type { Row } from './report';

interface Suite {
  suites?: Suite[];
  specs?: { title: string; ok: boolean; tests: { results: { error?: { message?: string } }[] }[] }[];
}

export function keptInBrowser(): Row[] {
  const report = join(tmpdir(), `harden-${process.pid}.json`);
  spawnSync('npx', ['playwright', 'test', 'e2e/kept.spec.ts', 'e2e/safe.spec.ts', '--reporter=json'], {
    cwd: ROOT,
    env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: report, PORT: '3299' },
    stdio: 'ignore',
  });
  const specs = (suite: Suite): NonNullable<Suite['specs']> => [
    ...(suite.specs ?? []),
    ...(suite.suites ?? []).flatMap(specs),
  ];
  return specs(JSON.parse(readFileSync(report, 'utf8')) as Suite).map(({ title, ok, tests }) => ({
    attack: title,
    tries: 1,
    faults: ok ? [] : [tests[0]?.results.at(-1)?.error?.message?.split('\n')[0] ?? 'failed'],
    seen: '',
  }));
}
