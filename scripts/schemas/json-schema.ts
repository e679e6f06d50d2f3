/** Yup schemas written down as JSON Schema 2020-12, so that other programs can check a file without ours. */
import type { AnySchema, ISchema, ObjectSchema, SchemaDescription, SchemaMetadata } from 'yup';

type Json = Record<string, unknown>;

/** What a definition's parts are, in words: by the definition's name and the way to the part (`piece.tucks[].slit`). */
export type Says = Readonly<Record<string, string>>;

/** Writes one schema and the definitions it uses. Throws for a test it has no keyword for, and for words about no part. */
export function jsonSchema(title: string, description: string, schema: AnySchema, says: Says): Json {
  const writer = new Writer(says);
  const root = writer.parts(schema, '');
  const idle = Object.keys(says).filter((path) => !writer.said.has(path));
  if (idle.length) throw new Error(`There are words about what is not there: ${idle.join(', ')}.`);
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title,
    description,
    ...root,
    $defs: Object.fromEntries([...writer.definitions].sort(([a], [b]) => (a < b ? -1 : 1))),
  };
}

class Writer {
  readonly definitions = new Map<string, Json>();
  readonly said = new Set<string>();

  constructor(private readonly says: Says) {}

  /** The schema in place, or a reference to its definition. */
  private at(schema: ISchema<unknown>, path: string): Json {
    const { named } = metaOf(schema);
    if (!named) return this.parts(schema, path);
    const here = this.parts(schema, named);
    const known = this.definitions.get(named);
    if (known && JSON.stringify(known) !== JSON.stringify(here))
      throw new Error(`Two schemas are named “${named}”.`);
    this.definitions.set(named, here);
    return { ...this.words(path), $ref: `#/$defs/${named}` };
  }

  parts(schema: ISchema<unknown>, path: string): Json {
    return { ...this.words(path), ...this.form(schema, path), ...metaOf(schema).json };
  }

  private words(path: string): Json {
    const description = Object.hasOwn(this.says, path) ? this.says[path] : undefined;
    if (description !== undefined) this.said.add(path);
    return description === undefined ? {} : { description };
  }

  private form(schema: ISchema<unknown>, path: string): Json {
    const { options, each, keys } = metaOf(schema);
    if (options) return { oneOf: options.map((option, i) => this.at(option, `${path}|${i}`)) };
    if (each && keys)
      return {
        type: 'object',
        propertyNames: { pattern: keys },
        additionalProperties: this.at(each, `${path}{}`),
      };
    if ((schema as { type?: string }).type === 'lazy')
      throw new Error(`${path} depends on its value in a way that cannot be written.`);
    const known = schema as AnySchema;
    const described = known.describe() as SchemaDescription;
    const { type, nullable, oneOf } = described;
    if (oneOf.length) return oneOf.length === 1 ? { const: oneOf[0] } : { enum: oneOf };
    const form: Json = { type, ...keywords(described, path) };
    if (type === 'array')
      form.items = this.at((known as { innerType?: ISchema<unknown> }).innerType!, `${path}[]`);
    if (type === 'object') Object.assign(form, this.fields(known as ObjectSchema<Json>, path));
    return nullable ? { oneOf: [{ type: 'null' }, form] } : form;
  }

  private fields({ fields }: ObjectSchema<Json>, path: string): Json {
    const entries = Object.entries(fields) as [string, ISchema<unknown>][];
    const needed = entries.filter(([, field]) => isNeeded(field)).map(([key]) => key);
    return {
      ...(needed.length && { required: needed }),
      properties: Object.fromEntries(
        entries.map(([key, field]) => [key, this.at(field, path ? `${path}.${key}` : key)]),
      ),
    };
  }
}

const metaOf = (schema: ISchema<unknown>): SchemaMetadata => (schema as AnySchema).meta() ?? {};

/** A choice is needed where each of what it chooses from is. */
const isNeeded = (schema: ISchema<unknown>): boolean => {
  const { options, each, absent } = metaOf(schema);
  if (absent) return false;
  if (options) return options.every(isNeeded);
  return Boolean(each) || !(schema as AnySchema).describe().optional;
};

const LONG = { string: 'Length', array: 'Items' } as const;

/** Keywords for the tests of a schema. What has words of its own (`meta.json`) may have tests no keyword says. */
function keywords({ type, tests, meta }: SchemaDescription, path: string): Json {
  const all: Json = {};
  for (const { name, params = {} } of tests as { name?: string; params?: Json }[]) {
    const long = LONG[type as keyof typeof LONG] as string | undefined;
    const { min, max, more, less } = params;
    if (name === 'required') {
      if (type === 'string' && !meta?.json && !('minLength' in all)) all.minLength = 1;
    } else if (name === 'min' || name === 'max') {
      if (more !== undefined) all.exclusiveMinimum = more;
      else if (less !== undefined) all.exclusiveMaximum = less;
      else all[long ? `${name}${long}` : `${name}imum`] = name === 'min' ? min : max;
    } else if (name === 'length') Object.assign(all, { minItems: params.length, maxItems: params.length });
    else if (name === 'matches') all.pattern = (params.regex as RegExp).source;
    else if (name === 'integer') all.type = 'integer';
    else if (name === 'noUnknown') all.additionalProperties = false;
    else if (name === 'trim') all.pattern = '^\\S(.*\\S)?$';
    else if (!meta?.json && !OURS.has(name ?? ''))
      throw new Error(`${path}: there is no keyword for the test “${name}”.`);
  }
  return all;
}

/** Tests that no keyword can say; docs/file-format.md does. */
const OURS = new Set([
  'path',
  'outline',
  'pixels',
  'order',
  'area',
  'kind',
  'inside',
  'family',
  'day',
  'once',
  'printable',
  'pairs',
]);
