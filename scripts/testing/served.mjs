/** What ships, as it is served: fetched by component tests and by the workers beside them. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';

const SHIPS = join(import.meta.dirname, '..', '..', 'public');

const served = (path) =>
  readFile(join(SHIPS, path)).then(
    (bytes) => new Response(bytes),
    () => new Response(null, { status: 404 }),
  );

const other = globalThis.fetch;

export function fetchServed(asked, ...how) {
  const path = String(asked).replace(/^http:\/\/localhost(?=\/)/, '');
  return path.startsWith('/') ? served(path) : other(asked, ...how);
}
