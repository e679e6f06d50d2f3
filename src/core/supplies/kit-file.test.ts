/** A kit's own file: written, read, and what others wrote. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Ajv2020 } from 'ajv/dist/2020.js';
import fc from 'fast-check';
import { pathsFor, readKit, tagsFrom, writeKit, type KitFile } from '@/core/supplies/kit-file';
import { SUPPLY_KINDS } from '@/core/supplies/model';
import { asName } from '@/core/text/named';
import { ROOT } from '../../../scripts/node/platform';
import { trailsOf } from '../../../scripts/testing/lines';
import { supplyOf } from '../../../scripts/testing/samples';

const schema = JSON.parse(readFileSync(join(ROOT, 'docs/kit.schema.json'), 'utf8'));
const check = new Ajv2020().compile(schema);
const text = (longest: number) =>
  fc.string({ minLength: 1, maxLength: longest }).filter((s) => s !== '' && asName(s, longest) === s);
const entry = fc.record(
  {
    kind: fc.constantFrom(...SUPPLY_KINDS),
    name: text(60),
    tags: fc.array(text(20), { maxLength: 5 }),
    file: fc.constantFrom('papers/a.svg', 'stamps/b 2.png'),
    ppi: fc.integer({ min: 1, max: 1200 }),
    lift: fc.double({ min: 0, max: 20, noNaN: true }),
    letters: text(3),
    alphabet: text(12),
    back: fc.constantFrom('papers/Graph.svg', 'a/b.png'),
    favourite: fc.boolean(),
    trail: fc.constantFrom(...trailsOf('a'.repeat(64))),
    inks: fc.array(fc.record({ name: text(20), colour: fc.constantFrom('#a92f3f', '#ffffff') }), {
      maxLength: 4,
    }),
  },
  { requiredKeys: ['kind', 'name', 'tags'] },
);
const file = fc.record({
  kit: fc.record({
    name: text(60),
    description: fc.string({ maxLength: 80 }),
    author: fc.string({ maxLength: 40 }),
    licence: fc.string({ maxLength: 40 }),
    tags: fc.array(text(20), { maxLength: 4 }),
  }),
  supplies: fc.array(entry, { maxLength: 6 }),
});
test('what is written satisfies the published JSON Schema and is read back the same', () => {
  fc.assert(
    fc.property(file, (given) => {
      const json = writeKit(given as KitFile);
      expect(check(JSON.parse(json)) ? [] : check.errors).toEqual([]);
      const { format: _, version: __, ...plain } = JSON.parse(json);
      expect(readKit(json)).toEqual({ ok: true, value: plain });
    }),
  );
});
test('what cannot be believed is refused in words', () => {
  const good = {
    format: 'bellagraph-kit',
    version: 1,
    kit: { name: 'A', description: '', author: '', licence: '', tags: [] },
    supplies: [],
  };
  const refused = (change: object) => {
    const read = readKit(JSON.stringify({ ...good, ...change }));
    return read.ok ? '' : read.message;
  };
  expect(refused({})).toBe('');
  expect(refused({ version: 3 })).toBe('');
  expect(refused({ version: 4 })).toContain('newer Bellagraph');
  expect(refused({ version: 1.5 })).toContain('does not say');
  expect(refused({ format: 'other' })).toContain('some other program');
  for (const path of [{ file: '../../etc/passwd' }, { file: 'x.svg', back: '../x' }])
    expect(refused({ supplies: [{ kind: 'paper', name: 'x', tags: [], ...path }] })).toContain('outside');
  expect(refused({ supplies: [{ kind: 'teapot', name: 'x', tags: [] }] })).toContain('damaged');
  expect(readKit('{').ok).toBe(false);
});
test('names that meet are told apart, and no name leaves its folder', () => {
  const paths = pathsFor(
    [supplyOf('A/B'), supplyOf('a b'), supplyOf('../x', { kind: 'paper' })],
    () => 'png',
  );
  expect([...paths.values()]).toEqual(['embellishments/A B.png', 'embellishments/a b 2.png', 'papers/x.png']);
  // A half of a letter would be another name in the zip than in the list.
  const [long] = pathsFor([supplyOf(`a${'𠮷'.repeat(60)}`)], () => 'png').values();
  expect(long).toBe(`embellishments/a${'𠮷'.repeat(49)}.png`);
});
test('tags are lower case, each once', () =>
  expect(tagsFrom(' Sea, sea ,Blue kite,,Caf\u00e9,cafe\u0301')).toEqual(['sea', 'blue kite', 'caf\u00e9']));
