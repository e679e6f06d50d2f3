/**
 * What an edit changed, held to the schemas of the door: so that nothing is ever kept that would not be opened again. Only
 * what is another object than before is looked at, down to single values, so that it costs nothing while a hand drags.
 */
import {
  ValidationError,
  type AnyObject,
  type AnySchema,
  type ArraySchema,
  type ISchema,
  type Lazy,
  type ObjectSchema,
} from 'yup';
import { assetsIn } from '@/core/piece/assets';
import { capital, complaint, whichThing } from '@/core/project/complaint';
import type { Project } from '@/core/project/model';
import { Refused } from '@/core/project/refused';
import { pastLimits, projectSchema } from '@/core/project/schema';
import { isWritable, writable } from '@/core/text/writable';

type Steps = readonly (string | number)[];

/** A number that went past its limit, and the limit; or a text with characters no file may hold, and the text without. */
export interface Stopped {
  path: Steps;
  value: number | string;
}

/**
 * Looks at what changed from one sound project to another. Answers with the values that must be others. Throws `Refused` for
 * what cannot be mended so.
 */
export function stopsOf(before: Project, after: Project): Stopped[] {
  if (before === after) return [];
  const why = pastLimits(after);
  if (why) throw new Refused(why);
  const look = new Look(after);
  look.at(projectSchema, before, after, []);
  picturesAreThere(before, after);
  return look.stopped;
}

/** Stands for what was not there before: everything of it is looked at. */
const NOTHING = Symbol();

interface Rules {
  min?: number;
  max?: number;
  integer: boolean;
  /** Tests beyond limits and names: the value is passed through the schema as a whole. */
  others: boolean;
}

const rules = new WeakMap<object, Rules>();

function rulesOf(schema: AnySchema): Rules {
  let known = rules.get(schema);
  if (!known) {
    // Not by `describe`, which makes a copy of all that lies within: schemas that look at the value first are new each time.
    const tests = schema.tests.map(({ OPTIONS }) => OPTIONS);
    const limit = (side: 'min' | 'max') => {
      const given = tests.find((test) => test?.name === side)?.params?.[side];
      return typeof given === 'number' ? given : undefined;
    };
    const [min, max] = [limit('min'), limit('max')];
    known = {
      ...{ min, max, integer: tests.some((test) => test?.name === 'integer') },
      others: tests.some(
        (test) =>
          !['min', 'max', 'integer', 'noUnknown', 'required', 'defined'].includes(test?.name ?? '') ||
          (test?.name === 'min' && min === undefined) ||
          (test?.name === 'max' && max === undefined),
      ),
    };
    rules.set(schema, known);
  }
  return known;
}

class Look {
  readonly stopped: Stopped[] = [];

  constructor(private readonly project: Project) {}

  at(given: ISchema<unknown>, before: unknown, after: unknown, path: Steps): void {
    if (before === after) return;
    const schema = resolved(given, after);
    if (schema.type === 'number' && typeof after === 'number') return this.number(schema, after, path);
    if (typeof after === 'string' && !isWritable(after)) {
      const value = writable(after);
      this.stopped.push({ path, value });
      return this.whole(schema, value, path);
    }
    if (schema.type === 'array' && Array.isArray(after))
      return this.list(schema as ArraySchema<unknown[], AnyObject>, before, after, path);
    if (schema.type === 'object' && after !== null && typeof after === 'object')
      return this.fields(schema as ObjectSchema<AnyObject>, before, after as AnyObject, path);
    this.whole(schema, after, path);
  }

  /** Passes a value through its schema; throws `Refused` if it does not pass. */
  private whole(schema: AnySchema, value: unknown, path: Steps): void {
    try {
      schema.validateSync(value, { strict: true, path: written(path) } as object);
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error;
      throw new Refused(
        `That cannot be done. ${capital(complaint(this.project, error))}. Nothing was changed.`,
      );
    }
  }

  private number(schema: AnySchema, value: number, path: Steps): void {
    const { min = -Infinity, max = Infinity, integer, others } = rulesOf(schema);
    const past = value < min ? min : value > max ? max : null;
    if (past !== null && Number.isFinite(value) && !integer) this.stopped.push({ path, value: past });
    else if (past !== null || others || !Number.isFinite(value) || (integer && !Number.isInteger(value)))
      this.whole(schema, value, path);
  }

  private list(
    schema: ArraySchema<unknown[], AnyObject>,
    before: unknown,
    after: readonly unknown[],
    path: Steps,
  ): void {
    const { min = 0, max = Infinity, others } = rulesOf(schema as unknown as AnySchema);
    if (others || after.length < min || after.length > max)
      this.whole(schema as unknown as AnySchema, after, path);
    const old: readonly unknown[] = Array.isArray(before) ? before : [];
    const inner = schema.innerType!;
    const ids = new Set<string>();
    let byId: Map<string, unknown> | undefined;
    after.forEach((value, i) => {
      const id = idOf(value);
      if (id !== undefined) {
        if (ids.has(id)) throw new Refused('That cannot be done: the same thing would lie there twice.');
        ids.add(id);
      }
      if (value === old[i]) return;
      let was = old[i];
      if (id !== undefined && idOf(was) !== id) {
        byId ??= new Map(old.map((one) => [idOf(one) ?? '', one]));
        was = byId.get(id);
      }
      this.at(inner as ISchema<unknown>, was ?? NOTHING, value, [...path, i]);
    });
  }

  private fields(schema: ObjectSchema<AnyObject>, before: unknown, after: AnyObject, path: Steps): void {
    // A kind is all it has: fields of another kind say nothing of this one.
    const same = before !== null && typeof before === 'object' && (before as AnyObject).kind === after.kind;
    const old = same ? (before as AnyObject) : null;
    if (rulesOf(schema as unknown as AnySchema).others)
      this.whole(schema as unknown as AnySchema, after, path);
    else if (Object.keys(after).some((key) => !Object.hasOwn(schema.fields, key)))
      this.whole(schema as unknown as AnySchema, after, path);
    for (const [key, field] of Object.entries(schema.fields))
      this.at(field as ISchema<unknown>, old ? old[key] : NOTHING, after[key], [...path, key]);
  }
}

/** What a schema that looks at the value first comes to. */
const resolved = (schema: ISchema<unknown>, value: unknown): AnySchema =>
  ('resolve' in schema
    ? (schema as unknown as Lazy<unknown>).resolve({ value } as never)
    : schema) as AnySchema;

const idOf = (value: unknown): string | undefined =>
  value !== null && typeof value === 'object' ? (value as { id?: string }).id : undefined;

const written = (path: Steps): string =>
  path
    .map((step) => (typeof step === 'number' ? `[${step}]` : `.${step}`))
    .join('')
    .replace(/^\./, '');

/** Every picture that a changed piece shows is known; where pictures went, every piece is asked. */
function picturesAreThere(before: Project, after: Project): void {
  const gone =
    before.assets !== after.assets && Object.keys(before.assets).some((sha) => !(sha in after.assets));
  after.surfaces.forEach((page, s) => {
    const was = before.surfaces.find(({ id }) => id === page.id);
    if (!gone && was?.pile === page.pile) return;
    const known = gone ? null : new Set(was?.pile);
    page.pile.forEach((piece, p) => {
      if (known?.has(piece) || assetsIn(piece).every((sha) => sha in after.assets)) return;
      const which = whichThing(after, ['surfaces', String(s), 'pile', String(p)]);
      throw new Refused(
        `That cannot be done: the picture of ${which} would be missing. Nothing was changed.`,
      );
    });
  });
}
