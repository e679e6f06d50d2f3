/** A project with something in it that does not pass the door: that is brought within its limits or set aside, and told of. */
import { ValidationError, type AnyObject, type ObjectSchema } from 'yup';
import { assetsIn } from '@/core/piece/assets';
import { capital, complaint, stepsOf, whichThing } from '@/core/project/complaint';
import { COMPARTMENTS, newLayout, type Project } from '@/core/project/model';
import { shortened } from '@/core/text/named';

export interface Mended {
  project: Project;
  /** A sentence for each thing that is not as it was written. */
  told: string[];
}

/** Each round finds what the last one uncovered; more than this many is no project. */
const MOST_ROUNDS = 8;

type Parts = Record<string, unknown>;

/** Mends until everything passes. Null if nothing of a project is left. Throws ValidationError if it cannot be mended. */
export function mend(written: unknown, schema: ObjectSchema<AnyObject>): Mended | null {
  const project = structuredClone(written) as Parts;
  const told: string[] = [];
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const wrong = errorsIn(project, schema);
    if (wrong.length === 0) return { project: project as unknown as Project, told };
    // What lies in lists goes last first, so that the places of the others still hold.
    const gone = new Map<string, () => void>();
    for (const error of wrong) mendOne(project, error, told, gone);
    [...gone.entries()].sort(([a], [b]) => (a < b ? 1 : -1)).forEach(([, go]) => go());
    if (!Array.isArray(project.surfaces) || project.surfaces.length === 0) return null;
  }
  throw errorsIn(project, schema)[0]!;
}

function errorsIn(project: unknown, schema: ObjectSchema<AnyObject>): ValidationError[] {
  try {
    schema.validateSync(project, { strict: true, abortEarly: false });
    return [];
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return error.inner.length ? error.inner : [error];
  }
}

function mendOne(
  project: Parts,
  error: ValidationError,
  told: string[],
  gone: Map<string, () => void>,
): void {
  const path = stepsOf(error.path ?? '');
  const strange = leftOut(project, path, error);
  if (strange.length) {
    told.push(
      `${capital(whichThing(project, path))} has ${strange.join(', ')}, which nothing knows. It was left out.`,
    );
    return;
  }
  if (withinLimits(project, path, error)) {
    told.push(`${capital(complaint(project, error))}. It was brought within the limit.`);
    return;
  }
  const unit = unitAt(path);
  if (unit) {
    // Sorts by place: numbers of one width.
    const key = unit.map((step) => step.padStart(6, '0')).join('/');
    if (gone.has(key)) return;
    told.push(`${capital(complaint(project, error))}. It was set aside.`);
    gone.set(key, () => takeOut(project, unit));
    return;
  }
  told.push(`${capital(complaint(project, error))}. It is as in a new project now.`);
  toDefault(project, path);
}

/** Takes away what nothing knows, and no more: its names in quotes. */
function leftOut(project: Parts, path: readonly string[], { params }: ValidationError): string[] {
  const { unknown } = (params ?? {}) as { unknown?: string };
  const holder = path.reduce<unknown>((part, step) => (part as Parts | undefined)?.[step], project);
  if (!unknown || holder === null || typeof holder !== 'object') return [];
  const keys = unknown.split(', ').filter((key) => Object.hasOwn(holder, key));
  for (const key of keys) delete (holder as Parts)[key];
  return keys.map((key) => `“${shortened(key, 40)}”`);
}

/** Brings a number to its limit, cuts off what is too long. False where that is no cure. */
function withinLimits(project: Parts, path: string[], { type, params }: ValidationError): boolean {
  const { value, min, max } = (params ?? {}) as { value?: unknown; min?: number; max?: number };
  const limit = type === 'min' ? min : type === 'max' ? max : undefined;
  if (limit === undefined) return false;
  if (typeof value === 'number' && Number.isFinite(value)) return put(project, path, limit);
  if (type === 'max' && (typeof value === 'string' || Array.isArray(value)))
    return put(project, path, typeof value === 'string' ? shortened(value, limit) : value.slice(0, limit));
  return false;
}

