/** Edits of pages and of the guides on them. */
import type { Piece } from '@/core/piece/piece';
import type { Edit } from '@/core/project/edits/edit';
import { surfaceOf, type Group, type Guide, type Surface } from '@/core/project/model';

/** Puts a page after another, or at the end. */
export const addPage = (surface: Surface, after?: string): Edit => ({
  label: surface.pile.length ? 'copy page' : 'add page',
  apply({ surfaces }) {
    const at = surfaces.findIndex(({ id }) => id === after);
    surfaces.splice(at < 0 ? surfaces.length : at + 1, 0, structuredClone(surface));
    surfaces.forEach(renumber);
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

/** Takes a page out; the last one stays. */
export const removePage = (surfaceId: string): Edit => ({
  label: 'delete page',
  apply(project) {
    if (project.surfaces.length < 2) return;
    project.surfaces = project.surfaces.filter(({ id }) => id !== surfaceId);
    project.surfaces.forEach(renumber);
  },
});

/** Puts a page at another place in the row, counted from 0. */
export const movePage = (surfaceId: string, to: number): Edit => ({
  label: 'change page order',
  apply({ surfaces }) {
    const from = surfaces.findIndex(({ id }) => id === surfaceId);
    if (from < 0) return;
    const [surface] = surfaces.splice(from, 1);
    surfaces.splice(Math.max(0, Math.min(surfaces.length, to)), 0, surface!);
    surfaces.forEach(renumber);
  },
});

/** Pages nobody named are called by their place. */
export function renumber(surface: { name: string }, i: number): void {
  if (/^Page \d+$/.test(surface.name)) surface.name = `Page ${i + 1}`;
}

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
