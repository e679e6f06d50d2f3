/** Makes public/sw.js after `next build`: the service worker, with the list of all that this build consists of. */
import { build } from 'esbuild';
import { readdir, readFile } from 'node:fs/promises';
import { join, sep } from 'node:path';
import { BUILD_PAGES, ICON } from '@/workers/offline';
import { ROOT } from '../node/platform';

const STATIC = join(ROOT, '.next', 'static');

const id = (await readFile(join(ROOT, '.next', 'BUILD_ID'), 'utf8')).trim();
const files = (await readdir(STATIC, { recursive: true, withFileTypes: true }))
  .filter((entry) => entry.isFile() && !entry.name.endsWith('.map'))
  .map((entry) =>
    join(entry.parentPath, entry.name)
      .slice(STATIC.length + 1)
      .split(sep)
      .join('/'),
  )
  .sort();
const entries = [
  ...[...BUILD_PAGES, ICON].map((url) => ({ url, revision: id })),
  // Their names say what is in them.
  ...files.map((name) => ({ url: `/_next/static/${name}`, revision: null })),
];
await build({
  entryPoints: [join(ROOT, 'src', 'workers', 'service.worker.ts')],
  outfile: join(ROOT, 'public', 'sw.js'),
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  logLevel: 'error',
  define: {
    PROGRAM_FILES: JSON.stringify(entries),
    'process.env.NODE_ENV': '"production"',
  },
});
console.log(`The service worker keeps ${entries.length} files of build ${id}.`);
