/** Jest's transform: what `bundle.mjs` made of a suite, or of what suites share, with the map that leads to its source. */
import { readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { MADE, ROOT } from './bundle.mjs';

function process(_source, path) {
  const made = path.startsWith(MADE) ? path : join(MADE, relative(ROOT, path).replace(/\.tsx?$/, '.js'));
  const map = JSON.parse(readFileSync(`${made}.map`, 'utf8'));
  const sources = map.sources.map((source) => resolve(dirname(made), source));
  // Jest loses its way where parts are fetched at the same time: each waits for the one before it.
  const code = readFileSync(made, 'utf8').replace(/\bimport\(("[^"]*\.js")\)/g, 'inTurn(() => import($1))');
  return { code, map: { ...map, sources } };
}

export default {
  process,
  processAsync: async (source, path) => process(source, path),
  // What a suite became depends on all it imports.
  getCacheKey: (source, path) => process(source, path).code,
};
