/** `project.json` of a .bellagraph file: what is written, and the door it passes when read. See docs/file-format.md. */
import { ValidationError } from 'yup';
import { evenly } from '@/core/geometry/sides';
import { complaint } from '@/core/project/complaint';
import { mend, unnamed, type Mended } from '@/core/project/mend';
import { asWritten, sidesOf, strangeIn } from '@/core/product';
import { COMPARTMENTS, newSurface, type Project } from '@/core/project/model';
import { NEW_THREAD } from '@/core/trail/thread/thread';
import { FILE_VERSION } from '@/core/project/version';
import { projectSchema } from '@/core/project/schema';
import { tidied } from '@/core/project/tree';
import { writableAll } from '@/core/text/writable';
import { fail, ok, type Result } from '@/core/result';

/** What is no number stays as it is, for the door to tell of. */
const onAllSides = (by: unknown): unknown => (typeof by === 'number' ? evenly(by) : by);

type Loose = Record<string, unknown>;
/** What is no list of objects stays as it is, for the door to tell of. */
const each = (list: unknown, to: (one: Loose) => Loose): unknown =>
  Array.isArray(list)
    ? list.map((one: unknown) => (one !== null && typeof one === 'object' ? to(one as Loose) : one))
    : list;

/** A finish of version 16 whose stroke was stitches has thread along its edge; dashes need no longer say that they are. */
function sewnAnew(of: Loose): Loose {
  const finish = of.finish as
    | { stroke?: { broken?: Loose; colour?: unknown; width?: unknown; side?: unknown } }
    | undefined;
  const broken = finish?.stroke?.broken;
  if (!finish?.stroke || !broken || typeof broken !== 'object') return of;
  const { into, ...dashes } = broken;
  const { colour, width, side } = finish.stroke;
  if (into !== 'stitches')
    return { ...of, finish: { ...finish, stroke: { ...finish.stroke, broken: dashes } } };
  const trail = { ...NEW_THREAD, colours: [colour], width, length: dashes.length, gap: dashes.gap };
  return { ...of, finish: { ...finish, stroke: null, trails: [{ trail, side, from: dashes.from }] } };
}

/** From version n to n + 1, by n. */
const MIGRATIONS: Record<number, (old: Record<string, unknown>) => Record<string, unknown>> = {
  // 2: compartments for more than photos and papers; pictures that are things of their own, with their own edge.
  1: (old) => ({ ...Object.fromEntries(COMPARTMENTS.map((name) => [name, []])), ...old }),
  // 3: groups, guides, locked pages.
  2: (old) => ({
    guides: [],
    guidesLocked: false,
    ...old,
    surfaces: Array.isArray(old.surfaces)
      ? old.surfaces.map((surface: object) => ({ groups: [], guides: [], locked: false, ...surface }))
      : old.surfaces,
  }),
  // 4: punches, worked edges, mats, own shadows, blend modes, tucks. All of them may be absent.
  3: (old) => old,
  // 5: dashes and stitches, treated faces, slits, looks. They may be absent.
  4: (old) => old,
  // 6: what is known of a photo: how blurred, what like, its notes; sharpening and vignette. They may be absent.
  5: (old) => old,
  // 7: dyes, colour under the lines of a stamp, gradients. They may be absent.
  6: (old) => old,
  // 8: words in several styles, along outlines, as a material; echoes, text styles, own fonts, laid letters. All may be absent.
  7: (old) => old,
  // 9: copies that grow, turn and fade, words whose count is set, plain punches. All may be absent.
  8: (old) => old,
  // 10: parts of pictures that are protected from dyes. They may be absent.
  9: (old) => old,
  // 11: the product with its settings; before there were layouts alone.
  10: ({ kind: _, ...old }) => ({ product: { kind: 'layout' }, ...old }),
  // 12: living words, what is known of a project, pieces that go round, guides through the paper, envelopes. They may be absent.
  11: (old) => old,
  // 13: bleed and safe area of each side; before there was one for all four.
  12: (old) => ({
    ...old,
    surfaces: Array.isArray(old.surfaces)
      ? old.surfaces.map(({ bleed, safe, ...surface }: Record<string, unknown>) => ({
          ...surface,
          ...{ bleed: onAllSides(bleed), safe: onAllSides(safe) },
        }))
      : old.surfaces,
  }),
  // 14: bound and folded calendars, inks of their months, pieces carried from month to month, moons and papers in months. All may be absent.
  13: (old) => old,
  // 15: books, and what is known of how their pages were laid. All may be absent.
  14: (old) => old,
  // 16: what a cutter makes of a piece. It may be absent.
  15: (old) => old,
  // 17: drawn lines, and what runs along an edge; stitches are one of these, no longer a broken stroke.
  16: (old) => ({
    ...old,
    surfaces: each(old.surfaces, (page) => ({ ...page, pile: each(page.pile, sewnAnew) })),
    ...(old.looks === undefined ? {} : { looks: each(old.looks, sewnAnew) }),
  }),
  // 18: cuts through what was drawn, how bands cross themselves. They may be absent.
  17: (old) => old,
  // 19: colour profiles that were brought in. They may be absent.
  18: (old) => old,
  // 20: notes of pages. They may be absent.
  19: (old) => old,
  // 21: letters of living words that keep to one line. What is wished may be absent.
  20: (old) => old,
};

