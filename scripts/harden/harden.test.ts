/** Some of each attack; `npm run harden` tries them as often as a release asks for. */
import { expect, test } from '@jest/globals';
import { bombs, spoiltFiles } from './doors';
import { anyEdits, flippedFiles, spoiltProjects, spoiltRows } from './mutations';
import { worstNames } from './names';
import type { Row } from './report';

const SEED = Number(process.env.SEED ?? 1);

const faults = (rows: readonly Row[]) =>
  rows.flatMap((row) => row.faults.map((fault) => [row.attack, fault]));

test.each<[string, () => Promise<Row>]>([
  ['a project with wrong things in it', () => spoiltProjects(40, SEED)],
  ['a file of which bits flipped', () => flippedFiles(40, SEED)],
  ['rows of the store with wrong things in them', () => spoiltRows(10, SEED)],
  ['any edits, after which the file is read again', () => anyEdits(3, SEED)],
  ['a photo that comes to too much', bombs],
  ['names at their worst, in every file', worstNames],
])('%s: nothing opens as something else without a word, and nothing throws', async (_, attack) => {
  const row = await attack();
  expect(row.tries).toBeGreaterThan(0);
  expect(faults([row])).toEqual([]);
});

test('files with something wrong in them, at every door: each is taken as it is or refused in words', async () => {
  const rows = await spoiltFiles(20, SEED);
  expect(rows.length).toBeGreaterThan(5);
  expect(faults(rows)).toEqual([]);
});
