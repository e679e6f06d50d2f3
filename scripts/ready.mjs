/**
 * What is drawn before the program is served, and what it is drawn from, so that it is drawn again only if that changed.
 * `node scripts/ready.mjs NAME ...` ends with 0 if these are drawn from what lies here now; it loads nothing that draws.
 */
import { createHash } from 'node:crypto';
import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = fileURLToPath(new URL('..', import.meta.url));

/** @param {string} folder Where it lies, from the repository's root. @param {string[]} from Files, and folders of code. */
const drawing = (folder, ...from) => ({ folder, from });

const DRAWINGS = {
  supplies: drawing('public/house', 'scripts/house', 'src/core/text/families.ts'),
  papers: drawing(
    'public/house/papers',
    'scripts/house/build.ts',
    'scripts/house/papers.ts',
    'scripts/art/noise.ts',
    'src/core/random.ts',
    'src/output/pixels/density.ts',
  ),
  kits: drawing(
    'public/house/kits',
    'scripts/kits',
    'scripts/art',
    'src/core/book',
    'src/core/calendar',
    'src/core/dates',
    'src/core/product',
    'src/core/piece/material/month',
    'src/core/pixels/edges.ts',
    'src/core/pixels/trace.ts',
    'src/core/pixels/regions.ts',
    'src/core/drawing',
    'src/core/project/create.ts',
    'src/core/project/file.ts',
    'src/core/supplies/colours.ts',
    'src/core/supplies/model.ts',
    'src/core/text/families.ts',
    'src/core/trail',
  ),
  demo: drawing(
    'public/demo',
    'scripts/demo',
    'scripts/art',
    'scripts/house',
    'scripts/kits',
    'src/core/book',
    'src/core/calendar',
    'src/core/dates',
    'src/core/product',
    'src/core/photos',
    'src/core/piece',
    'src/core/project',
    'src/core/text',
  ),
};
/** @typedef {keyof typeof DRAWINGS} Drawn */

/** Where a drawing lies. @param {Drawn} name */
export const folderOf = (name) => join(ROOT, DRAWINGS[name].folder);

/** A fingerprint of files, and of the code in folders. @param {string[]} paths */
export async function fingerprint(...paths) {
  const hash = createHash('sha256');
  for (const path of paths) {
    const names = path.endsWith('.ts') ? [''] : (await readdir(join(ROOT, path), { recursive: true })).sort();
    for (const name of names.filter((one) => !one || /(?<!\.test)\.ts$/.test(one)))
      hash.update(name || path).update(await readFile(join(ROOT, path, name)));
  }
  return hash.digest('hex').slice(0, 16);
}

/**
 * Whether a drawing is drawn from what lies here, the fingerprint of that, and what marks it as drawn from what lay here when it
 * was asked for.
 * @param {Drawn} name
 */
export async function standing(name) {
  const print = await fingerprint(...DRAWINGS[name].from);
  const mark = join(folderOf(name), 'made-by');
  const before = await readFile(mark, 'utf8').catch(() => '');
  return { drawn: before === print, print, mark: () => writeFile(mark, print) };
}

if (process.argv[1]?.endsWith('ready.mjs')) {
  const asked = await Promise.all(process.argv.slice(2).map((name) => standing(/** @type {Drawn} */ (name))));
  process.exit(asked.every(({ drawn }) => drawn) ? 0 : 1);
}
