/** What ships, as it is served: for component tests. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';

const SHIPS = join(import.meta.dirname, '..', '..', 'public');

/** How many files are being read. */
export const served = { underWay: 0 };

const read = (path) => {
  served.underWay++;
  return readFile(join(SHIPS, path))
    .then(
      (bytes) => new Response(bytes),
      () => new Response(null, { status: 404 }),
    )
    .finally(() => served.underWay--);
};

const other = globalThis.fetch;

export function fetchServed(asked, ...how) {
  const path = String(asked).replace(/^http:\/\/localhost(?=\/)/, '');
  return path.startsWith('/') ? read(path) : other(asked, ...how);
}