export const writeProject = (project: Project): string =>
  JSON.stringify(
    {
      format: 'bellagraph',
      version: FILE_VERSION,
      project: { ...project, product: asWritten(project.product) },
    },
    null,
    1,
  );

/** What is told of data that a newer program wrote; nothing of it is touched. */
export const newerThanThis = (version: number): string =>
  `This project was made by a newer Bellagraph (file version ${version}; this one reads up to ${FILE_VERSION}). Nothing was changed.`;

/** A project that passed the door. `mended` says, a sentence each, what of it did not and was set aside or brought within limits. */
export type Read = Result<Project> & { mended?: string[] };

/** Reads project.json. Says in words why a file is refused: not ours, newer than this program, or damaged and where. */
export function readProject(json: string): Read {
  let file: { format?: unknown; version?: unknown; project?: unknown } | null;
  try {
    file = JSON.parse(json);
  } catch {
    return fail('The project inside this file is damaged: it cannot be read as text.');
  }
  if (file?.format !== 'bellagraph') return fail('This is not a Bellagraph project.');
  const { version } = file;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return fail('The project inside this file is damaged: it does not say which version it is.');
  if (version > FILE_VERSION) return fail(newerThanThis(version));
  return checkProject(file.project, version);
}

/** What a project of one version is in a later one; not checked yet. Throws if it is no project at all. */
export function migrated(written: unknown, from: number, to = FILE_VERSION): unknown {
  let project = written as Record<string, unknown>;
  for (let version = from; version < to; version++) project = MIGRATIONS[version]!(project);
  return project;
}

/**
 * Passes a project, as some version wrote it, through the door. One piece that does not pass is set aside, or brought
 * within the limits, and told of: it never costs the whole.
 */
export function checkProject(written: unknown, version = FILE_VERSION): Read {
  if (version > FILE_VERSION) return fail(newerThanThis(version));
  if (written === null || typeof written !== 'object' || Array.isArray(written))
    return fail('The project inside this file is damaged: there is nothing in it.');
  try {
    const wished = writableAll(migrated(written, version)) as Record<string, unknown>;
    const strange = strangeIn(wished.product);
    // What is not known is not checked: it is passed on as it is.
    const given = strange ? { ...wished, product: { kind: 'layout' } } : wished;
    const found = sound(given) ?? mend(given, projectSchema);
    if (!found) return fail('The project inside this file is damaged: there is nothing in it.');
    const { project, told } = withItsSides(unnamed(found));
    // Groups lie together whatever a file says; nothing is lost by it.
    const whole: Project = {
      ...project,
      ...(strange ? { product: { kind: 'foreign', written: strange } } : {}),
      surfaces: project.surfaces.map(tidied),
    };
    return told.length ? { ...ok(whole), mended: told } : ok(whole);
  } catch (error) {
    if (error instanceof ValidationError)
      return fail(`The project inside this file is damaged: ${complaint(written, error)}.`);
    // Data of no known shape can break what walks through it anywhere.
    return fail('The project inside this file is damaged: its parts do not fit together.');
  }
}

/** A card has both its sides, as large as the card says: one that is missing comes empty, one of another size is made to fit. */
function withItsSides({ project, told }: Mended): Mended {
  const sides = sidesOf(project.product);
  if (!sides) return { project, told };
  const said: string[] = [];
  const surfaces = [...project.surfaces];
  for (const { part, name, width, height, bleed } of sides) {
    const at = surfaces.findIndex((surface) => surface.part === part);
    const surface = surfaces[at];
    if (!surface) {
      said.push(`The side “${name}” was missing. It is there again, empty.`);
      // Nothing lies on it: whatever did is lost.
      const fresh = newSurface(`${project.id}-${part}`, name, { width, height, bleed }, project.unit);
      surfaces.push({ ...fresh, part });
    } else if (Math.abs(surface.width - width) > 0.01 || Math.abs(surface.height - height) > 0.01) {
      said.push(
        `The side “${surface.name}” was not of the size its paper has. It is now; what lies on it stays where it was.`,
      );
      surfaces[at] = { ...surface, width, height };
    }
  }
  return said.length ? { project: { ...project, surfaces }, told: [...told, ...said] } : { project, told };
}

/** The project if all of it passes; null if not. */
function sound(project: unknown): Mended | null {
  try {
    return { project: projectSchema.validateSync(project, { strict: true }) as Project, told: [] };
  } catch (error) {
    if (error instanceof ValidationError) return null;
    throw error;
  }
}
