/** Schemas that depend on the value, in such a way that they can still be written down (scripts/schemas). */
import { lazy, object, type AnyObject, type AnySchema, type ISchema, type ObjectSchema } from 'yup';

/** What a schema says beside its tests: for people, and for the published JSON Schemas. */
declare module 'yup' {
  interface CustomSchemaMetadata {
    /** The name of its definition, for what is used in several places or stands for itself. */
    named?: string;
    /** Keywords of JSON Schema for what a test of ours checks. */
    json?: Record<string, unknown>;
    /** What a choice is made from, or what each value of a record is. */
    options?: readonly ISchema<unknown>[];
    /** The choice may be missing altogether. */
    absent?: true;
    each?: ISchema<unknown>;
    keys?: string;
  }
}

type Of = ObjectSchema<AnyObject>;

/** One schema of several, by a word the value says of itself (its `kind`, if no other). */
export function byKind(kinds: Record<string, Of>, what: string, word = 'kind') {
  const known = Object.fromEntries(
    Object.entries(kinds).map(([kind, schema]) => [
      kind,
      schema.required().meta({ named: `${what.replaceAll(' ', '-')}-${kind}` }),
    ]),
  );
  const unknown = object().test('kind', `\${path} is a ${what} this version does not know`, () => false);
  return lazy((value: Record<string, unknown> | undefined) => {
    const kind = value?.[word];
    return typeof kind === 'string' && Object.hasOwn(known, kind) ? known[kind]! : unknown;
  }).meta({ options: Object.values(known) });
}

/** One schema of two, by a field that only the first has. */
export const byField = (field: string, having: AnySchema, others: AnySchema) =>
  lazy((value: object | undefined) => (value && field in value ? having : others)).meta({
    options: [having, others],
  });

/** An object with any number of values of one schema, each under the name it says of itself. */
export const recordOf = (
  each: ISchema<unknown>,
  keys: RegExp,
  named: (key: string, value: unknown) => boolean,
) =>
  lazy((value: object | undefined) =>
    object(Object.fromEntries(Object.keys(value ?? {}).map((key) => [key, each])))
      .test('names', '${path} has names that do not fit', (record) =>
        Object.entries(record ?? {}).every(([key, one]) => named(key, one)),
      )
      .required(),
  ).meta({ each, keys: keys.source });
