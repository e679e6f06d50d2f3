/** Edits of pages and of the guides on them. */
import type { Piece } from '@/core/piece/piece';
import type { Draft } from 'immer';
import { leafOf, rowsOf, type Product } from '@/core/product';
import type { Edit } from '@/core/project/edits/edit';
import { changeProduct } from '@/core/project/edits/product';
import {
  LONGEST_NOTE,
  surfaceOf,
  type Group,
  type Guide,
  type Project,
  type Surface,
} from '@/core/project/model';
import { shortened } from '@/core/text/named';

/** Puts a page after another, or at the end. */
export const addPage = (surface: Surface, after?: string): Edit => ({
  label: surface.pile.length ? 'copy page' : 'add page',
  apply(project) {
    const { surfaces } = project;
    const at = surfaces.findIndex(({ id }) => id === after);
    surfaces.splice(at < 0 ? surfaces.length : at + 1, 0, structuredClone(surface));
    inTheirRow(project);
  },
});

/** Puts all of another page in the place of what lies on one: its pile, ground and light. */
export const becomePage = (
  surfaceId: string,
  { pile, groups, ground, light }: Pick<Surface, 'pile' | 'groups' | 'ground' | 'light'>,
): Edit => ({
  label: 'lay a ready-made page',
  apply(project) {
    Object.assign(surfaceOf(project, surfaceId), structuredClone({ pile, groups, ground, light }));
  },
});

/** Puts a copy of a page after another, and on its back, where it has one, what lies on the back of what was copied. */
export const copyPage = (
  surface: Surface,
  after: string,
  back: Pick<Surface, 'pile' | 'groups' | 'ground' | 'light'> | null,
): Edit => ({
  label: 'copy page',
  apply(project) {
    addPage(surface, after).apply(project);
    const made = project.surfaces.find(({ id }) => id === surface.id);
    const leaf = made && leafOf(project as Project, made as Surface);
    if (back && leaf && leaf.face.id === surface.id) becomePage(leaf.back.id, back).apply(project);
  },
});

/** Whether a page may be taken away: one of its kind stays. */
export const mayGo = (
  { product, surfaces }: Pick<Project, 'product' | 'surfaces'>,
  going: Surface,
): boolean => {
  const rows = rowsOf(product);
  if (rows) return rows.is(going.part ?? '') && rows.parts(product).length > 1;
  return surfaces.length > 1;
};

/** Pages are numbered by their place; sides of a product that come and go lie in their row, and the product has just those. */
function inTheirRow(project: Draft<Project>): void {
  const product = project.product as Product;
  const rows = rowsOf(product);
  if (!rows) return project.surfaces.forEach(renumber);
  const order = project.surfaces.flatMap(({ part = '' }) => (rows.is(part) ? [part] : []));
  changeProduct(rows.withParts(product, order), '').apply(project);
}

/** Takes a page out; the last one stays. */
export const removePage = (surfaceId: string): Edit => ({
  label: 'delete page',
  apply(project) {
    if (project.surfaces.length < 2) return;
    const { product, surfaces } = project as Project;
    const going = surfaces.find(({ id }) => id === surfaceId);
    if (!going || !mayGo({ product, surfaces }, going)) return;
    project.surfaces = project.surfaces.filter(({ id }) => id !== surfaceId);
    inTheirRow(project);
  },
});

/** Puts a page at another place in the row, counted from 0. */
export const movePage = (surfaceId: string, to: number): Edit => ({
  label: 'change page order',
  apply(project) {
    const { surfaces } = project;
    const from = surfaces.findIndex(({ id }) => id === surfaceId);
    if (from < 0) return;
    const [surface] = surfaces.splice(from, 1);
    surfaces.splice(Math.max(0, Math.min(surfaces.length, to)), 0, surface!);
    inTheirRow(project);
  },
});

/** Pages nobody named are called by their place. */
export function renumber(surface: { name: string }, i: number): void {
  if (/^Page \d+$/.test(surface.name)) surface.name = `Page ${i + 1}`;
}

/** What is to be remembered of a page; nothing where that is empty, cut off where it is too long. */
export const writeNote = (surfaceId: string, note: string): Edit => ({
  label: 'write note',
  merge: `note ${surfaceId}`,
  apply(project) {
    const surface = surfaceOf(project, surfaceId);
    if (note) surface.note = shortened(note, LONGEST_NOTE);
    else delete surface.note;
  },
});

export const lockPage = (surfaceId: string, locked: boolean): Edit => ({
  label: locked ? 'lock page' : 'unlock page',
  apply(project) {
    surfaceOf(project, surfaceId).locked = locked;
  },
});

/** Where guides live: on one page, or on every page. */
export type GuidesOf = string | null;

export const setGuides = (of: GuidesOf, label: string, guides: readonly Guide[], merge?: string): Edit => ({
  label,
  merge,
  apply(project) {
    (of === null ? project : surfaceOf(project, of)).guides = guides.map((guide) => ({ ...guide }));
  },
});

export const lockGuides = (locked: boolean): Edit => ({
  label: locked ? 'lock guides' : 'unlock guides',
  apply(project) {
    project.guidesLocked = locked;
  },
});

export interface CopiedPieces {
  pieces: readonly Piece[];
  groups: readonly Group[];
}

/** Lays copies on several pages at once, each on top of its page's pile. */
export const layOnPages = (label: string, copies: ReadonlyMap<string, CopiedPieces>): Edit => ({
  label,
  apply(project) {
    for (const [surfaceId, { pieces, groups }] of copies) {
      const surface = surfaceOf(project, surfaceId);
      surface.pile.push(...structuredClone(pieces as Piece[]));
      surface.groups.push(...structuredClone(groups as Group[]));
    }
  },
});
