import { expect, test } from '@jest/globals';
import Ajv2020 from 'ajv/dist/2020';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { object, string, ValidationError } from 'yup';
import { perform, startHistory } from '@/core/project/history';
import { FILE_VERSION } from '@/core/project/version';
import { Refused } from '@/core/project/refused';
import { projectSchema } from '@/core/project/schema';
import { mutated } from '../harden/mutations';
import { ROOT } from '../node/platform';
import { Chance } from '../testing/chance';
import { byChance, first } from '../testing/edits';
import { jsonSchema } from './json-schema';
import { SCHEMAS } from './schemas';

test('the published schemas are the doors’ own, written down (npm run schemas)', () => {
  for (const [name, schema] of Object.entries(SCHEMAS))
    expect(JSON.parse(readFileSync(join(ROOT, 'docs', name), 'utf8'))).toEqual(
      JSON.parse(JSON.stringify(schema())),
    );
});

/** What is checked in a way no keyword can say. */
const BEYOND = new Set(['day', 'path', 'outline', 'pixels', 'order', 'area', 'names', 'pairs']);

test('another program that checks by the published schema lets the same projects in as ours', () => {
  const theirs = new Ajv2020({ allErrors: true }).compile(SCHEMAS['project.schema.json']());
  const chance = new Chance(19);
  const seen = { both: 0, neither: 0 };
  let history = startHistory(first);
  for (let i = 0; i < 250; i++) {
    if (i % 40 === 0) history = startHistory(first);
    try {
      history = perform(history, byChance(null, history.project, chance).edit, i * 5000);
    } catch (error) {
      // Refused: what was there before will do.
      if (!(error instanceof Refused)) throw error;
    }
    const project = mutated(JSON.parse(JSON.stringify(history.project)), chance);
    const types = oursSays(project);
    const opens = theirs({ format: 'bellagraph', version: FILE_VERSION, project });
    if (types.some((type) => BEYOND.has(type ?? ''))) continue;
    if (opens !== (types.length === 0))
      throw new Error(
        `Ours: ${types.join(', ') || 'passes'}; theirs: ${theirs.errors?.map(({ instancePath, message }) => `${instancePath} ${message}`).join(', ') ?? 'passes'}`,
      );
    seen[opens ? 'both' : 'neither']++;
  }
  expect(seen.both).toBeGreaterThan(10);
  expect(seen.neither).toBeGreaterThan(150);
});

function oursSays(project: unknown): (string | undefined)[] {
  try {
    projectSchema.validateSync(project, { strict: true, abortEarly: false });
    return [];
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return (error.inner.length ? error.inner : [error]).map(({ type }) => type);
  }
}

test('words about nothing, and tests that cannot be written, are errors', () => {
  const named = object({ name: string().max(3) });
  expect(() => jsonSchema('', '', named, { 'name.first': 'The first' })).toThrow('name.first');
  const odd = object({ name: string().test('odd', 'is even', () => true) });
  expect(() => jsonSchema('', '', odd, {})).toThrow('“odd”');
});
