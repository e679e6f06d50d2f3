/** Names that came with a project out of a file, as they are kept: what is shown of them, and nothing else. */
import type { Project } from '@/core/project/model';
import { asName } from '@/core/text/named';

const UNNAMED = 'Unnamed';
/** Members that hold one name or a list of them, and those that hold names by what they stand for. */
const NAMES = new Set(['title', 'name', 'place', 'people', 'tags']);
const BY_KEY = new Set(['names']);

const isObject = (value: unknown): value is object => value !== null && typeof value === 'object';
const mapped = (of: object, to: (value: unknown, key: string) => unknown): object =>
  Array.isArray(of)
    ? of.map((one) => to(one, ''))
    : Object.fromEntries(Object.entries(of).map(([key, one]) => [key, to(one, key)]));

function cleaned(value: unknown, key: string): unknown {
  if (typeof value === 'string')
    return NAMES.has(key) && value ? asName(value, value.length) || UNNAMED : value;
  if (!isObject(value)) return value;
  const inList = Array.isArray(value) && NAMES.has(key);
  return mapped(value, (one, own) => cleaned(one, BY_KEY.has(key) ? 'name' : inList ? key : own));
}

/** The project with every name in it on one line, without what nobody sees; one that has nothing else is called “Unnamed”. */
export function withCleanNames(project: Project): Project {
  const { product, ...rest } = project;
  // What a newer program knows of its product is passed on as it is.
  return { ...(cleaned(rest, '') as typeof rest), product };
}