function put(project: Parts, path: readonly string[], value: unknown): boolean {
  const holder = path
    .slice(0, -1)
    .reduce<unknown>((part, step) => (part as Parts | undefined)?.[step], project) as Parts | undefined;
  if (holder === null || typeof holder !== 'object' || path.length === 0) return false;
  holder[path.at(-1)!] = value;
  return true;
}

/** The smallest thing around that can go by itself: a piece, a group, a guide, a page, a look, a picture ... */
function unitAt(path: readonly string[]): string[] | null {
  const inPage = path[0] === 'surfaces' && ['pile', 'groups', 'guides'].includes(path[2] ?? '');
  if (inPage && path.length > 3) return path.slice(0, 4);
  if (path[0] === 'surfaces') return path.length === 2 ? path.slice(0, 2) : null;
  return path.length > 1 && LISTS.has(path[0]!) ? path.slice(0, 2) : null;
}

const LISTS = new Set<string>(['looks', 'styles', 'fonts', 'profiles', 'guides', 'assets', ...COMPARTMENTS]);

function takeOut(project: Parts, unit: readonly string[]): void {
  const list = unit.slice(0, -1).reduce<unknown>((part, step) => (part as Parts)[step], project);
  const step = unit.at(-1)!;
  if (Array.isArray(list)) list.splice(Number(step), 1);
  else delete (list as Parts)[step];
  // A list that may not be empty may be absent.
  if (Array.isArray(list) && list.length === 0 && ['looks', 'styles', 'fonts', 'profiles'].includes(unit[0]!))
    delete project[unit[0]!];
}

/** What a new project has in this place; what it does not have goes. */
function toDefault(project: Parts, path: readonly string[]): void {
  const size = { width: 864, height: 864 };
  const fresh = newLayout({
    id: 'mended',
    title: 'Untitled layout',
    unit: 'in',
    ...size,
  }) as unknown as Parts;
  const [page] = fresh.surfaces as Parts[];
  const inPage = path[0] === 'surfaces' && path.length > 2;
  const depth = inPage ? 3 : 1;
  const source = inPage ? page! : fresh;
  const key = path[depth - 1] ?? '';
  if (key in source) put(project, path.slice(0, depth), source[key]);
  else if (inPage) delete (project.surfaces as Parts[])[Number(path[1])]?.[key];
  else delete project[key];
}

/** Takes out what means nothing though it has the right shape: the same id twice, pictures that nothing is known of. */
export function unnamed({ project, told }: Mended): Mended {
  const said: string[] = [];
  const once = <T extends { id: string }>(list: readonly T[], path: (i: number) => string[]): T[] => {
    const ids = new Set<string>();
    return list.filter(({ id }, i) => {
      if (!ids.has(id)) return ids.add(id);
      said.push(`${capital(whichThing(project, path(i)))} is there twice. The second was set aside.`);
      return false;
    });
  };
  const surfaces = once(project.surfaces, (i) => ['surfaces', String(i)]).map((page, s) => {
    const pile = once(page.pile, (p) => ['surfaces', String(s), 'pile', String(p)]).filter((piece) => {
      if (assetsIn(piece).every((sha) => Object.hasOwn(project.assets, sha))) return true;
      said.push(`The picture of “${piece.name}” on “${page.name}” is not known. It was set aside.`);
      return false;
    });
    return { ...page, pile, groups: once(page.groups, (g) => ['surfaces', String(s), 'groups', String(g)]) };
  });
  const known = Object.fromEntries(
    COMPARTMENTS.map((name) => [name, project[name].filter((sha) => Object.hasOwn(project.assets, sha))]),
  ) as Pick<Project, (typeof COMPARTMENTS)[number]>;
  const lost = COMPARTMENTS.reduce((sum, name) => sum + project[name].length - known[name].length, 0);
  if (lost) said.push(`${lost} of the pictures in the workbox are not known. They were left out.`);
  const sheets = {
    ...(project.looks && { looks: once(project.looks, (i) => ['looks', String(i)]) }),
    ...(project.styles && { styles: once(project.styles, (i) => ['styles', String(i)]) }),
  };
  return { project: { ...project, ...known, ...sheets, surfaces }, told: [...told, ...said] };
}
