/** The program's own door and workers, bundled for a browser without its screens, and a server for what goes in and out. */
import { createServer, type Server } from 'node:http';
import { createReadStream, existsSync, mkdirSync, createWriteStream } from 'node:fs';
import { readdirSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { chromium, type Browser } from '@playwright/test';
import { build } from 'esbuild';
import { LIGHTEST } from '../../playwright.config';
import { ROOT } from '../node/platform';
import type { Entry } from './files';
import type { Went } from './page';
import { FOLDER } from './sources';

const BUNDLED = join(FOLDER, 'bundled', String(process.pid));
/** One for each run, so that two may go on at once. */
export const OUT = join(FOLDER, 'out', String(process.pid));
/** HarfBuzz asks for its WebAssembly beside the page. */
const HARFBUZZ = join(ROOT, 'node_modules', 'harfbuzzjs', 'dist');
const TYPES: Record<string, string> = { js: 'text/javascript', wasm: 'application/wasm', html: 'text/html' };
/** Node's modules that libraries ask for only in Node. */
const NODE_ONLY = ['module', 'fs', 'path', 'jsdom', 'canvas', 'jsdom/lib/jsdom/living/generated/utils'];

async function bundled(): Promise<void> {
  const workers = readdirSync(join(ROOT, 'src', 'workers')).filter((name) => name.endsWith('.worker.ts'));
  await build({
    absWorkingDir: ROOT,
    entryPoints: [
      { in: 'scripts/collection/page.ts', out: 'page' },
      ...workers.map((name) => ({ in: `src/workers/${name}`, out: `workers/${name.replace(/\.ts$/, '')}` })),
    ],
    bundle: true,
    splitting: true,
    format: 'esm',
    outdir: BUNDLED,
    loader: { '.wasm': 'file' },
    define: { 'process.env.NODE_ENV': '"production"', 'process.env.BELLAGRAPH_BUILD': '"collection"' },
    logLevel: 'error',
    plugins: [
      {
        name: 'node-only',
        setup: ({ onResolve }) =>
          onResolve({ filter: /./ }, ({ path }) =>
            NODE_ONLY.includes(path) ? { path: join(ROOT, 'node-only.mjs') } : undefined,
          ),
      },
    ],
  });
}

export interface Room {
  through(batch: string, entries: readonly Entry[], only?: readonly string[]): Promise<Went>;
  close(): Promise<void>;
}

export async function openRoom(): Promise<Room> {
  await bundled();
  const given = new Map<string, readonly Entry[]>();
  const server: Server = createServer((request, response) => {
    const { pathname } = new URL(request.url!, 'http://here');
    const [, where, batch, name] = pathname.split('/');
    if (where === 'out') {
      mkdirSync(join(OUT, batch!), { recursive: true });
      return void request
        .pipe(createWriteStream(join(OUT, batch!, name!)))
        .on('finish', () => response.end());
    }
    const path =
      where === 'in'
        ? given.get(batch!)![Number(name)]!.path
        : // A worker's address is its source's, from wherever it was asked for.
          /(\w+)\.worker\.ts$/.test(pathname)
          ? join(BUNDLED, 'workers', pathname.split('/').at(-1)!.replace(/ts$/, 'js'))
          : [BUNDLED, join(ROOT, 'public'), HARFBUZZ]
              .map((folder) => join(folder, pathname))
              .find(existsSync);
    if (pathname === '/') {
      response.setHeader('content-type', 'text/html');
      return void response.end('<!doctype html><script type="module" src="/page.js"></script>');
    }
    if (!path) {
      console.error(`not there: ${pathname}`);
      return void response.writeHead(404).end();
    }
    response.setHeader('content-type', TYPES[path.split('.').at(-1)!] ?? 'application/octet-stream');
    createReadStream(path).pipe(response);
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const base = `http://localhost:${(server.address() as AddressInfo).port}`;
  const browser: Browser = await chromium.launch(LIGHTEST);
  const page = await browser.newPage();
  const said: string[] = [];
  page.on('pageerror', ({ message }) => said.push(message));
  page.on('console', (message) => message.type() === 'error' && said.push(message.text()));
  await page.goto(base);
  await page.waitForFunction(() => 'through' in globalThis);
  return {
    async through(batch, entries, only) {
      given.set(batch, entries);
      const names = entries.map(({ name }) => name);
      const went = await page.evaluate(
        ([batch, names, only]) =>
          (globalThis as unknown as { through(...of: unknown[]): Promise<Went> }).through(batch, names, only),
        [batch, names, only] as const,
      );
      if (said.length) went.failed['the page'] = said.splice(0).join(' | ');
      return went;
    },
    async close() {
      await browser.close();
      server.close();
    },
  };
}
