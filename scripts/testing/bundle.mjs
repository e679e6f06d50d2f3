/**
 * Jest's global setup. To load each file of each suite by itself took longer than the tests; so all suites are bundled
 * once, with what they share in chunks, if anything changed. `runner.mjs` runs them.
 */
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';

export const ROOT = join(import.meta.dirname, '..', '..');
export const MADE = join(ROOT, '.cache', 'tests');
const SHIPS = join(ROOT, 'public');
/** Where suites write what tools look at. It stays until the next run, for whoever wants to look at it, too. */
const WRITTEN = join(ROOT, '.cache', 'written');
/** Packages that are loaded as they are: those of which there must be one, and what brings native code or WebAssembly. */
const AS_THEY_ARE =
  /^(@cornerstonejs|@hyzyla|@napi-rs|@playwright|@tensorflow|@testing-library|@vladmandic|ajv|dexie|exifr|fast-check|harfbuzzjs|hoist-non-react-statics|jsdom|lcms-wasm|libheif-js|next|paper|prop-types|react|scheduler|sharp|use-sync)/;

/** A suite that alters what others share. */
const ALONE = /^ \* @alone/m;
/** Stands before each suite with a screen, in its first line. */
const FRESH = `import { freshScreen } from '${join(import.meta.dirname, 'fresh')}'; freshScreen(); `;

/** What a file is told of itself though it lies in a bundle, and what is imported from where it lies. */
const itself = {
  name: 'itself',
  setup({ onLoad, onResolve }) {
    onLoad({ filter: /\/(src|scripts)\/.*\.tsx?$/ }, async ({ path }) => ({
      contents: ((path.endsWith('.test.tsx') ? FRESH : '') + (await readFile(path, 'utf8')))
        .replaceAll('import.meta.dirname', JSON.stringify(dirname(path)))
        .replaceAll('import.meta.url', JSON.stringify(pathToFileURL(path).href))
        // What a worker offers is asked of it on the thread of the screen. See `worker.mjs`.
        .replace(/^expose\((\w+)\);$/m, 'export default $1;')
        // What a browser imports from where it is served.
        .replace('`${folder}/${name}.js`', `$&.replace('http://localhost', '${pathToFileURL(SHIPS).href}')`)
        .replace(/import \{([^}]*)\} from '(@tabler\/icons-react)';/, (_, names, from) =>
          names
            .match(/Icon\w+/g)
            .map((name) => `import ${name} from '${from}/dist/esm/icons/${name}.mjs';`)
            .join(' '),
        ),
      loader: path.endsWith('x') ? 'tsx' : 'ts',
    }));
    // Nothing is laid out, and no rule is ever asked for: what MUI reckons of them is a twentieth of all.
    onLoad({ filter: /@mui\/styled-engine\/index\.mjs$/ }, async ({ path }) => ({
      contents: (await readFile(path, 'utf8')).replace(
        '= emStyled(tag, options)',
        '= () => emStyled(tag, options)()',
      ),
    }));
    // See there.
    onResolve({ filter: /^node:child_process$/ }, () => ({
      path: join(import.meta.dirname, 'tools.mjs'),
      external: true,
    }));
    onResolve({ filter: /^[^./]/ }, ({ path, kind }) => {
      if (kind === 'entry-point' || path.startsWith('@/') || !AS_THEY_ARE.test(path)) return;
      return { path: path.replace(/^((?:ajv|next|paper)\/.*?)(\.js)?$/, '$1.js'), external: true };
    });
  },
};

export default async function bundle() {
  rmSync(WRITTEN, { recursive: true, force: true });
  mkdirSync(WRITTEN, { recursive: true });
  process.env.TMPDIR = WRITTEN;
  const files = ['src', 'scripts'].flatMap((folder) =>
    readdirSync(join(ROOT, folder), { recursive: true })
      .map((file) => join(folder, file))
      .filter((file) => /\.(tsx?|mjs|json)$/.test(file))
      .sort(),
  );
  const seen = createHash('sha256').update(readFileSync(join(ROOT, 'package-lock.json')));
  for (const file of files) {
    const { mtimeMs, size } = statSync(join(ROOT, file));
    seen.update(`${file} ${mtimeMs} ${size}\n`);
  }
  const [now, mark] = [seen.digest('hex'), join(MADE, 'made-from')];
  if (existsSync(mark) && readFileSync(mark, 'utf8') === now) return;
  rmSync(MADE, { recursive: true, force: true });
  mkdirSync(MADE, { recursive: true });
  const suites = files.filter((file) => /\.test\.tsx?$/.test(file));
  const alone = suites.filter((file) => ALONE.test(readFileSync(join(ROOT, file), 'utf8')));
  // What suites run by itself, and what runs beside a page, is ready to run.
  const others = ['scripts/render.ts', ...files.filter((file) => file.endsWith('.worker.ts'))];
  await Promise.all([
    made([...others, ...suites.filter((file) => !alone.includes(file))], true),
    made(alone, false),
  ]);
  writeFileSync(mark, now);
}

const made = (entryPoints, splitting) =>
  build({
    absWorkingDir: ROOT,
    entryPoints,
    outdir: MADE,
    outbase: ROOT,
    publicPath: MADE,
    bundle: true,
    splitting,
    format: 'esm',
    platform: 'node',
    target: 'es2022',
    mainFields: ['module', 'main'],
    jsx: 'automatic',
    alias: { '@': join(ROOT, 'src'), '@jest/globals': join(import.meta.dirname, 'globals.mjs') },
    define: { 'process.env.NODE_ENV': '"production"' },
    sourcemap: 'external',
    sourcesContent: false,
    logLevel: 'warning',
    plugins: [itself],
  });
