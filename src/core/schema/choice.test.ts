/** Schemas that look at the value first: one of several kinds, one of two by a field, records by their keys. */
import { number, object, string, ValidationError } from 'yup';
import { byField, byKind, recordOf } from '@/core/schema/choice';

const kinds = byKind(
  {
    disc: object({ kind: string().required(), radius: number().min(1).required() }).noUnknown(),
    box: object({ kind: string().required(), side: number().required() }).noUnknown(),
  },
  'simple shape',
);
const whole = object({ shape: kinds });
const why = (schema: { validateSync(value: unknown, how: object): unknown }, value: unknown): string => {
  try {
    schema.validateSync(value, { strict: true });
    return 'passes';
  } catch (error) {
    if (error instanceof ValidationError) return error.message;
    throw error;
  }
};

describe('by kind', () => {
  test('each is held to its own fields', () => {
    expect(why(whole, { shape: { kind: 'disc', radius: 4 } })).toBe('passes');
    expect(why(whole, { shape: { kind: 'box', side: 4 } })).toBe('passes');
    expect(why(whole, { shape: { kind: 'disc', side: 4 } })).not.toBe('passes');
    expect(why(whole, { shape: { kind: 'disc', radius: 0.5 } })).toMatch(/radius/);
  });

  test('a kind that is not known is said in words, whatever it is called; nothing of the object’s own makes a kind', () => {
    for (const kind of ['ring', '', 'toString', '__proto__', 'constructor', 7, null, undefined])
      expect(why(whole, { shape: { kind, radius: 4 } })).toBe(
        'shape is a simple shape this version does not know',
      );
    expect(why(whole, {})).not.toBe('passes');
    expect(why(whole, { shape: null })).not.toBe('passes');
    expect(why(whole, { shape: 'disc' })).not.toBe('passes');
  });

  test('by another word than its kind', () => {
    const by = byKind({ yes: object({ how: string().required() }).noUnknown() }, 'way', 'how');
    expect(why(object({ by }), { by: { how: 'yes' } })).toBe('passes');
    expect(why(object({ by }), { by: { how: 'no' } })).toBe('by is a way this version does not know');
  });

  test('it tells what it may be, each by its name, for the published schema', () => {
    const { options } = kinds.describe({ value: { kind: 'box' } } as never) as { options?: unknown } & object;
    expect(options).toBeUndefined();
    const meta = (
      kinds as unknown as { spec: { meta: { options: { spec: { meta: { named: string } } }[] } } }
    ).spec.meta;
    expect(meta.options.map(({ spec }) => spec.meta.named)).toEqual([
      'simple-shape-disc',
      'simple-shape-box',
    ]);
  });
});

test('by a field that only the first has', () => {
  const schema = object({
    one: byField(
      'path',
      object({ path: string().required() }).noUnknown(),
      object({ name: string().required() }).noUnknown(),
    ),
  });
  expect(why(schema, { one: { path: 'M0 0' } })).toBe('passes');
  expect(why(schema, { one: { name: 'Kite' } })).toBe('passes');
  expect(why(schema, { one: { path: 'M0 0', name: 'Kite' } })).not.toBe('passes');
  expect(why(schema, { one: {} })).not.toBe('passes');
});

describe('records', () => {
  const schema = object({
    all: recordOf(
      object({ id: string().required() }).noUnknown(),
      /^[a-z]+$/,
      (key, one) => (one as { id: string }).id === key,
    ),
  });
  test('each under the name it says of itself, as many as there are', () => {
    expect(why(schema, { all: {} })).toBe('passes');
    expect(why(schema, { all: { a: { id: 'a' }, b: { id: 'b' } } })).toBe('passes');
    expect(why(schema, { all: { a: { id: 'b' } } })).toBe('all has names that do not fit');
    expect(why(schema, { all: { a: { id: 'a', glue: 1 } } })).not.toBe('passes');
    expect(why(schema, { all: { a: { id: 7 } } })).not.toBe('passes');
  });
  test('it must be there', () => {
    expect(why(schema, {})).not.toBe('passes');
    expect(why(schema, { all: null })).not.toBe('passes');
  });
});
