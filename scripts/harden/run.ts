/**
 * npm run harden: attacks on what people keep, seeded and bounded, as a table; ends with 1 if a promise was broken.
 * `--long` tries as often as a release asks for, `--only mutations,doors,collection,in-browser,offline,kills,browser` some of it, `--seed N` begins elsewhere.
 * Kills and browser need a build (bin/build) and Debian's Chromium. The collection is of thousands of files with --long, of 60 without; it
 * needs what scripts/collection/sources.ts downloads, and Debian's libjpeg-turbo-progs, python3-pil, ffmpeg, libheif-examples, mupdf-tools.
 */
import 'fake-indexeddb/auto';
import { parseArgs } from 'node:util';
import { table, type Row } from './report';
import { serve } from '../node/server';

const { values } = parseArgs({
  options: {
    long: { type: 'boolean', default: false },
    only: { type: 'string' },
    seed: { type: 'string', default: '1' },
  },
});
/** Milliseconds of work that a killed browser may cost where it is measured, on a machine with nothing else to do. */
const MOST_LOST = 300;
const seed = Number(values.seed);
const wants = (name: string) => !values.only || values.only.split(',').includes(name);
const often = (short: number, long: number) => (values.long ? long : short);
const rows: Row[] = [];
const add = (row: Row) => {
  rows.push(row);
  console.log(`${row.faults.length ? 'FAULT' : 'ok   '}  ${row.attack}: ${row.seen}`);
};

if (wants('mutations')) {
  const { anyEdits, flippedFiles, spoiltProjects, spoiltRows } = await import('./mutations');
  add(await spoiltProjects(often(40, 3000), seed));
  add(await flippedFiles(often(40, 3000), seed));
  add(await spoiltRows(often(10, 600), seed));
  add(await anyEdits(often(3, 400), seed));
}
if (wants('doors')) {
  const { bombs, spoiltFiles } = await import('./doors');
  (await spoiltFiles(often(20, 1300), seed)).forEach(add);
  add(await bombs());
  add(await (await import('./names')).worstNames());
}
if (wants('collection')) {
  const { throughEverything } = await import('../collection/run');
  add(await throughEverything(values.long ? {} : { most: 60 }, console.log));
}
if (wants('in-browser')) {
  const server = await serve();
  try {
    (await (await import('./in-browser')).spoiltInBrowser(server.base, often(25, 500), seed)).forEach(add);
  } finally {
    server.stop();
  }
}
if (wants('offline')) {
  const server = await serve();
  try {
    add(await (await import('./offline')).workedOffline(server.base, often(0, 60)));
  } finally {
    server.stop();
  }
}
if (wants('kills')) {
  const server = await serve();
  try {
    add(
      await (
        await import('./kills')
      ).killed(server.base, often(2, 200), seed, values.long ? MOST_LOST : null),
    );
  } finally {
    server.stop();
  }
}
if (wants('browser')) (await import('./browser')).keptInBrowser().forEach(add);
console.log(
  `\n${table(rows)}\n\n${rows.filter(({ faults }) => !faults.length).length} passed, ${rows.filter(({ faults }) => faults.length).length} failed`,
);
process.exit(rows.every(({ faults }) => faults.length === 0) ? 0 : 1);
